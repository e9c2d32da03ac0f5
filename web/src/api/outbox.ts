import type { AnyEntry, AnyRecordedEntry } from '@estribo/core/logbook';
import { posted } from '@estribo/core/answers';
import { v7 } from 'uuid';
import { AwayError, BusyError, FailedError, RefusedError, tell } from './http';
import { machine, type Posted } from './machine';

/**
 * What the outbox is doing: shown on every screen. `failed`: the server failed on one of the things that wait;
 * `busy`: it asks for patience with one; `full`: its disk is full; both are asked again, and the rest goes on.
 */
export type Sending = 'idle' | 'sending' | 'away' | 'busy' | 'failed' | 'full' | 'signed-out';

export interface OutboxHooks {
  /** the server has an entry */
  taken: (entry: AnyRecordedEntry) => void;
  /** nothing is left to send */
  emptied: () => void;
  /** nobody is signed in any more, or somebody else */
  signedOut: () => void;
}

/** Whoever writes: their id and their name. */
export interface Writer {
  id: string;
  name: string;
}

/** How long to wait before the same is asked again: longer each time, up to the last. */
const pauses = {
  away: { first: 500, last: 10_000 },
  busy: { first: 1000, last: 10_000 },
  failed: { first: 2000, last: 300_000 },
  full: { first: 5000, last: 60_000 },
};
const idleRest = 10_000;

/** What must be taken in its order: the entries of one case; each other thing for itself. */
const laneOf = ({ caseId, path }: Posted): string => caseId || path;

/** A case is opened for a person, a visit planned: the person goes first. */
function leanOn({ path, body }: Posted): string | undefined {
  if (path.startsWith('/visits/')) return `/people/${(body as { person: string }).person}`;
  const entry = body as Partial<AnyEntry>;
  return entry.kind === 'case.opened' ? `/people/${entry.body!.person}` : undefined;
}

/** A lane in which the server failed or was busy, and when it is asked again. */
interface Pause {
  until: number;
  wait: number;
  why: 'busy' | 'failed' | 'full';
}

/**
 * The one way anything of a case is written: into IndexedDB first, then to the server, in the order of
 * writing within a case. A reload or a server that is away loses nothing. Each person's things wait for that
 * person, and over several tabs one of them sends at a time.
 */
export class Outbox {
  private readonly listeners = new Set<() => void>();
  private readonly bell =
    typeof BroadcastChannel === 'undefined' ? undefined : new BroadcastChannel('estribo-outbox');
  private wake = () => {};
  sending: Sending = 'idle';

  constructor(private readonly hooks: OutboxHooks) {
    this.bell?.addEventListener('message', () => this.wake());
  }

  /** What waits of a person or was not taken, by order of writing. */
  list = (user: string, caseId?: string): Promise<Posted[]> =>
    machine.posted
      .where({ user })
      .filter((item) => caseId === undefined || item.caseId === caseId)
      .sortBy('n');

  /** How many things wait here of the other people who have used this machine, by name. */
  ofOthers = async (user: string | undefined): Promise<{ name: string; count: number }[]> => {
    const others = await machine.posted.filter((item) => item.user !== user).toArray();
    const counts = new Map<string, { name: string; count: number }>();
    for (const { user: id, userName } of others) {
      const before = counts.get(id);
      counts.set(id, { name: userName || before?.name || '', count: (before?.count ?? 0) + 1 });
    }
    return [...counts.values()];
  };

  /** Lays something in the box; done when it would survive a reload. */
  async post(item: Omit<Posted, 'n' | 'state'>): Promise<void> {
    await machine.posted.add({ ...item, state: 'waiting' });
    this.ring();
  }

  postEntry = (entry: AnyEntry, writer: Writer): Promise<void> =>
    this.post({
      user: entry.by,
      userName: writer.name,
      method: 'POST',
      path: `/cases/${entry.case}/entries`,
      body: entry,
      caseId: entry.case,
    });

  /** Sends what was not taken once more as it is, or something else in its place. */
  async resend(n: number, body?: unknown): Promise<void> {
    await machine.posted.update(n, {
      ...(body === undefined ? {} : { body }),
      state: 'waiting',
      problem: undefined,
    });
    this.ring();
  }

  /** Gives up what was not taken: it is gone from here, and that it is, and why, is told to the server. */
  async giveUp({ n, user, userName, caseId, body, path, problem }: Posted, reason: string): Promise<void> {
    const { id = v7(), kind = path } = body as Partial<AnyEntry>;
    await machine.transaction('rw', machine.posted, async () => {
      await machine.posted.delete(n);
      await machine.posted.add({
        user,
        userName,
        method: 'POST',
        path: '/unsent',
        body: {
          id,
          ...(caseId ? { case: caseId } : {}),
          kind: kind.slice(0, 40),
          problem: (problem?.detail ?? '').slice(0, 800),
          reason: reason.slice(0, 400),
        },
        caseId: '',
        state: 'waiting',
      });
    });
    this.ring();
  }

