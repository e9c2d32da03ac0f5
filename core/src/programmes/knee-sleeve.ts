import type { Part } from '../brace';
import { inStrap, seen, toesFelt, toesOfKneeBrace } from './checks';
import type { Programme } from './programme';
import { calfSign, kneeGirths, kneePosture, legFindings, mark, stance } from './steps';

/**
 * Elastic sleeve with a patellar pad. Standing if the leg bears weight, knee bent 30 degrees; girths 14 cm
 * above and 12 cm below the middle of the kneecap; size from a two-way table. Common practice, no source.
 */
export const kneeSleeve: Programme = {
  id: 'knee-sleeve',
  version: 8,
  region: 'leg',
  joint: 'knee',
  donning: 20,
  ordered: [],
  injuries: ['patella', 'meniscus', 'cartilage', 'osteoarthritis-inner', 'osteoarthritis-outer'],
  findings: legFindings,
  measuring: [
    stance('standing', ['seated', 'supine']),
    kneePosture(30),
    mark('mid-kneecap'),
    ...kneeGirths(140, -120),
    calfSign,
  ],
  axes: ['girth-above', 'girth-below'],
  wear: [{ id: 'worn-active', rule: 'active' }],
  settings: [],
  notNeeded: [{ stage: 'set' }, { stage: 'shape' }],
  care: ['pads-by-hand'],
  // where the sleeve and its pad lie is the drawing's own: an estimate
  parts: [
    {
      kind: 'liner',
      id: 'sleeve',
      from: { from: 'mid-kneecap', offset: -140 },
      to: { from: 'mid-kneecap', offset: 160 },
      faces: ['medial', 'front', 'lateral', 'back'],
    },
    {
      kind: 'pad',
      id: 'patellar-pad',
      from: { from: 'kneecap-lower-pole', offset: -6 },
      to: { from: 'kneecap-upper-edge', offset: 6 },
      face: 'front',
      width: 66,
    },
    ...(['medial', 'lateral'] as const).map((face): Part => ({
      kind: 'bar',
      id: `stay-${face}`,
      course: [
        { from: 'mid-kneecap', offset: 120, face },
        { from: 'mid-kneecap', offset: -100, face },
      ],
    })),
  ],
  sequences: [
    {
      id: 'putting-on',
      purpose: 'first-donning',
      people: ['patient', 'orthotist'],
      steps: [
        {
          kind: 'act',
          id: 'thumbs-in-loops',
          on: 'brace',
          part: 'sleeve',
          posture: { joints: { knee: 20 } },
        },
        { kind: 'act', id: 'draw-up', on: 'brace', part: 'sleeve', posture: { joints: { knee: 20 } } },
        { kind: 'look', id: 'pad-round-the-kneecap', part: 'patellar-pad' },
        { kind: 'look', id: 'smooth-it-out', part: 'sleeve' },
      ],
    },
    {
      id: 'taking-off',
      purpose: 'off',
      people: ['patient'],
      steps: [
        { kind: 'act', id: 'draw-down', on: 'brace', part: 'sleeve' },
        { kind: 'look', id: 'look-at-the-skin' },
      ],
    },
  ],
  checks: [
    {
      // how near the lower pole is an estimate
      kind: 'distance',
      id: 'pad-rim-at-lower-pole',
      from: -5,
      to: 5,
      parts: ['patellar-pad'],
      moves: 'along',
      at: { from: 'kneecap-lower-pole', face: 'front' },
      cures: [inStrap('draw-up')],
    },
    seen('rim-all-round', { from: 'mid-kneecap', face: 'front' }, [inStrap('pad-round-the-kneecap')], {
      parts: ['patellar-pad'],
    }),
    seen('no-creases', { from: 'mid-kneecap', offset: -20, face: 'back' }, [inStrap('smooth-it-out')], {
      parts: ['sleeve'],
      // when it has been worn a while, and not after half an hour
      moments: [{ is: 'standing' }, { is: 'later', notAfter: 30 }],
    }),
    seen('stays-at-the-sides', { from: 'mid-kneecap', offset: 60, face: 'lateral' }, [inStrap('draw-up')], {
      parts: ['stay-medial', 'stay-lateral'],
    }),
    toesFelt(toesOfKneeBrace),
  ],
};
