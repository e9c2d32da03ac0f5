import { formerKinds, readEntry, type AnyEntry } from '@estribo/core/logbook';
import { canonicalText } from '@estribo/core/programmes';
import { v7 } from 'uuid';
import { keepingEntity } from '../database/entities';
import { repairFormerKinds } from '../sealing/repair';
import { sealClinic } from '../sealing/seal';
import { verifyClinic } from '../sealing/verify';
import { soundOrder, stopsIn, testClinic, type SentEntry, type TestClinic } from '../test-clinic';

// What an append looks at before it adds, and entries of kinds that are written no more.

let clinic: TestClinic;
beforeEach(async () => {
  clinic = await testClinic();
});
afterEach(() => clinic.close());

const run = <T = unknown>(sql: string, values: unknown[] = []) => clinic.context.db.query<T>(sql, values);
const faults = async () => (await verifyClinic(clinic.context.db, clinic.context.sealing)).faults;
const seal = () => sealClinic(clinic.context.db, clinic.context.sealing, clinic.context.now());
const post = async (entry: SentEntry) =>
  (await clinic.as('orthotist')).post(`/api/cases/${entry.case}/entries`).send(entry);

const note = (id: string, text: string): SentEntry => ({
  ...clinic.entry('case.noted', 'case', { text }),
  case: id,
});

async function opened(): Promise<string> {
  const id = v7();
  expect((await post(clinic.opened(id))).status).toBe(201);
  return id;
}

/** A case whose stops may be chosen. */
async function ordered(): Promise<string> {
  const id = await opened();
  const order = { ...clinic.entry('order.given', 'screen', soundOrder, { expects: null }), case: id };
  expect((await post(order)).status).toBe(201);
  return id;
}

/** The rows of a case as they are, to be put back later. */
async function photographed(id: string): Promise<() => Promise<void>> {
  const [row] = await run<Record<string, unknown>[]>('SELECT * FROM `case` WHERE id = ?', [id]);
  return async () => {
    await run('DELETE FROM entry WHERE `case` = ? AND seq > ?', [id, row!.seq]);
    await run('UPDATE `case` SET seq = ?, head = ?, mac = ?, unsealed = ? WHERE id = ?', [
      row!.seq,
      row!.head,
      row!.mac,
      row!.unsealed,
      id,
    ]);
  };
}

test('a case that was put back to an older state of its own takes nothing, though its row is keyed', async () => {
  const id = await opened();
  const putBack = await photographed(id);
  expect((await post(note(id, 'comes by bus'))).status).toBe(201);
  await putBack();
  const { status, body } = await post(note(id, 'comes by train'));
  expect([status, body.title]).toEqual([409, 'The record does not hold']);
  expect((await run<unknown[]>('SELECT 1 FROM entry WHERE `case` = ?', [id])).length).toBe(1);
});

test('so does one that a seal knows further on, after a restart that remembers nothing', async () => {
  const id = await opened();
  const putBack = await photographed(id);
  await post(note(id, 'comes by bus'));
  await seal();
  await putBack();
  jest.resetModules();
  const { checkStanding } = await import('./standing');
  const [row] = await run<never[]>('SELECT * FROM `case` WHERE id = ?', [id]);
  await expect(
    checkStanding(clinic.context.db.manager, clinic.context.sealing.mac, row!),
  ).rejects.toMatchObject({ status: 409 });
});

test('a case row that was changed by hand takes nothing', async () => {
  const id = await opened();
  await run('UPDATE `case` SET mac = ? WHERE id = ?', ['f'.repeat(64), id]);
  expect((await post(note(id, 'comes by bus'))).status).toBe(409);
});

