import type { Side } from '../anatomy';
import { phaseOn, type ClinicDay } from '../calendar';
import type { Degrees } from '../quantity';

/**
 * The motion a joint is ordered to have. Flexion positive, hyperextension negative. A limit that
 * is absent is not ordered: nothing is fitted for it beyond the programme's own.
 */
export interface MotionWindow {
  extension?: Degrees;
  flexion?: Degrees;
}

export interface OrderPhase {
  /** days after day zero on which the phase begins */
  fromDay: number;
  window: MotionWindow;
}

/** The heights a size may come in. Which one is ordered, never computed. */
export const heightNames = ['short', 'tall', 'low', 'high'] as const;
export type HeightName = (typeof heightNames)[number];

/** What the patient does when trouble comes at home. The order carries it. */
export type Trouble = 'keep-on' | 'take-off';

export interface Order {
  diagnosis: string;
  prescriber: string;
  side: Side;
  dayZero: ClinicDay;
  phases: OrderPhase[];
  /** the height, for a brace that comes in more than one */
  height?: HeightName;
  /** after an operation, a fracture, for instability: wearing is never shortened by itself */
  protective: boolean;
  /** how it is to be worn, in the prescriber's words */
  wearing: string;
  trouble: Trouble;
}

export type OrderProblem =
  | { problem: 'no-phase' }
  | { problem: 'first-phase-late'; phase: 0 }
  | { problem: 'phases-not-rising'; phase: number }
  | { problem: 'window-reversed'; phase: number }
  | { problem: 'other-side' }
  | { problem: 'protective-taken-off' };

/**
 * What in an order cannot be right, or must be asked back.
 * @param caseSide the side the case was opened for
 */
export function orderProblems(order: Order, caseSide: Side): OrderProblem[] {
  const problems: OrderProblem[] = [];
  if (order.phases.length === 0) problems.push({ problem: 'no-phase' });
  order.phases.forEach(({ fromDay, window }, phase) => {
    if (phase === 0 && fromDay !== 0) problems.push({ problem: 'first-phase-late', phase });
    if (phase > 0 && fromDay <= order.phases[phase - 1]!.fromDay)
      problems.push({ problem: 'phases-not-rising', phase });
    if (window.extension !== undefined && window.flexion !== undefined && window.extension > window.flexion)
      problems.push({ problem: 'window-reversed', phase });
  });
  if (order.side !== caseSide) problems.push({ problem: 'other-side' });
  if (order.protective && order.trouble === 'take-off') problems.push({ problem: 'protective-taken-off' });
  return problems;
}

/**
 * The window in force on a day, with its phase.
 * @returns undefined for an order without phases
 */
export function windowOn(order: Order, day: ClinicDay): { phase: number; window: MotionWindow } | undefined {
  const phase = phaseOn(order.dayZero, order.phases, day);
  const found = order.phases[phase];
  return found && { phase, window: found.window };
}

/** What practice advises for trouble at home: protective braces stay on. Common practice, no source. */
export const troubleAdvice = (protective: boolean): Trouble => (protective ? 'keep-on' : 'take-off');
