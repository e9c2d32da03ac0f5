import { typedNumber } from './typed-number';

test.each([
  ['12', 12],
  ['12.5', 12.5],
  ['12,5', 12.5],
  ['−5', -5],
  ['–5°', -5],
  ['90°', 90],
  ['１２', 12],
  ['0', 0],
  ['+4', 4],
])('%s is %d', (text, number) => expect(typedNumber(text)).toBe(number));

test.each(['', ' ', '-', 'twelve', '12 13', '1.2.3', '1e3', '0x10', 'Infinity', '5 mm'])(
  '%s is no number',
  (text) => expect(typedNumber(text)).toBeNaN(),
);
