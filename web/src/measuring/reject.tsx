import { unitOf, type StepState } from '@estribo/core/measuring';
import { useState } from 'react';
import { useWork } from '../case/case-context';
import { t } from '../messages';
import { Button } from '../parts/button';
import { Dialog } from '../parts/dialog';
import { Field } from '../parts/field';
import { Row } from '../parts/layout';
import { Notice } from '../parts/notice';
import { printReading } from '../parts/print';

/** One repeat taken out with the reason: the tape slipped, the patient moved. */
export function Reject({ at: { step, readings }, onClose }: { at: StepState; onClose: () => void }) {
  const { unit, write } = useWork();
  const [reason, setReason] = useState('');
  const [problem, setProblem] = useState<string>();
  const reject = async (entry: string) => {
    if (reason.trim().length < 3) return setProblem(t('record.reasonNeeded'));
    await write('record.withdrawn', 'measure', {}, { replaces: entry, reason: reason.trim() });
    onClose();
  };
  return (
    <Dialog title={t('measuring.rejectTitle')} onClose={onClose}>
      <Notice tone="plain">{t('measuring.rejectHow')}</Notice>
      <Field
        label={t('record.reason')}
        value={reason}
        onChange={setReason}
        problem={problem}
        autoFocus
        maxLength={400}
      />
      <Row>
        {readings.map(({ entry, value }) => (
          <Button key={entry} onPress={() => void reject(entry)}>
            {t('measuring.rejectThis', { value: printReading(value ?? 0, unitOf(step), unit) })}
          </Button>
        ))}
        <Button look="quiet" onPress={onClose}>
          {t('common.cancel')}
        </Button>
      </Row>
    </Dialog>
  );
}
