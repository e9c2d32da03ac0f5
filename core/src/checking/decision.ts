import { faultAt } from '../faults';
import { provenance, type BodyIn, type ComputedDecision, type DecidedUnder } from '../record';
import type { checkSigned } from './entries';
import type { CheckingState } from './fold';

type Signature = BodyIn<typeof checkSigned>;
/** What of a case is signed. */
type Signable = DecidedUnder & { checking: CheckingState };

/** The limb is not safe in the brace: nobody signs for it. */
export const isBarred = (unsafe: CheckingState['unsafe']): boolean =>
  unsafe.some(({ why }) => why === 'limb-safety');

/** The signature under the checks; none while one is open, and none while the limb is not safe in the brace. */
export function decideSignature(state: Signable): Signature | undefined {
  const { result, inputs, unsafe } = state.checking;
  return result === 'open' || isBarred(unsafe) ? undefined : { result, ...provenance(state, inputs) };
}

/** Checks at which the joint moves less than the order lets it: acknowledged with the signature, and told to the prescriber. */
export const narrowerChecks = ({ checks }: Pick<CheckingState, 'checks'>): string[] =>
  checks.flatMap(({ check, judged }) => (judged.state === 'pass' && judged.narrower ? [check.id] : []));

/** A signature that was sent, computed again. */
export const signatureDecision: ComputedDecision<Signable, Signature> = {
  impossible: ({ checking }, { narrower = [] }) =>
    narrowerChecks(checking)
      .filter((check) => !narrower.includes(check))
      .flatMap((check) => faultAt('body.narrower', 'narrower-not-named', { check })),
  again: (state, { note, shown, narrower, inSpite }) => {
    const signature = decideSignature(state);
    return (
      signature && {
        ...signature,
        ...(note === undefined ? {} : { note }),
        ...(shown === undefined ? {} : { shown }),
        ...(narrower === undefined ? {} : { narrower }),
        ...(inSpite === undefined ? {} : { inSpite }),
      }
    );
  },
  notYet: ({ checking: { checks, unsafe } }) =>
    isBarred(unsafe)
      ? faultAt('kind', 'limb-bars-signing', { checks: unsafe.map(({ check }) => check).join(', ') })
      : faultAt('kind', 'checks-open', {
          checks: checks
            .filter(({ judged }) => judged.state === 'open')
            .map(({ check }) => check.id)
            .join(', '),
        }),
};
