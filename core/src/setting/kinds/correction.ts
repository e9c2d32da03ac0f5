import { object, string } from 'yup';
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

/**
 * A correction by screws, a wheel or a dial, counted from neutral or from what it was supplied with: turns as seen facing the
 * head, steps, degrees. Which way relieves what is the model's statement per variant, never mirrored.
 */
export const correction = settingKind(
  object({
    ...common,
    axes: axes(),
    unit: string().oneOf(['turns', 'steps', 'degrees']).required(),
    origin: string().oneOf(['neutral', 'as-supplied']).required(),
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
