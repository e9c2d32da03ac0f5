import type { Joint } from '../anatomy';
import { clinicDay, daysBetween, type ClinicDay } from '../calendar';
import type { MotionWindow } from './limits';
import {
  dorsalWords,
  extensionWords,
  firstWords,
  flexionWords,
  forWords,
  freePhrases,
  fromWords,
  joining,
  joints,
  lockTimes,
  lockWords,
  months,
  numbers,
  onwards,
  plantarWords,
  straight,
  thenWords,
  units,
  untilWords,
  weightPhrases,
  type LockMoment,
  type TimeUnit,
  type Weight,
} from './phase-words';

/*
 * A schedule as prescribers write it: "0-60 for 2 weeks locked walking, then 0-90 until week 6". It is read, never guessed: what
 * was not understood is given back, what may be meant two ways is asked, and nothing of it counts before both are settled.
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
  lock?: { at?: number; when: LockMoment[] };
  weight?: Weight;
}

/** What somebody has to say because the text does not, or may mean two things. */
export type PhaseQuestion =
  | 'lock-angle'
  | 'lock-when'
  | 'extension-limit'
  | 'flexion-limit'
  | 'window-reversed'
  | 'days-not-rising'
  | 'begins-late'
  | 'begin-not-said'
  | 'minus'
  | 'free-or-locked'
  | 'until-week'
  | 'week-reading';

