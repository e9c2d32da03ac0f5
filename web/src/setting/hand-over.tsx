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

type Correction = Extract<Setting, { kind: 'correction' }>;
const plain = (turn: Turn): string => formatTurn(turn).replace(/^[+−]/, '');

/** What was handed over, in words: on the screen and on the patient's sheet. */
export const saidHandedOver = ({ unit }: Correction, { within, everyDays, most }: HandedOver): string =>
  t('setting.handedOver', {
    within: `${plain(within)} ${t(`setting.unit.${unit}`)}`,
    count: everyDays,
    most: `${plain(most)} ${t(`setting.unit.${unit}`)}`,
  });

/** Hands a correction over to the patient: so much at once, so many days between, so far and no further. */
export function HandOver({
  setting,
  stage,
  most,
  handed,
}: {
  setting: Correction;
  stage: SettingStage;
  most: Turn | undefined;
  handed: HandedOver | undefined;
}) {
  const { write } = useWork();
  const [open, setOpen] = useState(false);
  const [saving, save] = useSaving();
  const [typed, type] = useState({
    within: handed ? plain(handed.within) : most ? plain(most) : '',
    everyDays: String(handed?.everyDays ?? ''),
    most: handed
      ? plain(handed.most)
      : setting.inAll === undefined
        ? ''
        : plain(readTurn(String(setting.inAll))!),
  });
  const [problem, setProblem] = useState(false);
  const take = () => {
    const [within, ceiling] = [readTurn(typed.within), readTurn(typed.most)];
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
            {field('within', t('setting.handWithin'))}
            {field('everyDays', t('setting.handDays'))}
            {field('most', t('setting.handMost'))}
            <Button isDisabled={saving} onPress={take}>
              {t('setting.handOverNow')}
            </Button>
            <Button look="quiet" onPress={() => setOpen(false)}>
              {t('common.cancel')}
            </Button>
          </Row>
          {problem && <Notice tone="stop">{t('setting.handHow')}</Notice>}
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
