import { buildOf, otherSide, type BodyReadings } from '@estribo/core/anatomy';
import { findingsOf, stagesWith } from '@estribo/core/findings';
import { caseRibbon, firstVisit, stillNeeded, type CaseState, type StageState } from '@estribo/core/logbook';
import { bodyReadings, mirroredReadings } from '@estribo/core/measuring';
import { daysBetween } from '@estribo/core/calendar';
import { limitedMotion } from '@estribo/core/programmes';
import { stages, type Stage } from '@estribo/core/record';
import { ArrowLeft } from 'lucide-react';
import { lazy, Suspense, useCallback, useEffect, useMemo, useRef, useState } from 'react';
import { Link, useLocation, useNavigate, useParams } from 'react-router';
import styled from 'styled-components';
import { useMinute, useToday, useUser, useZone } from '../api/clinic';
import { useUnit } from '../browser/preferences';
import { useHotkeys } from '../browser/hotkeys';
import { statureIn } from '../case/stature';
import { ClockOff } from '../frame/clock-off';
import { KeysHelp } from '../frame/keys-help';
import { LockButton } from '../frame/lock-button';
import { OutboxState } from '../frame/outbox-state';
import { SignOutButton } from '../frame/sign-out-button';
import { color, narrow, size } from '../look/tokens';
import { BodyFigure } from '../figure/body-figure';
import type { Overlay } from '../figure/drawing';
import { bareLimb, type FigureLayer } from '../figure/layer';
import { named, programmeTitle, t } from '../messages';
import { whyNotNeeded } from '../messages/fitting';
import { Button } from '../parts/button';
import { Loading } from '../parts/loading';
import { Notice } from '../parts/notice';
import { Stack } from '../parts/layout';
import { Tick } from '../parts/tick';
import { useSteady } from '../parts/use-steady';
import { formatDay } from '../parts/format';
import { Blocking } from '../screening/blocking';
import {
  CaseContext,
  FigureContext,
  SelectionContext,
  WaitingContext,
  writeEntry,
  type CaseWork,
} from '../case/case-context';
import { Calls } from '../case/calls';
import { formatInForce } from '../screening/print-order';
import { CaseKeeping, KeptInMind, Siblings } from './case-keeping';
import { Rail } from './rail';
import { Findings } from '../findings/findings';
import { RecordStrip } from './record-strip';
import { NewerVersion } from '../case/newer-version';
import { StageHelp } from './stage-help';
import { TakenOver } from './taken-over';
import { UnsentHere } from './unsent-here';
import { useCase, type OpenCase } from '../case/use-case';
import { useKeptFocus } from '../case/kept-focus';
import { TypedHere, useTypedGuard } from '../case/typed-here';

const loaders: Record<Stage, () => Promise<{ default: () => React.ReactNode }>> = {
  // a new order is shown with what it does to the settings, which lie on a floor above
  screen: async () => {
    const [{ default: ScreenStage }, { BeforeAfter }] = await Promise.all([
      import('../screening/screen-stage'),
      import('../setting/phase-table'),
    ]);
    return { default: () => <ScreenStage plan={BeforeAfter} /> };
  },
  measure: () => import('../measuring/measure-stage'),
  size: () => import('../sizing/size-stage'),
  set: () => import('../setting/set-stage'),
  shape: () => import('../shaping/shape-stage'),
  strap: () => import('../strapping/strap-stage'),
  check: () => import('../checking/check-stage'),
  wear: () => import('../wearing/wear-stage'),
  review: () => import('../reviewing/review-stage'),
};

const screens = Object.fromEntries(stages.map((stage) => [stage, lazy(loaders[stage])])) as unknown as Record<
  Stage,
  React.LazyExoticComponent<() => React.ReactNode>
>;

/** Fetches every stage while there is a server, so that the work goes on when it is away. */
export function preloadStages(): void {
  for (const load of [...Object.values(loaders), () => import('../parts/chart')]) load().catch(() => {});
}

