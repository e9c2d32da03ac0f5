import { object } from 'yup';
import { notReversed } from '../../brace';
import { beltEnds } from '../../sizing';
import { axes, common, counted, judgeNumbers, numbersAt, placesAlong, settingKind } from '../kind';

/** A printed mark at each place, the same on all: the one the size gives, where it gives one. */
export const mark = settingKind(object({ ...common, axes: axes(), ...counted }).test(...notReversed), {
  places: ({ axes: along }) => placesAlong(along),
  whole: true,
  inOrOut: [],
  wanted: (_, { chart, readings }) => {
    const reading = readings[chart.axes[0]?.reading ?? ''];
    if (!chart.belt || !reading) return undefined;
    const ends = beltEnds(reading.mean, chart.belt);
    return { from: ends.mark, to: ends.mark };
  },
  judge: (setting, made, wanted) => judgeNumbers(numbersAt(placesAlong(setting.axes), made), setting, wanted),
  madeFrom: ['readings'],
});
