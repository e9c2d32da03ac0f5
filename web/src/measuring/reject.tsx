import { isMeasured, unitOf, type StepState } from '@estribo/core/measuring';
import { useWork } from '../case/case-context';
import { t } from '../messages';
import { Button } from '../parts/button';
import { Dialog } from '../parts/dialog';
import { Row } from '../parts/layout';
import { Notice } from '../parts/notice';
import { formatReading } from '../parts/format';
import { useReason } from '../parts/use-reason';

/** One repeat taken out with the reason: the tape slipped, the patient moved. */
export function Reject({ at: { step, side, readings }, onClose }: { at: StepState; onClose: () => void }) {
  const { state, unit, write } = useWork();
  const { field, giving } = useReason(`${state.case}-reject-${step.id}-${side}`);
  const reject = (entry: string) =>
    giving((reason) => {
      void write('record.withdrawn', 'measure', {}, { replaces: entry, reason }).then(onClose);
    });
  return (
    <Dialog title={t('measuring.rejectTitle')} onClose={onClose}>
      <Notice tone="plain">{t('measuring.rejectHow')}</Notice>
      {field}
      <Row>
        {readings.map(({ entry, value }) => (
          <Button key={entry} onPress={() => reject(entry)}>
            {t('measuring.rejectThis', {
              value: isMeasured(step) ? formatReading(value ?? 0, unitOf(step), unit) : '',
            })}
          </Button>
        ))}
        <Button look="quiet" onPress={onClose}>
          {t('common.cancel')}
        </Button>
      </Row>
    </Dialog>
  );
}
