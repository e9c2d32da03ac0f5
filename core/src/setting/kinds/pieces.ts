import { object } from 'yup';
import { notReversed } from '../../brace';
import { common, counted, countedOnce, settingKind } from '../kind';

/** So many pieces are in: wedges under a heel, layers of a lift. */
export const pieces = settingKind(object({ ...common, ...counted }).test(...notReversed), countedOnce);
