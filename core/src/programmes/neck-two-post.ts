import type { Programme } from './programme';
import { girth, length, neckFindings } from './steps';

/**
 * Cervicothoracic two-post brace: one adjustable size. In line, by the facility's handling policy; the neck is
 * not moved to be measured. The range it adjusts to is the model's own. Common practice, no source.
 */
export const neckTwoPost: Programme = {
  id: 'neck-two-post',
  version: 1,
  region: 'neck',
  findings: neckFindings,
  measuring: [
    { kind: 'stance', id: 'in-line', stance: 'in-line' },
    length('height', 'notch-to-chin', 'sternal-notch', 'chin-line', [40, 260], {
      tolerance: 6,
      withinPerson: 3,
      shared: 4,
      ofStature: 0.086,
    }),
    girth('girth-chest', 'chest', 0, [450, 1800], {
      tolerance: 12,
      withinPerson: 6,
      shared: 8,
      ofStature: 0.54,
    }),
  ],
  axes: ['girth-chest', 'notch-to-chin'],
  sequence: [],
  checks: [],
};
