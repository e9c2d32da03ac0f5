import { array, object, string, type ObjectSchema } from 'yup';
import { optionalCondition, optionalPosture, name } from '../brace';

export const people = ['patient', 'orthotist', 'helper', 'carer'] as const;
export const pulls = ['provisional', 'loose', 'light', 'snug', 'final'] as const;
export const breaths = ['in', 'out', 'held'] as const;

/** What every step states; its wording hangs on its id. */
export const common = {
  id: name(),
  posture: optionalPosture,
  who: string().oneOf(people),
  /** only where this holds; where it is not known it stands, and asks by its words */
  when: optionalCondition,
  /** what is held or pressed meanwhile, and by whom */
  holds: object({ parts: array().of(name()).min(1).max(6).required(), by: string().oneOf(people).required() })
    .noUnknown()
    .default(undefined)
    .optional(),
  /** how the patient breathes meanwhile */
  breath: string().oneOf(breaths),
  /** over several parts, one after the other or at once; what is looked at after each stands in its words */
  over: object({
    parts: array().of(name()).min(2).max(8).required(),
    how: string().oneOf(['in-turn', 'together']).required(),
  })
    .noUnknown()
    .default(undefined)
    .optional(),
};

/** What a kind of step does: its schema beside it, one file a kind. */
export interface StepRule {
  /** it is done once more in a later pass, where a pass does not name its steps */
  again: boolean;
}

// a schema of any shape: its own type is taken from it
// eslint-disable-next-line @typescript-eslint/no-explicit-any
export const stepKind = <S extends ObjectSchema<any>>(states: S, rule: StepRule) => ({ states, rule });
