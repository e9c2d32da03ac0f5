import { stages, type Stage } from '../../programmes';
import type { CaseState, StageState } from './state';

/**
 * How each stage stands. A blocking finding stops every stage behind Screen; what was done before it
 * was found stays in the record.
 */
export function stageStates(state: Omit<CaseState, 'stages'>): Record<Stage, StageState> {
  const blocker = state.screening.blocking[0];
  const done: Record<Stage, boolean> = {
    screen:
      (state.screening.status === 'clear' || state.screening.status === 'qualified') &&
      state.order !== undefined,
    measure: state.measuring.done,
    size: state.sizing.chosen !== undefined && sound(state.sizing.chosen),
    set:
      state.setting.chosen !== undefined &&
      sound(state.setting.chosen) &&
      state.setting.fitted !== undefined &&
      state.setting.look.length === 0,
    shape: state.shaping.pads.length > 0 && state.shaping.pads.every((pad) => pad.done !== undefined),
    strap: state.strapping.now === undefined,
    check:
      state.checking.signed !== undefined &&
      state.checking.signed.staleBecause.length === 0 &&
      !state.checking.signed.wouldDiffer &&
      state.checking.result === 'pass',
    wear: state.wearing.plan !== undefined && state.wearing.taught !== undefined,
    review: state.reviewing.visits.some(({ found }) => found !== undefined),
  };
  const covered = coveredStages(state);
  return Object.fromEntries(
    stages.map((stage): [Stage, StageState] => [
      stage,
      blocker
        ? stage === 'screen'
          ? { status: 'open' }
          : { status: 'blocked', because: blocker.finding }
        : { status: !covered[stage] ? 'not-covered' : done[stage] ? 'done' : 'open' },
    ]),
  ) as Record<Stage, StageState>;
}

/** What the programme and the model carry: without stops, pads, a sequence or checks there is nothing to work on. */
const coveredStages = ({
  programme,
  model,
}: Pick<CaseState, 'programme' | 'model'>): Record<Stage, boolean> => ({
  screen: true,
  measure: true,
  size: true,
  set: programme.stops !== undefined,
  shape: model.pads.length > 0,
  strap: programme.sequence.length > 0,
  check: programme.checks.length > 0,
  wear: true,
  review: true,
});

const sound = (decision: { staleBecause: string[]; wouldDiffer: boolean }) =>
  decision.staleBecause.length === 0 && !decision.wouldDiffer;

/** What a stage waits for before anything is decided or done in it; it may be looked at all the same. */
export type StillNeeded = 'look' | 'order' | 'size';

/**
 * Shaping, strapping and checking begin when the limb has been looked at, the order is there and the size is
 * chosen. Common practice, no source.
 */
export function stillNeeded(
  { screening, order, sizing }: Pick<CaseState, 'screening' | 'order' | 'sizing'>,
  stage: Stage,
): StillNeeded[] {
  if (stage !== 'shape' && stage !== 'strap' && stage !== 'check') return [];
  return [
    ...(screening.status === 'open' ? (['look'] as const) : []),
    ...(order === undefined ? (['order'] as const) : []),
    ...(sizing.chosen === undefined ? (['size'] as const) : []),
  ];
}

/** The stage the work is at: the first one that is open. */
export const stageAt = (state: CaseState): Stage =>
  stages.find((stage) => state.stages[stage].status === 'open') ?? 'review';
