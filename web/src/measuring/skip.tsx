import { isMeasured, isReading, unitOf, type StepState, type SubstituteWay } from '@estribo/core/measuring';
import { useWork } from '../case/case-context';
import { named, t } from '../messages';
import { Button } from '../parts/button';
import { Dialog } from '../parts/dialog';
import { Row, Soft } from '../parts/layout';
import { Notice } from '../parts/notice';
import { formatReading } from '../parts/format';
import { useReason } from '../parts/use-reason';

/** A step that cannot be taken as it should: left out, or taken another way, with the reason. */
export function Skip({ at: { step, side }, onClose }: { at: StepState; onClose: () => void }) {
  const { state, unit, write } = useWork();
  const { field, giving } = useReason(
    `${state.case}-skip-${step.id}-${side}`,
    t('measuring.skipReason'),
    200,
  );
  const rest = state.measuring.states.filter(
    (other) => other.side === side && !other.done && other.readings.length === 0,
  );
  const needed = state.sizing.chart.axes.some(({ reading }) => reading === step.id);
  const other = isReading(step) ? step.substitute : undefined;
  const skip = async (steps: string[], reason: string, substitute?: SubstituteWay) => {
    for (const id of steps)
      await write('measure.skipped', 'measure', {
        step: id,
        side,
        reason,
        ...(substitute ? { substitute } : {}),
      });
    onClose();
  };
  const put = (steps: string[], substitute?: SubstituteWay) =>
    giving((reason) => void skip(steps, reason, substitute));
  const print = (value: number) => (isMeasured(step) ? `± ${formatReading(value, unitOf(step), unit)}` : '');
  return (
    <Dialog
      title={t(side === 'midline' ? 'measuring.skipTitleMidline' : 'measuring.skipTitle', {
        step: named('steps', step.id),
        side: named('side', side),
      })}
      onClose={onClose}
    >
      {side === state.side && needed && <Notice tone="caution">{t('measuring.skipBraced')}</Notice>}
      {field}
      {other && isReading(step) && (
        <Row>
          <Button look="main" onPress={() => put([step.id], other.how)}>
            {t(`measuring.substitute.${other.how}`)}
          </Button>
          <Soft>
            {t('measuring.substituteUncertain', { from: print(step.shared), to: print(other.shared) })}
          </Soft>
        </Row>
      )}
      <Row>
        <Button look={other ? 'second' : 'main'} onPress={() => put([step.id])}>
          {t('measuring.skipThis')}
        </Button>
        {rest.length > 1 && (
          <Button onPress={() => put(rest.map((one) => one.step.id))}>
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
