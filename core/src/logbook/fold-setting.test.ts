import { decideSetting } from '../setting';
import { limitsOf } from '../order';
import { foreignFaults } from './belongs';
import { caseRibbon } from './due';
import { beltContext, contextOf, dialContext, stopsMade, testContext, testLogbook } from './test-case';
import { foldCase } from './fold-case';

const ankle = { joint: 'ankle', plane: 'sagittal' } as const;

const walker = contextOf('ankle-walker', {
  sizes: ['M'],
  axes: [{ reading: 'foot-length', resolution: 0, bands: [{ size: 'M', from: 200, to: 320 }] }],
  between: 'larger',
  disagree: 'larger',
});
const angle = (value: number) => ({ setting: 'ankle-angle', values: [{ place: 'one', value }] });
/** A walker ordered pointed by 20 for two weeks, then neutral; day zero is three days before the logbook's day. */
function walkerLog(phases = [{ fromDay: 0, limits: limitsOf(ankle, { extension: 20, flexion: 20 }) }]) {
  const log = testLogbook(walker, 'right');
  log.looked();
  log.order({ phases });
  return log;
}
const judgedOf = (log: ReturnType<typeof testLogbook>, context = walker) =>
  Object.fromEntries(
    foldCase(log.entries, context)!.setting.made.map(({ setting, judged }) => [setting.id, judged]),
  );

test('the ankle is set to what is ordered; neutral where nothing is', () => {
  const log = walkerLog();
  expect(judgedOf(log)['ankle-angle']).toEqual({ state: 'open' });
  log.write('set.made', angle(0));
  expect(judgedOf(log)['ankle-angle']).toEqual({ state: 'wrong', why: 'not-as-wanted', by: 20 });
  log.write('set.made', angle(19));
  expect(judgedOf(log)['ankle-angle']).toEqual({ state: 'right' });
  const free = walkerLog([{ fromDay: 0, limits: [] }] as never);
  free.write('set.made', angle(19));
  expect(judgedOf(free)['ankle-angle']).toMatchObject({ state: 'wrong', by: 19 });
});

// common practice: neutral unless ordered otherwise; never beyond an order
test.each([
  [{}, 0, 10],
  [{ extension: 10 }, 10, 0],
  [{ flexion: -8 }, -8, 0],
  [{ extension: -10 }, 0, -8],
  [{ extension: 10, flexion: 25 }, 18, 4],
])('ordered %j the boot may stand at %d, not at %d', (window, right, wrong) => {
  const log = walkerLog([{ fromDay: 0, limits: limitsOf(ankle, window) }] as never);
  log.write('set.made', angle(right));
  expect(judgedOf(log)['ankle-angle']).toEqual({ state: 'right' });
  log.write('set.made', angle(wrong));
  expect(judgedOf(log)['ankle-angle']).toMatchObject({ state: 'wrong', why: 'not-as-wanted' });
});

test('an order that changed judges what was set by the new one', () => {
  const log = walkerLog();
  log.write('set.made', angle(20));
  expect(judgedOf(log)['ankle-angle']).toEqual({ state: 'right' });
  log.order({ phases: [{ fromDay: 0, limits: limitsOf(ankle, { extension: 0, flexion: 0 }) }] });
  expect(judgedOf(log)['ankle-angle']).toMatchObject({ state: 'wrong', by: 20 });
});

test('Set is done when everything is right, and open while one of a pair differs', () => {
  const log = testLogbook(beltContext, 'midline');
  log.looked();
  log.order({ side: 'midline', phases: [{ fromDay: 0, limits: [] }] });
  log.read('girth-waist', 'midline', 918, 922);
  const status = () => foldCase(log.entries, beltContext)!.stages.set.status;
  expect(status()).toBe('open');
  const ends = (right: number, left: number) =>
    log.write('set.made', {
      setting: 'belt-ends',
      values: [
        { place: 'right', value: right },
        { place: 'left', value: left },
      ],
    });
  log.write('set.made', { setting: 'front-panel-in', fitted: true });
  ends(12, 11);
  expect(status()).toBe('open');
  // (920 + 120 - 240) / 2 = 400 a side; marks begin at 180, every 20: the twelfth
  ends(12, 12);
  expect(status()).toBe('done');
  ends(13, 13);
  expect(status()).toBe('open');
});

const frame = { programme: beltContext.programme, model: beltContext.model, side: 'midline' as const };
const faults = (body: object) =>
  foreignFaults(frame, { kind: 'set.made', body } as never).map(({ at }) => at);
const place = (name: string, value = 12) => ({ place: name, value });

