import { LRUCache } from 'lru-cache';
import { audit } from '../audit/audit';
import type { Context, SignedIn } from '../route';

/** A screen that asks again within this is one reading. */
const oneReading = 15 * 60_000;

/** Writes down who reads which case. */
export function caseReading({ db, now }: Context): (user: SignedIn, id: string) => Promise<void> {
  const lately = new LRUCache<string, true>({ max: 5000, ttl: oneReading });
  return async (user, id) => {
    const key = `${user.id} ${id}`;
    if (lately.has(key)) return;
    await audit(db, { at: now(), user: user.id, action: 'case.read', subject: id });
    lately.set(key, true);
  };
}
