import type { Programme } from './programme';
import { calfSign, kneeGirths, kneePosture, legFindings, mark, width } from './steps';

/**
 * Single-upright unloader with two correction screws and a mouldable tibial cuff. Sizing readings are the
 * model's own. Common practice, no source.
 */
export const unloaderTwoScrews: Programme = {
  id: 'unloader-two-screws',
  version: 1,
  region: 'leg',
  joint: 'knee',
  hinge: 'behind-midline',
  donning: 30,
  findings: legFindings,
  measuring: [
    kneePosture(30),
    mark('mid-kneecap'),
    ...kneeGirths('model', 'model'),
    width('knee-width', 'mid-kneecap', 'mediolateral', [50, 190], { ofStature: 0.064, optional: true }),
    calfSign,
  ],
  axes: ['girth-above', 'girth-below', 'knee-width'],
  sequence: [],
  checks: [],
};
