import { addDays, dayOf, type ClinicDay } from '../calendar';
import { isSignedPass } from '../checking';
import type { CaseState } from '../logbook';
import type { Finding } from '../screening';

/** Days within which a brace is looked at for the first time: of everybody, and where skin or limb cannot warn. Common practice, no source. */
export const firstReviewWithin = { usually: 14, atRisk: 3 } as const;
/** Days within which skin that stayed red is looked at again. Common practice, no source. */
const redAgainWithin = 3;

/** What does not warn, or does not let the skin recover. */
const risks: readonly Finding[] = ['neuropathy', 'arterial-disease', 'cannot-report'];

/** Until when the next review is due, and why; nothing where none is due by a rule. */
export interface ReviewBy {
  day: ClinicDay;
  why: 'first' | 'first-at-risk' | 'skin';
  entries: string[];
}

/** Whether a look or the order says that the first review comes soon: no warning, or an unstable neck or spine. */
export const isAtRisk = ({ screening, order, programme }: CaseState): boolean =>
  screening.qualifying.some(({ finding }) => risks.includes(finding)) ||
  (order?.order.protective === true && ['trunk', 'neck'].includes(programme.region));

/** Until when this brace is to be looked at: the first time after it was signed for, or again where skin stayed red. */
export function reviewBy(state: CaseState): ReviewBy | undefined {
  const { checking, reviewing, wearing, keeping, lines, zone } = state;
  const signed = checking.signed;
  if (keeping.closed || !signed || !isSignedPass(checking)) return undefined;
  const reviews = reviewing.visits.filter(({ found, entry }) => found && entry !== undefined);
  const last = reviews.at(-1);
  if (last?.found && (last.found.skin === 'stays-red' || last.found.skin === 'broken'))
    return { day: addDays(last.day, redAgainWithin), why: 'skin', entries: [last.entry!] };
  const told = wearing.told.findLast(({ skin }) => skin === 'red-stays');
  if (told && (!last || told.day > last.day))
    return { day: addDays(told.day, redAgainWithin), why: 'skin', entries: [told.entry] };
  if (last) return undefined;
  const isRisk = isAtRisk(state);
  const firstSigned = lines.reduce(
    (first, { entry, status }) => {
      if (status !== 'live' || entry.kind !== 'check.signed' || entry.body.result !== 'pass') return first;
      const day = dayOf(entry.observedAt, zone);
      return day < first ? day : first;
    },
    dayOf(signed.decided.at, zone),
  );
  return {
    day: addDays(firstSigned, isRisk ? firstReviewWithin.atRisk : firstReviewWithin.usually),
    why: isRisk ? 'first-at-risk' : 'first',
    entries: [signed.entry],
  };
}

/** Days to the next review where no rule asks for another: an estimate within what is usual after a change. */
const usuallyAgain = 14;

/**
 * The day that is proposed for the next review, and the rule that asks for it.
 * @param day the clinic's
 * @param growing whether the patient still grows
 */
export function proposedReview(
  state: CaseState,
  day: ClinicDay,
  growing: boolean,
): { day: ClinicDay; why?: ReviewBy['why'] | 'growing' } {
  // what is told at once is looked at again soon; the call comes first
  if (state.calls.length > 0) return { day: addDays(day, 1) };
  const due = reviewBy(state);
  // one that is overdue is planned for tomorrow
  if (due) return { day: due.day > day ? due.day : addDays(day, 1), why: due.why };
  return { day: addDays(day, usuallyAgain), ...(growing ? { why: 'growing' as const } : {}) };
}
