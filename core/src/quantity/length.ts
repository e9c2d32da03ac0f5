import { mayBeThousands, plainTyped } from './typed';
import type { Millimetres } from './unit';

export type LengthUnit = 'mm' | 'cm' | 'in';

/** Exact by the international yard and pound agreement of 1959. */
export const millimetresPerInch = 25.4;

const millimetresPer: Record<LengthUnit, number> = { mm: 1, cm: 10, in: millimetresPerInch };
const decimals = { mm: 0, cm: 1 } as const;

export type ParsedLength =
  | { ok: true; millimetres: Millimetres; unit: LengthUnit }
  | { ok: false; problem: 'empty' | 'notANumber' | 'notPositive' | 'thousands' };

const pattern =
  /^(?:(?<whole>\d+)(?:\s+|-)(?<over>\d+)\/(?<under>\d+)|(?<top>\d+)\/(?<bottom>\d+)|(?<plain>\d+(?:[.,]\d+)?|[.,]\d+))\s*(?<unit>mm|cm|in|inch|inches|")?$/i;

const pointedThousands = /^[1-9]\d{0,2}\.\d{3}$/;

/** Feet before the inches: 5'7", 5 ft 7 1/2 in. */
const feet = /^(?<feet>\d+)\s*(?:'|ft|foot|feet)\s*(?<rest>.*)$/i;
const inchesPerFoot = 12;

/**
 * Reads a length as it is said at the tape: "366", "36,5 cm", "14 3/8 in", 14-3/8", 5'7".
 * @param text what was typed; a number without a unit is taken in `unit`
 * @param unit the unit the field shows
 * @returns the length in millimetres with the unit it was given in, or what is wrong with it
 */
export function parseLength(text: string, unit: LengthUnit): ParsedLength {
  const trimmed = plainTyped(text).trim();
  if (trimmed === '') return { ok: false, problem: 'empty' };
  if (mayBeThousands(trimmed)) return { ok: false, problem: 'thousands' };
  const tall = feet.exec(trimmed)?.groups;
  if (tall) {
    const whole = Number(tall.feet) * inchesPerFoot * millimetresPerInch;
    if (tall.rest === '') return { ok: true, millimetres: whole, unit: 'in' };
    const inches = parseLength(tall.rest!, 'in');
    return inches.ok && inches.unit === 'in'
      ? { ...inches, millimetres: whole + inches.millimetres }
      : { ok: false, problem: 'notANumber' };
  }
  const parts = pattern.exec(trimmed)?.groups;
  if (!parts) return { ok: false, problem: 'notANumber' };
  const amount = parts.whole
    ? Number(parts.whole) + Number(parts.over) / Number(parts.under)
    : parts.top
      ? Number(parts.top) / Number(parts.bottom)
      : Number(parts.plain!.replace(',', '.'));
  if (!Number.isFinite(amount)) return { ok: false, problem: 'notANumber' };
  if (amount <= 0) return { ok: false, problem: 'notPositive' };
  const given = unitNamed(parts.unit) ?? unit;
  // no tape shows a thousandth of a millimetre: 1.750 is a thousand and more to who writes thousands so
  if (given === 'mm' && parts.plain && pointedThousands.test(parts.plain))
    return { ok: false, problem: 'thousands' };
  return { ok: true, millimetres: amount * millimetresPer[given], unit: given };
}

function unitNamed(text: string | undefined): LengthUnit | undefined {
  if (!text) return undefined;
  const lower = text.toLowerCase();
  return lower === 'mm' || lower === 'cm' ? lower : 'in';
}

/** Inches as a tape shows them: whole ones and eighths, the fraction in its lowest terms. */
function inEighths(inches: number): string {
  const eighths = Math.round(Math.abs(inches) * 8);
  if (eighths === 0) return inches === 0 ? '0' : 'under 1/8';
  const [whole, rest] = [Math.floor(eighths / 8), eighths % 8];
  const by = rest % 4 === 0 ? 4 : rest % 2 === 0 ? 2 : 1;
  const fraction = rest === 0 ? '' : `${rest / by}/${8 / by}`;
  const said = whole === 0 ? fraction : fraction === '' ? String(whole) : `${whole} ${fraction}`;
  return inches < 0 ? `−${said}` : said;
}

/** How a number is printed with so many digits; made once, for a list prints hundreds. */
const formats = new Map<string, Intl.NumberFormat>();

function formatOf(locale: string, digits: number): Intl.NumberFormat {
  const key = `${locale} ${digits}`;
  const known = formats.get(key);
  if (known) return known;
  const made = new Intl.NumberFormat(locale, {
    minimumFractionDigits: digits,
    maximumFractionDigits: digits,
    useGrouping: false,
  });
  formats.set(key, made);
  return made;
}

/**
 * A length as shown: whole millimetres, centimetres to 0.1, inches to the eighth that a tape has.
 * @param locale a BCP 47 tag; decides the decimal sign
 */
export function formatLength(length: Millimetres, unit: LengthUnit, locale = 'en'): string {
  if (unit === 'in') return inEighths(length / millimetresPerInch);
  return formatOf(locale, decimals[unit]).format(length / millimetresPer[unit]);
}
