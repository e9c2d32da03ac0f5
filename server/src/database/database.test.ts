import { mkdtempSync, readFileSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { v7 } from 'uuid';
import { pino } from 'pino';
import { findingsAhead } from '@estribo/core/findings';
import { rebuildSummaries } from '../cases/rebuild';
import { entriesOf, foldOf } from '../cases/record';
import { register } from '../catalogue/registry';
import { loadDemo } from '../demo/load';
import { demoModels } from '../demo/models';
import { demoStaff } from '../demo/people';
import { openSealFolder } from '../sealing/seal-key';
import { emptyDatabase } from '../test-clinic';
import { openDatabase } from './data-source';
import { caseEntity, entryEntity, personEntity, summaryEntity } from './entities';
import type { DataSource } from 'typeorm';

let db: DataSource;
let url: string;
let drop: () => Promise<void>;
/** what the interrupted load left: how many entries, and a person */
let left: number;
let gone: string;
const told: string[] = [];
const now = () => new Date('2026-11-24T09:30:00Z');
const log = pino({ level: 'silent' });
const folder = mkdtempSync(join(tmpdir(), 'estribo-seal-'));
const sealing = openSealFolder(folder);

beforeAll(async () => {
  ({ url, drop } = await emptyDatabase());
  db = await openDatabase(url);
  // the first load is interrupted after five cases, with a person put together with another
  await expect(
    loadDemo(db, { log, now, sealing }, (line) => {
      if (line.includes('case 6')) throw new Error('the lights went out');
    }),
  ).rejects.toThrow('the lights went out');
  left = await db.getRepository(entryEntity).count();
  const [first, second] = await db.getRepository(personEntity).find({ order: { number: 'ASC' }, take: 2 });
  await db.getRepository(personEntity).update({ id: first!.id }, { mergedInto: second!.id, mergedAt: now() });
  gone = first!.id;
  await loadDemo(db, { log, now, sealing }, (line) => told.push(line));
});
afterAll(async () => {
  await db.destroy();
  await drop();
  rmSync(folder, { recursive: true, force: true });
});

test('the migrations make just the schema the entities name', async () => {
  const { upQueries } = await db.driver.createSchemaBuilder().log();
  expect(upQueries.map(({ query }) => query)).toEqual([]);
});

test('the demo clinic: a dozen people, cases at many stages, one late, one blocked', async () => {
  const summaries = await db.getRepository(summaryEntity).find();
  expect(await db.getRepository(personEntity).count()).toBeGreaterThanOrEqual(12);
  expect(summaries.length).toBeGreaterThanOrEqual(8);
  expect(new Set(summaries.map(({ stage }) => stage)).size).toBeGreaterThanOrEqual(5);
  expect(
    summaries.filter(({ firstVisit }) => firstVisit !== null && firstVisit < '2026-11-24').length,
  ).toBeGreaterThanOrEqual(1);
  expect(summaries.filter(({ blockedBy }) => blockedBy !== null)).toHaveLength(1);
});

test('the demo clinic loads as it would be written, and what is found of each of its cases is what it tells', async () => {
  const people = await db.getRepository(personEntity).find();
  const found: Record<string, string> = {};
  for (const row of await db.getRepository(caseEntity).find()) {
    const state = (await foldOf(db.manager, row, await entriesOf(db.manager, row.id), 'Europe/Madrid'))!;
    const name = people.find(({ id }) => id === row.person)!.givenName;
    const first = findingsAhead(state)[0]?.found;
    found[`${name} ${state.model.id}`] = first
      ? `${first.level} ${first.kind} ${first.about ?? ''}`.trim()
      : 'nothing';
  }
  expect(found).toEqual({
    'Amaro cuncha-dupla': 'nothing',
    'Antón lousa-ligamento': 'nothing',
    'Bento lousa-ligamento': 'nothing',
    'Brais caneiro-4p': 'today signed-fail',
    'Breixo bota-balsa': 'nothing',
    'Carme barca-telescopio': 'by-date signed-before-change set.made',
    'Dores ombreira-vela': 'nothing',
    'Elvira espiga-dorsal': 'nothing',
    'Fiz xunco-malla': 'nothing',
    'Iria caneiro-4p': 'nothing',
    'Lois bota-balsa': 'nothing',
    'Marta caneiro-4p': 'nothing',
    'Moncho ribeira-faixa': 'nothing',
    'Noa caneiro-4p': 'nothing',
    'Pilar ponla-duas': 'by-date signed-before-change set.turned',
    'Roi caneiro-4p': 'emergency danger finding calf-swollen',
    'Sabela caneiro-4p': 'nothing',
    'Uxia caneiro-4p': 'nothing',
    'Xián colo-rio-neno': 'nothing',
    'Xoel caneiro-4p': 'nothing',
  });
});

test('loading again changes nothing', async () => {
  const before = await db.getRepository(entryEntity).count();
  await loadDemo(db, { log, now, sealing });
  expect(await db.getRepository(entryEntity).count()).toBe(before);
});

test('a load that was interrupted begins again, whatever hangs on what it left, and says how far it is', async () => {
  expect(left).toBeGreaterThan(50);
  expect(await db.getRepository(caseEntity).count()).toBe(20);
  // none twice, and none left of before
  expect(await db.getRepository(personEntity).findOneBy({ id: gone })).toBeNull();
  expect(
    await db.query('SELECT COUNT(*) AS n FROM entry WHERE `case` NOT IN (SELECT id FROM `case`)'),
  ).toEqual([{ n: '0' }]);
  expect(told).toEqual([1, 6, 11, 16].map((n) => `  loading the demo clinic: case ${n} of 20`));
});

test.each(['scripts/demo.mjs', 'README.md'])('%s names every user of the demo', (file) => {
  const text = readFileSync(join(__dirname, '../../..', file), 'utf8');
  for (const { login } of demoStaff) expect(text).toMatch(new RegExp(`\\b${login}\\b`));
});

test('a rebuild of sound summaries finds nothing; a spoilt one and a broken chain are reported', async () => {
  const zone = 'Europe/Madrid';
  expect(await rebuildSummaries(db, zone, sealing)).toEqual({
    cases: 20,
    differing: [],
    broken: [],
    failed: [],
  });
  const [first, second] = await db.getRepository(caseEntity).find({ order: { id: 'ASC' }, take: 2 });
  await db.getRepository(summaryEntity).update({ case: first!.id }, { stage: 'wear', size: 'Z' });
  await db.getRepository(entryEntity).update({ case: second!.id, seq: 3 }, { salted: 'f'.repeat(64) });
  expect(await rebuildSummaries(db, zone, sealing)).toEqual({
    cases: 20,
    differing: [{ case: first!.id, fields: ['stage', 'size'] }],
    broken: [
      {
        case: second!.id,
        faults: [
          { case: second!.id, seq: 3, what: 'content-changed' },
          { case: second!.id, seq: 3, what: 'link-broken' },
        ],
      },
    ],
    failed: [],
  });
  expect((await rebuildSummaries(db, zone, sealing)).differing).toEqual([]);
});

test('a model that changed keeps its old version: the same version with other content is refused', async () => {
  const model = { ...demoModels[0]!, name: 'Renamed' };
  await expect(register(db, 'model', model)).rejects.toThrow(/give it a new version/);
  await register(db, 'model', { ...model, version: model.version + 1 });
});

test('a database of a newer Estribo is not touched', async () => {
  await db.query('INSERT INTO migrations (timestamp, name) VALUES (?, ?)', [
    1999000000001,
    'FromTomorrow1999000000001',
  ]);
  await expect(openDatabase(url)).rejects.toThrow(/newer schema/);
  await db.query('DELETE FROM migrations WHERE name LIKE ?', ['FromTomorrow%']);
});

test('a database that is not there gets one line', async () => {
  await expect(openDatabase(url.replace(/:\d+\//, ':1/'))).rejects.toThrow(
    /does not answer.*ESTRIBO_DATABASE_URL/,
  );
});

test.each([
  ['the entries of a case', 'SELECT * FROM entry WHERE `case` = ? AND seq > ? ORDER BY seq', [v7(), 3]],
  ['an entry by id', 'SELECT * FROM entry WHERE id IN (?, ?)', [v7(), v7()]],
  ['people by name', 'SELECT * FROM person WHERE givenFirst LIKE ? OR familyFirst LIKE ?', ['ca%', 'ca%']],
  ['cases of people', 'SELECT * FROM summary WHERE person IN (?, ?)', [v7(), v7()]],
  ['cases by model', 'SELECT * FROM summary WHERE modelName LIKE ?', ['Lousa%']],
  ['models of a family', 'SELECT * FROM model WHERE programme = ? ORDER BY name, id', ['knee-sleeve']],
  ['models of a region', 'SELECT * FROM model WHERE region = ? ORDER BY name, id', ['neck']],
  ['models by name', 'SELECT * FROM model WHERE name LIKE ?', ['Xun%']],
  ['pairs of readings', 'SELECT * FROM reading_pair WHERE protocol = ?', ['girth waist']],
  ['expired sessions', 'SELECT * FROM session WHERE expiresAt < ?', ['2026-01-01']],
])('%s are found by an index', async (_, sql, values) => {
  const plan: { key: string | null }[] = await db.query(`EXPLAIN ${sql}`, values);
  expect(plan.every(({ key }) => key !== null)).toBe(true);
});
