import { randomInt, timingSafeEqual } from 'node:crypto';

/** Letters and digits that are not mistaken for one another when they are read off a console. */
const signs = 'ABCDEFGHJKMNPQRSTVWXYZ23456789';

/** A code for one use, shown where only who gives it reads it: 58 bits. */
export const oneTimeCode = (): string =>
  Array.from(
    { length: 12 },
    (_, i) => `${i > 0 && i % 4 === 0 ? '-' : ''}${signs[randomInt(signs.length)]}`,
  ).join('');

/** A code as it is compared: without the dashes, however it was typed. */
export const codeOf = (typed: string): string => typed.replace(/[^A-Z0-9]/gi, '').toUpperCase();

/** Whether two codes are the same, in the same time whatever they are. */
export function isSameCode(one: string, other: string): boolean {
  const [left, right] = [one, other].map((text) => Buffer.from(codeOf(text)));
  return left!.length === right!.length && timingSafeEqual(left!, right!);
}