/** An entry of each kind that is written no more, as a late outbox would send it. */
const late: Record<string, [string, object]> = {
  'set.stops-chosen': [
    'set',
    {
      medial: { extension: 10, flexion: 60 },
      lateral: { extension: 10, flexion: 60 },
      phase: 0,
      ordered: { extension: 10, flexion: 60 },
      lost: { extension: 0, flexion: 0 },
      acknowledged: false,
      madeFrom: [],
      programme: 'a'.repeat(64),
      engine: 1,
    },
  ],
  'set.stops-fitted': [
    'set',
    {
      medial: { extension: 10, flexion: 60 },
      lateral: { extension: 10, flexion: 60 },
      of: v7(),
      moved: true,
    },
  ],
  'shape.pad': ['shape', { pad: 'thigh-front', done: 'placed' }],
  'shape.bent': ['shape', { upright: 'medial', place: -110, direction: 'towards-limb', amount: 3 }],
};

test('every kind that is written no more has its late entry here', () => {
  expect(Object.keys(late).sort()).toEqual(Object.keys(formerKinds).sort());
});

describe.each(Object.keys(late))('a late entry of the former kind %s', (kind) => {
  const sent = (id: string): SentEntry => {
    const [stage, body] = late[kind]!;
    const hash = 'programme' in body ? { programme: clinic.programme.hash } : {};
    return {
      ...clinic.entry('case.noted', 'case', { text: 'replaced below' }),
      case: id,
      kind,
      stage,
      v: 1,
      body: { ...body, ...hash },
      ...(formerKinds[kind]!.nature === 'intent' ? { expects: null } : {}),
    };
  };

  test('is stored as it is hashed, verifies, and sent again is the same entry', async () => {
    const id = await ordered();
    const entry = sent(id);
    const first = await post(entry);
    expect([first.status, first.body.detail]).toEqual([201, undefined]);
    await seal();
    expect(await faults()).toEqual([]);
    expect((await post(entry)).status).toBe(200);
  });

  test('that an older Estribo stored as sent and hashed as translated is repaired, once, with a line in the audit', async () => {
    const id = await ordered();
    const entry = sent(id);
    const read = readEntry(entry);
    if (!read.ok) throw new Error(JSON.stringify(read.faults));
    // as it was: hashed as it reads today, stored as it was sent
    const { kind: now } = formerKinds[kind]!.now;
    const translated = {
      ...read.entry,
      kind: now,
      v: formerKinds[kind]!.now.v,
      body: formerKinds[kind]!.now.body(read.entry.body as never),
    } as unknown as AnyEntry;
    expect((await post(translated as unknown as SentEntry)).status).toBe(201);
    await seal();
    await run('UPDATE entry SET content = ? WHERE id = ?', [canonicalText(read.entry), entry.id]);
    expect((await faults()).map(({ what }) => what)).toEqual(['content-changed']);
    const before = await run('SELECT salt, salted, hash, mac, seq FROM entry WHERE id = ?', [entry.id]);

    await clinic.context.db.getRepository(keepingEntity).update({ id: 1 }, { recordForm: 0 });
    expect(await repairFormerKinds(clinic.context.db, clinic.context.now())).toBe(1);
    expect(await repairFormerKinds(clinic.context.db, clinic.context.now())).toBe(0);
    expect(await faults()).toEqual([]);
    expect(await run('SELECT salt, salted, hash, mac, seq FROM entry WHERE id = ?', [entry.id])).toEqual(
      before,
    );
    expect(await run("SELECT user FROM audit WHERE action = 'record.repaired'")).toEqual([{ user: null }]);
    // a late repeat in the old form is still the same entry
    expect((await post(entry)).status).toBe(200);
  });
});

test('who may not set something takes as little out of what another has set', async () => {
  const id = await ordered();
  const made = { ...clinic.entry('set.made', 'set', stopsIn(10, 60)), case: id };
  expect((await post(made)).status).toBe(201);
  const withdraw = async (role: 'technician' | 'orthotist' | 'reception') =>
    (await clinic.as(role)).post(`/api/cases/${id}/entries`).send({
      ...clinic.entry('record.withdrawn', 'set', {}, { replaces: made.id, reason: 'wrong brace' }, role),
      case: id,
    });
  expect((await withdraw('reception')).status).toBe(403);
  expect((await withdraw('technician')).status).toBe(422);
  expect((await withdraw('orthotist')).status).toBe(201);
});

