import type { BodyView, Face, Side } from '@estribo/core/anatomy';
import type { Level, Part } from '@estribo/core/brace';
import { partsOfKind } from '@estribo/core/brace';
import type { MarkToDraw, PartToDraw, StepToDraw } from '@estribo/core/drawing';

/** A measuring step drawn where it is read. */
export interface FigureStep extends StepToDraw {
  /** what was read, for what is drawn as a number of the whole person */
  value?: number;
}

/** A place on the figure that can be dragged: seen from the outer side, counted from a level and from the side midline. */
export interface FigureHandle {
  from: Level;
  /** mm in front of the side midline, and over the level */
  forward: number;
  proximal: number;
  /** an estimate that it is held against, with how well it is known, mm */
  estimate: { forward: number; proximal: number; within: number };
  label: string;
  estimateLabel: string;
  onMove: (to: { forward: number; proximal: number }) => void;
}

/** A point of a view: mm across it from the body's middle line, and its level. */
export interface PointedAt {
  x: number;
  level: number;
}

/** Where something was pointed at: how high, on which face, how far aside of that face's middle. */
export interface SpotAt {
  level: number;
  face: Face;
  aside: number;
}

/** What the next touch of the figure is for: a line drawn in one view, or a spot in any. The same can be typed in the work. */
export type FigurePointing =
  | { kind: 'line'; view: BodyView['id']; label: string; onLine: (points: PointedAt[]) => void }
  | { kind: 'spot'; label: string; onSpot: (spot: SpotAt) => void };

/** What a stage shows on the figure besides the body. */
export interface FigureLayer {
  /** which side is drawn; the braced one when it is not said */
  side?: Side;
  /** measuring steps: tapes, callipers, marks, lengths */
  steps?: FigureStep[];
  /** the brace's parts, those beneath first */
  parts?: PartToDraw[];
  /** places of checks, bends, scars */
  marks: MarkToDraw[];
  /** the level from which something is counted, and whether it is named */
  reference?: { at: Level; named: boolean };
  /** the goniometer: angle read and angle wanted */
  goniometer?: { angle?: number; wanted?: number };
  handle?: FigureHandle;
  pointing?: FigurePointing;
}

export const bareLimb: FigureLayer = { marks: [] };

/** The brace as it is worn: what lies inside it is not seen. */
export const asWorn = (parts: readonly Part[]): PartToDraw[] =>
  parts.filter(({ kind }) => kind !== 'pad').map((part) => ({ part, state: 'done' }));

/** The level from which hinges are placed, if the brace has any. */
export const hingeLevel = (parts: readonly Part[]): Level | undefined => {
  const [hinge] = partsOfKind(parts, 'hinge');
  return hinge && { from: hinge.at.from };
};
