import type { Side } from '@estribo/core/anatomy';
import type { AnyRecordedEntry, CaseState, KindName } from '@estribo/core/logbook';
import type { LengthUnit } from '@estribo/core/quantity';
import { named } from '../messages';

/** A line of the record in words, short enough for one line of the screen. */
export interface Described {
  title: string;
  value?: string;
  rest?: string;
}

/** What an entry is described with: the case it is of, the unit of who reads it, and the name of a user. */
export interface DescribedWith {
  state: CaseState;
  unit: LengthUnit;
  nameOf: (user: string) => string;
}

/** How the entries of some kinds are said; each stage says its own. */
export type Describers = {
  [K in KindName]?: (entry: Extract<AnyRecordedEntry, { kind: K }>, of: DescribedWith) => Described;
};

export const sideOf = (side: Side): string => (side === 'midline' ? '' : named('side', side));

/** What is said of several things, one after the other. */
export const listed = (...parts: (string | false | undefined)[]): string => parts.filter(Boolean).join(', ');
