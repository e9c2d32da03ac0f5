import { array, boolean, object, string, type InferType } from 'yup';
import { allById, byId, finite, partSchema, type Part, name } from '../brace';
import type { FitCheck } from '../checking';
import { isMeasured, readingBounds, resolveSteps, type MeasuringStep } from '../measuring';
import { frameSchema, plasticSchema, type Operation } from '../shaping';
import {
  hardwareSchema,
  isOnHinge,
  statedSchema,
  stopsSettingOf,
  withStated,
  type Setting,
} from '../setting';
import { partsOfStep, sequenceSchema, type Sequence } from '../strapping';
import { bandFaults, chartSchema, type BandFault, type Chart } from '../sizing';
import { listWords, stepWords } from './family-words';
import type { Programme } from './programme';

/** What one maker's model adds to its family: distances, chart, pieces, limits, places. */
export const modelSchema = object({
  id: name(),
  version: finite().required().integer().positive(),
  name: name(),
  maker: name(),
  /** the family it belongs to */
  programme: name(),
  /** its numbers are invented, or nobody has confirmed yet that they are the maker's: it says so */
  invented: boolean().required(),
  /** whether left and right are two braces; either side where it is not said */
  sided: boolean().strict(),
  /** which of a family's variants it is: bow-leg or knock-knee, low or tall */
  variant: string().strict().min(1).max(80),
  /** mm, by measuring step */
  distances: allById(finite().required()),
  chart: chartSchema,
  hinge: hardwareSchema,
  frame: frameSchema,
  /** of the plastic that an operation heats, by the operation's id */
  plastics: byId(plasticSchema),
  /** of the family's settings, by id, what this model states in its place: range, steps, what a turn does, force lines */
  settings: statedSchema,
  /** its own parts, in place of the family's of the same id or beside them */
  parts: array().of(partSchema).max(80).required(),
  /** mm, by check */
  tolerances: allById(
    object({ from: finite().required(), to: finite().required() }).strict().noUnknown().required(),
  ),
  /** lists of the maker's own, entered by the clinic from the leaflet; beside the family's, or in place of one of the same id */
  sequences: array().of(sequenceSchema).max(20),
  /** what its own lists and steps say */
  words: object({ lists: listWords, steps: stepWords }).noUnknown().default(undefined).optional(),
  /** how wearing grows by this maker, minutes; absent: it is asked for where it is planned */
  wear: object({
    firstDay: finite().required().positive(),
    grow: finite().required().min(0),
    everyDays: finite().required().integer().positive(),
    ceiling: finite().required().positive(),
  })
    .noUnknown()
    .default(undefined)
    .optional(),
})
  .strict()
  .noUnknown()
  .required();
export type BraceModel = InferType<typeof modelSchema>;

export type ModelProblem =
  | { problem: 'no-distance'; step: string }
  | { problem: 'foreign-axis'; reading: string }
  | { problem: 'no-tolerance'; check: string }
  | { problem: 'no-part'; part: string }
  | { problem: 'no-setting'; setting: string }
  | { problem: 'no-check'; check: string }
  | { problem: 'no-words'; step: string }
  | { problem: 'no-hinge' };

/** Uprights bent, pads placed: what every programme with uprights had before it stated its work. */
const usualWork: Operation[] = [
  { kind: 'pad', id: 'place-pads', asked: true },
  { kind: 'bend', id: 'bend-uprights', parts: ['upright-medial', 'upright-lateral'], off: true },
];

/** The work on the brace that a family knows of. */
export const operationsOf = ({
  operations,
  parts,
}: Pick<Programme, 'operations' | 'parts'>): readonly Operation[] =>
  operations ??
  (parts.some(({ id }) => id === 'upright-medial' || id === 'upright-lateral') ? usualWork : []);

/** What a model leaves out that its programme asks of it. Empty when it can be used. */
export function modelProblems(model: BraceModel, programme: Programme): ModelProblem[] {
  const isAxis = (id: string) => model.chart.axes.some(({ reading }) => reading === id);
  const needed = programme.measuring.map((step) => (isAxis(step.id) ? { ...step, optional: false } : step));
  const resolved = resolveSteps(needed, model.distances);
  return [
    ...(resolved.ok ? [] : resolved.missing.map((step) => ({ problem: 'no-distance' as const, step }))),
    ...model.chart.axes
      .filter(({ reading }) => !programme.axes.includes(reading))
      .map(({ reading }) => ({ problem: 'foreign-axis' as const, reading })),
    ...programme.checks
      .filter((check) => check.kind === 'distance' && check.tolerance && !model.tolerances[check.id])
      .map(({ id }) => ({ problem: 'no-tolerance' as const, check: id })),
    ...listProblems(model, programme),
    ...partsNamed({ ...programme, sequences: sequencesOf(programme, model) })
      .filter((id) => !partsOf(programme, model).some((part) => part.id === id))
      .map((part) => ({ problem: 'no-part' as const, part })),
    ...withStated(programme.settings, model.settings).wrong.map((setting) => ({
      problem: 'no-setting' as const,
      setting,
    })),
    // stops that are fitted on order alone are none of a model without a hinge for them
    ...(stopsSettingOf(programme) && stopsSettingOf(programme)!.when === undefined && !model.hinge
      ? [{ problem: 'no-hinge' as const }]
      : []),
  ];
}

