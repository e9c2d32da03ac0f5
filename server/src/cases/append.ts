import { randomBytes } from 'node:crypto';
import { may } from '@estribo/core/access';
import {
  chainHash,
  chainStart,
  intentFaults,
  intentInForce,
  kinds,
  readEntry,
  saltedHash,
  type AnyEntry,
  type AnyRecordedEntry,
  type CaseState,
} from '@estribo/core/logbook';
import { canonicalText, type BraceModel, type Programme } from '@estribo/core/programmes';
import { QueryFailedError, type EntityManager } from 'typeorm';
import { fitsFamily, registered } from '../catalogue/registry';
import { caseEntity, entryEntity, personEntity, type CaseRow } from '../database/entities';
import { faulty, notFound, Problem } from '../problem';
import type { Context, SignedIn } from '../route';
import { foldOf, keepSnapshot, recordedEntry, snapshotOf, type Snapshot } from './record';
import { writePairs, writeSummary } from './summary';

export interface Appended {
  entry: AnyRecordedEntry;
  /** false when the entry had been taken before and is only answered again */
  fresh: boolean;
}

/**
 * Takes an entry into a case: the one way anything is written. The case's row is locked, the entry gets the
 * next seq, is chained to the one before, and the summary is written in the same transaction.
 * @param sent what the client sent
 * @throws Problem 403, 404, 409 or 422; nothing is stored then
 */
export async function appendEntry(
  context: Context,
  user: SignedIn,
  caseId: string,
  sent: unknown,
): Promise<Appended> {
  const read = readEntry(sent);
  if (!read.ok) throw faulty(read.faults);
  const { entry } = read;
  if (entry.case !== caseId) throw faulty([{ at: 'case', message: 'is not the case of this address' }]);
  if (entry.by !== user.id)
    throw new Problem(403, 'Not allowed', 'An entry is written by the one who signs in for it.');
  const content = canonicalText(entry);

  for (let attempt = 1; ; attempt += 1) {
    try {
      const done = await context.db.transaction(async (manager) => {
        const row = await lockedCase(manager, entry);
        const before = await manager.getRepository(entryEntity).findOneBy({ id: entry.id });
        if (before) {
          if (before.content !== content)
            throw new Problem(422, 'Another entry has this id', 'Make a new id for a new entry.');
          return { entry: recordedEntry(before)!, fresh: false as const };
        }
        return { ...(await take(context, manager, user, row, entry, content)), fresh: true as const };
      });
      if (done.fresh) keepSnapshot(caseId, done.snapshot);
      return { entry: done.entry, fresh: done.fresh };
    } catch (error) {
      // another transaction was first: look again at what it left
      if (!(error instanceof QueryFailedError) || attempt >= 5) throw error;
      const { code } = error.driverError as { code?: string };
      if (code !== 'ER_LOCK_DEADLOCK' && code !== 'ER_DUP_ENTRY') throw error;
    }
  }
}

/** The case's row, locked; a case that is being opened gets its row now. */
async function lockedCase(manager: EntityManager, entry: AnyEntry): Promise<CaseRow> {
  const rows = manager.getRepository(caseEntity);
  const found = await rows.findOne({ where: { id: entry.case }, lock: { mode: 'pessimistic_write' } });
  if (found) return found;
  if (entry.kind !== 'case.opened') throw notFound('case');
  const { person, programme, model } = entry.body;
  const [known, programmeContent, modelContent] = await Promise.all([
    manager.getRepository(personEntity).findOneBy({ id: person }),
    registered(manager, 'programme', programme.hash),
    registered(manager, 'model', model.hash),
  ]);
  if (!known) throw faulty([{ at: 'body.person', message: 'is no person of this clinic' }]);
  if (!programmeContent) throw faulty([{ at: 'body.programme.hash', message: 'is not registered' }]);
  if (!modelContent || !fitsFamily(modelContent as BraceModel, programmeContent as Programme))
    throw faulty([{ at: 'body.model.hash', message: 'is no registered model of this family' }]);
  const row: CaseRow = {
    id: entry.case,
    person,
    programmeHash: programme.hash,
    modelHash: model.hash,
    seq: 0,
    head: chainStart,
  };
  await rows.insert(row);
  return row;
}

async function take(
  { clinic, now }: Context,
  manager: EntityManager,
  user: SignedIn,
  row: CaseRow,
  entry: AnyEntry,
  content: string,
): Promise<{ entry: AnyRecordedEntry; snapshot: Snapshot }> {
  const { entries, state } = await snapshotOf(manager, row, clinic.zone);
  const replaced = entries.find(({ id }) => id === entry.replaces);
  checkRole(user, entry, replaced);
  checkReplaced(entry, replaced);
  if (entry.kind === 'case.opened' && entries.length > 0)
    throw new Problem(409, 'Already open', 'This case was opened before.');
  if (state) checkIntent(state, entry);

  const receivedAt = now();
  const recorded = { ...entry, seq: row.seq + 1, receivedAt: receivedAt.toISOString() } as AnyRecordedEntry;
  const salt = randomBytes(32).toString('hex');
  const salted = saltedHash(entry, salt);
  const head = chainHash(row.head, salted);
  await manager
    .getRepository(entryEntity)
    .insert({ case: row.id, seq: recorded.seq, id: entry.id, content, salt, salted, hash: head, receivedAt });
  await manager.getRepository(caseEntity).update({ id: row.id }, { seq: recorded.seq, head });
  const all = [...entries, recorded];
  const after = await foldOf(manager, row, all, clinic.zone);
  if (!after) throw faulty([{ at: 'kind', message: 'must be case.opened first' }]);
  await writeSummary(manager, after);
  await writePairs(manager, state, after);
  return { entry: recorded, snapshot: { head, entries: all, state: after } };
}

/** A withdrawal needs the permission of what it withdraws. */
function checkRole(user: SignedIn, entry: AnyEntry, replaced: AnyRecordedEntry | undefined): void {
  const { permission } = kinds[replaced?.kind ?? entry.kind];
  if (!may(user.role, permission) || !may(user.role, kinds[entry.kind].permission))
    throw new Problem(403, 'Not allowed', `The role ${user.role} may not write ${entry.kind}.`);
}

function checkReplaced(entry: AnyEntry, replaced: AnyRecordedEntry | undefined): void {
  if (entry.replaces === undefined) return;
  if (!replaced) throw faulty([{ at: 'replaces', message: 'names no entry of this case' }]);
  if (replaced.kind === 'record.withdrawn' || replaced.kind === 'case.opened')
    throw faulty([{ at: 'replaces', message: `names an entry that stays as it is (${replaced.kind})` }]);
  if (entry.kind !== 'record.withdrawn' && entry.kind !== replaced.kind)
    throw faulty([{ at: 'replaces', message: `names an entry of another kind (${replaced.kind})` }]);
}

function checkIntent(state: CaseState, entry: AnyEntry): void {
  if (kinds[entry.kind].nature === 'intent') {
    const inForce = intentInForce(state, entry.kind);
    if (entry.expects !== inForce)
      throw new Problem(
        409,
        'No longer current',
        'Another one was written meanwhile. Look at both, then send yours again.',
        {
          inForce: state.lines.find((line) => line.entry.id === inForce)?.entry ?? null,
          yours: entry,
        },
      );
  }
  const faults = intentFaults(state, entry);
  if (faults.length > 0) throw faulty(faults);
}
