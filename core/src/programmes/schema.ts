import { array, boolean, lazy, mixed, number, object, string, type ObjectShape } from 'yup';
import { optionalCondition, partSchema, stances } from '../brace';
import { checkSchema } from '../checking';
import { sequenceSchema } from '../strapping';
import { joints, landmarks, planes, regionNames, type Landmark } from '../anatomy';
import { substituteWays, type ProtocolStep } from '../measuring';
import { findings, type Finding } from '../screening';
import { heightNames } from '../order';
import { hardwareKinds, settingSchema, statedSchema } from '../setting';
import type { BraceModel } from './model';
import { orderedThings, type FamilyWords, type Programme } from './programme';
import { stages } from '../record';
import { followedSchema } from '../reviewing';
import { barMaterials, keepOuts, operationSchema } from '../shaping';
import { betweenRules, disagreeRules, type Chart } from '../sizing';
import { wearLinesSchema } from '../wearing';

/** A schema for every field of a type, and for none that it does not have: a field that is missing here does not compile. */
type Fields<T> = { [K in keyof Required<T>]: unknown };

const name = () => string().strict().required().min(1).max(80);
const finite = () =>
  number()
    .strict()
    .required()
    .test('finite', 'must be a finite number', (value) => Number.isFinite(value));
const optionalFinite = () =>
  number()
    .strict()
    .test('finite', 'must be a finite number', (value) => value === undefined || Number.isFinite(value));
const span = () => object({ from: finite(), to: finite() }).strict().noUnknown();
const landmark = () => mixed<Landmark>().oneOf(landmarks).required();
const one = (values: readonly string[]) => string().oneOf(values).required();
const optional = {
  optional: boolean().strict(),
  onlyAsAxis: boolean().strict(),
  modelsOwn: boolean().strict(),
};
const modes = () => array().of(one(['active', 'passive']));

const reading = {
  ...optional,
  tolerance: finite().positive(),
  withinPerson: finite().positive(),
  shared: finite().min(0),
  plausible: array().of(finite()).length(2).required(),
  repeats: number().oneOf([1]),
  ofStature: number().strict().positive(),
  substitute: object({ how: one(substituteWays), shared: finite().min(0) })
    .noUnknown()
    .default(undefined),
};

/** What each kind of step states beside its kind and its id. */
const stepShapes = {
  stance: {
    ...optional,
    stance: string().oneOf(stances),
    others: array().of(one(stances)),
  },
  posture: {
    ...optional,
    joint: one(joints),
    target: lazy((value) => (typeof value === 'string' ? string().oneOf(['as-ordered']) : optionalFinite())),
    tolerance: finite().positive(),
  },
  mark: { ...optional, landmark: landmark() },
  motion: {
    ...optional,
    joint: one(joints),
    plane: one(planes),
    modes: modes().min(1).required(),
    mayAlso: modes(),
  },
  girth: {
    ...reading,
    from: landmark(),
    distance: lazy((value) => (value === 'model' ? string().required() : finite())),
    along: string().oneOf(['medial']),
  },
  distance: { ...reading, from: landmark(), to: landmark() },
  curve: { ...reading, from: landmark(), to: landmark() },
  height: { ...reading, from: landmark(), to: landmark() },
  width: { ...reading, at: landmark(), across: one(['mediolateral', 'anteroposterior']) },
  inclination: { ...reading, from: landmark(), to: landmark(), at: finite().min(0).max(1) },
  mass: reading,
  age: reading,
  stature: reading,
  shoe: reading,
} satisfies {
  [K in ProtocolStep['kind']]: Fields<Omit<Extract<ProtocolStep, { kind: K }>, 'kind' | 'id'>>;
};

const protocolStep = lazy((step: { kind?: unknown } | undefined) => {
  const kinds = Object.keys(stepShapes);
  const shape = stepShapes[step?.kind as ProtocolStep['kind']] as ObjectShape | undefined;
  return shape
    ? object({ kind: one(kinds), id: name(), ...shape }).noUnknown()
    : object({ kind: one(kinds) });
});

