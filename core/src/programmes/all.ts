import { ankleStabiliser } from './ankle-stabiliser';
import { ankleWalker } from './ankle-walker';
import { kneeFunctional } from './knee-functional';
import { kneeLigamentFrame } from './knee-ligament-frame';
import { kneePostop } from './knee-postop';
import { kneeSleeve } from './knee-sleeve';
import { neckCollar } from './neck-collar';
import { neckTwoPost } from './neck-two-post';
import { shoulderSupport } from './shoulder-support';
import { spineBackBar } from './spine-back-bar';
import { spineBelt } from './spine-belt';
import { spineBivalve } from './spine-bivalve';
import { spinePullTab } from './spine-pull-tab';
import { spineSternalPad } from './spine-sternal-pad';
import { unloaderFrame } from './unloader-frame';
import { unloaderOneScrew } from './unloader-one-screw';
import { unloaderThumbwheel } from './unloader-thumbwheel';
import { unloaderTwoScrews } from './unloader-two-screws';
import { unloaderWrap } from './unloader-wrap';
import type { Programme } from './programme';

/** Every family that ships, in its newest version. A new family is one file and one line here. */
export const programmes: readonly Programme[] = [
  kneeSleeve,
  kneePostop,
  kneeLigamentFrame,
  kneeFunctional,
  unloaderOneScrew,
  unloaderTwoScrews,
  unloaderThumbwheel,
  unloaderWrap,
  unloaderFrame,
  spineBackBar,
  spineBelt,
  spinePullTab,
  spineSternalPad,
  spineBivalve,
  neckCollar,
  neckTwoPost,
  shoulderSupport,
  ankleStabiliser,
  ankleWalker,
];
