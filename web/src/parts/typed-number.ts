import { plainTyped } from '@estribo/core/quantity';
import { NumberParser } from '@internationalized/number';

/*
 * Half the clinics of a country write a comma and half a point, often the same person both: each is the decimal sign here.
 * What may mean a thousand is asked about before it comes to this.
 */
const withPoint = new NumberParser('en', { useGrouping: false });
const withComma = new NumberParser('de', { useGrouping: false });

/** A bare number as it is typed, a degree sign behind it or none; NaN where it is none. */
export function typedNumber(text: string): number {
  const plain = plainTyped(text).trim().replace(/°$/, '');
  return /^[+-]?[\d.,]+$/.test(plain) ? (plain.includes(',') ? withComma : withPoint).parse(plain) : NaN;
}
