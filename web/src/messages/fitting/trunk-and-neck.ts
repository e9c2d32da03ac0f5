import type { FamilyWords } from '@estribo/core/programmes';
import { panelWork, refill, skin, toes } from './shared';

/*
 * What the spinal and cervical families say of what is set and of the lists in which it is set. Common practice, no source.
 */

const inLine =
  'Keep in line, by the facility’s handling policy. A loss of movement or feeling: supine and in line; call now.';
const policy = 'By the facility’s handling policy. Stop at any new pain, weakness or numbness.';
const loss = 'A loss of movement or feeling on the way: complete the roll back to supine, in line; call now.';
const roll = (id: string): NonNullable<FamilyWords['steps']> => ({
  [`${id}-knee-up-arm-across`]: {
    name: 'Arm across; far knee up only if stable',
    hold: 'One at the head leads, counts and does nothing else; two roll, one slides. Far knee up only with a stable spine and sound hip and pelvis; unstable: legs straight, a pillow between, one more at the legs.',
    caution: policy,
  },
  [`${id}-roll`]: { name: 'Log-roll', hold: 'Head, shoulders and hips turn as one.', caution: loss },
  [`${id}-back`]: { name: 'Roll back', hold: 'As one, slowly.', caution: loss },
});
const ends = {
  name: 'Belt ends',
  how: 'Both ends to the same mark, side extensions alike.',
  unit: 'mark',
  places: { right: 'right end', left: 'left end' },
};

export const spineBackBar = {
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
    'shoulder-strap-right': 'Right shoulder strap',
    'shoulder-strap-left': 'Left shoulder strap',
    'middle-strap': 'Middle elastic strap',
  },
  operations: {
    'bend-back-bar': { name: 'The bar to the back', how: 'By hand, from the sacrum’s mark upwards.' },
    'cut-waist-straps': {
      name: 'Cut the waist straps',
      how: 'Both alike, so that they end at the side; the hook tab moved.',
      caution: 'What is cut cannot be put back.',
      first: 'each is folded to end at the side and was closed once.',
    },
    'cut-shoulder-straps': {
      name: 'Cut the shoulder straps',
      how: 'Free in their loop, the closure between loop and pad; both alike.',
      caution: 'What is cut cannot be put back.',
      first: 'both waist straps are cut, so that the brace cannot ride up, and these are folded.',
    },
  },
  lists: {
    'putting-on': 'Put on, before a mirror',
    'before-a-mirror': 'Alone, before a mirror',
    'taking-off': 'Taking it off',
  },
  steps: {
    'arms-through': { name: 'Arms through the straps', hold: 'Like a vest; as upright as can be.' },
    'bar-on-its-mark': { name: 'Bar on its mark', hold: 'Its lower edge on the sacrum’s mark.' },
    'front-pad-low': {
      name: 'Front pad low',
      hold: 'Its lower edge on the pubic bone; the patient holds it.',
    },
    'waist-straps-provisional': {
      name: 'Waist straps, provisional',
      hold: 'Each side in turn.',
      look: 'Bar and front pad are where they were.',
    },
    'shoulder-straps-to-length': {
      name: 'Shoulder straps to length',
      hold: 'Both alike.',
      look: 'Bar and front pad are where they were.',
    },
    'cuff-at-the-armpit': { name: 'Shoulder cuff', hold: 'Its cut-out at the base of the armpit.' },
    'fold-waist-straps': {
      name: 'Waist straps folded to length',
      hold: 'Each ends at the side of the body; closed once.',
      look: 'Bar and front pad are where they were.',
    },
    'cut-waist': { name: 'Waist straps to length', hold: 'Cut only when both are folded and were closed.' },
    'fold-shoulder-straps': {
      name: 'Shoulder straps folded to length',
      hold: 'Free in their loop, the closure between loop and front pad; closed once.',
      look: 'Bar and front pad are where they were.',
    },
    'cut-shoulders': { name: 'Shoulder straps to length', hold: 'Only now: the brace cannot ride up.' },
    'middle-elastic-strap': {
      name: 'Middle elastic strap',
      hold: 'At the lower ribs, its loop behind the armpit: only then does it pull.',
    },
    'bar-and-pad-again': {
      name: 'Bar and pad once more',
      hold: 'Bar on the sacrum’s mark, pad on the pubic bone.',
    },
    'close-waist-straps': { name: 'Waist straps', hold: 'Each side in turn, to where they end.' },
    'in-the-mirror': { name: 'Look in the mirror', hold: 'Bar in the middle, both sides alike.' },
    'open-front': { name: 'Open in front', hold: 'Middle strap, then the waist straps.' },
    'like-a-vest': { name: 'Off like a vest', hold: 'The front pad by its hand loops.' },
    'look-at-the-skin': skin,
  },
  checks: {
    'bar-at-the-mark': {
      name: 'Bar’s lower edge at the sacrum’s mark',
      fix: 'Open, the bar back on its mark, close again.',
      minus: '{{amount}} too low',
    },
    'bar-follows-the-spine': {
      name: 'Bar follows the spine',
      how: 'A palm between bar and back, sacrum to C7.',
      fix: 'Off, bent by hand where it gaps, laid on the mark again.',
    },
    'front-pad-at-pubic-bone': {
      name: 'Front pad on the pubic bone',
      how: 'Its lower edge, standing.',
      fix: 'Waist straps open, pad lower, close again.',
    },
    'fingers-under-shoulder-straps': {
      name: 'Three fingers under each shoulder strap',
      how: 'flat, in front of the armpit',
      fix: 'Shoulder straps longer or shorter, both alike.',
    },
    'fingers-at-the-neck': {
      name: 'Three fingers between neck and upper edge',
      how: 'flat, at the bar’s top',
      fix: 'Bar laid on its mark; then bent or set lower at the top.',
    },
    'waist-ends-at-the-side': {
      name: 'Waist straps end at the side',
      how: 'Both, and equally far.',
      fix: 'Fold them again to end at the side of the body.',
    },
    'cut-out-at-the-armpit': {
      name: 'Cut-out at the base of the armpit',
      how: 'Arms hanging: no edge in the armpit.',
      fix: 'Shoulder straps again, both alike.',
    },
  },
} satisfies FamilyWords;

