import { name } from './by-id';
import { array, boolean, object, string } from 'yup';
import { faces } from '../anatomy';
import { oneOfKinds, type OneOfKinds } from './union';
import { optionalCondition } from './condition';
import { finite, levelSchema, longest, placeSchema } from './place';

/** what stands printed on it, on the brace and in the work */
const mark = () => string().strict().max(12);
/** What every part states; one with a condition is on the brace only where that holds. */
const common = () => ({ id: name(), mark: mark(), when: optionalCondition });
const face = () => string().oneOf(faces).required();
const course = () => array().of(placeSchema).min(2).max(12).required();

/** What goes round some faces between two levels. */
const round = () =>
  object({
    ...common(),
    from: levelSchema,
    to: levelSchema,
    faces: array().of(face()).min(1).required(),
  });
/** What lies on one face between two levels. */
const patch = () =>
  object({
    ...common(),
    from: levelSchema,
    to: levelSchema,
    face: face(),
    width: finite().positive().max(longest).required(),
    /** in two halves that can straddle a scar */
    splits: boolean().strict(),
    /** it may be left out */
    optional: boolean().strict(),
  });

/** What each kind of part states. */
export const partKinds = {
  /** an upright or a back bar: along its face from place to place, straight between them where it is seen from its face */
  bar: object({ ...common(), course: course() }),
  hinge: object({ ...common(), at: placeSchema }),
  dial: object({ ...common(), at: placeSchema }),
  cuff: round(),
  shell: round(),
  wing: round(),
  liner: round(),
  panel: patch(),
  pad: patch(),
  bladder: patch(),
  /** a strap's way over the body, from end to end */
  strap: object({
    ...common(),
    course: course(),
    width: finite().positive().max(longest).required(),
    /** how long it has to be: the share of the girth it goes, there and back, what lies over itself, where it ends */
    ends: object({
      wraps: finite().positive().max(3).required(),
      overlap: finite().min(0).max(longest).required(),
      finish: string().oneOf(['mid-limb', 'side', 'front']).required(),
      /** from which end it is shortened */
      shortened: string().oneOf(['hook-end', 'free-end']).required(),
      /** a pad of its own beneath it, cut apart from it */
      pad: boolean().strict(),
    })
      .noUnknown()
      .default(undefined)
      .optional(),
  }),
};

/** A part of a brace: where it lies and how far it reaches. The brace is drawn from its parts. */
export type Part = OneOfKinds<typeof partKinds>;
export type PartKind = Part['kind'];
export type PartOf<K extends PartKind> = Extract<Part, { kind: K }>;

export const partSchema = oneOfKinds(partKinds);

/** Parts of one kind, or of one of several. */
export const partsOfKind = <K extends PartKind>(
  parts: readonly Part[],
  ...kinds: readonly K[]
): PartOf<K>[] => parts.filter((part): part is PartOf<K> => (kinds as readonly string[]).includes(part.kind));

/** The part of an id, if the brace has it. */
export const partNamed = (parts: readonly Part[], id: string): Part | undefined =>
  parts.find((part) => part.id === id);
