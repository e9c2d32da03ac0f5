import { lazy, object, string, type Schema } from 'yup';
import { joints, type Joint } from '../anatomy';
import type { Degrees } from '../quantity';
import { finite } from './place';

export const stances = ['standing', 'upright-hands-supported', 'seated', 'supine', 'in-line'] as const;
export type Stance = (typeof stances)[number];

/** A stance and the joints' angles together; what is absent is as it comes. */
export interface Posture {
  stance?: Stance;
  joints?: Partial<Record<Joint, Degrees | 'as-ordered'>>;
}

/** The angle a joint has: so many degrees, or what the order says of it. */
const angle = lazy((value) => (typeof value === 'string' ? string().oneOf(['as-ordered']) : finite()));

export const optionalPosture = object({
  stance: string().oneOf(stances),
  joints: object(Object.fromEntries(joints.map((joint) => [joint, angle])))
    .noUnknown()
    .default(undefined),
})
  .noUnknown()
  .default(undefined) as unknown as Schema<Posture | undefined>;
