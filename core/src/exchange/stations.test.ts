import { readStations } from './stations';

test.each([
  ['tabs', '-160\t4\n0\t0\n160\t12,5'],
  ['semicolons', '160; 12,5\n0;0\n-160;4'],
  ['spaces', '  0 0\n\n160   12.5\n-160 4\n'],
  ['commas and points', '0, 0\n160, 12.5\n-160, 4'],
  ['centimetres said so', '0 0\n16cm 1,25cm\n-16cm 4'],
  ['another minus', '0 0\n160 12.5\n−160 4'],
])('stations by %s', (_, text) =>
  expect(readStations(text, 'mm')).toEqual({
    ok: true,
    stations: [
      { at: -160, out: 4 },
      { at: 0, out: 0 },
      { at: 160, out: 12.5 },
    ],
  }),
);

test.each([
  ['', 1, 'none'],
  ['0 0\n40', 2, 'not-two'],
  ['0 0\n40 3 5', 2, 'not-two'],
  ['0 0\n40 wide', 2, 'no-number'],
  ['0 0\n40 3\n40 4', 3, 'twice'],
  ['0 0\n40 3\n40.4 4', 3, 'twice'],
])('%j: line %d, %s', (text, line, problem) =>
  expect(readStations(text, 'mm')).toEqual({ ok: false, line, problem }),
);
