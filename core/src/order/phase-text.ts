import type { MotionWindow } from './limits';
import type { lockMoments, weightBearing } from './order-body';

/*
 * A schedule as prescribers write it: "wk 0-2 0-30 locked walking; wk 3-4 0-60". It is read, never guessed: what was not
 * understood is given back, what was left unsaid is asked for, and nothing of it counts before somebody has confirmed it.
 */

export interface ReadPhase {
  /** the piece of text it was read from */
  text: string;
  /** days after day zero, both included; without a last day it goes on */
  fromDay: number;
  lastDay?: number;
  window: MotionWindow;
  /** the motion is said to be free, not left unsaid */
  free?: true;
  /** locked: at this angle, and when; an angle or a time that was not said is asked for */
  lock?: { at?: number; when?: (typeof lockMoments)[number] };
  weight?: (typeof weightBearing)[number];
}

/** What somebody has to say because the text does not. */
export type PhaseQuestion =
  | 'lock-angle'
  | 'lock-when'
  | 'extension-limit'
  | 'flexion-limit'
  | 'window-reversed'
  | 'days-not-rising'
  | 'begins-late'
  | 'gap-before';

export interface ReadSchedule {
  phases: (ReadPhase & { asks: PhaseQuestion[] })[];
  /** words and pieces that were not understood, as they stood */
  notUnderstood: string[];
  /** how numbers of weeks were read, where the text has weeks */
  weeks?: WeekReading;
}

/**
 * How "weeks 0-2" is read: as two points in time (day 0 to day 14), or as numbered weeks, each from its first to its last day,
 * counted from 0 or from 1.
 */
export const weekReadings = ['points', 'from-0', 'from-1'] as const;
export type WeekReading = (typeof weekReadings)[number];

interface Span {
  unit: 'day' | 'week';
  from: number;
  /** none: it goes on */
  to?: number;
}

const unitWords = { day: /^(d|day|days)\.?$/, week: /^(w|wk|wks|week|weeks)\.?$/ } as const;
const number = '[-−]?\\d{1,3}';
const range = new RegExp(`^(${number})°?(?:-|–|—|/|to)(${number})°?$`);
const one = new RegExp(`^(${number})(°?)(\\+?)$`);
const asNumber = (text: string): number => Number(text.replace('−', '-'));
const unitOf = (word: string): Span['unit'] | undefined =>
  (Object.keys(unitWords) as Span['unit'][]).find((unit) => unitWords[unit].test(word));

/** Words that join and say nothing. */
const joining = new Set([
  'from',
  'and',
  'at',
  'in',
  'then',
  'with',
  'of',
  'the',
  'rom',
  'motion',
  'range',
  'for',
  'knee',
  'on',
  'onwards',
  'onward',
  'after',
]);
const lockWords = new Set(['locked', 'lock']);
const freeWords = new Set(['free', 'full', 'unlimited', 'unrestricted']);
const whenWords: Readonly<Record<string, (typeof lockMoments)[number]>> = {
  walking: 'walking',
  ambulation: 'walking',
  gait: 'walking',
  sleeping: 'sleeping',
  sleep: 'sleeping',
  night: 'sleeping',
  nights: 'sleeping',
  always: 'always',
};
const weightWords: Readonly<Record<string, (typeof weightBearing)[number]>> = {
  nwb: 'none',
  ttwb: 'touch',
  tdwb: 'touch',
  pwb: 'partial',
  wbat: 'as-tolerated',
  fwb: 'full',
};

/** "0 - 30" and "0 to 30" are one word, "wk0" is two. */
const wordsIn = (piece: string): string[] =>
  piece
    .toLowerCase()
    .replace(/(\d°?)\s*(?:[–—]|\bto\b)\s*(?=[-−]?\d)/g, '$1-')
    .replace(/(\d°?)\s+-\s+(?=\d)/g, '$1-')
    .replace(/\b(d|day|days|w|wk|wks|week|weeks)\.?(?=\d)/g, '$1 ')
    .replace(/(\d)(?=(?:d|day|days|w|wk|wks|week|weeks)\b)/g, '$1 ')
    .split(/[\s,:()]+/)
    .filter(Boolean);

type Half = Omit<ReadPhase, 'fromDay' | 'lastDay'> & { span?: Span; left: string[] };

