import { judgeSetting, placesOf, settingSchema, type Setting } from './settings';

const uprights: Setting = {
  kind: 'length',
  id: 'uprights',
  made: 'before-donning',
  axes: [{ of: ['medial', 'lateral'], go: 'alike', within: 2 }],
  least: 300,
  most: 600,
};
const ends: Setting = {
  kind: 'mark',
  id: 'ends',
  made: 'before-donning',
  axes: [{ of: ['left', 'right'], go: 'alike' }],
  least: 1,
  most: 24,
};
const ankle: Setting = {
  kind: 'angle',
  id: 'ankle',
  made: 'before-donning',
  joint: 'ankle',
  unlessOrdered: 0,
  least: -10,
  most: 30,
};
const air: Setting = { kind: 'fill', id: 'air', made: 'at-step', least: 4, most: 5, everyDays: 2 };
const panel: Setting = { kind: 'fitted', id: 'panel', made: 'before-donning', part: 'front' };
const pair = (a: number, b: number) => ({ values: { medial: a, lateral: b, left: a, right: b } });
const one = (value: number) => ({ values: { one: value } });

const at = (value: number) => ({ from: value, to: value });

test.each([
  [uprights, undefined, undefined, { state: 'open' }],
  // one of a pair is not done
  [uprights, { values: { medial: 420 } }, undefined, { state: 'open' }],
  [uprights, pair(420, 422), undefined, { state: 'right' }],
  [uprights, pair(420, 423), undefined, { state: 'wrong', why: 'pair-differs', by: 3 }],
  [uprights, pair(300, 300), undefined, { state: 'right' }],
  [uprights, pair(299, 300), undefined, { state: 'wrong', why: 'outside', by: 1 }],
  [uprights, pair(600, 601), undefined, { state: 'wrong', why: 'outside', by: 1 }],
  [ends, pair(9, 9), at(9), { state: 'right' }],
  [ends, pair(9, 9), undefined, { state: 'right' }],
  [ends, pair(9, 10), at(9), { state: 'wrong', why: 'pair-differs', by: 1 }],
  [ends, pair(10, 10), at(9), { state: 'wrong', why: 'not-as-wanted', by: 1 }],
  [ends, pair(0, 0), at(9), { state: 'wrong', why: 'outside', by: 1 }],
  [ankle, one(3), at(0), { state: 'right' }],
  [ankle, one(-4), at(0), { state: 'wrong', why: 'not-as-wanted', by: 4 }],
  [ankle, one(31), at(20), { state: 'wrong', why: 'outside', by: 1 }],
  // a range is ordered: anywhere in it is right, and 3 degrees of a goniometer beside it
  [ankle, one(15), { from: 10, to: 20 }, { state: 'right' }],
  [ankle, one(7), { from: 10, to: 20 }, { state: 'right' }],
  [ankle, one(6), { from: 10, to: 20 }, { state: 'wrong', why: 'not-as-wanted', by: 4 }],
  [air, one(3), undefined, { state: 'wrong', why: 'outside', by: 1 }],
  [air, one(5), undefined, { state: 'right' }],
  [panel, undefined, undefined, { state: 'open' }],
  [panel, { fitted: false }, undefined, { state: 'right' }],
] as const)('%j made %j, wanted %j: %j', (setting, made, wanted, judged) =>
  expect(judgeSetting(setting, made, wanted)).toEqual(judged),
);

test('a number that is none passes nothing', () => {
  // the schema of the entry refuses it; the rule would not let it through either
  expect(judgeSetting(air, one(NaN), undefined).state).not.toBe('right');
  expect(judgeSetting(uprights, pair(NaN, 400), undefined).state).not.toBe('right');
});

test('where it is made', () => {
  expect([uprights, ends, ankle, air, panel].map(placesOf)).toEqual([
    ['medial', 'lateral'],
    ['left', 'right'],
    ['one'],
    ['one'],
    [],
  ]);
});

test.each([uprights, ends, ankle, air, panel])('a whole $kind is taken as it is', (setting) =>
  expect(settingSchema.validateSync(setting, { strict: true })).toEqual(setting),
);

test.each([
  ['of no kind', { id: 'x', made: 'before-donning' }, 'kind'],
  ['made at no known moment', { ...air, made: 'sometimes' }, 'made'],
  ['without its limits', { ...air, most: undefined }, 'most'],
  ['with limits the wrong way round', { ...air, most: 3 }, ''],
  ['of no joint', { ...ankle, joint: 'toe' }, 'joint'],
  ['a pair without places', { ...ends, axes: [] }, 'axes'],
  [
    'a pair that goes no known way',
    { ...ends, axes: [{ of: ['left', 'right'], go: 'somehow' }] },
    'axes[0].go',
  ],
  ['half a stroke', { ...air, least: 4.5 }, 'least'],
  ['an endless length', { ...uprights, most: Infinity }, 'most'],
  ['with something of another kind', { ...panel, least: 1 }, ''],
])('a setting %s is refused with its place', (_, setting, path) =>
  expect(() => settingSchema.validateSync(setting, { strict: true })).toThrow(
    expect.objectContaining({ path }),
  ),
);
