import { UcumLhcUtils } from '@lhncbc/ucum-lhc';
import fc from 'fast-check';
import { formatLength, millimetresPerInch, parseLength, type LengthUnit } from './length';

const ucum = UcumLhcUtils.getInstance();
const ucumName: Record<LengthUnit, string> = { mm: 'mm', cm: 'cm', in: '[in_i]' };

test.each(['mm', 'cm', 'in'] as const)('%s converts to mm as the UCUM library does', (unit) => {
  for (const amount of [1, 14.37, 36.5, 178]) {
    const { toVal } = ucum.convertUnitTo(ucumName[unit], amount, 'mm');
    const parsed = parseLength(String(amount), unit);
    expect(parsed.ok && parsed.millimetres).toBeCloseTo(toVal!, 9);
  }
});

// International yard and pound agreement, 1959
test('an inch is 25.4 mm', () => expect(millimetresPerInch).toBe(25.4));

test.each([
  ['366', 'mm', 366, 'mm'],
  ['36,5 cm', 'mm', 365, 'cm'],
  ['36.5', 'cm', 365, 'cm'],
  ['14 3/8 in', 'mm', 365.125, 'in'],
  ['14 3/8"', 'mm', 365.125, 'in'],
  ['3/8', 'in', 9.525, 'in'],
  ['14⅜', 'in', 365.125, 'in'],
  ['14⅜ in', 'mm', 365.125, 'in'],
  ['14-3/8"', 'mm', 365.125, 'in'],
  ['14–3/8″', 'mm', 365.125, 'in'],
  [`5'7"`, 'mm', 1701.8, 'in'],
  ['5’ 7 ½”', 'mm', 1714.5, 'in'],
  ['5 ft 7 in', 'cm', 1701.8, 'in'],
  ['6 ft', 'mm', 1828.8, 'in'],
  ['３６６', 'mm', 366, 'mm'],
  ['0,125 in', 'mm', 3.175, 'in'],
  ['36,25 cm', 'mm', 362.5, 'cm'],
  ['  412mm ', 'in', 412, 'mm'],
  // a point with three digits behind it is a decimal sign where no thousands are meant
  ['14.375', 'in', 365.125, 'in'],
  ['1.750 cm', 'mm', 17.5, 'cm'],
  ['0.125', 'mm', 0.125, 'mm'],
  ['1.75', 'mm', 1.75, 'mm'],
] as const)('"%s" typed in a %s field is %d mm', (text, field, millimetres, unit) => {
  const parsed = parseLength(text, field);
  expect(parsed).toMatchObject({ ok: true, unit });
  expect(parsed.ok && parsed.millimetres).toBeCloseTo(millimetres, 9);
});

test.each([
  ['', 'empty'],
  ['abc', 'notANumber'],
  ['3 6 6', 'notANumber'],
  ['-4', 'notANumber'],
  ['0', 'notPositive'],
  ['1/0', 'notANumber'],
  ['Infinity', 'notANumber'],
  ['36.5.1', 'notANumber'],
  // a thousand and more, or a little over one: asked about
  ['1,234 mm', 'thousands'],
  ['1,234', 'thousands'],
  ['12,500 in', 'thousands'],
  ['1.750', 'thousands'],
  ['101.250 mm', 'thousands'],
  [`5'70 cm`, 'notANumber'],
])('"%s" is refused: %s', (text, problem) => expect(parseLength(text, 'mm')).toEqual({ ok: false, problem }));

test('what is shown reads back within half its last digit', () => {
  // a sixteenth of an inch is 1.5875 mm
  const half: Record<LengthUnit, number> = { mm: 0.5, cm: 0.5, in: 1.5875 };
  fc.assert(
    fc.property(
      fc.double({ min: 1.6, max: 3000, noNaN: true }),
      fc.constantFrom<LengthUnit>('mm', 'cm', 'in'),
      fc.constantFrom('en', 'de', 'es'),
      (length, unit, locale) => {
        const parsed = parseLength(formatLength(length, unit, locale), unit);
        return parsed.ok && Math.abs(parsed.millimetres - length) <= half[unit] + 1e-9;
      },
    ),
  );
});

// 150 mm is 5.9055 in, 5 7/8 to the eighth; 6.35 mm is a quarter of an inch exactly
test.each([
  [150, '5 7/8'],
  [6.35, '1/4'],
  [25.4, '1'],
  [12.7, '1/2'],
  [0, '0'],
  [1, 'under 1/8'],
  [-76.2, '−3'],
  [444, '17 1/2'],
] as const)('%d mm is %s in', (length, said) => expect(formatLength(length, 'in')).toBe(said));
