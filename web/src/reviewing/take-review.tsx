import { testWindow } from '@estribo/core/order';
import { limitedMotion } from '@estribo/core/programmes';
import { isGrowing, type FollowedMotion, type SkinFinding } from '@estribo/core/reviewing';
import { useRef } from 'react';
import { useWork } from '../case/case-context';
import { useTypedGuard } from '../case/typed-here';
import { useEntryForm } from '../entry-form/use-entry-form';
import { named, t } from '../messages';
import { Button } from '../parts/button';
import { Choice } from '../parts/choice';
import { Field } from '../parts/field';
import { Row, Soft, Stack } from '../parts/layout';
import { ReadingField } from '../parts/reading-field';
import { MotionEntry } from '../setting/motion-entry';
import { SettingsWork } from '../setting/settings-work';
import { FollowedEntry } from './followed-entry';

const skins: SkinFinding[] = ['clear', 'fades-within-30-min', 'stays-red', 'broken'];

/** Nothing is preset; `by` is said by the button that takes it. */
const nothingFound: { skin: SkinFinding | ''; pain: string; hours: string; note: string } = {
  skin: '',
  pain: '',
  hours: '',
  note: '',
};

/** What a review takes, in the order it is looked at; each part is written as it is taken. */
export function TakeReview({ onDone }: { onDone: () => void }) {
  const { state, today, unit, born } = useWork();
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
  const { asked, guard } = useTypedGuard();
  /** how the review was made that is being taken */
  const by = useRef<'telephone'>(undefined);
  const { typed, type, problems, saving, submitThrough } = useEntryForm({
    kind: 'review.found',
    stage: 'review',
    // what was found is of its day
    draft: `review-${today}`,
    empty: nothingFound,
    body: ({ skin, pain, note }, { numberOrNone, wrong }) => {
      const worn = numberOrNone('hours', { label: t('reviewing.hours'), quantity: 'count', sign: 'h' });
      if (skin === '') wrong('skin', t('reviewing.sayWhich'));
      if (pain === '') wrong('pain', t('reviewing.sayWhich'));
      return {
        skin: skin || 'clear',
        pain: Number(pain),
        ...(by.current ? { by: by.current } : {}),
        ...(worn === undefined ? {} : { hours: worn }),
        ...(note.trim() ? { note: note.trim() } : {}),
      };
    },
    done: onDone,
  });
  const take = (how?: 'telephone') => {
    by.current = how;
    submitThrough(guard);
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
      <Choice
        label={t('reviewing.skin')}
        options={skins.map((value) => ({ value, label: named('skin', value) }))}
        value={typed.skin || undefined}
        onChange={(skin) => type({ skin })}
        problem={problems.skin}
      />
      <Choice
        label={t('reviewing.pain')}
        options={Array.from({ length: 11 }, (_, i) => ({ value: String(i), label: String(i) }))}
        value={typed.pain || undefined}
        onChange={(pain) => type({ pain })}
        problem={problems.pain}
      />
      <Row $align="flex-start">
        <ReadingField
          small
          label={t('reviewing.hours')}
          kind="count"
          unit={unit}
          sign="h"
          value={typed.hours}
          onChange={(hours) => type({ hours })}
          onEnter={() => take()}
          problem={problems.hours}
        />
        <div style={{ flex: 1, minWidth: 220 }}>
          <Field
            label={t('reviewing.note')}
            value={typed.note}
            onChange={(note) => type({ note })}
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
