import { EventEmitter } from 'node:events';
import { createServer, type Server } from 'node:http';
import type { AddressInfo } from 'node:net';
import { v7 } from 'uuid';
import { testClinic, testPassword, type TestClinic } from '../test-clinic';
import { hiddenForce } from './stand-ins';

let clinic: TestClinic;
let server: Server;
let address: string;
let signedIn: string;
const caseId = v7();
beforeAll(async () => {
  clinic = await testClinic({ now: () => new Date('2026-11-24T09:00:00Z') });
  server = createServer(clinic.app).listen(0, '127.0.0.1');
  await new Promise((resolve) => server.once('listening', resolve));
  address = `http://127.0.0.1:${(server.address() as AddressInfo).port}`;
  signedIn = await signIn();
  await (
    await clinic.as('orthotist')
  )
    .post(`/api/cases/${caseId}/entries`)
    .send(clinic.opened(caseId))
    .expect(201);
});
afterAll(async () => {
  clinic.context.hub.endAll();
  await new Promise((resolve) => server.close(resolve));
  await clinic.close();
});

async function signIn(): Promise<string> {
  const answer = await fetch(`${address}/api/session`, {
    method: 'POST',
    headers: { 'Content-Type': 'application/json' },
    body: JSON.stringify({ login: 'technician', password: testPassword }),
  });
  return answer.headers.getSetCookie()[0]!.split(';')[0]!;
}

const step = 'girth-above';

/** Events of a stream as they come, until it is closed. */
async function listen(
  query: string,
  cookie = signedIn,
): Promise<{
  next: () => Promise<{ event: string; data: Record<string, unknown> }>;
  close: () => void;
  /** done when the server has ended it */
  ended: Promise<void>;
}> {
  const away = new AbortController();
  const response = await fetch(`${address}/api/instruments/stream?${query}`, {
    headers: { cookie },
    signal: away.signal,
  });
  expect(response.headers.get('content-type')).toContain('text/event-stream');
  const events = new EventEmitter();
  const waiting: { event: string; data: Record<string, unknown> }[] = [];
  const ended = (async () => {
    let text = '';
    for await (const chunk of response.body!.pipeThrough(new TextDecoderStream())) {
      text += chunk;
      for (let end = text.indexOf('\n\n'); end >= 0; end = text.indexOf('\n\n')) {
        const [first, second] = text.slice(0, end).split('\n');
        text = text.slice(end + 2);
        if (!first?.startsWith('event: ')) continue;
        waiting.push({
          event: first.slice(7),
          data: JSON.parse(second!.slice(6)) as Record<string, unknown>,
        });
        events.emit('more');
      }
    }
  })().catch(() => {});
  return {
    next: async () => {
      while (waiting.length === 0) await new Promise((resolve) => events.once('more', resolve));
      return waiting.shift()!;
    },
    close: () => away.abort(),
    ended,
  };
}

test('a gauge is held to what pulls: the force of each strap, its offset taken off', async () => {
  const heard = async (thing: string) => {
    const stream = await listen(`kind=gauge&case=${caseId}&step=${thing}&side=right`);
    const values: number[] = [];
    for (let i = 0; i < 6; i += 1) {
      const { data } = await stream.next();
      expect(data).toMatchObject({
        instrument: 'stand-in-gauge',
        kind: 'gauge',
        offset: 0.2,
        simulated: true,
      });
      values.push(data.value as number);
    }
    stream.close();
    return values.reduce((sum, value) => sum + value, 0) / values.length;
  };
  // a mean of six lies a fifth of a newton about what pulls: six times that is a matter of billions
  for (const strap of ['strap-1', 'strap-2'])
    expect(Math.abs((await heard(strap)) - hiddenForce(strap, caseId))).toBeLessThan(1.2);
  expect(hiddenForce('strap-1', caseId)).not.toBe(hiddenForce('strap-2', caseId));
});

