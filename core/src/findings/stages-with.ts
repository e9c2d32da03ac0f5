import type { CaseState, StageState } from '../logbook';
import { stages, type Stage } from '../record';
import type { CaseFinding } from './finding';

/** The stages as they stand with what was found: one that was done is open again while something is to be resolved there. */
export const stagesWith = (
  state: Pick<CaseState, 'stages'>,
  findings: readonly CaseFinding[],
): Record<Stage, StageState> =>
  Object.fromEntries(
    stages.map((stage) => [
      stage,
      state.stages[stage].status === 'done' &&
      findings.some((one) => one.stage === stage && one.withholds.length > 0)
        ? { status: 'open' }
        : state.stages[stage],
    ]),
  ) as Record<Stage, StageState>;
