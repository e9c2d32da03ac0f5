import type { SameShape } from '../../same-shape';
import type { familiesEn } from '../families';
import { ankleWalker } from './ankle-walker';
import { kneeLigamentFrame } from './knee-ligament-frame';
import {
  ankleStabiliser,
  neckCollar,
  neckTwoPost,
  shoulderSupport,
  spineBackBar,
  spineBelt,
  spineBivalve,
  spinePullTab,
  spineSternalPad,
} from './trunk-and-neck';
import {
  kneeFunctional,
  kneePostop,
  kneeSleeve,
  unloaderFrame,
  unloaderOneScrew,
  unloaderThumbwheel,
  unloaderTwoScrews,
  unloaderWrap,
} from './unloaders';

/** Las familias, todas enteras en español. */
export const familiesEs: SameShape<typeof familiesEn> = {
  'knee-ligament-frame': kneeLigamentFrame,
  'ankle-walker': ankleWalker,
  'knee-postop': kneePostop,
  'knee-sleeve': kneeSleeve,
  'knee-functional': kneeFunctional,
  'unloader-one-screw': unloaderOneScrew,
  'unloader-two-screws': unloaderTwoScrews,
  'unloader-thumbwheel': unloaderThumbwheel,
  'unloader-wrap': unloaderWrap,
  'unloader-frame': unloaderFrame,
  'spine-back-bar': spineBackBar,
  'spine-belt': spineBelt,
  'spine-pull-tab': spinePullTab,
  'spine-sternal-pad': spineSternalPad,
  'spine-bivalve': spineBivalve,
  'neck-collar': neckCollar,
  'neck-two-post': neckTwoPost,
  'shoulder-support': shoulderSupport,
  'ankle-stabiliser': ankleStabiliser,
};
