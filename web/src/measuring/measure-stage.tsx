import { may } from '@estribo/core/access';
import { otherSide, type Side } from '@estribo/core/anatomy';
import type { MeasuringStep, StepState } from '@estribo/core/measuring';
import { sideDifference, stepAt } from '@estribo/core/measuring';
import { formatLength, type LengthUnit } from '@estribo/core/quantity';
import { useState } from 'react';
import { Button as Plain } from 'react-aria-components';
import styled from 'styled-components';
import { useFigureLayer, useWork } from '../case/case-context';
import { useHotkeys } from '../app/hotkeys';
import { color, size } from '../app/tokens';
import type { FigureLayer } from '../figure/layer';
import { language, named, t } from '../messages';
import { Button } from '../parts/button';
import { Dialog } from '../parts/dialog';
import { Field } from '../parts/field';
import { Row, Rule, Soft, Stack } from '../parts/layout';
import { Notice } from '../parts/notice';
import { ReadingField, readQuantity, useDraft } from '../parts/reading-field';
import { useSaving } from '../parts/use-saving';
import { SizeAnswer } from '../sizing/size-answer';
import { SizeStrips } from '../sizing/size-strips';
import { readGirth } from './read-girth';
import { RepeatScale } from './repeat-scale';

const Table = styled.table`
  border-collapse: collapse;
  width: 100%;
  & th,
  & td {
    text-align: left;
    padding: 0 8px 0 0;
    height: 36px;
    border-bottom: 1px solid ${color('line')};
    font-weight: 400;
    white-space: nowrap;
  }
  & th {
    font-size: ${size.small};
    color: ${color('soft')};
  }
  & tbody th {
    font-size: ${size.text};
    color: ${color('ink')};
    white-space: normal;
  }
`;

const Cell = styled(Plain)<{ $now: boolean }>`
  border: 0;
  background: ${({ $now }) => ($now ? color('riverWash') : 'transparent')};
  font-weight: ${({ $now }) => ($now ? 700 : 400)};
  min-height: 44px;
  min-width: 96px;
  text-align: left;
  border-radius: 4px;
  padding: 2px 8px;
  cursor: pointer;
  &[data-hovered] {
    background: ${color('riverWash')};
  }
`;

const sign = (step: MeasuringStep, unit: LengthUnit) => (step.kind === 'posture' ? '°' : unit);

/** A step's instruction, with its numbers. */
function instruction(step: MeasuringStep, unit: LengthUnit): string {
  switch (step.kind) {
    case 'posture':
      return t('measuring.postureHow', { angle: step.target, tolerance: step.tolerance });
    case 'mark':
      return named('landmarkHow', step.landmark);
    case 'girth':
      return t('measuring.girthHow', { tolerance: formatLength(step.tolerance, unit, language), unit });
  }
}

function titleOf(step: MeasuringStep, unit: LengthUnit): string {
  if (step.kind !== 'girth') return named('stepTitles', step.id);
  const length = `${formatLength(Math.abs(step.distance), unit, language)} ${unit}`;
  return t(step.distance > 0 ? 'measuring.girthAboveTitle' : 'measuring.girthBelowTitle', { length });
}

