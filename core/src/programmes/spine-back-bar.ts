import type { Part } from '../brace';
import type { ProtocolStep } from '../measuring';
import type { Programme } from './programme';
import { length, mark, stance, trunkFindings } from './steps';

/**
 * Back-bar orthosis for osteoporosis: length from C7 to the sacrum along the curve, as upright as can be, hands
 * supported. The inclinometer's stations draw the curve. Common practice, no source.
 */
export const spineBackBar: Programme = {
  id: 'spine-back-bar',
  version: 6,
  region: 'trunk',
  ordered: [],
  injuries: ['vertebral-fracture-osteoporotic'],
  findings: trunkFindings,
  limbs: 'before-and-after',
  measuring: [
    stance('upright-hands-supported'),
    mark('c7'),
    mark('sacrum'),
    length('curve', 'c7-to-sacrum', 'c7', 'sacrum', [250, 700], {
      ofStature: 0.3,
      substitute: { how: 'seated', shared: 12 },
    }),
    ...[0, 0.25, 0.5, 0.75, 1].map((at): ProtocolStep => ({
      kind: 'inclination',
      id: `inclination-${at * 100}`,
      from: 'c7',
      to: 'sacrum',
      at,
      tolerance: 4,
      withinPerson: 2,
      shared: 2,
      plausible: [-70, 80],
      optional: true,
    })),
  ],
  axes: ['c7-to-sacrum'],
  settings: [
    {
      // the bar's lower edge sits on the sacrum's mark every time; how near is an estimate
      kind: 'height',
      id: 'bar-on-mark',
      made: 'before-donning',
      parts: ['back-bar'],
      at: { from: 'sacrum', face: 'back' },
      unit: 'mm',
      least: -40,
      most: 40,
      target: 0,
      near: 3,
    },
    {
      // about three fingers are left at the top, so that the patient can straighten into it
      kind: 'height',
      id: 'room-at-the-top',
      made: 'before-donning',
      parts: ['back-bar'],
      at: { from: 'c7', face: 'back' },
      unit: 'mm',
      least: 0,
      most: 120,
      target: 52,
      near: 10,
    },
  ],
  parts: [
    {
      kind: 'bar',
      id: 'back-bar',
      course: [
        { from: 'c7', face: 'back' },
        { from: 't9', face: 'back' },
        { from: 'sacrum', face: 'back' },
      ],
    },
    {
      kind: 'panel',
      id: 'front-pad',
      from: { from: 'pubic-symphysis' },
      to: { from: 'waist', offset: 30 },
      face: 'front',
      width: 150,
    },
    ...(['right', 'left'] as const).map((face): Part => ({
      kind: 'strap',
      id: `waist-strap-${face}`,
      width: 40,
      course: [
        { from: 'waist', offset: -24, face: 'back' },
        { from: 'waist', offset: -24, face },
        { from: 'waist', offset: -24, face: 'front' },
      ],
    })),
  ],
  operations: [
    { kind: 'bend', id: 'bend-back-bar', parts: ['back-bar'], how: 'by-hand', asked: true, off: true },
  ],
  sequences: [],
  checks: [],
};
