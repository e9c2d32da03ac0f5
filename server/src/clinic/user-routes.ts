import { faultAt } from '@estribo/core/faults';
import { roles, type Role } from '@estribo/core/access';
import { randomUUID } from 'node:crypto';
import { boolean, mixed, number, object } from 'yup';
import { audit, changes } from '../audit/audit';
import { userEntity, type User } from '../database/entities';
import { inTransaction } from '../database/transaction';
import { faulty, Problem } from '../problem';
import { madeId, type Context, type Route } from '../route';
import { nameField, valid } from '../valid';
import { loginField } from './login';
import { codeOf, oneTimeCode } from './one-time-code';
import { hashPassword } from './password';
import { endSessionsOf, sessionsByUser } from './session-store';

const user = object({
  login: loginField,
  name: nameField(120),
  role: mixed<Role>().oneOf(roles).required(),
  active: boolean().strict().required(),
  /** laid on a ruler, mm; absent, it stays as it was */
  threeFingers: number().strict().min(30).max(80).nullable(),
})
  .strict()
  .noUnknown()
  .required();

const pickUser = ({ login, name, role, active, threeFingers }: User) => ({
  login,
  name,
  role,
  active,
  threeFingers,
});

/** A code is good for so long. */
const codeLasts = 48 * 3600_000;

export function userRoutes({ db, now, hub }: Context): Route[] {
  const users = () => db.getRepository(userEntity);
  return [
    {
      // who wrote an entry is shown by name
      method: 'get',
      path: '/staff',
      who: 'signed-in',
      handle: async (_req, res) => {
        res.json({ staff: await users().find({ select: { id: true, name: true, role: true }, take: 500 }) });
      },
    },
    {
      method: 'get',
      path: '/users',
      who: 'users.read',
      handle: async (_req, res) => {
        const all = await users().find({
          order: { login: 'ASC' },
          take: 500,
        });
        const open = await sessionsByUser(db, now());
        res.json({
          users: all.map(({ id, login, name, role, active, threeFingers, codeUntil, pinHash }) => ({
            id,
            login,
            name,
            role,
            active,
            threeFingers,
            hasPin: pinHash !== null,
            codeUntil: codeUntil !== null && codeUntil > now() ? codeUntil.toISOString() : null,
            sessions: open.get(id) ?? 0,
          })),
        });
      },
    },
    {
      method: 'put',
      path: '/users/:id',
      who: 'users.write',
      handle: async (req, res, by) => {
        const id = madeId(req);
        const rest = valid(user, req.body);
        await inTransaction(db, async (manager) => {
          const rows = manager.getRepository(userEntity);
          // the administrators are looked at under a lock: two that let each other go leave one
          const administrators = await rows.find({
            where: { role: 'administrator', active: true },
            lock: { mode: 'pessimistic_write' },
          });
          const known = await rows.findOneBy({ id });
          const sameLogin = await rows.findOneBy({ login: rest.login });
          if (sameLogin && sameLogin.id !== id) throw faulty(faultAt('login', 'login-taken'));
          const staysAdministrator = rest.role === 'administrator' && rest.active;
          if (administrators.length === 1 && administrators[0]!.id === id && !staysAdministrator)
            throw faulty(faultAt(rest.active ? 'role' : 'active', 'last-administrator'));
          // an insert of its own, never an upsert: that would take another user's row for its login
          if (known) await rows.update({ id }, rest);
          // nobody has this password: who is new signs in with a code
          else await rows.insert({ id, ...rest, passwordHash: await hashPassword(randomUUID()) });
          await audit(manager, {
            at: now(),
            user: by.id,
            action: known ? 'user.changed' : 'user.added',
            subject: id,
            detail: changes(known && pickUser(known), rest),
          });
          // a changed role or a closed account holds at once
          await endSessionsOf(manager, id);
        });
        hub.endUser(id);
        res.json({ id, ...rest });
      },
    },
    {
      // shown once; by it a password is chosen at the next sign-in. Until then nobody signs in for this user
      method: 'post',
      path: '/users/:id/code',
      who: 'users.write',
      handle: async (req, res, by) => {
        const id = String(req.params.id);
        if (id === by.id) throw new Problem('own-password');
        const code = oneTimeCode();
        const until = new Date(now().getTime() + codeLasts);
        const [codeHash, passwordHash] = await Promise.all([
          hashPassword(codeOf(code)),
          hashPassword(randomUUID()),
        ]);
        await inTransaction(db, async (manager) => {
          const rows = manager.getRepository(userEntity);
          const known = await rows.findOne({ where: { id }, lock: { mode: 'pessimistic_write' } });
          if (!known) throw new Problem('no-user');
          if (!known.active) throw new Problem('account-closed');
          await rows.update({ id }, { codeHash, codeUntil: until, passwordHash, pinHash: null });
          await endSessionsOf(manager, id);
          await audit(manager, { at: now(), user: by.id, action: 'user.code-given', subject: id });
        });
        hub.endUser(id);
        res.status(201).json({ code, until: until.toISOString() });
      },
    },
    {
      method: 'post',
      path: '/users/:id/sign-out',
      who: 'users.write',
      handle: async (req, res, by) => {
        const id = String(req.params.id);
        await inTransaction(db, async (manager) => {
          const rows = manager.getRepository(userEntity);
          if (!(await rows.existsBy({ id }))) throw new Problem('no-user');
          // a PIN is good at machines where others are signed in now: it ends with the sessions
          if (id !== by.id) await rows.update({ id }, { pinHash: null });
          await endSessionsOf(manager, id, id === by.id ? req.sessionID : '');
          await audit(manager, { at: now(), user: by.id, action: 'user.signed-out', subject: id });
        });
        hub.endUser(id, id === by.id ? req.sessionID : undefined);
        res.status(204).end();
      },
    },
  ];
}
