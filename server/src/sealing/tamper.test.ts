import { readFileSync, writeFileSync } from 'node:fs';
import { chainHash, chainStart, saltedHash, type AnyEntry } from '@estribo/core/logbook';
import { v7 } from 'uuid';
import { rebuildSummaries } from '../cases/rebuild';
import { caseEntity, entryEntity, sealEntity, summaryEntity } from '../database/entities';
import { soundOrder, testClinic, type SentEntry, type TestClinic } from '../test-clinic';
import { sealClinic } from './seal';
import { verifyClinic } from './verify';

let clinic: TestClinic;
beforeAll(async () => {
  clinic = await testClinic();
});
afterAll(() => clinic.close());

const run = <T = unknown>(sql: string, values: unknown[] = []) => clinic.context.db.query<T>(sql, values);
const faults = async () => (await verifyClinic(clinic.context.db, clinic.context.sealing)).faults;
const whats = async () => (await faults()).map(({ what }) => what);
const seal = () => sealClinic(clinic.context.db, clinic.context.sealing, clinic.context.now());

async function write(...entries: SentEntry[]): Promise<void> {
  const ana = await clinic.as('orthotist');
  for (const entry of entries) await ana.post(`/api/cases/${entry.case}/entries`).send(entry).expect(201);
}

/** A case with an order and three readings, sealed. */
async function sealedCase(): Promise<string> {
  const id = v7();
  await write(clinic.opened(id), {
    ...clinic.entry('order.given', 'screen', soundOrder, { expects: null }),
    case: id,
  });
  for (const value of [448, 452, 450])
    await write({
      ...clinic.entry('measure.read', 'measure', {
        step: 'girth-above',
        side: 'right',
        value,
        instrument: 'tape',
      }),
      case: id,
    });
  await seal();
  return id;
}

test('a record that nobody touched holds, also while it is written to', async () => {
  await sealedCase();
  expect(await faults()).toEqual([]);
});

const other = 'f'.repeat(64);
test.each([
  ['entry', 'id', v7()],
  ['entry', 'content', '{}'],
  ['entry', 'content', null],
  ['entry', 'salt', other],
  ['entry', 'salt', null],
  ['entry', 'salted', other],
  ['entry', 'hash', other],
  ['entry', 'receivedAt', '2026-01-01 10:00:00.000'],
  ['entry', 'otherwise', '{"size":"S"}'],
  ['entry', 'mac', other],
  ['entry', 'mac', ''],
  ['entry', 'seq', 9],
  ['case', 'seq', 4],
  ['case', 'head', other],
  ['case', 'mac', other],
  ['case', 'mac', ''],
] as const)('%s.%s changed to %j is found, and put back holds again', async (table, column, value) => {
  const id = await sealedCase();
  const where = table === 'entry' ? '`case` = ? AND seq = 3' : 'id = ?';
  const [before] = await run<Record<string, unknown>[]>(`SELECT * FROM \`${table}\` WHERE ${where}`, [id]);
  await run(`UPDATE \`${table}\` SET \`${column}\` = ? WHERE ${where}`, [value, id]);
  const found = await faults();
  expect(found.map((fault) => fault.case)).toContain(id);
  const opened = await (await clinic.as('orthotist')).get(`/api/cases/${id}`).expect(200);
  expect(opened.body.proof.holds).toBe(false);
  await run(`UPDATE \`${table}\` SET \`${column}\` = ? WHERE ${where.replace('seq = 3', 'seq = ?')}`, [
    before![column],
    id,
    ...(table === 'entry' ? [column === 'seq' ? 9 : 3] : []),
  ]);
  expect(await faults()).toEqual([]);
});

