import { fault, faultAt } from '@estribo/core/faults';
import { may, roles } from '@estribo/core/access';
import { addDays, clinicDay, dayOf } from '@estribo/core/calendar';
import { clock, visitFaults, visitPurposes, type VisitPurpose } from '@estribo/core/logbook';
import { anyId } from '@estribo/core/record';
import { Between, In, Not } from 'typeorm';
import { mixed, object, string } from 'yup';
import { audit, changes } from '../audit/audit';
import {
  caseEntity,
  personEntity,
  summaryEntity,
  userEntity,
  visitEntity,
  visitStates,
  type VisitRow,
  type VisitState,
} from '../database/entities';
import { inTransaction } from '../database/transaction';
import { peopleNow, personNow, sameAs } from '../people/merging';
import { faulty, Problem } from '../problem';
import { madeId, textOf, wholeOf, type Context, type Route, type SignedIn } from '../route';
import { dayField, valid } from '../valid';

const visit = object({
  person: anyId().required(),
  day: dayField,
  time: clock().nullable().defined(),
  purpose: mixed<VisitPurpose>().oneOf(visitPurposes).required(),
  note: string().strict().trim().max(400).nullable().defined(),
  /** absent in what waited in an older browser */
  deskNote: string().strict().trim().max(400).nullable(),
  state: mixed<VisitState>().oneOf(visitStates).required(),
})
  .strict()
  .noUnknown()
  .required();

const pageLength = 200;
/** So many days are looked at in one go. */
const mostDays = 62;

/** Ids of those who may not read the record: what they wrote of a visit they may read again. */
export async function unreadingStaff({ db }: Pick<Context, 'db'>): Promise<ReadonlySet<string>> {
  const found = await db.getRepository(userEntity).find({
    where: { role: In(roles.filter((role) => !may(role, 'record.read'))) },
    select: { id: true },
  });
  return new Set(found.map(({ id }) => id));
}

/** Who cannot see the clinical note writes none over it. */
export const clinicalNote = fault('note', 'clinical-note');

const pickSent = ({ person, day, time, purpose, note, deskNote, state }: VisitRow) => ({
  person,
  day,
  time,
  purpose,
  note,
  deskNote,
  state,
});

/** A note after something was sent of it: null leaves it as it was, an empty one takes it away. */
const noteAfter = (was: string | null | undefined, sent: string | null | undefined): string | null =>
  sent === null || sent === undefined ? (was ?? null) : sent === '' ? null : sent;

/** Who wrote a note as it is now. */
const writerAfter = (
  note: string | null,
  was: string | null | undefined,
  by: string | null | undefined,
  user: string,
): string | null => (note === null ? null : note === was ? (by ?? null) : user);

