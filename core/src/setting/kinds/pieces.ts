import { array, object, string } from 'yup';
import { joints } from '../../anatomy';
import { finite, notReversed, name } from '../../brace';
import { angleOn, isAskedFor } from '../../order';
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
      /** injuries with which an angle that is not ordered is asked for: no wedge is never assumed */
      asksWith: array().of(name()).max(12),
      reading: name(),
      each: finite().positive().required(),
    })
      .noUnknown()
      .default(undefined)
      .optional(),
  }).test(...notReversed),
  {
    ...countedOnce,
    wanted: ({ wedge }, by) => {
      const length = wedge && by.readings[wedge.reading]?.mean;
      if (!wedge || by.order === undefined) return undefined;
      const { extension } = angleOn(by.order, by.day, { joint: wedge.joint, plane: 'sagittal' });
      if (extension === undefined && isAskedFor(wedge.asksWith, by.order)) return undefined;
      // the foot comes no nearer to neutral than this: nothing ordered, or a foot that does not point, is no wedge
      if (extension === undefined || extension <= 0) return { from: 0, to: 0 };
      const wanted = length === undefined ? undefined : wedgesFor(extension, length, wedge.each);
      return wanted && { from: wanted.count, to: wanted.count };
    },
    judge: (setting, made, wanted) => judgeNumbers(numbersAt(once(), made), setting, wanted),
    madeFrom: ['order', 'readings'],
  },
);
