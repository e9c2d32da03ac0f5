import { faultAt, type EntryFault } from '@estribo/core/faults';
import { randomBytes } from 'node:crypto';
import { isDeepStrictEqual } from 'node:util';
import { may } from '@estribo/core/access';
import { dayOf, readInstant } from '@estribo/core/calendar';
import {
  chainHash,
  chainStart,
  current,
  dayFaults,
  foreignFaults,
  intentFaults,
  intentInForce,
  isKind,
  judgeDecision,
  kinds,
  kindSent,
  ofTodaysKind,
  readEntry,
  roleFaults,
  saltedHash,
  takenOver,
  type AnyEntry,
  type AnyRecordedEntry,
  type CaseState,
} from '@estribo/core/logbook';
import {
  canonicalText,
  currentModel,
  currentProgramme,
  modelProblems,
  stepsOf,
  type BraceModel,
  type Pin,
  type Programme,
} from '@estribo/core/programmes';
import { regions, pairedSides } from '@estribo/core/anatomy';
import { isReading, ownRepeatability, pairsNeeded, protocolOf } from '@estribo/core/measuring';
import { withheldFaults } from '@estribo/core/findings';
import type { EntityManager } from 'typeorm';
import { fitsFamily, registered } from '../catalogue/registry';
import {
  caseEntity,
  entryEntity,
  personEntity,
  userEntity,
  type CaseRow,
  type EntryRow,
  type Person,
} from '../database/entities';
import { inTransaction } from '../database/transaction';
import { faulty, Problem } from '../problem';
import type { Context, SignedIn } from '../route';
import { personNow, sameAs } from '../people/merging';
import { clinicalNote } from '../visits/visit-routes';
import { keepVisitsWithout, writeVisits } from '../visits/visit-rows';
import { caseMac, entryMac } from '../sealing/seal-key';
import { acknowledge, checkStanding } from './standing';
import { foldOf, keepSnapshot, recordedEntry, snapshotOf, type Snapshot } from './record';
import { pairsUnder, writePairs, writeSummary } from './summary';
import { inTurn } from './turn';

/** An entry may be ahead of this machine's clock by so much: clocks differ by minutes. */
const aheadAtMost = 5 * 60_000;

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
  // stored and hashed as it was sent; held against the case as what it is today
  const content = canonicalText(read.entry);
  const entry = ofTodaysKind(read.entry);
  // an entry of a former kind that was repaired stands as it reads today
  const isThis = (stored: string | null) => stored === content || stored === canonicalText(entry);
  if (entry.case !== caseId) throw faulty(faultAt('case', 'other-address'));
  if (entry.by !== user.id) throw new Problem('not-your-entry');
  return inTurn(caseId, async () => {
    const done = await inTransaction(context.db, async (manager) => {
      const before = await manager.getRepository(entryEntity).findOneBy({ id: entry.id });
      if (before) {
        if (!isThis(before.content)) throw new Problem('id-taken');
        return { entry: recordedEntry(before)!, fresh: false as const };
      }
      const row = await lockedCase(manager, entry);
      await checkStanding(manager, context.sealing.mac, row);
      return {
        ...(await take(context, manager, user, row, entry, { sent: read.entry, content })),
        fresh: true as const,
      };
    });
    if (done.fresh) {
      keepSnapshot(caseId, done.snapshot);
      acknowledge(caseId, done.entry.seq, done.snapshot.head);
    }
    return { entry: done.entry, fresh: done.fresh };
  });
}

/** Whether a pin says of the content under its hash what it is. */
const isPinOf = (pin: Pin, content: { id: string; version: number }): boolean =>
  pin.id === content.id && pin.version === content.version;