test('the tape streams a hidden body with noise, its offset taken off, and says how it is calibrated', async () => {
  const stream = await listen(`kind=tape&case=${caseId}&step=${step}&side=right`);
  const values: number[] = [];
  for (let i = 0; i < 4; i += 1) {
    const { event, data } = await stream.next();
    expect(event).toBe('reading');
    expect(data).toMatchObject({
      instrument: 'stand-in-tape',
      kind: 'tape',
      offset: 0.6,
      calibrated: '2026-09-25',
      validUntil: '2027-09-25',
      simulated: true,
    });
    values.push(data.value as number);
  }
  stream.close();
  expect(new Set(values).size).toBeGreaterThan(1);
  expect(Math.max(...values) - Math.min(...values)).toBeLessThan(25);
  for (const value of values) expect(value).toBeGreaterThan(300);
});

test('a real device writes lines to the open endpoint, and whoever listens gets them', async () => {
  const agent = await clinic.as('technician');
  await agent
    .post('/api/instruments')
    .send({
      id: 'calliper-2',
      kind: 'calliper',
      name: 'Calliper 2',
      calibratedOn: '2026-11-01',
      validDays: 365,
      offset: -0.2,
    })
    .expect(201);
  const stream = await listen(`kind=calliper&case=${caseId}&step=${step}&side=right`);
  await agent
    .post('/api/instruments/calliper-2/lines')
    .send({ lines: [{ at: '2026-11-24T09:00:01Z', value: 111.3, unit: 'mm' }] })
    .expect(202);
  for (;;) {
    const { event, data } = await stream.next();
    if (event === 'reading' && data.at === '2026-11-24T09:00:01Z') {
      // read too small by 0.2: the offset is taken off
      expect(data.value).toBe(111.5);
      break;
    }
  }
  stream.close();
});

test('a real device is registered, its stand-in falls silent, and an old value is not one of now', async () => {
  const agent = await clinic.as('technician');
  const scale = {
    id: 'scale-2',
    kind: 'scale',
    name: 'Scale 2',
    calibratedOn: '2026-11-20',
    validDays: 365,
    offset: 0.5,
  };
  const { body } = await agent.post('/api/instruments').send(scale).expect(201);
  expect(body).toEqual({ ...scale, simulated: false });
  await agent.post('/api/instruments').send(scale).expect(409);
  const atOnce = await Promise.all(
    [1, 2].map(() => agent.post('/api/instruments').send({ ...scale, id: 'scale-4' })),
  );
  expect(atOnce.map(({ status }) => status).sort()).toEqual([201, 409]);
  await agent
    .post('/api/instruments')
    .send({ ...scale, id: 'scale-3', kind: 'told' })
    .expect(422);
  await agent
    .post('/api/instruments')
    .send({ ...scale, id: 'scale-3', calibratedOn: '2026-12-20' })
    .expect(422);
  const clock = jest.spyOn(Date, 'now');
  const stream = await listen(`kind=scale&case=${caseId}&step=${step}&side=right`);
  await agent
    .post('/api/instruments/scale-2/lines')
    .send({ lines: [{ at: '2026-11-24T09:00:01Z', value: 71.5, unit: 'kg' }] })
    .expect(202);
  // the first event is the device's: the stand-in, which reads three times a second, sent none
  expect(await stream.next()).toMatchObject({
    event: 'reading',
    data: { instrument: 'scale-2', value: 71, simulated: false },
  });
  const sentAt = clock.mock.results.at(-1)!.value as number;
  clock.mockReturnValue(sentAt + 11_000);
  expect(await stream.next()).toEqual({ event: 'lost', data: { instrument: 'scale-2' } });
  clock.mockRestore();
  stream.close();
});

