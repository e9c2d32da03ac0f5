import { foldCase, type BodyOf, type CaseState } from '@estribo/core/logbook';
import { limitsOf } from '@estribo/core/order';
import { pinOf, programmes } from '@estribo/core/programmes';
import { v7 } from 'uuid';
import type { Role } from '@estribo/core/access';
import { caseEntity } from '../database/entities';
import { demoModels } from '../demo/models';
import { soundOrder, stopsFor, stopsIn, testClinic, type SentEntry, type TestClinic } from '../test-clinic';
import { entriesOf, foldOf } from './record';

/*
 * Settings at the border: a plan without an order, by the wrong role, on a stale order, an unequal pair, numbers that the
 * server would not compute; what was made is always taken, and what contradicts it is to be looked at.
 */

const knee = { joint: 'knee', plane: 'sagittal' } as const;

let clinic: TestClinic;
beforeAll(async () => {
  clinic = await testClinic();
});
afterAll(() => clinic.close());

const send = async (entry: SentEntry, role: Role = 'orthotist') =>
  (await clinic.as(role)).post(`/api/cases/${entry.case}/entries`).send(entry);
const stateOf = async (id: string): Promise<CaseState> => {
  const { db } = clinic.context;
  const row = await db.getRepository(caseEntity).findOneByOrFail({ id });
  return (await foldOf(db.manager, row, await entriesOf(db.manager, id), 'Europe/Madrid'))!;
};
const opened = async () => {
  const id = v7();
  expect((await send(clinic.opened(id))).status).toBe(201);
  return id;
};
const order = async (
  id: string,
  more: Partial<BodyOf<'order.given'>> = {},
  expects: string | null = null,
) => {
  const sent = {
    ...clinic.entry('order.given', 'screen', { ...soundOrder, ...more }, { expects }),
    case: id,
  };
  expect((await send(sent)).status).toBe(201);
  return sent.id;
};
const change = (
  id: string,
  what: 'held' | 'resumed' | 'moved',
  day: string,
  expects: string | null,
  role?: Role,
) =>
  send(
    {
      ...clinic.entry(
        'order.changed',
        'set',
        { what, day, prescriber: 'ward 3', reason: 'wound' },
        { expects },
        role,
      ),
      case: id,
    },
    role,
  );

test('stops are not chosen without an order, and not by a technician', async () => {
  const id = await opened();
  const other = await opened();
  await order(other);
  const body = await stopsFor(clinic, other);
  const choose = (role?: Role) =>
    send({ ...clinic.entry('set.chosen', 'set', body, { expects: null }, role), case: id }, role);
  const refused = await choose();
  expect([refused.status, refused.body.status]).toEqual([422, 422]);
  expect((await choose('technician')).status).toBe(403);
  expect((await choose('reader')).status).toBe(403);
});

test('a choice made on an order that another has replaced is kept beside what is computed now, not in force', async () => {
  const id = await opened();
  const first = await order(id);
  const body = await stopsFor(clinic, id);
  await order(
    id,
    { phases: [{ fromDay: 0, limits: limitsOf(knee, { extension: 10, flexion: 60 }) }] },
    first,
  );
  await send({ ...clinic.entry('set.chosen', 'set', body, { expects: null }), case: id });
  const { setting } = await stateOf(id);
  expect(
    setting.chosen === undefined || setting.chosen.wouldDiffer || setting.chosen.staleBecause.length > 0,
  ).toBe(true);
});

test('an unequal pair is not chosen; put in, it is taken and to be looked at', async () => {
  const id = await opened();
  await order(id);
  const body = await stopsFor(clinic, id);
  const uneven = body.values!.map((one) => (one.place === 'lateral-extension' ? { ...one, value: 20 } : one));
  const refused = await send({
    ...clinic.entry('set.chosen', 'set', { ...body, values: uneven }, { expects: null }),
    case: id,
  });
  expect([refused.status, refused.body.faults[0].at]).toEqual([422, 'body.values']);
  const { values } = stopsIn(0, 120);
  const put = values!.map((one) => (one.place === 'lateral-extension' ? { ...one, value: 20 } : one));
  const made = await send({
    ...clinic.entry('set.made', 'set', { setting: 'hinge-stops', values: put, moved: true }),
    case: id,
  });
  expect(made.status).toBe(201);
  expect((await stateOf(id)).setting.look.map(({ what }) => what)).toEqual(
    expect.arrayContaining(['pair-differs']),
  );
});

