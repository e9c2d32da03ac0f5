import type { ClinicDay } from '../calendar';
import type { LiveRecord } from '../record';
import {
  caseClosed,
  caseHandedOver,
  caseNoted,
  caseOpened,
  caseReopened,
  labelRead,
  type ClosingReason,
} from './case-entries';

/** What stands on the label of a brace that was fitted. */
export interface FittedLabel {
  entry: string;
  day: ClinicDay;
  serial?: string;
  lot?: string;
}

/** How a case is kept: who has it in hand, whether it is closed, what was noted of it as a whole. */
export interface CaseKeeping {
  /** the user who has it in hand: who opened it, until it is handed over */
  keeper: string;
  closed?: { entry: string; because: ClosingReason; day: ClinicDay; by: string; note?: string };
  /** the last first */
  notes: { entry: string; text: string; day: ClinicDay; by: string }[];
  labels: FittedLabel[];
  /** the day of what was observed last */
  lastDay: ClinicDay;
}

/** A case is closed from the last closing on, unless it was opened again behind it. */
export function foldKeeping(record: LiveRecord): CaseKeeping {
  const closing = record.last(caseClosed);
  const reopened = record.last(caseReopened);
  const isClosed = closing && !(reopened && record.isAfter(reopened, closing));
  const last = record.all.reduce(
    (latest, { observedAt }) => (observedAt > latest ? observedAt : latest),
    record.all[0]?.observedAt ?? '1900-01-01T12:00:00.000Z',
  );
  return {
    lastDay: record.dayIn({ observedAt: last }),
    keeper: record.last(caseHandedOver)?.body.to ?? record.of(caseOpened)[0]?.by ?? '',
    ...(isClosed
      ? {
          closed: {
            entry: closing.id,
            because: closing.body.because,
            day: record.dayIn(closing),
            by: closing.by,
            ...(closing.body.note ? { note: closing.body.note } : {}),
          },
        }
      : {}),
    notes: record
      .of(caseNoted)
      .map((note) => ({ entry: note.id, text: note.body.text, day: record.dayIn(note), by: note.by }))
      .reverse(),
    labels: record.of(labelRead).map((label) => ({
      entry: label.id,
      day: record.dayIn(label),
      ...(label.body.serial === undefined ? {} : { serial: label.body.serial }),
      ...(label.body.lot === undefined ? {} : { lot: label.body.lot }),
    })),
  };
}
