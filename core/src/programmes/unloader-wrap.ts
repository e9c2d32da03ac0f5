import type { Programme } from './programme';
import { calfSign, kneePosture, legFindings, mark, modelsKneeGirths } from './steps';

/**
 * Wrap-type unloader with a dial. Knee 30 degrees, foot flat. Sizing readings are the model's own. Common
 * practice, no source.
 */
export const unloaderWrap: Programme = {
  id: 'unloader-wrap',
  version: 2,
  region: 'leg',
  joint: 'knee',
  donning: 30,
  findings: legFindings,
  measuring: [kneePosture(30), mark('mid-kneecap'), ...modelsKneeGirths, calfSign],
  axes: ['girth-above', 'girth-below'],
  sequence: [],
  checks: [],
};
