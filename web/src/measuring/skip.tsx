import { isReading, unitOf, type StepState, type SubstituteWay } from '@estribo/core/measuring';
import { useState } from 'react';
import { useWork } from '../case/case-context';
import { named, t } from '../messages';
import { Button } from '../parts/button';
import { Dialog } from '../parts/dialog';
import { Field } from '../parts/field';
import { Row, Soft } from '../parts/layout';
import { Notice } from '../parts/notice';
import { printReading } from '../parts/print';

/** A step that cannot be taken as it should: left out, or taken another way, with the reason. */
export function Skip({ at: { step, side }, onClose }: { at: StepState; onClose: () => void }) {
  const { state, unit, write } = useWork();
  const [reason, setReason] = useState('');
  const [problem, setProblem] = useState<string>();
  const rest = state.measuring.states.filter(
    (other) => other.side === side && !other.done && other.readings.length === 0,
  );
  const needed = state.sizing.chart.axes.some(({ reading }) => reading === step.id);
  const other = isReading(step) ? step.substitute : undefined;
  const put = async (steps: string[], substitute?: SubstituteWay) => {
    if (reason.trim().length < 3) return setProblem(t('record.reasonNeeded'));
    for (const id of steps)
      await write('measure.skipped', 'measure', {
        step: id,
        side,
        reason: reason.trim(),
        ...(substitute ? { substitute } : {}),
      });
    onClose();
  };
  const print = (value: number) => `± ${printReading(value, unitOf(step), unit)}`;
  return (
    <Dialog
      title={t(side === 'midline' ? 'measuring.skipTitleMidline' : 'measuring.skipTitle', {
        step: named('steps', step.id),
        side: named('side', side),
      })}
      onClose={onClose}
    >
      {side === state.side && needed && <Notice tone="caution">{t('measuring.skipBraced')}</Notice>}
      <Field
        label={t('measuring.skipReason')}
        value={reason}
        onChange={setReason}
        problem={problem}
        autoFocus
        maxLength={200}
      />
      {other && isReading(step) && (
        <Row>
          <Button look="main" onPress={() => void put([step.id], other.how)}>
            {t(`measuring.substitute.${other.how}`)}
          </Button>
          <Soft>
            {t('measuring.substituteUncertain', { from: print(step.shared), to: print(other.shared) })}
          </Soft>
        </Row>
      )}
      <Row>
        <Button look={other ? 'second' : 'main'} onPress={() => void put([step.id])}>
          {t('measuring.skipThis')}
        </Button>
        {rest.length > 1 && (
          <Button onPress={() => void put(rest.map((one) => one.step.id))}>
            {side === 'midline'
              ? t('measuring.skipRest')
              : t('measuring.skipSide', { side: named('side', side) })}
          </Button>
        )}
        <Button look="quiet" onPress={onClose}>
          {t('common.cancel')}
        </Button>
      </Row>
    </Dialog>
  );
}
