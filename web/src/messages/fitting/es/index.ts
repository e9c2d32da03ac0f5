import type { FamilyWords } from '@estribo/core/programmes';
import { ankleWalker } from './ankle-walker';
import { kneeLigamentFrame } from './knee-ligament-frame';

/** Las familias que ya lo dicen todo en español. */
export const familiesEs: Record<string, FamilyWords> = {
  'knee-ligament-frame': kneeLigamentFrame,
  'ankle-walker': ankleWalker,
};
