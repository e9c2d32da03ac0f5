import 'fake-indexeddb/auto';
import type { AnyEntry } from '@estribo/core/logbook';
import { Dexie } from 'dexie';
import { Machine, machine } from './machine';
import { Outbox } from './outbox';

type Answer = { status: number; body?: unknown } | 'away';

interface Seen {
  path: string;
  body: { id?: string; reason?: string };
  writer: string | undefined;
}

/** A server that answers as it is told, by what is sent; it takes everything else. */
function server(answer: (seen: Seen, nth: number) => Answer | undefined = () => undefined) {
  const seen: Seen[] = [];
  globalThis.fetch = (async (
    path: string,
    { body, headers }: { body: string; headers: Record<string, string> },
  ) => {
    const one = { path, body: JSON.parse(body) as Seen['body'], writer: headers['Estribo-Writer'] };
    const said = answer(one, seen.length) ?? { status: 201 };
    if (said === 'away') throw new TypeError('nobody answers');
    seen.push(one);
    return new Response(JSON.stringify(said.body ?? { entry: JSON.parse(body) as object }), {
      status: said.status,
    });
  }) as typeof fetch;
  return seen;
}

const entry = (id: string, by = 'ana', caseId = 'c1', more: object = {}) =>
  ({ id, by, case: caseId, kind: 'measure.read', ...more }) as unknown as AnyEntry;
const ana = { id: 'ana', name: 'Ana Bouza' };
const teo = { id: 'teo', name: 'Teo Varela' };
const problem = (status: number, detail = 'No.') => ({ status, body: { title: 'No', status, detail } });

const hooks = () => ({ taken: jest.fn(), emptied: jest.fn(), signedOut: jest.fn() });
let stop = () => {};
afterEach(async () => {
  stop();
  await machine.posted.clear();
});

const until = async (holds: () => boolean | Promise<boolean>) => {
  for (let i = 0; i < 400; i += 1) {
    if (await holds()) return;
    await new Promise((resolve) => setTimeout(resolve, 20));
  }
  throw new Error('it never came to that');
};
const ids = (seen: Seen[]) => seen.map(({ body }) => body.id);

test('what is posted is sent in the order of writing, and the box is empty then', async () => {
  const seen = server();
  const told = hooks();
  const box = new Outbox(told);
  for (const id of ['1', '2', '3']) await box.postEntry(entry(id), ana);
  stop = box.start('ana');
  await until(() => told.emptied.mock.calls.length > 0);
  expect(ids(seen)).toEqual(['1', '2', '3']);
  expect(told.taken).toHaveBeenCalledTimes(3);
  expect(await box.list('ana')).toEqual([]);
  // the server is told whose it is
  expect(new Set(seen.map(({ writer }) => writer))).toEqual(new Set(['ana']));
});

test('while the server is away everything waits, in order, and is sent when it is back', async () => {
  let away = true;
  const seen = server(() => (away ? 'away' : undefined));
  const told = hooks();
  const box = new Outbox(told);
  await box.postEntry(entry('1'), ana);
  stop = box.start('ana');
  await until(() => box.sending === 'away');
  await box.postEntry(entry('2'), ana);
  expect((await box.list('ana')).map(({ state }) => state)).toEqual(['waiting', 'waiting']);
  away = false;
  await until(() => told.emptied.mock.calls.length > 0);
  expect(ids(seen)).toEqual(['1', '2']);
});

test('one that the server fails on is asked again, says so, and holds up its own case alone', async () => {
  let failing = true;
  const seen = server(({ body }) => (body.id === 'bad' && failing ? problem(500) : undefined));
  const told = hooks();
  const box = new Outbox(told);
  await box.postEntry(entry('bad', 'ana', 'c1'), ana);
  await box.postEntry(entry('behind', 'ana', 'c1'), ana);
  await box.postEntry(entry('other', 'ana', 'c2'), ana);
  stop = box.start('ana');
  await until(() => told.taken.mock.calls.length === 1);
  expect(told.taken.mock.calls[0]![0].id).toBe('other');
  await until(() => box.sending === 'failed');
  expect(ids(seen)).not.toContain('behind');
  failing = false;
  await until(() => told.emptied.mock.calls.length > 0);
  expect(ids(seen).slice(-2)).toEqual(['bad', 'behind']);
});

test('one that is asked to wait is asked again, and says that it is busy, not away', async () => {
  let busy = true;
  server(({ body }) => (body.id === '1' && busy ? problem(503) : undefined));
  const told = hooks();
  const box = new Outbox(told);
  await box.postEntry(entry('1'), ana);
  stop = box.start('ana');
  await until(() => box.sending === 'busy');
  busy = false;
  await until(() => told.emptied.mock.calls.length > 0);
});

test('a case that is opened for somebody new waits for that person, and no other case does', async () => {
  let failing = true;
  const seen = server(({ path }) => (path.startsWith('/api/people') && failing ? problem(500) : undefined));
  const told = hooks();
  const box = new Outbox(told);
  await box.post({
    user: 'ana',
    userName: 'Ana',
    method: 'PUT',
    path: '/people/p1',
    body: { givenName: 'Iria' },
    caseId: '',
  });
  await box.postEntry(entry('opened', 'ana', 'c1', { kind: 'case.opened', body: { person: 'p1' } }), ana);
  await box.postEntry(entry('other', 'ana', 'c2'), ana);
  stop = box.start('ana');
  await until(() => told.taken.mock.calls.length === 1);
  expect(ids(seen)).not.toContain('opened');
  failing = false;
  await until(() => told.emptied.mock.calls.length > 0);
  expect(ids(seen).at(-1)).toBe('opened');
});