test('what was changed by hand is not repaired', async () => {
  const id = await opened();
  const entry = { ...clinic.entry('case.noted', 'case', { text: 'x' }), case: id };
  await post(entry);
  await run('UPDATE entry SET content = ? WHERE id = ?', [
    canonicalText({ ...entry, kind: 'shape.pad', stage: 'shape', body: late['shape.pad']![1] } as never),
    entry.id,
  ]);
  await clinic.context.db.getRepository(keepingEntity).update({ id: 1 }, { recordForm: 0 });
  expect(await repairFormerKinds(clinic.context.db, clinic.context.now())).toBe(0);
  expect((await faults()).map(({ what }) => what)).toEqual(['content-changed']);
});

const wear = (days: object[]) =>
  ['wear.read', 'wear', { from: 'file', rule: { on: 29, off: 27, tooHot: 41, gap: 30 }, days }] as const;

test.each([
  ['wear.read of 2199', ...wear([{ day: '2199-12-31', worn: 60, unknown: 0 }]), 'body.days[0].day'],
  ['wear.read before birth', ...wear([{ day: '1990-01-01', worn: 60, unknown: 0 }]), 'body.days[0].day'],
  ['wear.read of 24.5 h', ...wear([{ day: '2026-11-01', worn: 1470, unknown: 0 }]), 'body.days[0]'],
  [
    'wear.read of 24 h in two parts',
    ...wear([{ day: '2026-11-01', worn: 900, unknown: 600 }]),
    'body.days[0]',
  ],
  [
    'wear.told of 2199',
    'wear.told',
    'wear',
    { day: '2199-12-31', minutes: 60, skin: 'clear', pain: 'none' },
    'body.day',
  ],
  [
    'wear.told before birth',
    'wear.told',
    'wear',
    { day: '1990-01-01', minutes: 60, skin: 'clear', pain: 'none' },
    'body.day',
  ],
  ['a visit in 2020', 'visit.planned', 'case', { day: '2020-05-01', purpose: 'review' }, 'body.day'],
] as const)('%s is refused at its field', async (_, kind, stage, body, at) => {
  const id = await opened();
  const entry = { ...clinic.entry(kind, stage, body as never), case: id };
  const { status, body: problem } = await post(entry);
  expect([status, problem.faults?.[0].at]).toEqual([422, at]);
});

test('a day of 25 hours may be worn for 25', async () => {
  const id = await opened();
  // clocks go back in Madrid
  const [kind, stage, body] = wear([{ day: '2026-10-25', worn: 1500, unknown: 0 }]);
  expect((await post({ ...clinic.entry(kind, stage, body as never), case: id })).status).toBe(201);
});

test.each(['1901-01-01', '2190-01-01'])('an order with its day zero in %s is refused', async (dayZero) => {
  const id = await opened();
  const order = {
    ...clinic.entry('order.given', 'screen', { ...soundOrder, dayZero }, { expects: null }),
    case: id,
  };
  const { status, body } = await post(order);
  expect([status, body.faults?.[0].at]).toEqual([422, 'body.dayZero']);
});

test.each(['left', 'right'])('a trunk has no %s', async (side) => {
  const { demoModels } = await import('../demo/models');
  const { pinOf, programmes } = await import('@estribo/core/programmes');
  const programme = programmes.find(({ region }) => region === 'trunk')!;
  const model = demoModels.find((one) => one.programme === programme.id)!;
  const sent = clinic.opened(v7());
  const { status, body } = await post({
    ...sent,
    body: { ...sent.body, side, programme: pinOf(programme), model: pinOf(model) },
  });
  expect([status, body.faults?.[0].at]).toEqual([422, 'body.side']);
});

test('a leg has no midline', async () => {
  const sent = clinic.opened(v7());
  const { status, body } = await post({ ...sent, body: { ...sent.body, side: 'midline' } });
  expect([status, body.faults?.[0].at]).toEqual([422, 'body.side']);
});