test.each(['person', 'programmeHash', 'modelHash'] as const)(
  'a case given another %s is found',
  async (column) => {
    const id = await sealedCase();
    const [{ [column]: before }] = (await run(`SELECT * FROM \`case\` WHERE id = ?`, [id])) as [
      Record<string, string>,
    ];
    const wanted =
      column === 'person'
        ? v7()
        : ((
            await run<{ hash: string }[]>('SELECT hash FROM registered WHERE hash <> ? LIMIT 1', [before])
          )[0]!.hash as string);
    if (column === 'person')
      await run(
        "INSERT INTO person (id, givenName, familyName, givenFirst, familyFirst, born) VALUES (?, 'A', 'B', 'A B', 'B A', '1990-01-01')",
        [wanted],
      );
    await run(`UPDATE \`case\` SET \`${column}\` = ? WHERE id = ?`, [wanted, id]);
    expect(await faults()).toEqual([{ case: id, what: 'case-row-changed' }]);
    await run(`UPDATE \`case\` SET \`${column}\` = ? WHERE id = ?`, [before, id]);
  },
);

test('a case kept out of the seals, and a programme changed under its hash, are found', async () => {
  const id = await sealedCase();
  await write({
    ...clinic.entry('visit.planned', 'case', { day: '2026-12-01', purpose: 'review' }),
    case: id,
  });
  await run('UPDATE `case` SET unsealed = 0 WHERE id = ?', [id]);
  expect(await faults()).toEqual([{ case: id, seq: 6, what: 'not-sealed' }]);
  await run('UPDATE `case` SET unsealed = 1 WHERE id = ?', [id]);
  const { hash } = clinic.model;
  const [row] = await run<{ body: object }[]>('SELECT body FROM registered WHERE hash = ?', [hash]);
  await run("UPDATE registered SET body = JSON_SET(body, '$.hinge.extension[0]', 5) WHERE hash = ?", [hash]);
  expect(await faults()).toEqual([{ content: hash, what: 'registered-changed' }]);
  await run('UPDATE registered SET body = ? WHERE hash = ?', [JSON.stringify(row!.body), hash]);
  expect(await faults()).toEqual([]);
});

test.each<[string, (n: number) => [string, unknown[]]]>([
  ['whose user is another', (n) => ['UPDATE audit SET user = ? WHERE n = ?', [v7(), n]]],
  ['whose time is another', (n) => ["UPDATE audit SET at = '2026-01-01 10:00:00.000' WHERE n = ?", [n]]],
  ['whose subject is another', (n) => ['UPDATE audit SET subject = ? WHERE n = ?', [v7(), n]]],
  ['whose detail is another', (n) => ["UPDATE audit SET detail = '{}' WHERE n = ?", [n]]],
  ['that was taken away', (n) => ['DELETE FROM audit WHERE n = ?', [n]]],
  ['that is said to be in no seal', (n) => ['UPDATE audit SET seal = NULL WHERE n = ?', [n]]],
  ['that is said to be in a seal that is none', (n) => ['UPDATE audit SET seal = 999 WHERE n = ?', [n]]],
])('a line of the audit %s is found, and put back holds again', async (_, change) => {
  const ana = await clinic.as('orthotist');
  const id = await sealedCase();
  await ana.get(`/api/cases/${id}`).expect(200);
  await seal();
  expect(await faults()).toEqual([]);
  const [line] = await run<Record<string, unknown>[]>(
    "SELECT * FROM audit WHERE action = 'case.read' AND subject = ?",
    [id],
  );
  await run(...change(line!.n as number));
  expect(new Set(await whats())).toEqual(new Set(['audit-changed']));
  await run('DELETE FROM audit WHERE n = ?', [line!.n]);
  await run('INSERT INTO audit (n, at, user, action, subject, detail, seal) VALUES (?, ?, ?, ?, ?, ?, ?)', [
    line!.n,
    line!.at,
    line!.user,
    line!.action,
    line!.subject,
    line!.detail,
    line!.seal,
  ]);
  expect(await faults()).toEqual([]);
});

test('a case chained anew by somebody who knows how: every hash fits but the keyed ones', async () => {
  const id = await sealedCase();
  const rows = clinic.context.db.getRepository(entryEntity);
  const before = await rows.find({ where: { case: id }, order: { seq: 'ASC' } });
  let head = chainStart;
  for (const { seq, content, salt } of before) {
    const entry = JSON.parse(content!) as AnyEntry;
    if (seq === 3) (entry.body as { value: number }).value = 460;
    const salted = saltedHash(entry, salt!);
    head = chainHash(head, salted);
    await rows.update({ case: id, seq }, { content: JSON.stringify(entry), salted, hash: head });
  }
  await clinic.context.db.getRepository(caseEntity).update({ id }, { head });
  expect(await whats()).toEqual([
    'entry-changed',
    'entry-changed',
    'entry-changed',
    'case-row-changed',
    'rolled-back',
  ]);
  for (const row of before) await rows.update({ case: id, seq: row.seq }, row);
  await clinic.context.db.getRepository(caseEntity).update({ id }, { head: before.at(-1)!.hash });
  expect(await faults()).toEqual([]);
});

