import { hardwareKinds, statedSchema } from '../setting';
import { group } from 'd3-array';
import Papa from 'papaparse';
import { partSchema, type Part } from '../brace';
import { isMeasured, unitOf, type ProtocolStep } from '../measuring';
import { heightNames } from '../order';
import {
  chartBandFaults,
  kneeStrap,
  modelProblems,
  modelSchema,
  withIncrement,
  type BraceModel,
  type ModelProblem,
  type Programme,
} from '../programmes';
import { parseLength } from '../quantity';
import {
  betweenRules,
  disagreeRules,
  mostBands,
  mostSizes,
  type Belt,
  type Chart,
  type ChartAxis,
  type HeightChoice,
} from '../sizing';
import {
  beltParts,
  chartColumns,
  chartStatements,
  hingeParts,
  leftToModel,
  wearParts,
  type ChartColumn,
  type ChartRow,
} from './chart-csv';
import { plainCell } from './csv-cell';

export interface ChartFault {
  /** counted from 1, the header being row 1 */
  row: number;
  column: ChartColumn | '';
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
    | 'needs-two-axes'
    | 'missing'
    | 'reversed'
    | 'no-body'
    | 'not-whole'
    | 'not-csv'
    | 'too-many';
  /** what stands there, or what is wanted */
  detail?: string;
}

type Say = (at: number, column: ChartColumn | '', fault: ChartFault['fault'], detail?: string) => void;
/** So many faults are told: who has more mends these first. */
const mostFaults = 500;

interface FileRow {
  at: number;
  row: ChartRow;
}

/** The models that a chart file is about, by their ids, each once. */
export function modelsInCsv(text: string): string[] {
  const { data } = Papa.parse<{ model?: string }>(text.replace(/^\uFEFF/, ''), {
    header: true,
    skipEmptyLines: 'greedy',
    transform: plainCell,
  });
  return [...new Set(data.map(({ model }) => (model ?? '').trim()))];
}

/**
 * Models from a chart file. A model that exists keeps what the file does not state of it and gets a new version; a
 * new one has only what the file states: nothing is taken from another model, what its family needs and is not
 * there is asked for, and it counts as unconfirmed until somebody says that its numbers are the maker's. All
 * faults are told, each with its row and column; with one fault nothing is imported.
 * @param text of the file, RFC 4180
 * @param programmes the families there are
 * @param known the newest version of each model there is
 */
export function chartsFromCsv(
  text: string,
  programmes: readonly Programme[],
  known: readonly BraceModel[],
): { ok: true; models: BraceModel[] } | { ok: false; faults: ChartFault[] } {
  const parsed = Papa.parse<ChartRow>(text.replace(/^\uFEFF/, ''), {
    header: true,
    skipEmptyLines: 'greedy',
    transform: plainCell,
  });
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
  if (faults.length > 0) return { ok: false, faults: faults.slice(0, mostFaults) };
  const rows = parsed.data.map((row, i) => ({
    at: i + 2,
    row: nowCalled(
      Object.fromEntries(chartColumns.map((column) => [column, (row[column] ?? '').trim()])) as ChartRow,
    ),
  }));
  if (rows.length === 0) return { ok: false, faults: [{ row: 2, column: 'model', fault: 'empty' }] };
  const say: Say = (at, column, fault, detail) => {
    if (faults.length < mostFaults)
      faults.push({ row: at, column, fault, ...(detail === undefined ? {} : { detail }) });
  };
  const models = [...group(rows, ({ row }) => row.model)].flatMap(
    ([id, own]) => readModel(id, own, programmes, known, say) ?? [],
  );
  return faults.length > 0
    ? { ok: false, faults: faults.sort((a, b) => a.row - b.row) }
    : { ok: true, models };
}

