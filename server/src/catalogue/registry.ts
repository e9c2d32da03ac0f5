import {
  chartOf,
  currentModel,
  currentProgramme,
  modelProblems,
  modelSchema,
  pinOf,
  programmeSchema,
  type BraceModel,
  type Pin,
  type Programme,
} from '@estribo/core/programmes';
import { lintChart, type ChartFinding } from '@estribo/core/sizing';
import { LRUCache } from 'lru-cache';
import type { DataSource, EntityManager } from 'typeorm';
import { modelEntity, registeredEntity } from '../database/entities';

/** A database, or a transaction on it. */
export type Store = Pick<EntityManager, 'getRepository'> | DataSource;

/** A version that is there with other content: cases hold on to it. */
export class VersionTaken extends Error {}

/**
 * Registers content under its hash, once. The same version with other content is refused: cases hold on to
 * it. The newest version of a model is what the catalogue lists.
 * @throws VersionTaken when its version is taken by other content; ValidationError when it is not valid
 */
export async function register(
  db: Store,
  sort: 'programme' | 'model',
  content: Programme | BraceModel,
): Promise<Pin> {
  const schema = sort === 'programme' ? programmeSchema : modelSchema;
  schema.validateSync(content, { strict: true });
  const pin = pinOf(content);
  const rows = db.getRepository(registeredEntity);
  const taken = await rows.findOneBy({ sort, id: pin.id, version: pin.version });
  if (taken && taken.hash !== pin.hash)
    throw new VersionTaken(`${sort} ${pin.id} version ${pin.version} has changed: give it a new version`);
  if (!taken) await rows.insert({ ...pin, sort, body: content });
  if (sort === 'model') await list(db, content as BraceModel, pin);
  return pin;
}

/** Lists every model that is registered and not listed: those of a database from before there was a list. */
export async function listAll(db: Store): Promise<number> {
  const rows = await db.getRepository(registeredEntity).find({
    where: { sort: 'model' },
    order: { id: 'ASC', version: 'DESC' },
    select: { hash: true, id: true },
  });
  const listed = new Set(
    (await db.getRepository(modelEntity).find({ select: { id: true } })).map(({ id }) => id),
  );
  const missing = rows.filter((row, i) => rows[i - 1]?.id !== row.id && !listed.has(row.id));
  for (const { hash } of missing) {
    const row = await db.getRepository(registeredEntity).findOneByOrFail({ hash });
    const model = modelIn(row);
    await list(db, model, registeredPin(model));
  }
  return missing.length;
}

/** Puts a model's newest version in the catalogue's list; what is retired stays so. */
async function list(db: Store, model: BraceModel, pin: Pin): Promise<void> {
  const rows = db.getRepository(modelEntity);
  const before = await rows.findOneBy({ id: model.id });
  if (before && before.version > model.version) return;
  const programme = await newestProgramme(db, model.programme);
  await rows.upsert(
    {
      ...pin,
      name: model.name,
      maker: model.maker,
      programme: model.programme,
      region: programme?.region ?? 'leg',
      invented: model.invented,
      sizes: model.chart.sizes.length,
      findings: programme ? findingsOf(model, programme).length : 0,
      retired: before?.retired ?? false,
    },
    ['id'],
  );
}

/** What the lint finds in a model's chart, its readings' usual ranges taken from the family. */
export function findingsOf(model: BraceModel, programme: Programme): ChartFinding[] {
  const usual = Object.fromEntries(
    programme.measuring.flatMap((step) => ('plausible' in step ? [[step.id, step.plausible]] : [])),
  );
  return lintChart(chartOf(programme, model), usual);
}

/** The newest registered version of a programme. */
export async function newestProgramme(db: Store, id: string): Promise<Programme | undefined> {
  const [row] = await db
    .getRepository(registeredEntity)
    .find({ where: { sort: 'programme', id }, order: { version: 'DESC' }, take: 1 });
  return row ? programmeIn(row) : undefined;
}

/** Every family there is, in its newest version: those that ship and the clinic's own. */
export async function newestProgrammes(db: Store): Promise<Programme[]> {
  const rows = await db
    .getRepository(registeredEntity)
    .find({ where: { sort: 'programme' }, order: { id: 'ASC', version: 'DESC' } });
  return rows.filter((row, i) => rows[i - 1]?.id !== row.id).map(programmeIn);
}

/** A row of what is registered. */
type Row = Pin & { body: unknown };

// the hash is of the content as it was registered; read in today's form it would have another
const pins = new WeakMap<Programme | BraceModel, Pin>();

function withPin<T extends Programme | BraceModel>(content: T, { id, version, hash }: Row): T {
  pins.set(content, { id, version, hash });
  return content;
}
const programmeIn = (row: Row): Programme => withPin(currentProgramme(row.body as Programme), row);
const modelIn = (row: Row): BraceModel => withPin(currentModel(row.body as BraceModel), row);

/** The pin under which content that was read from here is registered. */
export const registeredPin = (content: Programme | BraceModel): Pin => pins.get(content) ?? pinOf(content);

// content under a hash never changes: kept for good, up to a bound that holds a large catalogue
const kept = new LRUCache<string, Programme | BraceModel>({ max: 8000 });

/** @returns the content registered under a hash, if any */
export async function registered<T extends Programme | BraceModel>(
  manager: EntityManager,
  sort: 'programme' | 'model',
  hash: string,
): Promise<T | undefined> {
  const key = `${sort} ${hash}`;
  const known = kept.get(key);
  if (known) return known as T;
  const row = await manager.getRepository(registeredEntity).findOneBy({ sort, hash });
  if (!row) return undefined;
  const content = sort === 'programme' ? programmeIn(row) : modelIn(row);
  kept.set(key, content);
  return content as T;
}

/** The models under some hashes, those already known without asking the database. */
export async function registeredModels(
  manager: EntityManager,
  hashes: readonly string[],
): Promise<BraceModel[]> {
  const missing = hashes.filter((hash) => !kept.has(`model ${hash}`));
  for (let at = 0; at < missing.length; at += 500) {
    const rows = await manager
      .getRepository(registeredEntity)
      .createQueryBuilder('registered')
      .where('registered.hash IN (:...hashes)', { hashes: missing.slice(at, at + 500) })
      .getMany();
    for (const row of rows) kept.set(`model ${row.hash}`, modelIn(row));
  }
  return hashes.flatMap((hash) => (kept.get(`model ${hash}`) as BraceModel | undefined) ?? []);
}

/** Whether a model can be worn by a case of a family, the family's own or one copied from it. */
export const fitsFamily = (model: BraceModel, programme: Programme): boolean =>
  (model.programme === programme.id || model.programme === programme.base) &&
  modelProblems(model, programme).length === 0;
