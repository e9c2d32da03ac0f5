import { otherSide, type BodyReadings, type Side } from '../anatomy';
import { inSight, stepAt, type StepState } from './progress';

/**
 * What one side is drawn from: its own readings and, for what is not read on it yet, the other side's, so that
 * the limb in hand starts as the mirror of the one measured before.
 */
export function mirroredReadings(states: readonly StepState[], side: Side): BodyReadings {
  const unread = states.flatMap((state): [string, number][] => {
    const { step, side: at } = state;
    const read = inSight(state);
    const own = inSight(stepAt(states, step.id, side));
    return at === otherSide(side) && read && !own ? [[step.id, read.mean]] : [];
  });
  return bodyReadings(states, side, Object.fromEntries(unread));
}

/**
 * What was read of one side as the figure is drawn from it. A first reading alone stays out of it: it is
 * out of sight until the second is in.
 * @param instead means that stand in for readings, by step: an earlier visit's
 * @returns with `any` whether there is anything in it
 */
export function bodyReadings(
  states: readonly StepState[],
  side: Side,
  instead: Readonly<Record<string, number>> = {},
): BodyReadings & { any: boolean } {
  const read = states.flatMap((state) => {
    const { step, side: at } = state;
    if (at !== side && at !== 'midline') return [];
    const value = instead[step.id] ?? inSight(state)?.mean;
    return value === undefined ? [] : [{ step, value }];
  });
  const girths = read.flatMap(({ step, value }) =>
    step.kind === 'girth' ? [{ from: step.from, distance: step.distance, girth: value }] : [],
  );
  const lengths = read.flatMap(({ step, value }) =>
    step.kind === 'curve' || step.kind === 'distance' || step.kind === 'height'
      ? [{ from: step.from, to: step.to, length: value }]
      : [],
  );
  const widths = read.flatMap(({ step, value }) =>
    step.kind === 'width' ? [{ at: step.at, across: step.across, width: value }] : [],
  );
  const inclinations = read.flatMap(({ step, value }) =>
    step.kind === 'inclination' ? [{ at: step.at, angle: value }] : [],
  );
  const footLength = read.find(({ step }) => step.kind === 'shoe')?.value;
  return {
    girths,
    lengths,
    widths,
    inclinations,
    ...(footLength === undefined ? {} : { footLength }),
    any: girths.length + lengths.length + widths.length + inclinations.length > 0 || footLength !== undefined,
  };
}
