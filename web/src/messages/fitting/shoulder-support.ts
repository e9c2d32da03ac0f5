import type { FamilyWords } from '@estribo/core/programmes';
import { refill, skin } from './shared';

export const shoulderSupport = {
  parts: {
    'arm-sleeve': 'Sleeve',
    'joint-pad': 'Pad',
    'upper-strap': 'Upper rear strap',
    'lower-strap': 'Lower rear strap',
    'abdomen-belt': 'Belt',
  },
  notNeeded: {
    set: 'Nothing is set on it: its straps are drawn to length each time.',
    shape: 'Nothing is bent or padded: it is worn as it comes.',
  },
  lists: { 'with-help': 'With help', alone: 'Alone', 'taking-off': 'Taking it off' },
  steps: {
    'arrow-up': { name: 'Sleeve on, arrow up', hold: 'Arm a little bent, drawn up over the upper arm.' },
    'edge-out': { name: 'Turn the edge out', hold: 'Before a mirror.' },
    'arm-through': { name: 'Arm through, in front', hold: 'The other hand draws the sleeve up.' },
    'straps-over-head': { name: 'Straps over the head', hold: 'They lie on the neck’s far side.' },
    'pad-on-the-joint': {
      name: 'Pad on the joint',
      hold: 'Its upper edge level with the shoulder’s top, its ridge at the joint space.',
    },
    'upper-loose': {
      name: 'Upper strap, loose',
      hold: 'From behind: neck, opposite armpit, abdomen.',
    },
    'lower-loose': {
      name: 'Lower strap, loose',
      hold: 'Round the back to the front, through the eye, to the belt.',
    },
    'under-the-arm': {
      name: 'Look under the arm and at the pad',
      hold: 'Nothing cuts in; the pad is where it was.',
      caution: 'Vessels and nerves run bare through the armpit.',
    },
    'upper-tight': { name: 'Upper strap, tightened', hold: 'The shoulder is held, not drawn up.' },
    'lower-tight': { name: 'Lower strap, tightened', hold: 'The same pull as the upper one.' },
    'open-at-the-abdomen': { name: 'Open at the abdomen', hold: '' },
    'arm-out': { name: 'Arm out', hold: 'The other hand holds the elbow.' },
    'down-by-the-hem': { name: 'Down by the hem', hold: '' },
    'look-at-the-skin': skin,
  },
  checks: {
    'pad-level': {
      name: 'Pad level with the shoulder’s top',
      how: 'Upper edge, seen from the front.',
      fix: 'Loosen, move the pad, tighten in order again.',
    },
    'ridge-at-the-joint': {
      name: 'Ridge at the joint space',
      how: 'Felt through the sleeve.',
      fix: 'Loosen, turn the sleeve, tighten in order again.',
    },
    'armpit-free': {
      name: 'Nothing cuts in under the arm',
      how: 'Two fingers along the edge, arm hanging.',
      fix: 'Loosen the lower strap and draw the edge down.',
    },
    'refill-of-the-fingers': refill,
    'hand-warm-moving-felt': {
      name: 'Hand warm, moving, felt',
      how: 'Colour, warmth, movement, touch.',
      fix: 'Open the straps now and look again; call a physician if it stays.',
    },
  },
} satisfies FamilyWords;
