import fc from 'fast-check';
import { mat3, vec2 } from 'gl-matrix';
import { levenbergMarquardt } from 'ml-levenberg-marquardt';
import {
  bestPlace,
  fromCentre,
  fromJointLine,
  hingeTravel,
  meanTravel,
  readPath,
  travelOver,
  type Hinge,
  type PathPoint,
  type Spot,
} from './hinge-travel';

const spot = fc.record({
  forward: fc.double({ min: -40, max: 40, noNaN: true }),
  proximal: fc.double({ min: -60, max: 60, noNaN: true }),
});
const angle = fc.double({ min: -10, max: 140, noNaN: true });
const single = (at: Spot): Hinge => ({ type: 'single-axis', at });

/*
 * The other road: whole matrices of gl-matrix (a general library), applied to points. y is proximal, x forward; flexion carries
 * the distal part backward, a clockwise turn seen with x to the right: rotate by minus the angle.
 */
const turnAbout = ([x, y]: readonly [number, number], degrees: number): mat3 => {
  const m = mat3.create();
  mat3.translate(m, m, [x, y]);
  mat3.rotate(m, m, (-degrees * Math.PI) / 180);
  return mat3.translate(m, m, [-x, -y]);
};
const along = (m: mat3, [x, y]: readonly [number, number]) =>
  vec2.transformMat3(vec2.create(), vec2.fromValues(x, y), m);

/** Where one point of brace and shank has come to, as the shank sees it, from two poses. */
function seenByShank(brace: mat3, shank: mat3, point: readonly [number, number]) {
  const back = mat3.invert(mat3.create(), shank)!;
  const apart = mat3.multiply(mat3.create(), back, brace);
  const [x, y] = along(apart, point);
  return { across: x! - point[0], along: y! - point[1] };
}

test('on random poses one axis gives what a general matrix library gives', () =>
  fc.assert(
    fc.property(spot, spot, angle, angle, spot, (at, centre, donned, now, p) => {
      const travel = hingeTravel(single(at), [{ angle: 0, ...centre }], donned, now);
      const turned = now - donned;
      // the shank's own frame at the angle of donning, so that along and across are the shank's
      const point = [p.forward, p.proximal - 200] as const;
      const frame = turnAbout([0, 0], donned);
      const place = along(frame, point);
      const brace = mat3.multiply(mat3.create(), turnAbout([at.forward, at.proximal], turned), frame);
      const shank = mat3.multiply(mat3.create(), turnAbout([centre.forward, centre.proximal], turned), frame);
      const seen = seenByShank(brace, shank, point);
      expect(place).toHaveLength(2);
      // gl-matrix reckons in single precision
      expect(Math.abs(travel.along - seen.along)).toBeLessThan(1e-3);
      expect(Math.abs(travel.across - seen.across)).toBeLessThan(1e-3);
    }),
  ));

// the check values of the formula: 10 mm off, 90 degrees from 0, and from 45
test.each([
  [0, 90, 14.142],
  [45, 90, 7.654],
])('10 mm off the axis, donned at %d, bent to %d: %d mm', (donned, now, expected) => {
  const { along: a, across } = hingeTravel(single({ forward: 6, proximal: 8 }), [], donned, now);
  expect(Math.hypot(a, across)).toBeCloseTo(expected, 3);
});

test('a hinge 10 mm too high, donned straight: bent to 90 the brace is pressed forward by 10 and has come down by 10', () => {
  const { along: a, across } = hingeTravel(single({ forward: 0, proximal: 10 }), [], 0, 90);
  // (I - R) o = (0, 10) - R(0, 10); flexion takes "up" to "forward": the shift is (-10, 10) at the thigh, seen by a shank that
  // points backward as 10 along its front and 10 towards its far end
  expect([a, across].map((mm) => Math.round(mm * 1e9) / 1e9)).toEqual([-10, -10]);
});

