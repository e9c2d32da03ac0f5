import type { Region, Side } from '@estribo/core/anatomy';
import { named } from '../messages';

/** A body part with its side, as a title or as what B turns to. */
export const bodyPartSide = (group: 'bodyPart' | 'otherPart', side: Side, region: Region): string =>
  named(group, `${side}-${region}`);
