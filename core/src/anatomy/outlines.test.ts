import { spawnSync } from 'node:child_process';
import type { Point } from './outline';
import { regionNames } from './region';
import { crossings, sharpest } from './test-sweep';

const root = new URL('../../..', `file://${__filename}`).pathname;

/** More of them by `npm run check:long`; 2 000 a region by `npm run outlines -- 2000`. */
const bodies = process.env.ESTRIBO_LONG === '1' ? 200 : 30;

// in a process of its own: what the clipper counts takes ten times as long in Jest's
test('of bodies drawn by chance in each region no outline crosses itself or has a corner', () => {
  const done = spawnSync(process.execPath, ['scripts/outlines.mjs', String(bodies)], {
    cwd: root,
    encoding: 'utf8',
  });
  expect((done.stderr + done.stdout).trim().split('\n')).toEqual(
    regionNames.map((region) => `${region}: ${bodies} bodies drawn, no outline at fault`),
  );
});

test('the sweep finds a crossing and a corner where there is one', () => {
  const bow: Point[] = [
    [0, 0],
    [10, 10],
    [10, 0],
    [0, 10],
  ];
  expect(crossings(bow)).toHaveLength(1);
  expect(crossings([bow[0]!, bow[2]!, bow[1]!, bow[3]!])).toEqual([]);
  expect(sharpest([bow[0]!, bow[2]!, bow[1]!])).toBeCloseTo(90, 9);
});
