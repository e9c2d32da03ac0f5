import { gapsAlong, isBent, largestGap, planRequest } from './bar';
import { heightOf } from './bar-shape';
import { plannedDecision } from './planned';
import { bar, barRecord, bends, benchFrame, overLimbs } from './test-bars';

const contour = {
  part: bar.id,
  source: 'straight-edge',
  points: [-160, -120, -80, -40, 0, 40, 80, 120, 160].map((at) => ({
    at,
    out: at > 40 ? (at - 40) * 0.12 : at < -40 ? (-40 - at) * -0.06 : 0,
  })),
  liner: 6,
  pad: 6,
  gap: 0,
};
const done = (at: number, amount: number, hand: number) => ({
  operation: bends.id,
  part: bar.id,
  at,
  direction: 'away-from-limb',
  amount,
  hand,
});

test('a bar comes straight, or as its maker states it', () => {
  expect(heightOf(barRecord(benchFrame).state().shape, 150)).toBe(0);
  const supplied = {
    ...benchFrame,
    bar: {
      ...benchFrame.bar!,
      supplied: {
        [bar.id]: [
          { at: -150, out: 3 },
          { at: 0, out: 0 },
          { at: 150, out: 9 },
        ],
      },
    },
  };
  expect(heightOf(barRecord(supplied).state().shape, 150)).toBe(9);
});

test('without a contour, without what it is made of, of a composite: why there is no plan', () => {
  const record = barRecord(benchFrame);
  const why = (frame = benchFrame) => {
    const asked = planRequest(record.state(), frame);
    return asked.ok ? undefined : asked.why;
  };
  expect(why()).toBe('no-contour');
  record.write('shape.contour', contour);
  expect(why()).toBeUndefined();
  const { bar: _bar, ...unstated } = benchFrame;
  expect(why(unstated)).toBe('no-bar');
  expect(why({ ...benchFrame, bar: { ...benchFrame.bar!, material: 'carbon-composite' } })).toBe(
    'not-bendable',
  );
  expect(why({ ...benchFrame, bar: { ...benchFrame.bar!, unbent: [bar.id] } })).toBe('unbent');
  record.write('work.done', done(100, 60, 60));
  expect(why()).toBe('nothing-left');
});

test('nothing is planned in the hinge’s zone, between keep-outs or nearer than the irons are wide', () => {
  const frame = {
    ...benchFrame,
    bar: { ...benchFrame.bar!, keepOut: [{ from: 70, to: 110, why: 'slots' as const }] },
  };
  const record = barRecord(frame);
  record.write('shape.contour', contour);
  expect(record.plan(0.2)).toBe(true);
  const places = record
    .state()
    .plan!.work.map(({ at }) => at)
    .sort((a, b) => a - b);
  expect(places.length).toBeGreaterThan(1);
  for (const [i, at] of places.entries()) {
    // the irons' middle stays half their width out of a zone
    expect(Math.abs(at)).toBeGreaterThanOrEqual(50);
    expect(at < 60.5 || at > 119.5).toBe(true);
    if (i > 0) expect(at - places[i - 1]!).toBeGreaterThanOrEqual(19);
  }
});

test('a pass that was made counts to its place; looked at after each, the plan is done when nothing is left of it', () => {
  const record = barRecord(benchFrame);
  record.write('shape.contour', contour);
  record.plan(1);
  const [first] = record.state().plan!.work;
  expect(first!.next).toMatchObject({ ok: true });
  for (let pass = 0; pass < 8 && !isBent(record.state()); pass += 1) {
    for (const { at, turn, next } of record.state().plan!.work)
      if (next?.ok)
        record.write('work.done', {
          ...done(at, next.keeps, next.hand!),
          direction: turn > 0 ? 'away-from-limb' : 'towards-limb',
        });
    // the bar did just what was meant
    const { shape } = record.state();
    record.write('shape.bar-read', {
      part: bar.id,
      what: 'offsets',
      points: [-150, -110, -70, 0, 70, 110, 150].map((at) => ({ at, out: heightOf(shape, at)! })),
    });
  }
  const bent = record.state();
  expect(isBent(bent)).toBe(true);
  expect(largestGap(gapsAlong(bent.shape, bent.contour!, bent.held, 2))).toBeLessThan(1.6);
  expect(bent.spent).toBeCloseTo(
    bent.made.reduce((sum, { amount }) => sum + amount, 0),
    6,
  );
});

