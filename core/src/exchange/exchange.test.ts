import Papa from 'papaparse';
import { beltContext, contextOf, testContext, testLogbook } from '../logbook/test-case';
import { foldCase } from '../logbook';
import { programmes, type BraceModel } from '../programmes';
import { chartColumns, chartsToCsv } from './chart-csv';
import { chartChanges, lostBy } from './chart-changes';
import { chartsFromCsv, type ChartFault } from './read-chart-csv';
import { fittedOn, wholeCase } from '../findings/test-whole-case';
import { orderSheet, orderSheetCsv } from './order-sheet';

const axis = (reading: string, names: string[], edges: number[]) => ({
  reading,
  resolution: 0,
  bands: names.map((size, i) => ({ size, from: edges[i]!, to: edges[i + 1]! })),
});
// a two-way table whose sizes rise neither along a row nor down a column alone
const tableModel: BraceModel = {
  ...contextOf('knee-sleeve', {
    sizes: ['S', 'M', 'L'],
    axes: [
      axis('girth-above', ['a', 'b'], [300, 400, 500]),
      axis('girth-below', ['c', 'd', 'e'], [250, 300, 350, 400]),
    ],
    table: [
      ['S', 'M', ''],
      ['', 'M', 'L'],
    ],
    between: 'larger',
    disagree: 'larger',
    heights: [{ height: 'short', reading: 'girth-below', from: 250, to: 320 }, { height: 'tall' }],
    sideExtension: { upTo: 560.5 },
  }).model,
  id: 'test-table',
};
const models: BraceModel[] = [testContext.model, beltContext.model, tableModel];
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
    ['test-table', 2],
  ]);
  back.models.forEach((model, i) => {
    const { version, ...chart } = model.chart;
    expect(chart).toEqual({ ...models[i]!.chart, version: undefined });
    expect(version).toBe(models[i]!.chart.version + 1);
    // what is no chart stays
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

/** The first row that states something of one model, changed; with its number in the file. */
const withRow = (model: string, states: string, change: Partial<Record<string, string>>) => {
  const { data } = Papa.parse<Record<string, string>>(csv(), { header: true });
  const at = data.findIndex((row) => row.model === model && row.states === states);
  data[at] = { ...data[at]!, ...(change as Record<string, string>) };
  return { row: at + 2, text: Papa.unparse({ fields: [...chartColumns], data }) };
};

test.each([
  ['test-table', 'cell', { row: 'z' }, 'row', 'not-one-of', 'a, b'],
  ['test-table', 'cell', { column: 'z' }, 'column', 'not-one-of', 'c, d, e'],
  ['test-table', 'cell', { size: '' }, 'size', 'empty', undefined],
  ['test-table', 'height', { size: 'giant' }, 'size', 'not-one-of', 'short, tall, low, high'],
  ['test-table', 'height', { from: 'low' }, 'from', 'not-a-number', 'low'],
  ['test-table', 'side-extension', { to: '' }, 'to', 'empty', undefined],
  ['test-table', 'side-extension', { states: 'colour' }, 'states', 'not-one-of', undefined],
  ['test-belt', 'belt', { size: 'buckle' }, 'size', 'not-whole', 'overlap'],
  ['test-belt', 'belt', { from: 'wide' }, 'from', 'not-a-number', 'wide'],
  ['test-belt', 'distance', { distance: '' }, 'distance', 'empty', undefined],
  ['test-belt', 'distance', { reading: 'girth-ear' }, 'reading', 'unknown-reading', undefined],
] as const)('%s, %s with %j: %s %s', (model, states, change, column, fault, detail) => {
  const { row, text } = withRow(model, states, change);
  expect(faultsOf(text)).toContainEqual(
    expect.objectContaining({ row, column, fault, ...(detail === undefined ? {} : { detail }) }),
  );
});

test('a cell said twice and a table without its second axis are told', () => {
  const lines = csv().split('\r\n');
  const cells = lines.flatMap((line, i) => (line.includes(',cell,') ? [i] : []));
  const twice = [...lines, lines[cells[0]!]!];
  expect(faultsOf(twice.join('\r\n'))).toEqual([
    { row: twice.length, column: 'row', fault: 'twice', detail: 'a, c' },
  ]);
  const alone = lines.filter((line) => !(line.startsWith('test-table') && line.includes('girth-below')));
  expect(faultsOf(alone.join('\r\n')).map(({ column, fault }) => [column, fault])).toContainEqual([
    'states',
    'needs-two-axes',
  ]);
});

test('what the file leaves out of a chart is gone in the next version', () => {
  const kept = csv()
    .split('\r\n')
    .filter((line) => !/,(cell|height|belt),|,side-extension,,/.test(line) || line.startsWith('model'));
  const done = read(kept.join('\r\n'));
  if (!done.ok) throw new Error(JSON.stringify(done.faults));
  expect(done.models.map(({ chart: { table, belt, heights } }) => [table, belt, heights])).toEqual(
    models.map(() => [undefined, undefined, undefined]),
  );
});

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

/** The rows of the frame as another model's, some of them left out. */
const asNew = (leaves: (row: Record<string, string>) => boolean = () => true) => {
  const { data } = Papa.parse<Record<string, string>>(csv(), { header: true });
  const rows = data
    .filter((row) => row.model === 'test-frame' && leaves(row))
    .map((row) => ({ ...row, model: 'new-frame', name: 'New "frame", wide' }));
  return read(Papa.unparse({ fields: [...chartColumns], data: rows }));
};

test('a new model has what the file states, and counts as unconfirmed', () => {
  const done = asNew();
  if (!done.ok) throw new Error(JSON.stringify(done.faults));
  const [model] = done.models;
  expect(model).toMatchObject({ id: 'new-frame', version: 1, name: 'New "frame", wide', invented: true });
  const { hinge, tolerances, parts, wear } = testContext.model;
  expect(model).toMatchObject({ hinge, tolerances, parts, wear });
  // what no file states is nobody's: nothing to bend
  expect(model!.frame).toBeUndefined();
});

test.each([
  ['stop', 'stop, extension; stop, flexion'],
  ['tolerance', 'tolerance, hinge-height'],
  ['strap', 'part, strap-1'],
])('a new model without its %s rows takes them from nobody: they are asked for', (states, detail) => {
  const done = asNew((row) => row.states !== states);
  expect(done.ok ? [] : done.faults).toContainEqual({ row: 2, column: 'states', fault: 'missing', detail });
});

test('without wearing numbers it has none: they are asked for where wearing is planned', () => {
  const done = asNew((row) => row.states !== 'wear');
  if (!done.ok) throw new Error(JSON.stringify(done.faults));
  expect(done.models[0]!.wear).toBeUndefined();
});

test.each([
  ['from', '700', 'to', 'reversed'],
  ['to', '39', 'to', 'reversed'],
  ['from', '4000', 'to', 'reversed'],
] as const)('a band with %s %s is refused', (column, value, at, fault) =>
  expect(faultsOf(withCell(2, column, value))).toContainEqual(
    expect.objectContaining({ row: 2, column: at, fault }),
  ),
);

test('a band that no body has is refused, one that is merely wide is not', () => {
  const band = (from: string, to: string) => {
    const { data } = Papa.parse<Record<string, string>>(csv(), { header: true });
    data[0] = { ...data[0]!, from, to };
    return faultsOf(Papa.unparse({ fields: [...chartColumns], data })).map(({ fault }) => fault);
  };
  // girths above a knee are 250 to 950 mm: inches, metres
  expect(band('14', '18')).toEqual(['no-body']);
  expect(band('1500', '1600')).toEqual(['no-body']);
  expect(band('100', '4000')).toEqual(['no-body']);
  expect(band('200', '430')).toEqual([]);
});

test('what changes is told row by row, with what was and what will be; what is gone is lost', () => {
  const frame = programmes.find(({ id }) => id === 'knee-ligament-frame')!;
  const { model } = testContext;
  expect(chartChanges(model, model, frame)).toEqual([]);
  const [above, below] = model.chart.axes;
  const wider: BraceModel = {
    ...model,
    maker: 'somebody',
    chart: {
      ...model.chart,
      axes: [
        { ...above!, bands: above!.bands.map((one) => (one.size === 'S' ? { ...one, from: 390 } : one)) },
      ],
    },
    hinge: { ...model.hinge!, extension: [0, 10] },
  };
  const changes = chartChanges(model, wider, frame);
  const row = { row: '', column: '' };
  expect(changes[0]).toEqual({
    ...row,
    states: 'maker',
    reading: '',
    size: '',
    before: 'nobody',
    now: 'somebody',
  });
  expect(changes).toContainEqual({
    ...row,
    states: 'band',
    reading: 'girth-above',
    size: 'S',
    before: '400 – 430 @ 150 / 0',
    now: '390 – 430 @ 150 / 0',
  });
  const lost = lostBy(changes);
  // the axis below, and a piece of the hinge
  expect(lost.map(({ states, reading, size, row: piece }) => [states, reading, size, piece])).toEqual(
    expect.arrayContaining([
      ...below!.bands.map(({ size }) => ['band', 'girth-below', size, '']),
      ['stop', '', 'extension', '20'],
    ]),
  );
  expect(lost).toHaveLength(4);
  expect(lostBy(chartChanges(undefined, model, frame))).toEqual([]);
});

test('a brace of one size goes out and comes back', () => {
  const context = contextOf('neck-two-post', {
    sizes: ['one'],
    axes: [],
    between: 'larger',
    disagree: 'primary',
  });
  const done = chartsFromCsv(chartsToCsv([context.model], programmes), programmes, [context.model]);
  if (!done.ok) throw new Error(JSON.stringify(done.faults));
  expect(done.models[0]!.chart).toMatchObject({ sizes: ['one'], axes: [] });
});

describe('the order sheet', () => {
  const log = testLogbook(beltContext, 'midline');
  log.write('measure.marked', { step: 'stance', side: 'midline', stance: 'standing' });
  log.write('measure.skipped', { step: 'l1-to-l5', side: 'midline', reason: 'dressing in the way' });
  log.read('girth-waist', 'midline', 862, 868);
  log.read('girth-waist-above', 'midline', 850);
  const day = '2026-11-24';
  const sheet = orderSheet(foldCase(log.entries, beltContext)!, day);

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

  test('says what the maker must wait for, on each of its lines too; a whole case has nothing of it', () => {
    expect(sheet.open.map(({ kind }) => kind)).toEqual(expect.arrayContaining(['not-measured', 'no-size']));
    const { data } = Papa.parse<Record<string, string>>(orderSheetCsv(sheet), { header: true });
    expect(data.every(({ open }) => open!.includes('not-measured'))).toBe(true);
    const made = wholeCase('knee-postop');
    expect(orderSheet(made.state(), fittedOn).open).toEqual([]);
    const otherWay = wholeCase('knee-postop', { order: { side: 'left' } });
    expect(orderSheet(otherWay.state(), fittedOn).open).toContainEqual({ kind: 'order-for-other-side' });
  });
});

test('a file of before, with one word for a side extension and an end of the hinge, is read as it was meant', () => {
  const old = csv().replace(/,side-extension,/g, ',extension,');
  expect(old).not.toEqual(csv());
  expect(read(old)).toEqual(read(csv()));
});

test('a file of before, with one word for a step and a spacing, is read as it was meant', () => {
  const own: BraceModel = {
    ...testContext.model,
    id: 'test-own',
    programme: 'unloader-thumbwheel',
    settings: { wheel: { increment: 0.5 } },
  };
  const all = [...models, own];
  const text = chartsToCsv(all, programmes);
  const old = text.replace(/,mark-spacing,/g, ',mark-step,').replaceAll('increment', 'step');
  expect(old).not.toBe(text);
  expect(old).toMatch(/,mark-step,[^]*""step"":0.5|""step"":0.5[^]*,mark-step,/);
  const [before, now] = [old, text].map((file) => chartsFromCsv(file, programmes, all));
  if (!before!.ok) throw new Error(JSON.stringify(before!.faults));
  expect(before).toEqual(now);
});
