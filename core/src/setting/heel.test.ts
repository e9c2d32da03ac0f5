import fc from 'fast-check';
import { vec2 } from 'gl-matrix';
import { liftFor, wedgeAngle, wedgeHeight, wedgesFor } from './heel';

test('20 degrees on 181 mm: 62 mm', () => expect(Math.round(wedgeHeight(20, 181))).toBe(62));

test('the heel is as high as a sole turned about its ball, by a vector library', () =>
  fc.assert(
    fc.property(
      fc.double({ min: 0, max: 60, noNaN: true }),
      fc.double({ min: 80, max: 260, noNaN: true }),
      (angle, length) => {
        const heel = vec2.rotate(
          vec2.create(),
          vec2.fromValues(-length, 0),
          vec2.fromValues(0, 0),
          (-angle * Math.PI) / 180,
        );
        // gl-matrix reckons in single precision
        expect(Math.abs(wedgeHeight(angle, length) - heel[1]!)).toBeLessThan(1e-3);
        expect(wedgeAngle(wedgeHeight(angle, length), length)!).toBeCloseTo(angle, 6);
      },
    ),
  ));

test.each([
  [20, 181, 10, 7],
  // the trade's example: 2 would hold it at 14 degrees alone
  [20, 178, 22, 3],
  [10, 181, 10, 4],
  // whole wedges are not one more for the last bit
  [30, 100, 10, 5],
  [0, 181, 10, 0],
  [-10, 181, 10, 0],
])('%d degrees on %d mm in wedges of %d mm: %d', (angle, length, each, count) =>
  expect(wedgesFor(angle, length, each)?.count).toBe(count),
);

test('wedges say the angle they give: seven of 10 mm under 181 mm are more than 20 degrees', () =>
  expect(wedgesFor(20, 181, 10)!.angle).toBeCloseTo(22.75, 2));

test('never less pointed than ordered, and never a wedge more than that takes', () =>
  fc.assert(
    fc.property(
      fc.double({ min: 0.5, max: 45, noNaN: true }),
      fc.double({ min: 120, max: 220, noNaN: true }),
      fc.constantFrom(5, 8, 10, 22),
      (angle, length, each) => {
        const { count } = wedgesFor(angle, length, each) ?? {};
        // more wedges than the foot is long stand no foot
        if (count === undefined) return;
        const gives = (wedges: number) => (Math.asin((wedges * each) / length) * 180) / Math.PI;
        expect(gives(count)).toBeGreaterThanOrEqual(angle - 1e-6);
        expect(gives(count - 1)).toBeLessThan(angle + 1e-6);
      },
    ),
  ));

test('a heel higher than the foot is long is none', () => {
  expect(wedgeAngle(200, 181)).toBeUndefined();
  expect(wedgesFor(20, 0, 10)).toBeUndefined();
  expect(wedgesFor(20, 181, 0)).toBeUndefined();
});

test.each([
  [45, 25, 0, 20],
  [45, 25, 8, 12],
  [45, 25, -5, 25],
  [20, 25, 0, -5],
])('a sole of %d against %d, braced leg shorter by %d: a lift of %d', (boot, other, shorter, lift) =>
  expect(liftFor(boot, other, shorter)).toBe(lift),
);
