import { inStrap, seen, threeFingers } from './checks';
import type { Part } from '../brace';
import type { ProtocolStep } from '../measuring';
import type { Programme } from './programme';
import { length, mark, stance, trunkFindings } from './steps';

const standing = { stance: 'upright-hands-supported' } as const;

/**
 * Back-bar orthosis for osteoporosis: length from C7 to the sacrum along the curve, as upright as can be, hands
 * supported. The inclinometer's stations draw the curve. Common practice, no source.
 */
export const spineBackBar: Programme = {
  id: 'spine-back-bar',
  version: 8,
  region: 'trunk',
  ordered: [],
  injuries: ['vertebral-fracture-osteoporotic'],
  findings: trunkFindings,
  limbs: 'before-and-after',
  measuring: [
    stance('upright-hands-supported'),
    mark('c7'),
    mark('sacrum'),
    length('curve', 'c7-to-sacrum', 'c7', 'sacrum', [250, 700], {
      ofStature: 0.3,
      substitute: { how: 'seated', shared: 12 },
    }),
    ...[0, 0.25, 0.5, 0.75, 1].map((at): ProtocolStep => ({
      kind: 'inclination',
      id: `inclination-${at * 100}`,
      from: 'c7',
      to: 'sacrum',
      at,
      tolerance: 4,
      withinPerson: 2,
      shared: 2,
      plausible: [-70, 80],
      optional: true,
    })),
  ],
  axes: ['c7-to-sacrum'],
  settings: [
    {
      // the bar's lower edge sits on the sacrum's mark every time; how near is an estimate
      kind: 'height',
      id: 'bar-on-mark',
      made: 'before-donning',
      parts: ['back-bar'],
      at: { from: 'sacrum', face: 'back' },
      unit: 'mm',
      least: -40,
      most: 40,
      target: 0,
      near: 3,
    },
    {
      // about three fingers are left at the top, so that the patient can straighten into it
      kind: 'height',
      id: 'room-at-the-top',
      made: 'before-donning',
      parts: ['back-bar'],
      at: { from: 'c7', face: 'back' },
      unit: 'mm',
      least: 0,
      most: 120,
      target: 52,
      near: 10,
    },
  ],
  parts: [
    {
      kind: 'bar',
      id: 'back-bar',
      course: [
        { from: 'c7', face: 'back' },
        { from: 't9', face: 'back' },
        { from: 'sacrum', face: 'back' },
      ],
    },
    {
      kind: 'panel',
      id: 'front-pad',
      from: { from: 'pubic-symphysis' },
      to: { from: 'waist', offset: 30 },
      face: 'front',
      width: 150,
    },
    ...(['right', 'left'] as const).flatMap((face): Part[] => [
      {
        kind: 'strap',
        id: `waist-strap-${face}`,
        width: 40,
        course: [
          { from: 'waist', offset: -24, face: 'back' },
          { from: 'waist', offset: -24, face },
          { from: 'waist', offset: -24, face: 'front' },
        ],
        // from the bar to the front pad's loop, and back to the side
        ends: { wraps: 0.75, overlap: 60, finish: 'side', shortened: 'free-end' },
      },
      {
        kind: 'strap',
        id: `shoulder-strap-${face}`,
        width: 36,
        course: [
          { from: 'scapula-lower-angle', offset: 40, face: 'back' },
          { from: 'axilla', offset: 40, face },
          { from: 'waist', offset: 20, face: 'front' },
        ],
      },
    ]),
    {
      kind: 'strap',
      id: 'middle-strap',
      width: 40,
      course: [
        { from: 'lower-ribs', face: 'right' },
        { from: 'lower-ribs', face: 'front' },
        { from: 'lower-ribs', face: 'left' },
      ],
    },
  ],
  operations: [
    { kind: 'bend', id: 'bend-back-bar', parts: ['back-bar'], how: 'by-hand', asked: true, off: true },
    {
      kind: 'cut',
      unit: 'mm',
      id: 'cut-waist-straps',
      parts: ['waist-strap-right', 'waist-strap-left'],
      pairs: [{ of: ['waist-strap-right', 'waist-strap-left'] }],
      // folded to end at the side, and closed once
      requires: { kind: 'done', step: 'fold-waist-straps' },
    },
    {
      kind: 'cut',
      unit: 'mm',
      id: 'cut-shoulder-straps',
      parts: ['shoulder-strap-right', 'shoulder-strap-left'],
      pairs: [{ of: ['shoulder-strap-right', 'shoulder-strap-left'] }],
      // both waist straps cut: the brace cannot ride up any more
      requires: {
        kind: 'all',
        of: [
          { kind: 'done', step: 'cut-waist' },
          { kind: 'done', step: 'fold-shoulder-straps' },
        ],
      },
    },
  ],
  wear: [{ id: 'worn-upright', rule: 'as-ordered', nights: 'off' }],
  care: ['pads-by-hand'],
  sequences: [
    {
      id: 'putting-on',
      purpose: 'first-donning',
      people: ['patient', 'orthotist'],
      steps: [
        { kind: 'act', id: 'arms-through', on: 'patient', posture: standing },
        { kind: 'look', id: 'bar-on-its-mark', part: 'back-bar', posture: standing },
        {
          kind: 'act',
          id: 'front-pad-low',
          on: 'brace',
          part: 'front-pad',
          posture: standing,
          holds: { parts: ['front-pad'], by: 'patient' },
        },
        {
          kind: 'strap',
          id: 'waist-straps-provisional',
          over: { parts: ['waist-strap-right', 'waist-strap-left'], how: 'in-turn' },
          pull: 'provisional',
          posture: standing,
        },
        {
          kind: 'strap',
          id: 'shoulder-straps-to-length',
          over: { parts: ['shoulder-strap-right', 'shoulder-strap-left'], how: 'in-turn' },
          pull: 'light',
          posture: standing,
        },
        { kind: 'look', id: 'cuff-at-the-armpit', posture: standing },
        {
          kind: 'strap',
          id: 'fold-waist-straps',
          over: { parts: ['waist-strap-right', 'waist-strap-left'], how: 'in-turn' },
          pull: 'snug',
          posture: standing,
        },
        { kind: 'work', id: 'cut-waist', operation: 'cut-waist-straps' },
        {
          kind: 'strap',
          id: 'fold-shoulder-straps',
          over: { parts: ['shoulder-strap-right', 'shoulder-strap-left'], how: 'in-turn' },
          pull: 'snug',
          posture: standing,
        },
        { kind: 'work', id: 'cut-shoulders', operation: 'cut-shoulder-straps' },
        { kind: 'strap', id: 'middle-elastic-strap', part: 'middle-strap', pull: 'light', posture: standing },
        { kind: 'look', id: 'bar-and-pad-again', part: 'back-bar', posture: standing },
      ],
    },
    {
      id: 'before-a-mirror',
      purpose: 'again',
      people: ['patient'],
      steps: [
        { kind: 'act', id: 'arms-through', on: 'patient', posture: standing },
        { kind: 'look', id: 'bar-on-its-mark', part: 'back-bar', posture: standing },
        { kind: 'act', id: 'front-pad-low', on: 'brace', part: 'front-pad', posture: standing },
        {
          kind: 'strap',
          id: 'close-waist-straps',
          over: { parts: ['waist-strap-right', 'waist-strap-left'], how: 'in-turn' },
          posture: standing,
        },
        { kind: 'strap', id: 'middle-elastic-strap', part: 'middle-strap', posture: standing },
        { kind: 'look', id: 'in-the-mirror', posture: standing },
      ],
    },
    {
      id: 'taking-off',
      purpose: 'off',
      people: ['patient'],
      steps: [
        { kind: 'act', id: 'open-front', on: 'brace' },
        { kind: 'act', id: 'like-a-vest', on: 'patient' },
        { kind: 'look', id: 'look-at-the-skin' },
      ],
    },
  ],
  checks: [
    {
      // the bar's lower edge over the sacrum's mark; how near is an estimate
      kind: 'distance',
      id: 'bar-at-the-mark',
      from: -3,
      to: 3,
      parts: ['back-bar'],
      at: { from: 'sacrum', face: 'back' },
      cures: [inStrap('bar-on-its-mark'), { stage: 'set', thing: 'bar-on-mark' }],
    },
    seen(
      'bar-follows-the-spine',
      { from: 't9', face: 'back' },
      [{ stage: 'shape', thing: 'bend-back-bar' }],
      {
        parts: ['back-bar'],
      },
    ),
    seen('front-pad-at-pubic-bone', { from: 'pubic-symphysis', face: 'front' }, [inStrap('front-pad-low')], {
      parts: ['front-pad'],
    }),
    threeFingers(
      'fingers-under-shoulder-straps',
      { from: 'axilla', offset: 40, face: 'right' },
      ['shoulder-strap-right', 'shoulder-strap-left'],
      [inStrap('fold-shoulder-straps')],
    ),
    threeFingers(
      'fingers-at-the-neck',
      { from: 'c7', face: 'back' },
      ['back-bar'],
      [
        { stage: 'shape', thing: 'bend-back-bar' },
        { stage: 'set', thing: 'room-at-the-top' },
      ],
    ),
    seen('waist-ends-at-the-side', { from: 'waist', offset: -24, face: 'right' }, [
      inStrap('fold-waist-straps'),
    ]),
    seen('cut-out-at-the-armpit', { from: 'axilla', face: 'left' }, [inStrap('cuff-at-the-armpit')], {
      moments: [{ is: 'standing' }, { is: 'seated' }],
    }),
  ],
};
