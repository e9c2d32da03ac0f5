import { limitsOf } from '@estribo/core/order';
import { connect, type AddressInfo } from 'node:net';
import { brokenLink, type AnyRecordedEntry } from '@estribo/core/logbook';
import request from 'supertest';
import { v7 } from 'uuid';
import { entryEntity, summaryEntity } from '../database/entities';
import {
  soundOrder,
  stopsFor,
  stopsIn,
  testClinic,
  testPassword,
  type SentEntry,
  type TestClinic,
} from '../test-clinic';

const knee = { joint: 'knee', plane: 'sagittal' } as const;

let clinic: TestClinic;
let send: (
  entry: SentEntry,
) => Promise<{ status: number; body: { entry?: AnyRecordedEntry; [key: string]: unknown } }>;
let stored: (caseId: string) => Promise<AnyRecordedEntry[]>;

beforeAll(async () => {
  clinic = await testClinic();
  const ana = await clinic.as('orthotist');
  send = async (entry) => ana.post(`/api/cases/${entry.case}/entries`).send(entry);
  stored = async (caseId) => (await ana.get(`/api/cases/${caseId}/entries`)).body.entries;
});
afterAll(() => clinic.close());

/** A fresh case with its first entry. */
async function openCase(): Promise<string> {
  const id = v7();
  expect((await send(clinic.opened(id))).status).toBe(201);
  return id;
}

const read = (caseId: string, value = 450, more: object = {}) => ({
  ...clinic.entry(
    'measure.read',
    'measure',
    { step: 'girth-above', side: 'right', value, instrument: 'tape' },
    more,
  ),
  case: caseId,
});
const order = (caseId: string, expects: string | null, change: object = {}) => ({
  ...clinic.entry('order.given', 'screen', { ...soundOrder, ...change }, { expects }),
  case: caseId,
});

test('the same entry twice is one entry, answered again', async () => {
  const id = await openCase();
  const entry = read(id);
  const [first, second] = [await send(entry), await send(entry)];
  expect([first.status, second.status]).toEqual([201, 200]);
  expect(second.body.entry).toEqual(first.body.entry);
  expect(await stored(id)).toHaveLength(2);
});

test('the same id with another body, or in another case, is refused', async () => {
  const [id, other] = [await openCase(), await openCase()];
  const entry = read(id);
  await send(entry);
  expect((await send({ ...entry, body: { ...entry.body, value: 451 } })).status).toBe(422);
  expect((await send({ ...entry, case: other })).status).toBe(422);
  expect(await stored(id)).toHaveLength(2);
  expect(await stored(other)).toHaveLength(1);
});

test('the same entry at the same time from two senders is one entry', async () => {
  const id = await openCase();
  const entry = read(id);
  const answers = await Promise.all([send(entry), send(entry), send(entry)]);
  expect(answers.map(({ status }) => status).sort()).toEqual([200, 200, 201]);
  expect(await stored(id)).toHaveLength(2);
});

test('an answer that is lost and an entry that is sent again make one entry', async () => {
  const id = await openCase();
  const entry = read(id);
  const signedIn = await request(clinic.app)
    .post('/api/session')
    .send({ login: 'orthotist', password: testPassword });
  const cookie = String(signedIn.headers['set-cookie']).split(';')[0];
  const server = clinic.app.listen(0, '127.0.0.1');
  await new Promise((resolve) => server.once('listening', resolve));
  const text = JSON.stringify(entry);
  // sends the whole request and hangs up without waiting for the answer
  await new Promise<void>((resolve) => {
    const socket = connect((server.address() as AddressInfo).port, '127.0.0.1', () => {
      socket.write(
        `POST /api/cases/${id}/entries HTTP/1.1\r\nHost: x\r\nCookie: ${cookie}\r\nContent-Type: application/json\r\nContent-Length: ${Buffer.byteLength(text)}\r\n\r\n${text}`,
        () => setTimeout(() => socket.destroy(), 5),
      );
    });
    socket.once('close', () => resolve());
  });
  for (let i = 0; i < 50 && (await stored(id)).length < 2; i += 1)
    await new Promise((resolve) => setTimeout(resolve, 20));
  expect((await send(entry)).status).toBe(200);
  expect((await stored(id)).map((one) => one.id)).toEqual([expect.any(String), entry.id]);
  await new Promise((resolve) => server.close(resolve));
});

test('two writers on one order: one is taken, the other gets both', async () => {
  const id = await openCase();
  const [mine, yours] = [order(id, null), order(id, null, { diagnosis: 'Another' })];
  const answers = await Promise.all([send(mine), send(yours)]);
  expect(answers.map(({ status }) => status).sort()).toEqual([201, 409]);
  const lost = answers.find(({ status }) => status === 409)!.body as { inForce: SentEntry; yours: SentEntry };
  const taken = answers.find(({ status }) => status === 201)!.body.entry!;
  expect(lost.inForce.id).toBe(taken.id);
  expect([mine.id, yours.id]).toContain(lost.yours.id);
  expect((await send({ ...lost.yours, id: v7(), expects: taken.id })).status).toBe(201);
});

