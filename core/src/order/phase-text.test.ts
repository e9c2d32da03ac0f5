import fc from 'fast-check';
import { readPhases } from './phase-text';

/** Only what says something, so that a row shows what it is about. */
const read = (text: string, weeks?: Parameters<typeof readPhases>[1]) => readPhases(text, weeks);

test('the example of a prescriber: days, both limits, locked at an angle that is asked for', () =>
  expect(read('wk 0-2 0-30 locked walking; wk 3-4 0-60')).toEqual({
    weeks: 'from-0',
    notUnderstood: [],
    phases: [
      {
        text: 'wk 0-2 0-30 locked walking',
        fromDay: 0,
        lastDay: 20,
        window: { extension: 0, flexion: 30 },
        lock: { when: 'walking' },
        asks: ['lock-angle'],
      },
      {
        text: 'wk 3-4 0-60',
        fromDay: 21,
        lastDay: 34,
        window: { extension: 0, flexion: 60 },
        asks: [],
      },
    ],
  }));

test.each([
  [
    'weeks that meet are points',
    'weeks 0-2 0-30\nweeks 2-6 0-90',
    undefined,
    'points',
    [
      [0, 13],
      [14, 41],
    ],
  ],
  [
    'weeks counted from 1',
    'wk 1-2 0-30; wk 3-6 0-90',
    undefined,
    'from-1',
    [
      [0, 13],
      [14, 41],
    ],
  ],
  [
    'the same, said to be counted from 0',
    'wk 1-2 0-30; wk 3-6 0-90',
    'from-0',
    'from-0',
    [
      [7, 20],
      [21, 48],
    ],
  ],
  [
    'the unit behind',
    '0-2 weeks 0-30; 3-4 weeks 0-60',
    undefined,
    'from-0',
    [
      [0, 20],
      [21, 34],
    ],
  ],
  [
    'days',
    'd 0-14 0-30; d 15-28 0-60; d 29+ 0-90',
    undefined,
    undefined,
    [
      [0, 14],
      [15, 28],
      [29, undefined],
    ],
  ],
  [
    'days that meet',
    'day 0-14 0-30; day 14-28 0-60',
    undefined,
    undefined,
    [
      [0, 13],
      [14, 28],
    ],
  ],
  [
    'no spaces',
    'wk0-2 0-30;wk3-4 0-60',
    undefined,
    'from-0',
    [
      [0, 20],
      [21, 34],
    ],
  ],
  [
    '“to” for a range',
    'wk 0 to 2 0 to 30; wk 3 to 4 0 to 60',
    undefined,
    'from-0',
    [
      [0, 20],
      [21, 34],
    ],
  ],
  [
    'open to the end',
    'wk 0-2 0-30; from wk 3 on free',
    undefined,
    'from-0',
    [
      [0, 20],
      [21, undefined],
    ],
  ],
] as const)('%s', (_, text, weeks, reading, days) => {
  const schedule = read(text, weeks);
  expect(schedule.weeks).toBe(reading);
  expect(schedule.notUnderstood).toEqual([]);
  expect(schedule.phases.map(({ fromDay, lastDay }) => [fromDay, lastDay])).toEqual(days);
});

test.each([
  ['wk 0-2 locked in extension always', { window: {}, lock: { at: 0, when: 'always' }, asks: [] }],
  [
    'wk 0-2 locked at 20 at night 0-90',
    { window: { extension: 0, flexion: 90 }, lock: { at: 20, when: 'sleeping' }, asks: [] },
  ],
  ['wk 0-2 ext 10 flex 60', { window: { extension: 10, flexion: 60 }, asks: [] }],
  ['wk 0-2 flexion 60', { window: { flexion: 60 }, asks: ['extension-limit'] }],
  ['wk 0-2 −5-90', { window: { extension: -5, flexion: 90 }, asks: [] }],
  ['wk 0-2 10°-60°', { window: { extension: 10, flexion: 60 }, asks: [] }],
  ['wk 0-2 full ROM WBAT', { window: {}, free: true, weight: 'as-tolerated', asks: [] }],
  ['wk 0-2 0-30 NWB', { window: { extension: 0, flexion: 30 }, weight: 'none', asks: [] }],
  ['wk 0-2 90-0', { window: { extension: 90, flexion: 0 }, asks: ['window-reversed'] }],
  ['wk 0-2', { window: {}, asks: ['extension-limit', 'flexion-limit'] }],
  [
    'wk 0-2 0-30 locked',
    { window: { extension: 0, flexion: 30 }, lock: {}, asks: ['lock-angle', 'lock-when'] },
  ],
  ['wk 2-4 0-30', { window: { extension: 0, flexion: 30 }, asks: ['begins-late'] }],
])('“%s”', (text, expected) => {
  const [{ text: _, fromDay: _from, lastDay: _last, ...phase }] = read(text).phases as [
    ReturnType<typeof read>['phases'][number],
  ];
  expect(phase).toEqual(expected);
  expect(read(text).notUnderstood).toEqual([]);
});

test.each([
  'WK 0-2 10-60 Locked at 20 Walking',
  'wk 0  -  2 10  -  60 locked at 20 walking',
  'wk 0 – 2 10° – 60° locked at 20 walking',
  'wk 0-2: 10 to 60, locked (at 20) walking',
  '0-2wk 10-60 lock 20 gait',
  '  wk. 0-2 10-60  locked at 20 walking  ',
  'wk 0-2 ext 10 flex 60 locked walking lock at 20',
])('“%s” says what it says however it is written', (text) => {
  const { phases, notUnderstood } = read(text, 'from-0');
  expect(notUnderstood).toEqual([]);
  expect(phases).toMatchObject([
    {
      fromDay: 0,
      lastDay: 20,
      window: { extension: 10, flexion: 60 },
      lock: { at: 20, when: 'walking' },
      asks: [],
    },
  ]);
});

