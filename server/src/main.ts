import { randomBytes } from 'node:crypto';
import { createServer } from 'node:http';
import { pino } from 'pino';
import { createApp } from './app';
import { DatabaseSessionStore } from './clinic/session-store';
import { rebuildSummaries } from './cases/rebuild';
import { register } from './catalogue/registry';
import { DatabaseProblem, openDatabase } from './database/data-source';
import { clinicEntity } from './database/entities';
import { loadDemo } from './demo/load';
import { dayOf } from '@estribo/core/calendar';
import { programmes } from '@estribo/core/programmes';
import { InstrumentHub } from './instruments/hub';
import { shipStandIns } from './instruments/stand-ins';

const log = pino({ level: process.env.ESTRIBO_LOG ?? 'info' });
const stop = (line: string): never => {
  console.error(line);
  process.exit(1);
};

const url =
  process.env.ESTRIBO_DATABASE_URL ??
  stop('ESTRIBO_DATABASE_URL is not set. Start with npm run demo, or name a database.');
const port = Number(process.env.ESTRIBO_PORT ?? 8080);
const now = () => new Date();

try {
  const db = await openDatabase(url, (line) => console.log(line));
  for (const programme of programmes) await register(db, 'programme', programme);
  if (process.env.ESTRIBO_DEMO === '1') await loadDemo(db, { log, now });
  const [clinic] = await db.getRepository(clinicEntity).find({ take: 1 });
  if (!clinic)
    stop('There is no clinic in the database yet. Start once with ESTRIBO_DEMO=1 to load the demo clinic.');
  const hub = new InstrumentHub();
  const context = { db, log, now, hub, clinic: { name: clinic!.name, zone: clinic!.zone } };
  await shipStandIns(db, dayOf(now().toISOString(), clinic!.zone));
  if (process.argv[2] === 'rebuild') {
    const { cases, differing, broken } = await rebuildSummaries(db, clinic!.zone);
    for (const { case: id, fields } of differing)
      console.log(`${id}: summary differed in ${fields.join(', ')}`);
    for (const { case: id, seq } of broken) console.log(`${id}: the chain does not hold from entry ${seq}`);
    console.log(`${cases} cases: ${differing.length} summaries rebuilt, ${broken.length} chains broken`);
    await db.destroy();
    process.exit(broken.length > 0 ? 2 : 0);
  }
  await serve(context);
} catch (error) {
  stop(
    error instanceof DatabaseProblem ? error.message : `Estribo cannot start: ${(error as Error).message}`,
  );
}

async function serve(context: Parameters<typeof createApp>[0]): Promise<void> {
  const store = new DatabaseSessionStore(context.db, now);
  const sweeping = setInterval(() => void store.sweep().catch(() => {}), 3600_000);
  const app = createApp(context, {
    store,
    sessionSecret: process.env.ESTRIBO_SESSION_SECRET ?? randomBytes(32).toString('hex'),
    ...(process.env.ESTRIBO_WEB_ROOT ? { webRoot: process.env.ESTRIBO_WEB_ROOT } : {}),
    ...(process.env.ESTRIBO_TRUST_PROXY ? { trustProxy: Number(process.env.ESTRIBO_TRUST_PROXY) } : {}),
    ...(process.env.ESTRIBO_SIGN_IN_TRIES ? { signInTries: Number(process.env.ESTRIBO_SIGN_IN_TRIES) } : {}),
  });
  const server = createServer(app);
  server.on('error', (error: NodeJS.ErrnoException) =>
    stop(
      error.code === 'EADDRINUSE' ? `Port ${port} is taken. Set ESTRIBO_PORT to a free one.` : error.message,
    ),
  );
  server.listen(port, process.env.ESTRIBO_HOST ?? '127.0.0.1', () => log.info({ port }, 'listening'));
  const drain = () => {
    clearInterval(sweeping);
    // requests under way are answered; idle connections are closed; ten seconds at most
    setTimeout(() => process.exit(1), 10_000).unref();
    context.hub.endAll();
    server.close(() => void context.db.destroy().then(() => process.exit(0)));
    server.closeIdleConnections();
  };
  process.once('SIGINT', drain);
  process.once('SIGTERM', drain);
}
