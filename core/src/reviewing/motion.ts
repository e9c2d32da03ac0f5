import type { MotionWindow } from '../order';
import type { Arc } from '../setting';
import type { NeutralZero } from '../measuring';

/** Motion as tested: inside the ordered window only; at a limit it says "not tested beyond". */
export interface MotionTest {
  reached: NeutralZero;
  /** the window's limit was reached and the joint not tested beyond it */
  limitReached: { extension: boolean; flexion: boolean };
}

/**
 * The tested motion as an arc, and whether the test went beyond the order.
 * Neutral zero counts extension beyond zero as positive; the arc counts flexion positive.
 */
export function motionInWindow(
  reached: NeutralZero,
  window: MotionWindow,
): { arc: Arc; test: MotionTest; beyond: boolean } {
  const from = -reached.extension || 0;
  const to = reached.flexion;
  const { extension: e, flexion: f } = window;
  return {
    arc: { from, to },
    test: {
      reached,
      limitReached: { extension: e !== undefined && from <= e, flexion: f !== undefined && to >= f },
    },
    beyond: (e !== undefined && from < e) || (f !== undefined && to > f),
  };
}

/**
 * An example of what may be typed for a joint under an order: inside the window, so that the order never
 * refuses its own example.
 * @param window a limit that is absent is not ordered
 */
export function exampleMotion({ extension: e, flexion: f }: MotionWindow): NeutralZero {
  const least = Math.max(0, e ?? 0);
  const most = f ?? least + 84;
  const spare = Math.max(0, Math.min(3, Math.floor((most - least) / 2)));
  return { extension: -(least + spare) || 0, flexion: most - spare };
}
