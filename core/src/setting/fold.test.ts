import fc from 'fast-check';
import { given, order } from '../order/test-order';
import { testRecord, written } from '../record/test-record';
import { decideSetting } from './decision';
import { settingChosen, settingMade } from './entries';
import type { SettingMade } from './kind';
import type { Setting } from './settings';
import { bodyOfMade, foldSettings, foldStops, groundsOn, isSet, wantedOn } from './fold';
import { madeIn } from './settings';
import { air, grounds, hinges, inHinges, lock, panel, screw, settings } from './test-settings';

const state = {
  ...grounds,
  sizing: { ...grounds.sizing, inputs: [] },
  programme: { settings },
  programmePin: { hash: 'p' },
};
const on = (day: string) => ({ observedAt: `${day}T09:30:00.000Z` });
const made = (body: Parameters<typeof madeIn>[0] & { setting: string }, day = '2026-11-24', more = {}) =>
  written(settingMade, { ...body, ...more }, on(day));
const chosen = (setting: string, day = '2026-11-24') =>
  written(settingChosen, { ...decideSetting(state, setting, day, true)!, madeFrom: [] }, on(day));
const turned = (turns: number, day?: string, more = {}) =>
  made({ setting: 'screw', values: [{ place: 'medial', value: turns }] }, day, more);
const folded = (entries: Parameters<typeof testRecord>, of: readonly Setting[] = settings, by = grounds) =>
  foldSettings(testRecord(...entries), of, by);
const one = (id: string, entries: Parameters<typeof testRecord>, by = grounds) =>
  folded(entries, settings, by).find(({ setting }) => setting.id === id)!;

test('how it was made goes into a body and out of it', () => {
  const ways: SettingMade[] = [
    { values: { medial: 1, lateral: 2 } },
    { values: { one: 0 }, fitted: true },
    { fitted: false },
    {},
  ];
  for (const way of ways) expect(madeIn(bodyOfMade(way))).toEqual(way);
  expect(bodyOfMade({ fitted: false })).toEqual({ fitted: false });
  expect(bodyOfMade({ values: { one: 4 } })).toEqual({ values: [{ place: 'one', value: 4 }] });
});

test('before anything was made it is open; what is set while it goes on belongs to that step, a part that nobody asks for may stay unsaid', () => {
  const states = folded([]);
  expect(states.map(({ setting: { id }, judged, made: now, flags }) => [id, judged, now, flags])).toEqual(
    settings.map(({ id }) => [id, { state: 'open' }, undefined, []]),
  );
  expect(states.map(isSet)).toEqual([false, false, false, true, true]);
  // one that must be in is asked for
  expect(folded([], [{ ...panel, must: true } as never]).map(isSet)).toEqual([false]);
});

test('the last time counts, judged by the day it was made on', () => {
  // 60 on the tenth is the first phase's; on the 24th the second one is in force, and 60 narrower than it
  const early = one('hinge-stops', [
    made(inHinges({ extension: 0, flexion: 90 }), '2026-11-09'),
    made(inHinges({ extension: 10, flexion: 60 }), '2026-11-10'),
  ]);
  expect(early).toMatchObject({ judged: { state: 'right' }, made: { entry: 'e2', day: '2026-11-10' } });
  const wide = one('hinge-stops', [made(inHinges({ extension: 10, flexion: 90 }), '2026-11-10')]);
  expect(wide.judged).toEqual({ state: 'wrong', why: 'outside-order', by: 30 });
  expect(one('hinge-stops', [made(inHinges({ extension: 10, flexion: 90 }), '2026-11-21')]).judged).toEqual({
    state: 'right',
  });
});

test('stops are set when they are as chosen; a choice that would differ holds them open', () => {
  const right = made(inHinges({ extension: 10, flexion: 90 }));
  expect(isSet(one('hinge-stops', [right]))).toBe(false);
  expect(isSet(one('hinge-stops', [chosen('hinge-stops'), right]))).toBe(true);
  const narrower = one('hinge-stops', [
    chosen('hinge-stops'),
    made(inHinges({ extension: 10, flexion: 60 })),
  ]);
  expect(narrower.flags).toEqual(['differs-from-chosen']);
  expect(isSet(narrower)).toBe(false);
  const other = { ...grounds, order: given({ ...order, phases: [order.phases[0]!] }, 'x') };
  const past = one('hinge-stops', [chosen('hinge-stops'), right], other);
  expect(past.chosen).toMatchObject({ entry: 'e1', wouldDiffer: true });
  expect(isSet(past)).toBe(false);
});

