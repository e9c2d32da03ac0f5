import type { Programme } from './programme';
import { armFindings, elbowPosture, girth, mark, motion } from './steps';

/**
 * Shoulder support with wrap straps. Abduction and adduction, rotation first, neutral zero: the yardstick
 * later. Upper arm's greatest girth, arm slightly bent. Either side. Common practice, no source.
 */
export const shoulderSupport: Programme = {
  id: 'shoulder-support',
  version: 1,
  region: 'shoulder',
  joint: 'shoulder',
  findings: armFindings,
  measuring: [
    motion('shoulder-abduction', 'shoulder', 'frontal', ['active', 'passive'], false),
    motion('shoulder-rotation', 'shoulder', 'transverse', ['active', 'passive'], false),
    motion('shoulder-flexion', 'shoulder', 'sagittal', ['active', 'passive']),
    elbowPosture(20),
    mark('upper-arm-greatest-girth'),
    girth('girth-upper-arm', 'upper-arm-greatest-girth', 0, [140, 620], {
      ofStature: 0.182,
      substitute: { how: 'other-side', shared: 8 },
    }),
    girth('girth-chest', 'chest', 0, [450, 1800], {
      tolerance: 12,
      withinPerson: 6,
      shared: 8,
      ofStature: 0.54,
      onlyAsAxis: true,
    }),
  ],
  axes: ['girth-upper-arm', 'girth-chest'],
  sequence: [],
  checks: [],
};
