import {
  barsHeatOnBody,
  contactLimit,
  formingWindow,
  heatClock,
  heatRun,
  type HeatNow,
  type HeatRun,
} from '@estribo/core/shaping';
import type { BodyOf } from '@estribo/core/logbook';
import { useEffect, useState } from 'react';
import styled from 'styled-components';
import { useDraft } from '../api/draft';
import { useMay, useWork } from '../case/case-context';
import { useEntryForm } from '../entry-form/use-entry-form';
import { color } from '../look/tokens';
import { named, t } from '../messages';
import { partName } from '../messages/fitting';
import { Button } from '../parts/button';
import { Choice } from '../parts/choice';
import { Field } from '../parts/field';
import { Row, Soft, Stack } from '../parts/layout';
import { Notice } from '../parts/notice';
import { ReadingField } from '../parts/reading-field';
import { Steps } from '../parts/steps';
import { useSaving } from '../parts/use-saving';
import { useAlarm, useAwake } from './alarm';
import type { WorkOf, WorkStage } from './kinds/piece';

const Clock = styled.div<{ $tone: 'river' | 'madder' | 'moss' }>`
  display: flex;
  flex-direction: column;
  align-items: center;
  gap: 2px;
  padding: 18px;
  border: 2px solid ${({ $tone }) => color($tone)};
  border-radius: 4px;
  background: ${color('sheet')};
  text-align: center;
  & > b {
    /* read from across the room, with both hands busy */
    font-size: clamp(64px, 11vw, 112px);
    line-height: 1;
    font-variant-numeric: tabular-nums;
    color: ${({ $tone }) => color($tone)};
  }
`;

/** Seconds as a clock shows them; what is over counts on with a plus. */
const clockFace = (seconds: number): string => {
  const whole = seconds >= 0 ? Math.ceil(seconds - 1e-9) : Math.floor(-seconds + 1e-9);
  return `${seconds < 0 ? '+' : ''}${Math.floor(whole / 60)}:${String(whole % 60).padStart(2, '0')}`;
};

/** The instant, told again every quarter of a second while it is wanted. */
function useNow(running: boolean): number {
  const [now, setNow] = useState(() => Date.now());
  useEffect(() => {
    if (!running) return;
    const tick = () => setNow(Date.now());
    const timer = setInterval(tick, 250);
    document.addEventListener('visibilitychange', tick);
    return () => {
      clearInterval(timer);
      document.removeEventListener('visibilitychange', tick);
    };
  }, [running]);
  return now;
}

type Heat = BodyOf<'shape.heat'>;

/** The runs of heat of an operation: one is begun, goes its stages by its clock, and is recorded with its times. */
export function HeatRuns({ work, runs, stage }: { work: WorkOf; runs: readonly string[]; stage: WorkStage }) {
  const { state } = useWork();
  const mayShape = useMay(stage)('shaping.write');
  const all = state.shaping.heat.filter(({ operation }) => operation === work.operation.id);
  const running = all.findLast(({ ended }) => !ended);
  return (
    <Stack $gap={12}>
      {running ? (
        <Running now={running} mayShape={mayShape} />
      ) : (
        mayShape && <Begin work={work} runs={runs.flatMap((id) => heatRun(id) ?? [])} />
      )}
      {all
        .filter(({ ended }) => ended)
        .map((one) => (
          <Soft key={one.entry}>
            {t(one.ended!.wrong === undefined ? 'shaping.heatDone' : 'shaping.heatWrong', {
              run: named('heatRun', one.run.id),
              part: partName(state.programme, one.part),
              because: one.ended!.wrong ?? '',
            })}{' '}
            {one.times.map(({ stage: id, at }) => `${named('heatStage', id)} ${timeOf(at)}`).join(' · ')}
          </Soft>
        ))}
    </Stack>
  );
}

const timeOf = (instant: string): string => new Date(instant).toTimeString().slice(0, 8);

