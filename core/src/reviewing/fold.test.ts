import { measureRead, measuringProgress, motionTested, type MeasuringStep } from '../measuring';
import { testRecord, written } from '../record/test-record';
import { reviewFound } from './entries';
import { foldReviewing } from './fold';

const girth = {
  kind: 'girth',
  id: 'girth',
  from: 'mid-kneecap',
  distance: 100,
  tolerance: 5,
  withinPerson: 2,
  shared: 3,
  plausible: [1, 2000],
} as MeasuringStep;
const mass = { ...girth, kind: 'mass', id: 'mass' } as MeasuringStep;
const steps = [girth, mass];
const measuring = {
  ...measuringProgress(steps, 'left', {
    readings: [
      { step: 'girth', side: 'left', value: 400, entry: 'a' },
      { step: 'girth', side: 'left', value: 402, entry: 'b' },
      { step: 'girth', side: 'right', value: 420, entry: 'c' },
      { step: 'girth', side: 'right', value: 420, entry: 'd' },
      { step: 'mass', side: 'midline', value: 20, entry: 'e' },
      { step: 'mass', side: 'midline', value: 20, entry: 'f' },
    ],
    skipped: [],
  }),
  steps,
};
const at = (day: string, stage: 'review' | 'measure' = 'review') => ({
  observedAt: `${day}T09:30:00.000Z`,
  stage,
});
const read = (step: string, side: 'left' | 'right' | 'midline', value: number, day: string) =>
  written(measureRead, { step, side, value, instrument: 'tape' }, at(day));
const tested = (
  flexion: number,
  more: { step?: string; mode?: 'active' | 'passive'; side?: 'left' | 'right' } = {},
  where = at('2026-11-24'),
) =>
  written(
    motionTested,
    {
      side: 'left',
      mode: 'passive',
      extension: 5,
      flexion,
      limitReached: { extension: false, flexion: false },
      ...more,
    },
    where,
  );
const found = (pain: number, day: string, more = {}) =>
  written(reviewFound, { skin: 'clear', pain, ...more }, at(day));
const folded = (...entries: Parameters<typeof testRecord>) =>
  foldReviewing(testRecord(...entries), 'left', '2026-11-01', measuring, ['bend'], undefined);

test('the fitting is the first visit: the girths of the braced side, the person’s own, the first test of each motion', () => {
  const { first } = folded(
    tested(80, {}, at('2026-11-01', 'measure')),
    tested(90, { step: 'bend' }, at('2026-11-02', 'measure')),
    tested(99, {}, at('2026-11-03')),
  );
  expect(first).toEqual({
    day: '2026-11-01',
    girths: { girth: 401, mass: 20 },
    motions: [{ mode: 'passive', extension: -5, flexion: 80 }],
  });
});

test('one visit a day, by rising day whatever was written first', () => {
  const { visits } = folded(
    found(3, '2026-11-24', { hours: 6 }),
    found(1, '2026-11-10'),
    read('girth', 'left', 398, '2026-11-24'),
    read('girth', 'left', 394, '2026-11-24'),
    read('mass', 'midline', 21, '2026-11-24'),
    // the other side is no figure of this brace; what was read at the fitting is no visit
    read('girth', 'right', 380, '2026-11-24'),
    written(
      measureRead,
      { step: 'girth', side: 'left', value: 300, instrument: 'tape' },
      at('2026-11-12', 'measure'),
    ),
    found(2, '2026-11-24'),
  );
  expect(visits).toEqual([
    { day: '2026-11-10', girths: {}, motions: [], pain: 1, entry: 'e2', found: { skin: 'clear', pain: 1 } },
    {
      day: '2026-11-24',
      girths: { girth: 396, mass: 21 },
      motions: [],
      // found again on the same day: the last one
      pain: 2,
      entry: 'e8',
      found: { skin: 'clear', pain: 2 },
    },
  ]);
  expect(folded(found(3, '2026-11-24', { hours: 6 })).visits[0]).toMatchObject({ pain: 3, hours: 6 });
});

test('a day on which only a motion was tested, or only a girth read, is a visit; one with neither is none', () => {
  const days = (...entries: Parameters<typeof testRecord>) => folded(...entries).visits.map(({ day }) => day);
  expect(days(tested(80))).toEqual(['2026-11-24']);
  expect(days(read('girth', 'left', 398, '2026-11-24'))).toEqual(['2026-11-24']);
  expect(days(read('girth', 'right', 398, '2026-11-24'))).toEqual([]);
  expect(days({ kind: 'visit.planned', body: {}, ...at('2026-11-24') })).toEqual([]);
});

test('a motion is told by its step, mode and side; the limited one has no step, whichever took it', () => {
  const { visits } = folded(
    tested(80),
    tested(85, { step: 'bend' }),
    tested(70, { mode: 'active' }),
    tested(120, { side: 'right' }),
    tested(20, { step: 'sway' }),
    tested(25, { step: 'sway' }),
  );
  expect(visits[0]!.motions).toEqual([
    { mode: 'passive', extension: -5, flexion: 85 },
    { mode: 'active', extension: -5, flexion: 70 },
    { mode: 'passive', other: true, extension: -5, flexion: 120 },
    { step: 'sway', mode: 'passive', extension: -5, flexion: 25 },
  ]);
});

describe('a visit and a telephone call on one day', () => {
  const found = (skin: 'clear' | 'stays-red', pain: number, by?: 'telephone') =>
    written(reviewFound, { skin, pain, ...(by ? { by } : {}) }, at('2026-11-25'));
  const ofDay = (...reviews: ReturnType<typeof found>[]) =>
    foldReviewing(testRecord(...reviews), 'left', '2026-11-10', measuring, [], undefined).visits.map(
      (visit) => visit.found,
    );

  test.each([
    [
      'a call with nothing new leaves the visit',
      [found('clear', 2), found('clear', 1, 'telephone')],
      { skin: 'clear', pain: 2 },
    ],
    [
      'a call does not take back what was seen',
      [found('stays-red', 2), found('clear', 1, 'telephone')],
      { skin: 'stays-red', pain: 2 },
    ],
    [
      'worse skin told counts',
      [found('clear', 2), found('stays-red', 2, 'telephone')],
      { skin: 'stays-red', pain: 2, by: 'telephone' },
    ],
    [
      'more pain told counts',
      [found('clear', 2), found('clear', 8, 'telephone')],
      { skin: 'clear', pain: 8, by: 'telephone' },
    ],
    [
      'a visit after a call counts',
      [found('stays-red', 5, 'telephone'), found('clear', 1)],
      { skin: 'clear', pain: 1 },
    ],
    [
      'of calls the last counts',
      [found('stays-red', 5, 'telephone'), found('clear', 1, 'telephone')],
      { skin: 'clear', pain: 1, by: 'telephone' },
    ],
  ])('%s', (_, reviews, counts) => expect(ofDay(...reviews)).toEqual([counts]));
});
