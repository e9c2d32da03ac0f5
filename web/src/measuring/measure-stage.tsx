import { limitedMotion } from '@estribo/core/programmes';
import { otherSide, type Side } from '@estribo/core/anatomy';
import { inSight, nextStep, stepAt, type PostureStep, type StepState } from '@estribo/core/measuring';
import { angleOn, testWindow, type MotionWindow } from '@estribo/core/order';
import type { LengthUnit } from '@estribo/core/quantity';
import { useState } from 'react';
import { RoleReads } from '../case/role-reads';
import { useFigureLayer, useMay, useSelection, useWork } from '../case/case-context';
import { useHotkeys } from '../browser/hotkeys';
import type { FigureLayer } from '../figure/layer';
import { named, t } from '../messages';
import { Row, Rule, Small, Soft, Stack } from '../parts/layout';
import { Notice } from '../parts/notice';
import { SizeAnswer } from '../sizing/size-answer';
import { SizeStrips } from '../sizing/size-strips';
import { Derived, OwnPrecision } from './derived';
import { MeasuredTable } from './measured-table';
import { cautionOf, instruction, reasonOf, titleOf } from './step-words';
import { figureLabel } from '../figure/figure-label';
import { Take } from './take-reading';

/** A step picked by hand, with how much was in its record then. */
interface Picked {
  step: string;
  side: Side;
  taken: number;
}

const takenOf = ({ readings, motions, skipped, substitute }: StepState): number =>
  readings.length + motions.length + (skipped ? 1 : 0) + (substitute === 'other-side' ? 1 : 0);

function pickOf(states: readonly StepState[], step: string, side: Side): Picked | undefined {
  const at = stepAt(states, step, side);
  return at && { step, side: at.side, taken: takenOf(at) };
}

/** A picked step is held until something taken for it makes it done. */
function holds(states: readonly StepState[], { step, side, taken }: Picked): StepState | undefined {
  const at = stepAt(states, step, side);
  return at && (!at.done || takenOf(at) === taken) ? at : undefined;
}

export default function MeasureStage() {
  const { state, unit, today } = useWork();
  const { select, selected } = useSelection();
  const mayNow = useMay('measure');
  const { measuring } = state;
  const [picked, pick] = useState<Picked>();
  const [leftOpen, leave] = useState<readonly string[]>([]);
  const next = nextStep(measuring.states, leftOpen);
  // what is touched on the figure is the step to take
  const [touched, touch] = useState<string>();
  if (selected !== touched) {
    touch(selected);
    const step = measuring.steps.find(({ id }) => id === selected);
    const side = picked?.side ?? next?.side ?? state.side;
    if (step) pick(pickOf(measuring.states, step.id, side));
  }
  const choose = (at: { step: string; side: Side }) => {
    select(undefined);
    pick(pickOf(measuring.states, at.step, at.side));
  };
  const chosen = picked && holds(measuring.states, picked);
  const now = chosen ?? next ?? measuring.states.at(-1)!;
  const turn = () => choose({ step: now.step.id, side: otherSide(now.side) });

  useHotkeys({ b: turn });
  const finished = next === undefined && !chosen;
  const order = state.order?.order;
  // a joint is put as it is held; what is tested of it is what may move
  const ordered =
    (order &&
      (now.step.kind === 'posture'
        ? angleOn(order, today, { joint: now.step.joint, plane: 'sagittal' })
        : testWindow(order, today, limitedMotion(state.programme)))) ??
    {};
  useFigureLayer(layerFor(now, measuring.states, finished, unit, ordered));

  const mayMeasure = mayNow('measuring.write');
  const { chart } = state.sizing;
  const anyReading = chart.axes.some(({ reading }) => state.sizing.readings[reading]);
  const caution = cautionOf(now.step);
  return (
    <>
      <Stack $gap={4}>
        <Row style={{ justifyContent: 'space-between' }} $align="baseline">
          <h1>{finished ? t('measuring.allTaken') : titleOf(now.step, unit)}</h1>
          {!finished && (
            <Row $gap={14}>
              {now.step.modelsOwn && <Soft>{t('measuring.modelsOwn')}</Soft>}
              {now.step.optional && <Soft>{t('measuring.optional')}</Soft>}
              {now.side !== 'midline' && (
                <Soft>{t('measuring.side', { side: named('side', now.side) })}</Soft>
              )}
            </Row>
          )}
        </Row>
        <Soft>{finished ? t('measuring.allTakenHow') : instruction(now.step, unit, ordered)}</Soft>
        {!finished && (
          <Small>
            {t('measuring.why', { why: reasonOf(now.step, state.programme.base ?? state.programme.id) })}
          </Small>
        )}
      </Stack>
      {!mayMeasure && <RoleReads permission="measuring.write" />}
      {mayMeasure && !finished && (
        <>
          {caution && <Notice tone="caution">{caution}</Notice>}
          <Take
            key={`${now.step.id} ${now.side}`}
            at={now}
            onTurn={turn}
            onLeave={() => {
              leave([...leftOpen, now.step.id]);
              pick(undefined);
            }}
          />
          <OwnPrecision at={now} />
        </>
      )}
      <MeasuredTable now={finished ? undefined : now} onChoose={choose} />
      <Derived />
      {anyReading && (
        <>
          <Rule />
          <Row style={{ justifyContent: 'space-between' }}>
            <h2>{t('sizing.pointsTo')}</h2>
            <Soft>{measuring.done ? '' : t('sizing.soFar')}</Soft>
          </Row>
          <SizeStrips state={state} unit={unit} />
          <SizeAnswer state={state} unit={unit} />
        </>
      )}
    </>
  );
}

function layerFor(
  now: StepState,
  states: readonly StepState[],
  finished: boolean,
  unit: LengthUnit,
  ordered: MotionWindow,
): FigureLayer {
  const side = now.side === 'midline' ? states.find((state) => state.side !== 'midline')?.side : now.side;
  const shown = states.filter((state) => state.side === side || state.side === 'midline');
  const posture = shown.find(({ step }) => step.kind === 'posture');
  return {
    // the limb that is in the orthotist's hands
    ...(finished || side === undefined ? {} : { side }),
    marks: [],
    steps: shown.map((state) => {
      // what may be left open is not dimensioned until it is asked for
      const quiet = state.step.optional && !state.done && state.step.id !== now.step.id;
      const value = inSight(state)?.mean;
      const label = quiet ? undefined : figureLabel(state.step, value, unit);
      return {
        step: state.step,
        state: !finished && state.step.id === now.step.id ? 'now' : state.done ? 'done' : 'ahead',
        ...(label ? { label } : {}),
        ...(value === undefined ? {} : { value }),
      };
    }),
    ...(posture?.step.kind === 'posture' && (posture === now || posture.step.joint === 'knee')
      ? {
          goniometer: {
            ...wantedAngle(posture.step, ordered),
            ...(posture.posture ? { angle: posture.posture.angle } : {}),
          },
        }
      : {}),
  };
}

/** The angle the goniometer is to show: the step's, or the one that is ordered where it is a single one. */
function wantedAngle({ target }: PostureStep, { extension, flexion }: MotionWindow): { wanted?: number } {
  if (typeof target === 'number') return { wanted: target };
  return target === 'as-ordered' && extension !== undefined && extension === flexion
    ? { wanted: extension }
    : {};
}
