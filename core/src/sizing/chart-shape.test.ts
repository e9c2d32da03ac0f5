import fc from 'fast-check';
import type { Chart } from './chart';
import {
  addAxis,
  addBand,
  addBelt,
  addHeight,
  addSize,
  removeAxis,
  removeBand,
  removeBelt,
  removeHeight,
  removeSize,
  renameSize,
  sizesWithout,
} from './chart-shape';

const plain: Chart = {
  version: 1,
  sizes: ['S', 'M', 'L'],
  axes: [
    {
      reading: 'girth-above',
      resolution: 0,
      bands: [
        { size: 'S', from: 400, to: 430 },
        { size: 'M', from: 430, to: 460 },
        { size: 'L', from: 460, to: 490 },
      ],
    },
    {
      reading: 'girth-below',
      resolution: 0,
      bands: [
        { size: 'S', from: 310, to: 335 },
        { size: 'M', from: 335, to: 360 },
        { size: 'L', from: 360, to: 385 },
      ],
    },
  ],
  between: 'larger',
  disagree: 'larger',
};
const twoWay: Chart = {
  version: 1,
  sizes: ['S', 'M', 'L'],
  axes: [
    {
      reading: 'girth-above',
      resolution: 0,
      bands: [
        { size: '1', from: 400, to: 430 },
        { size: '2', from: 430, to: 460 },
      ],
    },
    {
      reading: 'girth-below',
      resolution: 0,
      bands: [
        { size: 'A', from: 310, to: 340 },
        { size: 'B', from: 340, to: 370 },
        { size: 'C', from: 370, to: 400 },
      ],
    },
  ],
  between: 'larger',
  disagree: 'larger',
  table: [
    ['S', 'M', ''],
    ['M', 'L', 'L'],
  ],
};

test('a larger size follows the largest, as broad as it, on every axis; a smaller one goes before', () => {
  const larger = addSize(plain, 'XL', 'last');
  expect(larger.sizes).toEqual(['S', 'M', 'L', 'XL']);
  expect(larger.axes.map(({ bands }) => bands.at(-1))).toEqual([
    { size: 'XL', from: 490, to: 520 },
    { size: 'XL', from: 385, to: 410 },
  ]);
  expect(addSize(plain, 'XS', 'first').axes[0]!.bands[0]).toEqual({ size: 'XS', from: 370, to: 400 });
  expect(addSize(plain, 'M', 'last').sizes.at(-1)).toBe('M 2');
  expect(addSize(twoWay, 'XL', 'last').axes).toBe(twoWay.axes);
  const universal = { ...plain, sizes: ['one'], axes: [] };
  expect(addSize(universal, 'XL', 'last')).toBe(universal);
});

test('a size goes with its bands, or its cells; the last one stays', () => {
  expect(removeSize(plain, 'M').axes[0]!.bands.map(({ size }) => size)).toEqual(['S', 'L']);
  expect(removeSize(twoWay, 'M').table).toEqual([
    ['S', '', ''],
    ['', 'L', 'L'],
  ]);
  const one = { ...plain, sizes: ['S'] };
  expect(removeSize(one, 'S')).toBe(one);
});

test('a size is renamed wherever it stands, and never to one that is there', () => {
  expect(renameSize(plain, 'M', 'medium').axes[1]!.bands[1]!.size).toBe('medium');
  expect(renameSize(twoWay, 'L', 'large').table![1]).toEqual(['M', 'large', 'large']);
  expect(renameSize(plain, 'M', 'L')).toBe(plain);
  expect(renameSize(plain, 'M', '')).toBe(plain);
});

test('a row and a column of a table come and go with their cells', () => {
  expect(addBand(twoWay, 0).table).toEqual([...twoWay.table!, ['', '', '']]);
  expect(addBand(twoWay, 1).table!.map((row) => row.length)).toEqual([4, 4]);
  expect(removeBand(twoWay, 1, 0).table).toEqual([
    ['M', ''],
    ['L', 'L'],
  ]);
});

