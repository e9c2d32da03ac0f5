import type { Degrees } from '../quantity';
import type { Region } from './region';

export const joints = ['knee', 'ankle', 'shoulder', 'elbow', 'neck'] as const;
export type Joint = (typeof joints)[number];

/** The joints in a region and beside it, the nearest first. */
const near: Readonly<Record<Region, readonly Joint[]>> = {
  leg: ['knee', 'ankle'],
  ankle: ['ankle', 'knee'],
  trunk: ['neck', 'shoulder'],
  neck: ['neck', 'shoulder'],
  shoulder: ['shoulder', 'elbow', 'neck'],
};

/** Every joint, those that a brace of a region lies on or near to first. */
export const jointsFrom = (region: Region): Joint[] => [...new Set([...near[region], ...joints])];

export const planes = ['sagittal', 'frontal', 'transverse'] as const;
/** Flexion and extension; abduction and adduction, or bending to either side; rotation. */
export type Plane = (typeof planes)[number];

export const motionEnds = [
  'extension',
  'flexion',
  'dorsiflexion',
  'plantarflexion',
  'backward',
  'forward',
  'abduction',
  'adduction',
  'bending-left',
  'bending-right',
  'external-rotation',
  'internal-rotation',
  'rotation-left',
  'rotation-right',
] as const;
/** Where a motion goes to, by its own name: a bare sign says nothing of it. */
export type MotionEnd = (typeof motionEnds)[number];

/** A joint's motion in one plane. */
export interface JointPlane {
  joint: Joint;
  plane: Plane;
}

/** The two ends of a joint's motion in a plane, in the order in which neutral zero states them (AAOS 1965; memory). */
export function endsOf({ joint, plane }: JointPlane): readonly [MotionEnd, MotionEnd] {
  if (plane === 'sagittal')
    return joint === 'ankle'
      ? ['dorsiflexion', 'plantarflexion']
      : joint === 'neck'
        ? ['backward', 'forward']
        : ['extension', 'flexion'];
  if (joint === 'neck')
    return plane === 'frontal' ? ['bending-left', 'bending-right'] : ['rotation-left', 'rotation-right'];
  return plane === 'frontal' ? ['abduction', 'adduction'] : ['external-rotation', 'internal-rotation'];
}

/** An angle of a joint by the end it lies towards, from neutral zero. */
export interface JointAngle {
  toward: MotionEnd;
  /** 0 or more */
  degrees: Degrees;
}

/** The angle as the computations count it: positive towards the second of the two ends. */
export const signedAngle = (motion: JointPlane, { toward, degrees }: JointAngle): Degrees =>
  (endsOf(motion)[0] === toward ? -degrees : degrees) || 0;

/** The inverse of signedAngle. */
export const namedAngle = (motion: JointPlane, angle: Degrees): JointAngle => ({
  toward: endsOf(motion)[angle < 0 ? 0 : 1],
  degrees: Math.abs(angle),
});
