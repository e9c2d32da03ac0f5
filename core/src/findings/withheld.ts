import { faultAt, type EntryFault } from '../faults';
import type { ClinicDay } from '../calendar';
import { current, type AnyEntry, type CaseState } from '../logbook';
import type { CaseFinding, Withheld } from './finding';
import { findingsOf } from './findings-of';

/** A finding as a signature names it that is given in spite of it. */
export type SignedOver = Pick<CaseFinding, 'kind' | 'about'>;

/** The findings that hold one thing back. */
export const withholding = (findings: readonly CaseFinding[], what: Withheld): CaseFinding[] =>
  findings.filter(({ withholds }) => withholds.includes(what));

export const isSame = (one: SignedOver, other: SignedOver): boolean =>
  one.kind === other.kind && one.about === other.about;

const named = ({ kind, about }: SignedOver): string => (about === undefined ? kind : `${kind} (${about})`);

/** What an entry asks for that a finding may hold back. */
function asksFor(entry: AnyEntry): Withheld | undefined {
  switch (entry.kind) {
    case 'check.signed':
      // that it failed is always signed
      return entry.body.result === 'pass' ? 'signature' : undefined;
    case 'wear.planned':
      return 'plan';
    case 'wear.taught':
      return entry.body.how === 'not-yet' ? undefined : 'teach-back';
    case 'strap.begun':
      return 'donning';
    default:
      return undefined;
  }
}

/**
 * Why an entry is held back by what is found of its case: it is dangerous, it is missing, or it holds no longer. What a
 * signature may be given in spite of is named in it.
 * @param state of the case before the entry
 * @param day the clinic's, on which it was observed
 */
export function withheldFaults(state: CaseState, sent: AnyEntry, day: ClinicDay): EntryFault[] {
  const entry = current(sent, state.programme);
  const what = asksFor(entry);
  if (what === undefined) return [];
  const over: readonly SignedOver[] =
    entry.kind === 'check.signed' ? ((entry.body.inSpite?.of ?? []) as SignedOver[]) : [];
  const found = withholding(findingsOf(state, day), what);
  return found
    .filter(
      (one) => !(what === 'signature' && one.mayBeOverridden && over.some((other) => isSame(one, other))),
    )
    .flatMap((one) =>
      what === 'signature' && one.mayBeOverridden
        ? faultAt('body.inSpite', 'in-spite-not-named', { found: named(one) })
        : faultAt('kind', 'withheld', { found: named(one) }),
    );
}
