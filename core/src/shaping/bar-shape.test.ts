import { vec2 } from 'gl-matrix';
import {
  alongAt,
  barThrough,
  bendBar,
  heightOf,
  placeOn,
  reaching,
  straightBar,
  turnBar,
  type BarShape,
} from './bar-shape';

const straight = straightBar({ proximal: 200, distal: 180 });
const rad = Math.PI / 180;

const lengthOf = (shape: BarShape): number =>
  shape.slice(1).reduce((sum, at, i) => sum + vec2.distance([...at], [...shape[i]!]), 0);

// polylines against gl-matrix (registry)
test('a bend turns all beyond it about its place, and no other part of the bar', () => {
  const bent = bendBar(straight, 80, 6);
  const tip = vec2.rotate(vec2.create(), [200, 0], [80, 0], 6 * rad);
  expect(bent.at(-1)![0]).toBeCloseTo(tip[0]!, 4);
  expect(bent.at(-1)![1]).toBeCloseTo(tip[1]!, 4);
  expect(bent[0]).toEqual([-180, 0]);
  expect(heightOf(bent, 80)).toBeCloseTo(0, 9);
});

test('away is away on both sides of the hinge', () => {
  for (const along of [80, -80]) {
    const end = along > 0 ? 190 : -170;
    expect(heightOf(bendBar(straight, along, 5), end)!).toBeGreaterThan(5);
    expect(heightOf(bendBar(straight, along, -5), end)!).toBeLessThan(-5);
  }
});

test('bends in any order give the same bar: places are counted along it', () => {
  const bends: (readonly [along: number, turn: number])[] = [
    [150, 4],
    [70, -6],
    [-90, 5],
    [-150, 3],
  ];
  const shapes = [bends, [...bends].reverse()].map((order) =>
    order.reduce<BarShape>((shape, [along, turn]) => bendBar(shape, along, turn), straight),
  );
  for (const along of [-170, -120, -40, 40, 110, 190]) {
    const [one, other] = shapes.map((shape) => placeOn(shape, along)!);
    expect(vec2.distance([...one!], [...other!])).toBeLessThan(1e-9);
  }
  expect(lengthOf(shapes[0]!)).toBeCloseTo(380, 9);
});

// an arc of radius R over an angle has the chord 2 R sin(a/2): closed form
test('many small bends are an arc', () => {
  let bar: BarShape = straightBar({ proximal: 300, distal: 0 });
  for (let along = 1; along < 300; along += 1) bar = bendBar(bar, along, 0.2);
  const radius = 1 / (0.2 * rad);
  expect(vec2.length([...bar.at(-1)!])).toBeCloseTo(2 * radius * Math.sin(300 / radius / 2), 1);
});

test('a place on the straight-edge is found along the bar again', () => {
  const bent = bendBar(bendBar(straight, 60, 12), -60, 9);
  for (const along of [-160, -70, -20, 0, 30, 90, 170])
    expect(alongAt(bent, placeOn(bent, along)![0])).toBeCloseTo(along, 9);
  expect(alongAt(bent, 400)).toBeUndefined();
  expect(placeOn(bent, 300)).toBeUndefined();
  expect(heightOf(bent, 400)).toBeUndefined();
});

test('a bend off the bar changes nothing', () => expect(bendBar(straight, 260, 5)).toBe(straight));

test('a bar that nothing rigid holds is turned about its mark', () => {
  const turned = turnBar(straightBar({ proximal: 200, distal: 0 }), 30);
  expect(turned[0]).toEqual([0, 0]);
  expect(turned.at(-1)![1]).toBeCloseTo(100, 9);
});

test('a measured bar runs through its points, counted from its held place', () => {
  const bar = barThrough([
    { at: 100, out: 9 },
    { at: -100, out: 5 },
    { at: 0, out: 2 },
  ]);
  expect(bar).toEqual([
    [-100, 3],
    [0, 0],
    [100, 7],
  ]);
  // its held place was not read: it lies between its neighbours
  expect(
    heightOf(
      barThrough([
        { at: -50, out: 0 },
        { at: 50, out: 4 },
      ]),
      50,
    ),
  ).toBe(2);
});

test('beyond what was read a bar goes on as it was going, to its ends and no further', () => {
  const read = barThrough([
    { at: -100, out: 5 },
    { at: 0, out: 0 },
    { at: 100, out: 10 },
  ]);
  const whole = reaching(read, { proximal: 180, distal: 160 });
  expect([whole[0], whole.at(-1)]).toEqual([
    [-160, 8],
    [180, 18],
  ]);
  expect(reaching(read, { proximal: 100, distal: 100 })).toEqual(read);
});
