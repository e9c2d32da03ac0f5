import { randomBytes } from 'node:crypto';
import { createServer } from 'node:http';
import { createServer as createSecureServer } from 'node:https';
import { join } from 'node:path';
import { pino } from 'pino';
import { createStream } from 'rotating-file-stream';
import { dayOf } from '@estribo/core/calendar';
import { programmes } from '@estribo/core/programmes';
import { createApp } from './app';
import { carryForward } from './carry-forward';
import { rebuildSummaries } from './cases/rebuild';
import { ChartReader } from './catalogue/chart-reader';
import { register } from './catalogue/registry';
import { DatabaseSessionStore } from './clinic/session-store';
import { oneTimeCode } from './clinic/one-time-code';
import { diskState } from './disk';
import { DatabaseProblem, openDatabase } from './database/data-source';
import { clinicEntity } from './database/entities';
import { loadDemo } from './demo/load';
import { Pulse } from './health';
import { InstrumentHub } from './instruments/hub';
import { backUp } from './keeping/back-up';
import { KeepingProblem } from './keeping/files';
import { backUpAtNight } from './keeping/nightly';
import { markIn, restore } from './keeping/restore';
import { shipStandIns } from './instruments/stand-ins';
import type { Context } from './route';
import { sealClinic } from './sealing/seal';
import { openSealFolder } from './sealing/seal-key';
import { verifyClinic } from './sealing/verify';
import { certificateFor } from './tls';

const env = process.env;
const log = pino(
  { level: env.ESTRIBO_LOG ?? 'info' },
  // a file that is followed by the next when it is full, or standard output
  env.ESTRIBO_LOG_FOLDER
    ? createStream('server.log', { path: env.ESTRIBO_LOG_FOLDER, size: '10M', maxFiles: 10, mode: 0o600 })
    : pino.destination(1),
);
const stop = (line: string): never => {
  console.error(line);
  process.exit(1);
};

const url =
  env.ESTRIBO_DATABASE_URL ??
  stop('ESTRIBO_DATABASE_URL is not set. Start with npm run demo or npm start, or name a database.');
const sealFolder =
  env.ESTRIBO_SEAL_FOLDER ??
  stop(
    'ESTRIBO_SEAL_FOLDER is not set: the folder outside the database that keeps the secret and the seals.',
  );
const port = Number(env.ESTRIBO_PORT ?? 8080);
const now = () => new Date();

/** A worker runs what was built: beside this file, or from where it is written. */
const chartWorker = new URL(
  import.meta.url.endsWith('.ts') ? '../dist/chart-worker.mjs' : './chart-worker.mjs',
  import.meta.url,
);

/** The clinic is sealed this often when something was written. */
const sealEvery = 60_000;
/** Whether a back-up is due is asked this often. */
const backUpEvery = 10 * 60_000;

try {
  const [command, ...words] = process.argv.slice(2);
  // these two look at the database by themselves: nothing is migrated, nothing is made
  if (command === 'backup') process.exit(await backUpByHand(words));
  if (command === 'restore') process.exit(await restoreByHand(words));
  const db = await openDatabase(url, (line) => console.log(line), { patient: command !== undefined });
  const sealing = openSealFolder(sealFolder);
  for (const programme of programmes) await register(db, 'programme', programme);
  const clinics = db.getRepository(clinicEntity);
  const before = await clinics.findOneBy({ id: 1 });
  const carried = { zone: before?.zone ?? 'UTC', sealing, now: now(), anew: env.ESTRIBO_SEAL_ANEW === '1' };
  await carryForward(db, carried, (line) => console.log(line));
  if (env.ESTRIBO_DEMO === '1') await loadDemo(db, { log, now, sealing }, (line) => console.log(line));
  const clinic = await clinics.findOneBy({ id: 1 });
  const zone = clinic?.zone ?? 'UTC';
  // values of a stand-in are invented: they come with the demo clinic alone
  if (env.ESTRIBO_DEMO === '1') await shipStandIns(db, dayOf(now().toISOString(), zone), now());
  const context: Context = {
    db,
    log,
    now,
    hub: new InstrumentHub(),
    charts: new ChartReader(chartWorker),
    pulse: new Pulse(url),
    sealing,
    keeping: { url, command: env.ESTRIBO_BACKUP_COMMAND ?? 'npm run backup -- /path/of/a/folder' },
    clinic: {
      name: clinic?.name ?? '',
      zone,
      phone: clinic?.phone ?? null,
      emergency: clinic?.emergency ?? null,
      wearRule: clinic?.wearRule ?? null,
      letterhead: clinic?.letterhead ?? null,
    },
    ...(clinic ? {} : { setUpCode: oneTimeCode() }),
  };
  switch (command) {
    case 'rebuild':
      process.exit(await rebuild(context));
      break;
    case 'verify':
      process.exit(await verify(context));
      break;
    default:
      await serve(context);
  }
} catch (error) {
  stop(
    error instanceof DatabaseProblem || error instanceof KeepingProblem
      ? error.message
      : `Estribo cannot start: ${(error as Error).message}`,
  );
}

