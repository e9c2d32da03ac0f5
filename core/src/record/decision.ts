import type { EntryFault } from '../faults';
import type { ClinicDay } from '../calendar';
import { engineVersion } from './engine';

/*
 * A decision as it is written: the result, the ids of what it was made from, the programme's hash and the
 * engine's version.
 */

/** What is written with every decision beside its result. */
export interface Provenance {
  madeFrom: string[];
  programme: string;
  engine: number;
}

/** A case as a decision notes it: by the content of the programme that it holds on to. */
export interface DecidedUnder {
  programmePin: { hash: string };
}

/** @param madeFrom the entries that the decision hangs on */
export const provenance = ({ programmePin }: DecidedUnder, madeFrom: string[]): Provenance => ({
  madeFrom,
  programme: programmePin.hash,
  engine: engineVersion,
});

/** One kind of decision that the core computes, and computes again when one is sent. */
export interface ComputedDecision<State, Body> {
  /** what is wrong with it whatever it was made from */
  impossible: (state: State, body: Body) => EntryFault[];
  /** the decision from what holds now, with what its writer chose in it: the reason, the acknowledgement */
  again: (state: State, body: Body, day: ClinicDay) => Body | undefined;
  /** why nothing can be decided from what holds now */
  notYet: (state: State) => EntryFault[];
}

/** Something decided, with what has happened to its inputs since. */
export interface Decided<T> {
  entry: string;
  decided: T;
  /** inputs that have been corrected or withdrawn since */
  staleBecause: string[];
  /** computed again from what holds now, it would come out differently */
  wouldDiffer: boolean;
}

/** Whether a decision stands: what it was made from holds, and it would come out the same now. */
export const stands = (decision: { staleBecause: string[]; wouldDiffer: boolean }): boolean =>
  decision.staleBecause.length === 0 && !decision.wouldDiffer;
