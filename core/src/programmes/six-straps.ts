import type { Part } from '../brace';
import {
  fibularNeckClear,
  hingeHeight,
  inStrap,
  kneeAtStops,
  notTwisted,
  refill,
  seen,
  toesFelt,
  toesOfKneeBrace,
} from './checks';
import { shin, thigh } from './knee-levels';
import { strapsOffInOrder } from './off';
import type { Programme } from './programme';
import type { SequenceStep } from '../strapping';
import { endsInMidLimb, kneeStrap } from './knee-ligament-frame';

const seated = { stance: 'seated', joints: { knee: 30 } } as const;

/** Six straps of a frame, by their numbers and where they close: behind or in front. Levels are the drawing's own: an estimate. */
export const sixStraps: Part[] = [
  kneeStrap(1, -120, 'back'),
  kneeStrap(2, 88, 'back'),
  kneeStrap(3, 150, 'back'),
  kneeStrap(4, -84, 'front'),
  kneeStrap(5, -62, 'back'),
  kneeStrap(6, 112, 'front'),
].map((strap) => (strap.kind === 'strap' ? { ...strap, ends: { ...endsInMidLimb, pad: true } } : strap));

/** What is looked at on a frame with six straps, donned with the hinge's centre on a line across the kneecap's top. */
export const sixStrapChecks: Programme['checks'] = [
  hingeHeight(['hinge-medial', 'hinge-lateral'], 'level-hinges'),
  notTwisted({ ...thigh(0.36), face: 'front' }, 'strap-1'),
  seen('cuffs-flat', { ...shin(0.34), face: 'front' }, [inStrap('shin-cuff-flat')], {
    parts: ['shin-shell', 'thigh-shell'],
    moments: [{ is: 'seated' }, { is: 'after-walking' }],
  }),
  seen('equal-tension', { from: 'mid-kneecap', offset: -84, face: 'front' }, [inStrap('strap-1')]),
  ...kneeAtStops,
  fibularNeckClear('strap-5'),
  toesFelt(toesOfKneeBrace),
  refill(toesOfKneeBrace),
];

/** One to six opened, each hook folded back on its own strap. */
export const sixStrapsOff = strapsOffInOrder(sixStraps.map(({ id }) => id));

/** The front-cruciate and general order of six straps, knee about 30 degrees, foot flat. Common practice, no source. */
export const sixStrapsOn: SequenceStep[] = [
  { kind: 'act', id: 'open-all', on: 'brace', posture: seated },
  { kind: 'act', id: 'level-hinges', on: 'brace', posture: seated },
  { kind: 'act', id: 'shin-cuff-flat', on: 'brace', part: 'shin-shell', posture: seated },
  { kind: 'strap', id: 'strap-1', part: 'strap-1', posture: seated },
  { kind: 'strap', id: 'strap-2', part: 'strap-2', posture: seated },
  { kind: 'act', id: 'thigh-cuff-flat', on: 'brace', part: 'thigh-shell', posture: seated },
  { kind: 'strap', id: 'strap-3', part: 'strap-3', posture: seated },
  { kind: 'strap', id: 'strap-4', part: 'strap-4', posture: seated },
  { kind: 'strap', id: 'strap-5', part: 'strap-5', posture: seated },
  { kind: 'strap', id: 'strap-6', part: 'strap-6', posture: { stance: 'standing' } },
  { kind: 'settle', id: 'warm-up', how: 'walk', minutes: 5 },
];

/** Each loosened and tightened in order, seated again. */
export const sixStrapsAgain = { after: 'warm-up', posture: seated };
