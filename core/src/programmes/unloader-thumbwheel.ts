import type { Programme } from './programme';
import { calfSign, kneePosture, legFindings, mark, modelsKneeGirths } from './steps';

/**
 * Frame unloader with a thumbwheel. Sizing readings are the model's own. Common practice, no source.
 */
export const unloaderThumbwheel: Programme = {
  id: 'unloader-thumbwheel',
  version: 3,
  region: 'leg',
  joint: 'knee',
  donning: 30,
  findings: legFindings,
  measuring: [kneePosture(), mark('mid-kneecap'), ...modelsKneeGirths, calfSign],
  axes: ['girth-above', 'girth-below'],
  settings: [],
  parts: [],
  sequences: [],
  checks: [],
};
