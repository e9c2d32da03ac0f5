import fc from 'fast-check';
import { endLies, overlapHolds, strapLength } from './length';

/** A point of a polygon that lies close to an ellipse, and how far round it is: by walking, not by a formula. */
function walked(halfWidth: number, halfDepth: number) {
  const count = 20_000;
  const points = Array.from({ length: count + 1 }, (_, i) => {
    const angle = (i / count) * 2 * Math.PI;
    return [halfWidth * Math.cos(angle), halfDepth * Math.sin(angle)] as const;
  });
  const lengths = points.slice(1).map(([x, y], i) => Math.hypot(x - points[i]![0], y - points[i]![1]));
  return { points, lengths, girth: lengths.reduce((sum, one) => sum + one, 0) };
}

// geometry: a strap from one upright over the back to the other and back to mid-limb, laid round an ellipse step by step
test('half the girth and a quarter ends in the middle of the limb', () => {
  const { points, lengths, girth } = walked(62, 55);
  const { now } = strapLength({ wraps: 0.75, overlap: 0 }, girth);
  // to the other upright and back: what is left of it after half the girth, walked backwards from there
  let left = now;
  let at = 0;
  while (left > 0 && at < lengths.length / 2) left -= lengths[at++]!;
  while (left > 0) left -= lengths[--at]!;
  // a quarter round: the middle of the limb's back, x = 0
  expect(Math.abs(points[at]![0])).toBeLessThan(0.2);
  expect(endLies(now, girth)).toBeCloseTo(90, 6);
});

test('with room for the largest girth it reaches over it, and lies further over itself today', () =>
  fc.assert(
    fc.property(
      fc.double({ min: 0.3, max: 1.2, noNaN: true }),
      fc.double({ min: 0, max: 120, noNaN: true }),
      fc.double({ min: 150, max: 1500, noNaN: true }),
      fc.double({ min: 0, max: 200, noNaN: true }),
      (wraps, overlap, girth, more) => {
        const { now, room, cut, overlapNow } = strapLength({ wraps, overlap }, girth, girth + more);
        expect(room).toBeCloseTo(wraps * (girth + more) + overlap, 6);
        expect(cut).toBeGreaterThanOrEqual(room);
        expect(cut - room).toBeLessThan(1);
        // what is over today is what is missing at the largest
        expect(overlapNow - overlap).toBeCloseTo(room - now, 6);
      },
    ),
  ));

test('a largest girth that is smaller than today’s takes nothing away', () =>
  expect(strapLength({ wraps: 0.75, overlap: 40 }, 400, 350).cut).toBe(340));

// an overlap of 40 mm by 20 mm at 60 kPa: 800 mm² times 0.06 N/mm² = 48 N, over three times 15 N and under three times 20 N
test('an overlap holds its area times the shear strength, three times the pull', () => {
  expect(overlapHolds(40, 20, 15)).toMatchObject({ holds: true, strength: 48 });
  expect(overlapHolds(40, 20, 20).holds).toBe(false);
  expect(overlapHolds(40, 20, 20).least).toBeCloseTo(50, 9);
  expect(overlapHolds(50, 20, 20).holds).toBe(true);
});
