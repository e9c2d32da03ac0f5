import type { Face } from '../anatomy';
import type { Level, Part } from '../brace';
import type { SequenceStep } from '../strapping';
import { shin, thigh } from './knee-levels';
import { kneeStops } from './knee-stops';
import type { Programme } from './programme';
import { calfSign, kneePosture, legFindings, mark, modelsKneeGirths } from './steps';

const hinge = { from: 'kneecap-upper-edge', aside: -6 } as const;
const round = ['medial', 'front', 'lateral'] as const satisfies readonly Face[];

const upright = (face: 'medial' | 'lateral'): Part => ({
  kind: 'bar',
  id: `upright-${face}`,
  course: [
    { ...thigh(0.43), face },
    { ...hinge, face },
    { ...shin(0.4), face },
  ],
});
const hingeOn = (face: 'medial' | 'lateral'): Part => ({
  kind: 'hinge',
  id: `hinge-${face}`,
  at: { ...hinge, face },
});

export const partOfStrap = (strap: number): string => `strap-${strap}`;

const kneecap = (offset: number): Level => ({ from: 'mid-kneecap', offset });

/** Pads and straps of a frame on the knee, by how far they lie from the middle of the kneecap. */
export const kneePad = (
  id: string,
  from: number,
  to: number,
  face: 'front' | 'back' | 'medial' | 'lateral',
  splits = false,
): Part => ({
  kind: 'pad',
  id,
  from: kneecap(from),
  to: kneecap(to),
  face,
  width: face === 'front' || face === 'back' ? 64 : 24,
  ...(splits ? { splits } : {}),
});

export const kneeStrap = (strap: number, level: number, face: 'front' | 'back'): Part => ({
  kind: 'strap',
  id: partOfStrap(strap),
  mark: String(strap),
  width: 20,
  course: (['medial', face, 'lateral'] as const).map((side) => ({ ...kneecap(level), face: side })),
});

/** A strap from upright to upright and back to the middle of the limb: half the girth and a quarter. */
export const endsInMidLimb = { wraps: 0.75, overlap: 40, finish: 'mid-limb', shortened: 'hook-end' } as const;

const bent = { joints: { knee: 45 } };

/** A rigid frame on the knee: its parts beside pads and straps, and what is looked at when it is on. */
export const rigidFrame = {
  parts: [
    { kind: 'shell', id: 'thigh-shell', from: thigh(0.31), to: thigh(0.41), faces: [...round] },
    { kind: 'shell', id: 'shin-shell', from: shin(0.295), to: shin(0.393), faces: [...round] },
    upright('medial'),
    upright('lateral'),
    hingeOn('medial'),
    hingeOn('lateral'),
  ],
  checks: [
    {
      kind: 'distance',
      id: 'hinge-height',
      tolerance: 'model',
      parts: ['hinge-medial', 'hinge-lateral'],
      moves: 'along',
      at: { from: 'kneecap-upper-edge', face: 'lateral' },
      cures: [{ stage: 'strap', thing: 'level-hinges' }],
    },
    {
      kind: 'distance',
      id: 'hinge-behind-midline',
      tolerance: 'model',
      parts: ['hinge-medial', 'hinge-lateral'],
      moves: 'behind',
      at: { from: 'kneecap-upper-edge', face: 'back' },
      cures: [{ stage: 'strap', thing: 'press-hinges' }],
    },
    { kind: 'seen', id: 'not-twisted', at: { ...thigh(0.36), face: 'front' }, cures: [{ stage: 'strap' }] },
    {
      kind: 'proximal-to',
      id: 'strap-above-calf',
      parts: ['strap-5'],
      at: { from: 'calf-greatest-girth', face: 'back' },
      cures: [{ stage: 'strap', thing: 'strap-5' }],
    },
    {
      kind: 'angle-at-stop',
      id: 'knee-at-extension-stop',
      stop: 'extension',
      at: { from: 'kneecap-upper-edge', face: 'medial' },
      cures: [{ stage: 'set', thing: 'hinge-stops' }],
    },
    {
      kind: 'angle-at-stop',
      id: 'knee-at-flexion-stop',
      stop: 'flexion',
      at: { from: 'mid-kneecap', offset: -10, face: 'back' },
      cures: [{ stage: 'set', thing: 'hinge-stops' }],
    },
    {
      kind: 'seen',
      id: 'fibular-neck-clear',
      limbSafety: true,
      at: { from: 'fibular-neck', face: 'lateral' },
      cures: [{ stage: 'strap', thing: 'strap-5' }],
    },
    {
      kind: 'seen',
      id: 'toes-warm-moving-felt',
      limbSafety: true,
      at: { from: 'malleoli', offset: -40, face: 'front' },
      cures: [{ stage: 'strap' }, { call: 'physician-now' }],
    },
  ],
} satisfies Pick<Programme, 'parts' | 'checks'>;

