import type { Programme } from './programme';
import { armFindings, elbowPosture, girth, mark, modelsOwn, motion } from './steps';

/**
 * Shoulder support with wrap straps. Abduction and adduction, rotation first, neutral zero: the yardstick
 * later. Upper arm's greatest girth, arm slightly bent. Either side. Common practice, no source.
 */
export const shoulderSupport: Programme = {
  id: 'shoulder-support',
  version: 3,
  region: 'shoulder',
  joint: 'shoulder',
  findings: armFindings,
  measuring: [
    motion('shoulder-abduction', 'shoulder', 'frontal', ['active'], { mayAlso: ['passive'] }),
    motion('shoulder-rotation', 'shoulder', 'transverse', ['active'], { mayAlso: ['passive'] }),
    motion('shoulder-flexion', 'shoulder', 'sagittal', ['active'], {
      optional: true,
      modelsOwn: true,
      mayAlso: ['passive'],
    }),
    elbowPosture(20),
    mark('upper-arm-greatest-girth'),
    girth('girth-upper-arm', 'upper-arm-greatest-girth', 0, [140, 620], {
      ofStature: 0.182,
      substitute: { how: 'other-side', shared: 8 },
    }),
    modelsOwn(
      girth('girth-chest', 'chest', 0, [450, 1800], {
        tolerance: 12,
        withinPerson: 6,
        shared: 8,
        ofStature: 0.54,
        onlyAsAxis: true,
      }),
    ),
  ],
  axes: ['girth-upper-arm', 'girth-chest'],
  parts: [],
  sequences: [],
  checks: [],
};
