import type { Setting } from '@estribo/core/setting';
import { t } from '../../messages';
import { signed } from '../../parts/format';
import { numbersOf } from './numbers';
import type { SettingScreen } from './piece';

type Of = Extract<Setting, { kind: 'correction' }>;
const print: SettingScreen<Of>['print'] = ({ unit }, value) =>
  unit === 'degrees' ? `${signed(value)}°` : `${signed(value)} ${t(`setting.unit.${unit}`)}`;

export const correction: SettingScreen<Of> = {
  print,
  note: ({ origin }) => t(`setting.origin.${origin}`),
  Piece: numbersOf<Of>('count', print),
};
