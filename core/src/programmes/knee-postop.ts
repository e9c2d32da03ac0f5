import { refill, toesOfKneeBrace } from './checks';
import type { Condition, Part, Place } from '../brace';
import { shin, thigh } from './knee-levels';
import { kneeStops } from './knee-stops';
import type { Programme } from './programme';
import {
  calfSign,
  girth,
  kneePosture,
  legFindings,
  length,
  mark,
  modelsOwn,
  motion,
  overDressing,
  stance,
} from './steps';

const along = (face: 'medial' | 'lateral'): Place[] => [
  { ...thigh(0.7), face },
  { from: 'knee-joint-space', face },
  { ...shin(0.82), face },
];

/** Where each of the four cuffs and its strap lie. Places are the drawing's own: an estimate. */
const bands = {
  'upper-thigh': thigh(0.58),
  'lower-thigh': thigh(0.26),
  'upper-calf': shin(0.24),
  'lower-calf': shin(0.62),
};
const cuffs = Object.entries(bands).map(([id, at]): Part => ({
  kind: 'cuff',
  id: `cuff-${id}`,
  from: { ...at, offset: -24 },
  to: { ...at, offset: 24 },
  faces: ['medial', 'back', 'lateral'],
}));
const straps = Object.entries(bands).map(([id, at]): Part => ({
  kind: 'strap',
  id: `strap-${id}`,
  width: 32,
  course: (['medial', 'front', 'lateral'] as const).map((face) => ({ ...at, face })),
  // over the front from upright to upright, the closure tab in the middle of it
  ends: { wraps: 0.5, overlap: 50, finish: 'front', shortened: 'free-end' },
}));

/** A knee that is always locked comes to neither stop. */
const notLockedAlways: Condition = { kind: 'not', of: { kind: 'ordered', what: 'lock', is: 'always' } };

/**
 * Post-operative range-of-motion brace: telescoping uprights, dial hinge on the side midline. Best measured
 * before the operation; over a dressing the girths say so by their uncertainty. Sizing readings are the
 * model's own. Common practice, no source.
 */