function Begin({ work, runs }: { work: WorkOf; runs: readonly HeatRun[] }) {
  const { state, unit, today } = useWork();
  const empty: { run: string; part: string; feels: 'felt' | 'impaired' | ''; room: string } = {
    run: runs[0]!.id,
    part: work.parts[0]!.id,
    feels: '',
    room: '',
  };
  // numbness that Screen found is an answer already
  const { qualifying, blocking } = state.screening;
  const numb = [...qualifying, ...blocking].some(({ finding }) => barsHeatOnBody.includes(finding));
  const chosen = (form: typeof empty) => ({
    run: runs.find(({ id }) => id === form.run) ?? runs[0]!,
    part: work.parts.find(({ id }) => id === form.part) ?? work.parts[0]!,
    felt: numb ? ('impaired' as const) : form.feels,
  });
  const { typed, type, problems, saving, submit } = useEntryForm({
    kind: 'shape.heat',
    stage: 'shape',
    // what was said of sensation is of its day
    draft: `heat-${work.operation.id}-${today}`,
    empty,
    body: (form, { numberOrNone }) => {
      const { run, part, felt } = chosen(form);
      const degrees = numberOrNone('room', {
        label: t('shaping.room'),
        quantity: 'count',
        sign: '°C',
      });
      return {
        operation: work.operation.id,
        run: run.id,
        part: part.id,
        what: 'begun',
        ...(felt === '' ? {} : { feels: felt === 'felt' }),
        ...(degrees === undefined ? {} : { room: degrees }),
      };
    },
  });
  const { run, part, felt } = chosen(typed);
  const touches = run.heated === 'on-body' || run.stages.some(({ contact }) => contact);
  const barred = touches && felt !== 'felt';
  return (
    <Stack $gap={10}>
      {runs.length > 1 && (
        <Choice
          label={t('shaping.heatBy')}
          options={runs.map(({ id }) => ({ value: id, label: named('heatRun', id) }))}
          value={run.id}
          onChange={(id) => type({ run: id })}
        />
      )}
      {work.parts.length > 1 && (
        <Choice
          label={t('shaping.part')}
          options={work.parts.map(({ id }) => ({ value: id, label: partName(state.programme, id) }))}
          value={part.id}
          onChange={(id) => type({ part: id })}
        />
      )}
      <Soft>{named('heatRunHow', run.id)}</Soft>
      {touches && (
        <Choice
          label={t('shaping.sensation')}
          options={[
            { value: 'felt', label: t('shaping.feels') },
            { value: 'impaired', label: t('shaping.feelsNot') },
          ]}
          value={felt}
          onChange={(value) => type({ feels: value as 'felt' | 'impaired' })}
        />
      )}
      {touches && felt === '' && <Soft>{t('shaping.askSensation')}</Soft>}
      {touches && felt === 'impaired' && (
        <Notice tone="stop">{t(numb ? 'shaping.numbFound' : 'shaping.notOnBody')}</Notice>
      )}
      <Row $align="flex-end">
        {run.heated === 'off-body' && (
          <ReadingField
            small
            label={t('shaping.room')}
            kind="count"
            unit={unit}
            sign="°C"
            value={typed.room}
            onChange={(room) => type({ room })}
            problem={problems.room}
          />
        )}
        <Button look="main" onPress={submit} isDisabled={saving || barred}>
          {t('shaping.beginHeat')}
        </Button>
      </Row>
    </Stack>
  );
}

function Running({ now, mayShape }: { now: HeatNow; mayShape: boolean }) {
  const { state, unit, write } = useWork();
  const instant = useNow(now.pausedSince === undefined);
  const { ran, toLeast, toMost } = heatClock(now, instant);
  const [writing, save] = useSaving();
  const [because, setBecause] = useDraft(`${state.case}-heat-wrong-${now.entry}`);
  const { run, stage: at } = now;
  const thermometer = t('shaping.thermometer', { number: now.readings.length + 1 });
  const ofRun = { operation: now.operation, run: run.id, part: now.part, of: now.entry };
  const reading = useEntryForm({
    kind: 'shape.heat',
    stage: 'shape',
    draft: `heat-reading-${now.entry}`,
    empty: { celsius: '' },
    body: (_form, { number }) => ({
      ...ofRun,
      what: 'read',
      celsius: number('celsius', { label: thermometer, quantity: 'count', sign: '°C' }),
    }),
  });
  const saving = writing || reading.saving;
  const index = run.stages.findIndex(({ id }) => id === at.id);
  const next = run.stages[index + 1];
  const timed = toLeast !== undefined || toMost !== undefined;
  const isDue = toLeast !== undefined && toLeast <= 0;
  const isOver = toMost !== undefined && toMost < -0.5;
  useAwake(!now.ended);
  useAlarm(now.pausedSince === undefined && isDue, `${now.entry} ${at.id}`);
  const went = (what: Heat['what'], more: Partial<Heat> = {}) =>
    void save(async () => {
      await write('shape.heat', 'shape', { ...ofRun, what, ...more });
      if (what === 'wrong') setBecause('');
    });
  const contact = at.contact ? contactOf(now, instant, state.model.plastics?.[now.operation]) : undefined;
  // an end too early is no end: the pack is not through before its time
  const tooEarly = (timed && !isDue) || (contact !== undefined && !contact.mayTouch);
  const tone = isOver ? 'madder' : isDue || contact?.mayTouch ? 'moss' : 'river';
  return (
    <Stack $gap={12} role="group" aria-label={named('heatRun', run.id)}>
      <Steps
        label={named('heatRun', run.id)}
        steps={run.stages.map(({ id }, i) => ({
          id,
          mark: String(i + 1),
          name: named('heatStage', id),
          state: i < index ? 'done' : i === index ? 'now' : 'ahead',
        }))}
      />
      <Clock $tone={tone}>
        <span>{named('heatStage', at.id)}</span>
        <b role="timer" aria-live="off">
          {clockFace(
            contact?.left ?? (timed ? (toLeast !== undefined && toLeast > 0 ? toLeast : (toMost ?? 0)) : ran),
          )}
        </b>
        <span role="status">
          {now.pausedSince !== undefined
            ? t('shaping.paused')
            : contact
              ? contact.said
              : isOver
                ? t('shaping.tooLong')
                : isDue
                  ? t(
                      toMost !== undefined && toMost > 0 && toMost !== toLeast
                        ? 'shaping.inTheWindow'
                        : 'shaping.due',
                    )
                  : timed
                    ? t('shaping.remaining')
                    : t('shaping.running')}
        </span>
      </Clock>
      <Soft>{named('heatStageHow', at.id)}</Soft>
      <Stack $gap={6}>
        {at.cautions.map((caution) => (
          <Notice key={caution} tone="caution">
            {named('heatCaution', caution)}
          </Notice>
        ))}
      </Stack>
      {at.contact && (
        <Row $align="flex-end">
          <ReadingField
            small
            label={thermometer}
            kind="count"
            unit={unit}
            sign="°C"
            value={reading.typed.celsius}
            onChange={(celsius) => reading.type({ celsius })}
            onEnter={reading.submit}
            problem={reading.problems.celsius}
          />
          <Button onPress={reading.submit} isDisabled={saving || !mayShape}>
            {t('shaping.takeReading')}
          </Button>
          <Soft>
            {now.readings.map(({ at: when, celsius: value }) => `${value} °C ${timeOf(when)}`).join(' · ')}
          </Soft>
        </Row>
      )}
      {mayShape && (
        <>
          <Row>
            {next ? (
              <Button
                look={tooEarly ? 'second' : 'main'}
                onPress={() => went('stage', { stage: next.id })}
                isDisabled={saving || (contact !== undefined && !contact.mayTouch)}
              >
                {t(tooEarly ? 'shaping.nextStageEarly' : 'shaping.nextStage', {
                  stage: named('heatStage', next.id),
                })}
              </Button>
            ) : (
              <Button look="main" onPress={() => went('ended')} isDisabled={saving}>
                {t('shaping.coldAndDone')}
              </Button>
            )}
            {now.pausedSince === undefined ? (
              <Button onPress={() => went('paused')} isDisabled={saving}>
                {t('shaping.pause')}
              </Button>
            ) : (
              <Button onPress={() => went('resumed')} isDisabled={saving}>
                {t('shaping.resume')}
              </Button>
            )}
            <Button
              look="stop"
              onPress={() => went('wrong', because.trim() === '' ? {} : { because: because.trim() })}
              isDisabled={saving}
            >
              {t('shaping.wentWrong')}
            </Button>
          </Row>
          <Field label={t('shaping.whatWentWrong')} value={because} onChange={setBecause} maxLength={400} />
          <Soft>{named('heatWrongHow', run.heated)}</Soft>
        </>
      )}
    </Stack>
  );
}

