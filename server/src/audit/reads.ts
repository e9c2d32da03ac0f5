import { LRUCache } from 'lru-cache';
import type { Context, SignedIn } from '../route';
import { audit, type AuditedAction } from './audit';

/** A screen that asks again within this is one reading. */
const oneReading = 15 * 60_000;

/** What is read or looked for, as the audit names it. */
export type ReadAction = Extract<
  AuditedAction,
  'case.read' | 'person.read' | 'person.searched' | 'catalogue.exported' | 'role.refused'
>;

/**
 * Writes down who reads what, once for a screen that asks again and again.
 * @returns done when it is written
 */
export function auditReads({
  db,
  now,
}: Pick<Context, 'db' | 'now'>): (
  user: SignedIn,
  action: ReadAction,
  subject: string,
  detail?: object,
) => Promise<void> {
  const lately = new LRUCache<string, true>({ max: 5000, ttl: oneReading });
  return async ({ id }, action, subject, detail) => {
    const key = JSON.stringify([id, action, subject, detail]);
    if (lately.has(key)) return;
    await audit(db, {
      at: now(),
      user: id,
      action,
      subject,
      ...(detail === undefined ? {} : { detail: { now: detail } }),
    });
    lately.set(key, true);
  };
}
