import fc from 'fast-check';
import { v7 } from 'uuid';
import { programmes } from '@estribo/core/programmes';
import { entryEntity } from './database/entities';
import { demoModels } from './demo/models';
import { soundOrder, stopsIn, testClinic, type SentEntry, type TestClinic } from './test-clinic';

let clinic: TestClinic;
beforeAll(async () => {
  clinic = await testClinic();
});
afterAll(() => clinic.close());

const post = async (path: string, body: unknown) => {
  const ana = await clinic.as('orthotist');
  return ana
    .post(`/api${path}`)
    .set('Content-Type', 'application/json')
    .send(JSON.stringify(body) ?? '');
};

test('any JSON at all, sent as an entry: never taken, never a 500', async () => {
  await fc.assert(
    fc.asyncProperty(fc.jsonValue(), async (body) => {
      const { status } = await post(`/cases/${v7()}/entries`, body);
      expect(status).toBeGreaterThanOrEqual(400);
      expect(status).toBeLessThan(500);
    }),
    { numRuns: 150 },
  );
});

/** Every path to a value inside, so that one of them can be spoilt. */
function pathsIn(value: unknown, at: (string | number)[] = []): (string | number)[][] {
  if (typeof value !== 'object' || value === null) return [at];
  return [
    at,
    ...Object.entries(value).flatMap(([key, inner]) =>
      pathsIn(inner, [...at, Array.isArray(value) ? Number(key) : key]),
    ),
  ];
}

function spoilt(value: unknown, [key, ...rest]: (string | number)[], by: unknown): unknown {
  if (key === undefined) return by;
  const copy: Record<string | number, unknown> | unknown[] = Array.isArray(value)
    ? [...(value as unknown[])]
    : { ...(value as object) };
  (copy as Record<string | number, unknown>)[key] = spoilt(
    (value as Record<string | number, unknown>)[key],
    rest,
    by,
  );
  return copy;
}

test('a sound entry with one value spoilt: refused with a reason or taken as it is, never a 500', async () => {
  const id = v7();
  expect((await post(`/cases/${id}/entries`, clinic.opened(id))).status).toBe(201);
  const sound: SentEntry[] = [
    { ...clinic.entry('order.given', 'screen', soundOrder, { expects: null }), case: id },
    {
      ...clinic.entry('measure.read', 'measure', {
        step: 'girth-above',
        side: 'right',
        value: 450,
        instrument: 'tape',
      }),
      case: id,
    },
    {
      ...clinic.entry('set.made', 'set', stopsIn(0, null)),
      case: id,
    },
    {
      ...clinic.entry(
        'wear.planned',
        'wear',
        { kind: 'as-ordered', from: '2026-11-24', wearing: 'always' },
        { expects: null },
      ),
      case: id,
    },
    clinic.opened(v7()),
  ];
  const spoilers = fc.oneof(
    fc.constantFrom<unknown>(
      null,
      '',
      'x',
      -1,
      0.5,
      1e308,
      '2026-02-30',
      'Mars/Olympus',
      '\u0000',
      '𝒳'.repeat(50),
      [],
      {},
      [null],
      { extension: 1 },
      true,
      '12',
      'x'.repeat(5000),
    ),
    fc.jsonValue(),
  );
  const seen = new Set<number>();
  await fc.assert(
    fc.asyncProperty(fc.constantFrom(...sound), fc.nat(), spoilers, async (entry, where, by) => {
      const paths = pathsIn(entry);
      const body = spoilt({ ...entry, id: v7() }, paths[where % paths.length]!, by);
      const { status, body: answer } = await post(`/cases/${entry.case}/entries`, body);
      seen.add(status);
      expect(status).toBeLessThan(500);
      if (status >= 400)
        expect(answer).toMatchObject({ title: expect.any(String), detail: expect.any(String), status });
    }),
    { numRuns: 400 },
  );
  expect(seen.has(422)).toBe(true);
});

