import type { HeightName } from '../order';
import type { Millimetres } from '../quantity';

export interface SizeBand {
  /** the size; of a two-way table the row's or column's own name */
  size: string;
  /** as printed, both ends included; half a resolution is added on each side */
  from: number;
  to: number;
}

export interface ChartAxis {
  /** the measuring step whose reading the axis means; its unit is the axis' unit */
  reading: string;
  /** what lies between printed numbers: 10 for a chart in whole centimetres */
  resolution: number;
  bands: SizeBand[];
}

/** What to do when a reading lies within its uncertainty of the neighbour's band. */
export const betweenRules = ['larger', 'smaller', 'nearer', 'ask'] as const;
export type BetweenRule = (typeof betweenRules)[number];

/** What to do when two axes point to neighbouring sizes. */
export const disagreeRules = ['primary', 'larger', 'made-to-measure'] as const;
export type DisagreeRule = (typeof disagreeRules)[number];

/** One of the heights a size comes in: the order says which, a length that is read checks it. */
export interface HeightChoice {
  height: HeightName;
  /** the length it suits, from and to; absent: nothing is read for it */
  reading?: string;
  from?: number;
  to?: number;
}

/** A belt that closes at the same mark on both ends. */
export interface Belt {
  /** how far an end lies over its wing */
  overlap: Millimetres;
  /** the back panel between the wings */
  backPanel: Millimetres;
  /** the marks along a wing, from the back panel's edge */
  marks: { first: Millimetres; spacing: Millimetres; count: number };
}

export interface Chart {
  version: number;
  /** sizes from the smallest to the largest */
  sizes: string[];
  /** in order of weight: the first one leads */
  axes: ChartAxis[];
  between: BetweenRule;
  disagree: DisagreeRule;
  /** a two-way table: table[row of the first axis][column of the second] is a size, or '' for none */
  table?: string[][];
  /** stock sizes where it is not said; 'made-to-measure': the bands only say what can be made */
  supply?: 'stock' | 'both' | 'made-to-measure';
  heights?: HeightChoice[];
  belt?: Belt;
  /** side extensions take the largest size up to this reading of the first axis */
  sideExtension?: { upTo: Millimetres };
}
