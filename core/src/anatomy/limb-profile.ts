import type { Millimetres } from '../quantity';
import { monotoneCurve } from '../statistics';

export interface GirthAt {
  /** distance from the mark along the limb, proximal positive */
  level: Millimetres;
  girth: Millimetres;
}

/**
 * The girth all along a limb: a template's course, scaled so that it passes through every reading.
 * Between readings the scale changes monotonically (Steffen); beyond the outermost ones it relaxes to
 * the square root of their mean, because thick limbs end in less thick joints: an estimate for drawing.
 * @param template the course of an average limb, levels rising
 * @param readings of this limb; none leaves the template as it is
 * @param relaxAt the two levels by which the scale has relaxed
 */
export function girthProfile(
  template: (level: Millimetres) => Millimetres,
  readings: readonly GirthAt[],
  relaxAt: readonly [Millimetres, Millimetres],
): (level: Millimetres) => Millimetres {
  const byLevel = new Map(
    readings.map((reading) => [reading.level, reading.girth / template(reading.level)]),
  );
  if (byLevel.size === 0) return template;
  const mean = [...byLevel.values()].reduce((sum, scale) => sum + scale, 0) / byLevel.size;
  for (const end of relaxAt) if (!byLevel.has(end)) byLevel.set(end, Math.sqrt(mean));
  const levels = [...byLevel.keys()].sort((a, b) => a - b);
  const scale = monotoneCurve(
    levels,
    levels.map((level) => byLevel.get(level)!),
  );
  return (level) => template(level) * scale(level);
}