test.each([
  ['/instruments/none/lines', { lines: [{ at: '2026-11-24T09:00:01Z', value: 1, unit: 'mm' }] }, 404],
  ['/instruments/calliper-2/lines', { lines: [{ at: '2026-11-24T09:00:01Z', value: 1, unit: 'kg' }] }, 422],
  // longer ago than a reading of now, ahead of the clock, on a day that is none
  ['/instruments/calliper-2/lines', { lines: [{ at: '2026-11-24T08:59:49Z', value: 1, unit: 'mm' }] }, 422],
  ['/instruments/calliper-2/lines', { lines: [{ at: '2026-11-24T09:00:06Z', value: 1, unit: 'mm' }] }, 422],
  ['/instruments/calliper-2/lines', { lines: [{ at: '2026-02-30T09:00:00Z', value: 1, unit: 'mm' }] }, 422],
  // nobody speaks in a stand-in's name
  [
    '/instruments/stand-in-tape/lines',
    { lines: [{ at: '2026-11-24T09:00:01Z', value: 1, unit: 'mm' }] },
    409,
  ],
  ['/instruments/stand-in-tape/lines', { lines: [] }, 422],
  ['/instruments/stand-in-tape/lines', { lines: [{ at: 'now', value: '1', unit: 'mm' }] }, 422],
  ['/instruments/stand-in-tape/lines', 'x', 422],
])('%s with %j is a %d', async (path, body, status) => {
  await (
    await clinic.as('technician')
  )
    .post(`/api${path}`)
    .set('Content-Type', 'application/json')
    .send(JSON.stringify(body))
    .expect(status);
});

test.each([
  ['kind=told', 400],
  ['kind=tape&side=up', 400],
  [`kind=tape&case=${v7()}&step=${step}&side=right`, 404],
  [`kind=tape&case=${caseId}&step=ear&side=right`, 404],
  // a gauge pulls at no step of the measuring
  [`kind=gauge&case=${caseId}&step=girth-above&side=right`, 404],
])('a stream asked for with %s is a %d', async (query, status) => {
  await (await clinic.as('technician')).get(`/api/instruments/stream?${query}`).expect(status);
});

test('a calibration is taken with its day and offset, not from the future', async () => {
  const agent = await clinic.as('technician');
  const put = (body: object) => agent.put('/api/instruments/stand-in-inclinometer/calibration').send(body);
  await put({ calibratedOn: '2026-11-24', offset: -0.5 }).expect(200);
  await put({ calibratedOn: '2026-12-24', offset: 0 }).expect(422);
  await put({ calibratedOn: '2026-02-30', offset: 0 }).expect(422);
  await put({ calibratedOn: '2016-11-01', offset: 0 }).expect(422);
  await put({ calibratedOn: '2026-11-24', offset: 15.1 }).expect(422);
  const history = await agent.get('/api/instruments/stand-in-inclinometer/calibrations').expect(200);
  expect(history.body.calibrations).toMatchObject([
    { calibratedOn: '2026-11-24', offset: -0.5, by: clinic.userOf('technician') },
    { offset: 1, by: null },
  ]);
  const { body } = await agent.get('/api/instruments').expect(200);
  expect(body.instruments.find(({ id }: { id: string }) => id === 'stand-in-inclinometer')).toMatchObject({
    calibratedOn: '2026-11-24',
    offset: -0.5,
  });
});

test('a session has so many streams at most, and they end with it', async () => {
  const cookie = await signIn();
  const query = `kind=tape&case=${caseId}&step=${step}&side=right`;
  const streams = await Promise.all([1, 2, 3, 4].map(() => listen(query, cookie)));
  const fifth = await fetch(`${address}/api/instruments/stream?${query}`, { headers: { cookie } });
  expect(fifth.status).toBe(429);
  const elsewhere = await listen(query);
  await fetch(`${address}/api/session`, { method: 'DELETE', headers: { cookie } });
  await Promise.all(streams.map(({ ended }) => ended));
  // another session of the same user goes on
  expect((await elsewhere.next()).event).toBe('reading');
  elsewhere.close();
});

