import { object, string, type InferType } from 'yup';
import { byId } from '../brace';

const said = () => string().strict().max(400);
const saidById = byId(said().required());

/** What lists are called, by their ids. */
export const listWords = saidById;
/** What a step says: what is done, how; a caution; what is looked at after it; what goes wrong, and what then. */
export const stepWords = byId(
  object({
    name: said().required(),
    hold: said().defined(),
    caution: said(),
    /** what is looked at after it, or after each of its parts */
    look: said(),
    /** what goes wrong, and what then */
    wrong: said(),
  })
    .noUnknown()
    .required(),
);

/** What a family says of its lists, steps and checks, each by its id. In a clinic's own programme it travels with it. */
export const familyWords = object({
  /** why there is nothing to do in a stage, by the stage */
  notNeeded: saidById,
  lists: listWords,
  /** how it is cared for, where that is its own */
  care: saidById,
  /** how it is worn */
  wear: saidById,
  /** what its parts are called */
  parts: saidById,
  /** injuries that are this clinic's own codes */
  injuries: saidById,
  settings: byId(
    object({
      name: said().required(),
      how: said().defined(),
      caution: said(),
      places: saidById,
      unit: said(),
      /** what in and out are called, where that is its own */
      in: said(),
      out: said(),
      /** what is observed, by its id, in `until …` */
      observed: saidById,
    })
      .noUnknown()
      .required(),
  ),
  steps: stepWords,
  operations: byId(
    object({
      name: said().required(),
      how: said().defined(),
      caution: said(),
      /** what has to be so before it is begun */
      first: said(),
      ways: saidById,
    })
      .noUnknown()
      .required(),
  ),
  checks: byId(
    object({
      name: said().required(),
      how: said(),
      /** what mends it */
      fix: said().defined(),
      /** the trade's words for yes and no */
      yes: said(),
      no: said(),
      /** a number under zero, with {{amount}} in it */
      minus: said(),
      /** what its number is of, and what the other one is of */
      value: said(),
      reference: said(),
    })
      .noUnknown()
      .required(),
  ),
})
  .noUnknown()
  .default(undefined)
  .optional();
export type FamilyWords = NonNullable<InferType<typeof familyWords>>;
