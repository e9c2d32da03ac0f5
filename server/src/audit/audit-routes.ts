import { object, string } from 'yup';
import { LessThan } from 'typeorm';
import { auditEntity, userEntity } from '../database/entities';
import { Problem } from '../problem';
import { textOf, wholeOf, type Context, type Route } from '../route';
import { valid } from '../valid';
import { audit, auditedActions, type AuditedAction } from './audit';

const pageLength = 100;

/** An entry that the server would not take and its writer gave up, with the reason. */
const givenUp = object({
  id: string().strict().required().max(36),
  case: string().strict().max(36),
  kind: string().strict().max(40),
  /** what the server had said */
  problem: string().strict().max(800),
  reason: string().strict().trim().required().min(3).max(400),
})
  .strict()
  .noUnknown()
  .required();

export function auditRoutes({ db, now }: Context): Route[] {
  return [
    {
      // which fields changed is told here; what stood in a person's is told where people are read
      method: 'get',
      path: '/audit',
      who: 'audit.read',
      handle: async (req, res) => {
        const before = wholeOf(req.query.before, 'before', { least: 1, most: 999_999_999, otherwise: 0 });
        const action = textOf(req.query.action, 'action', 40);
        if (action && !auditedActions.includes(action as AuditedAction))
          throw new Problem('not-one-of', { name: 'action', words: auditedActions.join(', ') });
        const rows = await db.getRepository(auditEntity).find({
          where: { ...(before ? { n: LessThan(before) } : {}), ...(action ? { action } : {}) },
          order: { n: 'DESC' },
          take: pageLength + 1,
        });
        const users = await db
          .getRepository(userEntity)
          .find({ select: { id: true, name: true }, take: 1000 });
        const nameOf = new Map(users.map(({ id, name }) => [id, name]));
        res.json({
          lines: rows.slice(0, pageLength).map(({ detail, ...row }) => ({
            ...row,
            userName: row.user === null ? null : (nameOf.get(row.user) ?? null),
            subjectName: nameOf.get(row.subject) ?? null,
            fields: fieldsOf(detail),
          })),
          more: rows.length > pageLength,
        });
      },
    },
    {
      method: 'post',
      path: '/unsent',
      who: 'signed-in',
      handle: async (req, res, user) => {
        const { id, ...detail } = valid(givenUp, req.body);
        await audit(db, { at: now(), user: user.id, action: 'entry.given-up', subject: id, detail });
        res.status(201).json({});
      },
    },
  ];
}

/** The names of what a line tells of, without what stood in them. */
function fieldsOf(detail: string | null): string[] {
  if (detail === null) return [];
  const { now } = JSON.parse(detail) as { now?: object };
  return Object.keys(now ?? {});
}
