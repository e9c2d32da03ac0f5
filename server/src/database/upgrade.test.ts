import { copyFileSync, existsSync, mkdtempSync, readFileSync, readdirSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { gunzipSync } from 'node:zlib';
import { programmes } from '@estribo/core/programmes';
import { createConnection } from 'mysql2/promise';
import { pino } from 'pino';
import request from 'supertest';
import type { DataSource } from 'typeorm';
import { createApp } from '../app';
import { carryForward } from '../carry-forward';
import { rebuildSummaries } from '../cases/rebuild';
import { ChartReader } from '../catalogue/chart-reader';
import { register } from '../catalogue/registry';
import { DatabaseSessionStore } from '../clinic/session-store';
import { demoPassword } from '../demo/people';
import { Pulse } from '../health';
import { InstrumentHub } from '../instruments/hub';
import type { Context } from '../route';
import { sealClinic } from '../sealing/seal';
import { openSealFolder } from '../sealing/seal-key';
import { verifyClinic } from '../sealing/verify';
import { emptyDatabase } from '../test-clinic';
import { openDatabase } from './data-source';
import { caseEntity, entryEntity, registeredEntity, sealEntity } from './entities';

/** A dump of every schema that was released, with the demo clinic in it. */
const released = join(__dirname, 'released');
const dumps = readdirSync(released).filter((name) => name.endsWith('.sql.gz'));
const zone = 'Europe/Madrid';
const now = () => new Date('2026-11-26T09:00:00Z');

let url: string;
let drop: () => Promise<void>;
let folder: string;
let db: DataSource | undefined;
beforeEach(async () => {
  ({ url, drop } = await emptyDatabase());
  folder = mkdtempSync(join(tmpdir(), 'estribo-seal-'));
});
afterEach(async () => {
  if (db?.isInitialized) await db.destroy();
  await drop();
  rmSync(folder, { recursive: true, force: true });
});

/** Puts a dump into the empty database, and beside it the secret and the seals of the clinic it is of, where it had any. */
async function load(dump: string): Promise<void> {
  for (const file of ['key', 'seals']) {
    const kept = join(released, dump.replace('sql.gz', file));
    if (existsSync(kept)) copyFileSync(kept, join(folder, file));
  }
  const connection = await createConnection({ uri: url, multipleStatements: true });
  await connection.query(gunzipSync(readFileSync(join(released, dump))).toString('utf8'));
  await connection.end();
}

/** What a start does with a database of an older version. */
async function start(): Promise<string[]> {
  const said: string[] = [];
  db = await openDatabase(url, (line) => said.push(line));
  for (const programme of programmes) await register(db, 'programme', programme);
  const sealing = openSealFolder(folder);
  await carryForward(db, { zone, sealing, now: now(), anew: false }, (line) => said.push(line));
  return said;
}

test('every released schema but the newest has its dump', () => {
  const migrations = readdirSync(join(__dirname, 'migrations')).map((name) => name.slice(0, 4));
  expect(dumps.map((name) => name.slice(0, 4))).toEqual(migrations.sort().slice(0, -1));
});

/** Each schema by `npm run check:long`; the first, which goes through every migration, and the last each time. */
const upgraded = process.env.ESTRIBO_LONG === '1' ? dumps : [dumps[0]!, dumps.at(-1)!];

test.each(upgraded)('%s, with data in it, comes forward whole: lists, record, proof', async (dump) => {
  await load(dump);
  const connection = await createConnection(url);
  const [[before]] = (await connection.query(
    "SELECT (SELECT COUNT(*) FROM `case`) AS cases, (SELECT COUNT(*) FROM entry) AS entries, (SELECT COUNT(DISTINCT id) FROM registered WHERE sort = 'model') AS models",
  )) as unknown as [[{ cases: number; entries: number; models: number }]];

  await connection.end();
  expect(before.cases).toBeGreaterThan(8);

  await start();
  expect(await db!.getRepository(entryEntity).count()).toBe(before.entries);
  const sealing = openSealFolder(folder);
  await sealClinic(db!, sealing, now());
  expect(await verifyClinic(db!, sealing)).toEqual({
    cases: before.cases,
    entries: before.entries,
    seals: await db!.getRepository(sealEntity).count(),
    faults: [],
  });
  expect(await rebuildSummaries(db!, zone, sealing)).toMatchObject({
    cases: before.cases,
    differing: [],
    broken: [],
    failed: [],
  });
  const { upQueries } = await db!.driver.createSchemaBuilder().log();
  expect(upQueries.map(({ query }) => query)).toEqual([]);

  // as its people see it
  const context: Context = {
    db: db!,
    log: pino({ level: 'silent' }),
    now,
    clinic: { name: 'Upgraded', zone, phone: null, emergency: null, wearRule: null, letterhead: null },
    hub: new InstrumentHub(),
    charts: new ChartReader(''),
    pulse: new Pulse(url),
    sealing,
    keeping: { url, command: '' },
  };
  const app = createApp(context, {
    store: new DatabaseSessionStore(db!, now),
    sessionSecret: 'only for tests',
    signInTries: 1000,
  });
  const ana = request.agent(app);
  await ana.post('/api/session').send({ login: 'ana', password: demoPassword }).expect(200);
  const { body: cases } = await ana.get('/api/cases').expect(200);
  expect(cases.cases).toHaveLength(before.cases);
  const { body: models } = await ana.get('/api/catalogue/models').expect(200);
  expect(models.models).toHaveLength(before.models);
  const { body: bench } = await ana.get('/api/bench').expect(200);
  expect(bench.cases).toHaveLength(before.cases);
  for (const { case: id } of cases.cases as { case: string }[]) {
    const { body } = await ana.get(`/api/cases/${id}`).expect(200);
    expect(body.proof).toEqual({ holds: true, faults: [] });
  }
});

test('an interrupted upgrade goes on where it stopped, and a second start changes nothing', async () => {
  await load('0001.sql.gz');
  const connection = await createConnection(url);
  // as if the machine had gone down in the middle of the third migration: part of it is there, unrecorded
  await openDatabase(url).then((opened) => opened.destroy());
  await connection.query(
    "DELETE FROM migrations WHERE name LIKE 'ProofAndAudit%' OR name LIKE 'SessionsAndKeeping%'",
  );
  await connection.query('ALTER TABLE summary DROP FOREIGN KEY summary_of_case');
  await connection.query('DROP TABLE audit');
  await connection.query('DELETE FROM model');
  await connection.end();
  expect(await start()).toContain('The database has an older schema: migrating it.');
  await db!.destroy();
  expect(await start()).toEqual([]);
  // half of the keyed hashes gone while the secret is still the new one: they are made again
  await db!.query("UPDATE entry SET mac = '' WHERE seq > 3");
  rmSync(join(folder, 'key'));
  await expect(start()).rejects.toThrow(/ESTRIBO_SEAL_FOLDER.*ESTRIBO_SEAL_ANEW/s);
});

test('what does not hold by its own chain is not taken over, and goes on being named', async () => {
  await load('0002.sql.gz');
  db = await openDatabase(url);
  const [row] = await db.getRepository(caseEntity).find({ order: { id: 'ASC' }, take: 1 });
  await db.query(
    "UPDATE entry SET content = REPLACE(content, 'right', 'left') WHERE `case` = ? AND seq = 1",
    [row!.id],
  );
  await db.destroy();
  const said = await start();
  expect(said).toContain(`Case ${row!.id} does not hold by its own chain and was not taken over.`);
  const { faults } = await verifyClinic(db!, openSealFolder(folder));
  expect(new Set(faults.map((fault) => fault.case))).toEqual(new Set([row!.id]));
});

test('the newest content of a model of before is what the catalogue lists', async () => {
  await load('0001.sql.gz');
  await start();
  const registered = await db!.getRepository(registeredEntity).findBy({ sort: 'model' });
  const listed = await db!.query<{ id: string; hash: string }[]>('SELECT id, hash FROM model');
  for (const { id, hash } of listed)
    expect(registered.filter((one) => one.id === id).sort((a, b) => b.version - a.version)[0]!.hash).toBe(
      hash,
    );
});