/** `backup FOLDER` */
async function backUpByHand(words: readonly string[]): Promise<number> {
  const into = words.find((word) => !word.startsWith('--'));
  if (!into) return stop('Say where to: npm run backup -- /path/of/a/folder [--clinic]');
  const { file, clinic, cases, proved } = await backUp({ url, sealFolder, into, now: now() });
  console.log(`${clinic}: ${cases} cases, kept in\n  ${file}`);
  console.log(
    proved
      ? `with a keyed hash and the seals. The secret ${join(sealFolder, 'key')} is not in it: keep a copy elsewhere.`
      : `without a keyed hash: there is no secret in ${sealFolder}. It can be restored with --unproved only.`,
  );
  return 0;
}

/** `restore FILE --yes [--drill] [--unproved --name NAME]` */
async function restoreByHand(words: readonly string[]): Promise<number> {
  const name = words.indexOf('--name');
  const named = name < 0 ? undefined : words[name + 1];
  const file = words.find((word, i) => !word.startsWith('--') && !(name >= 0 && i === name + 1));
  const drill = words.includes('--drill');
  if (!file)
    return stop(
      'Say which: npm run restore -- /path/estribo-….sql.gz [--clinic] --yes, or --drill to try it',
    );
  if (!drill && !words.includes('--yes'))
    return stop('This replaces everything in the database. Say so: add --yes. Or try it: add --drill.');
  const done = await restore({
    url,
    sealFolder,
    file,
    now: now(),
    drill,
    unproved: words.includes('--unproved'),
    anew: env.ESTRIBO_SEAL_ANEW === '1',
    ...(named === undefined ? {} : { named }),
    ...(env.ESTRIBO_DATABASE_FOLDER ? { mark: markIn(env.ESTRIBO_DATABASE_FOLDER) } : {}),
  });
  const { clinic, cases, entries, restoredTo, lostUpTo } = done;
  console.log(`${clinic}: ${cases} cases, ${entries} entries, everything holds.`);
  if (drill) console.log('Restored on trial: nothing was changed.');
  else
    console.log(
      lostUpTo > restoredTo
        ? `Restored to seal ${restoredTo}. What was sealed after it, up to ${lostUpTo}, is lost.`
        : `Restored to seal ${restoredTo}: nothing was sealed after it.`,
    );
  return 0;
}

/** @returns the exit code: 2 when something in the record does not hold */
async function rebuild({ db, clinic, sealing }: Context): Promise<number> {
  const { cases, differing, broken, failed } = await rebuildSummaries(db, clinic.zone, sealing);
  for (const { case: id, fields } of differing)
    console.log(`${id}: summary differed in ${fields.join(', ')}`);
  for (const { case: id, faults } of broken)
    console.log(`${id}: does not hold (${faults.map(({ what }) => what).join(', ')}); left as it was`);
  for (const { case: id, because } of failed) console.log(`${id}: cannot be computed (${because})`);
  console.log(
    `${cases} cases: ${differing.length} summaries rebuilt, ${broken.length} do not hold, ${failed.length} cannot be computed`,
  );
  await db.destroy();
  return broken.length + failed.length > 0 ? 2 : 0;
}

