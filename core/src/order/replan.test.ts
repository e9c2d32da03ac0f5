import fc from 'fast-check';
import { addDays, daysBetween, phaseOn, phaseSpans } from '../calendar';
import { testRecord, written } from '../record/test-record';
import { orderChanged, orderGiven } from './entries';
import { changeFaults } from './faults';
import { foldOrder, notHeld } from './fold';
import { orderProblems } from './order';
import type { Order } from './order-body';
import { changeProblem, gapsOf, replanned, type OrderChange } from './replan';
import { order } from './test-order';

const four: Order = {
  ...order,
  dayZero: '2026-11-01',
  phases: [
    { fromDay: 0, lastDay: 13, limits: [] },
    { fromDay: 14, lastDay: 27, limits: [] },
    { fromDay: 35, lastDay: 55, limits: [] },
    { fromDay: 56, lastDay: 83, limits: [] },
  ],
};
const days = (of: Order) => of.phases.map(({ fromDay, lastDay }) => [fromDay, lastDay]);
const after = (...changes: OrderChange[]) => replanned(four, changes);

test('without a change an order is as it was given, and ends with its last phase', () =>
  expect(replanned(four, [])).toEqual({ order: { ...four, until: '2027-01-23' } }));

test('the day on which an order ends is the earlier of the two that it says', () => {
  expect(replanned({ ...four, until: '2026-12-31' }, []).order.until).toBe('2026-12-31');
  expect(replanned({ ...four, until: '2027-06-30' }, []).order.until).toBe('2027-01-23');
  expect(replanned(order, []).order).not.toHaveProperty('until');
});

test('held, nothing ahead begins and what is in force stays', () => {
  const { order: now, heldSince } = after({ what: 'held', day: '2026-11-20' });
  expect([days(now), heldSince, now.until]).toEqual([
    [
      [0, 13],
      [14, undefined],
    ],
    '2026-11-20',
    undefined,
  ]);
});

test('resumed, what lies ahead is later by the days it was held, and the phase it was held in that much longer', () =>
  expect(
    days(after({ what: 'held', day: '2026-11-20' }, { what: 'resumed', day: '2026-11-27' }).order),
  ).toEqual([
    [0, 13],
    [14, 34],
    [42, 62],
    [63, 90],
  ]));

test('held on the day a phase begins, that phase has begun; before day zero the first one holds', () => {
  expect(days(after({ what: 'held', day: '2026-11-15' }).order)).toHaveLength(2);
  expect(days(after({ what: 'held', day: '2026-10-20' }).order)).toHaveLength(1);
  expect(days(after({ what: 'held', day: '2026-11-14' }).order)).toHaveLength(1);
});

test('held between two phases, or after the last day of one, that one is not longer for it', () => {
  const week = (day: string) =>
    days(after({ what: 'held', day }, { what: 'resumed', day: addDays(day, 7) }).order);
  const shifted = [
    [42, 62],
    [63, 90],
  ];
  // its last day is still of it
  expect(week('2026-11-28')).toEqual([[0, 13], [14, 34], ...shifted]);
  expect(week('2026-11-29')).toEqual([[0, 13], [14, 27], ...shifted]);
  expect(week('2026-12-02')).toEqual([[0, 13], [14, 27], ...shifted]);
  // while it is held the same: what had ended has ended
  expect(days(after({ what: 'held', day: '2026-11-28' }).order)[1]).toEqual([14, undefined]);
  expect(days(after({ what: 'held', day: '2026-11-29' }).order)[1]).toEqual([14, 27]);
  // the phases before the one it was held in had ended
  expect(week('2027-01-10')).toEqual([
    [0, 13],
    [14, 27],
    [35, 55],
    [56, 90],
  ]);
});

test('held before it began, only the days from day zero on count: before it nothing ran', () =>
  expect(
    days(after({ what: 'held', day: '2026-10-27' }, { what: 'resumed', day: '2026-11-03' }).order),
  ).toEqual([
    [0, 15],
    [16, 29],
    [37, 57],
    [58, 85],
  ]));

test('of two holds that were told one after the other the earlier day counts; resumed without a hold, nothing is other', () => {
  const [early, late] = (['2026-11-18', '2026-11-20'] as const).map(
    (day) => ({ what: 'held', day }) as const,
  );
  expect(after(early!, late!).heldSince).toBe('2026-11-18');
  expect(after(late!, early!).heldSince).toBe('2026-11-18');
  expect(after({ what: 'resumed', day: '2026-11-20' })).toEqual(replanned(four, []));
});

