import { readTemperatures } from './temperature-file';

const read = (text: string) => {
  const found = readTemperatures(text);
  return found.ok ? { at: [...found.series.at], celsius: [...found.series.celsius] } : found.problem;
};
const at = (clock: string) => Date.parse(`2026-11-24T${clock}:00Z`);

test('times with their zone, with heads or without, comma or semicolon, point or decimal comma', () => {
  const expected = { at: [at('08:00'), at('08:01')], celsius: [21.5, 33] };
  for (const text of [
    'time,temperature °C\n2026-11-24T08:00:00Z,21.5\n2026-11-24T08:01:00Z,33\n',
    '2026-11-24T08:00:00Z,21.5\r\n2026-11-24T08:01:00Z,33',
    'Zeit;Temp\n2026-11-24T09:00:00+01:00;21,5\n2026-11-24T09:01:00+01:00;33,0\n',
    'no,timestamp,celsius\n1,2026-11-24T08:00:00Z,21.5\n2,2026-11-24T08:01:00Z,33',
    `${at('08:00') / 1000},21.5\n${at('08:01') / 1000},33`,
    '\uFEFFtime,temp\n"2026-11-24T08:00:00Z","21.5"\n2026-11-24T08:01:00Z,33',
  ])
    expect(read(text)).toEqual(expected);
});

test('a line without a temperature is a gap', () =>
  expect(read('2026-11-24T08:00:00Z,21\n2026-11-24T08:01:00Z,\n2026-11-24T08:02:00Z,22')).toEqual({
    at: [at('08:00'), at('08:02')],
    celsius: [21, 22],
  }));

test.each([
  ['', 'empty', 0],
  ['time,temp\n', 'empty', 1],
  ['2026-11-24T08:00:00Z', 'no-columns', 1],
  ['time,temp\n2026-11-24T08:00:00,21', 'no-instant', 2],
  ['time,temp\nyesterday,21', 'no-instant', 2],
  ['time,temp\n2026-11-24T08:00:00Z,warm', 'no-number', 2],
  ['time,temp\n2026-11-24T08:00:00Z,Infinity', 'no-number', 2],
  ['time,temp\n2026-11-24T08:00:00Z,21\n2026-11-24T08:00:00Z,22', 'not-rising', 3],
])('%j is refused with its line: %s', (text, problem, line) => expect(read(text)).toEqual({ problem, line }));

test('a column in Fahrenheit is refused at its head, never read', () => {
  for (const head of ['temperature °F', 'Temp (F)', 'temp_f', 'Fahrenheit', 'temp Fahrenheit'])
    expect(read(`time,${head}\n2026-11-24T08:00:00Z,95\n2026-11-24T08:01:00Z,68`)).toEqual({
      problem: 'fahrenheit',
      line: 1,
    });
});

test('a time that is written the other way round is no instant, whatever year it ends with', () => {
  for (const when of ['10:00 01-03-2026', '01-03-2026', '2026-03-01', '10:00+0100'])
    expect(read(`time,temp\n${when},33`)).toEqual({ problem: 'no-instant', line: 2 });
});

test('what only a broken sensor shows is unknown: neither cold nor hot', () =>
  expect(
    read('time,temp\n2026-11-24T08:00:00Z,33\n2026-11-24T08:01:00Z,-127\n2026-11-24T08:02:00Z,85'),
  ).toMatchObject({ celsius: [33, NaN, NaN] }));

test('a log in Fahrenheit whose head does not say so is no log of a brace that was never worn: it is asked about', () => {
  const lines = [91.4, 92.1, 92.8, 70.2, 93.0].map((value, i) => `2026-11-24T08:0${i}:00Z,${value}`);
  expect(read(`time,temp\n${lines.join('\n')}`)).toEqual({ problem: 'fahrenheit', line: 6 });
  // one that was left in the sun for a while is still in degrees Celsius
  expect(
    read('time,temp\n2026-11-24T08:00:00Z,21\n2026-11-24T08:01:00Z,62\n2026-11-24T08:02:00Z,33'),
  ).toMatchObject({
    celsius: [21, 62, 33],
  });
});

test('a year of samples at one a minute is taken, and it says how far it is', () => {
  const start = Date.parse('2025-11-24T00:00:00Z');
  const count = 365 * 24 * 60;
  const text = Array.from({ length: count }, (_, i) => `${start / 1000 + i * 60},${20 + (i % 15)}`).join(
    '\n',
  );
  const shares: number[] = [];
  const found = readTemperatures(text, (share) => shares.push(share));
  expect(found.ok && found.series.at.length).toBe(count);
  expect(shares.length).toBeGreaterThan(10);
  expect(shares).toEqual([...shares].sort((a, b) => a - b));
});
