import { wearRuleSchema } from '@estribo/core/wearing';
import { Not } from 'typeorm';
import { object, string } from 'yup';
import { audit, changes } from '../audit/audit';
import { forgetSnapshots } from '../cases/record';
import { rebuildOlder } from '../cases/rebuild';
import { clinicEntity, summaryEntity } from '../database/entities';
import { inTransaction } from '../database/transaction';
import type { Context, Route } from '../route';
import { nameField, valid, zoneField } from '../valid';

const line = () => string().strict().trim().max(120).nullable().defined();
const own = object({
  name: nameField(120),
  zone: zoneField,
  letterhead: string().strict().trim().max(400).nullable().defined(),
})
  .strict()
  .noUnknown()
  .required();
const numbers = object({
  phone: line(),
  emergency: line(),
  wearRule: wearRuleSchema.nullable().default(undefined).defined(),
})
  .strict()
  .noUnknown()
  .required();

/** What the clinic says of itself on its sheets, and its own rule for wearing. */
export function clinicRoutes({ db, now, clinic, sealing }: Context): Route[] {
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
    {
      // what stands over its sheets and letters, and by whose clock its days are counted
      method: 'put',
      path: '/clinic/name',
      who: 'users.write',
      handle: async (req, res, by) => {
        const sent = valid(own, req.body);
        const next = { ...sent, letterhead: sent.letterhead === '' ? null : sent.letterhead };
        await inTransaction(db, async (manager) => {
          const rows = manager.getRepository(clinicEntity);
          const before = await rows.findOneOrFail({ where: { id: 1 }, lock: { mode: 'pessimistic_write' } });
          await rows.update({ id: 1 }, next);
          const { name, zone, letterhead } = before;
          await audit(manager, {
            at: now(),
            user: by.id,
            action: 'clinic.changed',
            subject: by.id,
            detail: changes({ name, zone, letterhead }, next),
          });
        });
        const moved = clinic.zone !== next.zone;
        Object.assign(clinic, next);
        if (moved) {
          forgetSnapshots();
          await db.getRepository(summaryEntity).update({ engine: Not(0) }, { engine: 0 });
          await rebuildOlder(db, clinic.zone, sealing);
        }
        res.json(clinic);
      },
    },
  ];
}
