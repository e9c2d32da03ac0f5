import { isDoubtful, usualWornRule, wornByDay, wornRuleProblems, type TemperatureSeries } from './worn';
import { wornDays } from './worn-days';

const minute = 60_000;
const midnight = Date.parse('2026-11-24T00:00:00Z');
const day = 24 * 60;

/** A series made from a known truth: a sample every so many minutes, what it shows, left out where it says nothing. */
function made(
  minutes: number,
  every: number,
  celsius: (minute: number) => number | undefined,
): TemperatureSeries {
  const at: number[] = [];
  const shown: number[] = [];
  for (let m = 0; m <= minutes; m += every) {
    const t = celsius(m);
    if (t === undefined) continue;
    at.push(midnight + m * minute);
    shown.push(t);
  }
  return { at: Float64Array.from(at), celsius: Float64Array.from(shown) };
}
const days = (count: number) => Array.from({ length: count + 1 }, (_, i) => midnight + i * day * minute);
const within = (m: number, from: number, until: number) => m >= from && m < until;

test('worn from nine to noon and from two to five: six hours, to a sample', () => {
  const truth = (m: number) => within(m, 540, 720) || within(m, 840, 1020);
  const [one] = wornByDay(
    made(day, 1, (m) => (truth(m) ? 33.5 : 22)),
    days(1),
  );
  expect(one!.worn).toBe(360);
  expect(one!.unknown).toBe(0);
});

test('between on and off it stays as it was: a draught is no taking off, a warm room no putting on', () => {
  const series = made(day, 1, (m) => {
    if (within(m, 540, 720)) return within(m, 600, 630) ? 29.5 : 33.5;
    return within(m, 800, 900) ? 29.5 : 22;
  });
  expect(wornByDay(series, days(1))[0]!.worn).toBe(180);
});

test('a gap is unknown, not unworn, and what comes after it begins anew', () => {
  // worn from 9 to 17; the sensor is silent from 11 to 13
  const series = made(day, 1, (m) => (within(m, 660, 780) ? undefined : within(m, 540, 1020) ? 33.5 : 21));
  const [one] = wornByDay(series, days(1));
  // the last sample before the silence and the first one after it lie 121 minutes apart
  expect(one).toMatchObject({ unknown: 121, worn: 359 });
});

test('in the sun and in the cold it is not on a body', () => {
  const hot = made(day, 5, (m) => (within(m, 600, 900) ? 52 : 20));
  expect(wornByDay(hot, days(1))[0]!.worn).toBe(0);
  // warmed up in a car, it passes through what a skin is warm like: hot first, then cooling
  const cooling = made(day, 5, (m) => (within(m, 600, 700) ? 48 : within(m, 700, 730) ? 29.5 : 18));
  expect(wornByDay(cooling, days(1))[0]!.worn).toBe(0);
  const cold = made(day, 5, (m) => (within(m, 600, 900) ? 33 : -8));
  expect(wornByDay(cold, days(1))[0]!.worn).toBe(300);
});

test('before the first sample and after the last nobody knows', () => {
  const series = made(12 * 60, 5, () => 34);
  const all = wornByDay(series, days(2));
  expect(all.map(({ worn, unknown }) => [worn, unknown])).toEqual([
    [720, 720],
    [0, 1440],
  ]);
  expect(wornByDay({ at: new Float64Array(0), celsius: new Float64Array(0) }, days(2))).toMatchObject([
    { worn: 0, unknown: 1440 },
    { worn: 0, unknown: 1440 },
  ]);
});

test('what goes over midnight counts on both days, and every minute is counted once', () => {
  const series = made(2 * day, 1, (m) => (within(m, 22 * 60, 26 * 60) ? 33 : 20));
  expect(wornByDay(series, days(2)).map(({ worn }) => worn)).toEqual([120, 120]);
});

