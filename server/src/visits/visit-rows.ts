import { isDeepStrictEqual } from 'node:util';
import type { CaseState } from '@estribo/core/logbook';
import { In, IsNull, LessThanOrEqual, type EntityManager } from 'typeorm';
import { visitEntity, type Person, type VisitRow } from '../database/entities';

/** The visits of a case on their days, as they are kept beside its summary. In a closed case nobody is waited for. */
export const visitRowsOf = (state: CaseState): VisitRow[] =>
  state.visits.map(({ entry, by, day, time, purpose, note, noteBy, deskNote, deskNoteBy, kept }) => ({
    id: entry,
    person: state.person,
    case: state.case,
    day,
    time: time ?? null,
    purpose,
    note: note ?? null,
    noteBy: noteBy ?? null,
    deskNote: deskNote ?? null,
    deskNoteBy: deskNoteBy ?? null,
    by,
    state: kept ? 'kept' : state.keeping.closed ? 'cancelled' : 'planned',
  }));

/** Writes the visits of a case anew when they are not what they were. */
export async function writeVisits(
  manager: EntityManager,
  before: CaseState | undefined,
  state: CaseState,
): Promise<void> {
  const rows = visitRowsOf(state);
  if (before && isDeepStrictEqual(visitRowsOf(before), rows)) return;
  const visits = manager.getRepository(visitEntity);
  await visits.delete({ case: state.case });
  if (rows.length > 0) await visits.insert(rows);
}

/** A case that is opened for somebody keeps the visit they were expected to without one. */
export async function keepVisitsWithout(
  manager: EntityManager,
  people: readonly Person[],
  day: string,
): Promise<void> {
  await manager.getRepository(visitEntity).update(
    {
      person: In(people.map(({ id }) => id)),
      case: IsNull(),
      state: 'planned',
      day: LessThanOrEqual(day),
    },
    { state: 'kept' },
  );
}
