import { curveFromInclinations } from '../anatomy';
import type { Degrees, Millimetres } from '../quantity';
import { monotoneCurve } from '../statistics';

/** Where a contour comes from; all but the girths were read on this body. */
export const contourSources = [
  /** a straight-edge along the limb, from it to the skin */
  'straight-edge',
  /** the girths and widths: both sides in one */
  'girths',
  'stations',
  'tracing',
  'inclinometer',
  /** depths of a lordosis under a straight-edge */
  'depths',
] as const;
export type ContourSource = (typeof contourSources)[number];

/** One station: how far from the bar's held place along the straight-edge, and how far the skin lies out there; mm, away from the body positive. */
export interface Station {
  at: Millimetres;
  out: Millimetres;
}

/** A contour and what comes between it and the bar. */
export interface Contour {
  points: readonly Station[];
  /** liner or padding along the bar */
  liner: Millimetres;
  /** what lies under the held place: the condyle pad at a hinge, nothing more than the liner at a mark */
  pad: Millimetres;
  /** left free along the bar */
  gap: Millimetres;
  /** left free at its top, so that the patient can straighten into it */
  gapAtTop: Millimetres;
}

/** mm beyond where it is held over which a bar comes from its pad to the liner. An estimate. */
const comesInOver: Millimetres = 60;

/** A contour as it was taken: without room at its top where none was said. */
export const contourOf = <C extends Omit<Contour, 'gapAtTop'> & { gapAtTop?: Millimetres | undefined }>(
  taken: C,
): C & Contour => ({ ...taken, gapAtTop: taken.gapAtTop ?? 0 });

/** The share of a bar's length over which the room at its top opens. An estimate. */
const opensOver = 0.4;

/**
 * Where a bar's inner face shall lie: the contour, monotone between its stations, with what comes between, counted from its held
 * place. Where it is held it lies on its pad; beyond, it comes in to the liner.
 * @param held so far on either side of its held place it lies on the pad
 * @returns undefined beyond the outermost stations, where nothing was read; always with fewer than two
 */
export function targetOf(
  { points, liner, pad, gap, gapAtTop }: Contour,
  held: Millimetres,
): (at: Millimetres) => Millimetres | undefined {
  const stations = [...points].sort((a, b) => a.at - b.at);
  if (stations.length < 2) return () => undefined;
  const skin = monotoneCurve(
    stations.map(({ at }) => at),
    stations.map(({ out }) => out),
  );
  const [low, high] = [stations[0]!.at, stations.at(-1)!.at];
  const opens = high - (high - Math.max(0, low)) * opensOver;
  const base = skin(Math.min(high, Math.max(low, 0)));
  return (at) => {
    if (at < low - 1e-9 || at > high + 1e-9) return undefined;
    const beyond = Math.min(1, Math.max(0, (Math.abs(at) - held) / comesInOver));
    const room = gapAtTop > 0 && at > opens ? gapAtTop * ((at - opens) / (high - opens)) ** 2 : 0;
    return skin(at) - base + (liner + gap - pad) * beyond + room;
  };
}

/**
 * The back's contour from inclinometer stations along the tape, laid on the straight line from the sacrum's mark to C7: what
 * a straight-edge between them would see. Kyphosis lies out, lordosis in.
 * @param stations by share of the tape from the upper landmark on
 * @param length of the tape
 * @returns stations from the lower landmark upwards
 */
export function contourOfBack(
  stations: readonly { at: number; angle: Degrees }[],
  length: Millimetres,
): Station[] {
  const curve = curveFromInclinations(stations, length);
  const end = curve.at(-1)!;
  const chord = Math.hypot(end.x, end.y) || 1;
  // unit vectors from the lower end up the chord, and away from the body
  const [ux, uy] = [-end.x / chord, -end.y / chord];
  const count = 20;
  return Array.from({ length: count + 1 }, (_, i): Station => {
    const { x, y } = curve[Math.round(((count - i) * (curve.length - 1)) / count)]!;
    const [dx, dy] = [x - end.x, y - end.y];
    return { at: dx * ux + dy * uy, out: dx * uy - dy * ux };
  });
}

/**
 * A side's contour from the drawn body: girths and widths say how wide a limb is, not how much of it lies on which side.
 * @param edge how far out the skin of this side is, by level; undefined beyond the body
 * @param levels of the stations, counted from the held place
 */
export const contourOfEdge = (
  edge: (at: Millimetres) => Millimetres | undefined,
  levels: readonly Millimetres[],
): Station[] =>
  levels.flatMap((at) => {
    const out = edge(at);
    return out === undefined ? [] : [{ at, out }];
  });
