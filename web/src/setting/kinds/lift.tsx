import { liftNeeded, liftPlaces, type Setting } from '@estribo/core/setting';
import { t } from '../../messages';
import { Soft, Stack } from '../../parts/layout';
import { formatDistance } from '../../parts/format';
import { useWork } from '../../case/case-context';
import { numbersOf } from './numbers';
import type { PieceProps, SettingScreen } from './piece';

type Of = Extract<Setting, { kind: 'lift' }>;
const print: SettingScreen<Of>['print'] = (_, value, unit) => formatDistance(value, unit);
// a leg that is longer is one that is shorter by less than nothing
const Numbers = numbersOf<Of>('distance', print);

/** Both soles, what the braced leg is shorter by, and the lift that was put on and tried. */
function Lift(props: PieceProps<Of>) {
  const { unit } = useWork();
  const { setting, made } = props;
  const needed = liftNeeded(made);
  const start: Record<string, number> = setting.sole === undefined ? {} : { [liftPlaces[0]]: setting.sole };
  return (
    <Stack $gap={4}>
      <Numbers {...props} start={start} />
      {needed !== undefined && <Soft>{t('setting.liftNeeded', { lift: formatDistance(needed, unit) })}</Soft>}
    </Stack>
  );
}

export const lift: SettingScreen<Of> = { print, wide: true, Piece: Lift };
