import type { Joint, Region } from '../anatomy';
import type { Condition, Part } from '../brace';
import type { ProgrammeCheck } from '../checking';
import type { ProtocolStep } from '../measuring';
import type { Degrees } from '../quantity';
import type { Stage } from '../record';
import type { FollowedByFamily } from '../reviewing';
import type { Finding } from '../screening';
import type { PathPoint, Setting } from '../setting';
import type { Operation } from '../shaping';
import type { BetweenRule, DisagreeRule } from '../sizing';
import type { Sequence } from '../strapping';
import type { WearLine } from '../wearing';

/** What an order may say that a brace carries out. */
export const orderedThings = [
  'motion',
  'lock',
  'relieve',
  'angle',
  'panels',
  'posture',
  'roll',
  'weight',
] as const;
export type OrderedThing = (typeof orderedThings)[number];

/** What a family says of its lists, steps and checks, each by its id. In a clinic's own programme it travels with it. */
export interface FamilyWords {
  /** why there is nothing to do in a stage, by the stage */
  notNeeded?: Record<string, string>;
  lists?: Record<string, string>;
  /** how it is cared for, where that is its own */
  care?: Record<string, string>;
  /** how it is worn */
  wear?: Record<string, string>;
  /** what its parts are called */
  parts?: Record<string, string>;
  /** injuries that are this clinic's own codes */
  injuries?: Record<string, string>;
  settings?: Record<
    string,
    {
      name: string;
      how: string;
      caution?: string;
      places?: Record<string, string>;
      unit?: string;
      /** what in and out are called, where that is its own */
      in?: string;
      out?: string;
      /** what is observed, by its id, in `until …` */
      observed?: Record<string, string>;
    }
  >;
  steps?: Record<
    string,
    {
      name: string;
      hold: string;
      caution?: string;
      /** what is looked at after it, or after each of its parts */
      look?: string;
      /** what goes wrong, and what then */
      wrong?: string;
    }
  >;
  operations?: Record<
    string,
    {
      name: string;
      how: string;
      caution?: string;
      /** what has to be so before it is begun */ first?: string;
      ways?: Record<string, string>;
    }
  >;
  checks?: Record<
    string,
    {
      name: string;
      how?: string;
      /** what mends it */
      fix: string;
      /** the trade's words for yes and no */
      yes?: string;
      no?: string;
      /** a number under zero, with {{amount}} in it */
      minus?: string;
      /** what its number is of, and what the other one is of */
      value?: string;
      reference?: string;
    }
  >;
}

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
  /** of a clinic's own programme: what its lists, steps and checks say */
  words?: FamilyWords;
  /** which part of the body; the region says whether there are two sides of it */
  region: Region;
  /** the joint whose motion the order limits, if any */
  joint?: Joint;
  /** what of an order it carries out, and is asked for first; its joint's motion where that is limited */
  ordered?: OrderedThing[];
  /** the injuries it is ordered for most, asked for first; codes of its own have their words with it */
  injuries?: string[];
  /** where the school of this family puts the hinge against the side midline */
  hinge?: 'behind-midline' | 'on-midline';
  /** the knee's angle while donning */
  donning?: Degrees;
  /** where the joint's centre is by its angle, as the clinic states it; else it stands still where it is estimated */
  jointCentre?: PathPoint[];
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
  /** the parts every brace of this family has, where they usually lie; a model states its own in their place */
  parts: Part[];
  /** what is set on it: stops, locks, lengths, corrections, parts that may be left out */
  settings: Setting[];
  /** work on the brace itself that practice knows of it; where it says nothing, uprights are bent and pads placed */
  operations?: Operation[];
  /** stages in which this family has nothing to do, or has it only in some cases; its words say why */
  notNeeded?: { stage: Stage; when?: Condition | undefined }[];
  /** how it is cared for, line by line; where it says nothing, as pads, liners and hinges are */
  care?: string[];
  /** what reviews follow; where it says nothing, what was measured */
  followed?: FollowedByFamily;
  /** how it is worn, line by line; the order and the model's numbers stand beside it */
  wear?: WearLine[];
  /** how it goes on and comes off */
  sequences: Sequence[];
  checks: ProgrammeCheck[];
}