const said = () => string().strict().max(400);
/** Words by id: any id, but for each the same fields. */
const wordsById = (shape: ObjectShape) =>
  lazy((value: object | undefined) =>
    object(
      Object.fromEntries(Object.keys(value ?? {}).map((id) => [id, object(shape).noUnknown().required()])),
    ).default(undefined),
  );
const saidById = lazy((value: object | undefined) =>
  object(Object.fromEntries(Object.keys(value ?? {}).map((id) => [id, said().required()]))).default(
    undefined,
  ),
);
const stepWords = wordsById({
  name: said().required(),
  hold: said().defined(),
  caution: said(),
  look: said(),
  wrong: said(),
});
const words = object({
  lists: saidById,
  injuries: saidById,
  parts: saidById,
  care: saidById,
  wear: saidById,
  notNeeded: saidById,
  settings: wordsById({
    name: said().required(),
    how: said().defined(),
    caution: said(),
    places: saidById,
    unit: said(),
    in: said(),
    out: said(),
    observed: saidById,
  }),
  steps: stepWords,
  operations: wordsById({
    name: said().required(),
    how: said().defined(),
    caution: said(),
    first: said(),
    ways: saidById,
  }),
  checks: wordsById({
    name: said().required(),
    how: said(),
    fix: said().defined(),
    yes: said(),
    no: said(),
    minus: said(),
    value: said(),
    reference: said(),
  }),
} satisfies Fields<FamilyWords>)
  .noUnknown()
  .default(undefined);

/** Ids of a list that may be none, and whose members may be no objects: each is a fault of its own. */
const idsIn = (list: unknown): string[] =>
  Array.isArray(list)
    ? list.flatMap((one: { id?: unknown } | null) => (typeof one?.id === 'string' ? one.id : []))
    : [];

/** What a list names, by itself or as a step. */
const namesIn = (list: unknown): string[] =>
  Array.isArray(list)
    ? list.flatMap((one: string | { step?: unknown } | null) => {
        const named = typeof one === 'string' ? one : one?.step;
        return typeof named === 'string' ? [named] : [];
      })
    : [];

/** What the lists, settings and reviews of a programme name and it does not have: settings, checks, work, lists, measuring steps. */
function namedAndMissing({
  settings,
  checks,
  sequences,
  operations,
  measuring,
  followed,
}: {
  measuring?: unknown;
  followed?: Partial<Record<'motions' | 'readings' | 'settings' | 'growth', unknown>> | null;
  settings?: unknown;
  checks?: unknown;
  sequences?: unknown;
  operations?: unknown;
}): string[] {
  const has = {
    setting: idsIn(settings),
    check: idsIn(checks),
    until: idsIn(checks),
    list: idsIn(sequences),
    // where it says nothing of its work, uprights are bent and pads placed
    operation: operations === undefined ? ['bend-uprights', 'place-pads'] : idsIn(operations),
  };
  const steps = (Array.isArray(sequences) ? sequences : []).flatMap((list: { steps?: unknown } | null) =>
    Array.isArray(list?.steps) ? (list.steps as unknown[]) : [],
  );
  const reopened = (Array.isArray(settings) ? settings : []).flatMap((one: { reopens?: unknown } | null) =>
    Array.isArray(one?.reopens) ? (one.reopens as unknown[]) : [],
  );
  return [
    ...steps.flatMap((step) =>
      Object.entries(has).flatMap(([field, ids]) => {
        const named = (step as Record<string, unknown> | null)?.[field];
        return typeof named === 'string' && !ids.includes(named) ? [named] : [];
      }),
    ),
    ...reopened.filter((id): id is string => typeof id === 'string' && !has.check.includes(id)),
    ...namesIn(followed?.motions).filter((id) => !idsIn(measuring).includes(id)),
    ...namesIn(followed?.readings).filter((id) => !idsIn(measuring).includes(id)),
    ...namesIn(followed?.growth).filter((id) => !idsIn(measuring).includes(id)),
    ...namesIn(followed?.settings).filter((id) => !has.setting.includes(id)),
  ];
}

