import type { BraceModel } from '@estribo/core/programmes';
import type { StopHardware } from '@estribo/core/setting';
import type { Chart, ChartAxis } from '@estribo/core/sizing';

/*
 * One invented model at least for each family but the rigid-frame ligament brace. Names, makers, charts,
 * distances, wear: everything about them is invented.
 */

/** Sizes that meet, from their edges; in mm unless the reading has another unit. */
const axis = (reading: string, sizes: readonly string[], edges: readonly number[]): ChartAxis => ({
  reading,
  resolution: 0,
  bands: sizes.map((size, i) => ({ size, from: edges[i]!, to: edges[i + 1]! })),
});

/** Sizes as printed in whole units, both ends included. */
const printed = (
  reading: string,
  resolution: number,
  bands: readonly (readonly [string, number, number])[],
): ChartAxis => ({
  reading,
  resolution,
  bands: bands.map(([size, from, to]) => ({ size, from, to })),
});

/** A dial in detents of ten degrees, with a slide that locks it at three angles. */
const dialled: StopHardware = {
  kind: 'dial',
  extension: [-10, 0, 10, 20, 30, 40, 50, 60, 70, 80, 90],
  flexion: [-10, 0, 10, 20, 30, 40, 50, 60, 70, 80, 90, 100, 110, 120],
  lock: [0, 15, 30],
};

/** Pieces screwed in; an extension piece of ten degrees is in when it comes. */
const screwedIn: StopHardware = {
  kind: 'screwed',
  extension: [0, 10, 20, 30, 40],
  flexion: [45, 60, 75, 90],
  installed: { extension: 10 },
};
/** Pieces screwed in on order alone: none is in when it comes but the one that keeps the knee from going beyond straight. */
const screwedOnOrder: StopHardware = {
  kind: 'screwed',
  extension: [0, 10, 20, 30],
  flexion: [60, 75, 90],
  installed: { extension: 0 },
};
const wedged: StopHardware = {
  kind: 'wedges',
  extension: [0, 10, 20, 30],
  flexion: [45, 60, 75, 90],
  installed: { extension: 0 },
};
/** Where the forces of an unloader act, mm from its pad, and the area of the pad: invented. */
const forces = { upper: 150, lower: 160, padArea: 2400 };

const nothingSet = {
  version: 2,
  invented: true,
  distances: {},
  parts: [],
  tolerances: {},
  wear: { firstDay: 30, grow: 30, everyDays: 1, ceiling: 480 },
} as const;

const model = (
  id: string,
  name: string,
  maker: string,
  programme: string,
  chart: Omit<Chart, 'version'>,
  more: Partial<BraceModel> = {},
): BraceModel => ({
  ...nothingSet,
  distances: {},
  parts: [],
  tolerances: {},
  id,
  name,
  maker,
  programme,
  chart: { version: 1, ...chart },
  ...more,
});

const five = ['XS', 'S', 'M', 'L', 'XL'];
const six = [...five, 'XXL'];
const eight = ['1', '2', '3', '4', '5', '6', '7', '8'];
const legs = { distances: { 'girth-above': 150, 'girth-below': -150 } };

