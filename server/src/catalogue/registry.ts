import {
  modelProblems,
  modelSchema,
  pinOf,
  programmeSchema,
  type BraceModel,
  type Pin,
  type Programme,
} from '@estribo/core/programmes';
import { LRUCache } from 'lru-cache';
import type { DataSource, EntityManager } from 'typeorm';
import { registeredEntity } from '../database/entities';

/**
 * Registers content under its hash, once. The same version with other content is refused: cases hold on to it.
 * @throws Error when the content is not valid or its version is taken by other content
 */
export async function register(
  db: DataSource,
  sort: 'programme' | 'model',
  content: Programme | BraceModel,
): Promise<Pin> {
  const schema = sort === 'programme' ? programmeSchema : modelSchema;
  schema.validateSync(content, { strict: true });
  const pin = pinOf(content);
  const rows = db.getRepository(registeredEntity);
  const taken = await rows.findOneBy({ sort, id: pin.id, version: pin.version });
  if (taken && taken.hash !== pin.hash)
    throw new Error(`${sort} ${pin.id} version ${pin.version} has changed: give it a new version`);
  if (!taken) await rows.insert({ ...pin, sort, body: content });
  return pin;
}

// content under a hash never changes: kept for good, up to a bound
const kept = new LRUCache<string, Programme | BraceModel>({ max: 500 });

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
  if (row) kept.set(key, row.body as T);
  return row ? (row.body as T) : undefined;
}

/** The newest version of each model of a family that leaves nothing out. */
export async function modelsOf(
  db: DataSource,
  programme: Programme,
): Promise<{ pin: Pin; model: BraceModel }[]> {
  const rows = await db
    .getRepository(registeredEntity)
    .find({ where: { sort: 'model' }, order: { id: 'ASC', version: 'DESC' } });
  const newest = rows.filter((row, i) => rows[i - 1]?.id !== row.id);
  return newest
    .map(({ id, version, hash, body }) => ({ pin: { id, version, hash }, model: body as BraceModel }))
    .filter(({ model }) => model.programme === programme.id && modelProblems(model, programme).length === 0);
}