const Frame = styled.div`
  display: grid;
  height: 100vh;
  grid-template-columns: 136px minmax(0, 484px) minmax(0, 1fr);
  grid-template-rows: minmax(64px, auto) minmax(0, 1fr) 106px;
  grid-template-areas: 'head head head' 'rail figure work' 'rail record work';
  @media (orientation: portrait), (max-width: 1000px) {
    grid-template-columns: 136px minmax(0, 1fr);
    grid-template-rows: auto minmax(240px, 38vh) minmax(0, 1fr) 106px;
    grid-template-areas: 'head head' 'rail figure' 'rail work' 'rail record';
  }
  @media (min-width: 1600px) and (orientation: landscape) {
    /* where there is room the limb takes it */
    grid-template-columns: 136px minmax(0, 760px) minmax(0, 1fr);
  }
  ${narrow} {
    height: auto;
    min-height: 100vh;
    grid-template-columns: minmax(0, 1fr);
    grid-template-rows: auto;
    grid-template-areas: 'head' 'rail' 'figure' 'work' 'record';
  }
  @media print {
    display: block;
    height: auto;
  }
`;

/** What is ordered is never cut short in the head; a long diagnosis is, and stands in Screen in full. */
const briefly = (diagnosis: string) =>
  diagnosis.length <= longestBrief ? diagnosis : `${diagnosis.slice(0, longestBrief - 1).trimEnd()}…`;
const longestBrief = 60;

const Head = styled.header`
  grid-area: head;
  display: flex;
  align-items: center;
  flex-wrap: wrap;
  gap: 4px 22px;
  padding: 8px 24px;
  background: ${color('sheet')};
  border-bottom: 1px solid ${color('line')};
  min-height: 64px;
  & > a {
    font-weight: 700;
    font-size: ${size.lead};
    text-decoration: none;
    color: ${color('ink')};
  }
  & > p {
    /* beside the brace in two short lines rather than under it */
    min-width: 0;
    flex: 1 1 150px;
    max-width: 330px;
    font-size: ${size.small};
    overflow-wrap: anywhere;
  }
  & > span:last-of-type {
    margin-left: auto;
    display: flex;
    align-items: center;
    flex-wrap: wrap;
    gap: 4px 10px;
  }
  & > a:first-of-type {
    display: inline-flex;
    align-items: center;
    min-height: 44px;
    gap: 6px;
    font-weight: 400;
    font-size: ${size.text};
    color: ${color('river')};
    margin-left: -6px;
    padding-right: 6px;
  }
  & > a:hover {
    text-decoration: underline;
  }
  ${narrow} {
    padding: 4px 12px;
    gap: 2px 14px;
    & > p {
      max-width: none;
    }
  }
`;

const FigurePlace = styled.figure`
  grid-area: figure;
  min-height: 0;
  padding: 8px 0 4px;
  border-right: 1px solid ${color('line')};
  display: grid;
  grid-template-rows: minmax(0, 1fr) auto;
  ${narrow} {
    height: clamp(280px, 52vh, 460px);
    border-right: 0;
    border-bottom: 1px solid ${color('line')};
  }
`;

/** Lined as the outline it stands for. */
const Laid = styled.span<{ $kind: Overlay }>`
  border-bottom: 2px ${({ $kind }) => ($kind === 'other' ? 'dashed' : 'dotted')}
    ${({ $kind }) => color($kind === 'other' ? 'river' : 'ochre')};
`;

const Overlays = styled.div`
  padding-right: 12px;
  font-size: ${size.small};
  display: flex;
  justify-content: flex-end;
  gap: 14px;
`;

const Work = styled.main`
  grid-area: work;
  /* what is hidden inside scrolls with it, and not with the page */
  position: relative;
  overflow: auto;
  padding: 18px 28px 24px;
  min-height: 0;
  ${narrow} {
    overflow: visible;
    padding: 14px 12px 20px;
  }
`;

const RecordPlace = styled.div`
  grid-area: record;
  display: grid;
  min-height: 0;
  border-right: 1px solid ${color('line')};
`;

