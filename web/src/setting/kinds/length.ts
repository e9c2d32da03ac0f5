import type { Setting } from '@estribo/core/setting';
import { formatDistance } from '../../parts/format';
import { numbersOf } from './numbers';
import type { SettingScreen } from './piece';

type Of = Extract<Setting, { kind: 'length' }>;
const print: SettingScreen<Of>['print'] = (_, value, unit) => formatDistance(value, unit);

export const length: SettingScreen<Of> = {
  print,
  Piece: numbersOf<Of>('length', print),
};
