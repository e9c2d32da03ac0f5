import type { Programme } from './programme';
import { girth, length, mark, trunkFindings } from './steps';

/**
 * Lumbar belts with panels, low or tall. Girth of the waist; L1 to L5 chooses low, T9 to the sacrococcygeal
 * junction tall; the girths above and below tilt the belt. Both ends to the same mark. Common practice, no
 * source; how far above and below is the model's own.
 */
export const spineBelt: Programme = {
  id: 'spine-belt',
  version: 1,
  region: 'trunk',
  findings: trunkFindings,
  measuring: [
    { kind: 'stance', id: 'standing', stance: 'standing' },
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
    length('curve', 'l1-to-l5', 'l1', 'l5', [60, 260], { ofStature: 0.082 }),
    length('curve', 't9-to-sacrococcygeal', 't9', 'sacrococcygeal-junction', [160, 480], {
      ofStature: 0.192,
      optional: true,
    }),
  ],
  axes: ['girth-waist'],
  sequence: [],
  checks: [],
};
