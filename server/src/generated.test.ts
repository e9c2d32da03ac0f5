import { createServer, type Server } from 'node:http';
import type { AddressInfo } from 'node:net';
import { roles, type Role } from '@estribo/core/access';
import { kinds } from '@estribo/core/logbook';
import fc from 'fast-check';
import { v7 } from 'uuid';
import { allRoutes } from './app';
import { demoModels } from './demo/models';
import {
  soundOrder,
  stopsIn,
  testClinic,
  testPassword,
  type SentEntry,
  type TestClinic,
} from './test-clinic';

/*
 * Requests made by chance, many at once: whatever is sent, the answer is no 500, and 503 only where a row is
 * held or the database is away, which is nowhere here. `npm run generated` makes 20 000 of them.
 */

const wanted = Number(process.env.ESTRIBO_GENERATED ?? 2000);
const seed = Number(process.env.ESTRIBO_SEED ?? Date.now() % 2 ** 31);
const atOnce = 10;

let clinic: TestClinic;
let server: Server;
let address: string;
const cookies = new Map<Role, string>();
const cases: string[] = [];

beforeAll(async () => {
  clinic = await testClinic();
  server = createServer(clinic.app).listen(0, '127.0.0.1');
  await new Promise((resolve) => server.once('listening', resolve));
  address = `http://127.0.0.1:${(server.address() as AddressInfo).port}`;
  for (const role of roles) {
    const answer = await fetch(`${address}/api/session`, {
      method: 'POST',
      headers: { 'Content-Type': 'application/json' },
      body: JSON.stringify({ login: role, password: testPassword }),
    });
    cookies.set(role, answer.headers.getSetCookie()[0]!.split(';')[0]!);
  }
  const ana = await clinic.as('orthotist');
  for (let i = 0; i < 4; i += 1) {
    const id = v7();
    cases.push(id);
    await ana.post(`/api/cases/${id}/entries`).send(clinic.opened(id)).expect(201);
  }
});
afterAll(async () => {
  await new Promise((resolve) => server.close(resolve));
  await clinic.close();
});

/** Values that have broken something somewhere before, beside those that chance finds. */
const awkward = fc.constantFrom<unknown>(
  0,
  -1,
  0.0001,
  1e308,
  Number.MAX_SAFE_INTEGER,
  '',
  ' ',
  '\u0000',
  '\ud83d',
  '𝒂',
  'a'.repeat(5000),
  '2026-02-30',
  '9999-12-31',
  '0000-00-00',
  '2026-11-24T24:00:00Z',
  '2026-02-30T10:00:00.000Z',
  '__proto__',
  'constructor',
  "'; DROP TABLE entry; --",
  null,
  true,
  [],
  {},
  [[]],
);
const anyValue = fc.oneof(
  { weight: 3, arbitrary: awkward },
  { weight: 1, arbitrary: fc.jsonValue({ maxDepth: 3 }) },
);

/** Sound bodies of every kind, so that what is spoilt of them comes far into the house. */
const soundBodies: Partial<Record<keyof typeof kinds, object>> = {
  'case.opened': {},
  'case.closed': { because: 'delivered' },
  'case.reopened': {},
  'case.noted': { text: 'comes by bus' },
  'label.read': { serial: 'A-17', lot: 'L 2291' },
  'visit.planned': { day: '2026-12-01', purpose: 'review', note: 'by telephone' },
  'screen.looked': { answers: [{ finding: 'diabetes', is: 'absent' }] },
  'order.given': soundOrder,
  'measure.read': { step: 'girth-above', side: 'right', value: 450, instrument: 'tape' },
  'measure.marked': { step: 'mid-kneecap', side: 'right' },
  'measure.skipped': { step: 'girth-below', side: 'right', reason: 'cast' },
  'measure.precision': { step: 'girth-above', withinPerson: 3, pairs: 40 },
  'motion.tested': {
    side: 'right',
    mode: 'passive',
    extension: 0,
    flexion: 90,
    limitReached: { extension: false, flexion: true },
  },
  'set.made': stopsIn(10, 60),
  'shape.scar': { face: 'front', from: 0, to: 20 },
  'work.done': {
    operation: 'bend-uprights',
    part: 'upright-medial',
    at: 100,
    direction: 'towards-limb',
    amount: 3,
  },
  'strap.begun': {},
  'strap.done': { step: 'open-all', pass: 1 },
  'check.recorded': { check: 'not-twisted', seen: true },
  'wear.planned': { kind: 'as-ordered', from: '2026-11-24', wearing: 'day and night' },
  'wear.taught': { who: 'patient' },
  'review.found': { skin: 'clear', pain: 1, hours: 8 },
  'record.withdrawn': {},
};

