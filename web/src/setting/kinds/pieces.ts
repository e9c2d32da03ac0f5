import type { Setting } from '@estribo/core/setting';
import { signed } from '../../parts/format';
import { numbersOf } from './numbers';
import type { SettingScreen } from './piece';

type Of = Extract<Setting, { kind: 'pieces' }>;
const print: SettingScreen<Of>['print'] = (_, value) => signed(value);

export const pieces: SettingScreen<Of> = {
  print,
  Piece: numbersOf<Of>('count', print),
};
