import { object } from 'yup';
import { notReversed } from '../../brace';
import {
  axes,
  common,
  judgeNumbers,
  limits,
  nothingWanted,
  numbersAt,
  placesAlong,
  settingKind,
} from '../kind';

/** A length read off each place, mm: of a pair alike within so much. */
export const length = settingKind(
  object({
    ...common,
    axes: axes(),
    ...limits,
  }).test(...notReversed),
  {
    places: ({ axes: along }) => placesAlong(along),
    whole: false,
    inOrOut: [],
    wanted: nothingWanted,
    judge: (setting, made, wanted) =>
      judgeNumbers(numbersAt(placesAlong(setting.axes), made), setting, wanted),
    madeFrom: [],
  },
);