export const spinePullTab = {
  lists: { 'belt-and-shoulders': 'Belt, then shoulder straps', 'taking-off': 'Taking it off' },
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
    'edges-both-snug': { name: 'Both edges', hold: 'Upper and lower edge both snug, before any tension.' },
    'does-not-shift': { name: 'It does not shift', hold: 'Lean, turn, sit: it stays where it is.' },
    'lift-shoulder-straps': { name: 'Lift the shoulder straps', hold: 'So that they have slack.' },
    'park-pulls': { name: 'Release the pulls', hold: 'Parked towards the back.' },
    'open-belt': { name: 'Open the belt', hold: '' },
    'pull-apart': {
      name: 'Pull it apart',
      hold: 'Until nothing of the tension is left in it: it is ready for next time.',
    },
    'look-at-the-skin': skin,
  },
  checks: {
    'edges-snug': {
      name: 'Upper and lower edge snug',
      how: 'Before the pulls: neither edge gapes.',
      fix: 'Belt open, lower or tilted, closed again without tension.',
    },
    'ends-at-one-mark': {
      name: 'Both ends at the same mark',
      how: 'Read off both ends; the belt closes in the middle.',
      fix: 'Open, both ends to the one mark, close again.',
    },
    'fork-just-below-c7': {
      name: 'Fork below C7',
      how: 'at shoulder level, from C7 down to it',
      fix: 'The fork set again, then the tension.',
    },
    'straps-out-of-armpits': {
      name: 'Straps out of the armpits',
      how: 'Arms forward and hanging: nothing cuts in.',
      fix: 'The chest strap draws them in; ease the shoulder straps.',
    },
    'stays-in-movement': {
      name: 'It stays where it is in movement',
      how: 'Walks, leans, turns, sits.',
      fix: 'Pulls released, belt low and centred, tension again.',
    },
    'breathes-and-sits': {
      name: 'Breathes and sits freely',
      how: 'A deep breath; seated, no edge at the ribs or the groin.',
      fix: 'Both pulls a little looser; then the edges.',
    },
  },
} satisfies FamilyWords;

export const spineSternalPad = {
  lists: { 'putting-on': 'Put on', 'taking-off': 'Taking it off' },
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
    'release-pulls': { name: 'Release the pulls', hold: '' },
    'one-shoulder-strap-off': { name: 'One shoulder strap off', hold: '' },
    'one-side-panel-off': { name: 'One side panel off the front', hold: '' },
    'off-like-a-jacket': { name: 'Off like a jacket', hold: 'Slid off the other shoulder.' },
    'look-at-the-skin': skin,
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
} satisfies FamilyWords;