describe('the clinic’s own repeatability', () => {
  const write = async (id: string, entry: object) =>
    (await clinic.as('technician')).post(`/api/cases/${id}/entries`).send({ ...entry, case: id });
  const measured = async (pairs: number) => {
    for (let n = 0; n < pairs; n += 1) {
      const id = v7();
      await (
        await clinic.as('orthotist')
      )
        .post(`/api/cases/${id}/entries`)
        .send(clinic.opened(id))
        .expect(201);
      for (const value of [450, 450 + (n % 2 === 0 ? 4 : -4)]) {
        const entry = clinic.entry(
          'measure.read',
          'measure',
          { step, side: 'right', value, instrument: 'tape' } as never,
          {},
          'technician',
        );
        expect((await write(id, entry)).status).toBe(201);
      }
    }
  };
  const own = async () =>
    (await (await clinic.as('technician')).get('/api/repeatability?protocol=girth%20mid-kneecap').expect(200))
      .body;

  test('is offered from twenty pairs on, computed from the record; a withdrawn reading leaves it', async () => {
    await measured(19);
    expect(await own()).toEqual({ own: null, pairs: 19, needed: 20 });
    await measured(1);
    const { own: mine } = await own();
    // every pair differs by 4: s_w = sqrt(16/2)
    expect(mine.withinPerson).toBeCloseTo(Math.sqrt(8), 9);
    expect(mine.pairs).toBe(20);
  });

  test('is what the pairs give, whatever a browser says of it', async () => {
    const agent = await clinic.as('orthotist');
    const id = v7();
    await agent.post(`/api/cases/${id}/entries`).send(clinic.opened(id)).expect(201);
    const use = async (body: object) => {
      const entry = { ...clinic.entry('measure.precision', 'measure', body as never), case: id };
      const answer = await agent.post(`/api/cases/${id}/entries`).send(entry);
      return [answer.status, answer.body.faults?.[0]?.at];
    };
    const { own: mine } = await own();
    const right = { step: 'girth-above', withinPerson: mine.withinPerson, pairs: mine.pairs };
    expect(await use({ ...right, withinPerson: 0.1 })).toEqual([422, 'body.withinPerson']);
    expect(await use({ ...right, pairs: 400 })).toEqual([422, 'body.withinPerson']);
    // no pair was taken in that way
    expect(await use({ ...right, step: 'foot-length', pairs: 20 })).toEqual([422, 'body.step']);
    expect(await use(right)).toEqual([201, undefined]);
  });
});

test('best fit ranks the family for a case, and the sisters when asked', async () => {
  const agent = await clinic.as('orthotist');
  const id = v7();
  await agent.post(`/api/cases/${id}/entries`).send(clinic.opened(id)).expect(201);
  for (const [name, values] of [
    ['girth-above', [444, 446]],
    ['girth-below', [347, 349]],
  ] as const)
    for (const value of values)
      await agent
        .post(`/api/cases/${id}/entries`)
        .send({
          ...clinic.entry('measure.read', 'measure', {
            step: name,
            side: 'right',
            value,
            instrument: 'tape',
          } as never),
          case: id,
        })
        .expect(201);
  const fits = async (sisters: number) =>
    (await agent.get(`/api/cases/${id}/fit?sisters=${sisters}`).expect(200)).body.fits;
  const family = await fits(0);
  expect(family.map(({ model }: { model: { id: string } }) => model.id).sort()).toEqual([
    'caneiro-4p',
    'lousa-ligamento',
  ]);
  const all = await fits(1);
  expect(all.length).toBeGreaterThan(family.length + 5);
  const chances = all
    .filter(({ match }: { match: { outcome: string } }) => match.outcome === 'size')
    .map(({ match }: { match: { probability: number } }) => Math.round(match.probability * 100));
  expect(chances).toEqual([...chances].sort((a, b) => b - a));
  await agent.get(`/api/cases/${v7()}/fit`).expect(404);
});