export default function CaseFrame() {
  const { caseId = '', stage } = useParams();
  const { open, missing, away } = useCase(caseId);
  if (missing)
    return (
      <Stack style={{ padding: 40 }}>
        <Notice tone="stop">{t('case.missing')}</Notice>
        <Link to="/cases">{t('nav.cases')}</Link>
      </Stack>
    );
  if (!open) return <Loading away={away} />;
  const shown = stages.find((name) => name === stage) ?? 'screen';
  return <OpenCaseFrame key={caseId} open={open} stage={shown} />;
}

/** The last review that read anything of the body, as means by step. */
const lastVisit = (state: CaseState, today: string): Readonly<Record<string, number>> =>
  state.reviewing.visits.findLast(({ day, girths }) => day < today && Object.keys(girths).length > 0)
    ?.girths ?? {};

function OpenCaseFrame({ open: { state, person, waiting, holds }, stage }: { open: OpenCase; stage: Stage }) {
  const user = useUser();
  const zone = useZone();
  const today = useToday();
  const navigate = useNavigate();
  const [unit] = useUnit();
  const [touched, touch] = useState<{ stage: Stage; id: string }>();
  // a link that names a thing opens its stage with it selected
  const { hash } = useLocation();
  const linked = new URLSearchParams(hash.slice(1)).get('thing') ?? undefined;
  useEffect(() => {
    if (linked === undefined) return;
    const shown = setTimeout(
      () => document.getElementById(`thing-${linked}`)?.scrollIntoView({ block: 'center' }),
      60,
    );
    return () => clearTimeout(shown);
  }, [linked, stage]);
  // what was touched in one stage means nothing in the next
  const selected = touched?.stage === stage ? touched.id : linked;
  const select = useCallback(
    (id: string | undefined) => touch(id === undefined ? undefined : { stage, id }),
    [stage],
  );
  const [layer, showOnFigure] = useState<FigureLayer>(bareLimb);
  const [overlay, setOverlay] = useState<readonly Overlay[]>([]);
  const born = person?.born;
  const { years, stature } = statureIn(state, born, today);
  const build = useMemo(() => buildOf(stature, years), [stature, years]);

  const write = useCallback<CaseWork['write']>(
    (kind, at, body, options) => writeEntry({ state, user, zone }, kind, at, body, options),
    [state, user, zone],
  );
  const findings = useMemo(() => findingsOf(state, today, born), [state, today, born]);
  const stagesNow = useMemo(() => stagesWith(state, findings), [state, findings]);
  const work = useMemo<CaseWork>(
    () => ({ state, findings, user, today, zone, unit, stature, born, write }),
    [state, findings, user, today, zone, unit, stature, born, write],
  );
  const selection = useMemo(() => ({ selected, select }), [selected, select]);

  const move = (by: number) => {
    const next = stages[stages.indexOf(stage) + by];
    if (next) void navigate(`/cases/${state.case}/${next}`);
  };
  useHotkeys({ '[': () => move(-1), ']': () => move(1) });

  const { states, steps } = state.measuring;
  const drawn = layer.side ?? state.side;
  // what was read at a review was read of the braced side
  const visit = drawn === state.side ? lastVisit(state, today) : {};
  const figure = useSteady<{ own: BodyReadings; other: BodyReadings & { any: boolean }; last: BodyReadings }>(
    {
      own: mirroredReadings(states, drawn),
      other: bodyReadings(states, otherSide(drawn)),
      last: bodyReadings(states, drawn, visit),
    },
  );
  const overlays = useMemo<Partial<Record<Overlay, BodyReadings>>>(
    () => ({
      ...(overlay.includes('other') ? { other: figure.other } : {}),
      ...(overlay.includes('last') ? { last: figure.last } : {}),
    }),
    [overlay, figure],
  );
  const offered: Overlay[] = [
    ...(state.side !== 'midline' && figure.other.any ? (['other'] as const) : []),
    ...(Object.keys(visit).length > 0 ? (['last'] as const) : []),
  ];
  const part = named('bodyPart', `${drawn}-${state.programme.region}`);
  const asked = layer.steps?.find((one) => one.state === 'now')?.step;

  const main = useRef<HTMLElement>(null);
  useKeptFocus(main, stage);
  const who = person ? `${person.givenName} ${person.familyName}` : '…';
  // one and the same while its stage is open: what is touched or laid on the figure does not draw it anew
  const screen = useMemo(() => {
    const Screen = screens[stage];
    return <Screen key={stage} />;
  }, [stage]);
  const due = firstVisit(caseRibbon(state));
  const now = useMinute();
  return (
    <CaseContext value={work}>
      <SelectionContext value={selection}>
        <FigureContext value={showOnFigure}>
          <WaitingContext value={waiting}>
            <Frame>
              <CaseHead state={state} stage={stage} who={who} today={today} due={due} />
              <div style={{ gridArea: 'rail', minHeight: 0, display: 'grid' }}>
                <Rail caseId={state.case} current={stage} states={stagesNow} />
              </div>
              <FigurePlace>
                <BodyFigure
                  region={state.programme.region}
                  side={drawn}
                  readings={figure.own}
                  build={build}
                  overlays={overlays}
                  // a frame is drawn only where the model has one
                  layer={layer}
                  selected={selected}
                  onSelect={select}
                  description={
                    asked && steps.some(({ id }) => id === asked.id)
                      ? t('figure.descriptionWith', { part, step: named('steps', asked.id) })
                      : t('figure.description', { part })
                  }
                />
                {offered.length > 0 && (
                  <Overlays>
                    {offered.map((kind) => (
                      <Tick
                        key={kind}
                        isSelected={overlay.includes(kind)}
                        onChange={(on) =>
                          setOverlay(on ? [...overlay, kind] : overlay.filter((one) => one !== kind))
                        }
                      >
                        <Laid $kind={kind}>
                          {t(kind === 'other' ? 'figure.otherSide' : 'figure.lastVisit')}
                        </Laid>
                      </Tick>
                    ))}
                  </Overlays>
                )}
              </FigurePlace>
              <RecordPlace>
                <RecordStrip state={state} today={today} />
              </RecordPlace>
              <Work aria-label={named('stages', stage)} ref={main}>
                <Stack $gap={12}>
                  <UnsentHere />
                  <ClockOff />
                  {holds === false && (
                    <Notice tone="stop" live>
                      {t('record.doesNotHold')}
                    </Notice>
                  )}
                  <KeptInMind />
                  {(stage === 'screen' || stage === 'measure') && <TakenOver state={state} now={now} />}
                  <Calls />
                  {stage !== 'screen' && <StoppedBy state={state} stage={stage} />}
                  <Findings stage={stage} />
                  {state.conflicts.length > 0 && <Notice tone="caution">{t('record.conflictLong')}</Notice>}
                  <TypedHere key={stage}>
                    <Suspense fallback={<Loading away={false} />}>
                      {state.stages[stage].status === 'not-covered' ? (
                        <NotCovered stage={stage} />
                      ) : stage === 'measure' && state.measuring.steps.length === 0 ? (
                        <NothingMeasured />
                      ) : whyNotNeeded(state.programme, stage) ? (
                        <NotNeeded state={state} stage={stage} />
                      ) : (
                        screen
                      )}
                      <OnToNext caseId={state.case} states={stagesNow} stage={stage} />
                    </Suspense>
                  </TypedHere>
                </Stack>
              </Work>
            </Frame>
          </WaitingContext>
        </FigureContext>
      </SelectionContext>
    </CaseContext>
  );
}

