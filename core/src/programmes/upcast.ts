import type { ProgrammeCheck } from '../checking';
import type { Joint } from '../anatomy';
import type { Setting } from '../setting';
import type { Operation } from '../shaping';
import type { Sequence, SequenceStep } from '../strapping';
import { kneePad, kneeStrap, partOfStrap, rigidFrame } from './knee-ligament-frame';
import type { BraceModel } from './model';
import type { Programme } from './programme';
import type { Stage } from '../record';

/*
 * Programmes and models that cases were opened with before a family's parts, lists and checks were data of this form. They
 * stay as they are under their hash; read, they have today's form. Only one family had straps then, a frame on the knee.
 */

interface OldStep {
  id: string;
  kind: 'prepare' | 'don' | 'strap' | 'press' | 'settle';
  strap?: number;
  knee?: number;
  minutes?: number;
}

/** A pair was places that go alike, and stops were the family's own, apart from what is set. */
type PlacedSetting = Omit<Setting, 'axes'> & { places?: string[]; within?: number };
interface StopsApart {
  stops?: { leastExtension: number; always?: boolean; made: 'before-donning' };
}
/** What was not needed was not needed whatever the case. */
type NotNeeded = string | NonNullable<Programme['notNeeded']>[number];

interface PlacedProgramme extends Omit<Programme, 'settings' | 'notNeeded'>, StopsApart {
  settings: PlacedSetting[];
  notNeeded?: NotNeeded[];
}
/** A motion that is followed was its measuring step alone. */
type FollowedMotion = string | NonNullable<Programme['followed']>['motions'][number];

interface OldProgramme
  extends Omit<PlacedProgramme, 'parts' | 'settings' | 'sequences' | 'checks'>, StopsApart {
  sequence: OldStep[];
  checks: { kind: string; id: string }[];
}

interface OldModel extends Omit<BraceModel, 'parts'> {
  pads: {
    id: string;
    from: number;
    to: number;
    face: 'front' | 'back' | 'medial' | 'lateral';
    splits: boolean;
  }[];
  straps: { strap: number; level: number; face: 'front' | 'back' }[];
}

const isOldProgramme = (body: Programme | PlacedProgramme | OldProgramme): body is OldProgramme =>
  !('sequences' in body);
const isOldModel = (body: BraceModel | OldModel): body is OldModel => !('parts' in body);

function stepNow({ id, kind, strap, knee, minutes }: OldStep, joint: Joint | undefined): SequenceStep {
  const posture = knee === undefined || joint === undefined ? {} : { posture: { joints: { [joint]: knee } } };
  switch (kind) {
    case 'strap':
      return { kind: 'strap', id, part: partOfStrap(strap!), ...posture };
    case 'settle':
      return { kind: 'settle', id, how: 'walk', minutes: minutes!, ...posture };
    default:
      return { kind: 'act', id, on: 'brace', ...posture };
  }
}

/** Settings at axes, the hinges' stops the first of them; what is not needed by its stage. */
function withAxes({ stops, settings, notNeeded, ...rest }: PlacedProgramme): Programme {
  const atStop = rest.checks.filter(({ kind }) => kind === 'angle-at-stop');
  const hinges: Setting[] =
    stops && rest.joint
      ? [
          {
            kind: 'stops',
            id: 'hinge-stops',
            by: 'orthotist',
            joint: rest.joint,
            axes: [{ of: ['medial', 'lateral'], go: 'alike' }],
            ...stops,
            reopens: atStop.map(({ id }) => id),
          },
        ]
      : [];
  return {
    ...rest,
    ...(notNeeded
      ? {
          notNeeded: notNeeded.map((one) => (typeof one === 'string' ? { stage: one as Stage } : one)),
        }
      : {}),
    settings: [
      ...hinges,
      ...settings.map(({ places, within, ...setting }) =>
        places === undefined
          ? (setting as Setting)
          : ({
              ...setting,
              axes: [{ of: places, go: 'alike', ...(within === undefined ? {} : { within }) }],
            } as Setting),
      ),
    ],
  };
}

/** Motions that are followed, each with what is said of it. */
function withMotions(programme: Programme): Programme {
  const motions = programme.followed?.motions as FollowedMotion[] | undefined;
  return motions?.some((one) => typeof one === 'string')
    ? {
        ...programme,
        followed: {
          ...programme.followed!,
          motions: motions.map((one) => (typeof one === 'string' ? { step: one } : one)),
        },
      }
    : programme;
}

interface Stepped {
  step?: number;
  unit?: string;
}
/** Numbers of a setting as they are called now: what lies between two that exist was a step, as were the detents of a dial. */
export const withIncrement = <T extends object>(numbers: T): T => {
  const { step, ...rest } = numbers as Stepped;
  return {
    ...rest,
    ...(rest.unit === 'steps' ? { unit: 'detents' } : {}),
    ...(step === undefined ? {} : { increment: step }),
  } as T;
};
const isStepped = (numbers: object): boolean => 'step' in numbers || (numbers as Stepped).unit === 'steps';

