import { readInstant } from '../calendar';
import { upcastBody, type AnyRecordedEntry } from './entry';
import { kindSent } from './kinds';

/** What was found out about an entry once; entries never change. */
const judged = new WeakMap<AnyRecordedEntry, boolean>();

/**
 * Whether an entry that stands in the record can be read: its kind, its version, its instant and its body, by
 * the same schema that takes one at the border. What the border asks of a new entry beyond that is not asked
 * of an old one.
 */
export function isReadable(entry: AnyRecordedEntry): boolean {
  const known = judged.get(entry);
  if (known !== undefined) return known;
  const readable = canBeRead(entry);
  judged.set(entry, readable);
  return readable;
}

function canBeRead({ kind: name, v, observedAt, body }: AnyRecordedEntry): boolean {
  const kind = kindSent(name);
  if (!kind || readInstant(observedAt) === undefined) return false;
  if (!Number.isInteger(v) || v < 1 || v > kind.v) return false;
  try {
    return kind.body.isValidSync(upcastBody(kind, v, body), { strict: true });
  } catch {
    // an upcaster that meets a body it was not written for
    return false;
  }
}

/**
 * The entry at which a computation over a record begins to fail, found by halving.
 * @param count entries there are
 * @param fails whether it fails over the first n
 * @returns its index; undefined when it does not fail over all of them
 */
export function firstFailing(count: number, fails: (first: number) => boolean): number | undefined {
  if (!fails(count)) return undefined;
  let [sound, failing] = [0, count];
  while (failing - sound > 1) {
    const middle = Math.floor((sound + failing) / 2);
    if (fails(middle)) failing = middle;
    else sound = middle;
  }
  return failing - 1;
}