test('an operation that is moved moves everything; a day that the order ends on stays the prescriber’s', () => {
  const moved = replanned({ ...four, until: '2027-01-10' }, [{ what: 'moved', day: '2026-11-10' }]).order;
  expect([moved.dayZero, days(moved), moved.until]).toEqual(['2026-11-10', days(four), '2027-01-10']);
});

test('gaps are told with the phase that stays in force meanwhile', () => {
  expect(gapsOf(four)).toEqual([{ phase: 1, from: '2026-11-29', until: '2026-12-06' }]);
  expect(gapsOf(order)).toEqual([]);
});

test('a phase that ends before it begins, and one that the next overlaps, are faults of the order', () => {
  const with_ = (phases: Order['phases']) =>
    orderProblems({ ...order, phases }, 'right').map(({ problem }) => problem);
  expect(
    with_([
      { fromDay: 0, lastDay: 20, limits: [] },
      { fromDay: 14, limits: [] },
    ]),
  ).toEqual(['phases-overlap']);
  expect(
    with_([
      { fromDay: 0, limits: [] },
      { fromDay: 14, lastDay: 13, limits: [] },
    ]),
  ).toEqual(['phase-ends-first']);
  expect(
    with_([
      { fromDay: 0, lastDay: 13, limits: [] },
      { fromDay: 14, limits: [] },
    ]),
  ).toEqual([]);
});

const held = { given: four, order: four, heldSince: '2026-11-20' };
test.each([
  [undefined, { what: 'held', day: '2026-11-20' }, 'no-order'],
  [{ given: four, order: four }, { what: 'held', day: '2026-11-20' }, undefined],
  [held, { what: 'held', day: '2026-11-21' }, 'held-already'],
  [{ given: four, order: four }, { what: 'resumed', day: '2026-11-21' }, 'not-held'],
  [held, { what: 'resumed', day: '2026-11-19' }, 'resumed-before-held'],
  [held, { what: 'resumed', day: '2026-11-20' }, undefined],
  [held, { what: 'moved', day: '2026-11-01' }, 'same-day'],
  [held, { what: 'moved', day: '2026-11-02' }, undefined],
] as const)('%#: a change is taken or not', (now, change, problem) =>
  expect(changeProblem(now, change)).toBe(problem),
);

test('a change that is none says why, at what was asked; one that is has no fault', () => {
  expect(changeFaults(undefined, { what: 'held', day: '2026-11-20' })).toEqual([
    expect.objectContaining({ at: 'kind', message: 'needs an order first' }),
  ]);
  const given = { entry: 'e1', given: four, order: four, changes: [] };
  expect(changeFaults(given, { what: 'resumed', day: '2026-11-20' })).toEqual([
    expect.objectContaining({ at: 'body.what', message: 'cannot be resumed: the order is not held' }),
  ]);
  expect(changeFaults(given, { what: 'held', day: '2026-11-20' })).toEqual([]);
});

test('changes count from the order they were told after; a new order begins without any', () => {
  const change = (what: OrderChange['what'], day: string) =>
    written(orderChanged, { what, day, prescriber: 'ward 3', reason: 'wound' });
  const first = written(orderGiven, four as never);
  const held = foldOrder(testRecord(first, change('held', '2026-11-20')))!;
  expect(held).toMatchObject({
    entry: 'e1',
    given: four,
    heldSince: '2026-11-20',
    changes: [{ entry: 'e2', what: 'held' }],
  });
  expect(foldOrder(testRecord(first, change('held', '2026-11-20'), first))).toMatchObject({
    entry: 'e3',
    changes: [],
  });
});

/*
 * Day by day, by another road: a walk over the days that counts only those that are not held.
 */
