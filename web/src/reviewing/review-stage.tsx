import { limitedMotion } from '@estribo/core/programmes';
import { may } from '@estribo/core/access';
import { addDays } from '@estribo/core/calendar';
import { boundsOf, decideStops, type CaseState } from '@estribo/core/logbook';
import {
  instrumentOf,
  isReading,
  questionReading,
  unitOf,
  type MotionStep,
  type Question,
  type ReadingStep,
} from '@estribo/core/measuring';
import { windowOn } from '@estribo/core/order';
import {
  changesSince,
  orderedMotion,
  proposeAdjustment,
  sizeByGirths,
  type SkinFinding,
} from '@estribo/core/reviewing';
import { formatLength } from '@estribo/core/quantity';
import { lazy, Suspense, useCallback, useState } from 'react';
import { Link } from 'react-router';
import styled from 'styled-components';
import { RoleReads } from '../case/role-reads';
import { useFigureLayer, useMay, useWork } from '../case/case-context';
import { asWorn } from '../figure/layer';
import { color, type Token } from '../app/tokens';
import { figureTitle, language, named, t } from '../messages';
import { boundsProblem, readingProblem } from '../parts/bounds';
import { Button } from '../parts/button';
import { Choice } from '../parts/choice';
import { DayField } from '../parts/day-field';
import { Field } from '../parts/field';
import { Loading } from '../parts/loading';
import { Row, Rule, Soft, Stack } from '../parts/layout';
import { Notice } from '../parts/notice';
import { NeedsOrder } from '../screening/needs-order';
import { printDay, printWindow } from '../parts/print';
import { useDraft } from '../api/draft';
import { ReadingField, readQuantity } from '../parts/reading-field';
import { useSaving } from '../parts/use-saving';
import { AskedReading } from '../measuring/asked-reading';
import { motionEnds } from '../measuring/step-words';
import { MotionEntry } from '../setting/motion-entry';
import { StopsWork } from '../setting/stops-work';

const Chart = lazy(() => import('../parts/chart'));

const Change = styled.li`
  display: flex;
  gap: 8px;
  align-items: baseline;
  & b {
    font-size: 18px;
  }
`;