/** Where the six straps of a frame lie, where its model does not say. The drawing's own: an estimate. */
export const frameStraps: Part[] = [
  kneeStrap(1, -118, 'back'),
  kneeStrap(2, 96, 'back'),
  kneeStrap(3, 142, 'back'),
  kneeStrap(4, -142, 'front'),
  kneeStrap(5, -78, 'back'),
  kneeStrap(6, 118, 'front'),
];

/** A frame drawn on and strapped: 1 and 2 with the knee bent, both hinges pressed back, then 3 to 6. */
export const frameOn: SequenceStep[] = [
  { kind: 'act', id: 'open-all', on: 'brace' },
  { kind: 'act', id: 'draw-on', on: 'brace', posture: bent },
  { kind: 'act', id: 'level-hinges', on: 'brace', posture: bent },
  { kind: 'strap', id: 'strap-1', part: 'strap-1', posture: bent },
  { kind: 'strap', id: 'strap-2', part: 'strap-2', posture: bent },
  { kind: 'act', id: 'press-hinges', on: 'brace', posture: bent },
  { kind: 'strap', id: 'strap-3', part: 'strap-3' },
  { kind: 'strap', id: 'strap-4', part: 'strap-4' },
  { kind: 'strap', id: 'strap-5', part: 'strap-5' },
  { kind: 'strap', id: 'strap-6', part: 'strap-6' },
  { kind: 'settle', id: 'settling-walk', how: 'walk', minutes: 5 },
];

/**
 * Rigid-frame ligament brace: four points, wedge stops, six straps. On the skin, the hinge's middle level
 * with the upper edge of the kneecap and behind the side midline. Common practice, no source. Practice names no
 * sizing reading and no posture for it: girths and their distances are the model's own, the knee's angle is noted.
 */
export const kneeLigamentFrame: Programme = {
  id: 'knee-ligament-frame',
  version: 7,
  region: 'leg',
  joint: 'knee',
  hinge: 'behind-midline',
  donning: 45,
  ordered: ['motion', 'weight'],
  injuries: ['front-cruciate', 'rear-cruciate', 'inner-ligament', 'outer-ligament', 'meniscus'],
  findings: legFindings,
  measuring: [kneePosture(), mark('mid-kneecap'), ...modelsKneeGirths, calfSign],
  axes: ['girth-above', 'girth-below'],
  settings: [kneeStops('kneecap-upper-edge', { always: true })],
  ...rigidFrame,
  wear: [{ id: 'as-the-order-says', rule: 'as-ordered' }],
  care: ['pads-by-hand', 'hinges-dry-spray'],
  operations: [
    { kind: 'pad', id: 'place-pads', asked: true },
    { kind: 'bend', id: 'bend-uprights', parts: ['upright-medial', 'upright-lateral'], off: true },
  ],
  sequences: [
    {
      id: 'putting-on',
      purpose: 'first-donning',
      people: ['patient', 'orthotist'],
      steps: frameOn,
      passes: [{ after: 'settling-walk' }],
    },
    {
      id: 'taking-off',
      purpose: 'off',
      people: ['patient'],
      steps: [
        { kind: 'act', id: 'open-straps-fold-hooks', on: 'brace' },
        { kind: 'act', id: 'draw-off', on: 'brace' },
        { kind: 'look', id: 'look-at-the-skin' },
      ],
    },
  ],
};