/**
 * When a heated plastic may touch skin: by its cooling law where three readings bear it out, by a reading at or under the limit, or
 * after the material's own waiting time; else there is no time and it waits.
 */
function contactOf(
  now: HeatNow,
  instant: number,
  plastic: { waits: number; formsAbove: number } | undefined,
): { mayTouch: boolean; left: number | undefined; said: string } {
  const seconds = instant / 1000;
  const last = now.readings.at(-1);
  if (last && last.celsius <= contactLimit)
    return plastic && last.celsius <= plastic.formsAbove
      ? { mayTouch: false, left: undefined, said: t('shaping.setAlready', { forms: plastic.formsAbove }) }
      : { mayTouch: true, left: undefined, said: t('shaping.readCool', { celsius: last.celsius }) };
  if (now.cooling.known) {
    const left = now.cooling.reaches(contactLimit) - seconds;
    if (plastic) {
      const { from, to, empty } = formingWindow(now.cooling, plastic.formsAbove);
      if (empty)
        return {
          mayTouch: false,
          left,
          said: t('shaping.windowEmpty', { limit: contactLimit, forms: plastic.formsAbove }),
        };
      if (to <= seconds)
        return {
          mayTouch: false,
          left: undefined,
          said: t('shaping.setAlready', { forms: plastic.formsAbove }),
        };
      return {
        mayTouch: left <= 0,
        left: left > 0 ? left : to - seconds,
        said: t(left > 0 ? 'shaping.coolsTo' : 'shaping.formsFor', {
          limit: contactLimit,
          seconds: Math.round(to - from),
        }),
      };
    }
    return { mayTouch: left <= 0, left, said: t('shaping.coolsTo', { limit: contactLimit }) };
  }
  const why = named('cooling', now.cooling.why);
  if (!plastic) return { mayTouch: false, left: undefined, said: `${why} ${t('shaping.ownTimeUnknown')}` };
  const since = Date.parse(now.heatEnded ?? now.stageSince) / 1000;
  const over = since + plastic.waits * 60;
  const left = over - seconds;
  // a thermometer that still read hot when the time was over counts for more than the time
  if (last && Date.parse(last.at) / 1000 >= over)
    return {
      mayTouch: false,
      left: undefined,
      said: t('shaping.stillHot', { celsius: last.celsius, limit: contactLimit }),
    };
  return {
    mayTouch: left <= 0,
    // a waiting time of the material's is no countdown of its temperature: the face shows what has passed
    left: undefined,
    said: `${why} ${t(left > 0 ? 'shaping.ownTime' : 'shaping.ownTimeOver', { minutes: plastic.waits })}`,
  };
}