export const kneePostop: Programme = {
  id: 'knee-postop',
  version: 10,
  region: 'leg',
  joint: 'knee',
  hinge: 'on-midline',
  ordered: ['motion', 'lock', 'weight'],
  injuries: [
    'front-cruciate',
    'rear-cruciate',
    'inner-ligament',
    'outer-ligament',
    'meniscus',
    'patella',
    'fracture-thigh',
    'fracture-shin',
  ],
  findings: legFindings,
  measuring: [
    stance(),
    kneePosture(),
    mark('mid-kneecap'),
    modelsOwn(
      girth('girth-above', 'mid-kneecap', 'model', [250, 950], {
        ofStature: 0.279,
        substitute: overDressing,
      }),
    ),
    modelsOwn(
      girth('girth-below', 'mid-kneecap', 'model', [180, 650], {
        ofStature: 0.216,
        substitute: overDressing,
      }),
    ),
    modelsOwn(
      length('distance', 'knee-to-malleoli', 'mid-kneecap', 'malleoli', [120, 560], { ofStature: 0.253 }),
    ),
    motion('knee-motion', 'knee', 'sagittal', ['passive']),
    calfSign,
  ],
  axes: ['girth-above', 'girth-below', 'knee-to-malleoli'],
  settings: [
    kneeStops('knee-joint-space'),
    {
      kind: 'lock',
      id: 'knee-lock',
      made: 'before-donning',
      by: 'orthotist',
      joint: 'knee',
      parts: ['hinge-medial', 'hinge-lateral'],
      at: { from: 'knee-joint-space', face: 'medial' },
      axes: [{ of: ['medial', 'lateral'], go: 'alike' }],
    },
    {
      // equal, and a reading is no better than this: an estimate
      kind: 'length',
      id: 'upright-length',
      made: 'before-donning',
      parts: ['upright-medial', 'upright-lateral'],
      at: { ...thigh(0.62), face: 'medial' },
      axes: [{ of: ['medial', 'lateral'], go: 'alike', within: 2 }],
      least: 250,
      most: 800,
    },
    {
      kind: 'mark',
      id: 'strap-carriers',
      made: 'before-donning',
      parts: ['upright-medial', 'upright-lateral'],
      at: { ...shin(0.62), face: 'lateral' },
      axes: [{ of: ['medial', 'lateral'], go: 'alike' }],
      least: 1,
      most: 12,
    },
  ],
  parts: [
    ...cuffs,
    { kind: 'bar', id: 'upright-medial', course: along('medial') },
    { kind: 'bar', id: 'upright-lateral', course: along('lateral') },
    { kind: 'hinge', id: 'hinge-medial', at: { from: 'knee-joint-space', face: 'medial' } },
    { kind: 'hinge', id: 'hinge-lateral', at: { from: 'knee-joint-space', face: 'lateral' } },
    ...straps,
  ],
  wear: [{ id: 'as-the-order-says', rule: 'as-ordered' }],
  followed: {
    motions: [{ step: 'knee-motion' }],
    readings: ['girth-above', 'girth-below'],
    settings: ['knee-lock', 'upright-length'],
  },
  care: ['pads-by-hand', 'hinges-dry-spray'],
  operations: [
    {
      kind: 'bend',
      id: 'bend-uprights',
      parts: ['upright-medial', 'upright-lateral'],
      sets: 'coronal',
      off: true,
    },
    {
      kind: 'cut',
      unit: 'mm',
      id: 'shorten-straps',
      parts: straps.map(({ id }) => id),
      // it went on once: every buckle was closed
      requires: { kind: 'list', is: 'putting-on' },
    },
  ],
  sequences: [
    {
      id: 'putting-on',
      purpose: 'first-donning',
      people: ['patient', 'orthotist'],
      steps: [
        { kind: 'act', id: 'lay-flat', on: 'brace', who: 'orthotist' },
        { kind: 'act', id: 'lay-leg-in', on: 'patient', posture: { stance: 'supine' } },
        { kind: 'act', id: 'uprights-alike', on: 'brace', who: 'orthotist' },
        {
          kind: 'act',
          id: 'uprights-on-midline',
          on: 'brace',
          posture: { stance: 'supine' },
          who: 'orthotist',
        },
        { kind: 'act', id: 'slack-behind', on: 'brace', who: 'orthotist' },
        // practice names the upper calf first; the rest of the order is this family's own here
        { kind: 'strap', id: 'buckle-upper-calf', part: 'strap-upper-calf', pull: 'snug' },
        { kind: 'strap', id: 'buckle-lower-thigh', part: 'strap-lower-thigh', pull: 'snug' },
        { kind: 'strap', id: 'buckle-lower-calf', part: 'strap-lower-calf', pull: 'snug' },
        { kind: 'strap', id: 'buckle-upper-thigh', part: 'strap-upper-thigh', pull: 'snug' },
        { kind: 'act', id: 'closure-tabs', on: 'brace', who: 'orthotist' },
        { kind: 'look', id: 'locked-still' },
      ],
    },
    {
      id: 'taking-off',
      purpose: 'off',
      people: ['patient', 'orthotist'],
      steps: [
        { kind: 'act', id: 'open-buckles', on: 'brace' },
        { kind: 'act', id: 'lift-leg-out', on: 'patient' },
        { kind: 'look', id: 'look-at-the-skin' },
      ],
    },
  ],
  checks: [
    {
      kind: 'seen',
      id: 'on-the-midline',
      parts: ['hinge-medial', 'hinge-lateral'],
      at: { from: 'knee-joint-space', face: 'lateral' },
      cures: [{ stage: 'strap', thing: 'uprights-on-midline' }],
    },
    {
      // equal, and a reading is no better than this: an estimate
      kind: 'alike',
      id: 'uprights-alike',
      within: 2,
      parts: ['upright-medial', 'upright-lateral'],
      at: { ...thigh(0.62), face: 'medial' },
      cures: [{ stage: 'strap', thing: 'uprights-alike' }],
    },
    {
      kind: 'seen',
      id: 'hinge-on-the-knee',
      at: { from: 'knee-joint-space', face: 'medial' },
      cures: [{ stage: 'strap', thing: 'slack-behind' }],
    },
    {
      kind: 'angle-at-stop',
      id: 'knee-at-extension-stop',
      stop: 'extension',
      when: notLockedAlways,
      at: { from: 'knee-joint-space', face: 'medial' },
      cures: [{ stage: 'set', thing: 'hinge-stops' }],
    },
    {
      kind: 'angle-at-stop',
      id: 'knee-at-flexion-stop',
      stop: 'flexion',
      when: notLockedAlways,
      at: { from: 'knee-joint-space', offset: -16, face: 'back' },
      cures: [{ stage: 'set', thing: 'hinge-stops' }],
    },
    {
      kind: 'seen',
      id: 'wound-clear',
      at: { from: 'mid-kneecap', face: 'front' },
      cures: [{ stage: 'strap' }],
    },
    {
      kind: 'seen',
      id: 'fibular-neck-clear',
      limbSafety: true,
      at: { from: 'fibular-neck', face: 'lateral' },
      cures: [{ stage: 'strap' }],
    },
    {
      kind: 'seen',
      id: 'toes-warm-moving-felt',
      limbSafety: true,
      at: { from: 'malleoli', offset: -40, face: 'front' },
      cures: [{ stage: 'strap' }, { call: 'physician-now' }],
    },
    refill(toesOfKneeBrace),
  ],
};
