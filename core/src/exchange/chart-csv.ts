import Papa from 'papaparse';
import { parseLength } from '../quantity';
import { instrumentOf, unitOf, type ProtocolStep } from '../measuring';
import { modelProblems, modelSchema, type BraceModel, type Programme } from '../programmes';
import { betweenRules, disagreeRules, type Chart, type ChartAxis } from '../sizing';

/**
 * The header of a size chart's file: one row for every size on every axis. Lengths are in mm, or carry
 * their unit ("36,5 cm", "14 3/8 in"); ages are in years, weights in kg.
 *
 * model      id: small letters, digits, hyphens
 * name       as it is called
 * maker
 * family     the programme's id
 * sided      yes when left and right are two braces
 * supply     stock, both or made-to-measure
 * between    larger, smaller, nearer or ask
 * disagree   primary, larger or made-to-measure
 * reading    the measuring step the axis means
 * distance   of a girth from its landmark, where the family leaves it to the model
 * resolution the step between printed numbers
 * size       sizes rise in the order of the file
 * from, to   as printed, both ends included
 */
export const chartColumns = [
  'model',
  'name',
  'maker',
  'family',
  'sided',
  'supply',
  'between',
  'disagree',
  'reading',
  'distance',
  'resolution',
  'size',
  'from',
  'to',
] as const;
type Column = (typeof chartColumns)[number];

export interface ChartFault {
  /** counted from 1, the header being row 1 */
  row: number;
  column: Column | '';
  fault:
    | 'column-missing'
    | 'column-unknown'
    | 'not-a-number'
    | 'empty'
    | 'not-an-id'
    | 'unknown-family'
    | 'unknown-reading'
    | 'not-one-of'
    | 'differs-within-model'
    | 'twice'
    | 'needs-a-base'
    | 'not-whole'
    | 'not-csv';
  /** what stands there, or what is wanted */
  detail?: string;
}

/** Models as a chart file: what the file has no column for (hinges, pads, tables, belts) stays in Estribo. */
export function chartsToCsv(models: readonly BraceModel[], programmes: readonly Programme[]): string {
  const rows = models.flatMap((model) => {
    const programme = programmes.find(({ id }) => id === model.programme);
    return model.chart.axes.flatMap((axis) => {
      const step = programme?.measuring.find(({ id }) => id === axis.reading);
      return axis.bands.map(({ size, from, to }) => ({
        model: model.id,
        name: model.name,
        maker: model.maker,
        family: model.programme,
        sided: model.sided ? 'yes' : 'no',
        supply: model.chart.supply ?? 'stock',
        between: model.chart.between,
        disagree: model.chart.disagree,
        reading: axis.reading,
        distance: step && leftToModel(step) ? String(model.distances[axis.reading] ?? '') : '',
        resolution: String(axis.resolution),
        size,
        from: String(from),
        to: String(to),
      }));
    });
  });
  return Papa.unparse({ fields: [...chartColumns], data: rows }, { newline: '\r\n' });
}

const leftToModel = (step: ProtocolStep): boolean => step.kind === 'girth' && step.distance === 'model';

type Row = Record<Column, string>;

/**
 * Models from a chart file. A model that exists keeps what the file does not carry and gets a new version;
 * a new one takes that from a model of its family. All faults are told, each with its row and column; with
 * one fault nothing is imported.
 * @param text of the file, RFC 4180
 * @param programmes the families there are
 * @param known the newest version of each model there is
 */
export function chartsFromCsv(
  text: string,
  programmes: readonly Programme[],
  known: readonly BraceModel[],
): { ok: true; models: BraceModel[] } | { ok: false; faults: ChartFault[] } {
  const parsed = Papa.parse<Row>(text.replace(/^\uFEFF/, ''), { header: true, skipEmptyLines: 'greedy' });
  const fields = parsed.meta.fields ?? [];
  const faults: ChartFault[] = [
    ...chartColumns
      .filter((column) => !fields.includes(column))
      .map((column) => ({ row: 1, column, fault: 'column-missing' as const })),
    ...fields
      .filter((field) => !(chartColumns as readonly string[]).includes(field))
      .map((field) => ({ row: 1, column: '' as const, fault: 'column-unknown' as const, detail: field })),
    ...parsed.errors
      .filter(({ code }) => code !== 'UndetectableDelimiter')
      .map(({ row, message }) => ({
        row: (row ?? 0) + 2,
        column: '' as const,
        fault: 'not-csv' as const,
        detail: message,
      })),
  ];
  if (faults.length > 0) return { ok: false, faults };
  const rows = parsed.data.map((row, i) => ({
    at: i + 2,
    row: Object.fromEntries(chartColumns.map((column) => [column, (row[column] ?? '').trim()])) as Row,
  }));
  if (rows.length === 0) return { ok: false, faults: [{ row: 2, column: 'model', fault: 'empty' }] };
  const say = (at: number, column: Column | '', fault: ChartFault['fault'], detail?: string) =>
    faults.push({ row: at, column, fault, ...(detail === undefined ? {} : { detail }) });
  const models = [...new Set(rows.map(({ row }) => row.model))].flatMap((id) => {
    const own = rows.filter(({ row }) => row.model === id);
    const model = readModel(id, own, programmes, known, say);
    return model ? [model] : [];
  });
  return faults.length > 0
    ? { ok: false, faults: faults.sort((a, b) => a.row - b.row) }
    : { ok: true, models };
}

