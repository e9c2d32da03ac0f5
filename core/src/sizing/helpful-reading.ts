import { normalDensity } from '../statistics';
import { axesOf, type Readings } from './axis';
import type { Chart } from './chart';
import { sizeProbabilities } from './probability';

/** Nodes and weights for an expectation over a standard normal: the trapezoidal rule again. */
const expectation = Array.from({ length: 13 }, (_, k) => {
  const z = (k - 6) / 1.5;
  return { z, weight: normalDensity(z) / 1.5 };
});

/**
 * The further reading with the largest expected gain. Another repeat shrinks its own part from
 * s_w/sqrt(n) to s_w/sqrt(n+1); the mean will move by a normal amount of variance s_w^2/n - s_w^2/(n+1).
 * The gain is the expected largest probability after it, less the largest one now.
 * @returns undefined when a reading is missing, when nothing is read for the chart, when the size is sure, or when no
 *   repeat promises a half percent
 */
export function helpfulReading(
  chart: Chart,
  readings: Readings,
): { reading: string; gain: number } | undefined {
  const axes = axesOf(chart, readings);
  if (axes.length === 0 || axes.length < chart.axes.length) return undefined;
  const now = Math.max(...sizeProbabilities(chart, axes));
  if (now > 0.99) return undefined;
  const gains = axes.map(({ axis, reading }, i) => {
    const n = reading.repeats;
    const after = reading.repeatPart * Math.sqrt(n / (n + 1));
    const moves = Math.sqrt(reading.repeatPart ** 2 - after ** 2);
    const expected = expectation.reduce((sum, { z, weight }) => {
      const moved = { ...reading, mean: reading.mean + z * moves, repeatPart: after };
      return (
        sum + weight * Math.max(...sizeProbabilities(chart, axes.with(i, { ...axes[i]!, reading: moved })))
      );
    }, 0);
    return { reading: axis.reading, gain: expected - now };
  });
  const largest = gains.reduce((top, next) => (next.gain > top.gain ? next : top));
  return largest.gain > 0.005 ? largest : undefined;
}
