import { object } from 'yup';
import { common, named, nothingWanted, settingKind } from '../kind';

/** A part that may be in or left out. */
export const fitted = settingKind(object({ ...common, part: named() }), {
  places: () => [],
  whole: false,
  inOrOut: [true, false],
  wanted: nothingWanted,
  judge: (_, made, wanted) => {
    if (made?.fitted === undefined) return { state: 'open' };
    if (wanted === undefined || wanted === 'open' || (wanted.from === 1) === made.fitted)
      return { state: 'right' };
    return { state: 'wrong', why: made.fitted ? 'should-be-out' : 'should-be-in', by: 1 };
  },
});
