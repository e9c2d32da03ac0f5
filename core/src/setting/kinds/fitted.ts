import { object } from 'yup';
import { common, judgeInOrOut, named, nothingWanted, settingKind } from '../kind';

/** A part that may be in or left out. */
export const fitted = settingKind(object({ ...common, part: named() }), {
  places: () => [],
  whole: false,
  inOrOut: [true, false],
  wanted: nothingWanted,
  judge: (_, made, wanted) => judgeInOrOut(made, wanted),
  madeFrom: [],
});
