import { object, string } from 'yup';
import { checkKind, common, unlessOff } from '../kind';

/** The mark that is read on the part now is the one that was set. */
export const mark = checkKind(object({ ...common, setting: string().strict().required() }), {
  judge: ({ setting }, found, { marks }) => {
    const set = marks?.[setting];
    return found?.value === undefined || set === undefined
      ? { state: 'open' }
      : unlessOff(Math.abs(found.value - set), 'not-at-mark');
  },
});
