import type { BodyReadings } from './body-readings';
import { viewOf, type BodyView, type RegionBody } from './body-view';
import type { Build } from './build';
import { drawnAt, footFromBehind, type Drawn } from './foot';
import { heldSizes } from './held';
import { landmarkLevel, type Landmark } from './landmark';
import { legForm, malleoliLevel } from './leg-form';
import {
  drawnTurned,
  facesFromFront,
  facesFromOutside,
  facingOf,
  footSize,
  legFromFront,
  legFromOutside,
  sorted,
  templateHeel,
} from './leg-view';
import { between, crossing, levelsBetween, smooth, windowOf } from './outline';
import type { Side } from './side';

/** where the drawing is cut, above the middle of the malleoli */
const cut = 318;

/** Ankle and foot from the front, from the outer side and from behind: the leg's own outline, seen larger. */
export function ankleBody(readings: BodyReadings, side: Side, build: Build): RegionBody {
  const form = legForm(readings, build);
  const datum = form.scaled(malleoliLevel);
  const facing = facingOf(side);
  const level = (landmark: Landmark) => landmarkLevel('ankle', landmark, build);
  const heelLevel = level('heel')!;
  const { drawn: heels, held } = heldSizes(
    readings.widths.filter(({ at }) => at === 'heel').map(({ width }) => ({ level: heelLevel, size: width })),
    () => templateHeel * build.foot,
  );
  const foot = footSize(form, heels[0]?.size);
  const behind = drawnAt(footFromBehind(foot), 0, datum);
  const limb = between(levelsBetween(form.top, datum - 6), (at) => {
    const { medial, lateral } = form.edges(at);
    return [-lateral, medial];
  });
  const inner = (share: number, at: number) => {
    const { medial, lateral } = form.edges(form.scaled(at));
    return [share < 0 ? share * lateral : share * medial, form.scaled(at)] as const;
  };
  const calf = [
    smooth([inner(-0.5, -120), inner(-0.44, -190), inner(-0.2, -228), inner(-0.1, -250)]),
    smooth([inner(0.5, -120), inner(0.46, -196), inner(0.24, -238), inner(0.1, -256)]),
    smooth([inner(-0.3, -300), inner(-0.28, -380), inner(-0.2, -420)]),
    smooth([inner(0.3, -300), inner(0.28, -380), inner(0.2, -420)]),
  ];
  const top = cut * build.shank;
  const window = windowOf({ high: top });
  const shown = (drawn: Drawn) => drawnTurned(drawnAt(drawn, 0, -datum), facing);
  const width = (at: number): [number, number] => {
    const { medial, lateral } = form.edges(at + datum);
    return sorted(medial * facing, -lateral * facing);
  };
  /** Where an outline is crossed; what lies beneath the foot is as wide as the sole. */
  const crossed = (skin: BodyView['skin'], at: number) =>
    crossing(skin, Math.max(at, level('sole')! + 12 * build.foot));
  const heelSpan = (wide: number): [number, number] => [-wide / 2, wide / 2];
  const heelWide = templateHeel * foot.size * foot.heel;
  const across =
    (skin: () => BodyView['skin']): BodyView['edges'] =>
    (at) =>
      at < 0.7 * heelLevel ? (at > 1.4 * heelLevel ? heelSpan(heelWide) : crossed(skin(), at)) : width(at);
  const letters = (mirror: 1 | -1): BodyView['letters'] => {
    const at = top * 0.93;
    const [low, high] = width(at).map((x) => x * mirror) as [number, number];
    const [left, right] = sorted(low, high);
    return facing * mirror > 0
      ? [
          { text: 'L', at: [left, at] },
          { text: 'M', at: [right, at] },
        ]
      : [
          { text: 'M', at: [left, at] },
          { text: 'L', at: [right, at] },
        ];
  };
  const mirror = (drawn: Drawn) => drawnTurned(drawn, -1);
  const front: BodyView = viewOf(
    shown(legFromFront(form, foot)),
    window,
    {
      id: 'front',
      edges: (at) => (at < 0.7 * heelLevel ? crossed(front.skin, at) : width(at)),
      faces: facesFromFront(facing),
      place: (landmark) => {
        const at = level(landmark);
        return at === undefined || landmark === 'heel' ? undefined : [0, at];
      },
      along: () => undefined,
      letters: letters(1),
    },
    { fillet: 7 * build.foot, round: 4 * build.foot },
  );
  const outer: BodyView = viewOf(
    shown(legFromOutside(form, foot)),
    window,
    {
      id: 'outer',
      edges: (at) => {
        if (at < 0) return crossed(outer.skin, at);
        const { front: fore, back: rear } = form.edges(at + datum);
        return sorted(fore * facing, -rear * facing);
      },
      faces: facesFromOutside(facing),
      place: (landmark) => {
        const at = level(landmark);
        if (at === undefined) return undefined;
        const [low, high] = crossing(outer.skin, at) ?? [0, 0];
        if (landmark === 'malleoli') return [-4 * build.foot * facing, at];
        return [landmark === 'heel' ? (facing > 0 ? low : high) : 0, at];
      },
      along: () => undefined,
      letters: [],
    },
    { fillet: 9 * build.foot, round: 4 * build.foot },
  );
  const back: BodyView = viewOf(
    mirror(shown({ ...behind, parts: [limb, ...behind.parts], lines: [...calf, ...behind.lines] })),
    window,
    {
      id: 'back',
      edges: (at) => {
        const [low, high] = across(() => back.skin)(at) ?? [0, 0];
        return at < 0.7 * heelLevel ? [low, high] : sorted(-low, -high);
      },
      faces: facing === 1 ? { medial: 0, back: 0.5, lateral: 1 } : { lateral: 0, back: 0.5, medial: 1 },
      place: (landmark) => {
        const at = level(landmark);
        return at === undefined ? undefined : [0, at];
      },
      along: () => undefined,
      letters: letters(-1),
    },
    { fillet: 6 * build.foot, round: 4 * build.foot },
  );
  return { views: [front, outer, back], held: [...form.held.map((at) => at - datum), ...held] };
}
