import { object, string } from 'yup';
import { name } from '../../brace';
import { orderedOn, panelNames } from '../../order';
import { common, judgeInOrOut, settingKind } from '../kind';

/** A panel that is in when it is ordered, and out when the order names others. */
export const panel = settingKind(
  object({ ...common, part: name(), panel: string().oneOf(panelNames).required() }),
  {
    places: () => [],
    whole: false,
    inOrOut: [true, false],
    wanted: (setting, { order, day }) => {
      const panels = order && orderedOn(order, day).panels;
      if (panels === undefined) return undefined;
      const is = panels.includes(setting.panel) ? 1 : 0;
      return { from: is, to: is };
    },
    judge: (_, made, wanted) => judgeInOrOut(made, wanted),
    madeFrom: ['order'],
  },
);
