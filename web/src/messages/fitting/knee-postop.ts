import type { FamilyWords } from '@estribo/core/programmes';
import { atStops, calfNerve, fibularNeck, refill, skin, toes } from './shared';

export const kneePostop = {
  lists: { 'putting-on': 'Put on', 'taking-off': 'Taking it off' },
  settings: {
    'hinge-stops': { name: 'Stops', how: 'Medial and lateral alike, never outside the order.' },
    'knee-lock': {
      name: 'Slide lock',
      how: 'Apart from the stops. Both sides alike, at the ordered angle or open; a lock that came with it and was not ordered is opened.',
      caution: 'Locked, the upright must not turn. Never the nearest angle: the one ordered, or none.',
    },
    'upright-length': {
      name: 'Length of the uprights',
      how: 'Telescoped to the leg, the shorter part to the thigh; buttons fully out again.',
    },
    'strap-carriers': {
      name: 'Strap carriers',
      how: 'At the same place on both uprights, clear of the wound.',
      unit: 'hole',
    },
  },
  parts: {
    'upright-medial': 'Medial upright',
    'upright-lateral': 'Lateral upright',
    'hinge-medial': 'Medial hinge',
    'hinge-lateral': 'Lateral hinge',
    'cuff-upper-thigh': 'Upper thigh cuff',
    'cuff-lower-thigh': 'Lower thigh cuff',
    'cuff-upper-calf': 'Upper calf cuff',
    'cuff-lower-calf': 'Lower calf cuff',
    'strap-upper-thigh': 'Upper thigh strap',
    'strap-lower-thigh': 'Lower thigh strap',
    'strap-upper-calf': 'Upper calf strap',
    'strap-lower-calf': 'Lower calf strap',
  },
  operations: {
    'bend-uprights': {
      name: 'Bend the uprights',
      how: 'Over a firm edge, slow even pressure; the same angle above and below the hinge on one bar.',
      caution: 'Never on the leg.',
    },
    'shorten-straps': {
      name: 'Shorten what is too long',
      how: 'Folded and fixed; cut only when the swelling has gone. The closure tab ends at the front.',
      caution: 'What is cut cannot be put back.',
      first: 'it went on once, every buckle closed at its length.',
    },
  },
  steps: {
    'lay-flat': {
      name: 'Lay the brace open and flat',
      hold: 'All buckles open, the cuffs spread, before the leg comes in.',
    },
    'lay-leg-in': {
      name: 'Lay the leg in',
      hold: 'Knee lifted as it may be; the shorter part goes to the thigh.',
      caution: 'Only within the ordered motion, and never by the foot alone.',
    },
    'uprights-alike': {
      name: 'Set both uprights to one length',
      hold: 'Equally long, strap carriers at the same place on both, all of it clear of the wound. Buttons fully out again.',
    },
    'uprights-on-midline': {
      name: 'Uprights on the side midlines',
      hold: 'On them, not behind; the hinge level with the knee’s joint space.',
    },
    'slack-behind': {
      name: 'Take the slack out behind',
      hold: 'Strap by strap, the same on both sides; the lengths behind then stay.',
    },
    'buckle-upper-calf': { name: 'Upper calf', hold: 'First: the buckle clicks.', caution: calfNerve },
    'buckle-lower-thigh': {
      name: 'Lower thigh',
      hold: 'The buckle clicks; the uprights stay on the midlines.',
    },
    'buckle-lower-calf': { name: 'Lower calf', hold: 'The buckle clicks.', caution: calfNerve },
    'buckle-upper-thigh': {
      name: 'Upper thigh',
      hold: 'The buckle clicks.',
      caution: 'Snug, not over-tight at the thigh; the same pull as the others.',
    },
    'closure-tabs': {
      name: 'Fold what is too long',
      hold: 'Fold to length and fix it; cut only when the swelling has gone. The closure tab ends at the front.',
      caution: 'What is cut cannot be put back.',
    },
    'locked-still': { name: 'Look at the lock', hold: 'Locked as ordered, the upright does not turn.' },
    'open-buckles': {
      name: 'Open the buckles',
      hold: 'Only the buckles: the lengths behind stay as they are set.',
    },
    'lift-leg-out': { name: 'Lift the leg out', hold: 'With two hands, within the ordered motion.' },
    'look-at-the-skin': skin,
  },
  checks: {
    'on-the-midline': {
      name: 'Uprights on the side midlines',
      how: 'Seen from both sides, thigh to shin.',
      fix: 'Open the buckles, uprights back on the midline, close again.',
    },
    'uprights-alike': {
      name: 'Both uprights equally long',
      how: 'Read off both',
      fix: 'Set both to one length, buttons out, close again.',
      value: 'medial',
      reference: 'lateral',
    },
    'hinge-on-the-knee': {
      name: 'Hinge at the knee’s axis',
      how: 'It lies on the knee and does not stand off or forward.',
      fix: 'Forward: uprights back to the midline, slack out behind. Standing off: bend the upright in, off the leg. Slid down: straps snug, on the midline, the lower part lengthened toward the malleoli.',
    },
    ...atStops,
    'wound-clear': {
      name: 'Clear of the wound',
      how: 'No cuff, strap or carrier lies on it.',
      fix: 'Move the strap carriers, the same on both uprights.',
    },
    'fibular-neck-clear': fibularNeck,
    'toes-warm-moving-felt': toes,
    'capillary-refill': refill,
  },
} satisfies FamilyWords;