test('facts from many writers are all taken, numbered without gaps and chained', async () => {
  const id = await openCase();
  const answers = await Promise.all(Array.from({ length: 24 }, (_, i) => send(read(id, 400 + i))));
  expect(new Set(answers.map(({ status }) => status))).toEqual(new Set([201]));
  expect((await stored(id)).map(({ seq }) => seq)).toEqual(Array.from({ length: 25 }, (_, i) => i + 1));
  const links = await clinic.context.db
    .getRepository(entryEntity)
    .find({ where: { case: id }, order: { seq: 'ASC' } });
  expect(brokenLink(links)).toBeUndefined();
  // content and salt gone, as after an erasure: the chain still verifies; a changed link does not
  expect(brokenLink(links.map((link) => ({ ...link, content: null, salt: null })))).toBeUndefined();
  expect(brokenLink(links.map((link) => (link.seq === 9 ? { ...link, salted: 'f'.repeat(64) } : link)))).toBe(
    8,
  );
});

test('a correction keeps the old entry; two corrections of the same one are both taken', async () => {
  const id = await openCase();
  const first = read(id, 346);
  await send(first);
  const corrects = { replaces: first.id, reason: 're-read, tape was slanted' };
  expect((await send(read(id, 364, corrects))).status).toBe(201);
  expect((await send(read(id, 366, corrects))).status).toBe(201);
  expect((await stored(id)).map((entry) => (entry.body as { value?: number }).value)).toEqual([
    undefined,
    346,
    364,
    366,
  ]);
});

test.each([
  ['without a reason', () => ({ replaces: v7() }), 'reason'],
  ['of an entry that is not there', () => ({ replaces: v7(), reason: 'a slip' }), 'replaces'],
])('a correction %s is refused', async (_, more, at) => {
  const id = await openCase();
  const { status, body } = await send(read(id, 364, more()));
  expect(status).toBe(422);
  expect(body.faults).toContainEqual(expect.objectContaining({ at }));
});

test('a correction of another kind, or of the opening, is refused', async () => {
  const id = v7();
  const opened = clinic.opened(id);
  await send(opened);
  expect((await send(read(id, 1, { replaces: opened.id, reason: 'a slip' }))).body.detail).toMatch(
    /stays as it is/,
  );
  const visit = {
    ...clinic.entry('visit.planned', 'case', { day: '2026-12-01', purpose: 'review' }),
    case: id,
  };
  await send(visit);
  expect((await send(read(id, 1, { replaces: visit.id, reason: 'a slip' }))).body.detail).toMatch(
    /another kind/,
  );
});

test('an order for the other side, or a window the wrong way round, is refused with its place', async () => {
  const id = await openCase();
  expect((await send(order(id, null, { side: 'left' }))).body.detail).toMatch(/other-side/);
  const reversed = await send(
    order(id, null, { phases: [{ fromDay: 0, limits: limitsOf(knee, { extension: 90, flexion: 10 }) }] }),
  );
  expect(reversed.body.faults).toEqual([
    expect.objectContaining({ at: 'body.phases[0]', message: 'window-reversed' }),
  ]);
});

test('stops outside the order are never chosen; fitted ones are a fact and open a look at the brace', async () => {
  const id = await openCase();
  await send(order(id, null));
  const computed = await stopsFor(clinic, id);
  const choose = (extension: number, flexion: number) =>
    send({
      ...clinic.entry(
        'set.chosen',
        'set',
        { ...computed, values: stopsIn(extension, flexion).values },
        { expects: null },
      ),
      case: id,
    });
  const [extension, flexion] = computed.values!.map(({ value }) => value);
  expect((await choose(0, flexion!)).body.detail).toMatch(/values is not what the same entries give/);
  expect((await choose(extension!, 120)).body.detail).toMatch(/values is not what the same entries give/);
  expect((await choose(extension!, flexion!)).status).toBe(201);
  expect((await send({ ...clinic.entry('set.made', 'set', stopsIn(10, 75)), case: id })).status).toBe(201);
});

test('while a finding blocks, decisions are refused and facts are taken', async () => {
  const id = await openCase();
  await send(order(id, null));
  const look = { answers: [{ finding: 'calf-swollen' as const, is: 'present' as const }] };
  const looked = { ...clinic.entry('screen.looked', 'screen', look), case: id };
  await send(looked);
  const choose = {
    ...clinic.entry('set.chosen', 'set', await stopsFor(clinic, id), { expects: null }),
    case: id,
  };
  expect((await send(choose)).body.detail).toMatch(/calf-swollen blocks/);
  expect((await send(read(id))).status).toBe(201);
  const override = {
    finding: 'calf-swollen' as const,
    of: looked.id,
    reason: 'ward 3 has ruled it out by ultrasound',
  };
  expect((await send({ ...clinic.entry('screen.overridden', 'screen', override), case: id })).status).toBe(
    201,
  );
  expect((await send(choose)).status).toBe(201);
});

