import type { CaseSummary } from '@estribo/core/answers';
import type { Buckle } from '@estribo/core/logbook';
import type { StandingVisit, VisitNotes } from './write-visit';

/** A visit on a ribbon as it stands in its case, to be moved or called off; undefined for what nobody has planned. */
export const plannedVisit = (
  summary: Pick<CaseSummary, 'case' | 'person'>,
  { day, planned, note, deskNote }: Buckle,
): (StandingVisit & VisitNotes) | undefined =>
  planned && {
    id: planned.entry,
    person: summary.person,
    case: summary.case,
    day,
    time: planned.time ?? null,
    purpose: planned.purpose,
    note: note ?? null,
    deskNote: deskNote ?? null,
  };