const phaseByWalking = (of: Order, changes: readonly OrderChange[], until: string): number[] => {
  const zero = changes.filter(({ what }) => what === 'moved').at(-1)?.day ?? of.dayZero;
  const spells = changes.flatMap(({ what, day }, i) =>
    what === 'held' ? [{ from: day, to: changes.slice(i).find((one) => one.what === 'resumed')?.day }] : [],
  );
  const isHeld = (day: string) =>
    spells.some(({ from, to }) => day >= from && (to === undefined || day < to));
  let passed = 0;
  const phases: number[] = [];
  for (let day = zero; day <= until; day = addDays(day, 1)) {
    // on a held day no phase begins
    phases.push(of.phases.findLastIndex(({ fromDay }) => fromDay <= passed));
    if (!isHeld(day)) passed += 1;
  }
  return phases;
};

test('after any holds, day by day: the phase is the one that a walk over the days that are not held comes to', () =>
  fc.assert(
    fc.property(
      fc.array(fc.integer({ min: 1, max: 20 }), { minLength: 1, maxLength: 6 }),
      fc.array(fc.tuple(fc.integer({ min: 1, max: 15 }), fc.integer({ min: 0, max: 12 })), { maxLength: 3 }),
      (lengths, pauses) => {
        let from = 0;
        const phases = [0, ...lengths].map((length) => ({ fromDay: (from += length), limits: [] }));
        const given: Order = { ...order, dayZero: '2026-03-01', phases };
        let day = 0;
        const changes = pauses.flatMap(([wait, held]): OrderChange[] => {
          const begin = (day += wait);
          day += held;
          return [
            { what: 'held', day: addDays(given.dayZero, begin) },
            { what: 'resumed', day: addDays(given.dayZero, day) },
          ];
        });
        const now = replanned(given, changes).order;
        const last = addDays(given.dayZero, from + day + 20);
        const walked = phaseByWalking(given, changes, last);
        expect(walked).toEqual(
          walked.map((_, i) => phaseOn(now.dayZero, now.phases, addDays(now.dayZero, i))),
        );
      },
    ),
  ));

test('phases never overlap and leave no day out, whatever was held and moved', () =>
  fc.assert(
    fc.property(
      fc.array(
        fc.record({
          what: fc.constantFrom('held' as const, 'resumed' as const, 'moved' as const),
          day: fc.integer({ min: -20, max: 120 }).map((day) => addDays(four.dayZero, day)),
        }),
        { maxLength: 8 },
      ),
      (wanted) => {
        const changes: OrderChange[] = [];
        for (const change of wanted) {
          const now = { given: four, ...replanned(four, changes) };
          if (changeProblem(now, change) === undefined) changes.push(change);
        }
        const { order: now, heldSince } = replanned(four, changes);
        const spans = phaseSpans(now.dayZero, now.phases);
        spans.forEach(({ from, until }, i) => {
          if (until !== undefined) expect(daysBetween(from, until)).toBeGreaterThan(0);
          expect(until).toBe(spans[i + 1]?.from);
        });
        expect(spans[0]!.from).toBe(now.dayZero);
        // nothing is lost or made up: held, those ahead wait; else all are there
        expect(now.phases.length).toBeLessThanOrEqual(four.phases.length);
        if (heldSince === undefined) expect(now.phases).toHaveLength(four.phases.length);
        // nobody's phase became shorter
        if (heldSince === undefined)
          now.phases.forEach(({ fromDay, lastDay }, i) =>
            expect(lastDay! - fromDay).toBeGreaterThanOrEqual(
              four.phases[i]!.lastDay! - four.phases[i]!.fromDay,
            ),
          );
      },
    ),
  ));

test('a new order is written from all phases of one that is held, as late as they are by now', () => {
  const changes = (...told: OrderChange[]) =>
    told.map((one, i) => ({ ...one, entry: String(i), reason: 'wound', prescriber: 'ward 3' }));
  const held = (...told: OrderChange[]) => {
    const all = changes(...told);
    return notHeld({ given: four, changes: all, ...replanned(four, all) });
  };
  const first = { what: 'held', day: addDays(four.dayZero, 10) } as const;
  const on = { what: 'resumed', day: addDays(four.dayZero, 17) } as const;
  const again = { what: 'held', day: addDays(four.dayZero, 30) } as const;
  expect(days(held(first))).toEqual(days(four));
  // held, resumed and held again: the week that it was held the first time stays
  expect(days(held(first, on, again))).toEqual(days(after(first, on).order));
  expect(days(held())).toEqual(days(four));
  // held once and resumed: nothing waits, and that week stays
  expect(days(held(first, on))).toEqual(days(after(first, on).order));
});