export interface ReadSchedule {
  phases: (ReadPhase & { asks: PhaseQuestion[]; gapBefore?: true })[];
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

/** What "until week 6" means: until it begins, on day 35, or until six weeks are over, on day 42. */
export const untilReadings = ['week-begins', 'weeks-over'] as const;
/** What a minus means: short of straight by so much, or beyond it. */
export const minusReadings = ['deficit', 'beyond'] as const;

/** What is known where a text is read, and what somebody has answered of it. */
export interface ReadingOf {
  weeks?: WeekReading | undefined;
  until?: (typeof untilReadings)[number] | undefined;
  minus?: (typeof minusReadings)[number] | undefined;
  /** the joint that the brace is for: what is said of another one is not read */
  joint?: Joint | undefined;
  /** the day that dates are counted from; without it no date is read */
  dayZero?: ClinicDay | undefined;
}

type Token =
  | { kind: 'number'; value: number; text: string; open?: true }
  | { kind: 'range'; from: number; to: number; text: string }
  | { kind: 'fraction'; days: number; text: string }
  | { kind: 'date'; day: ClinicDay; text: string }
  | { kind: 'word'; text: string };

interface Point {
  unit: TimeUnit | 'date';
  n: number;
  /** so many of them have passed: "6 weeks" */
  after?: true;
  /** it begins when the one that is named is over: "after week 2" */
  over?: true;
}
interface Half extends Omit<ReadPhase, 'fromDay' | 'lastDay'> {
  span?: { unit: TimeUnit; from: number; to?: number };
  begin?: Point;
  end?: Point;
  days?: number;
  otherJoint?: true;
  left: string[];
}

/** A range of more weeks than this is one of degrees. An estimate. */
const mostWeeks = 12;

const plain = (text: string): string =>
  text
    .normalize('NFD')
    .replace(/\p{M}/gu, '')
    .toLowerCase()
    .replace(/[−–—]/g, '-')
    .replace(/°|º|\bdegrees?\b|\bdegs?\b|\bgrados?\b/g, ' ')
    .replace(/-(?=[a-z])/g, ' ');

/** The words, numbers, ranges and dates of a piece. */
function tokensOf(piece: string, dayZero: ClinicDay | undefined): Token[] {
  const text = plain(piece)
    // "wk0" and "2wk" are two words each
    .replace(/([a-z])(?=\d)/g, '$1 ')
    .replace(/(\d)(?=[a-z])/g, '$1 ')
    .replace(/(\d)\s*(?:-|\bto\b|\ba\b)\s*(?=-?\d)/g, '$1..')
    .replace(/(\d)\s*\/\s*(?=-?\d)/g, '$1/')
    .replace(/([,:()])/g, ' $1 ')
    .replace(/\.(?=\s|$)/g, ' ');
  const raw = text.split(/\s+/).filter(Boolean);
  const tokens: Token[] = [];
  for (let at = 0; at < raw.length; at += 1) {
    const word = raw[at]!;
    const found = dateAt(raw, at, dayZero);
    if (found) {
      tokens.push({ kind: 'date', day: found.day, text: raw.slice(at, at + found.length).join(' ') });
      at += found.length - 1;
      continue;
    }
    const fraction = /^(\d{1,2})\/(52|7)$/.exec(word);
    const range = /^(-?\d{1,3})(?:\.\.|\/)(-?\d{1,3})$/.exec(word);
    const number = /^(-?\d{1,3})(\+?)$/.exec(word);
    if (fraction)
      tokens.push({
        kind: 'fraction',
        days: Number(fraction[1]) * (fraction[2] === '52' ? 7 : 1),
        text: word,
      });
    else if (range)
      tokens.push({
        kind: 'range',
        from: Number(range[1]),
        to: Number(range[2]),
        text: word.replace('..', '-'),
      });
    else if (number)
      tokens.push({
        kind: 'number',
        value: Number(number[1]),
        text: word,
        ...(number[2] ? { open: true as const } : {}),
      });
    else if (numbers[word] !== undefined) tokens.push({ kind: 'number', value: numbers[word], text: word });
    else tokens.push({ kind: 'word', text: word });
  }
  return tokens;
}

/** A date at a place: "2026-12-14", "14 dec 2026", "14 de diciembre"; one whose day and month may be swapped is none. */
function dateAt(
  raw: readonly string[],
  at: number,
  dayZero: ClinicDay | undefined,
): { day: ClinicDay; length: number } | undefined {
  if (dayZero === undefined) return undefined;
  const two = (n: number) => String(n).padStart(2, '0');
  const iso = /^(\d{4})\.\.(\d{1,2})\.\.(\d{1,2})$/.exec(raw[at]!);
  if (iso) {
    const day = clinicDay(`${iso[1]}-${two(Number(iso[2]))}-${two(Number(iso[3]))}`);
    return day === undefined ? undefined : { day, length: 1 };
  }
  if (!/^\d{1,2}$/.test(raw[at]!)) return undefined;
  let next = at + 1;
  if (raw[next] === 'de') next += 1;
  const month = months[raw[next] ?? ''];
  if (month === undefined) return undefined;
  next += 1;
  if (raw[next] === 'de' && /^\d{4}$/.test(raw[next + 1] ?? '')) next += 1;
  const said = /^\d{4}$/.test(raw[next] ?? '') ? Number(raw[next]) : undefined;
  const inYear = (year: number) => clinicDay(`${year}-${two(month)}-${two(Number(raw[at]))}`);
  const year = Number(dayZero.slice(0, 4));
  // without a year it is the first such day from day zero on
  const day =
    said === undefined
      ? [inYear(year), inYear(year + 1)].find((one) => one !== undefined && one >= dayZero)
      : inYear(said);
  return day === undefined ? undefined : { day, length: next - at + (said === undefined ? 0 : 1) };
}

/** Reads one line, token by token; a phase that is complete is closed where the next one begins. */
class Line {
  readonly halves: Half[] = [];
  private half: Half = { text: '', window: {}, left: [] };
  private at = 0;
  private began = 0;

  constructor(
    private readonly tokens: readonly Token[],
    private readonly of: ReadingOf,
  ) {}

  read(): Half[] {
    while (this.at < this.tokens.length) {
      const before = this.at;
      if (this.phrase(thenWords) !== undefined) {
        this.close(before);
        continue;
      }
      const known =
        this.time() ||
        this.lock() ||
        this.weight() ||
        this.free() ||
        this.motion() ||
        this.joint() ||
        this.joins();
      if (!known) {
        this.half.left.push(this.tokens[this.at]!.text);
        this.at += 1;
      }
    }
    this.close(this.tokens.length);
    return this.halves;
  }

  private close(until: number): void {
    const text = this.tokens.slice(this.began, until).map((token) => token.text);
    const words = text.filter((word) => word !== ',').join(' ');
    if (words !== '') this.halves.push({ ...this.half, text: words });
    this.half = { text: '', window: {}, left: [] };
    this.began = this.at;
  }

