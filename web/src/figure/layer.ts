import type { Side } from '@estribo/core/anatomy';
import type { StepToDraw } from '@estribo/core/drawing';
import type { Millimetres } from '@estribo/core/quantity';

export type Face = 'front' | 'back' | 'medial' | 'lateral';

/** Something drawn on the limb, touched there or in the work. */
export interface FigureMark {
  id: string;
  kind: 'strap' | 'pad' | 'scar' | 'bend' | 'spot';
  /** middle, from the middle of the kneecap, proximal positive */
  level: Millimetres;
  /** for what has a length: its lower and upper end */
  span?: readonly [Millimetres, Millimetres];
  face?: Face;
  /** lettered on it */
  label?: string;
  state: 'now' | 'done' | 'ahead' | 'bad';
}

/** A measuring step drawn where it is read. */
export interface FigureStep extends StepToDraw {
  /** what was read, for what is drawn as a number of the whole person */
  value?: number;
}

/** What a stage shows on the figure besides the limb. */
export interface FigureLayer {
  /** which side is drawn; the braced one when it is not said */
  side?: Side;
  marks: FigureMark[];
  /** measuring steps: tapes, callipers, marks, lengths */
  steps?: FigureStep[];
  /** the brace is drawn on */
  brace?: boolean;
  /** the hinge as found: mm above the kneecap's upper edge, mm behind the midline */
  hinge?: { above: Millimetres; behind: Millimetres; label?: string };
  /** the goniometer: angle read and angle wanted */
  goniometer?: { angle?: number; wanted?: number };
}

export const bareLimb: FigureLayer = { marks: [] };
