import { decideSignature } from '@estribo/core/checking';
import { decideSize } from '@estribo/core/sizing';
import { limitsOf } from '@estribo/core/order';
import { dayOf } from '@estribo/core/calendar';
import { foldCase, type BodyOf, type CaseState } from '@estribo/core/logbook';
import { v7 } from 'uuid';
import { caseEntity } from '../database/entities';
import {
  signedEntries,
  soundOrder,
  stopsFor,
  stopsIn,
  testClinic,
  type SentEntry,
  type TestClinic,
} from '../test-clinic';
import { entriesOf, foldOf } from './record';

const knee = { joint: 'knee', plane: 'sagittal' } as const;

let clinic: TestClinic;
beforeAll(async () => {
  clinic = await testClinic();
});
afterAll(() => clinic.close());

const send = async (entry: SentEntry) =>
  (await clinic.as('orthotist')).post(`/api/cases/${entry.case}/entries`).send(entry);
const stateOf = async (id: string): Promise<CaseState> => {
  const { db } = clinic.context;
  const row = await db.getRepository(caseEntity).findOneByOrFail({ id });
  return (await foldOf(db.manager, row, await entriesOf(db.manager, id), 'Europe/Madrid'))!;
};
const read = (id: string, step: string, value: number): SentEntry => ({
  ...clinic.entry('measure.read', 'measure', { step, side: 'right', value, instrument: 'tape' }),
  case: id,
});
const sized = (id: string, body: BodyOf<'size.chosen'>): SentEntry => ({
  ...clinic.entry('size.chosen', 'size', body),
  case: id,
});

/** A case ordered and measured. */
async function ready(): Promise<string> {
  const id = v7();
  await send(clinic.opened(id));
  await send({ ...clinic.entry('order.given', 'screen', soundOrder, { expects: null }), case: id });
  for (const [step, values] of [
    ['girth-above', [444, 446]],
    ['girth-below', [347, 349]],
  ] as const)
    for (const value of values) expect((await send(read(id, step, value))).status).toBe(201);
  return id;
}

test('what the core computes from the same entries is taken, whatever else is claimed is refused with its place', async () => {
  const id = await ready();
  const body = decideSize(await stateOf(id))!;
  for (const [change, at] of [
    [{ size: 'XXXL', reason: 'there is one' }, 'body.size'],
    [{ probability: 1 }, 'body.probability'],
    [{ engine: 99 }, 'body.engine'],
    [{ madeFrom: [v7()] }, 'body.madeFrom'],
    [{ programme: 'a'.repeat(64) }, 'body.programme'],
  ] as const) {
    const answer = await send(sized(id, { ...body, ...change } as BodyOf<'size.chosen'>));
    expect([answer.status, answer.body.faults.map((fault: { at: string }) => fault.at)]).toEqual([
      422,
      expect.arrayContaining([at]),
    ]);
  }
  expect((await send(sized(id, body))).status).toBe(201);
  const stops = await stopsFor(clinic, id);
  const choose = (change: Partial<BodyOf<'set.chosen'>>) =>
    send({
      ...clinic.entry('set.chosen', 'set', { ...stops, ...change }, { expects: null }),
      case: id,
    });
  expect((await choose({ ordered: { extension: 0, flexion: 140 } })).body.faults[0].at).toBe('body.ordered');
  expect((await choose({ lost: { extension: 3, flexion: 3 } })).body.faults[0].at).toBe('body.lost');
  expect((await choose({})).status).toBe(201);
});

test('a choice made while the server was away is computed again on arrival: otherwise, it is kept and not in force', async () => {
  const id = await ready();
  const here = await stateOf(id);
  const first = sized(id, decideSize(here)!);
  expect((await send(first)).status).toBe(201);
  // away, somebody chooses again from what they have; here, the leg is measured anew
  const away = sized(id, decideSize(here, { size: here.sizing.chart.sizes[0], reason: 'lean' })!);
  for (const [step, value] of [
    ['girth-above', 520],
    ['girth-above', 520],
    ['girth-above', 520],
  ] as const)
    await send(read(id, step, value));
  const answer = await send(away);
  expect(answer.status).toBe(201);
  const computed = decideSize(await stateOf(id), { size: here.sizing.chart.sizes[0], reason: 'lean' });
  expect(answer.body.entry.otherwise).toEqual(JSON.parse(JSON.stringify(computed)));
  const state = await stateOf(id);
  expect(state.sizing.chosen?.entry).toBe(first.id);
  expect(state.lines.at(-1)).toMatchObject({ status: 'not-in-force', entry: { id: away.id } });
  // sent twice it is one, with the same answer
  const again = await send(away);
  expect([again.status, again.body.entry]).toEqual([200, answer.body.entry]);
  // and the browser's fold of what it is sent is the same
  const { body } = await (await clinic.as('orthotist')).get(`/api/cases/${id}/entries`).expect(200);
  expect(
    foldCase(body.entries, { programme: state.programme, model: state.model, zone: 'Europe/Madrid' })?.sizing
      .chosen?.entry,
  ).toBe(first.id);
});

