import { arcAngle, kyphosisIndex } from '../anatomy';
import { contourOfBack, contourOfEdge, targetOf } from './contour';

const flat = { liner: 0, pad: 0, gap: 0, gapAtTop: 0 };
const points = [
  { at: 100, out: 8 },
  { at: -100, out: 4 },
  { at: 0, out: 2 },
  { at: 50, out: 5 },
];

test('a target runs through its stations in any order, counted from the held place, and ends with them', () => {
  const target = targetOf({ ...flat, points }, 0);
  expect([-100, 0, 50, 100].map(target)).toEqual([2, 0, 3, 6]);
  expect([target(-101), target(101)]).toEqual([undefined, undefined]);
  expect(targetOf({ ...flat, points: points.slice(0, 1) }, 0)(100)).toBeUndefined();
});

test('between stations it never goes beyond them', () => {
  const target = targetOf(
    { ...flat, points: [0, 40, 80, 120].map((at, i) => ({ at, out: [0, 9, 9, 0][i]! })) },
    0,
  );
  for (let at = 0; at <= 120; at += 1) {
    expect(target(at)!).toBeLessThanOrEqual(9 + 1e-9);
    expect(target(at)!).toBeGreaterThanOrEqual(-1e-9);
  }
});

test('held on its pad it lies on it; beyond, it comes in to the liner', () => {
  const bare = targetOf({ ...flat, points }, 20);
  const lined = targetOf({ points, liner: 6, gap: 1, pad: 9, gapAtTop: 0 }, 20);
  const by = (at: number) => lined(at)! - bare(at)!;
  expect([0, 15, -20, 50, 80, 100, -100].map(by)).toEqual(
    [0, 0, 0, -1, -2, -2, -2].map((one) => expect.closeTo(one, 9) as number),
  );
});

test('room at the top opens over the upper part alone', () => {
  const stations = Array.from({ length: 11 }, (_, i) => ({ at: i * 40, out: 0 }));
  const target = targetOf({ ...flat, points: stations, gapAtTop: 50 }, 0);
  expect([0, 120, 240].map(target)).toEqual([0, 0, 0]);
  expect(target(320)).toBeCloseTo(12.5, 9);
  expect(target(400)).toBeCloseTo(50, 9);
});

// an arc of height h on chord L subtends 4 atan(2h/L): 40 on 300: 59.73 degrees, index 13.3 (formulas.md; Milne and Lauder 1974, memory)
test('the back’s contour of an even arc: its height on its chord, and its ends on the straight-edge', () => {
  const angle = 59.73;
  const radius = 300 / 2 / Math.sin((angle / 2) * (Math.PI / 180));
  const length = radius * angle * (Math.PI / 180);
  // from the top down a kyphosis leans first forwards and then backwards
  const stations = [0, 0.25, 0.5, 0.75, 1].map((at) => ({ at, angle: angle * (0.5 - at) }));
  const back = contourOfBack(stations, length);
  expect(back[0]).toEqual({ at: expect.closeTo(0, 6) as number, out: expect.closeTo(0, 6) as number });
  expect(back.at(-1)!.at).toBeCloseTo(300, 0);
  expect(back.at(-1)!.out).toBeCloseTo(0, 6);
  const height = Math.max(...back.map(({ out }) => out));
  expect(height).toBeCloseTo(40, 0);
  expect(arcAngle(height, back.at(-1)!.at)).toBeCloseTo(angle, 0);
  expect(kyphosisIndex(height, back.at(-1)!.at)).toBeCloseTo(13.3, 0);
});

test('a back that is read leaning as a whole has the same contour: only its curve counts', () => {
  const upright = [0, 0.5, 1].map((at) => ({ at, angle: 20 - 40 * at }));
  const leaning = upright.map(({ at, angle }) => ({ at, angle: angle + 15 }));
  const [one, other] = [upright, leaning].map((stations) => contourOfBack(stations, 400));
  one!.forEach(({ at, out }, i) => {
    expect(other![i]!.at).toBeCloseTo(at, 0);
    expect(other![i]!.out).toBeCloseTo(out, 0);
  });
});

test('of a drawn edge only what the body has', () =>
  expect(contourOfEdge((at) => (at > 50 ? undefined : 60 - at / 10), [-50, 0, 50, 100])).toEqual([
    { at: -50, out: 65 },
    { at: 0, out: 60 },
    { at: 50, out: 55 },
  ]));
