import fc from 'fast-check';
import { endsOf, joints, namedAngle, planes, signedAngle } from '../anatomy';
import { isFixed, limitsOf, windowOf } from './limits';

const motions = joints.flatMap((joint) => planes.map((plane) => ({ joint, plane })));

// common practice, no source: which end a motion's limits go towards
test.each([
  ['knee', 'sagittal', -5, 'extension', 5],
  ['knee', 'sagittal', 90, 'flexion', 90],
  ['ankle', 'sagittal', -10, 'dorsiflexion', 10],
  ['ankle', 'sagittal', 20, 'plantarflexion', 20],
  ['shoulder', 'frontal', -90, 'abduction', 90],
  ['shoulder', 'transverse', 30, 'internal-rotation', 30],
  ['neck', 'frontal', -15, 'bending-left', 15],
  ['neck', 'transverse', 15, 'rotation-right', 15],
] as const)('%s, %s: %d is %s %d', (joint, plane, signed, toward, degrees) =>
  expect(namedAngle({ joint, plane }, signed)).toEqual({ toward, degrees }),
);

test('every angle of every motion goes by its name and comes back', () =>
  fc.assert(
    fc.property(fc.constantFrom(...motions), fc.integer({ min: -180, max: 180 }), (motion, angle) => {
      const named = namedAngle(motion, angle);
      expect(named.degrees).toBeGreaterThanOrEqual(0);
      expect(endsOf(motion)).toContain(named.toward);
      expect(signedAngle(motion, named)).toBe(angle || 0);
    }),
  ));

test('a window is written as a limit and read as it was; a free motion is no limit', () =>
  fc.assert(
    fc.property(
      fc.constantFrom(...motions),
      fc.record(
        { extension: fc.integer({ min: -30, max: 60 }), flexion: fc.integer({ min: 0, max: 150 }) },
        { requiredKeys: [] },
      ),
      (motion, window) => {
        const limits = limitsOf(motion, window);
        expect(limits).toHaveLength(Object.keys(window).length > 0 ? 1 : 0);
        expect(windowOf(limits, motion)).toEqual(window);
      },
    ),
  ));

test('another joint’s limit is not this one’s', () => {
  const limits = limitsOf({ joint: 'shoulder', plane: 'frontal' }, { extension: -90 });
  expect(windowOf(limits, { joint: 'shoulder', plane: 'sagittal' })).toEqual({});
  expect(windowOf(limits, { joint: 'knee', plane: 'frontal' })).toEqual({});
});

test('a motion that nothing limits is free, not fixed; one angle at both ends is fixed', () => {
  expect(
    [{}, { extension: 0 }, { flexion: 0 }, { extension: 0, flexion: 0 }, { extension: 0, flexion: 5 }].map(
      isFixed,
    ),
  ).toEqual([false, false, false, true, false]);
});
