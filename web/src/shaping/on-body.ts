import { bodyOf, buildOf, type Body } from '@estribo/core/anatomy';
import { levelOn } from '@estribo/core/brace';
import { bodyReadings } from '@estribo/core/measuring';
import { prominencesOf, type BarState, type Zone } from '@estribo/core/shaping';
import { useWork } from '../case/case-context';
import { hingeLevel } from '../figure/layer';

/** The body that is braced, from its own readings; whether any was read. */
export function useBracedBody(): { body: Body; isRead: boolean } {
  const { state, stature } = useWork();
  const readings = bodyReadings(state.measuring.states, state.side);
  return {
    body: bodyOf(state.programme.region, state.side, readings, buildOf(stature)),
    isRead: readings.any,
  };
}

/** Scars and wounds as they were seen, and the bony prominences of this body. */
export function useZones(): { body: Body; zones: Zone[] } {
  const { state } = useWork();
  const { body } = useBracedBody();
  return { body, zones: [...state.shaping.scars, ...prominencesOf(state.programme.region, body.level)] };
}

/** The view in which a bar's side is an edge, which way out lies in it, and the level of what holds the bar. */
export function useBarEdge({ part, byHand }: BarState) {
  const { state } = useWork();
  const { body, isRead } = useBracedBody();
  const { face } = part.course[0]!;
  const view = body.views.find(({ faces }) => faces[face] === 0 || faces[face] === 1);
  const from = byHand ? ({ from: part.course.at(-1)!.from } as const) : hingeLevel(state.parts);
  const held = from && levelOn(from, body.level);
  return view && from && held !== undefined
    ? { view, from: from.from, held, outwards: view.faces[face] === 1 ? (1 as const) : (-1 as const), isRead }
    : undefined;
}
