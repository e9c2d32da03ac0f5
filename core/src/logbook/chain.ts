import { contentHash } from '../programmes';
import type { AnyEntry } from './entry';

/** The hash a case's first entry is chained to. */
export const chainStart = '0'.repeat(64);

/** hash(salt + content): stays behind when the content is erased, and gives nothing away without the salt. */
export const saltedHash = (entry: AnyEntry, salt: string): string => contentHash([salt, entry]);

/** One link: hash over the link before it and the entry's salted hash. */
export const chainHash = (previous: string, salted: string): string => contentHash([previous, salted]);

/**
 * Walks a case's chain.
 * @param links in the order of seq
 * @returns the index of the first link that does not fit, or undefined when all do
 */
export function brokenLink(links: readonly { salted: string; hash: string }[]): number | undefined {
  let previous = chainStart;
  for (const [index, { salted, hash }] of links.entries()) {
    if (chainHash(previous, salted) !== hash) return index;
    previous = hash;
  }
  return undefined;
}