test('no pass leaves more than the frame takes at once', () => {
  const record = barRecord({ ...benchFrame, increment: 2 });
  record.write('shape.contour', contour);
  record.plan(0.5);
  for (const { turn, next } of record.state().plan!.work)
    if (next?.ok) {
      expect(next.keeps).toBeLessThanOrEqual(2 + 1e-6);
      expect(next.passes).toBe(Math.ceil(Math.abs(turn) / 2 - 1e-9));
      expect(next.between[0]).toBeLessThanOrEqual(next.keeps);
      expect(next.between[1]).toBeGreaterThanOrEqual(next.keeps);
    }
});

test('what was read of a bar is its shape: the pass kept less than it should, the springback is learned, the plan is stale', () => {
  const record = barRecord(benchFrame);
  record.write('shape.contour', { ...contour, points: contour.points.map(({ at }) => ({ at, out: 0 })) });
  record.write('shape.contour', contour);
  record.plan(1);
  record.write('work.done', done(80, 6, 17));
  const meant = record.state();
  expect(heightOf(meant.shape, 160)).toBeCloseTo(80 * Math.tan((6 * Math.PI) / 180), 0);
  // straight up to the bend, four degrees beyond it
  const points = [-120, -60, 40, 100, 120, 140, 160].map((at) => ({
    at,
    out: at > 80 ? (at - 80) * Math.tan((4 * Math.PI) / 180) : 0,
  }));
  record.write('shape.bar-read', { part: bar.id, what: 'offsets', points });
  const seen = record.state();
  expect(seen.made[0]).toMatchObject({ seen: true });
  expect(seen.made[0]!.turn).toBeCloseTo(4, 0);
  expect(seen.unexplained).toBeLessThan(0.3);
  // it springs back more than the catalogue says
  expect(seen.spring!.elastic).toBeGreaterThan(meant.spring!.elastic + 0.5);
  expect(seen.spring!.within).toBeLessThan(meant.spring!.within);
  expect(seen.plan!.stale).toBe(true);
  expect(seen.spent).toBeCloseTo(4, 0);
});

test('a pad thicker than the liner is made up for beyond the hinge’s zone, and not counted under it', () => {
  const record = barRecord(benchFrame);
  record.write('shape.contour', {
    ...contour,
    points: contour.points.map(({ at }) => ({ at, out: 0 })),
    pad: 11,
  });
  const { shape, contour: of, held } = record.state();
  // five millimetres off where it should have come in
  expect(gapsAlong(shape, of!, held, 10).find(({ at }) => at === 140)!.gap).toBeCloseTo(5, 9);
  expect(gapsAlong(shape, of!, held, 10).some(({ at }) => Math.abs(at) < 40)).toBe(false);
  record.plan(0.1);
  const { plan } = record.state();
  expect(plan!.work.some(({ turn }) => turn < 0)).toBe(true);
  expect(plan!.gap).toBeLessThan(1.5);
});

test('gaps tell the same as offsets do', () => {
  const [by, other] = [barRecord(benchFrame), barRecord(benchFrame)];
  for (const record of [by, other]) {
    record.write('shape.contour', contour);
    record.write('work.done', done(80, 6, 17));
  }
  const places = [60, 100, 130, 160];
  const height = (at: number) => (at > 80 ? (at - 80) * 0.08 : 0);
  const zero = barRecord(benchFrame);
  zero.write('shape.contour', contour);
  const straight = gapsAlong(zero.state().shape, zero.state().contour!, 0, 10);
  by.write('shape.bar-read', {
    part: bar.id,
    what: 'offsets',
    points: places.map((at) => ({ at, out: height(at) })),
  });
  other.write('shape.bar-read', {
    part: bar.id,
    what: 'gaps',
    points: places.map((at) => ({ at, out: straight.find((one) => one.at === at)!.gap + height(at) })),
  });
  expect(other.state().made[0]!.turn).toBeCloseTo(by.state().made[0]!.turn, 6);
});

