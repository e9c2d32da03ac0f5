import type { Joint, Landmark, Plane } from '../anatomy';
import type { Stance } from '../brace';
import type { Degrees, Millimetres } from '../quantity';

interface Step {
  /** named by the chart's axes, the record and the wording */
  id: string;
  /** asked for, but the measuring is done without it */
  optional?: boolean;
  /** taken only when the model's chart has it as an axis */
  onlyAsAxis?: boolean;
  /** the family's practice does not name it: it is this model's own, and says so */
  modelsOwn?: boolean;
}

/** How the patient stands, sits or lies: the named way is confirmed; where none is named it is noted. */
export interface StanceStep extends Step {
  kind: 'stance';
  stance?: Stance;
  /** as right as the named one, where that cannot be */
  others?: readonly Stance[];
}

/**
 * The joint's angle, read with the goniometer: put at a target, at what the order says of it, or, where none is
 * named, relaxed near the middle of its motion and noted.
 */
export interface PostureStep extends Step {
  kind: 'posture';
  joint: Joint;
  target?: Degrees | 'as-ordered';
  tolerance: Degrees;
}

/** A landmark is felt and marked on the skin; later steps work from the mark. */
export interface MarkStep extends Step {
  kind: 'mark';
  landmark: Landmark;
}

/** A joint's motion in one plane, neutral zero, inside the ordered window only. */
export interface MotionStep extends Step {
  kind: 'motion';
  joint: Joint;
  plane: Plane;
  modes: readonly ('active' | 'passive')[];
  /** modes in which it may be tested as well */
  mayAlso?: readonly ('active' | 'passive')[];
}

/** Another way to the same reading where the usual one is impossible, with its larger shared part. */
export interface Substitute {
  how: SubstituteWay;
  /** u_B when taken this way, in the step's unit */
  shared: number;
}
export const substituteWays = ['lying', 'seated', 'over-dressing', 'other-side', 'as-told'] as const;
export type SubstituteWay = (typeof substituteWays)[number];

/** What every reading of a number states. Unit: mm, degrees, kg or years by the step's kind. */
interface Reading extends Step {
  /** two readings further apart ask for a third */
  tolerance: number;
  /** s_w: deviation of one reading within a person, until the clinic has its own */
  withinPerson: number;
  /** u_B: what repeats share, from instrument, landmark and posture */
  shared: number;
  /** what such a reading usually is; beyond it is questioned */
  plausible: readonly [number, number];
  /** one reading is enough (common for what is told or weighed); two otherwise */
  repeats?: 1;
  /** of stature, what it usually is: an estimate, to question a reading by */
  ofStature?: number;
  substitute?: Substitute;
}

/** The tape goes round at a distance along the limb from a mark. */
export interface GirthStep extends Reading {
  kind: 'girth';
  from: Landmark;
  /** proximal positive */
  distance: Millimetres;
  /** the face of the limb along which the distance is laid off, where it matters */
  along?: 'medial';
}

/** Straight along the limb (distance), along the body's curve (curve), or plumb (height). */
export interface LengthStep extends Reading {
  kind: 'distance' | 'curve' | 'height';
  from: Landmark;
  to: Landmark;
}

/** Calliper across a place. */
export interface WidthStep extends Reading {
  kind: 'width';
  at: Landmark;
  across: 'mediolateral' | 'anteroposterior';
}

/** The inclinometer laid on the back at a share of the way along the spine; leaning forward positive. */
export interface InclinationStep extends Reading {
  kind: 'inclination';
  from: Landmark;
  to: Landmark;
  /** 0 at `from`, 1 at `to` */
  at: number;
}

/** Of the whole person: weight in kg, age in years, stature in mm, the foot's length in mm (ISO 9407). */
export interface PersonStep extends Reading {
  kind: 'mass' | 'age' | 'stature' | 'shoe';
}

export type ReadingStep = GirthStep | LengthStep | WidthStep | InclinationStep | PersonStep;
export type MeasuringStep = StanceStep | PostureStep | MarkStep | MotionStep | ReadingStep;

/** A step as a programme states it: a distance may be left to the model. */
export type ProtocolStep =
  Exclude<MeasuringStep, GirthStep> | (Omit<GirthStep, 'distance'> & { distance: Millimetres | 'model' });

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
