import { turnOf, formatTurn, type Setting } from '@estribo/core/setting';
import { t } from '../../messages';
import { CorrectionWork } from '../correction-work';
import type { SettingScreen } from './piece';

type Of = Extract<Setting, { kind: 'correction' }>;
const print: SettingScreen<Of>['print'] = ({ unit }, value) =>
  unit === 'degrees'
    ? `${formatTurn(turnOf(value))}°`
    : `${formatTurn(turnOf(value))} ${t(`setting.unit.${unit}`)}`;

export const correction: SettingScreen<Of> = {
  print,
  note: ({ origin }) => t(`setting.origin.${origin}`),
  wide: true,
  Piece: CorrectionWork,
};
