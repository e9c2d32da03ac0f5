import { object, string } from 'yup';
import { v7 } from 'uuid';
import { audit } from '../audit/audit';
import { clinicEntity, userEntity } from '../database/entities';
import { inTransaction } from '../database/transaction';
import { faulty, Problem } from '../problem';
import type { Context, Route } from '../route';
import { nameField, valid, zoneField } from '../valid';
import { loginField } from './login';
import { isSameCode } from './one-time-code';
import { hashPassword, passwordFaults } from './password';

const setUp = object({
  code: string().strict().required().max(40),
  clinic: nameField(120),
  zone: zoneField,
  name: nameField(120),
  login: loginField,
  password: string().strict().required().max(200),
})
  .strict()
  .noUnknown()
  .required();

/** The first administrator of a clinic that is not there yet. */
export function setUpRoutes(context: Context): Route[] {
  const { db, now } = context;
  return [
    {
      method: 'post',
      path: '/set-up',
      who: 'open',
      handle: async (req, res) => {
        const { setUpCode } = context;
        if (setUpCode === undefined) throw new Problem('set-up-already');
        const { code, clinic: name, zone, password, ...user } = valid(setUp, req.body);
        if (!isSameCode(code, setUpCode)) {
          res.locals.wrongSecret = true;
          throw new Problem('wrong-code');
        }
        const faults = passwordFaults(password, [user.login, user.name, name]);
        if (faults.length > 0) throw faulty(faults);
        const passwordHash = await hashPassword(password);
        const id = v7();
        await inTransaction(db, async (manager) => {
          // of two at once the database takes one: there is one clinic
          await manager.getRepository(clinicEntity).insert({ id: 1, name, zone });
          await manager
            .getRepository(userEntity)
            .insert({ id, ...user, role: 'administrator', passwordHash, active: true });
          await audit(manager, { at: now(), user: id, action: 'clinic.set-up', subject: id });
        });
        context.setUpCode = undefined;
        Object.assign(context.clinic, { name, zone });
        res.status(201).json({ clinic: context.clinic });
      },
    },
  ];
}