export default function ReviewStage() {
  const { state, today, user, unit } = useWork();
  const mayNow = useMay('review');
  const [open, setOpen] = useState(false);
  const order = state.order?.order;
  const limited = limitedMotion(state.programme);
  const now = order && windowOn(order, today, limited);
  const visit = state.reviewing.visits.find(({ day }) => day === today);
  const before = state.reviewing.visits.filter(({ day }) => day < today).at(-1) ?? state.reviewing.first;
  const mayReview = mayNow('reviewing.write');
  useFigureLayer({
    parts: asWorn(state.parts),
    marks: [],
    steps: followed(state).map((step) => ({ step, state: 'ahead' })),
  });
  const length = (figure: string, value: number) =>
    state.measuring.steps.some(({ id }) => id === figure)
      ? `${formatLength(value, unit, language)} ${unit}`
      : figure === 'pain'
        ? String(value)
        : figure === 'hours'
          ? `${value} h`
          : `${value}°`;
  if (!order || !now) return <NeedsOrder question={t('reviewing.question')} />;
  const changes = visit ? changesSince(before, visit) : [];
  const found = visit?.found;
  const motion = visit && orderedMotion(visit);
  const joint = motion && { from: motion.extension, to: motion.flexion };
  const adjustment = found
    ? proposeAdjustment({
        order,
        day: today,
        limited,
        setting: state.setting.fitted?.medial,
        hardware: state.model.hinge,
        rule: state.programme.stops,
        found,
        joint,
      })
    : undefined;
  const sizeNow = visit && sizeByGirths(state.sizing.chart, state.measuring.steps, visit.girths);
  const chosenSize = state.sizing.chosen?.decided.size;
  const otherSize =
    sizeNow && sizeNow.outcome !== 'incomplete' && sizeNow.size !== chosenSize ? sizeNow : undefined;
  return (
    <>
      <Stack $gap={4}>
        <h1>{t('reviewing.question')}</h1>
        <Soft>
          {t('reviewing.how', { day: printDay(before.day), window: printWindow(now.window, limited) })}
        </Soft>
      </Stack>
      {mayReview && (!found || open) ? (
        <Take onDone={() => setOpen(false)} />
      ) : (
        found && (
          <Notice tone={found.skin === 'clear' || found.skin === 'fades-within-30-min' ? 'good' : 'stop'}>
            {named('skin', found.skin)} · {t('entry.pain', { pain: found.pain })}
            {found.hours !== undefined && ` · ${t('reviewing.hoursWorn', { hours: found.hours })}`}{' '}
            {found.note}
          </Notice>
        )
      )}
      {!mayReview && !found && <RoleReads permission="reviewing.write" />}
      {changes.length > 0 && (
        <Stack $gap={6}>
          <h2>{t('reviewing.changes', { day: printDay(before.day) })}</h2>
          <Row as="ul" $gap={28} style={{ rowGap: 4 }}>
            {changes.map(({ figure, of, before: was, now: is, change }) => (
              <Change key={`${of?.step} ${of?.mode} ${figure}`}>
                <span>
                  {of?.step ? `${named('steps', of.step)}, ` : ''}
                  {of ? `${endOf(state, of.step, figure)}, ${named('mode', of.mode)}` : figureTitle(figure)}
                </span>
                <b>
                  {length(figure, was)} → {length(figure, is)}
                </b>
                <span style={{ color: color('soft') }}>
                  {change > 0 ? '+' : change < 0 ? '−' : '±'}
                  {length(figure, Math.abs(change))}
                </span>
              </Change>
            ))}
          </Row>
        </Stack>
      )}
      {otherSize && chosenSize && (
        <Notice tone="caution">
          {t('reviewing.otherSize', { now: otherSize.size ?? t('sizing.madeToMeasure'), chosen: chosenSize })}
        </Notice>
      )}
      <Course />
      {adjustment && <Rule />}
      {adjustment?.kind === 'refer' && (
        <Notice tone="stop" live>
          <b>{t('reviewing.refer')}</b>{' '}
          {adjustment.because.map((why) => named('referBecause', why)).join(' ')}{' '}
          {t(adjustment.protective ? 'reviewing.referProtective' : 'reviewing.referOther')}
        </Notice>
      )}
      {adjustment?.kind === 'none' && state.programme.stops && (
        <Notice tone="good">{t('reviewing.noChange', { phase: adjustment.phase + 1 })}</Notice>
      )}
      {adjustment?.kind === 'stops' && (
        <Stack $gap={10}>
          <h2>
            {t('reviewing.nextPhase', {
              phase: adjustment.phase + 1,
              window: printWindow(now.window, limited),
            })}
          </h2>
          {!adjustment.choice.ok ? (
            <Notice tone="stop">
              {named('stopProblem', adjustment.choice.problem)}{' '}
              {named('stopProblemDo', adjustment.choice.problem)}
            </Notice>
          ) : mayNow('setting.write') ? (
            <StopsWork
              stage="review"
              phase={adjustment.phase}
              body={(acknowledged) => decideStops(state, today, acknowledged)}
            />
          ) : (
            <Notice tone="caution">{t('setting.onlyOrthotist')}</Notice>
          )}
        </Stack>
      )}
      {found && state.stages.check.status === 'open' && state.setting.fitted?.day === today && (
        <Notice tone="caution">
          {t('reviewing.checkAgain')}{' '}
          <Link to={`/cases/${state.case}/check`}>{named('stages', 'check')}</Link>
        </Notice>
      )}
      {found && may(user.role, 'visits.write') && <NextVisit />}
    </>
  );
}

const skins: SkinFinding[] = ['clear', 'fades-within-30-min', 'stays-red', 'broken'];

interface FoundDraft {
  skin?: SkinFinding;
  pain?: string;
  hours: string;
  note: string;
}

const hoursProblem = (value: number): { hours?: string } => {
  const hours = boundsProblem(
    t('reviewing.hours'),
    value,
    boundsOf('review.found', 'hours'),
    (bound) => `${bound} h`,
  );
  return hours ? { hours } : {};
};

const nothingFound: FoundDraft = { hours: '', note: '' };

