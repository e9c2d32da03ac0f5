import type { Part } from '../brace';
import type { Programme } from './programme';
import { girth, legFindings, modelsOwn, motion, stance, width } from './steps';

/**
 * Ankle stabiliser with round and figure-of-eight straps. Heel width by calliper; left and right differ. Common
 * practice, no source.
 */
export const ankleStabiliser: Programme = {
  id: 'ankle-stabiliser',
  version: 6,
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
      course: [
        { from: 'malleoli', offset: 40, face: 'medial' },
        { from: 'malleoli', offset: 10, face: 'front' },
        { from: 'heel', offset: -2, face: 'lateral' },
      ],
    },
  ],
  // the foot lifted: where its edge cuts in it is bent back
  operations: [{ kind: 'flare', id: 'bend-tongue-back', parts: ['tongue'], off: true }],
  sequences: [],
  checks: [],
};
