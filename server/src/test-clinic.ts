import { carryOn, measureAll } from '../../core/src/findings/test-whole-case';
import { testLogbook } from '../../core/src/logbook/test-case';
import { decideSize } from '@estribo/core/sizing';
import { decideSetting } from '@estribo/core/setting';
import { limitsOf } from '@estribo/core/order';
import { mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { roles, type Role } from '@estribo/core/access';
import { pinOf, programmes, type Pin } from '@estribo/core/programmes';
import { dayOf } from '@estribo/core/calendar';
import { foldCase, kinds, type BodyOf, type KindName } from '@estribo/core/logbook';
import type { EntryStage } from '@estribo/core/record';
import type { Express } from 'express';
import { createConnection, type Connection, type RowDataPacket } from 'mysql2/promise';
import { pino } from 'pino';
import request from 'supertest';
import { v7 } from 'uuid';
import { createApp } from './app';
import { entriesOf, foldOf } from './cases/record';
import { ChartReader } from './catalogue/chart-reader';
import { register } from './catalogue/registry';
import { hashPassword } from './clinic/password';
import { DatabaseSessionStore } from './clinic/session-store';
import { openDatabase } from './database/data-source';
import { caseEntity, clinicEntity, personEntity, userEntity } from './database/entities';
import { demoModels } from './demo/models';
import { Pulse } from './health';
import { InstrumentHub } from './instruments/hub';
import { shipStandIns } from './instruments/stand-ins';
import { fillPersonWords } from './people/search-words';
import type { Context } from './route';
import { openSealFolder } from './sealing/seal-key';

const knee = { joint: 'knee', plane: 'sagittal' } as const;

/** The worker that reads chart files; "npm test" builds it first. */
const testChartWorker = join(__dirname, '../dist/chart-worker.mjs');

type Agent = ReturnType<typeof request.agent>;

export interface TestClinic {
  context: Context;
  app: Express;
  person: string;
  programme: Pin;
  model: Pin;
  userOf: (role: Role) => string;
  as: (role: Role) => Promise<Agent>;
  /** an entry by a role, complete but for what the test gives */
  entry: <K extends KindName>(
    kind: K,
    stage: EntryStage,
    body: BodyOf<K>,
    more?: object,
    role?: Role,
  ) => SentEntry;
  opened: (id?: string) => SentEntry;
  close: () => Promise<void>;
}

export interface SentEntry {
  id: string;
  case: string;
  by: string;
  kind: string;
  body: object;
  [key: string]: unknown;
}

export const testPassword = 'a long enough password';

const testServer = (): string => {
  const server = process.env.ESTRIBO_TEST_DATABASE_URL;
  if (!server) throw new Error('These tests need a database: run "npm test -- unit <file>" instead of jest.');
  return server;
};

const urlOf = (name: string): string => testServer().replace(/\/[^/]*$/, `/${name}`);

/** Does something at the test server, outside every database. */
async function atServer<T>(work: (connection: Connection) => Promise<T>): Promise<T> {
  const connection = await createConnection({ uri: testServer(), multipleStatements: true });
  try {
    return await work(connection);
  } finally {
    await connection.end();
  }
}

/** An empty database of its own on the test server. */
export async function emptyDatabase(): Promise<{ url: string; name: string; drop: () => Promise<void> }> {
  const name = `estribo_${v7().replaceAll('-', '')}`;
  await atServer((connection) =>
    connection.query(`CREATE DATABASE \`${name}\` CHARACTER SET utf8mb4 COLLATE utf8mb4_unicode_ci`),
  );
  return {
    url: urlOf(name),
    name,
    drop: () => atServer(async (connection) => void (await connection.query(`DROP DATABASE \`${name}\``))),
  };
}

const clinicOfTests = {
  name: 'Test workshop',
  zone: 'Europe/Madrid',
  phone: null,
  emergency: null,
  wearRule: null,
  letterhead: null,
};

/** What every clinic of a test begins with: families, demo models, a user of each role and a person. */
async function fillClinic(url: string): Promise<void> {
  const db = await openDatabase(url);
  await db.getRepository(clinicEntity).insert({ id: 1, ...clinicOfTests });
  for (const programme of programmes) await register(db, 'programme', programme);
  for (const model of demoModels) await register(db, 'model', model);
  const passwordHash = await hashPassword(testPassword);
  await db
    .getRepository(userEntity)
    .insert(
      roles.map((role) => ({ id: v7(), login: role, name: `The ${role}`, role, passwordHash, active: true })),
    );
  await db.getRepository(personEntity).insert({
    id: v7(),
    givenName: 'Iria',
    familyName: 'Castrelo',
    givenFirst: 'Iria Castrelo',
    familyFirst: 'Castrelo Iria',
    born: '1998-04-12',
  });
  await fillPersonWords(db);
  await db.destroy();
}

/**
 * The statements that make a clinic of a test, table by table and row by row. The first test file of a run fills one clinic, and
 * the others read it from there: to migrate and fill a database takes longer than most tests.
 */
const template = lazily(async (): Promise<string> => {
  const name = `estribo_of_run_${jest.getSeed()}`;
  return atServer(async (connection) => {
    await connection.query(`SELECT GET_LOCK('${name}', 600)`);
    const [[made]] = await connection.query<RowDataPacket[]>(
      'SELECT COUNT(*) AS is_made FROM information_schema.schemata WHERE schema_name = ?',
      [name],
    );
    if (Number(made!.is_made) === 0) {
      const filled = await emptyDatabase();
      await fillClinic(filled.url);
      await connection.query(`CREATE DATABASE \`${name}\` CHARACTER SET utf8mb4 COLLATE utf8mb4_unicode_ci`);
      await connection.query(`USE \`${name}\`; ${await copyOf(connection, filled.name)}`);
      await filled.drop();
    }
    await connection.query(`SELECT RELEASE_LOCK('${name}')`);
    return copyOf(connection, name);
  });
});

/** The statements that make in the database in use what another one holds. */
async function copyOf(connection: Connection, from: string): Promise<string> {
  const [tables] = await connection.query<RowDataPacket[]>(
    "SELECT table_name AS name FROM information_schema.tables WHERE table_schema = ? AND table_type = 'BASE TABLE'",
    [from],
  );
  const made = ['SET foreign_key_checks = 0', 'SET unique_checks = 0'];
  for (const { name } of tables) {
    const [[shown]] = await connection.query<RowDataPacket[]>(`SHOW CREATE TABLE \`${from}\`.\`${name}\``);
    made.push(shown!['Create Table'] as string);
    const [[one]] = await connection.query<RowDataPacket[]>(
      `SELECT COUNT(*) AS rows_in FROM \`${from}\`.\`${name}\``,
    );
    if (Number(one!.rows_in) > 0) made.push(`INSERT INTO \`${name}\` SELECT * FROM \`${from}\`.\`${name}\``);
  }
  return made.join(';\n');
}

/** What is made the first time it is asked for. */
function lazily<T>(make: () => Promise<T>): () => Promise<T> {
  let made: Promise<T> | undefined;
  return () => (made ??= make());
}

/** A clinic with one user of each role, one person and the demo models, on a database of its own. */
export async function testClinic(
  options: { signInTries?: number; now?: () => Date; trustProxy?: number } = {},
): Promise<TestClinic> {
  const statements = await template();
  const { url, name, drop } = await emptyDatabase();
  await atServer((connection) => connection.query(`USE \`${name}\`; ${statements}`));
  const db = await openDatabase(url);
  const clinic = { ...clinicOfTests };
  // days that tests name are of this one's time: no test hangs on the machine's clock
  const now = options.now ?? (() => new Date('2026-11-24T09:30:00.000Z'));
  const folder = mkdtempSync(join(tmpdir(), 'estribo-seal-'));
  const sealing = openSealFolder(folder);
  sealing.settle();
  const context: Context = {
    db,
    log: pino({ level: 'silent' }),
    now,
    clinic,
    hub: new InstrumentHub(),
    charts: new ChartReader(testChartWorker),
    pulse: new Pulse(url),
    sealing,
    keeping: { url, command: 'npm run backup -- /path/of/a/folder' },
  };
  await shipStandIns(db, '2026-11-24', now());
  const users = await db.getRepository(userEntity).find();
  const { id: person } = await db.getRepository(personEntity).findOneByOrFail({});
  const app = createApp(context, {
    store: new DatabaseSessionStore(db, now),
    sessionSecret: 'only for tests',
    signInTries: options.signInTries ?? 1000,
    ...(options.trustProxy === undefined ? {} : { trustProxy: options.trustProxy }),
  });
  const userOf = (role: Role) => users.find((user) => user.role === role)!.id;
  const agents = new Map<Role, Agent>();
  const [programme, model] = [
    pinOf(programmes.find(({ id }) => id === demoModels[0]!.programme)!),
    pinOf(demoModels[0]!),
  ];
  const caseId = v7();
  const entry: TestClinic['entry'] = (kind, stage, body, more = {}, role = 'orthotist') => ({
    id: v7(),
    case: caseId,
    stage,
    kind,
    v: kinds[kind].v,
    observedAt: now().toISOString(),
    zone: 'Europe/Madrid',
    by: userOf(role),
    body,
    ...more,
  });
  return {
    context,
    app,
    person,
    programme,
    model,
    userOf,
    as: async (role) => {
      const known = agents.get(role);
      if (known) return known;
      const agent = request.agent(app);
      await agent.post('/api/session').send({ login: role, password: testPassword }).expect(200);
      agents.set(role, agent);
      return agent;
    },
    entry,
    opened: (id = caseId) => ({
      ...entry('case.opened', 'case', { person, side: 'right', programme, model }),
      case: id,
    }),
    close: async () => {
      context.pulse.end();
      rmSync(folder, { recursive: true, force: true });
      await db.destroy();
      await drop();
    },
  };
}

export const soundOrder: BodyOf<'order.given'> = {
  diagnosis: 'Ligament reconstruction',
  prescriber: 'Dr Elva Nogueira',
  side: 'right',
  dayZero: '2026-11-07',
  phases: [
    { fromDay: 0, limits: limitsOf(knee, { extension: 10, flexion: 60 }) },
    { fromDay: 14, limits: limitsOf(knee, { extension: 5, flexion: 90 }) },
  ],
  protective: true,
  wearing: 'day and night',
  trouble: 'keep-on',
};

/** The stops a case has to choose from its entries, as the browser would send them. */
export async function stopsFor(clinic: TestClinic, id: string): Promise<BodyOf<'set.chosen'>> {
  const { db, clinic: place, now } = clinic.context;
  const row = await db.getRepository(caseEntity).findOneByOrFail({ id });
  const state = await foldOf(db.manager, row, await entriesOf(db.manager, id), place.zone);
  return decideSetting(state!, 'hinge-stops', dayOf(now().toISOString(), place.zone), true)!;
}

/** The stops of both hinges as a setting that was made. */
export const stopsIn = (extension: number, flexion: number | null): BodyOf<'set.made'> => ({
  setting: 'hinge-stops',
  values: ['medial', 'lateral'].flatMap((hinge) => [
    { place: `${hinge}-extension`, value: extension },
    { place: `${hinge}-flexion`, value: flexion },
  ]),
  moved: true,
});

/**
 * A case of the test's frame as the browser would send it from the first look to a signature of "pass", entry by entry.
 * @param id of the case
 * @param order what of the order is otherwise
 */
export function signedEntries(
  clinic: TestClinic,
  id: string,
  order: Partial<BodyOf<'order.given'>> = {},
): SentEntry[] {
  const model = demoModels[0]!;
  const context = {
    programme: programmes.find((one) => one.id === model.programme)!,
    model,
    zone: clinic.context.clinic.zone,
  };
  const log = testLogbook(context);
  const state = () => foldCase(log.entries, context)!;
  log.looked();
  log.write('circulation.noted', { left: { pulse: 'felt' }, right: { pulse: 'felt' } });
  log.order({ ...soundOrder, ...order });
  measureAll(log, state);
  log.write('size.chosen', decideSize(state())!);
  carryOn(log, state);
  const ids = new Map(log.entries.map((entry) => [entry.id, v7()]));
  const named = <T>(value: T): T =>
    JSON.parse(
      JSON.stringify(value, (_, one: unknown) => (typeof one === 'string' ? (ids.get(one) ?? one) : one)),
    ) as T;
  return [
    clinic.opened(id),
    ...log.entries.slice(1).map((entry) => ({
      ...clinic.entry(entry.kind, entry.stage, named(entry.body), {
        ...(kinds[entry.kind].nature === 'intent' ? { expects: null } : {}),
      }),
      id: ids.get(entry.id)!,
      case: id,
    })),
  ];
}
