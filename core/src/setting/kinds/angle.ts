import { array, object, string } from 'yup';
import { joints } from '../../anatomy';
import { finite, name, notReversed } from '../../brace';
import { angleOn, isAskedFor } from '../../order';
import { common, judgeNumbers, numbersAt, once, settingKind } from '../kind';

/** How near an angle comes by goniometer, degrees: an estimate. */
const byGoniometer = 3;

/** A joint's angle as ordered; what it is where nothing is ordered. */
export const angle = settingKind(
  object({
    ...common,
    joint: string().oneOf(joints).required(),
    unlessOrdered: finite().required(),
    /** injuries with which an angle that is not ordered is asked for, never assumed */
    asksWith: array().of(name()).max(12),
    least: finite().required(),
    most: finite().required(),
  }).test(...notReversed),
  {
    places: once,
    whole: false,
    inOrOut: [],
    // where an order limits one end alone it is as usual, as far as the order lets it
    wanted: ({ joint, unlessOrdered, asksWith }, { order, day }) => {
      const { extension, flexion } = order ? angleOn(order, day, { joint, plane: 'sagittal' }) : {};
      if (extension !== undefined && flexion !== undefined) return { from: extension, to: flexion };
      if (isAskedFor(asksWith, order) && extension === undefined) return undefined;
      const usual = Math.min(flexion ?? Infinity, Math.max(extension ?? -Infinity, unlessOrdered));
      return { from: usual, to: usual };
    },
    judge: (setting, made, wanted) => judgeNumbers(numbersAt(once(), made), setting, wanted, byGoniometer),
    madeFrom: ['order'],
  },
);
