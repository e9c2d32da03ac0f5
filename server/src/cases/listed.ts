import { may, type Role } from '@estribo/core/access';
import { addDays, type ClinicDay } from '@estribo/core/calendar';
import { staysDue, type Buckle, type Ribbon } from '@estribo/core/logbook';
import type { Summary } from '../database/entities';

/** The ribbon of days that lists show: from a week ago, four weeks. */
const [daysBack, daysShown] = [7, 28];

export const ribbonFrom = (today: ClinicDay): ClinicDay => addDays(today, -daysBack);

/**
 * A summary as a list shows it: of its ribbon the days that are seen and what is due next. Who may not read the
 * record sees of whom and of which brace it is and when somebody comes in, and nothing of what was found, chosen, worn or
 * done; of the notes on a visit the front desk's, and an older one that was written by one who may not read the record either.
 * @param unread ids of those who may not read the record
 */
export function listedSummary(
  { personKey: _key, seq: _seq, engine: _engine, urgent: _urgent, findings, ...row }: Summary,
  role: Role,
  today: ClinicDay,
  unread: ReadonlySet<string>,
) {
  const ribbon = shownRibbon(row.ribbon, today);
  const finding = findings.findLast(({ from }) => from <= today)?.found ?? findings[0]?.found ?? null;
  if (may(role, 'record.read')) return { ...row, ribbon, finding, blocked: row.blockedBy !== null };
  return {
    ...row,
    finding: null,
    stage: null,
    blocked: false,
    blockedBy: null,
    size: null,
    closed: row.closed === null ? null : ('other' as const),
    lastDay: null,
    labels: [],
    ribbon: {
      worn: [],
      buckles: ribbon.buckles
        .filter(({ visit }) => visit)
        .map(({ day, planned, note, noteBy, deskNote, kind }): Buckle => ({
          day,
          // for what somebody comes in is told only of a visit that was planned
          kind: planned ? kind : 'V',
          stage: 'review',
          visit: true,
          ...(planned ? { planned } : {}),
          ...(note !== undefined && noteBy !== undefined && unread.has(noteBy) ? { note } : {}),
          ...(deskNote === undefined ? {} : { deskNote }),
        })),
    },
  };
}

function shownRibbon({ worn, buckles }: Ribbon, today: ClinicDay): Ribbon {
  const from = ribbonFrom(today);
  const until = addDays(from, daysShown);
  const isDue = (buckle: Buckle) => staysDue(buckle) || buckle.day >= today;
  const next = buckles.find(isDue);
  return {
    worn: worn.filter((span) => span.from < until && (span.until === undefined || span.until > from)),
    buckles: buckles.filter((buckle) => buckle === next || (buckle.day >= from && buckle.day < until)),
  };
}