/** The case's row, locked; a case that is being opened gets its row now. */
async function lockedCase(manager: EntityManager, entry: AnyEntry): Promise<CaseRow> {
  const rows = manager.getRepository(caseEntity);
  const found = await rows.findOne({ where: { id: entry.case }, lock: { mode: 'pessimistic_write' } });
  if (found) return found;
  if (entry.kind !== 'case.opened') throw new Problem('no-case');
  const { person, programme, model } = entry.body;
  const [known, programmeContent, modelContent] = await Promise.all([
    manager.getRepository(personEntity).findOneBy({ id: person }),
    registered(manager, 'programme', programme.hash),
    registered(manager, 'model', model.hash),
  ]);
  if (!known) throw faulty(faultAt('body.person', 'no-person'));
  if (!programmeContent || !isPinOf(programme, programmeContent as Programme))
    throw faulty(faultAt('body.programme.hash', 'no-programme-here'));
  if (
    !modelContent ||
    !isPinOf(model, modelContent as BraceModel) ||
    !fitsFamily(modelContent as BraceModel, programmeContent as Programme)
  )
    throw faulty(faultAt('body.model.hash', 'no-model-here'));
  const { region } = programmeContent as Programme;
  const worn: readonly string[] = regions[region] === 'pair' ? pairedSides : ['midline'];
  if (!worn.includes(entry.body.side))
    throw faulty(faultAt('body.side', 'side-of-family', { words: worn.join(', ') }));
  const row: CaseRow = {
    id: entry.case,
    person,
    programmeHash: programme.hash,
    modelHash: model.hash,
    seq: 0,
    head: chainStart,
    mac: '',
    unsealed: true,
  };
  await rows.insert(row);
  return row;
}

async function take(
  { clinic, now, sealing }: Context,
  manager: EntityManager,
  user: SignedIn,
  row: CaseRow,
  entry: AnyEntry,
  { sent, content }: { sent: AnyEntry; content: string },
): Promise<{ entry: AnyRecordedEntry; snapshot: Snapshot }> {
  const { entries, state } = await snapshotOf(manager, row, clinic.zone);
  const found = entries.find(({ id }) => id === entry.replaces);
  const replaced = found && ofTodaysKind(found);
  checkRole(user, entry, replaced);
  checkReplaced(entry, replaced);
  if (entry.kind === 'case.opened' && entries.length > 0) throw new Problem('already-open');
  const person = await personNow(manager, row.person);
  const receivedAt = now();
  checkTime(entry, person, receivedAt, clinic.zone);
  checkNote(user, entry);
  throwIfAny(dayFaults(entry, { born: person.born, zone: clinic.zone, replaced }));
  await checkTakenOver(manager, row, person, entry, state, clinic.zone);
  await checkKeeper(manager, entry);
  await checkPrecision(manager, entry, state);
  const held = await heldAfter(manager, row, entry, state);
  const day = dayOf(entry.observedAt, clinic.zone);
  const otherwise = state && checkAgainstCase(state, entry, replaced, day, user.role);

  const salt = randomBytes(32).toString('hex');
  const salted = saltedHash(sent, salt);
  const seq = row.seq + 1;
  const head = chainHash(row.head, salted);
  const written: Omit<EntryRow, 'mac'> = {
    case: row.id,
    seq,
    id: entry.id,
    content,
    salt,
    salted,
    hash: head,
    receivedAt,
    otherwise: otherwise === undefined ? null : canonicalText(otherwise),
  };
  await manager.getRepository(entryEntity).insert({ ...written, mac: entryMac(sealing.mac, written) });
  const next = { ...held, seq, head };
  const moved = { ...next, unsealed: true, mac: caseMac(sealing.mac, { ...row, ...next }) };
  await manager.getRepository(caseEntity).update({ id: row.id }, moved);
  const recorded = recordedEntry(written)!;
  const all = [...entries, recorded];
  const after = await foldOf(manager, { ...row, ...held }, all, clinic.zone);
  if (!after) throw faulty(faultAt('kind', 'not-opened'));
  await writeSummary(manager, state, after, person);
  await writePairs(manager, state, after);
  await writeVisits(manager, state, after);
  if (!state) await keepVisitsWithout(manager, await sameAs(manager, person), after.opened);
  return { entry: recorded, snapshot: { head, entries: all, state: after } };
}

