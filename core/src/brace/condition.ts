import { array, boolean, lazy, mixed, object, string, type Lazy, type Schema } from 'yup';
import { oneOfKinds } from './union';

const id = () => string().strict().required().min(1).max(80);

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

/**
 * When something holds: the one closed form in which a list, a step, a pass, a check, a part or a stage that is not needed
 * says so. What nobody has said is not known, and neither true nor false.
 */
export type Condition =
  /** the order names an injury, on a side where it matters */
  | { kind: 'injury'; is: string; side?: 'left' | 'right' | undefined }
  | { kind: 'ordered'; what: OrderedFact; is: string }
  /** a finding of Screen */
  | { kind: 'finding'; is: string; present: boolean }
  /** the model comes in this variant */
  | { kind: 'variant'; is: string }
  /** a setting is as it should be */
  | { kind: 'set'; setting: string }
  /** a part is in, or was left out */
  | { kind: 'part'; part: string; fitted: boolean }
  /** it went on by this list */
  | { kind: 'list'; is: string }
  | { kind: 'passed'; check: string }
  /** a step of putting it on was done since it last went on anew */
  | { kind: 'done'; step: string }
  | { kind: 'all' | 'any'; of: Condition[] }
  | { kind: 'not'; of: Condition }
  /** somebody has said that it holds: what is not known does not */
  | { kind: 'known'; of: Condition };

const some = () =>
  array()
    .of(lazy(() => conditionSchema))
    .min(1)
    .max(12)
    .required();

/** What each kind of condition states. */
const conditionKinds = {
  injury: object({ is: id(), side: string().oneOf(['left', 'right']) }),
  ordered: object({ what: string().oneOf(orderedFacts).required(), is: id() }),
  finding: object({ is: id(), present: boolean().strict().required() }),
  variant: object({ is: id() }),
  set: object({ setting: id() }),
  part: object({ part: id(), fitted: boolean().strict().required() }),
  list: object({ is: id() }),
  passed: object({ check: id() }),
  done: object({ step: id() }),
  all: object({ of: some() }),
  any: object({ of: some() }),
  not: object({ of: lazy(() => conditionSchema) }),
  known: object({ of: lazy(() => conditionSchema) }),
};

export const conditionSchema: Lazy<object> = oneOfKinds(conditionKinds);

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
export function holds(condition: Condition, facts: KnownFacts): boolean | undefined {
  switch (condition.kind) {
    case 'injury':
      return facts.injuries?.some(
        ({ code, side }) =>
          code === condition.is && (condition.side === undefined || side === condition.side),
      );
    case 'ordered':
      return facts.ordered[condition.what]?.includes(condition.is);
    case 'finding': {
      const found = facts.findings[condition.is];
      return found === undefined ? undefined : found === condition.present;
    }
    case 'variant':
      return facts.variant === undefined ? undefined : facts.variant === condition.is;
    case 'set':
      return facts.settings[condition.setting];
    case 'part': {
      const fitted = facts.parts[condition.part];
      return fitted === undefined ? undefined : fitted === condition.fitted;
    }
    case 'list':
      return facts.list === undefined ? undefined : facts.list === condition.is;
    case 'passed':
      return facts.checks[condition.check];
    case 'done':
      return facts.done.includes(condition.step);
    case 'not': {
      const inner = holds(condition.of, facts);
      return inner === undefined ? undefined : !inner;
    }
    case 'known':
      return holds(condition.of, facts) === true;
    default: {
      const decisive = condition.kind === 'any';
      const of = condition.of.map((one) => holds(one, facts));
      if (of.includes(decisive)) return decisive;
      return of.includes(undefined) ? undefined : !decisive;
    }
  }
}

/** Whether what may have a condition stands: it has none, it holds, or nobody has said. */
export const applies = ({ when }: { when?: Condition | undefined }, facts: KnownFacts): boolean =>
  when === undefined || holds(when, facts) !== false;

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
