import type { Programme } from './programme';
import { girth, length, mark, modelsOwn, stance, trunkFindings } from './steps';

/**
 * TLSO with a sternal pad: girth 25 mm higher than the hips' greatest girth; between sizes, the larger.
 * Common practice, no source; any further reading is the model's own, the posture is noted.
 */
export const spineSternalPad: Programme = {
  id: 'spine-sternal-pad',
  version: 4,
  region: 'trunk',
  ordered: ['posture', 'panels'],
  injuries: ['vertebral-fracture-stable', 'vertebral-fracture-osteoporotic', 'fusion'],
  findings: trunkFindings,
  limbs: 'before-and-after',
  measuring: [
    stance(),
    mark('hips-greatest-girth'),
    girth('girth-hips', 'hips-greatest-girth', 25, [500, 1900], {
      tolerance: 12,
      withinPerson: 6,
      shared: 6,
      ofStature: 0.57,
      substitute: { how: 'lying', shared: 14 },
    }),
    modelsOwn(
      length('distance', 'notch-to-symphysis', 'sternal-notch', 'pubic-symphysis', [250, 700], {
        ofStature: 0.308,
      }),
    ),
  ],
  axes: ['girth-hips', 'notch-to-symphysis'],
  settings: [],
  between: 'larger',
  parts: [],
  sequences: [],
  checks: [],
};
