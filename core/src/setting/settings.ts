import { array, object, string } from 'yup';
import { finite, oneOfKinds, optionalCondition, placeSchema, type OneOfKinds } from '../brace';
import { joints } from '../anatomy';

/** When a setting is made: with the brace off, at a step of putting on, after it has settled, each time, or at a review. */
export const settingMoments = [
  'before-donning',
  'at-step',
  'after-settling',
  'each-donning',
  'at-review',
] as const;

const id = () => string().strict().required().min(1).max(80);
const common = {
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
      steps.every(({ fromDay }, i) => i === 0 || fromDay > steps[i - 1]!.fromDay),
    ),
  /** whose work it is: an orthotist's where it says so; air and belts are anybody's */
  by: string().oneOf(['orthotist']),
};
/** The places it is made at, which go alike: medial and lateral, left and right. */
const places = () => array().of(id()).min(1).max(6).required();
/** A step of a dial, a mark, a stroke: whole numbers that exist. */
const counted = {
  least: finite().integer().min(0).max(1000).required(),
  most: finite().integer().min(0).max(1000).required(),
};
const notReversed = ['limits', 'must not have most under least'] as const;

/** What each kind of setting states beside its kind; its wording hangs on its id. */
export const settingKinds = {
  /** a length read off each place, mm: alike within so much */
  length: object({
    ...common,
    places: places(),
    within: finite().min(0).required(),
    least: finite().required(),
    most: finite().required(),
  }).test(...notReversed, ({ least, most }) => !(least > most)),
  /** a printed mark at each place, the same on all: the one the size gives, where it gives one */
  mark: object({ ...common, places: places(), ...counted }).test(
    ...notReversed,
    ({ least, most }) => !(least > most),
  ),
  /** a joint's angle as ordered; what it is where nothing is ordered */
  angle: object({
    ...common,
    joint: string().oneOf(joints).required(),
    unlessOrdered: finite().required(),
    least: finite().required(),
    most: finite().required(),
  }).test(...notReversed, ({ least, most }) => !(least > most)),
  /** strokes of air, until snug */
  fill: object({ ...common, ...counted, everyDays: finite().integer().positive() }).test(
    ...notReversed,
    ({ least, most }) => !(least > most),
  ),
  /** a joint locked at an angle that the hardware has, or open, both of a pair alike; never the nearest */
  lock: object({ ...common, joint: string().oneOf(joints).required(), places: places() }),
  /** so many pieces are in: wedges under a heel, layers of a lift */
  pieces: object({ ...common, ...counted }).test(...notReversed, ({ least, most }) => !(least > most)),
  /** a part that may be in or left out */
  fitted: object({ ...common, part: id() }),
};

/** Something that is set on a brace, and is a fact once it is. */
export type Setting = OneOfKinds<typeof settingKinds>;
export type SettingKind = Setting['kind'];
export const settingSchema = oneOfKinds(settingKinds);

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

/** The one place of a setting that is made once. */
export const onePlace = 'one';

/** The places at which a setting is made. */
export const placesOf = (setting: Setting): readonly string[] =>
  setting.kind === 'length' || setting.kind === 'mark' || setting.kind === 'lock'
    ? setting.places
    : setting.kind === 'fitted'
      ? []
      : [onePlace];

/** How far a number lies outside what exists. */
const outside = (value: number, least: number, most: number): number =>
  Math.max(least - value, value - most, 0);

/**
 * Judges a setting as it was made: every place is there, in what exists, all of them alike, and as wanted.
 * @param setting as the family states it
 * @param made as it was found or set; undefined before that
 * @param wanted what the size or the order wants it to be
 */
export function judgeSetting(
  setting: Setting,
  made: SettingMade | undefined,
  wanted: Wanted | undefined,
): JudgedSetting {
  if (setting.kind === 'fitted') return judgeFitted(made, wanted);
  if (setting.kind === 'lock') return judgeLock(setting, made, wanted);
  const values = placesOf(setting).map((place) => made?.values?.[place] ?? NaN);
  if (!values.every(Number.isFinite)) return { state: 'open' };
  const off = Math.max(...values.map((value) => outside(value, setting.least, setting.most)));
  if (off > 0) return { state: 'wrong', why: 'outside', by: off };
  const spread = Math.max(...values) - Math.min(...values);
  if (spread > (setting.kind === 'length' ? setting.within : 0))
    return { state: 'wrong', why: 'pair-differs', by: spread };
  const apart =
    wanted && wanted !== 'open'
      ? Math.max(...values.map((value) => outside(value, wanted.from, wanted.to)))
      : 0;
  return apart > tolerated[setting.kind]
    ? { state: 'wrong', why: 'not-as-wanted', by: apart }
    : { state: 'right' };
}

/** A part is in or out as it is wanted; where nothing says, as it was found. */
function judgeFitted(made: SettingMade | undefined, wanted: Wanted | undefined): JudgedSetting {
  if (made?.fitted === undefined) return { state: 'open' };
  if (wanted === undefined || wanted === 'open' || (wanted.from === 1) === made.fitted)
    return { state: 'right' };
  return { state: 'wrong', why: made.fitted ? 'should-be-out' : 'should-be-in', by: 1 };
}

/** A lock stands at the ordered angle on both sides, or is open where none is ordered. */
function judgeLock(
  { places: at }: Extract<Setting, { kind: 'lock' }>,
  made: SettingMade | undefined,
  wanted: Wanted | undefined,
): JudgedSetting {
  if (made?.fitted === false)
    return wanted === undefined || wanted === 'open'
      ? { state: 'right' }
      : { state: 'wrong', why: 'not-locked', by: wanted.from };
  const values = at.map((place) => made?.values?.[place] ?? NaN);
  if (!values.every(Number.isFinite)) return { state: 'open' };
  const spread = Math.max(...values) - Math.min(...values);
  if (spread > 0) return { state: 'wrong', why: 'pair-differs', by: spread };
  if (wanted === undefined) return { state: 'right' };
  if (wanted === 'open') return { state: 'wrong', why: 'not-ordered', by: values[0]! };
  const off = outside(values[0]!, wanted.from, wanted.to);
  return off > 0 ? { state: 'wrong', why: 'not-as-wanted', by: off } : { state: 'right' };
}

/** How near a made setting comes to the wanted one; degrees by goniometer, an estimate. */
const tolerated: Record<Exclude<SettingKind, 'fitted' | 'lock'>, number> = {
  length: 0,
  mark: 0,
  angle: 3,
  fill: 0,
  pieces: 0,
};
