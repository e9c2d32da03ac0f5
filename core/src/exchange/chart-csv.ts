import Papa from 'papaparse';
import type { Part } from '../brace';
import type { ProtocolStep } from '../measuring';
import { canonicalText, kneeStrap, type BraceModel, type Programme } from '../programmes';
import type { StopHardware } from '../setting';
import type { Belt, Chart } from '../sizing';
import { formula } from './csv-cell';

/**
 * The header of a size chart's file. Every row states one thing of a model, and a model's rows state its whole
 * chart. Lengths are in mm, or carry their unit ("36,5 cm", "14 3/8 in"); ages are in years, weights in kg.
 *
 * model      id: small letters, digits, hyphens
 * name       as it is called
 * maker
 * family     the programme's id
 * sided      yes when left and right are two braces
 * supply     stock, both or made-to-measure
 * between    larger, smaller, nearer or ask
 * disagree   primary, larger or made-to-measure
 * states     what the row states, see below
 * reading    the measuring step
 * distance   of a girth from its landmark, where the family leaves it to the model
 * resolution what lies between printed numbers
 * row        of a two-way table: the band on the first axis
 * column     the band on the second
 * size
 * from, to   as printed, both ends included
 *
 * band       a size's (of a two-way table: a row's or column's) band on an axis; sizes rise in this order
 * cell       the size where a row and a column of the two-way table meet; sizes rise in the order they come
 * distance   of a girth that is no axis
 * height     short, tall, low or high, by a reading's range or by the order
 * belt       overlap, back-panel, first-mark, mark-spacing and marks, each with its number in `from`
 * side-extension  up to which reading of the first axis side extensions take the largest size, in `to`
 * size       the one size of a brace for which nothing is read
 * stop       a piece of the hinge: extension, flexion or lock in `size`, its degrees in `from`; or hardware in `size` and in
 *            `row` what it is: wedges, dial or screwed
 *            installed-extension, installed-flexion: the piece that is in when it comes; gives: what soft tissue lets go
 * setting    what it states of one of its family's settings: its id in `size`, as JSON in `row`
 * variant    which of its family's variants it is, in `size`
 * tolerance  of a check that is left to the model: the check in `size`, from and to in mm
 * part       a part of the brace: its id in `size`, all of it as JSON in `row`
 * strap      where a strap of a knee frame lies: its number in `size`, front or back in `row`, mm from the landmark in `from`
 * wear       first-day, grow, ceiling (minutes) and every-days, each with its number in `from`
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
  'states',
  'reading',
  'distance',
  'resolution',
  'row',
  'column',
  'size',
  'from',
  'to',
] as const;
export type ChartColumn = (typeof chartColumns)[number];
export type ChartRow = Record<ChartColumn, string>;

export const chartStatements = [
  'band',
  'cell',
  'distance',
  'height',
  'belt',
  'side-extension',
  'size',
  'stop',
  'variant',
  'tolerance',
  'setting',
  'part',
  'strap',
  'wear',
] as const;

/** What a belt's rows are called in the file, and where it stands. */
export const beltParts = {
  overlap: ({ overlap }: Belt) => overlap,
  'back-panel': ({ backPanel }: Belt) => backPanel,
  'first-mark': ({ marks }: Belt) => marks.first,
  'mark-spacing': ({ marks }: Belt) => marks.spacing,
  marks: ({ marks }: Belt) => marks.count,
} as const;

/** What a wear rule's rows are called in the file, and where they stand. */
export const wearParts = {
  'first-day': 'firstDay',
  grow: 'grow',
  'every-days': 'everyDays',
  ceiling: 'ceiling',
} as const satisfies Record<string, keyof NonNullable<BraceModel['wear']>>;

/** Whether a family leaves the distance of a step to the model. */
export const leftToModel = (step: ProtocolStep): boolean =>
  step.kind === 'girth' && step.distance === 'model';

/** Models as a chart file. What may be bent stays in Estribo. */
export function chartsToCsv(models: readonly BraceModel[], programmes: readonly Programme[]): string {
  const rows = models.flatMap((model) => {
    const steps = programmes.find(({ id }) => id === model.programme)?.measuring ?? [];
    const ofTheModel = {
      model: model.id,
      name: model.name,
      maker: model.maker,
      family: model.programme,
      sided: model.sided ? 'yes' : 'no',
      supply: model.chart.supply ?? 'stock',
      between: model.chart.between,
      disagree: model.chart.disagree,
    };
    return stated(model, steps).map((row) => ({ ...ofTheModel, ...row }));
  });
  return Papa.unparse(
    { fields: [...chartColumns], data: rows },
    { newline: '\r\n', escapeFormulae: formula },
  );
}

