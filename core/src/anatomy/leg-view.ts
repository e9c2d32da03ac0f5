import { fitted, type BodyReadings } from './body-readings';
import { viewOf, type BodyView, type RegionBody } from './body-view';
import { buildOf, templateStature, type Build } from './build';
import { drawnAt, drawnBy, footFromFront, footFromOutside, type Drawn, type FootSize } from './foot';
import { landmarkLevel, type Landmark } from './landmark';
import { legForm, malleoliLevel, type LegForm } from './leg-form';
import { between, levelsBetween, oval, smooth, windowOf, type Point } from './outline';
import type { Side } from './side';

/** The medial side of a right leg, and its toes seen from outside, lie to the viewer's right. */
export const facingOf = (side: Side): 1 | -1 => (side === 'left' ? -1 : 1);

/** Where the faces of a limb lie, from the front and from outside. */
export const facesFromFront = (facing: 1 | -1): BodyView['faces'] =>
  facing === 1 ? { lateral: 0, front: 0.5, medial: 1 } : { medial: 0, front: 0.5, lateral: 1 };
export const facesFromOutside = (facing: 1 | -1): BodyView['faces'] =>
  facing === 1 ? { back: 0, lateral: 0.5, front: 1 } : { front: 0, lateral: 0.5, back: 1 };

export const turned = (points: readonly Point[], facing: 1 | -1): Point[] =>
  facing === 1 ? [...points] : points.map(([x, y]): Point => [-x, y]);
export const drawnTurned = (drawn: Drawn, facing: 1 | -1): Drawn =>
  drawnBy(drawn, (points) => turned(points, facing));

const ankleWidth = (form: LegForm) => {
  const { medial, lateral } = form.edges(form.scaled(malleoliLevel));
  return medial + lateral;
};
const averageAnkle = ankleWidth(legForm({ girths: [], widths: [] }, buildOf(templateStature)));
/** width of the template's heel */
export const templateHeel = 62;

/** How large the foot is drawn that belongs to a leg. */
export function footSize(form: LegForm, heelWidth?: number): FootSize {
  const size = form.build.foot;
  const ankle = ankleWidth(form) / (averageAnkle * size);
  return {
    size,
    ankle,
    heel: heelWidth === undefined ? Math.sqrt(ankle) : heelWidth / (templateHeel * size),
  };
}

/** Leg and foot from the front, medial at positive x, in mm from the middle of the kneecap. */
export function legFromFront(form: LegForm, foot: FootSize): Drawn {
  const { scaled, edges } = form;
  const limb = between(levelsBetween(form.top * 1.14, scaled(malleoliLevel) - 6), (level) => {
    const { medial, lateral } = edges(level);
    return [-lateral, medial];
  });
  const inner = (share: number, level: number): Point => {
    const at = edges(scaled(level));
    return [share < 0 ? share * at.lateral : share * at.medial, scaled(level)];
  };
  const below = drawnAt(footFromFront(foot), 0, scaled(malleoliLevel));
  const cap = scaled(27);
  return {
    parts: [limb, ...below.parts],
    small: below.small,
    lines: [
      oval(0, 0, Math.min(cap, edges(0).medial * 0.52), cap, 2.3),
      smooth([inner(0.3, 58), inner(0.58, 36), inner(0.76, 58), inner(0.7, 100)]),
      smooth([inner(-0.36, 62), inner(-0.56, 50), inner(-0.72, 74), inner(-0.72, 112)]),
      smooth([inner(-0.2, -32), inner(-0.12, -46), inner(-0.02, -56)]),
      smooth([inner(0.22, -32), inner(0.18, -46), inner(0.1, -56)]),
      smooth([inner(0.16, -72), inner(0.2, -130), inner(0.16, -200)]),
      smooth([inner(0.84, -140), inner(0.66, -180), inner(0.6, -214), inner(0.74, -238)]),
      smooth([inner(-0.86, -112), inner(-0.66, -150), inner(-0.6, -192)]),
      smooth([inner(0.6, -416), inner(0.74, -428), inner(0.66, -439)]),
      smooth([inner(-0.64, -424), inner(-0.78, -437), inner(-0.68, -446)]),
      ...below.lines,
    ],
    hidden: [],
  };
}