  private word(ahead = 0): string | undefined {
    const token = this.tokens[this.at + ahead];
    return token?.kind === 'word' ? token.text : undefined;
  }
  private number(ahead = 0): (Token & { kind: 'number' }) | undefined {
    const token = this.tokens[this.at + ahead];
    return token?.kind === 'number' ? token : undefined;
  }
  private range(ahead = 0): (Token & { kind: 'range' }) | undefined {
    const token = this.tokens[this.at + ahead];
    return token?.kind === 'range' ? token : undefined;
  }
  private unit(ahead = 0): TimeUnit | undefined {
    return units[this.word(ahead) ?? ''];
  }

  /** Takes the longest phrase that stands here. */
  private phrase<T>(of: readonly { words: string[]; means: T }[], ahead = 0): T | undefined {
    const found = of.find(({ words }) => words.every((word, i) => this.word(ahead + i) === word));
    if (found) this.at += ahead + found.words.length;
    return found?.means;
  }
  /** The first place from here on at which no article and no joining word stands. */
  private pastArticles(ahead: number): number {
    let next = ahead;
    while (
      ['la', 'el', 'las', 'los', 'the', 'in', 'en', 'at', 'a', 'de', 'end', 'of'].includes(
        this.word(next) ?? '',
      )
    )
      next += 1;
    return next;
  }

  private get hasTime(): boolean {
    const { span, begin, end, days } = this.half;
    return span !== undefined || begin !== undefined || end !== undefined || days !== undefined;
  }
  private get hasContent(): boolean {
    const { window, free, lock, weight } = this.half;
    return Object.keys(window).length > 0 || free === true || lock !== undefined || weight !== undefined;
  }
  /** A second span, or a second window, begins the next phase. */
  private next(): void {
    const mark = this.at;
    this.close(mark);
  }

  private point(ahead: number): { point: Point; length: number } | undefined {
    const from = this.pastArticles(ahead);
    const token = this.tokens[this.at + from];
    if (token?.kind === 'date')
      return { point: { unit: 'date', n: daysBetween(this.of.dayZero!, token.day) }, length: from + 1 };
    const unit = this.unit(from);
    const after = this.number(from + 1);
    if (unit && after && after.value >= 0) return { point: { unit, n: after.value }, length: from + 2 };
    const number = this.number(from);
    const behind = this.unit(from + 1);
    return number && behind && number.value >= 0
      ? { point: { unit: behind, n: number.value, after: true }, length: from + 2 }
      : undefined;
  }

  private time(): boolean {
    return this.until() || this.from() || this.duration() || this.span();
  }

  private until(): boolean {
    const start = this.at;
    if (this.phrase(untilWords) === undefined) return false;
    const found = this.point(0);
    if (!found || this.half.end) {
      this.at = start;
      return false;
    }
    this.half.end = found.point;
    this.at += found.length;
    return true;
  }

  private from(): boolean {
    const start = this.at;
    const how = this.phrase(fromWords);
    if (how === undefined) return false;
    const found = this.point(0);
    if (!found) {
      this.at = start;
      return false;
    }
    // what is begun anew is the next phase
    if (this.hasTime && this.hasContent) {
      const after = this.at;
      this.at = start;
      this.next();
      this.at = after;
    }
    const isNamed = found.point.unit === 'week' && !found.point.after;
    this.half.begin = {
      ...found.point,
      ...(how !== 'after' ? {} : isNamed ? { over: true as const } : { after: true as const }),
    };
    this.at += found.length;
    if (onwards.includes(this.word() ?? '')) this.at += 1;
    else if (this.word() === 'en' && onwards.includes(this.word(1) ?? '')) this.at += 2;
    return true;
  }

  private duration(): boolean {
    const start = this.at;
    const isFor = this.phrase(forWords) !== undefined;
    const from = this.pastArticles(0);
    const isFirst = firstWords.includes(this.word(from) ?? '');
    const at = isFirst ? from + 1 : isFor ? from : 0;
    const token = this.tokens[this.at + at];
    const unit = this.unit(at + 1);
    const days =
      token?.kind === 'fraction'
        ? token.days
        : token?.kind === 'number' && unit && token.value > 0 && !token.open
          ? token.value * (unit === 'week' ? 7 : 1)
          : undefined;
    if (days === undefined) {
      this.at = start;
      return false;
    }
    if (this.half.days !== undefined) {
      if (!this.hasContent) {
        this.at = start;
        return false;
      }
      this.at = start;
      this.next();
      return this.duration();
    }
    this.half.days = days;
    this.at += at + (token!.kind === 'fraction' ? 1 : 2);
    return true;
  }

