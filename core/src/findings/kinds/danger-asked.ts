import { finding, type FindingRule } from '../finding';

/** A review of this day at which nobody has asked for the danger signs. */
export const dangerNotAsked: FindingRule = ({ state: { reviewing, screening }, day }) => {
  const visit = reviewing.visits.at(-1);
  const isAsked = screening.dangerAsked !== undefined && screening.dangerAsked.day >= day;
  return visit?.found && visit.day === day && !isAsked
    ? [
        finding('danger-not-asked', 'review', {
          level: 'today',
          day,
          entries: visit.entry === undefined ? [] : [visit.entry],
          withholds: ['signature', 'plan'],
        }),
      ]
    : [];
};
