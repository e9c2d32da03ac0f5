import {
  copyFileSync,
  existsSync,
  mkdirSync,
  mkdtempSync,
  readdirSync,
  readFileSync,
  rmSync,
  writeFileSync,
} from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { gunzipSync, gzipSync } from 'node:zlib';
import { createConnection } from 'mysql2/promise';
import { v7 } from 'uuid';
import { openDatabase } from '../database/data-source';
import { backupEntity, caseEntity, entryEntity, keepingEntity } from '../database/entities';
import { keepingOf, markKey } from '../sealing/keeping';
import { sealClinic } from '../sealing/seal';
import { openSealFolder } from '../sealing/seal-key';
import { sealLines, verifyClinic } from '../sealing/verify';
import { emptyDatabase, testClinic, type TestClinic } from '../test-clinic';
import { backUp } from './back-up';
import { besideOf } from './files';
import { backUpAtNight, isBackUpDue } from './nightly';
import { restore, type RestoreOptions } from './restore';

// The drill: back up, lose, restore, verify, work on; and every file that must not be restored.

let clinic: TestClinic;
let folder: string;
let time = new Date('2026-11-24T09:00:00Z');
beforeEach(async () => {
  time = new Date('2026-11-24T09:00:00Z');
  clinic = await testClinic({ now: () => time });
  await markKey(clinic.context.db.manager, clinic.context.sealing);
  folder = mkdtempSync(join(tmpdir(), 'estribo-keeping-'));
});
afterEach(async () => {
  await clinic.close();
  rmSync(folder, { recursive: true, force: true });
});

const url = () => clinic.context.keeping.url;
const sealFolder = () => clinic.context.sealing.path;
const seal = () => sealClinic(clinic.context.db, clinic.context.sealing, time);
const faults = async () => (await verifyClinic(clinic.context.db, clinic.context.sealing)).faults;
const make = () => backUp({ url: url(), sealFolder: sealFolder(), into: folder, now: time });
const put = (file: string, more: Partial<RestoreOptions> = {}) =>
  restore({ url: url(), sealFolder: sealFolder(), file, now: time, ...more });

async function openCase(): Promise<string> {
  const id = v7();
  await (await clinic.as('orthotist')).post(`/api/cases/${id}/entries`).send(clinic.opened(id)).expect(201);
  return id;
}
const note = async (id: string, text: string) =>
  (await clinic.as('orthotist'))
    .post(`/api/cases/${id}/entries`)
    .send({ ...clinic.entry('case.noted', 'case', { text }), case: id });

/** What is in the clinic, to be held against itself after a restore that was refused. */
const contents = async () => ({
  entries: await clinic.context.db.getRepository(entryEntity).count(),
  cases: (await clinic.context.db.getRepository(caseEntity).find({ order: { id: 'ASC' } })).map(
    ({ id, head }) => [id, head],
  ),
});
const databases = async () =>
  (await clinic.context.db.query<Record<string, string>[]>('SHOW DATABASES')).flatMap((row) =>
    Object.values(row),
  );

/** The words of a refusal, which changes nothing and leaves nothing behind. */
async function refused(work: () => Promise<unknown>): Promise<string> {
  const before = await contents();
  const mark = join(folder, 'restoring');
  const said = await work().then(
    () => 'not refused',
    (error: Error) => error.message,
  );
  expect(await contents()).toEqual(before);
  expect(existsSync(mark)).toBe(false);
  expect((await databases()).filter((name) => /_(restoring|replaced|drill)$/.test(name))).toEqual([]);
  expect(said.split('\n')).toHaveLength(1);
  return said;
}

