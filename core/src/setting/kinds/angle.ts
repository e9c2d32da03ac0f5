import { object, string } from 'yup';
import { joints, signedAngle, type Joint } from '../../anatomy';
import { finite, notReversed } from '../../brace';
import { phaseInForce, windowOf } from '../../order';
import type { Degrees } from '../../quantity';
import { common, judgeNumbers, numbersAt, once, settingKind, type WantedBy } from '../kind';

/** How near an angle comes by goniometer, degrees: an estimate. */
const byGoniometer = 3;

/**
 * The angle a joint is to be held at on a day: the one ordered for it, else as the phase in force limits it.
 * @returns its ends; both the same where it is fixed, none where nothing is ordered
 */
export function orderedAngle(
  joint: Joint,
  { order, day }: Pick<WantedBy, 'order' | 'day'>,
): { extension?: Degrees; flexion?: Degrees } {
  const motion = { joint, plane: 'sagittal' as const };
  const held = order?.angles?.find((one) => one.joint === joint && one.plane === motion.plane);
  if (held) {
    const at = signedAngle(motion, held.at);
    return { extension: at, flexion: at };
  }
  const now = order && phaseInForce(order, day);
  return now ? windowOf(now.phase.limits, motion) : {};
}

/** A joint's angle as ordered; what it is where nothing is ordered. */
export const angle = settingKind(
  object({
    ...common,
    joint: string().oneOf(joints).required(),
    unlessOrdered: finite().required(),
    least: finite().required(),
    most: finite().required(),
  }).test(...notReversed),
  {
    places: once,
    whole: false,
    inOrOut: [],
    // where an order limits one end alone it is as usual, as far as the order lets it
    wanted: ({ joint, unlessOrdered }, by) => {
      const { extension, flexion } = orderedAngle(joint, by);
      if (extension !== undefined && flexion !== undefined) return { from: extension, to: flexion };
      const usual = Math.min(flexion ?? Infinity, Math.max(extension ?? -Infinity, unlessOrdered));
      return { from: usual, to: usual };
    },
    judge: (setting, made, wanted) => judgeNumbers(numbersAt(once(), made), setting, wanted, byGoniometer),
    madeFrom: ['order'],
  },
);
