import { formatTurn, readTurn, type HandedOver, type Setting, type Turn } from '@estribo/core/setting';
import { useState } from 'react';
import { useWork } from '../case/case-context';
import { t } from '../messages';
import { Button } from '../parts/button';
import { Field } from '../parts/field';
import { Row, Stack } from '../parts/layout';
import { Notice } from '../parts/notice';
import { useSaving } from '../parts/use-saving';
import type { SettingStage } from './kinds/piece';

/** What a patient is given to change: a correction, and air. */
type Handed = Extract<Setting, { kind: 'correction' | 'fill' }>;
const plain = (turn: Turn): string => formatTurn(turn).replace(/^[+−]/, '');

/** What was handed over, in words: on the screen and on the patient's sheet. */
export const saidHandedOver = (setting: Handed, { within, everyDays, most }: HandedOver): string =>
  setting.kind === 'fill'
    ? t('setting.airHandedOver', { strokes: plain(within), count: everyDays })
    : t('setting.handedOver', {
        within: `${plain(within)} ${t(`setting.unit.${setting.unit}`)}`,
        count: everyDays,
        most: `${plain(most)} ${t(`setting.unit.${setting.unit}`)}`,
      });

/**
 * Hands a correction over to the patient: so much at once, so many days between, so far and no further; or air: so many
 * strokes each time, so many days between.
 */
export function HandOver({
  setting,
  stage,
  most,
  handed,
}: {
  setting: Handed;
  stage: SettingStage | 'wear';
  most: Turn | undefined;
  handed: HandedOver | undefined;
}) {
  const { write } = useWork();
  const [open, setOpen] = useState(false);
  const [saving, save] = useSaving();
  const [typed, type] = useState({
    within: handed ? plain(handed.within) : most ? plain(most) : '',
    everyDays: String(handed?.everyDays ?? (setting.kind === 'fill' ? setting.everyDays : undefined) ?? ''),
    most: handed
      ? plain(handed.most)
      : setting.inAll === undefined
        ? ''
        : plain(readTurn(String(setting.inAll))!),
  });
  const isAir = setting.kind === 'fill';
  const [problem, setProblem] = useState(false);
  const take = () => {
    // air goes in anew each time: what goes in at once is all of it
    const [within, ceiling] = [readTurn(typed.within), readTurn(isAir ? typed.within : typed.most)];
    const days = Number(typed.everyDays);
    const isSound =
      within && ceiling && within.n > 0 && ceiling.n > 0 && Number.isInteger(days) && days >= 1 && days <= 60;
    if (!isSound) return setProblem(true);
    void save(() =>
      write('set.handed-over', stage, { setting: setting.id, within, everyDays: days, most: ceiling }).then(
        () => setOpen(false),
      ),
    );
  };
  const field = (name: keyof typeof typed, label: string) => (
    <Field
      label={label}
      value={typed[name]}
      onChange={(text) => {
        type({ ...typed, [name]: text });
        setProblem(false);
      }}
      maxLength={12}
    />
  );
  return (
    <Stack $gap={6}>
      {handed && <Notice tone="good">{saidHandedOver(setting, handed)}</Notice>}
      {open ? (
        <Stack $gap={8}>
          <Row $align="flex-end">
            {field('within', t(isAir ? 'setting.airAtOnce' : 'setting.handWithin'))}
            {field('everyDays', t('setting.handDays'))}
            {!isAir && field('most', t('setting.handMost'))}
            <Button isDisabled={saving} onPress={take}>
              {t('setting.handOverNow')}
            </Button>
            <Button look="quiet" onPress={() => setOpen(false)}>
              {t('common.cancel')}
            </Button>
          </Row>
          {problem && <Notice tone="stop">{t(isAir ? 'setting.airHow' : 'setting.handHow')}</Notice>}
        </Stack>
      ) : (
        <Row>
          <Button look="quiet" onPress={() => setOpen(true)}>
            {t(handed ? 'setting.handOverAgain' : 'setting.handOver')}
          </Button>
        </Row>
      )}
    </Stack>
  );
}