test('any JSON as a person, a user or a sign-in is answered 4xx', async () => {
  const [ana, iago] = [await clinic.as('orthotist'), await clinic.as('administrator')];
  await fc.assert(
    fc.asyncProperty(fc.jsonValue(), fc.constantFrom('/people', '/users', '/session'), async (body, path) => {
      const agent = path === '/users' ? iago : ana;
      const send = path === '/session' ? agent.post('/api/session') : agent.put(`/api${path}/${v7()}`);
      const { status } = await send.set('Content-Type', 'application/json').send(JSON.stringify(body));
      expect(status).toBeGreaterThanOrEqual(400);
      expect(status).toBeLessThan(500);
    }),
    { numRuns: 120 },
  );
});

test('any text as a search or a page is answered below 500', async () => {
  const ana = await clinic.as('orthotist');
  await fc.assert(
    fc.asyncProperty(
      fc.string({ maxLength: 200 }),
      fc.constantFrom('find', 'skip'),
      fc.constantFrom('people', 'cases', 'bench'),
      async (text, key, list) => {
        const { status } = await ana.get(`/api/${list}?${key}=${encodeURIComponent(text)}`);
        expect(status).toBeLessThan(500);
      },
    ),
    { numRuns: 120 },
  );
});

test('a number that is no number does not get in through JSON', async () => {
  const id = v7();
  await post(`/cases/${id}/entries`, clinic.opened(id));
  const ana = await clinic.as('orthotist');
  const entry = {
    ...clinic.entry('measure.read', 'measure', {
      step: 'girth-above',
      side: 'right',
      value: 777,
      instrument: 'tape',
    }),
    case: id,
  };
  for (const value of ['1e999', '"450"', 'null', '[450]', '-1e999']) {
    const text = JSON.stringify(entry).replace(':777', `:${value}`);
    const { status, body } = await ana
      .post(`/api/cases/${id}/entries`)
      .set('Content-Type', 'application/json')
      .send(text);
    expect({ value, status }).toEqual({ value, status: 422 });
    expect(body.faults[0].at).toBe('body.value');
  }
  expect(await clinic.context.db.getRepository(entryEntity).countBy({ case: id })).toBe(1);
});

test('an oversized body is 413, broken JSON 400, no JSON 422', async () => {
  const ana = await clinic.as('orthotist');
  const path = `/api/cases/${v7()}/entries`;
  expect((await ana.post(path).send({ note: 'x'.repeat(70_000) })).status).toBe(413);
  const broken = await ana.post(path).set('Content-Type', 'application/json').send('{"a":');
  expect([broken.status, broken.body.title]).toEqual([400, 'Not JSON']);
  expect((await ana.post(path).set('Content-Type', 'text/plain').send('hello')).status).toBe(422);
});

const model = demoModels.find(({ id }) => id === 'xunco-malla')!;
const own = {
  ...programmes.find(({ id }) => id === 'spine-belt')!,
  id: 'own-belt',
  title: 'our belt',
  base: 'spine-belt',
};
const anything = fc.oneof(
  fc.jsonValue(),
  fc.constantFrom(null, '', -1, 1e308, [], {}, '\u0000', 'x'.repeat(3000), [[null]], { bands: 1 }),
);

test.each([
  ['/catalogue/models', model],
  ['/catalogue/programmes', own],
  ['/catalogue/import', { csv: 'model,name\r\na,b' }],
  [
    '/instruments',
    {
      id: 'tape-2',
      kind: 'tape',
      name: 'Tape 2',
      calibratedOn: '2026-11-20',
      validDays: 365,
      offset: 0.3,
    },
  ],
  ['/instruments/stand-in-tape/lines', { lines: [{ at: '2026-11-24T09:00:00Z', value: 400, unit: 'mm' }] }],
] as const)('%s: any JSON, and a sound body with one value spoilt, is never a 500', async (path, sound) => {
  const paths = pathsIn(sound);
  await fc.assert(
    fc.asyncProperty(anything, fc.constantFrom(...paths), async (by, at) => {
      for (const body of [by, spoilt(sound, at, by)])
        expect((await post(path, body)).status).toBeLessThan(500);
    }),
    { numRuns: 120 },
  );
});
