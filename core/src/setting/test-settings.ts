import { given } from '../order/test-order';
import type { Setting } from './settings';
import { valuesOfStops } from './kinds/stops';
import type { HingeStops } from './stops';
import type { SettingGrounds } from './fold';

/* A knee's hinge stops, a lock, a screw and a panel, with an order: what the tests of settings are made of. */

export const hinges: Setting = {
  kind: 'stops',
  id: 'hinge-stops',
  made: 'before-donning',
  by: 'orthotist',
  joint: 'knee',
  axes: [{ of: ['medial', 'lateral'], go: 'alike' }],
  leastExtension: 0,
};
export const lock: Setting = {
  kind: 'lock',
  id: 'lock',
  made: 'before-donning',
  joint: 'knee',
  axes: [{ of: ['medial', 'lateral'], go: 'alike' }],
};
export const screw: Setting = {
  kind: 'correction',
  id: 'screw',
  made: 'before-donning',
  by: 'orthotist',
  axes: [{ of: ['medial'], go: 'alike' }],
  unit: 'turns',
  origin: 'neutral',
  least: -2,
  most: 2,
  perChange: 0.125,
  inAll: 0.5,
  patient: { within: 0.25, everyDays: 3 },
};
export const panel: Setting = { kind: 'fitted', id: 'panel', made: 'before-donning', part: 'front' };
export const air: Setting = { kind: 'fill', id: 'air', made: 'at-step', least: 4, most: 5, everyDays: 2 };
export const settings = [hinges, lock, screw, panel, air];

export const grounds: SettingGrounds = {
  sizing: {
    chart: { version: 1, sizes: ['M'], axes: [], between: 'larger', disagree: 'larger' },
    readings: {},
  },
  order: given(),
  model: { hinge: { extension: [0, 10, 20], flexion: [60, 90, 120], lock: [0, 15] } },
  motion: undefined,
};

/** The numbers of both hinges as an entry has them. */
export const inHinges = (medial: HingeStops, lateral: HingeStops = medial) => ({
  setting: 'hinge-stops',
  values: Object.entries(valuesOfStops({ medial, lateral })).map(([place, value]) => ({ place, value })),
});
