import type { Programme } from './programme';
import { calfSign, girth, kneePosture, legFindings, mark, modelsOwn, motion } from './steps';

/**
 * Rigid-frame unloader with two coronal hinges: girth 15 cm above the middle of the knee, measured from its
 * medial side. Common practice, no source.
 */
export const unloaderFrame: Programme = {
  id: 'unloader-frame',
  version: 5,
  region: 'leg',
  joint: 'knee',
  hinge: 'behind-midline',
  donning: 45,
  ordered: ['relieve', 'motion', 'weight'],
  injuries: ['osteoarthritis-inner', 'osteoarthritis-outer', 'cartilage'],
  findings: legFindings,
  measuring: [
    kneePosture(),
    mark('mid-kneecap'),
    girth('girth-above', 'mid-kneecap', 150, [250, 950], {
      along: 'medial',
      ofStature: 0.279,
      substitute: { how: 'other-side', shared: 9 },
    }),
    modelsOwn(girth('girth-below', 'mid-kneecap', -150, [180, 650], { ofStature: 0.216 })),
    motion('knee-motion', 'knee', 'sagittal', ['passive']),
    calfSign,
  ],
  axes: ['girth-above', 'girth-below'],
  wear: [
    {
      id: 'two-hours-at-first',
      when: { kind: 'ordered', what: 'protective', is: 'no' },
      mostAtFirst: 120,
    },
    { id: 'whenever-bearing-weight', when: { kind: 'ordered', what: 'protective', is: 'yes' } },
  ],
  settings: [],
  parts: [],
  sequences: [],
  checks: [],
};
