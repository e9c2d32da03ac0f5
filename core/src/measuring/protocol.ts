import { array, boolean, lazy, mixed, object, string, number, tuple, type InferType, type Schema } from 'yup';
import { joints, landmarks, planes, type Landmark } from '../anatomy';
import { finite, oneOfKinds, stances, name } from '../brace';
import type { Millimetres } from '../quantity';

const landmark = () => mixed<Landmark>().oneOf(landmarks).required();
const mode = () =>
  string()
    .oneOf(['active', 'passive'] as const)
    .required();
const modes = () => array().of(mode());
/** A number, or a word in its place; what is no word is held against the number's schema. */
const orWord = <W extends string, N>(word: W, others: Schema<N>) =>
  lazy((value: unknown) =>
    typeof value === 'string' ? string().oneOf([word]).required() : others,
  ) as unknown as Schema<N | W>;

const step = {
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

/** What every reading of a number states. Unit: mm, degrees, kg or years by the step's kind. */
const reading = {
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
const fromTo = object({ ...reading, from: landmark(), to: landmark() });
const ofPerson = object(reading);

/** What each kind of step states beside its kind. */
const stepKinds = {
  /** how the patient stands, sits or lies: the named way is confirmed; where none is named it is noted */
  stance: object({
    ...step,
    stance: string().oneOf(stances),
    /** as right as the named one, where that cannot be */
    others: array().of(string().oneOf(stances).required()),
  }),
  /**
   * the joint's angle, read with the goniometer: put at a target, at what the order says of it, or, where none is named,
   * relaxed near the middle of its motion and noted
   */
  posture: object({
    ...step,
    joint: string().oneOf(joints).required(),
    target: orWord('as-ordered', finite()),
    tolerance: finite().required().positive(),
  }),
  /** a landmark is felt and marked on the skin; later steps work from the mark */
  mark: object({ ...step, landmark: landmark() }),
  /** a joint's motion in one plane, neutral zero, inside the ordered window only */
  motion: object({
    ...step,
    joint: string().oneOf(joints).required(),
    plane: string().oneOf(planes).required(),
    modes: modes().min(1).required(),
    /** modes in which it may be tested as well */
    mayAlso: modes(),
    /** injuries with which it is not moved passively unless the order says so */
    notWith: array().of(name()).max(10),
  }),
  /** the tape goes round at a distance along the limb from a mark */
  girth: object({
    ...reading,
    from: landmark(),
    /** mm, proximal positive; or left to the model */
    distance: orWord('model', finite().required()),
    /** the face of the limb along which the distance is laid off, where it matters */
    along: string().oneOf(['medial'] as const),
  }),
  /** straight along the limb */
  distance: fromTo,
  /** along the body's curve */
  curve: fromTo,
  /** plumb */
  height: fromTo,
  /** calliper across a place */
  width: object({
    ...reading,
    at: landmark(),
    across: string()
      .oneOf(['mediolateral', 'anteroposterior'] as const)
      .required(),
  }),
  /** the inclinometer laid on the back at a share of the way along the spine; leaning forward positive */
  inclination: object({
    ...reading,
    from: landmark(),
    to: landmark(),
    /** 0 at `from`, 1 at `to` */
    at: finite().required().min(0).max(1),
  }),
  /** of the whole person: weight in kg, age in years, stature in mm, the foot's length in mm (ISO 9407) */
  mass: ofPerson,
  age: ofPerson,
  stature: ofPerson,
  shoe: ofPerson,
};

/** A step of measuring as a programme states it, whoever wrote it. */
export const stepSchema = oneOfKinds(stepKinds);
/** A step as a programme states it: a distance may be left to the model. */
export type ProtocolStep = InferType<typeof stepSchema>;

type StepOf<K extends ProtocolStep['kind']> = Extract<ProtocolStep, { kind: K }>;
export type StanceStep = StepOf<'stance'>;
export type PostureStep = StepOf<'posture'>;
export type MarkStep = StepOf<'mark'>;
export type MotionStep = StepOf<'motion'>;

/** Whether an injury forbids moving the joint passively for a test; the order's own words go before it. */
export const isNotMoved = (step: MotionStep | undefined, injuries: readonly { code: string }[]): boolean =>
  step?.notWith?.some((code) => injuries.some((injury) => injury.code === code)) === true;
export type GirthStep = Omit<StepOf<'girth'>, 'distance'> & { distance: Millimetres };
export type LengthStep = StepOf<'distance' | 'curve' | 'height'>;
export type WidthStep = StepOf<'width'>;
export type InclinationStep = StepOf<'inclination'>;
export type PersonStep = StepOf<'mass' | 'age' | 'stature' | 'shoe'>;

export type ReadingStep = GirthStep | LengthStep | WidthStep | InclinationStep | PersonStep;
/** A step as it is taken: every distance is known. */
export type MeasuringStep = StanceStep | PostureStep | MarkStep | MotionStep | ReadingStep;

export const readingKinds = [
  'girth',
  'distance',
  'curve',
  'height',
  'width',
  'inclination',
  'mass',
  'age',
  'stature',
  'shoe',
] as const satisfies readonly ReadingStep['kind'][];

export const isReading = (step: MeasuringStep): step is ReadingStep =>
  (readingKinds as readonly string[]).includes(step.kind);

/** What is read once for the whole person, not for a side. */
const ofThePerson: readonly MeasuringStep['kind'][] = ['mass', 'age', 'stature', 'stance'];
export const isOfPerson = (step: MeasuringStep): boolean => ofThePerson.includes(step.kind);

export type ReadingUnit = 'mm' | 'degrees' | 'kg' | 'years' | 'newtons';

/** The unit a step's values are kept in. */
export function unitOf(step: Pick<MeasuringStep, 'kind'>): ReadingUnit {
  switch (step.kind) {
    case 'mass':
      return 'kg';
    case 'age':
      return 'years';
    case 'posture':
    case 'motion':
    case 'inclination':
      return 'degrees';
    default:
      return 'mm';
  }
}

/** What no body and no joint goes beyond, in each unit: a reading outside is refused, not asked about. */
const bodyBounds: Record<ReadingUnit, { least: number; most: number }> = {
  mm: { least: 1, most: 3000 },
  degrees: { least: -180, most: 180 },
  kg: { least: 0.2, most: 500 },
  years: { least: 0, most: 130 },
  newtons: { least: 0, most: 1000 },
};

/** From where to where a step's value may go, in its unit. */
export const readingBounds = (step: Pick<MeasuringStep, 'kind'>): { least: number; most: number } =>
  bodyBounds[unitOf(step)];

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

/** The instrument a step is read with. */
export function instrumentOf(step: Pick<MeasuringStep, 'kind'>): Instrument {
  switch (step.kind) {
    case 'width':
    case 'height':
      return 'calliper';
    case 'inclination':
      return 'inclinometer';
    case 'posture':
    case 'motion':
      return 'goniometer';
    case 'mass':
      return 'scale';
    case 'age':
    case 'shoe':
      return 'told';
    default:
      return 'tape';
  }
}

/** What makes two steps the same protocol for a clinic's own repeatability: how and from where, not how far. */
export function protocolOf(step: ReadingStep): string {
  switch (step.kind) {
    case 'girth':
      return `girth ${step.from}`;
    case 'distance':
    case 'curve':
    case 'height':
      return `${step.kind} ${step.from} ${step.to}`;
    case 'width':
      return `width ${step.at} ${step.across}`;
    case 'inclination':
      return `inclination ${step.from} ${step.to}`;
    default:
      return step.kind;
  }
}

/**
 * The steps with the model's own distances filled in. What need not be read and has no distance is left out.
 * @param distances of the model, by step
 * @returns the steps, or the ids of those whose distance the model does not give
 */
export function resolveSteps(
  steps: readonly ProtocolStep[],
  distances: Readonly<Record<string, Millimetres>>,
): { ok: true; steps: MeasuringStep[] } | { ok: false; missing: string[] } {
  const missing: string[] = [];
  const resolved = steps.flatMap((step): MeasuringStep[] => {
    if (step.kind !== 'girth') return [step];
    const distance = step.distance === 'model' ? distances[step.id] : step.distance;
    if (distance !== undefined) return [{ ...step, distance }];
    if (!step.optional) missing.push(step.id);
    return [];
  });
  return missing.length > 0 ? { ok: false, missing } : { ok: true, steps: resolved };
}