test('a fact of another brace is none of this case; one outside what the model has is taken and marked', async () => {
  const id = await ready();
  for (const [kind, stage, body] of [
    ['measure.read', 'measure', { step: 'girth-waist', side: 'right', value: 900, instrument: 'tape' }],
    ['measure.read', 'measure', { step: 'girth-above', side: 'midline', value: 400, instrument: 'tape' }],
    ['check.recorded', 'check', { check: 'chin-in-piece', seen: true }],
    ['strap.done', 'strap', { step: 'tighten-belt', pass: 1 }],
    ['work.done', 'shape', { operation: 'place-pads', part: 'no-such-pad', way: 'placed' }],
  ] as const) {
    const answer = await send({ ...clinic.entry(kind, stage, body as never), case: id });
    expect([kind, answer.status]).toEqual([kind, 422]);
  }
  const fitted = await send({ ...clinic.entry('set.made', 'set', stopsIn(7, 88)), case: id });
  expect(fitted.status).toBe(201);
  const state = await stateOf(id);
  expect(state.lines.at(-1)).toMatchObject({ outside: true, status: 'live' });
  expect(state.setting.fitted?.medial).toEqual({ extension: 7, flexion: 88 });
});

test('a signature under open checks is refused', async () => {
  const id = await ready();
  const state = await stateOf(id);
  const answer = await send({
    ...clinic.entry('check.signed', 'check', {
      result: 'pass',
      madeFrom: [],
      programme: state.programmePin.hash,
      engine: 1,
    }),
    case: id,
  });
  expect([answer.status, answer.body.detail]).toEqual([422, expect.stringMatching(/every check answered/)]);
});

test('reception moves and takes back anybody’s visit, and nothing else', async () => {
  const id = await ready();
  const marga = await clinic.as('reception');
  const post = (entry: SentEntry) => marga.post(`/api/cases/${id}/entries`).send(entry);
  const visit = (role: 'reception' | 'orthotist') => ({
    ...clinic.entry('visit.planned', 'case', { day: '2026-12-01', purpose: 'review' }, {}, role),
    case: id,
  });
  const [own, other] = [visit('reception'), visit('orthotist')];
  await post(own).expect(201);
  await send(other);
  const back = (of: string) =>
    post({
      ...clinic.entry('record.withdrawn', 'case', {}, { replaces: of, reason: 'moved' }, 'reception'),
      case: id,
    });
  await back(own.id).expect(201);
  const moved = {
    ...clinic.entry(
      'visit.planned',
      'case',
      { day: '2026-12-03', time: '10:30', purpose: 'review' },
      { replaces: other.id, reason: 'the bus does not run' },
      'reception',
    ),
    case: id,
  };
  await post(moved).expect(201);
  expect((await stateOf(id)).visits).toMatchObject([{ day: '2026-12-03', time: '10:30', purpose: 'review' }]);
  await back(moved.id).expect(201);
  expect((await stateOf(id)).visits.map(({ day }) => day)).toEqual(['2026-12-01']);
  const [reading] = (await stateOf(id)).sizing.inputs;
  await back(reading!).expect(403);
});

