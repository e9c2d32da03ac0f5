import type { BodyReadings, BodyView } from './body-view';
import { landmarkLevel } from './landmark';
import { legForm } from './leg-form';
import { frontOutline, outerOutline } from './leg-outline';
import { crossing, type Point } from './outline';
import type { Side } from './side';

// levels of the leg's template: where the malleoli stand, and where the drawing is cut
const malleoli = -436;
const cut = -112;
/** foot length over stature of the template (footLength 0.152 of 1700 mm) */
const templateFoot = 258;

/** The ankle and foot from the front and from the outer side: the leg's own outline, seen larger. */
export function ankleViews(readings: BodyReadings, side: Side, stature: number): BodyView[] {
  const datum = (malleoli / 1700) * stature;
  const form = legForm(
    readings.girths.map(({ from, distance, girth }) => ({
      level: datum + (landmarkLevel('ankle', from, stature) ?? 0) + distance,
      girth,
    })),
    stature,
  );
  const scale = stature / 1700;
  const [front, outer] = [frontOutline(form, side), outerOutline(form, side)];
  const longer = (readings.footLength ?? templateFoot * scale) / (templateFoot * scale);
  const heel = readings.widths.find(({ at }) => at === 'heel');
  const ankle = readings.widths.find(({ at }) => at === 'malleoli');
  const frontEdges = (level: number) => crossing(front.skin, level + datum) ?? [-1, 1];
  const stretch = (read: { width: number } | undefined, level: number) => {
    if (!read) return 1;
    const [a, b] = frontEdges(level);
    return read.width / (b - a);
  };
  const heelLevel = landmarkLevel('ankle', 'heel', stature)!;
  const [wide, narrow] = [stretch(heel, heelLevel), stretch(ankle, 0)];
  /** below the malleoli the foot takes the heel's width, at them the ankle's */
  const widthAt = (y: number) => {
    const share = Math.min(1, Math.max(0, -y / -heelLevel));
    return y > 0 ? 1 + (narrow - 1) * Math.max(0, 1 - y / (60 * scale)) : narrow + (wide - narrow) * share;
  };
  const lengthAt = (y: number) =>
    y > 20 * scale ? 1 : 1 + (longer - 1) * Math.min(1, (20 * scale - y) / (40 * scale));
  const take = (points: readonly Point[], turn: (point: Point) => Point) =>
    points.filter(([, y]) => y <= cut * scale).map(([x, y]) => turn([x, y - datum]));
  const toFront = ([x, y]: Point): Point => [x * widthAt(y), y];
  const toOuter = ([x, y]: Point): Point => [x * lengthAt(y), y];
  const frontSkin = take(front.skin, toFront);
  const outerSkin = take(outer.skin, toOuter);
  const level = (landmark: Parameters<BodyView['place']>[0]) => landmarkLevel('ankle', landmark, stature);
  const view = (
    id: 'front' | 'outer',
    skin: Point[],
    lines: readonly Point[][],
    turn: (point: Point) => Point,
    place: BodyView['place'],
  ): BodyView => ({
    id,
    skin,
    lines: lines.map((line) => take(line, turn)).filter((line) => line.length > 1),
    edges: (at) => crossing(skin, at),
    place,
    along: () => undefined,
    letters: [],
  });
  return [
    view('front', frontSkin, front.lines, toFront, (landmark) => {
      const at = level(landmark);
      return at === undefined ? undefined : [0, at];
    }),
    view('outer', outerSkin, outer.lines, toOuter, (landmark) => {
      const at = level(landmark);
      if (at === undefined) return undefined;
      const [low, high] = crossing(outerSkin, at) ?? [0, 0];
      if (landmark === 'malleoli') return [-4 * scale * outer.facing, at];
      return [landmark === 'heel' ? (outer.facing > 0 ? low : high) : 0, at];
    }),
  ];
}
