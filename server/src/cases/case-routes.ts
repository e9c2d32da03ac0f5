import { addDays, dayOf } from '@estribo/core/calendar';
import { In } from 'typeorm';
import { caseEntity, personEntity, summaryEntity, type Summary } from '../database/entities';
import { notFound } from '../problem';
import { textOf, wholeOf, type Context, type Route } from '../route';
import { startsWith } from '../clinic/people-routes';
import { appendEntry } from './append';
import { entriesAfter } from './record';

const pageLength = 50;

export function caseRoutes(context: Context): Route[] {
  const { db, clinic, now } = context;
  const summaries = () => db.getRepository(summaryEntity);

  /** Summaries with the names of their people, as lists show them. */
  const listed = async (rows: Summary[]) => {
    const people = await db.getRepository(personEntity).findBy({ id: In(rows.map(({ person }) => person)) });
    const nameOf = new Map(people.map(({ id, givenFirst }) => [id, givenFirst]));
    return rows.map(({ personKey: _key, seq: _seq, engine: _engine, ...row }) => ({
      ...row,
      personName: nameOf.get(row.person),
    }));
  };
  const page = async (rows: Summary[]) => ({
    cases: await listed(rows.slice(0, pageLength)),
    more: rows.length > pageLength,
  });

  return [
    {
      method: 'get',
      path: '/bench',
      who: 'bench.read',
      handle: async (req, res) => {
        const skip = wholeOf(req.query.skip, 'skip', { least: 0, most: 1_000_000, otherwise: 0 });
        const today = dayOf(now().toISOString(), clinic.zone);
        const rows = await summaries()
          .createQueryBuilder('summary')
          .orderBy('summary.firstVisit IS NULL', 'ASC')
          .addOrderBy('summary.firstVisit', 'ASC')
          .addOrderBy('summary.case', 'ASC')
          .skip(skip)
          .take(pageLength + 1)
          .getMany();
        res.json({ today, from: addDays(today, -7), ...(await page(rows)) });
      },
    },
    {
      method: 'get',
      path: '/cases',
      who: 'bench.read',
      handle: async (req, res) => {
        const find = textOf(req.query.find, 'find', 160);
        const skip = wholeOf(req.query.skip, 'skip', { least: 0, most: 1_000_000, otherwise: 0 });
        const people = find
          ? await db.getRepository(personEntity).find({
              where: [{ givenFirst: startsWith(find) }, { familyFirst: startsWith(find) }],
              select: { id: true },
              take: 500,
            })
          : [];
        const rows = await summaries().find({
          where: find ? [{ person: In(people.map(({ id }) => id)) }, { modelName: startsWith(find) }] : {},
          order: { personKey: 'ASC', case: 'ASC' },
          skip,
          take: pageLength + 1,
        });
        res.json(await page(rows));
      },
    },
    {
      method: 'get',
      path: '/cases/:id',
      who: 'record.read',
      handle: async (req, res) => {
        const row = await db.getRepository(caseEntity).findOneBy({ id: String(req.params.id) });
        if (!row) throw notFound('case');
        const { id, givenName, familyName, born } = await db
          .getRepository(personEntity)
          .findOneByOrFail({ id: row.person });
        res.json({
          id: row.id,
          seq: row.seq,
          head: row.head,
          programmeHash: row.programmeHash,
          modelHash: row.modelHash,
          person: { id, givenName, familyName, born },
        });
      },
    },
    {
      method: 'get',
      path: '/cases/:id/entries',
      who: 'record.read',
      handle: async (req, res) => {
        const after = wholeOf(req.query.after, 'after', { least: 0, most: 999_999_999, otherwise: 0 });
        const limit = wholeOf(req.query.limit, 'limit', { least: 1, most: 1000, otherwise: 500 });
        const id = String(req.params.id);
        if (!(await db.getRepository(caseEntity).existsBy({ id }))) throw notFound('case');
        const entries = await entriesAfter(db.manager, id, after, limit + 1);
        res.json({ entries: entries.slice(0, limit), more: entries.length > limit });
      },
    },
    {
      // which kinds a role may write stands beside the kinds
      method: 'post',
      path: '/cases/:id/entries',
      who: 'signed-in',
      handle: async (req, res, user) => {
        const { entry, fresh } = await appendEntry(context, user, String(req.params.id), req.body);
        res.status(fresh ? 201 : 200).json({ entry });
      },
    },
  ];
}
