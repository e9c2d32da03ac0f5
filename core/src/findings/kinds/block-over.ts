import { finding, type FindingRule } from '../finding';

/** A sign that a nerve block accounted for, after the block's last day: it is new until it has been asked for again. */
export const blockOver: FindingRule = ({ state, day }) =>
  state.screening.qualifying.flatMap(({ finding: sign, known, entry }) =>
    known?.until !== undefined && known.until < day
      ? [
          finding('block-over', 'screen', {
            about: sign,
            level: 'today',
            day: known.until,
            entries: [entry],
            withholds: ['donning', 'signature', 'plan', 'teach-back'],
            mayBeOverridden: false,
          }),
        ]
      : [],
  );
