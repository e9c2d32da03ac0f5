import { brokenLink } from '@estribo/core/logbook';
import { isDeepStrictEqual } from 'node:util';
import type { DataSource } from 'typeorm';
import { caseEntity, entryEntity, personEntity, summaryEntity } from '../database/entities';
import { entriesAfter, foldOf } from './record';
import { summaryOf, writePairs } from './summary';

export interface Rebuilt {
  cases: number;
  /** cases whose summary was not what their entries give, by field */
  differing: { case: string; fields: string[] }[];
  /** cases whose chain does not hold, with the seq of the first bad link */
  broken: { case: string; seq: number }[];
}

/** Computes every summary again from the entries, writes it, and reports where it differed. */
export async function rebuildSummaries(db: DataSource, zone: string): Promise<Rebuilt> {
  const result: Rebuilt = { cases: 0, differing: [], broken: [] };
  for (let skip = 0; ; skip += 100) {
    const rows = await db.getRepository(caseEntity).find({ order: { id: 'ASC' }, skip, take: 100 });
    for (const { id } of rows) {
      result.cases += 1;
      await db.transaction(async (manager) => {
        // the lock keeps an append from slipping in between reading and writing
        const row = await manager
          .getRepository(caseEntity)
          .findOneOrFail({ where: { id }, lock: { mode: 'pessimistic_write' } });
        const links = await manager.getRepository(entryEntity).find({
          where: { case: id },
          order: { seq: 'ASC' },
          select: { case: true, seq: true, salted: true, hash: true },
        });
        const bad = brokenLink(links);
        if (bad !== undefined) result.broken.push({ case: id, seq: links[bad]!.seq });
        const state = await foldOf(manager, row, await entriesAfter(manager, id, 0), zone);
        if (!state) return;
        const { familyFirst } = await manager.getRepository(personEntity).findOneByOrFail({ id: row.person });
        const summary = summaryOf(state, familyFirst);
        await writePairs(manager, undefined, state);
        const stored = await manager.getRepository(summaryEntity).findOneBy({ case: id });
        const fields = Object.keys(summary).filter(
          (field) =>
            !isDeepStrictEqual(
              summary[field as keyof typeof summary],
              stored?.[field as keyof typeof summary],
            ),
        );
        if (fields.length === 0) return;
        result.differing.push({ case: id, fields });
        await manager.getRepository(summaryEntity).upsert(summary, ['case']);
      });
    }
    if (rows.length < 100) return result;
  }
}