/** Settings that count by increments. */
const withIncrements = (programme: Programme): Programme =>
  programme.settings.some(isStepped)
    ? { ...programme, settings: programme.settings.map(withIncrement) }
    : programme;

/** Straps of a pair were known by the side at the end of their ids. */
function withPairs(programme: Programme): Programme {
  const pairsIn = (parts: readonly string[]) =>
    parts.flatMap((one) => {
      const other = one.replace(/-right$/, '-left');
      return other !== one && parts.includes(other) ? [{ of: [one, other] }] : [];
    });
  const isFormer = (one: Operation) =>
    one.kind === 'cut' && one.pairs === undefined && pairsIn(one.parts ?? []).length > 0;
  return programme.operations?.some(isFormer)
    ? {
        ...programme,
        operations: programme.operations.map((one) =>
          isFormer(one) ? { ...one, pairs: pairsIn(one.parts!) } : one,
        ),
      }
    : programme;
}

/** Checks of whether the limb is safe, before a check said that it is one, and before one said what is done about it. */
const limbSafetyBefore: Record<string, Partial<ProgrammeCheck>> = {
  'fibular-neck-clear': { limbSafety: true, cures: [] },
  'toes-warm-moving-felt': { limbSafety: true },
};

const withLimbSafety = (programme: Programme): Programme =>
  programme.checks.some(isFormerSafety)
    ? {
        ...programme,
        checks: programme.checks.map((check) =>
          isFormerSafety(check) ? ({ ...limbSafetyBefore[check.id], ...check } as ProgrammeCheck) : check,
        ),
      }
    : programme;
const isFormerSafety = ({ kind, id, limbSafety }: ProgrammeCheck): boolean =>
  kind === 'seen' && limbSafety === undefined && id in limbSafetyBefore;

/** A programme as it was registered, in today's form. */
export const currentProgramme = (body: Programme | PlacedProgramme | OldProgramme): Programme =>
  withLimbSafety(withPairs(withIncrements(withMotions(inNouns(body)))));

/** A programme with parts, settings, lists and checks. */
function inNouns(body: Programme | PlacedProgramme | OldProgramme): Programme {
  if (!isOldProgramme(body))
    return 'stops' in body ||
      body.settings.some((setting) => 'places' in setting) ||
      body.notNeeded?.some((one: NotNeeded) => typeof one === 'string')
      ? withAxes(body as PlacedProgramme)
      : (body as Programme);
  const { sequence, checks, ...rest } = body;
  const settle = sequence.find(({ kind }) => kind === 'settle');
  const list: Sequence = {
    id: 'putting-on',
    purpose: 'first-donning',
    people: ['orthotist'],
    steps: sequence.map((step) => stepNow(step, rest.joint)),
    ...(settle ? { passes: [{ after: settle.id }] } : {}),
  };
  return withAxes({
    ...rest,
    settings: [],
    parts: sequence.length === 0 ? [] : rigidFrame.parts,
    sequences: sequence.length === 0 ? [] : [list],
    // where a check lies on the limb was the screen's own knowledge then
    checks: checks.map(
      (check) => ({ ...rigidFrame.checks.find(({ id }) => id === check.id), ...check }) as ProgrammeCheck,
    ),
  });
}

/** A chart's side extension was called as an end of motion is; what lies between a belt's marks was a step. */
type FormerChart = Omit<BraceModel['chart'], 'belt'> & {
  extension?: BraceModel['chart']['sideExtension'];
  belt?: { marks: { step?: number } };
};
type ModelChart = BraceModel['chart'];

function chartNow({ extension, belt, ...chart }: FormerChart): ModelChart {
  const { step, ...marks } = belt?.marks ?? {};
  return {
    ...chart,
    ...(extension ? { sideExtension: extension } : {}),
    ...(belt
      ? { belt: { ...belt, marks: { ...marks, ...(step === undefined ? {} : { spacing: step }) } } }
      : {}),
  } as ModelChart;
}

/** A model as it was registered, in today's form. */
export function currentModel(body: BraceModel | OldModel): BraceModel {
  const model = withParts(body);
  const chart = model.chart as FormerChart;
  const stated = Object.entries(model.settings ?? {});
  const isFormer =
    'extension' in chart ||
    (chart.belt && 'step' in chart.belt.marks) ||
    stated.some(([, numbers]) => isStepped(numbers));
  return isFormer
    ? {
        ...model,
        chart: chartNow(chart),
        ...(model.settings
          ? { settings: Object.fromEntries(stated.map(([id, numbers]) => [id, withIncrement(numbers)])) }
          : {}),
      }
    : model;
}

/** A model with its pads and straps among its parts. */
function withParts(body: BraceModel | OldModel): BraceModel {
  if (!isOldModel(body)) return body;
  const { pads, straps, ...rest } = body;
  return {
    ...rest,
    parts: [
      ...pads.map(({ id, from, to, face, splits }) => kneePad(id, from, to, face, splits)),
      ...straps.map(({ strap, level, face }) => kneeStrap(strap, level, face)),
    ],
  };
}