function spoil(value: unknown, path: number[], by: unknown): unknown {
  if (typeof value !== 'object' || value === null || path.length === 0) return by;
  const keys = Object.keys(value);
  if (keys.length === 0) return by;
  const key = keys[path[0]! % keys.length]!;
  const inner = spoil((value as Record<string, unknown>)[key], path.slice(1), by);
  return Array.isArray(value)
    ? value.map((one: unknown, i) => (String(i) === key ? inner : one))
    : { ...value, [key]: inner };
}

interface Made {
  role: Role;
  method: string;
  path: string;
  body: unknown;
  type?: string;
}

const entryRequest: fc.Arbitrary<Made> = fc
  .record({
    kind: fc.constantFrom(...(Object.keys(soundBodies) as (keyof typeof soundBodies)[])),
    of: fc.nat(3),
    role: fc.constantFrom<Role>('orthotist', 'orthotist', 'technician', 'reception'),
    spoilt: fc.option(
      fc.record({ path: fc.array(fc.nat(20), { minLength: 1, maxLength: 4 }), by: anyValue }),
      { freq: 2 },
    ),
    replaces: fc.integer({ min: 0, max: 5 }).map((n) => n === 0),
  })
  .map(({ kind, of, role, spoilt, replaces }) => {
    const entry: SentEntry = {
      ...clinic.entry(
        kind as 'visit.planned',
        kinds[kind].stages[0]!,
        soundBodies[kind] as never,
        {
          ...(kinds[kind].nature === 'intent' ? { expects: null } : {}),
          ...(replaces ? { replaces: v7(), reason: 'a slip' } : {}),
        },
        role,
      ),
      case: cases[of]!,
    };
    return {
      role,
      method: 'POST',
      path: `/cases/${cases[of]}/entries`,
      body: spoilt ? spoil(entry, spoilt.path, spoilt.by) : entry,
    };
  });

const word = fc.oneof(
  fc.constantFrom('caneiro-4p', 'stand-in-tape', 'x', '', '%', "'", '%00', '..%2f', '%E0%A4%A'),
  fc.string({ maxLength: 12 }).map((text) => {
    try {
      return encodeURIComponent(text);
    } catch {
      return 'half';
    }
  }),
);

/** Streams stay open and sign-outs end what is tested with: they are left out; a hash of a password takes its time. */
const leftOut = [
  '/instruments/stream',
  '/session',
  '/session/lock',
  '/session/password',
  '/session/pin',
  '/session/switch',
  '/set-up',
];