test('numbers that the server would not compute are refused with their place, a buffer that loosens too', async () => {
  const id = await opened();
  await order(id);
  const body = await stopsFor(clinic, id);
  for (const [more, at] of [
    [{ lost: { extension: 99, flexion: 0 } }, 'body.lost'],
    [{ buffer: -5 }, 'body.buffer'],
    [{ buffer: 1e6 }, 'body.buffer'],
  ] as const) {
    const answer = await send({
      ...clinic.entry('set.chosen', 'set', { ...body, ...more } as never, { expects: null }),
      case: id,
    });
    expect([more, answer.status]).toEqual([more, 422]);
    expect(answer.body.faults.map((fault: { at: string }) => fault.at)).toContain(at);
  }
});

test('what was put in with an order that has ended is taken, and flagged as made without one', async () => {
  const id = await opened();
  await order(id, { dayZero: '2020-01-01', until: '2020-02-01' });
  const made = await send({ ...clinic.entry('set.made', 'set', stopsIn(0, 90)), case: id });
  expect(made.status).toBe(201);
  const { setting } = await stateOf(id);
  expect(setting.made.find(({ setting: { id: name } }) => name === 'hinge-stops')!.flags).toContain(
    'without-order',
  );
});

test('an order is held and resumed by an orthotist, each following the one before; a stale one is 409 with both', async () => {
  const id = await opened();
  expect((await change(id, 'held', '2026-11-20', null)).status).toBe(422);
  const given = await order(id);
  expect((await change(id, 'held', '2026-11-20', given, 'technician')).status).toBe(403);
  expect((await change(id, 'resumed', '2026-11-20', given)).body.faults[0].at).toBe('body.what');
  const held = await change(id, 'held', '2026-11-20', given);
  expect(held.status).toBe(201);
  const stale = await change(id, 'held', '2026-11-21', given);
  expect([stale.status, stale.body.inForce !== undefined, stale.body.yours !== undefined]).toEqual([
    409,
    true,
    true,
  ]);
  const now = (await stateOf(id)).order!;
  expect(now).toMatchObject({ heldSince: '2026-11-20', changes: [{ what: 'held' }] });
  expect((await change(id, 'resumed', '2026-11-19', now.changes[0]!.entry)).status).toBe(422);
  expect((await change(id, 'resumed', '2026-11-23', now.changes[0]!.entry)).status).toBe(201);
});

test('twenty writers hold one order at once: one does, and the rest are told what is in force', async () => {
  const id = await opened();
  const given = await order(id);
  const answers = await Promise.all(
    Array.from({ length: 20 }, () => change(id, 'held', '2026-11-20', given).then(({ status }) => status)),
  );
  expect(answers.filter((status) => status === 201)).toHaveLength(1);
  expect(
    answers.filter((status) => status !== 201 && status !== 409 && status !== 422 && status !== 503),
  ).toEqual([]);
});

