import type { Programme } from './programme';
import { girth, length, mark, stance, trunkFindings } from './steps';

/**
 * Lumbar belts with panels, low or tall as ordered. Girth of the waist; the length L1 to L5 is held against a low panel,
 * T9 to the sacrococcygeal junction against a tall one; the girths above and below tilt the belt. Both ends to
 * the same mark. Common practice, no source; how far above and below is the model's own, the posture is noted.
 */
export const spineBelt: Programme = {
  id: 'spine-belt',
  version: 3,
  region: 'trunk',
  findings: trunkFindings,
  limbs: 'before-and-after',
  measuring: [
    stance(),
    mark('waist'),
    girth('girth-waist', 'waist', 0, [400, 1900], {
      tolerance: 12,
      withinPerson: 6,
      shared: 6,
      ofStature: 0.51,
      substitute: { how: 'lying', shared: 14 },
    }),
    girth('girth-waist-above', 'waist', 'model', [400, 1900], {
      tolerance: 12,
      withinPerson: 6,
      shared: 6,
      ofStature: 0.53,
    }),
    girth('girth-waist-below', 'waist', 'model', [400, 1900], {
      tolerance: 12,
      withinPerson: 6,
      shared: 6,
      ofStature: 0.56,
    }),
    length('curve', 'l1-to-l5', 'l1', 'l5', [60, 260], { ofStature: 0.082, optional: true }),
    length('curve', 't9-to-sacrococcygeal', 't9', 'sacrococcygeal-junction', [160, 480], {
      ofStature: 0.192,
      optional: true,
    }),
  ],
  axes: ['girth-waist'],
  parts: [],
  sequences: [],
  checks: [],
};
