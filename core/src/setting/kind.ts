import { rule } from '../faults';
import { array, boolean, lazy, object, string, type InferType, type ObjectSchema, type Schema } from 'yup';
import { finite, oneOfKinds, optionalCondition, optionalPosture, placeSchema, name } from '../brace';
import type { ClinicDay } from '../calendar';
import type { Order } from '../order';
import type { Degrees } from '../quantity';
import type { AxisReading, Chart } from '../sizing';
import type { Arc, StopHardware, StopProblem } from './stops';

/** When a setting is made: with the brace off, at a step of putting on, after it has settled, each time, or at a review. */
export const settingMoments = [
  'before-donning',
  'at-step',
  'after-settling',
  'each-donning',
  'at-review',
] as const;

/** What a move is to come to; its words hang on the setting. */
const goals = {
  /** what the order or the size wants of it */
  wanted: object({}),
  value: object({ value: finite().required() }),
  range: object({ from: finite().required(), to: finite().required() }),
  neutral: object({}),
  'as-supplied': object({}),
  /** until something is observed, by the setting's own words */
  until: object({ observed: name() }),
};

const whatFollows = ['walk', 'ask'] as const;

const moveSchema = object({
  goal: oneOfKinds(goals),
  posture: optionalPosture,
  /** the places one after the other: the upper screw, then the lower */
  order: array().of(name()).max(6),
  /** how much at a time, in the setting's unit; where practice and the maker name none it says so */
  amount: lazy((value) =>
    typeof value === 'string' ? string().oneOf(['not-stated']) : finite().positive(),
  ) as unknown as Schema<number | 'not-stated' | undefined>,
  then: string().oneOf(whatFollows),
})
  .noUnknown()
  .required();

/** What every setting states. */
export const common = {
  id: name(),
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
    .test(...rule('changes-rise'), (changes = []) =>
      // a change that is none is a fault of its own
      changes.every(
        (change: { fromDay?: number } | null, i) =>
          i === 0 || !(Number(change?.fromDay) <= Number((changes[i - 1] as typeof change)?.fromDay)),
      ),
    ),
  /** it may stay unsaid while nothing wants it: a part that came with it, a mark of one's own */
  optional: boolean().strict(),
  /** whose work it is: an orthotist's where it says so; air and belts are anybody's */
  by: string().oneOf(['orthotist']),
  /** how it is made, one move after the other */
  moves: array().of(moveSchema).max(8),
  /** the most that one change may be, and the most in all, in its unit: the maker's or the family's */
  perChange: finite().positive(),
  inAll: finite().positive(),
  /** the patient may change it alone: by so much, not sooner than after so many days, and tells it at the review */
  patient: object({
    within: finite().positive().required(),
    everyDays: finite().integer().positive().required(),
  })
    .noUnknown()
    .default(undefined)
    .optional(),
  /** checks that are answered again once it was made */
  reopens: array().of(name()).max(20),
};

/** How the places along an axis go: the same, opposite to each other, or each for itself. */
export const waysToGo = ['alike', 'opposite', 'differ'] as const;
const axisSchema = object({
  of: array().of(name()).min(1).max(6).required(),
  go: string().oneOf(waysToGo).required(),
  /** how far those that go alike or opposite may be off */
  within: finite().min(0),
})
  .noUnknown()
  .required();
export type PlaceAxis = InferType<typeof axisSchema>;

/** The places it is made at, by axes: medial and lateral alike, upper and lower each for itself. */
export const axes = () => array().of(axisSchema).min(1).max(3).required();

/** The places that axes make: `medial`, or `medial-upper` where there is another axis. */
export const placesAlong = (along: readonly Pick<PlaceAxis, 'of'>[]): string[] =>
  along.reduce<string[]>(
    (made, { of }) =>
      made.length === 0 ? [...of] : made.flatMap((one) => of.map((next) => `${one}-${next}`)),
    [],
  );

/** Numbers that exist: from least to most, by an increment where they are counted so. */
export const limits = {
  least: finite().required(),
  most: finite().required(),
  increment: finite().positive(),
};
/** A detent of a dial, a mark, a stroke: whole numbers that exist. */
export const counted = {
  least: finite().integer().min(0).max(1000).required(),
  most: finite().integer().min(0).max(1000).required(),
};

/** How a setting was made: a number for each of its places (none where no piece is in), or in and out; a lock that is out is open. */
export interface SettingMade {
  values?: Record<string, number | null>;
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
        | 'not-opposite'
        | 'not-as-wanted'
        | 'outside'
        | 'outside-order'
        | 'stops-cross'
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
  /** what the joint reached, if tested; a stop never forces a joint */
  joint?: Arc | undefined;
  /** degrees by which stops stay within the order, where somebody has chosen that */
  buffer?: Degrees | undefined;
}

