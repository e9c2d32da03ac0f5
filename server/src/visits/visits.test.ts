import { v7 } from 'uuid';
import { testClinic, type TestClinic } from '../test-clinic';

let clinic: TestClinic;
beforeAll(async () => {
  clinic = await testClinic({ now: () => new Date('2026-11-24T09:00:00Z') });
});
afterAll(() => clinic.close());

const visit = (change: object = {}) => ({
  person: clinic.person,
  day: '2026-11-24',
  time: '10:30',
  purpose: 'first',
  note: null,
  deskNote: 'referred by telephone',
  state: 'planned',
  ...change,
});
const put = async (id: string, body: object) =>
  (await clinic.as('reception')).put(`/api/visits/${id}`).send(body);
const onDay = async (day: string, role: 'reception' | 'orthotist' = 'reception') =>
  (await (await clinic.as(role)).get(`/api/visits?from=${day}`).expect(200)).body.visits as {
    id: string;
    state: string;
    [key: string]: unknown;
  }[];

/** A case with a visit in it. */
async function caseWithVisit(body: object, role: 'orthotist' | 'reception' = 'orthotist') {
  const ana = await clinic.as('orthotist');
  const id = v7();
  await ana.post(`/api/cases/${id}/entries`).send(clinic.opened(id)).expect(201);
  const entry = { ...clinic.entry('visit.planned', 'case', body as never, {}, role), case: id };
  await (await clinic.as(role)).post(`/api/cases/${id}/entries`).send(entry).expect(201);
  return { id, visit: entry.id };
}

test('somebody without a case is planned, moved and called off, each with who and what it was', async () => {
  const id = v7();
  expect((await put(id, visit())).body).toMatchObject({
    personName: 'Iria Castrelo',
    case: null,
    modelName: null,
    note: null,
    deskNote: 'referred by telephone',
  });
  await put(id, visit());
  // the note is not sent again: it stays
  await put(id, visit({ day: '2026-11-26', deskNote: null }));
  expect(await onDay('2026-11-24')).toEqual([]);
  expect(await onDay('2026-11-26')).toMatchObject([{ id, time: '10:30', deskNote: 'referred by telephone' }]);
  await put(id, visit({ day: '2026-11-26', deskNote: null, state: 'cancelled' }));
  expect(await onDay('2026-11-26')).toEqual([]);
  const { body } = await (
    await clinic.as('administrator')
  )
    .get('/api/audit?action=visit.changed')
    .expect(200);
  expect(body.lines.map(({ fields }: { fields: string[] }) => fields)).toEqual([['state'], ['day']]);
});

test('a case that is opened keeps the visit without one', async () => {
  const id = v7();
  await put(id, visit());
  expect((await onDay('2026-11-24')).find((one) => one.id === id)!.state).toBe('planned');
  const ana = await clinic.as('orthotist');
  const opened = v7();
  await ana.post(`/api/cases/${opened}/entries`).send(clinic.opened(opened)).expect(201);
  expect((await onDay('2026-11-24')).find((one) => one.id === id)!.state).toBe('kept');
});

test('visits of cases stand on their days with those of people without one, by the clock', async () => {
  const review = await caseWithVisit({ day: '2026-11-30', time: '09:15', purpose: 'review' });
  const collection = await caseWithVisit({ day: '2026-11-30', time: '16:00', purpose: 'collection' });
  const first = v7();
  await put(first, visit({ day: '2026-11-30', time: '11:00' }));
  expect((await onDay('2026-11-30')).map(({ id, purpose }) => [id, purpose])).toEqual([
    [review.visit, 'review'],
    [first, 'first'],
    [collection.visit, 'collection'],
  ]);
});

test('what an orthotist noted of a visit reception does not read, and keeps when it moves the visit', async () => {
  const { id, visit: planned } = await caseWithVisit({
    day: '2026-12-01',
    purpose: 'review',
    note: 'calf again',
  });
  expect(await onDay('2026-12-01')).toMatchObject([{ id: planned, note: null, stage: null }]);
  expect(await onDay('2026-12-01', 'orthotist')).toMatchObject([{ note: 'calf again' }]);
  const marga = await clinic.as('reception');
  const moved = {
    ...clinic.entry(
      'visit.planned',
      'case',
      { day: '2026-12-02', purpose: 'review' },
      { replaces: planned, reason: 'moved by telephone' },
      'reception',
    ),
    case: id,
  };
  await marga.post(`/api/cases/${id}/entries`).send(moved).expect(201);
  expect(await onDay('2026-12-01')).toEqual([]);
  expect(await onDay('2026-12-02')).toMatchObject([{ id: moved.id, note: null }]);
  expect(await onDay('2026-12-02', 'orthotist')).toMatchObject([{ note: 'calf again' }]);
});