function readModel(
  id: string,
  rows: readonly FileRow[],
  programmes: readonly Programme[],
  known: readonly BraceModel[],
  say: Say,
): BraceModel | undefined {
  const { at, row } = rows[0]!;
  if (!/^[a-z0-9][a-z0-9-]{0,79}$/.test(id))
    return void say(at, 'model', id === '' ? 'empty' : 'not-an-id', id);
  // what follows compares sizes with each other: their number is bounded first
  const beyond = beyondBounds(rows);
  if (beyond) return void say(beyond.at, 'size', 'too-many', String(beyond.most));
  const programme = programmes.find((one) => one.id === row.family);
  if (!programme) return void say(at, 'family', 'unknown-family', row.family);
  sayOfTheModel(rows, say);
  const base = known.find((one) => one.id === id);
  const { axes, distances } = readAxes(rows, programme, say);
  const chart: Chart = {
    version: base ? base.chart.version + 1 : 1,
    sizes: sizesOf(rows),
    axes,
    between: row.between as Chart['between'],
    disagree: row.disagree as Chart['disagree'],
    ...readTable(stating('cell', rows), axes, say),
    ...(row.supply === 'stock' ? {} : { supply: row.supply as NonNullable<Chart['supply']> }),
    ...readHeights(stating('height', rows), programme, say),
    ...readBelt(stating('belt', rows), say),
    ...readSideExtension(stating('side-extension', rows), say),
  };
  const model: BraceModel = {
    ...(base ?? nothingStated),
    id,
    version: base ? base.version + 1 : 1,
    name: row.name,
    maker: row.maker,
    programme: row.family,
    sided: row.sided === 'yes',
    // a new model's numbers count as unconfirmed until somebody says that they are the maker's
    invented: base?.invented ?? true,
    distances: { ...base?.distances, ...distances },
    chart,
    ...readHinge(stating('stop', rows), say),
    ...readSettings(stating('setting', rows), base, say),
    ...readVariant(stating('variant', rows), say),
    ...readTolerances(stating('tolerance', rows), base, say),
    ...readParts(stating('part', rows), stating('strap', rows), base, say),
    ...readWear(stating('wear', rows), say),
  };
  sayBandFaults(chart, programme, rows, say);
  const missing = modelProblems(model, programme);
  for (const problem of missing) say(at, 'states', 'missing', missingIn(problem));
  if (missing.length === 0 && !modelSchema.isValidSync(model, { strict: true }))
    say(at, 'model', 'not-whole', id);
  return model;
}

/** A model of which nothing is stated yet. */
const nothingStated: Pick<BraceModel, 'parts' | 'tolerances'> = {
  parts: [],
  tolerances: {},
};

/** What a model leaves out, as the row that would state it. */
function missingIn(problem: ModelProblem): string {
  switch (problem.problem) {
    case 'no-hinge':
      return 'stop, extension; stop, flexion';
    case 'no-tolerance':
      return `tolerance, ${problem.check}`;
    case 'no-setting':
      return `setting, ${problem.setting}`;
    case 'no-part':
      return `part, ${problem.part}`;
    case 'no-distance':
      return `distance, ${problem.step}`;
    case 'no-check':
      return `check, ${problem.check}`;
    case 'no-words':
      return `words, ${problem.step}`;
    case 'foreign-axis':
      return `band, ${problem.reading}`;
  }
}

/** Bands that no body can have, each at its row. */
function sayBandFaults(chart: Chart, programme: Programme, rows: readonly FileRow[], say: Say): void {
  const rowOf = new Map(
    stating('band', rows)
      .toReversed()
      .map((one) => [JSON.stringify([one.row.reading, one.row.size]), one]),
  );
  for (const { axis, band, end, fault } of chartBandFaults(chart, programme)) {
    const { reading, bands } = chart.axes[axis]!;
    const own = rowOf.get(JSON.stringify([reading, bands[band]!.size]))!;
    // a number that could not be read has been told already
    if (own.row[end] !== '') say(own.at, end, fault, `${own.row.from} – ${own.row.to}`);
  }
}

/** A row as it is called now: files of before had one word for a side extension and for a hinge's end, one for a spacing and a step. */
const nowCalled = (row: ChartRow): ChartRow =>
  row.states === 'extension'
    ? { ...row, states: 'side-extension' }
    : row.states === 'belt' && row.size === 'mark-step'
      ? { ...row, size: 'mark-spacing' }
      : row;

const stating = (statement: (typeof chartStatements)[number], rows: readonly FileRow[]): FileRow[] =>
  rows.filter(({ row }) => row.states === statement);

/** Of a two-way table the sizes stand in its cells, otherwise on its bands. */
function sizesOf(rows: readonly FileRow[]): string[] {
  const [cells, bands] = [stating('cell', rows), stating('band', rows)];
  const named = cells.length > 0 ? cells : bands.length > 0 ? bands : stating('size', rows);
  return [...new Set(named.map(({ row }) => row.size))];
}

/** The first row beyond what a model may have: sizes, and bands of one reading. */
function beyondBounds(rows: readonly FileRow[]): { at: number; most: number } | undefined {
  const sizes = new Set(sizesOf(rows));
  if (sizes.size > mostSizes) {
    const first = new Set([...sizes].slice(0, mostSizes));
    const { at } = rows.find(({ row }) => sizes.has(row.size) && !first.has(row.size))!;
    return { at, most: mostSizes };
  }
  for (const bands of group(stating('band', rows), ({ row }) => row.reading).values())
    if (bands.length > mostBands) return { at: bands[mostBands]!.at, most: mostBands };
  return undefined;
}

