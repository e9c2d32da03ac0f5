import { object } from 'yup';
import { finite } from '../../brace';
import { common, judgeNumbers, notReversed, nothingWanted, numbersAt, places, settingKind } from '../kind';

/** A length read off each place, mm: alike within so much. */
export const length = settingKind(
  object({
    ...common,
    places: places(),
    within: finite().min(0).required(),
    least: finite().required(),
    most: finite().required(),
  }).test(...notReversed, ({ least, most }) => !(least > most)),
  {
    places: ({ places: at }) => at,
    whole: false,
    inOrOut: [],
    wanted: nothingWanted,
    judge: (setting, made, wanted) =>
      judgeNumbers(numbersAt(setting.places, made), setting, wanted, { within: setting.within }),
  },
);