// another road: every minute asked for itself, by a small machine of states written apart
test('as many minutes as a machine that asks every minute, over made series with noise and gaps', () => {
  let seed = 7;
  const random = () => (seed = (seed * 16807) % 2147483647) / 2147483647;
  for (let round = 0; round < 20; round += 1) {
    const starts = 60 + random() * 400;
    const ends = starts + random() * 800;
    const series = made(3 * day, 1 + Math.floor(random() * 4), (m) => {
      if (random() < 0.002) return undefined;
      const at = m % day;
      return within(at, starts, ends) ? 30.5 + 3 * random() : 19 + 6 * random();
    });
    const found = wornByDay(series, days(3));
    let on = false;
    const asked = [0, 0, 0];
    for (let i = 0; i + 1 < series.at.length; i += 1) {
      const t = series.celsius[i]!;
      on = t > 41 ? false : t >= 31 ? true : t <= 28 ? false : on;
      if ((series.at[i + 1]! - series.at[i]!) / minute > 15) {
        on = false;
        continue;
      }
      for (let m = series.at[i]!; m < series.at[i + 1]!; m += minute)
        if (on) asked[Math.floor((m - midnight) / (day * minute))]! += 1;
    }
    expect(found.map(({ worn }) => Math.round(worn))).toEqual(asked);
  }
});

test('a clinic’s days have 23 and 25 hours when the clocks change', () => {
  // 24 and 25 October 2026 in Madrid: the clocks go back on the 25th
  const from = Date.parse('2026-10-23T22:00:00Z');
  const at = Float64Array.from({ length: 2 * 24 * 12 + 12 + 1 }, (_, i) => from + i * 5 * minute);
  const series = { at, celsius: Float64Array.from(at, () => 34) };
  const all = wornDays(series, 'Europe/Madrid', usualWornRule);
  expect(all.map(({ day: one, worn }) => [one, worn])).toEqual([
    ['2026-10-24', 1440],
    ['2026-10-25', 1500],
    ['2026-10-26', 0],
  ]);
});

test.each([
  [{}, []],
  [{ off: 31 }, ['off-not-below-on']],
  [{ tooHot: 31 }, ['too-hot-not-above-on']],
  [{ gap: 0 }, ['no-gap']],
])('%j: %j', (change, problems) =>
  expect(wornRuleProblems({ ...usualWornRule, ...change })).toEqual(problems),
);

// worn from 9 to 17, then laid down: the sensor cools to the room and stays there
test.each([
  [22, 480, 0],
  [27, 480, 0],
  // a room as warm as a cool skin: what is after it is unknown, never worn
  [28.5, 480, 420],
  [30.5, 480, 420],
])('in a room of %d °C what is not known is not counted: worn %d, between %d', (room, worn, between) => {
  const [one] = wornByDay(
    made(day, 1, (m) => (m < 540 ? 20 : m < 1020 ? 33.5 : room)),
    days(1),
  );
  expect([one!.worn, one!.between, one!.unknown]).toEqual([worn, between, between]);
});

test('a skin that never comes to the rule is unknown, never unworn', () => {
  const [one] = wornByDay(
    made(day, 1, (m) => (within(m, 540, 1020) ? 30 : 20)),
    days(1),
  );
  expect([one!.worn, one!.between]).toEqual([0, 480]);
});

test('a sensor that breaks leaves what it does not know unknown, and what comes after it begins anew', () => {
  const [one] = wornByDay(
    made(day, 1, (m) =>
      within(m, 600, 660) ? NaN : within(m, 540, 600) ? 33.5 : within(m, 660, 680) ? 29 : 20,
    ),
    days(1),
  );
  expect([one!.worn, one!.unknown]).toEqual([60, 60]);
});

test('what is between on and off right after a gap is not worn: nobody knows how it was', () => {
  const series = made(day, 1, (m) =>
    within(m, 600, 660) ? undefined : within(m, 540, 600) ? 33.5 : within(m, 660, 680) ? 29 : 20,
  );
  expect(wornByDay(series, days(1))[0]!.worn).toBe(59);
});

test('a day of more than 23 hours is doubtful', () =>
  expect([1380, 1380.1].map((worn) => isDoubtful({ worn }))).toEqual([false, true]));
