import { object } from 'yup';
import { finite, notReversed, name } from '../../brace';
import { axes, common, judgeNumbers, limits, numbersAt, placesAlong, settingKind } from '../kind';

/** A length read off each place, mm: of a pair alike within so much. */
export const length = settingKind(
  object({
    ...common,
    axes: axes(),
    ...limits,
    /** what it follows from a reading, as the model states it: so many times the reading, and so much more */
    from: object({ reading: name(), times: finite().positive(), plus: finite() })
      .noUnknown()
      .default(undefined)
      .optional(),
    /** how near it comes to that */
    near: finite().min(0),
  }).test(...notReversed),
  {
    places: ({ axes: along }) => placesAlong(along),
    whole: false,
    inOrOut: [],
    wanted: ({ from }, { readings }) => {
      const reading = from && readings[from.reading];
      if (!reading) return undefined;
      const at = Math.round(reading.mean * (from.times ?? 1) + (from.plus ?? 0));
      return { from: at, to: at };
    },
    judge: (setting, made, wanted) =>
      judgeNumbers(numbersAt(placesAlong(setting.axes), made), setting, wanted, setting.near),
    madeFrom: ['readings'],
  },
);
