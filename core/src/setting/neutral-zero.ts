import type { Degrees } from '../quantity';

/**
 * Motion of a joint in one plane: how far it goes on either side of zero. `extension` is negative
 * in a contracture that never reaches zero, so that 0-20-90 is { extension: -20, flexion: 90 }.
 */
export interface NeutralZero {
  extension: Degrees;
  flexion: Degrees;
}

/**
 * Reads three numbers of the neutral-zero method: "5-0-130", "0-20-90", "0/0/120".
 * The zero stands in the middle when it is passed, at the end towards which the joint falls short of it
 * otherwise. AAOS 1965; Gerhardt and Russe 1975 (memory).
 * @returns undefined when it is not three whole numbers with a zero in a place that makes sense
 */
export function parseNeutralZero(text: string): NeutralZero | undefined {
  const parts = /^\s*(\d{1,3})\s*[-/ ]\s*(\d{1,3})\s*[-/ ]\s*(\d{1,3})\s*$/.exec(text);
  if (!parts) return undefined;
  const [first, middle, last] = parts.slice(1).map(Number) as [number, number, number];
  if (first > 180 || middle > 180 || last > 180) return undefined;
  if (middle === 0) return { extension: first, flexion: last };
  if (first === 0 && last >= middle) return { extension: -middle, flexion: last };
  if (last === 0 && first >= middle) return { extension: first, flexion: -middle };
  return undefined;
}

/** The inverse of parseNeutralZero. */
export function printNeutralZero({ extension, flexion }: NeutralZero): string {
  if (extension < 0) return `0-${-extension}-${flexion}`;
  if (flexion < 0) return `${extension}-${-flexion}-0`;
  return `${extension}-0-${flexion}`;
}