/** What stops a stage: the findings that block, with whom to call, or what it still waits for. */
function StoppedBy({ state, stage }: { state: CaseState; stage: Stage }) {
  const { blocking } = state.screening;
  const waits = stillNeeded(state, stage);
  if (state.stages[stage].status === 'blocked')
    return blocking.map(({ finding, entry, note }) => (
      <Blocking key={finding} finding={finding} of={entry} note={note} />
    ));
  // before Check the findings say what is missing, and more of it
  if (waits.length === 0 || stage === 'check' || state.stages[stage].status === 'not-covered') return null;
  return (
    <Notice tone="caution">
      {t('case.waitsFor', { what: waits.map((what) => t(`case.stillNeeded.${what}`)).join(', ') })}{' '}
      <Link to={`/cases/${state.case}/${waits[0] === 'size' ? 'size' : 'screen'}`}>{t('case.goThere')}</Link>
    </Notice>
  );
}

/** A stage that the family's programme does not carry. */
function NotCovered({ stage }: { stage: Stage }) {
  return (
    <Stack $gap={8}>
      <h1>{t('notCovered.title', { stage: named('stages', stage) })}</h1>
      <Notice tone="caution">{t('notCovered.how')}</Notice>
    </Stack>
  );
}

/** A stage in which this family has nothing to do, with the reason. */
function NotNeeded({ state, stage }: { state: CaseState; stage: Stage }) {
  return (
    <Stack $gap={8}>
      <h1>{t('notNeeded.title', { stage: named('stages', stage) })}</h1>
      <p>{whyNotNeeded(state.programme, stage)}</p>
    </Stack>
  );
}

