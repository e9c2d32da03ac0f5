import { addDays, dayOf, type ClinicDay } from '../calendar';
import { isSignedPass } from '../checking';
import type { CaseState } from '../logbook';
import { isGrowing } from '../reviewing';
import type { Finding } from '../screening';

/** Days within which a brace is looked at for the first time: of everybody, and where skin or limb cannot warn. Common practice, no source. */
export const firstReviewWithin = { usually: 14, atRisk: 3 } as const;
/** Days within which skin that stayed red is looked at again. Common practice, no source. */
const redAgainWithin = 3;
/** Days within which a brace of somebody who still grows is measured again. Common practice, no source. */
export const growingWithin = 84;

/** What does not warn, or does not let the skin recover. */
const risks: readonly Finding[] = ['neuropathy', 'arterial-disease', 'cannot-report'];

/** Until when the next review is due, and why; nothing where none is due by a rule. */
export interface ReviewBy {
  day: ClinicDay;
  why: 'first' | 'first-at-risk' | 'skin' | 'growing';
  entries: string[];
}

/** Whether a look or the order says that the first review comes soon: no warning, or an unstable neck or spine. */
export const isAtRisk = ({ screening, order, programme }: CaseState): boolean =>
  screening.qualifying.some(({ finding }) => risks.includes(finding)) ||
  (order?.order.protective === true && ['trunk', 'neck'].includes(programme.region));

/**
 * Until when this brace is to be looked at: the first time after it was signed for, again where skin stayed red, and every twelve
 * weeks while the patient grows. A review by telephone counts where the brace does not protect; it measures nobody's growth.
 * @param born the patient's day of birth, where it is known
 */
export function reviewBy(state: CaseState, born?: ClinicDay): ReviewBy | undefined {
  const { checking, reviewing, wearing, keeping, order } = state;
  const signed = checking.signed;
  if (keeping.closed || !signed || !isSignedPass(checking)) return undefined;
  const reviews = reviewing.visits.filter(({ found, entry }) => found && entry !== undefined);
  const seen = reviews.filter(({ found }) => found?.by !== 'telephone');
  const last = (order?.order.protective ? seen : reviews).at(-1);
  // bad news counts however it came
  const sore = reviews.findLast(({ found }) => found?.skin === 'stays-red' || found?.skin === 'broken');
  if (sore && (!last || sore.day >= last.day))
    return { day: addDays(sore.day, redAgainWithin), why: 'skin', entries: [sore.entry!] };
  const told = wearing.told.findLast(({ skin }) => skin === 'red-stays');
  if (told && (!last || told.day > last.day))
    return { day: addDays(told.day, redAgainWithin), why: 'skin', entries: [told.entry] };
  const firstSigned = firstPassOn(state, signed.decided.at);
  if (last) {
    const day = addDays(seen.at(-1)?.day ?? firstSigned, growingWithin);
    return born !== undefined && isGrowing(born, day)
      ? { day, why: 'growing', entries: [last.entry!] }
      : undefined;
  }
  const isRisk = isAtRisk(state);
  return {
    day: addDays(firstSigned, isRisk ? firstReviewWithin.atRisk : firstReviewWithin.usually),
    why: isRisk ? 'first-at-risk' : 'first',
    entries: [signed.entry],
  };
}

/** The day on which the brace was first signed for. */
const firstPassOn = ({ lines, zone }: CaseState, lastAt: string): ClinicDay =>
  lines.reduce(
    (first, { entry, status }) => {
      if (status !== 'live' || entry.kind !== 'check.signed' || entry.body.result !== 'pass') return first;
      const day = dayOf(entry.observedAt, zone);
      return day < first ? day : first;
    },
    dayOf(lastAt, zone),
  );

/** Days to the next review where no rule asks for another: an estimate within what is usual after a change. */
const usuallyAgain = 14;

/**
 * The day that is proposed for the next review, and the rule that asks for it.
 * @param day the clinic's
 * @param born the patient's day of birth, where it is known
 */
export function proposedReview(
  state: CaseState,
  day: ClinicDay,
  born: ClinicDay | undefined,
): { day: ClinicDay; why?: ReviewBy['why'] } {
  // what is told at once is looked at again soon; the call comes first
  if (state.calls.length > 0) return { day: addDays(day, 1) };
  const due = reviewBy(state, born);
  const usual = addDays(day, usuallyAgain);
  if (!due) return { day: usual };
  // one that is overdue is planned for tomorrow; growth is the last thing to wait for
  const soonest = due.day > day ? due.day : addDays(day, 1);
  return { day: due.why === 'growing' && usual < soonest ? usual : soonest, why: due.why };
}
