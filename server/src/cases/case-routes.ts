import { may, roles } from '@estribo/core/access';
import { dayOf } from '@estribo/core/calendar';
import { In } from 'typeorm';
import { caseEntity, personEntity, summaryEntity, userEntity, type Summary } from '../database/entities';
import { notFound } from '../problem';
import { textOf, wholeOf, type Context, type Route, type SignedIn } from '../route';
import { proofOf } from '../sealing/verify';
import { startsWith } from '../clinic/people-routes';
import { appendEntry } from './append';
import { caseReading } from './case-reading';
import { listedSummary, ribbonFrom } from './listed';
import { entriesPage } from './record';

const pageLength = 50;

export function caseRoutes(context: Context): Route[] {
  const { db, clinic, now } = context;
  const summaries = () => db.getRepository(summaryEntity);

  /** A page of summaries with the names of their people, as lists show them. */
  const page = async (rows: Summary[], user: SignedIn, today: string) => {
    const shown = rows.slice(0, pageLength);
    const people = await db.getRepository(personEntity).findBy({ id: In(shown.map(({ person }) => person)) });
    const nameOf = new Map(people.map(({ id, givenFirst }) => [id, givenFirst]));
    const unread = may(user.role, 'record.read')
      ? []
      : await db.getRepository(userEntity).find({
          where: { role: In(roles.filter((role) => !may(role, 'record.read'))) },
          select: { id: true },
        });
    const ids = new Set(unread.map(({ id }) => id));
    return {
      cases: shown.map((row) => ({
        ...listedSummary(row, user.role, today, ids),
        personName: nameOf.get(row.person),
      })),
      more: rows.length > pageLength,
    };
  };
  const today = () => dayOf(now().toISOString(), clinic.zone);

  const caseRead = caseReading(context);

  return [
    {
      method: 'get',
      path: '/bench',
      who: 'bench.read',
      handle: async (req, res, user) => {
        const skip = wholeOf(req.query.skip, 'skip', { least: 0, most: 1_000_000, otherwise: 0 });
        const rows = await summaries()
          .createQueryBuilder('summary')
          .orderBy('summary.firstVisit IS NULL', 'ASC')
          .addOrderBy('summary.firstVisit', 'ASC')
          .addOrderBy('summary.case', 'ASC')
          .skip(skip)
          .take(pageLength + 1)
          .getMany();
        res.json({ today: today(), from: ribbonFrom(today()), ...(await page(rows, user, today())) });
      },
    },
    {
      method: 'get',
      path: '/cases',
      who: 'bench.read',
      handle: async (req, res, user) => {
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
        res.json(await page(rows, user, today()));
      },
    },
    {
      method: 'get',
      path: '/cases/:id',
      who: 'record.read',
      handle: async (req, res, user) => {
        // of one moment: an append in between would look like a loss
        const { row, faults } = await db.transaction('REPEATABLE READ', async (manager) => {
          const row = await manager.getRepository(caseEntity).findOneBy({ id: String(req.params.id) });
          if (!row) throw notFound('case');
          return { row, faults: (await proofOf(manager, context.sealing, row)).faults };
        });
        await caseRead(user, row.id);
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
          // every hash computed again: what does not hold was changed behind Estribo's back
          proof: { holds: faults.length === 0, faults: faults.slice(0, 20) },
        });
      },
    },
    {
      method: 'get',
      path: '/cases/:id/entries',
      who: 'record.read',
      handle: async (req, res, user) => {
        const after = wholeOf(req.query.after, 'after', { least: 0, most: 999_999_999, otherwise: 0 });
        const limit = wholeOf(req.query.limit, 'limit', { least: 1, most: 1000, otherwise: 500 });
        const id = String(req.params.id);
        if (!(await db.getRepository(caseEntity).existsBy({ id }))) throw notFound('case');
        await caseRead(user, id);
        res.json(await entriesPage(db.manager, id, after, limit));
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
