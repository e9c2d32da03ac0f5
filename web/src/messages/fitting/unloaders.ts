import type { FamilyWords } from '@estribo/core/programmes';
import {
  atStops,
  benchWork,
  fibularNeck,
  gentlePressure,
  hingeChecks,
  kneeHinges,
  offLists,
  offSteps,
  refill,
  shells,
  skin,
  square,
  straps,
  toes,
  uprights,
} from './shared';

/*
 * What the unloaders and the frame with six straps say. Common practice, no source.
 */

const gentle = { 'gentle-pressure': 'there is a gentle pressure' };
const tooMuch = 'Too much brings pain, turning and skin trouble. Relief takes weeks.';
const stops = (how: string) => ({ 'hinge-stops': { name: 'Stops', how } });
const onOrder = 'Only if ordered. Medial and lateral alike, never outside the order.';
const oneHinge = 'Only if ordered. Screwed in, never outside the order.';
const calfNerve = 'Clear of the neck of the fibula: the nerve lies bare there.';
const snug = 'Snug, not over-tight at the thigh; held against turning by a hand at the hinge.';

const settle = {
  name: 'Walk, then look again',
  hold: 'A brace settles. Note how far it dropped; re-tighten in the same order.',
};
const hingeLevel = {
  name: 'Hinge level',
  hold: 'Level with the top of the kneecap, slightly behind the side midline.',
};
const strapsStay = {
  name: 'Straps stay as they are',
  hold: 'From now on it is opened and closed by its buckles only.',
};
const sixStrapSteps = {
  'open-all': {
    name: 'Open all straps',
    hold: 'Every hook folded back on its own strap. Knee about 30 degrees, foot flat.',
  },
  'level-hinges': {
    name: 'Level the hinges',
    hold: 'Hinge centre on a line across the top of the kneecap.',
  },
  'shin-cuff-flat': { name: 'Shin cuff flat', hold: 'Press the shin cuff flat on the shin and hold it.' },
  'strap-1': { name: 'Strap 1, behind the calf', hold: 'All with the same pull.', caution: calfNerve },
  'strap-2': { name: 'Strap 2, behind, above the knee', hold: 'All with the same pull.' },
  'thigh-cuff-flat': { name: 'Thigh cuff flat', hold: 'Press the thigh cuff flat on the thigh and hold it.' },
  'strap-3': { name: 'Strap 3, behind the hamstrings', hold: 'All with the same pull.' },
  'strap-4': { name: 'Strap 4, in front, below the knee', hold: 'All with the same pull.' },
  'strap-5': { name: 'Strap 5, behind, below the knee', hold: 'All with the same pull.', caution: calfNerve },
  'strap-6': {
    name: 'Strap 6, in front, above the knee',
    hold: 'Standing, or with the knee straight.',
  },
  'warm-up': {
    name: 'Five minutes’ warm-up',
    hold: 'Then seated at 30 degrees: each strap loosened and tightened in order.',
  },
} satisfies FamilyWords['steps'];
const top = 'the top of the kneecap';
const legChecks = {
  'not-twisted': square,
  ...atStops,
  'fibular-neck-clear': fibularNeck,
  'toes-warm-moving-felt': toes,
  'capillary-refill': refill,
};
const sixStrapChecks = {
  ...hingeChecks('a line across the top of the kneecap', ''),
  'cuffs-flat': {
    name: 'Cuffs lie flat',
    how: 'A palm over shin cuff and thigh cuff: no edge is felt.',
    fix: 'Stand, ease the straps, press the cuff flat, then all straps again in order.',
  },
  'equal-tension': {
    name: 'All straps with the same pull',
    how: 'A finger under each, one after the other.',
    fix: 'Loosen and tighten again from strap 1, all with the same pull.',
  },
  ...legChecks,
} satisfies FamilyWords['checks'];
const onceWalked = {
  first: 'it went on, was walked in for five minutes and every strap closed at its length.',
};
const upright = {
  ...hingeChecks(top, 'Slightly behind it.'),
  'thigh-not-tight': {
    name: 'Not over-tight at the thigh',
    how: 'A finger goes under the thigh straps, standing.',
    fix: 'Ease the thigh straps, hold the hinge, close again.',
  },
  'gentle-pressure-only': gentlePressure,
  ...legChecks,
} satisfies FamilyWords['checks'];
const cuffs = { 'cuff-thigh': 'Thigh cuff', 'cuff-shin': 'Tibial cuff', 'upright-lateral': 'Upright' };

