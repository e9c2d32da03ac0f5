import { v7 } from 'uuid';
import { caseEntity, entryEntity, summaryEntity } from '../database/entities';
import { caseMac, entryMac } from '../sealing/seal-key';
import { chainHash, saltedHash } from '@estribo/core/logbook';
import { canonicalText } from '@estribo/core/programmes';
import { signedEntries, soundOrder, testClinic, type SentEntry, type TestClinic } from '../test-clinic';
import { rebuildSummaries } from './rebuild';

let clinic: TestClinic;
const time = new Date('2026-11-25T10:00:00Z');
beforeAll(async () => {
  clinic = await testClinic({ now: () => time });
});
afterAll(() => clinic.close());

const send = async (entry: SentEntry) =>
  (await clinic.as('orthotist')).post(`/api/cases/${entry.case}/entries`).send(entry);
async function openCase(): Promise<string> {
  const id = v7();
  expect((await send(clinic.opened(id))).status).toBe(201);
  return id;
}
const visit = (id: string, more: object = {}): SentEntry => ({
  ...clinic.entry('visit.planned', 'case', { day: '2026-12-01', purpose: 'review' }, more),
  case: id,
});

test.each([
  '2026-02-30T10:00:00.000Z',
  '2026-02-31T10:00:00Z',
  '2026-11-24T24:00:00Z',
  '2026-11-24T10:60:00Z',
  '2026-13-01T10:00:00Z',
  '0001-01-01T10:00:00Z',
  '9999-12-31T23:59:59Z',
  // ahead of the server by more than minutes, and before the person was born
  '2026-11-25T10:06:00Z',
  '1998-04-10T10:00:00Z',
])('an entry observed at %s is refused, and the case stays readable', async (observedAt) => {
  const id = await openCase();
  const { status, body } = await send(visit(id, { observedAt }));
  expect([status, body.faults[0].at]).toEqual([422, 'observedAt']);
  expect((await send(visit(id))).status).toBe(201);
});

test('a clock that is minutes ahead is taken; what waited for a day is taken and marked late', async () => {
  const id = await openCase();
  expect((await send(visit(id, { observedAt: '2026-11-25T10:04:00Z' }))).status).toBe(201);
  expect((await send(visit(id, { observedAt: '2026-11-24T09:00:00Z' }))).status).toBe(201);
});

test.each([
  ['dayZero', { dayZero: '9999-12-31' }],
  ['dayZero', { dayZero: '2026-02-30' }],
  ['dayZero', { dayZero: '1899-12-31' }],
])('an order with %s %j is refused at its field', async (field, change) => {
  const id = await openCase();
  const { status, body } = await send({
    ...clinic.entry('order.given', 'screen', { ...soundOrder, ...change }, { expects: null }),
    case: id,
  });
  expect([status, body.faults[0].at]).toEqual([422, `body.${field}`]);
});

test('a plan that grows by less than 5 minutes is refused, one that grows by 5 is taken', async () => {
  const id = v7();
  for (const entry of signedEntries(clinic, id, { protective: false, trouble: 'take-off' }))
    expect((await send(entry)).body.faults).toBeUndefined();
  const plan = { kind: 'growing' as const, from: '2026-11-25', firstDay: 30, everyDays: 1, ceiling: 1440 };
  for (const grow of [0.0001, 0.02, 4.9]) {
    const { status, body } = await send({
      ...clinic.entry('wear.planned', 'wear', { ...plan, grow }, { expects: null }),
      case: id,
    });
    expect([grow, status, body.detail]).toEqual([grow, 422, expect.stringMatching(/step-too-small/)]);
  }
  const sound = await send({
    ...clinic.entry('wear.planned', 'wear', { ...plan, grow: 5 }, { expects: null }),
    case: id,
  });
  expect(sound.status).toBe(201);
});

/** Puts an entry into the record behind the border's back, as an older version could have taken it. */
async function smuggle(id: string, content: object | string): Promise<string> {
  const { db, sealing } = clinic.context;
  const row = await db.getRepository(caseEntity).findOneByOrFail({ id });
  const entry = v7();
  const text =
    typeof content === 'string' ? content : canonicalText({ ...visit(id), ...content, id: entry, case: id });
  const salt = 'a'.repeat(64);
  const salted = saltedHash((typeof content === 'string' ? null : JSON.parse(text)) as never, salt);
  const written = {
    case: id,
    seq: row.seq + 1,
    id: entry,
    content: text,
    salt,
    salted,
    hash: chainHash(row.head, salted),
    receivedAt: time,
    otherwise: null,
  };
  await db.getRepository(entryEntity).insert({ ...written, mac: entryMac(sealing.mac, written) });
  const moved = { seq: written.seq, head: written.hash };
  await db
    .getRepository(caseEntity)
    .update({ id }, { ...moved, mac: caseMac(sealing.mac, { ...row, ...moved }) });
  return entry;
}

test.each([
  ['on 30 February', { observedAt: '2026-02-30T10:00:00.000Z' }],
  ['at hour 24', { observedAt: '2026-11-24T24:00:00.000Z' }],
  ['with a day that is none', { body: { day: '2026-02-31', purpose: 'review' } }],
  ['of a kind nobody knows', { kind: 'brace.sung' }],
  ['without a body', { body: null }],
  ['that is a list', '[1, 2]'],
  ['that is no JSON', '{"id": '],
])(
  'an entry %s that stands in a record leaves the case readable, and can be withdrawn',
  async (_, content) => {
    const id = await openCase();
    const bad = await smuggle(id, content);
    const agent = await clinic.as('orthotist');
    await agent.get(`/api/cases/${id}/entries`).expect(200);
    await agent.get(`/api/cases/${id}/fit`).expect(200);
    expect((await send(visit(id))).status).toBe(201);
    const { failed } = await rebuildSummaries(clinic.context.db, 'Europe/Madrid', clinic.context.sealing);
    expect(failed).toEqual([]);
    const withdrawn = await send({
      ...clinic.entry('record.withdrawn', 'case', {}, { replaces: bad, reason: 'it cannot be read' }),
      case: id,
    });
    expect([withdrawn.status, withdrawn.body.detail]).toEqual([201, undefined]);
  },
);

