import { withholding } from '@estribo/core/findings';
import type { BodyOf } from '@estribo/core/logbook';
import { replan, wearKindFor } from '@estribo/core/wearing';
import { useClinic } from '../api/clinic';
import { useMay, useWork } from '../case/case-context';
import { useEntryForm } from '../entry-form/use-entry-form';
import { t } from '../messages';
import { Button } from '../parts/button';
import { Choice } from '../parts/choice';
import { DayField } from '../parts/day-field';
import { Field } from '../parts/field';
import { Fold } from '../parts/fold';
import { formatDay, formatMinutes } from '../parts/format';
import { Row, Soft, Stack } from '../parts/layout';
import { Notice } from '../parts/notice';
import { ReadingField } from '../parts/reading-field';
import { useSaving } from '../parts/use-saving';

/** What was told of the days in the brace, and what the clinic's own rule makes of it. */
export function ToldDays() {
  return (
    <>
      <ByTheRule />
      <Fold title={t('wearing.toldTitle')}>
        <TellDay />
      </Fold>
    </>
  );
}

type Told = BodyOf<'wear.told'>;

/** Nothing is preset: what nobody asked is not "clear". */
const nothingTold: {
  /** absent: today */
  day?: string | undefined;
  minutes: string;
  skin: Told['skin'] | '';
  pain: Told['pain'] | '';
  note: string;
} = { minutes: '', skin: '', pain: '', note: '' };

function TellDay() {
  const { state, today, unit } = useWork();
  const mayWrite = useMay('wear')('wearing.write');
  const { told } = state.wearing;
  const { typed, type, problems, saving, submit } = useEntryForm({
    kind: 'wear.told',
    stage: 'wear',
    // what was told today is no answer of tomorrow
    draft: `told-${today}`,
    empty: nothingTold,
    body: ({ day = today, skin, pain, note }, { number, wrong }) => {
      if (day > today) wrong('day', t('wearing.dayToCome'));
      if (skin === '') wrong('skin', t('reviewing.sayWhich'));
      if (pain === '') wrong('pain', t('reviewing.sayWhich'));
      return {
        day,
        minutes: number('minutes', { label: t('wearing.minutesWorn'), quantity: 'count', sign: 'min' }),
        skin: skin || 'clear',
        pain: pain || 'none',
        ...(note.trim() ? { note: note.trim() } : {}),
      };
    },
  });
  return (
    <Stack $gap={10}>
      {told.length > 0 && (
        <ul>
          {told.slice(-7).map(({ day, minutes, skin, pain, note }) => (
            <li key={day}>
              <b>{formatDay(day)}</b>: {formatMinutes(minutes)}, {t(`wearing.skin.${skin}`)},{' '}
              {t(`wearing.pain.${pain}`)}
              {note ? ` (${note})` : ''}
            </li>
          ))}
        </ul>
      )}
      {mayWrite && (
        <>
          <Row $align="flex-end">
            <DayField
              label={t('wearing.dayWorn')}
              value={typed.day ?? today}
              onChange={(day) => type({ day })}
              problem={problems.day}
            />
            <ReadingField
              small
              label={t('wearing.minutesWorn')}
              kind="count"
              unit={unit}
              sign="min"
              value={typed.minutes}
              onChange={(minutes) => type({ minutes })}
              onEnter={submit}
              problem={problems.minutes}
            />
          </Row>
          <Row>
            <Choice
              label={t('wearing.skinWas')}
              options={(['clear', 'red-stays'] as const).map((value) => ({
                value,
                label: t(`wearing.skin.${value}`),
              }))}
              value={typed.skin}
              onChange={(skin) => type({ skin: skin as Told['skin'] })}
              problem={problems.skin}
            />
            <Choice
              label={t('wearing.painWas')}
              options={(['none', 'some'] as const).map((value) => ({
                value,
                label: t(`wearing.pain.${value}`),
              }))}
              value={typed.pain}
              onChange={(pain) => type({ pain: pain as Told['pain'] })}
              problem={problems.pain}
            />
          </Row>
          <Field
            label={t('wearing.noteWorn')}
            value={typed.note}
            onChange={(note) => type({ note })}
            maxLength={400}
          />
          <Row>
            <Button onPress={submit} isDisabled={saving}>
              {t('wearing.takeDay')}
            </Button>
          </Row>
        </>
      )}
    </Stack>
  );
}

/** The plan made anew by the clinic's own rule; none ships. Never for what is worn as ordered. */
function ByTheRule() {
  const { state, findings, today, write } = useWork();
  const { wearRule } = useClinic();
  const mayWrite = useMay('wear')('wearing.write');
  const [saving, save] = useSaving();
  const order = state.order?.order;
  const { plan, told, held } = state.wearing;
  if (!order || wearKindFor(order) === 'as-ordered' || plan?.plan.kind !== 'growing' || held) return null;
  // what came before this plan has had its answer
  const since = told.filter(({ day }) => day >= (plan.plan.kind === 'growing' ? plan.plan.from : ''));
  const last = since.at(-1);
  const isBad = last && (last.skin !== 'clear' || last.pain !== 'none');
  if (!wearRule) return isBad ? <Notice tone="caution">{t('wearing.noRule')}</Notice> : null;
  const next = replan(plan.plan, since, wearRule, today);
  if (!next) return null;
  return (
    <Notice tone="caution">
      <Stack $gap={8}>
        <b>{t(`wearing.ruleSays.${next.action === 'hold' ? 'hold' : 'step-back'}`)}</b>
        <span>
          {t('wearing.ruleBecause', {
            signs: next.because.map((sign) => t(`wearing.sign.${sign}`)).join(', '),
            minutes: formatMinutes(next.plan.firstDay),
            until: formatDay(next.plan.holdUntil!),
          })}
        </span>
        <Soft>{t('wearing.clinicsOwn')}</Soft>
        {mayWrite && withholding(findings, 'plan').length === 0 && (
          <Row>
            <Button
              look="main"
              isDisabled={saving}
              onPress={() =>
                void save(() => write('wear.planned', 'wear', { ...next.plan, because: next.because }))
              }
            >
              {t('wearing.takeRule')}
            </Button>
          </Row>
        )}
      </Stack>
    </Notice>
  );
}
