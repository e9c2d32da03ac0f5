import { faultAt, formOf, rule } from '@estribo/core/faults';
import { languages } from '@estribo/core/access';
import { anyId } from '@estribo/core/record';
import { verify } from '@node-rs/argon2';
import { ipKeyGenerator, rateLimit } from 'express-rate-limit';
import type { Request, RequestHandler, Response } from 'express';
import { In } from 'typeorm';
import { v7 } from 'uuid';
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
import {
  beginSession,
  endSession,
  endSessionsOf,
  forgivePinTries,
  lockSession,
  rememberOnMachine,
  takePinTry,
  usersOfMachine,
} from './session-store';

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
  .matches(/^\d{4,8}$/, formOf('pin-form'))
  .test(
    ...rule('pin-guessed'),
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

/** Marks an answer as that to a wrong secret: those alone are counted as tries. */
const wrongSecret = (res: Response): void => void (res.locals.wrongSecret = true);

/**
 * Wrong secrets are counted by whom they are of and address together, and by address alone: who guesses is slowed
 * down, and nobody locks out another who signs in from somewhere else. What is refused for another reason, a PIN
 * that is too plain say, is no try.
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
      requestWasSuccessful: (_req, res) => res.locals.wrongSecret !== true,
      keyGenerator,
      handler: () => {
        throw new Problem('too-many-tries');
      },
    });
  const ofWhom = (req: Request) => {
    const { login, user } = (req.body ?? {}) as { login?: unknown; user?: unknown };
    if (typeof login === 'string') return loginOf(login) ?? 'nobody';
    return typeof user === 'string' ? user.slice(0, 36) : (req.session.user?.id ?? 'nobody');
  };
  return [limitBy(tries * 5, addressOf), limitBy(tries, (req) => `${addressOf(req)} ${ofWhom(req)}`)];
}

export function sessionRoutes(context: Context): Route[] {
  const { db, clinic, now, hub } = context;
  // verified against when the login is unknown, so that the answer takes as long
  const nobody = hashPassword('nobody has this password');

  const signInAgain = () => new Problem('by-password');

  /** Who is at the machine, and who else may take over here by PIN. */
  const answer = async (req: Request) => {
    const { user = null, locked = false, machine } = req.session;
    const ids = user && machine ? await usersOfMachine(db, machine, now()) : [];
    const found = await db
      .getRepository(userEntity)
      .find({ where: { id: In(ids), active: true }, order: { name: 'ASC' } });
    return {
      user,
      clinic,
      locked,
      now: now().toISOString(),
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

  /**
   * Spends a one-time code on a password that is chosen: of two that use it at once one does.
   * @returns the new password's hash; undefined when the code was spent meanwhile
   * @throws Problem 422 until a password is chosen that can stand
   */
  const spendCode = async (
    { id, login, name, codeHash }: User,
    next: string | undefined,
  ): Promise<string | undefined> => {
    if (next === undefined) throw faulty(faultAt('next', 'password-of-own'));
    const faults = passwordFaults(next, [login, name, clinic.name], 'next');
    if (faults.length > 0) throw faulty(faults);
    const passwordHash = await hashPassword(next);
    return inTransaction(db, async (manager) => {
      const { affected } = await manager
        .getRepository(userEntity)
        .update({ id, active: true, codeHash: codeHash! }, { passwordHash, codeHash: null, codeUntil: null });
      if (affected !== 1) return undefined;
      await audit(manager, { at: now(), user: id, action: 'session.password-changed', subject: id });
      return passwordHash;
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
        const refuse = async () => {
          wrongSecret(res);
          await audit(db, {
            at: now(),
            user: null,
            action: 'session.refused',
            // what was typed may be a password in the wrong field: only a user that is there is named
            subject: user ? user.id : 'unknown',
            detail: { address: addressOf(req) },
          });
          return new Problem('wrong-password');
        };
        const right = await verify((user && user.passwordHash) || (await nobody), password);
        const byCode =
          user && !right && user.codeHash !== null && user.codeUntil !== null && user.codeUntil > now()
            ? await verify(user.codeHash, codeOf(password))
            : false;
        if (!user || !(right || byCode)) throw await refuse();
        const hash = byCode ? await spendCode(user, next) : user.passwordHash;
        if (hash === undefined) throw await refuse();
        hub.endSession(req.sessionID);
        const [before, at] = [req.sessionID, now()];
        const begun = { machine: req.session.machine ?? v7(), began: at.getTime(), now: at, before };
        await inTransaction(db, async (manager) => {
          const proof = { secret: 'passwordHash', hash } as const;
          // the password or the account was changed while this one was verified
          if (!(await beginSession(manager, req, user, proof, { ...begun, takesOver: false })))
            throw await refuse();
          await rememberOnMachine(manager, begun.machine, user.id, at);
          await audit(manager, { at, user: user.id, action: 'session.opened', subject: user.id });
        });
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
      handle: async (req, res, { id }) => {
        await lockSession(db, req.sessionID);
        hub.endSession(req.sessionID);
        await audit(db, { at: now(), user: id, action: 'session.locked', subject: id });
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
        const { machine, began } = req.session;
        if (machine === undefined || began === undefined) throw signInAgain();
        const user = await db.getRepository(userEntity).findOneBy({ id, active: true });
        if (!user || user.pinHash === null) throw signInAgain();
        const left = await takePinTry(db, machine, id, now());
        if (left === undefined) throw signInAgain();
        if (!(await verify(user.pinHash, pin))) {
          wrongSecret(res);
          await audit(db, {
            at: now(),
            user: null,
            action: 'session.refused',
            subject: id,
            detail: { pin: true },
          });
          throw new Problem(left === 0 ? 'pin-used-up' : 'wrong-pin');
        }
        const begun = { machine, began, now: now(), before: req.sessionID, takesOver: true };
        const proof = { secret: 'pinHash', hash: user.pinHash } as const;
        await inTransaction(db, async (manager) => {
          // whoever switches, the machine's day began when it did
          if (!(await beginSession(manager, req, user, proof, begun))) throw signInAgain();
          await forgivePinTries(manager, machine, id);
          await audit(manager, { at: now(), user: id, action: 'session.switched', subject: id });
        });
        hub.endSession(begun.before);
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
        if (!(await verify(user.passwordHash, password))) {
          wrongSecret(res);
          throw faulty(faultAt('password', 'password-not-yours'));
        }
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
        const { user, machine } = req.session;
        hub.endSession(req.sessionID);
        if (user && machine)
          await inTransaction(db, async (manager) => {
            await endSession(manager, req.sessionID, machine);
            await audit(manager, { at: now(), user: user.id, action: 'session.closed', subject: user.id });
          });
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
        if (!(await verify(user.passwordHash, password))) {
          wrongSecret(res);
          throw faulty(faultAt('password', 'password-not-yours'));
        }
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
