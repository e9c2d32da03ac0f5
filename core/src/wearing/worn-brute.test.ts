import fc from 'fast-check';
import { isDoubtful, usualWornRule, wornByDay, type WornDay } from './worn';
import { wornDays } from './worn-days';

const minute = 60_000;
const { on, off, tooHot, gap } = usualWornRule;

/** How a minute is known, by looking back from it alone: no state is carried from one minute to the next. */
function minuteIs(at: readonly number[], celsius: readonly number[], now: number) {
  const i = at.findLastIndex((time) => time <= now);
  const next = at[i + 1];
  if (i < 0 || next === undefined || next - at[i]! > gap) return 'unknown';
  const t = celsius[i]!;
  if (Number.isNaN(t)) return 'unknown';
  if (t >= on && t <= tooHot) return 'worn';
  const isBetween = (k: number) => celsius[k]! > off && celsius[k]! < on;
  if (!isBetween(i)) return 'off';
  const linked = (k: number) => at[k + 1] !== undefined && at[k + 1]! - at[k]! <= gap;
  // the whole run of samples between on and off around this one
  let [first, last] = [i, i];
  while (first > 0 && isBetween(first - 1) && linked(first - 1)) first -= 1;
  while (linked(last) && isBetween(last + 1)) last += 1;
  const end = linked(last) ? at[last + 1]! : at[last]!;
  if (end - at[first]! > 30) return 'between';
  // as it was before the run: on, where the sample before it was and nothing broke off
  const before = first - 1;
  return before >= 0 && linked(before) && celsius[before]! >= on && celsius[before]! <= tooHot
    ? 'worn'
    : 'off';
}

const series = fc.array(
  fc.tuple(
    fc.constantFrom(1, 5, 10, gap, gap + 1, 40),
    fc.constantFrom(20, off, off + 0.5, 29.5, on - 0.5, on, 34, tooHot, tooHot + 0.5, NaN),
  ),
  { minLength: 0, maxLength: 14 },
);

test('every minute is what looking back from it alone says, at every edge of the rule', () => {
  fc.assert(
    fc.property(
      series,
      fc.integer({ min: -20, max: 60 }),
      fc.integer({ min: 7, max: 90 }),
      (steps, begins, length) => {
        const at = steps.map((_, i) => steps.slice(0, i + 1).reduce((sum, [step]) => sum + step, 0));
        const celsius = steps.map(([, t]) => t);
        const starts = [0, 1, 2, 3].map((day) => begins + day * length);
        const expected = starts.slice(0, -1).map((from): WornDay => {
          const all = Array.from({ length }, (_, m) => minuteIs(at, celsius, from + m));
          const count = (what: string) => all.filter((is) => is === what).length;
          return {
            from: from * minute,
            worn: count('worn'),
            unknown: count('unknown') + count('between'),
            between: count('between'),
          };
        });
        const got = wornByDay(
          { at: Float64Array.from(at, (m) => m * minute), celsius: Float64Array.from(celsius) },
          starts.map((m) => m * minute),
        );
        expect(
          got.map((one) => ({
            ...one,
            worn: Math.round(one.worn * 1e6) / 1e6,
            unknown: Math.round(one.unknown * 1e6) / 1e6,
            between: Math.round(one.between * 1e6) / 1e6,
          })),
        ).toEqual(expected);
      },
    ),
    { seed: 20261201, numRuns: 4000 },
  );
});

test('an empty series is no day at all, and an empty one over days is unknown', () => {
  const empty = { at: new Float64Array(), celsius: new Float64Array() };
  expect(wornDays(empty, 'Europe/Madrid', usualWornRule)).toEqual([]);
  expect(wornByDay(empty, [0, 10 * minute])).toEqual([{ from: 0, worn: 0, unknown: 10, between: 0 }]);
});

const hourly = (from: string, hours: number) => ({
  at: Float64Array.from({ length: hours * 6 + 1 }, (_, i) => Date.parse(from) + i * 10 * minute),
  celsius: Float64Array.from({ length: hours * 6 + 1 }, () => 34),
});

test('what is still to come of the last day is neither worn nor unknown', () => {
  // 10:00 to 12:00 in the clinic, looked at at 13:00: an hour is unknown, the rest of the day is to come
  const [day] = wornDays(
    hourly('2026-11-24T09:00:00.000Z', 2),
    'Europe/Madrid',
    usualWornRule,
    Date.parse('2026-11-24T12:00:00.000Z'),
  );
  expect(day).toEqual({ day: '2026-11-24', worn: 120, unknown: 10 * 60 + 60, between: 0 });
  // looked at before its end, by a clock that is behind: the series counts as far as it goes
  const [early] = wornDays(
    hourly('2026-11-24T09:00:00.000Z', 2),
    'Europe/Madrid',
    usualWornRule,
    Date.parse('2026-11-24T10:00:00.000Z'),
  );
  expect(early).toEqual({ day: '2026-11-24', worn: 120, unknown: 600, between: 0 });
  // and with nobody's clock the whole day
  const [whole] = wornDays(hourly('2026-11-24T09:00:00.000Z', 2), 'Europe/Madrid', usualWornRule);
  expect(whole!.unknown).toBe(24 * 60 - 120);
  // a clock of days later changes nothing of a day that is over
  const [over] = wornDays(
    hourly('2026-11-24T09:00:00.000Z', 2),
    'Europe/Madrid',
    usualWornRule,
    Date.parse('2026-12-24T10:00:00.000Z'),
  );
  expect(over!.unknown).toBe(24 * 60 - 120);
});

test('a log of more than four hundred days keeps its last four hundred', () => {
  const of = (days: number) =>
    wornDays(
      {
        at: Float64Array.from([
          Date.parse('2026-11-24T10:00:00.000Z') - days * 24 * 60 * minute,
          Date.parse('2026-11-24T10:00:00.000Z'),
        ]),
        celsius: Float64Array.from([34, 34]),
      },
      'UTC',
      usualWornRule,
    );
  expect(of(398)).toHaveLength(399);
  expect(of(399)).toHaveLength(400);
  expect(of(399)[0]!.day).toBe('2025-10-21');
  const cut = of(400);
  expect(cut).toHaveLength(400);
  expect([cut[0]!.day, cut.at(-1)!.day]).toEqual(['2025-10-21', '2026-11-24']);
});

test('23 hours are believed, a minute more is doubtful', () => {
  expect(isDoubtful({ worn: 23 * 60 })).toBe(false);
  expect(isDoubtful({ worn: 23 * 60 + 1 })).toBe(true);
});
