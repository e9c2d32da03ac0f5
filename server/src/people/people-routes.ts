import { faultAt } from '@estribo/core/faults';
import { addDays, dayOf } from '@estribo/core/calendar';
import { likeness, turnedDay, wordsOf, type NamedPerson } from '@estribo/core/people';
import { anyId } from '@estribo/core/record';
import { In, type EntityManager } from 'typeorm';
import { array, object } from 'yup';
import { snapshotOf } from '../cases/record';
import { writeSummary } from '../cases/summary';
import { audit, changes } from '../audit/audit';
import { auditReads } from '../audit/reads';
import {
  auditEntity,
  caseEntity,
  clinicEntity,
  personEntity,
  personWordEntity,
  summaryEntity,
  userEntity,
  type Person,
} from '../database/entities';
import { inTransaction } from '../database/transaction';
import { faulty, Problem } from '../problem';
import { madeId, textOf, wholeOf, type Context, type Route } from '../route';
import { dayField, nameField, valid } from '../valid';
import { personNow, sameAs, themselves } from './merging';
import { withWords, writePersonWords } from './search-words';

const named = {
  givenName: nameField(80),
  familyName: nameField(80),
  born: dayField,
};
const uuids = () => array().of(anyId().required()).max(50).strict();
const person = object({
  ...named,
  /** people that were looked at and are others; null: nobody could be asked, the server was away */
  apart: uuids().nullable(),
  /** what stood there when it was begun to be changed */
  was: object(named).strict().noUnknown().default(undefined).optional(),
})
  .strict()
  .noUnknown()
  .required();

const merging = object({ into: anyId().required() }).strict().noUnknown().required();

const pickName = ({ givenName, familyName, born }: NamedPerson) => ({ givenName, familyName, born });
const pageLength = 50;

/** Nobody is older. */
const mostYears = 120;

/** A merge is undone within this. */
const undoneWithin = 24 * 3600_000;

