import { randomInt, timingSafeEqual } from 'node:crypto';
import { isZone } from '@estribo/core/calendar';
import { object, string } from 'yup';
import { v7 } from 'uuid';
import { audit } from '../audit/audit';
import { clinicEntity, userEntity } from '../database/entities';
import { inTransaction } from '../database/transaction';
import { faulty, notFound, Problem } from '../problem';
import type { Context, Route } from '../route';
import { valid } from '../valid';
import { loginField } from './login';
import { hashPassword, passwordFaults } from './password';

const setUp = object({
  code: string().strict().required().max(40),
  clinic: string().strict().trim().required().min(1).max(120),
  zone: string()
    .strict()
    .required()
    .max(64)
    .test('zone', 'must be a time zone, such as Europe/Madrid', isZone),
  name: string().strict().trim().required().min(1).max(120),
  login: loginField,
  password: string().strict().required().max(200),
})
  .strict()
  .noUnknown()
  .required();

/** Letters and digits that are not mistaken for one another when they are read off a console. */
const signs = 'ABCDEFGHJKMNPQRSTVWXYZ23456789';

/** A code for one use, printed where only who started the server reads it: 60 bits. */
export const oneTimeCode = (): string =>
  Array.from(
    { length: 12 },
    (_, i) => `${i > 0 && i % 4 === 0 ? '-' : ''}${signs[randomInt(signs.length)]}`,
  ).join('');

const same = (one: string, other: string): boolean => {
  const [left, right] = [one, other].map((text) =>
    Buffer.from(text.replace(/[^A-Z0-9]/gi, '').toUpperCase()),
  );
  return left!.length === right!.length && timingSafeEqual(left!, right!);
};

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
        if (setUpCode === undefined) throw notFound('set-up: this clinic is set up already');
        const { code, clinic: name, zone, password, ...user } = valid(setUp, req.body);
        if (!same(code, setUpCode))
          throw new Problem(401, 'Not allowed', 'This is not the code on the server’s console.');
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
