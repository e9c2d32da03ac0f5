import { name } from '../brace';
import { array, object, string, type InferType } from 'yup';
import { otherSide, type Joint, type Side } from '../anatomy';
import { ageOn, type ClinicDay } from '../calendar';
import {
  isOfPerson,
  isReading,
  unitOf,
  type MeasuringState,
  type MeasuringStep,
  type MotionStep,
  type ReadingStep,
} from '../measuring';
import type { MadeSetting } from '../setting';
import type { Chart } from '../sizing';

const ids = () => array().of(name()).max(20);

/** What a family says that its reviews follow: motions and readings by their measuring steps, settings by their ids. */
export const followedSchema = object({
  motions: array()
    .of(
      object({
        step: name(),
        /** each of these; where it says nothing, whichever is tested */
        modes: array()
          .of(
            string()
              .oneOf(['active', 'passive'] as const)
              .required(),
          )
          .min(1),
        /** the other side as well, as a comparison */
        sides: string().oneOf(['both'] as const),
      })
        .noUnknown()
        .required(),
    )
    .max(20)
    .required(),
  readings: ids().required(),
  settings: ids().required(),
  /** what is read again while the patient still grows; where it says nothing, what the size hangs on and swelling does not change */
  growth: ids(),
})
  .noUnknown()
  .default(undefined)
  .optional();
export type FollowedByFamily = NonNullable<InferType<typeof followedSchema>>;

/** A motion that is tested again: by its step (none for the one that the order limits), in one mode or whichever, on a side. */
export interface FollowedMotion {
  step: MotionStep | undefined;
  mode: 'active' | 'passive' | undefined;
  side: Side;
}

/** What a review of this case looks at again. */
export interface Followed {
  motions: FollowedMotion[];
  readings: ReadingStep[];
  /** readings that are taken again while the patient grows */
  growth: ReadingStep[];
  settings: MadeSetting[];
}

/** Nobody of this age grows any more. Common practice, no source: an estimate. */
const grownAt = 18;

/** Whether somebody still grows on a day. */
export const isGrowing = (born: ClinicDay, day: ClinicDay): boolean => ageOn(born, day) < grownAt;

/**
 * What reviews follow: what the family names; where it names nothing, the motion that the order limits, those that were
 * tested at the fitting, and the lengths that the size was chosen by.
 * @param limited measuring steps of the motion that the order limits
 */
export function followedOf(
  { followed, joint }: { followed?: FollowedByFamily | undefined; joint?: Joint | undefined },
  side: Side,
  measuring: MeasuringState,
  chart: Pick<Chart, 'axes'>,
  made: readonly MadeSetting[],
  limited: readonly string[],
): Followed {
  const steps = measuring.steps.filter((step): step is MotionStep => step.kind === 'motion');
  const readings = measuring.steps.filter(isReading);
  const isAxis = ({ id }: MeasuringStep) => chart.axes.some(({ reading }) => reading === id);
  // what does not change with swelling changes with growth alone
  const grows = (step: ReadingStep) =>
    unitOf(step) !== 'mm' || step.kind === 'stature' || step.kind === 'shoe';
  const growth = followed?.growth
    ? readings.filter(({ id }) => followed.growth!.includes(id))
    : // an age is known by the day of birth
      readings.filter((step) => isAxis(step) && grows(step) && step.kind !== 'age');
  const ofSide = (step: MotionStep | undefined): FollowedMotion => ({ step, mode: undefined, side });
  if (!followed) {
    const wasTested = ({ id }: MeasuringStep) =>
      measuring.states.some(({ step, motions: tested }) => step.id === id && tested.length > 0);
    return {
      motions: [
        ...(joint === undefined ? [] : [ofSide(undefined)]),
        ...steps.filter((step) => !limited.includes(step.id) && wasTested(step)).map(ofSide),
      ],
      readings: readings.filter((step) => isAxis(step) && !grows(step)),
      growth,
      settings: [],
    };
  }
  const sidesOf = (sides: 'both' | undefined): Side[] =>
    sides === 'both' && side !== 'midline' ? [side, otherSide(side)] : [side];
  return {
    motions: followed.motions.flatMap(({ step: id, modes, sides }) => {
      const step = steps.find((one) => one.id === id);
      return step
        ? sidesOf(sides).flatMap((at) =>
            (modes ?? [undefined]).map((mode) => ({
              step: limited.includes(id) ? undefined : step,
              mode,
              side: at,
            })),
          )
        : [];
    }),
    readings: readings.filter(({ id }) => followed.readings.includes(id)),
    growth: growth.filter(({ id }) => !followed.readings.includes(id)),
    settings: made.filter(({ setting: { id } }) => followed.settings.includes(id)),
  };
}

/** The side a reading is kept under: the person's own, or the braced one. */
export const sideOfReading = (step: ReadingStep, braced: Side): Side =>
  isOfPerson(step) ? 'midline' : braced;