/** What the lists of a model name and the family does not have, and what of them says nothing. */
const listProblems = ({ sequences = [], words }: BraceModel, programme: Programme): ModelProblem[] => {
  const has = (all: readonly { id: string }[], id: string) => all.some((one) => one.id === id);
  return sequences.flatMap(({ id: list, steps }) => [
    ...(words?.lists?.[list] ? [] : [{ problem: 'no-words' as const, step: list }]),
    ...steps.flatMap((step): ModelProblem[] => [
      ...(words?.steps?.[step.id] ? [] : [{ problem: 'no-words' as const, step: step.id }]),
      ...(step.kind === 'set' && !has(programme.settings, step.setting)
        ? [{ problem: 'no-setting' as const, setting: step.setting }]
        : []),
      ...(step.kind === 'check' && !has(programme.checks, step.check)
        ? [{ problem: 'no-check' as const, check: step.check }]
        : []),
    ]),
  ]);
};

/** The lists by which a brace goes on and comes off: the family's, each replaced by the model's of the same id, and its own. */
const sequencesOf = (programme: Programme, { sequences = [] }: Pick<BraceModel, 'sequences'>): Sequence[] => [
  ...programme.sequences.map((list) => sequences.find(({ id }) => id === list.id) ?? list),
  ...sequences.filter(({ id }) => !programme.sequences.some((list) => list.id === id)),
];

/** Every part that a family's lists and checks name. */
const partsNamed = ({ sequences, checks }: Programme): string[] => [
  ...new Set([
    ...sequences.flatMap(({ steps }) => steps.flatMap(partsOfStep)),
    ...checks.flatMap(({ parts = [] }) => parts),
  ]),
];

/** The parts of a brace: the family's, each replaced by the model's of the same id, and the model's own. */
export const partsOf = (programme: Programme, model: BraceModel): Part[] => [
  ...programme.parts.map((part) => model.parts.find(({ id }) => id === part.id) ?? part),
  ...model.parts.filter(({ id }) => !programme.parts.some((part) => part.id === id)),
];

/**
 * A family as a model has it: its settings with what the model states of them, its lists beside the model's own; what is
 * fitted on order alone is none of a model without a hinge for it.
 */
export function programmeOf(
  programme: Programme,
  { settings, hinge, sequences, words }: Pick<BraceModel, 'settings' | 'hinge' | 'sequences' | 'words'>,
): Programme {
  const listed = sequences?.length
    ? {
        ...programme,
        sequences: sequencesOf(programme, { sequences }),
        words: {
          ...programme.words,
          lists: { ...programme.words?.lists, ...words?.lists },
          steps: { ...programme.words?.steps, ...words?.steps },
        },
      }
    : programme;
  const has = (setting: Setting) => hinge !== undefined || !isOnHinge(setting) || setting.when === undefined;
  return settings || !programme.settings.every(has)
    ? { ...listed, settings: withStated(programme.settings, settings).settings.filter(has) }
    : listed;
}

/**
 * The measuring steps of a family with a model's distances: what its chart asks for is not optional, what
 * only another model's chart asks for is left out. A model with problems gives none.
 */
export function stepsOf(programme: Programme, model: BraceModel): MeasuringStep[] {
  const resolved = resolveSteps(programme.measuring, model.distances);
  if (!resolved.ok) return [];
  const { axes, heights = [] } = model.chart;
  const isAxis = (id: string) => axes.some(({ reading }) => reading === id);
  const isWanted = (id: string) => isAxis(id) || heights.some(({ reading }) => reading === id);
  return resolved.steps
    .filter(({ id, onlyAsAxis }) => !onlyAsAxis || isWanted(id))
    .map((step) => (step.optional && isAxis(step.id) ? { ...step, optional: false } : step));
}

/** The chart with the programme's own rules, where it has any, in place of the maker's. */
export const chartOf = ({ between, disagree }: Programme, { chart }: BraceModel): Chart => ({
  ...chart,
  ...(between ? { between } : {}),
  ...(disagree ? { disagree } : {}),
});

/** The checks of a family with a model's tolerances. */
export function checksOf(programme: Programme, model: BraceModel): FitCheck[] {
  return programme.checks.flatMap((check): FitCheck[] => {
    if (check.kind !== 'distance') return [check];
    const { tolerance, from, to, ...rest } = check;
    const limits = tolerance ? model.tolerances[check.id] : { from: from!, to: to! };
    return limits ? [{ ...rest, ...limits }] : [];
  });
}

/** The bands of a model's chart that no body can have, by what its family's readings usually are. */
export const chartBandFaults = (chart: Pick<Chart, 'axes'>, { measuring }: Programme): BandFault[] => {
  const stepOf = (reading: string) => measuring.find(({ id }) => id === reading);
  return bandFaults(
    chart,
    (reading) => {
      const step = stepOf(reading);
      return step && 'plausible' in step ? step.plausible : undefined;
    },
    (reading) => {
      const step = stepOf(reading);
      return isMeasured(step) ? readingBounds(step) : undefined;
    },
  );
};