test('reception’s note and the clinical one stand beside each other: neither hides the other', async () => {
  const { id, visit: planned } = await caseWithVisit({
    day: '2026-12-01',
    purpose: 'review',
    note: 'calf again',
  });
  const marga = await clinic.as('reception');
  const by = async (body: object) => {
    const entry = {
      ...clinic.entry(
        'visit.planned',
        'case',
        { day: '2026-12-08', purpose: 'review', ...body } as never,
        { replaces: planned, reason: 'moved by telephone' },
        'reception',
      ),
      case: id,
    };
    return (await marga.post(`/api/cases/${id}/entries`).send(entry)).body;
  };
  expect((await by({ note: 'comes by bus' })).faults[0].at).toBe('body.note');
  await by({ deskNote: 'comes by bus' });
  expect(await onDay('2026-12-08')).toMatchObject([{ note: null, deskNote: 'comes by bus' }]);
  expect(await onDay('2026-12-08', 'orthotist')).toMatchObject([
    { note: 'calf again', deskNote: 'comes by bus' },
  ]);
});

test('what waited in a browser of before, at the front desk, keeps its note as the front desk’s', async () => {
  const id = v7();
  const { deskNote: _none, ...before } = visit({ day: '2026-12-09', note: 'has a dog' });
  await put(id, before);
  expect(await onDay('2026-12-09')).toMatchObject([{ note: null, deskNote: 'has a dog' }]);
});

test('a visit of a case is not moved into the past, nor to an hour that does not come', async () => {
  const { id, visit: planned } = await caseWithVisit({ day: '2026-12-01', purpose: 'review' });
  const ana = await clinic.as('orthotist');
  const move = async (body: object) =>
    ana.post(`/api/cases/${id}/entries`).send({
      ...clinic.entry('visit.planned', 'case', { purpose: 'review', ...body } as never, {
        replaces: planned,
        reason: 'moved',
      }),
      case: id,
    });
  expect((await move({ day: '2020-05-01' })).body.faults[0].at).toBe('body.day');
  expect((await move({ day: '2027-03-28', time: '02:30' })).body.faults[0].at).toBe('body.time');
  expect((await move({ day: '2027-03-28', time: '03:30' })).status).toBe(201);
});

test('a closed case waits for nobody; opened again it does', async () => {
  const { id } = await caseWithVisit({ day: '2026-12-03', purpose: 'review' });
  const ana = await clinic.as('orthotist');
  const write = (kind: 'case.closed' | 'case.reopened', body: object) =>
    ana
      .post(`/api/cases/${id}/entries`)
      .send({ ...clinic.entry(kind, 'case', body as never), case: id })
      .expect(201);
  await write('case.closed', { because: 'delivered' });
  expect(await onDay('2026-12-03')).toEqual([]);
  const benched = async () =>
    (await ana.get('/api/bench')).body.cases.some((row: { case: string }) => row.case === id);
  expect(await benched()).toBe(false);
  expect((await ana.get('/api/cases?find=castrelo')).body.cases).toContainEqual(
    expect.objectContaining({ case: id, closed: 'delivered' }),
  );
  await write('case.reopened', {});
  expect(await onDay('2026-12-03')).toHaveLength(1);
  expect(await benched()).toBe(true);
});

test.each([
  [{ day: '2026-11-23' }, 'day'],
  [{ day: '2031-01-01' }, 'day'],
  [{ day: '2026-02-30' }, 'day'],
  [{ time: '24:00' }, 'time'],
  [{ time: '9:30' }, 'time'],
  [{ purpose: 'party' }, 'purpose'],
  [{ note: 'x'.repeat(401) }, 'note'],
  [{ deskNote: 'x'.repeat(401) }, 'deskNote'],
  [{ note: 'calf swollen' }, 'note'],
  // half past two does not come on the day the clocks go forward
  [{ day: '2027-03-28', time: '02:30' }, 'time'],
  [{ person: '0192c3d4-0000-7000-8000-000000000009' }, 'person'],
  [{ state: 'missed' }, 'state'],
])('a visit with %j is refused at its field', async (change, at) => {
  const { status, body } = await put(v7(), visit(change));
  expect([status, body.faults[0].at]).toEqual([422, at]);
});

test('a visit of a case is changed in its record alone, and days are asked for in order', async () => {
  const { visit: id } = await caseWithVisit({ day: '2026-12-04', purpose: 'review' });
  expect((await put(id, visit())).status).toBe(409);
  const marga = await clinic.as('reception');
  for (const query of [
    'from=2026-12-04&until=2026-12-03',
    'from=2026-02-30',
    'from=2026-01-01&until=2026-12-31',
  ])
    expect((await marga.get(`/api/visits?${query}`)).status).toBe(400);
});

test('twenty who move one visit at once leave it on one of their days', async () => {
  const id = v7();
  await put(id, visit({ day: '2027-01-01' }));
  const days = Array.from({ length: 20 }, (_, i) => `2027-02-${String(i + 1).padStart(2, '0')}`);
  const answers = await Promise.all(days.map((day) => put(id, visit({ day, deskNote: null }))));
  expect(answers.every(({ status }) => status === 200)).toBe(true);
  const marga = await clinic.as('reception');
  const { body } = await marga.get('/api/visits?from=2027-02-01&until=2027-02-28').expect(200);
  expect(body.visits).toHaveLength(1);
});
