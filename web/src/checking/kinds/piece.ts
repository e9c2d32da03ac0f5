import type { FitCheck } from '@estribo/core/checking';
import type { CaseState } from '@estribo/core/logbook';
import type { LengthUnit } from '@estribo/core/quantity';
import type { checkWords } from '../../messages/fitting';

/** What a hint is made from: the family's own words, the ordered window, how numbers of the check are said. */
export interface HintFrom {
  words: ReturnType<typeof checkWords>;
  window: string;
  programme: CaseState['programme'];
  unit: LengthUnit;
  /** a number of this check, with its unit; under zero in words where it has them */
  print: (value: number) => string;
  said: (value: number) => string;
  /** what each of two numbers is of */
  names: { value: string; reference: string };
}

/** What the screen does with a kind of check: what is typed, what is said of it. */
export interface CheckScreen<C = FitCheck> {
  /** what it reads; nothing where it is answered by yes or no */
  quantity: ((check: C) => 'degrees' | 'count' | 'distance') | undefined;
  /** what stands behind a bare count */
  countSign?: (check: C) => string;
  /** it is counted in the user's own fingers */
  byFingers?: true;
  /** it has two numbers */
  pair?: true;
  hint: (check: C, from: HintFrom) => string;
}

export const listed = (...parts: (string | undefined)[]): string => parts.filter(Boolean).join('. ');
