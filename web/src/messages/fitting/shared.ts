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

export const calfNerve = 'Stay clear of the neck of the fibula: the nerve lies bare there.';
