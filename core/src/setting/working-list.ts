import type { Degrees } from '../quantity';
import type { HingeStops, StopHardware } from './stops';

/** One thing to do at the bench to come from the stops that are in to those that are chosen. */
export type BenchStep =
  | { do: 'cover-off' | 'cover-on' | 'travel' | 'both-alike' | 'engraved' | 'pads-off' | 'buttons-out' }
  | {
      do: 'out' | 'in';
      end: 'extension' | 'flexion';
      hinge: string;
      piece: Degrees;
      /** pushed in from the front or from behind, screwed, set on the dial */
      how: NonNullable<StopHardware['kind']>;
    }
  | { do: 'set'; end: 'extension' | 'flexion'; hinge: string; piece: Degrees | null };

const ends = ['extension', 'flexion'] as const;

/**
 * What is done at the bench, piece by piece, both hinges of a pair: which comes out, which goes in, then the check of the
 * travel and the cover. Wedges go in from the front (extension) and from behind (flexion); screwed pieces want the pads off;
 * a dial has no pieces. Common practice, no source; the maker's own instructions come first.
 * @param hinges of the pair
 * @param from what is in now, at each hinge; undefined where nobody knows
 * @returns nothing where all is as chosen
 */
export function workingList(
  hinges: readonly string[],
  from: Readonly<Record<string, HingeStops>> | undefined,
  to: HingeStops,
  { kind = 'wedges' }: Pick<StopHardware, 'kind'>,
): BenchStep[] {
  const moves = hinges.flatMap((hinge) =>
    ends.flatMap((end): BenchStep[] => {
      const [was, piece] = [from?.[hinge]?.[end], to[end]];
      if (was === piece) return [];
      if (kind === 'dial') return [{ do: 'set', end, hinge, piece }];
      return [
        ...(typeof was === 'number' ? [{ do: 'out' as const, end, hinge, piece: was, how: kind }] : []),
        ...(piece === null ? [] : [{ do: 'in' as const, end, hinge, piece, how: kind }]),
      ];
    }),
  );
  if (moves.length === 0) return [];
  const before: BenchStep[] =
    kind === 'dial' ? [] : kind === 'screwed' ? [{ do: 'pads-off' }] : [{ do: 'cover-off' }];
  const after: BenchStep[] = [
    ...(kind === 'dial' ? [{ do: 'buttons-out' as const }] : [{ do: 'engraved' as const }]),
    ...(hinges.length > 1 ? [{ do: 'both-alike' as const }] : []),
    { do: 'travel' },
    ...(kind === 'wedges' ? [{ do: 'cover-on' as const }] : []),
  ];
  return [...before, ...moves, ...after];
}

/** A piece that is in when the brace comes and is not what is chosen: it is asked about. */
export const cameWithIt = (
  { installed }: Pick<StopHardware, 'installed'>,
  to: HingeStops,
): { end: 'extension' | 'flexion'; piece: Degrees }[] =>
  ends.flatMap((end) => {
    const piece = installed?.[end];
    return piece === undefined || piece === to[end] ? [] : [{ end, piece }];
  });

/** The pieces with which nothing of an order would be lost; none where the hardware has them. */
export const wouldGive = (
  window: { extension?: Degrees; flexion?: Degrees },
  lost: { extension: Degrees; flexion: Degrees },
): { end: 'extension' | 'flexion'; piece: Degrees; gains: Degrees }[] =>
  ends.flatMap((end) => {
    const piece = window[end];
    return lost[end] > 0 && piece !== undefined ? [{ end, piece, gains: lost[end] }] : [];
  });
