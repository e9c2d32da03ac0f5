import type { Part } from '../brace';
import type { Setting } from '../setting';
import type { Programme } from './programme';
import { callPhysician, inStrap } from './checks';
import { byLogRoll } from './handling';
import { girth, length, mark, stance, trunkFindings } from './steps';

/**
 * Lumbar belts with panels, low or tall as ordered. Girth of the waist; the length L1 to L5 is held against a low panel,
 * T9 to the sacrococcygeal junction against a tall one; the girths above and below tilt the belt. Both ends to
 * the same mark. Common practice, no source; how far above and below is the model's own, the posture is noted.
 */
export const spineBelt: Programme = {
  id: 'spine-belt',
  version: 10,
  safetySince: 10,
  region: 'trunk',
  ordered: ['posture', 'roll', 'panels'],
  injuries: ['disc', 'other'],
  findings: trunkFindings,
  limbs: 'before-and-after',
  measuring: [
    stance(),
    mark('waist'),
    girth('girth-waist', 'waist', 0, [400, 1900], {
      tolerance: 12,
      withinPerson: 6,
      shared: 6,
      ofStature: 0.51,
      substitute: { how: 'lying', shared: 14 },
    }),
    girth('girth-waist-above', 'waist', 'model', [400, 1900], {
      tolerance: 12,
      withinPerson: 6,
      shared: 6,
      ofStature: 0.53,
    }),
    girth('girth-waist-below', 'waist', 'model', [400, 1900], {
      tolerance: 12,
      withinPerson: 6,
      shared: 6,
      ofStature: 0.56,
    }),
    length('curve', 'l1-to-l5', 'l1', 'l5', [60, 260], { ofStature: 0.082, optional: true }),
    length('curve', 't9-to-sacrococcygeal', 't9', 'sacrococcygeal-junction', [160, 480], {
      ofStature: 0.192,
      optional: true,
    }),
  ],
  axes: ['girth-waist'],
  settings: [
    {
      kind: 'mark',
      id: 'belt-ends',
      made: 'before-donning',
      parts: ['belt-wings'],
      at: { from: 'waist', face: 'front' },
      axes: [{ of: ['right', 'left'], go: 'alike' }],
      least: 1,
      most: 60,
    },
    ...(
      [
        ['low-panel-in', 'low', 'panel-of-the-back'],
        ['tall-panel-in', 'tall', 'panel-of-the-back'],
        ['side-panels-in', 'side', 'panel-of-the-back'],
        ['front-panel-in', 'front', 'panel-of-the-front'],
      ] as const
    ).map(([id, panel, part]): Setting => ({ kind: 'panel', id, made: 'before-donning', panel, part })),
    {
      // pulls to the wing centres, wings out fully, laces even: even on both sides
      kind: 'length',
      id: 'laces',
      optional: true,
      made: 'before-donning',
      parts: ['pull-right', 'pull-left'],
      at: { from: 'waist', face: 'back' },
      axes: [{ of: ['right', 'left'], go: 'alike', within: 5 }],
      least: 0,
      most: 600,
    },
    {
      // looser to sit: where the pulls end standing, and where seated
      kind: 'length',
      id: 'pull-marks',
      optional: true,
      made: 'each-donning',
      parts: ['pull-right', 'pull-left'],
      at: { from: 'waist', face: 'front' },
      axes: [{ of: ['standing', 'seated'], go: 'differ' }],
      least: 0,
      most: 400,
    },
  ],
  parts: [
    {
      kind: 'wing',
      id: 'belt-wings',
      from: { from: 'sacrococcygeal-junction', offset: 20 },
      to: { from: 'lower-ribs', offset: 20 },
      faces: ['right', 'front', 'left', 'back'],
    },
    {
      kind: 'panel',
      id: 'panel-of-the-back',
      from: { from: 'sacrum', offset: -12 },
      to: { from: 'l1' },
      face: 'back',
      width: 150,
    },
    {
      kind: 'panel',
      id: 'panel-of-the-front',
      from: { from: 'waist', offset: -84 },
      to: { from: 'waist', offset: 20 },
      face: 'front',
      width: 170,
      optional: true,
    },
    ...(['right', 'left'] as const).map((face): Part => ({
      kind: 'strap',
      id: `pull-${face}`,
      width: 34,
      course: [
        { from: 'waist', offset: -26, face: 'back' },
        { from: 'waist', offset: -26, face },
        { from: 'waist', offset: -26, face: 'front' },
      ],
    })),
  ],
  followed: { motions: [], readings: ['girth-waist'], settings: ['belt-ends'] },
  care: ['pads-by-hand'],
  wear: [{ id: 'as-the-order-says', rule: 'as-ordered' }, { id: 'looser-to-sit' }],
  operations: [
    {
      kind: 'mould',
      id: 'warm-panels',
      parts: ['panel-of-the-back', 'panel-of-the-front'],
      runs: ['panel', 'water-bath'],
      off: true,
    },
    { kind: 'trim', id: 'cut-panels', parts: ['panel-of-the-back', 'panel-of-the-front'], off: true },
  ],
  sequences: [
    {
      id: 'lying-log-roll',
      purpose: 'first-donning',
      when: { kind: 'ordered', what: 'posture', is: 'lying' },
      ...byLogRoll,
      steps: [
        { kind: 'act', id: 'lay-out', on: 'brace' },
        { kind: 'act', id: 'roll-away', on: 'patient', posture: { stance: 'in-line' }, who: 'helper' },
        { kind: 'act', id: 'tuck-near-wing', on: 'brace', part: 'panel-of-the-back' },
        { kind: 'act', id: 'roll-back', on: 'patient', posture: { stance: 'in-line' }, who: 'helper' },
        { kind: 'act', id: 'unfold-wing', on: 'brace' },
        { kind: 'look', id: 'panel-centred-lying', part: 'panel-of-the-back' },
        { kind: 'strap', id: 'close-belt', part: 'belt-wings', posture: { stance: 'supine' }, pull: 'snug' },
        { kind: 'act', id: 'both-pulls', on: 'brace', posture: { stance: 'supine' } },
      ],
    },
    {
      id: 'seated-alone',
      purpose: 'first-donning',
      when: { kind: 'ordered', what: 'posture', is: 'seated' },
      people: ['patient'],
      steps: [
        { kind: 'act', id: 'lay-out', on: 'brace' },
        { kind: 'act', id: 'round-the-waist', on: 'brace', posture: { stance: 'seated' } },
        { kind: 'look', id: 'panel-centred', part: 'panel-of-the-back' },
        { kind: 'strap', id: 'close-belt', part: 'belt-wings', posture: { stance: 'seated' }, pull: 'snug' },
        { kind: 'act', id: 'both-pulls', on: 'brace', posture: { stance: 'seated' } },
      ],
    },
    {
      id: 'taking-off',
      purpose: 'off',
      when: { kind: 'not', of: { kind: 'ordered', what: 'posture', is: 'lying' } },
      people: ['patient'],
      steps: [
        { kind: 'act', id: 'park-pulls', on: 'brace' },
        { kind: 'act', id: 'open-belt', on: 'brace' },
        { kind: 'act', id: 'pull-apart', on: 'brace' },
        { kind: 'look', id: 'look-at-the-skin' },
      ],
    },
    {
      id: 'taking-off-lying',
      purpose: 'off',
      when: { kind: 'ordered', what: 'posture', is: 'lying' },
      ...byLogRoll,
      steps: [
        { kind: 'act', id: 'park-pulls', on: 'brace', posture: { stance: 'supine' } },
        { kind: 'act', id: 'open-belt', on: 'brace', posture: { stance: 'supine' } },
        { kind: 'act', id: 'roll-away', on: 'patient', posture: { stance: 'in-line' }, who: 'helper' },
        { kind: 'act', id: 'draw-belt-out', on: 'brace' },
        { kind: 'act', id: 'roll-back', on: 'patient', posture: { stance: 'in-line' }, who: 'helper' },
        { kind: 'look', id: 'look-at-the-skin' },
      ],
    },
    {
      id: 'make-ready',
      purpose: 'reset',
      people: ['patient'],
      steps: [
        { kind: 'act', id: 'pulls-to-centres', on: 'brace' },
        { kind: 'act', id: 'wings-out', on: 'brace' },
        { kind: 'look', id: 'laces-even' },
      ],
    },
  ],
  checks: [
    {
      kind: 'seen',
      id: 'ends-at-one-mark',
      parts: ['belt-wings'],
      at: { from: 'waist', face: 'front' },
      cures: [{ stage: 'strap', thing: 'lay-out' }],
    },
    {
      kind: 'seen',
      id: 'panel-in-the-middle',
      parts: ['panel-of-the-back'],
      at: { from: 'l5', face: 'back' },
      cures: [inStrap('close-belt')],
    },
    {
      kind: 'seen',
      id: 'lower-edge-low',
      parts: ['panel-of-the-back'],
      at: { from: 'sacrum', face: 'back' },
      cures: [inStrap('close-belt')],
    },
    {
      kind: 'seen',
      id: 'breathes-and-sits',
      moments: [{ is: 'standing' }, { is: 'seated' }],
      limbSafety: true,
      at: { from: 'lower-ribs', face: 'front' },
      cures: [inStrap('both-pulls'), callPhysician],
    },
  ],
};