/** The measuring of a brace of one size. */
function NothingMeasured() {
  return (
    <Stack $gap={8}>
      <h1>{t('measuring.nothing')}</h1>
      <Notice tone="caution">{t('measuring.nothingHow')}</Notice>
    </Stack>
  );
}

/** The one next action of a stage that is done: the stage after it. */
function OnToNext({
  caseId,
  states,
  stage,
}: {
  caseId: string;
  states: Record<Stage, StageState>;
  stage: Stage;
}) {
  const navigate = useNavigate();
  const { asked, guard } = useTypedGuard();
  const covered = stages.filter((name) => !['not-covered', 'not-needed'].includes(states[name].status));
  const next = covered.find((name) => stages.indexOf(name) > stages.indexOf(stage));
  if (!next || !['done', 'not-covered', 'not-needed'].includes(states[stage].status)) return null;
  return (
    <div>
      {asked}
      <Button
        look={states[next].status === 'open' ? 'main' : 'second'}
        keycap="]"
        onPress={() => guard(() => void navigate(`/cases/${caseId}/${next}`))}
      >
        {t('next.stage', { stage: named('stages', next) })}
      </Button>
    </div>
  );
}

function CaseHead({
  state,
  stage,
  who,
  today,
  due,
}: {
  state: CaseState;
  stage: Stage;
  who: string;
  today: string;
  due: string | undefined;
}) {
  const [unit, nextUnit] = useUnit();
  const order = state.order?.order;
  const inForce = order && formatInForce(order, today, limitedMotion(state.programme));
  const size_ = state.sizing.chosen?.decided.size;
  return (
    <Head>
      <Link to="/bench">
        <ArrowLeft size={18} aria-hidden /> {t('nav.bench')}
      </Link>
      <Link to={`/people/${state.person}`} title={t('case.all', { who })}>
        {who}
      </Link>
      <div style={{ minWidth: 0, maxWidth: 320 }}>
        <p>
          {named('bodyPart', `${state.side}-${state.programme.region}`)} · {programmeTitle(state.programme)}
          {/* "child-S" is not torn at its hyphen */}
          {size_ && ', '}
          {size_ && <span style={{ display: 'inline-block' }}>{t('case.size', { size: size_ })}</span>}
        </p>
        <Siblings caseId={state.case} person={state.person} />
      </div>
      {order ? (
        <p title={order.diagnosis} style={{ color: color('soft') }}>
          {t(inForce ? 'case.order' : 'case.orderWindowless', {
            window: inForce ?? '',
            count: daysBetween(order.dayZero, today),
          })}
          <br />
          {briefly(order.diagnosis)}
        </p>
      ) : (
        <p style={{ color: color('soft') }}>{t('case.noOrder')}</p>
      )}
      <span>
        <OutboxState />
        {due && (
          <span style={{ color: due < today ? color('madder') : color('soft') }}>
            {due < today ? t('case.late', { day: formatDay(due) }) : t('case.next', { day: formatDay(due) })}
          </span>
        )}
        <CaseKeeping who={who} />
        <Button onPress={nextUnit} aria-label={t('case.unit', { unit })}>
          {unit} · °
        </Button>
        <KeysHelp>
          <StageHelp stage={stage} programme={state.programme} />
          <NewerVersion />
        </KeysHelp>
        <LockButton />
        <SignOutButton />
      </span>
    </Head>
  );
}
