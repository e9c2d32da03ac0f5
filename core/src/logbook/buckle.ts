import type { JointPlane } from '../anatomy';
import type { ClinicDay } from '../calendar';
import type { MotionWindow } from '../order';
import type { Stage } from '../record';
import type { HingeStops } from '../setting';
import type { UrgentCall } from './calls';
import type { VisitPurpose } from './case-entries';

/** A day on which something is to be done: call, fitting, a look once more, stops, wear step, review, a visit for something else. */
export interface Buckle {
  day: ClinicDay;
  /** a planned visit's entry and who planned it */
  planned?: { entry: string; by: string; purpose: VisitPurpose; time?: string };
  kind: 'C' | 'F' | 'L' | 'S' | 'W' | 'R' | 'V';
  stage: Stage;
  /** the patient comes in for it; if not, it passes by itself */
  visit: boolean;
  /** what is to be done: the window of the phase, the minutes, the note */
  window?: MotionWindow;
  /** the motion that the window is of */
  motion?: JointPlane;
  /** a setting that is another from this day on */
  setting?: string;
  /** which of the order's phases, or of the setting's own days, it is that begins: the same wherever it is moved to */
  begins?: number;
  minutes?: number;
  note?: string;
  /** who wrote the note */
  noteBy?: string;
  /** of a visit: the note that everybody sees who sees visits */
  deskNote?: string;
  /** of what is looked at once more: which check, and until which instant */
  again?: { check: string; until: string };
  /** of a call: what it is about */
  about?: { why: UrgentCall['why']; name: string };
}

/** What stays due until it is done: a visit that was not kept, a call that was not made. */
export const staysDue = ({ visit, kind }: Pick<Buckle, 'visit' | 'kind'>): boolean => visit || kind === 'C';

/** A stretch of days in the brace. */
export interface WornSpan {
  from: ClinicDay;
  until?: ClinicDay;
  stops?: HingeStops;
  minutes?: number;
}

export interface Ribbon {
  worn: WornSpan[];
  buckles: Buckle[];
}
