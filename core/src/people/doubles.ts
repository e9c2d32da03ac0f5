import { distance } from 'fastest-levenshtein';
import type { ClinicDay } from '../calendar';
import { wordsOf } from './words';

export interface NamedPerson {
  givenName: string;
  familyName: string;
  born: ClinicDay;
}

/** `same`: the same name and day of birth; `likely`: so near that it may be a slip of the pen. */
export type Likeness = 'same' | 'likely';

/** Letters that may be mistyped in a name of a length; in a short one a letter makes another name. */
const slipsIn = (length: number) => (length < 8 ? 0 : length < 14 ? 1 : 2);

const nameOf = ({ givenName, familyName }: NamedPerson) =>
  wordsOf(`${givenName} ${familyName}`.replaceAll(/['’-]/g, ' '));

/** Whether two names are one: the same words in any order. */
const isSameName = (a: readonly string[], b: readonly string[]) =>
  a.toSorted().join(' ') === b.toSorted().join(' ');

/** Whether one name is the other with a second name or surname left out, or with a letter mistyped. */
function isNearName(a: readonly string[], b: readonly string[]): boolean {
  const [fewer, more] = a.length <= b.length ? [a, b] : [b, a];
  if (fewer.length >= 2 && fewer.every((word) => more.includes(word))) return true;
  const [one, other] = [a.toSorted().join(''), b.toSorted().join('')];
  return (
    distance(one, other) <= slipsIn(Math.max(one.length, other.length)) ||
    distance(a.join(''), b.join('')) <= slipsIn(Math.max(one.length, other.length))
  );
}

/** A day with day and month changed over; undefined where that is none. */
export const turnedDay = (day: ClinicDay): ClinicDay | undefined =>
  Number(day.slice(8)) <= 12 ? `${day.slice(0, 4)}-${day.slice(8)}-${day.slice(5, 7)}` : undefined;

const isNearDay = (a: ClinicDay, b: ClinicDay) => distance(a, b) <= 1 || turnedDay(a) === b;

/**
 * Whether two people may be one. Namesakes with another day of birth are two. Common practice, no source; how many letters
 * may differ is an estimate.
 */
export function likeness(a: NamedPerson, b: NamedPerson): Likeness | undefined {
  const [one, other] = [nameOf(a), nameOf(b)];
  const same = isSameName(one, other);
  if (same && a.born === b.born) return 'same';
  if (a.born === b.born) return isNearName(one, other) ? 'likely' : undefined;
  return same && isNearDay(a.born, b.born) ? 'likely' : undefined;
}
