import 'fake-indexeddb/auto';
import { machine } from './machine';
import { queries } from './queries';
import type { Session } from '@estribo/core/answers';
import { fetchSession, lock, signIn, signOut, takeOver } from './session';

const clinic = { name: 'Test', zone: 'Europe/Madrid' };
const user = (id: string) => ({ id, name: id, role: 'orthotist' as const });

/** A server with a session of its own; it can be away. */
function server(signedIn: string | null) {
  const state = { signedIn, away: false, locked: false, calls: [] as string[] };
  globalThis.fetch = (async (path: string, { method, body }: { method: string; body?: string }) => {
    if (state.away) throw new TypeError('nobody answers');
    state.calls.push(`${method} ${path}`);
    if (path.endsWith('/lock')) {
      state.locked = true;
      return new Response(null, { status: 204 });
    }
    if (path.endsWith('/switch')) state.locked = false;
    if (method === 'DELETE') {
      state.signedIn = null;
      return new Response(null, { status: 204 });
    } else if (method === 'POST' && !path.endsWith('/switch'))
      state.signedIn = (JSON.parse(body!) as { login: string }).login;
    return new Response(
      JSON.stringify({ user: state.signedIn && user(state.signedIn), clinic, locked: state.locked }),
    );
  }) as typeof fetch;
  return state;
}

beforeEach(async () => {
  localStorage.clear();
  queries.clear();
  await machine.signIns.clear();
});
const session = () => queries.getQueryData<Session>(['session']);

test('signing out while the server is away holds here, outlives a reload, and the server is told first of all', async () => {
  const state = server('ana');
  queries.setQueryData(['session'], { user: user('ana'), clinic });
  queries.setQueryData(['cases', ''], { secret: 'of ana' });
  state.away = true;
  signOut();
  expect(session()).toMatchObject({ user: null, untold: true });
  expect(queries.getQueryData(['cases', ''])).toBeUndefined();
  // a reload: the cookie is still good, and nobody is signed in all the same
  queries.clear();
  expect((await fetchSession()).user).toBeNull();
  state.away = false;
  expect(await fetchSession()).toEqual({ user: null, clinic, locked: false });
  expect(state.calls.slice(-2)).toEqual(['DELETE /api/session', 'GET /api/session']);
});

test('a sign-in takes the mark of an untold sign-out away, and is remembered on this machine', async () => {
  const state = server('ana');
  state.away = true;
  signOut();
  state.away = false;
  await signIn('teo', 'a password');
  expect(session()?.user?.id).toBe('teo');
  expect((await fetchSession()).user?.id).toBe('teo');
  expect(await machine.signIns.toArray()).toMatchObject([{ user: 'teo', role: 'orthotist' }]);
});

test('when another person has signed in from another tab, nothing read for the one before is left', async () => {
  const state = server('ana');
  queries.setQueryData(['session'], await fetchSession());
  queries.setQueryData(['case', 'c1', 'entries'], { entries: ['of ana'] });
  await fetchSession();
  expect(queries.getQueryData(['case', 'c1', 'entries'])).toBeDefined();
  state.signedIn = 'teo';
  expect((await fetchSession()).user?.id).toBe('teo');
  expect(queries.getQueryData(['case', 'c1', 'entries'])).toBeUndefined();
});

test('a lock holds here at once while the server is away, outlives other answers, and the server is told first of all', async () => {
  const state = server('ana');
  queries.setQueryData(['session'], await fetchSession());
  state.away = true;
  lock();
  expect(session()).toMatchObject({ user: { id: 'ana' }, locked: true, untold: true });
  // asked again while nobody answers it is locked still
  expect(await fetchSession()).toMatchObject({ locked: true, untold: true });
  // a reload knows nobody, and shows nothing
  queries.clear();
  await expect(fetchSession()).rejects.toThrow();
  state.away = false;
  expect(await fetchSession()).toMatchObject({ user: { id: 'ana' }, locked: true });
  expect(state.calls.slice(-2)).toEqual(['POST /api/session/lock', 'GET /api/session']);
  await takeOver('ana', '2580');
  expect((await fetchSession()).locked).toBe(false);
});

test('a sign-out is here at once, also when the server takes its time', async () => {
  let answer = () => {};
  globalThis.fetch = (() =>
    new Promise<Response>((resolve) => {
      answer = () => resolve(new Response(null, { status: 204 }));
    })) as typeof fetch;
  queries.setQueryData(['session'], { user: user('ana'), clinic });
  signOut();
  expect(session()?.user).toBeNull();
  const told = fetchSession();
  expect(session()?.user).toBeNull();
  answer();
  globalThis.fetch = (async () => new Response(JSON.stringify({ user: null, clinic }))) as typeof fetch;
  expect((await told).user).toBeNull();
});

test('who signs in waits for the answer to the sign-out before, which takes the cookie with it', async () => {
  const order: string[] = [];
  let answer = () => {};
  globalThis.fetch = ((_path: string, { method }: { method: string }) => {
    order.push(`${method} asked`);
    if (method !== 'DELETE')
      return Promise.resolve(new Response(JSON.stringify({ user: user('teo'), clinic })));
    return new Promise<Response>((resolve) => {
      answer = () => {
        order.push('DELETE answered');
        resolve(new Response(null, { status: 204 }));
      };
    });
  }) as typeof fetch;
  queries.setQueryData(['session'], { user: user('ana'), clinic });
  signOut();
  const asked = fetchSession();
  const coming = signIn('teo', 'a password');
  await new Promise((resolve) => setTimeout(resolve));
  answer();
  await Promise.all([asked, coming]);
  expect(order.indexOf('POST asked')).toBeGreaterThan(order.indexOf('DELETE answered'));
  expect(session()?.user?.id).toBe('teo');
});

test('an answer from before the sign-in that comes late does not sign out again, nor takes away what is read since', async () => {
  server(null);
  const answers = globalThis.fetch;
  let comesLate = () => {};
  globalThis.fetch = ((path: string, init: RequestInit) =>
    init.method === 'GET'
      ? new Promise((resolve) => {
          comesLate = () => resolve(new Response(JSON.stringify({ user: null, clinic, locked: false })));
        })
      : answers(path, init)) as typeof fetch;
  const asked = queries
    .fetchQuery({ queryKey: ['session'], queryFn: fetchSession, retry: false })
    .catch(() => undefined);
  await signIn('teo', 'a password');
  queries.setQueryData(['cases', ''], { cases: ['of teo'] });
  comesLate();
  await asked;
  await new Promise((resolve) => setTimeout(resolve));
  expect(session()?.user?.id).toBe('teo');
  expect(queries.getQueryData(['cases', ''])).toBeDefined();
});

test('a clock that differs from the server’s is known by how much', async () => {
  globalThis.fetch = (async () =>
    new Response(
      JSON.stringify({ user: user('ana'), clinic, now: new Date(Date.now() + 86_400_000).toISOString() }),
    )) as typeof fetch;
  const { clockOff } = await fetchSession();
  expect(Math.round(clockOff! / 3_600_000)).toBe(-24);
});
