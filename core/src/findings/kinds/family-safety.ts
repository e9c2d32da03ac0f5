import { programmes } from '../../programmes';
import { finding, type FindingRule } from '../finding';

/** The family has a version with a safety change, and the case holds on to one of before: it is moved before anything is signed. */
export const familySafety: FindingRule = ({ state: { programmePin } }) => {
  const since = programmes.find(({ id }) => id === programmePin.id)?.safetySince;
  return since !== undefined && programmePin.version < since
    ? [
        finding('family-safety', 'screen', {
          level: 'today',
          withholds: ['signature', 'plan', 'teach-back'],
          mayBeOverridden: false,
        }),
      ]
    : [];
};
