import { object, string } from 'yup';
import { joints } from '../../anatomy';
import { finite, notReversed, name } from '../../brace';
import { angleOn } from '../../order';
import { wedgesFor } from '../heel';
import { common, counted, countedOnce, judgeNumbers, numbersAt, once, settingKind } from '../kind';

/** So many pieces are in: wedges under a heel, layers of a lift. Wedges follow from the angle that is ordered. */
export const pieces = settingKind(
  object({
    ...common,
    ...counted,
    /** mm each; the joint that they point, and the reading from heel to ball */
    wedge: object({
      joint: string().oneOf(joints).required(),
      reading: name(),
      each: finite().positive().required(),
    })
      .noUnknown()
      .default(undefined)
      .optional(),
  }).test(...notReversed),
  {
    ...countedOnce,
    wanted: ({ wedge, most }, by) => {
      const length = wedge && by.readings[wedge.reading]?.mean;
      if (!wedge || by.order === undefined) return undefined;
      const { flexion } = angleOn(by.order, by.day, { joint: wedge.joint, plane: 'sagittal' });
      // nothing is ordered, or a foot that does not point: no wedge; how many for one that does follows from its length
      if (flexion === undefined || flexion <= 0) return { from: 0, to: 0 };
      const wanted = length === undefined ? undefined : wedgesFor(flexion, length, wedge.each);
      return wanted && { from: Math.min(wanted.count, most), to: Math.min(wanted.count, most) };
    },
    judge: (setting, made, wanted) => judgeNumbers(numbersAt(once(), made), setting, wanted),
    madeFrom: ['order', 'readings'],
  },
);
