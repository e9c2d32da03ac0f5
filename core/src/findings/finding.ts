import type { ClinicDay } from '../calendar';
import type { CaseState } from '../logbook';
import type { Stage } from '../record';

/** How soon something is done about it: at once, before the day ends, by a day, or when the work comes to it. */
export const findingLevels = ['emergency', 'today', 'by-date', 'note'] as const;
export type FindingLevel = (typeof findingLevels)[number];

/** What a finding holds back until it is resolved. */
export const withheldThings = ['signature', 'plan', 'teach-back', 'donning'] as const;
export type Withheld = (typeof withheldThings)[number];

/** Who was told of a finding: whom, what they said, and when. */
export interface Told {
  entry: string;
  whom: string;
  said: string;
  day: ClinicDay;
}

/** One thing that is missing, no longer holds, or is dangerous in a case. */
export interface CaseFinding {
  kind: string;
  /** of what: a setting, a check, a step, a sign, a part; nothing where the kind says it all */
  about?: string;
  level: FindingLevel;
  /** the day since which it is so, or by which it is to be resolved */
  day?: ClinicDay;
  /** the entries it comes from */
  entries: string[];
  /** where it is resolved: the stage, and there the setting, check or step */
  stage: Stage;
  thing?: string;
  withholds: Withheld[];
  /** of what withholds the signature: an orthotist may sign in spite of it, with a reason */
  mayBeOverridden: boolean;
  /** of what is half done: how much is left */
  left?: number;
  /** of what somebody is told about: who was told */
  told?: { patient?: Told; prescriber?: Told };
}

/** A case on a day, with what the kinds of finding ask of it. */
export interface Judging {
  state: CaseState;
  day: ClinicDay;
  /** the patient's day of birth, where it is known */
  born: ClinicDay | undefined;
  /** where an entry was written: a correction counts from then on; 0 for none */
  writtenAt: (entry: string | undefined) => number;
  /** where the entry that it corrects, first of all, was written */
  beganAt: (entry: string | undefined) => number;
  /** the id of the entry that holds in the place of one */
  heldBy: (entry: string) => string | undefined;
  /** live entries of some kinds */
  live: (...kinds: string[]) => CaseState['lines'][number]['entry'][];
  /** the clinic's day on which an entry was observed */
  dayIn: (entry: { observedAt: string }) => ClinicDay;
  dayOf: (entry: string) => ClinicDay;
}

/** One kind of finding: one file. */
export type FindingRule = (judging: Judging) => CaseFinding[];

/** A finding by its kind, with what most of them have. */
export const finding = (
  kind: string,
  stage: Stage,
  more: Partial<Omit<CaseFinding, 'kind' | 'stage'>> = {},
): CaseFinding => ({
  kind,
  stage,
  level: 'note',
  entries: [],
  withholds: ['signature'],
  mayBeOverridden: true,
  ...more,
});
