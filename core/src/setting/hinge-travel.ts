import { rule } from '../faults';
import { array, object, type InferType } from 'yup';
import { finite } from '../brace';
import type { Degrees, Millimetres } from '../quantity';

/*
 * A hinge beside a joint, seen from the outer side: x forward, y proximal, in mm from the estimated centre of the joint (or
 * wherever the path of that centre is counted from). The thigh stands still, the shank turns backward by the knee's flexion.
 * Brace and shank turn by the same angle, so that what is between them is a shift, the same everywhere along the shank.
 */

export interface Spot {
  /** mm in front of the centre */
  forward: Millimetres;
  /** mm nearer to the hip than the centre */
  proximal: Millimetres;
}

/** Where the joint's centre is at an angle, mm from where it is estimated. */
const pathPoint = object({
  angle: finite().required().min(-180).max(180),
  forward: finite().required().min(-100).max(100),
  proximal: finite().required().min(-100).max(100),
})
  .noUnknown()
  .required();
export type PathPoint = InferType<typeof pathPoint>;

/** The way that a joint's centre goes, its angles rising. */
export const pathSchema = array()
  .of(pathPoint)
  .min(1)
  .max(40)
  .test(...rule('angles-rise'), (path = []) =>
    path.every(
      (point: { angle?: number } | null, i) =>
        i === 0 || !(Number(point?.angle) <= Number((path[i - 1] as typeof point)?.angle)),
    ),
  );

/** How the brace's shank part lies against the shank: shifted towards the hip along it, pressed forward across it. */
export interface Travel {
  along: Millimetres;
  across: Millimetres;
}

export type HingeType = 'single-axis' | 'geared';

export interface Hinge {
  type: HingeType;
  /** its middle */
  at: Spot;
  /** of a geared one: from pivot to pivot */
  pivots?: Millimetres;
}

/** A turn and a shift: where x goes is turn(x) + shift. */
interface Pose {
  angle: Degrees;
  shift: Spot;
}

const radians = (angle: Degrees): number => (angle * Math.PI) / 180;

/** A spot turned about the origin: flexion carries what is distal (proximal negative) backward. */
function turned({ forward, proximal }: Spot, angle: Degrees): Spot {
  const [c, s] = [Math.cos(radians(angle)), Math.sin(radians(angle))];
  return { forward: c * forward + s * proximal, proximal: -s * forward + c * proximal };
}
const less = (a: Spot, b: Spot): Spot => ({
  forward: a.forward - b.forward,
  proximal: a.proximal - b.proximal,
});
const plus = (a: Spot, b: Spot): Spot => ({
  forward: a.forward + b.forward,
  proximal: a.proximal + b.proximal,
});

const about = (centre: Spot, angle: Degrees): Pose => ({
  angle,
  shift: less(centre, turned(centre, angle)),
});
/** One pose after another. */
const then = (first: Pose, second: Pose): Pose => ({
  angle: first.angle + second.angle,
  shift: plus(turned(first.shift, second.angle), second.shift),
});

/** degrees: a path of centres is followed in turns no larger than this */
const fine: Degrees = 0.5;
const still: Spot = { forward: 0, proximal: 0 };

/** The centre at an angle, straight between the points of its path; the first and the last hold beyond it. */
function centreAt(path: readonly PathPoint[], angle: Degrees): Spot {
  const next = path.findIndex((point) => point.angle >= angle);
  if (next === 0) return path[0]!;
  if (next < 0) return path.at(-1) ?? still;
  const [a, b] = [path[next - 1]!, path[next]!];
  const share = (angle - a.angle) / (b.angle - a.angle);
  return {
    forward: a.forward + share * (b.forward - a.forward),
    proximal: a.proximal + share * (b.proximal - a.proximal),
  };
}

/** The shank's way from one angle to another: small turns, each about the centre where it is then. */
function shankPose(path: readonly PathPoint[], from: Degrees, to: Degrees): Pose {
  // a centre that stands still needs no small turns
  if (path.length <= 1) return about(path[0] ?? still, to - from);
  const turns = Math.max(1, Math.ceil(Math.abs(to - from) / fine));
  const one = (to - from) / turns;
  return Array.from({ length: turns }, (_, i) => about(centreAt(path, from + (i + 0.5) * one), one)).reduce(
    then,
    { angle: 0, shift: still },
  );
}

