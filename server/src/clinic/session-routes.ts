import { languages } from '@estribo/core/access';
import { verify } from '@node-rs/argon2';
import { ipKeyGenerator, rateLimit } from 'express-rate-limit';
import type { Request, RequestHandler } from 'express';
import { number, object, string } from 'yup';
import { audit } from '../audit/audit';
import { userEntity } from '../database/entities';
import { inTransaction } from '../database/transaction';
import { faulty, Problem } from '../problem';
import type { Context, Route } from '../route';
import { valid } from '../valid';
import { loginOf } from './login';
import { hashPassword, passwordFaults } from './password';
import { endSessionsOf } from './session-store';

const credentials = object({
  login: string().strict().required().max(60),
  password: string().strict().required().max(200),
})
  .strict()
  .noUnknown()
  .required();

const newPassword = object({
  password: string().strict().required().max(200),
  next: string().strict().required().max(200),
})
  .strict()
  .noUnknown()
  .required();

const ownLanguage = object({ language: string().strict().oneOf(languages).required() })
  .strict()
  .noUnknown()
  .required();

const ownFingers = object({ threeFingers: number().strict().min(30).max(80).required() })
  .strict()
  .noUnknown()
  .required();

/** The address a request came from, as far as the trust in proxies reaches; of IPv6 the network. */
const addressOf = (req: Request): string => ipKeyGenerator(req.ip ?? req.socket.remoteAddress ?? 'unknown');

/**
 * Wrong sign-ins are counted by user and address together and by address alone: who guesses is slowed down,
 * and nobody locks out another who signs in from somewhere else.
 * @param tries wrong ones in five minutes for one user from one address; five times as many from one address
 */
export function signInThrottle(tries: number): RequestHandler[] {
  const limitBy = (limit: number, keyGenerator: (req: Request) => string) =>
    rateLimit({
      windowMs: 5 * 60_000,
      limit,
      standardHeaders: 'draft-8',
      legacyHeaders: false,
      skipSuccessfulRequests: true,
      keyGenerator,
      handler: () => {
        throw new Problem(429, 'Too many tries', 'Wait five minutes, then try again.');
      },
    });
  const loginIn = (req: Request) => {
    const typed = (req.body as { login?: unknown } | undefined)?.login;
    return (typeof typed === 'string' && loginOf(typed)) || 'nobody';
  };
  return [limitBy(tries * 5, addressOf), limitBy(tries, (req) => `${addressOf(req)} ${loginIn(req)}`)];
}

export function sessionRoutes(context: Context): Route[] {
  const { db, clinic, now, hub } = context;
  // verified against when the login is unknown, so that the answer takes as long
  const nobody = hashPassword('nobody has this password');
  return [
    {
      method: 'post',
      path: '/session',
      who: 'open',
      handle: async (req, res) => {
        const { login: typed, password } = valid(credentials, req.body);
        const login = loginOf(typed);
        const user = login && (await db.getRepository(userEntity).findOneBy({ login, active: true }));
        const right = await verify((user && user.passwordHash) || (await nobody), password);
        if (!user || !right) {
          await audit(db, {
            at: now(),
            user: null,
            action: 'session.refused',
            // what was typed may be a password in the wrong field: only a user that is there is named
            subject: user ? user.id : 'unknown',
            detail: { address: addressOf(req) },
          });
          throw new Problem(401, 'Not signed in', 'Login or password is wrong.');
        }
        hub.endSession(req.sessionID);
        await new Promise<void>((resolve, reject) =>
          req.session.regenerate((error) => (error ? reject(error as Error) : resolve())),
        );
        req.session.user = {
          id: user.id,
          name: user.name,
          role: user.role,
          language: user.language,
          threeFingers: user.threeFingers,
        };
        req.session.began = now().getTime();
        await audit(db, { at: now(), user: user.id, action: 'session.opened', subject: user.id });
        res.json({ user: req.session.user, clinic });
      },
    },
    {
      method: 'get',
      path: '/session',
      who: 'open',
      handle: (req, res) => {
        res.json({
          user: req.session.user ?? null,
          clinic,
          ...(context.setUpCode === undefined ? {} : { setUp: true }),
        });
      },
    },
    {
      method: 'delete',
      path: '/session',
      who: 'open',
      handle: async (req, res) => {
        hub.endSession(req.sessionID);
        await new Promise<void>((resolve, reject) =>
          req.session.destroy((error) => (error ? reject(error as Error) : resolve())),
        );
        res.clearCookie('estribo').status(204).end();
      },
    },
    {
      // one's own, from the next answer on, on every machine
      method: 'put',
      path: '/session/language',
      who: 'signed-in',
      handle: async (req, res, { id }) => {
        const { language } = valid(ownLanguage, req.body);
        await db.getRepository(userEntity).update({ id }, { language });
        req.session.user = { ...req.session.user!, language };
        res.status(204).end();
      },
    },
    {
      // how broad one's own three fingers are, laid on a ruler once
      method: 'put',
      path: '/session/fingers',
      who: 'signed-in',
      handle: async (req, res, { id }) => {
        const { threeFingers } = valid(ownFingers, req.body);
        await inTransaction(db, async (manager) => {
          await manager.getRepository(userEntity).update({ id }, { threeFingers });
          await audit(manager, {
            at: now(),
            user: id,
            action: 'session.fingers-measured',
            subject: id,
            detail: { now: { threeFingers } },
          });
        });
        req.session.user = { ...req.session.user!, threeFingers };
        res.status(204).end();
      },
    },
    {
      // one's own, with the old one; every other session of this user ends
      method: 'put',
      path: '/session/password',
      who: 'signed-in',
      handle: async (req, res, { id }) => {
        const { password, next } = valid(newPassword, req.body);
        const user = await db.getRepository(userEntity).findOneByOrFail({ id });
        if (!(await verify(user.passwordHash, password)))
          throw faulty([{ at: 'password', message: 'is not the one you have now' }]);
        const faults = passwordFaults(next, [user.login, user.name, clinic.name], 'next');
        if (faults.length > 0) throw faulty(faults);
        const passwordHash = await hashPassword(next);
        await inTransaction(db, async (manager) => {
          await manager.getRepository(userEntity).update({ id }, { passwordHash });
          await endSessionsOf(manager, id, req.sessionID);
          await audit(manager, { at: now(), user: id, action: 'session.password-changed', subject: id });
        });
        hub.endUser(id, req.sessionID);
        res.status(204).end();
      },
    },
  ];
}
