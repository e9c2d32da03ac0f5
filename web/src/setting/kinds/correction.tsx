import { turnOf, formatTurn, type Setting } from '@estribo/core/setting';
import { t } from '../../messages';
import { CorrectionWork } from '../correction-work';
import type { SettingScreen } from './piece';

type Of = Extract<Setting, { kind: 'correction' }>;
/** Without a sign: a limit, an amount off. */
const print: SettingScreen<Of>['print'] = ({ unit }, value) => {
  const turn = formatTurn(turnOf(value)).replace(/^\+/, '');
  return unit === 'degrees' ? `${turn}°` : `${turn} ${t(`setting.unit.${unit}`)}`;
};

export const correction: SettingScreen<Of> = {
  print,
  // where it stands: the sign is a direction
  formatMade: ({ unit }, made) =>
    [
      Object.values(made.values ?? {})
        .map((value) => formatTurn(turnOf(value ?? 0)))
        .join(' / '),
      unit === 'degrees' ? '°' : t(`setting.unit.${unit}`),
    ].join(' '),
  note: ({ origin }) => t(`setting.origin.${origin}`),
  wide: true,
  Piece: CorrectionWork,
};
