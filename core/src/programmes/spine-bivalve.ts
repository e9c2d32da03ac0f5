import type { Part } from '../brace';
import type { Programme } from './programme';
import { girth, length, mark, modelsOwn, stance, trunkFindings, width } from './steps';

/**
 * Bivalve TLSO, made to measure. The injuries decide whether lying or seated: the posture is noted. The waist
 * groove lies just above the iliac crests. Common practice, no source; which readings go to the maker is the
 * model's own.
 */
export const spineBivalve: Programme = {
  id: 'spine-bivalve',
  version: 7,
  region: 'trunk',
  ordered: ['posture', 'roll'],
  injuries: [
    'vertebral-fracture-unstable',
    'vertebral-fracture-stable',
    'fusion',
    'fracture-ribs',
    'hip-or-pelvis',
  ],
  findings: trunkFindings,
  limbs: 'before-and-after',
  measuring: [
    stance(),
    mark('waist'),
    ...[
      mark('sternal-notch'),
      mark('hips-greatest-girth'),
      mark('pubic-symphysis'),
      girth('girth-chest', 'chest', 0, [450, 1800], {
        tolerance: 12,
        withinPerson: 6,
        shared: 8,
        ofStature: 0.54,
      }),
      girth('girth-waist', 'waist', 0, [400, 1900], {
        tolerance: 12,
        withinPerson: 6,
        shared: 8,
        ofStature: 0.51,
      }),
      girth('girth-hips-greatest', 'hips-greatest-girth', 0, [500, 1900], {
        tolerance: 12,
        withinPerson: 6,
        shared: 8,
        ofStature: 0.58,
      }),
      length('distance', 'notch-to-symphysis', 'sternal-notch', 'pubic-symphysis', [250, 700], {
        ofStature: 0.308,
      }),
      length('distance', 'axilla-to-trochanter', 'axilla', 'trochanter', [200, 600], { ofStature: 0.258 }),
      width('chest-width', 'chest', 'mediolateral', [160, 520], {
        tolerance: 8,
        withinPerson: 3,
        shared: 4,
        ofStature: 0.175,
      }),
      width('hips-width', 'hips-greatest-girth', 'mediolateral', [180, 560], {
        tolerance: 8,
        withinPerson: 3,
        shared: 4,
        ofStature: 0.195,
      }),
    ].map(modelsOwn),
  ],
  axes: ['girth-chest', 'girth-waist', 'girth-hips-greatest', 'notch-to-symphysis'],
  wear: [{ id: 'out-of-bed' }],
  settings: [
    {
      // left and right level, in mm over the iliac crests; how near is an estimate
      kind: 'length',
      id: 'level-over-the-crests',
      made: 'after-settling',
      parts: ['shell-back'],
      at: { from: 'iliac-crest', face: 'back' },
      axes: [{ of: ['right', 'left'], go: 'alike', within: 4 }],
      least: -40,
      most: 60,
    },
  ],
  parts: [
    {
      kind: 'shell',
      id: 'shell-back',
      from: { from: 'hips-greatest-girth', offset: 20 },
      to: { from: 'scapula-lower-angle', offset: 70 },
      faces: ['right', 'back', 'left'],
    },
    {
      kind: 'shell',
      id: 'shell-front',
      from: { from: 'pubic-symphysis', offset: 20 },
      to: { from: 'sternal-notch', offset: -40 },
      faces: ['right', 'front', 'left'],
    },
    ...(['bottom', 'middle', 'top'] as const).map((which, i): Part => ({
      kind: 'strap',
      id: `strap-${which}`,
      width: 34,
      course: (['back', 'right', 'front'] as const).map((face) => ({
        from: 'waist',
        offset: [-60, 10, 110][i]!,
        face,
      })),
    })),
  ],
  operations: [
    { kind: 'trim', id: 'trim-shell', parts: ['shell-back', 'shell-front'], unit: 'mm', most: 30, off: true },
    {
      kind: 'flare',
      id: 'flare-edge',
      parts: ['shell-back', 'shell-front'],
      unit: 'mm',
      most: 15,
      off: true,
    },
    {
      kind: 'mould',
      id: 'heat-out',
      parts: ['shell-back', 'shell-front'],
      unit: 'mm',
      most: 15,
      runs: ['panel'],
      off: true,
    },
  ],
  sequences: [],
  checks: [],
};
