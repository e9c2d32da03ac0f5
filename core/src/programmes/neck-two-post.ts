import { callPhysician, inStrap, seen } from './checks';
import { neckInLine, openedInLine } from './handling';
import type { Part } from '../brace';
import type { Programme } from './programme';
import { neckFindings } from './steps';

/**
 * Cervicothoracic two-post brace: one adjustable size. Nobody who must not be moved is measured for it: nothing
 * is read, and the size is the one there is. Common practice, no source.
 */
export const neckTwoPost: Programme = {
  id: 'neck-two-post',
  version: 10,
  safetySince: 10,
  region: 'neck',
  resuscitation: 'front-lifted-off',
  ordered: ['posture'],
  injuries: ['cervical-fracture', 'fusion'],
  findings: neckFindings,
  limbs: 'before-and-after',
  measuring: [],
  axes: [],
  settings: [
    {
      // in line with the notch, then up until the pad touches, the neck neutral and the chin level with the liner
      kind: 'height',
      id: 'chin-dial',
      made: 'at-step',
      parts: ['chin-dial'],
      at: { from: 'sternal-notch', face: 'front' },
      unit: 'detents',
      least: 0,
      most: 30,
      moves: [{ goal: { kind: 'until', observed: 'pad-touches' }, posture: { stance: 'in-line' } }],
    },
    {
      // level with the ribs, by its lever
      kind: 'height',
      id: 'front-panel-height',
      made: 'at-step',
      parts: ['front-panel'],
      at: { from: 'chest', face: 'front' },
      unit: 'detents',
      least: 0,
      most: 12,
    },
  ],
  parts: [
    {
      kind: 'shell',
      id: 'rear-panel',
      from: { from: 'chest', offset: -20 },
      to: { from: 'c7', offset: 10 },
      faces: ['back'],
    },
    {
      kind: 'shell',
      id: 'front-panel',
      from: { from: 'chest', offset: -16 },
      to: { from: 'sternal-notch', offset: -30 },
      faces: ['front'],
    },
    {
      kind: 'shell',
      id: 'collar',
      from: { from: 'trapezius-top', offset: 4 },
      to: { from: 'chin-line', offset: -6 },
      faces: ['front', 'back'],
    },
    ...(['right', 'left'] as const).map((face): Part => ({
      kind: 'strap',
      id: `strap-${face}`,
      width: 30,
      course: [
        { from: 'chest', offset: 30, face: 'back' },
        { from: 'chest', offset: 30, face },
        { from: 'chest', offset: 30, face: 'front' },
      ],
    })),
    { kind: 'dial', id: 'chin-dial', at: { from: 'sternal-notch', face: 'front' } },
  ],
  notNeeded: [{ stage: 'shape' }],
  operations: [
    {
      kind: 'cut',
      unit: 'mm',
      id: 'trim-strap-ends',
      parts: ['strap-right', 'strap-left'],
      pairs: [{ of: ['strap-right', 'strap-left'] }],
      // clipped, tightened and closed once on each side
      requires: { kind: 'done', step: 'clip-and-tighten' },
    },
  ],
  wear: [{ id: 'as-the-order-says', rule: 'as-ordered' }],
  care: ['pads-by-hand', 'spare-pads'],
  sequences: [
    {
      id: 'putting-on',
      purpose: 'first-donning',
      ...neckInLine,
      // one holds the head, another presses the mattress
      helpers: 2,
      steps: [
        { kind: 'act', id: 'head-held-in-line', on: 'helper', posture: { stance: 'in-line' }, who: 'helper' },
        { kind: 'act', id: 'press-the-mattress', on: 'aid', posture: { stance: 'in-line' }, who: 'helper' },
        {
          kind: 'act',
          id: 'slide-the-rear-panel',
          on: 'brace',
          part: 'rear-panel',
          posture: { stance: 'in-line' },
        },
        {
          kind: 'act',
          id: 'belt-and-flanks',
          on: 'brace',
          part: 'rear-panel',
          posture: { stance: 'in-line' },
        },
        {
          kind: 'act',
          id: 'front-panel-on',
          on: 'brace',
          part: 'front-panel',
          posture: { stance: 'in-line' },
        },
        { kind: 'act', id: 'collar-on', on: 'brace', part: 'collar', posture: { stance: 'in-line' } },
        { kind: 'set', id: 'set-the-dial', setting: 'chin-dial', posture: { stance: 'in-line' } },
        {
          kind: 'act',
          id: 'tuck-under-each-ear',
          on: 'brace',
          part: 'collar',
          posture: { stance: 'in-line' },
        },
        {
          kind: 'set',
          id: 'set-the-front-height',
          setting: 'front-panel-height',
          posture: { stance: 'in-line' },
        },
        {
          kind: 'act',
          id: 'clip-and-tighten',
          on: 'brace',
          over: { parts: ['strap-right', 'strap-left'], how: 'in-turn' },
          posture: { stance: 'in-line' },
        },
        { kind: 'work', id: 'trim-the-ends', operation: 'trim-strap-ends', posture: { stance: 'in-line' } },
        {
          kind: 'act',
          id: 'free-the-occipital-plates',
          on: 'brace',
          part: 'collar',
          posture: { stance: 'in-line' },
        },
      ],
    },
    openedInLine('front-panel', ['strap-right', 'strap-left'], 2),
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
      cures: [inStrap('set-the-dial')],
    },
    seen('chin-level-with-liner', { from: 'chin-line', face: 'front' }, [inStrap('set-the-dial')], {
      parts: ['collar'],
    }),
    seen('panel-level-with-ribs', { from: 'chest', face: 'front' }, [inStrap('set-the-front-height')], {
      parts: ['front-panel'],
    }),
    seen('clavicles-free', { from: 'sternal-notch', face: 'left' }, [inStrap('tuck-under-each-ear')]),
    {
      kind: 'alike',
      id: 'strap-ends-alike',
      within: 5,
      parts: ['strap-right', 'strap-left'],
      at: { from: 'chest', face: 'right' },
      cures: [inStrap('clip-and-tighten')],
    },
    seen('swallows-and-breathes', { from: 'neck-middle', face: 'front' }, [inStrap(), callPhysician], {
      limbSafety: true,
      moments: [{ is: 'lying' }, { is: 'seated' }],
    }),
    seen('chin-and-occiput-not-pressed', { from: 'occiput', face: 'back' }, [
      inStrap('free-the-occipital-plates'),
    ]),
  ],
};
