import type { MotionWindow } from '../order';
import type { Arc, NeutralZero } from '../setting';

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