test('on the axis nothing travels, whatever the angles', () =>
  fc.assert(
    fc.property(spot, angle, angle, (at, donned, now) => {
      const { along: a, across } = hingeTravel(single(at), [{ angle: 0, ...at }], donned, now);
      expect(Math.hypot(a, across)).toBeLessThan(1e-9);
    }),
  ));

test('geared: half the angle at each pivot, against a numerical composition in small turns', () =>
  fc.assert(
    fc.property(
      spot,
      fc.double({ min: 5, max: 40, noNaN: true }),
      angle,
      angle,
      (at, pivots, donned, now) => {
        const hinge: Hinge = { type: 'geared', at, pivots };
        const { along: a, across } = hingeTravel(hinge, [], donned, now);
        // the gear rolls: over each small turn the shank part turns by all of it, the plate by half, about the upper pivot that
        // stands still, the lower pivot being wherever the plate has carried it
        const small = 4000;
        const plate = (flexion: number): [number, number] => {
          const half = (-flexion / 2) * (Math.PI / 180);
          return [-Math.sin(half) * -pivots, Math.cos(half) * -pivots];
        };
        const start = plate(donned);
        const upper: [number, number] = [at.forward - start[0] / 2, at.proximal - start[1] / 2];
        let pose = [0, 0, 0] as [x: number, y: number, turned: number];
        const step = (now - donned) / small;
        for (let i = 0; i < small; i += 1) {
          const flexion = donned + (i + 0.5) * step;
          const lower = plate(flexion);
          // velocity of the shank part: half a turn about the upper pivot and half about the lower one
          const turn = (-step / 2) * (Math.PI / 180);
          const about = (centre: readonly [number, number], [x, y, t]: typeof pose): typeof pose => [
            centre[0] + Math.cos(turn) * (x - centre[0]) - Math.sin(turn) * (y - centre[1]),
            centre[1] + Math.sin(turn) * (x - centre[0]) + Math.cos(turn) * (y - centre[1]),
            t + turn,
          ];
          pose = about([upper[0] + lower[0], upper[1] + lower[1]], about(upper, pose));
        }
        // less the shank's own turn about the centre, seen by the shank
        const back = (now * Math.PI) / 180;
        const seen = [
          Math.cos(back) * pose[0] - Math.sin(back) * pose[1],
          Math.sin(back) * pose[0] + Math.cos(back) * pose[1],
        ];
        expect(Math.abs(across - seen[0]!)).toBeLessThan(0.05);
        expect(Math.abs(a - seen[1]!)).toBeLessThan(0.05);
      },
    ),
    { numRuns: 25 },
  ));

const path: PathPoint[] = [
  { angle: 0, forward: 0, proximal: 0 },
  { angle: 30, forward: -3, proximal: 1 },
  { angle: 60, forward: -6, proximal: 3 },
  { angle: 100, forward: -9, proximal: 7 },
];

test('a path of one place is one fixed centre, however it is followed', () =>
  fc.assert(
    fc.property(spot, spot, angle, angle, (at, centre, donned, now) => {
      const fixed = hingeTravel(single(at), [{ angle: 0, ...centre }], donned, now);
      const followed = hingeTravel(
        single(at),
        [
          { angle: -20, ...centre },
          { angle: 150, ...centre },
        ],
        donned,
        now,
      );
      expect(Math.abs(fixed.along - followed.along)).toBeLessThan(1e-6);
      expect(Math.abs(fixed.across - followed.across)).toBeLessThan(1e-6);
    }),
  ));