test('what was backed up is there and holds; numbers of seals go on, and ordinary work afterwards verifies clean', async () => {
  const kept = await openCase();
  await seal();
  const { file, cases, clinic: name, proved } = await make();
  expect([cases, name, proved]).toEqual([1, 'Test workshop', true]);
  const lost = await openCase();
  await seal();
  await note(kept, 'written after the back-up');
  await seal();
  await clinic.context.db.query('SET FOREIGN_KEY_CHECKS = 0');
  for (const table of ['entry', 'summary', 'person_word'])
    await clinic.context.db.query(`DELETE FROM \`${table}\``);

  expect(await put(file, { mark: join(folder, 'restoring') })).toMatchObject({
    clinic: 'Test workshop',
    cases: 1,
    entries: 1,
    proved: true,
    restoredTo: 1,
    lostUpTo: 3,
  });
  const entries = clinic.context.db.getRepository(entryEntity);
  expect([await entries.countBy({ case: kept }), await entries.countBy({ case: lost })]).toEqual([1, 0]);
  expect(await faults()).toEqual([]);
  expect(readFileSync(clinic.context.sealing.seals, 'utf8').trim().split('\n').at(-1)).toMatch(
    /^4 \S+ 0 [0-9a-f]{64} restored to 1$/,
  );

  const { upQueries } = await clinic.context.db.driver.createSchemaBuilder().log();
  expect(upQueries.map(({ query }) => query)).toEqual([]);
  // a foreign key still holds between the tables that changed places
  const apart = await createConnection(url());
  await expect(apart.query('DELETE FROM `case`')).rejects.toThrow(/foreign key/);
  await apart.end();

  // sessions are not in a back-up: everybody signs in again, as at a fresh start of the server
  jest.resetModules();
  const { appendEntry } = await import('../cases/append');
  const user = {
    id: clinic.userOf('orthotist'),
    name: '',
    role: 'orthotist',
    language: 'en',
    threeFingers: null,
  } as const;
  for (let i = 0; i < 3; i += 1) {
    await appendEntry(clinic.context, user, kept, {
      ...clinic.entry('case.noted', 'case', { text: `after ${i}` }),
      case: kept,
    });
    await seal();
  }
  expect(await faults()).toEqual([]);
  expect([...sealLines(clinic.context.sealing.seals).keys()]).toEqual([1, 2, 3, 4, 5, 6, 7]);
  const audited = await clinic.context.db.query("SELECT detail FROM audit WHERE action = 'record.restored'");
  expect(audited).toHaveLength(1);

  // once more, from the same file, and from one that was made after the first restore
  const second = await make();
  await put(file);
  expect(await faults()).toEqual([]);
  expect(await put(second.file)).toMatchObject({ restoredTo: 7 });
  expect(await faults()).toEqual([]);
  // tampering after all that is still found
  await clinic.context.db.query('UPDATE seal SET restoredTo = 2 WHERE restoredTo = 1');
  expect((await faults()).map(({ what }) => what)).toContain('seal-changed');
});

test('a lost database without a word is still named: only a restore explains missing seals', async () => {
  const id = await openCase();
  await seal();
  await note(id, 'one more');
  await seal();
  await clinic.context.db.query('DELETE FROM seal_head WHERE seal = 2');
  await clinic.context.db.query('UPDATE audit SET seal = NULL WHERE seal = 2');
  await clinic.context.db.query('DELETE FROM seal WHERE n = 2');
  expect((await faults()).map(({ what }) => what)).toContain('seals-missing');
});

test('a drill restores into a second database, verifies there and leaves everything as it was', async () => {
  await openCase();
  await seal();
  const { file } = await make();
  const before = await contents();
  expect(await put(file, { drill: true })).toMatchObject({ cases: 1, entries: 1 });
  expect(await contents()).toEqual(before);
  expect((await databases()).filter((name) => name.endsWith('_drill'))).toEqual([]);
  expect(await faults()).toEqual([]);
});