/** What a review takes, in the order it is looked at; each part is written as it is taken. */
function Take({ onDone }: { onDone: () => void }) {
  const { state, today, unit, write } = useWork();
  const window = windowOn(state.order!.order, today, limitedMotion(state.programme))!.window;
  const visit = state.reviewing.visits.find(({ day }) => day === today);
  const [draft, setDraft] = useDraft<FoundDraft>(`${state.case}-review`, nothingFound);
  const { skin, pain, hours, note } = draft;
  const [problem, setProblem] = useState<{ skin?: string; pain?: string; hours?: string }>({});
  const [saving, save] = useSaving();
  const take = () => {
    const worn = hours.trim() === '' ? undefined : readQuantity(hours, 'count', unit);
    const wrong = {
      ...(skin ? {} : { skin: t('reviewing.sayWhich') }),
      ...(pain === undefined ? { pain: t('reviewing.sayWhich') } : {}),
      ...(worn && 'problem' in worn ? { hours: worn.problem } : worn ? hoursProblem(worn.value) : {}),
    };
    if (Object.keys(wrong).length > 0) return setProblem(wrong);
    void save(async () => {
      await write('review.found', 'review', {
        skin: skin!,
        pain: Number(pain),
        ...(worn && 'value' in worn ? { hours: worn.value } : {}),
        ...(note.trim() ? { note: note.trim() } : {}),
      });
      setDraft(nothingFound);
      onDone();
    });
  };
  return (
    <Stack $gap={14}>
      {state.programme.joint && !(visit && orderedMotion(visit)) && (
        <MotionEntry window={window} stage="review" primary />
      )}
      {otherMotions(state).map(
        (step) =>
          !visit?.motions.some((motion) => motion.step === step.id) && (
            <MotionEntry key={step.id} window={{}} stage="review" step={step} primary={false} />
          ),
      )}
      <Row $align="flex-start">
        {followed(state).map(
          (step) => visit?.girths[step.id] === undefined && <FollowedEntry key={step.id} step={step} />,
        )}
      </Row>
      <Stack $gap={4}>
        <Choice
          label={t('reviewing.skin')}
          options={skins.map((value) => ({ value, label: named('skin', value) }))}
          value={skin}
          onChange={(chosen) => setDraft({ ...draft, skin: chosen })}
        />
        {problem.skin && <b style={{ color: color('madder') }}>{problem.skin}</b>}
      </Stack>
      <Stack $gap={4}>
        <Choice
          label={t('reviewing.pain')}
          options={Array.from({ length: 11 }, (_, i) => ({ value: String(i), label: String(i) }))}
          value={pain}
          onChange={(chosen) => setDraft({ ...draft, pain: chosen })}
        />
        {problem.pain && <b style={{ color: color('madder') }}>{problem.pain}</b>}
      </Stack>
      <Row $align="flex-start">
        <ReadingField
          small
          label={t('reviewing.hours')}
          kind="count"
          unit={unit}
          sign="h"
          value={hours}
          onChange={(text) => setDraft({ ...draft, hours: text })}
          onEnter={take}
          problem={problem.hours}
        />
        <div style={{ flex: 1, minWidth: 220 }}>
          <Field
            label={t('reviewing.note')}
            value={note}
            onChange={(text) => setDraft({ ...draft, note: text })}
            maxLength={800}
          />
        </div>
      </Row>
      <Row>
        <Button look="main" onPress={take} isDisabled={saving}>
          {t('reviewing.take')}
        </Button>
      </Row>
    </Stack>
  );
}

/** The motions that were tested at the fitting and are not the one the order limits: the yardstick. */
const otherMotions = ({ measuring, programme }: CaseState): MotionStep[] =>
  measuring.steps.filter(
    (step): step is MotionStep =>
      step.kind === 'motion' &&
      !(step.joint === programme.joint && step.plane === 'sagittal') &&
      measuring.states.some((at) => at.step.id === step.id && at.motions.length > 0),
  );

/** The end of a motion as it is called at its joint. */
function endOf(state: CaseState, id: string | undefined, figure: string): string {
  const step = state.measuring.steps.find(
    (one): one is MotionStep =>
      one.kind === 'motion' &&
      (id === undefined ? one.joint === state.programme.joint && one.plane === 'sagittal' : one.id === id),
  );
  const ends = step && motionEnds(step).split(', ');
  return (figure === 'extension' ? ends?.[0] : ends?.[1]) ?? figureTitle(figure);
}

/** The readings a review follows: the lengths that the size was chosen by. */
function followed({ measuring, sizing }: CaseState): ReadingStep[] {
  return measuring.steps
    .filter(isReading)
    .filter(
      (step) =>
        sizing.chart.axes.some(({ reading }) => reading === step.id) &&
        unitOf(step) === 'mm' &&
        step.kind !== 'stature' &&
        step.kind !== 'shoe',
    );
}

