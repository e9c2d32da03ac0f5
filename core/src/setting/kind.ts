import { array, object, string, type InferType, type ObjectSchema } from 'yup';
import { finite, optionalCondition, placeSchema } from '../brace';
import type { ClinicDay } from '../calendar';
import type { Order } from '../order';
import type { AxisReading, Chart } from '../sizing';
import type { StopHardware } from './stops';

/** When a setting is made: with the brace off, at a step of putting on, after it has settled, each time, or at a review. */
export const settingMoments = [
  'before-donning',
  'at-step',
  'after-settling',
  'each-donning',
  'at-review',
] as const;

const id = () => string().strict().required().min(1).max(80);

/** What every setting states. */
export const common = {
  id: id(),
  /** the parts it is made on */
  parts: array().of(string().strict().required()),
  /** where it is seen on the figure */
  at: placeSchema.optional().default(undefined),
  made: string().oneOf(settingMoments).required(),
  /** only where this holds */
  when: optionalCondition,
  /** what it is from a day after day zero on: pieces that go out by and by; 1 and 0 of a part are in and out */
  schedule: array()
    .of(
      object({ fromDay: finite().integer().min(0).max(3650).required(), value: finite().required() })
        .noUnknown()
        .required(),
    )
    .max(20)
    .test('rising', 'must have days that rise', (steps = []) =>
      // a step that is none is a fault of its own
      steps.every(
        (step: { fromDay?: number } | null, i) =>
          i === 0 || !(Number(step?.fromDay) <= Number((steps[i - 1] as typeof step)?.fromDay)),
      ),
    ),
  /** whose work it is: an orthotist's where it says so; air and belts are anybody's */
  by: string().oneOf(['orthotist']),
};
/** The places it is made at, which go alike: medial and lateral, left and right. */
export const places = () => array().of(id()).min(1).max(6).required();
/** A step of a dial, a mark, a stroke: whole numbers that exist. */
export const counted = {
  least: finite().integer().min(0).max(1000).required(),
  most: finite().integer().min(0).max(1000).required(),
};
export const named = id;
export const notReversed = ['limits', 'must not have most under least'] as const;

/** How a setting was made: a number for each of its places, or in and out; a lock that is out is open. */
export interface SettingMade {
  values?: Record<string, number>;
  fitted?: boolean;
}

/** What the size or the order wants a setting to be, both ends included: mm, a mark, degrees; a lock may be wanted open. */
export type Wanted = { from: number; to: number } | 'open';

export type JudgedSetting =
  | { state: 'open' | 'right' }
  | {
      state: 'wrong';
      why:
        | 'pair-differs'
        | 'not-as-wanted'
        | 'outside'
        | 'not-locked'
        | 'not-ordered'
        | 'should-be-in'
        | 'should-be-out';
      /** how far off, in the setting's own unit */
      by: number;
    };

/** What is asked to say what a setting should be. */
export interface WantedBy {
  day: ClinicDay;
  order: Order | undefined;
  chart: Chart;
  readings: Readonly<Record<string, AxisReading | undefined>>;
  hardware: StopHardware | undefined;
}

/** What a kind of setting does: its schema beside it, one file a kind. */
export interface SettingRule<S> {
  /** the places it is made at, each with a number; none for what is in or out */
  places: (setting: S) => readonly string[];
  /** its numbers are whole */
  whole: boolean;
  /** besides numbers, or in their place, it may be said to be in (true) or out (false) */
  inOrOut: readonly boolean[];
  /** what the size or the order wants of it; undefined where nothing says */
  wanted: (setting: S, by: WantedBy) => Wanted | undefined;
  judge: (setting: S, made: SettingMade | undefined, wanted: Wanted | undefined) => JudgedSetting;
}

// a schema of any shape: its own type is taken from it
// eslint-disable-next-line @typescript-eslint/no-explicit-any
export const settingKind = <S extends ObjectSchema<any>>(states: S, rule: SettingRule<InferType<S>>) => ({
  states,
  rule,
});

/** The one place of a setting that is made once. */
export const onePlace = 'one';
export const once = () => [onePlace] as const;
export const nothingWanted = () => undefined;

/** How far a number lies outside what exists. */
export const outside = (value: number, least: number, most: number): number =>
  Math.max(least - value, value - most, 0);

/** The number at each of its places; undefined while one of them is not there. */
export function numbersAt(at: readonly string[], made: SettingMade | undefined): number[] | undefined {
  const values = at.map((place) => made?.values?.[place] ?? NaN);
  return values.every(Number.isFinite) ? values : undefined;
}

/**
 * Judges numbers: every place is there, in what exists, all of them alike, and as wanted.
 * @param within how far those of a pair may differ
 * @param tolerated how near it comes to the wanted one
 */
export function judgeNumbers(
  values: readonly number[] | undefined,
  { least, most }: { least: number; most: number },
  wanted: Wanted | undefined,
  { within = 0, tolerated = 0 }: { within?: number; tolerated?: number } = {},
): JudgedSetting {
  if (!values) return { state: 'open' };
  const off = Math.max(...values.map((value) => outside(value, least, most)));
  if (off > 0) return { state: 'wrong', why: 'outside', by: off };
  const spread = Math.max(...values) - Math.min(...values);
  if (spread > within) return { state: 'wrong', why: 'pair-differs', by: spread };
  const apart =
    wanted && wanted !== 'open'
      ? Math.max(...values.map((value) => outside(value, wanted.from, wanted.to)))
      : 0;
  return apart > tolerated ? { state: 'wrong', why: 'not-as-wanted', by: apart } : { state: 'right' };
}

/** What is counted once and nothing else wants: strokes of air, wedges, layers of a lift. */
export const countedOnce: SettingRule<{ least: number; most: number }> = {
  places: once,
  whole: true,
  inOrOut: [],
  wanted: nothingWanted,
  judge: (setting, made, wanted) => judgeNumbers(numbersAt(once(), made), setting, wanted),
};