test('a choice is computed again as of the day its phase begins, not of the day it was written', () => {
  const early = { ...grounds, order: given(order, 'x') };
  // chosen on the tenth for the phase that begins on the 21st
  const body = decideSetting(state, 'hinge-stops', '2026-11-21', true)!;
  const ahead = written(settingChosen, { ...body, madeFrom: [] }, on('2026-11-10'));
  expect(one('hinge-stops', [ahead], early).chosen!.wouldDiffer).toBe(false);
  // one without a phase goes by its own day
  const { phase: _phase, ...plain } = { ...body, madeFrom: [] };
  expect(one('hinge-stops', [written(settingChosen, plain, on('2026-11-10'))]).chosen!.wouldDiffer).toBe(
    true,
  );
  expect(one('hinge-stops', [written(settingChosen, plain, on('2026-11-24'))]).chosen!.wouldDiffer).toBe(
    false,
  );
  // a phase that the order has no more, and no order at all
  expect(
    one('hinge-stops', [written(settingChosen, { ...body, madeFrom: [], phase: 2 }, on('2026-11-24'))])
      .chosen!.wouldDiffer,
  ).toBe(true);
  expect(one('hinge-stops', [ahead], { ...grounds, order: undefined }).chosen!.wouldDiffer).toBe(true);
});

test('a choice for one setting says nothing of another', () => {
  const states = folded([chosen('hinge-stops'), chosen('lock'), made({ setting: 'panel', fitted: true })]);
  expect(states.map(({ chosen: choice }) => choice?.entry)).toEqual([
    'e1',
    'e2',
    undefined,
    undefined,
    undefined,
  ]);
  expect(states.map(({ made: now }) => now?.entry)).toEqual([
    undefined,
    undefined,
    undefined,
    'e3',
    undefined,
  ]);
});

describe('what is to be looked at', () => {
  const flags = (...entries: Parameters<typeof testRecord>) => {
    const found = one('screw', entries);
    return [found.flags, isSet(found)];
  };
  test('more at once, more in all, found so', () => {
    expect(flags(turned(0), turned(0.125))).toEqual([[], true]);
    expect(flags(turned(0), turned(0.25))).toEqual([['over-change'], true]);
    expect(flags(turned(0.5), turned(0.625))).toEqual([['over-all'], true]);
    expect(flags(turned(0, undefined, { found: true }))).toEqual([['found-so'], false]);
  });
  test('a patient’s own change has a limit and days of its own, and the limit of all', () => {
    const told = { reported: true };
    expect(flags(turned(0, '2026-11-20'), turned(0.25, '2026-11-23', told))).toEqual([[], true]);
    expect(flags(turned(0, '2026-11-20'), turned(0.375, '2026-11-24', told))).toEqual([
      ['over-patient'],
      false,
    ]);
    expect(flags(turned(0, '2026-11-22'), turned(0.25, '2026-11-24', told))).toEqual([['too-soon'], true]);
    expect(flags(turned(0.5, '2026-11-20'), turned(0.625, '2026-11-24', told))).toEqual([['over-all'], true]);
    // told before anything was made: there is nothing to hold it against
    expect(flags(turned(0.25, '2026-11-24', told))).toEqual([[], true]);
    // tenths do not add up to the last bit
    expect(flags(turned(0.1, '2026-11-20'), turned(0.35, '2026-11-24', told))).toEqual([[], true]);
  });
  test('what is not a patient’s to change is looked at', () => {
    const found = one('panel', [
      made({ setting: 'panel', fitted: true }),
      made({ setting: 'panel', fitted: false }, '2026-11-25', { reported: true }),
    ]);
    expect([found.flags, isSet(found)]).toEqual([['not-patients'], false]);
  });
  test('what a patient may change is not held against the choice; beyond it, it is', () => {
    const choice = written(settingChosen, {
      setting: 'screw',
      values: [{ place: 'medial', value: 0 }],
      lost: { extension: 0, flexion: 0 },
      acknowledged: true,
      madeFrom: [],
      programme: 'p',
      engine: 1,
    });
    const told = (turns: number) =>
      one('screw', [choice, turned(0, '2026-11-20'), turned(turns, '2026-11-24', { reported: true })]).flags;
    expect(told(0.25)).toEqual([]);
    expect(told(0.375)).toEqual(['differs-from-chosen', 'over-patient']);
  });
});