function FollowedEntry({ step }: { step: ReadingStep }) {
  const { state, unit, stature, today, write } = useWork();
  const [typed, type] = useDraft(`${state.case}-review-${step.id}`);
  const [problem, setProblem] = useState<string>();
  const [asked, ask] = useState<{ question: Question; value: number }>();
  const [saving, save] = useSaving();
  const enter = (value: number, questioned?: Question['against']) =>
    void save(async () => {
      await write('measure.read', 'review', {
        step: step.id,
        side: state.side,
        value,
        instrument: instrumentOf(step),
        ...(questioned ? { questioned } : {}),
      });
      type('');
    });
  const take = () => {
    const read = readQuantity(typed, 'length', unit);
    if ('problem' in read) return setProblem(read.problem);
    const outside = readingProblem(named('steps', step.id), read.value, step, unit);
    if (outside) return setProblem(outside);
    const { first, visits } = state.reviewing;
    const before = [first, ...visits].findLast(
      ({ day, girths }) => day < today && girths[step.id] !== undefined,
    );
    // against what was read before; the other side is not measured at a review
    const question = questionReading({ step, side: state.side }, read.value, {
      states: [],
      stature,
      braced: state.side,
      lastVisit: before?.girths ?? {},
    });
    if (question && !asked) ask({ question, value: read.value });
    else enter(read.value, question?.against);
  };
  return (
    <Stack $gap={8}>
      <Row $gap={8} $align="flex-end">
        <ReadingField
          small
          label={named('steps', step.id)}
          kind="length"
          unit={unit}
          sign={unit}
          value={typed}
          onChange={(text) => {
            type(text);
            setProblem(undefined);
            ask(undefined);
          }}
          onEnter={take}
          problem={problem}
        />
        <Button
          onPress={take}
          isDisabled={saving}
          aria-label={`${named('steps', step.id)}: ${t('measuring.take')}`}
        >
          {t('measuring.take')}
        </Button>
      </Row>
      {asked && (
        <AskedReading
          step={step}
          value={asked.value}
          question={asked.question}
          onTake={enter}
          onChange={() => {
            ask(undefined);
            type('');
          }}
        />
      )}
    </Stack>
  );
}

/** Motion over the visits, inside the ordered window. */
function Course() {
  const { state } = useWork();
  const visits = [state.reviewing.first, ...state.reviewing.visits].flatMap((visit) => {
    const motion = orderedMotion(visit);
    return motion ? [{ day: visit.day, ...motion }] : [];
  });
  // one mode is one line: an active test among passive ones would look like a loss
  const { mode } = visits.at(-1) ?? {};
  const key = JSON.stringify(
    visits
      .filter((visit) => visit.mode === mode)
      .map(({ day, extension, flexion }) => ({ day, extension, flexion })),
  );
  const option = useCallback(
    (palette: Record<Token, string>) => {
      const shown = JSON.parse(key) as { day: string; extension: number; flexion: number }[];
      const line = (name: string, of: 'extension' | 'flexion', token: Token) => ({
        type: 'line' as const,
        name,
        data: shown.map((visit) => visit[of]),
        symbolSize: 9,
        lineStyle: { color: palette[token], width: 2.5 },
        itemStyle: { color: palette[token] },
        label: {
          show: true,
          color: palette.ink,
          formatter: ({ value }: { value?: unknown }) => `${Number(value)}°`,
        },
        endLabel: { show: true, formatter: name, color: palette[token], offset: [6, 0] },
      });
      return {
        grid: { left: 44, right: 84, top: 18, bottom: 24 },
        xAxis: {
          type: 'category' as const,
          data: shown.map(({ day }) => printDay(day)),
          axisLabel: { color: palette.soft },
          axisLine: { lineStyle: { color: palette.edge } },
        },
        yAxis: {
          type: 'value' as const,
          axisLabel: { color: palette.soft, formatter: '{value}°' },
          splitLine: { lineStyle: { color: palette.line } },
        },
        series: [
          line(t('order.flexion'), 'flexion', 'river'),
          line(t('order.extension'), 'extension', 'ochre'),
        ],
      };
    },
    [key],
  );
  if (visits.filter((visit) => visit.mode === mode).length < 2) return null;
  return (
    <Suspense fallback={<Loading away={false} />}>
      <Chart option={option} height={180} label={t('reviewing.course')} />
    </Suspense>
  );
}

function NextVisit() {
  const { state, today, write } = useWork();
  const planned = state.visits.find(({ kept, purpose, day }) => !kept && purpose === 'review' && day > today);
  // what is told at once is looked at again soon; the call comes first
  const isUrgent = state.calls.length > 0;
  const proposed: { day?: string } = { day: addDays(today, isUrgent ? 1 : 14) };
  const [draft, setDraft] = useDraft(`${state.case}-next-visit`, proposed);
  const { day } = draft;
  const [problem, setProblem] = useState<string>();
  const [saving, save] = useSaving();
  if (planned)
    return <Notice tone="good">{t('reviewing.nextPlanned', { day: printDay(planned.day) })}</Notice>;
  const plan = () => {
    if (!day || day <= today) return setProblem(t('reviewing.laterDay'));
    void save(() =>
      write('visit.planned', 'review', { day, purpose: 'review' }).then(() => setDraft(proposed)),
    );
  };
  return (
    <Row $align="flex-end">
      {isUrgent && <Notice tone="caution">{t('reviewing.callFirst')}</Notice>}
      <DayField
        label={t('reviewing.next')}
        value={day}
        onChange={(on) => setDraft(on ? { day: on } : {})}
        problem={problem}
      />
      <Button look="main" onPress={plan} isDisabled={saving}>
        {t('reviewing.plan')}
      </Button>
    </Row>
  );
}
