import type { DataSource } from 'typeorm';
import { caseEntity } from '../database/entities';

/** The id of every case there is, in rising order, read in pages: new ones may come meanwhile. */
export async function* everyCase(db: DataSource): AsyncGenerator<string> {
  for (let after = ''; ;) {
    const rows = await db
      .getRepository(caseEntity)
      .createQueryBuilder('one')
      .select('one.id')
      .where('one.id > :after', { after })
      .orderBy('one.id')
      .take(500)
      .getMany();
    for (const { id } of rows) yield id;
    const last = rows.at(-1);
    if (!last) return;
    after = last.id;
  }
}