/** Leg and foot from the outer side, toes at positive x. */
export function legFromOutside(form: LegForm, foot: FootSize): Drawn {
  const { scaled, edges, build } = form;
  const limb = between(levelsBetween(form.top * 1.14, scaled(-418)), (level) => {
    const { front, back } = edges(level);
    return [-back, front];
  });
  const inner = (share: number, level: number): Point => {
    const at = edges(scaled(level));
    return [share < 0 ? share * at.back : share * at.front, scaled(level)];
  };
  const below = drawnAt(footFromOutside(foot), 0, scaled(malleoliLevel));
  const kneecap = edges(0).front;
  const g = (mm: number) => mm * build.girth;
  return {
    parts: [limb, ...below.parts],
    small: below.small,
    lines: [
      smooth([
        [kneecap - g(6), scaled(27)],
        [kneecap - g(19), scaled(14)],
        [kneecap - g(21), scaled(-6)],
        [kneecap - g(10), scaled(-27)],
      ]),
      smooth([inner(0.42, 46), inner(0.2, 84), inner(0.1, 130), inner(0.1, 176)]),
      smooth([inner(-0.5, -6), inner(-0.6, 40), inner(-0.6, 92)]),
      smooth([inner(-0.2, -28), inner(-0.06, -40), inner(-0.16, -54)]),
      smooth([inner(0.34, -78), inner(0.42, -130), inner(0.46, -186)]),
      smooth([inner(-0.9, -178), inner(-0.56, -216), inner(-0.3, -232), inner(-0.12, -222)]),
      smooth([inner(-0.6, -330), inner(-0.52, -380), inner(-0.66, -412)]),
      ...below.lines,
    ],
    hidden: below.hidden,
  };
}

const atTheSide: readonly Landmark[] = ['trochanter', 'fibular-neck', 'malleoli', 'knee-joint-space'];
export const sorted = (a: number, b: number): [number, number] => (a < b ? [a, b] : [b, a]);

/** The form of a leg from all that was read of it. */
export const legFormOf = (readings: BodyReadings, build: Build): LegForm =>
  legForm(readings, fitted('leg', readings, build).build);

/** The leg from the front and from its outer side. Places on the side of the limb are felt in both. */
export function legBody(readings: BodyReadings, side: Side, build: Build): RegionBody {
  const form = legForm(readings, build);
  const facing = facingOf(side);
  const foot = footSize(form);
  const level = (landmark: Landmark) => landmarkLevel('leg', landmark, build);
  const window = windowOf({ high: form.top });
  const rounding = { fillet: 9 * build.girth, round: 5 * build.girth };
  const letterAt = form.top * 0.94;
  return {
    held: form.held,
    views: [
      viewOf(
        drawnTurned(legFromFront(form, foot), facing),
        window,
        {
          id: 'front',
          edges: (at) => {
            const { medial, lateral } = form.edges(at);
            return sorted(medial * facing, -lateral * facing);
          },
          faces: facesFromFront(facing),
          place: (landmark) => {
            const at = level(landmark);
            if (at === undefined) return undefined;
            return [atTheSide.includes(landmark) ? -form.edges(at).lateral * facing : 0, at];
          },
          along: () => undefined,
          letters: [
            { text: 'L', at: [-form.edges(letterAt).lateral * facing, letterAt] },
            { text: 'M', at: [form.edges(letterAt).medial * facing, letterAt] },
          ],
        },
        rounding,
      ),
      viewOf(
        drawnTurned(legFromOutside(form, foot), facing),
        window,
        {
          id: 'outer',
          edges: (at) => {
            const { front, back } = form.edges(at);
            return sorted(front * facing, -back * facing);
          },
          faces: facesFromOutside(facing),
          place: (landmark) => {
            const at = level(landmark);
            if (at === undefined) return undefined;
            return [atTheSide.includes(landmark) ? 0 : form.edges(at).front * facing, at];
          },
          along: () => undefined,
          letters: [],
        },
        rounding,
      ),
    ],
  };
}
