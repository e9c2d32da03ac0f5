import fc from 'fast-check';
import { nothingRead } from './body-readings';
import { bodyOf } from './body';
import type { BodyView } from './body-view';
import { buildOf, templateStature } from './build';
import { ellipsePerimeter, semiAxes } from './ellipse';
import { joints, jointsFrom } from './joint';
import { landmarkLevel } from './landmark';
import { legForm } from './leg-form';
import { regionNames } from './region';
import { statureForAge } from './stature';
import { wholeBody } from './whole-body';

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

const adult = buildOf(templateStature);
const kneeGirths = (above: number, below: number) => ({
  ...nothingRead,
  girths: [
    { from: 'mid-kneecap' as const, distance: 150, girth: above },
    { from: 'mid-kneecap' as const, distance: -150, girth: below },
  ],
});

test('the drawn leg has the girths that were read, within what a leg can be', () => {
  fc.assert(
    fc.property(fc.integer({ min: 300, max: 760 }), fc.integer({ min: 230, max: 560 }), (above, below) => {
      fc.pre(above / below < 2.2 && below / above < 1.4);
      const form = legForm(kneeGirths(above, below), adult);
      const { medial, lateral, front, back } = form.edges(150);
      expect(form.held).toEqual([]);
      expect(form.girth(150)).toBeCloseTo(above, 6);
      expect(form.girth(-150)).toBeCloseTo(below, 6);
      expect(ellipsePerimeter((medial + lateral) / 2, (front + back) / 2)).toBeCloseTo(above, 6);
    }),
  );
});

test('a reading that no leg has is drawn as far as a leg can be, and said where', () => {
  const form = legForm(kneeGirths(5000, 380), adult);
  expect(form.held).toEqual([150]);
  expect(form.girth(150)).toBeLessThan(1500);
  expect(form.girth(-150)).toBeCloseTo(380, 6);
});

test('a larger girth moves the outline outwards there and leaves the other reading where it is', () => {
  const [thin, thick] = [legForm(kneeGirths(440, 360), adult), legForm(kneeGirths(500, 360), adult)];
  expect(thick.edges(150).medial).toBeGreaterThan(thin.edges(150).medial + 5);
  expect(thick.edges(-150).medial).toBeCloseTo(thin.edges(-150).medial, 6);
});

test('a calliper across the knee and through it moves the outline to what it read', () => {
  const width = (across: 'mediolateral' | 'anteroposterior', read: number) => {
    const { medial, lateral, front, back } = legForm(
      { girths: [], widths: [{ at: 'mid-kneecap', across, width: read }] },
      adult,
    ).edges(0);
    return across === 'mediolateral' ? medial + lateral : front + back;
  };
  expect(width('mediolateral', 128)).toBeCloseTo(128, 6);
  expect(width('anteroposterior', 139)).toBeCloseTo(139, 6);
});

// Stature in head heights: 5 at two years, 6 at six, 7 at twelve, 7.5 grown (Stratz, memory)
test.each([
  [2, 5],
  [6, 6],
  [12, 7],
  [40, 7.5],
])('at %d years a body is %d heads tall, and drawn as tall as it is', (years, heads) => {
  const stature = statureForAge(years);
  const { skin, stature: drawn } = wholeBody('leg', 'right', nothingRead, buildOf(stature, years));
  const ys = skin.map(([, y]) => y);
  const tall = Math.max(...ys) - Math.min(...ys);
  expect(Math.abs(tall / stature - 1)).toBeLessThan(0.03);
  expect(Math.abs(drawn / stature - 1)).toBeLessThan(0.03);
  const neck = bodyOf('neck', 'midline', nothingRead, buildOf(stature, years)).views[0]!;
  const head = Math.max(...neck.skin.map(([, y]) => y)) - neck.place('chin-line')![1];
  expect(Math.abs(tall / head - heads)).toBeLessThan(0.15);
});

test('a child of unknown age is drawn as of the age whose stature it has; a short adult stays an adult', () => {
  expect(buildOf(1030).head / buildOf(1030, 4).head).toBeCloseTo(1, 2);
  expect(buildOf(1030, 40).head).toBeCloseTo(1030 / 1700, 9);
  expect(landmarkLevel('leg', 'malleoli', buildOf(1030, 4))! / -0.253).toBeLessThan(1030);
});

const far = (points: readonly (readonly [number, number])[]) =>
  points.reduce((most, point) => (Math.abs(point[0]) > Math.abs(most[0]) ? point : most));
const view = (region: 'leg' | 'ankle', side: 'left' | 'right', id: BodyView['id']) =>
  bodyOf(region, side, nothingRead, adult).views.find((one) => one.id === id)!;

test('seen from the outer side a right leg has its toes to the right, a left one to the left', () => {
  const [right, left] = [far(view('leg', 'right', 'outer').skin), far(view('leg', 'left', 'outer').skin)];
  expect(right[0]).toBeGreaterThan(150);
  expect(left[0]).toBeCloseTo(-right[0], 1);
});

test('M stands to the right of a right leg from the front, to the left of it from behind, and so on a left one', () => {
  const medial = (side: 'left' | 'right', region: 'leg' | 'ankle', id: BodyView['id']) =>
    Math.sign(view(region, side, id).letters.find(({ text }) => text === 'M')!.at[0]);
  expect([medial('right', 'leg', 'front'), medial('left', 'leg', 'front')]).toEqual([1, -1]);
  expect([medial('right', 'ankle', 'front'), medial('left', 'ankle', 'front')]).toEqual([1, -1]);
  expect([medial('right', 'ankle', 'back'), medial('left', 'ankle', 'back')]).toEqual([-1, 1]);
});

test('the great toe lies medially', () => {
  // the foot's widest toe reaches further medially than the small one laterally is long: its nail is drawn there
  for (const side of ['right', 'left'] as const) {
    const { lines } = view('ankle', side, 'front');
    const nail = lines.find((line) => line.length > 40)!;
    expect(nail.length).toBeGreaterThan(0);
    const x = nail.reduce((sum, [at]) => sum + at, 0) / nail.length;
    expect(Math.sign(x)).toBe(side === 'right' ? 1 : -1);
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

test.each(regionNames)('%s: every joint is there once, the region’s own first', (region) => {
  expect([...jointsFrom(region)].sort()).toEqual([...joints].sort());
  // a brace's own joint, by every family that ships
  const own = { leg: 'knee', ankle: 'ankle', shoulder: 'shoulder', neck: 'neck', trunk: undefined }[region];
  if (own) expect(jointsFrom(region)[0]).toBe(own);
});
