import { proposedReview } from '@estribo/core/findings';
import { useState } from 'react';
import { useDraft } from '../api/draft';
import { useWork } from '../case/case-context';
import { named, t } from '../messages';
import { Button } from '../parts/button';
import { DayField } from '../parts/day-field';
import { Row, Soft } from '../parts/layout';
import { Notice } from '../parts/notice';
import { formatDay } from '../parts/format';
import { useSaving } from '../parts/use-saving';

/** The day of the next review: planned, or proposed. */
export function NextVisit({ stage }: { stage: 'wear' | 'review' }) {
  const { state, today, born, write } = useWork();
  const planned = state.visits.find(({ kept, purpose, day }) => !kept && purpose === 'review' && day > today);
  const isUrgent = state.calls.length > 0;
  const by = proposedReview(state, today, born);
  const proposed: { day?: string } = { day: by.day };
  const [draft, setDraft] = useDraft(`${state.case}-next-visit-${stage}`, proposed);
  const { day } = draft;
  const [problem, setProblem] = useState<string>();
  const [saving, save] = useSaving();
  if (planned)
    return <Notice tone="good">{t('reviewing.nextPlanned', { day: formatDay(planned.day) })}</Notice>;
  const plan = () => {
    if (!day || day <= today) return setProblem(t('reviewing.laterDay'));
    void save(() => write('visit.planned', stage, { day, purpose: 'review' }).then(() => setDraft(proposed)));
  };
  return (
    <Row $align="flex-end">
      {isUrgent && <Notice tone="caution">{t('reviewing.callFirst')}</Notice>}
      <DayField
        label={t('reviewing.next')}
        value={day}
        onChange={(on) => setDraft(on ? { day: on } : {})}
        problem={problem}
      />
      <Button look="main" onPress={plan} isDisabled={saving}>
        {t('reviewing.plan')}
      </Button>
      {by.why && <Soft>{named('reviewBecause', by.why)}</Soft>}
    </Row>
  );
}
