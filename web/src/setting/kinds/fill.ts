import type { Setting } from '@estribo/core/setting';
import { t } from '../../messages';
import { signed } from '../../parts/format';
import { numbersOf } from './numbers';
import type { SettingScreen } from './piece';

type Of = Extract<Setting, { kind: 'fill' }>;
const print: SettingScreen<Of>['print'] = (_, value) => signed(value);

export const fill: SettingScreen<Of> = {
  print,
  note: ({ everyDays }) => (everyDays ? t('setting.everyDays', { count: everyDays }) : ''),
  Piece: numbersOf<Of>('count', print),
};