/**
 * The content a case holds on to after an entry: what it held before, or other versions of the same programme and the same
 * model, when it is moved to them.
 * @throws Problem 422 when they are not registered, are others, or are what the case has already
 */
async function heldAfter(
  manager: EntityManager,
  { programmeHash, modelHash }: CaseRow,
  entry: AnyEntry,
  state: CaseState | undefined,
): Promise<Pick<CaseRow, 'programmeHash' | 'modelHash'>> {
  if (entry.kind !== 'case.moved' || !state) return { programmeHash, modelHash };
  const { programme, model } = entry.body;
  const [toProgramme, toModel] = await Promise.all([
    registered<Programme>(manager, 'programme', programme.hash),
    registered<BraceModel>(manager, 'model', model.hash),
  ]);
  if (!toProgramme || !isPinOf(programme, toProgramme) || programme.id !== state.programmePin.id)
    throw faulty(faultAt('body.programme', 'no-version-of-programme'));
  if (!toModel || !isPinOf(model, toModel) || model.id !== state.modelPin.id)
    throw faulty(faultAt('body.model', 'no-version-of-model'));
  const problems = modelProblems(currentModel(toModel), currentProgramme(toProgramme));
  if (problems.length > 0)
    throw faulty(faultAt('body.model', 'leaves-out-asked', { problem: problems[0]!.problem }));
  if (programme.hash === programmeHash && model.hash === modelHash)
    throw faulty(faultAt('body', 'held-already'));
  return { programmeHash: programme.hash, modelHash: model.hash };
}

/**
 * What is taken over of another case must be of the same person, stand there, and be what this brace asks for.
 * @throws Problem 422
 */
async function checkTakenOver(
  manager: EntityManager,
  row: CaseRow,
  person: Person,
  { from, kind, body, observedAt }: AnyEntry,
  state: CaseState | undefined,
  zone: string,
): Promise<void> {
  if (!from) return;
  const there = await manager.getRepository(caseEntity).findOneBy({ id: from.case });
  const isSamePerson =
    there !== null && there.id !== row.id && (await personNow(manager, there.person)).id === person.id;
  if (!isSamePerson) throw faulty(faultAt('from.case', 'no-other-case'));
  const isHere = state?.lines.some(
    (line) => line.status !== 'withdrawn' && line.entry.from?.entry === from.entry,
  );
  if (isHere) throw faulty(faultAt('from.entry', 'taken-over-before'));
  const source = (await snapshotOf(manager, there, zone)).state;
  const found =
    source && state
      ? takenOver(source, state, dayOf(observedAt, zone), zone).find((one) => one.from.entry === from.entry)
      : undefined;
  if (
    !found ||
    found.kind !== kind ||
    found.observedAt !== observedAt ||
    !isDeepStrictEqual(found.body, body)
  )
    throw faulty(faultAt('from.entry', 'not-taken-over-so'));
}

/**
 * The clinic's own precision is what its pairs of readings give, here and now: what a browser says of it is not believed.
 * @throws Problem 422
 */
async function checkPrecision(
  manager: EntityManager,
  { kind, body }: AnyEntry,
  state: CaseState | undefined,
): Promise<void> {
  if (kind !== 'measure.precision' || !state) return;
  const step = stepsOf(state.programme, state.model).find(({ id }) => id === body.step);
  // a step that this brace does not have is told as such
  if (!step || !isReading(step)) return;
  const own = ownRepeatability(await pairsUnder(manager, protocolOf(step)));
  if (!own) throw faulty(faultAt('body.pairs', 'pairs-too-few', { n: pairsNeeded }));
  const isSame = own.pairs === body.pairs && Math.abs(own.withinPerson - body.withinPerson) < 1e-6;
  if (!isSame)
    throw faulty(
      faultAt('body.withinPerson', 'pairs-give-other', {
        deviation: own.withinPerson.toFixed(2),
        pairs: own.pairs,
      }),
    );
}

