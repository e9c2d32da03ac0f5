import { fault, rule } from '../faults';
import { array, mixed, number, object, string, type InferType } from 'yup';
import { joints, regionNames } from '../anatomy';
import { finite, optionalCondition, partSchema, name } from '../brace';
import { checkSchema } from '../checking';
import { stepSchema } from '../measuring';
import { stages } from '../record';
import { followedSchema } from '../reviewing';
import { findings, formerFindingNames, type Finding } from '../screening';
import { pathSchema, settingSchema } from '../setting';
import { operationSchema } from '../shaping';
import { betweenRules, disagreeRules } from '../sizing';
import { sequenceSchema } from '../strapping';
import { wearLinesSchema } from '../wearing';
import { familyWords } from './family-words';

/** What an order may say that a brace carries out. */
export const orderedThings = [
  'motion',
  'lock',
  'relieve',
  'angle',
  'panels',
  'posture',
  'roll',
  'weight',
] as const;
export type OrderedThing = (typeof orderedThings)[number];

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

/**
 * A brace family as data, whoever wrote it: what is looked at, read, set, shaped, strapped, checked and worn, in the order of
 * the work. The engines read it; none of them knows a family by name. What a family leaves out (stops, a sequence, checks)
 * Estribo does not cover for it, and says so.
 */
export const programmeSchema = object({
  id: name(),
  version: finite().required().integer().positive(),
  /** the version since which it is safer to fit: an open case of one before is moved before anything is signed */
  safetySince: finite().integer().positive(),
  /** of a clinic's own programme; those that ship have their title in the message file */
  title: string().strict().min(3).max(80),
  /** of a clinic's own programme: the family it was copied from, whose models it takes */
  base: string().strict().max(80),
  /** of a clinic's own programme: the version of that family it was copied from, or looked at against last */
  baseVersion: finite().integer().positive(),
  /** of a clinic's own programme: what its lists, steps and checks say */
  words: familyWords,
  /** which part of the body; the region says whether there are two sides of it */
  region: string().oneOf(regionNames).required(),
  /** the joint whose motion the order limits, if any */
  joint: string().oneOf(joints),
  /** what of an order it carries out, and is asked for first; its joint's motion where that is limited */
  ordered: array().of(string().oneOf(orderedThings).required()),
  /** the injuries it is ordered for most, asked for first; codes of its own have their words with it */
  injuries: array().of(name()).max(40),
  /** where the school of this family puts the hinge against the side midline */
  hinge: string().oneOf(['behind-midline', 'on-midline'] as const),
  /** the knee's angle while donning, degrees */
  donning: number().strict().min(0).max(120),
  /** where the joint's centre is by its angle, as the clinic states it; else it stands still where it is estimated */
  jointCentre: pathSchema,
  /** what qualifies a fitting here; the danger signs are asked whatever stands here */
  findings: array()
    .of(
      mixed<Finding>()
        .oneOf([...findings, ...(formerFindingNames as Finding[])])
        .required(),
    )
    .min(1)
    .required(),
  /** how it is opened where somebody has to be resuscitated in it; where it says nothing, it comes off */
  resuscitation: string().oneOf(['front-lifted-off', 'front-shell-off', 'front-opened'] as const),
  /** movement and sensation in arms and legs are noted before it goes on and after it is on */
  limbs: string().oneOf(['before-and-after'] as const),
  measuring: array().of(stepSchema).required(),
  /** readings that a chart of this family may use, the primary one first; none where it comes in one size */
  axes: array().of(name()).required(),
  /** the family's or the clinic's own rules, in place of the chart's */
  between: string().oneOf(betweenRules),
  disagree: string().oneOf(disagreeRules),
  /** what is set on it: stops, locks, lengths, corrections, parts that may be left out */
  settings: array().of(settingSchema).max(40).required(),
  /** work on the brace itself that practice knows of it; where it says nothing, uprights are bent and pads placed */
  operations: array().of(operationSchema).max(40),
  /** stages in which this family has nothing to do, or has it only in some cases; its words say why */
  notNeeded: array().of(
    object({ stage: string().oneOf(stages).required(), when: optionalCondition })
      .noUnknown()
      .required(),
  ),
  /** how it is cared for, line by line; where it says nothing, as pads, liners and hinges are */
  care: array().of(name()).max(20),
  /** what reviews follow; where it says nothing, what was measured */
  followed: followedSchema,
  /** how it is worn, line by line; the order and the model's numbers stand beside it */
  wear: wearLinesSchema,
  /** the parts every brace of this family has, where they usually lie; a model states its own in their place */
  parts: array().of(partSchema).max(80).required(),
  /** how it goes on and comes off */
  sequences: array().of(sequenceSchema).max(20).required(),
  checks: array().of(checkSchema).max(60).required(),
})
  .strict()
  .noUnknown()
  .required()
  .test(...rule('names-nothing'), (programme, { createError }) => {
    const missing = namedAndMissing(programme ?? {});
    const { message, params } = fault('', 'names-nothing', { words: missing.join(', ') });
    return missing.length === 0 || createError({ message, params: { ...params } });
  });
export type Programme = InferType<typeof programmeSchema>;