  private span(): boolean {
    const unit = this.unit();
    const range = unit ? this.range(1) : this.range();
    const number = unit ? this.number(1) : undefined;
    const behind = !unit && range ? this.unit(1) : undefined;
    if (!(unit && (range ?? number)) && !behind) return false;
    // "0-30 weeks 0-2": the unit may go with either range, and is read only where one of them can be no weeks
    const other = behind ? this.range(2) : undefined;
    if (range && other) {
      const [first, second] = [range, other].map(({ to }) => behind === 'week' && to <= mostWeeks);
      if (second && !first) return false;
      if (first === second) {
        this.at += 3;
        return this.leave(`${range.text} ${other.text}`);
      }
    }
    if (this.hasTime) {
      if (!this.hasContent) return false;
      this.next();
      return this.span();
    }
    const of = (unit ?? behind)!;
    this.at += 2;
    if (range) {
      if (range.from < 0 || range.to < 0) return this.leave(range.text);
      this.half.span = { unit: of, from: range.from, to: range.to };
      return true;
    }
    // "week 2 to week 4"
    const to = ['to', 'a', 'until'].includes(this.word() ?? '') ? this.pastArticles(1) : undefined;
    const last = to !== undefined && this.unit(to) === of ? this.number(to + 1) : undefined;
    if (number!.value < 0) return this.leave(number!.text);
    this.half.span = { unit: of, from: number!.value, ...(last ? { to: last.value } : {}) };
    if (last) this.at += to! + 2;
    else if (onwards.includes(this.word() ?? '')) this.at += 1;
    else if (this.word() === 'en' && onwards.includes(this.word(1) ?? '')) this.at += 2;
    return true;
  }
  private leave(text: string): true {
    this.half.left.push(text);
    return true;
  }

  private lock(): boolean {
    if (lockWords.includes(this.word() ?? '')) {
      this.at += 1;
      const when = this.half.lock?.when ?? [];
      this.half.lock = { ...this.half.lock, when };
      const at = this.angle(this.pastArticles(0));
      if (at) {
        if (this.half.lock.at !== undefined && this.half.lock.at !== at.angle) this.half.left.push('lock');
        this.half.lock.at = at.angle;
        this.at += at.length;
      }
      return true;
    }
    // equinus is an ankle that is held at its angle
    if (
      this.of.joint === 'ankle' &&
      plantarWords.includes(this.word() ?? '') &&
      this.number(1) &&
      !this.half.lock
    ) {
      this.half.lock = { at: this.number(1)!.value, when: ['always'] };
      this.at += 2;
      return true;
    }
    if (this.half.lock) {
      const moment = this.phrase(lockTimes);
      if (moment !== undefined) {
        if (!this.half.lock.when.includes(moment)) this.half.lock.when.push(moment);
        return true;
      }
    }
    return false;
  }

  /** An angle with the end it goes towards: "20", "20 flexion", "20 PF", "full extension", "neutral". */
  private angle(ahead: number): { angle: number; length: number } | undefined {
    const straightHere = straight.find(({ words }) =>
      words.every((word, i) => this.word(ahead + i) === word),
    );
    if (straightHere) return { angle: 0, length: ahead + straightHere.words.length };
    const word = this.word(ahead) ?? '';
    if (['neutral', 'neutro'].includes(word)) return { angle: 0, length: ahead + 1 };
    const own = this.number(ahead + 1);
    // "extension" alone is straight; with a number behind it that is asked for
    if (extensionWords.includes(word))
      return own
        ? own.value === 0
          ? { angle: 0, length: ahead + 2 }
          : undefined
        : { angle: 0, length: ahead + 1 };
    if ([...flexionWords, ...plantarWords].includes(word) && own)
      return { angle: own.value, length: ahead + 2 };
    if (dorsalWords.includes(word) && own) return { angle: -own.value || 0, length: ahead + 2 };
    const number = this.number(ahead);
    if (!number || number.open || this.unit(ahead + 1)) return undefined;
    let next = ahead + 1;
    if (['of', 'de'].includes(this.word(next) ?? '')) next += 1;
    const end = this.word(next) ?? '';
    if ([...flexionWords, ...plantarWords].includes(end)) return { angle: number.value, length: next + 1 };
    if (dorsalWords.includes(end)) return { angle: -number.value || 0, length: next + 1 };
    if (extensionWords.includes(end) && number.value === 0) return { angle: 0, length: next + 1 };
    return { angle: number.value, length: ahead + 1 };
  }

