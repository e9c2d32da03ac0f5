import type { Programme } from './programme';
import {
  calfSign,
  kneePosture,
  legFindings,
  mark,
  modelsKneeGirths,
  modelsOwn,
  motion,
  width,
} from './steps';

/**
 * Functional ligament brace: six straps, screwed stops. Donned with the knee about 30 degrees, foot flat; the
 * school gives no hinge midline. Practice names no sizing reading and no posture for it: they are the model's
 * own, the knee's angle is noted. Common practice, no source.
 */
export const kneeFunctional: Programme = {
  id: 'knee-functional',
  version: 4,
  region: 'leg',
  joint: 'knee',
  donning: 30,
  ordered: ['motion', 'weight'],
  injuries: ['front-cruciate', 'rear-cruciate', 'inner-ligament', 'outer-ligament'],
  findings: legFindings,
  measuring: [
    kneePosture(),
    mark('mid-kneecap'),
    ...modelsKneeGirths,
    modelsOwn(width('knee-width', 'mid-kneecap', 'mediolateral', [50, 190], { ofStature: 0.064 })),
    modelsOwn(
      width('knee-depth', 'mid-kneecap', 'anteroposterior', [50, 200], {
        ofStature: 0.068,
        onlyAsAxis: true,
      }),
    ),
    motion('knee-motion', 'knee', 'sagittal', ['active', 'passive']),
    calfSign,
  ],
  axes: ['girth-above', 'girth-below', 'knee-width', 'knee-depth'],
  settings: [],
  parts: [],
  sequences: [],
  checks: [],
};
