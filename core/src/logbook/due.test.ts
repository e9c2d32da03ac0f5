import { staysDue, type Buckle } from './buckle';
import { caseRibbon, firstVisit } from './due';
import { foldCase } from './fold-case';
import { limitsOf } from '../order';
import { decideSetting } from '../setting';
import { contextOf, dialContext, stopsMade, testContext, testLogbook, userId } from './test-case';

const at = (day: string) => ({ observedAt: `${day}T10:00:00.000Z` });
const growing = {
  kind: 'growing',
  from: '2026-11-24',
  firstDay: 30,
  grow: 30,
  everyDays: 2,
  ceiling: 90,
} as const;
const free = { protective: false, trouble: 'take-off' } as const;
const state = (log: ReturnType<typeof testLogbook>, context = testContext) => foldCase(log.entries, context)!;
const ribbon = (log: ReturnType<typeof testLogbook>) => caseRibbon(state(log));
const of = (log: ReturnType<typeof testLogbook>, kind: Buckle['kind']) =>
  ribbon(log).buckles.filter((one) => one.kind === kind);

test('an empty case has nothing to come and was never worn', () =>
  expect(ribbon(testLogbook())).toEqual({ worn: [], buckles: [] }));

test('wearing grows on its days, and nobody comes in for it; held, it does not', () => {
  const log = testLogbook();
  log.order(free);
  log.write('wear.planned', growing);
  expect(of(log, 'W')).toEqual([
    { day: '2026-11-26', kind: 'W', stage: 'wear', visit: false, minutes: 60 },
    { day: '2026-11-28', kind: 'W', stage: 'wear', visit: false, minutes: 90 },
  ]);
  expect(ribbon(log).worn).toEqual([{ from: '2026-11-24', minutes: 30 }]);
  log.write('check.recorded', { check: 'toes-warm-moving-felt', seen: false });
  expect(of(log, 'W')).toEqual([]);
  expect(of(log, 'C')).toEqual([
    {
      day: '2026-11-24',
      kind: 'C',
      stage: 'check',
      visit: false,
      about: { why: 'limb-safety', name: 'toes-warm-moving-felt' },
    },
  ]);
});

test('a plan as ordered has no steps', () => {
  const log = testLogbook();
  log.order();
  log.write('wear.planned', { kind: 'as-ordered', from: '2026-11-24', wearing: 'day and night' });
  expect(of(log, 'W')).toEqual([]);
  expect(ribbon(log).worn).toEqual([{ from: '2026-11-24' }]);
});

test('visits that were not kept, with who planned them and what for', () => {
  const log = testLogbook();
  const review = log.write('visit.planned', { day: '2026-12-02', purpose: 'review', note: 'with her son' });
  const fitting = log.write('visit.planned', { day: '2026-11-30', purpose: 'fitting' });
  const kept = log.write('visit.planned', { day: '2026-11-20', purpose: 'review' });
  log.write('review.found', { skin: 'clear', pain: 1 }, at('2026-11-24'));
  expect(ribbon(log).buckles).toEqual([
    {
      day: '2026-11-30',
      kind: 'F',
      stage: 'screen',
      visit: true,
      planned: { entry: fitting, by: userId, purpose: 'fitting' },
    },
    {
      day: '2026-12-02',
      kind: 'R',
      stage: 'review',
      visit: true,
      note: 'with her son',
      noteBy: userId,
      planned: { entry: review, by: userId, purpose: 'review' },
    },
  ]);
  expect(state(log).visits.find(({ entry }) => entry === kept)!.kept).toBe(true);
});

test('what stays due until it is done, and the first of them', () => {
  expect(staysDue({ visit: true, kind: 'R' })).toBe(true);
  expect(staysDue({ visit: false, kind: 'C' })).toBe(true);
  expect(staysDue({ visit: false, kind: 'W' })).toBe(false);
  const one = (day: string, kind: Buckle['kind'], visit: boolean): Buckle => ({
    day,
    kind,
    visit,
    stage: 'wear',
  });
  const buckles = [
    one('2026-11-20', 'W', false),
    one('2026-11-21', 'C', false),
    one('2026-11-22', 'R', true),
  ];
  expect(firstVisit({ worn: [], buckles })).toBe('2026-11-21');
  expect(firstVisit({ worn: [], buckles: buckles.slice(0, 1) })).toBeUndefined();
});

test('on one day a call comes before a fitting, a fitting before a review', () => {
  const log = testLogbook();
  log.write('visit.planned', { day: '2026-11-24', purpose: 'review' });
  log.write('visit.planned', { day: '2026-11-24', purpose: 'fitting' });
  log.looked('infected-wound');
  expect(ribbon(log).buckles.map(({ kind }) => kind)).toEqual(['C', 'F', 'R']);
});

