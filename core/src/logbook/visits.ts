import type { ClinicDay } from '../calendar';
import { checkSigned } from '../checking';
import { measureRead } from '../measuring';
import { orderGiven } from '../order';
import type { BodyIn, LiveRecord, Recorded } from '../record';
import { reviewFound } from '../reviewing';
import { screenLooked } from '../screening';
import { settingMade, settingTurned } from '../setting';
import { workDone } from '../shaping';
import { wearTaught } from '../wearing';
import { labelRead, visitPlanned, type VisitPurpose } from './case-entries';

export interface PlannedVisit {
  entry: string;
  /** who planned it, or moved it last */
  by: string;
  day: ClinicDay;
  time?: string;
  purpose: VisitPurpose;
  note?: string;
  /** who wrote the note */
  noteBy?: string;
  /** the note that everybody sees who sees visits */
  deskNote?: string;
  deskNoteBy?: string;
  kept: boolean;
}

/** What is written of a patient who comes for a purpose: by it the visit is known to have taken place. */
const writtenAt: Record<VisitPurpose, (record: LiveRecord) => readonly { observedAt: string }[]> = {
  first: (record) => [...record.of(screenLooked), ...record.of(measureRead), ...record.of(orderGiven)],
  // a signature under a check that failed is no fitting: the patient comes in again
  fitting: (record) => record.of(checkSigned).filter(({ body }) => body.result === 'pass'),
  review: (record) => record.of(reviewFound),
  setting: (record) => [...record.of(settingMade), ...record.of(settingTurned)],
  work: (record) => record.of(workDone),
  collection: (record) => [...record.of(labelRead), ...record.of(wearTaught)],
  other: (record) => record.all.filter(({ kind }) => kind !== visitPlanned.kind),
};

/** A note of a visit with its writer: one that was moved without a new one keeps what it had. */
function noteOf(
  record: LiveRecord,
  visit: Recorded<BodyIn<typeof visitPlanned>>,
  which: 'note' | 'deskNote',
): { text: string; by: string } | undefined {
  for (let at: Recorded | undefined = visit; at?.kind === visitPlanned.kind; at = record.corrects(at)) {
    const text = (at.body as BodyIn<typeof visitPlanned>)[which];
    if (text !== undefined) return text === '' ? undefined : { text, by: at.by };
  }
  return undefined;
}

/**
 * The visits planned, and whether each has taken place: by what was written for its purpose on its day or later.
 */
export function foldVisits(record: LiveRecord): PlannedVisit[] {
  const last = new Map<VisitPurpose, ClinicDay>();
  const lastFor = (purpose: VisitPurpose): ClinicDay => {
    if (!last.has(purpose))
      last.set(
        purpose,
        writtenAt[purpose](record).reduce((day, one) => {
          const that = record.dayIn(one);
          return that > day ? that : day;
        }, ''),
      );
    return last.get(purpose)!;
  };
  return record.of(visitPlanned).map((visit) => {
    const { id, by, body } = visit;
    const { day, time, purpose } = body;
    const [note, deskNote] = [noteOf(record, visit, 'note'), noteOf(record, visit, 'deskNote')];
    return {
      entry: id,
      by,
      day,
      ...(time === undefined ? {} : { time }),
      purpose,
      ...(note ? { note: note.text, noteBy: note.by } : {}),
      ...(deskNote ? { deskNote: deskNote.text, deskNoteBy: deskNote.by } : {}),
      kept: lastFor(purpose) >= day,
    };
  });
}
