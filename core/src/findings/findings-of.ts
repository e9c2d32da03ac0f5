import { dayOf, type ClinicDay } from '../calendar';
import type { CaseState } from '../logbook';
import { stages } from '../record';
import { findingLevels, type CaseFinding, type FindingRule, type Judging } from './finding';
import { againstOrder } from './kinds/against-order';
import { familySafety } from './kinds/family-safety';
import { compartment } from './kinds/compartment';
import { blockOver } from './kinds/block-over';
import { danger } from './kinds/danger';
import { dangerNotAsked } from './kinds/danger-asked';
import { noOrder, noSize, notDonned, notFelt, notLooked, notSet, workOpen } from './kinds/missing';
import { notSafe } from './kinds/not-safe';
import { otherSide } from './kinds/other-side';
import { donnedBefore, signed } from './kinds/signed';
import { equinus } from './kinds/equinus';
import { reviewDue } from './kinds/review-due';
import { noLabel, orderEnded, planBeforeOrder } from './kinds/wear';

/** Every kind of finding. A new one is one more file here. */
const rules: readonly FindingRule[] = [
  danger,
  blockOver,
  notSafe,
  dangerNotAsked,
  familySafety,
  againstOrder,
  equinus,
  compartment,
  otherSide,
  notLooked,
  noOrder,
  noSize,
  notSet,
  workOpen,
  notDonned,
  notFelt,
  donnedBefore,
  signed,
  orderEnded,
  planBeforeOrder,
  noLabel,
  reviewDue,
];

const againstKinds = ['exceeds-order', 'not-as-ordered'];

const urgency = ({ level, stage }: CaseFinding): number =>
  findingLevels.indexOf(level) * stages.length + stages.indexOf(stage);

/**
 * What is missing, no longer holds or is dangerous in a case on a day: the most urgent first, then in the order of the work.
 * Pure: the same state, day and day of birth always give the same findings.
 * @param born the patient's day of birth; without it nothing is asked by age, and nothing that withholds hangs on it
 */
export function findingsOf(state: CaseState, day: ClinicDay, born?: ClinicDay): CaseFinding[] {
  const judging = judgingOf(state, day, born);
  const all = rules.flatMap((rule) => rule(judging));
  // what is against the order is not said a second time of the same setting
  const against = new Set(all.filter(({ kind }) => againstKinds.includes(kind)).map(({ about }) => about));
  return all
    .filter(({ kind, about }) => kind !== 'set-otherwise' || !against.has(about))
    .map((found, i) => ({ found, i }))
    .sort((a, b) => urgency(a.found) - urgency(b.found) || a.i - b.i)
    .map(({ found }) => found);
}

function judgingOf(state: CaseState, day: ClinicDay, born: ClinicDay | undefined): Judging {
  const lines = new Map(state.lines.map((line) => [line.entry.id, line]));
  const rootOf = (id: string): string => {
    const parent = lines.get(id)?.entry.replaces;
    return parent !== undefined && lines.has(parent) ? rootOf(parent) : id;
  };
  const seqOf = (id: string | undefined) => (id === undefined ? 0 : (lines.get(id)?.entry.seq ?? 0));
  const alive = state.lines.filter(({ status }) => status === 'live' || status === 'conflict');
  const dayIn = ({ observedAt }: { observedAt: string }) => dayOf(observedAt, state.zone);
  return {
    state,
    day,
    born,
    writtenAt: seqOf,
    beganAt: (id) => (id === undefined ? 0 : seqOf(rootOf(id))),
    heldBy: (id) => alive.find(({ entry }) => rootOf(entry.id) === rootOf(id))?.entry.id,
    live: (...kinds) => alive.flatMap(({ entry }) => (kinds.includes(entry.kind) ? [entry] : [])),
    dayIn,
    dayOf: (id) => dayIn(lines.get(id)!.entry),
  };
}
