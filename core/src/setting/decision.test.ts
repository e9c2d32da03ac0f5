import { engineVersion } from '../record';
import { given, order } from '../order/test-order';
import { choiceFor, decideSetting, settingDecision } from './decision';
import { grounds, inHinges, settings } from './test-settings';

const state = {
  ...grounds,
  sizing: { ...grounds.sizing, inputs: ['a-reading'] },
  programme: { settings },
  programmePin: { hash: 'the-hash' },
};
const motion = {
  entry: 'the-test',
  day: '2026-11-24',
  motion: {
    side: 'right' as const,
    mode: 'passive' as const,
    extension: 0,
    flexion: 95,
    limitReached: { extension: false, flexion: false },
  },
};

test('stops are decided for a day, with what they were made from', () => {
  expect(decideSetting(state, 'hinge-stops', '2026-11-10', false)).toEqual({
    ...inHinges({ extension: 10, flexion: 60 }),
    phase: 0,
    ordered: { extension: 10, flexion: 60 },
    lost: { extension: 0, flexion: 0 },
    acknowledged: false,
    madeFrom: ['the-order'],
    programme: 'the-hash',
    engine: engineVersion,
  });
  // of 5 to 90 the pieces give 10 to 90: five degrees are lost
  expect(decideSetting({ ...state, motion }, 'hinge-stops', '2026-11-21', true)).toMatchObject({
    phase: 1,
    lost: { extension: 5, flexion: 0 },
    acknowledged: true,
    madeFrom: ['the-order', 'the-test'],
  });
});

test('degrees within the order are kept with what they led to; where none were chosen none are said', () => {
  const within = decideSetting(state, 'hinge-stops', '2026-11-21', true, 5)!;
  expect(within).toMatchObject({ buffer: 5, acknowledged: true });
  expect(decideSetting(state, 'hinge-stops', '2026-11-21', true)).not.toHaveProperty('buffer');
});

test('an order whose days were changed is not the one that it was: each change is among what it was made from', () => {
  const change = {
    entry: 'held-once',
    what: 'held',
    day: '2026-11-09',
    reason: 'wound',
    prescriber: 'w',
  } as const;
  const told = { ...state, order: { ...given(), changes: [change] } };
  expect(decideSetting(told, 'hinge-stops', '2026-11-10', false)!.madeFrom).toEqual([
    'the-order',
    'held-once',
  ]);
});

test('a lock that is not ordered is open, in the phase of the day, made from the order alone', () =>
  expect(decideSetting({ ...state, motion }, 'lock', '2026-11-24', true)).toMatchObject({
    setting: 'lock',
    fitted: false,
    phase: 1,
    madeFrom: ['the-order'],
  }));

test('where nothing says what it should be, nothing is decided', () => {
  expect(decideSetting(state, 'screw', '2026-11-24', true)).toBeUndefined();
  expect(choiceFor(state, 'dial', '2026-11-24')).toBeUndefined();
  expect(decideSetting({ ...state, order: undefined }, 'hinge-stops', '2026-11-24', true)).toBeUndefined();
  const ended = given({ ...order, until: '2026-11-20' });
  expect(decideSetting({ ...state, order: ended }, 'hinge-stops', '2026-11-24', true)).toBeUndefined();
});

describe('a choice that was sent', () => {
  const sent = decideSetting(state, 'hinge-stops', '2026-11-21', true)!;
  const faults = (body: typeof sent) => settingDecision.impossible(state, body);
  test('as it is computed it has no fault', () => expect(faults(sent)).toEqual([]));
  test('of a setting that is none', () =>
    expect(faults({ ...sent, setting: 'dial' })).toEqual([
      expect.objectContaining({ at: 'body.setting', message: 'is no setting of this brace' }),
    ]));
  test('with a piece that there is not, or crossed', () => {
    expect(faults({ ...sent, ...inHinges({ extension: 7, flexion: 90 }) })).toEqual(
      [0, 2].map((i) =>
        expect.objectContaining({
          at: `body.values[${i}].value`,
          message: 'is nothing that this brace has, which has 0, 10, 20',
        }),
      ),
    );
    expect(
      settingDecision.impossible(
        { ...state, model: { hinge: { extension: [100], flexion: [60] } } },
        { ...sent, ...inHinges({ extension: 100, flexion: 60 }) },
      ),
    ).toEqual([expect.objectContaining({ at: 'body.values', message: 'cannot be chosen: stops-cross' })]);
  });
  test.each([
    [{ extension: 5, flexion: 0 }, false, 1],
    [{ extension: 0, flexion: 5 }, false, 1],
    [{ extension: 0, flexion: 5 }, true, 0],
    [{ extension: 0, flexion: 0 }, false, 0],
  ])('that loses %j, seen: %s', (lost, acknowledged, count) =>
    expect(faults({ ...sent, lost, acknowledged })).toEqual(
      Array.from({ length: count }, () =>
        expect.objectContaining({
          at: 'body.acknowledged',
          message: 'must be true: motion is lost against the order',
        }),
      ),
    ),
  );
  test('an open lock is judged without numbers', () => {
    const { values: _values, ...open } = { ...sent, setting: 'lock', fitted: false };
    expect(faults(open)).toEqual([]);
  });
  test('it is computed again for its setting, as seen as it was', () => {
    expect(settingDecision.again(state, { ...sent, acknowledged: false }, '2026-11-10')).toMatchObject({
      phase: 0,
      acknowledged: false,
    });
  });
  test('why there is none yet', () => {
    expect(settingDecision.notYet({ ...state, order: undefined })[0]!.message).toBe('needs an order first');
    expect(settingDecision.notYet(state)[0]!.message).toBe(
      'cannot be chosen: nothing that the brace has lies inside the order and what the joint can do, or the order has ended',
    );
  });
});
