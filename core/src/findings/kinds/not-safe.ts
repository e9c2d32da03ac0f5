import { finding, type FindingRule } from '../finding';

/** A check by which the limb is not safe and that is mended where it is found: nobody is called, and nothing goes on before it is. */
export const notSafe: FindingRule = ({ state: { checking }, dayOf }) =>
  checking.unsafe
    .filter(({ calls }) => !calls)
    .map(({ check, entry }) =>
      finding('limb-not-safe', 'check', {
        about: check,
        thing: check,
        level: 'today',
        day: dayOf(entry),
        entries: [entry],
        withholds: ['signature', 'plan', 'teach-back'],
        mayBeOverridden: false,
      }),
    );
