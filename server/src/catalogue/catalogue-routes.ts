import { fault, faultAt } from '@estribo/core/faults';
import { chartsToCsv, lostBy } from '@estribo/core/exchange';
import { regionNames, type Region } from '@estribo/core/anatomy';
import { isVisible } from '@estribo/core/people';
import {
  chartBandFaults,
  currentProgramme,
  modelProblems,
  modelSchema,
  ownFamilyFaults,
  pinOf,
  programmeSchema,
  programmes as shipped,
  type BraceModel,
  type Programme,
} from '@estribo/core/programmes';
import { stageCover } from '@estribo/core/logbook';
import { array, boolean, object, string } from 'yup';
import { In, Like, type DataSource, type EntityManager, type FindOptionsWhere } from 'typeorm';
import { audit } from '../audit/audit';
import { auditReads } from '../audit/reads';
import { modelEntity, registeredEntity, type ModelRow } from '../database/entities';
import { inTransaction } from '../database/transaction';
import { faulty, Problem } from '../problem';
import { textOf, wholeOf, type Context, type Route, type SignedIn } from '../route';
import { valid } from '../valid';
import {
  findingsOf,
  newestProgramme,
  newestProgrammes,
  register,
  registered,
  registeredModels,
  VersionTaken,
  registeredPin,
} from './registry';

const pageLength = 200;

const importBody = object({
  csv: string().strict().required().max(2_000_000),
  /** only what it would change is told, and nothing is brought in */
  preview: boolean().strict(),
  /** models of which it may leave out what their charts state today */
  mayLose: array().of(string().strict().required().max(80)).max(20_000).strict(),
}).noUnknown();
const retireBody = object({ retired: boolean().strict().required() }).noUnknown();

/** The beginning of a name as a LIKE pattern: what the user typed stands for itself. */
const startsWith = (text: string) => Like(`${text.replace(/[\\%_]/g, '\\$&')}%`);

/** The family of a region, a maker or a name, as the list asks for it. */
function wanted(query: Record<string, unknown>): FindOptionsWhere<ModelRow>[] {
  const region = textOf(query.region, 'region', 10);
  if (region && !regionNames.includes(region as Region))
    throw new Problem('not-one-of', { name: 'region', words: regionNames.join(', ') });
  const family = textOf(query.family, 'family', 80);
  const find = textOf(query.find, 'find', 80);
  const base: FindOptionsWhere<ModelRow> = {
    ...(region ? { region: region as Region } : {}),
    ...(family ? { programme: family } : {}),
    ...(query.retired === '1' ? {} : { retired: false }),
  };
  return find
    ? [
        { ...base, name: startsWith(find) },
        { ...base, maker: startsWith(find) },
        { ...base, id: startsWith(find) },
      ]
    : [base];
}

/** A version follows the newest one there is; a used one is never changed. */
function nextVersion(sort: string, sent: { id: string; version: number }, newest: number | undefined): void {
  const next = (newest ?? 0) + 1;
  if (sent.version !== next) throw new Problem('newer-version', { sort, next }, { next });
}

/** A transaction that registers; a version that another has taken meanwhile is told as such. */
async function registering<T>(db: DataSource, work: (manager: EntityManager) => Promise<T>): Promise<T> {
  try {
    return await inTransaction(db, work);
  } catch (error) {
    if (error instanceof VersionTaken) throw new Problem('version-just-written');
    throw error;
  }
}

