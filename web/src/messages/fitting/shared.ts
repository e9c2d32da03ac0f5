/* What several families say in the same words. */
export const skin = {
  name: 'Look at the skin',
  hold: 'Red that is still there after a quarter of an hour: call before it goes on again.',
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
