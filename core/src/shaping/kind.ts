import { array, boolean, number, string, type InferType, type ObjectSchema } from 'yup';
import { finite, optionalCondition, placeSchema, name } from '../brace';

/** What every operation states; its wording hangs on its id. */
export const common = {
  id: name(),
  /** the parts it may be done on; where it says nothing, those that its kind works on */
  parts: array().of(name()).max(20),
  /** where it is seen on the figure */
  at: placeSchema.optional().default(undefined),
  /** only where this holds */
  when: optionalCondition,
  /** what has to be so before it is begun: what is cut cannot be put back */
  requires: optionalCondition,
  /** it is answered on each of its parts before the stage is done; else it is done where it is needed */
  asked: boolean().strict(),
  /** the brace is off for it */
  off: boolean().strict(),
  /** how often it may be done in one place */
  times: number().strict().integer().min(1).max(100),
};

/** How much, where that is measured. */
export const amount = {
  unit: string().oneOf(['mm', 'degrees', 'minutes']),
  least: finite().min(0),
  most: finite().positive(),
};

/** One time that an operation was done. */
export interface WorkDone {
  operation: string;
  part?: string | undefined;
  /** mm from the region's mark, proximal positive */
  at?: number | undefined;
  direction?: string | undefined;
  amount?: number | undefined;
  /** of several ways in which it may be done */
  way?: string | undefined;
  /** degrees that the irons went for it */
  hand?: number | undefined;
  /** the mark of pressure it answers */
  mark?: string | undefined;
}

/** What a kind of operation does: its schema beside it, one file a kind. */
export interface OperationRule<S> {
  /** the kinds of part it works on where the operation names none */
  on: readonly string[];
  /** its ways, in which it is said to be done */
  ways: (operation: S) => readonly string[];
  directions?: (operation: S) => readonly string[];
  /** how much of it there is in one time, where it is measured */
  measured: (
    operation: S,
  ) =>
    { unit: 'mm' | 'degrees' | 'minutes'; least?: number | undefined; most?: number | undefined } | undefined;
  /** where along the part, too */
  placed?: (operation: S) => boolean;
  /** only where the model states its frame */
  ofFrame?: (operation: S) => boolean;
}

// a schema of any shape: its own type is taken from it
// eslint-disable-next-line @typescript-eslint/no-explicit-any
export const operationKind = <S extends ObjectSchema<any>>(states: S, rule: OperationRule<InferType<S>>) => ({
  states,
  rule,
});

/** An amount as the operation states it; none where it states no unit. */
export const asStated = ({
  unit,
  least,
  most,
}: {
  unit?: 'mm' | 'degrees' | 'minutes' | undefined;
  least?: number | undefined;
  most?: number | undefined;
}) => unit && { unit, least, most };
