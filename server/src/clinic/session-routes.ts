import { hash, verify } from '@node-rs/argon2';
import { rateLimit } from 'express-rate-limit';
import type { RequestHandler } from 'express';
import { object, string } from 'yup';
import { userEntity } from '../database/entities';
import { Problem } from '../problem';
import type { Context, Route } from '../route';
import { valid } from '../valid';

/** Argon2id with the parameters OWASP gives as its first choice (19 MiB, two passes, one lane; memory). */
export const hashPassword = (password: string): Promise<string> =>
  hash(password, { memoryCost: 19 * 1024, timeCost: 2, parallelism: 1 });

const credentials = object({
  login: string().strict().required().max(60),
  password: string().strict().required().max(200),
})
  .strict()
  .noUnknown()
  .required();

/** Ten wrong tries in five minutes for one login from one address. */
export const signInThrottle = (limit: number): RequestHandler =>
  rateLimit({
    windowMs: 5 * 60_000,
    limit,
    standardHeaders: 'draft-8',
    legacyHeaders: false,
    skipSuccessfulRequests: true,
    keyGenerator: (req) =>
      `${req.socket.remoteAddress} ${String((req.body as { login?: unknown } | undefined)?.login)
        .slice(0, 60)
        .toLowerCase()}`,
    validate: { keyGeneratorIpFallback: false },
    handler: () => {
      throw new Problem(429, 'Too many tries', 'Wait five minutes, then try again.');
    },
  });

export function sessionRoutes({ db, clinic }: Context): Route[] {
  // verified against when the login is unknown, so that the answer takes as long
  const nobody = hashPassword('nobody has this password');
  return [
    {
      method: 'post',
      path: '/session',
      who: 'open',
      handle: async (req, res) => {
        const { login, password } = valid(credentials, req.body);
        const user = await db.getRepository(userEntity).findOneBy({ login, active: true });
        const right = await verify(user?.passwordHash ?? (await nobody), password);
        if (!user || !right) throw new Problem(401, 'Not signed in', 'Login or password is wrong.');
        await new Promise<void>((resolve, reject) =>
          req.session.regenerate((error) => (error ? reject(error as Error) : resolve())),
        );
        req.session.user = { id: user.id, name: user.name, role: user.role };
        res.json({ user: req.session.user, clinic });
      },
    },
    {
      method: 'get',
      path: '/session',
      who: 'open',
      handle: (req, res) => {
        res.json({ user: req.session.user ?? null, clinic });
      },
    },
    {
      method: 'delete',
      path: '/session',
      who: 'open',
      handle: async (req, res) => {
        await new Promise<void>((resolve, reject) =>
          req.session.destroy((error) => (error ? reject(error as Error) : resolve())),
        );
        res.clearCookie('estribo').status(204).end();
      },
    },
  ];
}