test.each([
  ['a setting of another family', { setting: 'strokes-of-air', values: [place('one')] }, ['body.setting']],
  ['a place it does not have', { setting: 'belt-ends', values: [place('medial')] }, ['body.values[0].place']],
  [
    'a place twice',
    { setting: 'belt-ends', values: [place('left'), place('left')] },
    ['body.values[1].place'],
  ],
  ['half a mark', { setting: 'belt-ends', values: [place('left', 11.5)] }, ['body.values[0].value']],
  ['in or out of what has numbers', { setting: 'belt-ends', fitted: true }, ['body']],
  ['numbers of what is in or out', { setting: 'front-panel-in', values: [place('one')] }, ['body']],
  ['what is its own', { setting: 'belt-ends', values: [place('left'), place('right')] }, []],
])('%s', (_, body, at) => expect(faults(body)).toEqual(at));

describe('a lock stands at the ordered angle, on both sides, or is open', () => {
  const lockLog = (degrees?: number) => {
    const context = dialContext;
    const log = testLogbook(context);
    log.order({
      phases: [
        {
          fromDay: 0,
          limits: [],
          ...(degrees === undefined
            ? {}
            : { locks: [{ joint: 'knee', at: { toward: 'flexion', degrees }, when: 'walking' }] }),
        },
      ],
    });
    const lock = () => {
      const { made } = foldCase(log.entries, context)!.setting;
      return made.find(({ setting: { id } }) => id === 'knee-lock')!.judged;
    };
    const set = (medial: number, lateral: number) =>
      log.write('set.made', {
        setting: 'knee-lock',
        values: [
          { place: 'medial', value: medial },
          { place: 'lateral', value: lateral },
        ],
      });
    const open = () => log.write('set.made', { setting: 'knee-lock', fitted: false });
    return { lock, set, open };
  };

  test('ordered at 15', () => {
    const { lock, set, open } = lockLog(15);
    expect(lock()).toEqual({ state: 'open' });
    open();
    expect(lock()).toEqual({ state: 'wrong', why: 'not-locked', by: 15 });
    set(15, 30);
    expect(lock()).toEqual({ state: 'wrong', why: 'pair-differs', by: 15 });
    set(30, 30);
    expect(lock()).toEqual({ state: 'wrong', why: 'not-as-wanted', by: 15 });
    set(15, 15);
    expect(lock()).toEqual({ state: 'right' });
  });

  test('not ordered', () => {
    const { lock, set, open } = lockLog();
    set(30, 30);
    expect(lock()).toEqual({ state: 'wrong', why: 'not-ordered', by: 30 });
    open();
    expect(lock()).toEqual({ state: 'right' });
  });

  test('ordered where the hardware has none: open, never the nearest', () => {
    const { lock, set, open } = lockLog(20);
    set(15, 15);
    expect(lock()).toEqual({ state: 'wrong', why: 'not-ordered', by: 15 });
    open();
    expect(lock()).toEqual({ state: 'right' });
  });
});

describe('which list it goes on by', () => {
  const strapping = (posture?: 'lying' | 'seated', begun?: string) => {
    const log = testLogbook(beltContext, 'midline');
    if (begun) log.write('strap.begun', { list: begun });
    log.order({ side: 'midline', phases: [{ fromDay: 0, limits: [] }], ...(posture ? { posture } : {}) });
    const { list, lists, unsuited } = foldCase(log.entries, beltContext)!.strapping;
    return {
      list: list?.id,
      asked: lists.map(({ id }) => id),
      unsuited: unsuited.map(({ id }) => id),
    };
  };

  test('as ordered; the other one is not offered', () => {
    expect(strapping('lying')).toEqual({
      list: 'lying-log-roll',
      asked: ['lying-log-roll'],
      unsuited: ['seated-alone'],
    });
    expect(strapping('seated').list).toBe('seated-alone');
  });

  test('where the order does not say, it is asked', () =>
    expect(strapping()).toEqual({
      list: undefined,
      asked: ['lying-log-roll', 'seated-alone'],
      unsuited: [],
    }));

  test('a list that was begun is left when the order says otherwise', () => {
    expect(strapping(undefined, 'seated-alone').list).toBe('seated-alone');
    expect(strapping('lying', 'seated-alone').list).toBe('lying-log-roll');
  });
});

