import { Store, type SessionData } from 'express-session';
import { LRUCache } from 'lru-cache';
import { LessThan, type DataSource, type EntityManager } from 'typeorm';
import { sessionEntity } from '../database/entities';

/** A session that is not used ends after this; one in use ends all the same a day's work after the sign-in. */
const idleFor = 4 * 3600_000;
export const lastsFor = 12 * 3600_000;

type Done<T = void> = (error?: unknown, value?: T | null) => void;

/**
 * Ends every session of a user in the database; what hangs on them in memory is let go by the hub.
 * @param but the one that stays: that of the request itself
 */
export async function endSessionsOf(manager: EntityManager, user: string, but = ''): Promise<void> {
  await manager.query("DELETE FROM `session` WHERE JSON_VALUE(`data`, '$.user.id') = ? AND `sid` <> ?", [
    user,
    but,
  ]);
}

/** How many sessions each user has open. */
export async function sessionsByUser(db: DataSource, now: Date): Promise<ReadonlyMap<string, number>> {
  const rows = await db.query<{ user: string | null; open: string | number }[]>(
    "SELECT JSON_VALUE(`data`, '$.user.id') AS `user`, COUNT(*) AS `open` FROM `session` WHERE `expiresAt` > ? GROUP BY 1",
    [now],
  );
  return new Map(rows.flatMap(({ user, open }) => (user ? [[user, Number(open)] as const] : [])));
}

/** Sessions in MariaDB, so that a restart of the server signs nobody out. */
export class DatabaseSessionStore extends Store {
  /** sessions whose end was moved lately: it is not moved with every request */
  private readonly moved = new LRUCache<string, true>({ max: 1000, ttl: 5 * 60_000 });

  constructor(
    private readonly db: DataSource,
    private readonly now: () => Date,
  ) {
    super();
  }

  private get rows() {
    return this.db.getRepository(sessionEntity);
  }

  override get(sid: string, done: Done<SessionData>): void {
    this.rows.findOneBy({ sid }).then(
      (row) => done(null, row && row.expiresAt > this.now() ? (row.data as SessionData) : null),
      (error: unknown) => done(error),
    );
  }

  override set(sid: string, session: SessionData, done: Done = () => {}): void {
    this.rows.upsert({ sid, expiresAt: this.expiry(session), data: session }, ['sid']).then(
      () => done(),
      (error: unknown) => done(error),
    );
  }

  override destroy(sid: string, done: Done = () => {}): void {
    this.rows.delete({ sid }).then(
      () => done(),
      (error: unknown) => done(error),
    );
  }

  override touch(sid: string, session: SessionData, done: Done = () => {}): void {
    if (this.moved.has(sid)) return done();
    this.moved.set(sid, true);
    this.rows.update({ sid }, { expiresAt: this.expiry(session) }).then(
      () => done(),
      (error: unknown) => done(error),
    );
  }

  /** Removes what has expired. */
  async sweep(): Promise<void> {
    await this.rows.delete({ expiresAt: LessThan(this.now()) });
  }

  /** Some hours after it was last used, and in any case twelve after the sign-in. */
  private expiry({ began }: SessionData): Date {
    const now = this.now().getTime();
    return new Date(Math.min(now + idleFor, (began ?? now) + lastsFor));
  }
}