/** A brace family as data, whoever wrote it: field by field what its type says. */
export const programmeSchema = object({
  id: name(),
  version: finite().integer().positive(),
  title: string().strict().min(3).max(80),
  base: string().strict().max(80),
  words,
  region: one(regionNames),
  joint: string().oneOf(joints),
  ordered: array().of(string().oneOf(orderedThings).required()),
  injuries: array().of(name()).max(40),
  hinge: string().oneOf(['behind-midline', 'on-midline']),
  donning: number().strict().min(0).max(120),
  jointCentre: array()
    .of(
      object({
        angle: finite().min(-180).max(180),
        forward: finite().min(-100).max(100),
        proximal: finite().min(-100).max(100),
      })
        .noUnknown()
        .required(),
    )
    .min(1)
    .max(40)
    .test('rising', 'must have angles that rise', (path = []) =>
      path.every(
        (point: { angle?: number } | null, i) =>
          i === 0 || !(Number(point?.angle) <= Number((path[i - 1] as typeof point)?.angle)),
      ),
    ),
  findings: array()
    .of(
      mixed<Finding>()
        .oneOf(Object.keys(findings) as Finding[])
        .required(),
    )
    .min(1)
    .required(),
  limbs: string().oneOf(['before-and-after']),
  measuring: array().of(protocolStep).required(),
  axes: array().of(name()).required(),
  between: string().oneOf(betweenRules),
  disagree: string().oneOf(disagreeRules),
  settings: array().of(settingSchema).max(40).required(),
  operations: array().of(operationSchema).max(40),
  notNeeded: array().of(
    object({ stage: string().oneOf(stages).required(), when: optionalCondition })
      .noUnknown()
      .required(),
  ),
  care: array().of(name()).max(20),
  followed: followedSchema,
  wear: wearLinesSchema,
  parts: array().of(partSchema).max(80).required(),
  sequences: array().of(sequenceSchema).max(20).required(),
  checks: array().of(checkSchema).max(60).required(),
} satisfies Fields<Programme>)
  .strict()
  .noUnknown()
  .required()
  .test('names', 'names what it does not have', (programme, { createError }) => {
    const missing = namedAndMissing(programme ?? {});
    return (
      missing.length === 0 || createError({ message: `names what it does not have: ${missing.join(', ')}` })
    );
  });

/** A size chart as data; a two-way table has a cell for every row and column. */
const chartSchema = object({
  version: finite().integer().positive(),
  sizes: array().of(name()).min(1).max(40).required(),
  axes: array()
    .of(
      object({
        reading: name(),
        resolution: finite().min(0),
        bands: array()
          .of(object({ size: name(), from: finite(), to: finite() }).noUnknown())
          .min(1)
          .max(60)
          .required(),
      }).noUnknown(),
    )
    .max(6)
    .required(),
  between: one(betweenRules),
  disagree: one(disagreeRules),
  table: array().of(array().of(string().strict().defined().max(80)).required()),
  supply: string().oneOf(['stock', 'both', 'made-to-measure']),
  heights: array().of(
    object({
      height: one(heightNames),
      reading: string().strict().max(80),
      from: number().strict(),
      to: number().strict(),
    }).noUnknown(),
  ),
  belt: object({
    overlap: finite().min(0),
    backPanel: finite().positive(),
    marks: object({
      first: finite(),
      spacing: finite().positive(),
      count: finite().integer().positive(),
    }).noUnknown(),
  })
    .noUnknown()
    .default(undefined),
  sideExtension: object({ upTo: finite().positive() }).noUnknown().default(undefined),
} satisfies Fields<Chart>)
  .noUnknown()
  .test('universal', 'a chart without axes comes in one size', (chart) => {
    const { axes, sizes } = (chart ?? {}) as { axes?: unknown; sizes?: unknown };
    return !Array.isArray(axes) || axes.length > 0 || (Array.isArray(sizes) && sizes.length === 1);
  })
  .test(
    'table-fits',
    'a table needs two axes, a row for each band of the first and a cell for each of the second',
    (chart) => {
      const { table, axes } = (chart ?? {}) as { table?: unknown; axes?: unknown };
      if (table === undefined) return true;
      const bandsAt = (at: number): number =>
        Array.isArray(axes) && Array.isArray((axes[at] as { bands?: unknown } | null)?.bands)
          ? (axes[at] as { bands: unknown[] }).bands.length
          : 0;
      return (
        Array.isArray(table) &&
        Array.isArray(axes) &&
        axes.length === 2 &&
        table.length === bandsAt(0) &&
        table.every((row) => Array.isArray(row) && row.length === bandsAt(1))
      );
    },
  );

