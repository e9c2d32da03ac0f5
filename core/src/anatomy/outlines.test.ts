import { spawnSync } from 'node:child_process';
import type { Point } from './outline';
import { regionNames } from './region';
import { crossings, sharpest } from './test-sweep';

const root = new URL('../../..', `file://${__filename}`).pathname;

// in a process of its own: what the clipper counts takes ten times as long in Jest's; 2 000 a region by
// `npm run outlines -- 2000`
test.each(regionNames)('%s: of 200 bodies no outline crosses itself or has a corner', (region) => {
  const done = spawnSync(process.execPath, ['scripts/outlines.mjs', '200', region], {
    cwd: root,
    encoding: 'utf8',
  });
  expect(done.stderr + done.stdout).toMatch(
    new RegExp(`^${region}: 200 bodies drawn, no outline at fault\\s*$`),
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
