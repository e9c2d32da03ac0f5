import type { Programme } from './programme';
import { calfSign, kneeGirths, kneePosture, legFindings, mark, stance } from './steps';

/**
 * Elastic sleeve with a patellar pad. Standing if the leg bears weight, knee bent 30 degrees; girths 14 cm
 * above and 12 cm below the middle of the kneecap; size from a two-way table. Common practice, no source.
 */
export const kneeSleeve: Programme = {
  id: 'knee-sleeve',
  version: 7,
  region: 'leg',
  joint: 'knee',
  donning: 20,
  ordered: [],
  injuries: ['patella', 'meniscus', 'cartilage', 'osteoarthritis-inner', 'osteoarthritis-outer'],
  findings: legFindings,
  measuring: [
    stance('standing', ['seated', 'supine']),
    kneePosture(30),
    mark('mid-kneecap'),
    ...kneeGirths(140, -120),
    calfSign,
  ],
  axes: ['girth-above', 'girth-below'],
  wear: [{ id: 'worn-active' }],
  settings: [],
  notNeeded: [{ stage: 'set' }, { stage: 'shape' }],
  parts: [],
  sequences: [],
  checks: [],
};
