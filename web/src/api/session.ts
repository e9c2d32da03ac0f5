import { session as sessionAnswer, type Session } from '@estribo/core/answers';
import type { Language } from '@estribo/core/access';
import { speak } from '../messages';
import { queries } from './queries';
import { ask, call, RefusedError, tell, UnansweredError } from './http';
import { machine } from './machine';

/** Who is signed in, as this machine has it. */
export type HeldSession = Session & {
  /** signed out or locked here while the server was away: it has yet to be told */
  untold?: boolean;
  /** by how much this machine's clock was ahead of the server's when it was asked, in milliseconds */
  clockOff?: number;
};

/**
 * What was done here and the server does not know yet: it holds on this machine at once, outlives a reload, and the server is
 * told as soon as it answers.
 */
const untold = {
  signedOut: { key: 'estribo-signed-out', method: 'DELETE', path: '/session' },
  locked: { key: 'estribo-locked', method: 'POST', path: '/session/lock' },
} as const;
type Untold = keyof typeof untold;

const isUntold = (what: Untold) => localStorage.getItem(untold[what].key) !== null;
const forget = (what: Untold) => localStorage.removeItem(untold[what].key);

/** Tabs of one browser have one session: what changes it in one is looked at in all. */
const bell = typeof BroadcastChannel === 'undefined' ? undefined : new BroadcastChannel('estribo-session');
bell?.addEventListener('message', () => void queries.invalidateQueries({ queryKey: ['session'] }));

const telling = new Map<Untold, Promise<boolean>>();

/**
 * Tells the server what was done here, once at a time.
 * @returns whether it knows now; a session that has ended has nothing more to be told
 */
function tellServer(what: Untold): Promise<boolean> {
  const { method, path } = untold[what];
  const under = telling.get(what);
  if (under) return under;
  const told = call(method, path)
    .then(
      () => true,
      (error: unknown) => error instanceof RefusedError,
    )
    .then((knows) => {
      if (knows) forget(what);
      return knows;
    })
    .finally(() => telling.delete(what));
  telling.set(what, told);
  return told;
}

/** An answer with what it says of this machine's clock. */
const withClock = (session: Session): HeldSession =>
  session.now === undefined ? session : { ...session, clockOff: Date.now() - Date.parse(session.now) };

const nobody: HeldSession = { user: null, clinic: { name: '', zone: 'UTC', wearRule: null }, untold: true };
const held = () => queries.getQueryData<HeldSession>(['session']);

/**
 * Who is signed in. After a sign-out or a lock that the server has not heard of nobody is at the machine, whatever the
 * server thinks; it is told first.
 * @param signal aborts when somebody signs in while it is asked: what it answers is then of before, and is not taken
 */
export async function fetchSession({ signal }: { signal?: AbortSignal } = {}): Promise<HeldSession> {
  if (isUntold('signedOut') && !(await tellServer('signedOut'))) return nobody;
  if (isUntold('locked') && !(await tellServer('locked'))) {
    const before = held();
    // a page that begins while the server is away knows nobody, and shows nothing
    if (!before) throw new UnansweredError();
    return { ...before, locked: true, untold: true };
  }
  const session = await ask(sessionAnswer, '/session');
  signal?.throwIfAborted();
  if (session.user) await speak(session.user.language ?? 'en');
  const before = held()?.user?.id;
  // what was read for one person is not shown to the next, who has signed in from another tab
  if (before !== undefined && before !== session.user?.id)
    queries.removeQueries({ predicate: ({ queryKey }) => queryKey[0] !== 'session' });
  return withClock(session);
}

/**
 * Signs in, and remembers who has done so on this machine.
 * @param next with a one-time code: the password that is chosen
 */
export async function signIn(login: string, password: string, next?: string): Promise<void> {
  // an answer to a sign-out that came later would take the new session's cookie away
  await Promise.all(telling.values());
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
  await Promise.all(telling.values());
  await begin(await tell(sessionAnswer, 'POST', '/session/switch', { user, pin }));
}

/** Does something here at once, whether the server answers or not, and tells it afterwards. */
function doHere(what: Untold, then: HeldSession): void {
  localStorage.setItem(untold[what].key, new Date().toISOString());
  queries.setQueryData(['session'], then);
  bell?.postMessage(what);
  void queries.invalidateQueries({ queryKey: ['session'] });
}

/** Locks this machine, here first: what is typed stays where it is. */
export function lock(): void {
  const before = held();
  if (before?.user) doHere('locked', { ...before, locked: true, untold: true });
}

/** Whoever is at the machine now: another one finds nothing of who was there before, the same one everything. */
async function begin(session: Session): Promise<void> {
  await speak(session.user!.language ?? 'en');
  for (const what of ['signedOut', 'locked'] as const) forget(what);
  // an answer from before that is still on its way would say that nobody is here
  await queries.cancelQueries({ queryKey: ['session'] });
  const before = held()?.user?.id;
  // the session itself stays, with whoever watches it
  if (before !== session.user!.id)
    queries.removeQueries({ predicate: ({ queryKey }) => queryKey[0] !== 'session' });
  queries.setQueryData(['session'], withClock(session));
  if (before === session.user!.id) void queries.invalidateQueries();
  bell?.postMessage('signed in');
  const { id, name, role } = session.user!;
  await machine.signIns.put({ user: id, name, role, at: new Date().toISOString() }).catch(() => {});
}

/**
 * Signs out, here first. What waits and what was typed stays on the machine for its writer, out of sight.
 */
export function signOut(): void {
  queries.clear();
  doHere('signedOut', nobody);
}

/** One's own language from now on, here and on every machine. */
export async function chooseLanguage(language: Language): Promise<void> {
  await call('PUT', '/session/language', { language });
  await queries.invalidateQueries({ queryKey: ['session'] });
}
