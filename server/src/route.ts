import { may, type Permission } from '@estribo/core/access';
import { Router, type Request, type Response } from 'express';
import type { DataSource } from 'typeorm';
import type { Logger } from 'pino';
import { validate } from 'uuid';
import type { ChartReader } from './catalogue/chart-reader';
import type { Clinic, User } from './database/entities';
import type { Pulse } from './health';
import type { InstrumentHub } from './instruments/hub';
import { Problem } from './problem';
import type { SealFolder } from './sealing/seal-key';

/** What the routes work with. */
export interface Context {
  db: DataSource;
  log: Logger;
  now: () => Date;
  /** filled in when the clinic is set up */
  clinic: Omit<Clinic, 'id'>;
  /** while there is no clinic yet: what the first administrator must know */
  setUpCode?: string;
  hub: InstrumentHub;
  charts: ChartReader;
  pulse: Pulse;
  /** the clinic's secret outside the database */
  sealing: SealFolder;
  /** the database's address, for the programs that back it up, and the command by which an operator does so */
  keeping: { url: string; command: string };
}

export type SignedIn = Pick<User, 'id' | 'name' | 'role' | 'language' | 'threeFingers'>;

declare module 'express-session' {
  interface SessionData {
    user: SignedIn;
    /** the machine it is of */
    machine: string;
    /** when it was signed in, in milliseconds since 1970: a session ends a day's work later */
    began: number;
    /** nobody is at the machine: nothing is answered until somebody says who they are */
    locked: boolean;
  }
}

/**
 * One route: who may call it stands beside it. 'open' asks for no sign-in, 'signed-in' for any role
 * (where what is sent decides further).
 */
export interface Route {
  method: 'get' | 'post' | 'put' | 'delete';
  path: string;
  who: Permission | 'open' | 'signed-in';
  handle: (req: Request, res: Response, user: SignedIn) => Promise<void> | void;
}

export function mount(routes: readonly Route[]): Router {
  const router = Router();
  for (const { method, path, who, handle } of routes)
    router[method](path, async (req, res) => {
      const user = (req.session as Request['session'] | undefined)?.user;
      res.locals.route = path;
      // what one person wrote is never sent in another's session: the browser says whose it is
      const writer = req.get('Estribo-Writer');
      if (writer !== undefined && user && writer !== user.id)
        throw new Problem('other-user', { who: user.name });
      if (who !== 'open') {
        if (!user) throw new Problem('not-signed-in');
        if (req.session.locked) throw new Problem('locked');
        if (who !== 'signed-in' && !may(user.role, who))
          throw new Problem('role-may-not', { role: user.role, what: who });
      }
      await handle(req, res, user!);
    });
  return router;
}

/**
 * The id in the path of something that is put: made where it is written, so that sending twice makes one.
 * @throws Problem 400 when it is no UUID in lower case
 */
export function madeId(req: Request): string {
  const id = String(req.params.id);
  if (!validate(id) || id !== id.toLowerCase()) throw new Problem('no-uuid');
  return id;
}

/** A whole number from the query, within bounds; the default when absent. */
export function wholeOf(
  value: unknown,
  name: string,
  { least, most, otherwise }: { least: number; most: number; otherwise: number },
): number {
  if (value === undefined) return otherwise;
  const number = typeof value === 'string' && /^\d{1,9}$/.test(value) ? Number(value) : NaN;
  if (!(number >= least && number <= most)) throw new Problem('not-whole', { name, least, most });
  return number;
}

/** A text from the query, cut of blanks; '' when absent. */
export function textOf(value: unknown, name: string, longest: number): string {
  if (value === undefined) return '';
  if (typeof value !== 'string' || value.length > longest) throw new Problem('too-long', { name, longest });
  return value.trim();
}