describe('a setting by schedule', () => {
  const wedges = {
    kind: 'pieces' as const,
    id: 'heel-wedges',
    made: 'before-donning' as const,
    least: 0,
    most: 3,
    schedule: [
      { fromDay: 0, value: 3 },
      { fromDay: 14, value: 2 },
      { fromDay: 40, value: 0 },
    ],
  };
  const scheduled = {
    ...walker,
    programme: { ...walker.programme, settings: [wedges] as never },
  };
  const made = (day: string, value: number) => {
    const log = testLogbook(scheduled);
    log.order({ phases: [{ fromDay: 0, limits: [] }] });
    log.write(
      'set.made',
      { setting: 'heel-wedges', values: [{ place: 'one', value }] },
      { observedAt: `${day}T10:00:00.000Z` },
    );
    const state = foldCase(log.entries, scheduled)!;
    return {
      judged: state.setting.made[0]!.judged,
      due: caseRibbon(state).buckles.flatMap(({ day: on, setting }) => (setting ? [on] : [])),
    };
  };

  // day zero is 7 November 2026: 14 days on is the 21st, 40 days on the 17th of December (counted by hand)
  test('is held against the day it was made on, and due on the days that are ahead', () => {
    expect(made('2026-11-20', 3)).toEqual({
      judged: { state: 'right' },
      due: ['2026-11-21', '2026-12-17'],
    });
    expect(made('2026-11-21', 3)).toEqual({
      judged: { state: 'wrong', why: 'not-as-wanted', by: 1 },
      due: ['2026-12-17'],
    });
    expect(made('2026-11-21', 2).judged).toEqual({ state: 'right' });
    expect(made('2026-12-17', 0)).toEqual({ judged: { state: 'right' }, due: [] });
  });
});

test('an order that has ended gives no stops, from the day after its last', () => {
  const log = testLogbook();
  log.order({ until: '2026-11-24' });
  const stopsOn = (day: string) =>
    decideSetting(foldCase(log.entries, testContext)!, 'hinge-stops', day, true)?.values;
  expect(stopsOn('2026-11-24')).toEqual(stopsMade({ extension: 10, flexion: 90 }).values);
  expect(stopsOn('2026-11-25')).toBeUndefined();
});

describe('what is to be looked at in a setting', () => {
  const screws = {
    kind: 'correction' as const,
    id: 'screw',
    made: 'before-donning' as const,
    by: 'orthotist' as const,
    axes: [{ of: ['medial'], go: 'alike' as const }],
    unit: 'turns' as const,
    origin: 'neutral' as const,
    least: -2,
    most: 2,
    perChange: 0.125,
    inAll: 0.25,
  };
  const context = { ...walker, programme: { ...walker.programme, settings: [screws] as never } };
  const flagsOf = (...turns: (number | { found: number })[]) => {
    const log = testLogbook(context);
    for (const turn of turns)
      log.write('set.made', {
        setting: 'screw',
        values: [{ place: 'medial', value: typeof turn === 'number' ? turn : turn.found }],
        ...(typeof turn === 'number' ? {} : { found: true }),
      });
    const state = foldCase(log.entries, context)!;
    return [state.setting.made[0]!.flags, state.stages.set.status];
  };

  test('a change within its bounds is none of it', () => {
    expect(flagsOf(0.125, 0.25)).toEqual([[], 'done']);
  });
  test('more at once, more in all, or found so by somebody else', () => {
    expect(flagsOf(0, 0.25)).toEqual([['over-change'], 'done']);
    expect(flagsOf(0.25, 0.375)).toEqual([['over-all'], 'done']);
    expect(flagsOf({ found: 0.125 })).toEqual([['found-so'], 'open']);
    // an orthotist sets it: what was found is past
    expect(flagsOf({ found: 0.125 }, 0.125)).toEqual([[], 'done']);
  });
});

test('a lock that was chosen for somebody else to make: made otherwise it is looked at, as chosen it is done with', () => {
  const log = testLogbook(dialContext);
  log.order({
    phases: [
      {
        fromDay: 0,
        limits: [],
        locks: [{ joint: 'knee', at: { toward: 'flexion', degrees: 15 }, when: 'always' }],
      },
    ],
  });
  const state = () => foldCase(log.entries, dialContext)!;
  const lock = () => state().setting.made.find(({ setting: { id } }) => id === 'knee-lock')!;
  const body = decideSetting(state(), 'knee-lock', '2026-11-24', true)!;
  expect(body).toMatchObject({
    setting: 'knee-lock',
    phase: 0,
    values: [
      { place: 'medial', value: 15 },
      { place: 'lateral', value: 15 },
    ],
    madeFrom: [state().order!.entry],
  });
  log.write('set.chosen', body);
  expect(lock()).toMatchObject({ chosen: { wouldDiffer: false }, made: undefined });
  log.write('set.made', { setting: 'knee-lock', fitted: false, found: true });
  expect(lock().flags).toEqual(['differs-from-chosen', 'found-so']);
  log.write('set.made', { setting: 'knee-lock', values: body.values });
  expect(lock()).toMatchObject({ flags: [], judged: { state: 'right' } });
  // another order makes the choice another one
  log.order({ phases: [{ fromDay: 0, limits: [] }] });
  expect(lock().chosen).toMatchObject({ wouldDiffer: true });
});

