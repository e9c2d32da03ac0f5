import type { Programme } from './programme';
import { neckFindings } from './steps';

/**
 * Cervicothoracic two-post brace: one adjustable size. Nobody who must not be moved is measured for it: nothing
 * is read, and the size is the one there is. Common practice, no source.
 */
export const neckTwoPost: Programme = {
  id: 'neck-two-post',
  version: 6,
  region: 'neck',
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
      unit: 'steps',
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
      unit: 'steps',
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
    { kind: 'dial', id: 'chin-dial', at: { from: 'sternal-notch', face: 'front' } },
  ],
  notNeeded: [{ stage: 'shape' }],
  sequences: [
    {
      id: 'putting-on',
      purpose: 'first-donning',
      people: ['patient', 'orthotist', 'helper'],
      leads: 'orthotist',
      helpers: 1,
      steps: [
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
          part: 'front-panel',
          posture: { stance: 'in-line' },
        },
        { kind: 'act', id: 'trim-the-ends', on: 'brace', posture: { stance: 'in-line' } },
        {
          kind: 'act',
          id: 'free-the-occipital-plates',
          on: 'brace',
          part: 'collar',
          posture: { stance: 'in-line' },
        },
      ],
    },
  ],
  checks: [],
};
