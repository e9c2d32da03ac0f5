import { refill, toesOfAnkleBrace } from './checks';
import type { Face } from '../anatomy';
import type { Level, Part } from '../brace';
import type { Programme } from './programme';
import { anklePosture, girth, legFindings, length, mayLoad, modelsOwn, motion, stance } from './steps';

const all = ['medial', 'front', 'lateral', 'back'] as const satisfies readonly Face[];
const calf = (share: number): Level => ({ from: 'malleoli', to: 'calf-greatest-girth', share });
const atTheOrderedAngle = { stance: 'seated', joints: { ankle: 'as-ordered' } } as const;

const strapOver = (id: string, front: Level, side: Level & { aside?: number }): Part => ({
  kind: 'strap',
  id: `strap-${id}`,
  width: 28,
  course: [
    { ...side, face: 'medial' },
    { ...front, face: 'front' },
    { ...side, face: 'lateral' },
  ],
});
/** From the toes up. Places are the drawing's own: an estimate. */
const straps = [
  strapOver('toes', { from: 'sole', offset: 36 }, { from: 'sole', offset: 8, aside: 48 }),
  strapOver('instep', { from: 'malleoli', offset: -10 }, { from: 'sole', offset: 10, aside: -4 }),
  strapOver('ankle', { from: 'malleoli', offset: 36 }, { from: 'malleoli', offset: 26 }),
  strapOver('shin', calf(0.42), calf(0.42)),
  strapOver('calf', calf(0.72), calf(0.72)),
];

/**
 * Walker boot with air cells, short or tall: size by the model's chart, height by the order. Ankle at the
 * ordered angle, usually 90 degrees, which neutral zero calls 0, or pointed where the order wants it: what is
 * read is held against the order. Common practice, no source.
 */
