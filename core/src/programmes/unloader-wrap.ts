import type { Programme } from './programme';
import { calfSign, kneePosture, legFindings, mark, modelsKneeGirths } from './steps';

/**
 * Wrap-type unloader with a dial. Donned with the knee at 30 degrees, foot flat. Practice names no sizing reading
 * and no posture for it: they are the model's own, the knee's angle is noted. Common practice, no source.
 */
export const unloaderWrap: Programme = {
  id: 'unloader-wrap',
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