describe('a file that is not as it was', () => {
  let file: string;
  beforeEach(async () => {
    await openCase();
    await seal();
    ({ file } = await make());
    await openCase();
  });
  const dump = () => gunzipSync(readFileSync(file)).toString('utf8');
  const named = { unproved: true, named: 'Test workshop' };
  const bare = (name: string, content: Buffer) => {
    const path = join(folder, name);
    writeFileSync(path, content);
    return path;
  };

  test('with one flipped bit is refused by its checksum', async () => {
    const content = readFileSync(file);
    content[Math.floor(content.length / 2)]! ^= 1;
    writeFileSync(file, content);
    expect(await refused(() => put(file, { mark: join(folder, 'restoring') }))).toMatch(/checksum differs/);
  });

  test('with the checksum made again, but not the keyed hash, is not proved', async () => {
    const content = gzipSync(dump().replace('Castrelo', 'Castreto'));
    writeFileSync(file, content);
    const { createHash } = await import('node:crypto');
    const manifest = JSON.parse(readFileSync(`${file}.json`, 'utf8')) as object;
    const sha256 = createHash('sha256').update(content).digest('hex');
    writeFileSync(`${file}.json`, JSON.stringify({ ...manifest, sha256, bytes: content.length }));
    expect(await refused(() => put(file))).toMatch(/not proved by this clinic’s secret/);
    expect(await refused(() => put(file, { unproved: true }))).toMatch(/--unproved --name/);
  });

  test.each([['\\! touch '], ['system touch ']])(
    'that has the client run "%s" runs nothing, also when it is taken unproved',
    async (command) => {
      const traces = join(folder, 'traces');
      const [head, ...rest] = dump().split('\n');
      const path = bare('shell.sql.gz', gzipSync([head, `${command}${traces}`, ...rest].join('\n')));
      expect(await refused(() => put(path))).toMatch(/not proved/);
      await put(path, named).catch(() => {});
      expect(existsSync(traces)).toBe(false);
    },
  );

  test('that reads or writes files of the server, or names another database, does not get there', async () => {
    const traces = join(folder, 'traces');
    const [head, ...rest] = dump().split('\n');
    for (const statement of [
      `SELECT 'x' INTO OUTFILE '${traces}';`,
      `tee ${traces}`,
      `LOAD DATA LOCAL INFILE '/etc/passwd' INTO TABLE person;`,
      `source ${file}`,
    ]) {
      const path = bare('files.sql.gz', gzipSync([head, statement, ...rest].join('\n')));
      const said = await refused(() => put(path, { ...named, drill: true }));
      expect([statement, said]).toEqual([statement, expect.stringMatching(/could not be loaded/)]);
      expect(existsSync(traces)).toBe(false);
    }
  });

  test('that was changed in its record is refused after it was verified in the second database', async () => {
    const path = bare(
      'changed.sql.gz',
      gzipSync(dump().replace(/\\"side\\":\\"right\\"/, '\\"side\\":\\"left\\"')),
    );
    expect(await refused(() => put(path, named))).toMatch(/does not hold \(.*content-changed/);
  });

  test.each([
    ['in its packing', (content: Buffer) => content.subarray(0, content.length - 1000)],
    ['to nothing', () => Buffer.alloc(0)],
    ['and packed again', (content: Buffer) => gzipSync(gunzipSync(content).subarray(0, 20_000))],
    ['and is no packed file at all', () => Buffer.from('SELECT 1;')],
  ])('that was cut off %s gets one plain sentence', async (_, cut) => {
    const path = bare('cut.sql.gz', cut(readFileSync(file)));
    expect(await refused(() => put(path, named))).toMatch(/cut off or damaged|could not be loaded/);
  });

  test('of no clinic is refused', async () => {
    const path = bare('empty.sql.gz', gzipSync('CREATE TABLE x (y int);\n-- Dump completed\n'));
    expect(await refused(() => put(path, named))).toMatch(/no clinic in this back-up/);
  });

  test('of another clinic is refused: by its secret, by its name, by the name that is typed', async () => {
    const other = await testClinic();
    await markKey(other.context.db.manager, other.context.sealing);
    const theirs = await backUp({
      url: other.context.keeping.url,
      sealFolder: other.context.sealing.path,
      into: join(folder, 'theirs'),
      now: time,
    });
    expect(await refused(() => put(theirs.file))).toMatch(/not proved/);
    // of the same name, its secret still tells it apart
    expect(await refused(() => put(theirs.file, named))).toMatch(/another clinic’s/);
    await other.context.db.query("UPDATE clinic SET name = 'Other workshop'");
    const renamed = await backUp({
      url: other.context.keeping.url,
      sealFolder: other.context.sealing.path,
      into: join(folder, 'renamed'),
      now: time,
    });
    expect(await refused(() => put(renamed.file, { unproved: true, named: 'Other workshop' }))).toMatch(
      /of another clinic, Other workshop/,
    );
    await other.close();
  });
});

test('a back-up of an older Estribo comes in unproved by its name, is brought forward, audited and verifies clean', async () => {
  const released = join(__dirname, '../database/released');
  const { url: empty, drop } = await emptyDatabase();
  const seals = join(folder, 'seals-of-before');
  mkdirSync(seals);
  for (const file of ['key', 'seals']) copyFileSync(join(released, `0007.${file}`), join(seals, file));
  const file = join(released, '0007.sql.gz');
  const options = { url: empty, sealFolder: seals, file, now: time, unproved: true };
  await expect(restore({ ...options, named: 'Ribanova' })).rejects.toThrow(/name does not fit/);
  const done = await restore({ ...options, named: 'Ribanova orthotic workshop' });
  expect(done).toMatchObject({ proved: false, restoredTo: 3 });
  expect(done.cases).toBeGreaterThan(8);
  const db = await openDatabase(empty);
  expect((await verifyClinic(db, openSealFolder(seals))).faults).toEqual([]);
  expect(await db.query("SELECT action FROM audit WHERE action = 'record.restored'")).toHaveLength(1);
  await db.destroy();
  await drop();
});

test('after the secret was lost a back-up comes in with a new one', async () => {
  await openCase();
  await seal();
  const { file } = await make();
  const { url: empty, drop } = await emptyDatabase();
  const fresh = join(folder, 'new-secret');
  const options = { url: empty, sealFolder: fresh, file, now: time, unproved: true, named: 'Test workshop' };
  await expect(restore(options)).rejects.toThrow(/ESTRIBO_SEAL_ANEW/);
  await restore({ ...options, anew: true });
  const db = await openDatabase(empty);
  expect((await verifyClinic(db, openSealFolder(fresh))).faults).toEqual([]);
  await db.destroy();
  await drop();
});

test('where a second database may not be made it is said what to grant', async () => {
  await openCase();
  const { file } = await make();
  const admin = await createConnection({
    socketPath: join(process.env.ESTRIBO_TEST_FOLDER!, 'db.sock'),
    user: 'root',
  });
  const name = new URL(url()).pathname.slice(1);
  await admin.query("CREATE OR REPLACE USER 'narrow'@'127.0.0.1' IDENTIFIED BY 'narrow'");
  await admin.query(`GRANT ALL ON \`${name.replaceAll('_', '\\_')}\`.* TO 'narrow'@'127.0.0.1'`);
  const narrow = new URL(url());
  [narrow.username, narrow.password] = ['narrow', 'narrow'];
  expect(await refused(() => put(file, { url: narrow.toString() }))).toMatch(/GRANT ALL ON/);
  await admin.query("DROP USER 'narrow'@'127.0.0.1'");
  await admin.end();
});

describe('a back-up is not made', () => {
  test('of a database without a clinic', async () => {
    const { url: empty, drop } = await emptyDatabase();
    const made = () => backUp({ url: empty, sealFolder: sealFolder(), into: folder, now: time });
    await expect(made()).rejects.toThrow(/no clinic in this database.*--clinic/);
    const db = await openDatabase(empty);
    await expect(made()).rejects.toThrow(/no clinic in this database/);
    await db.destroy();
    await drop();
    expect(readdirSync(folder)).toEqual([]);
  });

  test('of another clinic’s database than the secret’s', async () => {
    const other = mkdtempSync(join(tmpdir(), 'estribo-seal-'));
    openSealFolder(other).settle();
    await expect(backUp({ url: url(), sealFolder: other, into: folder, now: time })).rejects.toThrow(
      /another clinic’s database/,
    );
    rmSync(other, { recursive: true });
  });
});

test.each([
  ['2026-11-24T00:30:00Z', '2026-11-23T01:30:00Z', false],
  ['2026-11-24T01:30:00Z', '2026-11-23T01:30:00Z', true],
  ['2026-11-24T09:00:00Z', '2026-11-24T01:10:00Z', false],
  ['2026-11-24T09:00:00Z', undefined, true],
  // the machine was off at night
  ['2026-11-26T09:00:00Z', '2026-11-24T01:10:00Z', true],
  // the hour of the back-up does not come on the day the clocks go forward, or comes twice
  ['2027-03-28T09:00:00Z', '2027-03-27T01:10:00Z', true],
  ['2026-10-25T01:30:00Z', '2026-10-25T00:30:00Z', false],
])('at %s, the last one being of %s, a back-up is due: %s', (now, last, due) => {
  expect(isBackUpDue(new Date(now), 'Europe/Madrid', last === undefined ? undefined : new Date(last))).toBe(
    due,
  );
});

describe('every night', () => {
  const settings = async (more: object) => {
    await keepingOf(clinic.context.db.manager);
    await clinic.context.db.getRepository(keepingEntity).update({ id: 1 }, more);
  };
  const rows = () => clinic.context.db.getRepository(backupEntity).find({ order: { n: 'ASC' } });
  const nextNight = () => (time = new Date(time.getTime() + 86_400_000));

  test('a back-up is made where it was set, so many are kept, and once a week one is restored on trial', async () => {
    expect(await backUpAtNight(clinic.context)).toBeUndefined();
    await settings({ folder, keep: 3 });
    const byHand = await make();
    for (let night = 0; night < 6; night += 1) {
      nextNight();
      expect((await backUpAtNight(clinic.context))!.problem).toBeNull();
      expect(await backUpAtNight(clinic.context)).toBeUndefined();
    }
    const files = readdirSync(folder).filter((name) => name.endsWith('.sql.gz'));
    expect(files).toHaveLength(4);
    expect(existsSync(byHand.file)).toBe(true);
    const made = await rows();
    expect(made.filter(({ nightly }) => nightly)).toHaveLength(3);
    nextNight();
    nextNight();
    const drilled = await backUpAtNight(clinic.context);
    expect([drilled!.drilledAt, drilled!.drillProblem]).toEqual([time, null]);
  });

  test('one that fails is noted with the reason and tried again after an hour', async () => {
    const gone = join(folder, 'gone');
    writeFileSync(gone, 'a file where the folder should be');
    await settings({ folder: gone, keep: 3 });
    nextNight();
    expect((await backUpAtNight(clinic.context))!.problem).toMatch(/EEXIST|ENOTDIR/);
    expect(await backUpAtNight(clinic.context)).toBeUndefined();
    time = new Date(time.getTime() + 3_600_001);
    rmSync(gone);
    expect((await backUpAtNight(clinic.context))!.problem).toBeNull();
  });
});

describe('the Clinic page', () => {
  test('tells the command of this clinic, where it is backed up, and what was drilled', async () => {
    clinic.context.keeping.command = 'npm run backup -- /path/of/a/folder --clinic';
    const iago = await clinic.as('administrator');
    const page = async () => (await iago.get('/api/clinic/keeping').expect(200)).body;
    expect(await page()).toMatchObject({
      command: 'npm run backup -- /path/of/a/folder --clinic',
      folder: null,
      keep: 14,
      drilled: null,
      low: false,
    });
    expect((await iago.post('/api/clinic/keeping/backup')).status).toBe(409);
    await iago.put('/api/clinic/keeping').send({ folder, keep: 30 }).expect(200);
    await iago.post('/api/clinic/keeping/backup').expect(201);
    await iago.post('/api/clinic/keeping/drill').expect(200);
    const { drilled, backups, ...rest } = await page();
    expect(rest).toMatchObject({ folder, keep: 30 });
    expect([backups.length, drilled.drillProblem]).toEqual([1, null]);
    const { body } = await iago.get('/api/audit?action=keeping.changed').expect(200);
    expect(body.lines[0].fields).toEqual(['folder', 'keep']);
  });

  test.each([
    ['a path that is none', () => 'backups', 'folder'],
    ['a folder that is not there', () => join(folder, 'nowhere'), 'folder'],
    ['a file', () => join(__filename), 'folder'],
  ])('%s is refused at its field', async (_, path, at) => {
    const iago = await clinic.as('administrator');
    const { status, body } = await iago.put('/api/clinic/keeping').send({ folder: path(), keep: 14 });
    expect([status, body.faults[0].at]).toEqual([422, at]);
  });

  test.each([0, 401, 1.5])('keeping %s back-ups is refused', async (keep) => {
    const iago = await clinic.as('administrator');
    expect((await iago.put('/api/clinic/keeping').send({ folder: null, keep })).status).toBe(422);
  });
});

test('the address of a second database is beside the first', () => {
  expect(besideOf('mysql://u:p@127.0.0.1:1/one', 'two')).toBe('mysql://u:p@127.0.0.1:1/two');
});
