import { object } from 'yup';
import {
  common,
  counted,
  judgeNumbers,
  notReversed,
  nothingWanted,
  numbersAt,
  once,
  settingKind,
} from '../kind';

/** So many pieces are in: wedges under a heel, layers of a lift. */
export const pieces = settingKind(
  object({ ...common, ...counted }).test(...notReversed, ({ least, most }) => !(least > most)),
  {
    places: once,
    whole: true,
    inOrOut: [],
    wanted: nothingWanted,
    judge: (setting, made, wanted) => judgeNumbers(numbersAt(once(), made), setting, wanted),
  },
);
