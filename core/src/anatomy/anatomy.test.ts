import fc from 'fast-check';
import { ellipsePerimeter, semiAxes } from './ellipse';
import { levelOf } from './landmark';
import { legForm } from './leg-form';
import { statureForAge } from './stature';
import { frontOutline, outerOutline } from './leg-outline';
import type { Point } from './outline';

/** The perimeter again, by Simpson's rule over the arc's length. */
function integrated(a: number, b: number): number {
  const n = 2000;
  const speed = (t: number) => Math.hypot(a * Math.sin(t), b * Math.cos(t));
  const h = (2 * Math.PI) / n;
  let sum = 0;
  for (let k = 0; k < n; k += 2)
    sum += (h / 3) * (speed(k * h) + 4 * speed((k + 1) * h) + speed((k + 2) * h));
  return sum;
}

test.each([
  [60, 45],
  [2, 1],
  [57, 60],
])('the perimeter of an ellipse %d by %d is its arc integrated', (a, b) =>
  expect(ellipsePerimeter(a, b) / integrated(a, b)).toBeCloseTo(1, 5),
);

// Ramanujan's second formula, worked
test.each([
  [60, 45, 331.552382],
  [2, 1, 9.68844822],
])('Ramanujan: %d and %d give %d', (a, b, perimeter) =>
  expect(ellipsePerimeter(a, b)).toBeCloseTo(perimeter, 6),
);

test('half axes give the girth back', () => {
  const { halfWidth, halfDepth } = semiAxes(366, 1.08);
  expect(ellipsePerimeter(halfWidth, halfDepth)).toBeCloseTo(366, 9);
  expect(halfDepth / halfWidth).toBeCloseTo(1.08, 12);
});

test('the drawn leg has the girths that were read', () => {
  fc.assert(
    fc.property(fc.integer({ min: 250, max: 800 }), fc.integer({ min: 200, max: 600 }), (above, below) => {
      const form = legForm([
        { level: 150, girth: above },
        { level: -150, girth: below },
      ]);
      const { medial, lateral, front, back } = form.edges(150);
      return (
        Math.abs(form.girth(150) - above) < 1e-6 &&
        Math.abs(form.girth(-150) - below) < 1e-6 &&
        Math.abs(ellipsePerimeter((medial + lateral) / 2, (front + back) / 2) - above) < 1e-6
      );
    }),
  );
});

test('a larger girth moves the outline outwards there and leaves the other reading where it is', () => {
  const thin = legForm([
    { level: 150, girth: 440 },
    { level: -150, girth: 360 },
  ]);
  const thick = legForm([
    { level: 150, girth: 500 },
    { level: -150, girth: 360 },
  ]);
  expect(thick.edges(150).medial).toBeGreaterThan(thin.edges(150).medial + 5);
  expect(thick.edges(-150).medial).toBeCloseTo(thin.edges(-150).medial, 6);
});

test('a child is drawn to its own length', () => {
  const child = legForm([], 1050);
  expect(child.sole / legForm([]).sole).toBeCloseTo(1050 / 1700, 9);
  expect(child.girth(0) / legForm([]).girth(0)).toBeCloseTo(1050 / 1700, 9);
  expect(levelOf('kneecap-upper-edge', 1700)).toBeCloseTo(25, 0);
});

const toes = (points: Point[]) =>
  points.reduce((far, point) => (Math.abs(point[0]) > Math.abs(far[0]) ? point : far));

test('seen from the outer side a right leg has its toes to the right, a left one to the left', () => {
  const form = legForm([]);
  const [toeRight] = toes(outerOutline(form, 'right').skin);
  const [toeLeft] = toes(outerOutline(form, 'left').skin);
  expect(toeRight).toBeGreaterThan(150);
  expect(toeLeft).toBeCloseTo(-toeRight, 9);
});

test('seen from the front the medial side of a right leg lies to the right, of a left one to the left', () => {
  const form = legForm([]);
  expect(frontOutline(form, 'right').facing).toBe(1);
  expect(frontOutline(form, 'left').facing).toBe(-1);
  const great = (side: 'left' | 'right') =>
    frontOutline(form, side)
      .lines.at(-5)!
      .map(([x]) => x);
  expect(Math.min(...great('right'))).toBeGreaterThan(0);
  expect(Math.max(...great('left'))).toBeLessThan(0);
});

test('the outline is one line without leaps', () => {
  for (const outline of [frontOutline(legForm([]), 'right'), outerOutline(legForm([]), 'left')])
    for (const [i, [x, y]] of outline.skin.entries()) {
      const before = outline.skin[i - 1];
      if (before) expect(Math.hypot(x - before[0], y - before[1])).toBeLessThan(16);
    }
});

// WHO child growth standards, height for age, medians of boys and girls: 4 years 1033 and 1027 mm, 2 years
// 871 and 857 mm (memory)
test('a child is drawn at about the median stature of its age, an adult at that of the template', () => {
  expect(Math.abs(statureForAge(4) - 1030)).toBeLessThanOrEqual(10);
  expect(Math.abs(statureForAge(2) - 864)).toBeLessThanOrEqual(10);
  expect(statureForAge(40)).toBe(1700);
  expect(statureForAge(undefined)).toBe(1700);
  for (let years = 0; years < 20; years += 0.5)
    expect(statureForAge(years + 0.5)).toBeGreaterThanOrEqual(statureForAge(years));
});