describe('a correction', () => {
  const model = demoModels.find(({ id }) => id === 'ponla-duas')!;
  const programme = programmes.find(({ id }) => id === model.programme)!;
  const unloader = async () => {
    const id = v7();
    const sent = clinic.opened(id);
    const answer = await send({
      ...sent,
      body: { ...sent.body, programme: pinOf(programme), model: pinOf(model) },
    });
    expect(answer.status).toBe(201);
    return id;
  };
  const turned = (id: string, turns: object[], more = {}, role?: Role) =>
    send(
      {
        ...clinic.entry('set.turned', 'set', { setting: 'screws', turns, ...more } as never, {}, role),
        case: id,
      },
      role,
    );
  const ledgerOf = async (id: string) =>
    (await stateOf(id)).setting.made.find(({ setting }) => setting.id === 'screws')!;

  test('a turn that was made is always taken, marked where it is more than is allowed', async () => {
    const id = await unloader();
    expect((await turned(id, [{ place: 'upper', n: 1, d: 8 }])).status).toBe(201);
    expect((await turned(id, [{ place: 'upper', n: 3, d: 8 }])).status).toBe(201);
    const { ledger, made, flags } = await ledgerOf(id);
    expect([ledger!.map(({ over }) => over ?? null), made!.values, flags]).toEqual([
      [null, 'over-change'],
      { upper: 0.5, lower: 0 },
      ['over-change'],
    ]);
  });

  test('a technician turns nothing, and records what was found', async () => {
    const id = await unloader();
    const refused = await turned(id, [{ place: 'upper', n: 1, d: 8 }], {}, 'technician');
    expect([refused.status, refused.body.faults[0].at]).toEqual([422, 'body.found']);
    expect((await turned(id, [{ place: 'upper', n: 1, d: 8 }], { found: true }, 'technician')).status).toBe(
      201,
    );
    expect((await ledgerOf(id)).flags).toContain('found-so');
  });

  test.each([
    ['a screw that it does not have', [{ place: 'middle', n: 1, d: 8 }], 'body.turns[0].place'],
    [
      'one screw twice',
      [
        { place: 'upper', n: 1, d: 8 },
        { place: 'upper', n: 1, d: 8 },
      ],
      'body.turns[1].place',
    ],
    ['nothing', [], 'body.turns'],
    ['a part by zero', [{ place: 'upper', n: 1, d: 0 }], 'body.turns[0].d'],
    ['half a numerator', [{ place: 'upper', n: 0.5, d: 1 }], 'body.turns[0].n'],
    ['a thousandth', [{ place: 'upper', n: 1, d: 1000 }], 'body.turns[0].d'],
    ['no end of turns', [{ place: 'upper', n: 1e9, d: 1 }], 'body.turns[0].n'],
  ])('%s is refused at its place', async (_, turns, at) => {
    const answer = await turned(await unloader(), turns);
    expect([answer.status, answer.body.faults[0].at]).toEqual([422, at]);
  });

  test('a brace without a correction, or without a hinge, has none to turn and none to place', async () => {
    const id = await opened();
    expect((await turned(id, [{ place: 'upper', n: 1, d: 8 }])).body.faults[0].at).toBe('body.setting');
    const placed = { aboveJointLine: 24, forwardOfMidline: -8, knee: 45, donned: 45 };
    expect((await send({ ...clinic.entry('hinge.placed', 'set', placed), case: id })).status).toBe(201);
    const far = await send({
      ...clinic.entry('hinge.placed', 'set', { ...placed, aboveJointLine: 201 }),
      case: id,
    });
    expect([far.status, far.body.faults[0].at]).toEqual([422, 'body.aboveJointLine']);
  });
});

describe('air, handed over to the patient', () => {
  const model = demoModels.find(({ programme }) => programme === 'ankle-walker')!;
  const programme = programmes.find(({ id }) => id === model.programme)!;
  const walker = async () => {
    const id = v7();
    const sent = clinic.opened(id);
    await send({ ...sent, body: { ...sent.body, programme: pinOf(programme), model: pinOf(model) } });
    return id;
  };
  const handed = (id: string, more: object, role?: Role) => {
    const body = {
      setting: 'strokes-of-air',
      within: { n: 5, d: 1 },
      everyDays: 2,
      most: { n: 5, d: 1 },
      ...more,
    };
    return send({ ...clinic.entry('set.handed-over', 'wear', body as never, {}, role), case: id }, role);
  };
  const told = (id: string, more: object) =>
    send({
      ...clinic.entry('set.made', 'review', {
        setting: 'strokes-of-air',
        values: [{ place: 'one', value: 5 }],
        ...more,
      } as never),
      case: id,
    });

  test('by an orthotist, air and no angle; what is told says how often', async () => {
    const id = await walker();
    const [asTechnician, angle] = [
      await handed(id, {}, 'technician'),
      await handed(id, { setting: 'ankle-angle' }),
    ];
    expect(asTechnician.status).toBe(403);
    expect([angle.status, angle.body.faults[0].at]).toEqual([422, 'body.setting']);
    expect((await handed(id, {})).status).toBe(201);
    // how often is what a patient tells: nobody else's entry says it
    const own = await told(id, { everyDays: 2 });
    expect([own.status, own.body.faults[0].message]).toEqual([
      422,
      expect.stringContaining('only what the patient tells'),
    ]);
    expect((await told(id, { reported: true, everyDays: 61 })).status).toBe(422);
    expect((await told(id, { reported: true, everyDays: 1 })).status).toBe(201);
    const air = (await stateOf(id)).setting.made.find(({ setting }) => setting.id === 'strokes-of-air')!;
    expect([air.flags, air.made?.everyDays]).toEqual([['too-soon'], 1]);
  });
});

test('what is folded from the server’s entries is what anybody folds from them', async () => {
  const id = await opened();
  await order(id);
  const { db } = clinic.context;
  const row = await db.getRepository(caseEntity).findOneByOrFail({ id });
  const entries = await entriesOf(db.manager, row.id);
  const state = await stateOf(id);
  expect(
    foldCase(entries as never, { programme: state.programme, model: state.model, zone: 'Europe/Madrid' })!
      .order,
  ).toEqual(state.order);
});
