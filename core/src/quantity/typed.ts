/** Fractions that are one sign, as their three. */
const vulgar: Record<string, string> = {
  '¼': '1/4',
  '½': '1/2',
  '¾': '3/4',
  '⅛': '1/8',
  '⅜': '3/8',
  '⅝': '5/8',
  '⅞': '7/8',
  '⅓': '1/3',
  '⅔': '2/3',
};

/**
 * What people and their keyboards type, in plain signs: full-width digits, fractions that are one sign, dashes,
 * primes and curly quotes.
 */
export const plainTyped = (text: string): string =>
  text
    .replace(/[¼½¾⅛⅜⅝⅞⅓⅔]/g, (sign) => ` ${vulgar[sign]!}`)
    .normalize('NFKC')
    .replace(/\u2044/g, '/')
    .replace(/[\u2010-\u2015\u2212]/g, '-')
    .replace(/[\u2032\u2018\u2019\u00b4`]/g, "'")
    .replace(/[\u2033\u201c\u201d]|''/g, '"');

/**
 * Whether a number may mean a thousand and more to one and a little over one to another: 1,234. It is asked
 * about, never guessed.
 */
export const mayBeThousands = (text: string): boolean => /^[1-9]\d{0,2},\d{3}\s*[a-z"']*$/i.test(text.trim());
