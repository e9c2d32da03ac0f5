import { fault, faultAt, rule, schemaFault, type EntryFault } from '../faults';
import { object, string, ValidationError } from 'yup';
import { isZone } from '../calendar';
import {
  anyId,
  entryId,
  instant,
  text,
  whole,
  type CaseAtHand,
  type EntryKind,
  type Received,
  type Upcaster,
  type Written,
} from '../record';
import { formerKinds, isTakenOver, kinds, kindSent, type BodyOf, type KindName } from './kinds';

/** An entry as it is written, of a kind that is known here. */
export interface Entry<K extends KindName = KindName> extends Written<BodyOf<K>> {
  kind: K;
}

/** An entry as the server has it. */
export type RecordedEntry<K extends KindName = KindName> = Entry<K> & Received;

/** An entry of one kind, told apart by `kind`. */
export type AnyEntry = { [K in KindName]: Entry<K> }[KindName];
export type AnyRecordedEntry = { [K in KindName]: RecordedEntry<K> }[KindName];

const envelope = object({
  id: entryId().required(),
  case: anyId().required(),
  stage: string().strict().required(),
  kind: string().strict().required(),
  v: whole().positive().required(),
  observedAt: instant().required(),
  zone: text(64)
    .required()
    .test(...rule('zone'), isZone),
  by: anyId().required(),
  body: object().required(),
  replaces: entryId(),
  reason: text(400).min(3),
  expects: entryId().nullable(),
  from: object({ case: anyId().required(), entry: entryId().required() })
    .strict()
    .noUnknown()
    .default(undefined)
    .optional(),
})
  .strict()
  .noUnknown()
  .required();

/**
 * Reads an entry that came from outside: envelope first, then its body by its kind and version.
 * @returns the entry as it was sent, or every fault with the path of its field
 */
export function readEntry(
  sent: unknown,
): { ok: true; entry: AnyEntry } | { ok: false; faults: EntryFault[] } {
  const faults: EntryFault[] = [];
  const gather = (check: () => void, under = '') => {
    try {
      check();
    } catch (error) {
      if (!(error instanceof ValidationError)) throw error;
      const inner = error.inner.length > 0 ? error.inner : [error];
      for (const one of inner) faults.push(schemaFault(one, [under, one.path].filter(Boolean).join('.')));
    }
  };
  gather(() => {
    envelope.validateSync(sent, { abortEarly: false, strict: true });
  });
  if (faults.length > 0) return { ok: false, faults };
  const entry = sent as AnyEntry;
  const kind = kindSent(entry.kind);
  if (!kind) return { ok: false, faults: faultAt('kind', 'no-kind') };
  if (!kind.stages.includes(entry.stage))
    faults.push(fault('stage', 'stage-of-kind', { words: kind.stages.join(', '), kind: entry.kind }));
  if (entry.v > kind.v) faults.push(fault('v', 'newer-than-known', { v: kind.v }));
  if (entry.replaces !== undefined && entry.reason === undefined)
    faults.push(fault('reason', 'reason-needed'));
  if ((entry.kind as string) === 'record.withdrawn' && entry.replaces === undefined)
    faults.push(fault('replaces', 'withdrawn-needed'));
  if (kind.nature === 'intent' && entry.expects === undefined)
    faults.push(fault('expects', 'follows-needed'));
  if (kind.nature !== 'intent' && entry.expects !== undefined)
    faults.push(fault('expects', 'follows-not-asked'));
  if (entry.from !== undefined && !isTakenOver(entry.kind)) faults.push(fault('from', 'from-not-asked'));
  if (faults.length === 0) {
    const body = readOlder(kind, entry.v, entry.body);
    if (body === undefined) faults.push(fault('body', 'no-body-of-version', { v: entry.v }));
    else
      gather(() => {
        kind.body.validateSync(body, { abortEarly: false, strict: true });
      }, 'body');
  }
  return faults.length > 0 ? { ok: false, faults } : { ok: true, entry };
}

/** A body brought to today's version; undefined when it is none of the version it says it is of. */
function readOlder(kind: Pick<EntryKind, 'v' | 'upcasters'>, v: number, body: unknown): unknown {
  try {
    return upcastBody(kind, v, body);
  } catch {
    return undefined;
  }
}

/** A body of an older version, brought to today's by the kind's upcasters in turn. */
export const upcastBody = (
  kind: { v: number; upcasters: readonly Upcaster[] },
  v: number,
  body: unknown,
  about: CaseAtHand = {},
): unknown => kind.upcasters.slice(v - 1).reduce((older, upcast) => upcast(older as never, about), body);

/** An entry of a kind that is written no more as one of today's; any other as it is. */
export function ofTodaysKind<E extends AnyEntry>(entry: E): E {
  if (!Object.hasOwn(formerKinds, entry.kind)) return entry;
  const { now } = formerKinds[entry.kind]!;
  return { ...entry, kind: now.kind, v: now.v, body: now.body(entry.body as never) } as E;
}

/** An entry of today's kind, with its body in today's version. */
export function current<E extends AnyEntry>(sent: E, about: CaseAtHand): E {
  const entry = ofTodaysKind(sent);
  const kind = kinds[entry.kind];
  return entry.v === kind.v
    ? entry
    : { ...entry, v: kind.v, body: upcastBody(kind, entry.v, entry.body, about) };
}
