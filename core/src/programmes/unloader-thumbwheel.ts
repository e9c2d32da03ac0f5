import { rigidFrame } from './knee-ligament-frame';
import { kneeStops, onlyIfOrdered } from './knee-stops';
import type { Programme } from './programme';
import { sixStrapChecks, sixStraps, sixStrapsAgain, sixStrapsOff, sixStrapsOn } from './six-straps';
import { gentlePressure, seen } from './checks';
import { strapsBack } from './off';
import { calfSign, kneePosture, legFindings, mark, modelsKneeGirths } from './steps';
import { correction } from './unloader';

/**
 * Frame unloader with a thumbwheel. Sizing readings are the model's own. Common practice, no source.
 */
export const unloaderThumbwheel: Programme = {
  id: 'unloader-thumbwheel',
  version: 7,
  region: 'leg',
  joint: 'knee',
  donning: 30,
  ordered: ['relieve', 'motion'],
  injuries: ['osteoarthritis-inner', 'osteoarthritis-outer'],
  findings: legFindings,
  measuring: [kneePosture(), mark('mid-kneecap'), ...modelsKneeGirths, calfSign],
  axes: ['girth-above', 'girth-below'],
  settings: [
    kneeStops('kneecap-upper-edge', { checked: false, when: onlyIfOrdered }),
    correction('wheel', {
      parts: ['gel-pad'],
      axes: [{ of: ['wheel'], go: 'alike' }],
      unit: 'mm',
      origin: 'neutral',
      least: 0,
      most: 8,
      increment: 0.5,
      // small steps: the smallest that the wheel has
      perChange: 0.5,
      ways: { clockwise: 'pad-inward', anticlockwise: 'pad-outward' },
      moves: [
        { goal: { kind: 'neutral' } },
        {
          goal: { kind: 'until', observed: 'gentle-pressure' },
          posture: { joints: { knee: 30 } },
          amount: 0.5,
          then: 'walk',
        },
      ],
    }),
    { kind: 'fitted', id: 'gel-pad-side', made: 'before-donning', part: 'gel-pad', must: true },
  ],
  parts: [
    ...rigidFrame.parts,
    {
      kind: 'pad',
      id: 'gel-pad',
      from: { from: 'mid-kneecap', offset: -26 },
      to: { from: 'mid-kneecap', offset: 34 },
      face: 'lateral',
      width: 50,
    },
    ...sixStraps,
  ],
  followed: {
    motions: [],
    readings: ['girth-above', 'girth-below'],
    settings: ['wheel'],
  },
  wear: [{ id: 'worn-for-painful', rule: 'active' }],
  care: ['pads-by-hand', 'hinges-dry-spray', 'straps-to-numbers'],
  sequences: [
    {
      id: 'putting-on',
      purpose: 'first-donning',
      people: ['patient', 'orthotist'],
      steps: [
        ...sixStrapsOn,
        { kind: 'set', id: 'correct', setting: 'wheel', posture: { joints: { knee: 30 } } },
      ],
      passes: [sixStrapsAgain],
    },
    sixStrapsOff,
    strapsBack,
  ],
  checks: [
    ...sixStrapChecks,
    seen('gel-pad-on-wheel-side', { from: 'mid-kneecap', face: 'lateral' }, [
      { stage: 'set', thing: 'gel-pad-side' },
    ]),
    gentlePressure('wheel'),
  ],
};
