import { v7 } from 'uuid';
import { testClinic, type SentEntry, type TestClinic } from '../test-clinic';

let clinic: TestClinic;
beforeAll(async () => {
  clinic = await testClinic();
});
afterAll(() => clinic.close());

const send = async (entry: SentEntry) =>
  (await clinic.as('orthotist')).post(`/api/cases/${entry.case}/entries`).send(entry);

async function opened(person = clinic.person): Promise<string> {
  const id = v7();
  const entry = clinic.opened(id);
  expect((await send({ ...entry, body: { ...entry.body, person } })).status).toBe(201);
  return id;
}
const reading = (id: string, value: number, more: object = {}): SentEntry => ({
  ...clinic.entry(
    'measure.read',
    'measure',
    { step: 'girth-above', side: 'right', value, instrument: 'tape' },
    more,
  ),
  case: id,
});

test('a reading is taken over of another case of the same person, as it stands there, and says so', async () => {
  const [first, second] = [await opened(), await opened()];
  const there = reading(first, 450);
  await send(there);
  const from = { case: first, entry: there.id };
  const taken = reading(second, 450, { observedAt: there.observedAt, from });
  const answer = await send(taken);
  expect([answer.status, answer.body.entry.from]).toEqual([201, from]);
  // sent twice is once
  expect((await send(taken)).status).toBe(200);
  const refused = async (change: object, value = 450) => {
    const { status, body } = await send(
      reading(second, value, { observedAt: there.observedAt, from, ...change }),
    );
    return [status, body.faults?.[0]?.at];
  };
  expect(await refused({}, 451)).toEqual([422, 'from.entry']);
  expect(await refused({ observedAt: '2026-11-24T09:29:00.000Z' })).toEqual([422, 'from.entry']);
  expect(await refused({ from: { case: first, entry: v7() } })).toEqual([422, 'from.entry']);
  expect(await refused({ from: { case: second, entry: there.id } })).toEqual([422, 'from.case']);
  expect(await refused({ from: { case: v7(), entry: there.id } })).toEqual([422, 'from.case']);
});

test('what was taken over once is not taken over again, by whatever id it comes', async () => {
  const [first, second] = [await opened(), await opened()];
  const there = reading(first, 450);
  await send(there);
  const from = { case: first, entry: there.id };
  const take = () => send(reading(second, 450, { observedAt: there.observedAt, from }));
  const taken = await take();
  expect(taken.status).toBe(201);
  const again = await take();
  expect([again.status, again.body.faults?.[0]?.at]).toEqual([422, 'from.entry']);
  // withdrawn by mistake, it may be taken over once more
  const withdrawn = {
    ...clinic.entry(
      'record.withdrawn',
      'measure',
      {},
      { replaces: taken.body.entry.id, reason: 'wrong leg' },
    ),
    case: second,
  };
  expect((await send(withdrawn)).status).toBe(201);
  expect((await take()).status).toBe(201);
  expect((await take()).status).toBe(422);
});

test('twelve who take the same reading over at once leave it once', async () => {
  const [first, second] = [await opened(), await opened()];
  const there = reading(first, 450);
  await send(there);
  const from = { case: first, entry: there.id };
  const answers = await Promise.all(
    Array.from({ length: 12 }, () => send(reading(second, 450, { observedAt: there.observedAt, from }))),
  );
  expect(answers.filter(({ status }) => status === 201)).toHaveLength(1);
});

test('of somebody else nothing is taken over, unless they are found to be the same', async () => {
  const marga = await clinic.as('reception');
  const other = v7();
  await marga
    .put(`/api/people/${other}`)
    .send({ givenName: 'Irene', familyName: 'Castrelo', born: '1998-04-12' })
    .expect(200);
  const [first, second] = [await opened(other), await opened()];
  const there = reading(first, 450);
  await send(there);
  const take = () =>
    send(reading(second, 450, { observedAt: there.observedAt, from: { case: first, entry: there.id } }));
  expect((await take()).body.faults[0].at).toBe('from.case');
  await marga.put(`/api/people/${other}/merged`).send({ into: clinic.person }).expect(204);
  expect((await take()).status).toBe(201);
});

test('a case is handed to who may take one in hand, and to nobody else', async () => {
  const id = await opened();
  const hand = (to: string) => send({ ...clinic.entry('case.handed-over', 'case', { to }), case: id });
  expect((await hand(clinic.userOf('orthotist'))).status).toBe(201);
  for (const to of [clinic.userOf('reader'), v7()])
    expect((await hand(to)).body.faults[0].at).toBe('body.to');
});
