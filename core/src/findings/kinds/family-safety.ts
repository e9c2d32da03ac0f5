import { isBeforeSafetyChange, programmes } from '../../programmes';
import { finding, type FindingRule } from '../finding';

/**
 * The family has a version with a safety change, and the case holds on to one of before, or to a copy that nobody has held against
 * it: it is moved before anything is signed.
 */
export const familySafety: FindingRule = ({ state: { programmePin, programme } }) => {
  const since = programmes.find(({ id }) => id === programmePin.id)?.safetySince;
  const base = programmes.find(({ id }) => id === programme.base);
  const isCopyBehind = base !== undefined && isBeforeSafetyChange(programme, base);
  return isCopyBehind || (since !== undefined && programmePin.version < since)
    ? [
        finding(isCopyBehind ? 'family-safety-copy' : 'family-safety', 'screen', {
          level: 'today',
          withholds: ['signature', 'plan', 'teach-back'],
          mayBeOverridden: false,
        }),
      ]
    : [];
};
