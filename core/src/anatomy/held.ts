import type { Millimetres } from '../quantity';

/*
 * A body is drawn from what was read, within what a body can be: a reading that no body has moves the outline to the
 * edge of the plausible and no further, and is marked there. The bounds are estimates, wide enough for a thin child
 * and for 400 kg.
 */

/** girths and widths, as factors on the average body of that length */
const thick: readonly [number, number] = [0.5, 2.9];
/** one reading against the others of the same limb */
const uneven = 1.9;
/** lengths, as factors on the average body's */
const long: readonly [number, number] = [0.7, 1.45];

const clamp = (value: number, [low, high]: readonly [number, number]) => Math.min(high, Math.max(low, value));

/** A factor that a length is drawn by, and whether it was held. */
export function heldLength(factor: number): { factor: number; held: boolean } {
  const to = Number.isFinite(factor) ? clamp(factor, long) : 1;
  return { factor: to, held: to !== factor };
}

/**
 * Sizes read at levels, held within what a body can be.
 * @param readings sizes with their level
 * @param template the average body's size at a level
 * @returns the readings as they are drawn, and the levels at which one was held
 */
export function heldSizes<R extends { level: Millimetres; size: Millimetres }>(
  readings: readonly R[],
  template: (level: Millimetres) => Millimetres,
): { drawn: R[]; held: Millimetres[] } {
  const factors = readings.map(({ level, size }) => clamp(size / template(level), thick));
  const middle = [...factors].sort((a, b) => a - b)[Math.floor((factors.length - 1) / 2)] ?? 1;
  const drawn = readings.map((reading, i) => ({
    ...reading,
    size: template(reading.level) * clamp(factors[i]!, [middle / uneven, middle * uneven]),
  }));
  return {
    drawn,
    held: drawn.flatMap(({ level, size }, i) => (Math.abs(size - readings[i]!.size) > 0.5 ? [level] : [])),
  };
}
