import { roles, type Role } from '@estribo/core/access';
import { boolean, mixed, object, string } from 'yup';
import { audit, changes } from '../audit/audit';
import { userEntity } from '../database/entities';
import { inTransaction } from '../database/transaction';
import { faulty } from '../problem';
import { madeId, type Context, type Route } from '../route';
import { valid } from '../valid';
import { loginField } from './login';
import { hashPassword, passwordFaults } from './password';
import { endSessionsOf } from './session-store';

const user = object({
  login: loginField,
  name: string().strict().trim().required().min(1).max(120),
  role: mixed<Role>().oneOf(roles).required(),
  active: boolean().strict().required(),
  password: string().strict(),
})
  .strict()
  .noUnknown()
  .required();

export function userRoutes({ db, now, hub, clinic }: Context): Route[] {
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
          select: { id: true, login: true, name: true, role: true, active: true },
          order: { login: 'ASC' },
          take: 500,
        });
        res.json({ users: all });
      },
    },
    {
      method: 'put',
      path: '/users/:id',
      who: 'users.write',
      handle: async (req, res, by) => {
        const id = madeId(req);
        const { password, ...rest } = valid(user, req.body);
        const faults =
          password === undefined ? [] : passwordFaults(password, [rest.login, rest.name, clinic.name]);
        if (faults.length > 0) throw faulty(faults);
        const fresh = password === undefined ? undefined : await hashPassword(password);
        await inTransaction(db, async (manager) => {
          const rows = manager.getRepository(userEntity);
          // the administrators are looked at under a lock: two that let each other go leave one
          const administrators = await rows.find({
            where: { role: 'administrator', active: true },
            lock: { mode: 'pessimistic_write' },
          });
          const known = await rows.findOneBy({ id });
          const sameLogin = await rows.findOneBy({ login: rest.login });
          if (sameLogin && sameLogin.id !== id)
            throw faulty([{ at: 'login', message: 'belongs to another user' }]);
          if (!known && fresh === undefined)
            throw faulty([{ at: 'password', message: 'is required for a new user' }]);
          const staysAdministrator = rest.role === 'administrator' && rest.active;
          if (administrators.length === 1 && administrators[0]!.id === id && !staysAdministrator)
            throw faulty([
              { at: rest.active ? 'role' : 'active', message: 'must stay: this is the last administrator' },
            ]);
          // an insert of its own, never an upsert: that would take another user's row for its login
          if (known) await rows.update({ id }, { ...rest, ...(fresh ? { passwordHash: fresh } : {}) });
          else await rows.insert({ id, ...rest, passwordHash: fresh! });
          const { login, name, role, active } = known ?? {};
          await audit(manager, {
            at: now(),
            user: by.id,
            action: known ? 'user.changed' : 'user.added',
            subject: id,
            detail: changes(known && { login, name, role, active }, rest),
          });
          // a changed role or a closed account holds at once
          await endSessionsOf(manager, id);
        });
        hub.endUser(id);
        res.json({ id, ...rest });
      },
    },
  ];
}