/** What is chosen for a setting from the order, the size and the hardware; or why nothing can be. */
export type SettingChoice =
  | {
      ok: true;
      made: SettingMade;
      /** the phase of the order it is for */
      phase?: number;
      /** what was ordered, where that is a window */
      ordered?: { extension?: Degrees; flexion?: Degrees };
      /** degrees of it that the hardware cannot give */
      lost: { extension: Degrees; flexion: Degrees };
    }
  | { ok: false; problem: StopProblem };

/** From what a choice is made: what became of it makes the choice stale. */
export type MadeFrom = 'order' | 'motion' | 'readings';

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
  madeFrom: readonly MadeFrom[];
  /** the numbers that the hardware has at a place; undefined where any within its limits */
  existing?: (setting: S, place: string, hardware: StopHardware | undefined) => readonly number[] | undefined;
  /** places at which no piece may be in; every place of it is said then */
  mayBeEmpty?: (place: string) => boolean;
  /** it is on the hinge that the model states */
  onHinge?: true;
  /** it is chosen before it is made: what the hardware cannot give of the order is seen first */
  chosenFirst?: true;
  /** it is changed under an order in force alone: what was made without one is taken and looked at */
  underOrder?: true;
  /** a choice of its own: where it says nothing, what is wanted is chosen when it is one number, open, in or out */
  choose?: (setting: S, by: WantedBy) => SettingChoice | undefined;
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

/** Groups of numbers that differ in their place along one axis alone, as axes make their places. */
function along(axes: readonly PlaceAxis[], at: number, values: readonly number[]): number[][] {
  const inner = axes.slice(at + 1).reduce((product, { of }) => product * of.length, 1);
  const size = axes[at]!.of.length;
  const groups = new Map<string, number[]>();
  values.forEach((value, i) => {
    const key = `${Math.floor(i / (inner * size))} ${i % inner}`;
    groups.set(key, [...(groups.get(key) ?? []), value]);
  });
  return [...groups.values()];
}

/** How far the numbers of a pair are from going as its axes say; undefined when they do. */
export function pairFault(
  axes: readonly PlaceAxis[],
  values: readonly number[],
): { why: 'pair-differs' | 'not-opposite'; by: number } | undefined {
  for (const [at, { go, within = 0 }] of axes.entries()) {
    if (go === 'differ') continue;
    const off = Math.max(
      ...along(axes, at, values).map((group) =>
        go === 'alike'
          ? Math.max(...group) - Math.min(...group)
          : Math.abs(group.reduce((sum, value) => sum + value, 0)),
      ),
    );
    if (off > within) return { why: go === 'alike' ? 'pair-differs' : 'not-opposite', by: off };
  }
  return undefined;
}

/**
 * Judges numbers: every place is there, in what exists, each axis as it goes, and as wanted.
 * @param values at its places in their order
 * @param tolerated how near it comes to the wanted one
 */
export function judgeNumbers(
  values: readonly number[] | undefined,
  {
    least,
    most,
    increment,
    axes = [],
  }: { least: number; most: number; increment?: number | undefined; axes?: PlaceAxis[] },
  wanted: Wanted | undefined,
  tolerated = 0,
): JudgedSetting {
  if (!values) return { state: 'open' };
  const off = Math.max(
    ...values.map((value) =>
      Math.max(outside(value, least, most), betweenIncrements(value - least, increment)),
    ),
  );
  if (off > 0) return { state: 'wrong', why: 'outside', by: off };
  const pair = pairFault(axes, values);
  if (pair) return { state: 'wrong', ...pair };
  const apart =
    wanted && wanted !== 'open'
      ? Math.max(...values.map((value) => outside(value, wanted.from, wanted.to)))
      : 0;
  return apart > tolerated ? { state: 'wrong', why: 'not-as-wanted', by: apart } : { state: 'right' };
}

/** How far a number, counted from the least that exists, lies from the nearest increment; a rounding of the last digits is no distance. */
function betweenIncrements(value: number, increment: number | undefined): number {
  if (increment === undefined) return 0;
  const off = Math.abs(value - Math.round(value / increment) * increment);
  return off < increment * 1e-6 ? 0 : off;
}

/** What is counted once and nothing else wants: strokes of air, wedges, layers of a lift. */
export const countedOnce: SettingRule<{ least: number; most: number }> = {
  places: once,
  whole: true,
  inOrOut: [],
  wanted: nothingWanted,
  judge: (setting, made, wanted) => judgeNumbers(numbersAt(once(), made), setting, wanted),
  madeFrom: [],
};

/** What is in or out, as wanted. */
export const judgeInOrOut = (made: SettingMade | undefined, wanted: Wanted | undefined): JudgedSetting => {
  if (made?.fitted === undefined) return { state: 'open' };
  if (wanted === undefined || wanted === 'open' || (wanted.from === 1) === made.fitted)
    return { state: 'right' };
  return { state: 'wrong', why: made.fitted ? 'should-be-out' : 'should-be-in', by: 1 };
};