describe('stops that change with the order', () => {
  const fitted = (day: string, of?: string) => {
    const log = testLogbook();
    log.order();
    log.stops({ extension: 10, flexion: 60 }, { ...at(day), ...(of ? { of } : {}) });
    return log;
  };
  test('before anything is in, they are put in with the fitting', () => {
    const log = testLogbook();
    log.order();
    expect(of(log, 'S')).toEqual([]);
  });
  test('each day says its window and its motion', () =>
    // 5 to 90 from the 21st, 7 to 95 takes the same pieces, 0 to 120 from the 19th of December (counted by hand)
    expect(of(fitted('2026-11-10'), 'S')).toEqual([
      {
        day: '2026-11-21',
        begins: 1,
        kind: 'S',
        stage: 'review',
        visit: true,
        window: { extension: 5, flexion: 90 },
        motion: { joint: 'knee', plane: 'sagittal' },
      },
      {
        day: '2026-12-19',
        begins: 3,
        kind: 'S',
        stage: 'review',
        visit: true,
        window: { extension: 0, flexion: 120 },
        motion: { joint: 'knee', plane: 'sagittal' },
      },
    ]));
  test('a phase that begins on the day they were put in is not ahead; one for which others would be chosen is', () =>
    // narrower than the second phase gives: the third one, which gives the same, is the next day to mend it
    expect(of(fitted('2026-11-21'), 'S').map(({ day }) => day)).toEqual(['2026-12-05', '2026-12-19']));
  test('what was put in ahead for a phase stands for that phase', () => {
    const log = testLogbook();
    log.order();
    const chosen = log.write(
      'set.chosen',
      decideSetting(state(log), 'hinge-stops', '2026-11-21', true)!,
      at('2026-11-18'),
    );
    log.stops({ extension: 10, flexion: 90 }, { of: chosen, ...at('2026-11-18') });
    expect(of(log, 'S').map(({ day }) => day)).toEqual(['2026-12-19']);
    // found in the hinges without a choice, they are too wide for the days until the 21st, and right from then on
    const without = testLogbook();
    without.order();
    without.stops({ extension: 10, flexion: 90 }, at('2026-11-18'));
    expect(of(without, 'S').map(({ day }) => day)).toEqual(['2026-12-19']);
  });
  test('what was put in ahead for the last phase asks nothing of the phases before it', () => {
    const log = testLogbook();
    log.order();
    const chosen = log.write(
      'set.chosen',
      decideSetting(state(log), 'hinge-stops', '2026-12-19', true)!,
      at('2026-11-18'),
    );
    log.stops({ extension: 0, flexion: 120 }, { of: chosen, ...at('2026-11-18') });
    expect(of(log, 'S')).toEqual([]);
    // the same in the hinges and not as chosen: the next phase asks for narrower ones
    const other = testLogbook();
    other.order();
    other.stops({ extension: 0, flexion: 120 }, at('2026-11-18'));
    expect(of(other, 'S').map(({ day }) => day)[0]).toBe('2026-11-21');
  });
  test('held, no phase ahead is due; resumed, each is due so many days later', () => {
    const log = fitted('2026-11-10');
    const change = (what: 'held' | 'resumed', day: string) =>
      log.write('order.changed', { what, day, prescriber: 'ward 3', reason: 'wound' });
    change('held', '2026-11-15');
    expect(of(log, 'S')).toEqual([]);
    change('resumed', '2026-11-18');
    expect(of(log, 'S').map(({ day }) => day)).toEqual(['2026-11-24', '2026-12-22']);
  });
  test('a phase that would begin after the order’s last day never does', () => {
    const until = (day: string) => {
      const log = testLogbook();
      log.order({ until: day });
      log.stops({ extension: 10, flexion: 60 }, at('2026-11-10'));
      return of(log, 'S').map((one) => one.day);
    };
    expect(until('2026-12-19')).toEqual(['2026-11-21', '2026-12-19']);
    expect(until('2026-12-18')).toEqual(['2026-11-21']);
    expect(until('2026-11-20')).toEqual([]);
  });
  test('an end that is not limited any more', () => {
    const log = testLogbook();
    log.order({
      phases: [
        {
          fromDay: 0,
          limits: limitsOf({ joint: 'knee', plane: 'sagittal' }, { extension: 10, flexion: 60 }),
        },
        { fromDay: 28, limits: [] },
      ],
    });
    log.stops({ extension: 10, flexion: 60 }, at('2026-11-10'));
    expect(of(log, 'S')).toMatchObject([{ day: '2026-12-05', window: {} }]);
  });
});

test('another setting that changes is told by its name, and is set where it is set', () => {
  const log = testLogbook(dialContext);
  const locked = { joint: 'knee', at: { toward: 'flexion', degrees: 0 }, when: 'walking' } as const;
  log.order({
    phases: [
      { fromDay: 0, limits: [], locks: [locked] },
      { fromDay: 28, limits: [] },
    ],
  });
  const values = ['medial', 'lateral'].map((place) => ({ place, value: 0 }));
  log.write('set.made', { setting: 'knee-lock', values });
  expect(caseRibbon(state(log, dialContext)).buckles).toEqual([
    { day: '2026-12-05', begins: 1, kind: 'S', stage: 'set', visit: true, setting: 'knee-lock' },
  ]);
});

