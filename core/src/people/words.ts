import anyAscii from 'any-ascii';
import { clinicDay, type ClinicDay } from '../calendar';

/** A word is kept and looked for up to this length. */
const longestWord = 40;
/** More words than this are not looked for. */
const mostWords = 6;

const plain = (text: string) => anyAscii(text.normalize('NFC')).toLowerCase();

/**
 * The words by which a text is found: without accents, in small Latin letters and digits; what a hyphen or an apostrophe
 * divides stands apart and joined.
 */
export function wordsOf(text: string): string[] {
  const chunks = plain(text).split(/\s+/);
  const words = chunks.flatMap((chunk) => {
    const pieces = chunk.split(/[^a-z0-9]+/).filter(Boolean);
    return pieces.length > 1 ? [...pieces, pieces.join('')] : pieces;
  });
  return [...new Set(words.map((word) => word.slice(0, longestWord)))];
}

/** A day of birth as a word, and its year. */
export const wordsOfDay = (day: ClinicDay): string[] => [day.replaceAll('-', ''), day.slice(0, 4)];

const numeric = /(\d{1,4})[-./](\d{1,2})[-./](\d{1,4})/g;

/** A date as it is typed, day first or year first, as the word it is kept under; as it was where it is none. */
function dateAsWord(typed: string, a: string, b: string, c: string): string {
  const [year, day] = a.length === 4 ? [a, c] : [c, a];
  const that = clinicDay(`${year}-${b.padStart(2, '0')}-${day.padStart(2, '0')}`);
  return that === undefined ? typed : that.replaceAll('-', '');
}

/** A word that is looked for: a number as it is, anything else as the beginning of one. */
export interface SoughtWord {
  word: string;
  whole: boolean;
}

/** What somebody typed into a search, as the words that must all be found. */
export function soughtWords(typed: string): SoughtWord[] {
  const chunks = plain(typed.replace(numeric, dateAsWord)).split(/\s+/);
  const words = chunks.flatMap((chunk) => chunk.split(/[^a-z0-9]+/).filter(Boolean));
  return [...new Set(words)]
    .slice(0, mostWords)
    .map((word) => ({ word: word.slice(0, longestWord), whole: /^\d+$/.test(word) }));
}
