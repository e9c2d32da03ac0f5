import type { JointPlane } from '../anatomy';
import { daysBetween, type ClinicDay } from '../calendar';
import type { TestedMotion } from '../measuring';
import { windowOn, type Order } from '../order';
import { boundedSlope, type BoundedSlope } from '../statistics';

type End = 'extension' | 'flexion';

/** A test of the motion that the order limits, as a point over the phases. */
export interface CoursePoint {
  day: ClinicDay;
  /** flexion positive, hyperextension negative */
  extension: number;
  flexion: number;
  /** tested up to the limit and not beyond: it is at least so much */
  atLimit: Record<End, boolean>;
}

export interface MotionCourse {
  points: CoursePoint[];
  /** degrees that the last test stayed within the window of its phase by, at an end that is limited; nothing at its limit */
  behind: Partial<Record<End, number>>;
  /** how flexion grows, degrees a week, as far as the tests can say; undefined before two days were tested */
  growth: BoundedSlope | undefined;
}

/**
 * The motion of a joint over an order's phases. What was reached up to a limit is a lower bound: it enters the growth as one,
 * and no date follows from bounds.
 * @param tests in the order they were made; those in the mode of the last one count
 */
export function motionCourse(tests: readonly TestedMotion[], order: Order, motion: JointPlane): MotionCourse {
  const mode = tests.at(-1)?.motion.mode;
  // of one day the last test counts
  const byDay = new Map(
    tests.filter((one) => one.motion.mode === mode).map((test) => [test.day, test] as const),
  );
  const points = [...byDay.values()]
    .map(({ day, motion: { extension, flexion, limitReached } }) => ({
      day,
      extension: -extension || 0,
      flexion,
      atLimit: limitReached,
    }))
    .sort((a, b) => a.day.localeCompare(b.day));
  const last = points.at(-1);
  const window = last && windowOn(order, last.day, motion)?.window;
  const short = {
    extension: last && window?.extension !== undefined ? last.extension - window.extension : 0,
    flexion: last && window?.flexion !== undefined ? window.flexion - last.flexion : 0,
  };
  const first = points[0]?.day;
  const growth = boundedSlope(
    points.map(({ day, flexion, atLimit }) => ({
      x: daysBetween(first!, day) / 7,
      y: flexion,
      atLeast: atLimit.flexion,
    })),
  );
  return {
    points,
    behind: Object.fromEntries(
      (['extension', 'flexion'] as const)
        .filter((end) => short[end] > 0 && !last!.atLimit[end])
        .map((end) => [end, short[end]]),
    ),
    growth,
  };
}