test('a size without a band gets one in its place; where all have theirs there is none more', () => {
  const gap = removeBand(plain, 1, 1);
  expect(sizesWithout(gap, 1)).toEqual(['M']);
  expect(addBand(gap, 1).axes[1]!.bands.map(({ size }) => size)).toEqual(['S', 'M', 'L']);
  expect(addBand(plain, 0)).toBe(plain);
});

test('a reading comes with bands over what it usually is, and goes unless it is the only one', () => {
  const more = addAxis(plain, 'girth-thigh', [300, 600]);
  expect(more.axes[2]!.bands).toEqual([
    { size: 'S', from: 300, to: 400 },
    { size: 'M', from: 400, to: 500 },
    { size: 'L', from: 500, to: 600 },
  ]);
  expect(addAxis(plain, 'girth-above', [0, 1])).toBe(plain);
  expect(removeAxis(plain, 0).axes).toHaveLength(1);
  expect(removeAxis(removeAxis(plain, 0), 0).axes).toHaveLength(1);
  expect(removeAxis(twoWay, 0)).toBe(twoWay);
});

test('heights and a belt come and go', () => {
  const both = addHeight(addHeight(plain, ['low', 'tall']), ['low', 'tall']);
  expect(both.heights).toEqual([{ height: 'low' }, { height: 'tall' }]);
  expect(addHeight(both, ['low', 'tall'])).toBe(both);
  expect(removeHeight(removeHeight(both, 0), 0)).toEqual(plain);
  expect(removeBelt(addBelt(plain))).toEqual(plain);
});

const step = fc.oneof(
  fc.tuple(fc.constant('size' as const), fc.string({ minLength: 1, maxLength: 4 }), fc.boolean()),
  fc.tuple(fc.constant('no-size' as const), fc.nat(6), fc.constant(true)),
  fc.tuple(fc.constant('name' as const), fc.nat(6), fc.constant(true)),
  fc.tuple(fc.constant('band' as const), fc.nat(1), fc.constant(true)),
  fc.tuple(fc.constant('no-band' as const), fc.nat(6), fc.boolean()),
  fc.tuple(fc.constant('belt' as const), fc.nat(1), fc.boolean()),
  fc.tuple(fc.constant('height' as const), fc.nat(3), fc.boolean()),
);

test('whatever is added and taken away in whatever order, it is a chart: bands and cells name sizes that are there', () => {
  fc.assert(
    fc.property(fc.constantFrom(plain, twoWay), fc.array(step, { maxLength: 14 }), (from, steps) => {
      const chart = steps.reduce<Chart>((now, [what, which, flag]) => {
        const size = now.sizes[Number(which) % now.sizes.length]!;
        const axis = now.axes.length > 0 ? (flag ? 0 : now.axes.length - 1) : 0;
        switch (what) {
          case 'size':
            return addSize(now, String(which), flag ? 'first' : 'last');
          case 'no-size':
            return removeSize(now, size);
          case 'name':
            return renameSize(now, size, `n${which}`);
          case 'band':
            return now.axes.length > 0 ? addBand(now, axis) : now;
          case 'no-band':
            return now.axes.length > 0
              ? removeBand(now, axis, Number(which) % now.axes[axis]!.bands.length)
              : now;
          case 'belt':
            return flag ? addBelt(now) : removeBelt(now);
          case 'height':
            return flag ? addHeight(now, ['low', 'tall']) : removeHeight(now, Number(which));
        }
      }, from);
      const names = chart.table
        ? chart.table.flat().filter(Boolean)
        : chart.axes.flatMap(({ bands }) => bands.map(({ size }) => size));
      for (const name of names) expect(chart.sizes).toContain(name);
      expect(new Set(chart.sizes).size).toBe(chart.sizes.length);
      if (chart.table) {
        expect(chart.table).toHaveLength(chart.axes[0]!.bands.length);
        for (const row of chart.table) expect(row).toHaveLength(chart.axes[1]!.bands.length);
      }
      expect(chart.sizes.length).toBeGreaterThan(0);
      for (const { bands } of chart.axes) {
        expect(bands.length).toBeGreaterThan(0);
        expect(new Set(bands.map(({ size }) => size)).size).toBe(bands.length);
        for (const { from, to } of bands) expect(Number.isFinite(from) && from <= to).toBe(true);
      }
    }),
    { numRuns: 200 },
  );
});