/**
 * The brace's way: about one pivot; or, geared, half the angle about each of two, the lower of which the first carries
 * along. The pivots lie along the upright, and the shank's half is set in line with the shank at the angle it was donned at.
 */
function bracePose({ type, at, pivots = 0 }: Hinge, from: Degrees, to: Degrees): Pose {
  if (type === 'single-axis') return about(at, to - from);
  const half = (to - from) / 2;
  // at the angle of donning the plate between the pivots stands half way between thigh and shank
  const reach = turned({ forward: 0, proximal: pivots / 2 }, from / 2);
  const [upper, lower] = [plus(at, reach), less(at, reach)];
  const first = about(upper, half);
  const carried = plus(turned(lower, half), first.shift);
  return then(first, about(carried, half));
}

/**
 * How far the brace's shank part has come from where it lay on the shank when the straps were tightened.
 * For one fixed centre and a single axis: (I - R(t - t0)) o, of length 2 |o| sin(|t - t0| / 2), o the hinge from the
 * centre; rigid motion in the plane, no source needed. Geared: half the angle at each pivot.
 * @param path where the joint's centre is, by rising angle; empty or one point: it stands still
 * @param donned the knee's angle at the last tightening
 * @param angle the knee's flexion
 * @returns mm along the shank (towards the hip positive) and across it (forward positive), as seen by the shank
 */
export const hingeTravel = (
  hinge: Hinge,
  path: readonly PathPoint[],
  donned: Degrees,
  angle: Degrees,
): Travel => between(hinge, donned, angle, shankPose(path, donned, angle));

/** Brace against shank, seen by the shank, which is turned by its flexion against the thigh. */
function between(hinge: Hinge, donned: Degrees, angle: Degrees, shank: Pose): Travel {
  const seen = turned(less(bracePose(hinge, donned, angle).shift, shank.shift), -angle);
  return { along: seen.proximal, across: seen.forward };
}

/** The shank at every degree of an arc, both ends included, each from the one before: it hangs on no hinge. */
interface Swing {
  donned: Degrees;
  poses: { angle: Degrees; shank: Pose }[];
}

function swingOver(path: readonly PathPoint[], donned: Degrees, { from, to }: Arc, apart: Degrees): Swing {
  const count = Math.max(1, Math.ceil((to - from) / apart));
  let [at, shank] = [from, shankPose(path, donned, from)];
  const poses = Array.from({ length: count + 1 }, (_, i) => {
    const angle = from + ((to - from) * i) / count;
    shank = then(shank, shankPose(path, at, angle));
    at = angle;
    return { angle, shank };
  });
  return { donned, poses };
}

type Arc = { from: Degrees; to: Degrees };

const travelIn = ({ donned, poses }: Swing, hinge: Hinge): (Travel & { angle: Degrees })[] =>
  poses.map(({ angle, shank }) => ({ angle, ...between(hinge, donned, angle, shank) }));

/** The travel over an arc, degree by degree, both ends included. */
export const travelOver = (
  hinge: Hinge,
  path: readonly PathPoint[],
  donned: Degrees,
  arc: Arc,
  apart: Degrees = 1,
): (Travel & { angle: Degrees })[] => travelIn(swingOver(path, donned, arc, apart), hinge);

/** Root of the mean square of a travel, mm. */
export const meanTravel = (over: readonly Travel[]): Millimetres =>
  Math.sqrt(over.reduce((sum, { along, across }) => sum + along ** 2 + across ** 2, 0) / over.length);

export interface BestPlace {
  at: Spot;
  /** root of the mean square of the travel over the arc, at the best place and where it is now */
  best: Millimetres;
  now: Millimetres;
  /** how much it would be if the hinge slipped by so much from where it is, each way */
  slipped: Record<'forward' | 'backward' | 'up' | 'down', Millimetres>;
}

/**
 * The place at which a hinge travels least over an arc, by least squares: the travel is linear in the hinge's place, so that
 * the two normal equations give it at once. For one fixed centre and a single axis it is that centre.
 * @param hinge where it is now
 * @param slip mm, how far it may slip each way
 * @returns undefined where the arc has no width: then every place is as good
 */
