import { object } from 'yup';
import { common, counted, countedOnce, notReversed, settingKind } from '../kind';

/** So many pieces are in: wedges under a heel, layers of a lift. */
export const pieces = settingKind(
  object({ ...common, ...counted }).test(...notReversed, ({ least, most }) => !(least > most)),
  countedOnce,
);