const routeRequest: fc.Arbitrary<Made> = fc
  .record({
    at: fc.nat(200),
    role: fc.constantFrom(...roles),
    id: fc.oneof(fc.constant(undefined), word),
    of: fc.nat(3),
    query: fc.option(
      fc.record({
        skip: fc.constantFrom('0', '-1', '1e9', '999999999', 'x'),
        find: word,
        after: word,
        region: word,
        protocol: word,
        before: word,
      }),
      { freq: 3 },
    ),
    type: fc.constantFrom('application/json', 'application/json', 'application/json', 'text/csv', 'x'),
    body: fc.oneof(
      fc.constant(undefined),
      anyValue,
      fc
        .record({ path: fc.array(fc.nat(12), { minLength: 1, maxLength: 5 }), by: anyValue })
        .map(({ path, by }) => spoil({ ...demoModels[0], version: 2 }, path, by)),
      fc.record({ csv: fc.oneof(fc.string({ maxLength: 200 }), fc.constant('model,version\nx,1')) }),
      fc.record({ givenName: anyValue, familyName: anyValue, born: anyValue }),
      fc.record({ calibratedOn: anyValue, offset: anyValue }),
      fc.record({
        person: fc.constant(null).map(() => clinic.person),
        day: fc.constantFrom('2027-01-08', '2026-02-30', '0001-01-01'),
        time: fc.constantFrom<unknown>('10:30', null, '24:00'),
        purpose: fc.constantFrom('review', 'first', 'x'),
        note: anyValue,
        state: fc.constantFrom('planned', 'cancelled', 'x'),
      }),
      fc.record({ name: anyValue, zone: fc.constantFrom('Europe/Madrid', 'x'), letterhead: anyValue }),
      fc.record({
        into: fc.oneof(
          anyValue,
          fc.constant(null).map(() => clinic.person),
        ),
      }),
      fc.record({
        id: word,
        kind: fc.constant('tape'),
        name: word,
        validDays: fc.nat(4000),
        calibratedOn: fc.constant('2026-11-01'),
        offset: fc.constant(0),
      }),
      fc.record({ lines: anyValue }),
    ),
  })
  .map(({ at, role, id, of, query, body, type }) => {
    const routes = allRoutes(clinic.context).filter(({ path }) => !leftOut.includes(path));
    const { method, path } = routes[at % routes.length]!;
    const filled = path
      .replace(':id', id ?? (path.startsWith('/cases') ? cases[of]! : v7()))
      .replace(':sort', 'model')
      .replace(':hash', id ?? clinic.model.hash);
    return {
      role,
      method: method.toUpperCase(),
      path: `${filled}${query ? `?${new URLSearchParams(query)}` : ''}`,
      body: method === 'get' ? undefined : body,
      type,
    };
  });

const anyRequest = fc.oneof({ weight: 3, arbitrary: entryRequest }, { weight: 2, arbitrary: routeRequest });

test(`${wanted} requests made by chance, ${atOnce} at once: no 500, no 503, a problem body where refused`, async () => {
  const times: number[] = [];
  const wrong: object[] = [];
  const counts = new Map<number, number>();
  const send = async ({ role, method, path, body, type = 'application/json' }: Made) => {
    const began = performance.now();
    const answer = await fetch(`${address}/api${path}`, {
      method,
      headers: {
        cookie: cookies.get(role)!,
        ...(body === undefined ? {} : { 'Content-Type': type }),
      },
      ...(body === undefined ? {} : { body: JSON.stringify(body) }),
    });
    const text = await answer.text();
    times.push(performance.now() - began);
    counts.set(answer.status, (counts.get(answer.status) ?? 0) + 1);
    const isProblem = answer.headers.get('content-type')?.startsWith('application/problem+json') === true;
    if (answer.status >= 500 || (answer.status >= 400 && !isProblem))
      wrong.push({ status: answer.status, method, path, body, text: text.slice(0, 300) });
  };
  for (let sent = 0; sent < wanted; sent += atOnce) {
    const requests = fc.sample(anyRequest, { numRuns: atOnce, seed: seed + sent });
    // one of them twice at the same time
    await Promise.all([...requests, requests[0]!].map(send));
  }
  times.sort((a, b) => a - b);
  const said = [...counts].sort(([a], [b]) => a - b).map(([status, count]) => `${status}: ${count}`);
  console.log(
    `seed ${seed}: ${times.length} requests, ${said.join(', ')}; p99 ${times[Math.floor(times.length * 0.99)]!.toFixed(0)} ms, longest ${times.at(-1)!.toFixed(0)} ms`,
  );
  expect(wrong).toEqual([]);
  // they come far into the house: many are taken
  expect(counts.get(201) ?? 0).toBeGreaterThan(wanted / 20);
  // and every case is still read by the fold
  const ana = await clinic.as('orthotist');
  for (const id of cases) {
    const { body } = await ana.get(`/api/cases/${id}`).expect(200);
    expect(body.proof).toEqual({ holds: true, faults: [] });
  }
}, 1_200_000);
