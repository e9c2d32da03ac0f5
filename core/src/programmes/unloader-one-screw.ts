import type { Programme } from './programme';
import { calfSign, kneePosture, legFindings, mark, modelsKneeGirths } from './steps';

/**
 * Single-upright unloader with one correction screw: one size, outer side, left or right; hinge level with the
 * top of the kneecap, slightly behind the midline. The range it fits is the model's own. Common practice,
 * no source.
 */
export const unloaderOneScrew: Programme = {
  id: 'unloader-one-screw',
  version: 5,
  region: 'leg',
  joint: 'knee',
  hinge: 'behind-midline',
  donning: 30,
  ordered: ['relieve', 'motion'],
  injuries: ['osteoarthritis-inner', 'osteoarthritis-outer', 'cartilage'],
  findings: legFindings,
  measuring: [kneePosture(), mark('mid-kneecap'), ...modelsKneeGirths, calfSign],
  axes: ['girth-above', 'girth-below'],
  wear: [{ id: 'for-weight-bearing', firstDay: 30 }],
  settings: [],
  parts: [],
  sequences: [],
  checks: [],
};
