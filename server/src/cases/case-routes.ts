import { may, roles } from '@estribo/core/access';
import { regionNames } from '@estribo/core/anatomy';
import { addDays, dayOf } from '@estribo/core/calendar';
import { stagePermission } from '@estribo/core/logbook';
import { soughtWords } from '@estribo/core/people';
import { stages } from '@estribo/core/record';
import { In } from 'typeorm';
import { caseEntity, personEntity, summaryEntity, type Summary } from '../database/entities';
import { personNow } from '../people/merging';
import { withWords, type Meant } from '../people/search-words';
import { Problem } from '../problem';
import { textOf, wholeOf, type Context, type Route, type SignedIn } from '../route';
import { proofOf } from '../sealing/verify';
import { auditReads } from '../audit/reads';
import { unreadingStaff } from '../visits/visit-routes';
import { appendEntry } from './append';
import { listedSummary, ribbonFrom } from './listed';
import { entriesPage } from './record';

const pageLength = 50;

/** So many days after the last work on it a case with nothing due stays on the Bench. */
const staysFor = 14;

/** One of some words from the query; undefined when absent. */
function oneOfQuery<T extends string>(value: unknown, name: string, words: readonly T[]): T | undefined {
  if (value === undefined || value === '') return undefined;
  const found = words.find((word) => word === value);
  if (found === undefined) throw new Problem('not-one-of', { name, words: words.join(', ') });
  return found;
}

/**
 * What a word that was typed means beside itself, in the language of who typed it: `collar~family-id`, each as often as there
 * are families whose title has the word.
 */
function meantFamilies(value: unknown): Meant {
  const sent = (Array.isArray(value) ? value : value === undefined ? [] : [value]) as unknown[];
  const meant = new Map<string, string[]>();
  for (const one of sent.slice(0, 60)) {
    const [word = '', family = ''] = typeof one === 'string' ? one.split('~') : [];
    for (const { word: sought } of soughtWords(word))
      meant.set(sought, [...(meant.get(sought) ?? []), family.slice(0, 80)]);
  }
  return meant;
}

export function caseRoutes(context: Context): Route[] {
  const { db, clinic, now } = context;
  const summaries = () => db.getRepository(summaryEntity);

  /** A page of summaries with the names of their people, as lists show them. */
  const page = async (rows: Summary[], user: SignedIn, today: string) => {
    const shown = rows.slice(0, pageLength);
    const people = await db.getRepository(personEntity).findBy({ id: In(shown.map(({ person }) => person)) });
    const unread = may(user.role, 'record.read') ? new Set<string>() : await unreadingStaff(context);
    return {
      cases: shown.map((row) => {
        const person = people.find(({ id }) => id === row.person);
        return {
          ...listedSummary(row, user.role, today, unread),
          personName: person?.givenFirst,
          born: person?.born,
          number: person?.number,
        };
      }),
      more: rows.length > pageLength,
    };
  };
  const today = () => dayOf(now().toISOString(), clinic.zone);

  const read = auditReads(context);
  const caseRead = (user: SignedIn, id: string) => read(user, 'case.read', id);

  return [
    {
      method: 'get',
      path: '/bench',
      who: 'bench.read',
      handle: async (req, res, user) => {
        const skip = wholeOf(req.query.skip, 'skip', { least: 0, most: 1_000_000, otherwise: 0 });
        const region = oneOfQuery(req.query.region, 'region', regionNames);
        const role = oneOfQuery(req.query.role, 'role', roles);
        const keeper = textOf(req.query.keeper, 'keeper', 36);
        const query = summaries()
          .createQueryBuilder('summary')
          // what has nothing due stays for a while after the last work on it, and no longer
          .where(
            '(summary.firstVisit IS NOT NULL OR (summary.closed IS NULL AND (summary.urgent > 0 OR summary.lastDay >= :since)))',
            { since: addDays(today(), -staysFor) },
          );
        if (region) query.andWhere('summary.region = :region', { region });
        if (keeper) query.andWhere('summary.keeper = :keeper', { keeper });
        if (role)
          query.andWhere('summary.stage IN (:...stages)', {
            stages: ['', ...stages.filter((stage) => may(role, stagePermission[stage]))],
          });
        const rows = await query
          .orderBy('summary.urgent', 'DESC')
          .addOrderBy('summary.firstVisit IS NULL', 'ASC')
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
        const query = summaries().createQueryBuilder('summary');
        if (find)
          withWords(
            query,
            { table: 'case_word', of: 'case', id: '`summary`.`case`' },
            find,
            meantFamilies(req.query.family),
          );
        const rows = await query
          .orderBy('summary.personKey', 'ASC')
          .addOrderBy('summary.case', 'ASC')
          .skip(skip)
          .take(pageLength + 1)
          .getMany();
        if (find)
          await read(user, 'person.searched', 'cases', {
            find,
            found: rows.slice(0, pageLength).map((row) => row.person),
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
          if (!row) throw new Problem('no-case');
          return { row, faults: (await proofOf(manager, context.sealing, row)).faults };
        });
        await caseRead(user, row.id);
        const { id, givenName, familyName, born, number } = await personNow(db.manager, row.person);
        res.json({
          id: row.id,
          seq: row.seq,
          head: row.head,
          programmeHash: row.programmeHash,
          modelHash: row.modelHash,
          person: { id, givenName, familyName, born, numbers: [number] },
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
        if (!(await db.getRepository(caseEntity).existsBy({ id }))) throw new Problem('no-case');
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