export const ankleWalker: Programme = {
  id: 'ankle-walker',
  version: 11,
  safetySince: 11,
  region: 'ankle',
  joint: 'ankle',
  ordered: ['angle', 'weight'],
  injuries: ['fracture-foot', 'fracture-ankle', 'achilles', 'ankle-sprain'],
  findings: legFindings,
  measuring: [
    stance(),
    anklePosture,
    modelsOwn({
      kind: 'shoe',
      id: 'foot-length',
      tolerance: 4,
      withinPerson: 2,
      shared: 4,
      plausible: [90, 340],
      repeats: 1,
      ofStature: 0.152,
    }),
    modelsOwn(girth('girth-calf', 'calf-greatest-girth', 0, [180, 650], { ofStature: 0.216 })),
    // what wedges under the heel are worked out from: to the ball of the foot, not the foot's length
    length('distance', 'heel-to-ball', 'heel', 'ball-of-foot', [70, 260], {
      ofStature: 0.108,
      optional: true,
    }),
    motion('ankle-motion', 'ankle', 'sagittal', ['passive'], { optional: true, notWith: ['achilles'] }),
  ],
  axes: ['foot-length', 'girth-calf'],
  settings: [
    {
      // 90 degrees as printed is neutral zero
      kind: 'angle',
      id: 'ankle-angle',
      made: 'before-donning',
      joint: 'ankle',
      at: { from: 'malleoli', face: 'lateral' },
      unlessOrdered: 0,
      asksWith: ['achilles'],
      least: -10,
      most: 40,
      reopens: ['ankle-as-ordered'],
    },
    {
      kind: 'fill',
      id: 'strokes-of-air',
      made: 'at-step',
      parts: ['cell-lateral'],
      at: { ...calf(0.7), face: 'lateral' },
      least: 4,
      most: 5,
      everyDays: 2,
    },
    {
      // wedges for a pointed foot, out by the phases of the order; how thick one is, the model says
      kind: 'pieces',
      id: 'heel-wedges',
      optional: true,
      made: 'before-donning',
      parts: ['boot-shell'],
      at: { from: 'heel', face: 'back' },
      least: 0,
      most: 8,
      wedge: { joint: 'ankle', reading: 'heel-to-ball', each: 10, asksWith: ['achilles'] },
      reopens: ['ankle-as-ordered', 'soles-level'],
    },
    {
      kind: 'lift',
      id: 'lift-other-shoe',
      optional: true,
      made: 'after-settling',
      at: { from: 'sole', face: 'lateral' },
      least: 0,
      most: 60,
    },
  ],
  parts: [
    { kind: 'liner', id: 'boot-liner', from: { from: 'sole', offset: 4 }, to: calf(0.92), faces: [...all] },
    {
      kind: 'shell',
      id: 'boot-shell',
      from: { from: 'sole' },
      to: calf(0.78),
      faces: ['medial', 'back', 'lateral'],
    },
    {
      kind: 'shell',
      id: 'boot-sole',
      from: { from: 'sole', offset: -20 },
      to: { from: 'sole', offset: 4 },
      faces: [...all],
    },
    {
      kind: 'bladder',
      id: 'cell-lateral',
      from: { from: 'malleoli', offset: 14 },
      to: calf(0.5),
      face: 'lateral',
      width: 44,
    },
    ...(['medial', 'lateral'] as const).map((face): Part => ({
      kind: 'bar',
      id: `strut-${face}`,
      course: [
        { ...calf(0.78), face },
        { from: 'malleoli', face },
        { from: 'malleoli', offset: -22, face, aside: -18 },
      ],
    })),
    ...straps,
    { kind: 'dial', id: 'air-valve', at: { ...calf(0.7), face: 'lateral' } },
  ],
  followed: {
    motions: [{ step: 'ankle-motion' }],
    readings: ['girth-calf'],
    settings: ['ankle-angle', 'strokes-of-air'],
  },
  care: ['pads-by-hand', 'air-other-day'],
  wear: [
    { id: 'as-the-order-says', rule: 'as-ordered' },
    // a leg that bears weight walks; where nobody said how much, nothing is said of walking
    {
      id: 'heel-to-toe',
      when: {
        kind: 'any',
        of: (['partial', 'as-tolerated', 'full'] as const).map((is) => ({
          kind: 'ordered',
          what: 'weight',
          is,
        })),
      },
    },
  ],
  operations: [{ kind: 'pad', id: 'loose-pads', parts: ['strap-shin', 'strap-calf'] }],
  sequences: [
    {
      id: 'putting-on',
      purpose: 'first-donning',
      people: ['patient', 'orthotist'],
      steps: [
        { kind: 'act', id: 'long-sock', on: 'patient' },
        { kind: 'act', id: 'air-out', on: 'brace', part: 'cell-lateral' },
        { kind: 'act', id: 'into-the-liner', on: 'patient', part: 'boot-liner', posture: atTheOrderedAngle },
        { kind: 'act', id: 'into-the-boot', on: 'patient', part: 'boot-shell', posture: atTheOrderedAngle },
        {
          kind: 'act',
          id: 'load-the-heel',
          on: 'patient',
          posture: atTheOrderedAngle,
          when: mayLoad,
        },
        { kind: 'act', id: 'strut-strips', on: 'brace', posture: atTheOrderedAngle, who: 'orthotist' },
        {
          kind: 'strap',
          id: 'strap-toes',
          part: 'strap-toes',
          pull: 'light',
          when: { kind: 'not', of: { kind: 'injury', is: 'fracture-foot' } },
        },
        // with a fracture of the foot: looser over the forefoot
        {
          kind: 'strap',
          id: 'strap-toes-looser',
          part: 'strap-toes',
          pull: 'loose',
          when: { kind: 'known', of: { kind: 'injury', is: 'fracture-foot' } },
        },
        { kind: 'strap', id: 'strap-instep', part: 'strap-instep', pull: 'snug' },
        { kind: 'strap', id: 'strap-ankle', part: 'strap-ankle', pull: 'snug' },
        { kind: 'strap', id: 'strap-shin', part: 'strap-shin', pull: 'snug' },
        { kind: 'strap', id: 'strap-calf', part: 'strap-calf', pull: 'snug' },
        { kind: 'look', id: 'toes-first' },
        { kind: 'set', id: 'air-in', setting: 'strokes-of-air' },
        { kind: 'settle', id: 'sit-and-look', how: 'sit', minutes: 5 },
      ],
      passes: [{ after: 'sit-and-look' }],
    },
    {
      id: 'taking-off',
      purpose: 'off',
      people: ['patient'],
      steps: [
        { kind: 'act', id: 'straps-off', on: 'brace' },
        { kind: 'act', id: 'foot-out', on: 'patient' },
        { kind: 'look', id: 'look-at-the-skin' },
      ],
    },
  ],
  checks: [
    {
      kind: 'seen',
      id: 'ankle-as-ordered',
      at: { from: 'malleoli', face: 'lateral' },
      cures: [{ stage: 'strap', thing: 'into-the-liner' }],
    },
    {
      kind: 'seen',
      id: 'heel-flush',
      parts: ['boot-shell'],
      at: { from: 'heel', face: 'back' },
      cures: [{ stage: 'strap', thing: 'load-the-heel' }],
    },
    {
      kind: 'seen',
      id: 'nothing-digs',
      parts: ['strap-shin', 'strap-calf'],
      at: { ...calf(0.6), face: 'front' },
      cures: [{ stage: 'strap' }],
    },
    {
      kind: 'seen',
      id: 'soles-level',
      at: { from: 'sole', offset: 8, face: 'lateral' },
      cures: [{ stage: 'wear' }],
    },
    {
      kind: 'seen',
      id: 'toes-warm-moving-felt',
      limbSafety: true,
      // with the straps just closed, and once the leg has borne weight or lain for a while
      moments: [{ is: 'seated' }, { is: 'standing' }],
      at: { from: 'sole', offset: 12, face: 'front' },
      cures: [{ stage: 'strap' }, { call: 'physician-now' }],
    },
    refill(toesOfAnkleBrace),
  ],
};
