import Papa from 'papaparse';
import { beltContext, testContext, testLogbook } from '../logbook/test-case';
import { foldCase } from '../logbook';
import { programmes, type BraceModel } from '../programmes';
import { chartColumns, chartsFromCsv, chartsToCsv, type ChartFault } from './chart-csv';
import { orderSheet, orderSheetCsv } from './order-sheet';

const models: BraceModel[] = [testContext.model, beltContext.model];
const csv = () => chartsToCsv(models, programmes);
const read = (text: string) => chartsFromCsv(text, programmes, models);
const faultsOf = (text: string): ChartFault[] => {
  const done = read(text);
  return done.ok ? [] : done.faults;
};

/** A cell of the file changed, counted as the importer counts. */
const withCell = (row: number, column: (typeof chartColumns)[number], value: string) => {
  const { data } = Papa.parse<Record<string, string>>(csv(), { header: true });
  data[row - 2]![column] = value;
  return Papa.unparse({ fields: [...chartColumns], data });
};

// RFC 4180: CRLF, a header, quotes doubled; read back by an independent reader (papaparse)
test('charts go out and come back the same, as the next version', () => {
  const text = csv();
  expect(text.split('\r\n')[0]).toBe(chartColumns.join(','));
  const back = read(text);
  if (!back.ok) throw new Error(JSON.stringify(back.faults));
  expect(back.models.map(({ id, version }) => [id, version])).toEqual([
    ['test-frame', 2],
    ['test-belt', 2],
  ]);
  back.models.forEach((model, i) => {
    expect(model.chart.axes).toEqual(models[i]!.chart.axes);
    // what the file has no column for stays
    expect(model.chart.belt).toEqual(models[i]!.chart.belt);
    expect(model.hinge).toEqual(models[i]!.hinge);
    expect(model.distances).toEqual(models[i]!.distances);
  });
});

test.each([
  [2, 'from', 'wide', 'not-a-number'],
  [2, 'from', '', 'empty'],
  [3, 'between', 'biggest', 'differs-within-model'],
  [2, 'between', 'biggest', 'not-one-of'],
  [2, 'family', 'knee-something', 'unknown-family'],
  [2, 'reading', 'girth-ear', 'unknown-reading'],
  [3, 'size', 'S', 'twice'],
  [2, 'model', 'No Spaces', 'not-an-id'],
  [2, 'distance', 'x', 'not-a-number'],
] as const)('row %d, %s "%s": %s', (row, column, value, fault) =>
  expect(faultsOf(withCell(row, column, value))).toContainEqual(
    expect.objectContaining({ row, column, fault }),
  ),
);

test('a missing and an unknown column are named, and nothing is imported', () => {
  const text = csv().replace('maker', 'brand');
  expect(faultsOf(text)).toEqual([
    { row: 1, column: 'maker', fault: 'column-missing' },
    { row: 1, column: '', fault: 'column-unknown', detail: 'brand' },
  ]);
  expect(faultsOf(chartColumns.join(','))).toMatchObject([{ fault: 'empty' }]);
});

test('lengths carry their unit; a byte order mark and CRLF do no harm', () => {
  const done = read(`\uFEFF${withCell(2, 'from', '15 3/4 in')}`);
  if (!done.ok) throw new Error(JSON.stringify(done.faults));
  expect(done.models[0]!.chart.axes[0]!.bands[0]!.from).toBeCloseTo(400.05, 9);
});

test('a new model takes what the file does not carry from one of its family', () => {
  const { data } = Papa.parse<Record<string, string>>(csv(), { header: true });
  const fresh = data
    .filter((row) => row.model === 'test-frame')
    .map((row) => ({ ...row, model: 'new-frame', name: 'New "frame", wide' }));
  const done = read(Papa.unparse({ fields: [...chartColumns], data: fresh }));
  if (!done.ok) throw new Error(JSON.stringify(done.faults));
  expect(done.models).toHaveLength(1);
  expect(done.models[0]).toMatchObject({ id: 'new-frame', version: 1, name: 'New "frame", wide' });
  expect(done.models[0]!.hinge).toEqual(testContext.model.hinge);
});

describe('the order sheet', () => {
  const log = testLogbook(beltContext, 'midline');
  log.write('measure.marked', { step: 'standing', side: 'midline' });
  log.write('measure.skipped', { step: 'l1-to-l5', side: 'midline', reason: 'dressing in the way' });
  log.read('girth-waist', 'midline', 862, 868);
  log.read('girth-waist-above', 'midline', 850);
  const sheet = orderSheet(foldCase(log.entries, beltContext)!);

  test('holds every reading with its landmark, posture and uncertainty; what is hidden stays out', () => {
    expect(sheet.lines).toEqual([
      {
        step: 'girth-waist',
        kind: 'girth',
        side: 'midline',
        landmarks: ['waist'],
        distance: 0,
        posture: ['standing'],
        mean: 865,
        unit: 'mm',
        repeats: 2,
        uncertainty: Math.hypot(6 / Math.SQRT2, 6),
        substitute: '',
      },
    ]);
    expect(sheet.left).toEqual([{ step: 'l1-to-l5', side: 'midline', reason: 'dressing in the way' }]);
  });

  test('as CSV it is read back by another reader, as JSON by itself', () => {
    const { data, errors } = Papa.parse<Record<string, string>>(orderSheetCsv(sheet), { header: true });
    expect(errors).toEqual([]);
    expect(data[0]).toMatchObject({
      step: 'girth-waist',
      landmarks: 'waist',
      mean: '865',
      unit: 'mm',
      repeats: '2',
    });
    expect(JSON.parse(JSON.stringify(sheet))).toEqual(sheet);
  });
});
