import type { TestedMotion } from '../measuring';
import { limitsOf } from '../order';
import { order } from '../order/test-order';
import { motionCourse } from './motion-course';

const knee = { joint: 'knee', plane: 'sagittal' } as const;
const test_ = (
  day: string,
  [extension, zero, flexion]: readonly [number, number, number],
  limitReached = { extension: false, flexion: false },
  mode: 'active' | 'passive' = 'passive',
): TestedMotion => ({
  entry: day,
  day,
  motion: { side: 'right', mode, extension, zero, flexion, limitReached } as never,
});
const at = (flexion: boolean) => ({ extension: false, flexion });

// the order: 10 to 60 until the 21st of November, then 5 to 90
test('behind the phase by what the joint does not reach; at the limit it is behind nothing', () => {
  const course = motionCourse([test_('2026-11-24', [0, 15, 70])], order, knee);
  expect(course.points).toEqual([
    { day: '2026-11-24', extension: 0, flexion: 70, atLimit: { extension: false, flexion: false } },
  ]);
  expect(course.behind).toEqual({ flexion: 20 });
  expect(motionCourse([test_('2026-11-24', [0, 5, 90], at(true))], order, knee).behind).toEqual({});
});

test('two tests at their limits say nothing of how fast it grows; one that was reached bounds it', () => {
  const [early, late] = [
    test_('2026-11-10', [0, 10, 60], at(true)),
    test_('2026-11-24', [0, 5, 90], at(true)),
  ];
  expect(motionCourse([early, late], order, knee).growth).toEqual({ low: -Infinity, high: Infinity });
  expect(motionCourse([test_('2026-11-10', [0, 10, 40]), late], order, knee).growth).toEqual({
    low: 25,
    high: Infinity,
  });
  expect(
    motionCourse([test_('2026-11-10', [0, 10, 40]), test_('2026-11-24', [0, 5, 70])], order, knee).growth,
  ).toEqual({
    low: 15,
    high: 15,
  });
});

test('one day has no growth, its last test counts; another mode is another course', () => {
  const { points, growth } = motionCourse(
    [
      test_('2026-11-24', [0, 5, 50]),
      test_('2026-11-24', [0, 5, 60]),
      test_('2026-11-10', [0, 5, 20], at(false), 'active'),
    ].sort((a, b) => a.motion.mode.localeCompare(b.motion.mode)),
    order,
    knee,
  );
  expect([points.map(({ flexion }) => flexion), growth]).toEqual([[60], undefined]);
  expect(motionCourse([], order, knee)).toEqual({ points: [], behind: {}, growth: undefined });
});

/** The order with these limits of the knee from its first day on. */
const limited = (window: { extension?: number; flexion?: number }) => ({
  ...order,
  phases: [{ fromDay: 0, limits: limitsOf(knee, window) }],
});
const behind = (window: Parameters<typeof limited>[0], reached: readonly [number, number, number]) =>
  motionCourse([test_('2026-11-24', reached)], limited(window), knee).behind;

test('each end is behind by itself, and behind nothing that is not ordered', () => {
  // ten degrees beyond straight are ordered, five are reached
  expect(behind({ extension: -10, flexion: 90 }, [5, 0, 90])).toEqual({ extension: 5 });
  expect(behind({ extension: -10, flexion: 90 }, [10, 0, 90])).toEqual({});
  expect(behind({ extension: -10 }, [0, 0, 40])).toEqual({ extension: 10 });
  expect(behind({ flexion: 90 }, [0, 0, 40])).toEqual({ flexion: 50 });
  expect(behind({}, [0, 0, 40])).toEqual({});
  expect(motionCourse([test_('2026-11-24', [0, 0, 40])], { ...order, phases: [] }, knee).behind).toEqual({});
});

test('days stand in their order, whatever was written first; what is reached beyond straight is under zero', () =>
  expect(
    motionCourse(
      [test_('2026-11-24', [5, 0, 90]), test_('2026-11-10', [0, 0, 40]), test_('2026-11-17', [3, 0, 60])],
      order,
      knee,
    ).points.map(({ day, extension, flexion }) => [day, extension, flexion]),
  ).toEqual([
    ['2026-11-10', 0, 40],
    ['2026-11-17', -3, 60],
    ['2026-11-24', -5, 90],
  ]));
