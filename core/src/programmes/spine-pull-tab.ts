import type { Programme } from './programme';
import { girth, length, mark, modelsOwn, stance, trunkFindings } from './steps';

/**
 * Pull-tab belt, and its shoulder-strap TLSO. Girth of the waist; side extensions reach further. Ends equal,
 * low and centred. Common practice, no source.
 */
export const spinePullTab: Programme = {
  id: 'spine-pull-tab',
  version: 4,
  region: 'trunk',
  ordered: ['panels'],
  injuries: ['disc', 'fusion', 'vertebral-fracture-stable'],
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
    modelsOwn(
      length('curve', 'c7-to-sacrum', 'c7', 'sacrum', [250, 700], { ofStature: 0.3, onlyAsAxis: true }),
    ),
  ],
  axes: ['girth-waist', 'c7-to-sacrum'],
  settings: [],
  parts: [],
  sequences: [],
  checks: [],
};
