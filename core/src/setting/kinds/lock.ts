import { object, string } from 'yup';
import { joints, signedAngle } from '../../anatomy';
import { hasEnded, phaseInForce } from '../../order';
import { axes, common, numbersAt, outside, pairFault, placesAlong, settingKind } from '../kind';

/** A joint locked at an angle that the hardware has, or open, both of a pair alike; never the nearest. */
export const lock = settingKind(
  object({ ...common, joint: string().oneOf(joints).required(), axes: axes() }),
  {
    places: ({ axes: along }) => placesAlong(along),
    whole: false,
    // it may be open
    inOrOut: [false],
    wanted: ({ joint }, { order, day, hardware }) => {
      const now = order && phaseInForce(order, day);
      // an order that has ended orders nothing any more
      if (!now || hasEnded(order, day)) return undefined;
      const ordered = now.phase.locks?.find((one) => one.joint === joint);
      if (!ordered) return 'open';
      const angle = signedAngle({ joint, plane: 'sagittal' }, ordered.at);
      // what the hardware cannot do was acknowledged with the order: it stays open
      return hardware?.lock?.includes(angle) ? { from: angle, to: angle } : 'open';
    },
    judge: (setting, made, wanted) => {
      if (made?.fitted === false)
        return wanted === undefined || wanted === 'open'
          ? { state: 'right' }
          : { state: 'wrong', why: 'not-locked', by: wanted.from };
      const values = numbersAt(placesAlong(setting.axes), made);
      if (!values) return { state: 'open' };
      const pair = pairFault(setting.axes, values);
      if (pair) return { state: 'wrong', ...pair };
      if (wanted === undefined) return { state: 'right' };
      if (wanted === 'open') return { state: 'wrong', why: 'not-ordered', by: values[0]! };
      const off = outside(values[0]!, wanted.from, wanted.to);
      return off > 0 ? { state: 'wrong', why: 'not-as-wanted', by: off } : { state: 'right' };
    },
    underOrder: true,
    madeFrom: ['order'],
    existing: (_, __, hardware) => hardware?.lock,
  },
);
