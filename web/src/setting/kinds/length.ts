import type { Setting } from '@estribo/core/setting';
import { printDistance } from '../../parts/print';
import { numbersOf } from './numbers';
import type { SettingScreen } from './piece';

type Of = Extract<Setting, { kind: 'length' }>;
const print: SettingScreen<Of>['print'] = (_, value, unit) => printDistance(value, unit);

export const length: SettingScreen<Of> = {
  print,
  Piece: numbersOf<Of>('length', print),
};