test('a case rolled back to an earlier state of itself, keyed hashes and all, is found by the seals', async () => {
  const id = await sealedCase();
  const [earlier] = await run<Record<string, unknown>[]>('SELECT * FROM `case` WHERE id = ?', [id]);
  await write({
    ...clinic.entry('measure.read', 'measure', {
      step: 'girth-below',
      side: 'right',
      value: 350,
      instrument: 'tape',
    }),
    case: id,
  });
  await seal();
  await run('DELETE FROM entry WHERE `case` = ? AND seq = 6', [id]);
  await run('UPDATE `case` SET seq = ?, head = ?, mac = ? WHERE id = ?', [
    earlier!.seq,
    earlier!.head,
    earlier!.mac,
    id,
  ]);
  expect(await faults()).toEqual([{ case: id, seq: 6, what: 'rolled-back' }]);
  // the summary still tells of six entries: a rebuild does not settle for five of a case that lost one at the end
  await run('UPDATE `case` SET seq = 6 WHERE id = ?', [id]);
  const before = await clinic.context.db.getRepository(summaryEntity).findOneByOrFail({ case: id });
  const rebuilt = await rebuildSummaries(clinic.context.db, 'Europe/Madrid', clinic.context.sealing);
  expect(rebuilt.broken).toMatchObject([{ case: id }]);
  expect(await clinic.context.db.getRepository(summaryEntity).findOneByOrFail({ case: id })).toEqual(before);
  // the whole case away
  for (const [table, column] of [
    ['summary', 'case'],
    ['case_word', 'case'],
    ['visit', 'case'],
    ['reading_pair', 'case'],
    ['entry', 'case'],
    ['case', 'id'],
  ])
    await run(`DELETE FROM \`${table}\` WHERE \`${column}\` = ?`, [id]);
  expect(await whats()).toEqual(['rolled-back']);
});

test('seals changed, taken away, or put back with the whole database are found', async () => {
  const another = await testClinic();
  const { context } = another;
  const verifyOther = async () =>
    (await verifyClinic(context.db, context.sealing)).faults.map(({ what }) => what);
  const caseRow = async (seq: number) => {
    const id = v7();
    await context.db.getRepository(caseEntity).insert({
      id,
      person: (await context.db.query<{ id: string }[]>('SELECT id FROM person'))[0]!.id,
      programmeHash: clinic.programme.hash,
      modelHash: clinic.model.hash,
      seq,
      head: chainStart,
      mac: '',
      unsealed: true,
    });
    return sealClinic(context.db, context.sealing, context.now());
  };
  const first = (await caseRow(0))!;
  const second = (await caseRow(0))!;
  expect(await sealClinic(context.db, context.sealing, context.now())).toBeUndefined();
  const bare = await verifyOther();
  expect(bare.filter((what) => what.startsWith('seal'))).toEqual([]);
  const seals = context.db.getRepository(sealEntity);
  await seals.update({ n: 1 }, { at: new Date('2020-01-01') });
  expect(await verifyOther()).toContain('seal-changed');
  await seals.update({ n: 1 }, { at: first.at });
  await context.db.query('DELETE FROM seal_head WHERE seal = 2');
  expect(await verifyOther()).toContain('seal-changed');
  await seals.delete({ n: 2 });
  // the database ends before the file: it was put back
  expect(await verifyOther()).toContain('seals-missing');
  // and who changes the file as well cannot make its line
  writeFileSync(
    context.sealing.seals,
    readFileSync(context.sealing.seals, 'utf8').replace(second.mac, other).replace(first.mac, other),
  );
  expect(await verifyOther()).toContain('seal-changed');
  await another.close();
});