type Say = (at: number, column: Column | '', fault: ChartFault['fault'], detail?: string) => void;

function readModel(
  id: string,
  rows: { at: number; row: Row }[],
  programmes: readonly Programme[],
  known: readonly BraceModel[],
  say: Say,
): BraceModel | undefined {
  const [first] = rows;
  const { at, row } = first!;
  if (!/^[a-z0-9][a-z0-9-]{0,79}$/.test(id))
    return void say(at, 'model', id === '' ? 'empty' : 'not-an-id', id);
  const programme = programmes.find((one) => one.id === row.family);
  if (!programme) return void say(at, 'family', 'unknown-family', row.family);
  const wanted: [Column, readonly string[]][] = [
    ['sided', ['yes', 'no']],
    ['supply', ['stock', 'both', 'made-to-measure']],
    ['between', betweenRules],
    ['disagree', disagreeRules],
  ];
  for (const [column, values] of wanted)
    if (!values.includes(row[column])) say(at, column, 'not-one-of', values.join(', '));
  for (const column of ['name', 'maker'] as const) if (row[column] === '') say(at, column, 'empty');
  const ofTheModel: Column[] = ['name', 'maker', 'family', 'sided', 'supply', 'between', 'disagree'];
  for (const other of rows.slice(1))
    for (const column of ofTheModel)
      if (other.row[column] !== row[column]) say(other.at, column, 'differs-within-model', row[column]);
  const distances: Record<string, number> = {};
  const axes = [...new Set(rows.map((one) => one.row.reading))].flatMap((reading) =>
    readAxis(
      reading,
      rows.filter((one) => one.row.reading === reading),
      programme,
      distances,
      say,
    ),
  );
  const sizes = [...new Set(rows.map((one) => one.row.size))];
  const base = known.find((one) => one.id === id) ?? known.find((one) => one.programme === row.family);
  if (!base) return void say(at, 'family', 'needs-a-base', row.family);
  const own = base.id === id;
  const { table: _table, heights, belt, extension, ...kept } = base.chart;
  const chart: Chart = {
    ...kept,
    // a table's cells are not in the file: it stays while its rows and columns do
    ...(base.chart.table && own && sameBands(base.chart.axes, axes) ? { table: base.chart.table } : {}),
    ...(own && heights ? { heights } : {}),
    ...(own && belt ? { belt } : {}),
    ...(own && extension ? { extension } : {}),
    version: own ? base.chart.version + 1 : 1,
    sizes: base.chart.table && own ? base.chart.sizes : sizes,
    axes,
    between: row.between as Chart['between'],
    disagree: row.disagree as Chart['disagree'],
    ...(row.supply === 'stock' ? {} : { supply: row.supply as NonNullable<Chart['supply']> }),
  };
  if (row.supply === 'stock') delete chart.supply;
  const model: BraceModel = {
    ...base,
    id,
    version: own ? base.version + 1 : 1,
    name: row.name,
    maker: row.maker,
    programme: row.family,
    sided: row.sided === 'yes',
    invented: own ? base.invented : false,
    distances: { ...base.distances, ...distances },
    chart,
  };
  if (modelProblems(model, programme).length > 0 || !modelSchema.isValidSync(model, { strict: true }))
    say(at, 'model', 'not-whole', id);
  return model;
}

const sameBands = (before: readonly ChartAxis[], now: readonly ChartAxis[]): boolean =>
  before.length === now.length && before.every(({ bands }, i) => bands.length === now[i]!.bands.length);

function readAxis(
  reading: string,
  rows: { at: number; row: Row }[],
  programme: Programme,
  distances: Record<string, number>,
  say: Say,
): ChartAxis[] {
  const { at, row } = rows[0]!;
  const step = programme.measuring.find(({ id }) => id === reading);
  if (!step || !programme.axes.includes(reading)) {
    say(at, 'reading', reading === '' ? 'empty' : 'unknown-reading', programme.axes.join(', '));
    return [];
  }
  const inMillimetres = unitOf(step) === 'mm';
  const number = (where: number, column: Column, text: string, signed = false): number => {
    if (text === '') {
      say(where, column, 'empty');
      return 0;
    }
    const minus = signed && /^[-−]/.test(text);
    const body = minus ? text.slice(1) : text;
    const length = inMillimetres && instrumentOf(step) !== 'scale' ? parseLength(body, 'mm') : undefined;
    const plain = Number(body.replace(',', '.'));
    const value = length?.ok ? length.millimetres : Number.isFinite(plain) ? plain : undefined;
    if (value === undefined) {
      say(where, column, 'not-a-number', text);
      return 0;
    }
    return minus ? -value : value;
  };
  if (leftToModel(step)) distances[reading] = number(at, 'distance', row.distance, true);
  const resolution = row.resolution === '' ? 0 : number(at, 'resolution', row.resolution);
  for (const other of rows.slice(1))
    for (const column of ['distance', 'resolution'] as const)
      if (other.row[column] !== row[column]) say(other.at, column, 'differs-within-model', row[column]);
  const seen = new Set<string>();
  const bands = rows.map((one) => {
    const { size } = one.row;
    if (size === '') say(one.at, 'size', 'empty');
    if (seen.has(size)) say(one.at, 'size', 'twice', size);
    seen.add(size);
    return { size, from: number(one.at, 'from', one.row.from), to: number(one.at, 'to', one.row.to) };
  });
  return [{ reading, resolution, bands }];
}
