import type { Part } from '../brace';
import type { SequenceStep } from '../strapping';
import { kneeStrap } from './knee-ligament-frame';

const seated = { stance: 'seated', joints: { knee: 30 } } as const;

/** Six straps of a frame, by their numbers and where they close: behind or in front. Levels are the drawing's own: an estimate. */
export const sixStraps: Part[] = [
  kneeStrap(1, -120, 'back'),
  kneeStrap(2, 88, 'back'),
  kneeStrap(3, 150, 'back'),
  kneeStrap(4, -84, 'front'),
  kneeStrap(5, -62, 'back'),
  kneeStrap(6, 112, 'front'),
];

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