export function peopleRoutes({ db, clinic, now }: Context): Route[] {
  const read = auditReads({ db, now });
  const people = () => db.getRepository(personEntity);

  /** A person as lists show them: with every number they are known by. */
  const listed = async (manager: EntityManager, rows: readonly Person[]) => {
    const merged = await manager
      .getRepository(personEntity)
      .findBy({ mergedInto: In(rows.map(({ id }) => id)) });
    return rows.map(({ id, givenName, familyName, born, number }) => ({
      id,
      givenName,
      familyName,
      born,
      numbers: [
        number,
        ...merged.filter(({ mergedInto }) => mergedInto === id).map((one) => one.number),
      ].sort((a, b) => a - b),
    }));
  };

  /** Who may be the same as somebody: those with a near name or a near day of birth, held against each other. */
  const doublesOf = async (manager: EntityManager, one: NamedPerson, but: string): Promise<Person[]> => {
    const words = wordsOf(`${one.givenName} ${one.familyName}`);
    const turned = turnedDay(one.born);
    const namesakes = await manager
      .getRepository(personWordEntity)
      .createQueryBuilder('w')
      .select('w.person', 'person')
      .where('w.word IN (:...words)', { words: words.length > 0 ? words : [''] })
      .groupBy('w.person')
      .having('COUNT(*) >= :least', { least: Math.min(2, words.length) })
      .orderBy('COUNT(*)', 'DESC')
      .limit(300)
      .getRawMany<{ person: string }>();
    const near = await manager.getRepository(personEntity).find({
      where: [
        { born: In([one.born, ...(turned ? [turned] : [])]), ...themselves },
        { id: In(namesakes.map((row) => row.person)), ...themselves },
      ],
      order: { number: 'ASC' },
      take: 1000,
    });
    return near.filter((other) => other.id !== but && likeness(one, other) !== undefined).slice(0, 20);
  };

  const checkBorn = (born: string) => {
    const today = dayOf(now().toISOString(), clinic.zone);
    if (born > today) throw faulty(faultAt('born', 'future'));
    if (born < addDays(today, -Math.round(mostYears * 365.25)))
      throw faulty(faultAt('born', 'years-back', { n: mostYears }));
  };

  return [
    {
      method: 'get',
      path: '/people',
      who: 'people.read',
      handle: async (req, res, user) => {
        const find = textOf(req.query.find, 'find', 160);
        const skip = wholeOf(req.query.skip, 'skip', { least: 0, most: 1_000_000, otherwise: 0 });
        const query = people().createQueryBuilder('person').where('person.mergedInto IS NULL');
        if (find) withWords(query, { table: 'person_word', of: 'person', id: '`person`.`id`' }, find);
        const found = await query
          .orderBy('person.familyFirst', 'ASC')
          .addOrderBy('person.id', 'ASC')
          .skip(skip)
          .take(pageLength + 1)
          .getMany();
        if (find)
          await read(user, 'person.searched', 'people', {
            find,
            found: found.slice(0, pageLength).map(({ id }) => id),
          });
        res.json({
          people: await listed(db.manager, found.slice(0, pageLength)),
          more: found.length > pageLength,
        });
      },
    },
    {
      // shown before somebody is added
      method: 'get',
      path: '/people/doubles',
      who: 'people.read',
      handle: async (req, res) => {
        const one = {
          givenName: textOf(req.query.givenName, 'givenName', 80),
          familyName: textOf(req.query.familyName, 'familyName', 80),
          born: textOf(req.query.born, 'born', 10),
        };
        valid(object(named).strict().noUnknown().required(), one);
        const found = await doublesOf(db.manager, one, textOf(req.query.but, 'but', 36));
        const shown = await listed(db.manager, found);
        res.json({
          doubles: shown.map((other) => ({ ...other, likeness: likeness(one, other)! })),
        });
      },
    },
    {
      // who was merged is found as whom they are now
      method: 'get',
      path: '/people/:id',
      who: 'people.read',
      handle: async (req, res, user) => {
        const one = await personNow(db.manager, String(req.params.id));
        await read(user, 'person.read', one.id);
        const all = await sameAs(db.manager, one);
        res.json({
          ...(await listed(db.manager, [one]))[0]!,
          numbers: all.map(({ number }) => number),
          merged: all
            .filter(({ id }) => id !== one.id)
            .map(({ id, givenName, familyName, born, number, mergedAt }) => ({
              id,
              givenName,
              familyName,
              born,
              number,
              undoneUntil: new Date(mergedAt!.getTime() + undoneWithin).toISOString(),
            })),
        });
      },
    },
    {
      // who changed a name or a day of birth, when, and what it was
      method: 'get',
      path: '/people/:id/history',
      who: 'people.read',
      handle: async (req, res) => {
        const all = await sameAs(db.manager, await personNow(db.manager, String(req.params.id)));
        const lines = await db.getRepository(auditEntity).find({
          where: {
            subject: In(all.map(({ id }) => id)),
            action: In(['person.added', 'person.changed', 'person.merged', 'person.parted']),
          },
          order: { n: 'DESC' },
          take: 100,
        });
        const staff = await db.getRepository(userEntity).find({
          where: { id: In(lines.flatMap(({ user }) => user ?? [])) },
          select: { id: true, name: true },
        });
        res.json({
          changes: lines.map(({ n, at, user, action, subject, detail }) => ({
            n,
            at,
            by: user,
            byName: staff.find(({ id }) => id === user)?.name ?? null,
            action,
            number: all.find(({ id }) => id === subject)!.number,
            ...(JSON.parse(detail ?? '{}') as object),
          })),
        });
      },
    },
    {
      // the id is made where the person is written, so that sending twice makes one person
      method: 'put',
      path: '/people/:id',
      who: 'people.write',
      handle: async (req, res, user) => {
        const id = madeId(req);
        const { givenName, familyName, born, apart = [], was } = valid(person, req.body);
        checkBorn(born);
        const written = { givenName, familyName, born };
        const familyFirst = `${familyName} ${givenName}`;
        const row = await inTransaction(db, async (manager) => {
          const rows = manager.getRepository(personEntity);
          await oneAtATime(manager);
          const before = await rows.findOne({ where: { id }, lock: { mode: 'pessimistic_write' } });
          if (before?.mergedInto) throw new Problem('person-merged');
          const changed = changes(before && pickName(before), written);
          if (before && Object.keys(changed.now).length === 0) return before;
          if (before && was && Object.keys(changes(pickName(before), was).now).length > 0)
            throw new Problem('person-changed', {}, { inForce: pickName(before), yours: written });
          const others =
            before || apart === null
              ? []
              : (await doublesOf(manager, written, id)).filter((other) => !apart.includes(other.id));
          if (others.length > 0)
            throw new Problem(
              'perhaps-the-same',
              {},
              {
                doubles: (await listed(manager, others)).map((other) => ({
                  ...other,
                  likeness: likeness(written, other)!,
                })),
              },
            );
          const next = { ...written, givenFirst: `${givenName} ${familyName}`, familyFirst };
          if (before) await rows.update({ id }, next);
          else await rows.insert({ id, ...next });
          const all = await sameAs(manager, await rows.findOneByOrFail({ id }));
          await manager
            .getRepository(summaryEntity)
            .update({ person: In(all.map((one) => one.id)) }, { personKey: familyFirst });
          if (before && before.born !== born) await summariseAgain(manager, all, clinic.zone);
          await writePersonWords(manager, id);
          await audit(manager, {
            at: now(),
            user: user.id,
            action: before ? 'person.changed' : 'person.added',
            subject: id,
            detail: changed,
          });
          return rows.findOneByOrFail({ id });
        });
        res.json((await listed(db.manager, [row]))[0]);
      },
    },
    {
      // nothing is moved: cases, visits and lines of the audit stay where they are and are found under both numbers
      method: 'put',
      path: '/people/:id/merged',
      who: 'people.write',
      handle: async (req, res, user) => {
        const id = madeId(req);
        const { into } = valid(merging, req.body);
        await inTransaction(db, async (manager) => {
          await oneAtATime(manager);
          const one = await lockedPerson(manager, id);
          const other = await personNow(manager, into);
          if (one.mergedInto !== null) {
            // sent twice
            if ((await personNow(manager, id)).id === other.id) return;
            throw new Problem('merged-already');
          }
          if (other.id === one.id) throw faulty(faultAt('into', 'same-person'));
          await manager.getRepository(personEntity).update({ id }, { mergedInto: other.id, mergedAt: now() });
          await manager.getRepository(personWordEntity).delete({ person: id });
          await settle(manager, other, clinic.zone);
          await audit(manager, {
            at: now(),
            user: user.id,
            action: 'person.merged',
            subject: id,
            detail: { now: { into: other.id, number: other.number } },
          });
        });
        res.status(204).end();
      },
    },
    {
      method: 'delete',
      path: '/people/:id/merged',
      who: 'people.write',
      handle: async (req, res, user) => {
        const id = madeId(req);
        await inTransaction(db, async (manager) => {
          await oneAtATime(manager);
          const one = await lockedPerson(manager, id);
          if (one.mergedInto === null) return;
          if (now().getTime() > one.mergedAt!.getTime() + undoneWithin) throw new Problem('merge-too-old');
          const other = await personNow(manager, one.mergedInto);
          await manager.getRepository(personEntity).update({ id }, { mergedInto: null, mergedAt: null });
          for (const each of [other, { ...one, mergedInto: null }]) await settle(manager, each, clinic.zone);
          await audit(manager, {
            at: now(),
            user: user.id,
            action: 'person.parted',
            subject: id,
            detail: { before: { into: one.mergedInto, number: other.number } },
          });
        });
        res.status(204).end();
      },
    },
  ];
}

