import { name } from './by-id';
import { array, boolean, lazy, mixed, object, string, type Schema } from 'yup';
import { oneOfKinds, type OneOfKinds } from './union';

/** What of an order can be asked for by a condition. */
export const orderedFacts = [
  'height',
  'panel',
  'posture',
  'roll',
  'relieve',
  'weight',
  'lock',
  'motion',
  'protective',
] as const;
type OrderedFact = (typeof orderedFacts)[number];

/** What the kinds state that ask for one fact. */
const facts = {
  /** the order names an injury, on a side where it matters */
  injury: object({ is: name(), side: string().oneOf(['left', 'right']) }),
  ordered: object({ what: string().oneOf(orderedFacts).required(), is: name() }),
  /** a finding of Screen */
  finding: object({ is: name(), present: boolean().strict().required() }),
  /** the model comes in this variant */
  variant: object({ is: name() }),
  /** a setting is as it should be */
  set: object({ setting: name() }),
  /** a part is in, or was left out */
  part: object({ part: name(), fitted: boolean().strict().required() }),
  /** it went on by this list */
  list: object({ is: name() }),
  passed: object({ check: name() }),
  /** a step of putting it on was done since it last went on anew */
  done: object({ step: name() }),
};

const some = () =>
  array()
    .of(lazy(() => conditionSchema))
    .min(1)
    .max(12)
    .required();
const one = () => object({ of: lazy(() => conditionSchema) });

/** What the kinds state that are made of others; their type is a circle that no schema can be asked for. */
const joined = {
  all: object({ of: some() }),
  any: object({ of: some() }),
  not: one(),
  /** somebody has said that it holds: what is not known does not */
  known: one(),
} satisfies Record<Joined['kind'], object>;
type Joined = { kind: 'all' | 'any'; of: Condition[] } | { kind: 'not' | 'known'; of: Condition };

/**
 * When something holds: the one closed form in which a list, a step, a pass, a check, a part or a stage that is not needed
 * says so. What nobody has said is not known, and neither true nor false.
 */
export type Condition = OneOfKinds<typeof facts> | Joined;

export const conditionSchema: Schema<Condition> = oneOfKinds({ ...facts, ...joined });

/** A condition that may be left out: what has none always holds. */
export const optionalCondition = lazy((value: unknown) =>
  value === undefined ? mixed() : conditionSchema,
) as unknown as Schema<Condition | undefined>;

/** What is known of a case when a condition is asked. */
export interface KnownFacts {
  /** undefined: nobody coded them */
  injuries: readonly { code: string; side?: 'left' | 'right' | undefined }[] | undefined;
  /** of what the order says, each by its fact; absent: it does not say */
  ordered: Readonly<Partial<Record<OrderedFact, readonly string[]>>>;
  /** by finding; absent: not asked yet */
  findings: Readonly<Record<string, boolean>>;
  variant: string | undefined;
  /** settings that are right, by id; absent: not made */
  settings: Readonly<Record<string, boolean>>;
  /** parts that may be left out and were set: whether they are in */
  parts: Readonly<Record<string, boolean>>;
  list: string | undefined;
  /** by check; absent: open */
  checks: Readonly<Record<string, boolean>>;
  /** steps done since the brace last went on anew */
  done: readonly string[];
}

/**
 * Whether a condition holds by what is known (Kleene's three values).
 * @returns undefined where it hangs on what nobody has said
 */
export function holds(condition: Condition, known: KnownFacts): boolean | undefined {
  switch (condition.kind) {
    case 'injury':
      return known.injuries?.some(
        ({ code, side }) =>
          code === condition.is && (condition.side === undefined || side === condition.side),
      );
    case 'ordered':
      return known.ordered[condition.what]?.includes(condition.is);
    case 'finding': {
      const found = known.findings[condition.is];
      return found === undefined ? undefined : found === condition.present;
    }
    case 'variant':
      return known.variant === undefined ? undefined : known.variant === condition.is;
    case 'set':
      return known.settings[condition.setting];
    case 'part': {
      const fitted = known.parts[condition.part];
      return fitted === undefined ? undefined : fitted === condition.fitted;
    }
    case 'list':
      return known.list === undefined ? undefined : known.list === condition.is;
    case 'passed':
      return known.checks[condition.check];
    case 'done':
      return known.done.includes(condition.step);
    case 'not': {
      const inner = holds(condition.of, known);
      return inner === undefined ? undefined : !inner;
    }
    case 'known':
      return holds(condition.of, known) === true;
    default: {
      const decisive = condition.kind === 'any';
      const of = condition.of.map((one) => holds(one, known));
      if (of.includes(decisive)) return decisive;
      return of.includes(undefined) ? undefined : !decisive;
    }
  }
}

/** Whether what may have a condition stands: it has none, it holds, or nobody has said. */
export const applies = ({ when }: { when?: Condition | undefined }, facts: KnownFacts): boolean =>
  when === undefined || holds(when, facts) !== false;

/** Whether the order lets the leg bear nothing, or touch the ground only. */
export const doesBearNothing = ({ ordered }: KnownFacts): boolean =>
  ordered.weight?.some((weight) => weight === 'none' || weight === 'touch') ?? false;

/**
 * Of several things, each with its condition, the one that is chosen: the only one whose condition holds; where none has
 * one, the only one there is. None or several: it is asked.
 */
export function chosenOf<T extends { when?: Condition | undefined }>(
  choices: readonly T[],
  facts: KnownFacts,
): T | undefined {
  if (choices.length === 1 && choices[0]!.when === undefined) return choices[0];
  const holding = choices.filter(({ when }) => when !== undefined && holds(when, facts) === true);
  return holding.length === 1 ? holding[0] : undefined;
}
