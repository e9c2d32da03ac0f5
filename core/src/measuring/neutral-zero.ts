import { plainTyped, type Degrees } from '../quantity';

/**
 * Motion of a joint in one plane: how far it goes on either side of zero. `extension` is negative
 * in a contracture that never reaches zero, so that 0-20-90 is { extension: -20, flexion: 90 }.
 */
export interface NeutralZero {
  extension: Degrees;
  flexion: Degrees;
}

/** How far a joint may go, whichever it is: what is recorded, printed and read. */
export const motionRange = { extension: [-120, 180], flexion: [-60, 200] } as const;

const inRange = ({ extension, flexion }: NeutralZero): boolean =>
  extension >= motionRange.extension[0] &&
  extension <= motionRange.extension[1] &&
  flexion >= motionRange.flexion[0] &&
  flexion <= motionRange.flexion[1];

/**
 * Whether a motion in the sagittal plane was read the wrong way round: 130-0-5 for 5-0-130. More than 30
 * degrees beyond zero, and less of flexion, is asked about (the number is ours).
 */
export const looksReversed = ({ extension, flexion }: NeutralZero): boolean =>
  extension > 30 && extension > flexion;

/**
 * Reads three numbers of the neutral-zero method: "5-0-130", "0-20-90", "0/0/120".
 * The zero stands in the middle when it is passed, at the end towards which the joint falls short of it
 * otherwise. AAOS 1965; Gerhardt and Russe 1975 (memory).
 * @returns undefined when it is not three whole numbers with a zero in a place that makes sense
 */
export function parseNeutralZero(text: string): NeutralZero | undefined {
  const parts = /^\s*(\d{1,3})\s*[-/ ]\s*(\d{1,3})\s*[-/ ]\s*(\d{1,3})\s*$/.exec(plainTyped(text));
  if (!parts) return undefined;
  const motion = motionOf(parts.slice(1).map(Number) as [number, number, number]);
  return motion && inRange(motion) ? motion : undefined;
}

function motionOf([first, middle, last]: [number, number, number]): NeutralZero | undefined {
  if (middle === 0) return { extension: first, flexion: last };
  if (first === 0 && last >= middle) return { extension: -middle, flexion: last };
  if (last === 0 && first >= middle) return { extension: first, flexion: -middle };
  return undefined;
}

/** The inverse of parseNeutralZero. */
export function formatNeutralZero({ extension, flexion }: NeutralZero): string {
  if (extension < 0) return `0-${-extension}-${flexion}`;
  if (flexion < 0) return `${extension}-${-flexion}-0`;
  return `${extension}-0-${flexion}`;
}
