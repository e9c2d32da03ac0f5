import type { Region } from '../anatomy';
import type { FitCheck } from '../checking';
import type { Joint, ProtocolStep } from '../measuring';
import type { Degrees } from '../quantity';
import type { Finding } from '../screening';
import type { StopRule } from '../setting';
import type { BetweenRule, DisagreeRule } from '../sizing';
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
 * order of the work. The engines read it; none of them knows a family by name. What a family leaves out
 * (stops, a sequence, checks) Estribo does not cover for it, and says so.
 */
export interface Programme {
  id: string;
  version: number;
  /** of a clinic's own programme; those that ship have their title in the message file */
  title?: string;
  /** of a clinic's own programme: the family it was copied from, whose models it takes */
  base?: string;
  /** which part of the body; the region says whether there are two sides of it */
  region: Region;
  /** the joint whose motion the order limits, if any */
  joint?: Joint;
  /** where the school of this family puts the hinge against the side midline */
  hinge?: 'behind-midline' | 'on-midline';
  /** the knee's angle while donning */
  donning?: Degrees;
  /** what qualifies a fitting here; the danger signs are asked whatever stands here */
  findings: Finding[];
  /** movement and sensation in arms and legs are noted before it goes on and after it is on */
  limbs?: 'before-and-after';
  measuring: ProtocolStep[];
  /** readings that a chart of this family may use, the primary one first; none where it comes in one size */
  axes: string[];
  /** the family's or the clinic's own rules, in place of the chart's */
  between?: BetweenRule;
  disagree?: DisagreeRule;
  /** stops, and when they are put in */
  stops?: StopRule & { made: 'before-donning' };
  sequence: SequenceStep[];
  checks: ProgrammeCheck[];
}
