import { Not, type DataSource } from 'typeorm';
import { audit } from './audit/audit';
import { listAll } from './catalogue/registry';
import { rebuildOlder } from './cases/rebuild';
import { fillPersonWords } from './people/search-words';
import { checkKey, markKey } from './sealing/keeping';
import { repairFormerKinds } from './sealing/repair';
import { takeOver } from './sealing/take-over';
import type { SealFolder } from './sealing/seal-key';
import { caseEntity } from './database/entities';
import { DatabaseProblem } from './database/data-source';

/**
 * Brings what an older version has left up to this one, beyond its tables: the catalogue's list, the keyed
 * hashes, the summaries. Every step looks at what is there, so that an interrupted start goes on.
 * @param report told what was done
 * @throws DatabaseProblem when the secret that the database was hashed with is not here, or another clinic's is
 */
export async function carryForward(
  db: DataSource,
  { zone, sealing, now, anew }: { zone: string; sealing: SealFolder; now: Date; anew: boolean },
  report: (line: string) => void,
): Promise<void> {
  // an interrupted taking-over goes on with its own new secret
  if (!sealing.fresh) await checkKey(db, sealing);
  const listed = await listAll(db);
  if (listed > 0) report(`The catalogue lists ${listed} models of before.`);
  await fillPersonWords(db);
  if (sealing.fresh) {
    const hashed = await db.getRepository(caseEntity).existsBy({ mac: Not('') });
    // an interrupted taking-over leaves hashes of its own secret behind, which are made again
    if (hashed && !sealing.begun && !anew)
      throw new DatabaseProblem(
        'The secret that this database is sealed with is not in ESTRIBO_SEAL_FOLDER. Put its "key" back from where it is kept; ' +
          'if it is lost, start once with ESTRIBO_SEAL_ANEW=1: what was written before is then proved by its own chain alone, and the audit says so.',
      );
    const { cases, unsound } = await takeOver(db, sealing);
    await markKey(db.manager, sealing);
    if (cases + unsound.length > 0) {
      await audit(db, {
        at: now,
        user: null,
        action: 'record.taken-over',
        subject: 'clinic',
        detail: { now: { cases, unsound: unsound.length, anew } },
      });
      report(`${cases} cases are sealed with the clinic's secret.`);
    }
    for (const id of unsound) report(`Case ${id} does not hold by its own chain and was not taken over.`);
  }
  const repaired = await repairFormerKinds(db, now);
  if (repaired > 0) report(`${repaired} entries of former kinds are stored as they were hashed.`);
  const { cases, broken, failed } = await rebuildOlder(db, zone, sealing);
  if (cases > 0) report(`${cases} summaries of before were computed anew.`);
  for (const { case: id } of broken) report(`Case ${id} does not hold: its summary was left as it was.`);
  for (const { case: id, because } of failed) report(`Case ${id} could not be computed (${because}).`);
}
