import {
  fibularNeckClear,
  gentlePressure,
  hingeBehind,
  hingeHeight,
  kneeAtStops,
  notTwisted,
  refill,
  toesFelt,
  toesOfKneeBrace,
} from './checks';
import { strapsBack, strapsOff } from './off';
import { frameOn, frameStraps, kneePad, rigidFrame } from './knee-ligament-frame';
import { kneeStops } from './knee-stops';
import { thigh } from './knee-levels';
import type { Programme } from './programme';
import { calfSign, girth, kneePosture, legFindings, mark, modelsOwn, motion } from './steps';
import { correction } from './unloader';

/**
 * Rigid-frame unloader with two coronal hinges: girth 15 cm above the middle of the knee, measured from its
 * medial side. Common practice, no source.
 */
export const unloaderFrame: Programme = {
  id: 'unloader-frame',
  version: 8,
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
      rule: 'active',
      when: { kind: 'ordered', what: 'protective', is: 'no' },
      mostAtFirst: 120,
    },
    {
      id: 'whenever-bearing-weight',
      rule: 'weight-bearing',
      when: { kind: 'ordered', what: 'protective', is: 'yes' },
    },
  ],
  settings: [
    kneeStops('kneecap-upper-edge', { always: true, checked: false }),
    correction('coronal-screws', {
      parts: ['hinge-medial'],
      at: { from: 'kneecap-upper-edge', face: 'medial' },
      // both coronal hinges as one: a pair stays a pair
      axes: [{ of: ['upper', 'lower'], go: 'alike' }],
      unit: 'turns',
      origin: 'neutral',
      least: -2,
      most: 2,
      firstChange: 0.25,
      moves: [
        { goal: { kind: 'neutral' }, posture: { stance: 'seated' } },
        {
          goal: { kind: 'until', observed: 'gentle-pressure' },
          posture: { stance: 'standing' },
          amount: 0.25,
          then: 'walk',
        },
        {
          goal: { kind: 'until', observed: 'gentle-pressure' },
          posture: { stance: 'standing' },
          amount: 'not-stated',
          then: 'ask',
        },
      ],
    }),
  ],
  parts: [
    ...rigidFrame.parts,
    ...frameStraps,
    kneePad('condyle-medial', 5, 45, 'medial'),
    kneePad('condyle-lateral', 5, 45, 'lateral'),
  ],
  operations: [
    { kind: 'pad', id: 'place-pads', asked: true },
    { kind: 'bend', id: 'bend-uprights', parts: ['upright-medial', 'upright-lateral'], off: true },
    // for a thin knee, or one that swells and thins
    {
      kind: 'exchange',
      id: 'exchange-medial-pad',
      parts: ['condyle-medial'],
      for: 'condyle-medial-thin',
      off: true,
    },
  ],
  care: ['pads-by-hand', 'hinges-dry-spray', 'straps-to-numbers'],
  followed: {
    motions: [{ step: 'knee-motion' }],
    readings: ['girth-above', 'girth-below'],
    settings: ['coronal-screws'],
  },
  sequences: [
    {
      id: 'putting-on',
      purpose: 'first-donning',
      people: ['patient', 'orthotist'],
      steps: [
        ...frameOn,
        { kind: 'set', id: 'correct', setting: 'coronal-screws', posture: { stance: 'standing' } },
      ],
      passes: [{ after: 'settling-walk' }],
    },
    strapsOff,
    strapsBack,
  ],
  checks: [
    hingeHeight(['hinge-medial', 'hinge-lateral'], 'level-hinges'),
    hingeBehind(['hinge-medial', 'hinge-lateral'], 'press-hinges'),
    notTwisted({ ...thigh(0.36), face: 'front' }, 'strap-1'),
    ...rigidFrame.checks.filter(({ id }) => id === 'strap-above-calf'),
    gentlePressure('coronal-screws'),
    ...kneeAtStops,
    fibularNeckClear('strap-5'),
    toesFelt(toesOfKneeBrace),
    refill(toesOfKneeBrace),
  ],
};
