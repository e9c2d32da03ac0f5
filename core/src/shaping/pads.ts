import type { Face } from '../anatomy';
import type { Millimetres } from '../quantity';
import type { Zone } from './zones';

/** A pad of the brace, by the levels it covers, in mm from the region's datum, proximal positive. */
export interface Pad {
  from: Millimetres;
  to: Millimetres;
  face: Face;
  /** comes in two halves that can straddle a scar */
  splits: boolean;
}

/** A scar or a wound, by its levels and its face. */
export type Scar = Pick<Zone, 'from' | 'to' | 'face'>;

export type PadAdvice = 'place' | 'split-around' | 'keep-off';

/**
 * Where a pad lies on a scar: split it around when it splits, else keep it off.
 */
export function padAdvice(pad: Pad, scars: readonly Scar[]): PadAdvice {
  const low = (span: { from: number; to: number }) => Math.min(span.from, span.to);
  const high = (span: { from: number; to: number }) => Math.max(span.from, span.to);
  const crossed = scars.some(
    (scar) => scar.face === pad.face && low(scar) < high(pad) && low(pad) < high(scar),
  );
  return !crossed ? 'place' : pad.splits ? 'split-around' : 'keep-off';
}
