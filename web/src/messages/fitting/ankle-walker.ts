import type { FamilyWords } from '@estribo/core/programmes';
import { refill, skin, toes } from './shared';

export const ankleWalker = {
  lists: { 'putting-on': 'Put on', 'taking-off': 'Taking it off' },
  settings: {
    'ankle-angle': {
      name: 'Ankle in the boot',
      how: 'Neutral, 90 as it is printed, unless the order wants it pointed: then by wedges, out by schedule.',
      caution: 'A pointed foot shortens the Achilles tendon.',
    },
    'heel-wedges': {
      name: 'Heel wedges',
      how: 'Only for an ordered equinus, as many as give the ordered angle; out by the phases of the order.',
      caution: 'Pointed feet shorten the Achilles tendon: only as ordered, and out on time.',
      unit: 'wedges',
    },
    'lift-other-shoe': {
      name: 'Lift for the other shoe',
      how: 'A high sole tilts the pelvis: a flat, ordinary shoe on the other foot; a lift only if worked out and tried.',
    },
    'strokes-of-air': {
      name: 'Strokes of air',
      how: 'After the straps, until it is snug all round; sooner again if very active. Air out before flying.',
      unit: 'strokes',
    },
  },
  parts: {
    'boot-liner': 'Liner',
    'boot-shell': 'Boot',
    'boot-sole': 'Sole',
    'cell-lateral': 'Air cell',
    'strut-medial': 'Inner strut',
    'strut-lateral': 'Outer strut',
    'strap-toes': 'Toe strap',
    'strap-instep': 'Instep strap',
    'strap-ankle': 'Ankle strap',
    'strap-shin': 'Shin strap',
    'strap-calf': 'Calf strap',
    'air-valve': 'Valve',
  },
  operations: {
    'loose-pads': {
      name: 'Loose pads where straps dig',
      how: 'Under the strap, edge to edge with it.',
    },
  },
  steps: {
    'long-sock': { name: 'Long sock on', hold: 'No trousers inside; no crease over the heel.' },
    'air-out': { name: 'Let the air out', hold: 'All cells flat.' },
    'into-the-liner': {
      name: 'Foot into the liner',
      hold: 'Heel flush at the back of it, ankle at the ordered angle.',
      caution: 'A pointed foot shortens the Achilles tendon: pointed only as far as is ordered, by wedges.',
    },
    'into-the-boot': { name: 'Liner into the boot', hold: 'Heel flush in the boot as well.' },
    'load-the-heel': {
      name: 'Heel loaded',
      hold: 'On the knee, a stool or the floor: it stays down while the strips are pulled.',
    },
    'strut-strips': {
      name: 'Pull the strips off the struts',
      hold: 'Only now: the heel is down and the ankle at its angle.',
    },
    'strap-toes': {
      name: 'Strap over the forefoot',
      hold: 'Begin at the toes. Looser with a fracture of the foot.',
      caution: 'From the toes up, never down: swelling must not be driven into the toes.',
    },
    'strap-toes-looser': {
      name: 'Strap over the forefoot, looser',
      hold: 'Begin at the toes. Looser: the foot is broken.',
      caution: 'From the toes up, never down: swelling must not be driven into the toes.',
    },
    'strap-instep': { name: 'Strap over the instep', hold: 'The heel stays back.' },
    'strap-ankle': { name: 'Strap over the ankle', hold: 'The same pull.' },
    'strap-shin': { name: 'Strap over the shin', hold: 'A loose pad beneath where it digs.' },
    'strap-calf': { name: 'Strap over the calf', hold: 'Last one.' },
    'toes-first': { name: 'Look at the toes', hold: 'Warm and felt, before the air goes in.' },
    'air-in': {
      name: 'Valve to fill, then air',
      hold: 'Four to five strokes, snug all round. Again about every other day, sooner if very active.',
    },
    'sit-and-look': { name: 'Sit, then look again', hold: 'The toes once more; a boot settles.' },
    'straps-off': { name: 'Straps off', hold: 'Each hook folded back on its own strap; air out.' },
    'foot-out': { name: 'Foot out of boot and liner', hold: 'The heel drawn back first.' },
    'look-at-the-skin': skin,
  },
  checks: {
    'ankle-as-ordered': {
      name: 'Ankle at the ordered angle',
      how: 'Sole of the foot flat on the boot’s, or on its wedges.',
      fix: 'Out again: heel flush in liner and boot, then the strips.',
    },
    'heel-flush': {
      name: 'Heel flush in liner and boot',
      how: 'A finger behind the heel meets no gap.',
      fix: 'Open from the calf down, heel back, close from the toes up.',
    },
    'nothing-digs': {
      name: 'No strap digs in',
      how: 'Shin and calf, standing if it may bear weight.',
      fix: 'A loose pad beneath, then the straps from the toes up.',
    },
    'soles-level': {
      name: 'Other foot raised as high, within 10 mm',
      how: 'A flat, ordinary shoe on it; it also passes when a worked-out lift was tried.',
      fix: 'A flat shoe with a higher sole; no walking in one stocking.',
    },
    'toes-warm-moving-felt': toes,
    'capillary-refill': refill,
  },
} satisfies FamilyWords;
