import type { FamilyWords } from '@estribo/core/programmes';
import { panelWork } from './shared';

/*
 * What the spinal and cervical families say of what is set and of the lists in which it is set. Common practice, no source.
 */

const inLine =
  'Keep in line, by the facility’s handling policy. A loss of movement or feeling: back to the supported position, then call.';
const ends = {
  name: 'Belt ends',
  how: 'Both ends to the same mark, side extensions alike.',
  unit: 'mark',
  places: { right: 'right end', left: 'left end' },
};

export const spineBackBar: FamilyWords = {
  settings: {
    'bar-on-mark': {
      name: 'Bar on its mark',
      how: 'The bar’s lower edge sits on the sacrum’s mark every time; over it counts as more.',
    },
    'room-at-the-top': {
      name: 'Room at the top',
      how: 'About three fingers free, so that the patient can straighten into it; in this clinic’s own fingers.',
    },
  },
  parts: {
    'back-bar': 'Back bar',
    'front-pad': 'Front pad',
    'waist-strap-right': 'Right waist strap',
    'waist-strap-left': 'Left waist strap',
  },
  operations: {
    'bend-back-bar': { name: 'The bar to the back', how: 'By hand, from the sacrum’s mark upwards.' },
  },
};

export const spinePullTab: FamilyWords = {
  lists: { 'belt-and-shoulders': 'Belt, then shoulder straps' },
  settings: {
    'belt-ends': ends,
    'low-panel-in': { name: 'Low panel', how: 'As ordered.' },
    'tall-panel-in': { name: 'Tall panel', how: 'As ordered.' },
    'fork-below-c7': {
      name: 'Fork of the back panel',
      how: 'At shoulder level, just below C7: how far below it.',
    },
    'chest-strap-in': {
      name: 'Chest strap',
      how: 'Only to keep the shoulder straps out of the armpits.',
    },
  },
  parts: {
    'belt-wings': 'Belt',
    'panel-of-the-back': 'Back panel',
    'belt-pulls': 'Pulls',
    'shoulder-straps': 'Shoulder straps',
    'chest-strap': 'Chest strap',
  },
  operations: panelWork,
  steps: {
    'pulls-to-the-back': { name: 'Pulls toward the back panel', hold: 'Before it goes on.' },
    'belt-on': {
      name: 'Belt on, low and centred',
      hold: 'Without tension; upper and lower edge both snug.',
    },
    'set-the-fork': { name: 'Fork of the back panel', hold: 'At shoulder level, just below C7.' },
    tension: { name: 'Then the tension', hold: 'Both pulls together.' },
    shoulders: { name: 'Shoulder straps', hold: 'To length, both alike.' },
    'chest-strap-last': {
      name: 'Chest strap',
      hold: 'Only to keep the shoulder straps out of the armpits.',
    },
    'does-not-shift': { name: 'It does not shift', hold: 'Lean, turn, sit: it stays where it is.' },
  },
};

export const spineSternalPad: FamilyWords = {
  lists: { 'putting-on': 'Put on' },
  settings: {
    'two-belts': {
      name: 'The two belts',
      how: 'Both at the same size; re-sized when swelling falls or weight drops.',
      caution: 'Re-sized, all that hangs on them is looked at again.',
      unit: 'mark',
      places: { upper: 'upper belt', lower: 'lower belt' },
    },
    'lace-spools': { name: 'Lace spools', how: 'They set the pulls’ length, both sides alike.' },
    'sternal-pad-below-notch': {
      name: 'Sternal pad below the notch',
      how: 'Seated in the ordered posture: its top 13 mm below the sternal notch.',
      caution: 'It must not press on the throat when the patient sits or looks down.',
    },
    'under-arm-option': { name: 'Under-arm straps', how: 'In their place of the shoulder straps’ course.' },
    'front-stiffener-in': { name: 'Front stiffener', how: 'It can come out.' },
  },
  parts: {
    'panel-of-the-back': 'Back panel',
    'belt-upper': 'Upper belt',
    'belt-lower': 'Lower belt',
    'sternal-bar': 'Sternal bar',
    'sternal-pad': 'Sternal pad',
    'shoulder-straps': 'Shoulder straps',
  },
  operations: {
    'place-pads': { name: 'Pads', how: '' },
    'bend-sternal-bar': {
      name: 'Bend the sternal bar',
      how: 'It comes at about 15 degrees. Slowly over a firm edge, to the ordered posture; the angle it has in all is noted.',
      caution: 'Off the body. It must not press on the throat when the patient sits or looks down.',
    },
  },
  steps: {
    'over-the-head': { name: 'Over the head', hold: 'Standing, shoulder straps at their longest.' },
    'side-panels-even': { name: 'Side panels even', hold: 'Left and right alike.' },
    'sit-as-ordered': { name: 'Sit down', hold: 'In the ordered posture.' },
    'set-the-sternal-pad': { name: 'Sternal pad', hold: 'Its top 13 mm below the notch.' },
    'front-edge-at-symphysis': { name: 'Front edge', hold: 'At the pubic symphysis.' },
    'rear-strap-ends': { name: 'Shoulder straps', hold: 'Their rear ends first.' },
    'back-panel-between': {
      name: 'Back panel',
      hold: 'Between the shoulder blades and the low back.',
    },
    compress: { name: 'Compress', hold: 'Both pulls together, snug.' },
    'again-after-five': { name: 'Five minutes', hold: 'Then the compression is looked at again.' },
  },
  checks: {
    'side-panels-alike': {
      name: 'Side panels alike',
      how: 'Both belts to the same mark, right and left alike, flat on the skin’s side.',
      fix: 'Pulls released, both side panels to the same mark, compress again.',
    },
    'back-panel-in-place': {
      name: 'Back panel between shoulder blades and low back',
      how: 'Felt from behind: in the middle, its upper edge between the shoulder blades.',
      fix: 'Pulls released, panel moved, rear strap ends first, compress again.',
    },
    'pad-below-the-notch': {
      name: 'Sternal pad below the notch',
      how: 'Seated as ordered, from the sternal notch down to the pad’s upper edge: 13 mm.',
      fix: 'The pad is set along its bar; bent, the bar is bent slowly over a firm edge.',
    },
    'edge-at-the-symphysis': {
      name: 'Front edge at the pubic symphysis',
      how: 'Seated: the lower edge reaches the symphysis and does not press into the thighs.',
      fix: 'Bar moved, then the sternal pad again.',
    },
    'breathes-sits-stands': {
      name: 'Breathes freely',
      how: 'A deep breath; nothing presses under the arms or against the throat.',
      fix: 'Compression a little looser; under-arm option; then its edges.',
    },
  },
};

