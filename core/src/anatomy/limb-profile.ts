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
  const scale = through(byLevel);
  return (level) => template(level) * scale(level);
}

/** A course through factors at levels, monotone between them. */
export function through(byLevel: ReadonlyMap<Millimetres, number>): (level: Millimetres) => number {
  const levels = [...byLevel.keys()].sort((a, b) => a - b);
  return monotoneCurve(
    levels,
    levels.map((level) => byLevel.get(level)!),
  );
}

/**
 * A template's column as a line without corners: the monotone course, averaged over a little of its length.
 * @param levels rising
 * @param values at them
 * @param over half the length in mm that is averaged over
 */
export function softCourse(
  levels: readonly Millimetres[],
  values: readonly number[],
  over = 16,
): (level: Millimetres) => number {
  const course = monotoneCurve(levels, values);
  const [low, high] = [levels[0]!, levels.at(-1)!];
  const stride = 2;
  const count = Math.ceil((high - low) / stride);
  const weights = Array.from({ length: 9 }, (_, i) => {
    const share = (i - 4) / 4;
    return [share * over, Math.exp(-2 * share * share)] as const;
  });
  const sum = weights.reduce((total, [, weight]) => total + weight, 0);
  const soft = Array.from(
    { length: count + 1 },
    (_, i) =>
      weights.reduce((total, [off, weight]) => total + course(low + i * stride + off) * weight, 0) / sum,
  );
  return (level) => {
    const at = Math.min(count, Math.max(0, (level - low) / stride));
    const i = Math.min(count - 1, Math.floor(at));
    return soft[i]! + (soft[i + 1]! - soft[i]!) * (at - i);
  };
}
