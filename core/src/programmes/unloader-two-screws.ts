import type { Programme } from './programme';
import { calfSign, kneePosture, legFindings, mark, modelsKneeGirths, modelsOwn, width } from './steps';

/**
 * Single-upright unloader with two correction screws and a mouldable tibial cuff. Sizing readings are the
 * model's own. Common practice, no source.
 */
export const unloaderTwoScrews: Programme = {
  id: 'unloader-two-screws',
  version: 5,
  region: 'leg',
  joint: 'knee',
  hinge: 'behind-midline',
  donning: 30,
  ordered: ['relieve', 'motion'],
  injuries: ['osteoarthritis-inner', 'osteoarthritis-outer', 'cartilage'],
  findings: legFindings,
  measuring: [
    kneePosture(),
    mark('mid-kneecap'),
    ...modelsKneeGirths,
    modelsOwn(width('knee-width', 'mid-kneecap', 'mediolateral', [50, 190], { ofStature: 0.064 })),
    calfSign,
  ],
  axes: ['girth-above', 'girth-below', 'knee-width'],
  wear: [{ id: 'for-weight-bearing', firstDay: 30 }],
  settings: [],
  parts: [],
  sequences: [],
  checks: [],
};