/** What a hinge's further rows are called in the file, and where they stand. */
export const hingeParts = {
  'installed-extension': ({ installed }: StopHardware) => installed?.extension,
  'installed-flexion': ({ installed }: StopHardware) => installed?.flexion,
  gives: ({ gives }: StopHardware) => gives,
} as const;

function stated(
  { chart, distances, hinge, settings, variant, tolerances, parts, wear }: BraceModel,
  steps: readonly ProtocolStep[],
): Partial<ChartRow>[] {
  const { axes, heights = [], belt, sideExtension } = chart;
  const number = (value: number | undefined) => (value === undefined ? '' : String(value));
  const isAxis = (id: string) => axes.some(({ reading }) => reading === id);
  const own = steps.filter(leftToModel).map(({ id }) => id);
  return [
    ...axes.flatMap(({ reading, resolution, bands }) =>
      bands.map(({ size, from, to }) => ({
        states: 'band',
        reading,
        distance: own.includes(reading) ? number(distances[reading]) : '',
        resolution: number(resolution),
        size,
        from: number(from),
        to: number(to),
      })),
    ),
    ...cellsOf(chart).map((cell) => ({ states: 'cell', ...cell })),
    ...own
      .filter((id) => !isAxis(id))
      .map((reading) => ({ states: 'distance', reading, distance: number(distances[reading]) })),
    ...heights.map(({ height, reading = '', from, to }) => ({
      states: 'height',
      reading,
      size: height,
      from: number(from),
      to: number(to),
    })),
    ...Object.entries(belt ? beltParts : {}).map(([size, of]) => ({
      states: 'belt',
      size,
      from: number(of(belt!)),
    })),
    ...(sideExtension ? [{ states: 'side-extension', to: number(sideExtension.upTo) }] : []),
    ...(axes.length === 0 ? chart.sizes.map((size) => ({ states: 'size', size })) : []),
    ...(['extension', 'flexion', 'lock'] as const).flatMap((size) =>
      (hinge?.[size] ?? []).map((piece) => ({ states: 'stop', size, from: number(piece) })),
    ),
    ...(hinge?.kind ? [{ states: 'stop', size: 'hardware', row: hinge.kind }] : []),
    ...Object.entries(hinge ? hingeParts : {}).flatMap(([size, of]) => {
      const piece = of(hinge!);
      return piece === undefined ? [] : [{ states: 'stop', size, from: number(piece) }];
    }),
    ...Object.entries(settings ?? {}).map(([size, own]) => ({
      states: 'setting',
      size,
      row: canonicalText(own),
    })),
    ...(variant ? [{ states: 'variant', size: variant }] : []),
    ...Object.entries(tolerances).map(([size, { from, to }]) => ({
      states: 'tolerance',
      size,
      from: number(from),
      to: number(to),
    })),
    ...parts
      .filter((part) => !strapAsRow(part))
      .map((part) => ({ states: 'part', size: part.id, row: canonicalText(part) })),
    ...parts.flatMap((part) => strapAsRow(part) ?? []),
    ...(wear
      ? Object.entries(wearParts).map(([size, part]) => ({ states: 'wear', size, from: number(wear[part]) }))
      : []),
  ];
}

/** A strap that goes round a knee at one level is stated by its number, face and level; any other part as JSON. */
function strapAsRow(part: Part): Partial<ChartRow> | undefined {
  if (part.kind !== 'strap' || part.mark === undefined) return undefined;
  const { face, offset = 0 } = part.course[1]!;
  if (face !== 'front' && face !== 'back') return undefined;
  return canonicalText(kneeStrap(Number(part.mark), offset, face)) === canonicalText(part)
    ? { states: 'strap', size: part.mark, row: face, from: String(offset) }
    : undefined;
}

/** The cells of a two-way table that have a size, the smallest size first. */
function cellsOf({ table = [], axes, sizes }: Chart): Pick<ChartRow, 'row' | 'column' | 'size'>[] {
  const [down, across] = axes;
  return table
    .flatMap((cells, i) =>
      cells.map((size, j) => ({ size, row: down!.bands[i]!.size, column: across!.bands[j]!.size })),
    )
    .filter(({ size }) => size !== '')
    .sort((a, b) => sizes.indexOf(a.size) - sizes.indexOf(b.size));
}
