import type { Programme } from './programme';
import { anklePosture, girth, legFindings, motion } from './steps';

/**
 * Walker boot with air cells, short or tall: size by the model's chart, height by the order. Ankle at the
 * ordered angle, usually 90 degrees, which neutral zero calls 0. Common practice, no source.
 */
export const ankleWalker: Programme = {
  id: 'ankle-walker',
  version: 1,
  region: 'ankle',
  joint: 'ankle',
  findings: legFindings,
  measuring: [
    { kind: 'stance', id: 'seated', stance: 'seated' },
    anklePosture(0),
    {
      kind: 'shoe',
      id: 'foot-length',
      tolerance: 4,
      withinPerson: 2,
      shared: 4,
      plausible: [90, 340],
      repeats: 1,
      ofStature: 0.152,
    },
    girth('girth-calf', 'calf-greatest-girth', 0, [180, 650], { ofStature: 0.216, optional: true }),
    motion('ankle-motion', 'ankle', 'sagittal', ['passive']),
  ],
  axes: ['foot-length', 'girth-calf'],
  sequence: [],
  checks: [],
};
