import type { MotionWindow } from '../order';
import type { Degrees } from '../quantity';
import type { PostureStep } from './protocol';

/**
 * Whether a joint stands at the angle the protocol wants.
 * @param ordered the window of the order in force, for a posture that is as ordered; a limit that is not
 *   ordered asks for nothing
 * @returns how far it is off, signed, and whether that is within the tolerance
 */
export function judgePosture(
  { target, tolerance }: Pick<PostureStep, 'target' | 'tolerance'>,
  angle: Degrees,
  ordered: MotionWindow = {},
): { off: Degrees; within: boolean } {
  const off =
    target === 'as-ordered'
      ? Math.max(0, angle - (ordered.flexion ?? angle)) + Math.min(0, angle - (ordered.extension ?? angle))
      : angle - (target ?? angle);
  return { off, within: Math.abs(off) <= tolerance };
}

/** So many degrees off the protocol's angle add as much again as instrument and landmark leave open. An estimate. */
const degreesThatDouble: Degrees = 10;

/** A posture other than the named one, with no angle read, counts as this far off. An estimate. */
const unreadPosture: Degrees = 20;

/**
 * What repeats share of a reading that was taken in another posture than its protocol names: it cannot be
 * averaged away, and grows with how far off the joint was. Estimates, no source.
 * @param shared u_B in the named posture, in the step's unit
 * @param off degrees, undefined where the posture was not read
 */
export const sharedInPosture = (shared: number, off: Degrees | undefined): number =>
  Math.hypot(shared, (shared * Math.abs(off ?? unreadPosture)) / degreesThatDouble);
