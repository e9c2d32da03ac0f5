import { roles, type Role } from '@estribo/core/access';
import { boolean, mixed, object, string } from 'yup';
import { validate } from 'uuid';
import { userEntity } from '../database/entities';
import { Problem, faulty } from '../problem';
import type { Context, Route } from '../route';
import { valid } from '../valid';
import { hashPassword } from './session-routes';

const user = object({
  login: string()
    .strict()
    .required()
    .matches(/^[a-z0-9.-]{2,60}$/, 'must be 2 to 60 small letters, digits, dots or hyphens'),
  name: string().strict().trim().required().min(1).max(120),
  role: mixed<Role>().oneOf(roles).required(),
  active: boolean().strict().required(),
  password: string().strict().min(10).max(200),
})
  .strict()
  .noUnknown()
  .required();

export function userRoutes({ db }: Context): Route[] {
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
      handle: async (req, res) => {
        const id = String(req.params.id);
        if (!validate(id)) throw new Problem(400, 'Not valid', 'The id must be a UUID.');
        const { password, ...rest } = valid(user, req.body);
        const [known, sameLogin] = await Promise.all([
          users().findOneBy({ id }),
          users().findOneBy({ login: rest.login }),
        ]);
        if (sameLogin && sameLogin.id !== id)
          throw faulty([{ at: 'login', message: 'belongs to another user' }]);
        if (!known && password === undefined)
          throw faulty([{ at: 'password', message: 'is required for a new user' }]);
        const passwordHash = password === undefined ? known!.passwordHash : await hashPassword(password);
        await users().upsert({ id, ...rest, passwordHash }, ['id']);
        // a changed role or a closed account holds at once
        await db.query("DELETE FROM `session` WHERE JSON_VALUE(`data`, '$.user.id') = ?", [id]);
        res.json({ id, ...rest });
      },
    },
  ];
}