/** One piece, word by word; a word that has no place is left. */
function readPiece(text: string): Half {
  const words = wordsIn(text);
  const left: string[] = [];
  const half: Half = { text, window: {}, left };
  let lockAngleNext = false;
  for (let at = 0; at < words.length; at += 1) {
    const word = words[at]!;
    const unit = unitOf(word);
    const next = words[at + 1] ?? '';
    const pair = range.exec(word);
    const single = one.exec(word);
    // "wk 0-2", "0-2 wk", "wk 6+"
    if (unit && half.span === undefined && (range.test(next) || one.test(next))) {
      half.span = spanOf(unit, next);
      at += 1;
    } else if ((pair ?? single) && unitOf(next) && half.span === undefined) {
      half.span = spanOf(unitOf(next)!, word);
      at += 1;
    } else if (lockWords.has(word)) {
      half.lock = { ...half.lock };
      lockAngleNext = true;
    } else if (whenWords[word] && half.lock) half.lock.when = whenWords[word];
    else if (word === 'extension' && half.lock && half.lock.at === undefined) {
      half.lock.at = 0;
      lockAngleNext = false;
    } else if (lockAngleNext && single && !pair) {
      half.lock!.at = asNumber(single[1]!);
      lockAngleNext = false;
    } else if (pair && half.window.extension === undefined && half.window.flexion === undefined && !half.free)
      half.window = { extension: asNumber(pair[1]!), flexion: asNumber(pair[2]!) };
    else if (/^(ext|extension)$/.test(word) && one.test(next) && half.window.extension === undefined) {
      half.window = { ...half.window, extension: asNumber(one.exec(next)![1]!) };
      at += 1;
    } else if (/^(flex|flexion)$/.test(word) && one.test(next) && half.window.flexion === undefined) {
      half.window = { ...half.window, flexion: asNumber(one.exec(next)![1]!) };
      at += 1;
    } else if (
      freeWords.has(word) &&
      half.window.extension === undefined &&
      half.window.flexion === undefined
    )
      half.free = true;
    else if (weightWords[word] && half.weight === undefined) half.weight = weightWords[word];
    else if (!joining.has(word)) left.push(word);
  }
  return half;
}

function spanOf(unit: Span['unit'], word: string): Span {
  const pair = range.exec(word);
  if (pair) return { unit, from: asNumber(pair[1]!), to: asNumber(pair[2]!) };
  return { unit, from: asNumber(one.exec(word)![1]!) };
}

/**
 * A span of days or weeks as days after day zero, both included. Points meet: on the day on which one ends the next begins, so
 * that its last day is the one before. A numbered week or day alone has no end of its own.
 */
function daysOf({ unit, from, to }: Span, weeks: WeekReading): { fromDay: number; lastDay?: number } {
  const until = (last: number | undefined) => (last === undefined ? {} : { lastDay: last });
  // days are numbered from day zero on
  if (unit === 'day') return { fromDay: from, ...until(to) };
  if (weeks === 'points') return { fromDay: 7 * from, ...until(to === undefined ? to : 7 * to - 1) };
  const before = weeks === 'from-1' ? 1 : 0;
  return { fromDay: 7 * (from - before), ...until(to === undefined ? to : 7 * (to - before) + 6) };
}

/** Weeks that meet ("0-2, 2-4") are points in time; weeks that follow ("0-2, 3-4") are numbered, from 1 where none is 0. */
function weeksAsWritten(spans: readonly Span[]): WeekReading {
  const weeks = spans.filter(({ unit }) => unit === 'week');
  const meet = weeks.some(({ from }, i) => i > 0 && weeks[i - 1]!.to === from);
  if (meet) return 'points';
  return weeks[0]?.from === 1 ? 'from-1' : 'from-0';
}

/**
 * Reads phases of an order out of text, piece by piece: lines, or parts between semicolons.
 * @param text as it was pasted, at most some thousand characters
 * @param weeks how weeks are meant, where somebody has said it; else by how they follow each other
 */
export function readPhases(text: string, weeks?: WeekReading): ReadSchedule {
  const pieces = text
    .slice(0, 4000)
    .split(/[;\n]+/)
    .map((piece) => piece.trim())
    .filter(Boolean);
  const halves = pieces.map(readPiece);
  const withDays = halves.filter((half): half is Half & { span: Span } => half.span !== undefined);
  const spans = withDays.map(({ span }) => span);
  const reading = weeks ?? weeksAsWritten(spans);
  const days = spans.map((span) => daysOf(span, reading));
  // days that meet: on the day on which one ends the next begins
  const spanOfDays = days.map(({ fromDay, lastDay }, i) => ({
    fromDay,
    ...(lastDay === undefined ? {} : { lastDay: days[i + 1]?.fromDay === lastDay ? lastDay - 1 : lastDay }),
  }));
  const phases = withDays.map(({ span: _span, left: _left, ...phase }, i) => {
    const read = { ...phase, ...spanOfDays[i]! };
    return { ...read, asks: questionsOf(read, spanOfDays[i - 1]) };
  });
  return {
    phases,
    notUnderstood: halves.flatMap(({ span, text: piece, left }) => (span === undefined ? [piece] : left)),
    ...(spans.some(({ unit }) => unit === 'week') ? { weeks: reading } : {}),
  };
}

function questionsOf(
  { window: { extension, flexion }, free, lock, fromDay, lastDay }: ReadPhase,
  before: { fromDay: number; lastDay?: number } | undefined,
): PhaseQuestion[] {
  const needsLimits = !free && lock?.when !== 'always';
  return [
    ...(lock && lock.at === undefined ? (['lock-angle'] as const) : []),
    ...(lock && lock.when === undefined ? (['lock-when'] as const) : []),
    ...(needsLimits && extension === undefined ? (['extension-limit'] as const) : []),
    ...(needsLimits && flexion === undefined ? (['flexion-limit'] as const) : []),
    ...(extension !== undefined && flexion !== undefined && extension > flexion
      ? (['window-reversed'] as const)
      : []),
    ...((before && fromDay <= before.fromDay) || (lastDay !== undefined && lastDay < fromDay)
      ? (['days-not-rising'] as const)
      : []),
    ...(before === undefined && fromDay > 0 ? (['begins-late'] as const) : []),
    ...(before?.lastDay !== undefined && fromDay > before.lastDay + 1 ? (['gap-before'] as const) : []),
  ];
}
