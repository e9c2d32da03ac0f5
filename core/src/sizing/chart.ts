import { rule } from '../faults';
import { array, number, object, string, type InferType } from 'yup';
import { finite, name } from '../brace';
import { heightNames } from '../order';

/** What to do when a reading lies within its uncertainty of the neighbour's band. */
export const betweenRules = ['larger', 'smaller', 'nearer', 'ask'] as const;
export type BetweenRule = (typeof betweenRules)[number];

/** What to do when two axes point to neighbouring sizes. */
export const disagreeRules = ['primary', 'larger', 'made-to-measure'] as const;
export type DisagreeRule = (typeof disagreeRules)[number];

/** A chart has no more sizes, and an axis no more bands. */
export const mostSizes = 40;
export const mostBands = 60;

const sizeBand = object({
  /** the size; of a two-way table the row's or column's own name */
  size: name(),
  /** as printed, both ends included; half a resolution is added on each side */
  from: finite().required(),
  to: finite().required(),
}).noUnknown();
export type SizeBand = InferType<typeof sizeBand>;

const chartAxis = object({
  /** the measuring step whose reading the axis means; its unit is the axis' unit */
  reading: name(),
  /** what lies between printed numbers: 10 for a chart in whole centimetres */
  resolution: finite().required().min(0),
  bands: array().of(sizeBand).min(1).max(mostBands).required(),
}).noUnknown();
export type ChartAxis = InferType<typeof chartAxis>;

const heightChoice = object({
  height: string().oneOf(heightNames).required(),
  /** the length it suits, from and to; absent: nothing is read for it */
  reading: string().strict().max(80),
  from: number().strict(),
  to: number().strict(),
}).noUnknown();
/** One of the heights a size comes in: the order says which, a length that is read checks it. */
export type HeightChoice = InferType<typeof heightChoice>;

const belt = object({
  /** mm that an end lies over its wing */
  overlap: finite().required().min(0),
  /** mm of the back panel between the wings */
  backPanel: finite().required().positive(),
  /** the marks along a wing, mm from the back panel's edge */
  marks: object({
    first: finite().required(),
    spacing: finite().required().positive(),
    count: finite().required().integer().positive(),
  }).noUnknown(),
}).noUnknown();
/** A belt that closes at the same mark on both ends. */
export type Belt = InferType<typeof belt>;

/** A size chart as data; a two-way table has a cell for every row and column. */
export const chartSchema = object({
  version: finite().required().integer().positive(),
  /** sizes from the smallest to the largest */
  sizes: array().of(name()).min(1).max(mostSizes).required(),
  /** in order of weight: the first one leads */
  axes: array().of(chartAxis).max(6).required(),
  between: string().oneOf(betweenRules).required(),
  disagree: string().oneOf(disagreeRules).required(),
  /** a two-way table: table[row of the first axis][column of the second] is a size, or '' for none */
  table: array().of(array().of(string().strict().defined().max(80)).required()),
  /** stock sizes where it is not said; 'made-to-measure': the bands only say what can be made */
  supply: string().oneOf(['stock', 'both', 'made-to-measure'] as const),
  heights: array().of(heightChoice),
  belt: belt.default(undefined).optional(),
  /** side extensions take the largest size up to this reading of the first axis, mm */
  sideExtension: object({ upTo: finite().required().positive() }).noUnknown().default(undefined).optional(),
})
  .noUnknown()
  .test(...rule('one-size'), (chart) => {
    const { axes, sizes } = (chart ?? {}) as { axes?: unknown; sizes?: unknown };
    return !Array.isArray(axes) || axes.length > 0 || (Array.isArray(sizes) && sizes.length === 1);
  })
  .test(...rule('table-fits'), (chart) => {
    const { table, axes } = (chart ?? {}) as { table?: unknown; axes?: unknown };
    if (table === undefined) return true;
    const bandsAt = (at: number): number =>
      Array.isArray(axes) && Array.isArray((axes[at] as { bands?: unknown } | null)?.bands)
        ? (axes[at] as { bands: unknown[] }).bands.length
        : 0;
    return (
      Array.isArray(table) &&
      Array.isArray(axes) &&
      axes.length === 2 &&
      table.length === bandsAt(0) &&
      table.every((row) => Array.isArray(row) && row.length === bandsAt(1))
    );
  });
export type Chart = InferType<typeof chartSchema>;
