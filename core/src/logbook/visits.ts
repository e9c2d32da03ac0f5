import type { ClinicDay } from '../calendar';
import { checkSigned } from '../checking';
import { reviewFound } from '../reviewing';
import type { LiveRecord } from '../record';
import { visitPlanned } from './case-entries';

export interface PlannedVisit {
  entry: string;
  by: string;
  day: ClinicDay;
  purpose: 'fitting' | 'review';
  note?: string;
  kept: boolean;
}

/**
 * The visits planned, and whether each has taken place: a review with a finding on its day or later, a
 * fitting with a signed check.
 */
export function foldVisits(record: LiveRecord): PlannedVisit[] {
  // a signature under a check that failed is no fitting: the patient comes in again
  const fittings = record.of(checkSigned).filter(({ body }) => body.result === 'pass');
  const lastDay = (entries: readonly { observedAt: string }[]) =>
    entries.reduce((last, entry) => (record.dayIn(entry) > last ? record.dayIn(entry) : last), '');
  const last = { review: lastDay(record.of(reviewFound)), fitting: lastDay(fittings) };
  const isKept = ({ day, purpose }: { day: string; purpose: 'fitting' | 'review' }) => last[purpose] >= day;
  return record.of(visitPlanned).map(({ id, by, body }) => ({ entry: id, by, ...body, kept: isKept(body) }));
}
