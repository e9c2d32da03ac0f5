import type { BraceModel } from '@estribo/core/programmes';
import { otherFamilies } from './models-other-families';

const bands = (edges: readonly number[], sizes: readonly string[]) =>
  sizes.map((size, i) => ({ size, from: edges[i]!, to: edges[i + 1]! }));

const sizes = ['XS', 'S', 'M', 'L', 'XL', 'XXL'];

/** Everything about these models is invented: names, makers, charts, pieces, places, wear. */
export const demoModels: readonly BraceModel[] = [
  {
    id: 'caneiro-4p',
    version: 1,
    name: 'Caneiro 4P',
    maker: 'Taller Pontevella',
    programme: 'knee-ligament-frame',
    invented: true,
    distances: { 'girth-above': 150, 'girth-below': -150 },
    chart: {
      version: 1,
      sizes,
      axes: [
        { reading: 'girth-above', resolution: 0, bands: bands([360, 395, 430, 468, 508, 550, 595], sizes) },
        { reading: 'girth-below', resolution: 0, bands: bands([285, 313, 341, 370, 399, 429, 462], sizes) },
      ],
      between: 'larger',
      disagree: 'larger',
    },
    hinge: { extension: [0, 10, 20, 30], flexion: [45, 60, 75, 90, 105, 120] },
    frame: { bendable: true, hingeZone: 45, reach: { proximal: 185, distal: 180 }, increment: 5, total: 15 },
    pads: [
      { id: 'thigh-front', from: 120, to: 175, face: 'front', splits: false },
      { id: 'condyle-medial', from: 5, to: 45, face: 'medial', splits: false },
      { id: 'condyle-lateral', from: 5, to: 45, face: 'lateral', splits: false },
      { id: 'shin-strap-4', from: -165, to: -115, face: 'front', splits: true },
    ],
    straps: [
      { strap: 1, level: -72, face: 'back' },
      { strap: 2, level: 75, face: 'back' },
      { strap: 3, level: 165, face: 'back' },
      { strap: 4, level: -140, face: 'front' },
      { strap: 5, level: -116, face: 'back' },
      { strap: 6, level: 148, face: 'front' },
    ],
    tolerances: { 'hinge-height': { from: -5, to: 5 }, 'hinge-behind-midline': { from: 2, to: 12 } },
    wear: { firstDay: 60, grow: 60, everyDays: 1, ceiling: 480 },
  },
  {
    id: 'lousa-ligamento',
    version: 1,
    name: 'Lousa Ligamento',
    maker: 'Ortesis do Vao',
    programme: 'knee-ligament-frame',
    invented: true,
    distances: { 'girth-above': 150, 'girth-below': -150 },
    chart: {
      version: 1,
      sizes: ['1', '2', '3', '4'],
      axes: [
        {
          reading: 'girth-above',
          resolution: 10,
          bands: [
            { size: '1', from: 380, to: 420 },
            { size: '2', from: 430, to: 470 },
            { size: '3', from: 480, to: 520 },
            { size: '4', from: 530, to: 580 },
          ],
        },
        {
          reading: 'girth-below',
          resolution: 10,
          bands: [
            { size: '1', from: 300, to: 330 },
            { size: '2', from: 340, to: 370 },
            { size: '3', from: 380, to: 410 },
            { size: '4', from: 420, to: 450 },
          ],
        },
      ],
      between: 'ask',
      disagree: 'made-to-measure',
    },
    hinge: { extension: [0, 5, 10, 15, 20, 30], flexion: [60, 90, 120] },
    frame: { bendable: false, hingeZone: 60, reach: { proximal: 170, distal: 160 }, increment: 5, total: 5 },
    pads: [
      { id: 'thigh-front', from: 110, to: 165, face: 'front', splits: false },
      { id: 'condyle-medial', from: 5, to: 45, face: 'medial', splits: false },
      { id: 'condyle-lateral', from: 5, to: 45, face: 'lateral', splits: false },
      { id: 'shin-strap-4', from: -160, to: -110, face: 'front', splits: true },
    ],
    straps: [
      { strap: 1, level: -70, face: 'back' },
      { strap: 2, level: 70, face: 'back' },
      { strap: 3, level: 155, face: 'back' },
      { strap: 4, level: -135, face: 'front' },
      { strap: 5, level: -114, face: 'back' },
      { strap: 6, level: 146, face: 'front' },
    ],
    tolerances: { 'hinge-height': { from: -5, to: 5 }, 'hinge-behind-midline': { from: 2, to: 10 } },
    wear: { firstDay: 30, grow: 30, everyDays: 1, ceiling: 360 },
  },
  ...otherFamilies,
];
