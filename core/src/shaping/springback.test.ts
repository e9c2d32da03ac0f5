import { elasticAngle, furthestAngle, materialRules } from './material';
import { bentTo, furthestHand, handFor, keptIn, learnSpring, placeAfter, virginPlace } from './springback';

/**
 * What of a bend stays, Ri/Rf = 4x^3 - 3x + 1 with x = Ri Y/(E T) (Kalpakjian and Schmid).
 * @param inside radius under load, Ri
 * @param thickness T, same unit
 * @param yields Y and modulus E, same unit
 * @returns radius that stays, Infinity where it comes all the way back (x at 0.5 or more)
 */
function radiusKept(inside: number, thickness: number, yields: number, modulus: number): number {
  const x = (inside * yields) / (modulus * thickness);
  return x >= 0.5 ? Infinity : inside / (4 * x ** 3 - 3 * x + 1);
}

/** The share of the angle that stays, (2 Ri/T + 1)/(2 Rf/T + 1) (Kalpakjian and Schmid). */
const angleKept = (inside: number, kept: number, thickness: number): number =>
  kept === Infinity ? 0 : ((2 * inside) / thickness + 1) / ((2 * kept) / thickness + 1);

const aluminium = { material: 'aluminium', thickness: 3, width: 18, spread: 60 } as const;
const elastic = elasticAngle(aluminium);

// Kalpakjian and Schmid, springback in bending: steel T 0.0359 in, Ri 0.5 in, Y 40 000 psi, E 29e6 psi
test('the handbook’s example: a radius of 0.531 in, 0.9443 of the angle', () => {
  const kept = radiusKept(0.5, 0.0359, 40_000, 29e6);
  expect(kept).toBeCloseTo(0.531, 3);
  expect(angleKept(0.5, kept, 0.0359)).toBeCloseTo(0.9443, 4);
});

test('the layers give the handbook’s radius: 0.5 in under load, 0.531 in after it', () => {
  // curvature under load in units of the one at which it yields: E T/(2 Y Ri)
  const hand = (29e6 * 0.0359) / (2 * 40_000 * 0.5);
  expect((0.5 * hand) / bentTo(virginPlace, hand).kept).toBeCloseTo(0.531, 3);
});

test('x of a half or more: it stays elastic and comes all the way back', () => {
  const [thickness, modulus] = [3, 70_000];
  const radius = (0.5 * modulus * thickness) / 240;
  expect(radiusKept(radius, thickness, 240, modulus)).toBe(Infinity);
  expect(radiusKept(radius * 0.999, thickness, 240, modulus)).toBeLessThan(Infinity);
  expect(angleKept(radius, Infinity, thickness)).toBe(0);
});

// formulas.md, recomputed: aluminium Y 240 MPa, E 70 GPa, T 3 mm, L 60 mm
test('a bar of aluminium between irons 60 mm apart is elastic up to 7.9 degrees; hand 17 for 6 kept, 14.7 for 4', () => {
  expect(elastic).toBeCloseTo(7.86, 2);
  expect(handFor(virginPlace, 6, elastic)).toBeCloseTo(17, 0);
  expect(handFor(virginPlace, 4, elastic)).toBeCloseTo(14.7, 1);
});

test.each([9, 12, 17, 25, 40])('held at %d degrees a virgin bar keeps what the closed form says', (hand) => {
  // curvature over the spread: the neutral line keeps its length, so angles go as one radius by the other
  const radius = aluminium.spread / (hand * (Math.PI / 180));
  const kept = radiusKept(radius, 3, 240, 70_000);
  expect(bentTo(virginPlace, hand / elastic).kept * elastic).toBeCloseTo((hand * radius) / kept, 1);
});

test('what a maker states of a bar goes before what is usual of its alloy', () => {
  expect(elasticAngle({ ...aluminium, yields: 120 })).toBeCloseTo(elastic / 2, 9);
  expect(elasticAngle({ ...aluminium, modulus: 35_000 })).toBeCloseTo(elastic * 2, 9);
});

test('under the elastic angle nothing is kept, however often', () =>
  expect(keptIn(placeAfter([7.8, 7.8, 7.8, -7.8], elastic), elastic)).toBeCloseTo(0, 9));

test('curvature is carried: a second pass needs the hand of the whole angle, less what is there', () => {
  const first = handFor(virginPlace, 4, elastic)!;
  const place = placeAfter([first], elastic);
  const second = handFor(place, 10, elastic)!;
  expect(keptIn(place, elastic)).toBeCloseTo(4, 6);
  // loaded again in the same sense it goes on where it left off: no hardening in this model
  expect(second + 4).toBeCloseTo(handFor(virginPlace, 10, elastic)!, 4);
  // far less than a virgin place needs for the 6 degrees more and 4 before: not a sum
  expect(second).toBeLessThan(first + handFor(virginPlace, 6, elastic)!);
});

test('a bend back starts from the bent bar: it yields sooner than a virgin one', () => {
  const place = placeAfter([handFor(virginPlace, 8, elastic)!], elastic);
  const back = handFor(place, 5, elastic)!;
  expect(back).toBeLessThan(handFor(virginPlace, 3, elastic)!);
  expect(keptIn(placeAfter([handFor(virginPlace, 8, elastic)!, -back], elastic), elastic)).toBeCloseTo(5, 3);
});

test('bent one way or the other it is the same bar', () => {
  for (const hand of [9, 15, 30])
    expect(bentTo(virginPlace, -hand / elastic).kept).toBeCloseTo(
      -bentTo(virginPlace, hand / elastic).kept,
      12,
    );
});

test('with irons too far apart the hand would go further than it can: it is not done', () => {
  const wide = elasticAngle({ ...aluminium, spread: 400 });
  expect(wide).toBeGreaterThan(furthestHand);
  expect(handFor(virginPlace, 3, wide)).toBeUndefined();
  expect(handFor(virginPlace, 0, wide)).toBe(0);
});

test('no place is bent tighter than its material bears; a composite hardly at all', () => {
  expect(furthestAngle(aluminium)).toBeCloseTo(60 / 10.5 / (Math.PI / 180), 6);
  expect(materialRules['carbon-composite'].cold).toBe(false);
});

test('a bar that keeps more than the catalogue says is learned to, and known better with each pass', () => {
  const truth = elastic * 0.8;
  const hands = [17, 15, 16].map((hand) => [hand]);
  const seen = hands.map((one) => ({ hands: one, kept: keptIn(placeAfter(one, truth), truth), within: 0.4 }));
  const [none, first, all] = [0, 1, 3].map((count) => learnSpring(elastic, seen.slice(0, count)));
  expect(none).toEqual({
    elastic: expect.closeTo(elastic, 2) as number,
    within: expect.any(Number) as number,
    passes: 0,
  });
  expect(Math.abs(all!.elastic - truth)).toBeLessThan(0.4);
  expect(all!.within).toBeLessThan(first!.within);
  expect(first!.within).toBeLessThan(none!.within);
});

test('one pass that cannot be throws nothing over: the bar stays within what its grid knows', () => {
  const { elastic: learned } = learnSpring(elastic, [{ hands: [17], kept: 60, within: 0.4 }]);
  expect(learned).toBeGreaterThanOrEqual(elastic * 0.4);
  expect(learned).toBeLessThanOrEqual(elastic * 1.6);
});
