import { callPhysician } from './checks';
import type { Part } from '../brace';
import type { Programme } from './programme';
import { girth, length, mark, modelsOwn, stance, trunkFindings } from './steps';

/**
 * TLSO with a sternal pad: girth 25 mm higher than the hips' greatest girth; between sizes, the larger.
 * Common practice, no source; any further reading is the model's own, the posture is noted.
 */
export const spineSternalPad: Programme = {
  id: 'spine-sternal-pad',
  version: 10,
  safetySince: 10,
  region: 'trunk',
  resuscitation: 'front-opened',
  ordered: ['posture', 'panels'],
  injuries: ['vertebral-fracture-stable', 'vertebral-fracture-osteoporotic', 'fusion'],
  findings: trunkFindings,
  limbs: 'before-and-after',
  measuring: [
    stance(),
    mark('hips-greatest-girth'),
    girth('girth-hips', 'hips-greatest-girth', 25, [500, 1900], {
      tolerance: 12,
      withinPerson: 6,
      shared: 6,
      ofStature: 0.57,
      substitute: { how: 'lying', shared: 14 },
    }),
    modelsOwn(
      length('distance', 'notch-to-symphysis', 'sternal-notch', 'pubic-symphysis', [250, 700], {
        ofStature: 0.308,
      }),
    ),
  ],
  axes: ['girth-hips', 'notch-to-symphysis'],
  settings: [
    {
      // re-sized when swelling falls or weight drops: what hangs on it is made again
      kind: 'mark',
      id: 'two-belts',
      made: 'before-donning',
      parts: ['belt-upper', 'belt-lower'],
      at: { from: 'waist', face: 'right' },
      axes: [{ of: ['upper', 'lower'], go: 'alike' }],
      least: 1,
      most: 40,
      reopens: [
        'side-panels-alike',
        'back-panel-in-place',
        'pad-below-the-notch',
        'edge-at-the-symphysis',
        'breathes-sits-stands',
      ],
    },
    {
      kind: 'length',
      id: 'lace-spools',
      optional: true,
      made: 'before-donning',
      parts: ['belt-upper', 'belt-lower'],
      at: { from: 'waist', face: 'back' },
      axes: [{ of: ['right', 'left'], go: 'alike', within: 5 }],
      least: 0,
      most: 600,
    },
    {
      kind: 'height',
      id: 'sternal-pad-below-notch',
      made: 'at-step',
      parts: ['sternal-pad'],
      at: { from: 'sternal-notch', face: 'front' },
      unit: 'mm',
      least: 0,
      most: 80,
      target: 13,
      near: 4,
      reopens: ['pad-below-the-notch'],
    },
    { kind: 'fitted', id: 'under-arm-option', made: 'before-donning', part: 'under-arm-straps' },
    { kind: 'fitted', id: 'front-stiffener-in', made: 'before-donning', part: 'front-stiffener' },
  ],
  between: 'larger',
  wear: [{ id: 'as-the-order-says', rule: 'as-ordered' }],
  care: ['textiles-only', 'rear-panel-out'],
  parts: [
    {
      kind: 'panel',
      id: 'panel-of-the-back',
      from: { from: 'sacrum', offset: -10 },
      to: { from: 'scapula-lower-angle', offset: 40 },
      face: 'back',
      width: 150,
    },
    ...(['upper', 'lower'] as const).map((which): Part => ({
      kind: 'wing',
      id: `belt-${which}`,
      from: { from: 'waist', offset: which === 'upper' ? 2 : -84 },
      to: { from: 'waist', offset: which === 'upper' ? 62 : -12 },
      faces: ['right', 'front', 'left', 'back'],
    })),
    {
      kind: 'bar',
      id: 'sternal-bar',
      course: [
        { from: 'sternal-notch', offset: -34, face: 'front' },
        { from: 'waist', face: 'front' },
        { from: 'pubic-symphysis', offset: 10, face: 'front' },
      ],
    },
    {
      kind: 'pad',
      id: 'sternal-pad',
      from: { from: 'sternal-notch', offset: -62 },
      to: { from: 'sternal-notch', offset: -13 },
      face: 'front',
      width: 90,
    },
    {
      kind: 'strap',
      id: 'shoulder-straps',
      width: 36,
      course: [
        { from: 'scapula-lower-angle', offset: 50, face: 'back' },
        { from: 'axilla', offset: 40, face: 'right' },
        { from: 'sternal-notch', offset: -40, face: 'front' },
      ],
    },
  ],
  operations: [
    { kind: 'pad', id: 'place-pads', asked: true },
    // it comes so far bent: slowly, over a firm edge
    { kind: 'bend', id: 'bend-sternal-bar', parts: ['sternal-bar'], how: 'over-edge', from: 15, off: true },
  ],
  sequences: [
    {
      id: 'putting-on',
      purpose: 'first-donning',
      people: ['patient', 'orthotist'],
      steps: [
        { kind: 'act', id: 'over-the-head', on: 'brace', posture: { stance: 'standing' } },
        {
          kind: 'act',
          id: 'side-panels-even',
          on: 'brace',
          part: 'belt-upper',
          posture: { stance: 'standing' },
        },
        { kind: 'act', id: 'sit-as-ordered', on: 'patient', posture: { stance: 'seated' } },
        {
          kind: 'set',
          id: 'set-the-sternal-pad',
          setting: 'sternal-pad-below-notch',
          posture: { stance: 'seated' },
        },
        { kind: 'look', id: 'front-edge-at-symphysis', posture: { stance: 'seated' } },
        {
          kind: 'strap',
          id: 'rear-strap-ends',
          who: 'orthotist',
          part: 'shoulder-straps',
          pull: 'snug',
          posture: { stance: 'seated' },
        },
        {
          kind: 'look',
          id: 'back-panel-between',
          part: 'panel-of-the-back',
          posture: { stance: 'seated' },
          who: 'orthotist',
        },
        {
          kind: 'strap',
          id: 'compress',
          over: { parts: ['belt-upper', 'belt-lower'], how: 'together' },
          pull: 'snug',
          posture: { stance: 'seated' },
        },
        { kind: 'settle', id: 'again-after-five', how: 'sit', minutes: 5 },
      ],
      passes: [{ after: 'again-after-five', steps: ['compress'] }],
    },
    {
      id: 'taking-off',
      purpose: 'off',
      people: ['patient'],
      steps: [
        { kind: 'act', id: 'release-pulls', on: 'brace' },
        { kind: 'act', id: 'one-shoulder-strap-off', on: 'brace', part: 'shoulder-straps' },
        { kind: 'act', id: 'one-side-panel-off', on: 'brace', part: 'belt-upper' },
        { kind: 'act', id: 'off-like-a-jacket', on: 'patient' },
        { kind: 'look', id: 'look-at-the-skin' },
      ],
    },
  ],
  checks: [
    {
      kind: 'seen',
      id: 'side-panels-alike',
      parts: ['belt-upper', 'belt-lower'],
      at: { from: 'waist', offset: -40, face: 'right' },
      cures: [{ stage: 'strap', thing: 'side-panels-even' }],
    },
    {
      kind: 'seen',
      id: 'back-panel-in-place',
      parts: ['panel-of-the-back'],
      at: { from: 'scapula-lower-angle', offset: -20, face: 'back' },
      cures: [{ stage: 'strap', thing: 'back-panel-between' }],
    },
    {
      // the pad's upper edge, seated as ordered; common practice, no source
      kind: 'distance',
      id: 'pad-below-the-notch',
      parts: ['sternal-pad'],
      from: 9,
      to: 17,
      at: { from: 'sternal-notch', face: 'front' },
      cures: [{ stage: 'strap', thing: 'set-the-sternal-pad' }],
    },
    {
      kind: 'seen',
      id: 'edge-at-the-symphysis',
      parts: ['sternal-bar'],
      at: { from: 'pubic-symphysis', face: 'front' },
      cures: [{ stage: 'strap', thing: 'front-edge-at-symphysis' }],
    },
    {
      kind: 'seen',
      id: 'breathes-sits-stands',
      moments: [{ is: 'seated' }, { is: 'standing' }],
      limbSafety: true,
      at: { from: 'lower-ribs', face: 'front' },
      cures: [{ stage: 'strap', thing: 'compress' }, callPhysician],
    },
  ],
};
