import { kneePad, kneeStrap, type BraceModel } from '@estribo/core/programmes';
import { otherFamilies } from './models-other-families';

const bands = (edges: readonly number[], sizes: readonly string[]) =>
  sizes.map((size, i) => ({ size, from: edges[i]!, to: edges[i + 1]! }));

const sizes = ['XS', 'S', 'M', 'L', 'XL', 'XXL'];

/** Everything about these models is invented: names, makers, charts, pieces, places, wear. */
export const demoModels: readonly BraceModel[] = [
  {
    id: 'caneiro-4p',
    version: 4,
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
    hinge: {
      extension: [0, 10, 20, 30],
      flexion: [45, 60, 75, 90, 105, 120],
      installed: { extension: 0 },
      gives: 5,
    },
    frame: {
      bendable: true,
      hingeZone: 45,
      reach: { proximal: 185, distal: 180 },
      increment: 6,
      total: 30,
      bar: {
        material: 'aluminium',
        thickness: 3,
        width: 18,
        spread: 60,
        jaw: 20,
        keepOut: [{ from: 128, to: 146, why: 'slots' }],
      },
    },
    parts: [
      kneePad('thigh-front', 120, 175, 'front'),
      kneePad('condyle-medial', 5, 45, 'medial'),
      kneePad('condyle-lateral', 5, 45, 'lateral'),
      kneePad('shin-strap-4', -165, -115, 'front', true),
      kneeStrap(1, -72, 'back'),
      kneeStrap(2, 75, 'back'),
      kneeStrap(3, 165, 'back'),
      kneeStrap(4, -140, 'front'),
      kneeStrap(5, -116, 'back'),
      kneeStrap(6, 148, 'front'),
    ],
    tolerances: { 'hinge-height': { from: -5, to: 5 }, 'hinge-behind-midline': { from: 2, to: 12 } },
    wear: { firstDay: 60, grow: 60, everyDays: 1, ceiling: 480 },
  },
  {
    id: 'lousa-ligamento',
    version: 4,
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
    hinge: {
      extension: [0, 5, 10, 15, 20, 30],
      flexion: [60, 90, 120],
      installed: { extension: 0 },
    },
    frame: {
      bendable: false,
      hingeZone: 60,
      reach: { proximal: 170, distal: 160 },
      increment: 5,
      total: 5,
      bar: { material: 'carbon-composite', thickness: 3.5, width: 22, spread: 60, jaw: 20 },
    },
    parts: [
      kneePad('thigh-front', 110, 165, 'front'),
      kneePad('condyle-medial', 5, 45, 'medial'),
      kneePad('condyle-lateral', 5, 45, 'lateral'),
      kneePad('shin-strap-4', -160, -110, 'front', true),
      kneeStrap(1, -70, 'back'),
      kneeStrap(2, 70, 'back'),
      kneeStrap(3, 155, 'back'),
      kneeStrap(4, -135, 'front'),
      kneeStrap(5, -114, 'back'),
      kneeStrap(6, 146, 'front'),
    ],
    tolerances: { 'hinge-height': { from: -5, to: 5 }, 'hinge-behind-midline': { from: 2, to: 10 } },
    wear: { firstDay: 30, grow: 30, everyDays: 1, ceiling: 360 },
  },
  ...otherFamilies,
];
