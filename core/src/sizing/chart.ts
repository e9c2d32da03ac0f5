import type { Millimetres } from '../quantity';

export interface SizeBand {
  size: string;
  /** as printed, both ends included; half a resolution is added on each side */
  from: Millimetres;
  to: Millimetres;
}

export interface ChartAxis {
  /** the measuring step whose reading the axis means */
  reading: string;
  /** the step between printed numbers: 10 for a chart in whole centimetres */
  resolution: Millimetres;
  bands: SizeBand[];
}

export interface Chart {
  version: number;
  /** sizes from the smallest to the largest */
  sizes: string[];
  /** in order of weight: the first one is the primary axis */
  axes: ChartAxis[];
  /** what to do when a reading lies within its uncertainty of the neighbour's band */
  between: 'larger' | 'smaller' | 'nearer' | 'ask';
  /** what to do when two axes point to neighbouring sizes */
  disagree: 'primary' | 'larger' | 'made-to-measure';
}
