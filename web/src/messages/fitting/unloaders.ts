import type { FamilyWords } from '@estribo/core/programmes';
import { benchWork, kneeHinges, shells, straps, uprights } from './shared';

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
const sixStrapSteps: FamilyWords['steps'] = {
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
};
const cuffs = { 'cuff-thigh': 'Thigh cuff', 'cuff-shin': 'Tibial cuff', 'upright-lateral': 'Upright' };

export const kneeSleeve: FamilyWords = {
  notNeeded: {
    shape: 'A sleeve has nothing to bend, mould or trim.',
    set: 'A sleeve has neither stops nor anything else to set: its pad lies where it is drawn to.',
  },
};

export const kneeFunctional: FamilyWords = {
  lists: { general: 'General, and for the front cruciate' },
  settings: stops(
    'It comes with 10-degree extension stops screwed in. Medial and lateral identical, never outside the order.',
  ),
  parts: { ...uprights, ...kneeHinges, ...shells, ...straps(6) },
  notNeeded: {
    shape: 'This model has neither bars nor pads to shape: cuffs press flat, straps are trimmed in Strap.',
  },
  operations: benchWork,
  steps: sixStrapSteps,
};

export const unloaderOneScrew: FamilyWords = {
  lists: { 'putting-on': 'Put on' },
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
};

export const unloaderTwoScrews: FamilyWords = {
  lists: { 'putting-on': 'Put on' },
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
};

export const unloaderThumbwheel: FamilyWords = {
  lists: { 'putting-on': 'Put on' },
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
    correct: {
      name: 'Correct',
      hold: 'Knee bent, the wheel in small steps. Stand, walk, ask.',
      caution: tooMuch,
    },
  },
};

export const unloaderWrap: FamilyWords = {
  lists: { 'putting-on': 'Put on' },
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
};

export const unloaderFrame: FamilyWords = {
  lists: { 'putting-on': 'Put on' },
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
};
