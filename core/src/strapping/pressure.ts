import type { Millimetres, Newtons } from '../quantity';

/** Millimetres of mercury in a pascal. */
const mmHgPerPascal = 1 / 133.322;

export interface StrapPressure {
  /** over a round limb of this girth, kPa and mmHg */
  kpa: number;
  mmHg: number;
  /** where the limb is flatter and where it is more curved: half and twice the mean curvature */
  from: number;
  to: number;
}

/**
 * Pressure under a strap that runs free (Laplace): p = T / (w r), the radius being the mean one of the girth. It understates
 * what lies under crest and fibular head, where the limb is more curved: the range is half and twice of it, an estimate.
 * @param tension N
 * @param girth at the strap, mm
 * @param width of the strap, mm
 */
export function strapPressure(tension: Newtons, girth: Millimetres, width: Millimetres): StrapPressure {
  const radius = girth / (2 * Math.PI);
  // N over mm² is MPa
  const kpa = (tension / (width * radius)) * 1000;
  const mmHg = kpa * 1000 * mmHgPerPascal;
  return { kpa, mmHg, from: mmHg / 2, to: mmHg * 2 };
}

/** How far tensions may lie apart and still count as the same pull, as a share of their mean: an estimate. */
export const samePull = 0.25;

/**
 * Tensions compared over the straps.
 * @param tensions N by part
 * @returns the mean, and the parts that are off it by more than counts as the same
 */
export function tensionsCompared(tensions: Readonly<Record<string, Newtons>>): {
  mean: Newtons | undefined;
  off: { part: string; share: number }[];
} {
  const all = Object.entries(tensions);
  if (all.length < 2) return { mean: undefined, off: [] };
  const mean = all.reduce((sum, [, one]) => sum + one, 0) / all.length;
  return {
    mean,
    off: all
      .map(([part, one]) => ({ part, share: mean > 0 ? one / mean - 1 : 0 }))
      .filter(({ share }) => Math.abs(share) > samePull),
  };
}