/** What every row of a model says alike. */
function sayOfTheModel(rows: readonly FileRow[], say: Say): void {
  const { at, row } = rows[0]!;
  const wanted: [ChartColumn, readonly string[]][] = [
    ['sided', ['yes', 'no']],
    ['supply', ['stock', 'both', 'made-to-measure']],
    ['between', betweenRules],
    ['disagree', disagreeRules],
  ];
  for (const [column, values] of wanted)
    if (!values.includes(row[column])) say(at, column, 'not-one-of', values.join(', '));
  for (const column of ['name', 'maker'] as const) if (row[column] === '') say(at, column, 'empty');
  const alike = ['name', 'maker', 'family', 'sided', 'supply', 'between', 'disagree'] as const;
  sayDiffering(rows, alike, say);
  for (const one of rows)
    if (!(chartStatements as readonly string[]).includes(one.row.states))
      say(one.at, 'states', 'not-one-of', chartStatements.join(', '));
}

function sayDiffering(rows: readonly FileRow[], columns: readonly ChartColumn[], say: Say): void {
  const { row } = rows[0]!;
  for (const other of rows.slice(1))
    for (const column of columns)
      if (other.row[column] !== row[column]) say(other.at, column, 'differs-within-model', row[column]);
}

/** A cell as a number: of what is measured in mm with its unit, where it has one. */
function numberIn(
  { at, row }: FileRow,
  column: ChartColumn,
  unit: ReturnType<typeof unitOf>,
  say: Say,
  signed = false,
): number {
  const text = row[column];
  if (text === '') {
    say(at, column, 'empty');
    return 0;
  }
  const minus = signed && /^[-−]/.test(text);
  const body = minus ? text.slice(1) : text;
  const length = unit === 'mm' ? parseLength(body, 'mm') : undefined;
  const plain = Number(body.replace(',', '.'));
  const value = length?.ok ? length.millimetres : Number.isFinite(plain) ? plain : undefined;
  if (value === undefined) {
    say(at, column, 'not-a-number', text);
    return 0;
  }
  return minus ? -value : value;
}

function readAxes(
  rows: readonly FileRow[],
  programme: Programme,
  say: Say,
): { axes: ChartAxis[]; distances: Record<string, number> } {
  const distances: Record<string, number> = {};
  const axes = [...group(stating('band', rows), ({ row }) => row.reading).values()].flatMap((bands) =>
    readAxis(bands, programme, distances, say),
  );
  for (const one of stating('distance', rows)) {
    const step = stepOf(one, programme.measuring.filter(leftToModel), say);
    if (step) distances[step.id] = numberIn(one, 'distance', 'mm', say, true);
  }
  return { axes, distances };
}

function stepOf({ at, row }: FileRow, steps: readonly ProtocolStep[], say: Say): ProtocolStep | undefined {
  const step = steps.find(({ id }) => id === row.reading);
  if (!step)
    say(
      at,
      'reading',
      row.reading === '' ? 'empty' : 'unknown-reading',
      steps.map(({ id }) => id).join(', '),
    );
  return step;
}

function readAxis(
  rows: readonly FileRow[],
  programme: Programme,
  distances: Record<string, number>,
  say: Say,
): ChartAxis[] {
  const [first] = rows;
  const step = stepOf(
    first!,
    programme.measuring.filter(({ id }) => programme.axes.includes(id)),
    say,
  );
  if (!isMeasured(step)) return [];
  const unit = unitOf(step);
  if (leftToModel(step)) distances[step.id] = numberIn(first!, 'distance', 'mm', say, true);
  const resolution = first!.row.resolution === '' ? 0 : numberIn(first!, 'resolution', unit, say);
  sayDiffering(rows, ['distance', 'resolution'], say);
  saySizesTwice(rows, say);
  const bands = rows.map((one) => {
    if (one.row.size === '') say(one.at, 'size', 'empty');
    return {
      size: one.row.size,
      from: numberIn(one, 'from', unit, say),
      to: numberIn(one, 'to', unit, say),
    };
  });
  return [{ reading: step.id, resolution, bands }];
}

function saySizesTwice(rows: readonly FileRow[], say: Say): void {
  for (const [size, alike] of group(rows, ({ row }) => row.size))
    for (const { at } of alike.slice(1)) say(at, 'size', 'twice', size);
}

