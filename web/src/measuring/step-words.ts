import { endsOf, type JointPlane } from '@estribo/core/anatomy';
import { motionExamples } from './motion-examples';
import { unitOf, type MeasuringStep, type PostureStep, type ReadingStep } from '@estribo/core/measuring';
import { isFree, type MotionWindow } from '@estribo/core/order';
import { formatLength, type LengthUnit } from '@estribo/core/quantity';
import { en } from '../messages/en';
import { familyWords, language, named, t } from '../messages';
import { formatReading, formatWindow } from '../parts/format';

/** What a step is called while it is asked for. */
export function titleOf(step: MeasuringStep, unit: LengthUnit): string {
  if (step.kind !== 'girth' || step.distance === 0) return named('stepTitles', step.id);
  const length = `${formatLength(Math.abs(step.distance), unit, language)} ${unit}`;
  return t(step.distance > 0 ? 'measuring.girthAboveTitle' : 'measuring.girthBelowTitle', {
    length,
    landmark:
      step.from === 'mid-kneecap' || step.from === 'waist'
        ? t('measuring.theMark')
        : named('landmarks', step.from),
  });
}

/** The two ends of a joint's motion in a plane, as they are called at this joint. */
export const saidEnds = (motion: JointPlane): readonly [string, string] => {
  const [first, last] = endsOf(motion);
  return [named('motionEnd', first), named('motionEnd', last)];
};

/** How a joint is put where it is read: at an angle, as ordered, or as it rests. */
function postureHow({ joint: name, target, tolerance }: PostureStep, ordered: MotionWindow): string {
  const joint = named('jointInside', name);
  if (target === undefined) return t('measuring.postureNote', { joint });
  if (target !== 'as-ordered') return t('measuring.postureHow', { joint, angle: target, tolerance });
  return isFree(ordered)
    ? t('measuring.postureUnordered', {
        joint,
        usual: t(name === 'ankle' ? 'measuring.ankleUsual' : 'measuring.jointUsual'),
      })
    : t('measuring.postureOrdered', {
        joint,
        window: formatWindow(ordered, { joint: name, plane: 'sagittal' }),
        tolerance,
      });
}

/**
 * How a step is taken, with its numbers.
 * @param ordered the window in force, for a posture that is as ordered
 */
export function instruction(step: MeasuringStep, unit: LengthUnit, ordered: MotionWindow = {}): string {
  switch (step.kind) {
    case 'stance':
      return step.stance ? t(`measuring.stanceHow.${step.stance}`) : t('measuring.stanceNote');
    case 'posture':
      return postureHow(step, ordered);
    case 'mark':
      return named('landmarkHow', step.landmark);
    case 'motion': {
      const [first, last] = saidEnds(step);
      const [example, short] = motionExamples(step);
      return t('measuring.motionHow', { first, last, example, short });
    }
    default:
      return [howToRead(step), alongOf(step), repeatsOf(step, unit)].filter(Boolean).join(' ');
  }
}

/** Along which face of the limb the distance is laid off, where it matters. */
const alongOf = (step: ReadingStep): string =>
  step.kind === 'girth' && step.along ? t('measuring.how.along', { face: named('face', step.along) }) : '';

function howToRead(step: ReadingStep): string {
  const places =
    'from' in step && 'to' in step
      ? { from: named('landmarks', step.from), to: named('landmarks', step.to) }
      : { from: '', to: '' };
  return t(`measuring.how.${step.kind}`, places);
}

const repeatsOf = (step: ReadingStep, unit: LengthUnit): string =>
  step.repeats === 1
    ? t('measuring.onceHow')
    : t('measuring.repeatsHow', { tolerance: formatReading(step.tolerance, unitOf(step), unit) });

/** Why the step is taken. */
export const reasonOf = (step: MeasuringStep, family: string): string =>
  // a family's own reason before the one it shares
  familyWords('stepWhyOf', family, step.id) ?? named('stepWhy', step.id);

/** The caution that is due at the step, if any. */
export const cautionOf = (step: MeasuringStep): string | undefined =>
  step.id in en.stepCaution ? named('stepCaution', step.id) : undefined;
