import { addDays } from '@estribo/core/calendar';
import { useState } from 'react';
import { useDraft } from '../api/draft';
import { useWork } from '../case/case-context';
import { t } from '../messages';
import { Button } from '../parts/button';
import { DayField } from '../parts/day-field';
import { Row } from '../parts/layout';
import { Notice } from '../parts/notice';
import { formatDay } from '../parts/format';
import { useSaving } from '../parts/use-saving';

/** The day of the next review: planned, or proposed. */
export function NextVisit() {
  const { state, today, write } = useWork();
  const planned = state.visits.find(({ kept, purpose, day }) => !kept && purpose === 'review' && day > today);
  // what is told at once is looked at again soon; the call comes first
  const isUrgent = state.calls.length > 0;
  const proposed: { day?: string } = { day: addDays(today, isUrgent ? 1 : 14) };
  const [draft, setDraft] = useDraft(`${state.case}-next-visit`, proposed);
  const { day } = draft;
  const [problem, setProblem] = useState<string>();
  const [saving, save] = useSaving();
  if (planned)
    return <Notice tone="good">{t('reviewing.nextPlanned', { day: formatDay(planned.day) })}</Notice>;
  const plan = () => {
    if (!day || day <= today) return setProblem(t('reviewing.laterDay'));
    void save(() =>
      write('visit.planned', 'review', { day, purpose: 'review' }).then(() => setDraft(proposed)),
    );
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
    </Row>
  );
}