function readTable(rows: readonly FileRow[], axes: readonly ChartAxis[], say: Say): Pick<Chart, 'table'> {
  if (rows.length === 0) return {};
  if (axes.length !== 2) {
    say(rows[0]!.at, 'states', 'needs-two-axes');
    return {};
  }
  const [down, across] = axes.map(({ bands }) => bands.map(({ size }) => size)) as [string[], string[]];
  const table = down.map(() => across.map(() => ''));
  for (const { at, row } of rows) {
    const [i, j] = [down.indexOf(row.row), across.indexOf(row.column)];
    if (i < 0) say(at, 'row', 'not-one-of', down.join(', '));
    if (j < 0) say(at, 'column', 'not-one-of', across.join(', '));
    if (row.size === '') say(at, 'size', 'empty');
    if (i < 0 || j < 0) continue;
    if (table[i]![j] !== '') say(at, 'row', 'twice', `${row.row}, ${row.column}`);
    table[i]![j] = row.size;
  }
  return { table };
}

function readHeights(rows: readonly FileRow[], programme: Programme, say: Say): Pick<Chart, 'heights'> {
  if (rows.length === 0) return {};
  saySizesTwice(rows, say);
  const heights = rows.map((one): HeightChoice => {
    const { size, reading } = one.row;
    const height = heightNames.find((name) => name === size);
    if (!height) say(one.at, 'size', 'not-one-of', heightNames.join(', '));
    const step = reading === '' ? undefined : stepOf(one, programme.measuring, say);
    const end = (column: 'from' | 'to') =>
      isMeasured(step) && one.row[column] !== ''
        ? { [column]: numberIn(one, column, unitOf(step), say) }
        : {};
    return {
      height: height ?? heightNames[0],
      ...(step ? { reading: step.id } : {}),
      ...end('from'),
      ...end('to'),
    };
  });
  return { heights };
}

function readBelt(rows: readonly FileRow[], say: Say): Pick<Chart, 'belt'> {
  if (rows.length === 0) return {};
  saySizesTwice(rows, say);
  const parts = Object.keys(beltParts);
  for (const { at, row } of rows)
    if (!parts.includes(row.size)) say(at, 'size', 'not-one-of', parts.join(', '));
  const missing = parts.filter((part) => !rows.some(({ row }) => row.size === part));
  if (missing.length > 0) {
    say(rows[0]!.at, 'size', 'not-whole', missing.join(', '));
    return {};
  }
  const part = (name: keyof typeof beltParts) =>
    numberIn(
      rows.find(({ row }) => row.size === name)!,
      'from',
      'mm',
      say,
    );
  const belt: Belt = {
    overlap: part('overlap'),
    backPanel: part('back-panel'),
    marks: { first: part('first-mark'), spacing: part('mark-spacing'), count: part('marks') },
  };
  return { belt };
}

function readSideExtension(rows: readonly FileRow[], say: Say): Pick<Chart, 'sideExtension'> {
  const [first, second] = rows;
  if (!first) return {};
  if (second) say(second.at, 'states', 'twice', 'side-extension');
  return { sideExtension: { upTo: numberIn(first, 'to', 'mm', say) } };
}

const hingeStates = ['extension', 'flexion', 'lock', 'hardware', ...Object.keys(hingeParts)];

/** The pieces of the hinge; the file states all of them or none. */
function readHinge(rows: readonly FileRow[], say: Say): Pick<BraceModel, 'hinge'> {
  if (rows.length === 0) return {};
  for (const { at, row } of rows)
    if (!hingeStates.includes(row.size)) say(at, 'size', 'not-one-of', hingeStates.join(', '));
  const pieces = (end: string) =>
    rows.filter(({ row }) => row.size === end).map((one) => numberIn(one, 'from', 'degrees', say, true));
  const [hardware, second] = rows.filter(({ row }) => row.size === 'hardware');
  if (second) say(second.at, 'size', 'twice', 'hardware');
  const kind = hardwareKinds.find((one) => one === hardware?.row.row);
  if (hardware && !kind) say(hardware.at, 'row', 'not-one-of', hardwareKinds.join(', '));
  const lock = pieces('lock');
  const [extension, flexion, gives] = Object.keys(hingeParts).map((size) => {
    const [one, more] = rows.filter(({ row }) => row.size === size);
    if (more) say(more.at, 'size', 'twice', size);
    return one && numberIn(one, 'from', 'degrees', say, true);
  });
  const isInstalled = extension !== undefined || flexion !== undefined;
  return {
    hinge: {
      ...(kind ? { kind } : {}),
      extension: pieces('extension'),
      flexion: pieces('flexion'),
      ...(lock.length > 0 ? { lock } : {}),
      ...(isInstalled
        ? {
            installed: {
              ...(extension === undefined ? {} : { extension }),
              ...(flexion === undefined ? {} : { flexion }),
            },
          }
        : {}),
      ...(gives === undefined ? {} : { gives }),
    },
  };
}