test('a rebuild goes on past a case that cannot be computed, and names it', async () => {
  const [id, next] = [await openCase(), await openCase()];
  const { db, sealing } = clinic.context;
  const row = await db.getRepository(caseEntity).findOneByOrFail({ id });
  const moved = { ...row, modelHash: clinic.programme.hash };
  await db
    .getRepository(caseEntity)
    .update({ id }, { modelHash: moved.modelHash, mac: caseMac(sealing.mac, moved) });
  await db.getRepository(summaryEntity).update({ case: next }, { stage: 'wear' });
  const rebuilt = await rebuildSummaries(db, 'Europe/Madrid', sealing);
  expect(rebuilt.failed.map((one) => one.case)).toEqual([id]);
  expect(rebuilt.differing.map((one) => one.case)).toEqual([next]);
  await db.getRepository(caseEntity).update({ id }, { modelHash: row.modelHash, mac: row.mac });
});

test('paging goes on past rows whose content is gone', async () => {
  const id = await openCase();
  for (let i = 0; i < 6; i += 1) expect((await send(visit(id))).status).toBe(201);
  await clinic.context.db.query(
    'UPDATE entry SET content = NULL, salt = NULL WHERE `case` = ? AND seq BETWEEN 2 AND 5',
    [id],
  );
  const agent = await clinic.as('orthotist');
  const seen: number[] = [];
  let after = 0;
  for (let page = 0; page < 10; page += 1) {
    const { body } = await agent.get(`/api/cases/${id}/entries?after=${after}&limit=2`).expect(200);
    seen.push(...body.entries.map(({ seq }: { seq: number }) => seq));
    if (!body.more) break;
    after = body.next;
  }
  expect(seen).toEqual([1, 6, 7]);
});

test('JSON nested thousands deep and half characters are refused as such', async () => {
  const id = await openCase();
  const agent = await clinic.as('orthotist');
  const raw = (text: string) =>
    agent.post(`/api/cases/${id}/entries`).set('Content-Type', 'application/json').send(text);
  const deep = await raw(`${'['.repeat(20_000)}${']'.repeat(20_000)}`);
  expect([deep.status, deep.body.detail]).toEqual([400, expect.stringMatching(/nested deeper/)]);
  const objects = await raw(`${'{"a":'.repeat(9000)}1${'}'.repeat(9000)}`);
  expect(objects.status).toBe(400);
  const note = JSON.stringify(visit(id, { body: { day: '2026-12-01', purpose: 'review', note: 'x' } }));
  const half = await raw(note.replace('"x"', String.raw`"\ud83d"`));
  expect([half.status, half.body.detail]).toEqual([400, expect.stringMatching(/half a character/)]);
  expect((await raw(note.replace('"x"', '"👍"'))).status).toBe(201);
});

test('writes that meet are each told what became of them: models, programmes, imports, users', async () => {
  const ana = await clinic.as('orthotist');
  const iago = await clinic.as('administrator');
  const { body: model } = await ana.get(`/api/catalogue/model/${clinic.model.hash}`).expect(200);
  const { body: programme } = await ana.get(`/api/catalogue/programme/${clinic.programme.hash}`).expect(200);
  const twelve = Array.from({ length: 12 }, (_, i) => i);
  const models = await Promise.all(
    twelve.map((i) =>
      ana
        .post('/api/catalogue/models')
        .send({ ...model, version: (model.version as number) + 1, name: `Meeting ${i}` }),
    ),
  );
  expect(models.map(({ status }) => status).sort()).toEqual([201, ...twelve.slice(1).map(() => 409)]);
  const fresh = await Promise.all(
    twelve.map((i) => ana.post('/api/catalogue/models').send({ ...model, id: `meeting-${i}`, version: 1 })),
  );
  expect(fresh.map(({ status }) => status)).toEqual(twelve.map(() => 201));
  const programmes = await Promise.all(
    twelve.map(() =>
      ana
        .post('/api/catalogue/programmes')
        .send({ ...programme, id: 'own-meeting', base: programme.id, title: 'Meeting', version: 1 }),
    ),
  );
  const told = programmes.map(({ status }) => status).sort();
  expect(told.filter((status) => status === 201).length).toBeGreaterThanOrEqual(1);
  expect(told.every((status) => status === 201 || status === 409)).toBe(true);
  const { text: csv } = await ana.get('/api/catalogue/export.csv?find=meeting').expect(200);
  const imports = await Promise.all(
    twelve
      .slice(0, 6)
      .map((i) =>
        ana.post('/api/catalogue/import').send({ csv: csv.replaceAll('Meeting', `Imported ${i}`) }),
      ),
  );
  for (const { status } of imports) expect([200, 409]).toContain(status);
  const users = await Promise.all(
    twelve.map((i) =>
      iago.put(`/api/users/${v7()}`).send({
        login: 'new-one',
        name: `New ${i}`,
        role: 'reader',
        active: true,
      }),
    ),
  );
  const statuses = users.map(({ status }) => status).sort();
  expect(statuses.filter((status) => status === 200)).toHaveLength(1);
  expect(statuses.slice(1).every((status) => status === 422 || status === 409)).toBe(true);
  const { body } = await iago.get('/api/users').expect(200);
  expect(body.users.filter((user: { login: string }) => user.login === 'new-one')).toHaveLength(1);
});
