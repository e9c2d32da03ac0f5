import type { Programme } from './programme';
import { girth, length, mark, trunkFindings } from './steps';

/**
 * TLSO with a sternal pad: girth 25 mm higher than the hips' greatest girth; between sizes, the larger. The
 * height from the sternal notch to the pubic symphysis chooses the bar. Common practice, no source.
 */
export const spineSternalPad: Programme = {
  id: 'spine-sternal-pad',
  version: 1,
  region: 'trunk',
  findings: trunkFindings,
  measuring: [
    { kind: 'stance', id: 'standing', stance: 'standing' },
    mark('hips-greatest-girth'),
    girth('girth-hips', 'hips-greatest-girth', 25, [500, 1900], {
      tolerance: 12,
      withinPerson: 6,
      shared: 6,
      ofStature: 0.57,
      substitute: { how: 'lying', shared: 14 },
    }),
    length('distance', 'notch-to-symphysis', 'sternal-notch', 'pubic-symphysis', [250, 700], {
      ofStature: 0.308,
    }),
  ],
  axes: ['girth-hips', 'notch-to-symphysis'],
  between: 'larger',
  sequence: [],
  checks: [],
};
