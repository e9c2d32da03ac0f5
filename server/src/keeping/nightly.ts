import { rmSync } from 'node:fs';
import { basename, join } from 'node:path';
import { addDays, dayOf, instantOn } from '@estribo/core/calendar';
import { IsNull, Not } from 'typeorm';
import { backupEntity, type BackupRow } from '../database/entities';
import type { Context } from '../route';
import { keepingOf } from '../sealing/keeping';
import { backUp, besides } from './back-up';
import { KeepingProblem } from './files';
import { restore } from './restore';

/** The clinic backs itself up when its clock has passed this: nobody works then. */
const backsUpAt = '02:00';
/** One that failed is tried again after this. */
const triesAgain = 3600_000;
/** A back-up is restored on trial this often. */
const drillEvery = 7 * 86_400_000;

/** Whether the last back-up is of before the last night. */
export function isBackUpDue(now: Date, zone: string, last: Date | undefined): boolean {
  const today = dayOf(now.toISOString(), zone);
  const nights = [today, addDays(today, -1)].map((day) => Date.parse(instantOn(day, backsUpAt, zone)));
  const latest = nights.find((night) => night <= now.getTime())!;
  return last === undefined || last.getTime() < latest;
}

/**
 * Makes the night's back-up when it is due, into the folder that is set on the Clinic page, keeps so many, and now and then
 * restores the newest one on trial. What went wrong is noted for that page.
 */
export async function backUpAtNight(context: Context): Promise<BackupRow | undefined> {
  const { db, clinic, now } = context;
  const { folder } = await keepingOf(db.manager);
  if (folder === null) return undefined;
  const rows = db.getRepository(backupEntity);
  const [last] = await rows.find({ where: { nightly: true }, order: { n: 'DESC' }, take: 1 });
  if (last && last.problem !== null && now().getTime() - last.at.getTime() < triesAgain) return undefined;
  const [good] = await rows.find({
    where: { nightly: true, problem: IsNull() },
    order: { n: 'DESC' },
    take: 1,
  });
  if (!isBackUpDue(now(), clinic.zone, good?.at)) return undefined;
  const made = await backUpInto(context, folder, true);
  if (made.problem !== null) return made;
  await thinOut(context, folder);
  const [drilled] = await rows.find({
    where: { drilledAt: Not(IsNull()) },
    order: { drilledAt: 'DESC' },
    take: 1,
  });
  return !drilled || now().getTime() - drilled.drilledAt!.getTime() >= drillEvery
    ? drill(context, made)
    : made;
}

/** Makes a back-up and notes it, or why there is none. */
export async function backUpInto(
  { db, now, sealing, keeping: { url } }: Context,
  folder: string,
  nightly: boolean,
): Promise<BackupRow> {
  const rows = db.getRepository(backupEntity);
  const at = now();
  try {
    await backUp({ url, sealFolder: sealing.path, into: folder, now: at, nightly });
  } catch (error) {
    await rows.insert({
      at,
      file: '',
      bytes: 0,
      folder,
      nightly,
      problem: problemOf(error),
      drilledAt: null,
      drillProblem: null,
    });
  }
  const [made] = await rows.find({ order: { n: 'DESC' }, take: 1 });
  return made!;
}

/** Restores a back-up into a second database, verifies it there and throws it away. */
export async function drill(
  { db, now, sealing, keeping: { url } }: Context,
  made: BackupRow,
): Promise<BackupRow> {
  const rows = db.getRepository(backupEntity);
  let drillProblem: string | null = null;
  try {
    const file = join(made.folder ?? '', made.file);
    await restore({ url, sealFolder: sealing.path, file, now: now(), drill: true });
  } catch (error) {
    drillProblem = problemOf(error);
  }
  await rows.update({ n: made.n }, { drilledAt: now(), drillProblem });
  return rows.findOneByOrFail({ n: made.n });
}

/** Takes away nightly back-ups beyond those that are kept. One made by hand is never touched. */
async function thinOut({ db }: Context, folder: string): Promise<void> {
  const { keep } = await keepingOf(db.manager);
  const rows = db.getRepository(backupEntity);
  const all = await rows.find({ where: { nightly: true, folder, problem: IsNull() }, order: { n: 'DESC' } });
  for (const { n, file } of all.slice(keep)) {
    const path = join(folder, basename(file));
    for (const one of [path, ...besides.map((end) => `${path}.${end}`)]) rmSync(one, { force: true });
    await rows.delete({ n });
  }
}

/** What an operator may read of an error: our own words, or its kind alone. */
const problemOf = (error: unknown): string =>
  (error instanceof KeepingProblem ? error.message : ((error as Error).message ?? 'failed')).slice(0, 400);