export const spineBivalve = {
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
    'strap-bottom-right': 'Bottom strap, right',
    'strap-bottom-left': 'Bottom strap, left',
    'strap-middle-right': 'Middle strap, right',
    'strap-middle-left': 'Middle strap, left',
    'strap-top-right': 'Top strap, right',
    'strap-top-left': 'Top strap, left',
  },
  lists: {
    'lying-log-roll': 'Lying, by log-roll',
    'seated-secured': 'Seated, the spine secured',
    'taking-off-lying': 'Taking it off, lying',
    'taking-off-seated': 'Taking it off, seated',
  },
  steps: {
    'shirt-on': { name: 'Shirt on, smooth', hold: 'A shirt beneath, without seams or creases.' },
    ...roll('on'),
    ...roll('off'),
    'rear-shell-in': { name: 'Rear shell in', hold: 'Slid to the back, the sheet drawn smooth.' },
    'groove-over-crests': { name: 'Waist groove', hold: 'Just above the iliac crests, on both sides.' },
    'left-and-right-level': {
      name: 'Left and right level',
      hold: 'The groove as high over both crests, in mm.',
    },
    'front-over-back': { name: 'Front shell on', hold: 'Front over back, on both sides.' },
    'middle-straps': {
      name: 'Middle straps',
      hold: 'Right and left in turn: a breath in, held, then closed.',
      look: 'The front lies over the back, both sides alike.',
    },
    'bottom-straps': {
      name: 'Bottom straps',
      hold: 'Right and left in turn: a breath in, held, then closed.',
    },
    'top-straps': { name: 'Top straps', hold: 'Right and left in turn: a breath in, held, then closed.' },
    'mark-under-arms-and-thighs': {
      name: 'Look under the arms and at the thighs',
      hold: 'Mark what presses; off, trimmed, on again, looked at again: in Shape.',
    },
    'up-by-rolling': {
      name: 'Up by rolling',
      hold: 'Arm across, knee up, legs over the edge; own strength as far as it goes.',
      caution: 'Nobody pulls at the arms.',
    },
    'level-now': { name: 'Level over the crests', hold: 'Read on both sides, seated.' },
    'one-side-stays-closed': {
      name: 'One side stays closed',
      hold: 'Its three straps are closed before it goes on. First time seated: sit, wait, ask about dizziness; lie down again if faint.',
    },
    'round-from-behind': {
      name: 'Round from behind',
      hold: 'Opened on one side, put round from behind.',
      caution: 'Only where the spine is secured, as ordered.',
    },
    'middle-strap-of-the-open-side': {
      name: 'Middle strap of the open side',
      hold: 'A breath in, held, then closed.',
    },
    'bottom-strap-of-the-open-side': {
      name: 'Bottom strap of the open side',
      hold: 'A breath in, held, then closed.',
    },
    'top-strap-of-the-open-side': {
      name: 'Top strap of the open side',
      hold: 'A breath in, held, then closed.',
    },
    'down-by-the-shoulder': {
      name: 'Down on one shoulder, rolled to the back',
      hold: 'From the edge of the bed, as one.',
      caution: policy,
    },
    'open-in-any-order': { name: 'Open the straps', hold: 'In any order; each hook folded on itself.' },
    'front-off': { name: 'Front shell off', hold: 'Lying on the back.' },
    'rear-drawn-out': { name: 'Rear shell drawn out', hold: 'While rolled to the side.' },
    'open-one-side': { name: 'Open the three straps of one side', hold: 'Each hook folded on itself.' },
    'off-to-the-other-side': { name: 'Off to the other side', hold: 'Opened and drawn away behind.' },
    'look-at-the-skin': skin,
  },
  checks: {
    'level-left-and-right': {
      name: 'Left and right level over the crests',
      how: 'how far the groove lies above each crest',
      fix: 'Straps open, the shell moved until both are level, closed again.',
      value: 'right',
      reference: 'left',
    },
    'groove-above-crests': {
      name: 'Waist groove just above the crests',
      how: 'A finger in the groove on both sides.',
      fix: 'Rolled again, the rear shell higher or lower.',
    },
    'front-overlaps-back': {
      name: 'Front over back',
      how: 'On both sides, from top to bottom.',
      fix: 'Straps open, front shell over the rear one, middle straps first.',
    },
    'under-the-arms-free': {
      name: 'Free under the arms',
      how: 'Arms hanging: no edge in the armpit, no tingling in the hands.',
      fix: 'Mark, off, trim, refit, look again.',
    },
    'thighs-free': {
      name: 'Free at the thighs',
      how: 'Seated, hips bent: no edge in the groin.',
      fix: 'Mark, off, trim, refit, look again.',
    },
    'rollers-do-not-nip': {
      name: 'Strap rollers do not nip',
      how: 'The skin under the arms beside each roller.',
      fix: 'Shirt drawn smooth beneath them; the strap opened and closed again.',
    },
    'breathes-sits-stands': {
      name: 'Breathes freely',
      how: 'A deep breath; nothing presses under the arms or against the throat.',
      fix: 'Straps again in order, a breath in and held at each; then its edges.',
    },
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
} satisfies FamilyWords;

