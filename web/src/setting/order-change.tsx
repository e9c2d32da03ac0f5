import { changeProblem, replanned, type OrderChange } from '@estribo/core/order';
import { useDraft } from '../api/draft';
import { useWork } from '../case/case-context';
import { t } from '../messages';
import { Button } from '../parts/button';
import { DayField } from '../parts/day-field';
import { Field } from '../parts/field';
import { Row, Sheet, Stack } from '../parts/layout';
import { Notice } from '../parts/notice';
import { useSaving } from '../parts/use-saving';
import { useState } from 'react';
import { BeforeAfter, phasesOf } from './phase-table';

/** What the prescriber changed of the order's days, shown before and after, then taken. */
export function OrderChangeForm({ what, onDone }: { what: OrderChange['what']; onDone: () => void }) {
  const { state, today, write } = useWork();
  const [saving, save] = useSaving();
  const given = state.order!;
  const key = `${state.case}-order-${what}`;
  const [day, setDay] = useDraft<string | undefined>(`${key}-day`, what === 'moved' ? undefined : today);
  const [prescriber, setPrescriber] = useDraft(`${key}-by`);
  const [reason, setReason] = useDraft(`${key}-reason`);
  const [tried, setTried] = useState(false);
  const change = day ? { what, day } : undefined;
  const problem = change && changeProblem(given, change);
  const lacks = { day: !day, prescriber: prescriber.trim() === '', reason: reason.trim().length < 3 };
  const take = () => {
    if (!change || problem || lacks.prescriber || lacks.reason) return setTried(true);
    void save(async () => {
      await write('order.changed', 'set', {
        ...change,
        prescriber: prescriber.trim(),
        reason: reason.trim(),
      });
      setPrescriber('');
      setReason('');
      onDone();
    });
  };
  const after = change && !problem ? replanned(given.given, [...given.changes, change]) : undefined;
  const shortened = after !== undefined && phasesOf(state, after.order).some(({ never }) => never === true);
  return (
    <Sheet>
      <Stack $gap={10}>
        <h3>{t(`schedule.change.${what}`)}</h3>
        <p>{t(`schedule.changeHow.${what}`)}</p>
        <Row $align="flex-start">
          <DayField
            label={t(`schedule.changeDay.${what}`)}
            value={day}
            onChange={setDay}
            problem={tried && lacks.day ? t('order.needed') : undefined}
          />
          <Field
            label={t('schedule.changeBy')}
            value={prescriber}
            onChange={setPrescriber}
            maxLength={120}
            problem={tried && lacks.prescriber ? t('order.needed') : undefined}
          />
          <Field
            label={t('record.reason')}
            value={reason}
            onChange={setReason}
            maxLength={400}
            problem={tried && lacks.reason ? t('record.reasonNeeded') : undefined}
          />
        </Row>
        {problem && <Notice tone="stop">{t(`schedule.changeProblem.${problem}`)}</Notice>}
        {after && (
          <>
            <BeforeAfter after={after.order} />
            {shortened && <Notice tone="caution">{t('schedule.endStays')}</Notice>}
          </>
        )}
        <Row>
          <Button look="main" isDisabled={saving} onPress={take}>
            {t(`schedule.changeTake.${what}`)}
          </Button>
          <Button look="quiet" onPress={onDone}>
            {t('common.cancel')}
          </Button>
        </Row>
      </Stack>
    </Sheet>
  );
}
