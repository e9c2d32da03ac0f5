import { boundsOf } from '@estribo/core/logbook';
import type { RunnerStep } from '@estribo/core/strapping';
import { useEffect, useState } from 'react';
import { useDraft } from '../api/draft';
import styled from 'styled-components';
import { RoleReads } from '../case/role-reads';
import { useFigureLayer, useMay, useWork } from '../case/case-context';
import { color, size } from '../app/tokens';
import { named, t } from '../messages';
import { boundsProblem } from '../parts/bounds';
import { Button } from '../parts/button';
import { Big, Row, Soft, Stack } from '../parts/layout';
import { Notice } from '../parts/notice';
import { printReading } from '../parts/print';
import { ReadingField, readQuantity } from '../parts/reading-field';
import { Steps } from '../parts/steps';
import { useSaving } from '../parts/use-saving';

const Card = styled.section`
  background: ${color('sheet')};
  border: 1px solid ${color('line')};
  border-radius: 4px;
  padding: 20px 24px;
  display: grid;
  grid-template-columns: max-content minmax(0, 1fr);
  gap: 8px 24px;
  align-items: center;
`;

const Large = styled.p`
  font-size: ${size.title};
  line-height: 1.3;
  font-weight: 700;
`;

const Lead = styled.p`
  font-size: ${size.lead};
  line-height: 1.4;
`;

export default function StrapStage() {
  const { state, unit, write } = useWork();
  const mayNow = useMay('strap');
  const { now, steps, done } = state.strapping;
  const [saving, save] = useSaving();
  const mayStrap = mayNow('strapping.write');
  const strapState = (strap: number): 'now' | 'done' | 'ahead' => {
    if (now?.strap === strap) return 'now';
    const of = steps.filter((step) => step.strap === strap && (now?.pass ?? 2) >= step.pass);
    return of.length > 0 && of.every((step) => step.state === 'done') ? 'done' : 'ahead';
  };
  useFigureLayer({
    brace: true,
    hinge: { above: 0, behind: 6 },
    marks: state.model.straps.map(({ strap, level, face }) => ({
      id: `strap-${strap}`,
      kind: 'strap',
      level,
      face,
      label: String(strap),
      state: strapState(strap),
    })),
  });
  const take = (more: { minutes?: number; dropped?: number } = {}) =>
    now && save(() => write('strap.done', 'strap', { step: now.id, pass: now.pass, ...more }));

  return (
    <>
      <Stack $gap={4}>
        <h1>{t('strapping.question')}</h1>
        <Soft>{t('strapping.how')}</Soft>
      </Stack>
      <Steps
        label={t('strapping.sequence')}
        steps={steps.map((step, i) => ({
          id: `${step.id}-${step.pass}`,
          mark: step.strap ? String(step.strap) : step.kind === 'settle' ? t('strapping.walk') : '·',
          name: `${i + 1}. ${named('sequence', step.id)}${step.pass === 2 ? ` (${t('strapping.secondPass')})` : ''}`,
          state: step.state,
        }))}
      />
      {now ? (
        now.kind === 'settle' ? (
          <Settle
            key={now.id}
            step={now}
            saving={saving}
            mayStrap={mayStrap}
            onDone={(more) => void take(more)}
          />
        ) : (
          <StepCard
            level={state.model.straps.find(({ strap }) => strap === now.strap)?.level}
            key={`${now.id}-${now.pass}`}
            step={now}
            saving={saving}
            mayStrap={mayStrap}
            onDone={() => void take()}
          />
        )
      ) : (
        <Notice tone="good">{t('strapping.allDone')}</Notice>
      )}
      {state.strapping.settled && (
        <Soft>
          {t('strapping.settled', { count: state.strapping.settled.minutes })}
          {state.strapping.settled.dropped !== undefined &&
            ` ${t('strapping.dropped', { length: printReading(state.strapping.settled.dropped, 'mm', unit) })}`}
        </Soft>
      )}
      {done > 0 && mayStrap && (
        <Row>
          <Button look="quiet" onPress={() => void save(() => write('strap.begun', 'strap', {}))}>
            {t('strapping.again')}
          </Button>
          <Soft>{t('strapping.againHow')}</Soft>
        </Row>
      )}
    </>
  );
}

function StepCard({
  step,
  level,
  saving,
  mayStrap,
  onDone,
}: {
  step: RunnerStep;
  /** of its strap, from the middle of the kneecap */
  level: number | undefined;
  saving: boolean;
  mayStrap: boolean;
  onDone: () => void;
}) {
  return (
    <>
      <Card aria-live="polite">
        <Big style={{ minWidth: 64, textAlign: 'center', color: color('saddle') }}>
          {step.strap ?? (step.kind === 'press' ? '⇤' : '○')}
        </Big>
        <div>
          <Large>{named('sequence', step.id)}</Large>
          {step.pass === 2 && <Soft>{t('strapping.secondPassHow')}</Soft>}
        </div>
        <Soft>{t('strapping.posture')}</Soft>
        <Large>
          {step.knee === undefined ? t('strapping.anyPosture') : t('strapping.knee', { angle: step.knee })}
        </Large>
        <Soft>{t('strapping.hold')}</Soft>
        <Lead>{named('sequenceHold', step.id)}</Lead>
      </Card>
      {step.strap !== undefined && (
        // below the knee a strap lies near the neck of the fibula
        <Notice tone="caution">{named('sequenceCaution', (level ?? 0) < 0 ? 'calf' : 'snug')}</Notice>
      )}
      {mayStrap ? (
        <Row>
          <Button look="main" onPress={onDone} isDisabled={saving} autoFocus keycap="⏎">
            {step.strap ? t('strapping.closed', { strap: step.strap }) : t('strapping.doneStep')}
          </Button>
        </Row>
      ) : (
        <RoleReads permission="strapping.write" />
      )}
    </>
  );
}

/** The settling walk: a clock that runs, and how far the brace has dropped. */
function Settle({
  step,
  saving,
  mayStrap,
  onDone,
}: {
  step: RunnerStep;
  saving: boolean;
  mayStrap: boolean;
  onDone: (more: { minutes: number; dropped?: number }) => void;
}) {
  const { state, unit } = useWork();
  const key = `estribo-walk-${state.case}-${state.seq}`;
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
  const wanted = (step.minutes ?? 5) * 60;
  const passed = began === undefined ? 0 : Math.max(0, Math.floor((now - began) / 1000));
  const left = Math.max(0, wanted - passed);
  const clock = `${Math.floor(left / 60)}:${String(left % 60).padStart(2, '0')}`;
  const done = () => {
    const minutes = Math.round((passed / 60) * 10) / 10;
    const take = (more: { dropped?: number }) => {
      setDropped('');
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
      (bound) => printReading(Math.abs(bound), 'mm', unit),
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
          <Large>{named('sequence', step.id)}</Large>
          <Lead>{named('sequenceHold', step.id)}</Lead>
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
              {t('strapping.startWalk')}
            </Button>
          </Row>
        ) : (
          <>
            {left > 0 && (
              <Notice tone="caution">{t('strapping.walkShort', { count: step.minutes ?? 5 })}</Notice>
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
                {t('strapping.walked')}
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
