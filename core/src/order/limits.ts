import { namedAngle, signedAngle, type JointPlane } from '../anatomy';
import type { Degrees } from '../quantity';
import type { MotionLimit } from './order-body';

/**
 * The motion a joint is ordered to have in one plane, counted positive towards the second end of it (flexion,
 * plantarflexion). A limit that is absent is not ordered: nothing is fitted for it beyond the programme's own.
 */
export interface MotionWindow {
  extension?: Degrees;
  flexion?: Degrees;
}

/** Whether the motion is limited at neither end. */
export const isFree = ({ extension, flexion }: MotionWindow): boolean =>
  extension === undefined && flexion === undefined;

/** Whether the joint is left no motion at all. */
export const isFixed = ({ extension, flexion }: MotionWindow): boolean =>
  extension !== undefined && extension === flexion;

/** What is ordered of one joint in one plane, among all that is ordered. */
export const isOf =
  ({ joint, plane }: JointPlane) =>
  (one: JointPlane) =>
    one.joint === joint && one.plane === plane;

/** The window of one motion among all limits; empty where nothing is ordered for it. */
export function windowOf(limits: readonly MotionLimit[], motion: JointPlane): MotionWindow {
  const { from, to } = limits.find(isOf(motion)) ?? {};
  return {
    ...(from === undefined ? {} : { extension: signedAngle(motion, from) }),
    ...(to === undefined ? {} : { flexion: signedAngle(motion, to) }),
  };
}

/** The inverse of windowOf: the limit as it is written, none for a free motion. */
export function limitsOf(motion: JointPlane, window: MotionWindow): MotionLimit[] {
  const { extension, flexion } = window;
  return isFree(window)
    ? []
    : [
        {
          joint: motion.joint,
          plane: motion.plane,
          ...(extension === undefined ? {} : { from: namedAngle(motion, extension) }),
          ...(flexion === undefined ? {} : { to: namedAngle(motion, flexion) }),
        },
      ];
}
