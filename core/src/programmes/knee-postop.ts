import type { Programme } from './programme';
import {
  calfSign,
  girth,
  kneePosture,
  legFindings,
  length,
  mark,
  modelsOwn,
  motion,
  overDressing,
  stance,
} from './steps';

/**
 * Post-operative range-of-motion brace: telescoping uprights, dial hinge on the side midline. Best measured
 * before the operation; over a dressing the girths say so by their uncertainty. Sizing readings are the
 * model's own. Common practice, no source.
 */
export const kneePostop: Programme = {
  id: 'knee-postop',
  version: 3,
  region: 'leg',
  joint: 'knee',
  hinge: 'on-midline',
  findings: legFindings,
  measuring: [
    stance(),
    kneePosture(),
    mark('mid-kneecap'),
    modelsOwn(
      girth('girth-above', 'mid-kneecap', 'model', [250, 950], {
        ofStature: 0.279,
        substitute: overDressing,
      }),
    ),
    modelsOwn(
      girth('girth-below', 'mid-kneecap', 'model', [180, 650], {
        ofStature: 0.216,
        substitute: overDressing,
      }),
    ),
    modelsOwn(
      length('distance', 'knee-to-malleoli', 'mid-kneecap', 'malleoli', [120, 560], { ofStature: 0.253 }),
    ),
    motion('knee-motion', 'knee', 'sagittal', ['passive']),
    calfSign,
  ],
  axes: ['girth-above', 'girth-below', 'knee-to-malleoli'],
  parts: [],
  sequences: [],
  checks: [],
};
