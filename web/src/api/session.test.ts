import 'fake-indexeddb/auto';
import { machine } from './machine';
import { queries } from './queries';
import type { Session } from '@estribo/core/answers';
import { fetchSession, signIn, signOut } from './session';

const clinic = { name: 'Test', zone: 'Europe/Madrid' };
const user = (id: string) => ({ id, name: id, role: 'orthotist' as const });

/** A server with a session of its own; it can be away. */
function server(signedIn: string | null) {
  const state = { signedIn, away: false, calls: [] as string[] };
  globalThis.fetch = (async (path: string, { method, body }: { method: string; body?: string }) => {
    if (state.away) throw new TypeError('nobody answers');
    state.calls.push(`${method} ${path}`);
    if (method === 'DELETE') {
      state.signedIn = null;
      return new Response(null, { status: 204 });
    }
    if (method === 'POST') state.signedIn = (JSON.parse(body!) as { login: string }).login;
    return new Response(JSON.stringify({ user: state.signedIn && user(state.signedIn), clinic }));
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
  await signOut();
  expect(session()).toMatchObject({ user: null, untold: true });
  expect(queries.getQueryData(['cases', ''])).toBeUndefined();
  // a reload: the cookie is still good, and nobody is signed in all the same
  queries.clear();
  expect((await fetchSession()).user).toBeNull();
  state.away = false;
  expect(await fetchSession()).toEqual({ user: null, clinic });
  expect(state.calls.slice(-2)).toEqual(['DELETE /api/session', 'GET /api/session']);
});

test('a sign-in takes the mark of an untold sign-out away, and is remembered on this machine', async () => {
  const state = server('ana');
  state.away = true;
  await signOut();
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