export function bestPlace(
  hinge: Hinge,
  path: readonly PathPoint[],
  donned: Degrees,
  arc: Arc,
  slip: Millimetres = 5,
): BestPlace | undefined {
  const swing = swingOver(path, donned, arc, 1);
  const over = (at: Spot) => travelIn(swing, { ...hinge, at });
  const [base, byForward, byProximal] = [
    over(still),
    over({ forward: 1, proximal: 0 }),
    over({ forward: 0, proximal: 1 }),
  ];
  const [n, rows] = [[0, 0, 0, 0, 0] as [number, number, number, number, number], base];
  for (const [i, { along, across }] of rows.entries())
    for (const [was, x, y] of [
      [along, byForward[i]!.along - along, byProximal[i]!.along - along],
      [across, byForward[i]!.across - across, byProximal[i]!.across - across],
    ] as const) {
      n[0] += x * x;
      n[1] += x * y;
      n[2] += y * y;
      n[3] -= x * was;
      n[4] -= y * was;
    }
  const determinant = n[0] * n[2] - n[1] * n[1];
  if (!(determinant > 1e-9)) return undefined;
  const at: Spot = {
    forward: (n[3] * n[2] - n[1] * n[4]) / determinant,
    proximal: (n[0] * n[4] - n[1] * n[3]) / determinant,
  };
  const mean = (spot: Spot) => meanTravel(over(spot));
  const by = (forward: number, proximal: number) => mean(plus(hinge.at, { forward, proximal }));
  return {
    at,
    best: mean(at),
    now: mean(hinge.at),
    slipped: { forward: by(slip, 0), backward: by(-slip, 0), up: by(0, slip), down: by(0, -slip) },
  };
}

/** mm: the joint's centre lies about so far over the joint line (Nietert 1977, from memory). An estimate. */
export const centreOverJointLine: Millimetres = 20;
/** mm: how well that is known, with the joint line felt on the skin. An estimate, no source. */
export const centreKnownTo: Millimetres = 7;
/** of the knee's depth, from the front (60:40, Nietert 1977, from memory) */
const centreFromFront = 0.6;

/**
 * The hinge against the estimated centre of the knee.
 * @param aboveJointLine mm of the hinge's middle over the joint line as it was felt
 * @param forwardOfMidline mm of the hinge in front of the side midline; behind it negative
 * @param depth the knee's depth, front to back
 */
export const fromCentre = (
  aboveJointLine: Millimetres,
  forwardOfMidline: Millimetres,
  depth: Millimetres,
): Spot => ({
  forward: forwardOfMidline + (centreFromFront - 0.5) * depth,
  proximal: aboveJointLine - centreOverJointLine,
});

/** The inverse: where a spot lies over the joint line and in front of the side midline. */
export const fromJointLine = (
  { forward, proximal }: Spot,
  depth: Millimetres,
): { aboveJointLine: Millimetres; forwardOfMidline: Millimetres } => ({
  aboveJointLine: proximal + centreOverJointLine,
  forwardOfMidline: forward - (centreFromFront - 0.5) * depth,
});

/** The most points of a path that a clinic states. */
const mostPoints = 40;

/**
 * A path of the joint's centre as a clinic writes it down: one point a line or between semicolons, `angle forward proximal`,
 * degrees and mm.
 * @returns the points by rising angle, or the first piece that is none
 */
export function readPath(text: string): { path: PathPoint[] } | { notUnderstood: string } {
  const pieces = text
    .split(/[;\n]/)
    .map((piece) => piece.trim())
    .filter(Boolean);
  const path: PathPoint[] = [];
  for (const piece of pieces) {
    const numbers = piece.split(/[\s,]+/).map((one) => Number(one.replace('−', '-')));
    const [angle, forward, proximal] = numbers;
    const isSound =
      numbers.length === 3 &&
      numbers.every(Number.isFinite) &&
      Math.abs(angle!) <= 180 &&
      Math.abs(forward!) <= 100 &&
      Math.abs(proximal!) <= 100 &&
      path.length < mostPoints;
    // a path that turns back has two centres for one angle
    if (!isSound || (path.length > 0 && angle! <= path.at(-1)!.angle)) return { notUnderstood: piece };
    path.push({ angle: angle!, forward: forward!, proximal: proximal! });
  }
  return { path };
}
