import { finding, type FindingRule } from '../finding';
import { reviewBy } from '../review-by';

/** A review that a rule asks for by a day: nobody has planned it, or the day has gone. */
export const reviewDue: FindingRule = ({ state, day, born }) => {
  const due = reviewBy(state, born);
  if (!due) return [];
  const isPlanned = state.visits.some(
    (visit) => !visit.kept && visit.purpose === 'review' && visit.day >= day && visit.day <= due.day,
  );
  return isPlanned
    ? []
    : [
        finding('review-due', due.why === 'skin' || due.why === 'growing' ? 'review' : 'wear', {
          about: due.why,
          level: day > due.day ? 'today' : 'by-date',
          day: due.day,
          entries: due.entries,
          withholds: [],
        }),
      ];
};