/** What a model states of its family's settings, each as JSON in the place of the model's own before. */
function readSettings(
  rows: readonly FileRow[],
  base: BraceModel | undefined,
  say: Say,
): Pick<BraceModel, 'settings'> {
  if (rows.length === 0) return {};
  saySizesTwice(rows, say);
  const stated = rows.flatMap((one) => {
    try {
      const own = withIncrement(JSON.parse(one.row.row) as object);
      statedSchema.validateSync({ [one.row.size]: own }, { strict: true });
      return [[one.row.size, own] as const];
    } catch {
      say(one.at, 'row', 'not-whole', one.row.size);
      return [];
    }
  });
  return { settings: { ...base?.settings, ...Object.fromEntries(stated) } };
}

/** Which of its family's variants it is, where it says so. */
function readVariant([first, second]: readonly FileRow[], say: Say): Pick<BraceModel, 'variant'> {
  if (second) say(second.at, 'states', 'twice', 'variant');
  return first ? { variant: first.row.size } : {};
}

/** Tolerances of checks, each in the place of the model's own before. */
function readTolerances(
  rows: readonly FileRow[],
  base: BraceModel | undefined,
  say: Say,
): Pick<BraceModel, 'tolerances'> {
  saySizesTwice(rows, say);
  const stated = rows.map((one) => {
    if (one.row.size === '') say(one.at, 'size', 'empty');
    return [
      one.row.size,
      { from: numberIn(one, 'from', 'mm', say, true), to: numberIn(one, 'to', 'mm', say, true) },
    ] as const;
  });
  return { tolerances: { ...base?.tolerances, ...Object.fromEntries(stated) } };
}

/** A model's own parts: each as JSON, or a strap of a knee frame by its number, its face and its level. */
function readParts(
  parts: readonly FileRow[],
  straps: readonly FileRow[],
  base: BraceModel | undefined,
  say: Say,
): Partial<Pick<BraceModel, 'parts'>> {
  if (parts.length + straps.length === 0) return {};
  saySizesTwice(parts, say);
  saySizesTwice(straps, say);
  return {
    parts: [
      // straps alone are stated: the rest of the brace is as it was
      ...(parts.length === 0 ? (base?.parts ?? []).filter(({ kind }) => kind !== 'strap') : []),
      ...parts.flatMap((one): Part[] => {
        const part = partIn(one.row.row);
        if (part && part.id === one.row.size) return [part];
        say(one.at, part ? 'size' : 'row', 'not-whole', one.row.size);
        return [];
      }),
      ...straps.map((one) => {
        const face = one.row.row === 'front' ? 'front' : 'back';
        if (one.row.row !== face) say(one.at, 'row', 'not-one-of', 'front, back');
        return kneeStrap(numberIn(one, 'size', 'years', say), numberIn(one, 'from', 'mm', say, true), face);
      }),
    ],
  };
}

/** A part from its JSON. */
function partIn(text: string): Part | undefined {
  try {
    return partSchema.validateSync(JSON.parse(text), { strict: true }) as Part;
  } catch {
    return undefined;
  }
}

function readWear(rows: readonly FileRow[], say: Say): Pick<BraceModel, 'wear'> {
  if (rows.length === 0) return {};
  saySizesTwice(rows, say);
  const parts = Object.keys(wearParts) as (keyof typeof wearParts)[];
  for (const { at, row } of rows)
    if (!(parts as string[]).includes(row.size)) say(at, 'size', 'not-one-of', parts.join(', '));
  const missing = parts.filter((part) => !rows.some(({ row }) => row.size === part));
  if (missing.length > 0) {
    say(rows[0]!.at, 'size', 'not-whole', missing.join(', '));
    return {};
  }
  const part = (name: keyof typeof wearParts) =>
    numberIn(
      rows.find(({ row }) => row.size === name)!,
      'from',
      'years',
      say,
    );
  return {
    wear: {
      firstDay: part('first-day'),
      grow: part('grow'),
      everyDays: part('every-days'),
      ceiling: part('ceiling'),
    },
  };
}