export const spineBivalve: FamilyWords = {
  settings: {
    'level-over-the-crests': {
      name: 'Level over the iliac crests',
      how: 'How far the waist groove lies above each crest: left and right alike.',
      caution: inLine,
    },
  },
  parts: {
    'shell-back': 'Rear shell',
    'shell-front': 'Front shell',
    'strap-bottom': 'Bottom straps',
    'strap-middle': 'Middle straps',
    'strap-top': 'Top straps',
  },
  operations: {
    'trim-shell': { name: 'Trim an edge', how: 'Off the body, a little at a time; the edge smoothed.' },
    'flare-edge': { name: 'Flare an edge', how: 'The edge turned outwards, off the skin.' },
    'heat-out': {
      name: 'Relieve by heat',
      how: 'Warmed off the body until it gives, brought out over the mark, held until cold.',
      caution: 'Off the body: the skin under a rigid trunk brace is not seen.',
    },
  },
};

export const neckCollar: FamilyWords = {
  settings: {
    'neck-neutral': {
      name: 'Neck in the collar',
      how: 'Its height is its size: it gives a neutral neck, straps ending equally far.',
      caution: inLine,
    },
  },
  parts: { 'collar-rear': 'Rear half', 'collar-front': 'Front half' },
  operations: {
    'centre-pads': { name: 'Pads centred', how: 'By their window; soft tabs below it, the print upright.' },
    'chin-pad-overhang': {
      name: 'Chin pad beyond its plastic',
      how: '10 to 13 mm all along, so that no plastic touches the chin.',
    },
    'pre-bend-edges': {
      name: 'Edges pre-bent',
      how: 'The front half’s edges bent to the neck before it goes under the chin.',
    },
  },
};

export const neckTwoPost: FamilyWords = {
  lists: { 'putting-on': 'Put on' },
  settings: {
    'chin-dial': {
      name: 'Dial',
      how: 'In line with the sternal notch; up until the pad touches, neck neutral, chin level with the liner.',
      caution: inLine,
      observed: { 'pad-touches': 'the pad touches and the neck is neutral' },
    },
    'front-panel-height': { name: 'Front panel', how: 'Level with the ribs, by its lever.' },
  },
  notNeeded: {
    shape: 'It is adjusted and not shaped: pads are smoothed by hand, straps are trimmed in Strap.',
  },
  parts: { 'rear-panel': 'Rear panel', 'front-panel': 'Front panel', collar: 'Collar', 'chin-dial': 'Dial' },
  steps: {
    'press-the-mattress': {
      name: 'Mattress pressed down',
      hold: 'By the helper, at the shoulder.',
      caution: inLine,
    },
    'slide-the-rear-panel': {
      name: 'Rear panel in',
      hold: 'Slid in line; the pad smoothed by hand, straps equal, hook area midway between ear and trapezius.',
    },
    'belt-and-flanks': { name: 'Belt', hold: 'Side panels at both flanks.' },
    'front-panel-on': { name: 'Front panel', hold: 'Dial at the sternal notch.' },
    'collar-on': { name: 'Collar', hold: 'Laid on without lifting the head.' },
    'set-the-dial': {
      name: 'Dial up',
      hold: 'Until it touches: neck neutral, chin level with the liner.',
      caution: inLine,
    },
    'tuck-under-each-ear': {
      name: 'Tuck under each ear',
      hold: 'And tighten again: it frees the clavicles.',
    },
    'set-the-front-height': { name: 'Front panel’s height', hold: 'Level with the ribs, by its lever.' },
    'clip-and-tighten': { name: 'Clip and tighten', hold: 'Each side, alike.' },
    'trim-the-ends': {
      name: 'Trim the ends',
      hold: 'Fold to length and close once before anything is cut.',
      caution: 'What is cut cannot be put back.',
    },
    'free-the-occipital-plates': {
      name: 'Occipital plates',
      hold: 'Freed, left to settle, fastened.',
    },
  },
};

export const ankleStabiliser: FamilyWords = {
  settings: {
    'side-sign': {
      name: 'Side',
      how: 'Left and right differ; a sign inside says which. Each strap has its own printed shape.',
      in: 'It is for this side',
      out: 'It is for the other side',
    },
  },
  parts: {
    'shell-outer': 'Outer shell',
    'shell-inner': 'Inner shell',
    'strap-round': 'Upper strap',
    'strap-eight': 'Lower strap',
    tongue: 'Tongue',
  },
  operations: {
    'bend-tongue-back': {
      name: 'Bend the tongue back',
      how: 'The foot lifted: where the tongue’s edge cuts in it is bent away from the shin.',
    },
  },
};