export default function MeasureStage() {
  const { state, unit, user, select, selected } = useWork();
  const { measuring } = state;
  const [picked, pick] = useState<{ step: string; side: Side }>();
  // a level touched on the figure is the step to take
  const touched = measuring.steps.find(({ id }) => id === selected);
  const chosen = touched
    ? { step: touched.id, side: picked?.side ?? measuring.next?.side ?? state.side }
    : picked;
  const choose = (at: { step: string; side: Side } | undefined) => {
    select(undefined);
    pick(at);
  };
  const now =
    (chosen && stepAt(measuring.states, chosen.step, chosen.side)) ??
    measuring.next ??
    measuring.states.at(-1)!;
  const turn = () => choose({ step: now.step.id, side: otherSide(now.side) });

  useHotkeys({ b: turn });
  useFigureLayer(layerFor(now, measuring.states, measuring.steps, unit));

  const mayMeasure = may(user.role, 'measuring.write');
  const anyGirth = Object.values(state.sizing.readings).some(Boolean);
  return (
    <>
      <Stack $gap={4}>
        <Row style={{ justifyContent: 'space-between' }} $align="baseline">
          <h1>{measuring.done && !chosen ? t('measuring.allTaken') : titleOf(now.step, unit)}</h1>
          <Soft>{t('measuring.side', { side: named('side', now.side) })}</Soft>
        </Row>
        <Soft>{measuring.done && !chosen ? t('measuring.allTakenHow') : instruction(now.step, unit)}</Soft>
      </Stack>
      {!mayMeasure && <Notice tone="caution">{t('common.notYourRole')}</Notice>}
      {mayMeasure && (!measuring.done || chosen) && (
        <Take
          at={now}
          onTaken={(done) => (done ? choose(undefined) : choose({ step: now.step.id, side: now.side }))}
          onTurn={turn}
        />
      )}
      <BothSides now={now} onChoose={choose} />
      {anyGirth && (
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

/** One reading taken: typed, entered, and on to the next thing. */
function Take({
  at,
  onTaken,
  onTurn,
}: {
  at: StepState;
  onTaken: (done: boolean) => void;
  onTurn: () => void;
}) {
  const { state, unit, write } = useWork();
  const { step, side, readings, assessed } = at;
  const [typed, type] = useDraft(`${state.case}-measure`);
  const [problem, setProblem] = useState<string>();
  const [skipping, setSkipping] = useState(false);
  const [saving, save] = useSaving();
  const count = readings.length + 1;

  const take = () => {
    if (saving) return;
    if (step.kind === 'mark')
      return void save(async () => {
        await write('measure.marked', 'measure', { step: step.id, side });
        onTaken(true);
      });
    const read =
      step.kind === 'girth' ? readGirth(typed, unit, step.plausible) : readQuantity(typed, 'degrees', unit);
    if ('problem' in read) return setProblem(read.problem);
    if (step.kind === 'posture' && (read.value < -30 || read.value > 160))
      return setProblem(t('order.angleProblem'));
    // emptied at once: what is typed while this one is laid in the outbox belongs to the next
    type('');
    void save(async () => {
      const instrument = step.kind === 'posture' ? 'goniometer' : 'tape';
      await write('measure.read', 'measure', { step: step.id, side, value: read.value, instrument });
      const within = step.kind === 'posture' ? Math.abs(read.value - step.target) <= step.tolerance : false;
      onTaken(step.kind === 'posture' ? within : isEnough(step, [...(assessed?.values ?? []), read.value]));
    });
  };

  return (
    <>
      {step.kind === 'mark' ? (
        <Notice tone={readings.length > 0 ? 'good' : 'plain'}>
          {readings.length > 0 ? t('measuring.marked') : t('measuring.markStays')}
        </Notice>
      ) : (
        <Row $gap={28} $align="flex-start">
          <ReadingField
            primary
            label={
              step.kind === 'posture'
                ? t('measuring.angleLabel', { side: named('side', side) })
                : t('measuring.readingLabel', {
                    side: named('side', side),
                    ordinal: named('ordinals', String(Math.min(count, 4))),
                  })
            }
            kind={step.kind === 'posture' ? 'degrees' : 'length'}
            unit={unit}
            sign={sign(step, unit)}
            value={typed}
            onChange={(text) => {
              type(text);
              setProblem(undefined);
            }}
            onEnter={take}
            problem={problem}
          />
          {step.kind === 'girth' && <RepeatScale step={step} assessed={assessed} unit={unit} />}
          {step.kind === 'posture' && at.posture && !at.posture.within && (
            <Notice tone="caution" live>
              {t('measuring.postureOff', { angle: at.posture.angle, off: Math.abs(at.posture.off) })}
            </Notice>
          )}
        </Row>
      )}
      <Row>
        <Button
          key={step.kind}
          look="main"
          onPress={take}
          keycap={step.kind === 'mark' ? '' : '⏎'}
          autoFocus={step.kind === 'mark'}
        >
          {step.kind === 'mark' ? t('measuring.isMarked') : t('measuring.take')}
        </Button>
        <Button onPress={onTurn} keycap="B">
          {named('sideLegCap', otherSide(side))}
        </Button>
        <Button look="quiet" onPress={() => setSkipping(true)}>
          {t('measuring.cannot')}
        </Button>
      </Row>
      {skipping && (
        <Skip
          at={at}
          onClose={(skipped) => {
            setSkipping(false);
            if (skipped) onTaken(true);
          }}
        />
      )}
    </>
  );
}

/** Whether the protocol asks for no further reading. */
const isEnough = (step: { tolerance: number }, values: number[]) =>
  values.length > 2 || (values.length === 2 && Math.abs(values[0]! - values[1]!) <= step.tolerance);

function Skip({ at: { step, side }, onClose }: { at: StepState; onClose: (skipped: boolean) => void }) {
  const { state, write } = useWork();
  const [reason, setReason] = useState('');
  const [problem, setProblem] = useState<string>();
  const rest = state.measuring.states.filter(
    (other) => other.side === side && !other.done && other.readings.length === 0,
  );
  const skip = async (steps: string[]) => {
    if (reason.trim().length < 3) return setProblem(t('record.reasonNeeded'));
    for (const id of steps)
      await write('measure.skipped', 'measure', { step: id, side, reason: reason.trim() });
    onClose(true);
  };
  return (
    <Dialog
      title={t('measuring.skipTitle', { step: named('steps', step.id), side: named('side', side) })}
      onClose={() => onClose(false)}
    >
      {side === state.side && <Notice tone="caution">{t('measuring.skipBraced')}</Notice>}
      <Field
        label={t('measuring.skipReason')}
        value={reason}
        onChange={setReason}
        problem={problem}
        autoFocus
        maxLength={200}
      />
      <Row>
        <Button look="main" onPress={() => void skip([step.id])}>
          {t('measuring.skipThis')}
        </Button>
        {rest.length > 1 && (
          <Button onPress={() => void skip(rest.map((other) => other.step.id))}>
            {t('measuring.skipSide', { side: named('side', side) })}
          </Button>
        )}
        <Button look="quiet" onPress={() => onClose(false)}>
          {t('common.cancel')}
        </Button>
      </Row>
    </Dialog>
  );
}

function BothSides({
  now,
  onChoose,
}: {
  now: StepState;
  onChoose: (at: { step: string; side: Side }) => void;
}) {
  const { state, unit } = useWork();
  const { measuring, side } = state;
  const order = [side, otherSide(side)] as const;
  const shown = (at: StepState | undefined): string => {
    if (!at) return '';
    if (at.skipped) return t('measuring.skipped');
    if (at.step.kind === 'mark') return at.done ? '✓' : '–';
    if (at.step.kind === 'posture') return at.posture ? `${at.posture.angle}°` : '–';
    if (!at.assessed) return '–';
    if (at.assessed.needs === 'second') return t('measuring.oneTaken');
    const value = formatLength(at.assessed.mean, unit, language);
    return at.assessed.needs === 'third'
      ? t('measuring.needsThird', { value })
      : `${value} ± ${formatLength(2 * at.assessed.uncertainty, unit, language)}`;
  };
  return (
    <Table>
      <thead>
        <tr>
          <th scope="col">{t('measuring.taken')}</th>
          {order.map((at) => (
            <th key={at} scope="col">
              {named('side', at)}
              {at === side ? ` (${t('measuring.braced')})` : ''}
            </th>
          ))}
          <th scope="col">{t('measuring.difference')}</th>
        </tr>
      </thead>
      <tbody>
        {measuring.steps.map((step) => {
          const [braced, other] = order.map((at) => stepAt(measuring.states, step.id, at));
          const bothRead = [braced, other].every((at) => at?.assessed && at.assessed.needs !== 'second');
          const difference = bothRead ? sideDifference(braced?.assessed, other?.assessed) : undefined;
          return (
            <tr key={step.id}>
              <th scope="row">{named('steps', step.id)}</th>
              {order.map((at) => (
                <td key={at}>
                  <Cell
                    $now={now.step.id === step.id && now.side === at}
                    onPress={() => onChoose({ step: step.id, side: at })}
                    aria-label={`${named('steps', step.id)}, ${named('side', at)}: ${shown(stepAt(measuring.states, step.id, at))}`}
                  >
                    {shown(stepAt(measuring.states, step.id, at))}
                  </Cell>
                </td>
              ))}
              <td>
                {difference === undefined
                  ? ''
                  : `${difference > 0 ? '+' : difference < 0 ? '−' : ''}${formatLength(Math.abs(difference), unit, language)} ${unit}`}
              </td>
            </tr>
          );
        })}
      </tbody>
    </Table>
  );
}

function layerFor(
  now: StepState,
  states: StepState[],
  steps: MeasuringStep[],
  unit: LengthUnit,
): FigureLayer {
  const girths = steps.filter((step) => step.kind === 'girth');
  const posture = steps.find((step) => step.kind === 'posture');
  const angle = posture && stepAt(states, posture.id, now.side)?.posture?.angle;
  return {
    marks: girths.map((step) => ({
      id: step.id,
      kind: 'tape',
      level: step.distance,
      state: step.id === now.step.id ? 'now' : 'ahead',
    })),
    kneecapMark: true,
    dimensions: girths.map((step) => ({
      id: step.id,
      to: step.distance,
      label: formatLength(Math.abs(step.distance), unit, language),
      now: step.id === now.step.id,
    })),
    ...(posture
      ? {
          goniometer: {
            wanted: posture.target,
            ...(angle === undefined ? {} : { angle }),
          },
        }
      : {}),
  };
}
