import { callPhysician, inStrap, seen } from './checks';
import { neckInLine, openedInLine } from './handling';
import type { Part } from '../brace';
import type { Programme } from './programme';
import { girth, length, modelsOwn, neckFindings, stance } from './steps';

const inLine = { stance: 'in-line' } as const;

/**
 * Two-piece collar. Adult: the height from the top of the trapezius to the chin line picks the size. Child: age,
 * weight and length pick it; the model says which leads. Common practice, no source.
 */
export const neckCollar: Programme = {
  id: 'neck-collar',
  version: 8,
  safetySince: 8,
  region: 'neck',
  resuscitation: 'front-lifted-off',
  ordered: ['posture'],
  injuries: ['cervical-fracture', 'cervical-sprain'],
  findings: neckFindings,
  limbs: 'before-and-after',
  measuring: [
    stance('in-line'),
    {
      kind: 'age',
      id: 'age',
      tolerance: 0.5,
      withinPerson: 0.05,
      shared: 0.05,
      plausible: [0, 110],
      repeats: 1,
      onlyAsAxis: true,
    },
    {
      kind: 'mass',
      id: 'weight',
      tolerance: 0.5,
      withinPerson: 0.15,
      shared: 0.2,
      plausible: [2, 250],
      onlyAsAxis: true,
      substitute: { how: 'as-told', shared: 1.5 },
    },
    {
      kind: 'stature',
      id: 'stature',
      tolerance: 10,
      withinPerson: 4,
      shared: 5,
      plausible: [450, 2200],
      onlyAsAxis: true,
      substitute: { how: 'lying', shared: 12 },
    },
    length('height', 'trapezius-to-chin', 'trapezius-top', 'chin-line', [15, 190], {
      tolerance: 5,
      withinPerson: 2.5,
      shared: 3,
      ofStature: 0.052,
      onlyAsAxis: true,
    }),
    modelsOwn(girth('girth-neck', 'neck-middle', 0, [180, 650], { ofStature: 0.215 })),
  ],
  axes: ['trapezius-to-chin', 'age', 'weight', 'stature'],
  settings: [
    {
      // its height is its size: what is looked at is the neck that it gives
      kind: 'angle',
      id: 'neck-neutral',
      made: 'after-settling',
      joint: 'neck',
      at: { from: 'chin-line', face: 'front' },
      unlessOrdered: 0,
      least: -20,
      most: 20,
    },
  ],
  parts: [
    {
      kind: 'shell',
      id: 'collar-rear',
      from: { from: 'trapezius-top', offset: -14 },
      to: { from: 'occiput', offset: -34 },
      faces: ['back'],
    },
    {
      kind: 'shell',
      id: 'collar-front',
      from: { from: 'trapezius-top', offset: -22 },
      to: { from: 'chin-line', offset: -8 },
      faces: ['front'],
    },
    ...(['right', 'left'] as const).map((face): Part => ({
      kind: 'strap',
      id: `collar-strap-${face}`,
      width: 26,
      // midway between trapezius and ear
      course: [
        { from: 'trapezius-top', to: 'occiput', share: 0.5, face: 'back' },
        { from: 'trapezius-top', to: 'occiput', share: 0.5, face },
        { from: 'trapezius-top', to: 'occiput', share: 0.5, face: 'front' },
      ],
    })),
  ],
  operations: [
    { kind: 'pad', id: 'centre-pads', parts: ['collar-rear', 'collar-front'], asked: true, off: true },
    {
      kind: 'pad',
      id: 'chin-pad-overhang',
      parts: ['collar-front'],
      unit: 'mm',
      least: 10,
      most: 13,
      asked: true,
      off: true,
    },
    { kind: 'flare', id: 'pre-bend-edges', parts: ['collar-front'], asked: true, off: true },
  ],
  wear: [{ id: 'as-the-order-says', rule: 'as-ordered' }],
  care: ['pads-by-hand', 'skin-under-collar'],
  sequences: [
    {
      id: 'putting-on',
      purpose: 'first-donning',
      ...neckInLine,
      steps: [
        {
          kind: 'act',
          id: 'head-held-in-line',
          on: 'helper',
          posture: inLine,
          who: 'helper',
        },
        { kind: 'look', id: 'print-upright', part: 'collar-front', posture: inLine },
        { kind: 'act', id: 'edges-bent-inward', on: 'brace', part: 'collar-rear', posture: inLine },
        { kind: 'act', id: 'rear-first', on: 'brace', part: 'collar-rear', posture: inLine },
        { kind: 'act', id: 'tabs-bent-out', on: 'brace', part: 'collar-front', posture: inLine },
        { kind: 'act', id: 'front-under-the-chin', on: 'brace', part: 'collar-front', posture: inLine },
        {
          kind: 'strap',
          id: 'straps-equally-far',
          over: { parts: ['collar-strap-right', 'collar-strap-left'], how: 'in-turn' },
          pull: 'snug',
          posture: inLine,
        },
        { kind: 'check', id: 'neutral-now', check: 'neck-is-neutral', posture: inLine },
        { kind: 'look', id: 'pads-by-the-window', part: 'collar-front', posture: inLine },
      ],
    },
    openedInLine('collar-front', ['collar-strap-right', 'collar-strap-left'], 1),
  ],
  checks: [
    {
      // degrees from neutral; how near is an estimate
      kind: 'quantity',
      id: 'neck-is-neutral',
      unit: 'degrees',
      least: -5,
      most: 5,
      at: { from: 'chin-line', face: 'left' },
      cures: [inStrap('front-under-the-chin'), { stage: 'size' }],
    },
    {
      // both strap ends as far from their marks; how near is an estimate
      kind: 'alike',
      id: 'strap-ends-alike',
      within: 5,
      parts: ['collar-strap-right', 'collar-strap-left'],
      at: { from: 'neck-middle', face: 'right' },
      cures: [inStrap('straps-equally-far')],
    },
    seen('straps-midway-to-ear', { from: 'trapezius-top', to: 'occiput', share: 0.5, face: 'left' }, [
      inStrap('rear-first'),
    ]),
    {
      kind: 'quantity',
      id: 'chin-pad-beyond-plastic',
      unit: 'mm',
      least: 10,
      most: 13,
      parts: ['collar-front'],
      at: { from: 'chin-line', face: 'front' },
      cures: [{ stage: 'shape', thing: 'chin-pad-overhang' }],
    },
    seen('swallows-and-breathes', { from: 'neck-middle', face: 'front' }, [inStrap(), callPhysician], {
      limbSafety: true,
      moments: [{ is: 'lying' }, { is: 'seated' }],
    }),
    seen('chin-and-occiput-not-pressed', { from: 'occiput', face: 'back' }, [
      { stage: 'shape', thing: 'centre-pads' },
    ]),
  ],
};
