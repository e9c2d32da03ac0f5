import { Store, type Session, type SessionData } from 'express-session';
import type { Request } from 'express';
import { LRUCache } from 'lru-cache';
import { LessThan, MoreThan, type DataSource, type EntityManager } from 'typeorm';
import { machineUserEntity, sessionEntity } from '../database/entities';
import type { SignedIn } from '../route';

/** A session that is not used ends after this; one in use ends a day's work after the sign-in. */
const idleFor = 4 * 3600_000;
export const lastsFor = 12 * 3600_000;

/** After so many wrong PINs on a machine its user signs in with the password again. */
const mostWrongPins = 5;

type Done<T = void> = (error?: unknown, value?: T | null) => void;

/** When a session ends that is used now: some hours later, and in any case twelve after the sign-in. */
const expiry = (began: number, now: Date): Date =>
  new Date(Math.min(now.getTime() + idleFor, began + lastsFor));

/**
 * Ends every session of a user in the database, and the right to take over by PIN where they had signed in; what
 * hangs on them in memory is let go by the hub.
 * @param but the one that stays: that of the request itself
 */
export async function endSessionsOf(manager: EntityManager, user: string, but = ''): Promise<void> {
  await manager.query(
    'DELETE FROM `machine_user` WHERE `user` = ? AND `machine` NOT IN (SELECT `machine` FROM `session` WHERE `sid` = ?)',
    [user, but],
  );
  await manager.query('DELETE FROM `session` WHERE `user` = ? AND `sid` <> ?', [user, but]);
}

/** How many sessions each user has open. */
export async function sessionsByUser(db: DataSource, now: Date): Promise<ReadonlyMap<string, number>> {
  const rows = await db.query<{ user: string; open: string | number }[]>(
    'SELECT `user`, COUNT(*) AS `open` FROM `session` WHERE `expiresAt` > ? GROUP BY `user`',
    [now],
  );
  return new Map(rows.map(({ user, open }) => [user, Number(open)]));
}

/** What a new session rests on: a secret that was right when it was verified, and must still be the user's. */
export interface Proof {
  secret: 'passwordHash' | 'pinHash';
  hash: string;
}

/**
 * Begins a session in the place of the machine's one before: the only statement that ever adds a session's row.
 * @param req whose session becomes the new one
 * @param begun.began when the machine's day began, in milliseconds since 1970
 * @param begun.before the machine's session until now; where `takesOver`, it must still be there
 * @returns false when the secret is no longer the user's, the account is closed, or the session before has ended
 */
export async function beginSession(
  manager: EntityManager,
  req: Request,
  user: SignedIn,
  proof: Proof,
  begun: { machine: string; began: number; now: Date; before: string; takesOver: boolean },
): Promise<boolean> {
  const { machine, began, now, before, takesOver } = begun;
  const changed = async (sql: string, values: unknown[]) =>
    (await manager.query<{ affectedRows: number }>(sql, values)).affectedRows;
  const ended = await changed('DELETE FROM `session` WHERE `sid` = ?', [before]);
  if (takesOver && ended !== 1) return false;
  req.sessionStore.generate(req);
  const added = await changed(
    'INSERT INTO `session` (`sid`, `machine`, `user`, `began`, `expiresAt`, `locked`) ' +
      `SELECT ?, ?, \`id\`, ?, ?, 0 FROM \`user\` WHERE \`id\` = ? AND \`active\` = 1 AND \`${proof.secret}\` = ? ` +
      // a change of the account that is under way is waited for: it ends the sessions it sees, and would not see this one
      'LOCK IN SHARE MODE',
    [req.sessionID, machine, new Date(began), expiry(began, now), user.id, proof.hash],
  );
  if (added !== 1) return false;
  const { id, name, role, language, threeFingers } = user;
  Object.assign(req.session, {
    user: { id, name, role, language, threeFingers },
    machine,
    began,
    locked: false,
  } satisfies Omit<SessionData, 'cookie'>);
  return true;
}

/** Locks a machine: the row alone says so, whatever other requests of the session are under way. */
export async function lockSession(db: DataSource, sid: string): Promise<void> {
  await db.getRepository(sessionEntity).update({ sid }, { locked: true });
}

/** Ends a session and everybody's right to take over by PIN on its machine. */
export async function endSession(manager: EntityManager, sid: string, machine: string): Promise<void> {
  await manager.getRepository(machineUserEntity).delete({ machine });
  await manager.getRepository(sessionEntity).delete({ sid });
}

