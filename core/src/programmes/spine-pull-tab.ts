import { callPhysician, inStrap, seen } from './checks';
import type { Setting } from '../setting';
import type { Programme } from './programme';
import { girth, length, mark, modelsOwn, stance, trunkFindings } from './steps';

/**
 * Pull-tab belt, and its shoulder-strap TLSO. Girth of the waist; side extensions reach further. Ends equal,
 * low and centred. Common practice, no source.
 */
export const spinePullTab: Programme = {
  id: 'spine-pull-tab',
  version: 8,
  safetySince: 8,
  region: 'trunk',
  resuscitation: 'front-opened',
  ordered: ['panels'],
  injuries: ['disc', 'fusion', 'vertebral-fracture-stable'],
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
    modelsOwn(
      length('curve', 'c7-to-sacrum', 'c7', 'sacrum', [250, 700], { ofStature: 0.3, onlyAsAxis: true }),
    ),
  ],
  axes: ['girth-waist', 'c7-to-sacrum'],
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
    ...(['low', 'tall'] as const).map((panel): Setting => ({
      kind: 'panel',
      id: `${panel}-panel-in`,
      made: 'before-donning',
      panel,
      part: 'panel-of-the-back',
    })),
    {
      // just below C7: how far is looked at, and noted
      kind: 'height',
      id: 'fork-below-c7',
      made: 'at-step',
      parts: ['panel-of-the-back'],
      at: { from: 'c7', face: 'back' },
      unit: 'mm',
      least: 0,
      most: 80,
    },
    { kind: 'fitted', id: 'chest-strap-in', made: 'before-donning', part: 'chest-strap' },
  ],
  parts: [
    {
      kind: 'wing',
      id: 'belt-wings',
      from: { from: 'sacrum', offset: 10 },
      to: { from: 'lower-ribs', offset: 14 },
      faces: ['right', 'front', 'left', 'back'],
    },
    {
      kind: 'panel',
      id: 'panel-of-the-back',
      from: { from: 'sacrum' },
      to: { from: 'c7', offset: -24 },
      face: 'back',
      width: 130,
    },
    {
      kind: 'strap',
      id: 'shoulder-straps',
      width: 36,
      course: [
        { from: 'c7', offset: -30, face: 'back' },
        { from: 'axilla', offset: 30, face: 'right' },
        { from: 'waist', offset: 10, face: 'front' },
      ],
    },
    {
      kind: 'strap',
      id: 'belt-pulls',
      width: 34,
      course: [
        { from: 'waist', offset: -10, face: 'back' },
        { from: 'waist', offset: -10, face: 'right' },
        { from: 'waist', offset: -10, face: 'front' },
      ],
    },
    {
      kind: 'strap',
      id: 'chest-strap',
      width: 26,
      course: [
        { from: 'chest', face: 'right' },
        { from: 'chest', face: 'front' },
        { from: 'chest', face: 'left' },
      ],
    },
  ],
  operations: [
    {
      kind: 'mould',
      id: 'warm-panels',
      parts: ['panel-of-the-back'],
      runs: ['panel', 'water-bath'],
      off: true,
    },
    { kind: 'trim', id: 'cut-panels', parts: ['panel-of-the-back'], off: true },
  ],
  sequences: [
    {
      id: 'belt-and-shoulders',
      purpose: 'first-donning',
      people: ['patient', 'orthotist'],
      steps: [
        { kind: 'act', id: 'pulls-to-the-back', on: 'brace' },
        { kind: 'strap', id: 'belt-on', part: 'belt-wings', pull: 'provisional' },
        { kind: 'check', id: 'edges-both-snug', check: 'edges-snug' },
        { kind: 'set', id: 'set-the-fork', setting: 'fork-below-c7' },
        { kind: 'strap', id: 'tension', part: 'belt-pulls', pull: 'snug' },
        { kind: 'strap', id: 'shoulders', part: 'shoulder-straps', pull: 'snug' },
        { kind: 'act', id: 'chest-strap-last', on: 'brace', part: 'chest-strap' },
        { kind: 'look', id: 'does-not-shift' },
      ],
    },
    {
      id: 'taking-off',
      purpose: 'off',
      people: ['patient'],
      steps: [
        { kind: 'act', id: 'lift-shoulder-straps', on: 'brace' },
        { kind: 'act', id: 'park-pulls', on: 'brace' },
        { kind: 'act', id: 'open-belt', on: 'brace' },
        { kind: 'act', id: 'pull-apart', on: 'brace' },
        { kind: 'look', id: 'look-at-the-skin' },
      ],
    },
  ],
  wear: [{ id: 'as-the-order-says', rule: 'as-ordered' }],
  care: ['pads-by-hand'],
  checks: [
    seen('edges-snug', { from: 'lower-ribs', face: 'front' }, [inStrap('belt-on')], {
      parts: ['belt-wings'],
    }),
    seen('ends-at-one-mark', { from: 'waist', face: 'front' }, [{ stage: 'set', thing: 'belt-ends' }], {
      parts: ['belt-wings'],
    }),
    {
      // just below C7: how far is an estimate
      kind: 'distance',
      id: 'fork-just-below-c7',
      from: 5,
      to: 45,
      parts: ['panel-of-the-back'],
      at: { from: 'c7', face: 'back' },
      cures: [inStrap('set-the-fork')],
    },
    seen('straps-out-of-armpits', { from: 'axilla', face: 'right' }, [inStrap('chest-strap-last')], {
      limbSafety: true,
      parts: ['shoulder-straps'],
    }),
    seen('stays-in-movement', { from: 'waist', face: 'right' }, [inStrap('tension')], {
      moments: [{ is: 'after-walking' }],
    }),
    seen(
      'breathes-and-sits',
      { from: 'lower-ribs', offset: -10, face: 'front' },
      [inStrap('tension'), callPhysician],
      {
        limbSafety: true,
        moments: [{ is: 'standing' }, { is: 'seated' }],
      },
    ),
  ],
};
