import { faultAt } from '../faults';
import { provenance, type BodyIn, type ComputedDecision, type DecidedUnder } from '../record';
import { extensionEachSide } from './belt';
import type { sizeChosen } from './entries';
import type { SizingState } from './fold';

type SizeChosen = BodyIn<typeof sizeChosen>;
/** What of a case a size is decided from. */
type Sized = DecidedUnder & { sizing: SizingState };

/**
 * The size as the chart gives it, or another one with a reason.
 * @param other size than the computed one; undefined for made to measure in spite of a stock size
 * @param height for a size that comes in more than one
 * @returns undefined while readings are missing
 */
export function decideSize(
  state: Sized,
  other?: { size: string | undefined; reason: string },
  height?: { height: NonNullable<SizeChosen['height']>; reason: string },
): SizeChosen | undefined {
  const { match, chart, readings } = state.sizing;
  if (match.outcome === 'incomplete') return undefined;
  const computed = match.outcome === 'made-to-measure' ? undefined : match.size;
  const size = other ? other.size : computed;
  return {
    ...(size === undefined ? {} : { size }),
    rule: match.rule,
    ...(other && computed !== undefined ? { computed } : {}),
    ...(other ? { reason: other.reason } : {}),
    ...(height ? { height: height.height, heightReason: height.reason } : {}),
    ...(match.rule === 'side-extension' && size === computed
      ? { sideExtension: extensionEachSide(chart, readings[chart.axes[0]!.reading]!.mean) }
      : {}),
    probability: match.probabilities.find((entry) => entry.size === size)?.probability ?? 0,
    ...(match.margin === undefined ? {} : { margin: match.margin }),
    ...(match.decides === undefined ? {} : { decides: match.decides }),
    chart: chart.version,
    ...provenance(state, state.sizing.inputs),
  };
}

/** A size that was sent, computed again. */
export const sizeDecision: ComputedDecision<Sized, SizeChosen> = {
  impossible: ({ sizing: { chart } }, { size, height, heightReason }) => [
    ...(size !== undefined && !chart.sizes.includes(size)
      ? faultAt('body.size', 'one-of', { words: chart.sizes.join(', ') })
      : []),
    ...(height !== undefined && !chart.heights?.some((one) => one.height === height)
      ? faultAt('body.height', 'no-height')
      : []),
    ...((height === undefined) !== (heightReason === undefined)
      ? faultAt('body.heightReason', 'with-a-height')
      : []),
  ],
  again: (state, { size, reason, height, heightReason }) =>
    decideSize(
      state,
      reason === undefined ? undefined : { size, reason },
      height && { height, reason: heightReason! },
    ),
  notYet: ({ sizing: { match } }) =>
    match.outcome === 'incomplete'
      ? faultAt('kind', 'readings-missing', { steps: match.missing.join(', ') })
      : faultAt('kind', 'readings-needed'),
};
