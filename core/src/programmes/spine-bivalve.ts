import type { Part, Posture } from '../brace';
import type { SequenceStep } from '../strapping';
import { callPhysician, inStrap, seen } from './checks';
import { byLogRoll, rollBack, rollOver, upByRolling } from './handling';
import type { Programme } from './programme';
import { girth, length, mark, modelsOwn, stance, trunkFindings, width } from './steps';

const inLine = { stance: 'in-line' } as const;
const sideStraps = (side: 'right' | 'left') =>
  (['middle', 'bottom', 'top'] as const).map((which) => `strap-${which}-${side}`);

/** Middle straps, bottom, top; a breath in and held at each. */
const closed = (posture: Posture): SequenceStep[] =>
  (['middle', 'bottom', 'top'] as const).map((which) => ({
    kind: 'strap',
    id: `${which}-straps`,
    over: { parts: [`strap-${which}-right`, `strap-${which}-left`], how: 'in-turn' },
    pull: 'snug',
    breath: 'held',
    posture,
  }));

/**
 * Bivalve TLSO, made to measure. The injuries decide whether lying or seated: the posture is noted. The waist
 * groove lies just above the iliac crests. Common practice, no source; which readings go to the maker is the
 * model's own.
 */
export const spineBivalve: Programme = {
  id: 'spine-bivalve',
  version: 10,
  safetySince: 10,
  region: 'trunk',
  resuscitation: 'front-shell-off',
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
  wear: [{ id: 'out-of-bed', rule: 'all-day', nights: 'off' }, { id: 'shirt-beneath' }],
  care: ['mild-soap-alcohol'],
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
    // three a side; where they lie is the drawing's own: an estimate
    ...(['bottom', 'middle', 'top'] as const).flatMap((which, i) =>
      (['right', 'left'] as const).map((side): Part => ({
        kind: 'strap',
        id: `strap-${which}-${side}`,
        width: 34,
        course: (['back', side, 'front'] as const).map((face) => ({
          from: 'waist',
          offset: [-60, 10, 110][i]!,
          face,
        })),
      })),
    ),
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
  sequences: [
    {
      id: 'lying-log-roll',
      purpose: 'first-donning',
      when: { kind: 'ordered', what: 'posture', is: 'lying' },
      ...byLogRoll,
      steps: [
        { kind: 'act', id: 'shirt-on', on: 'patient', posture: { stance: 'supine' } },
        ...rollOver('on'),
        { kind: 'act', id: 'rear-shell-in', on: 'brace', part: 'shell-back', posture: inLine },
        { kind: 'look', id: 'groove-over-crests', part: 'shell-back', posture: inLine },
        rollBack('on'),
        { kind: 'look', id: 'left-and-right-level', part: 'shell-back', posture: { stance: 'supine' } },
        {
          kind: 'act',
          id: 'front-over-back',
          on: 'brace',
          part: 'shell-front',
          posture: { stance: 'supine' },
        },
        ...closed({ stance: 'supine' }),
        {
          kind: 'look',
          id: 'mark-under-arms-and-thighs',
          posture: { stance: 'supine' },
          who: 'orthotist',
        },
        upByRolling,
        { kind: 'set', id: 'level-now', setting: 'level-over-the-crests', posture: { stance: 'seated' } },
      ],
    },
    {
      id: 'seated-secured',
      purpose: 'first-donning',
      when: { kind: 'ordered', what: 'posture', is: 'seated' },
      people: ['patient', 'orthotist'],
      handling: 'roll',
      needs: ['posture'],
      steps: [
        { kind: 'act', id: 'shirt-on', on: 'patient', posture: { stance: 'seated' } },
        {
          kind: 'strap',
          id: 'one-side-stays-closed',
          over: { parts: sideStraps('right'), how: 'in-turn' },
          pull: 'snug',
        },
        { kind: 'act', id: 'round-from-behind', on: 'brace', posture: { stance: 'seated' } },
        { kind: 'look', id: 'groove-over-crests', part: 'shell-back', posture: { stance: 'seated' } },
        { kind: 'look', id: 'left-and-right-level', part: 'shell-back', posture: { stance: 'seated' } },
        ...(['middle', 'bottom', 'top'] as const).map((which): SequenceStep => ({
          kind: 'strap',
          id: `${which}-strap-of-the-open-side`,
          part: `strap-${which}-left`,
          pull: 'snug',
          breath: 'held',
          posture: { stance: 'seated' },
        })),
        { kind: 'look', id: 'mark-under-arms-and-thighs', posture: { stance: 'seated' }, who: 'orthotist' },
        { kind: 'set', id: 'level-now', setting: 'level-over-the-crests', posture: { stance: 'seated' } },
      ],
    },
    {
      id: 'taking-off-lying',
      purpose: 'off',
      when: { kind: 'ordered', what: 'posture', is: 'lying' },
      ...byLogRoll,
      steps: [
        { kind: 'act', id: 'down-by-the-shoulder', on: 'patient', who: 'helper' },
        {
          kind: 'act',
          id: 'open-in-any-order',
          on: 'brace',
          over: { parts: [...sideStraps('right'), ...sideStraps('left')], how: 'in-turn' },
          posture: { stance: 'supine' },
        },
        { kind: 'act', id: 'front-off', on: 'brace', part: 'shell-front', posture: { stance: 'supine' } },
        ...rollOver('off'),
        { kind: 'act', id: 'rear-drawn-out', on: 'brace', part: 'shell-back', posture: inLine },
        rollBack('off'),
        { kind: 'look', id: 'look-at-the-skin' },
      ],
    },
    {
      id: 'taking-off-seated',
      purpose: 'off',
      when: { kind: 'ordered', what: 'posture', is: 'seated' },
      people: ['patient', 'carer'],
      steps: [
        {
          kind: 'act',
          id: 'open-one-side',
          on: 'brace',
          over: { parts: sideStraps('left'), how: 'in-turn' },
          posture: { stance: 'seated' },
        },
        { kind: 'act', id: 'off-to-the-other-side', on: 'brace', posture: { stance: 'seated' } },
        { kind: 'look', id: 'look-at-the-skin' },
      ],
    },
  ],
  checks: [
    {
      // left and right level over the crests, mm; how near is an estimate
      kind: 'alike',
      id: 'level-left-and-right',
      within: 4,
      parts: ['shell-back'],
      at: { from: 'iliac-crest', face: 'back' },
      cures: [inStrap('left-and-right-level')],
    },
    seen('groove-above-crests', { from: 'iliac-crest', face: 'right' }, [inStrap('groove-over-crests')], {
      parts: ['shell-back'],
    }),
    seen('front-overlaps-back', { from: 'chest', face: 'right' }, [inStrap('front-over-back')], {
      parts: ['shell-front', 'shell-back'],
    }),
    seen(
      'under-the-arms-free',
      { from: 'axilla', face: 'right' },
      [{ stage: 'shape', thing: 'trim-shell' }],
      {
        limbSafety: true,
        moments: [{ is: 'seated' }, { is: 'standing' }],
      },
    ),
    seen(
      'thighs-free',
      { from: 'pubic-symphysis', offset: 20, face: 'front' },
      [{ stage: 'shape', thing: 'trim-shell' }],
      { moments: [{ is: 'seated' }, { is: 'after-walking' }] },
    ),
    seen('rollers-do-not-nip', { from: 'axilla', offset: -30, face: 'left' }, [inStrap()]),
    seen('breathes-sits-stands', { from: 'lower-ribs', face: 'front' }, [inStrap(), callPhysician], {
      limbSafety: true,
      moments: [{ is: 'seated' }, { is: 'standing' }],
    }),
  ],
};
