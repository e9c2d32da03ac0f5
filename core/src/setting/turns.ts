import Fraction from 'fraction.js';

/** A part of a turn, a detent or a degree as it was made: a rational, never a rounded decimal. Clockwise is positive, facing the head. */
export interface Turn {
  n: number;
  d: number;
}

/** The largest denominator a turn is written with: a sixty-fourth of a turn is less than a hand makes. */
export const finestTurn = 64;

const plain = (fraction: Fraction): Turn => ({
  n: Number(fraction.s * fraction.n) || 0,
  d: Number(fraction.d),
});
const fractionOf = ({ n, d }: Turn): Fraction => new Fraction(n, d);

export const noTurn: Turn = { n: 0, d: 1 };

/** The exact sum of turns, in lowest terms. */
export const sumOfTurns = (...turns: readonly Turn[]): Turn =>
  plain(turns.reduce((sum, turn) => sum.add(fractionOf(turn)), new Fraction(0)));

export const opposite = ({ n, d }: Turn): Turn => ({ n: -n || 0, d });

/** As a number: for limits, which are written as one. */
export const asNumber = ({ n, d }: Turn): number => n / d;

/** A number that a programme or a model states, as the fraction it means: 0.125 is an eighth. */
export const turnOf = (value: number): Turn => plain(new Fraction(value).simplify(1e-9));

/**
 * A turn as somebody types it.
 * @param text '1/4', '-1/8', '0.5', '1 1/4'
 * @returns undefined for what is none, or finer than a sixty-fourth
 */
export function readTurn(text: string): Turn | undefined {
  const typed = text.trim().replace('−', '-').replace(',', '.').replace(/^\+/, '');
  if (!/^-?(\d+(\.\d{1,4})?|\d+\/\d+|\d+ \d+\/\d+)$/.test(typed)) return undefined;
  try {
    const turn = plain(new Fraction(typed));
    return turn.d <= finestTurn && Math.abs(turn.n) <= 1000 ? turn : undefined;
  } catch {
    // nothing is divided by zero
    return undefined;
  }
}

/** '+1/4', '−1/8', '+1 1/2', '0': the sign is always said, it is a direction. */
export function formatTurn(turn: Turn): string {
  const sum = fractionOf(turn);
  if (sum.equals(0)) return '0';
  return `${sum.compare(0) < 0 ? '−' : '+'}${sum.abs().toFraction(true)}`;
}
