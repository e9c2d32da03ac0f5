import {
  array,
  boolean,
  lazy,
  mixed,
  number,
  object,
  string,
  tuple,
  type InferType,
  type ObjectSchema,
  type Schema,
} from 'yup';
import { landmarks, type Landmark } from '../../anatomy';
import { finite, name } from '../../brace';

export type ReadingUnit = 'mm' | 'degrees' | 'kg' | 'years' | 'newtons';

export const instruments = [
  'tape',
  'calliper',
  'goniometer',
  'inclinometer',
  'scale',
  'gauge',
  'told',
] as const;
/** What a value was read with; `told` is what the patient says, an age or a shoe size. */
export type Instrument = (typeof instruments)[number];

// a schema of any shape: its own type is taken from it
// eslint-disable-next-line @typescript-eslint/no-explicit-any
export interface MeasuringKind<S extends ObjectSchema<any> = ObjectSchema<any>> {
  /** what a step of this kind states beside its kind */
  states: S;
  /** the unit its values are kept in; none where nothing is read */
  unit: ReadingUnit | undefined;
  /** the instrument it is read with; none where nothing is read */
  instrument: Instrument | undefined;
  /** a number is read, twice and within a tolerance */
  isReading: boolean;
  /** of the whole person, not of a side */
  isOfPerson: boolean;
  /** what makes two steps the same: what is taken, from where and how, not how far; undefined where no two are */
  same: (step: InferType<S>) => string | undefined;
  /** how far from there, of a kind that is read at a distance */
  howFar?: (step: InferType<S>) => number | 'model';
}

/** A kind with the type of what it states. */
export const measuringKind = <
  // eslint-disable-next-line @typescript-eslint/no-explicit-any
  S extends ObjectSchema<any>,
  U extends ReadingUnit | undefined,
  I extends Instrument | undefined,
>(
  kind: MeasuringKind<S> & { unit: U; instrument: I },
) => kind;

export const landmark = () => mixed<Landmark>().oneOf(landmarks).required();

/** A number, or a word in its place; what is no word is held against the number's schema. */
export const orWord = <W extends string, N>(word: W, others: Schema<N>) =>
  lazy((value: unknown) =>
    typeof value === 'string' ? string().oneOf([word]).required() : others,
  ) as unknown as Schema<N | W>;

/** What every step states. */
export const step = {
  /** named by the chart's axes, the record and the wording */
  id: name(),
  /** asked for, but the measuring is done without it */
  optional: boolean().strict(),
  /** taken only when the model's chart has it as an axis */
  onlyAsAxis: boolean().strict(),
  /** the family's practice does not name it: it is this model's own, and says so */
  modelsOwn: boolean().strict(),
};

export const substituteWays = ['lying', 'seated', 'over-dressing', 'other-side', 'as-told'] as const;
export type SubstituteWay = (typeof substituteWays)[number];

const substitute = object({
  how: string().oneOf(substituteWays).required(),
  /** u_B when taken this way, in the step's unit */
  shared: finite().required().min(0),
})
  .noUnknown()
  .default(undefined)
  .optional();
/** Another way to the same reading where the usual one is impossible, with its larger shared part. */
export type Substitute = NonNullable<InferType<typeof substitute>>;

/** What every reading of a number states, in the unit of its kind. */
export const reading = {
  ...step,
  /** two readings further apart ask for a third */
  tolerance: finite().required().positive(),
  /** s_w: deviation of one reading within a person, until the clinic has its own */
  withinPerson: finite().required().positive(),
  /** u_B: what repeats share, from instrument, landmark and posture */
  shared: finite().required().min(0),
  /** what such a reading usually is; beyond it is questioned */
  plausible: tuple([finite().required(), finite().required()]).required(),
  /** one reading is enough (common for what is told or weighed); two otherwise */
  repeats: mixed<1>().oneOf([1] as const),
  /** of stature, what it usually is: an estimate, to question a reading by */
  ofStature: number().strict().positive(),
  substitute,
};

/** What is read from one landmark to another. */
export const fromTo = object({ ...reading, from: landmark(), to: landmark() });

export const mode = () =>
  string()
    .oneOf(['active', 'passive'] as const)
    .required();
export const modes = () => array().of(mode());
