import { object } from 'yup';
import { finite } from '../../brace';
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

/** Strokes of air, until snug. */
export const fill = settingKind(
  object({ ...common, ...counted, everyDays: finite().integer().positive() }).test(
    ...notReversed,
    ({ least, most }) => !(least > most),
  ),
  {
    places: once,
    whole: true,
    inOrOut: [],
    wanted: nothingWanted,
    judge: (setting, made, wanted) => judgeNumbers(numbersAt(once(), made), setting, wanted),
  },
);
