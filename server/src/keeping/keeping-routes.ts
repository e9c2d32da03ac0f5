import { faultAt, type FaultCode } from '@estribo/core/faults';
import { constants } from 'node:fs';
import { access, stat } from 'node:fs/promises';
import { isAbsolute, normalize } from 'node:path';
import { IsNull, Not } from 'typeorm';
import { number, object, string } from 'yup';
import { audit, changes } from '../audit/audit';
import { backupEntity, caseEntity, keepingEntity, sealEntity } from '../database/entities';
import { inTransaction } from '../database/transaction';
import { freeBytes, lowDisk } from '../disk';
import { faulty, Problem } from '../problem';
import type { Context, Route } from '../route';
import { keepingOf } from '../sealing/keeping';
import { valid } from '../valid';
import { backUpInto, drill } from './nightly';

const settings = object({
  folder: string().strict().trim().max(400).nullable().defined(),
  keep: number().strict().integer().min(1).max(400).required(),
})
  .strict()
  .noUnknown()
  .required();

/** @throws Problem 422 unless a back-up can be written into the folder */
async function checkFolder(folder: string): Promise<void> {
  const refuse = (code: FaultCode) => faulty(faultAt('folder', code));
  if (!isAbsolute(folder)) throw refuse('whole-path');
  const found = await stat(folder).catch(() => undefined);
  if (!found?.isDirectory()) throw refuse('no-folder');
  await access(folder, constants.W_OK).catch(() => {
    throw refuse('folder-not-writable');
  });
}

/** How the clinic is backed up: what was made, where to, the command for it, and a restore on trial. */
export function keepingRoutes(context: Context): Route[] {
  const { db, now, sealing, keeping } = context;
  const backups = () => db.getRepository(backupEntity);
  const folderSet = async (): Promise<string> => {
    const { folder } = await keepingOf(db.manager);
    if (folder === null) throw new Problem('no-folder');
    return folder;
  };
  return [
    {
      method: 'get',
      path: '/clinic/keeping',
      who: 'users.read',
      handle: async (_req, res) => {
        const [made, sealed, cases, { folder, keep }, [drilled], free] = await Promise.all([
          backups().find({ order: { n: 'DESC' }, take: 10 }),
          db.getRepository(sealEntity).findOne({ where: {}, order: { n: 'DESC' } }),
          db.getRepository(caseEntity).count(),
          keepingOf(db.manager),
          backups().find({ where: { drilledAt: Not(IsNull()) }, order: { drilledAt: 'DESC' }, take: 1 }),
          freeBytes(sealing.path),
        ]);
        res.json({
          backups: made,
          sealedAt: sealed?.at ?? null,
          cases,
          now: now(),
          command: keeping.command,
          folder,
          keep,
          drilled: drilled ?? null,
          free: free ?? null,
          low: (free ?? Infinity) < lowDisk,
        });
      },
    },
    {
      method: 'put',
      path: '/clinic/keeping',
      who: 'users.write',
      handle: async (req, res, by) => {
        const sent = valid(settings, req.body);
        const folder = sent.folder === null || sent.folder === '' ? null : normalize(sent.folder);
        if (folder !== null) await checkFolder(folder);
        const next = { folder, keep: sent.keep };
        await keepingOf(db.manager);
        await inTransaction(db, async (manager) => {
          const rows = manager.getRepository(keepingEntity);
          const before = await rows.findOneOrFail({ where: { id: 1 }, lock: { mode: 'pessimistic_write' } });
          await rows.update({ id: 1 }, next);
          await audit(manager, {
            at: now(),
            user: by.id,
            action: 'keeping.changed',
            subject: by.id,
            detail: changes({ folder: before.folder, keep: before.keep }, next),
          });
        });
        res.json(next);
      },
    },
    {
      method: 'post',
      path: '/clinic/keeping/backup',
      who: 'users.write',
      handle: async (_req, res) => {
        const made = await backUpInto(context, await folderSet(), false);
        if (made.problem !== null) throw new Problem('back-up-failed', { why: made.problem });
        res.status(201).json(made);
      },
    },
    {
      // the newest one is restored into a second database, verified there and thrown away
      method: 'post',
      path: '/clinic/keeping/drill',
      who: 'users.write',
      handle: async (_req, res) => {
        const [newest] = await backups().find({
          where: { problem: IsNull(), folder: Not(IsNull()) },
          order: { n: 'DESC' },
          take: 1,
        });
        if (!newest) throw new Problem('no-back-up');
        res.json(await drill(context, newest));
      },
    },
  ];
}