export const kneeSleeve = {
  lists: { 'putting-on': 'Put on', 'taking-off': 'Taking it off' },
  parts: {
    sleeve: 'Sleeve',
    'patellar-pad': 'Patellar pad',
    'stay-medial': 'Inner stay',
    'stay-lateral': 'Outer stay',
  },
  steps: {
    'thumbs-in-loops': { name: 'Thumbs in both loops', hold: 'Knee slightly bent, the pad in front.' },
    'draw-up': { name: 'Draw it up', hold: 'Steadily, with both hands, until the pad is round the kneecap.' },
    'pad-round-the-kneecap': {
      name: 'Look at the pad',
      hold: 'Its inner rim level with the kneecap’s lower pole, and all round it.',
    },
    'smooth-it-out': { name: 'Smooth it out', hold: 'No creases behind the knee; the stays at the sides.' },
    'draw-down': { name: 'Draw it down', hold: 'By both loops, knee slightly bent.' },
    'look-at-the-skin': skin,
  },
  checks: {
    'pad-rim-at-lower-pole': {
      name: 'Pad’s inner rim at the kneecap’s lower pole',
      fix: 'Thumbs in the loops, draw it up or down by so much.',
      minus: '{{amount}} too low',
    },
    'rim-all-round': {
      name: 'Rim all round the kneecap',
      how: 'Felt through the sleeve, all the way round.',
      fix: 'Draw the sleeve round until the rim holds the kneecap evenly.',
    },
    'no-creases': {
      name: 'No creases',
      how: 'Behind the knee above all; again within half an hour.',
      fix: 'Smooth it out; if they come back, draw it off and up again.',
    },
    'stays-at-the-sides': {
      name: 'Stays at the sides',
      how: 'One on each side midline, seen from the front.',
      fix: 'Turn the sleeve until the stays lie at the sides.',
    },
    'toes-warm-moving-felt': {
      ...toes,
      fix: 'Take it off now and look again; call a physician if it stays.',
    },
  },
  notNeeded: {
    shape: 'A sleeve has nothing to bend, mould or trim.',
    set: 'A sleeve has neither stops nor anything else to set: its pad lies where it is drawn to.',
  },
} satisfies FamilyWords;

export const kneeFunctional = {
  lists: { ...offLists, general: 'General, and for the front cruciate' },
  settings: stops(
    'It comes with 10-degree extension stops screwed in. Medial and lateral identical, never outside the order.',
  ),
  parts: { ...uprights, ...kneeHinges, ...shells, ...straps(6) },
  notNeeded: {
    shape: 'This model has neither bars nor pads to shape: cuffs press flat, straps are trimmed in Strap.',
  },
  operations: {
    ...benchWork,
    'shorten-straps': {
      name: 'Strap ends to the middle of the limb',
      how: 'The strap pad is cut first, then the strap is shortened from its hook end; hooks put back.',
      caution: 'What is cut cannot be put back.',
      ...onceWalked,
    },
  },
  steps: { ...sixStrapSteps, ...offSteps },
  checks: {
    ...sixStrapChecks,
    'ends-mid-limb': {
      name: 'Strap ends and pads in mid-limb',
      how: 'Each ends in the middle of the limb, none over an edge.',
      fix: 'Cut the strap pad, shorten the strap from its hook end, close once more.',
    },
  },
} satisfies FamilyWords;

export const unloaderOneScrew = {
  lists: { ...offLists, 'putting-on': 'Put on' },
  checks: {
    ...upright,
    'wrap-above-strap': {
      name: 'Suspension wrap above the strap under the knee',
      how: 'its upper edge, 13 mm',
      fix: 'Move the wrap, so that it is not bunched behind the knee.',
    },
  },
  settings: {
    ...stops(oneHinge),
    screw: {
      name: 'Correction',
      how: 'Seated, knee 90: a quarter turn first, at most an eighth after that. Stock: neutral first, cuffs and hinge pad touching, unloaded. Made to measure: it comes preset and is not set to neutral.',
      caution: tooMuch,
      places: { screw: 'screw' },
      observed: gentle,
    },
    'condyle-pad-in': { name: 'Thin condyle pad', how: 'For comfort.' },
    'suspension-wrap-in': {
      name: 'Suspension wrap',
      how: 'Its upper edge 13 mm above the strap under the knee, not bunched behind.',
    },
    'strap-extender-in': { name: 'Strap extender', how: 'For a thigh that moves.' },
  },
  parts: { ...cuffs, 'hinge-lateral': 'Hinge', 'condyle-pad': 'Condyle pad', ...straps(4) },
  operations: benchWork,
  steps: {
    ...offSteps,
    'wrap-on': {
      name: 'Suspension wrap on',
      hold: 'Its upper edge 13 mm above where the strap under the knee will lie; not bunched behind.',
    },
    'hinge-level': hingeLevel,
    'straps-in-order': {
      name: 'Straps in their marked order',
      hold: snug,
      caution: calfNerve,
      look: 'The brace has not turned.',
    },
    'settling-walk': settle,
    'straps-stay': strapsStay,
    correct: {
      name: 'Correct',
      hold: 'Seated, knee 90. Clockwise relieves the outer side, anticlockwise the inner. Stand, walk, ask.',
      caution: tooMuch,
    },
  },
} satisfies FamilyWords;

