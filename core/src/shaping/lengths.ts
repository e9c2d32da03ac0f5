import type { Millimetres } from '../quantity';
import type { WorkDone } from './kind';
import type { Operation } from './operations';

/** Two straps of a pair are one length when they are as near as this, where the family says nothing: an estimate. */
const sameLength: Millimetres = 3;

/** What a strap was brought to, and whether that can be undone. */
export interface Lengthened {
  amount: Millimetres;
  way: 'folded' | 'cut';
}

/** Of each strap, what it was last brought to. */
export const lastLengths = (done: readonly WorkDone[]): Record<string, Lengthened | undefined> =>
  Object.fromEntries(
    done.flatMap(({ part, amount, way }) =>
      part !== undefined && amount !== undefined && (way === 'folded' || way === 'cut')
        ? [[part, { amount, way }]]
        : [],
    ),
  );

const pairsOf = (operation: Operation) => (operation.kind === 'cut' ? (operation.pairs ?? []) : []);

/** The other of a strap's pair, if it is one of two. */
export const otherOfPair = (operation: Operation, strap: string): string | undefined =>
  pairsOf(operation)
    .find(({ of }) => of.includes(strap))
    ?.of.find((one) => one !== strap);

/** Pairs of which both were brought to a length, and not to one. */
export const unevenPairs = (
  operation: Operation,
  lengths: Readonly<Record<string, Lengthened | undefined>>,
): [string, string][] =>
  pairsOf(operation).flatMap(({ of, within = sameLength }): [string, string][] => {
    const [one, other] = of as [string, string];
    const [a, b] = [lengths[one], lengths[other]];
    return a && b && Math.abs(a.amount - b.amount) > within ? [[one, other]] : [];
  });
