import type { Programme } from './programme';
import { girth, length, modelsOwn, neckFindings, stance } from './steps';

/**
 * Two-piece collar. Adult: the height from the top of the trapezius to the chin line picks the size. Child: age,
 * weight and length pick it; the model says which leads. Common practice, no source.
 */
export const neckCollar: Programme = {
  id: 'neck-collar',
  version: 6,
  region: 'neck',
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
  sequences: [],
  checks: [],
};
