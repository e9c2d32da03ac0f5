import { signedAngle } from '@estribo/core/anatomy';
import { phaseInForce } from '@estribo/core/order';
import { placesOf, type Setting } from '@estribo/core/setting';
import { useState } from 'react';
import { useWork } from '../../case/case-context';
import { named, t } from '../../messages';
import { Button } from '../../parts/button';
import { Row, Soft, Stack } from '../../parts/layout';
import { Notice } from '../../parts/notice';
import { formatAngle } from '../../parts/format';
import { useSaving } from '../../parts/use-saving';
import { numbersOf } from './numbers';
import { useMade } from '../use-made';
import type { PieceProps, SettingScreen } from './piece';

type LockSetting = Extract<Setting, { kind: 'lock' }>;
const print: SettingScreen<LockSetting>['print'] = ({ joint }, value) =>
  formatAngle({ joint, plane: 'sagittal' }, value);
const NumbersOfLock = numbersOf<LockSetting>('degrees', print);

/** A lock: open, or at one of the angles that the hardware has, both of a pair at once. */
function Lock({ setting, made, words, stage }: PieceProps<LockSetting>) {
  const { name } = words;
  const [differ, setDiffer] = useState(false);
  const { state, today } = useWork();
  const record = useMade(setting, stage);
  const [saving, save] = useSaving();
  const motion = { joint: setting.joint, plane: 'sagittal' as const };
  const angles = state.model.hinge?.lock ?? [];
  const order = state.order?.order;
  const lock = order && phaseInForce(order, today)?.phase.locks?.find(({ joint }) => joint === setting.joint);
  const ordered = lock && signedAngle(motion, lock.at);
  const stands = [...new Set(Object.values(made?.values ?? {}))];
  // where the sides differ it stands at no one angle
  const now = made?.fitted === false ? 'open' : stands.length === 1 ? String(stands[0]) : undefined;
  const take = (to: string) =>
    void save(() =>
      record(
        to === 'open'
          ? { fitted: false }
          : { values: Object.fromEntries(placesOf(setting).map((place) => [place, Number(to)])) },
      ),
    );
  return (
    <Stack $gap={4}>
      <Row $gap={6}>
        {['open', ...angles.map(String)].map((to) => (
          <Button
            key={to}
            look={now === to ? 'main' : 'second'}
            aria-pressed={now === to}
            aria-label={`${name}: ${to === 'open' ? t('setting.lockOpen') : formatAngle(motion, Number(to))}`}
            isDisabled={saving}
            onPress={() => now !== to && take(to)}
          >
            {to === 'open' ? t('setting.lockOpen') : formatAngle(motion, Number(to))}
          </Button>
        ))}
      </Row>
      {differ ? (
        <NumbersOfLock setting={setting} made={made} words={words} stage={stage} />
      ) : (
        <Row>
          <Button look="quiet" onPress={() => setDiffer(true)}>
            {t('setting.sidesDiffer')}
          </Button>
        </Row>
      )}
      {lock && <Soft>{t('setting.lockWhenOrdered', { when: named('lockWhen', lock.when) })}</Soft>}
      {ordered !== undefined && !angles.includes(ordered) && (
        <Notice tone="caution">{t('setting.lockCannot', { angle: formatAngle(motion, ordered) })}</Notice>
      )}
    </Stack>
  );
}

export const lock: SettingScreen<LockSetting> = {
  print,
  inOrOut: { in: 'setting.isIn', out: 'setting.lockOpen' },
  Piece: Lock,
};
