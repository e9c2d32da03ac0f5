import { boolean, object } from 'yup';
import { name } from '../../brace';
import { common, judgeInOrOut, settingKind } from '../kind';

/** A part that may be in or left out; one that must be in says so, and one by which it is seen that the brace is for this side. */
export const fitted = settingKind(
  object({ ...common, part: name(), must: boolean().strict(), tellsSide: boolean().strict() }),
  {
    places: () => [],
    whole: false,
    inOrOut: [true, false],
    wanted: ({ must }) => (must ? { from: 1, to: 1 } : undefined),
    judge: (_, made, wanted) => judgeInOrOut(made, wanted),
    madeFrom: [],
  },
);
