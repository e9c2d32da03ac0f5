import { endsOf, namedAngle, type JointPlane } from '@estribo/core/anatomy';
import { isFixed, isFree, type MotionWindow } from '@estribo/core/order';
import type { Arc, HingeStops } from '@estribo/core/setting';
import type { ReadingUnit } from '@estribo/core/measuring';
import { formatLength, millimetresPerInch, type Degrees, type LengthUnit } from '@estribo/core/quantity';
import { inLanguage, language, locale, named, t } from '../messages';
import type { en } from '../messages/en';

const plain = inLanguage(
  (locale) => new Intl.NumberFormat(locale, { useGrouping: false, maximumFractionDigits: 10 }),
);

/** A number with its minus sign as typographers set it, and the decimal sign of the language. */
export const signed = (value: number): string => `${value < 0 ? '−' : ''}${plain().format(Math.abs(value))}`;

const withDigits = ([0, 1, 2] as const).map((digits) =>
  inLanguage(
    (locale) =>
      new Intl.NumberFormat(locale, {
        useGrouping: false,
        minimumFractionDigits: digits,
        maximumFractionDigits: digits,
      }),
  ),
);

/** A number with so many digits behind the decimal sign of the language. */
export const fixed = (value: number, digits: 0 | 1 | 2): string => withDigits[digits]!().format(value);

export const degrees = (value: Degrees): string => `${signed(value)}°`;

/** An angle under zero in words, where a minus sign alone is overlooked: of a joint, or of the back's lean. */
export const saidUnderZero = (what: keyof typeof en.minusOf, amount: string): string =>
  t(`minusOf.${what}`, { amount });

/** A reading's number in the user's unit, without it. */
export function formatNumber(value: number, unit: ReadingUnit, length: LengthUnit): string {
  if (unit === 'mm') return formatLength(value, length, language);
  return unit === 'degrees' ? signed(Math.round(value)) : fixed(value, 1);
}

/** What stands behind a reading's number. */
export const unitSign = (unit: ReadingUnit, length: LengthUnit): string =>
  unit === 'mm' ? length : { degrees: '°', kg: 'kg', years: t('common.years'), newtons: 'N' }[unit];

/** A length to either side of a place, with its unit. */
export const formatDistance = (value: number, length: LengthUnit): string =>
  `${value < 0 ? '−' : ''}${formatReading(Math.abs(value), 'mm', length)}`;

/** A length finer than a tape shows: a deviation, an offset, a change a week. */
export const formatFine = (value: number, unit: ReadingUnit, length: LengthUnit): string => {
  if (unit !== 'mm')
    return `${signed(Math.round(value * 10) / 10)}${unit === 'degrees' ? '' : ' '}${unitSign(unit, length)}`;
  const per = { mm: 1, cm: 10, in: millimetresPerInch }[length];
  const digits = length === 'mm' ? 1 : 2;
  const shown = Math.round((value / per) * 10 ** digits) / 10 ** digits;
  return `${signed(shown)} ${length}`;
};

/** A reading with its unit. */
export const formatReading = (value: number, unit: ReadingUnit, length: LengthUnit): string =>
  `${formatNumber(value, unit, length)}${unit === 'degrees' ? '' : ' '}${unitSign(unit, length)}`;

/** Where nothing is said of the joint, angles are printed as those of a knee. */
const ofAnyJoint: JointPlane = { joint: 'knee', plane: 'sagittal' };

/** A joint's angle with the end it lies towards; flexion of a knee or an elbow is the plain number. */
export function formatAngle(motion: JointPlane | undefined, angle: Degrees): string {
  const of = motion ?? ofAnyJoint;
  const { toward, degrees: amount } = namedAngle(of, angle);
  const isPlain = of.plane === 'sagittal' && (of.joint === 'knee' || of.joint === 'elbow') && angle > 0;
  return angle === 0 || isPlain ? `${amount}°` : `${amount}° ${named('motionEnd', toward)}`;
}

/** An ordered window in words: "5° to 90°", "to 90°", "no limit of motion ordered". */
export function formatWindow(window: MotionWindow, motion?: JointPlane): string {
  const { extension, flexion } = window;
  if (isFree(window)) return t('order.free');
  const angle = (value: Degrees) => formatAngle(motion, value);
  const [first, last] = endsOf(motion ?? ofAnyJoint).map((end) => named('motionEnd', end));
  // a fixed angle is a legal order: the joint is locked there
  if (isFixed(window)) return t('order.fixed', { angle: angle(extension!) });
  if (flexion === undefined) return t('order.from', { from: angle(extension!), end: last! });
  if (extension === undefined) return t('order.to', { to: angle(flexion), end: first! });
  return t('order.fromTo', { from: angle(extension), to: angle(flexion) });
}

/** An arc as a window is printed. */
export const formatArc = ({ from, to }: Arc, motion?: JointPlane): string =>
  formatWindow(
    {
      ...(from === undefined ? {} : { extension: from }),
      ...(to === undefined ? {} : { flexion: to }),
    },
    motion,
  );

/** Stops as they are said: "10 / 90", "0 / none". */
export const formatStops = ({ extension, flexion }: HingeStops): string =>
  `${extension} / ${flexion ?? t('setting.none')}`;

const utc = (options: Intl.DateTimeFormatOptions) =>
  inLanguage((locale) => new Intl.DateTimeFormat(locale, { ...options, timeZone: 'UTC' }));
const dayFormat = utc({ day: 'numeric', month: 'short' });
const longDayFormat = utc({ weekday: 'long' });
const weekdayFormat = utc({ weekday: 'short' });
const dateFormat = utc({ day: 'numeric', month: 'short', year: 'numeric' });

const asUtc = (day: string) => new Date(`${day}T00:00:00Z`);

/** "17 May 1992" */
export const formatDate = (day: string): string => dateFormat().format(asUtc(day));

/** "5 Dec" */
export const formatDay = (day: string): string => dayFormat().format(asUtc(day));
export const formatWeekday = (day: string): string => longDayFormat().format(asUtc(day));
export const formatShortWeekday = (day: string): string => weekdayFormat().format(asUtc(day)).slice(0, 2);

/** Minutes as hours and minutes: "1 h 30", "45 min". */
export function formatMinutes(minutes: number): string {
  const [hours, rest] = [Math.floor(minutes / 60), Math.round(minutes % 60)];
  if (hours === 0) return `${rest} min`;
  return rest === 0 ? `${hours} h` : `${hours} h ${rest}`;
}

/** Minutes as a clock: "1:30". */
/** An instant as the clock shows it in a zone. */
export const formatTime = (instant: string, zone: string): string =>
  new Date(instant).toLocaleTimeString(locale, { timeZone: zone, hour: '2-digit', minute: '2-digit' });

/** A day and a time of the clinic's clock. */
export const formatInstant = (instant: string, zone: string): string =>
  new Intl.DateTimeFormat(locale, { dateStyle: 'medium', timeStyle: 'short', timeZone: zone }).format(
    new Date(instant),
  );

export const formatClock = (minutes: number): string =>
  `${Math.floor(minutes / 60)}:${String(Math.round(minutes % 60)).padStart(2, '0')}`;

/** Never "100 %": a reading is never certain. */
export const percent = (probability: number): string =>
  probability > 0.99
    ? t('sizing.over', { percent: 99 })
    : probability < 0.01
      ? t('sizing.under', { percent: 1 })
      : `${Math.round(probability * 100)} %`;
