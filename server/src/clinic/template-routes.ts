import { faultAt } from '@estribo/core/faults';
import { readPhases } from '@estribo/core/order';
import { object, string } from 'yup';
import { audit } from '../audit/audit';
import { phaseTemplateEntity } from '../database/entities';
import { inTransaction } from '../database/transaction';
import { Problem, faulty } from '../problem';
import { madeId, type Context, type Route } from '../route';
import { valid } from '../valid';

/** A clinic keeps no more schedules than one looks through. */
const mostTemplates = 200;

const template = object({
  name: string().strict().trim().required().min(3).max(80),
  text: string().strict().required().max(2000),
})
  .strict()
  .noUnknown()
  .required();

/** The clinic's own named schedules: kept as they were written, read anew each time, never a recommendation. */
export function templateRoutes({ db, now }: Context): Route[] {
  const templates = () => db.getRepository(phaseTemplateEntity);
  return [
    {
      method: 'get',
      path: '/phase-templates',
      who: 'record.read',
      handle: async (_req, res) => {
        res.json({ templates: await templates().find({ order: { name: 'ASC' }, take: mostTemplates }) });
      },
    },
    {
      method: 'put',
      path: '/phase-templates/:id',
      who: 'order.write',
      handle: async (req, res, by) => {
        const id = madeId(req);
        const { name, text } = valid(template, req.body);
        if (readPhases(text).phases.length === 0) throw faulty(faultAt('text', 'no-phase'));
        await inTransaction(db, async (manager) => {
          const rows = manager.getRepository(phaseTemplateEntity);
          const same = await rows.findOneBy({ name });
          if (same && same.id !== id) throw faulty(faultAt('name', 'template-name-taken'));
          const known = await rows.existsBy({ id });
          if (!known && (await rows.count()) >= mostTemplates)
            throw faulty(faultAt('name', 'templates-too-many', { n: mostTemplates }));
          await rows.upsert({ id, name, text, invented: false }, ['id']);
          await audit(manager, {
            at: now(),
            user: by.id,
            action: 'template.kept',
            subject: id,
            detail: { name, text },
          });
        });
        res.status(201).json({ id });
      },
    },
    {
      method: 'delete',
      path: '/phase-templates/:id',
      who: 'order.write',
      handle: async (req, res, by) => {
        const id = madeId(req);
        await inTransaction(db, async (manager) => {
          const { affected } = await manager.getRepository(phaseTemplateEntity).delete({ id });
          if (affected === 0) throw new Problem('no-template');
          await audit(manager, { at: now(), user: by.id, action: 'template.removed', subject: id });
        });
        res.status(204).end();
      },
    },
  ];
}