const headHeld = {
  name: 'Head held in line',
  hold: 'One helper does nothing else, from now until it is closed; that one leads.',
  caution: policy,
};
const openedName = 'Opened for the skin, in line';
const opened = {
  'open-the-straps': { name: 'Open the straps', hold: 'Head held; the rear half stays.', caution: inLine },
  'front-lifted-off': { name: 'Front half off', hold: 'Straight up, the head not lifted.', caution: inLine },
  'look-at-the-skin': skin,
  'closed-as-before': {
    name: 'Close it as before',
    hold: 'Front half, then both straps; the checks of the neck once more.',
    caution: inLine,
  },
};
const neutral = {
  name: 'Neck in the ordered position',
  how: 'degrees from it, seen from the side, chin up counts as more; neutral where nothing is ordered and it goes there without force; a fixed kyphosis: the former position, padded behind',
  fix: 'In line, without force: open, set again. More than 5 degrees off: not fitted; another size, or ask the prescriber.',
  minus: '{{amount}} bent forward',
};
const endsAlike = {
  name: 'Strap ends equally far',
  how: 'from their marks, both sides',
  fix: 'Open both, centre, close to equally far.',
  value: 'right',
  reference: 'left',
};
const swallows = {
  name: 'Swallows, breathes, speaks',
  how: 'A sip of water if allowed; asked to speak.',
  fix: 'Keep in line, ease the straps, call a physician if it stays.',
};
const pressed = {
  name: 'Nothing presses on chin, ears, occiput',
  how: 'A finger along each edge; the skin beneath looked at in line.',
  fix: 'Pads centred again; the edge bent off.',
};

export const neckCollar = {
  settings: {
    'neck-neutral': {
      name: 'Neck in the collar',
      how: 'Its height is its size: it gives the ordered position, neutral where nothing is ordered; straps ending equally far.',
      caution: inLine,
    },
  },
  parts: {
    'collar-rear': 'Rear half',
    'collar-front': 'Front half',
    'collar-strap-right': 'Right strap',
    'collar-strap-left': 'Left strap',
  },
  lists: { 'putting-on': 'Put on, in line', 'opened-in-line': openedName },
  steps: {
    'head-held-in-line': headHeld,
    ...opened,
    'print-upright': {
      name: 'Right way up',
      hold: 'Print upright, the openings’ peaks down, soft tabs below the window.',
    },
    'edges-bent-inward': { name: 'Rear edges bent inward', hold: 'Before it goes on; both alike.' },
    'rear-first': {
      name: 'Rear half first',
      hold: 'Slid in flat, centred; its straps midway between trapezius and ear.',
      caution: inLine,
    },
    'tabs-bent-out': { name: 'Front tabs bent out', hold: 'Slightly; the edges bent to the neck.' },
    'front-under-the-chin': {
      name: 'Front half under the chin',
      hold: 'Scooped up from the chest; it overlaps the rear one.',
      caution: inLine,
    },
    'straps-equally-far': {
      name: 'Both straps',
      hold: 'One after the other, to equally far.',
      look: 'The chin stays in the middle.',
    },
    'neutral-now': {
      name: 'Neck in the ordered position',
      hold: 'Seen from the side. Neutral where nothing is ordered and it goes there without force; a fixed kyphosis: the former position, padded behind.',
    },
    'pads-by-the-window': {
      name: 'Pads',
      hold: 'Centred by the window; the chin pad over its plastic all along.',
    },
  },
  checks: {
    'neck-is-neutral': neutral,
    'strap-ends-alike': endsAlike,
    'straps-midway-to-ear': {
      name: 'Straps midway between trapezius and ear',
      how: 'Both sides, seen from the side.',
      fix: 'In line: straps open, rear half moved, closed again.',
    },
    'chin-pad-beyond-plastic': {
      name: 'Chin pad beyond its plastic',
      how: '10 to 13 mm',
      fix: 'Rear straps out of their slots first, then the pad is laid on anew.',
    },
    'swallows-and-breathes': swallows,
    'chin-and-occiput-not-pressed': pressed,
  },
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
} satisfies FamilyWords;

