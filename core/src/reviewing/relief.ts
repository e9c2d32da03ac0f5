import type { ClinicDay } from '../calendar';
import type { LedgerLine, Turn } from '../setting';

/** A review beside where a correction stood on its day. */
export interface ReliefVisit {
  day: ClinicDay;
  pain: number;
  hours?: number | undefined;
  /** by place; nothing where it was not corrected yet */
  stands: Record<string, Turn>;
}

/** Relief over the reviews, in counts: how often pain was less, the same, more at the review after a change. */
export interface Relief {
  visits: ReliefVisit[];
  /** reviews behind which the correction was another than at the review before */
  compared: number;
  less: number;
  same: number;
  more: number;
  /**
   * what the counts say by the sign test (two-sided, at one in ten); none from fewer than five reviews that were compared
   */
  verdict?: 'less' | 'more' | 'undecided';
}

/** Reviews that have to be compared before anything is said of them. */
const fewest = 5;
const level = 0.1;

/** Two-sided sign test: the chance of a split at least as uneven, where less and more are as likely (binomial, exact). */
export function signTest(less: number, more: number): number {
  const n = less + more;
  if (n === 0) return 1;
  let term = 0.5 ** n;
  let tail = 0;
  for (let k = 0; k <= Math.min(less, more); k += 1) {
    tail += term;
    term = (term * (n - k)) / (k + 1);
  }
  return Math.min(1, 2 * tail);
}

const sameStands = (one: Record<string, Turn>, other: Record<string, Turn>): boolean =>
  [...new Set([...Object.keys(one), ...Object.keys(other)])].every((place) => {
    const [a, b] = [one[place] ?? { n: 0, d: 1 }, other[place] ?? { n: 0, d: 1 }];
    return a.n * b.d === b.n * a.d;
  });

/**
 * Pain and hours at the reviews against a correction's ledger. Counts, no cause: what else changed meanwhile is not known.
 * @param reviews in order, each with what it found
 * @param ledger of the correction
 */
export function reliefOf(
  reviews: readonly { day: ClinicDay; found?: { pain: number; hours?: number | undefined } | undefined }[],
  ledger: readonly LedgerLine[],
): Relief {
  const visits = reviews.flatMap(({ day, found }): ReliefVisit[] => {
    if (!found) return [];
    // what is turned on the day of a review is turned after its question
    const stands = ledger.findLast((line) => line.day < day)?.stands ?? {};
    return [{ day, pain: found.pain, ...(found.hours === undefined ? {} : { hours: found.hours }), stands }];
  });
  const changes = visits.slice(1).flatMap((visit, i) => {
    const before = visits[i]!;
    return sameStands(before.stands, visit.stands) ? [] : [visit.pain - before.pain];
  });
  const [less, same, more] = [
    changes.filter((by) => by < 0).length,
    changes.filter((by) => by === 0).length,
    changes.filter((by) => by > 0).length,
  ];
  return {
    visits,
    compared: changes.length,
    less,
    same,
    more,
    ...(changes.length < fewest
      ? {}
      : { verdict: signTest(less, more) > level ? 'undecided' : less > more ? 'less' : 'more' }),
  };
}
