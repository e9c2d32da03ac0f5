import { faultAt, type EntryFault } from '@estribo/core/faults';
import { hash } from '@node-rs/argon2';
import { ZxcvbnFactory } from '@zxcvbn-ts/core';
import { adjacencyGraphs, dictionary } from '@zxcvbn-ts/language-common';

/** Argon2id with the parameters OWASP gives as its first choice (19 MiB, two passes, one lane; memory). */
export const hashPassword = (password: string): Promise<string> =>
  hash(password, { memoryCost: 19 * 1024, timeCost: 2, parallelism: 1 });

const [shortest, longest] = [10, 200];

/** Guesses that a password must stand, as a power of ten: ten thousand million (the estimator's grade 3 of 4). */
const leastGuesses = 10;

/** Words that everybody knows who knows this application. */
const known = ['estribo', 'ribanova', 'demo', 'orthotist', 'orthosis', 'brace', 'clinic'];

const estimator = new ZxcvbnFactory({ dictionary, graphs: adjacencyGraphs });

/**
 * What speaks against a password: too short, or among the first that are tried (kept lists, names, keyboard
 * runs, dates, the user's own name and the clinic's).
 * @param own words that belong to this user
 */
export function passwordFaults(password: string, own: readonly string[], at = 'password'): EntryFault[] {
  if (password.length < shortest || password.length > longest)
    return faultAt(at, 'password-length', { least: shortest, most: longest });
  const { guessesLog10 } = estimator.check(password.slice(0, 100), [...known, ...own]);
  return guessesLog10 < leastGuesses ? faultAt(at, 'password-guessed') : [];
}
