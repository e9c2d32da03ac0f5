import type { ClinicDay } from '../calendar';
import type { UnsafeCheck } from '../checking';
import type { LiveRecord, Stage } from '../record';
import { referBecause, type ReviewVisit } from '../reviewing';
import { findingRule, type LookedState, type Referral } from '../screening';
import type { Order } from '../order';
import type { StrappingState } from '../strapping';
import type { WearingState } from '../wearing';
import { callMade } from './case-entries';

/** Somebody is to be called today about something that was found. */
export interface UrgentCall {
  /** the finding, the check, or what a review found */
  about: string;
  why: 'finding' | 'limb-safety' | 'outside-order' | 'review' | 'lost-in-move' | 'worn';
  /** the entry it was found in */
  of: string;
  day: ClinicDay;
  whom: Referral;
  stage: Stage;
  made?: { entry: string; whom: string; said: string; day: ClinicDay };
}

/** What the stages leave that somebody may have to be called about. */
interface Found {
  blocking: LookedState['blocking'];
  unsafe: readonly UnsafeCheck[];
  visits: readonly ReviewVisit[];
  lost: StrappingState['lost'];
  told: WearingState['told'];
  order: Order | undefined;
}

/**
 * The calls of today that what was found asks for: a finding that blocks, a check by which the limb is not safe or
 * the joint goes beyond the order, a review whose skin or pain is told to the prescriber. Each stands until what
 * it is about is over, and is due until somebody has called.
 */
export function foldCalls(
  record: LiveRecord,
  { blocking, unsafe, visits, lost, told, order }: Found,
): UrgentCall[] {
  // what protects is never worn less for it: somebody is called
  const wornBadly = order?.protective ? told.at(-1) : undefined;
  const made = record.of(callMade);
  const dayOf = new Map(record.all.map((entry) => [entry.id, record.dayIn(entry)]));
  const last = visits.findLast(({ found }) => found !== undefined);
  const due: Omit<UrgentCall, 'day' | 'made'>[] = [
    ...blocking.map(({ finding, entry }) => ({
      about: finding,
      why: 'finding' as const,
      of: entry,
      whom: findingRule(finding).refer ?? 'prescriber',
      stage: 'screen' as const,
    })),
    ...unsafe.flatMap(({ check, why, calls, entry }) =>
      calls
        ? [
            {
              about: check,
              why,
              of: entry,
              // cold, blue or numb is a danger sign with the brace on as it is before
              whom: why === 'limb-safety' ? ('physician-now' as const) : ('prescriber' as const),
              stage: 'check' as const,
            },
          ]
        : [],
    ),
    // movement or feeling lost while the patient was moved
    ...(lost
      ? [
          {
            about: lost.step,
            why: 'lost-in-move' as const,
            of: lost.entry,
            whom: 'emergency' as const,
            stage: 'strap' as const,
          },
        ]
      : []),
    ...(wornBadly?.skin === 'red-stays' || wornBadly?.pain === 'some'
      ? [
          {
            about: wornBadly.skin === 'red-stays' ? 'skin-stays-red' : 'pain-in-brace',
            why: 'worn' as const,
            of: wornBadly.entry,
            whom: 'prescriber' as const,
            stage: 'wear' as const,
          },
        ]
      : []),
    ...(last?.found && last.entry !== undefined ? referBecause(last.found) : []).map((about) => ({
      about,
      why: 'review' as const,
      of: last!.entry!,
      whom: 'prescriber' as const,
      stage: 'review' as const,
    })),
  ];
  return due.map((call) => {
    const answer = made.findLast(
      ({ body }) => body.about === call.about && record.heldBy(body.of) === call.of,
    );
    return {
      ...call,
      day: dayOf.get(call.of)!,
      ...(answer
        ? {
            made: {
              entry: answer.id,
              whom: answer.body.whom,
              said: answer.body.said,
              day: record.dayIn(answer),
            },
          }
        : {}),
    };
  });
}
