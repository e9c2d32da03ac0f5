import { provenance, type BodyIn, type ComputedDecision, type DecidedUnder } from '../record';
import type { checkSigned } from './entries';
import type { CheckingState } from './fold';

type Signature = BodyIn<typeof checkSigned>;
/** What of a case is signed. */
type Signable = DecidedUnder & { checking: CheckingState };

/** The signature under the checks. */
export function decideSignature(state: Signable): Signature | undefined {
  const { result, inputs } = state.checking;
  return result === 'open' ? undefined : { result, ...provenance(state, inputs) };
}

/** A signature that was sent, computed again. */
export const signatureDecision: ComputedDecision<Signable, Signature> = {
  impossible: () => [],
  again: (state, { note, shown }) => {
    const signature = decideSignature(state);
    return (
      signature && {
        ...signature,
        ...(note === undefined ? {} : { note }),
        ...(shown === undefined ? {} : { shown }),
      }
    );
  },
  notYet: ({ checking: { checks } }) =>
    `needs every check answered; open: ${checks
      .filter(({ judged }) => judged.state === 'open')
      .map(({ check }) => check.id)
      .join(', ')}`,
};
