import type { BodyReadings, BodyView } from './body-view';
import { landmarkLevel } from './landmark';
import { legForm, type LegForm } from './leg-form';
import { frontOutline, outerOutline } from './leg-outline';
import type { Side } from './side';

/** The form of a leg from what was read of it: its girths. */
export const legFormOf = (readings: BodyReadings, stature: number): LegForm =>
  legForm(
    readings.girths.map(({ from, distance, girth }) => ({
      level: (landmarkLevel('leg', from, stature) ?? 0) + distance,
      girth,
    })),
    stature,
  );

/** The leg from the front and from its outer side. Places on the side of the limb are felt in both. */
export function legViews(readings: BodyReadings, side: Side, stature: number): BodyView[] {
  const form = legFormOf(readings, stature);
  const front = frontOutline(form, side);
  const outer = outerOutline(form, side);
  const level = (landmark: Parameters<BodyView['place']>[0]) => landmarkLevel('leg', landmark, stature);
  const sorted = (a: number, b: number): [number, number] => (a < b ? [a, b] : [b, a]);
  const lateral = ['trochanter', 'fibular-neck', 'malleoli', 'knee-joint-space'];
  return [
    {
      id: 'front',
      skin: front.skin,
      lines: front.lines,
      edges: (at) => {
        const edges = form.edges(at);
        return sorted(edges.medial * front.facing, -edges.lateral * front.facing);
      },
      place: (landmark) => {
        const at = level(landmark);
        if (at === undefined) return undefined;
        return [lateral.includes(landmark) ? -form.edges(at).lateral * front.facing : 0, at];
      },
      along: () => undefined,
      letters: [],
    },
    {
      id: 'outer',
      skin: outer.skin,
      lines: outer.lines,
      edges: (at) => {
        const edges = form.edges(at);
        return sorted(edges.front * outer.facing, -edges.back * outer.facing);
      },
      place: (landmark) => {
        const at = level(landmark);
        if (at === undefined) return undefined;
        return [lateral.includes(landmark) ? 0 : form.edges(at).front * outer.facing, at];
      },
      along: () => undefined,
      letters: [],
    },
  ];
}