export const unloaderTwoScrews = {
  lists: { ...offLists, 'putting-on': 'Put on' },
  checks: {
    ...upright,
    'cuff-on-the-crest': {
      name: 'Tibial cuff on the shin’s crest',
      how: 'A palm over it: it bears on the whole of its breadth, not on the crest alone.',
      fix: 'Mould the cuff to the crest.',
    },
  },
  settings: {
    ...stops(oneHinge),
    screws: {
      name: 'Correction',
      how: 'Neutral by laying the hinge pad flat, then upper and lower parts until the cuffs touch. Knee 90: an eighth on the upper screw, then on the lower; at most an eighth on each after that.',
      caution: tooMuch,
      places: { upper: 'upper screw', lower: 'lower screw' },
      observed: gentle,
    },
    'condyle-pad-in': { name: 'Thin condyle pad', how: 'For osteoarthritis of the outer side.' },
  },
  parts: { ...cuffs, 'hinge-lateral': 'Hinge', 'condyle-pad': 'Condyle pad', ...straps(4) },
  operations: {
    ...benchWork,
    'mould-tibial-cuff': {
      name: 'Mould the tibial cuff',
      how: 'By the heat pack on the leg, or by the gun with the brace off; over the crest of the shin. Strap 2 may hold it while it cools.',
      caution: 'Never on a leg whose skin does not feel. Gloves or padded hands.',
    },
  },
  steps: {
    ...offSteps,
    'hinge-level': hingeLevel,
    'strap-1': {
      name: 'Strap 1, above the calf',
      hold: `It holds the brace in its place. ${snug}`,
      caution: calfNerve,
    },
    'strap-2': { name: 'Strap 2, middle of the calf', hold: snug },
    'strap-3': { name: 'Strap 3, lower thigh', hold: snug },
    'strap-4': { name: 'Strap 4, upper thigh', hold: snug },
    'settling-walk': settle,
    'straps-stay': strapsStay,
    correct: {
      name: 'Correct',
      hold: 'Seated, knee 90: the upper screw, then the lower. Stand, walk, ask.',
      caution: tooMuch,
    },
  },
} satisfies FamilyWords;

export const unloaderThumbwheel = {
  lists: { ...offLists, 'putting-on': 'Put on' },
  checks: {
    ...sixStrapChecks,
    'gel-pad-on-wheel-side': {
      name: 'Large gel pad on the wheel’s side',
      how: 'Looked at from inside.',
      fix: 'Exchange the pads: the large one on the wheel’s side.',
    },
    'gentle-pressure-only': gentlePressure,
  },
  settings: {
    ...stops(onOrder),
    wheel: {
      name: 'Wheel',
      how: 'Knee bent. Clockwise moves the pad inward; small steps of half a millimetre.',
      caution: tooMuch,
      places: { wheel: 'wheel' },
      observed: gentle,
    },
    'gel-pad-side': {
      name: 'Large gel pad',
      how: 'On the wheel’s side.',
      in: 'On the wheel’s side',
      out: 'On the other side',
    },
  },
  parts: { ...uprights, ...kneeHinges, ...shells, 'gel-pad': 'Large gel pad', ...straps(6) },
  operations: benchWork,
  steps: {
    ...sixStrapSteps,
    ...offSteps,
    correct: {
      name: 'Correct',
      hold: 'Knee bent, the wheel in small steps. Stand, walk, ask.',
      caution: tooMuch,
    },
  },
} satisfies FamilyWords;

