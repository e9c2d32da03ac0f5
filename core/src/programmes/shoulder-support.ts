import { callPhysician, inStrap, refill } from './checks';
import type { SequenceStep } from '../strapping';
import type { Programme } from './programme';
import { armFindings, elbowPosture, girth, mark, modelsOwn, motion } from './steps';

/** Places on the trunk, between the chest's reading and the shoulder or the waist, aside of its middle toward this arm. Estimates. */
const aboveChest = (share: number, aside = 0, offset = 0) =>
  ({ from: 'chest', to: 'acromion', share, offset, aside }) as const;
const belowChest = (share: number, aside = 0) => ({ from: 'chest', to: 'waist', share, aside }) as const;

/** Loose first, a look, then tight: the same whoever puts it on. */
const wrap: SequenceStep[] = [
  { kind: 'strap', id: 'upper-loose', part: 'upper-strap', pull: 'loose' },
  { kind: 'strap', id: 'lower-loose', part: 'lower-strap', pull: 'loose' },
  { kind: 'look', id: 'under-the-arm' },
  { kind: 'strap', id: 'upper-tight', part: 'upper-strap', pull: 'snug' },
  { kind: 'strap', id: 'lower-tight', part: 'lower-strap', pull: 'snug' },
];

/**
 * Shoulder support with wrap straps. Abduction and adduction, rotation first, neutral zero: the yardstick
 * later. Upper arm's greatest girth, arm slightly bent. Either side. Common practice, no source.
 */
export const shoulderSupport: Programme = {
  id: 'shoulder-support',
  version: 9,
  safetySince: 9,
  region: 'shoulder',
  joint: 'shoulder',
  ordered: [],
  injuries: ['shoulder-instability', 'shoulder-cuff', 'shoulder-stiffness', 'fracture-collar-bone'],
  findings: armFindings,
  measuring: [
    motion('shoulder-abduction', 'shoulder', 'frontal', ['active'], {
      optional: true,
      mayAlso: ['passive'],
    }),
    motion('shoulder-rotation', 'shoulder', 'transverse', ['active'], {
      optional: true,
      mayAlso: ['passive'],
    }),
    motion('shoulder-flexion', 'shoulder', 'sagittal', ['active'], {
      optional: true,
      modelsOwn: true,
      mayAlso: ['passive'],
    }),
    elbowPosture(20),
    mark('upper-arm-greatest-girth'),
    girth('girth-upper-arm', 'upper-arm-greatest-girth', 0, [140, 620], {
      ofStature: 0.182,
      substitute: { how: 'other-side', shared: 8 },
    }),
    modelsOwn(
      girth('girth-chest', 'chest', 0, [450, 1800], {
        tolerance: 12,
        withinPerson: 6,
        shared: 8,
        ofStature: 0.54,
        onlyAsAxis: true,
      }),
    ),
  ],
  axes: ['girth-upper-arm', 'girth-chest'],
  settings: [],
  care: ['pads-by-hand'],
  wear: [{ id: 'as-the-order-says', rule: 'as-ordered' }],
  operations: [],
  notNeeded: [{ stage: 'set' }, { stage: 'shape' }],
  parts: [
    {
      kind: 'wing',
      id: 'arm-sleeve',
      from: { from: 'upper-arm-greatest-girth', offset: -70 },
      to: { from: 'shoulder-joint-space', offset: -12 },
      faces: ['medial', 'front', 'lateral', 'back'],
    },
    {
      kind: 'panel',
      id: 'joint-pad',
      from: { from: 'upper-arm-greatest-girth', offset: 40 },
      to: { from: 'acromion', offset: -38 },
      face: 'lateral',
      width: 60,
    },
    // from the sleeve's back over the neck to the other armpit, and down to the belt at the abdomen
    {
      kind: 'strap',
      id: 'upper-strap',
      width: 38,
      course: [
        { from: 'shoulder-joint-space', offset: -20, face: 'back' },
        { ...aboveChest(0.7, 80), face: 'back' },
        { ...aboveChest(1, -10, 4), face: 'back' },
        { ...aboveChest(1, -74, 34), face: 'back' },
        { ...aboveChest(1, -74, 34), face: 'front' },
        { ...aboveChest(0.4, -112), face: 'front' },
        { ...belowChest(0.2, -112), face: 'front' },
        { ...belowChest(0.72, -44), face: 'front' },
      ],
    },
    // round the back to the other side, through the eye of the belt
    {
      kind: 'strap',
      id: 'lower-strap',
      width: 38,
      course: [
        { from: 'upper-arm-greatest-girth', offset: 20, face: 'back' },
        { ...belowChest(0.3, 30), face: 'back' },
        { ...belowChest(0.64), face: 'medial' },
        { ...belowChest(0.8, -34), face: 'front' },
      ],
    },
    {
      kind: 'strap',
      id: 'abdomen-belt',
      width: 46,
      course: [
        { ...belowChest(0.72), face: 'lateral' },
        { ...belowChest(0.8, -54), face: 'front' },
      ],
    },
  ],
  followed: {
    motions: [{ step: 'shoulder-abduction' }, { step: 'shoulder-rotation' }],
    readings: ['girth-upper-arm'],
    settings: [],
  },
  sequences: [
    {
      id: 'with-help',
      purpose: 'first-donning',
      people: ['patient', 'orthotist'],
      steps: [
        { kind: 'act', id: 'arrow-up', on: 'brace', posture: { joints: { elbow: 20 } } },
        { kind: 'act', id: 'pad-on-the-joint', on: 'brace', part: 'joint-pad' },
        ...wrap,
      ],
    },
    {
      id: 'alone',
      purpose: 'first-donning',
      people: ['patient'],
      steps: [
        { kind: 'act', id: 'edge-out', on: 'brace' },
        { kind: 'act', id: 'arm-through', on: 'patient', part: 'arm-sleeve' },
        { kind: 'act', id: 'straps-over-head', on: 'brace' },
        { kind: 'act', id: 'pad-on-the-joint', on: 'brace', part: 'joint-pad' },
        ...wrap,
      ],
    },
    {
      id: 'taking-off',
      purpose: 'off',
      people: ['patient'],
      steps: [
        { kind: 'act', id: 'open-at-the-abdomen', on: 'brace' },
        { kind: 'act', id: 'arm-out', on: 'patient' },
        { kind: 'act', id: 'down-by-the-hem', on: 'brace' },
        { kind: 'look', id: 'look-at-the-skin' },
      ],
    },
  ],
  checks: [
    {
      kind: 'seen',
      id: 'pad-level',
      parts: ['joint-pad'],
      at: { from: 'acromion', face: 'lateral' },
      cures: [{ stage: 'strap', thing: 'pad-on-the-joint' }],
    },
    {
      kind: 'seen',
      id: 'ridge-at-the-joint',
      parts: ['joint-pad'],
      at: { from: 'shoulder-joint-space', face: 'front' },
      cures: [{ stage: 'strap', thing: 'pad-on-the-joint' }],
    },
    {
      kind: 'seen',
      id: 'armpit-free',
      limbSafety: true,
      at: { from: 'axilla', face: 'medial' },
      cures: [{ stage: 'strap', thing: 'lower-loose' }],
    },
    {
      kind: 'seen',
      id: 'hand-warm-moving-felt',
      limbSafety: true,
      at: { from: 'olecranon', face: 'lateral' },
      cures: [inStrap(), callPhysician],
    },
    refill({ from: 'olecranon', offset: 20, face: 'lateral' }, 'refill-of-the-fingers'),
  ],
};
