import { boolean, object, string } from 'yup';
import { finite, notReversed } from '../../brace';
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

/** What a turn does to the limb, as a family or its model states it. */
export const turnEffects = [
  'relieves-medial',
  'relieves-lateral',
  'pad-inward',
  'pad-outward',
  'presses',
  'eases',
] as const;

/**
 * A correction by screws, a wheel or a dial, counted from neutral or from what it was supplied with: turns as seen facing the
 * head, detents, degrees. Which way relieves what is the model's statement per variant, never mirrored.
 */
export const correction = settingKind(
  object({
    ...common,
    axes: axes(),
    unit: string().oneOf(['turns', 'detents', 'degrees', 'mm']).required(),
    origin: string().oneOf(['neutral', 'as-supplied']).required(),
    ...limits,
    /** the most that the first change from its origin may be; after that `perChange` holds, and none stated is asked for */
    firstChange: finite().positive(),
    /** what turning it does, facing the head */
    ways: object({
      clockwise: string().oneOf(turnEffects).required(),
      anticlockwise: string().oneOf(turnEffects).required(),
    })
      .noUnknown()
      .default(undefined)
      .optional(),
    /** a change needs somebody to walk and say how it feels */
    felt: boolean().strict(),
    /** where three-point forces act, if the model states it */
    forces: object({ upper: finite().positive(), lower: finite().positive(), padArea: finite().positive() })
      .noUnknown()
      .default(undefined)
      .optional(),
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
