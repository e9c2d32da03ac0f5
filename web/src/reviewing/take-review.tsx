import { boundsOf } from '@estribo/core/logbook';
import { testWindow } from '@estribo/core/order';
import { limitedMotion } from '@estribo/core/programmes';
import { isGrowing, type FollowedMotion, type SkinFinding } from '@estribo/core/reviewing';
import { useState } from 'react';
import { useDraft } from '../api/draft';
import { color } from '../look/tokens';
import { useWork } from '../case/case-context';
import { useTypedGuard } from '../case/typed-here';
import { named, t } from '../messages';
import { boundsProblem } from '../parts/bounds';
import { Button } from '../parts/button';
import { Choice } from '../parts/choice';
import { Field } from '../parts/field';
import { Row, Soft, Stack } from '../parts/layout';
import { ReadingField, readQuantity } from '../parts/reading-field';
import { useSaving } from '../parts/use-saving';
import { MotionEntry } from '../setting/motion-entry';
import { SettingsWork } from '../setting/settings-work';
import { FollowedEntry } from './followed-entry';

const skins: SkinFinding[] = ['clear', 'fades-within-30-min', 'stays-red', 'broken'];

interface FoundDraft {
  skin?: SkinFinding;
  pain?: string;
  hours: string;
  note: string;
}

const hoursProblem = (value: number): { hours?: string } => {
  const hours = boundsProblem(
    t('reviewing.hours'),
    value,
    boundsOf('review.found', 'hours'),
    (bound) => `${bound} h`,
  );
  return hours ? { hours } : {};
};

const nothingFound: FoundDraft = { hours: '', note: '' };

/** What a review takes, in the order it is looked at; each part is written as it is taken. */
export function TakeReview({ onDone }: { onDone: () => void }) {
  const { state, today, unit, born, write } = useWork();
  const { order } = state.order!;
  const { followed } = state.reviewing;
  const window = testWindow(order, today, limitedMotion(state.programme));
  const visit = state.reviewing.visits.find(({ day }) => day === today);
  const isTested = ({ step, mode, side }: FollowedMotion) =>
    visit?.motions.some(
      (one) =>
        one.step === step?.id &&
        (mode === undefined || one.mode === mode) &&
        (one.other === true) === (side !== state.side),
    );
  const stillToTest = followed.motions.filter((motion) => !isTested(motion));
  const [draft, setDraft] = useDraft<FoundDraft>(`${state.case}-review`, nothingFound);
  const { skin, pain, hours, note } = draft;
  const [problem, setProblem] = useState<{ skin?: string; pain?: string; hours?: string }>({});
  const [saving, save] = useSaving();
  const { asked, guard } = useTypedGuard();
  const take = (by?: 'telephone') => {
    const worn = hours.trim() === '' ? undefined : readQuantity(hours, 'count', unit);
    const wrong = {
      ...(skin ? {} : { skin: t('reviewing.sayWhich') }),
      ...(pain === undefined ? { pain: t('reviewing.sayWhich') } : {}),
      ...(worn && 'problem' in worn ? { hours: worn.problem } : worn ? hoursProblem(worn.value) : {}),
    };
    if (Object.keys(wrong).length > 0) return setProblem(wrong);
    guard(
      () =>
        void save(async () => {
          await write('review.found', 'review', {
            skin: skin!,
            pain: Number(pain),
            ...(by ? { by } : {}),
            ...(worn && 'value' in worn ? { hours: worn.value } : {}),
            ...(note.trim() ? { note: note.trim() } : {}),
          });
          setDraft(nothingFound);
          onDone();
        }),
    );
  };
  return (
    <Stack $gap={14}>
      {stillToTest.map(({ step, mode, side }, i) => (
        <MotionEntry
          key={`${step?.id} ${mode} ${side}`}
          window={step ? testWindow(order, today, step) : window}
          stage="review"
          step={step}
          only={mode}
          {...(side === state.side ? {} : { side })}
          primary={i === 0}
        />
      ))}
      <Row $align="flex-start">
        {[...followed.readings, ...(born !== undefined && isGrowing(born, today) ? followed.growth : [])].map(
          (step) => visit?.girths[step.id] === undefined && <FollowedEntry key={step.id} step={step} />,
        )}
      </Row>
      {followed.settings.map(({ setting: { id } }) => (
        <SettingsWork key={id} only={id} stage="review" />
      ))}
      <Stack $gap={4}>
        <Choice
          label={t('reviewing.skin')}
          options={skins.map((value) => ({ value, label: named('skin', value) }))}
          value={skin}
          onChange={(chosen) => setDraft({ ...draft, skin: chosen })}
        />
        {problem.skin && <b style={{ color: color('madder') }}>{problem.skin}</b>}
      </Stack>
      <Stack $gap={4}>
        <Choice
          label={t('reviewing.pain')}
          options={Array.from({ length: 11 }, (_, i) => ({ value: String(i), label: String(i) }))}
          value={pain}
          onChange={(chosen) => setDraft({ ...draft, pain: chosen })}
        />
        {problem.pain && <b style={{ color: color('madder') }}>{problem.pain}</b>}
      </Stack>
      <Row $align="flex-start">
        <ReadingField
          small
          label={t('reviewing.hours')}
          kind="count"
          unit={unit}
          sign="h"
          value={hours}
          onChange={(text) => setDraft({ ...draft, hours: text })}
          onEnter={() => take()}
          problem={problem.hours}
        />
        <div style={{ flex: 1, minWidth: 220 }}>
          <Field
            label={t('reviewing.note')}
            value={note}
            onChange={(text) => setDraft({ ...draft, note: text })}
            maxLength={800}
          />
        </div>
      </Row>
      {asked}
      <Row>
        <Button look="main" onPress={() => take()} isDisabled={saving}>
          {t('reviewing.take')}
        </Button>
        <Button onPress={() => take('telephone')} isDisabled={saving}>
          {t('reviewing.takeTelephone')}
        </Button>
        {order.protective && <Soft>{t('reviewing.telephoneProtective')}</Soft>}
      </Row>
    </Stack>
  );
}