test('a lock that opens with a phase is due on that day', () => {
  const log = testLogbook(dialContext);
  const locked = {
    joint: 'knee' as const,
    at: { toward: 'flexion' as const, degrees: 0 },
    when: 'walking' as const,
  };
  log.order({
    phases: [
      { fromDay: 0, limits: [], locks: [locked] },
      { fromDay: 28, limits: [] },
    ],
  });
  log.write('set.made', {
    setting: 'knee-lock',
    values: [
      { place: 'medial', value: 0 },
      { place: 'lateral', value: 0 },
    ],
  });
  // day zero is the 7th of November: 28 days on is the 5th of December (counted by hand)
  expect(caseRibbon(foldCase(log.entries, dialContext)!).buckles).toMatchObject([
    { day: '2026-12-05', kind: 'S', setting: 'knee-lock', visit: true },
  ]);
});

describe('air by the patient: so many strokes every so many days, handed over and told', () => {
  const airLog = () => {
    const log = walkerLog();
    log.write('set.made', { setting: 'strokes-of-air', values: [{ place: 'one', value: 5 }] });
    return log;
  };
  const handed = { setting: 'strokes-of-air', within: { n: 5, d: 1 }, everyDays: 2, most: { n: 5, d: 1 } };
  const flagsOf = (log: ReturnType<typeof testLogbook>) => {
    const { setting } = foldCase(log.entries, walker)!;
    return setting.made.find((one) => one.setting.id === 'strokes-of-air')!.flags;
  };
  const told = (log: ReturnType<typeof testLogbook>, value: number, everyDays: number) =>
    log.write('set.made', {
      setting: 'strokes-of-air',
      values: [{ place: 'one', value }],
      reported: true,
      everyDays,
    });

  test.each([
    [5, 2, []],
    [4, 3, []],
    // as much as before is still too much when it is more than was given
    [6, 2, ['over-patient']],
    [5, 1, ['too-soon']],
    [6, 1, ['over-patient']],
  ])('%d strokes every %d days', (strokes, days, flags) => {
    const log = airLog();
    log.write('set.handed-over', handed);
    told(log, strokes, days);
    expect(flagsOf(log)).toEqual(flags);
  });

  test('what was never handed over is not the patient’s', () => {
    const log = airLog();
    told(log, 5, 2);
    expect(flagsOf(log)).toEqual(['not-patients']);
  });

  test('told twice, the second is held against what was handed over and not against the day of the first', () => {
    const log = airLog();
    log.write('set.handed-over', handed);
    told(log, 5, 2);
    told(log, 4, 2);
    expect(flagsOf(log)).toEqual([]);
  });
});

// common practice, no source: swelling falls, the two belts are made again, and what hangs on them is looked at again
test('belts of a sternal-pad TLSO that are re-sized ask for the checks that hang on them, and for no other brace’s', () => {
  const context = contextOf('spine-sternal-pad', {
    sizes: ['1'],
    axes: [],
    between: 'larger',
    disagree: 'larger',
  });
  const log = testLogbook(context, 'midline');
  const belts = (mark: number) =>
    log.write('set.made', {
      setting: 'two-belts',
      values: [
        { place: 'upper', value: mark },
        { place: 'lower', value: mark },
      ],
    });
  const openNow = () =>
    foldCase(log.entries, context)!.checking.checks.flatMap(({ check, judged }) =>
      judged.state === 'open' ? [check.id] : [],
    );
  log.looked();
  log.order({ phases: [{ fromDay: 0, limits: [] }] });
  belts(14);
  for (const { check } of foldCase(log.entries, context)!.checking.checks)
    log.write('check.recorded', {
      check: check.id,
      ...(check.moment ? { moment: check.moment.is } : {}),
      ...(check.kind === 'distance' ? { value: 13 } : { seen: true }),
    });
  expect(openNow()).toEqual([]);
  log.write('set.made', { setting: 'sternal-pad-below-notch', values: [{ place: 'one', value: 12 }] });
  expect(openNow()).toEqual(['pad-below-the-notch']);
  belts(12);
  expect(new Set(openNow())).toEqual(
    new Set([
      'side-panels-alike',
      'back-panel-in-place',
      'pad-below-the-notch',
      'edge-at-the-symphysis',
      'breathes-sits-stands',
    ]),
  );
});
