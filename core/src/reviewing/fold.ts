import { group } from 'd3-array';
import type { Side } from '../anatomy';
import type { ClinicDay } from '../calendar';
import { measureRead, motionTested, type MeasuringState } from '../measuring';
import type { BodyIn, LiveRecord, Recorded } from '../record';
import { meanAndDeviation } from '../statistics';
import { skinStates, type ReviewFinding } from './adjustment';
import type { VisitFigures, VisitMotion } from './changes';
import { reviewFound } from './entries';
import type { Followed } from './followed';

/** What was taken and found at one review. */
export interface ReviewVisit extends VisitFigures {
  found?: ReviewFinding & { note?: string; by?: 'telephone' };
  entry?: string;
}

/** The reviews, and the figures of the fitting they are compared with. */
export interface ReviewingState {
  first: ReviewVisit;
  visits: ReviewVisit[];
  followed: Followed;
}

/**
 * What the reviews took, one visit a day, and the figures of the fitting they are compared with. A motion is
 * told by its step (joint and plane) and its mode; the one that the order limits stands without a step,
 * whichever step took it.
 * @param opened the day of the case
 * @param limited measuring steps of the motion that the order limits
 * @param baseline pain before the brace was worn, 0 to 10; nothing where nobody asked
 */
export function foldReviewing(
  record: LiveRecord,
  side: Side,
  opened: ClinicDay,
  measuring: MeasuringState,
  limited: readonly string[],
  baseline: number | undefined,
): Omit<ReviewingState, 'followed'> {
  const tests = record.of(motionTested);
  const byDay = <Body>(entries: readonly Recorded<Body>[]) =>
    group(
      entries.filter(({ stage }) => stage === 'review'),
      record.dayIn,
    );
  const [tested, read, found] = [byDay(tests), byDay(record.of(measureRead)), byDay(record.of(reviewFound))];
  return {
    first: {
      day: opened,
      ...(baseline === undefined ? {} : { pain: baseline }),
      // as the fitting found it: its first test of each
      motions: visitMotions(tests.filter(({ stage }) => stage !== 'review').reverse(), side, limited),
      girths: Object.fromEntries(
        measuring.states.flatMap(({ step, side: at, assessed }) =>
          (at === side || at === 'midline') && assessed ? [[step.id, assessed.mean]] : [],
        ),
      ),
    },
    visits: [...byDay(record.all).keys()]
      .map((day) => ({
        day,
        motions: visitMotions(tested.get(day) ?? [], side, limited),
        girths: visitGirths(read.get(day) ?? [], side),
        ...visitFinding(foundOn(found.get(day) ?? [])),
      }))
      .filter((visit) => 'found' in visit || visit.motions.length > 0 || Object.keys(visit.girths).length > 0)
      .sort((a, b) => a.day.localeCompare(b.day)),
  };
}

/** The last test of each motion in each mode, on each side. */
function visitMotions(
  tests: readonly Recorded<BodyIn<typeof motionTested>>[],
  side: Side,
  limited: readonly string[],
): VisitMotion[] {
  const last = new Map<string, VisitMotion>();
  for (const { body } of tests) {
    const step = body.step === undefined || limited.includes(body.step) ? undefined : body.step;
    last.set(`${step ?? ''} ${body.mode} ${body.side}`, {
      ...(step === undefined ? {} : { step }),
      mode: body.mode,
      ...(body.side === side ? {} : { other: true }),
      extension: -body.extension || 0,
      flexion: body.flexion,
    });
  }
  return [...last.values()];
}

/** The mean of what was read of each step on the braced side, or of the person. */
const visitGirths = (
  read: readonly Recorded<BodyIn<typeof measureRead>>[],
  side: Side,
): Record<string, number> =>
  Object.fromEntries(
    [
      ...group(
        read.filter(({ body }) => body.side === side || body.side === 'midline'),
        ({ body }) => body.step,
      ),
    ].map(([step, taken]) => [step, meanAndDeviation(taken.map(({ body }) => body.value))!.mean]),
  );

/**
 * What counts of a day's reviews: the last one at which the patient was seen, unless a telephone call after it brought worse news;
 * where nobody was seen, the last call.
 */
function foundOn(
  reviews: readonly Recorded<BodyIn<typeof reviewFound>>[],
): Recorded<BodyIn<typeof reviewFound>> | undefined {
  const last = reviews.at(-1);
  const seen = reviews.findLast(({ body }) => body.by !== 'telephone');
  if (!last || !seen) return last;
  const isWorse =
    skinStates.indexOf(last.body.skin) > skinStates.indexOf(seen.body.skin) ||
    last.body.pain > seen.body.pain;
  return isWorse ? last : seen;
}

function visitFinding(
  found: Recorded<BodyIn<typeof reviewFound>> | undefined,
): Pick<ReviewVisit, 'pain' | 'hours' | 'entry' | 'found'> {
  if (!found) return {};
  const { pain, hours } = found.body;
  return { pain, ...(hours === undefined ? {} : { hours }), entry: found.id, found: found.body };
}