describe('since when it is worn', () => {
  test('from the day of the plan, with the stops that were in then, and a span for every change after it', () => {
    const log = testLogbook();
    log.order();
    log.stops({ extension: 20, flexion: 60 }, at('2026-11-09'));
    log.stops({ extension: 10, flexion: 60 }, at('2026-11-10'));
    log.write('wear.planned', { kind: 'as-ordered', from: '2026-11-10', wearing: 'day and night' });
    log.stops({ extension: 10, flexion: 90 }, at('2026-11-21'));
    expect(ribbon(log).worn).toEqual([
      { from: '2026-11-10', until: '2026-11-21', stops: { extension: 10, flexion: 60 } },
      { from: '2026-11-21', stops: { extension: 10, flexion: 90 } },
    ]);
  });
  test('without a plan, from the fitting that was signed as passed', () => {
    const log = testLogbook();
    log.order();
    log.stops({ extension: 10, flexion: 60 }, at('2026-11-10'));
    expect(ribbon(log).worn).toEqual([]);
    const signed = (result: 'pass' | 'fail') =>
      log.write('check.signed', { result, madeFrom: [], programme: 'p', engine: 1 });
    signed('fail');
    expect(ribbon(log).worn).toEqual([]);
    signed('pass');
    expect(ribbon(log).worn).toEqual([{ from: '2026-11-10', stops: { extension: 10, flexion: 60 } }]);
    // signed with no stops in it: since when nobody has said
    const bare = testLogbook();
    bare.write('check.signed', { result: 'pass', madeFrom: [], programme: 'p', engine: 1 });
    expect(ribbon(bare).worn).toEqual([]);
  });
  test('a ribbon carries four hundred spans, the last ones', () => {
    const log = testLogbook();
    log.order();
    log.write('wear.planned', { kind: 'as-ordered', from: '2020-01-01', wearing: 'day and night' });
    for (let i = 0; i < 410; i += 1)
      log.write(
        'set.made',
        stopsMade({ extension: 10, flexion: i % 2 === 0 ? 60 : 90 }),
        at(new Date(Date.UTC(2020, 1, 1 + i)).toISOString().slice(0, 10)),
      );
    const { worn } = ribbon(log);
    expect(worn).toHaveLength(400);
    expect(worn.at(-1)).toEqual({ from: '2021-03-16', stops: { extension: 10, flexion: 90 } });
  });
});

test('what goes out by its own days is due on each of them, named by the day it was stated for', () => {
  const scheduled = {
    ...dialContext,
    programme: {
      ...dialContext.programme,
      settings: [
        {
          kind: 'pieces' as const,
          id: 'wedges',
          made: 'before-donning' as const,
          least: 0,
          most: 8,
          schedule: [
            { fromDay: 0, value: 4 },
            { fromDay: 14, value: 2 },
            { fromDay: 28, value: 0 },
          ],
        },
      ],
    },
  };
  const log = testLogbook(scheduled);
  log.order({
    phases: [
      { fromDay: 0, limits: [] },
      { fromDay: 21, limits: [] },
    ],
  });
  log.write('set.made', { setting: 'wedges', values: [{ place: 'one', value: 4 }] }, at('2026-11-08'));
  expect(caseRibbon(state(log, scheduled)).buckles).toEqual([
    { day: '2026-11-21', begins: 14, kind: 'S', stage: 'set', visit: true, setting: 'wedges' },
    { day: '2026-12-05', begins: 28, kind: 'S', stage: 'set', visit: true, setting: 'wedges' },
  ]);
});

// common practice, no source: a sleeve is looked at again within half an hour
test('a look once more is due on its day, by the clock of the last step; answered, it is gone', () => {
  const context = contextOf('knee-sleeve', {
    sizes: ['1'],
    axes: [{ reading: 'girth-above', resolution: 0, bands: [{ size: '1', from: 300, to: 700 }] }],
    between: 'larger',
    disagree: 'larger',
  });
  const log = testLogbook(context);
  log.write('strap.done', { step: 'draw-up', pass: 1 }, { observedAt: '2026-11-24T10:00:00.000Z' });
  const again = () => caseRibbon(state(log, context)).buckles.filter(({ kind }) => kind === 'L');
  expect(again()).toEqual([
    {
      day: '2026-11-24',
      kind: 'L',
      stage: 'check',
      visit: false,
      again: { check: 'no-creases', until: '2026-11-24T10:30:00.000Z' },
    },
  ]);
  log.write(
    'check.recorded',
    { check: 'no-creases', moment: 'later', seen: true },
    { observedAt: '2026-11-24T10:20:00.000Z' },
  );
  expect(again()).toEqual([]);
});
