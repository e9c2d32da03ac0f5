import {
  fibularNeckClear,
  gentlePressure,
  inStrap,
  kneeAtStops,
  notTwisted,
  refill,
  seen,
  toesFelt,
  toesOfKneeBrace,
} from './checks';
import { strapsOff } from './off';
import type { Level, Part } from '../brace';
import type { SequenceStep } from '../strapping';
import { shin, thigh } from './knee-levels';
import { kneeStops, onlyIfOrdered } from './knee-stops';
import type { Programme } from './programme';
import { calfSign, kneePosture, legFindings, mark, modelsKneeGirths } from './steps';
import { correction, legStrap } from './unloader';

const wrapped = { stance: 'seated', joints: { knee: 30 } } as const;

/** Through the ring at the dial, from one side of the knee to the other. */
const diagonal = (id: string, mark: string, from: Level, to: Level): Part => ({
  kind: 'strap',
  id,
  mark,
  width: 24,
  course: [
    { ...from, face: 'medial' },
    { from: 'mid-kneecap', offset: from.share === undefined ? 0 : 34, face: 'front' },
    { ...to, face: 'lateral' },
  ],
});

/**
 * Wrap-type unloader with a dial. Donned with the knee at 30 degrees, foot flat. Practice names no sizing reading
 * and no posture for it: they are the model's own, the knee's angle is noted. Common practice, no source.
 */
export const unloaderWrap: Programme = {
  id: 'unloader-wrap',
  version: 9,
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
    correction('wrap-dial', {
      parts: ['wrap-dial'],
      axes: [{ of: ['wrap-dial'], go: 'alike' }],
      unit: 'detents',
      origin: 'neutral',
      least: 0,
      most: 20,
      increment: 1,
      ways: { clockwise: 'presses', anticlockwise: 'eases' },
      moves: [
        { goal: { kind: 'neutral' } },
        {
          goal: { kind: 'until', observed: 'gentle-pressure' },
          posture: wrapped,
          amount: 'not-stated',
          then: 'walk',
        },
      ],
    }),
  ],
  parts: [
    {
      kind: 'wing',
      id: 'wrap',
      from: shin(0.5),
      to: thigh(0.45),
      faces: ['medial', 'front', 'lateral', 'back'],
    },
    { kind: 'dial', id: 'wrap-dial', at: { from: 'mid-kneecap', face: 'lateral' } },
    legStrap('strap-1', '1', thigh(0.2), 'back'),
    legStrap('strap-2', '2', shin(0.18), 'back'),
    legStrap('strap-3', '3', shin(0.42), 'back'),
    legStrap('strap-4', '4', thigh(0.4), 'back'),
    diagonal('strap-5', '5', thigh(0.3), shin(0.24)),
    diagonal('strap-6', '6', shin(0.34), thigh(0.16)),
  ],
  followed: {
    motions: [],
    readings: ['girth-above', 'girth-below'],
    settings: ['wrap-dial'],
  },
  wear: [{ id: 'worn-for-painful', rule: 'active' }],
  care: ['pads-by-hand'],
  notNeeded: [{ stage: 'shape' }],
  sequences: [
    {
      id: 'putting-on',
      purpose: 'first-donning',
      people: ['patient', 'orthotist'],
      steps: [
        { kind: 'act', id: 'dial-to-zero', on: 'brace', part: 'wrap-dial', who: 'orthotist' },
        ...['1', '2', '3', '4'].map((strap): SequenceStep => ({
          kind: 'strap',
          id: `strap-${strap}`,
          part: `strap-${strap}`,
          posture: wrapped,
          pull: 'snug',
        })),
        ...['5', '6'].map((strap): SequenceStep => ({
          kind: 'strap',
          id: `strap-${strap}`,
          part: `strap-${strap}`,
          posture: wrapped,
          holds: { parts: ['wrap-dial'], by: 'orthotist' },
          pull: 'snug',
        })),
        { kind: 'settle', id: 'settling-walk', how: 'walk', minutes: 5 },
        { kind: 'set', id: 'correct', setting: 'wrap-dial', posture: wrapped },
      ],
      passes: [{ after: 'settling-walk' }],
    },
    strapsOff,
  ],
  checks: [
    seen('no-creases', { from: 'mid-kneecap', offset: -20, face: 'back' }, [inStrap('strap-1')], {
      parts: ['wrap'],
    }),
    notTwisted({ ...thigh(0.3), face: 'front' }, 'strap-1'),
    seen('dial-at-the-joint', { from: 'mid-kneecap', face: 'lateral' }, [inStrap('strap-5')], {
      parts: ['wrap-dial'],
    }),
    gentlePressure('wrap-dial'),
    ...kneeAtStops,
    fibularNeckClear('strap-2'),
    toesFelt(toesOfKneeBrace),
    refill(toesOfKneeBrace),
  ],
};
