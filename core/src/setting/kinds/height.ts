import { object, string } from 'yup';
import { finite, notReversed } from '../../brace';
import { heightNames, orderedOn } from '../../order';
import { common, judgeNumbers, limits, numbersAt, once, settingKind } from '../kind';

/** How high a part stands: a panel on the back, a chin piece, a bar on the breastbone. Where the order names a height, that one. */
export const height = settingKind(
  object({
    ...common,
    unit: string().oneOf(['mm', 'detents']).required(),
    ...limits,
    /** where it is to stand, and how near it comes to that */
    target: finite(),
    near: finite().min(0),
    /** what an ordered height is on it */
    ordered: object(Object.fromEntries(heightNames.map((name) => [name, finite()])))
      .noUnknown()
      .default(undefined)
      .optional(),
  }).test(...notReversed),
  {
    places: once,
    whole: false,
    inOrOut: [],
    // nothing is ordered, or not by a name it has: what is observed decides
    wanted: ({ ordered, target }, { order, day }) => {
      const height = order && orderedOn(order, day).height;
      const named = height && (ordered as Partial<Record<string, number>> | undefined)?.[height];
      const at = named ?? target;
      return at === undefined ? undefined : { from: at, to: at };
    },
    judge: (setting, made, wanted) => judgeNumbers(numbersAt(once(), made), setting, wanted, setting.near),
    madeFrom: ['order'],
  },
);
