import type { FitCheck } from '../checking';
import type { ProtocolStep } from '../measuring';
import type { Degrees } from '../quantity';
import type { Finding } from '../screening';
import type { StopRule } from '../setting';
import type { SequenceStep } from '../strapping';

/** The nine stages, in the order of the work. */
export const stages = [
  'screen',
  'measure',
  'size',
  'set',
  'shape',
  'strap',
  'check',
  'wear',
  'review',
] as const;
export type Stage = (typeof stages)[number];

/** A check as a programme states it: a tolerance may be left to the model. */
export type ProgrammeCheck = FitCheck | { kind: 'distance'; id: string; tolerance: 'model' };

/**
 * A brace family as data: what is looked at, read, set, shaped, strapped, checked and worn, in the
 * order of the work. The engines read it; none of them knows a family by name.
 */
export interface Programme {
  id: string;
  version: number;
  region: 'leg';
  joint: 'knee';
  /** where the school of this family puts the hinge against the side midline */
  hinge: 'behind-midline';
  /** the knee's angle while donning */
  donning: Degrees;
  findings: Finding[];
  measuring: ProtocolStep[];
  /** readings that a chart of this family uses, the primary one first */
  axes: string[];
  /** stops, and when they are put in */
  stops: StopRule & { made: 'before-donning' };
  sequence: SequenceStep[];
  checks: ProgrammeCheck[];
}