test('reception sees when somebody comes and for which brace, and nothing clinical', async () => {
  const id = await ready();
  await send({
    ...clinic.entry('visit.planned', 'case', {
      day: '2026-12-01',
      purpose: 'review',
      note: 'look at the calf',
    }),
    case: id,
  });
  await (
    await clinic.as('reception')
  )
    .post(`/api/cases/${id}/entries`)
    .send({
      ...clinic.entry(
        'visit.planned',
        'case',
        { day: '2026-12-02', purpose: 'review', deskNote: 'by telephone' },
        {},
        'reception',
      ),
      case: id,
    })
    .expect(201);
  await send(sized(id, decideSize(await stateOf(id))!));
  await send({
    ...clinic.entry('screen.looked', 'screen', { answers: [{ finding: 'calf-swollen', is: 'present' }] }),
    case: id,
  });
  for (const path of ['/api/bench', '/api/cases']) {
    const seen = (await (await clinic.as('reception')).get(path).expect(200)).body.cases.find(
      (row: { case: string }) => row.case === id,
    );
    expect(seen).toMatchObject({
      blocked: false,
      blockedBy: null,
      size: null,
      stage: null,
      labels: [],
      personName: 'Iria Castrelo',
    });
    expect(seen.ribbon.worn).toEqual([]);
    expect(seen.ribbon.buckles.map(({ kind }: { kind: string }) => kind)).toEqual(['R', 'R']);
    expect(JSON.stringify(seen)).toContain('by telephone');
    expect(JSON.stringify(seen)).not.toMatch(/calf|window|stops|minutes/);
    const whole = (await (await clinic.as('orthotist')).get(path).expect(200)).body.cases.find(
      (row: { case: string }) => row.case === id,
    );
    expect(whole).toMatchObject({ blocked: true, blockedBy: 'calf-swollen' });
  }
});

test('the bench sends the days it shows and what is due next, of a plan that runs for months too', async () => {
  const id = v7();
  for (const entry of signedEntries(clinic, id, { protective: false, trouble: 'take-off' }))
    expect((await send(entry)).body.faults).toBeUndefined();
  const today = dayOf(clinic.context.now().toISOString(), 'Europe/Madrid');
  await send({
    ...clinic.entry(
      'wear.planned',
      'wear',
      { kind: 'growing', from: today, firstDay: 5, grow: 5, everyDays: 7, ceiling: 1440 },
      { expects: null },
    ),
    case: id,
  });
  const { body } = await (await clinic.as('orthotist')).get('/api/bench').expect(200);
  const shown = body.cases.find((row: { case: string }) => row.case === id);
  const wear = shown.ribbon.buckles.filter(({ kind }: { kind: string }) => kind === 'W');
  expect(wear.length).toBeGreaterThanOrEqual(2);
  expect(wear.length).toBeLessThanOrEqual(4);
});

describe('patients of tomorrow', () => {
  const inForce = async (entry: SentEntry) => {
    const answer = await send(entry);
    expect([answer.status, answer.body.detail, answer.body.entry?.otherwise]).toEqual([
      201,
      undefined,
      undefined,
    ]);
  };

  test('the braced leg in a cast: the other one stands in, and the size made from it is in force', async () => {
    const id = v7();
    await send(clinic.opened(id));
    await inForce({
      ...clinic.entry('measure.skipped', 'measure', {
        step: 'girth-above',
        side: 'right',
        reason: 'in a cast',
        substitute: 'other-side',
      }),
      case: id,
    });
    for (const value of [441, 443])
      await inForce({
        ...clinic.entry('measure.read', 'measure', {
          step: 'girth-above',
          side: 'left',
          value,
          instrument: 'tape',
        }),
        case: id,
      });
    for (const value of [351, 352]) await inForce(read(id, 'girth-below', value));
    const state = await stateOf(id);
    const body = decideSize(state)!;
    expect(body.madeFrom).toHaveLength(4);
    await inForce(sized(id, body));
    expect((await stateOf(id)).sizing.chosen?.staleBecause).toEqual([]);
  });

  test('an order with one limit, and one that locks the knee straight', async () => {
    const id = await ready();
    let expects = (await stateOf(id)).order!.entry;
    for (const window of [{ flexion: 90 }, { extension: 10 }, {}]) {
      const order = {
        ...clinic.entry(
          'order.given',
          'screen',
          { ...soundOrder, phases: [{ fromDay: 0, limits: limitsOf(knee, window) }] },
          { expects },
        ),
        case: id,
      };
      await inForce(order);
      expects = order.id;
      const stops = await stopsFor(clinic, id);
      expect(stops.ordered).toEqual(window);
      await inForce({
        ...clinic.entry('set.chosen', 'set', stops, {
          expects: (await stateOf(id)).setting.chosen?.entry ?? null,
        }),
        case: id,
      });
    }
  });

  test('a second visit after the swelling fell: read again, and the size chosen anew follows the new readings', async () => {
    const id = await ready();
    await inForce(sized(id, decideSize(await stateOf(id))!));
    const before = await stateOf(id);
    for (const old of before.sizing.inputs)
      await inForce({
        ...clinic.entry('record.withdrawn', 'measure', {}, { replaces: old, reason: 'swelling fell' }),
        case: id,
      });
    for (const [step, value] of [
      ['girth-above', 402],
      ['girth-above', 403],
      ['girth-below', 318],
      ['girth-below', 319],
    ] as const)
      await inForce(read(id, step, value));
    const now = decideSize(await stateOf(id))!;
    expect(now.size).not.toBe(before.sizing.chosen!.decided.size);
    await inForce(sized(id, now));
    expect((await stateOf(id)).sizing.chosen?.decided.size).toBe(now.size);
  });
});