export function visitRoutes(context: Context): Route[] {
  const { db, now, clinic } = context;
  const today = () => dayOf(now().toISOString(), clinic.zone);

  /** Visits with whom they are of, as lists show them. */
  const listed = async (rows: readonly VisitRow[], user: SignedIn) => {
    const [people, summaries, unread] = await Promise.all([
      peopleNow(
        db.manager,
        rows.map(({ person }) => person),
      ),
      db.getRepository(summaryEntity).find({
        where: { case: In(rows.flatMap((row) => row.case ?? [])) },
        select: { case: true, side: true, region: true, modelName: true, keeper: true, stage: true },
      }),
      may(user.role, 'record.read') ? new Set<string>() : unreadingStaff(context),
    ]);
    const reads = may(user.role, 'record.read');
    return rows.map(({ noteBy, note, deskNoteBy: _by, ...row }) => {
      const person = people.get(row.person)!;
      const of = summaries.find((one) => one.case === row.case);
      return {
        ...row,
        person: person.id,
        personName: person.givenFirst,
        born: person.born,
        number: person.number,
        note: reads || (noteBy !== null && unread.has(noteBy)) ? note : null,
        side: of?.side ?? null,
        region: of?.region ?? null,
        modelName: of?.modelName ?? null,
        keeper: of?.keeper ?? null,
        stage: reads ? (of?.stage ?? null) : null,
      };
    });
  };

  return [
    {
      method: 'get',
      path: '/visits',
      who: 'bench.read',
      handle: async (req, res, user) => {
        const skip = wholeOf(req.query.skip, 'skip', { least: 0, most: 1_000_000, otherwise: 0 });
        const from = textOf(req.query.from, 'from', 10) || today();
        const until = textOf(req.query.until, 'until', 10) || from;
        if (clinicDay(from) !== from || clinicDay(until) !== until || until < from)
          throw new Problem('not-days');
        if (until > addDays(from, mostDays)) throw new Problem('too-many-days', { most: mostDays });
        const rows = await db.getRepository(visitEntity).find({
          where: { day: Between(from, until), state: Not('cancelled') },
          order: { day: 'ASC', time: 'ASC', id: 'ASC' },
          skip,
          take: pageLength + 1,
        });
        res.json({
          today: today(),
          visits: await listed(rows.slice(0, pageLength), user),
          more: rows.length > pageLength,
        });
      },
    },
    {
      method: 'get',
      path: '/people/:id/visits',
      who: 'people.read',
      handle: async (req, res, user) => {
        const all = await sameAs(db.manager, await personNow(db.manager, String(req.params.id)));
        const rows = await db.getRepository(visitEntity).find({
          where: { person: In(all.map(({ id }) => id)) },
          order: { day: 'DESC', time: 'DESC', id: 'ASC' },
          take: pageLength,
        });
        res.json({ today: today(), visits: await listed(rows, user), more: false });
      },
    },
    {
      // of somebody who has no case yet, or none that it is about; those of a case are entries of its record
      method: 'put',
      path: '/visits/:id',
      who: 'visits.write',
      handle: async (req, res, user) => {
        const id = madeId(req);
        const body = valid(visit, req.body);
        const reads = may(user.role, 'record.read');
        // what waited in an older browser of the front desk has one note, which is its own
        const sent =
          reads || body.deskNote !== undefined ? body : { ...body, note: null, deskNote: body.note };
        if (!reads && sent.note !== null) throw faulty([clinicalNote]);
        const row = await inTransaction(db, async (manager) => {
          const rows = manager.getRepository(visitEntity);
          const before = await rows.findOne({ where: { id }, lock: { mode: 'pessimistic_write' } });
          if (before?.case) throw new Problem('visit-of-case');
          if (!before) {
            if (!(await manager.getRepository(personEntity).existsBy({ id: sent.person })))
              throw faulty(faultAt('person', 'no-person'));
          } else if (
            before.person !== sent.person &&
            (await personNow(manager, before.person)).id !== sent.person
          )
            throw faulty(faultAt('person', 'other-person'));
          const { zone } = clinic;
          const faults = visitFaults(sent, { today: today(), zone, was: before?.day });
          if (faults.length > 0) throw faulty(faults);
          const next = {
            ...sent,
            person: before?.person ?? sent.person,
            note: noteAfter(before?.note, sent.note),
            deskNote: noteAfter(before?.deskNote, sent.deskNote),
          };
          const changed = changes(before && pickSent(before), next);
          if (before && Object.keys(changed.now).length === 0) return before;
          const written: VisitRow = {
            id,
            case: null,
            ...next,
            noteBy: writerAfter(next.note, before?.note, before?.noteBy, user.id),
            deskNoteBy: writerAfter(next.deskNote, before?.deskNote, before?.deskNoteBy, user.id),
            by: user.id,
          };
          if (before) await rows.update({ id }, written);
          else await rows.insert(written);
          await audit(manager, {
            at: now(),
            user: user.id,
            action: before ? 'visit.changed' : 'visit.planned',
            subject: id,
            detail: changed,
          });
          return written;
        });
        res.json((await listed([row], user))[0]);
      },
    },
    {
      // the cases of a person: one click from each other
      method: 'get',
      path: '/people/:id/cases',
      who: 'people.read',
      handle: async (req, res, user) => {
        const all = await sameAs(db.manager, await personNow(db.manager, String(req.params.id)));
        const cases = await db.getRepository(caseEntity).find({
          where: { person: In(all.map(({ id }) => id)) },
          select: { id: true },
          take: pageLength,
        });
        const found = await db.getRepository(summaryEntity).find({
          where: { case: In(cases.map(({ id }) => id)) },
          order: { lastDay: 'DESC', case: 'ASC' },
        });
        const reads = may(user.role, 'record.read');
        res.json({
          cases: found.map(
            ({ case: id, side, region, modelName, modelId, programme, stage, closed, lastDay, size }) => ({
              case: id,
              side,
              region,
              modelName,
              modelId,
              programme,
              stage: reads ? stage : null,
              size: reads ? size : null,
              closed: closed !== null,
              lastDay: reads ? lastDay : null,
            }),
          ),
        });
      },
    },
  ];
}