test('a bar that is bent by hand leaves its mark as it likes: no irons, no springback, one arm from the mark up', () => {
  const frame = {
    ...benchFrame,
    hingeZone: 0,
    reach: { proximal: 420, distal: 0 },
    increment: 15,
    total: 200,
  };
  const record = barRecord(frame, { id: 'bend-back-bar', how: 'by-hand' });
  record.write('shape.contour', {
    ...contour,
    source: 'inclinometer',
    points: Array.from({ length: 11 }, (_, i) => ({
      at: i * 40,
      out: 38 * Math.sin((i / 10) * Math.PI * 1.2),
    })),
    pad: 0,
    liner: 0,
  });
  expect(record.plan(4)).toBe(true);
  const { plan, spring } = record.state();
  expect(spring).toBeUndefined();
  expect(plan!.gap).toBeLessThan(6);
  for (const { next } of plan!.work) expect(next).toMatchObject({ ok: true });
});

test('a place bent hundreds of times, and a bar read after them all, are folded', () => {
  const record = barRecord(benchFrame);
  record.write('shape.contour', contour);
  for (let i = 0; i < 400; i += 1)
    record.write('work.done', { ...done(80, 3, 12), direction: i % 2 ? 'towards-limb' : 'away-from-limb' });
  for (let i = 0; i < 40; i += 1) {
    record.write('work.done', done(80, 3, 12));
    record.write('shape.bar-read', {
      part: bar.id,
      what: 'gaps',
      points: [
        { at: 120, out: 1 },
        { at: 160, out: 2 },
      ],
    });
  }
  const { made, shape } = record.state();
  expect(made).toHaveLength(440);
  expect(shape.flat().every(Number.isFinite)).toBe(true);
});

test('with irons so near that a bend would be too tight none is planned that steep', () => {
  const frame = { ...benchFrame, total: 250, bar: { ...benchFrame.bar!, spread: 2 } };
  const record = barRecord(frame);
  record.write('shape.contour', {
    ...contour,
    points: contour.points.map(({ at, out }) => ({ at, out: out * 4 })),
  });
  record.plan(0.5);
  for (const { turn } of record.state().plan!.work) expect(Math.abs(turn)).toBeLessThanOrEqual(10.92);
});

test('a contour steeper than a bar ever stands is a slip of the hand: no plan, and why', () => {
  const why = (slope: number) => {
    const record = barRecord(benchFrame);
    record.write('shape.contour', {
      ...contour,
      points: contour.points.map(({ at }) => ({ at, out: slope * Math.max(0, at - 40) })),
    });
    const asked = planRequest(record.state(), benchFrame);
    return asked.ok ? undefined : asked.why;
  };
  expect(why(Math.tan((33 * Math.PI) / 180))).toBeUndefined();
  expect(why(Math.tan((45 * Math.PI) / 180))).toBe('contour-too-steep');
  expect(why(-1)).toBe('contour-too-steep');
});

test('gaps stay what they were read against when the contour is taken anew', () => {
  const record = barRecord(benchFrame);
  record.write('shape.contour', contour);
  record.write('work.done', done(80, 6, 17));
  record.write('shape.bar-read', {
    part: bar.id,
    what: 'gaps',
    points: [
      { at: 120, out: -6 },
      { at: 160, out: -8 },
    ],
  });
  const before = record.state();
  record.write('shape.contour', {
    ...contour,
    points: contour.points.map(({ at, out }) => ({ at, out: out + 9 * Number(at > 60) })),
  });
  const after = record.state();
  expect(after.shape).toEqual(before.shape);
  expect(after.made[0]!.turn).toBeCloseTo(before.made[0]!.turn, 9);
});

test('a bar by hand is what was read of it, laid on its mark', () => {
  const frame = {
    ...benchFrame,
    hingeZone: 0,
    reach: { proximal: 420, distal: 0 },
    increment: 15,
    total: 200,
  };
  const record = barRecord(frame, { id: 'bend-back-bar', how: 'by-hand' });
  const points = Array.from({ length: 11 }, (_, i) => ({
    at: i * 40,
    out: 38 * Math.sin((i / 10) * Math.PI),
  }));
  record.write('shape.contour', { ...contour, source: 'inclinometer', points, pad: 0, liner: 0 });
  record.write('work.done', { ...done(200, 20, 1), operation: 'bend-back-bar', hand: undefined });
  record.write('shape.bar-read', {
    part: bar.id,
    what: 'gaps',
    points: points.slice(1).map(({ at }) => ({ at, out: 0.5 })),
  });
  const { shape, contour: of, held, made } = record.state();
  expect(made[0]!.seen).toBe(true);
  expect(largestGap(gapsAlong(shape, of!, held, 4))).toBeLessThan(2.2);
});