export const otherFamilies: readonly BraceModel[] = [
  model(
    'xunco-malla',
    'Xunco Malla',
    'Taller Pontevella',
    'knee-sleeve',
    {
      sizes: eight,
      axes: [
        axis('girth-above', ['a', 'b', 'c', 'd', 'e', 'f'], [340, 375, 410, 445, 485, 525, 570]),
        axis('girth-below', ['a', 'b', 'c', 'd', 'e', 'f'], [250, 280, 310, 340, 372, 405, 440]),
      ],
      table: [
        ['1', '1', '2', '3', '', ''],
        ['1', '2', '2', '3', '4', ''],
        ['2', '3', '3', '4', '5', '5'],
        ['3', '4', '4', '5', '5', '6'],
        ['', '5', '5', '6', '6', '7'],
        ['', '', '6', '7', '7', '8'],
      ],
      between: 'smaller',
      disagree: 'larger',
      supply: 'both',
    },
    { wear: { firstDay: 120, grow: 120, everyDays: 1, ceiling: 840 } },
  ),
  model('xunco-lixeiro', 'Xunco Lixeiro', 'Taller Pontevella', 'knee-sleeve', {
    sizes: five,
    axes: [
      axis('girth-above', five, [340, 385, 430, 475, 520, 570]),
      axis('girth-below', five, [255, 290, 325, 360, 395, 435]),
    ],
    between: 'smaller',
    disagree: 'larger',
  }),
  // its chart has a gap between 2 and 3 above the knee: the lint finds it
  model('veiga-suave', 'Veiga Suave', 'Ortesis do Vao', 'knee-sleeve', {
    sizes: ['1', '2', '3', '4'],
    axes: [
      printed('girth-above', 10, [
        ['1', 350, 390],
        ['2', 400, 440],
        ['3', 470, 500],
        ['4', 510, 560],
      ]),
      printed('girth-below', 10, [
        ['1', 260, 300],
        ['2', 310, 340],
        ['3', 350, 380],
        ['4', 390, 430],
      ]),
    ],
    between: 'nearer',
    disagree: 'primary',
  }),
  model(
    'barca-telescopio',
    'Barca Telescopio',
    'Ferraxes da Ponte',
    'knee-postop',
    {
      sizes: ['M', 'L', 'XL'],
      axes: [
        axis('girth-above', ['M', 'L', 'XL'], [330, 480, 600, 740]),
        axis('knee-to-malleoli', ['M', 'L', 'XL'], [260, 390, 440, 520]),
      ],
      between: 'larger',
      disagree: 'larger',
    },
    {
      ...legs,
      sided: false,
      version: 6,
      hinge: dialled,
      // how long by the leg: invented
      settings: { 'upright-length': { from: { reading: 'knee-to-malleoli', plus: 150 }, near: 10 } },
      frame: {
        bendable: true,
        hingeZone: 50,
        reach: { proximal: 230, distal: 230 },
        increment: 5,
        total: 24,
        bar: { material: 'aluminium', thickness: 3, width: 20, spread: 60, jaw: 22 },
      },
    },
  ),
  model(
    'rapido-seis',
    'Rápido Seis',
    'Ferraxes da Ponte',
    'knee-functional',
    {
      sizes: six,
      axes: [
        axis('girth-above', six, [360, 395, 432, 470, 510, 555, 605]),
        axis('girth-below', six, [285, 315, 343, 372, 402, 432, 468]),
        axis('knee-width', six, [80, 92, 101, 110, 119, 129, 142]),
      ],
      between: 'larger',
      disagree: 'larger',
      supply: 'both',
    },
    { ...legs, version: 3, sided: true, hinge: screwedIn },
  ),
  model(
    'ponla-unha',
    'Ponla Unha',
    'Taller Pontevella',
    'unloader-one-screw',
    {
      sizes: ['one'],
      axes: [axis('girth-above', ['one'], [370, 620]), axis('girth-below', ['one'], [290, 480])],
      between: 'larger',
      disagree: 'larger',
      supply: 'both',
    },
    {
      ...legs,
      version: 3,
      sided: true,
      hinge: screwedOnOrder,
      settings: { screw: { inAll: 1, forces } },
      wear: { firstDay: 30, grow: 30, everyDays: 1, ceiling: 480 },
    },
  ),
  // made to measure: it comes preset, and is not set to neutral
  model(
    'ponla-a-medida',
    'Ponla a Medida',
    'Taller Pontevella',
    'unloader-one-screw',
    {
      sizes: ['made'],
      axes: [axis('girth-above', ['made'], [300, 750]), axis('girth-below', ['made'], [220, 600])],
      between: 'larger',
      disagree: 'larger',
      supply: 'made-to-measure',
    },
    {
      ...legs,
      version: 1,
      sided: true,
      hinge: screwedOnOrder,
      settings: { screw: { origin: 'as-supplied', inAll: 0.5, forces } },
    },
  ),
  model(
    'ponla-duas',
    'Ponla Dúas',
    'Taller Pontevella',
    'unloader-two-screws',
    {
      sizes: ['S', 'M', 'L'],
      axes: [
        axis('girth-above', ['S', 'M', 'L'], [370, 450, 530, 620]),
        axis('girth-below', ['S', 'M', 'L'], [290, 350, 415, 480]),
      ],
      between: 'larger',
      disagree: 'primary',
    },
    {
      ...legs,
      version: 4,
      sided: true,
      hinge: screwedOnOrder,
      plastics: { 'mould-tibial-cuff': { waits: 4, formsAbove: 38 } },
      settings: {
        screws: {
          inAll: 0.5,
          ways: { clockwise: 'relieves-medial', anticlockwise: 'relieves-lateral' },
          forces,
        },
      },
    },
  ),
  model(
    'muino-roda',
    'Muíño Roda',
    'Ortesis do Vao',
    'unloader-thumbwheel',
    {
      sizes: five,
      axes: [
        printed('girth-above', 10, [
          ['XS', 370, 410],
          ['S', 420, 450],
          ['M', 460, 490],
          ['L', 500, 540],
          ['XL', 550, 600],
        ]),
        printed('girth-below', 10, [
          ['XS', 290, 320],
          ['S', 330, 350],
          ['M', 360, 380],
          ['L', 390, 420],
          ['XL', 430, 460],
        ]),
      ],
      between: 'ask',
      disagree: 'larger',
    },
    { ...legs, version: 3, sided: true, settings: { wheel: { forces } } },
  ),
  // the lateral version's wheel reaches further
  model(
    'muino-roda-lateral',
    'Muíño Roda Lateral',
    'Ortesis do Vao',
    'unloader-thumbwheel',
    {
      sizes: five,
      axes: [
        axis('girth-above', five, [365, 415, 455, 495, 545, 605]),
        axis('girth-below', five, [285, 325, 355, 385, 425, 465]),
      ],
      between: 'ask',
      disagree: 'larger',
    },
    { ...legs, version: 1, sided: true, variant: 'lateral', settings: { wheel: { most: 10, forces } } },
  ),
  model(
    'lazo-dial',
    'Lazo Dial',
    'Ferraxes da Ponte',
    'unloader-wrap',
    {
      sizes: five,
      axes: [
        axis('girth-above', five, [350, 400, 450, 500, 555, 620]),
        axis('girth-below', five, [270, 310, 350, 390, 430, 480]),
      ],
      between: 'larger',
      disagree: 'larger',
    },
    {
      version: 3,
      distances: { 'girth-above': 160, 'girth-below': -140 },
      sided: true,
      settings: { 'wrap-dial': { most: 8, perChange: 1, patient: { within: 1, everyDays: 2 } } },
    },
  ),
  model(
    'remo-coronal',
    'Remo Coronal',
    'Taller Pontevella',
    'unloader-frame',
    {
      sizes: six,
      axes: [axis('girth-above', six, [360, 395, 430, 468, 508, 550, 595])],
      between: 'larger',
      disagree: 'primary',
      supply: 'both',
    },
    {
      version: 4,
      sided: true,
      variant: 'bow-leg',
      hinge: wedged,
      // the medial bar has the coronal hinges: it is not bent
      frame: {
        bendable: true,
        hingeZone: 48,
        reach: { proximal: 178, distal: 170 },
        increment: 4,
        total: 14,
        bar: {
          material: 'aluminium-hard',
          thickness: 3,
          width: 18,
          spread: 70,
          jaw: 20,
          keepOut: [{ from: 48, to: 66, why: 'shim' }],
          unbent: ['upright-medial'],
        },
      },
      settings: {
        'coronal-screws': {
          inAll: 0.5,
          ways: { clockwise: 'relieves-medial', anticlockwise: 'relieves-lateral' },
          forces,
        },
      },
    },
  ),
  model(
    'espiga-dorsal',
    'Espiga Dorsal',
    'Costureiras do Río',
    'spine-back-bar',
    {
      sizes: ['38', '41', '44', '47', '50', '53'],
      axes: [axis('c7-to-sacrum', ['38', '41', '44', '47', '50', '53'], [365, 395, 425, 455, 485, 515, 550])],
      between: 'larger',
      disagree: 'primary',
    },
    {
      version: 3,
      // bent by hand over its length, from the mark upwards
      frame: {
        bendable: true,
        hingeZone: 0,
        reach: { proximal: 560, distal: 0 },
        increment: 15,
        total: 200,
        bar: { material: 'aluminium', thickness: 2, width: 30, spread: 120, jaw: 32 },
      },
    },
  ),
  model(
    'ribeira-faixa',
    'Ribeira Faixa',
    'Costureiras do Río',
    'spine-belt',
    {
      sizes: ['1', '2', '3', '4', '5'],
      axes: [axis('girth-waist', ['1', '2', '3', '4', '5'], [640, 760, 880, 1000, 1120, 1260])],
      between: 'larger',
      disagree: 'primary',
      heights: [
        { height: 'low', reading: 'l1-to-l5', from: 100, to: 190 },
        { height: 'tall', reading: 't9-to-sacrococcygeal', from: 260, to: 400 },
      ],
      belt: { overlap: 120, backPanel: 240, marks: { first: 180, spacing: 20, count: 24 } },
    },
    {
      version: 4,
      distances: { 'girth-waist-above': 80, 'girth-waist-below': -80 },
      plastics: { 'warm-panels': { waits: 6, formsAbove: 46 } },
    },
  ),
  model(
    'ribeira-tira',
    'Ribeira Tira',
    'Costureiras do Río',
    'spine-pull-tab',
    {
      sizes: ['S', 'M', 'L', 'XL'],
      axes: [axis('girth-waist', ['S', 'M', 'L', 'XL'], [620, 780, 960, 1160, 1400])],
      between: 'nearer',
      disagree: 'primary',
      belt: { overlap: 140, backPanel: 260, marks: { first: 160, spacing: 25, count: 26 } },
      sideExtension: { upTo: 1780 },
    },
    { version: 4 },
  ),
  model('alto-esterno', 'Alto Esterno', 'Ferraxes da Ponte', 'spine-sternal-pad', {
    sizes: ['XS', 'S', 'M', 'L', 'XL'],
    axes: [
      axis('girth-hips', five, [700, 820, 920, 1020, 1130, 1260]),
      axis('notch-to-symphysis', five, [420, 470, 500, 530, 560, 600]),
    ],
    between: 'larger',
    disagree: 'primary',
  }),
  model('cuncha-dupla', 'Cuncha Dupla', 'Taller Pontevella', 'spine-bivalve', {
    sizes: ['made'],
    axes: [
      axis('girth-chest', ['made'], [500, 1500]),
      axis('girth-waist', ['made'], [450, 1500]),
      axis('girth-hips-greatest', ['made'], [550, 1600]),
      axis('notch-to-symphysis', ['made'], [300, 650]),
    ],
    between: 'larger',
    disagree: 'larger',
    supply: 'made-to-measure',
  }),
  model('colo-rio', 'Colo Río', 'Ortesis do Vao', 'neck-collar', {
    sizes: ['low', 'regular', 'tall', 'extra-tall'],
    axes: [axis('trapezius-to-chin', ['low', 'regular', 'tall', 'extra-tall'], [45, 65, 80, 95, 115])],
    between: 'smaller',
    disagree: 'primary',
  }),
  model('colo-rio-neno', 'Colo Río Neno', 'Ortesis do Vao', 'neck-collar', {
    sizes: ['P1', 'P2', 'P3', 'P4', 'P5'],
    axes: [
      axis('age', ['P1', 'P2', 'P3', 'P4', 'P5'], [0, 1, 3, 6, 9, 13]),
      axis('weight', ['P1', 'P2', 'P3', 'P4', 'P5'], [3, 9.8, 14.3, 20.5, 29, 48]),
      axis('stature', ['P1', 'P2', 'P3', 'P4', 'P5'], [480, 750, 955, 1155, 1335, 1560]),
    ],
    between: 'nearer',
    disagree: 'primary',
  }),
  model('colo-alto', 'Colo Alto', 'Ferraxes da Ponte', 'neck-collar', {
    sizes: ['S', 'M', 'L', 'XL'],
    axes: [
      printed('trapezius-to-chin', 10, [
        ['S', 40, 60],
        ['M', 70, 80],
        ['L', 90, 100],
        ['XL', 110, 120],
      ]),
    ],
    between: 'ask',
    disagree: 'primary',
  }),
  model(
    'dous-mastros',
    'Dous Mastros',
    'Ferraxes da Ponte',
    'neck-two-post',
    { sizes: ['one'], axes: [], between: 'larger', disagree: 'larger' },
    { version: 3 },
  ),
  model('ombreira-vela', 'Ombreira Vela', 'Costureiras do Río', 'shoulder-support', {
    sizes: ['1', '2', '3', '4', '5', '6', '7'],
    axes: [
      axis('girth-upper-arm', ['1', '2', '3', '4', '5', '6', '7'], [210, 240, 270, 300, 330, 360, 395, 435]),
    ],
    between: 'larger',
    disagree: 'primary',
  }),
  model(
    'remuino-oito',
    'Remuíño Oito',
    'Costureiras do Río',
    'ankle-stabiliser',
    {
      sizes: ['S', 'M', 'L'],
      axes: [axis('heel-width', ['S', 'M', 'L'], [48, 60, 68, 80])],
      between: 'larger',
      disagree: 'primary',
    },
    { sided: true },
  ),
  model('bota-balsa', 'Bota Balsa', 'Ortesis do Vao', 'ankle-walker', {
    sizes: ['child-S', 'child-M', 'XS', 'S', 'M', 'L', 'XL', '2XL'],
    axes: [
      axis(
        'foot-length',
        ['child-S', 'child-M', 'XS', 'S', 'M', 'L', 'XL', '2XL'],
        [140, 175, 205, 228, 246, 266, 284, 300, 320],
      ),
    ],
    between: 'larger',
    disagree: 'primary',
    heights: [{ height: 'short' }, { height: 'tall' }],
  }),
];