export function catalogueRoutes({ db, now, charts }: Context): Route[] {
  const read = auditReads({ db, now });
  const audited = (
    manager: EntityManager,
    user: SignedIn,
    action: 'model.changed' | 'programme.changed',
    { id, version }: { id: string; version: number },
  ) => audit(manager, { at: now(), user: user.id, action, subject: id, detail: { now: { version } } });

  return [
    {
      method: 'get',
      path: '/catalogue',
      who: 'catalogue.read',
      handle: async (_req, res) => {
        const all = await newestProgrammes(db);
        const counts = await db
          .getRepository(modelEntity)
          .createQueryBuilder('model')
          .select('model.programme', 'programme')
          .addSelect('COUNT(*)', 'count')
          .where('model.retired = FALSE')
          .groupBy('model.programme')
          .getRawMany<{ programme: string; count: string }>();
        const order = shipped.map(({ id }) => id);
        const place = (id: string) => (order.includes(id) ? order.indexOf(id) : order.length);
        const families = all
          .sort((a, b) => place(a.base ?? a.id) - place(b.base ?? b.id) || a.id.localeCompare(b.id))
          .map((programme) => ({
            ...registeredPin(programme),
            region: programme.region,
            stages: stageCover(currentProgramme(programme)),
            // a clinic's own family takes the models of the one it was copied from
            models: Number(
              counts.find((row) => row.programme === (programme.base ?? programme.id))?.count ?? 0,
            ),
            ...(programme.title ? { title: programme.title } : {}),
            ...(programme.base ? { base: programme.base } : {}),
          }));
        res.json({ families });
      },
    },
    {
      method: 'get',
      path: '/catalogue/models',
      who: 'catalogue.read',
      handle: async (req, res) => {
        const skip = wholeOf(req.query.skip, 'skip', { least: 0, most: 1_000_000, otherwise: 0 });
        const rows = await db.getRepository(modelEntity).find({
          where: wanted(req.query),
          order: { name: 'ASC', id: 'ASC' },
          skip,
          take: pageLength + 1,
        });
        res.json({ models: rows.slice(0, pageLength), more: rows.length > pageLength });
      },
    },
    {
      method: 'get',
      path: '/catalogue/export.csv',
      who: 'catalogue.read',
      handle: async (req, res, user) => {
        await read(user, 'catalogue.exported', 'catalogue', wanted(req.query)[0]);
        const rows = await db.getRepository(modelEntity).find({
          where: wanted(req.query),
          order: { name: 'ASC', id: 'ASC' },
          take: 20_000,
        });
        const models = await registeredModels(
          db.manager,
          rows.map(({ hash }) => hash),
        );
        res
          .type('text/csv')
          .set('Content-Disposition', 'attachment; filename="charts.csv"')
          .send(chartsToCsv(models, await newestProgrammes(db)));
      },
    },
    {
      method: 'post',
      path: '/catalogue/import',
      who: 'catalogue.write',
      handle: async (req, res, user) => {
        const { csv, preview = false, mayLose = [] } = valid(importBody, req.body);
        const planned = async (manager: EntityManager) => {
          const plan = await charts.plan(csv, await newestProgrammes(manager), async (ids) => {
            const rows = await manager.getRepository(modelEntity).findBy({ id: In(ids) });
            return registeredModels(
              manager,
              rows.map(({ hash }) => hash),
            );
          });
          if (!plan.ok)
            throw new Problem(
              'not-imported',
              {},
              {
                rows: plan.faults,
              },
            );
          return plan;
        };
        if (preview) {
          const { changed, unchanged } = await planned(db.manager);
          return void res.json({ changed, unchanged });
        }
        // read inside: what another import has left meanwhile is what this one is compared with
        const answer = await registering(db, async (manager) => {
          const { changed: told, models: changed, unchanged } = await planned(manager);
          const halved = told.filter(
            ({ id, changes }) => lostBy(changes).length > 0 && !mayLose.includes(id),
          );
          if (halved.length > 0) throw new Problem('leaves-out', {}, { changed: halved });
          for (const model of changed) {
            await register(manager, 'model', model);
            await audited(manager, user, 'model.changed', model);
          }
          return { imported: changed.map(pinOf), unchanged };
        });
        res.json(answer);
      },
    },
    {
      method: 'post',
      path: '/catalogue/models',
      who: 'catalogue.write',
      handle: async (req, res, user) => {
        const model = valid(modelSchema, req.body) as unknown as BraceModel;
        const programme = await newestProgramme(db, model.programme);
        if (!programme) throw faulty(faultAt('programme', 'no-family'));
        const unseen = (['name', 'maker'] as const).filter((field) => !isVisible(model[field]));
        if (unseen.length > 0) throw faulty(unseen.map((at) => fault(at, 'visible')));
        const bands = chartBandFaults(model.chart, programme);
        if (bands.length > 0)
          throw faulty(
            bands.map(({ axis, band, end, fault: wrong }) =>
              fault(
                `chart.axes[${axis}].bands[${band}].${end}`,
                wrong === 'reversed' ? 'band-reversed' : 'no-body-reads-so',
              ),
            ),
          );
        const problems = modelProblems(model, programme);
        if (problems.length > 0)
          throw faulty(
            problems.map(({ problem, ...which }) =>
              fault(Object.values(which).join(' ') || 'model', 'model-wrong', { problem }),
            ),
          );
        const pin = await registering(db, async (manager) => {
          const before = await manager
            .getRepository(modelEntity)
            .findOne({ where: { id: model.id }, lock: { mode: 'pessimistic_write' } });
          nextVersion('model', model, before?.version);
          await audited(manager, user, 'model.changed', model);
          return register(manager, 'model', model);
        });
        res.status(201).json(pin);
      },
    },
    {
      method: 'get',
      path: '/catalogue/models/:id/versions',
      who: 'catalogue.read',
      handle: async (req, res) => {
        const versions = await db.getRepository(registeredEntity).find({
          where: { sort: 'model', id: String(req.params.id) },
          order: { version: 'DESC' },
          select: { hash: true, version: true },
          take: 200,
        });
        if (versions.length === 0) throw new Problem('no-model');
        res.json({ versions });
      },
    },
    {
      method: 'put',
      path: '/catalogue/models/:id/retired',
      who: 'catalogue.write',
      handle: async (req, res, user) => {
        const { retired } = valid(retireBody, req.body);
        const rows = db.getRepository(modelEntity);
        const id = String(req.params.id);
        if (!(await rows.existsBy({ id }))) throw new Problem('no-model');
        await inTransaction(db, async (manager) => {
          await manager.getRepository(modelEntity).update({ id }, { retired });
          await audit(manager, {
            at: now(),
            user: user.id,
            action: 'model.retired',
            subject: id,
            detail: { now: { retired } },
          });
        });
        res.json({ id, retired });
      },
    },
    {
      method: 'post',
      path: '/catalogue/programmes',
      who: 'catalogue.write',
      handle: async (req, res, user) => {
        const programme = valid(programmeSchema, req.body) as unknown as Programme;
        const base = programme.base && (await newestProgramme(db, programme.base));
        if (!base || !programme.title || !/^own-[a-z0-9-]{1,70}$/.test(programme.id))
          throw faulty([
            ...(base ? [] : faultAt('base', 'base-needed')),
            ...(programme.title ? [] : faultAt('title', 'needed')),
            ...(/^own-[a-z0-9-]{1,70}$/.test(programme.id) ? [] : faultAt('id', 'own-id')),
          ]);
        if (base.region !== programme.region)
          throw faulty(faultAt('region', 'region-of-base', { region: base.region }));
        const faults = ownFamilyFaults(programme, base);
        if (faults.length > 0) throw faulty(faults);
        const pin = await registering(db, async (manager) => {
          nextVersion('programme', programme, (await newestProgramme(manager, programme.id))?.version);
          await audited(manager, user, 'programme.changed', programme);
          return register(manager, 'programme', programme);
        });
        res.status(201).json(pin);
      },
    },
    {
      method: 'get',
      path: '/catalogue/lint/:hash',
      who: 'catalogue.read',
      handle: async (req, res) => {
        const model = await registered<BraceModel>(db.manager, 'model', String(req.params.hash));
        const programme = model && (await newestProgramme(db, model.programme));
        if (!model || !programme) throw new Problem('no-model');
        res.json({ findings: findingsOf(model, programme) });
      },
    },
    {
      method: 'get',
      path: '/catalogue/:sort/:hash',
      who: 'catalogue.read',
      handle: async (req, res) => {
        const { sort, hash } = req.params;
        const content =
          sort === 'programme' || sort === 'model'
            ? await registered(db.manager, sort, String(hash))
            : undefined;
        if (!content) throw new Problem('no-content');
        res.set('Cache-Control', 'private, max-age=31536000, immutable').json(content);
      },
    },
  ];
}
