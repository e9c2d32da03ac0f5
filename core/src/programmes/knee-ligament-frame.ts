import type { Programme } from './programme';
import { calfSign, kneePosture, legFindings, mark, modelsKneeGirths } from './steps';

/**
 * Rigid-frame ligament brace: four points, wedge stops, six straps. On the skin, the hinge's middle level
 * with the upper edge of the kneecap and behind the side midline. Common practice, no source. Practice names no
 * sizing reading and no posture for it: girths and their distances are the model's own, the knee's angle is noted.
 */
export const kneeLigamentFrame: Programme = {
  id: 'knee-ligament-frame',
  version: 3,
  region: 'leg',
  joint: 'knee',
  hinge: 'behind-midline',
  donning: 45,
  findings: legFindings,
  measuring: [kneePosture(), mark('mid-kneecap'), ...modelsKneeGirths, calfSign],
  axes: ['girth-above', 'girth-below'],
  stops: { leastExtension: 0, made: 'before-donning' },
  sequence: [
    { id: 'open-all', kind: 'prepare' },
    { id: 'draw-on', kind: 'don', knee: 45 },
    { id: 'level-hinges', kind: 'don', knee: 45 },
    { id: 'strap-1', kind: 'strap', strap: 1, knee: 45 },
    { id: 'strap-2', kind: 'strap', strap: 2, knee: 45 },
    { id: 'press-hinges', kind: 'press', knee: 45 },
    { id: 'strap-3', kind: 'strap', strap: 3 },
    { id: 'strap-4', kind: 'strap', strap: 4 },
    { id: 'strap-5', kind: 'strap', strap: 5 },
    { id: 'strap-6', kind: 'strap', strap: 6 },
    { id: 'settling-walk', kind: 'settle', minutes: 5 },
  ],
  checks: [
    { kind: 'distance', id: 'hinge-height', tolerance: 'model' },
    { kind: 'distance', id: 'hinge-behind-midline', tolerance: 'model' },
    { kind: 'seen', id: 'not-twisted' },
    { kind: 'proximal-to', id: 'strap-above-calf' },
    { kind: 'angle-at-stop', id: 'knee-at-extension-stop', stop: 'extension' },
    { kind: 'angle-at-stop', id: 'knee-at-flexion-stop', stop: 'flexion' },
    { kind: 'seen', id: 'fibular-neck-clear', limbSafety: true },
    { kind: 'seen', id: 'toes-warm-moving-felt', limbSafety: true },
  ],
};
