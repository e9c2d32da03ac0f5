import type { Setting } from '@estribo/core/setting';
import { formatAngle } from '../../parts/format';
import { numbersOf } from './numbers';
import type { SettingScreen } from './piece';

type Of = Extract<Setting, { kind: 'angle' }>;
const print: SettingScreen<Of>['print'] = ({ joint }, value) =>
  formatAngle({ joint, plane: 'sagittal' }, value);

export const angle: SettingScreen<Of> = {
  print,
  Piece: numbersOf<Of>('degrees', print),
};
