import type { Programme } from './programme';
import { anklePosture, girth, legFindings, modelsOwn, motion, stance } from './steps';

/**
 * Walker boot with air cells, short or tall: size by the model's chart, height by the order. Ankle at the
 * ordered angle, usually 90 degrees, which neutral zero calls 0, or pointed where the order wants it: what is
 * read is held against the order. Common practice, no source.
 */
export const ankleWalker: Programme = {
  id: 'ankle-walker',
  version: 3,
  region: 'ankle',
  joint: 'ankle',
  findings: legFindings,
  measuring: [
    stance(),
    anklePosture,
    modelsOwn({
      kind: 'shoe',
      id: 'foot-length',
      tolerance: 4,
      withinPerson: 2,
      shared: 4,
      plausible: [90, 340],
      repeats: 1,
      ofStature: 0.152,
    }),
    modelsOwn(girth('girth-calf', 'calf-greatest-girth', 0, [180, 650], { ofStature: 0.216 })),
    motion('ankle-motion', 'ankle', 'sagittal', ['passive']),
  ],
  axes: ['foot-length', 'girth-calf'],
  parts: [],
  sequences: [],
  checks: [],
};
