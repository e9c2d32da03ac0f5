import { isDeepStrictEqual } from 'node:util';
import { findingsAhead, urgencyOf } from '@estribo/core/findings';
import { caseRibbon, firstVisit, stageAt, type CaseState } from '@estribo/core/logbook';
import type { EntityManager } from 'typeorm';
import { pairsOf } from '@estribo/core/measuring';
import { pairEntity, summaryEntity, type PairRow, type Person, type Summary } from '../database/entities';
import { writeCaseWords } from '../people/search-words';

/** Version of the summary's shape and of the computation behind it: a row of another one is rebuilt at the start. */
export const summaryVersion = 12;

/**
 * The row that lists show of a case, computed from its state.
 * @param person whom it is of now
 */
export function summaryOf(
  state: CaseState,
  { id: person, familyFirst: personKey, born }: Pick<Person, 'id' | 'familyFirst' | 'born'>,
): Summary {
  const ribbon = caseRibbon(state);
  const findings = findingsAhead(state, born);
  return {
    case: state.case,
    person,
    personKey,
    modelName: state.model.name,
    modelId: state.model.id,
    programme: state.programme.id,
    region: state.programme.region,
    side: state.side,
    stage: stageAt(state),
    blockedBy: state.screening.blocking[0]?.finding ?? null,
    size: state.sizing.chosen?.decided.size ?? null,
    firstVisit: firstVisit(ribbon) ?? null,
    ribbon,
    urgent: urgencyOf(findings[0]?.found ?? null),
    findings,
    keeper: state.keeping.keeper,
    closed: state.keeping.closed?.because ?? null,
    lastDay: state.keeping.lastDay,
    labels: state.keeping.labels,
    seq: state.seq,
    engine: summaryVersion,
  };
}

/** Writes a case's summary, and the words it is found by, in the transaction that changed the case. */
export async function writeSummary(
  manager: EntityManager,
  before: CaseState | undefined,
  state: CaseState,
  person: Person,
): Promise<void> {
  await manager.getRepository(summaryEntity).upsert(summaryOf(state, person), ['case']);
  const isFoundAsBefore =
    before !== undefined &&
    before.modelPin.hash === state.modelPin.hash &&
    before.programmePin.hash === state.programmePin.hash &&
    isDeepStrictEqual(before.keeping.labels, state.keeping.labels);
  if (!isFoundAsBefore) await writeCaseWords(manager, state.case);
}

/** The pairs of readings of a case, as the clinic's own repeatability counts them. */
export const pairRowsOf = (state: CaseState): PairRow[] =>
  pairsOf(state.measuring.states).map((pair) => ({ case: state.case, ...pair }));

/** A clinic's own precision is computed from so many pairs at most, the newest cases first. */
const mostPairs = 2000;

/** The pairs of readings of the whole clinic that were taken in one way. */
export const pairsUnder = (manager: EntityManager, protocol: string): Promise<PairRow[]> =>
  manager.getRepository(pairEntity).find({ where: { protocol }, order: { case: 'DESC' }, take: mostPairs });

/** Writes a case's pairs of readings anew when they are not what they were. */
export async function writePairs(
  manager: EntityManager,
  before: CaseState | undefined,
  state: CaseState,
): Promise<void> {
  const rows = pairRowsOf(state);
  if (before && isDeepStrictEqual(pairRowsOf(before), rows)) return;
  if (!before && rows.length === 0) return;
  const pairs = manager.getRepository(pairEntity);
  await pairs.delete({ case: state.case });
  if (rows.length > 0) await pairs.insert(rows);
}
