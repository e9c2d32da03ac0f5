import type { Programme } from './programme';
import { calfSign, kneeGirths, kneePosture, legFindings, mark } from './steps';

/**
 * Frame unloader with a thumbwheel. Sizing readings are the model's own. Common practice, no source.
 */
export const unloaderThumbwheel: Programme = {
  id: 'unloader-thumbwheel',
  version: 1,
  region: 'leg',
  joint: 'knee',
  donning: 30,
  findings: legFindings,
  measuring: [kneePosture(30), mark('mid-kneecap'), ...kneeGirths('model', 'model'), calfSign],
  axes: ['girth-above', 'girth-below'],
  sequence: [],
  checks: [],
};
