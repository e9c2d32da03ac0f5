import { boundsOf } from '@estribo/core/logbook';
import { useEffect, useState } from 'react';
import { useDraft } from '../../api/draft';
import { RoleReads } from '../../case/role-reads';
import { useWork } from '../../case/case-context';
import { t } from '../../messages';
import { stepWords } from '../../messages/fitting';
import { boundsProblem } from '../../parts/bounds';
import { Button } from '../../parts/button';
import { Big, Row } from '../../parts/layout';
import { Notice } from '../../parts/notice';
import { formatReading } from '../../parts/format';
import { ReadingField, readQuantity } from '../../parts/reading-field';
import { Card, Large, Lead } from '../card';
import type { StepOf, StepProps, StepScreen } from './piece';

/** The settling walk: a clock that runs, and how far the brace has dropped. */
function Settle({ step, saving, mayStrap, onDone }: StepProps<StepOf<'settle'>>) {
  const { state, unit } = useWork();
  // the clock is that of the donning up to this step: what else is written meanwhile leaves it running, also over a reload
  const before = state.lines.findLast(({ entry }) => entry.kind.startsWith('strap.'));
  const key = `estribo-walk-${state.case}-${before?.entry.id ?? ''}`;
  const [began, setBegan] = useState<number | undefined>(
    () => Number(sessionStorage.getItem(key)) || undefined,
  );
  const [now, setNow] = useState(() => Date.now());
  const [dropped, setDropped] = useDraft(`${state.case}-dropped`);
  const [problem, setProblem] = useState<string>();
  useEffect(() => {
    if (began === undefined) return;
    const timer = setInterval(() => setNow(Date.now()), 500);
    return () => clearInterval(timer);
  }, [began]);
  const wanted = step.minutes * 60;
  const passed = began === undefined ? 0 : Math.max(0, Math.floor((now - began) / 1000));
  const left = Math.max(0, wanted - passed);
  const clock = `${Math.floor(left / 60)}:${String(left % 60).padStart(2, '0')}`;
  const done = () => {
    const minutes = Math.round((passed / 60) * 10) / 10;
    const take = (more: { dropped?: number }) => {
      setDropped('');
      sessionStorage.removeItem(key);
      onDone({ minutes, ...more });
    };
    if (dropped.trim() === '') return take({});
    if (/^0+$/.test(dropped.trim())) return take({ dropped: 0 });
    const read = readQuantity(dropped, 'length', unit);
    if ('problem' in read) return setProblem(read.problem);
    const outside = boundsProblem(
      t('strapping.droppedLabel'),
      read.value,
      boundsOf('strap.done', 'dropped'),
      (bound) => formatReading(Math.abs(bound), 'mm', unit),
    );
    if (outside) return setProblem(outside);
    take({ dropped: read.value });
  };
  return (
    <>
      <Card>
        <Big role="timer" aria-label={t('strapping.timer')} style={{ minWidth: 96 }}>
          {clock}
        </Big>
        <div>
          <Large>{stepWords(state.programme, step.id).name}</Large>
          <Lead>{stepWords(state.programme, step.id).hold}</Lead>
        </div>
      </Card>
      {mayStrap ? (
        began === undefined ? (
          <Row>
            <Button
              look="main"
              autoFocus
              keycap="⏎"
              onPress={() => {
                const at = Date.now();
                sessionStorage.setItem(key, String(at));
                setNow(at);
                setBegan(at);
              }}
            >
              {t(`strapping.start.${step.how}`)}
            </Button>
          </Row>
        ) : (
          <>
            {left > 0 && (
              <Notice tone="caution">{t(`strapping.short.${step.how}`, { count: step.minutes })}</Notice>
            )}
            <Row $align="flex-end">
              <ReadingField
                small
                primary
                label={t('strapping.droppedLabel')}
                kind="length"
                unit={unit}
                sign={unit}
                value={dropped}
                onChange={(text) => {
                  setDropped(text);
                  setProblem(undefined);
                }}
                onEnter={done}
                problem={problem}
              />
              <Button look="main" onPress={done} isDisabled={saving}>
                {t(`strapping.ended.${step.how}`)}
              </Button>
            </Row>
          </>
        )
      ) : (
        <RoleReads permission="strapping.write" />
      )}
    </>
  );
}

export const settle: StepScreen<StepOf<'settle'>> = { Whole: Settle };
