import { group } from 'd3-array';
import type { Side } from '../../anatomy';
import { meanAndDeviation } from '../../statistics';
import type { AnyRecordedEntry, RecordedEntry } from '../entry';
import type { LiveRecord } from './live-record';
import type { CaseState, PlannedVisit, ReviewVisit } from './state';

const motionFigures = (motion: { extension: number; flexion: number } | undefined) =>
  motion ? { extension: -motion.extension || 0, flexion: motion.flexion } : {};

/**
 * What the reviews took, one visit a day, and the figures of the fitting they are compared with.
 * @param motions of the joint that the order limits, on the braced side, in the order they were tested
 */
export function foldReviewing(
  record: LiveRecord,
  side: Side,
  opened: { observedAt: string },
  measuring: CaseState['measuring'],
  motions: readonly RecordedEntry<'motion.tested'>[],
): CaseState['reviewing'] {
  const atFitting = motions.find(
    ({ stage, body }) => stage !== 'review' && (body.step === undefined || body.mode === 'passive'),
  );
  const days = group(
    record.all.filter(({ stage }) => stage === 'review'),
    record.dayIn,
  );
  return {
    first: {
      day: record.dayIn(opened),
      ...motionFigures(atFitting?.body),
      girths: Object.fromEntries(
        measuring.states.flatMap(({ step, side: at, assessed }) =>
          at === side && assessed ? [[step.id, assessed.mean]] : [],
        ),
      ),
    },
    visits: [...days]
      .map(([day, entries]) => reviewVisit(day, entries, side))
      .filter(
        ({ found, extension, girths }) =>
          found !== undefined || extension !== undefined || Object.keys(girths).length > 0,
      )
      .sort((a, b) => a.day.localeCompare(b.day)),
  };
}

function reviewVisit(day: string, entries: readonly AnyRecordedEntry[], side: Side): ReviewVisit {
  const found = entries.findLast((entry) => entry.kind === 'review.found');
  const motion = entries.findLast((entry) => entry.kind === 'motion.tested');
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
    ...motionFigures(motion?.body),
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