test('a protective order refuses a plan that grows', async () => {
  const id = await openCase();
  await send(order(id, null));
  const plan = {
    kind: 'growing' as const,
    from: '2026-11-24',
    firstDay: 30,
    grow: 30,
    everyDays: 1,
    ceiling: 360,
  };
  const answer = await send({ ...clinic.entry('wear.planned', 'wear', plan, { expects: null }), case: id });
  expect(answer.body.detail).toMatch(/protective-grows/);
});

test('nobody writes in another name, and a technician neither orders nor sets', async () => {
  const id = await openCase();
  expect((await send({ ...read(id), by: clinic.userOf('technician') })).status).toBe(403);
  const teo = await clinic.as('technician');
  const post = (entry: SentEntry) =>
    teo.post(`/api/cases/${id}/entries`).send({ ...entry, by: clinic.userOf('technician') });
  expect((await post(read(id))).status).toBe(201);
  expect((await post(order(id, null))).status).toBe(403);
  await send(order(id, null));
  const theirs = await stopsFor(clinic, id);
  expect(
    (
      await post({
        ...clinic.entry('set.chosen', 'set', theirs, { expects: null }),
        case: id,
      })
    ).status,
  ).toBe(403);
  // what a technician found in the hinges, or did, is recorded, as found: an orthotist looks at it
  const made = (more: object) =>
    post({ ...clinic.entry('set.made', 'set', { ...stopsIn(10, 60), ...more }), case: id });
  expect((await made({})).body.faults).toEqual([expect.objectContaining({ at: 'body.found' })]);
  expect((await made({ found: true })).status).toBe(201);
  const visit = {
    ...clinic.entry('visit.planned', 'case', { day: '2026-12-01', purpose: 'review' }),
    case: id,
  };
  expect((await post(visit)).status).toBe(201);
});

test('a withdrawal needs the permission of what it withdraws', async () => {
  const id = await openCase();
  const given = order(id, null);
  await send(given);
  const withdraw = {
    ...clinic.entry('record.withdrawn', 'screen', {}, { replaces: given.id, reason: 'wrong patient' }),
    case: id,
  };
  const teo = await clinic.as('technician');
  const byTeo = { ...withdraw, by: clinic.userOf('technician') };
  expect((await teo.post(`/api/cases/${id}/entries`).send(byTeo)).status).toBe(403);
  expect((await send(withdraw)).status).toBe(201);
});

test('a case is opened once, for a person and a model that are there', async () => {
  const id = await openCase();
  expect((await send(clinic.opened(id))).status).toBe(409);
  const wrong = (change: object) => {
    const opened = clinic.opened(v7());
    return send({ ...opened, body: { ...opened.body, ...change } });
  };
  expect((await wrong({ person: v7() })).body.detail).toMatch(/no person/);
  expect((await wrong({ model: { ...clinic.model, hash: 'a'.repeat(64) } })).body.detail).toMatch(
    /no registered model/,
  );
  expect((await wrong({ programme: { ...clinic.programme, hash: 'a'.repeat(64) } })).body.detail).toMatch(
    /not registered/,
  );
  // a pin says of the content under its hash what it is
  for (const change of [
    { programme: { ...clinic.programme, version: 99 } },
    { programme: { ...clinic.programme, id: 'knee-sleeve' } },
    { model: { ...clinic.model, version: 99 } },
  ])
    expect((await wrong(change)).status).toBe(422);
  expect((await send(read(v7()))).status).toBe(404);
});

test('an older outbox is heard late: order by seq, day by when it was observed', async () => {
  const id = await openCase();
  const late = read(id, 450, { observedAt: '2026-10-24T23:30:00.000Z' });
  expect((await send(late)).status).toBe(201);
  expect((await stored(id)).at(-1)).toMatchObject({ seq: 2, observedAt: '2026-10-24T23:30:00.000Z' });
});

test('entries come in pages after a seq', async () => {
  const id = await openCase();
  for (let i = 0; i < 4; i += 1) await send(read(id, 450 + i));
  const ana = await clinic.as('orthotist');
  const page = async (query: string) => (await ana.get(`/api/cases/${id}/entries?${query}`)).body;
  expect(await page('after=1&limit=2')).toMatchObject({ more: true, entries: [{ seq: 2 }, { seq: 3 }] });
  expect(await page('after=3&limit=2')).toMatchObject({ more: false, entries: [{ seq: 4 }, { seq: 5 }] });
  expect((await ana.get(`/api/cases/${id}/entries?after=x`)).status).toBe(400);
});

test('the summary is written with the entry', async () => {
  const id = await openCase();
  await send({
    ...clinic.entry('visit.planned', 'case', { day: '2026-12-01', purpose: 'fitting' }),
    case: id,
  });
  const row = await clinic.context.db.getRepository(summaryEntity).findOneByOrFail({ case: id });
  expect(row).toMatchObject({
    firstVisit: '2026-12-01',
    stage: 'screen',
    personKey: 'Castrelo Iria',
    seq: 2,
  });
});
