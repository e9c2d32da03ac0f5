import fc from 'fast-check';
import { looksReversed, parseNeutralZero, formatNeutralZero } from '../measuring';
import { chooseStops, pairProblems, usableArc } from './stops';

// Neutral-zero method, AAOS 1965; Gerhardt and Russe 1975 (memory)
test.each([
  ['5-0-130', { extension: 5, flexion: 130 }],
  ['0-0-120', { extension: 0, flexion: 120 }],
  ['0-20-90', { extension: -20, flexion: 90 }],
  ['0/8/84', { extension: -8, flexion: 84 }],
  ['10 5 0', { extension: 10, flexion: -5 }],
])('%s', (text, motion) => expect(parseNeutralZero(text)).toEqual(motion));

test.each(['5-130', '0-90-20', '5-10-130', '5-0-201', '181-0-5', 'a-0-b', '', '5-0-130-2'])(
  '"%s" is no neutral-zero reading',
  (text) => expect(parseNeutralZero(text)).toBeUndefined(),
);

test('printing and reading are inverse', () => {
  fc.assert(
    // the whole range that is recorded: beyond zero, short of it on either side, zero itself
    fc.property(fc.integer({ min: -120, max: 180 }), fc.integer({ min: 0, max: 260 }), (extension, more) => {
      const motion = { extension, flexion: Math.min(200, Math.max(-60, -extension) + more) };
      expect(parseNeutralZero(formatNeutralZero(motion))).toEqual(motion);
    }),
  );
});

const hinge = { extension: [0, 10, 20, 30], flexion: [45, 60, 75, 90] };
const rule = { leastExtension: 0, always: true };

test.each([
  [
    { extension: 0, flexion: 90 },
    { extension: 0, flexion: 90 },
    { extension: 0, flexion: 0 },
  ],
  [
    { extension: 5, flexion: 70 },
    { extension: 10, flexion: 60 },
    { extension: 5, flexion: 10 },
  ],
  [{ flexion: 90 }, { extension: 0, flexion: 90 }, { extension: 0, flexion: 0 }],
  [{ extension: 10 }, { extension: 10, flexion: null }, { extension: 0, flexion: 0 }],
  [{}, { extension: 0, flexion: null }, { extension: 0, flexion: 0 }],
  // the 0 wedge stays though the order allows hyperextension: what is lost is told
  [
    { extension: -5, flexion: 90 },
    { extension: 0, flexion: 90 },
    { extension: 5, flexion: 0 },
  ],
])('an order of %j gets %j', (window, stops, lost) =>
  expect(chooseStops(window, hinge, rule)).toMatchObject({ ok: true, stops, lost }),
);

test.each([
  [{ extension: 90, flexion: 10 }, 'window-reversed'],
  [{ extension: 35, flexion: 90 }, 'no-extension-piece'],
  [{ extension: 0, flexion: 40 }, 'no-flexion-piece'],
  [{ extension: 31, flexion: 46 }, 'no-extension-piece'],
] as const)('an order of %j: %s, nothing is chosen', (window, problem) =>
  expect(chooseStops(window, hinge, rule)).toEqual({ ok: false, problem }),
);

test('stops that would cross are not chosen', () =>
  expect(
    chooseStops({ extension: 15, flexion: 20 }, { extension: [0, 20], flexion: [10, 20] }, rule),
  ).toEqual({ ok: false, problem: 'stops-cross' }));

test('a stop never forces a joint', () => {
  expect(chooseStops({ extension: 10, flexion: 90 }, hinge, rule, { from: 0, to: 6 })).toEqual({
    ok: false,
    problem: 'joint-outside',
  });
  expect(chooseStops({ extension: 5, flexion: 90 }, hinge, rule, { from: 8, to: 84 })).toMatchObject({
    usable: { from: 10, to: 84 },
  });
  expect(usableArc({}, { extension: 0, flexion: null })).toEqual({ from: 0, to: undefined });
  expect(usableArc({ flexion: 0 }, { extension: 0, flexion: null })).toEqual({ from: 0, to: 0 });
});

test('whatever the order and the pieces, the stops stay inside, the 0 wedge stays, and no better piece is left out', () => {
  const pieces = fc.uniqueArray(fc.integer({ min: -10, max: 120 }), { minLength: 1, maxLength: 8 });
  const limit = fc.option(fc.integer({ min: -15, max: 130 }), { nil: undefined });
  fc.assert(
    fc.property(limit, limit, pieces, pieces, (e, f, extension, flexion) => {
      const window = {
        ...(e === undefined ? {} : { extension: e }),
        ...(f === undefined ? {} : { flexion: f }),
      };
      const choice = chooseStops(window, { extension, flexion }, rule);
      if (!choice.ok) return true;
      const { stops } = choice;
      expect(stops.extension).toBeGreaterThanOrEqual(Math.max(0, e ?? 0));
      expect(extension.some((piece) => piece >= Math.max(0, e ?? 0) && piece < stops.extension)).toBe(false);
      if (f === undefined) return stops.flexion === null;
      expect(stops.flexion).toBeLessThanOrEqual(f);
      return !flexion.some((piece) => piece <= f && piece > stops.flexion!);
    }),
  );
});