describe('two benches and one real device', () => {
  const query = `kind=inclinometer&case=${caseId}&step=${step}&side=right`;
  const read = async (value: number) => {
    const ana = await clinic.as('orthotist');
    const line = { at: clinic.context.now().toISOString(), value, unit: 'degrees' };
    await ana
      .post('/api/instruments/inclinometer-7/lines')
      .send({ lines: [line] })
      .expect(202);
  };
  let here: Awaited<ReturnType<typeof listen>>;
  let there: Awaited<ReturnType<typeof listen>>;
  let cookies: [string, string];
  beforeAll(async () => {
    await (
      await clinic.as('orthotist')
    )
      .post('/api/instruments')
      .send({
        id: 'inclinometer-7',
        kind: 'inclinometer',
        name: 'Inclinometer 7',
        validDays: 365,
        calibratedOn: '2026-11-01',
        offset: 0,
      })
      .expect(201);
    cookies = [await signIn(), await signIn()];
  });
  beforeEach(async () => {
    here = await listen(query, cookies[0]);
    there = await listen(query, cookies[1]);
  });
  afterEach(() => {
    here.close();
    there.close();
  });

  test('the second bench is told who has it, and hears nothing of what is read at the first', async () => {
    expect(await there.next()).toEqual({
      event: 'held',
      data: { instrument: 'inclinometer-7', name: 'Inclinometer 7', by: 'The technician' },
    });
    await read(91);
    expect((await here.next()).data.value).toBe(91);
    // what it hears next is of after it has taken over
    there.close();
    there = await listen(`${query}&take=inclinometer-7`, cookies[1]);
    expect(await here.next()).toEqual({
      event: 'held',
      data: { instrument: 'inclinometer-7', name: 'Inclinometer 7', by: 'The technician' },
    });
    await read(92);
    expect((await there.next()).data.value).toBe(92);
    // and the first may take it back
    here.close();
    here = await listen(`${query}&take=inclinometer-7`, cookies[0]);
    expect((await there.next()).event).toBe('held');
    await read(93);
    expect((await here.next()).data.value).toBe(93);
  });

  test('from one field to the next the device stays where it is', async () => {
    await there.next();
    here.close();
    const again = await listen(query, cookies[1]);
    expect((await again.next()).event).toBe('held');
    again.close();
    here = await listen(query, cookies[0]);
    await read(94);
    expect((await here.next()).data.value).toBe(94);
  });

  test('a bench that is locked lets its devices go', async () => {
    await there.next();
    await fetch(`${address}/api/session/lock`, { method: 'POST', headers: { cookie: cookies[0] } });
    await here.ended;
    there.close();
    there = await listen(query, cookies[1]);
    await read(95);
    expect((await there.next()).data.value).toBe(95);
  });
});

test('four streams are four, also when twelve are asked for at once; a fifth is there when one has ended', async () => {
  const cookie = await signIn();
  const query = `kind=tape&case=${caseId}&step=${step}&side=right`;
  const aborts = Array.from({ length: 12 }, () => new AbortController());
  const answers = await Promise.all(
    aborts.map(({ signal }) =>
      fetch(`${address}/api/instruments/stream?${query}`, { headers: { cookie }, signal }),
    ),
  );
  const statuses = answers.map(({ status }) => status);
  expect(statuses.filter((status) => status === 200)).toHaveLength(4);
  expect(statuses.filter((status) => status === 429)).toHaveLength(8);
  aborts[statuses.indexOf(200)]!.abort();
  // the server hears of it when the connection is gone
  for (;;) {
    const away = new AbortController();
    const { status } = await fetch(`${address}/api/instruments/stream?${query}`, {
      headers: { cookie },
      signal: away.signal,
    });
    away.abort();
    if (status === 200) break;
  }
  for (const away of aborts) away.abort();
});