test.each([
  // what was said once is not said again in other words
  ['wk 0-2 ext 10 0-60', ['0-60'], { extension: 10 }],
  ['wk 0-2 flex 60 0-30', ['0-30'], { flexion: 60 }],
  ['wk 0-2 free 0-30', ['0-30'], {}],
  ['wk 0-2 ext 10 ext 20', ['ext', '20'], { extension: 10 }],
  ['wk 0-2 flex 60 flex 70', ['flex', '70'], { flexion: 60 }],
  ['wk 0-2 ext 0 free', ['free'], { extension: 0 }],
  ['wk 0-2 flex 60 free', ['free'], { flexion: 60 }],
  ['wk 0-2 0-30 NWB FWB', ['fwb'], { extension: 0, flexion: 30 }],
  ['wk 0-2 0-30 wk', ['wk'], { extension: 0, flexion: 30 }],
  // words that only contain one that is known
  ['wk 0-2 next 10', ['next', '10'], {}],
  ['wk 0-2 extensions 10', ['extensions', '10'], {}],
  ['wk 0-2 reflex 60', ['reflex', '60'], {}],
  ['wk 0-2 flexed 60', ['flexed', '60'], {}],
  // a lock has one angle
  ['wk 0-2 locked in extension always 30', ['30'], {}],
  ['wk 0-2 locked at 20 always 30', ['30'], {}],
  ['wk 0-2 locked at 20 in extension always', ['extension'], {}],
])('“%s”: the rest is given back', (text, left, window) => {
  const { phases, notUnderstood } = read(text);
  expect(notUnderstood).toEqual(left);
  expect(phases.map((phase) => phase.window)).toEqual([window]);
});

test.each(['points', 'from-0', 'from-1'] as const)('a week alone has no end, counted %s', (weeks) => {
  const days = read('wk 1-2 0-30; wk 4 0-60; wk 6+ free', weeks).phases.map(({ fromDay, lastDay }) => [
    fromDay,
    lastDay,
  ]);
  const first = weeks === 'from-1' ? 0 : 7;
  expect(days).toEqual([
    [first, weeks === 'points' ? 13 : first + 13],
    [first + 21, undefined],
    [first + 35, undefined],
  ]);
});

test('days beside weeks say nothing of how weeks are counted', () =>
  expect(read('d 0-2 0-30; wk 2-4 0-60').weeks).toBe('from-0'));

test('an angle that stands still and a day alone are no faults; a text is read as far as its bound', () => {
  expect(read('d 0-0 20-20').phases[0]!.asks).toEqual([]);
  expect(read(`${' '.repeat(4000)}wk 0-2 0-30`)).toEqual({ phases: [], notUnderstood: [] });
});

test('a gap and days that go back are asked about', () => {
  const asks = (text: string) => read(text).phases.map((phase) => phase.asks);
  expect(asks('d 0-13 0-30; d 21-34 0-60')).toEqual([[], ['gap-before']]);
  expect(asks('d 0-13 0-30; d 0-34 0-60')).toEqual([[], ['days-not-rising']]);
  expect(asks('d 14-7 0-30')).toEqual([['days-not-rising', 'begins-late']]);
});

test('what is not understood stays to be seen, and is never made into a phase', () => {
  expect(read('as discussed; wk 0-2 0-30 gently please')).toMatchObject({
    notUnderstood: ['as discussed', 'gently', 'please'],
    phases: [{ fromDay: 0 }],
  });
  expect(read('0-30')).toEqual({ phases: [], notUnderstood: ['0-30'] });
  expect(read('wk 0-2 0-30 0-60').notUnderstood).toEqual(['0-60']);
  expect(read('')).toEqual({ phases: [], notUnderstood: [] });
});

test('every word of any text is either read or given back; nothing is thrown', () =>
  fc.assert(
    fc.property(
      fc.array(
        fc.oneof(
          fc.constantFrom(
            'wk',
            '0-2',
            '3-4',
            '0-30',
            'locked',
            'walking',
            ';',
            '\n',
            'd',
            '14',
            'free',
            '90',
            'nwb',
          ),
          fc.string({ maxLength: 6 }),
        ),
        { maxLength: 14 },
      ),
      (words) => {
        const schedule = read(words.join(' '));
        for (const { fromDay, window } of schedule.phases) {
          expect(Number.isInteger(fromDay)).toBe(true);
          expect(Object.values(window).every(Number.isFinite)).toBe(true);
        }
      },
    ),
  ));

test('phases written out by another road are read back as they were', () =>
  fc.assert(
    fc.property(
      fc.array(
        fc.record({
          weeks: fc.integer({ min: 1, max: 6 }),
          extension: fc.integer({ min: 0, max: 20 }),
          more: fc.integer({ min: 10, max: 100 }),
        }),
        { minLength: 1, maxLength: 8 },
      ),
      (made) => {
        let week = 0;
        const phases = made.map(({ weeks, extension, more }) => {
          const from = week;
          week += weeks;
          return { from, last: week - 1, extension, flexion: extension + more };
        });
        const text = phases.map(
          ({ from, last, extension, flexion }) => `wk ${from}-${last} ${extension}-${flexion}`,
        );
        expect(
          read(text.join('; '), 'from-0').phases.map(({ fromDay, lastDay, window, asks }) => ({
            fromDay,
            lastDay,
            window,
            asks,
          })),
        ).toEqual(
          phases.map(({ from, last, extension, flexion }) => ({
            fromDay: from * 7,
            lastDay: last * 7 + 6,
            window: { extension, flexion },
            asks: [],
          })),
        );
      },
    ),
  ));
