import 'fake-indexeddb/auto';
import type { AnyEntry } from '@estribo/core/logbook';
import { Outbox } from './outbox';

type Answer = { status: number; body?: unknown } | 'away';

/** A server that answers from a list, then takes everything. */
function server(answers: Answer[]) {
  const seen: { path: string; body: { id?: string } }[] = [];
  globalThis.fetch = (async (path: string, { body }: { body: string }) => {
    const answer = answers.shift() ?? { status: 201 };
    if (answer === 'away') throw new TypeError('nobody answers');
    seen.push({ path, body: JSON.parse(body) as { id?: string } });
    return new Response(JSON.stringify(answer.body ?? { entry: JSON.parse(body) as object }), {
      status: answer.status,
    });
  }) as typeof fetch;
  return seen;
}

const entry = (id: string, by = 'ana') =>
  ({ id, by, case: 'c1', kind: 'measure.read' }) as unknown as AnyEntry;
const problem = (status: number) => ({ status, body: { title: 'No', status, detail: 'No.' } });

const hooks = () => ({ taken: jest.fn(), emptied: jest.fn(), signedOut: jest.fn() });
let stop = () => {};
afterEach(async () => {
  stop();
  const box = new Outbox(hooks());
  for (const user of ['ana', 'teo']) for (const { n } of await box.list(user)) await box.discard(n);
});

const until = async (holds: () => boolean | Promise<boolean>) => {
  for (let i = 0; i < 200; i += 1) {
    if (await holds()) return;
    await new Promise((resolve) => setTimeout(resolve, 20));
  }
  throw new Error('it never came to that');
};

test('what is posted is sent in the order of writing, and the box is empty then', async () => {
  const seen = server([]);
  const told = hooks();
  const box = new Outbox(told);
  for (const id of ['1', '2', '3']) await box.postEntry(entry(id));
  stop = box.start('ana');
  await until(() => told.emptied.mock.calls.length > 0);
  expect(seen.map(({ body }) => body.id)).toEqual(['1', '2', '3']);
  expect(told.taken).toHaveBeenCalledTimes(3);
  expect(await box.list('ana')).toEqual([]);
});

test('while the server is away everything waits, in order, and is sent when it is back', async () => {
  const seen = server(['away', { status: 503 }]);
  const told = hooks();
  const box = new Outbox(told);
  await box.postEntry(entry('1'));
  stop = box.start('ana');
  await until(() => box.sending === 'away');
  await box.postEntry(entry('2'));
  expect((await box.list('ana')).map(({ state }) => state)).toEqual(['waiting', 'waiting']);
  await until(() => told.emptied.mock.calls.length > 0);
  // the 503 was seen too: the same entry once more, then the next
  expect(seen.map(({ body }) => body.id)).toEqual(['1', '1', '2']);
});

test('what is refused stays with its problem and does not hold up the rest', async () => {
  server([problem(409)]);
  const told = hooks();
  const box = new Outbox(told);
  await box.postEntry(entry('1'));
  await box.postEntry(entry('2'));
  stop = box.start('ana');
  await until(() => told.taken.mock.calls.length === 1);
  const [refused] = await box.list('ana', 'c1');
  expect(refused).toMatchObject({ state: 'refused', problem: { status: 409 } });
  await box.resend(refused!.n, entry('3'));
  await until(async () => (await box.list('ana')).length === 0);
  expect(told.taken.mock.calls.map(([{ id }]) => id as string)).toEqual(['2', '3']);
});

test('signed out, it waits and says so; another user’s entries stay where they are', async () => {
  const seen = server([problem(401)]);
  const told = hooks();
  const box = new Outbox(told);
  await box.postEntry(entry('1', 'teo'));
  await box.postEntry(entry('2', 'ana'));
  stop = box.start('ana');
  await until(() => told.signedOut.mock.calls.length > 0);
  await until(() => told.taken.mock.calls.length > 0);
  expect(seen.map(({ body }) => body.id)).toEqual(['2', '2']);
  expect((await box.list('teo')).map(({ state }) => state)).toEqual(['waiting']);
});

test('what is given up is gone', async () => {
  server([problem(422)]);
  const box = new Outbox(hooks());
  await box.postEntry(entry('1'));
  stop = box.start('ana');
  await until(async () => (await box.list('ana'))[0]?.state === 'refused');
  await box.discard((await box.list('ana'))[0]!.n);
  expect(await box.list('ana')).toEqual([]);
});