test('the server holds back what a finding withholds, by the same function: a pass, a plan, a teach-back', async () => {
  const id = v7();
  const entries = signedEntries(clinic, id);
  // the brace is never donned: the checks alone are answered
  const undonned = entries.filter(({ kind }) => !kind.startsWith('strap.') && kind !== 'check.signed');
  for (const entry of undonned) expect((await send(entry)).body.faults).toBeUndefined();
  const sign = async (more: object = {}) => {
    const body = { ...decideSignature(await stateOf(id))!, ...more };
    return send({ ...clinic.entry('check.signed', 'check', body), case: id });
  };
  const refused = await sign();
  expect([refused.status, refused.body.faults]).toEqual([
    422,
    [
      expect.objectContaining({
        at: 'body.inSpite',
        message: 'must name not-donned (open-all) with a reason, or it is resolved first',
      }),
    ],
  ]);
  const over = { of: [{ kind: 'not-donned', about: 'open-all' }], reason: 'Donned on the ward' };
  const teo = await clinic.as('technician');
  const theirs = await teo.post(`/api/cases/${id}/entries`).send({
    ...clinic.entry(
      'check.signed',
      'check',
      { ...decideSignature(await stateOf(id))!, inSpite: over },
      {},
      'technician',
    ),
    case: id,
  });
  expect([theirs.status, theirs.body.faults[0].at]).toEqual([422, 'body.inSpite']);
  const plan = () =>
    send({
      ...clinic.entry(
        'wear.planned',
        'wear',
        { kind: 'as-ordered', from: '2026-11-24', wearing: 'day' },
        { expects: null },
      ),
      case: id,
    });
  expect((await plan()).body.faults).toEqual([
    expect.objectContaining({ at: 'kind', message: 'is withheld: not-signed is to be resolved first' }),
  ]);
  expect((await sign({ inSpite: over })).status).toBe(201);
  // a new order that the stops exceed holds everything back again
  const order = await send({
    ...clinic.entry(
      'order.given',
      'screen',
      { ...soundOrder, phases: [{ fromDay: 0, limits: limitsOf(knee, { extension: 20, flexion: 30 }) }] },
      { expects: (await stateOf(id)).order!.entry },
    ),
    case: id,
  });
  expect(order.status).toBe(201);
  expect((await plan()).body.faults).toEqual(
    expect.arrayContaining([
      expect.objectContaining({
        at: 'kind',
        message: 'is withheld: exceeds-order (hinge-stops) is to be resolved first',
      }),
    ]),
  );
  const bench = await (await clinic.as('orthotist')).get('/api/bench').expect(200);
  const rows: { case: string; finding: { kind: string; level: string } | null }[] = bench.body.cases;
  const place = rows.findIndex((row) => row.case === id);
  expect(rows[place]!.finding).toMatchObject({ kind: 'exceeds-order', level: 'today' });
  // before it stand emergencies alone, whatever is late in other cases
  expect(rows.slice(0, place).every(({ finding }) => finding?.level === 'emergency')).toBe(true);
  // who does not read the record is told nothing of it
  const desk = await (await clinic.as('reception')).get('/api/bench').expect(200);
  expect(desk.body.cases.find((row: { case: string }) => row.case === id)?.finding ?? null).toBeNull();
});