/** A brace model as data. */
export const modelSchema = object({
  id: name(),
  version: finite().integer().positive(),
  name: name(),
  maker: name(),
  programme: name(),
  invented: boolean().required(),
  sided: boolean().strict(),
  variant: string().strict().min(1).max(80),
  distances: lazy((value: object | undefined) =>
    object(Object.fromEntries(Object.keys(value ?? {}).map((key) => [key, finite()]))).required(),
  ),
  chart: chartSchema,
  hinge: object({
    extension: array().of(finite()).min(1).required(),
    flexion: array().of(finite()).required(),
    kind: string().oneOf(hardwareKinds),
    lock: array().of(finite()),
    installed: object({ extension: optionalFinite(), flexion: optionalFinite() })
      .noUnknown()
      .default(undefined),
    gives: optionalFinite().positive().max(20),
  })
    .noUnknown()
    .default(undefined),
  frame: object({
    bendable: boolean().required(),
    hingeZone: finite().min(0),
    // a bar that stands on its mark reaches one way alone
    reach: object({ proximal: finite().positive(), distal: finite().min(0) }).noUnknown(),
    increment: finite().positive(),
    total: finite().positive(),
    bar: object({
      material: string().oneOf(barMaterials).required(),
      thickness: finite().positive().max(20).required(),
      width: finite().positive().max(80).required(),
      spread: finite().positive().max(300).required(),
      jaw: finite().positive().max(100).required(),
      yields: optionalFinite().positive().max(3000),
      modulus: optionalFinite().positive().max(500_000),
      keepOut: array().of(
        object({
          from: finite().required(),
          to: finite().required(),
          why: string().oneOf(keepOuts).required(),
        })
          .noUnknown()
          .required(),
      ),
      unbent: array().of(name()).max(20),
      supplied: lazy((value: object | undefined) =>
        object(
          Object.fromEntries(
            Object.keys(value ?? {}).map((key) => [
              key,
              array()
                .of(object({ at: finite().required(), out: finite().required() }).noUnknown().required())
                .min(2)
                .max(80)
                .required(),
            ]),
          ),
        ).default(undefined),
      ),
    })
      .noUnknown()
      .default(undefined),
  })
    .noUnknown()
    .default(undefined),
  plastics: lazy((value: object | undefined) =>
    object(
      Object.fromEntries(
        Object.keys(value ?? {}).map((key) => [
          key,
          object({
            waits: finite().positive().max(120).required(),
            formsAbove: finite().positive().max(300).required(),
          })
            .noUnknown()
            .required(),
        ]),
      ),
    ).default(undefined),
  ),
  settings: statedSchema,
  parts: array().of(partSchema).max(80).required(),
  tolerances: lazy((value: object | undefined) =>
    object(Object.fromEntries(Object.keys(value ?? {}).map((key) => [key, span()]))).required(),
  ),
  sequences: array().of(sequenceSchema).max(20),
  words: object({
    lists: saidById,
    steps: stepWords,
  })
    .noUnknown()
    .default(undefined),
  wear: object({
    firstDay: finite().positive(),
    grow: finite().min(0),
    everyDays: finite().integer().positive(),
    ceiling: finite().positive(),
  })
    .noUnknown()
    .default(undefined),
} satisfies Fields<BraceModel>)
  .strict()
  .noUnknown()
  .required();
