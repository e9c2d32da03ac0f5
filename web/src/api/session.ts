import { session as sessionAnswer, type Session } from '@estribo/core/answers';
import type { Language } from '@estribo/core/access';
import { speak } from '../messages';
import { queries } from './queries';
import { ask, call, tell, UnansweredError } from './http';
import { machine } from './machine';

/** Who is signed in, as this machine has it. */
export type HeldSession = Session & {
  /** signed out here while the server was away: it has yet to be told */
  untold?: boolean;
};

/** Stands while somebody has signed out here and the server does not know it yet. */
const signedOutKey = 'estribo-signed-out';
const isSignedOutHere = () => localStorage.getItem(signedOutKey) !== null;

/** Tabs of one browser have one session: what changes it in one is looked at in all. */
const bell = typeof BroadcastChannel === 'undefined' ? undefined : new BroadcastChannel('estribo-session');
bell?.addEventListener('message', () => void queries.invalidateQueries({ queryKey: ['session'] }));

/**
 * Who is signed in. After a sign-out that the server has not heard of nobody is, whatever the server thinks;
 * it is told first.
 */
export async function fetchSession(): Promise<HeldSession> {
  if (isSignedOutHere())
    try {
      await call('DELETE', '/session');
      localStorage.removeItem(signedOutKey);
    } catch (error) {
      if (!(error instanceof UnansweredError)) throw error;
      return { user: null, clinic: { name: '', zone: 'UTC', wearRule: null }, untold: true };
    }
  const session = await ask(sessionAnswer, '/session');
  if (session.user) await speak(session.user.language ?? 'en');
  const before = queries.getQueryData<HeldSession>(['session'])?.user?.id;
  // what was read for one person is not shown to the next, who has signed in from another tab
  if (before !== undefined && before !== session.user?.id)
    queries.removeQueries({ predicate: ({ queryKey }) => queryKey[0] !== 'session' });
  return session;
}

/**
 * Signs in, and remembers who has done so on this machine.
 * @param next with a one-time code: the password that is chosen
 */
export async function signIn(login: string, password: string, next?: string): Promise<void> {
  await begin(
    await tell(sessionAnswer, 'POST', '/session', {
      login,
      password,
      ...(next === undefined ? {} : { next }),
    }),
  );
}

/** Takes over at this machine by PIN, or unlocks it. */
export async function takeOver(user: string, pin: string): Promise<void> {
  await begin(await tell(sessionAnswer, 'POST', '/session/switch', { user, pin }));
}

/** Locks this machine: what is typed stays where it is. */
export async function lock(): Promise<void> {
  await call('POST', '/session/lock');
  await queries.invalidateQueries({ queryKey: ['session'] });
  bell?.postMessage('locked');
}

/** Whoever is at the machine now: another one finds nothing of who was there before, the same one everything. */
async function begin(session: Session): Promise<void> {
  await speak(session.user!.language ?? 'en');
  localStorage.removeItem(signedOutKey);
  const before = queries.getQueryData<HeldSession>(['session'])?.user?.id;
  // the session itself stays, with whoever watches it
  if (before !== session.user!.id)
    queries.removeQueries({ predicate: ({ queryKey }) => queryKey[0] !== 'session' });
  queries.setQueryData(['session'], session);
  if (before === session.user!.id) void queries.invalidateQueries();
  bell?.postMessage('signed in');
  const { id, name, role } = session.user!;
  await machine.signIns.put({ user: id, name, role, at: new Date().toISOString() }).catch(() => {});
}

/**
 * Signs out: here at once, whether the server answers or not. What waits and what was typed stays on the
 * machine for its writer, out of sight.
 */
export async function signOut(): Promise<void> {
  localStorage.setItem(signedOutKey, new Date().toISOString());
  queries.clear();
  queries.setQueryData(['session'], await fetchSession());
  bell?.postMessage('signed out');
}

/** One's own language from now on, here and on every machine. */
export async function chooseLanguage(language: Language): Promise<void> {
  await call('PUT', '/session/language', { language });
  await queries.invalidateQueries({ queryKey: ['session'] });
}
