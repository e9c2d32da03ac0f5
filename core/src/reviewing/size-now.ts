import { assessReadings, isReading, type MeasuringStep } from '../measuring';
import { matchSize, type AxisReading, type Chart, type SizeMatch } from '../sizing';

/**
 * The size by the girths of one visit, each read once: swelling falls, and the brace may no longer fit.
 * @param chart of the model
 * @param steps of the protocol, for the uncertainty of a single reading
 * @param girths in mm, by step
 */
export function sizeByGirths(
  chart: Chart,
  steps: readonly MeasuringStep[],
  girths: Readonly<Record<string, number>>,
): SizeMatch {
  const readings = steps.flatMap((step): [string, AxisReading][] => {
    const girth = girths[step.id];
    const assessed = isReading(step) && girth !== undefined ? assessReadings(step, [girth]) : undefined;
    return assessed
      ? [
          [
            step.id,
            {
              mean: assessed.mean,
              repeatPart: assessed.repeatPart,
              sharedPart: assessed.sharedPart,
              repeats: 1,
            },
          ],
        ]
      : [];
  });
  return matchSize(chart, Object.fromEntries(readings));
}
