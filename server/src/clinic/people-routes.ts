import { clinicDay, dayOf } from '@estribo/core/calendar';
import { validate } from 'uuid';
import { Like } from 'typeorm';
import { object, string } from 'yup';
import { personEntity, summaryEntity } from '../database/entities';
import { faulty, notFound, Problem } from '../problem';
import { textOf, wholeOf, type Context, type Route } from '../route';
import { valid } from '../valid';

const person = object({
  givenName: string().strict().trim().required().min(1).max(80),
  familyName: string().strict().trim().required().min(1).max(80),
  born: string()
    .strict()
    .required()
    .test('day', 'must be a date, YYYY-MM-DD', (value) => clinicDay(value) === value),
})
  .strict()
  .noUnknown()
  .required();

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
      // the id is made where the person is written, so that sending twice makes one person
      method: 'put',
      path: '/people/:id',
      who: 'people.write',
      handle: async (req, res) => {
        const id = String(req.params.id);
        if (!validate(id) || id !== id.toLowerCase())
          throw new Problem(400, 'Not valid', 'The id must be a UUID in lower case.');
        const { givenName, familyName, born } = valid(person, req.body);
        if (born > dayOf(now().toISOString(), clinic.zone))
          throw faulty([{ at: 'born', message: 'lies in the future' }]);
        const familyFirst = `${familyName} ${givenName}`;
        await db.transaction(async (manager) => {
          await manager
            .getRepository(personEntity)
            .upsert(
              { id, givenName, familyName, born, givenFirst: `${givenName} ${familyName}`, familyFirst },
              ['id'],
            );
          await manager.getRepository(summaryEntity).update({ person: id }, { personKey: familyFirst });
        });
        res.json({ id, givenName, familyName, born });
      },
    },
  ];
}