export const unloaderWrap = {
  lists: { ...offLists, 'putting-on': 'Put on' },
  checks: {
    'no-creases': {
      name: 'No creases',
      how: 'Behind the knee above all.',
      fix: 'Open from strap 4 back, smooth it out, close in order again.',
    },
    'dial-at-the-joint': {
      name: 'Dial at the joint',
      how: 'At the height of the kneecap’s middle, on the side.',
      fix: 'Straps 5 and 6 opened, the dial moved, closed again with the ring held.',
    },
    'gentle-pressure-only': gentlePressure,
    ...legChecks,
  },
  settings: {
    ...stops(onOrder),
    'wrap-dial': {
      name: 'Dial',
      how: 'At zero before the first donning, later as the model says. Then slowly up over days: clockwise presses, anticlockwise eases.',
      caution: tooMuch,
      places: { 'wrap-dial': 'dial' },
      observed: gentle,
    },
  },
  parts: { wrap: 'Wrap', 'wrap-dial': 'Dial', ...straps(6) },
  notNeeded: { shape: 'A wrap has nothing to bend, mould or trim.' },
  steps: {
    ...offSteps,
    'dial-to-zero': { name: 'Dial to zero', hold: 'Before the first donning. Knee 30 degrees, foot flat.' },
    'strap-1': { name: 'Strap 1, thigh, above the knee', hold: 'A finger in its pocket; snug.' },
    'strap-2': {
      name: 'Strap 2, shin, below the knee',
      hold: 'A finger in its pocket; snug.',
      caution: calfNerve,
    },
    'strap-3': { name: 'Strap 3, lower shin', hold: 'A finger in its pocket; snug.' },
    'strap-4': { name: 'Strap 4, upper thigh', hold: 'A finger in its pocket; snug.' },
    'strap-5': { name: 'Strap 5, through the ring', hold: 'Hold the ring while it is pulled.' },
    'strap-6': { name: 'Strap 6, through the ring', hold: 'Hold the ring while it is pulled.' },
    'settling-walk': {
      name: 'A few minutes’ walk',
      hold: 'The swelling shifts: re-tighten in the same order.',
    },
    correct: {
      name: 'Dial up',
      hold: 'Slowly, over days. Stand, walk, ask.',
      caution: tooMuch,
    },
  },
} satisfies FamilyWords;

export const unloaderFrame = {
  lists: { ...offLists, 'putting-on': 'Put on' },
  checks: {
    ...hingeChecks('the kneecap’s upper edge', 'Pressed back, behind it.'),
    'strap-above-calf': {
      name: 'Strap 5 above the calf’s largest girth',
      how: 'both below the middle of the kneecap',
      fix: 'Draw strap 5 up, then look at the hinge height.',
      minus: '{{amount}} above the kneecap’s middle',
      value: 'strap',
      reference: 'calf',
    },
    'gentle-pressure-only': gentlePressure,
    ...legChecks,
  },
  settings: {
    ...stops('Wedges: one of at least 0 always stays in. Medial and lateral alike, never outside the order.'),
    'coronal-screws': {
      name: 'Coronal hinges',
      how: 'Seated: both screws neutral, pad flat, none or gentle pressure. Standing: both a quarter turn. No further step is stated. The patient may be taught it.',
      caution: tooMuch,
      places: { upper: 'upper screw', lower: 'lower screw' },
      observed: gentle,
    },
  },
  parts: { ...uprights, ...kneeHinges, ...shells, ...straps(6) },
  operations: {
    ...benchWork,
    'exchange-medial-pad': {
      name: 'Exchange the medial pad',
      how: 'For a thin knee, or one that swells and thins: the thin pad in its place.',
    },
  },
  steps: {
    ...offSteps,
    'open-all': { name: 'Open all straps', hold: 'Every hook folded back on its own strap. On the skin.' },
    'draw-on': { name: 'Draw the brace on', hold: 'Seated well forward; hold it against turning.' },
    'level-hinges': {
      name: 'Level the hinges',
      hold: 'Hinge middles level with the kneecap’s upper edge. Not twisted.',
    },
    'strap-1': { name: 'Strap 1', hold: 'Hold the frame level; close strap 1.', caution: calfNerve },
    'strap-2': { name: 'Strap 2', hold: 'Hold the frame level; close strap 2.' },
    'press-hinges': {
      name: 'Press both hinges back',
      hold: 'Both thumbs on the hinges: press them back, slightly behind the side midline, and hold.',
    },
    'strap-3': { name: 'Strap 3', hold: 'Keep the hinges back while it closes.' },
    'strap-4': { name: 'Strap 4', hold: 'The same pull as the others.', caution: calfNerve },
    'strap-5': { name: 'Strap 5', hold: 'Above the calf’s largest girth.', caution: calfNerve },
    'strap-6': { name: 'Strap 6', hold: 'Last one; all with the same pull.' },
    'settling-walk': settle,
    correct: {
      name: 'Correct',
      hold: 'Standing: both screws a quarter turn. Walk, ask.',
      caution: tooMuch,
    },
  },
} satisfies FamilyWords;
