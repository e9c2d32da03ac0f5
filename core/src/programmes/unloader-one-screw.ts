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
import { shin, thigh } from './knee-levels';
import { kneeStops, onlyIfOrdered } from './knee-stops';
import type { Programme } from './programme';
import { calfSign, kneePosture, legFindings, mark, modelsKneeGirths } from './steps';
import { correction, leftOutOrIn, legStrap, seatedAtNinety, settlingWalk, singleUpright } from './unloader';

/**
 * Single-upright unloader with one correction screw: one size, outer side, left or right; hinge level with the
 * top of the kneecap, slightly behind the midline. The range it fits is the model's own. Common practice,
 * no source.
 */
export const unloaderOneScrew: Programme = {
  id: 'unloader-one-screw',
  version: 8,
  safetySince: 8,
  region: 'leg',
  joint: 'knee',
  hinge: 'behind-midline',
  donning: 30,
  ordered: ['relieve', 'motion'],
  injuries: ['osteoarthritis-inner', 'osteoarthritis-outer', 'cartilage'],
  findings: legFindings,
  measuring: [kneePosture(), mark('mid-kneecap'), ...modelsKneeGirths, calfSign],
  axes: ['girth-above', 'girth-below'],
  wear: [{ id: 'for-weight-bearing', rule: 'weight-bearing', firstDay: 30 }],
  care: ['pads-by-hand', 'hinges-dry-spray'],
  settings: [
    kneeStops('kneecap-upper-edge', { hinges: ['lateral'], checked: false, when: onlyIfOrdered }),
    correction('screw', {
      parts: ['hinge-lateral'],
      axes: [{ of: ['screw'], go: 'alike' }],
      unit: 'turns',
      // made to measure it comes preset: its model says so
      origin: 'neutral',
      least: -2,
      most: 2,
      firstChange: 0.25,
      perChange: 0.125,
      ways: { clockwise: 'relieves-lateral', anticlockwise: 'relieves-medial' },
      moves: [
        { goal: { kind: 'neutral' } },
        {
          goal: { kind: 'until', observed: 'gentle-pressure' },
          posture: seatedAtNinety,
          amount: 0.25,
          then: 'walk',
        },
        {
          goal: { kind: 'until', observed: 'gentle-pressure' },
          posture: seatedAtNinety,
          amount: 0.125,
          then: 'walk',
        },
      ],
    }),
    leftOutOrIn('condyle-pad-in', 'condyle-pad'),
    leftOutOrIn('suspension-wrap-in', 'suspension-wrap'),
    leftOutOrIn('strap-extender-in', 'strap-extender'),
  ],
  parts: [
    ...singleUpright,
    legStrap('strap-1', '1', shin(0.28), 'back'),
    legStrap('strap-2', '2', shin(0.46), 'back'),
    legStrap('strap-3', '3', thigh(0.32), 'back'),
    legStrap('strap-4', '4', thigh(0.43), 'back'),
  ],
  followed: {
    motions: [],
    readings: ['girth-above', 'girth-below'],
    settings: ['screw'],
  },
  sequences: [
    {
      id: 'putting-on',
      purpose: 'first-donning',
      people: ['patient', 'orthotist'],
      steps: [
        {
          kind: 'act',
          id: 'wrap-on',
          on: 'brace',
          when: { kind: 'part', part: 'suspension-wrap', fitted: true },
        },
        { kind: 'act', id: 'hinge-level', on: 'brace', part: 'hinge-lateral' },
        {
          kind: 'strap',
          id: 'straps-in-order',
          over: { parts: ['strap-1', 'strap-2', 'strap-3', 'strap-4'], how: 'in-turn' },
          holds: { parts: ['hinge-lateral'], by: 'orthotist' },
          pull: 'snug',
        },
        settlingWalk,
        { kind: 'act', id: 'straps-stay', on: 'brace' },
        { kind: 'set', id: 'correct', setting: 'screw', posture: seatedAtNinety },
      ],
    },
    bucklesOn,
    bucklesOff,
    strapsBack,
  ],
  checks: [
    hingeHeight(['hinge-lateral'], 'hinge-level'),
    hingeBehind(['hinge-lateral'], 'hinge-level'),
    notTwisted({ ...thigh(0.37), face: 'front' }, 'straps-in-order'),
    seen('thigh-not-tight', { ...thigh(0.43), face: 'back' }, [inStrap('straps-in-order')], {
      parts: ['strap-3', 'strap-4'],
    }),
    {
      // its upper edge over the strap under the knee; how near is an estimate
      kind: 'distance',
      id: 'wrap-above-strap',
      from: 8,
      to: 18,
      when: { kind: 'part', part: 'suspension-wrap', fitted: true },
      at: { ...shin(0.26), face: 'front' },
      cures: [inStrap('wrap-on')],
    },
    gentlePressure('screw', 'lateral'),
    ...kneeAtStops,
    fibularNeckClear('straps-in-order'),
    toesFelt(toesOfKneeBrace),
    refill(toesOfKneeBrace),
  ],
};
