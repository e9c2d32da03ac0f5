import { signedAngle, type JointPlane, type Side } from '../anatomy';
import { phaseOn, type ClinicDay } from '../calendar';
import type { Degrees } from '../quantity';
import { isFree, isOf, windowOf, type MotionWindow } from './limits';
import type { Order, OrderedLock, OrderPhase, Trouble } from './order-body';

export type OrderProblem =
  | { problem: 'no-phase' }
  | { problem: 'first-phase-late'; phase: 0 }
  | { problem: 'phases-not-rising'; phase: number }
  | { problem: 'phase-ends-first'; phase: number }
  | { problem: 'phases-overlap'; phase: number }
  | { problem: 'window-reversed'; phase: number }
  | { problem: 'limited-twice'; phase: number }
  | { problem: 'lock-outside-limits'; phase: number }
  | { problem: 'joint-not-said'; phase: number }
  | { problem: 'ends-before-it-begins' }
  | { problem: 'other-side' }
  | { problem: 'protective-taken-off' };

/**
 * What in an order cannot be right, or must be asked back.
 * @param caseSide the side the case was opened for
 */
export function orderProblems(order: Order, caseSide: Side): OrderProblem[] {
  const problems: OrderProblem[] = [];
  if (order.phases.length === 0) problems.push({ problem: 'no-phase' });
  order.phases.forEach((one, phase) => {
    if (phase === 0 && one.fromDay !== 0) problems.push({ problem: 'first-phase-late', phase });
    if (phase > 0 && one.fromDay <= order.phases[phase - 1]!.fromDay)
      problems.push({ problem: 'phases-not-rising', phase });
    if (one.lastDay !== undefined && one.lastDay < one.fromDay)
      problems.push({ problem: 'phase-ends-first', phase });
    // one that goes back is told as such
    const before = order.phases[phase - 1];
    if (before && one.fromDay > before.fromDay && (before.lastDay ?? -1) >= one.fromDay)
      problems.push({ problem: 'phases-overlap', phase });
    problems.push(...limitProblems(one).map((problem) => ({ problem, phase })));
  });
  if (order.until !== undefined && order.until < order.dayZero)
    problems.push({ problem: 'ends-before-it-begins' });
  if (order.side !== caseSide) problems.push({ problem: 'other-side' });
  if (order.protective && order.trouble === 'take-off') problems.push({ problem: 'protective-taken-off' });
  return problems;
}

function limitProblems({
  limits,
  locks = [],
  unsaid,
}: OrderPhase): ('window-reversed' | 'limited-twice' | 'lock-outside-limits' | 'joint-not-said')[] {
  const windows = limits.map((limit) => windowOf([limit], limit));
  const isReversed = ({ extension, flexion }: MotionWindow) =>
    extension !== undefined && flexion !== undefined && extension > flexion;
  const names = limits.map(({ joint, plane }) => `${joint} ${plane}`);
  const isOutside = ({ joint, at }: OrderedLock) => {
    const motion = { joint, plane: 'sagittal' as const };
    const { extension = -Infinity, flexion = Infinity } = windowOf(limits, motion);
    const { flexion: angle } = windowOf([{ ...motion, to: at }], motion);
    return angle! < extension || angle! > flexion;
  };
  return [
    ...(windows.some(isReversed) ? (['window-reversed'] as const) : []),
    ...(new Set(names).size < names.length ? (['limited-twice'] as const) : []),
    // a lock for walking or for the night may lie outside what is moved otherwise; one for always may not
    ...(locks.some((lock) => lock.when === 'always' && isOutside(lock))
      ? (['lock-outside-limits'] as const)
      : []),
    ...(unsaid ? (['joint-not-said'] as const) : []),
  ];
}

/**
 * The phase in force on a day.
 * @returns undefined for an order without phases
 */
export function phaseInForce(order: Order, day: ClinicDay): { index: number; phase: OrderPhase } | undefined {
  const index = phaseOn(order.dayZero, order.phases, day);
  const phase = order.phases[index];
  return phase && { index, phase };
}

/**
 * Height, panels and donning position on a day: as the phase in force says, else as the whole order does.
 * @returns what neither says is absent
 */
export function orderedOn(order: Order, day: ClinicDay): Pick<Order, 'height' | 'panels' | 'posture'> {
  const phase = phaseInForce(order, day)?.phase;
  const [height, panels, posture] = [
    phase?.height ?? order.height,
    phase?.panels ?? order.panels,
    phase?.posture ?? order.posture,
  ];
  return { ...(height ? { height } : {}), ...(panels ? { panels } : {}), ...(posture ? { posture } : {}) };
}

/** The angle that the order holds a joint at, whatever the phase. */
export function heldAngle({ angles = [] }: Order, motion: JointPlane): Degrees | undefined {
  const held = angles.find(isOf(motion));
  return held && signedAngle(held, held.at);
}

const fixedAt = (angle: Degrees | undefined): MotionWindow =>
  angle === undefined ? {} : { extension: angle, flexion: angle };

/** The angle at which the phase in force locks a joint; undefined where it does not. */
function lockedAngle(order: Order, day: ClinicDay, motion: JointPlane): Degrees | undefined {
  const lock = phaseInForce(order, day)?.phase.locks?.find(({ joint }) => joint === motion.joint);
  return lock && motion.plane === 'sagittal' ? signedAngle(motion, lock.at) : undefined;
}

/**
 * How a joint is put on a day: at the angle that the phase in force locks it at, or the order holds it at, else as the phase
 * limits it.
 * @returns both ends the same where it is fixed, none where nothing is ordered
 */
export function angleOn(order: Order, day: ClinicDay, motion: JointPlane): MotionWindow {
  const held = lockedAngle(order, day, motion) ?? heldAngle(order, motion);
  return held === undefined ? (windowOn(order, day, motion)?.window ?? {}) : fixedAt(held);
}

/**
 * How far a motion may be tested on a day: as the phase in force limits it; one without limits not at all off the angle that
 * its joint is held or locked at.
 * @param motion undefined for a brace whose order limits none
 */
export function testWindow(order: Order, day: ClinicDay, motion: JointPlane | undefined): MotionWindow {
  const window = windowOn(order, day, motion)?.window ?? {};
  return motion && isFree(window) ? angleOn(order, day, motion) : window;
}

/**
 * The window of one motion in force on a day, with its phase.
 * @param motion undefined for a brace whose order limits none
 * @returns undefined for an order without phases
 */
export function windowOn(
  order: Order,
  day: ClinicDay,
  motion: JointPlane | undefined,
): { phase: number; window: MotionWindow } | undefined {
  const now = phaseInForce(order, day);
  return now && { phase: now.index, window: motion ? windowOf(now.phase.limits, motion) : {} };
}

/** Whether the order holds no more on a day. */
export const hasEnded = ({ until }: Pick<Order, 'until'>, day: ClinicDay): boolean =>
  until !== undefined && day > until;

/** What practice advises for trouble at home: protective braces stay on. Common practice, no source. */
export const troubleAdvice = (protective: boolean): Trouble => (protective ? 'keep-on' : 'take-off');
