import { wearRuleSchema } from '@estribo/core/wearing';
import { object, string } from 'yup';
import { audit, changes } from '../audit/audit';
import { clinicEntity } from '../database/entities';
import { inTransaction } from '../database/transaction';
import type { Context, Route } from '../route';
import { valid } from '../valid';

const line = () => string().strict().trim().max(120).nullable().defined();
const numbers = object({
  phone: line(),
  emergency: line(),
  wearRule: wearRuleSchema.nullable().default(undefined).defined(),
})
  .strict()
  .noUnknown()
  .required();

/** What the clinic says of itself on its sheets, and its own rule for wearing. */
export function clinicRoutes({ db, now, clinic }: Context): Route[] {
  return [
    {
      method: 'put',
      path: '/clinic',
      who: 'clinic.write',
      handle: async (req, res, by) => {
        const sent = valid(numbers, req.body);
        const next = {
          phone: sent.phone === '' ? null : sent.phone,
          emergency: sent.emergency === '' ? null : sent.emergency,
          wearRule: sent.wearRule,
        };
        await inTransaction(db, async (manager) => {
          const rows = manager.getRepository(clinicEntity);
          const before = await rows.findOne({ where: { id: 1 }, lock: { mode: 'pessimistic_write' } });
          await rows.update({ id: 1 }, next);
          const { phone, emergency, wearRule } = before ?? {};
          await audit(manager, {
            at: now(),
            user: by.id,
            action: 'clinic.changed',
            subject: by.id,
            detail: changes({ phone, emergency, wearRule }, next),
          });
        });
        Object.assign(clinic, next);
        res.json(clinic);
      },
    },
  ];
}
