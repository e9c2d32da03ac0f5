import type { Degrees } from '../quantity';
import type { PostureStep } from './protocol';

/**
 * Whether a joint stands at the angle the protocol wants.
 * @returns how far it is off, signed, and whether that is within the tolerance
 */
export function judgePosture(
  step: Pick<PostureStep, 'target' | 'tolerance'>,
  angle: Degrees,
): { off: Degrees; within: boolean } {
  const off = angle - step.target;
  return { off, within: Math.abs(off) <= step.tolerance };
}
