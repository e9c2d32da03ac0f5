import type { BodyReadings } from './body-readings';
import { viewOf, type RegionBody } from './body-view';
import { templateStature, type Build } from './build';
import { drawnAt } from './foot';
import { headLevels } from './head';
import { landmarkLevel, type Landmark } from './landmark';
import { crossing, windowOf } from './outline';
import type { Side } from './side';
import { trunkForm } from './trunk-form';
import { bodyFromSide, sideEdges, upperBody } from './upper-body';

/** Neck and head from the front and from the right side, down to the chest. */
export function neckBody(readings: BodyReadings, _side: Side, build: Build): RegionBody {
  const form = trunkForm(readings, build);
  const y = headLevels(form);
  const level = (landmark: Landmark) => {
    if (landmark === 'occiput') return y(0.07 * templateStature);
    return landmarkLevel('neck', landmark, build);
  };
  const down = -form.neckFoot;
  const edges = sideEdges(form);
  const window = windowOf({ low: y(-196) });
  const rounding = { fillet: 12 * build.girth, round: 3.5 * build.girth };
  const front = viewOf(
    drawnAt(upperBody(form, 'front'), 0, down),
    window,
    {
      id: 'front',
      // a tape goes round the neck, and below it round the chest
      edges: (at) =>
        at < y(-60)
          ? [-form.width(at - down), form.width(at - down)]
          : at < y(81)
            ? [-form.neck * (at < 0 ? 1.1 : 1), form.neck * (at < 0 ? 1.1 : 1)]
            : crossing(front.skin, at),
      faces: { right: 0, front: 0.5, left: 1 },
      place: (landmark) => {
        const at = level(landmark);
        if (at === undefined || landmark === 'occiput' || landmark === 'c7') return undefined;
        return [landmark === 'trapezius-top' ? Math.max(form.neck * 1.2, 84 * build.girth) : 0, at];
      },
      along: () => undefined,
      letters: [
        { text: 'R', at: [-form.neck, y(46)] },
        { text: 'L', at: [form.neck, y(46)] },
      ],
    },
    rounding,
  );
  const side = viewOf(
    drawnAt(bodyFromSide(form), -form.bent(form.neckFoot), down),
    window,
    {
      id: 'side',
      edges: (at) => {
        if (at > y(81)) return crossing(side.skin, at);
        const { front: fore, back } = edges(at - down);
        return [back, fore];
      },
      faces: { back: 0, right: 0.5, front: 1 },
      place: (landmark) => {
        const at = level(landmark);
        if (at === undefined) return undefined;
        if (landmark === 'occiput') return [crossing(side.skin, at)?.[0] ?? 0, at];
        const { front: fore, back } = edges(at - down);
        if (landmark === 'c7') return [back, at];
        if (landmark === 'trapezius-top') return [(back + fore) / 2, at];
        return [landmark === 'chin-line' ? 78 * build.head : fore, at];
      },
      along: () => undefined,
      letters: [],
    },
    rounding,
  );
  return { views: [front, side], held: form.held.map((at) => at + down), level };
}