test('hyperextension that is ordered is given where the least does not always stay in, and never more of it', () => {
  const dial = { extension: [-10, -5, 0, 10], flexion: [60, 90] };
  const stops = (e: number | undefined, always?: true) => {
    const window = { ...(e === undefined ? {} : { extension: e }), flexion: 90 };
    const choice = chooseStops(window, dial, { leastExtension: 0, ...(always ? { always } : {}) });
    return choice.ok && [choice.stops.extension, choice.lost.extension];
  };
  expect(stops(undefined)).toEqual([0, 0]);
  expect(stops(-7)).toEqual([-5, 2]);
  expect(stops(-10)).toEqual([-10, 0]);
  expect(stops(5)).toEqual([10, 5]);
  // told as lost: the wedge that always stays in
  expect(stops(-7, true)).toEqual([0, 7]);
});

test('a pair that differs is not a pair', () => {
  expect(pairProblems({ extension: 10, flexion: 90 }, { extension: 10, flexion: 90 })).toEqual([]);
  expect(pairProblems({ extension: 10, flexion: 90 }, { extension: 0, flexion: null })).toEqual([
    'extension',
    'flexion',
  ]);
});

// common practice, no source: a fixed angle is an order, and the joint is then locked at just that angle
test.each([
  [
    { extension: 20, flexion: 20 },
    { extension: [0, 10, 20], flexion: [20, 60] },
    { extension: 20, flexion: 20 },
  ],
  [
    { extension: 0, flexion: 0 },
    { extension: [0, 10], flexion: [0, 45] },
    { extension: 0, flexion: 0 },
  ],
])('a fixed angle %j is locked', (window, hardware, stops) =>
  expect(chooseStops(window, hardware, rule)).toMatchObject({
    ok: true,
    stops,
    lost: { extension: 0, flexion: 0 },
    usable: { from: window.extension, to: window.flexion },
  }),
);

test.each([
  // no such angle on this hinge: the nearest is not taken
  [
    { extension: 20, flexion: 20 },
    { extension: [0, 30], flexion: [10, 60] },
  ],
  [
    { extension: 20, flexion: 20 },
    { extension: [0, 20], flexion: [10, 60] },
  ],
  // an arc is ordered, and the pieces would lock the joint inside it
  [
    { extension: 15, flexion: 25 },
    { extension: [0, 20], flexion: [20, 60] },
  ],
])('%j on %j: nothing is chosen', (window, hardware) =>
  expect(chooseStops(window, hardware, rule)).toEqual({ ok: false, problem: 'stops-cross' }),
);

test('a joint that does not reach a fixed angle is not forced to it', () =>
  expect(
    chooseStops({ extension: 20, flexion: 20 }, { extension: [20], flexion: [20] }, rule, {
      from: 30,
      to: 90,
    }),
  ).toEqual({ ok: false, problem: 'joint-outside' }));

test('what the hardware limits without an order is a loss, and told', () => {
  const least = { extension: [10, 20], flexion: [60, 90] };
  expect(chooseStops({}, least, rule)).toMatchObject({ lost: { extension: 10, flexion: 0 } });
  expect(chooseStops({ flexion: 95 }, least, rule)).toMatchObject({ lost: { extension: 10, flexion: 5 } });
  expect(chooseStops({ extension: 0 }, least, rule)).toMatchObject({ lost: { extension: 10, flexion: 0 } });
});

test.each([
  ['130-0-5', true],
  ['45-0-40', true],
  ['10-0-5', false],
  ['5-0-130', false],
  ['0-20-90', false],
] as const)('%s looks the wrong way round: %s', (text, reversed) =>
  expect(looksReversed(parseNeutralZero(text)!)).toBe(reversed),
);

test('5–0–130 and full-width digits are read as they are meant', () => {
  expect(parseNeutralZero('5–0–130')).toEqual({ extension: 5, flexion: 130 });
  expect(parseNeutralZero('５-０-１３０')).toEqual({ extension: 5, flexion: 130 });
});

test('each end alone, with and without a joint that was tested', () => {
  const free = { extension: [-10, 0, 10], flexion: [60, 90] };
  const choose = (window: object, joint?: { from: number | undefined; to: number | undefined }) =>
    chooseStops(window, free, { leastExtension: 0 }, joint);
  // no flexion limit: nothing is lost of it though the hinge has pieces
  expect(choose({ extension: 10 })).toEqual({
    ok: true,
    stops: { extension: 10, flexion: null },
    lost: { extension: 0, flexion: 0 },
    usable: { from: 10, to: undefined },
  });
  expect(choose({ flexion: 65 })).toEqual({
    ok: true,
    stops: { extension: 0, flexion: 60 },
    lost: { extension: 0, flexion: 5 },
    usable: { from: 0, to: 60 },
  });
  // no extension limit: the least stays, though the hinge has less
  expect(choose({})).toMatchObject({ stops: { extension: 0, flexion: null } });
  // exactly straight is ordered: 0, and not what lies under it
  expect(choose({ extension: 0 })).toMatchObject({ stops: { extension: 0 } });
  expect(choose({ extension: 10 }, { from: undefined, to: 5 })).toEqual({
    ok: false,
    problem: 'joint-outside',
  });
  expect(choose({ flexion: 60 }, { from: 70, to: undefined })).toEqual({
    ok: false,
    problem: 'joint-outside',
  });
  // the same angle at both ends, when only the pieces make it so: no motion is left, nothing is chosen
  expect(
    chooseStops({ extension: 5, flexion: 12 }, { extension: [10], flexion: [10] }, { leastExtension: 0 }),
  ).toEqual({
    ok: false,
    problem: 'stops-cross',
  });
});
