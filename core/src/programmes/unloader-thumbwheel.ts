import type { Programme } from './programme';
import { calfSign, kneePosture, legFindings, mark, modelsKneeGirths } from './steps';

/**
 * Frame unloader with a thumbwheel. Sizing readings are the model's own. Common practice, no source.
 */
export const unloaderThumbwheel: Programme = {
  id: 'unloader-thumbwheel',
  version: 4,
  region: 'leg',
  joint: 'knee',
  donning: 30,
  ordered: ['relieve', 'motion'],
  injuries: ['osteoarthritis-inner', 'osteoarthritis-outer'],
  findings: legFindings,
  measuring: [kneePosture(), mark('mid-kneecap'), ...modelsKneeGirths, calfSign],
  axes: ['girth-above', 'girth-below'],
  settings: [],
  parts: [],
  sequences: [],
  checks: [],
};