/** Those who have signed in on a machine with a password within a day's work. */
export async function usersOfMachine(db: DataSource, machine: string, now: Date): Promise<string[]> {
  const since = new Date(now.getTime() - lastsFor);
  const rows = await db.getRepository(machineUserEntity).findBy({ machine, at: MoreThan(since) });
  return rows.map(({ user }) => user);
}

/** Writes down that somebody has signed in on a machine with a password. */
export async function rememberOnMachine(
  manager: EntityManager,
  machine: string,
  user: string,
  at: Date,
): Promise<void> {
  await manager.getRepository(machineUserEntity).upsert({ machine, user, at, wrong: 0 }, ['machine', 'user']);
}

/**
 * Counts a try with a PIN before it is made, so that many at once are no more tries than one after the other.
 * @returns how many are left after it; undefined when it may not be made
 */
export async function takePinTry(
  db: DataSource,
  machine: string,
  user: string,
  now: Date,
): Promise<number | undefined> {
  const since = new Date(now.getTime() - lastsFor);
  const { affectedRows, insertId: wrong } = await db.query<{ affectedRows: number; insertId: number }>(
    'UPDATE `machine_user` SET `wrong` = LAST_INSERT_ID(`wrong` + 1) WHERE `machine` = ? AND `user` = ? AND `at` > ? AND `wrong` < ?',
    [machine, user, since, mostWrongPins],
  );
  return affectedRows === 1 ? mostWrongPins - wrong : undefined;
}

/** A PIN was right: the tries begin anew. */
export async function forgivePinTries(manager: EntityManager, machine: string, user: string): Promise<void> {
  await manager.getRepository(machineUserEntity).update({ machine, user }, { wrong: 0 });
}

interface ReadRow extends SignedIn {
  machine: string;
  began: Date;
  locked: number;
}

/**
 * Sessions in MariaDB, so that a restart of the server signs nobody out. Each request reads session, account, role
 * and lock in one statement; a row is added when somebody signs in and otherwise only updated, so that one which was
 * ended never comes back.
 */
export class DatabaseSessionStore extends Store {
  /** sessions whose end was moved lately: it is not moved with every request */
  private readonly moved = new LRUCache<string, true>({ max: 1000, ttl: 5 * 60_000 });

  constructor(
    private readonly db: DataSource,
    private readonly now: () => Date,
  ) {
    super();
  }

  override get(sid: string, done: Done<SessionData>): void {
    this.read(sid).then(
      (session) => done(null, session),
      (error: unknown) => done(error),
    );
  }

  /** What is in a session lives in columns of its own: only its end is moved here, as in `touch`. */
  override set(sid: string, session: SessionData, done: Done = () => {}): void {
    this.touch(sid, session, done);
  }

  override destroy(sid: string, done: Done = () => {}): void {
    this.db
      .getRepository(sessionEntity)
      .delete({ sid })
      .then(
        () => done(),
        (error: unknown) => done(error),
      );
  }

  override touch(
    sid: string,
    { began }: Partial<Session> & Partial<SessionData>,
    done: Done = () => {},
  ): void {
    if (began === undefined || this.moved.has(sid)) return done();
    this.moved.set(sid, true);
    this.db
      .getRepository(sessionEntity)
      .update({ sid }, { expiresAt: expiry(began, this.now()) })
      .then(
        () => done(),
        (error: unknown) => done(error),
      );
  }

  /** Removes what has expired. */
  async sweep(): Promise<void> {
    const now = this.now();
    await this.db.getRepository(sessionEntity).delete({ expiresAt: LessThan(now) });
    await this.db
      .getRepository(machineUserEntity)
      .delete({ at: LessThan(new Date(now.getTime() - lastsFor)) });
  }

  private async read(sid: string): Promise<SessionData | null> {
    const [row] = await this.db.query<ReadRow[]>(
      'SELECT s.`machine`, s.`began`, s.`locked`, u.`id`, u.`name`, u.`role`, u.`language`, u.`threeFingers` ' +
        'FROM `session` s JOIN `user` u ON u.`id` = s.`user` AND u.`active` = 1 WHERE s.`sid` = ? AND s.`expiresAt` > ?',
      [sid, this.now()],
    );
    if (!row) return null;
    const { machine, began, locked, ...user } = row;
    return {
      cookie: { originalMaxAge: lastsFor, httpOnly: true, sameSite: 'strict', path: '/' },
      user,
      machine,
      began: began.getTime(),
      locked: locked === 1,
    };
  }
}
