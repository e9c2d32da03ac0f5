import { knownInjuries } from '../order';
import type { Programme } from './programme';

/** The injuries that a clinic added to a family, by the words it calls them. */
export const ownInjuries = ({ words }: Pick<Programme, 'words'>): string[] =>
  Object.values(words?.injuries ?? {});

/** A name as a code: small Latin letters and digits; one in other letters is numbered. */
const slugOf = (name: string): string =>
  name
    .normalize('NFKD')
    .replace(/\p{M}/gu, '')
    .toLowerCase()
    .split(/[^a-z0-9]+/)
    .filter(Boolean)
    .join('-')
    .slice(0, 60) || 'injury';

/**
 * A clinic's own family with the injuries that it adds to those every clinic has. One that is called as before keeps its code:
 * orders that name it stay as they are.
 * @param names as the clinic calls them; what is said twice, and what has no letter in it, counts for nothing
 */
export function withOwnInjuries<P extends Pick<Programme, 'injuries' | 'words'>>(
  programme: P,
  names: readonly string[],
): P {
  const before = programme.words?.injuries ?? {};
  const taken = new Set<string>(knownInjuries);
  const own: Record<string, string> = {};
  for (const name of new Set(names.map((one) => one.trim()))) {
    if (!/\p{L}/u.test(name)) continue;
    const slug = slugOf(name);
    const kept = Object.keys(before).find((code) => before[code] === name);
    let code = kept ?? `own-${slug}`;
    for (let n = 2; kept === undefined && (taken.has(code) || code in before); n += 1)
      code = `own-${slug}-${n}`;
    taken.add(code);
    own[code] = name;
  }
  const { injuries: _before, ...words } = programme.words ?? {};
  const all = [...(programme.injuries ?? []).filter((code) => !(code in before)), ...Object.keys(own)];
  return {
    ...programme,
    ...(all.length > 0 || programme.injuries ? { injuries: all } : {}),
    ...(Object.keys(own).length > 0
      ? { words: { ...words, injuries: own } }
      : programme.words
        ? { words }
        : {}),
  };
}
