import type { ProtocolStep } from '../measuring';
import type { Programme } from './programme';
import { length, mark, stance, trunkFindings } from './steps';

/**
 * Back-bar orthosis for osteoporosis: length from C7 to the sacrum along the curve, as upright as can be, hands
 * supported. The inclinometer's stations draw the curve. Common practice, no source.
 */
export const spineBackBar: Programme = {
  id: 'spine-back-bar',
  version: 4,
  region: 'trunk',
  ordered: [],
  injuries: ['vertebral-fracture-osteoporotic'],
  findings: trunkFindings,
  limbs: 'before-and-after',
  measuring: [
    stance('upright-hands-supported'),
    mark('c7'),
    mark('sacrum'),
    length('curve', 'c7-to-sacrum', 'c7', 'sacrum', [250, 700], {
      ofStature: 0.3,
      substitute: { how: 'seated', shared: 12 },
    }),
    ...[0, 0.25, 0.5, 0.75, 1].map((at): ProtocolStep => ({
      kind: 'inclination',
      id: `inclination-${at * 100}`,
      from: 'c7',
      to: 'sacrum',
      at,
      tolerance: 4,
      withinPerson: 2,
      shared: 2,
      plausible: [-70, 80],
      optional: true,
    })),
  ],
  axes: ['c7-to-sacrum'],
  settings: [],
  parts: [],
  sequences: [],
  checks: [],
};
