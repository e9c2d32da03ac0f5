import { withholding } from '@estribo/core/findings';
import { boundsOf } from '@estribo/core/logbook';
import { replan, wearKindFor } from '@estribo/core/wearing';
import { useState } from 'react';
import { useClinic } from '../api/clinic';
import { useDraft } from '../api/draft';
import { useMay, useWork } from '../case/case-context';
import { t } from '../messages';
import { boundsProblem } from '../parts/bounds';
import { Button } from '../parts/button';
import { Choice } from '../parts/choice';
import { DayField } from '../parts/day-field';
import { Field } from '../parts/field';
import { Fold } from '../parts/fold';
import { formatDay, formatMinutes } from '../parts/format';
import { Row, Soft, Stack } from '../parts/layout';
import { Notice } from '../parts/notice';
import { ReadingField, readQuantity } from '../parts/reading-field';
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

function TellDay() {
  const { state, today, unit, write } = useWork();
  const mayWrite = useMay('wear')('wearing.write');
  const { told } = state.wearing;
  const [draft, setDraft] = useDraft(`${state.case}-told`, {
    day: today as string | undefined,
    minutes: '',
    skin: 'clear' as 'clear' | 'red-stays',
    pain: 'none' as 'none' | 'some',
    note: '',
  });
  const [problem, setProblem] = useState<string>();
  const [saving, save] = useSaving();
  const take = () => {
    const read = readQuantity(draft.minutes, 'count', unit);
    if ('problem' in read) return setProblem(read.problem);
    const outside = boundsProblem(
      t('wearing.minutesWorn'),
      read.value,
      boundsOf('wear.told', 'minutes'),
      (bound) => `${bound} min`,
    );
    if (outside) return setProblem(outside);
    if (!draft.day || draft.day > today) return setProblem(t('wearing.dayToCome'));
    void save(() =>
      write('wear.told', 'wear', {
        day: draft.day!,
        minutes: read.value,
        skin: draft.skin,
        pain: draft.pain,
        ...(draft.note.trim() ? { note: draft.note.trim() } : {}),
      }).then(() => setDraft({ ...draft, minutes: '', skin: 'clear', pain: 'none', note: '' })),
    );
  };
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
              value={draft.day}
              onChange={(day) => setDraft({ ...draft, day })}
            />
            <ReadingField
              small
              label={t('wearing.minutesWorn')}
              kind="count"
              unit={unit}
              sign="min"
              value={draft.minutes}
              onChange={(minutes) => {
                setDraft({ ...draft, minutes });
                setProblem(undefined);
              }}
              onEnter={take}
              problem={problem}
            />
          </Row>
          <Row>
            <Choice
              label={t('wearing.skinWas')}
              options={(['clear', 'red-stays'] as const).map((value) => ({
                value,
                label: t(`wearing.skin.${value}`),
              }))}
              value={draft.skin}
              onChange={(skin) => setDraft({ ...draft, skin: skin as typeof draft.skin })}
            />
            <Choice
              label={t('wearing.painWas')}
              options={(['none', 'some'] as const).map((value) => ({
                value,
                label: t(`wearing.pain.${value}`),
              }))}
              value={draft.pain}
              onChange={(pain) => setDraft({ ...draft, pain: pain as typeof draft.pain })}
            />
          </Row>
          <Field
            label={t('wearing.noteWorn')}
            value={draft.note}
            onChange={(note) => setDraft({ ...draft, note })}
            maxLength={400}
          />
          <Row>
            <Button onPress={take} isDisabled={saving}>
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