/** @returns the exit code: 2 when something does not hold */
async function verify({ db, sealing }: Context): Promise<number> {
  const { cases, entries, seals, faults } = await verifyClinic(db, sealing);
  for (const { case: id, content, seq, what } of faults)
    console.log(`${id ?? content ?? 'clinic'}${seq === undefined ? '' : ` ${seq}`}: ${what}`);
  console.log(
    `${cases} cases, ${entries} entries, ${seals} seals: ${faults.length === 0 ? 'everything holds' : `${faults.length} do not hold`}`,
  );
  await db.destroy();
  return faults.length > 0 ? 2 : 0;
}

async function serve(context: Context): Promise<void> {
  const { db, sealing, hub, pulse } = context;
  const store = new DatabaseSessionStore(db, now);
  const certificate = await certificateFor(
    { tls: env.ESTRIBO_TLS, cert: env.ESTRIBO_TLS_CERT, key: env.ESTRIBO_TLS_KEY },
    join(sealFolder, 'tls'),
    now(),
  );
  const seal = () =>
    sealClinic(db, sealing, now()).catch((error: unknown) => {
      log.error({ type: (error as Error).name, code: (error as { code?: string }).code }, 'not sealed');
    });
  await seal();
  const sealingTimer = setInterval(() => void seal(), sealEvery);
  const keeping = setInterval(() => {
    void backUpAtNight(context).then(
      (made) => made?.problem && console.error(`No back-up was made: ${made.problem}`),
      () => {},
    );
  }, backUpEvery);
  const watchDisk = async () => {
    if ((await diskState(sealFolder)) !== 'ok')
      console.error(
        `The disk is nearly full where ${sealFolder} lies. Free some space: nothing can be stored on a full one.`,
      );
  };
  await watchDisk();
  const watching = setInterval(() => void watchDisk(), 3600_000);
  const sweeping = setInterval(() => void store.sweep().catch(() => {}), 3600_000);
  const app = createApp(context, {
    store,
    sessionSecret: env.ESTRIBO_SESSION_SECRET ?? randomBytes(32).toString('hex'),
    strictTransport: certificate !== undefined && !certificate.own,
    ...(env.ESTRIBO_WEB_ROOT ? { webRoot: env.ESTRIBO_WEB_ROOT } : {}),
    ...(env.ESTRIBO_TRUST_PROXY ? { trustProxy: Number(env.ESTRIBO_TRUST_PROXY) } : {}),
    ...(env.ESTRIBO_SIGN_IN_TRIES ? { signInTries: Number(env.ESTRIBO_SIGN_IN_TRIES) } : {}),
  });
  const server = certificate ? createSecureServer(certificate, app) : createServer(app);
  server.on('error', (error: NodeJS.ErrnoException) =>
    stop(
      error.code === 'EADDRINUSE' ? `Port ${port} is taken. Set ESTRIBO_PORT to a free one.` : error.message,
    ),
  );
  server.listen(port, env.ESTRIBO_HOST ?? '127.0.0.1', () => {
    log.info({ port, tls: certificate !== undefined }, 'listening');
    if (context.setUpCode !== undefined)
      console.log(
        `This clinic is not set up yet. One-time code for its first administrator: ${context.setUpCode}`,
      );
  });
  const drain = () => {
    for (const timer of [keeping, watching]) clearInterval(timer);
    clearInterval(sweeping);
    clearInterval(sealingTimer);
    // requests under way are answered; idle connections are closed; ten seconds at most
    setTimeout(() => process.exit(1), 10_000).unref();
    hub.endAll();
    server.close(() => {
      pulse.end();
      void seal()
        .then(() => db.destroy())
        .then(() => process.exit(0));
    });
    server.closeIdleConnections();
  };
  process.once('SIGINT', drain);
  process.once('SIGTERM', drain);
}