describe('the hinges’ stops', () => {
  const stops = (...entries: Parameters<typeof testRecord>) => {
    const record = testRecord(...entries);
    return foldStops(record, foldSettings(record, settings, grounds));
  };
  const whole = { extension: 10, flexion: 90 };

  test('a brace without them has none', () => {
    const record = testRecord(made({ setting: 'panel', fitted: true }), chosen('lock'));
    expect(foldStops(record, foldSettings(record, [lock, panel, screw, air], grounds))).toEqual({
      chosen: undefined,
      fitted: undefined,
      fittings: [],
      look: [],
    });
  });

  test('other settings, and ends that are not said, are no pair of stops', () => {
    const half = { ...inHinges(whole), values: inHinges(whole).values.slice(0, 2) };
    const state = stops(made({ setting: 'panel', fitted: true }), chosen('lock'), made(half));
    expect(state).toEqual({ chosen: undefined, fitted: undefined, fittings: [], look: [] });
    // one hinge without its extension stop is no pair, whatever the other has
    const lateral = { ...inHinges(whole), values: inHinges(whole).values.slice(2) };
    expect(stops(made(lateral)).fitted).toBeUndefined();
    // the lock's choice comes after: the stops chosen are still those of the hinges
    expect(stops(chosen('hinge-stops'), chosen('lock'), made(inHinges(whole)))).toMatchObject({
      chosen: { entry: 'e1', decided: { medial: whole, lateral: whole } },
      fitted: { entry: 'e3' },
      look: [],
    });
  });

  test('every fitting with its day and its phase, the last one in', () => {
    const state = stops(
      chosen('hinge-stops', '2026-11-10'),
      made(inHinges({ extension: 10, flexion: 60 }), '2026-11-10', { of: 'e1' }),
      chosen('hinge-stops', '2026-11-21'),
      made(inHinges(whole), '2026-11-21', { of: 'e3' }),
    );
    expect(state.fitted).toEqual({ entry: 'e4', day: '2026-11-21', medial: whole, lateral: whole, phase: 1 });
    expect(state.fittings).toEqual([
      { day: '2026-11-10', stops: { extension: 10, flexion: 60 } },
      { day: '2026-11-21', stops: whole },
    ]);
    // made without a choice, it is of no phase
    expect(stops(chosen('hinge-stops'), made(inHinges(whole))).fitted!.phase).toBeUndefined();
  });

  test('what is to be looked at on the hinges', () => {
    const look = (...entries: Parameters<typeof testRecord>) =>
      stops(...entries).look.map(({ what }) => what);
    expect(look(chosen('hinge-stops'), made(inHinges(whole)))).toEqual([]);
    expect(look(made(inHinges(whole, { extension: 20, flexion: 90 })))).toEqual(['pair-differs']);
    expect(look(chosen('hinge-stops'), made(inHinges({ extension: 20, flexion: 90 })))).toEqual([
      'fitted-differs-from-chosen',
    ]);
    // the lateral hinge alone is another
    expect(look(chosen('hinge-stops'), made(inHinges(whole, { extension: 20, flexion: 90 })))).toEqual([
      'fitted-differs-from-chosen',
      'pair-differs',
    ]);
    expect(look(made(inHinges({ extension: 0, flexion: 90 })))).toEqual(['outside-order']);
    expect(look(made(inHinges(whole), undefined, { found: true }))).toEqual(['found-so']);
    expect(stops(made(inHinges(whole, { extension: 20, flexion: 120 }))).look).toContainEqual({
      what: 'pair-differs',
      entry: 'e1',
      stops: ['extension', 'flexion'],
    });
  });
});

test('what the joint reached goes along, hyperextension below zero', () => {
  const tested = (extension: number, flexion: number) => ({
    entry: 'm',
    day: '2026-11-24',
    motion: {
      side: 'right' as const,
      mode: 'passive' as const,
      extension,
      flexion,
      limitReached: { extension: false, flexion: false },
    },
  });
  const joint = (motion: typeof grounds.motion) => groundsOn({ ...grounds, motion }, '2026-11-24').joint;
  expect(joint(undefined)).toBeUndefined();
  expect(joint(tested(10, 95))).toEqual({ from: -10, to: 95 });
  // never minus nought
  expect(joint(tested(0, 95))).toEqual({ from: 0, to: 95 });
  expect(joint(tested(-15, 95))).toEqual({ from: 15, to: 95 });
});

test('what is wanted of a setting on a day, by what holds', () => {
  expect(wantedOn(hinges, grounds, '2026-11-10')).toEqual({ from: 10, to: 60 });
  expect(wantedOn(hinges, { ...grounds, order: undefined }, '2026-11-10')).toBeUndefined();
  expect(wantedOn(lock, grounds, '2026-11-10')).toBe('open');
});

test('a belt’s ends are equal after any sequence of changes, or it is said that they are not', () => {
  const ends: Setting = {
    kind: 'mark',
    id: 'ends',
    made: 'before-donning',
    axes: [{ of: ['right', 'left'], go: 'alike' }],
    least: 1,
    most: 60,
  };
  const change = fc.record({ right: fc.integer({ min: 1, max: 60 }), left: fc.integer({ min: 1, max: 60 }) });
  fc.assert(
    fc.property(fc.array(change, { minLength: 1, maxLength: 8 }), (changes) => {
      const [now] = folded(
        changes.map(({ right, left }) =>
          made({
            setting: 'ends',
            values: [
              { place: 'right', value: right },
              { place: 'left', value: left },
            ],
          }),
        ),
        [ends],
      );
      // by the plain numbers of the last change, whatever came before
      const { right, left } = changes.at(-1)!;
      expect(now!.made!.values).toEqual({ right, left });
      expect(now!.judged).toEqual(
        right === left
          ? { state: 'right' }
          : { state: 'wrong', why: 'pair-differs', by: Math.abs(right - left) },
      );
      expect(isSet(now!)).toBe(right === left);
    }),
  );
});
