import { array, boolean, object, string, type InferType } from 'yup';
import { byId, finite, name } from '../brace';
import type { WorkDone } from './kind';
import type { Degrees, Millimetres } from '../quantity';
import { barSection, furthestAngle, materialRules } from './material';

export interface Bend {
  /** the bar's id */
  part: string;
  /** middle of the bend along the bar from its held place: the hinge's centre, the mark; proximal positive */
  place: Millimetres;
  direction: 'towards-limb' | 'away-from-limb';
  amount: Degrees;
}

export const keepOuts = ['shim', 'slots', 'coronal-hinge'] as const;
export type KeepOut = (typeof keepOuts)[number];

const barData = barSection
  .shape({
    /** mm that the irons are wide: bends stand no nearer to each other */
    jaw: finite().positive().max(100).required(),
    /** stretches that are not bent, and why */
    keepOut: array().of(
      object({
        from: finite().required(),
        to: finite().required(),
        why: string().oneOf(keepOuts).required(),
      })
        .noUnknown()
        .required(),
    ),
    /** bars of the frame that are not bent at all: the side with coronal hinges */
    unbent: array().of(name()).max(20),
    /** how a bar comes, by its id, off the straight-edge, mm; straight where nothing is said */
    supplied: byId(
      array()
        .of(object({ at: finite().required(), out: finite().required() }).noUnknown().required())
        .min(2)
        .max(80)
        .required(),
    ),
  })
  .noUnknown()
  .default(undefined)
  .optional();
/** What of a bar is bent and with what; stated by its maker. A bar that nothing is stated of is bent and not planned. */
export type BarData = NonNullable<InferType<typeof barData>>;

/** What a frame takes, by its maker. */
export const frameSchema = object({
  /** may it be bent cold at all */
  bendable: boolean().required(),
  /** no bend nearer to the hinge than so many mm */
  hingeZone: finite().required().min(0),
  /** mm that the uprights reach from the hinge; a bar that stands on its mark reaches one way alone */
  reach: object({ proximal: finite().required().positive(), distal: finite().required().min(0) }).noUnknown(),
  /** largest angle that one pass may leave */
  increment: finite().required().positive(),
  /** all bends of one bar together, degrees */
  total: finite().required().positive(),
  bar: barData,
})
  .noUnknown()
  .default(undefined)
  .optional();
export type FrameLimits = NonNullable<InferType<typeof frameSchema>>;

export const bendProblems = [
  'not-bendable',
  'unbent',
  'in-hinge-zone',
  'in-keep-out',
  'off-the-upright',
  'over-increment',
  'over-total',
  'too-tight',
  'back-and-forth',
] as const;
export type BendProblem = (typeof bendProblems)[number];

/** Bends of one bar nearer to each other than this are in one place, where nothing says how wide the irons are. An estimate. */
const onePlace: Millimetres = 20;

/** How wide the irons are that a frame is bent with. */
export const jawOf = ({ bar }: Pick<FrameLimits, 'bar'>): Millimetres => bar?.jaw ?? onePlace;

const isOnePlace = (frame: FrameLimits, one: Millimetres, other: Millimetres): boolean =>
  Math.abs(one - other) < jawOf(frame);

/** Degrees of a bend, away from the limb positive. */
export const turnOf = ({ direction, amount }: Pick<Bend, 'direction' | 'amount'>): Degrees =>
  direction === 'away-from-limb' ? amount : -amount;

/** Why a place of a bar is not bent, whatever is wanted there. */
export function placeProblems(part: string, place: Millimetres, limits: FrameLimits): BendProblem[] {
  const { bar } = limits;
  if (!limits.bendable || (bar && !materialRules[bar.material].cold)) return ['not-bendable'];
  if (bar?.unbent?.includes(part)) return ['unbent'];
  const reach = place >= 0 ? limits.reach.proximal : limits.reach.distal;
  return [
    ...(Math.abs(place) < limits.hingeZone ? (['in-hinge-zone'] as const) : []),
    ...(bar?.keepOut?.some(({ from, to }) => place > Math.min(from, to) && place < Math.max(from, to))
      ? (['in-keep-out'] as const)
      : []),
    ...(Math.abs(place) > reach ? (['off-the-upright'] as const) : []),
  ];
}

/**
 * Which ways a place of a bar may still be bent: one that was bent and bent back as often as its material bears goes no
 * other way than the last.
 * @param made bends of this frame so far, in their order
 */
export function waysLeft(
  part: string,
  place: Millimetres,
  made: readonly Bend[],
  limits: FrameLimits,
): 'both' | Bend['direction'] {
  const here = made.filter((one) => one.part === part && isOnePlace(limits, one.place, place));
  const last = here.at(-1);
  if (!last) return 'both';
  const changes = here.filter((one, i) => i > 0 && one.direction !== here[i - 1]!.direction).length;
  const allowed = limits.bar ? materialRules[limits.bar.material].backAgain : 0;
  return changes < allowed ? 'both' : last.direction;
}

/**
 * What speaks against a bend. A bend already made is recorded all the same; before it, it is said.
 * @param made bends of this frame so far
 */
export function judgeBend(bend: Bend, made: readonly Bend[], limits: FrameLimits): BendProblem[] {
  const problems = placeProblems(bend.part, bend.place, limits);
  if (problems.includes('not-bendable') || problems.includes('unbent')) return problems;
  const ways = waysLeft(bend.part, bend.place, made, limits);
  const there = made
    .filter((one) => one.part === bend.part && isOnePlace(limits, one.place, bend.place))
    .reduce((sum, one) => sum + turnOf(one), turnOf(bend));
  return [
    ...problems,
    ...(bend.amount > limits.increment ? (['over-increment'] as const) : []),
    ...(spent(bend.part, made) + bend.amount > limits.total ? (['over-total'] as const) : []),
    ...(limits.bar && Math.abs(there) > furthestAngle(limits.bar) ? (['too-tight'] as const) : []),
    ...(ways !== 'both' && ways !== bend.direction ? (['back-and-forth'] as const) : []),
  ];
}

/** All bends of one bar added up: bending back and forth tires the metal as well, so every amount counts. */
export const spent = (part: string, made: readonly Bend[]): Degrees =>
  made.filter((bend) => bend.part === part).reduce((sum, { amount }) => sum + amount, 0);

/** Work that was done on a bar, as a bend; undefined where it is none. */
export const bendOf = ({ part, at, direction, amount }: WorkDone): Bend | undefined =>
  part === undefined ||
  at === undefined ||
  amount === undefined ||
  (direction !== 'towards-limb' && direction !== 'away-from-limb')
    ? undefined
    : { part, place: at, direction, amount };

/**
 * A varus or valgus set: the same angle above and below the hinge on one bar, the two bars opposite ways. The brace is off the
 * leg; common practice, no source.
 * @param part the bar
 * @param turn of this bar, away from the limb positive
 * @param places how far from the hinge, above and below
 */
export const coronalSet = (
  part: string,
  turn: Degrees,
  places: { above: Millimetres; below: Millimetres },
): Bend[] =>
  [places.above, -places.below].map((place) => ({
    part,
    place,
    direction: turn >= 0 ? 'away-from-limb' : 'towards-limb',
    amount: Math.abs(turn),
  }));
