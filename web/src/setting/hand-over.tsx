import { formatTurn, readTurn, type HandedOver, type Setting, type Turn } from '@estribo/core/setting';
import { useEntryForm } from '../entry-form/use-entry-form';
import { t } from '../messages';
import { Button } from '../parts/button';
import { Field } from '../parts/field';
import { Row, Stack } from '../parts/layout';
import { Notice } from '../parts/notice';
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
  const isAir = setting.kind === 'fill';
  const empty = {
    open: false,
    within: handed ? plain(handed.within) : most ? plain(most) : '',
    everyDays: String(handed?.everyDays ?? (setting.kind === 'fill' ? setting.everyDays : undefined) ?? ''),
    most: handed
      ? plain(handed.most)
      : setting.inAll === undefined
        ? ''
        : plain(readTurn(String(setting.inAll))!),
  };
  const { typed, type, problems, saving, submit, clear } = useEntryForm({
    kind: 'set.handed-over',
    stage,
    draft: `hand-over-${setting.id}`,
    empty,
    body: (form, { wrong }) => {
      // air goes in anew each time: what goes in at once is all of it
      const [within, ceiling] = [readTurn(form.within), readTurn(isAir ? form.within : form.most)];
      const days = Number(form.everyDays);
      const isSound =
        within &&
        ceiling &&
        within.n > 0 &&
        ceiling.n > 0 &&
        Number.isInteger(days) &&
        days >= 1 &&
        days <= 60;
      if (!isSound) wrong('root', t(isAir ? 'setting.airHow' : 'setting.handHow'));
      return { setting: setting.id, within: within!, everyDays: days, most: ceiling! };
    },
  });
  const field = (name: 'within' | 'everyDays' | 'most', label: string) => (
    <Field label={label} value={typed[name]} onChange={(text) => type({ [name]: text })} maxLength={12} />
  );
  return (
    <Stack $gap={6}>
      {handed && <Notice tone="good">{saidHandedOver(setting, handed)}</Notice>}
      {typed.open ? (
        <Stack $gap={8}>
          <Row $align="flex-end">
            {field('within', t(isAir ? 'setting.airAtOnce' : 'setting.handWithin'))}
            {field('everyDays', t('setting.handDays'))}
            {!isAir && field('most', t('setting.handMost'))}
            <Button isDisabled={saving} onPress={submit}>
              {t('setting.handOverNow')}
            </Button>
            <Button look="quiet" onPress={clear}>
              {t('common.cancel')}
            </Button>
          </Row>
          {problems.root && <Notice tone="stop">{problems.root}</Notice>}
        </Stack>
      ) : (
        <Row>
          <Button look="quiet" onPress={() => type({ ...empty, open: true })}>
            {t(handed ? 'setting.handOverAgain' : 'setting.handOver')}
          </Button>
        </Row>
      )}
    </Stack>
  );
}
