/* What each family says in English, a file a family; a family in another language has just this shape. */
import type { FamilyWords } from '@estribo/core/programmes';
import { ankleWalker } from './ankle-walker';
import {
  ankleStabiliser,
  neckCollar,
  neckTwoPost,
  spineBackBar,
  spineBivalve,
  spinePullTab,
  spineSternalPad,
} from './trunk-and-neck';
import {
  kneeFunctional,
  kneeSleeve,
  unloaderFrame,
  unloaderOneScrew,
  unloaderThumbwheel,
  unloaderTwoScrews,
  unloaderWrap,
} from './unloaders';
import { kneeLigamentFrame } from './knee-ligament-frame';
import { kneePostop } from './knee-postop';
import { shoulderSupport } from './shoulder-support';
import { spineBelt } from './spine-belt';

export const familiesEn = {
  'knee-postop': kneePostop,
  'knee-ligament-frame': kneeLigamentFrame,
  'spine-belt': spineBelt,
  'shoulder-support': shoulderSupport,
  'ankle-walker': ankleWalker,
  'knee-sleeve': kneeSleeve,
  'knee-functional': kneeFunctional,
  'unloader-one-screw': unloaderOneScrew,
  'unloader-two-screws': unloaderTwoScrews,
  'unloader-thumbwheel': unloaderThumbwheel,
  'unloader-wrap': unloaderWrap,
  'unloader-frame': unloaderFrame,
  'spine-back-bar': spineBackBar,
  'spine-pull-tab': spinePullTab,
  'spine-sternal-pad': spineSternalPad,
  'spine-bivalve': spineBivalve,
  'neck-collar': neckCollar,
  'neck-two-post': neckTwoPost,
  'ankle-stabiliser': ankleStabiliser,
} satisfies Record<string, FamilyWords>;
