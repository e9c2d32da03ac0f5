import type { Programme } from './programme';
import { girth, length, mark, modelsOwn, stance, trunkFindings, width } from './steps';

/**
 * Bivalve TLSO, made to measure. The injuries decide whether lying or seated: the posture is noted. The waist
 * groove lies just above the iliac crests. Common practice, no source; which readings go to the maker is the
 * model's own.
 */
export const spineBivalve: Programme = {
  id: 'spine-bivalve',
  version: 5,
  region: 'trunk',
  ordered: ['posture', 'roll'],
  injuries: [
    'vertebral-fracture-unstable',
    'vertebral-fracture-stable',
    'fusion',
    'fracture-ribs',
    'hip-or-pelvis',
  ],
  findings: trunkFindings,
  limbs: 'before-and-after',
  measuring: [
    stance(),
    mark('waist'),
    ...[
      mark('sternal-notch'),
      mark('hips-greatest-girth'),
      mark('pubic-symphysis'),
      girth('girth-chest', 'chest', 0, [450, 1800], {
        tolerance: 12,
        withinPerson: 6,
        shared: 8,
        ofStature: 0.54,
      }),
      girth('girth-waist', 'waist', 0, [400, 1900], {
        tolerance: 12,
        withinPerson: 6,
        shared: 8,
        ofStature: 0.51,
      }),
      girth('girth-hips-greatest', 'hips-greatest-girth', 0, [500, 1900], {
        tolerance: 12,
        withinPerson: 6,
        shared: 8,
        ofStature: 0.58,
      }),
      length('distance', 'notch-to-symphysis', 'sternal-notch', 'pubic-symphysis', [250, 700], {
        ofStature: 0.308,
      }),
      length('distance', 'axilla-to-trochanter', 'axilla', 'trochanter', [200, 600], { ofStature: 0.258 }),
      width('chest-width', 'chest', 'mediolateral', [160, 520], {
        tolerance: 8,
        withinPerson: 3,
        shared: 4,
        ofStature: 0.175,
      }),
      width('hips-width', 'hips-greatest-girth', 'mediolateral', [180, 560], {
        tolerance: 8,
        withinPerson: 3,
        shared: 4,
        ofStature: 0.195,
      }),
    ].map(modelsOwn),
  ],
  axes: ['girth-chest', 'girth-waist', 'girth-hips-greatest', 'notch-to-symphysis'],
  wear: [{ id: 'out-of-bed' }],
  settings: [],
  parts: [],
  sequences: [],
  checks: [],
};