export const neckTwoPost = {
  lists: { 'putting-on': 'Put on', 'opened-in-line': openedName },
  settings: {
    'chin-dial': {
      name: 'Dial',
      how: 'In line with the sternal notch; up until the pad touches, neck in the ordered position, chin level with the liner.',
      caution: inLine,
      observed: { 'pad-touches': 'the pad touches and the neck is in the ordered position' },
    },
    'front-panel-height': { name: 'Front panel', how: 'Level with the ribs, by its lever.' },
  },
  notNeeded: {
    shape: 'It is adjusted and not shaped: pads are smoothed by hand, straps are trimmed in Strap.',
  },
  parts: {
    'rear-panel': 'Rear panel',
    'front-panel': 'Front panel',
    collar: 'Collar',
    'chin-dial': 'Dial',
    'strap-right': 'Right strap',
    'strap-left': 'Left strap',
  },
  operations: {
    'trim-strap-ends': {
      name: 'Trim the strap ends',
      how: 'Both sides alike, folded to length and closed once.',
      caution: 'What is cut cannot be put back.',
      first: 'each side was clipped, tightened and closed once.',
    },
  },
  checks: {
    'neck-is-neutral': {
      ...neutral,
      fix: 'In line, without force: the dial up or down. More than 5 degrees off: not fitted; ask the prescriber.',
    },
    'chin-level-with-liner': {
      name: 'Chin level with the liner',
      how: 'Seen from the side.',
      fix: 'In line: the dial up or down until it touches.',
    },
    'panel-level-with-ribs': {
      name: 'Front panel level with the ribs',
      how: 'Its lower edge, felt on both sides.',
      fix: 'Its height by the lever, then clipped and tightened again.',
    },
    'clavicles-free': {
      name: 'Collar bones free',
      how: 'A finger over each.',
      fix: 'Tuck it under each ear and tighten again.',
    },
    'strap-ends-alike': endsAlike,
    'swallows-and-breathes': swallows,
    'chin-and-occiput-not-pressed': pressed,
  },
  steps: {
    'head-held-in-line': headHeld,
    ...opened,
    'press-the-mattress': {
      name: 'Mattress pressed down',
      hold: 'By a second helper, at the shoulder; the one at the head does nothing else.',
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
      hold: 'Until it touches: neck in the ordered position, chin level with the liner.',
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
} satisfies FamilyWords;

export const ankleStabiliser = {
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
  lists: { 'putting-on': 'Put on', 'taking-off': 'Taking it off' },
  steps: {
    'open-both-straps': { name: 'Open both straps fully', hold: '' },
    'tongue-forward': { name: 'Tongue forward', hold: '' },
    'foot-in-shells': {
      name: 'Foot in',
      hold: 'Outer shell before the malleolus, inner one behind it; heel back.',
    },
    'round-above': { name: 'Upper strap, round', hold: 'A light pull.' },
    'eight-below': {
      name: 'Lower strap, figure of eight',
      hold: 'Over the instep, under the heel; its end up through the eye.',
    },
    'lift-the-foot': { name: 'Lift the foot', hold: 'The tongue must not cut in: else it is bent back.' },
    'stand-on-it': { name: 'Stand', hold: 'No creases; weight as it may be borne.' },
    'into-the-shoe': { name: 'Into the shoe', hold: 'Laces open, heel down first.' },
    'out-of-the-shoe': { name: 'Out of the shoe', hold: 'Laces open.' },
    'look-at-the-skin': skin,
  },
  checks: {
    'outer-before-inner-behind': {
      name: 'Outer shell before, inner behind the malleolus',
      how: 'Both sides, seated.',
      fix: 'Straps open, foot back, shells placed again.',
      yes: 'As it should be',
    },
    'tongue-does-not-cut': {
      name: 'Tongue does not cut in',
      how: 'The foot lifted.',
      fix: 'Bend the tongue’s edge back.',
    },
    'no-creases-standing': {
      name: 'No creases',
      how: 'Standing, over the instep and behind the heel.',
      fix: 'Lower strap open, drawn smooth, closed again.',
    },
    'fits-in-the-shoe': {
      name: 'Fits in the shoe',
      how: 'Heel down in it, nothing presses.',
      fix: 'A wider shoe, laced up over it.',
    },
    'toes-warm-moving-felt': toes,
    'capillary-refill': refill,
  },
  operations: {
    'bend-tongue-back': {
      name: 'Bend the tongue back',
      how: 'The foot lifted: where the tongue’s edge cuts in it is bent away from the shin.',
    },
  },
} satisfies FamilyWords;