  subscribe = (listener: () => void): (() => void) => {
    this.listeners.add(listener);
    return () => void this.listeners.delete(listener);
  };

  private ring(): void {
    this.wake();
    this.bell?.postMessage('posted');
  }

  private say(sending: Sending): void {
    if (this.sending === sending) return;
    this.sending = sending;
    for (const listener of this.listeners) listener();
  }

  /** Sends for a person until told to stop. */
  start(user: string): () => void {
    const over = new AbortController();
    const awake = () => this.wake();
    addEventListener('online', awake);
    const work = () => this.work(user, over.signal);
    const locks: LockManager | undefined = navigator.locks;
    void (locks ? locks.request(`estribo-outbox ${user}`, { signal: over.signal }, work) : work()).catch(
      (error: unknown) => {
        if (!over.signal.aborted) throw error;
      },
    );
    return () => {
      over.abort();
      removeEventListener('online', awake);
      this.wake();
    };
  }

  private rest = (ms: number): Promise<void> =>
    new Promise((resolve) => {
      const timer = setTimeout(resolve, ms);
      this.wake = () => {
        clearTimeout(timer);
        resolve();
      };
    });

  private async work(user: string, over: AbortSignal): Promise<void> {
    const paused = new Map<string, Pause>();
    let wait = pauses.away.first;
    while (!over.aborted) {
      const waiting = await machine.posted.where({ user, state: 'waiting' }).sortBy('n');
      if (over.aborted) return;
      if (waiting.length === 0) {
        this.say('idle');
        await this.rest(idleRest);
        continue;
      }
      const next = nextToSend(waiting, paused);
      if (!next) {
        const open = [...paused.values()];
        const worst = (['full', 'failed', 'busy'] as const).find((one) =>
          open.some(({ why }) => why === one),
        );
        this.say(worst ?? 'busy');
        await this.rest(Math.max(50, Math.min(...open.map(({ until }) => until)) - Date.now()));
        continue;
      }
      const lane = laneOf(next);
      const result = await this.send(next, paused.size > 0);
      if (result === 'done') {
        wait = pauses.away.first;
        paused.delete(lane);
        if ((await machine.posted.where({ user, state: 'waiting' }).count()) === 0) this.hooks.emptied();
      } else if (result === 'busy' || result === 'failed' || result === 'full') {
        const { first, last } = pauses[result];
        const before = paused.get(lane);
        const pause = before?.why === result ? Math.min(last, before.wait * 2) : first;
        paused.set(lane, { until: Date.now() + pause, wait: pause, why: result });
      } else {
        this.say(result);
        if (result === 'signed-out') this.hooks.signedOut();
        await this.rest(wait);
        wait = Math.min(pauses.away.last, wait * 2);
      }
    }
  }

  private async send(
    item: Posted,
    others: boolean,
  ): Promise<'done' | 'away' | 'busy' | 'failed' | 'full' | 'signed-out'> {
    // what is said of one that the server failed on stays said while others are sent
    if (this.sending !== 'away' && !others) this.say('sending');
    try {
      const answer = await tell(posted, item.method, item.path, item.body, item.user);
      if (answer?.entry) this.hooks.taken(answer.entry);
      await machine.posted.delete(item.n);
      return 'done';
    } catch (error) {
      if (error instanceof BusyError) return 'busy';
      if (error instanceof FailedError) return 'failed';
      if (error instanceof AwayError) return 'away';
      if (!(error instanceof RefusedError)) throw error;
      if (error.problem.status === 401) return 'signed-out';
      if (error.problem.status === 429) return 'busy';
      if (error.problem.status === 507) return 'full';
      await machine.posted.update(item.n, { state: 'unsent', problem: error.problem });
      return 'done';
    }
  }
}

/** The first thing of a lane that is not paused, whose person, if it opens a case, is not waiting itself. */
function nextToSend(waiting: readonly Posted[], paused: ReadonlyMap<string, Pause>): Posted | undefined {
  const now = Date.now();
  const behind = new Set<string>();
  return waiting.find((item) => {
    const lane = laneOf(item);
    const lean = leanOn(item);
    const free =
      !behind.has(lane) && (lean === undefined || !behind.has(lean)) && (paused.get(lane)?.until ?? 0) <= now;
    behind.add(lane);
    return free;
  });
}
