import type { Programme } from './programme';
import { girth, legFindings, modelsOwn, motion, stance, width } from './steps';

/**
 * Ankle stabiliser with round and figure-of-eight straps. Heel width by calliper; left and right differ. Common
 * practice, no source.
 */
export const ankleStabiliser: Programme = {
  id: 'ankle-stabiliser',
  version: 4,
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
  settings: [],
  parts: [],
  sequences: [],
  checks: [],
};
