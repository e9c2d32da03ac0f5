import type { SignedIn } from '@estribo/core/answers';
import type { VisitPurpose } from '@estribo/core/logbook';
import { v7 } from 'uuid';
import { outbox } from '../api/clinic';
import { newEntry } from '../api/new-entry';

/** A visit as it stands: of a case, an entry of its record; of somebody who has none yet, on its own. */
export interface StandingVisit {
  id: string;
  person: string;
  case: string | null;
  day: string;
  time: string | null;
  purpose: VisitPurpose;
}

/** The notes of a visit, as far as they are seen by whoever looks. */
export interface VisitNotes {
  note: string | null;
  deskNote?: string | null | undefined;
}

/** A visit as it shall be. */
export interface WantedVisit {
  day: string;
  time: string | null;
  purpose: VisitPurpose;
  /** for those who read the record; undefined: it stays as it was */
  note?: string | undefined;
  /** for everybody who sees visits; undefined: it stays as it was */
  deskNote?: string | undefined;
}

interface At {
  user: SignedIn;
  zone: string;
}

const entryBody = ({ day, time, purpose, note, deskNote }: WantedVisit) => ({
  day,
  ...(time === null ? {} : { time }),
  purpose,
  ...(note === undefined ? {} : { note }),
  ...(deskNote === undefined ? {} : { deskNote }),
});

const putVisit = (
  { user }: At,
  id: string,
  { person, day, time, purpose, note, deskNote, state }: WantedVisit & { person: string; state: string },
): Promise<void> =>
  outbox.post({
    user: user.id,
    userName: user.name,
    method: 'PUT',
    path: `/visits/${id}`,
    body: { person, day, time, purpose, note: note ?? null, deskNote: deskNote ?? null, state },
    caseId: '',
  });

/** Plans a visit of a case, or of somebody who has none yet. */
export async function planVisit(
  at: At,
  { person, caseId }: { person: string; caseId: string | undefined },
  wanted: WantedVisit,
): Promise<void> {
  if (caseId === undefined) return putVisit(at, v7(), { ...wanted, person, state: 'planned' });
  const where = { case: caseId, stage: 'case', zone: at.zone, by: at.user.id } as const;
  return outbox.postEntry(newEntry('visit.planned', where, entryBody(wanted)), at.user);
}

/**
 * Puts another day, time or purpose in a visit's place.
 * @param reason why, as the record keeps it
 */
export async function moveVisit(
  at: At,
  visit: StandingVisit,
  wanted: WantedVisit,
  reason: string,
): Promise<void> {
  if (visit.case === null)
    return putVisit(at, visit.id, { ...wanted, person: visit.person, state: 'planned' });
  const where = { case: visit.case, stage: 'case', zone: at.zone, by: at.user.id } as const;
  const links = { replaces: visit.id, reason };
  return outbox.postEntry(newEntry('visit.planned', where, entryBody(wanted), links), at.user);
}

/** A visit without its notes: they stay as they were. */
const asItStands = ({ person, day, time, purpose }: StandingVisit) => ({ person, day, time, purpose });

/** Calls a visit off; it stays in the record, struck through, with the reason. */
export async function callOffVisit(at: At, visit: StandingVisit, reason: string): Promise<void> {
  if (visit.case === null) return putVisit(at, visit.id, { ...asItStands(visit), state: 'cancelled' });
  const where = { case: visit.case, stage: 'case', zone: at.zone, by: at.user.id } as const;
  return outbox.postEntry(newEntry('record.withdrawn', where, {}, { replaces: visit.id, reason }), at.user);
}

/** Somebody without a case came, and nothing was opened for them. */
export const noteCame = (at: At, visit: StandingVisit): Promise<void> =>
  putVisit(at, visit.id, { ...asItStands(visit), state: 'kept' });
