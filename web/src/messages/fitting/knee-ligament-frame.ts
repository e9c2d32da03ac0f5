import type { FamilyWords } from '@estribo/core/programmes';
import {
  atStops,
  benchWork,
  calfNerve,
  fibularNeck,
  kneeHinges,
  shells,
  skin,
  straps,
  toes,
  uprights,
} from './shared';

const snug = 'Snug, not over-tight at the thigh; the same pull as the others.';

export const kneeLigamentFrame = {
  lists: { 'putting-on': 'Put on', 'taking-off': 'Taking it off' },
  settings: {
    'hinge-stops': { name: 'Stops', how: 'Medial and lateral alike, never outside the order.' },
  },
  parts: { ...uprights, ...kneeHinges, ...shells, ...straps(6) },
  operations: benchWork,
  steps: {
    'open-all': {
      name: 'Open all straps',
      hold: 'Every hook folded back on its own strap. On the skin, nothing beneath.',
    },
    'draw-on': {
      name: 'Draw the brace on',
      hold: 'Seated well forward. Draw the frame on over the foot; hold it against turning.',
    },
    'level-hinges': {
      name: 'Level the hinges',
      hold: 'Hinge middles level with the kneecap’s upper edge. Not twisted.',
    },
    'strap-1': { name: 'Strap 1', hold: 'Hold the frame level; close strap 1.', caution: calfNerve },
    'strap-2': { name: 'Strap 2', hold: 'Hold the frame level; close strap 2.', caution: snug },
    'press-hinges': {
      name: 'Press both hinges back',
      hold: 'Both thumbs on the hinges: press them back, behind the side midline, and hold.',
    },
    'strap-3': { name: 'Strap 3', hold: 'Keep the hinges back while it closes.', caution: snug },
    'strap-4': {
      name: 'Strap 4',
      hold: 'Split pads on either side of the shin’s crest or a scar.',
      caution: calfNerve,
    },
    'strap-5': { name: 'Strap 5', hold: 'Above the calf’s largest girth.', caution: calfNerve },
    'strap-6': { name: 'Strap 6', hold: 'Last one; all with the same pull.', caution: snug },
    'settling-walk': {
      name: 'Walk, then look again',
      hold: 'A brace settles. Look where the hinges are and note how far it dropped. Slipped: hinge height first, then strap 5, then the pads inside the hinges, then clothing beneath.',
    },
    'open-straps-fold-hooks': {
      name: 'Open all straps',
      hold: 'Each hook folded back on its own strap.',
    },
    'draw-off': { name: 'Draw the brace off', hold: 'Over the foot, the leg relaxed.' },
    'look-at-the-skin': skin,
  },
  checks: {
    'hinge-height': {
      name: 'Hinge height against the kneecap’s upper edge',
      fix: 'Open, set the height, close in order again.',
      minus: '{{amount}} too low',
    },
    'hinge-behind-midline': {
      name: 'Hinge behind the side midline',
      fix: 'Open strap 3 on, press the hinges back, close again.',
      minus: '{{amount}} in front',
    },
    'not-twisted': {
      name: 'Alignment',
      how: 'Shells square to the shin, seen from the front.',
      fix: 'Open all, turn the frame, start the sequence anew.',
      yes: 'Square',
      no: 'Twisted',
    },
    'strap-above-calf': {
      name: 'Strap 5 above the calf’s largest girth',
      how: 'both below the middle of the kneecap',
      fix: 'Draw strap 5 up, then look at the hinge height.',
      minus: '{{amount}} above the kneecap’s middle',
      value: 'strap',
      reference: 'calf',
    },
    ...atStops,
    'fibular-neck-clear': fibularNeck,
    'toes-warm-moving-felt': toes,
  },
} satisfies FamilyWords;
