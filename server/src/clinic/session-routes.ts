import { languages } from '@estribo/core/access';
import { anyId } from '@estribo/core/record';
import { verify } from '@node-rs/argon2';
import { ipKeyGenerator, rateLimit } from 'express-rate-limit';
import type { Request, RequestHandler } from 'express';
import type { SessionData } from 'express-session';
import { In } from 'typeorm';
import { number, object, string } from 'yup';
import { audit } from '../audit/audit';
import { userEntity, type User } from '../database/entities';
import { inTransaction } from '../database/transaction';
import { faulty, Problem } from '../problem';
import type { Context, Route } from '../route';
import { valid } from '../valid';
import { loginOf } from './login';
import { codeOf } from './one-time-code';
import { hashPassword, passwordFaults } from './password';
import { endSessionsOf, lastsFor } from './session-store';

const credentials = object({
  login: string().strict().required().max(60),
  /** or a one-time code */
  password: string().strict().required().max(200),
  /** with a one-time code: the password that is chosen */
  next: string().strict().max(200),
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

const pinForm = string()
  .strict()
  .required()
  .matches(/^\d{4,8}$/, 'must be 4 to 8 digits')
  .test(
    'not-plain',
    'is guessed too easily',
    (pin) => !/^(\d)\1*$/.test(pin) && !'01234567890'.includes(pin) && !'09876543210'.includes(pin),
  );
const ownPin = object({ password: string().strict().required().max(200), pin: pinForm })
  .strict()
  .noUnknown()
  .required();
const takingOver = object({
  user: anyId().required(),
  pin: string().strict().required().max(8),
})
  .strict()
  .noUnknown()
  .required();

/** After so many wrong PINs in a row somebody signs in with the password again. */
const mostWrongPins = 5;

const ownLanguage = object({ language: string().strict().oneOf(languages).required() })
  .strict()
  .noUnknown()
  .required();

const ownFingers = object({ threeFingers: number().strict().min(30).max(80).required() })
  .strict()
  .noUnknown()
  .required();

type Here = NonNullable<SessionData['here']>;

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

  /** Those who have signed in here with a password within a day's work. */
  const hereNow = (here: Here): Here => here.filter(({ at }) => now().getTime() - at < lastsFor);

  /** A session of its own for whoever is at the machine now. */
  const begin = async (req: Request, user: User) => {
    hub.endSession(req.sessionID);
    await new Promise<void>((resolve, reject) =>
      req.session.regenerate((error) => (error ? reject(error as Error) : resolve())),
    );
    const { id, name, role, language, threeFingers } = user;
    req.session.user = { id, name, role, language, threeFingers };
    req.session.began = now().getTime();
  };

  /** Who is at the machine, and who else may take over here by PIN. */
  const answer = async (req: Request) => {
    const { user = null, locked = false } = req.session;
    const ids = user ? hereNow(req.session.here ?? []).map((one) => one.user) : [];
    const found = await db
      .getRepository(userEntity)
      .find({ where: { id: In(ids), active: true }, order: { name: 'ASC' } });
    return {
      user,
      clinic,
      locked,
      here: found.map(({ id, login, name, role, pinHash }) => ({
        id,
        login,
        name,
        role,
        hasPin: pinHash !== null,
      })),
      ...(context.setUpCode === undefined ? {} : { setUp: true }),
    };
  };

  /** @throws Problem 422 until a password is chosen that can stand */
  const choosePassword = async ({ id, login, name }: User, next: string | undefined) => {
    if (next === undefined)
      throw faulty([{ at: 'next', message: 'is needed: choose a password of your own' }]);
    const faults = passwordFaults(next, [login, name, clinic.name], 'next');
    if (faults.length > 0) throw faulty(faults);
    const passwordHash = await hashPassword(next);
    await inTransaction(db, async (manager) => {
      await manager
        .getRepository(userEntity)
        .update({ id }, { passwordHash, codeHash: null, codeUntil: null });
      await audit(manager, { at: now(), user: id, action: 'session.password-changed', subject: id });
    });
  };

  return [
    {
      method: 'post',
      path: '/session',
      who: 'open',
      handle: async (req, res) => {
        const { login: typed, password, next } = valid(credentials, req.body);
        const login = loginOf(typed);
        const user = login && (await db.getRepository(userEntity).findOneBy({ login, active: true }));
        const right = await verify((user && user.passwordHash) || (await nobody), password);
        const byCode =
          user && !right && user.codeHash !== null && user.codeUntil !== null && user.codeUntil > now()
            ? await verify(user.codeHash, codeOf(password))
            : false;
        if (!user || !(right || byCode)) {
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
        if (byCode) await choosePassword(user, next);
        const wasHere = req.session.here ?? [];
        await begin(req, user);
        req.session.here = [
          ...hereNow(wasHere).filter((one) => one.user !== user.id),
          { user: user.id, at: now().getTime(), wrong: 0 },
        ];
        await audit(db, { at: now(), user: user.id, action: 'session.opened', subject: user.id });
        res.json(await answer(req));
      },
    },
    {
      method: 'get',
      path: '/session',
      who: 'open',
      handle: async (req, res) => {
        res.json(await answer(req));
      },
    },
    {
      // nobody is at the machine
      method: 'post',
      path: '/session/lock',
      who: 'signed-in',
      handle: (req, res) => {
        req.session.locked = true;
        hub.endSession(req.sessionID);
        res.status(204).end();
      },
    },
    {
      // somebody who has signed in here today is at the machine: the one who locked it, or another
      method: 'post',
      path: '/session/switch',
      who: 'open',
      handle: async (req, res) => {
        const { user: id, pin } = valid(takingOver, req.body);
        const here = hereNow(req.session.here ?? []);
        const known = here.find((one) => one.user === id);
        const user = known && (await db.getRepository(userEntity).findOneBy({ id, active: true }));
        if (!req.session.user || !known || !user || user.pinHash === null || known.wrong >= mostWrongPins)
          throw new Problem(401, 'Not by PIN', 'Sign in with your password.');
        if (!(await verify(user.pinHash, pin))) {
          known.wrong += 1;
          req.session.here = here;
          await audit(db, {
            at: now(),
            user: null,
            action: 'session.refused',
            subject: id,
            detail: { pin: true },
          });
          throw new Problem(
            401,
            'Not signed in',
            known.wrong >= mostWrongPins ? 'Sign in with your password.' : 'The PIN is wrong.',
          );
        }
        const { began } = req.session;
        await begin(req, user);
        // whoever switches, the machine's day began when it did
        req.session.began = began;
        req.session.here = here.map((one) => (one.user === id ? { ...one, wrong: 0 } : one));
        await audit(db, { at: now(), user: id, action: 'session.switched', subject: id });
        res.json(await answer(req));
      },
    },
    {
      method: 'put',
      path: '/session/pin',
      who: 'signed-in',
      handle: async (req, res, { id }) => {
        const { password, pin } = valid(ownPin, req.body);
        const user = await db.getRepository(userEntity).findOneByOrFail({ id });
        if (!(await verify(user.passwordHash, password)))
          throw faulty([{ at: 'password', message: 'is not the one you have now' }]);
        const pinHash = await hashPassword(pin);
        await inTransaction(db, async (manager) => {
          await manager.getRepository(userEntity).update({ id }, { pinHash });
          await audit(manager, { at: now(), user: id, action: 'session.pin-chosen', subject: id });
        });
        res.status(204).end();
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
          await manager.getRepository(userEntity).update({ id }, { passwordHash, codeHash: null });
          await endSessionsOf(manager, id, req.sessionID);
          await audit(manager, { at: now(), user: id, action: 'session.password-changed', subject: id });
        });
        hub.endUser(id, req.sessionID);
        res.status(204).end();
      },
    },
  ];
}
