import type { FamilyWords } from '@estribo/core/programmes';
import { panelWork, skin } from './shared';

export const spineBelt = {
  lists: {
    'lying-log-roll': 'Lying, by log-roll',
    'seated-alone': 'Alone, seated at the couch’s edge',
    'taking-off': 'Taking it off',
    'taking-off-lying': 'Taking it off, lying',
    'make-ready': 'Making it ready for next time',
  },
  settings: {
    'belt-ends': {
      name: 'Both ends',
      how: 'Folded to the same mark, by the girth of the waist.',
      unit: 'mark',
    },
    'low-panel-in': {
      name: 'Low panel',
      how: 'As ordered for the phase. Step down: tall panel out, low one in at the foot of the pocket, surplus folded and fixed.',
    },
    'tall-panel-in': { name: 'Tall panel', how: 'As ordered.' },
    'side-panels-in': { name: 'Side panels', how: 'The long edge to the centre.' },
    laces: {
      name: 'Laces',
      how: 'Pulls to the wing centres, wings out fully: even on both sides.',
      places: { right: 'right lace', left: 'left lace' },
    },
    'pull-marks': {
      name: 'Where the pulls end',
      how: 'From the wing’s centre: snug standing, looser to sit.',
    },
    'front-panel-in': { name: 'Front panel', how: 'May be left out.' },
  },
  parts: {
    'belt-wings': 'Belt',
    'panel-of-the-back': 'Back panel',
    'panel-of-the-front': 'Front panel',
    'pull-right': 'Right pull',
    'pull-left': 'Left pull',
  },
  operations: {
    ...panelWork,
  },
  steps: {
    'lay-out': {
      name: 'Lay the belt out',
      hold: 'Both ends to the mark that Size gave, pulls back at the wings’ middles, laces even.',
    },
    'roll-away': {
      name: 'Log-roll to the far side',
      hold: 'Head, shoulders and hips turn as one.',
      caution: 'By the facility’s handling policy. Stop at any new pain, weakness or numbness.',
    },
    'tuck-near-wing': {
      name: 'Belt to the back, near wing tucked under',
      hold: 'Near wing folded; panel in the middle, its lower edge over the lumbosacral joint or as low as is comfortable.',
    },
    'roll-back': {
      name: 'Roll back',
      hold: 'As one, onto the belt.',
      caution:
        'A loss of movement or feeling on the way: complete the roll back to supine, in line; call now.',
    },
    'unfold-wing': { name: 'Unfold the wing', hold: 'Drawn out flat from under the back, no crease.' },
    'round-the-waist': { name: 'Belt round the waist', hold: 'Seated at the couch’s edge, feet down.' },
    'panel-centred': {
      name: 'Panel in the middle',
      hold: 'On the spine; lower edge over the lumbosacral joint or as low as is comfortable.',
    },
    'panel-centred-lying': {
      name: 'Panel in the middle',
      hold: 'Both wings reach equally far; the spine lies in the panel’s middle.',
    },
    'close-belt': {
      name: 'Close the belt',
      hold: 'Right over left, or the wing with the thumb loop on top.',
    },
    'both-pulls': {
      name: 'Both pulls together',
      hold: 'Drawn forwards at once and with the same strength, until it is snug; then closed.',
      caution: 'Snug, not so tight that breathing is short. Looser to sit.',
    },
    'park-pulls': { name: 'Release the pulls', hold: 'Parked towards the back.' },
    'open-belt': { name: 'Open the belt', hold: 'Lying it is taken off as it was put on: by the roll.' },
    'draw-belt-out': { name: 'Draw the belt out', hold: 'Near wing folded, from behind the back.' },
    'pull-apart': { name: 'Pull it apart', hold: 'Until nothing of the tension is left in it.' },
    'pulls-to-centres': { name: 'Pulls to the wings’ middles', hold: '' },
    'wings-out': { name: 'Wings out fully', hold: '' },
    'laces-even': { name: 'Laces even', hold: 'No loop longer than its neighbour.' },
    'look-at-the-skin': skin,
  },
  checks: {
    'ends-at-one-mark': {
      name: 'Both ends at the same mark',
      how: 'Read off both ends; the belt closes in the middle.',
      fix: 'Open, both ends to the one mark, close again.',
    },
    'panel-in-the-middle': {
      name: 'Panel in the middle of the back',
      how: 'Felt from behind: the spine in its middle.',
      fix: 'Pulls released, belt moved, both pulls again.',
    },
    'lower-edge-low': {
      name: 'Lower edge low enough',
      how: 'Over the lumbosacral joint, or as low as is comfortable.',
      fix: 'Pulls released, belt lower, both pulls again.',
    },
    'breathes-and-sits': {
      name: 'Breathes and sits freely',
      how: 'A deep breath; seated, no edge at the ribs or the groin.',
      fix: 'Both pulls a little looser; then the edges.',
    },
  },
} satisfies FamilyWords;
