import { object, string } from 'yup';
import { checkKind, common, unlessOff } from '../kind';

/** A goniometer reads no better than this, degrees: less is not narrower. An estimate. */
const readAlike = 5;

/** The joint's angle at a stop, brace tightened: inside the ordered window. The stop is the hinge's angle, not the knee's. */
export const angleAtStop = checkKind(
  object({ ...common, stop: string().oneOf(['extension', 'flexion']).required() }),
  {
    mayNotReach: true,
    judge: ({ stop }, found, { window, stops }) => {
      const limit = window[stop];
      const fitted = stops?.[stop];
      if (limit === undefined && (fitted === undefined || fitted === null))
        return { state: 'not-needed', reason: 'no-stop-ordered' };
      if (found?.notReached) return { state: 'not-reached' };
      if (found?.value === undefined) return { state: 'open' };
      if (limit === undefined) return { state: 'pass' };
      const beyond = stop === 'extension' ? limit - found.value : found.value - limit;
      return beyond < -readAlike ? { state: 'pass', narrower: -beyond } : unlessOff(beyond, 'outside-order');
    },
  },
);
