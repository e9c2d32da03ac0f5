import { dayOf } from '@estribo/core/calendar';
import { In, Like } from 'typeorm';
import { object, string } from 'yup';
import { audit, changes } from '../audit/audit';
import { auditEntity, personEntity, summaryEntity, type Person } from '../database/entities';
import { inTransaction } from '../database/transaction';
import { faulty, notFound } from '../problem';
import { madeId, textOf, wholeOf, type Context, type Route } from '../route';
import { dayField, valid } from '../valid';

const person = object({
  givenName: string().strict().trim().required().min(1).max(80),
  familyName: string().strict().trim().required().min(1).max(80),
  born: dayField,
})
  .strict()
  .noUnknown()
  .required();

const pickName = ({ givenName, familyName, born }: Person) => ({ givenName, familyName, born });

/** The beginning of a name as a LIKE pattern: what the user typed stands for itself. */
export const startsWith = (text: string) => Like(`${text.replace(/[\\%_]/g, '\\$&')}%`);

export function peopleRoutes({ db, clinic, now }: Context): Route[] {
  const people = () => db.getRepository(personEntity);
  return [
    {
      method: 'get',
      path: '/people',
      who: 'people.read',
      handle: async (req, res) => {
        const find = textOf(req.query.find, 'find', 160);
        const skip = wholeOf(req.query.skip, 'skip', { least: 0, most: 1_000_000, otherwise: 0 });
        const found = await people().find({
          where: find ? [{ givenFirst: startsWith(find) }, { familyFirst: startsWith(find) }] : {},
          order: { familyFirst: 'ASC', id: 'ASC' },
          skip,
          take: 51,
          select: { id: true, givenName: true, familyName: true, born: true },
        });
        res.json({ people: found.slice(0, 50), more: found.length > 50 });
      },
    },
    {
      method: 'get',
      path: '/people/:id',
      who: 'people.read',
      handle: async (req, res) => {
        const found = await people().findOneBy({ id: String(req.params.id) });
        if (!found) throw notFound('person');
        const { id, givenName, familyName, born } = found;
        res.json({ id, givenName, familyName, born });
      },
    },
    {
      // who changed a name or a day of birth, when, and what it was
      method: 'get',
      path: '/people/:id/history',
      who: 'people.read',
      handle: async (req, res) => {
        const id = String(req.params.id);
        if (!(await people().existsBy({ id }))) throw notFound('person');
        const lines = await db.getRepository(auditEntity).find({
          where: { subject: id, action: In(['person.added', 'person.changed']) },
          order: { n: 'DESC' },
          take: 100,
        });
        res.json({
          changes: lines.map(({ at, user, action, detail }) => ({
            at,
            by: user,
            action,
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
        const { givenName, familyName, born } = valid(person, req.body);
        if (born > dayOf(now().toISOString(), clinic.zone))
          throw faulty([{ at: 'born', message: 'lies in the future' }]);
        const familyFirst = `${familyName} ${givenName}`;
        await inTransaction(db, async (manager) => {
          const rows = manager.getRepository(personEntity);
          const before = await rows.findOne({ where: { id }, lock: { mode: 'pessimistic_write' } });
          const written = { givenName, familyName, born };
          const { before: was, now: is } = changes(before && pickName(before), written);
          if (before && Object.keys(is).length === 0) return;
          const row = { ...written, givenFirst: `${givenName} ${familyName}`, familyFirst };
          if (before) await rows.update({ id }, row);
          else await rows.insert({ id, ...row });
          await manager.getRepository(summaryEntity).update({ person: id }, { personKey: familyFirst });
          await audit(manager, {
            at: now(),
            user: user.id,
            action: before ? 'person.changed' : 'person.added',
            subject: id,
            detail: { before: was, now: is },
          });
        });
        res.json({ id, givenName, familyName, born });
      },
    },
  ];
}