describe('a plan that is sent', () => {
  const record = barRecord(benchFrame);
  record.write('shape.contour', contour);
  const state = {
    shaping: { bars: [record.state()] },
    model: { frame: benchFrame },
    programmePin: { hash: 'x' },
  };
  const sent = (bends: { at: number; turn: number }[], purpose: 'contour' | 'set' = 'contour') =>
    plannedDecision
      .impossible(state, {
        part: bar.id,
        purpose,
        bends,
        gap: 1,
        madeFrom: [],
        programme: 'x',
        engine: 1,
      })
      .map(({ message }) => message);

  test.each([
    ['in the hinge’s zone', [{ at: 20, turn: 3 }], 'in-hinge-zone'],
    ['off the bar', [{ at: 240, turn: 3 }], 'off-the-upright'],
    [
      'two in one place',
      [
        { at: 80, turn: 3 },
        { at: 90, turn: 3 },
      ],
      'nearer to each other',
    ],
    [
      'more than the frame has left',
      [
        { at: 80, turn: 40 },
        { at: 140, turn: -30 },
      ],
      'the frame has 60.0 left',
    ],
  ])('%s is refused', (_, bends, why) => expect(sent(bends).join()).toContain(why));

  test('one that bends beyond the contour over-corrects, and is refused', () =>
    expect(sent([{ at: 60, turn: 30 }]).join()).toContain('over-correct'));

  test('one that takes several passes is none the worse', () =>
    expect(sent([{ at: 80, turn: 18 }])).toEqual([]));

  // facts.csv, K2: equal above and below the hinge
  test.each([
    [
      [
        { at: 80, turn: 4 },
        { at: -80, turn: 4 },
      ],
      [],
    ],
    [
      [
        { at: 80, turn: 4 },
        { at: -80, turn: 3 },
      ],
      ['must be the same angle once above and once below the hinge'],
    ],
    [
      [
        { at: 80, turn: 4 },
        { at: -80, turn: -4 },
      ],
      ['must be the same angle once above and once below the hinge'],
    ],
    [
      [
        { at: 80, turn: 4 },
        { at: 120, turn: 4 },
      ],
      ['must be the same angle once above and once below the hinge'],
    ],
  ])('a set %j: %j', (bends, faults) => expect(sent(bends, 'set')).toEqual(faults));

  test('the other bar of a set goes the other way', () => {
    const other = barRecord(benchFrame, bends, { ...bar, id: 'upright-medial' });
    other.write('shape.planned', {
      part: 'upright-medial',
      purpose: 'set',
      bends: [
        { at: 80, turn: 4 },
        { at: -80, turn: 4 },
      ],
      gap: 0,
      madeFrom: [],
    });
    const both = { ...state, shaping: { bars: [record.state(), other.state()] } };
    const judged = (turn: number) =>
      plannedDecision.impossible(both, {
        part: bar.id,
        purpose: 'set',
        bends: [
          { at: 80, turn },
          { at: -80, turn },
        ],
        gap: 0,
        madeFrom: [],
        programme: 'x',
        engine: 1,
      });
    expect(judged(-4)).toEqual([]);
    expect(judged(4)).toEqual([expect.objectContaining({ at: 'body.bends' })]);
  });

  test('its gap is computed again from the bar as it is', () => {
    const again = plannedDecision.again(
      state,
      {
        part: bar.id,
        purpose: 'contour',
        bends: [],
        gap: 99,
        madeFrom: [],
        programme: 'x',
        engine: 1,
      },
      '2026-03-02',
    );
    expect(again!.gap).toBeCloseTo(Math.max(...contour.points.map(({ out }) => Math.abs(out))), 1);
  });
});

/** A simulated bar: its springback hidden, its readings not exact. The bench has the table over 200 limbs. */
test('over limbs whose bars spring back as they like, the plan gets there closer and with fewer passes than the naive rule', () => {
  const { byPlan, naively } = overLimbs(16, 2);
  expect(byPlan.within).toBeGreaterThan(0.9);
  expect(byPlan.gap).toBeLessThan(naively.gap);
  expect(byPlan.passes).toBeLessThan(naively.passes);
});
