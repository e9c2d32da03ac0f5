import type { Region } from '../anatomy';
import type { DangerSign } from './asked';

/** How a pulse is felt; `unable` where a cast or dressing covers it. */
export const pulses = ['felt', 'weak', 'absent', 'unable'] as const;
export type Pulse = (typeof pulses)[number];

/** Regions whose pulse and refill are noted on both sides. */
export const circulationRegions: readonly Region[] = ['leg', 'ankle', 'shoulder'];

/** Seconds of refill above which it is usually abnormal, a nail pressed for five seconds. Common practice, no source. */
export const slowRefill = 2;

export interface SideCirculation {
  pulse: Pulse;
  /** seconds until a nail that was pressed for five seconds is pink again */
  refill?: number | undefined;
}

/** Pulse and refill of both sides, as they were noted. */
export interface CirculationNote {
  left: SideCirculation;
  right: SideCirculation;
  entry: string;
}

export interface CirculationState {
  last: CirculationNote | undefined;
  /** refill of the braced side before donning, seconds */
  refill: number | undefined;
  /** slow on both sides: warm the limb and look again, then ask the prescriber; slow on the braced one alone: ask */
  slow: 'both' | 'braced' | undefined;
  /** danger signs that the note itself shows */
  signs: DangerSign[];
}

const isSlow = ({ refill }: SideCirculation): boolean => refill !== undefined && refill > slowRefill;

/**
 * What pulse and refill show. A normal pulse or refill excludes nothing; before donning a slow refill alone is no sign, for only
 * what is new or worse with the brace on is one. Common practice, no source.
 * @param notes in the order they were made
 * @param isCold whether the limb was found cold, blue or white
 */
export function judgeCirculation(
  notes: readonly CirculationNote[],
  side: 'left' | 'right',
  region: Region,
  isCold: boolean,
): CirculationState {
  const last = notes.at(-1);
  if (!last) return { last, refill: undefined, slow: undefined, signs: [] };
  const other = side === 'left' ? 'right' : 'left';
  const braced = last[side];
  const wasThere = notes
    .slice(0, -1)
    .some((note) => note[side].pulse === 'felt' || note[side].pulse === 'weak');
  const signs = ((): DangerSign[] => {
    if (braced.pulse !== 'absent') return braced.pulse === 'weak' ? ['pulse-weak'] : [];
    if (region === 'shoulder') return ['hand-without-pulse'];
    return [isCold || isSlow(braced) || wasThere ? 'no-pulse' : 'pulse-weak'];
  })();
  const slow = !isSlow(braced) ? undefined : isSlow(last[other]) ? 'both' : 'braced';
  return { last, refill: braced.refill, slow, signs };
}
