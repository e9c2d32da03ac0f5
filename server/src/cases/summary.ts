import { caseRibbon, engineVersion, firstVisit, stageAt, type CaseState } from '@estribo/core/logbook';
import type { EntityManager } from 'typeorm';
import { personEntity, summaryEntity, type Summary } from '../database/entities';

/** The row that lists show of a case, computed from its state. */
export function summaryOf(state: CaseState, personKey: string): Summary {
  const ribbon = caseRibbon(state);
  return {
    case: state.case,
    person: state.person,
    personKey,
    modelName: state.model.name,
    modelId: state.model.id,
    programme: state.programme.id,
    side: state.side,
    stage: stageAt(state),
    blockedBy: state.screening.blocking[0]?.finding ?? null,
    size: state.sizing.chosen?.decided.size ?? null,
    firstVisit: firstVisit(ribbon) ?? null,
    ribbon,
    seq: state.seq,
    engine: engineVersion,
  };
}

/** Writes a case's summary in the transaction that changed the case. */
export async function writeSummary(manager: EntityManager, state: CaseState): Promise<void> {
  const person = await manager.getRepository(personEntity).findOneByOrFail({ id: state.person });
  await manager.getRepository(summaryEntity).upsert(summaryOf(state, person.familyFirst), ['case']);
}
