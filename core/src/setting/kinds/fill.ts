import { object } from 'yup';
import { finite } from '../../brace';
import { common, counted, countedOnce, notReversed, settingKind } from '../kind';

/** Strokes of air, until snug. */
export const fill = settingKind(
  object({ ...common, ...counted, everyDays: finite().integer().positive() }).test(
    ...notReversed,
    ({ least, most }) => !(least > most),
  ),
  countedOnce,
);
