import type { Programme } from './programme';
import { neckFindings } from './steps';

/**
 * Cervicothoracic two-post brace: one adjustable size. Nobody who must not be moved is measured for it: nothing
 * is read, and the size is the one there is. Common practice, no source.
 */
export const neckTwoPost: Programme = {
  id: 'neck-two-post',
  version: 4,
  region: 'neck',
  ordered: ['posture'],
  injuries: ['cervical-fracture', 'fusion'],
  findings: neckFindings,
  limbs: 'before-and-after',
  measuring: [],
  axes: [],
  settings: [],
  parts: [],
  sequences: [],
  checks: [],
};
