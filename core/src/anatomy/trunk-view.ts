import type { BodyReadings } from './body-readings';
import { seenFromBehind, viewOf, type BodyView, type RegionBody } from './body-view';
import type { Build } from './build';
import { landmarkLevel, type Landmark } from './landmark';
import { levelsBetween, mirrored, windowOf, type Point } from './outline';
import type { Side } from './side';
import { trunkForm } from './trunk-form';
import { besideTrunk, bodyFromSide, sideEdges, upperBody } from './upper-body';
import { headLevels } from './head';

const onTheBack: readonly Landmark[] = [
  'c7',
  't9',
  'l1',
  'l5',
  'sacrum',
  'sacrococcygeal-junction',
  'scapula-lower-angle',
];
const atTheSide: readonly Landmark[] = [
  'axilla',
  'iliac-crest',
  'trochanter',
  'waist',
  'lower-ribs',
  'hips-greatest-girth',
  'chest',
];

/** The trunk from the front, from the back and from its right side. */
export function trunkBody(readings: BodyReadings, _side: Side, build: Build): RegionBody {
  const form = trunkForm(readings, build);
  const { width, middle, scaled: s, shoulder, chest } = form;
  const level = (landmark: Landmark) => landmarkLevel('trunk', landmark, build);
  const edges = sideEdges(form);
  // below the chin, above the knees, above the elbows
  const [high, low] = [form.neckFoot + headLevels(form)(46), s(-330)];
  const window = windowOf({ high, low });
  // from the front the arms are cut above the elbow, between them and the trunk the window follows the gap
  const half: Point[] = [...besideTrunk(form, low, s(110)), [1e5, s(110)], [1e5, high]];
  const armsCut = [...half, ...mirrored(half).reverse()];
  const along = (point: (y: number) => Point) => (from: Landmark, to: Landmark) => {
    const [a, b] = [level(from), level(to)];
    return a === undefined || b === undefined
      ? undefined
      : levelsBetween(a, b, Math.abs(a - b) / 40).map(point);
  };
  const flat =
    (id: 'front' | 'back'): BodyView['place'] =>
    (landmark) => {
      const y = level(landmark);
      const back = onTheBack.includes(landmark);
      if (y === undefined || (back ? id === 'front' : id === 'back' && !atTheSide.includes(landmark)))
        return undefined;
      if (landmark === 'scapula-lower-angle') return [86 * chest * build.girth, y];
      return [atTheSide.includes(landmark) ? width(y) : 0, y];
    };
  const across: BodyView['edges'] = (y) => [-width(y), width(y)];
  const rounding = { fillet: 11 * build.girth, round: 7 * build.girth };
  // lettered at the shoulders
  const [sx, sy] = [shoulder[0] + 40 * build.girth, shoulder[1] - s(10)];
  const placesOf = (id: 'front' | 'back') => ({
    id,
    edges: across,
    faces: id === 'front' ? { right: 0, front: 0.5, left: 1 } : { left: 0, back: 0.5, right: 1 },
    place: flat(id),
    along: id === 'back' ? along((y) => [0, y]) : () => undefined,
    letters: [
      { text: id === 'front' ? ('R' as const) : ('L' as const), at: [-sx, sy] as const },
      { text: id === 'front' ? ('L' as const) : ('R' as const), at: [sx, sy] as const },
    ],
  });
  const front = viewOf(upperBody(form, 'front'), armsCut, placesOf('front'), rounding);
  return {
    held: form.held,
    views: [
      front,
      seenFromBehind(front, upperBody(form, 'back').lines, (points) => [...points], placesOf('back')),
      viewOf(
        bodyFromSide(form),
        window,
        {
          id: 'side',
          edges: (y) => {
            const { front, back } = edges(y);
            return [back, front];
          },
          faces: { back: 0, right: 0.5, front: 1 },
          place: (landmark) => {
            const y = level(landmark);
            if (y === undefined) return undefined;
            if (onTheBack.includes(landmark)) return [edges(y).back, y];
            return [atTheSide.includes(landmark) ? middle(y) : edges(y).front, y];
          },
          along: along((y) => [edges(y).back, y]),
          letters: [],
        },
        rounding,
      ),
    ],
  };
}
