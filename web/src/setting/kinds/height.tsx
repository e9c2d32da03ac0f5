import type { Setting } from '@estribo/core/setting';
import { t } from '../../messages';
import { formatDistance, signed } from '../../parts/format';
import { numbersOf } from './numbers';
import type { PieceProps, SettingScreen } from './piece';

type Of = Extract<Setting, { kind: 'height' }>;
const print: SettingScreen<Of>['print'] = ({ unit: own }, value, unit) =>
  own === 'mm' ? formatDistance(value, unit) : `${signed(value)} ${t('setting.unit.detents')}`;
const InLength = numbersOf<Of>('length', print);
const InSteps = numbersOf<Of>('count', print);

export const height: SettingScreen<Of> = {
  print,
  Piece: (props: PieceProps<Of>) =>
    props.setting.unit === 'mm' ? <InLength {...props} /> : <InSteps {...props} />,
};
