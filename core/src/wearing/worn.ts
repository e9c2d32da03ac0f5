import type { Minutes } from '../quantity';

/*
 * Hours worn from a logged temperature: between skin and brace it is warm while the brace is on. What is not known is not
 * counted as not worn.
 */

/** How a logged temperature is read. All of it is an estimate that the clinic can change for its sensor. */
export interface WornRule {
  /** from this on it is on the body, °C */
  on: number;
  /** at this or under it, it is off again, °C */
  off: number;
  /** no skin is so warm: a sensor in the sun, not on a body, °C */
  tooHot: number;
  /** samples further apart than this leave what is between them unknown, minutes */
  gap: Minutes;
}

export const usualWornRule: WornRule = { on: 31, off: 28, tooHot: 41, gap: 15 };

/** What of a rule cannot be. */
export const wornRuleProblems = ({ on, off, tooHot, gap }: WornRule): string[] => [
  ...(off < on ? [] : ['off-not-below-on']),
  ...(tooHot > on ? [] : ['too-hot-not-above-on']),
  ...(gap > 0 ? [] : ['no-gap']),
];

/** A logged series: instants in milliseconds, rising, and what was read at each, °C. */
export interface TemperatureSeries {
  at: Float64Array;
  celsius: Float64Array;
}

export interface WornDay {
  /** the instant the day begins */
  from: number;
  worn: Minutes;
  /** nobody knows: no sample, samples too far apart, a broken sensor, or too long between on and off */
  unknown: Minutes;
  /** of the unknown: too long between on and off, in a warm room or on a cool skin */
  between: Minutes;
}

/** Longer than this between on and off it is a warm room, or a skin under the rule: nobody knows. An estimate. */
export const longestBetween: Minutes = 30;

/** A day with more than this worn is doubtful: a brace comes off to wash. An estimate. */
const mostWorn: Minutes = 23 * 60;
export const isDoubtful = ({ worn }: { worn: Minutes }): boolean => worn > mostWorn;

/**
 * Minutes worn by day. A stretch between two samples counts as it was at its first one: on from `on` upwards, off at `off` or
 * under, between them as it was before (hysteresis), but not for long: a room as warm as that, or a skin that never comes to the
 * rule, is unknown. Hotter than any skin is off. What lies before the first sample, after the last, in a gap, or at a sample that
 * is no number is unknown.
 * @param series rising in time
 * @param dayStarts instants at which days begin, rising, one more than there are days: local days differ in length
 */
export function wornByDay(
  { at, celsius }: TemperatureSeries,
  dayStarts: readonly number[],
  rule: WornRule = usualWornRule,
): WornDay[] {
  const days = dayStarts.slice(0, -1).map((from): WornDay => ({ from, worn: 0, unknown: 0, between: 0 }));
  const gap = rule.gap * 60_000;
  let day = 0;
  /** adds a stretch to the days it lies in */
  const add = (from: number, until: number, what: 'worn' | 'unknown' | 'between' | undefined) => {
    if (what === undefined) return;
    while (day < days.length && dayStarts[day + 1]! <= from) day += 1;
    for (let i = day, start = Math.max(from, dayStarts[0]!); i < days.length && start < until; i += 1) {
      const end = Math.min(until, dayStarts[i + 1]!);
      if (end > start) {
        const minutes = (end - start) / 60_000;
        days[i]![what === 'worn' ? 'worn' : 'unknown'] += minutes;
        if (what === 'between') days[i]!.between += minutes;
        start = end;
      }
    }
  };
  const isBetween = (i: number) => celsius[i]! > rule.off && celsius[i]! < rule.on;
  /** the end of the stretch of samples between on and off that one begins: the next other sample, a gap, or the last */
  const endOfBetween = (first: number): number => {
    let i = first;
    while (i + 1 < at.length && at[i + 1]! - at[i]! <= gap && isBetween(i + 1)) i += 1;
    return i + 1 < at.length && at[i + 1]! - at[i]! <= gap ? i + 1 : i;
  };
  const first = at[0] ?? Infinity;
  add(dayStarts[0]!, Math.min(first, dayStarts.at(-1)!), 'unknown');
  let on = false;
  /** until this sample it is too long between on and off to know */
  let unknownUntil = -1;
  let lookedUntil = -1;
  for (let i = 0; i < at.length; i += 1) {
    const t = celsius[i]!;
    if (Number.isNaN(t)) on = false;
    else if (t > rule.tooHot || t <= rule.off) on = false;
    else if (t >= rule.on) on = true;
    else if (i > lookedUntil) {
      lookedUntil = endOfBetween(i);
      if (at[lookedUntil]! - at[i]! > longestBetween * 60_000) unknownUntil = lookedUntil;
      // the next stretch begins behind this one
      lookedUntil -= 1;
    }
    const next = i + 1 < at.length ? at[i + 1]! : at[i]!;
    if (next - at[i]! > gap) {
      add(at[i]!, next, 'unknown');
      on = false;
    } else if (Number.isNaN(t)) add(at[i]!, next, 'unknown');
    else if (isBetween(i) && i < unknownUntil) add(at[i]!, next, 'between');
    else add(at[i]!, next, on ? 'worn' : undefined);
  }
  if (at.length > 0) add(at[at.length - 1]!, dayStarts.at(-1)!, 'unknown');
  return days;
}
