import type { AnyEntry, AnyRecordedEntry } from '@estribo/core/logbook';
import { Dexie, type EntityTable } from 'dexie';
import { AwayError, call, RefusedError, type ProblemBody } from './http';

/** Something written here that the server has not answered yet, or has refused. */
export interface Posted {
  /** place in the order of writing */
  n: number;
  /** whose it is: it is sent only while that user is signed in */
  user: string;
  method: 'POST' | 'PUT';
  path: string;
  body: unknown;
  /** the case an entry belongs to */
  caseId: string;
  state: 'waiting' | 'refused';
  problem?: ProblemBody;
}

/** What the outbox is doing: shown on every screen. */
export type Sending = 'idle' | 'sending' | 'away' | 'signed-out';

export interface OutboxHooks {
  /** the server has an entry */
  taken: (entry: AnyRecordedEntry) => void;
  /** nothing is left to send */
  emptied: () => void;
  signedOut: () => void;
}

const longestWait = 10_000;

/**
 * The one way anything is written: into IndexedDB first, then to the server, in the order of writing. A
 * reload or a server that is away loses nothing. Over several tabs one of them sends at a time.
 */
export class Outbox {
  private readonly db = new Dexie('estribo-outbox') as Dexie & { posted: EntityTable<Posted, 'n'> };
  private readonly listeners = new Set<() => void>();
  private readonly bell =
    typeof BroadcastChannel === 'undefined' ? undefined : new BroadcastChannel('estribo-outbox');
  private wake = () => {};
  private user: string | undefined;
  sending: Sending = 'idle';

  constructor(private readonly hooks: OutboxHooks) {
    this.db.version(1).stores({ posted: '++n, [user+state], caseId' });
    this.bell?.addEventListener('message', () => this.wake());
  }

  /** What waits or was refused, by order of writing. */
  list = (user: string, caseId?: string): Promise<Posted[]> =>
    this.db.posted
      .orderBy('n')
      .filter((item) => item.user === user && (caseId === undefined || item.caseId === caseId))
      .toArray();

  /** Lays something in the box; done when it would survive a reload. */
  async post(item: Omit<Posted, 'n' | 'state'>): Promise<void> {
    await this.db.posted.add({ ...item, state: 'waiting' });
    this.ring();
  }

  postEntry = (entry: AnyEntry): Promise<void> =>
    this.post({
      user: entry.by,
      method: 'POST',
      path: `/cases/${entry.case}/entries`,
      body: entry,
      caseId: entry.case,
    });

  /** Gives up something refused. */
  async discard(n: number): Promise<void> {
    await this.db.posted.delete(n);
    this.ring();
  }

  /** Puts something else in the place of what was refused, to be sent. */
  async resend(n: number, body: unknown): Promise<void> {
    await this.db.posted.update(n, { body, state: 'waiting', problem: undefined });
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

  /** Sends for a user until told to stop. */
  start(user: string): () => void {
    this.user = user;
    const over = new AbortController();
    const awake = () => this.wake();
    addEventListener('online', awake);
    const work = () => this.work(over.signal);
    const locks: LockManager | undefined = navigator.locks;
    void (locks ? locks.request('estribo-outbox', { signal: over.signal }, work) : work()).catch(
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

  private async work(over: AbortSignal): Promise<void> {
    let wait = 500;
    while (!over.aborted) {
      const next = await this.db.posted.where({ user: this.user!, state: 'waiting' }).first();
      if (over.aborted) return;
      if (!next) {
        this.say('idle');
        await this.rest(longestWait);
        continue;
      }
      const result = await this.send(next);
      if (result === 'done') {
        wait = 500;
        if ((await this.db.posted.where({ user: this.user!, state: 'waiting' }).count()) === 0)
          this.hooks.emptied();
        continue;
      }
      this.say(result);
      if (result === 'signed-out') this.hooks.signedOut();
      await this.rest(wait);
      wait = Math.min(longestWait, wait * 2);
    }
  }

  private async send(item: Posted): Promise<'done' | 'away' | 'signed-out'> {
    if (this.sending !== 'away') this.say('sending');
    try {
      const answer = await call<{ entry?: AnyRecordedEntry }>(item.method, item.path, item.body);
      if (answer.entry) this.hooks.taken(answer.entry);
      await this.db.posted.delete(item.n);
      return 'done';
    } catch (error) {
      if (error instanceof AwayError) return 'away';
      if (!(error instanceof RefusedError)) throw error;
      if (error.problem.status === 401) return 'signed-out';
      if (error.problem.status === 429) return 'away';
      await this.db.posted.update(item.n, { state: 'refused', problem: error.problem });
      return 'done';
    }
  }
}
