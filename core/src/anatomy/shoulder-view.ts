import type { BodyReadings } from './body-readings';
import { seenFromBehind, viewOf, type RegionBody } from './body-view';
import type { Build } from './build';
import { drawnAt } from './foot';
import { headLevels } from './head';
import { landmarkLevel, type Landmark } from './landmark';
import { drawnTurned, sorted } from './leg-view';
import { mirrored, moved, type Point } from './outline';
import type { Side } from './side';
import { trunkForm } from './trunk-form';
import { besideTrunk, upperBody } from './upper-body';

/** What is counted from these lies on the trunk, not on the arm. */
const onTheTrunk: readonly Landmark[] = ['chest', 'waist'];

/**
 * One shoulder with its arm and hand, from the front and from the back, and the trunk down to its waist: what holds a
 * shoulder goes round the neck and through the other armpit.
 */
export function shoulderBody(readings: BodyReadings, side: Side, build: Build): RegionBody {
  const form = trunkForm(readings, build);
  const [x, y] = form.shoulder;
  const { arm, width } = form;
  const level = (landmark: Landmark) => landmarkLevel('shoulder', landmark, build);
  // the trunk is cut at its waist, the neck below the chin, the other arm at its shoulder; arm and hand are whole
  const waist = -y - form.scaled(20);
  const beside = width(-form.scaled(20)) - x + 5 * build.girth;
  const neck = form.neckFoot + headLevels(form)(52) - y;
  const [otherShoulder, otherArm] = [-2 * x, form.scaled(146)];
  const drawnWindow: Point[] = [
    [beside, waist],
    [beside, -1e5],
    [1e5, -1e5],
    [1e5, neck],
    [otherShoulder, neck],
    [otherShoulder, otherArm - y],
    ...moved(mirrored(besideTrunk(form, waist + y, otherArm)), -x, -y).reverse(),
  ];
  /** A right shoulder seen from the front lies to the viewer's left; from the back to the right. */
  const facingIn = (id: 'front' | 'back') => ((side === 'right') === (id === 'front') ? -1 : 1);
  const placesOf = (id: 'front' | 'back') => {
    const turned = (value: number) => value * facingIn(id);
    return {
      id,
      edges: (at: number, from?: Landmark): [number, number] => {
        const middle = arm.axis(at);
        return from === undefined || !onTheTrunk.includes(from)
          ? sorted(turned(middle - arm.half(at)), turned(middle + arm.half(at)))
          : sorted(turned(-x - width(at + y)), turned(-x + width(at + y)));
      },
      faces:
        facingIn(id) === 1
          ? ({ medial: 0, [id]: 0.5, lateral: 1 } as const)
          : ({ lateral: 0, [id]: 0.5, medial: 1 } as const),
      place: (landmark: Landmark): Point | undefined => {
        const at = level(landmark);
        if (at === undefined) return undefined;
        if (landmark === 'olecranon') return id === 'back' ? [turned(arm.axis(at)), at] : undefined;
        const across = {
          acromion: -4 * build.girth,
          'shoulder-joint-space': 0,
          axilla: arm.axis(at) - arm.half(at),
          chest: -110 * build.girth,
          waist: -x,
          'upper-arm-greatest-girth': arm.axis(at),
        }[landmark as string];
        return across === undefined ? undefined : [turned(across), at];
      },
      along: () => undefined,
      letters: [
        {
          text: side === 'left' ? ('L' as const) : ('R' as const),
          at: [turned(arm.axis(-40) + arm.half(-40)), -20 * build.girth] as const,
        },
      ],
    };
  };
  const drawn = (id: 'front' | 'back') => drawnTurned(drawnAt(upperBody(form, id), -x, -y), facingIn(id));
  const front = viewOf(
    drawn('front'),
    drawnWindow.map(([at, up]): Point => [at * facingIn('front'), up]),
    placesOf('front'),
    { fillet: 11 * build.girth, round: 7 * build.girth },
  );
  return {
    views: [front, seenFromBehind(front, drawn('back').lines, mirrored, placesOf('back'))],
    held: form.held.map((at) => at - y),
  };
}
