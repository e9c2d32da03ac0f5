import type { EntityManager, DataSource } from 'typeorm';
import { auditEntity } from '../database/entities';

/** What is written down of who did what. */
export const auditedActions = [
  'session.opened',
  'session.refused',
  'session.password-changed',
  'session.fingers-measured',
  'session.pin-chosen',
  'session.switched',
  'session.locked',
  'session.closed',
  'role.refused',
  'case.read',
  'entry.given-up',
  'user.added',
  'user.changed',
  'user.code-given',
  'user.signed-out',
  'person.read',
  'person.searched',
  'person.added',
  'person.changed',
  'person.merged',
  'person.parted',
  'visit.planned',
  'visit.changed',
  'instrument.added',
  'instrument.calibrated',
  'model.changed',
  'model.retired',
  'programme.changed',
  'catalogue.exported',
  'record.taken-over',
  'record.repaired',
  'record.restored',
  'keeping.changed',
  'clinic.set-up',
  'clinic.changed',
  'template.kept',
  'template.removed',
] as const;
export type AuditedAction = (typeof auditedActions)[number];

export interface Audited {
  at: Date;
  /** the user's id; null when nobody was signed in */
  user: string | null;
  action: AuditedAction;
  /** the id of what it was done to */
  subject: string;
  /** what changed, for those who may see it */
  detail?: object;
}

/** Leaves a line in the audit, in the same transaction as what it tells of. */
export async function audit(
  db: DataSource | EntityManager,
  { at, user, action, subject, detail }: Audited,
): Promise<void> {
  await db.getRepository(auditEntity).insert({
    at,
    user,
    action,
    subject: subject.slice(0, 80),
    detail: detail === undefined ? null : JSON.stringify(detail),
  });
}

/** The fields in which two rows differ, as they were and as they are. */
export function changes<T extends object>(
  before: T | null | undefined,
  now: T,
): { before: Partial<T>; now: Partial<T> } {
  const keys = (Object.keys(now) as (keyof T)[]).filter((key) => before?.[key] !== now[key]);
  const of = (row: T | null | undefined) =>
    Object.fromEntries(keys.flatMap((key) => (row ? [[key, row[key]]] : []))) as Partial<T>;
  return { before: of(before), now: of(now) };
}