  private weight(): boolean {
    if (this.half.weight !== undefined) return false;
    const weight = this.phrase(weightPhrases);
    if (weight === undefined) return false;
    this.half.weight = weight;
    return true;
  }

  private free(): boolean {
    const start = this.at;
    if (this.phrase(freePhrases) !== undefined) {
      if (Object.keys(this.half.window).length > 0) {
        this.at = start;
        return false;
      }
      this.half.free = true;
      return true;
    }
    // "full" is motion only where nothing stands beside it that is full
    const isAlone = [undefined, ','].includes(this.word(1)) && this.tokens[this.at + 1]?.kind !== 'number';
    if (this.word() === 'full' && isAlone && !this.hasContent) {
      this.half.free = true;
      this.at += 1;
      return true;
    }
    return false;
  }

  private motion(): boolean {
    const range = this.range();
    const { window } = this.half;
    if (range) {
      if (this.half.free) return false;
      if (window.extension !== undefined || window.flexion !== undefined) {
        if (!this.hasTime) return false;
        this.next();
        return this.motion();
      }
      this.half.window = { extension: range.from, flexion: range.to };
      this.at += 1;
      return true;
    }
    // "from full extension to 90"
    const start = this.at;
    if (
      !this.half.lock &&
      window.extension === undefined &&
      straight.some(({ words }) => words.every((word, i) => this.word(i) === word))
    ) {
      this.phrase(straight);
      this.half.window = { ...window, extension: 0 };
      if (['to', 'a', 'hasta'].includes(this.word() ?? '') && this.number(1) && !this.unit(2)) {
        this.half.window.flexion = this.number(1)!.value;
        this.at += 2;
      }
      return true;
    }
    this.at = start;
    const word = this.word() ?? '';
    const end = extensionWords.includes(word)
      ? 'extension'
      : flexionWords.includes(word)
        ? 'flexion'
        : undefined;
    if (!end || this.half.free || this.half.window[end] !== undefined) return false;
    let next = 1;
    while (
      ['to', 'up', 'at', 'a', 'hasta', 'limited', 'limitada', 'stop', 'block', 'tope'].includes(
        this.word(next) ?? '',
      )
    )
      next += 1;
    const number = this.number(next);
    if (!number || number.open || this.unit(next + 1)) return false;
    this.half.window = { ...this.half.window, [end]: number.value };
    this.at += next + 1;
    return true;
  }

  private joint(): boolean {
    const joint = joints[this.word() ?? ''];
    if (joint === undefined) return false;
    if (this.of.joint !== undefined && joint !== this.of.joint) this.half.otherJoint = true;
    this.at += 1;
    return true;
  }

