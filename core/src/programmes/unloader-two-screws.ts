import {
  fibularNeckClear,
  gentlePressure,
  hingeBehind,
  hingeHeight,
  inStrap,
  kneeAtStops,
  notTwisted,
  refill,
  seen,
  toesFelt,
  toesOfKneeBrace,
} from './checks';
import { bucklesOff, bucklesOn, strapsBack } from './off';
import type { SequenceStep } from '../strapping';
import { shin, thigh } from './knee-levels';
import { kneeStops, onlyIfOrdered } from './knee-stops';
import type { Programme } from './programme';
import { calfSign, kneePosture, legFindings, mark, modelsKneeGirths, modelsOwn, width } from './steps';
import { correction, leftOutOrIn, legStrap, seatedAtNinety, settlingWalk, singleUpright } from './unloader';

/**
 * Single-upright unloader with two correction screws and a mouldable tibial cuff. Sizing readings are the
 * model's own. Common practice, no source.
 */
export const unloaderTwoScrews: Programme = {
  id: 'unloader-two-screws',
  version: 9,
  safetySince: 9,
  region: 'leg',
  joint: 'knee',
  hinge: 'behind-midline',
  donning: 30,
  ordered: ['relieve', 'motion'],
  injuries: ['osteoarthritis-inner', 'osteoarthritis-outer', 'cartilage'],
  findings: legFindings,
  measuring: [
    kneePosture(),
    mark('mid-kneecap'),
    ...modelsKneeGirths,
    modelsOwn(width('knee-width', 'mid-kneecap', 'mediolateral', [50, 190], { ofStature: 0.064 })),
    calfSign,
  ],
  axes: ['girth-above', 'girth-below', 'knee-width'],
  wear: [{ id: 'for-weight-bearing', rule: 'weight-bearing', firstDay: 30 }],
  care: ['pads-by-hand', 'hinges-dry-spray'],
  settings: [
    kneeStops('kneecap-upper-edge', { hinges: ['lateral'], checked: false, when: onlyIfOrdered }),
    correction('screws', {
      parts: ['hinge-lateral'],
      axes: [{ of: ['upper', 'lower'], go: 'differ' }],
      unit: 'turns',
      origin: 'neutral',
      least: -2,
      most: 2,
      firstChange: 0.125,
      perChange: 0.125,
      moves: [
        { goal: { kind: 'neutral' }, order: ['upper', 'lower'] },
        {
          goal: { kind: 'until', observed: 'gentle-pressure' },
          posture: seatedAtNinety,
          order: ['upper', 'lower'],
          amount: 0.125,
          then: 'walk',
        },
      ],
    }),
    leftOutOrIn('condyle-pad-in', 'condyle-pad'),
  ],
  parts: [
    ...singleUpright,
    legStrap('strap-1', '1', shin(0.24), 'back'),
    legStrap('strap-2', '2', shin(0.42), 'back'),
    legStrap('strap-3', '3', thigh(0.32), 'back'),
    legStrap('strap-4', '4', thigh(0.43), 'back'),
  ],
  followed: {
    motions: [],
    readings: ['girth-above', 'girth-below'],
    settings: ['screws'],
  },
  operations: [
    { kind: 'pad', id: 'place-pads', asked: true },
    {
      kind: 'mould',
      id: 'mould-tibial-cuff',
      parts: ['cuff-shin'],
      at: { ...shin(0.42), face: 'front' },
      runs: ['pack', 'gun'],
    },
  ],
  sequences: [
    {
      id: 'putting-on',
      purpose: 'first-donning',
      people: ['patient', 'orthotist'],
      steps: [
        { kind: 'act', id: 'hinge-level', on: 'brace', part: 'hinge-lateral' },
        ...['1', '2', '3', '4'].map((strap): SequenceStep => ({
          kind: 'strap',
          id: `strap-${strap}`,
          part: `strap-${strap}`,
          holds: { parts: ['hinge-lateral'], by: 'orthotist' },
          pull: 'snug',
        })),
        settlingWalk,
        { kind: 'act', id: 'straps-stay', on: 'brace' },
        { kind: 'set', id: 'correct', setting: 'screws', posture: seatedAtNinety },
      ],
    },
    bucklesOn,
    bucklesOff,
    strapsBack,
  ],
  checks: [
    hingeHeight(['hinge-lateral'], 'hinge-level'),
    hingeBehind(['hinge-lateral'], 'hinge-level'),
    notTwisted({ ...thigh(0.37), face: 'front' }, 'strap-1'),
    seen('thigh-not-tight', { ...thigh(0.43), face: 'back' }, [inStrap('strap-4')], {
      parts: ['strap-3', 'strap-4'],
    }),
    seen('cuff-on-the-crest', { ...shin(0.42), face: 'front' }, [
      { stage: 'shape', thing: 'mould-tibial-cuff' },
    ]),
    gentlePressure('screws', 'lateral'),
    ...kneeAtStops,
    fibularNeckClear('strap-1'),
    toesFelt(toesOfKneeBrace),
    refill(toesOfKneeBrace),
  ],
};