test('a visit of somebody new waits for them', async () => {
  let failing = true;
  const seen = server(({ path }) => (failing && path === '/api/people/p1' ? problem(500) : undefined));
  const box = new Outbox(hooks());
  const put = (path: string, body: object) =>
    box.post({ user: 'ana', userName: 'Ana', method: 'PUT', path, body, caseId: '' });
  await put('/people/p1', { givenName: 'Iria' });
  await put('/visits/v1', { person: 'p1' });
  await put('/visits/v2', { person: 'p2' });
  stop = box.start('ana');
  await until(() => seen.some(({ path }) => path === '/api/visits/v2'));
  expect(seen.map(({ path }) => path)).not.toContain('/api/visits/v1');
  failing = false;
  await until(() => seen.some(({ path }) => path === '/api/visits/v1'));
});

test.each([403, 422, 409, 404])(
  'what is refused with %d stays as unsent with its reason, and can be sent again',
  async (status) => {
    let right = false;
    server(({ body }) => (body.id === '1' && !right ? problem(status, 'The role may not.') : undefined));
    const told = hooks();
    const box = new Outbox(told);
    await box.postEntry(entry('1'), ana);
    await box.postEntry(entry('2'), ana);
    stop = box.start('ana');
    await until(() => told.taken.mock.calls.length === 1);
    const [unsent] = await box.list('ana', 'c1');
    expect(unsent).toMatchObject({ state: 'unsent', problem: { status, detail: 'The role may not.' } });
    right = true;
    await box.resend(unsent!.n);
    await until(async () => (await box.list('ana')).length === 0);
    expect(told.taken.mock.calls.map(([{ id }]) => id as string)).toEqual(['2', '1']);
  },
);

test('what is given up is gone from here, and that it is, and why, is told', async () => {
  const seen = server(({ body }) =>
    body.id === '1' && !body.reason ? problem(422, 'Not valid') : undefined,
  );
  const told = hooks();
  const box = new Outbox(told);
  await box.postEntry(entry('1'), ana);
  stop = box.start('ana');
  await until(async () => (await box.list('ana'))[0]?.state === 'unsent');
  await box.giveUp((await box.list('ana'))[0]!, 'wrong leg');
  await until(async () => (await box.list('ana')).length === 0);
  expect(seen.at(-1)).toMatchObject({
    path: '/api/unsent',
    body: { id: '1', case: 'c1', kind: 'measure.read', problem: 'Not valid', reason: 'wrong leg' },
  });
});

test('each person’s things wait for that person: another one’s session never sends them', async () => {
  const seen = server();
  const told = hooks();
  const box = new Outbox(told);
  await box.postEntry(entry('1', 'teo'), teo);
  await box.postEntry(entry('2', 'teo'), teo);
  await box.postEntry(entry('3', 'ana'), ana);
  expect(await box.ofOthers('ana')).toEqual([{ name: 'Teo Varela', count: 2 }]);
  // on the sign-in screen nobody is there
  expect(await box.ofOthers(undefined)).toHaveLength(2);
  stop = box.start('ana');
  await until(() => told.emptied.mock.calls.length > 0);
  expect(ids(seen)).toEqual(['3']);
  stop();
  stop = box.start('teo');
  await until(() => seen.length === 3);
  expect(seen.slice(1).map(({ writer }) => writer)).toEqual(['teo', 'teo']);
});

test('a session that is another’s by now is noticed: nothing is sent, and it is looked at who is there', async () => {
  let other = true;
  const seen = server(() => (other ? problem(401, 'Here Teo is signed in now.') : undefined));
  const told = hooks();
  const box = new Outbox(told);
  await box.postEntry(entry('1'), ana);
  stop = box.start('ana');
  await until(() => told.signedOut.mock.calls.length > 0);
  expect(box.sending).toBe('signed-out');
  expect((await box.list('ana'))[0]).toMatchObject({ state: 'waiting' });
  other = false;
  await until(() => told.emptied.mock.calls.length > 0);
  expect(ids(seen).at(-1)).toBe('1');
});

test('what waited in the box of before is still there after an update', async () => {
  machine.close();
  await Dexie.delete('estribo-outbox');
  const before = new Dexie('estribo-outbox');
  before.version(1).stores({ posted: '++n, [user+state], caseId' });
  await before.table('posted').bulkAdd([
    {
      user: 'ana',
      method: 'POST',
      path: '/cases/c1/entries',
      body: entry('1'),
      caseId: 'c1',
      state: 'waiting',
    },
    {
      user: 'ana',
      method: 'POST',
      path: '/cases/c1/entries',
      body: entry('2'),
      caseId: 'c1',
      state: 'refused',
    },
  ]);
  before.close();
  const now = new Machine();
  expect((await now.posted.toArray()).map(({ state, userName }) => [state, userName])).toEqual([
    ['waiting', ''],
    ['unsent', ''],
  ]);
  await now.posted.clear();
  now.close();
  await machine.open();
});