test.each<[string, Hinge, PathPoint[], number, { from: number; to: number }]>([
  ['one axis, moving centre', single({ forward: 9, proximal: 9 }), path, 45, { from: 0, to: 90 }],
  ['one axis, donned straight', single({ forward: -20, proximal: 4 }), path, 0, { from: 10, to: 100 }],
  [
    'geared, moving centre',
    { type: 'geared', at: { forward: 5, proximal: -8 }, pivots: 24 },
    path,
    30,
    { from: 0, to: 120 },
  ],
  [
    'geared, fixed centre',
    { type: 'geared', at: { forward: 0, proximal: 0 }, pivots: 30 },
    [],
    20,
    { from: 0, to: 90 },
  ],
])('least squares, %s: as a general optimiser finds it', (_, hinge, centres, donned, arc) => {
  const found = bestPlace(hinge, centres, donned, arc)!;
  const angles = travelOver(hinge, centres, donned, arc).map(({ angle: at }) => at);
  // x counts the residuals: along, across, along, across, ...
  const { parameterValues } = levenbergMarquardt(
    { x: angles.flatMap((_at, i) => [2 * i, 2 * i + 1]), y: angles.flatMap(() => [0, 0]) },
    ([forward, proximal]) => {
      const over = angles.map((now) =>
        hingeTravel({ ...hinge, at: { forward: forward!, proximal: proximal! } }, centres, donned, now),
      );
      return (x) => over[Math.floor(x / 2)]![x % 2 === 0 ? 'along' : 'across'];
    },
    { initialValues: [15, -15], damping: 0.1, maxIterations: 15, errorTolerance: 1e-12 },
  );
  expect(found.at.forward).toBeCloseTo(parameterValues[0]!, 3);
  expect(found.at.proximal).toBeCloseTo(parameterValues[1]!, 3);
  expect(found.best).toBeLessThanOrEqual(found.now);
});

test('for one fixed centre the best place is that centre, and nothing travels there', () => {
  const found = bestPlace(single({ forward: 9, proximal: 9 }), [{ angle: 0, forward: 2, proximal: -3 }], 30, {
    from: 0,
    to: 90,
  })!;
  expect(found.at.forward).toBeCloseTo(2, 9);
  expect(found.at.proximal).toBeCloseTo(-3, 9);
  expect(found.best).toBeLessThan(1e-9);
  expect(found.now).toBeGreaterThan(1);
});

test('slipped by 5 mm each way it is what it would be there', () => {
  const hinge = single({ forward: 3, proximal: 2 });
  const arc = { from: 0, to: 90 };
  const { slipped } = bestPlace(hinge, path, 45, arc)!;
  const at = (forward: number, proximal: number) =>
    meanTravel(travelOver(single({ forward, proximal }), path, 45, arc));
  expect(slipped).toEqual({ forward: at(8, 2), backward: at(-2, 2), up: at(3, 7), down: at(3, -3) });
});

test('an arc without width has no best place', () =>
  expect(bestPlace(single({ forward: 1, proximal: 1 }), [], 30, { from: 30, to: 30 })).toBeUndefined());

test('a hinge over the joint line and against the midline, and back: 20 mm over it, 60:40 of the depth (memory)', () => {
  expect(fromCentre(20, -12, 120)).toEqual({ forward: expect.closeTo(0, 9), proximal: 0 });
  expect(fromCentre(48, 0, 120)).toEqual({ forward: expect.closeTo(12, 9), proximal: 28 });
  expect(fromJointLine(fromCentre(37, -4, 118), 118)).toEqual({
    aboveJointLine: 37,
    forwardOfMidline: expect.closeTo(-4, 9),
  });
});

test.each([
  [
    '0 0 0; 30 -3 1',
    {
      path: [
        { angle: 0, forward: 0, proximal: 0 },
        { angle: 30, forward: -3, proximal: 1 },
      ],
    },
  ],
  [
    '0, 0, 0\n90, −9, 7',
    {
      path: [
        { angle: 0, forward: 0, proximal: 0 },
        { angle: 90, forward: -9, proximal: 7 },
      ],
    },
  ],
  ['', { path: [] }],
  ['0 0 0; 30 -3', { notUnderstood: '30 -3' }],
  ['30 0 0; 30 1 1', { notUnderstood: '30 1 1' }],
  ['0 0 1e9', { notUnderstood: '0 0 1e9' }],
  ['a b c', { notUnderstood: 'a b c' }],
])('a path “%s”', (text, read) => expect(readPath(text)).toEqual(read));