  private joins(): boolean {
    const word = this.word();
    if (word === undefined || !joining.has(word)) return false;
    this.at += 1;
    return true;
  }
}

/** The first day of a numbered week, and how a point in weeks is read. */
const weekBegins = (n: number, reading: WeekReading): number =>
  7 * (reading === 'from-1' ? Math.max(0, n - 1) : n);

/** The day on which something begins that is said in weeks. */
const dayOfWeek = ({ n, after, over }: Point, reading: WeekReading): number => {
  if (after) return 7 * n;
  // after a numbered week comes the next one
  if (over) return reading === 'points' ? 7 * n : weekBegins(n + 1, reading);
  return weekBegins(n, reading);
};

/** A span of days or weeks as days after day zero, both included. */
function daysOfSpan(
  { unit, from, to }: NonNullable<Half['span']>,
  reading: WeekReading,
): { fromDay: number; lastDay?: number } {
  const until = (last: number | undefined) => (last === undefined ? {} : { lastDay: last });
  // days are numbered from day zero on
  if (unit === 'day') return { fromDay: from, ...until(to) };
  if (reading === 'points') return { fromDay: 7 * from, ...until(to === undefined ? to : 7 * to - 1) };
  const before = reading === 'from-1' ? 1 : 0;
  return { fromDay: 7 * (from - before), ...until(to === undefined ? to : 7 * (to - before) + 6) };
}

/**
 * How weeks are written: those that meet ("0-2, 2-4") are points in time; those counted from 1 are numbered. What follows
 * otherwise may be meant either way, and is asked.
 */
function weeksAsWritten(halves: readonly Half[]): { reading: WeekReading; asks: boolean } | undefined {
  const spans = halves.flatMap(({ span }) => (span?.unit === 'week' ? [span] : []));
  const begins = halves.flatMap(({ begin }) => (begin?.unit === 'week' && !begin.after ? [begin] : []));
  if (spans.length === 0 && begins.length === 0) return undefined;
  const meet = spans.some(({ from }, i) => i > 0 && spans[i - 1]!.to === from);
  if (meet) return { reading: 'points', asks: false };
  if (spans[0]?.from === 1) return { reading: 'from-1', asks: false };
  // one week alone that follows what has an end begins where that ends, however weeks are counted
  return { reading: 'from-0', asks: spans.length > 0 || begins.length > 0 };
}

/** "For 2 weeks, after week 2": what begins where the one before ends, in days, is no question of how weeks are counted. */
function weekThatMeets(half: Half, i: number, halves: readonly Half[]): Half {
  const before = halves[i - 1];
  const { begin } = half;
  if (!before || !begin?.over) return half;
  const last =
    before.end && before.end.unit !== 'week'
      ? before.end.n
      : before.span?.unit === 'day'
        ? before.span.to
        : i === 1 && !before.begin && before.days !== undefined
          ? before.days - 1
          : undefined;
  return last === 7 * begin.n - 1 ? { ...half, begin: { ...begin, after: true } } : half;
}

/**
 * Reads phases of an order out of text: lines, parts between semicolons, what "then" parts, and what a second span begins.
 * @param text as it was pasted, at most some thousand characters
 * @param of what is known of the brace, and what somebody has answered
 */
export function readPhases(text: string, of: ReadingOf = {}): ReadSchedule {
  const pieces = text
    .slice(0, 4000)
    .split(/[;\n]+/)
    .map((piece) => piece.trim())
    .filter(Boolean);
  const all = pieces.flatMap((piece) => new Line(tokensOf(piece, of.dayZero), of).read());
  const isPhase = ({ span, begin, end, days, window, free, lock, weight, otherJoint }: Half) =>
    !otherJoint &&
    (span !== undefined ||
      begin !== undefined ||
      end !== undefined ||
      days !== undefined ||
      Object.keys(window).length > 0 ||
      free === true ||
      lock !== undefined ||
      weight !== undefined);
  const halves = all.filter(isPhase).map(weekThatMeets);
  const written = weeksAsWritten(halves);
  const reading = of.weeks ?? written?.reading ?? 'points';
  const asksWeeks = of.weeks === undefined && written?.asks === true;
  const phases: ReadSchedule['phases'] = [];
  halves.forEach((half, i) => {
    const before = phases.at(-1);
    const days = daysOfHalf(half, before, halves[i + 1], reading, of);
    const read = signed(
      {
        ...contentOf(half),
        fromDay: days.fromDay,
        ...(days.lastDay === undefined ? {} : { lastDay: days.lastDay }),
      },
      of,
    );
    phases.push({
      ...read,
      asks: [
        ...questionsOf(read, half, before),
        ...days.asks,
        ...(asksWeeks && usesWeekNumbers(half) ? (['week-reading'] as const) : []),
        ...(of.minus === undefined && hasMinus(half) ? (['minus'] as const) : []),
      ],
      ...(before?.lastDay !== undefined && days.fromDay > before.lastDay + 1
        ? { gapBefore: true as const }
        : {}),
    });
  });
  // days that meet: on the day on which one ends the next begins
  phases.forEach((phase, i) => {
    if (
      phases[i + 1]?.fromDay === phase.lastDay &&
      phase.lastDay !== undefined &&
      phase.lastDay > phase.fromDay
    )
      phase.lastDay -= 1;
  });
  return {
    phases: phases.map((phase, i) => ({
      ...phase,
      asks: [...phase.asks, ...(isRising(phase, phases[i - 1]) ? [] : (['days-not-rising'] as const))],
    })),
    notUnderstood: all.flatMap((half) => (isPhase(half) ? half.left : [half.text])),
    ...(written ? { weeks: reading } : {}),
  };
}

const usesWeekNumbers = ({ span, begin }: Half): boolean =>
  span?.unit === 'week' || (begin?.unit === 'week' && !begin.after);

const contentOf = ({ text, window, free, lock, weight }: Half): Omit<ReadPhase, 'fromDay' | 'lastDay'> => ({
  text,
  window,
  ...(free ? { free } : {}),
  ...(lock ? { lock } : {}),
  ...(weight ? { weight } : {}),
});

const hasMinus = ({ window, lock }: Half): boolean =>
  [window.extension, window.flexion, lock?.at].some((angle) => angle !== undefined && angle < 0);

/** A minus as somebody said it is meant: short of straight by so much is that much flexion. */
function signed(read: ReadPhase, { minus }: ReadingOf): ReadPhase {
  if (minus !== 'deficit') return read;
  const { window, lock } = read;
  return {
    ...read,
    window: {
      ...window,
      ...(window.extension === undefined ? {} : { extension: Math.abs(window.extension) }),
    },
    ...(lock?.at === undefined ? {} : { lock: { ...lock, at: Math.abs(lock.at) } }),
  };
}

/** When a phase begins and ends, and what of it is asked. */
function daysOfHalf(
  half: Half,
  before: ReadPhase | undefined,
  next: Half | undefined,
  reading: WeekReading,
  of: ReadingOf,
): { fromDay: number; lastDay?: number; asks: PhaseQuestion[] } {
  if (half.span) {
    const days = daysOfSpan(half.span, reading);
    return { ...days, asks: [] };
  }
  const { begin, end, days } = half;
  const asks: PhaseQuestion[] = [];
  let fromDay = 0;
  if (begin) fromDay = begin.unit === 'week' ? dayOfWeek(begin, reading) : begin.n;
  else if (before) {
    if (before.lastDay === undefined) asks.push('begin-not-said');
    fromDay = (before.lastDay ?? before.fromDay) + 1;
  }
  if (days !== undefined) return { fromDay, lastDay: fromDay + days - 1, asks };
  if (!end) return { fromDay, asks };
  if (end.unit !== 'week') return { fromDay, lastDay: end.n, asks };
  // "until 6 weeks" is a time; "until week 6" may be its beginning or its end
  if (end.after || (reading === 'points' && of.weeks === 'points'))
    return { fromDay, lastDay: 7 * end.n - 1, asks };
  if (of.until === undefined) asks.push('until-week');
  const isNarrowerNext = next !== undefined && isNarrower(next.window, half.window);
  const how = of.until ?? (isNarrowerNext ? 'week-begins' : 'weeks-over');
  return { fromDay, lastDay: 7 * (how === 'week-begins' ? end.n - 1 : end.n) - 1, asks };
}

const isNarrower = (one: MotionWindow, other: MotionWindow): boolean =>
  (one.flexion ?? 180) - (one.extension ?? -30) < (other.flexion ?? 180) - (other.extension ?? -30);

const isRising = ({ fromDay, lastDay }: ReadPhase, before: ReadPhase | undefined): boolean =>
  (lastDay === undefined || lastDay >= fromDay) &&
  (before === undefined ||
    (fromDay > before.fromDay && (before.lastDay === undefined || fromDay > before.lastDay)));

function questionsOf(
  { window: { extension, flexion }, lock, fromDay }: ReadPhase,
  half: Half,
  before: ReadPhase | undefined,
): PhaseQuestion[] {
  const needsLimits = !half.free && !lock?.when.includes('always');
  return [
    ...(lock && lock.at === undefined ? (['lock-angle'] as const) : []),
    ...(lock && lock.when.length === 0 ? (['lock-when'] as const) : []),
    ...(half.free && lock ? (['free-or-locked'] as const) : []),
    ...(needsLimits && extension === undefined ? (['extension-limit'] as const) : []),
    ...(needsLimits && flexion === undefined ? (['flexion-limit'] as const) : []),
    ...(extension !== undefined && flexion !== undefined && extension > flexion
      ? (['window-reversed'] as const)
      : []),
    ...(before === undefined && fromDay > 0 ? (['begins-late'] as const) : []),
  ];
}

/** Whether nothing of a text is left open: it is exactly one schedule. */
export const isOneSchedule = ({ phases, notUnderstood }: ReadSchedule): boolean =>
  phases.length > 0 && notUnderstood.length === 0 && phases.every(({ asks }) => asks.length === 0);
