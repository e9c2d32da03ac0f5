/* What several families say in the same words. */
export const skin = {
  name: 'Look at the skin',
  hold: 'Press what is red for 3 seconds: it turns pale. On dark skin compare warmth, firmness, pain and colour. Still red after 30 minutes, purple, maroon, or not turning pale: keep pressure off that place and call today. A protective brace stays as ordered.',
};

export const fibularNeck = {
  name: 'Clear of the neck of the fibula',
  how: 'A finger between edge and neck, outer side.',
  fix: 'Move cuff or strap before the patient stands up.',
};

export const toes = {
  name: 'Toes warm, moving, felt',
  how: 'Colour, warmth, movement, touch.',
  fix: 'Open the straps now and look again; call a physician if it stays.',
};

/** A nail pressed white: seconds until it is pink again. */
export const refill = {
  name: 'Nail pink again',
  how: 'A nail pressed white: seconds until it is pink',
  fix: 'Open the straps now and look again; call a physician if it stays.',
};

export const hingeChecks = (height: string, behind: string) => ({
  'hinge-height': {
    name: `Hinge height against ${height}`,
    fix: 'Open, set the height, close in order again.',
    minus: '{{amount}} too low',
  },
  'hinge-behind-midline': {
    name: 'Hinge behind the side midline',
    how: behind,
    fix: 'Open, hinge back, close in order again.',
    minus: '{{amount}} in front',
  },
});
export const square = {
  name: 'Alignment',
  how: 'Square to the shin, seen from the front.',
  fix: 'Open all, turn the brace, start the sequence anew.',
  yes: 'Square',
  no: 'Twisted',
};
export const gentlePressure = {
  name: 'A gentle pressure, no more',
  how: 'Asked after a walk: gentle, without pain, the brace not turned.',
  fix: 'Go back a little, walk, ask again.',
};

/** How a knee brace comes off, and what is done with numbered straps. */
export const offLists = {
  'taking-off': 'Taking it off',
  'by-the-buckles': 'Putting it on again, by the buckles',
  'straps-back': 'After washing',
};
export const offSteps = {
  'open-straps-fold-hooks': { name: 'Open all straps', hold: 'Each hook folded back on its own strap.' },
  'open-in-order': {
    name: 'Open the straps from 1 to 6',
    hold: 'Each hook folded back on its own strap.',
  },
  'open-buckles-only': { name: 'Open the buckles only', hold: 'The straps stay as they are set.' },
  'draw-off': { name: 'Draw the brace off', hold: 'Over the foot, the leg relaxed.' },
  'look-at-the-skin': skin,
  'straps-to-their-numbers': {
    name: 'Straps back to their numbers',
    hold: 'Washed straps go back to the places with their numbers.',
  },
  'close-buckles': {
    name: 'Close the buckles, 1 to 4',
    hold: 'A hand at the hinge, so that it does not turn. The straps stay as they are set.',
  },
  'not-turned-look': { name: 'Look at the hinge', hold: 'Level with the top of the kneecap, not turned.' },
};

export const atStops = {
  'knee-at-extension-stop': {
    name: 'Knee at the extension stop',
    fix: 'Tighten and measure again; if it stays, a higher extension stop.',
    minus: '{{amount}} beyond straight',
  },
  'knee-at-flexion-stop': {
    name: 'Knee at the flexion stop',
    fix: 'Tighten and measure again; if it stays, a lower flexion stop.',
    minus: '{{amount}} beyond straight',
  },
};

export const shells = { 'shin-shell': 'Shin cuff', 'thigh-shell': 'Thigh cuff' };
export const straps = (count: number): Record<string, string> =>
  Object.fromEntries(Array.from({ length: count }, (_, i) => [`strap-${i + 1}`, `Strap ${i + 1}`]));
export const uprights = { 'upright-medial': 'Medial upright', 'upright-lateral': 'Lateral upright' };
export const kneeHinges = { 'hinge-medial': 'Medial hinge', 'hinge-lateral': 'Lateral hinge' };

/** Bars bent between irons, and pads: said in the work itself. */
export const benchWork = {
  'bend-uprights': { name: 'Bends of the uprights', how: '' },
  'place-pads': { name: 'Pads', how: '' },
};

export const panelWork = {
  'warm-panels': {
    name: 'Form a panel by warmth',
    how: 'Warm until it gives, then to the lordosis or the soft tissue.',
    caution: 'Never on the skin while hot: feel it with the back of your hand first.',
  },
  'cut-panels': {
    name: 'Trim a panel',
    how: 'Shears through the panel; felt along its notches. The end with the open window goes back toward the centre.',
    caution: 'Never the end with the open window.',
  },
};

export const calfNerve = 'Stay clear of the neck of the fibula: the nerve lies bare there.';