/** @throws Problem 422 when a case is handed to somebody who cannot take it in hand */
async function checkKeeper(manager: EntityManager, { kind, body }: AnyEntry): Promise<void> {
  if (kind !== 'case.handed-over') return;
  const to = await manager.getRepository(userEntity).findOneBy({ id: body.to, active: true });
  if (!to || !may(to.role, 'cases.write')) throw faulty(faultAt('body.to', 'nobody-for-a-case'));
}

const throwIfAny = (faults: EntryFault[]): void => {
  if (faults.length > 0) throw faulty(faults);
};

/** @throws Problem 422 for a clinical note by somebody who could not see the one it would hide */
function checkNote(user: SignedIn, { kind, body }: AnyEntry): void {
  if (kind === 'visit.planned' && body.note !== undefined && !may(user.role, 'record.read'))
    throw faulty([{ ...clinicalNote, at: `body.${clinicalNote.at}` }]);
}

/** When it was observed can be: not before the person was born, not ahead of the clock by more than minutes. */
function checkTime(entry: AnyEntry, { born }: Person, receivedAt: Date, zone: string): void {
  if (readInstant(entry.observedAt)! > receivedAt.getTime() + aheadAtMost)
    throw faulty(faultAt('observedAt', 'clock-ahead'));
  if (dayOf(entry.observedAt, zone) < born) throw faulty(faultAt('observedAt', 'before-born', { born }));
}

/**
 * Whether an entry can stand in this case.
 * @returns for a decision that comes out otherwise from the entries here: what is computed
 * @throws Problem 409 or 422
 */
function checkAgainstCase(
  state: CaseState,
  entry: AnyEntry,
  replaced: AnyRecordedEntry | undefined,
  day: string,
  role: SignedIn['role'],
): object | null | undefined {
  const foreign = [
    ...foreignFaults(state, entry),
    ...roleFaults(state, entry, role),
    // who may not write it takes as little out of what another wrote
    ...(replaced && replaced.by !== entry.by && isKind(replaced.kind)
      ? roleFaults(state, current(replaced, state.programme), role)
      : []),
  ];
  throwIfAny(foreign);
  checkIntent(state, entry);
  const judged = judgeDecision(state, entry, day);
  if (judged.outcome === 'refused') throw faulty(judged.faults);
  throwIfAny(withheldFaults(state, entry, day));
  return judged.outcome === 'otherwise' ? judged.computed : undefined;
}

/**
 * A withdrawal needs the permission of the kind that it withdraws, a correction that of both.
 */
function checkRole(user: SignedIn, entry: AnyEntry, replaced: AnyRecordedEntry | undefined): void {
  const refuse = () => new Problem('role-may-not-write', { role: user.role, kind: entry.kind });
  // what cannot be read even by its kind is taken out by whoever may decide
  const written = replaced?.kind ?? entry.kind;
  const permission = kindSent(written)?.permission ?? 'screening.override';
  if (!may(user.role, permission)) throw refuse();
  if (entry.kind !== 'record.withdrawn' && !may(user.role, kinds[entry.kind].permission)) throw refuse();
}

function checkReplaced(entry: AnyEntry, replaced: AnyRecordedEntry | undefined): void {
  if (entry.replaces === undefined) return;
  if (!replaced) throw faulty(faultAt('replaces', 'no-such-entry'));
  if (['record.withdrawn', 'case.opened', 'case.moved'].includes(replaced.kind))
    throw faulty(faultAt('replaces', 'entry-stays', { kind: replaced.kind }));
  if (entry.kind !== 'record.withdrawn' && entry.kind !== replaced.kind)
    throw faulty(faultAt('replaces', 'entry-of-other-kind', { kind: replaced.kind }));
}

function checkIntent(state: CaseState, entry: AnyEntry): void {
  if (kinds[entry.kind].nature === 'intent') {
    const inForce = intentInForce(state, entry.kind, entry.body);
    if (entry.expects !== inForce)
      throw new Problem(
        'another-meanwhile',
        {},
        {
          inForce: state.lines.find((line) => line.entry.id === inForce)?.entry ?? null,
          yours: entry,
        },
      );
  }
  throwIfAny(intentFaults(state, entry));
}
