import { isReading, unitOf, type MeasuringStep, type MotionStep, type ReadingStep } from '../../measuring';
import type { Programme } from '../../programmes';
import type { CaseState, MadeSetting } from './state';

/** What a review of this case looks at again. */
export interface Followed {
  motions: MotionStep[];
  /** the motion that the order limits is one of them */
  limited: boolean;
  readings: ReadingStep[];
  settings: MadeSetting[];
}

/**
 * What reviews follow: what the family names; where it names nothing, the motion that the order limits, those that were
 * tested at the fitting, and the lengths that the size was chosen by.
 * @param limited measuring steps of the motion that the order limits
 */
export function followedOf(
  { followed, joint }: Programme,
  measuring: CaseState['measuring'],
  sizing: CaseState['sizing'],
  made: readonly MadeSetting[],
  limited: readonly string[],
): Followed {
  const motions = measuring.steps.filter((step): step is MotionStep => step.kind === 'motion');
  const readings = measuring.steps.filter(isReading);
  if (followed)
    return {
      motions: motions.filter(({ id }) => followed.motions.includes(id) && !limited.includes(id)),
      limited: followed.motions.some((id) => limited.includes(id)),
      readings: readings.filter(({ id }) => followed.readings.includes(id)),
      settings: made.filter(({ setting: { id } }) => followed.settings.includes(id)),
    };
  const wasTested = ({ id }: MeasuringStep) =>
    measuring.states.some(({ step, motions: tested }) => step.id === id && tested.length > 0);
  const isAxis = ({ id }: MeasuringStep) => sizing.chart.axes.some(({ reading }) => reading === id);
  return {
    motions: motions.filter((step) => !limited.includes(step.id) && wasTested(step)),
    limited: joint !== undefined,
    // what does not change with swelling is not read again
    readings: readings.filter(
      (step) => isAxis(step) && unitOf(step) === 'mm' && step.kind !== 'stature' && step.kind !== 'shoe',
    ),
    settings: [],
  };
}
