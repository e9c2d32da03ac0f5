import { group } from 'd3-array';
import type { Side } from '../../anatomy';
import type { VisitMotion } from '../../reviewing';
import { meanAndDeviation } from '../../statistics';
import type { AnyRecordedEntry, RecordedEntry } from '../entry';
import type { LiveRecord } from './live-record';
import type { CaseState, PlannedVisit, ReviewVisit } from './state';

/**
 * What the reviews took, one visit a day, and the figures of the fitting they are compared with. A motion is
 * told by its step (joint and plane) and its mode; the one that the order limits stands without a step,
 * whichever step took it.
 * @param limited measuring steps of the motion that the order limits
 */
export function foldReviewing(
  record: LiveRecord,
  side: Side,
  opened: { observedAt: string },
  measuring: CaseState['measuring'],
  limited: readonly string[],
): Omit<CaseState['reviewing'], 'followed'> {
  const before = record.of('motion.tested').filter(({ stage }) => stage !== 'review');
  const days = group(
    record.all.filter(({ stage }) => stage === 'review'),
    record.dayIn,
  );
  return {
    first: {
      day: record.dayIn(opened),
      // as the fitting found it: its first test of each
      motions: visitMotions(before.toReversed(), side, limited),
      girths: Object.fromEntries(
        measuring.states.flatMap(({ step, side: at, assessed }) =>
          at === side && assessed ? [[step.id, assessed.mean]] : [],
        ),
      ),
    },
    visits: [...days]
      .map(([day, entries]) => reviewVisit(day, entries, side, limited))
      .filter(
        ({ found, motions, girths }) =>
          found !== undefined || motions.length > 0 || Object.keys(girths).length > 0,
      )
      .sort((a, b) => a.day.localeCompare(b.day)),
  };
}

/** The last test of each motion in each mode on the braced side. */
function visitMotions(
  tests: readonly RecordedEntry<'motion.tested'>[],
  side: Side,
  limited: readonly string[],
): VisitMotion[] {
  const last = new Map<string, VisitMotion>();
  for (const { body } of tests) {
    if (body.side !== side) continue;
    const step = body.step === undefined || limited.includes(body.step) ? undefined : body.step;
    last.set(`${step ?? ''} ${body.mode}`, {
      ...(step === undefined ? {} : { step }),
      mode: body.mode,
      extension: -body.extension || 0,
      flexion: body.flexion,
    });
  }
  return [...last.values()];
}

function reviewVisit(
  day: string,
  entries: readonly AnyRecordedEntry[],
  side: Side,
  limited: readonly string[],
): ReviewVisit {
  const found = entries.findLast((entry) => entry.kind === 'review.found');
  const read = entries
    .filter((entry) => entry.kind === 'measure.read')
    .filter(({ body }) => body.side === side);
  const girths = [...group(read, ({ body }) => body.step)].map(([step, taken]): [string, number] => [
    step,
    meanAndDeviation(taken.map(({ body }) => body.value))!.mean,
  ]);
  const { pain, hours } = found?.body ?? {};
  return {
    day,
    girths: Object.fromEntries(girths),
    motions: visitMotions(
      entries.filter((entry) => entry.kind === 'motion.tested'),
      side,
      limited,
    ),
    ...(pain === undefined ? {} : { pain }),
    ...(hours === undefined ? {} : { hours }),
    ...(found ? { entry: found.id, found: found.body } : {}),
  };
}

/**
 * The visits planned, and whether each has taken place: a review with a finding on its day or later, a
 * fitting with a signed check.
 */
export function foldVisits(record: LiveRecord): PlannedVisit[] {
  // a signature under a check that failed is no fitting: the patient comes in again
  const fittings = record.of('check.signed').filter(({ body }) => body.result === 'pass');
  const lastDay = (entries: readonly { observedAt: string }[]) =>
    entries.reduce((last, entry) => (record.dayIn(entry) > last ? record.dayIn(entry) : last), '');
  const last = { review: lastDay(record.of('review.found')), fitting: lastDay(fittings) };
  const isKept = ({ day, purpose }: { day: string; purpose: 'fitting' | 'review' }) => last[purpose] >= day;
  return record
    .of('visit.planned')
    .map(({ id, by, body }) => ({ entry: id, by, ...body, kept: isKept(body) }));
}