/** Who is added and who is merged goes one after the other: two at once would not see each other. */
async function oneAtATime(manager: EntityManager): Promise<void> {
  await manager
    .getRepository(clinicEntity)
    .findOne({ where: { id: 1 }, lock: { mode: 'pessimistic_write' } });
}

async function lockedPerson(manager: EntityManager, id: string): Promise<Person> {
  const found = await manager
    .getRepository(personEntity)
    .findOne({ where: { id }, lock: { mode: 'pessimistic_write' } });
  if (!found) throw new Problem('no-person');
  return found;
}

/** After people were merged or parted: what lists show of their cases, and the words they are found by. */
async function settle(manager: EntityManager, one: Person, zone: string): Promise<void> {
  const all = await sameAs(manager, one);
  const cases = await manager.getRepository(caseEntity).find({
    where: { person: In(all.map(({ id }) => id)) },
    select: { id: true },
  });
  if (cases.length > 0)
    await manager
      .getRepository(summaryEntity)
      .update({ case: In(cases.map(({ id }) => id)) }, { person: one.id, personKey: one.familyFirst });
  await summariseAgain(manager, all, zone);
  await writePersonWords(manager, one.id);
}

/** What lists show of a person's cases, computed again: what is due hangs on the day of birth that holds now. */
async function summariseAgain(manager: EntityManager, all: readonly Person[], zone: string): Promise<void> {
  const rows = await manager.getRepository(caseEntity).find({
    where: { person: In(all.map(({ id }) => id)) },
    order: { id: 'ASC' },
    lock: { mode: 'pessimistic_write' },
  });
  for (const row of rows) {
    const { state } = await snapshotOf(manager, row, zone);
    if (state) await writeSummary(manager, state, state, await personNow(manager, row.person));
  }
}
