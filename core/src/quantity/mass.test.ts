import { UcumLhcUtils } from '@lhncbc/ucum-lhc';
import { parseMass } from './mass';

test('a pound is what the UCUM library says', () => {
  const { toVal } = UcumLhcUtils.getInstance().convertUnitTo('[lb_av]', 41, 'kg');
  const parsed = parseMass('41 lb');
  expect(parsed.ok && parsed.kilograms).toBeCloseTo(toVal!, 9);
});

test.each([
  ['68', 68],
  ['18,5 kg', 18.5],
  [' 0.9kg ', 0.9],
])('"%s" is %d kg', (text, kilograms) => expect(parseMass(text)).toEqual({ ok: true, kilograms }));

test.each([
  ['', 'empty'],
  ['heavy', 'notANumber'],
  ['12 st', 'notANumber'],
  ['0', 'notPositive'],
])('"%s" is refused: %s', (text, problem) => expect(parseMass(text)).toEqual({ ok: false, problem }));
