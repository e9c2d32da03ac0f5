import type { Permission } from '../access';
import { holds, type KnownFacts } from '../brace';
import { isSignedPass } from '../checking';
import type { Programme } from '../programmes';
import { stages, stands, type Stage } from '../record';
import { isSet } from '../setting';
import { isAnswered, isOpenMark } from '../shaping';
import type { CaseState } from './state';

/** `not-covered`: Estribo does not carry this stage for the family yet; it is done by the maker's instructions */
export type StageStatus = 'done' | 'open' | 'blocked' | 'not-needed' | 'not-covered';

export interface StageState {
  status: StageStatus;
  /** for blocked: the finding that blocks, by name */
  because?: string;
}

/**
 * How each stage stands. A blocking finding stops every stage behind Screen; what was done before it
 * was found stays in the record.
 */
export function stageStates(state: Omit<CaseState, 'stages'>, facts: KnownFacts): Record<Stage, StageState> {
  const blocker = state.screening.blocking[0];
  const done: Record<Stage, boolean> = {
    screen:
      (state.screening.status === 'clear' || state.screening.status === 'qualified') &&
      (state.programme.limbs === undefined || state.limbs.before !== undefined) &&
      state.order !== undefined,
    measure: state.measuring.done,
    size: state.sizing.chosen !== undefined && stands(state.sizing.chosen),
    set: state.setting.made.every(isSet),
    shape:
      state.sizing.chosen !== undefined &&
      state.shaping.work.every(isAnswered) &&
      !state.shaping.marks.some(isOpenMark),
    strap: state.strapping.list !== undefined && state.strapping.now === undefined,
    check:
      !state.shaping.marks.some(isOpenMark) &&
      (state.programme.limbs === undefined || state.limbs.after !== undefined) &&
      (state.programme.checks.length === 0 || isSignedPass(state.checking)),
    wear: state.wearing.plan !== undefined && state.wearing.taught !== undefined,
    review: state.reviewing.visits.some(({ found }) => found !== undefined),
  };
  const withoutWork = stagesWithoutWork(state, facts);
  return Object.fromEntries(
    stages.map((stage): [Stage, StageState] => [
      stage,
      blocker
        ? stage === 'screen'
          ? { status: 'open' }
          : { status: 'blocked', because: blocker.finding }
        : { status: withoutWork[stage] ?? (done[stage] ? 'done' : 'open') },
    ]),
  ) as Record<Stage, StageState>;
}

/**
 * Stages in which there is nothing to work on: a brace of one size needs no measuring, and what a family says it does not
 * need is not asked; without stops, pads, a list or checks a stage is not covered.
 */
const stagesWithoutWork = (
  { programme, shaping, measuring }: Pick<CaseState, 'programme' | 'shaping' | 'measuring'>,
  facts: KnownFacts,
): Partial<Record<Stage, StageStatus>> => ({
  ...(measuring.steps.length === 0 ? { measure: 'not-needed' } : {}),
  ...(programme.settings.length === 0 ? { set: 'not-covered' } : {}),
  // a family that states its work, on a model that has nothing of it: there is nothing to shape
  ...(shaping.work.length === 0
    ? { shape: programme.operations === undefined ? 'not-covered' : 'not-needed' }
    : {}),
  ...(programme.sequences.every(({ purpose }) => purpose !== 'first-donning')
    ? { strap: 'not-covered' }
    : {}),
  ...(programme.checks.length === 0 && programme.limbs === undefined ? { check: 'not-covered' } : {}),
  ...Object.fromEntries(
    (programme.notNeeded ?? [])
      // what hangs on something that nobody has said may be needed yet
      .filter(({ when }) => when === undefined || holds(when, facts) === true)
      .map(({ stage }) => [stage, 'not-needed']),
  ),
});

/** How far a family carries a stage, whatever the model and the case: `by-case` is needed in some cases only. */
export type StageCover = 'covered' | 'by-case' | 'not-needed' | 'not-covered';

/** Which stages a family covers, as the catalogue states it. */
export function stageCover(programme: Programme): Record<Stage, StageCover> {
  const without: Partial<Record<Stage, StageCover>> = {
    ...(programme.measuring.length === 0 ? { measure: 'not-needed' } : {}),
    ...(programme.settings.length === 0 ? { set: 'not-covered' } : {}),
    ...(programme.operations?.length === 0 ? { shape: 'not-needed' } : {}),
    ...(programme.sequences.every(({ purpose }) => purpose !== 'first-donning')
      ? { strap: 'not-covered' }
      : {}),
    ...(programme.checks.length === 0 && programme.limbs === undefined ? { check: 'not-covered' } : {}),
    ...Object.fromEntries(
      (programme.notNeeded ?? []).map(({ stage, when }) => [
        stage,
        when === undefined ? 'not-needed' : 'by-case',
      ]),
    ),
  };
  return Object.fromEntries(stages.map((stage) => [stage, without[stage] ?? 'covered'])) as Record<
    Stage,
    StageCover
  >;
}

/** What a stage waits for before anything is decided or done in it; it may be looked at all the same. */
export type StillNeeded = 'look' | 'order' | 'size' | 'marks';

/**
 * Shaping, strapping and checking begin when the limb has been looked at, the order is there and the size is
 * chosen. Common practice, no source.
 */
export function stillNeeded(
  {
    screening,
    limbs,
    programme,
    order,
    sizing,
    shaping,
  }: Pick<CaseState, 'screening' | 'limbs' | 'programme' | 'order' | 'sizing' | 'shaping'>,
  stage: Stage,
): StillNeeded[] {
  if (stage !== 'shape' && stage !== 'strap' && stage !== 'check') return [];
  return [
    ...(screening.status === 'open' || (programme.limbs && !limbs.before) ? (['look'] as const) : []),
    ...(order === undefined ? (['order'] as const) : []),
    ...(sizing.chosen === undefined ? (['size'] as const) : []),
    // what presses is worked off and seen clear before the brace is checked
    ...(stage === 'check' && shaping.marks.some(isOpenMark) ? (['marks'] as const) : []),
  ];
}

/** Who does the work of a stage: by what it takes to write there. */
export const stagePermission: Record<Stage, Permission> = {
  screen: 'screening.write',
  measure: 'measuring.write',
  size: 'sizing.write',
  set: 'setting.write',
  shape: 'shaping.write',
  strap: 'strapping.write',
  check: 'checking.write',
  wear: 'wearing.write',
  review: 'reviewing.write',
};

/** The stage the work is at: the first one that is open. */
export const stageAt = (state: CaseState): Stage =>
  stages.find((stage) => state.stages[stage].status === 'open') ?? 'review';
