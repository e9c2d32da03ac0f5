import type { Side } from '../anatomy';
import type { KnownFacts, Part } from '../brace';
import type { ClinicDay } from '../calendar';
import type { CheckingState } from '../checking';
import type { MeasuringState, TestedMotion } from '../measuring';
import type { GivenOrder } from '../order';
import type { BraceModel, Pin, Programme } from '../programmes';
import type { SettledLine, Stage } from '../record';
import type { ReviewingState } from '../reviewing';
import type { LimbsState, LookedState } from '../screening';
import type { MadeSetting, PlacedHinge, StopsState } from '../setting';
import type { ShapingState } from '../shaping';
import type { SizingState } from '../sizing';
import type { StrappingState } from '../strapping';
import type { WearingState } from '../wearing';
import type { UrgentCall } from './calls';
import type { CaseKeeping } from './case-keeping';
import type { AnyRecordedEntry } from './entry';
import type { StageState } from './stage-states';
import type { PlannedVisit } from './visits';

/** An entry of a case with what became of it. */
export interface RecordLine extends SettledLine<AnyRecordedEntry> {
  /** it reached the server long after it was observed: it waited in a browser, or was written down later */
  late?: true;
  /** a fact outside what the model has: a foreign piece, a bend its maker forbids */
  outside?: true;
}

/** Everything that is shown of a case: what each stage makes of the record, and what joins them. */
export interface CaseState {
  case: string;
  person: string;
  side: Side;
  /** the clinic's: decides which day an instant was */
  zone: string;
  opened: ClinicDay;
  seq: number;
  programmePin: Pin;
  modelPin: Pin;
  programme: Programme;
  model: BraceModel;
  /** what is known of it where a condition is asked */
  facts: KnownFacts;
  /** the brace's parts: the family's and the model's own */
  parts: Part[];
  lines: RecordLine[];
  conflicts: RecordLine[];
  screening: LookedState;
  /** movement and sensation in arms and legs, where the family has them noted before and after */
  limbs: LimbsState;
  order: GivenOrder | undefined;
  measuring: MeasuringState;
  /** the last test of the motion that the order limits, and all of them */
  motion: TestedMotion | undefined;
  motions: TestedMotion[];
  sizing: SizingState;
  /** the hinges' stops as pairs, and everything that is set, as it was last made */
  setting: StopsState & { made: MadeSetting[]; hinge: PlacedHinge | undefined };
  shaping: ShapingState;
  strapping: StrappingState;
  checking: CheckingState;
  wearing: WearingState;
  reviewing: ReviewingState;
  visits: PlannedVisit[];
  /** who has the case in hand, whether it is closed, its notes and labels */
  keeping: CaseKeeping;
  /** calls of today, made or not */
  calls: UrgentCall[];
  stages: Record<Stage, StageState>;
}
