import { inStrap, refill, seen, toesFelt, toesOfAnkleBrace } from './checks';
import type { Part } from '../brace';
import type { Programme } from './programme';
import { girth, legFindings, mayLoad, modelsOwn, motion, stance, width } from './steps';

const seated = { stance: 'seated' } as const;

/**
 * Ankle stabiliser with round and figure-of-eight straps. Heel width by calliper; left and right differ. Common
 * practice, no source.
 */
export const ankleStabiliser: Programme = {
  id: 'ankle-stabiliser',
  version: 10,
  safetySince: 10,
  region: 'ankle',
  joint: 'ankle',
  ordered: [],
  injuries: ['ankle-sprain'],
  findings: legFindings,
  measuring: [
    stance(),
    width('heel-width', 'heel', 'mediolateral', [30, 110], {
      ofStature: 0.038,
      substitute: { how: 'other-side', shared: 3 },
    }),
    modelsOwn(width('malleoli-width', 'malleoli', 'mediolateral', [35, 120], { ofStature: 0.042 })),
    modelsOwn(girth('girth-malleoli', 'malleoli', 0, [140, 420], { ofStature: 0.147 })),
    motion('ankle-motion', 'ankle', 'sagittal', ['active']),
  ],
  axes: ['heel-width', 'malleoli-width', 'girth-malleoli'],
  settings: [
    {
      kind: 'fitted',
      id: 'side-sign',
      made: 'before-donning',
      part: 'shell-outer',
      at: { from: 'malleoli', face: 'lateral' },
      must: true,
      tellsSide: true,
    },
  ],
  parts: [
    ...(['medial', 'lateral'] as const).map((face): Part => ({
      kind: 'shell',
      id: face === 'lateral' ? 'shell-outer' : 'shell-inner',
      from: { from: 'heel', offset: -4 },
      to: { from: 'malleoli', offset: 120 },
      faces: [face],
    })),
    {
      kind: 'panel',
      id: 'tongue',
      from: { from: 'malleoli', offset: 96 },
      to: { from: 'malleoli', offset: -4 },
      face: 'front',
      width: 46,
    },
    {
      kind: 'strap',
      id: 'strap-round',
      width: 28,
      course: (['medial', 'front', 'lateral'] as const).map((face) => ({
        from: 'malleoli',
        offset: 84,
        face,
      })),
    },
    {
      kind: 'strap',
      id: 'strap-eight',
      width: 28,
      // a figure of eight: over the instep, under the heel, back over the instep and up through the eye
      course: [
        { from: 'malleoli', offset: 40, face: 'medial' },
        { from: 'malleoli', offset: 10, face: 'front' },
        { from: 'heel', offset: -2, face: 'lateral' },
        { from: 'heel', offset: -8, face: 'back' },
        { from: 'heel', offset: -4, face: 'medial' },
        { from: 'malleoli', offset: 20, face: 'front' },
        { from: 'malleoli', offset: 56, face: 'lateral' },
      ],
    },
  ],
  // the foot lifted: where its edge cuts in it is bent back
  operations: [{ kind: 'flare', id: 'bend-tongue-back', parts: ['tongue'], off: true }],
  wear: [{ id: 'worn-active', rule: 'active' }],
  care: ['pads-by-hand'],
  sequences: [
    {
      id: 'putting-on',
      purpose: 'first-donning',
      people: ['patient', 'orthotist'],
      steps: [
        { kind: 'act', id: 'open-both-straps', on: 'brace', posture: seated },
        { kind: 'act', id: 'tongue-forward', on: 'brace', part: 'tongue', posture: seated },
        { kind: 'act', id: 'foot-in-shells', on: 'patient', part: 'shell-outer', posture: seated },
        { kind: 'strap', id: 'round-above', part: 'strap-round', pull: 'light', posture: seated },
        { kind: 'strap', id: 'eight-below', part: 'strap-eight', pull: 'snug', posture: seated },
        { kind: 'look', id: 'lift-the-foot', part: 'tongue', posture: seated },
        { kind: 'look', id: 'stand-on-it', posture: { stance: 'standing' }, when: mayLoad },
        { kind: 'act', id: 'into-the-shoe', on: 'patient' },
      ],
    },
    {
      id: 'taking-off',
      purpose: 'off',
      people: ['patient'],
      steps: [
        { kind: 'act', id: 'out-of-the-shoe', on: 'patient', posture: seated },
        { kind: 'act', id: 'open-both-straps', on: 'brace', posture: seated },
        { kind: 'look', id: 'look-at-the-skin' },
      ],
    },
  ],
  checks: [
    seen('outer-before-inner-behind', { from: 'malleoli', face: 'lateral' }, [inStrap('foot-in-shells')], {
      parts: ['shell-outer', 'shell-inner'],
    }),
    seen(
      'tongue-does-not-cut',
      { from: 'malleoli', offset: 60, face: 'front' },
      [{ stage: 'shape', thing: 'bend-tongue-back' }],
      { parts: ['tongue'], moments: [{ is: 'seated' }] },
    ),
    seen('no-creases-standing', { from: 'malleoli', offset: 10, face: 'front' }, [inStrap('eight-below')], {
      parts: ['strap-eight'],
      moments: [{ is: 'standing' }],
    }),
    seen('fits-in-the-shoe', { from: 'sole', offset: 20, face: 'lateral' }, [inStrap('into-the-shoe')]),
    toesFelt(toesOfAnkleBrace),
    refill(toesOfAnkleBrace),
  ],
};
