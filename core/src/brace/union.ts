import { lazy, object, string, type InferType, type ObjectSchema, type Schema } from 'yup';

/** What each kind states beside its kind, as the schema that checks it. */
// a schema of any shape: its own type is taken from it below
// eslint-disable-next-line @typescript-eslint/no-explicit-any
export type Kinds = Record<string, ObjectSchema<any>>;

/** The type of a union told apart by its kind, taken from its schemas: shape and type cannot differ. */
export type OneOfKinds<K extends Kinds> = {
  [Kind in keyof K & string]: { kind: Kind } & InferType<K[Kind]>;
}[keyof K & string];

/**
 * The schema of a union told apart by its kind: something half written is a fault with its path.
 * @param kinds what each kind states; unknown fields are refused by each
 */
export function oneOfKinds<K extends Kinds>(kinds: K): Schema<OneOfKinds<K>> {
  const kind = string().oneOf(Object.keys(kinds)).required();
  const full: Record<string, ObjectSchema<object>> = Object.fromEntries(
    Object.entries(kinds).map(([name, shape]) => [
      name,
      shape.shape({ kind }).noUnknown() as ObjectSchema<object>,
    ]),
  );
  const unknown: ObjectSchema<object> = object({ kind });
  return lazy(
    (value: { kind?: unknown } | undefined) =>
      (typeof value?.kind === 'string' ? full[value.kind] : undefined) ?? unknown,
  ) as unknown as Schema<OneOfKinds<K>>;
}

/** Of kinds that each state something and have a rule for it, what they state. */
// eslint-disable-next-line @typescript-eslint/no-explicit-any
export const statesOf = <K extends Record<string, { states: ObjectSchema<any> }>>(kinds: K) =>
  Object.fromEntries(Object.entries(kinds).map(([kind, { states }]) => [kind, states])) as {
    [Kind in keyof K]: K[Kind]['states'];
  };
