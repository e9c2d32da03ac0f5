import type { Side } from '../../anatomy';
import type { Part, PartOf } from '../../brace';
import type { ClinicDay } from '../../calendar';
import type { FitCheck, Judged, UnsafeCheck } from '../../checking';
import type { MeasuringProgress, MeasuringStep } from '../../measuring';
import type { Order } from '../../order';
import type { BraceModel, Pin, Programme } from '../../programmes';
import type { Stage } from '../../record';
import type { ReviewFinding, VisitFigures } from '../../reviewing';
import type { LimbsState, Referral, ScreeningState } from '../../screening';
import type { HingeStops, JudgedSetting, Setting, SettingMade } from '../../setting';
import type { Bend, Operation, PadAdvice, Scar, WorkDone } from '../../shaping';
import type { AxisReading, Chart, HeightMatch, SizeMatch } from '../../sizing';
import type { RunnerState, Sequence } from '../../strapping';
import type { WearPlan } from '../../wearing';
import type { BodyOf } from '../kinds';
import type { Followed } from './followed';
import type { RecordLine } from './settle';

/** Something decided, with what has happened to its inputs since. */
export interface Decided<T> {
  entry: string;
  decided: T;
  /** inputs that have been corrected or withdrawn since */
  staleBecause: string[];
  /** computed again from what holds now, it would come out differently */
  wouldDiffer: boolean;
}

/** `not-covered`: Estribo does not carry this stage for the family yet; it is done by the maker's instructions */
export type StageStatus = 'done' | 'open' | 'blocked' | 'not-needed' | 'not-covered';

export interface StageState {
  status: StageStatus;
  /** for blocked: the finding that blocks, by name */
  because?: string;
}

export interface PlannedVisit {
  entry: string;
  by: string;
  day: ClinicDay;
  purpose: 'fitting' | 'review';
  note?: string;
  kept: boolean;
}

export interface ReviewVisit extends VisitFigures {
  found?: ReviewFinding & { note?: string };
  entry?: string;
}

/** What a brace looks like that does not match what was decided. */
export type LookAtBrace =
  | { what: 'fitted-differs-from-chosen'; entry: string }
  | { what: 'pair-differs'; entry: string; stops: ('extension' | 'flexion')[] }
  | { what: 'outside-order' | 'found-so'; entry: string };

/** Somebody is to be called today about something that was found. */
export interface UrgentCall {
  /** the finding, the check, or what a review found */
  about: string;
  why: 'finding' | 'limb-safety' | 'outside-order' | 'review';
  /** the entry it was found in */
  of: string;
  day: ClinicDay;
  whom: Referral;
  stage: Stage;
  made?: { entry: string; whom: string; said: string; day: ClinicDay };
}

/** What is to be looked at in how a setting was made, whether or not it is right. */
export type SettingFlag = 'differs-from-chosen' | 'found-so' | 'over-change' | 'over-all';

/** A setting with what was chosen for it and made of it, judged by what was wanted of it on that day. */
export interface MadeSetting {
  setting: Setting;
  chosen: Decided<BodyOf<'set.chosen'>> | undefined;
  made: (SettingMade & { entry: string; day: ClinicDay }) | undefined;
  judged: JudgedSetting;
  flags: SettingFlag[];
}

export interface CaseState {
  case: string;
  person: string;
  side: Side;
  opened: ClinicDay;
  seq: number;
  programmePin: Pin;
  modelPin: Pin;
  programme: Programme;
  model: BraceModel;
  /** the brace's parts: the family's and the model's own */
  parts: Part[];
  lines: RecordLine[];
  conflicts: RecordLine[];
  screening: ScreeningState;
  /** movement and sensation in arms and legs, where the family has them noted before and after */
  limbs: LimbsState;
  order: { entry: string; order: Order } | undefined;
  measuring: MeasuringProgress & { steps: MeasuringStep[] };
  motion: { entry: string; day: ClinicDay; motion: BodyOf<'motion.tested'> } | undefined;
  sizing: {
    /** the model's chart, with the programme's own rules where it has any */
    chart: Chart;
    readings: Record<string, AxisReading | undefined>;
    match: SizeMatch;
    /** the entries a size is made from: the readings its axes use, and what decided how they count */
    inputs: string[];
    /** the height apart from the size, for a model that comes in more than one */
    height: HeightMatch | undefined;
    chosen: Decided<BodyOf<'size.chosen'>> | undefined;
  };
  setting: {
    /** the hinges' stops as pairs: chosen and in */
    chosen: Decided<BodyOf<'set.chosen'> & { medial: HingeStops; lateral: HingeStops }> | undefined;
    fitted:
      | { entry: string; day: ClinicDay; medial: HingeStops; lateral: HingeStops; phase: number | undefined }
      | undefined;
    /** every fitting of stops, in order */
    fittings: { day: ClinicDay; stops: HingeStops }[];
    look: LookAtBrace[];
    /** everything that is set, as it was last made */
    made: MadeSetting[];
  };
  shaping: {
    scars: Scar[];
    pads: { pad: PartOf<'pad'>; advice: PadAdvice; done: 'placed' | 'split' | 'left-out' | undefined }[];
    bends: (Bend & { entry: string })[];
    /** every operation that this brace allows, with what was done of it */
    work: {
      operation: Operation;
      parts: Part[];
      /** what it requires first holds; undefined where that is not known yet */
      mayBegin: boolean | undefined;
      done: (WorkDone & { entry: string; inSpite?: string })[];
    }[];
  };
  strapping: RunnerState & {
    /** the list in use; undefined while it is asked which of several */
    list: Sequence | undefined;
    /** the lists by which it may be put on for the first time */
    lists: Sequence[];
    /** lists for another case than this one: not offered */
    unsuited: Sequence[];
    settled: { minutes: number; dropped?: number } | undefined;
  };
  checking: {
    checks: {
      check: FitCheck;
      judged: Judged;
      value?: number;
      reference?: number;
      seen?: boolean;
      entry?: string;
    }[];
    result: 'open' | 'pass' | 'fail';
    /** failed checks that may not wait */
    unsafe: UnsafeCheck[];
    signed: Decided<BodyOf<'check.signed'> & { by: string; at: string }> | undefined;
    inputs: string[];
  };
  wearing: {
    plan: { entry: string; plan: WearPlan } | undefined;
    /** a growing plan that a protective order has stopped since */
    stopped: { entry: string; plan: WearPlan } | undefined;
    /** a growing plan that is held: by a check the limb is not safe in the brace */
    held: boolean;
    taught: 'patient' | 'carer' | undefined;
  };
  reviewing: { first: ReviewVisit; visits: ReviewVisit[]; followed: Followed };
  visits: PlannedVisit[];
  /** calls of today, made or not */
  calls: UrgentCall[];
  stages: Record<Stage, StageState>;
}
