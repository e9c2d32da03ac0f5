import type { Millimetres } from '../quantity';
import { monotoneCurve } from '../statistics';

/**
 * Median stature by age in years, both sexes taken together. To five years after the WHO child growth
 * standards, beyond after the WHO reference of 2007 (memory, rounded to 10 mm). For drawing only.
 */
const medians: readonly (readonly [number, Millimetres])[] = [
  [0, 500],
  [1, 750],
  [2, 870],
  [3, 960],
  [4, 1030],
  [5, 1100],
  [7, 1210],
  [9, 1330],
  [11, 1440],
  [13, 1560],
  [15, 1660],
  [18, 1700],
];

const curve = monotoneCurve(
  medians.map(([years]) => years),
  medians.map(([, stature]) => stature),
);

/**
 * A stature to draw a body by when none was measured: an estimate, never used in a computation.
 * @param years age; an adult when it is not known
 */
export const statureForAge = (years: number | undefined): Millimetres =>
  Math.round(curve(years === undefined ? 18 : Math.max(0, years)) / 10) * 10;
