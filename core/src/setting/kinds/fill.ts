import { object } from 'yup';
import { finite, notReversed } from '../../brace';
import { common, counted, countedOnce, settingKind } from '../kind';

/** Strokes of air, until snug. */
export const fill = settingKind(
  object({ ...common, ...counted, everyDays: finite().integer().positive() }).test(...notReversed),
  countedOnce,
);
