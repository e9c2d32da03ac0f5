import fc from 'fast-check';
import { addDays, daysFrom } from '../calendar';
import { limitsOf, replanned, changeProblem, type Order, type OrderChange } from '../order';
import { given, order } from '../order/test-order';
import { testRecord, written } from '../record/test-record';
import { settingMade } from './entries';
import { foldSettings, groundsOn } from './fold';
import { scheduleOf } from './schedule';
import { stopsAt, valuesOfStops } from './kinds/stops';
import { chooseSetting } from './settings';
import { grounds, hinges, settings } from './test-settings';
import type { HingeStops } from './stops';

const knee = { joint: 'knee', plane: 'sagittal' } as const;
const phase = (
  fromDay: number,
  extension: number,
  flexion: number,
  lastDay?: number,
): Order['phases'][number] => ({
  fromDay,
  ...(lastDay === undefined ? {} : { lastDay }),
  limits: limitsOf(knee, { extension, flexion }),
});
const four: Order = {
  ...order,
  dayZero: '2026-11-01',
  phases: [phase(0, 0, 60, 13), phase(14, 0, 60, 27), phase(35, 0, 90, 55), phase(56, 0, 120, 83)],
};
const scheduled = (of: Order) => {
  const now = replanned(of, []).order;
  return scheduleOf(now, settings, knee, (day) => groundsOn({ ...grounds, order: given(now) }, day));
};

test('each phase with its days, its window, the stops that realise it and what changes when it begins', () =>
  expect(
    scheduled(four).map(({ from, until, window, choices, changes, gap }) => {
      const choice = choices['hinge-stops']!;
      return [
        from,
        until,
        window.flexion,
        choice.ok && stopsAt(choice.made, 'medial').flexion,
        changes,
        gap?.from,
      ];
    }),
  ).toEqual([
    ['2026-11-01', '2026-11-15', 60, 60, [], undefined],
    // the same window: nothing changes; its days end before the next begins, and it stays
    ['2026-11-15', '2026-12-06', 60, 60, [], '2026-11-29'],
    ['2026-12-06', '2026-12-27', 90, 90, ['hinge-stops'], undefined],
    ['2026-12-27', '2027-01-24', 120, 120, ['hinge-stops'], undefined],
  ]));

test('a phase that would begin after the order’s last day never does', () => {
  const steps = scheduled({ ...four, until: '2026-12-10' });
  expect(steps.map(({ never, until }) => [never, until])).toEqual([
    [undefined, '2026-11-15'],
    [undefined, '2026-12-06'],
    [undefined, '2026-12-11'],
    [true, undefined],
  ]);
  expect(steps[3]!.choices).toEqual({});
});

const hardware = fc.record({
  extension: fc.uniqueArray(fc.integer({ min: -10, max: 60 }), { minLength: 1, maxLength: 8 }),
  flexion: fc.uniqueArray(fc.integer({ min: 0, max: 140 }), { maxLength: 8 }),
});
const windows = fc.record(
  { extension: fc.integer({ min: -10, max: 60 }), flexion: fc.integer({ min: 0, max: 140 }) },
  { requiredKeys: [] },
);

test('no choice of stops ever leaves the order, for any hardware, window, buffer and joint', () =>
  fc.assert(
    fc.property(
      hardware,
      windows,
      fc.option(fc.integer({ min: 1, max: 20 }), { nil: undefined }),
      fc.option(
        fc.record({ from: fc.integer({ min: -10, max: 40 }), to: fc.integer({ min: 10, max: 140 }) }),
        { nil: undefined },
      ),
      (hinge, window, buffer, joint) => {
        const of: Order = { ...order, phases: [{ fromDay: 0, limits: limitsOf(knee, window) }] };
        const choice = chooseSetting(hinges, {
          ...groundsOn({ ...grounds, order: given(of), model: { hinge } }, '2026-11-24', buffer),
          joint,
        });
        if (!choice?.ok) return;
        const { extension, flexion } = stopsAt(choice.made, 'medial');
        expect(stopsAt(choice.made, 'lateral')).toEqual({ extension, flexion });
        // every angle between the stops is inside the order: tried degree by degree
        for (let angle = extension; angle <= (flexion ?? 140); angle += 1) {
          if (window.extension !== undefined)
            expect(angle).toBeGreaterThanOrEqual(window.extension + (buffer ?? 0));
          if (window.flexion !== undefined) expect(angle).toBeLessThanOrEqual(window.flexion - (buffer ?? 0));
        }
        expect(hinge.extension).toContain(extension);
        if (flexion !== null) expect(hinge.flexion).toContain(flexion);
        // what is lost is what lies between order and stop, the buffer with it
        if (window.extension !== undefined) expect(choice.lost.extension).toBe(extension - window.extension);
        if (window.flexion !== undefined) expect(choice.lost.flexion).toBe(window.flexion - flexion!);
      },
    ),
    { numRuns: 400 },
  ));

/*
 * A model of a case in plain numbers: an order, its changes, what is fitted; commands do to the real fold what they do to it.
 */
interface Model {
  given: Order;
  changes: OrderChange[];
  fitted: HingeStops | undefined;
  day: string;
}
type Real = { entries: Parameters<typeof testRecord> };

class GiveOrder implements fc.Command<Model, Real> {
  constructor(
    private readonly lengths: readonly number[],
    private readonly flexions: readonly number[],
  ) {}
  check = () => true;
  run(model: Model): void {
    let from = 0;
    model.given = {
      ...order,
      dayZero: model.day,
      phases: this.lengths.map((length, i) => {
        const made = phase(from, 0, this.flexions[i % this.flexions.length]!);
        from += length;
        return made;
      }),
    };
    model.changes = [];
    look(model);
  }
  toString = () => `order ${this.lengths.join()}`;
}
class Change implements fc.Command<Model, Real> {
  constructor(private readonly what: OrderChange['what']) {}
  check = (model: Readonly<Model>) =>
    changeProblem(
      { given: model.given, ...replanned(model.given, model.changes) },
      { what: this.what, day: model.day },
    ) === undefined;
  run(model: Model): void {
    model.changes = [...model.changes, { what: this.what, day: model.day }];
    look(model);
  }
  toString = () => this.what;
}
class Wait implements fc.Command<Model, Real> {
  constructor(private readonly days: number) {}
  check = () => true;
  run(model: Model): void {
    model.day = addDays(model.day, this.days);
    look(model);
  }
  toString = () => `${this.days} days`;
}
class Fit implements fc.Command<Model, Real> {
  constructor(private readonly stops: HingeStops) {}
  check = () => true;
  run(model: Model, real: Real): void {
    model.fitted = this.stops;
    const values = Object.entries(valuesOfStops({ medial: this.stops, lateral: this.stops }));
    real.entries.push(
      written(
        settingMade,
        { setting: 'hinge-stops', values: values.map(([place, value]) => ({ place, value })) } as never,
        { observedAt: `${model.day}T09:00:00.000Z` },
      ),
    );
    const now = replanned(model.given, model.changes).order;
    const [state] = foldSettings(testRecord(...real.entries), [hinges], { ...grounds, order: given(now) });
    // a fact is always taken, and judged by the window that the plain model has for the day
    expect(state!.made).toMatchObject({ values: { 'medial-flexion': this.stops.flexion } });
    const flexion = plainFlexion(model, model.day);
    const isBeyond = flexion !== undefined && (this.stops.flexion ?? 999) > flexion;
    expect(state!.judged.state === 'wrong' && state!.judged.why === 'outside-order').toBe(isBeyond);
  }
  toString = () => `fit ${this.stops.flexion}`;
}

/** The flexion that is allowed on a day, day by day from day zero: no replanning, only counting days that are not held. */
function plainFlexion({ given: of, changes }: Model, day: string): number | undefined {
  const zero = changes.filter(({ what }) => what === 'moved').at(-1)?.day ?? of.dayZero;
  const isHeld = (on: string) =>
    changes.some(
      ({ what, day: from }, i) =>
        what === 'held' &&
        on >= from &&
        on < (changes.slice(i).find((one) => one.what === 'resumed')?.day ?? '9999'),
    );
  const length = day < zero ? 0 : (Date.parse(day) - Date.parse(zero)) / 86_400_000;
  const passed = daysFrom(zero, length).filter((on) => !isHeld(on)).length;
  const now = of.phases.findLast(({ fromDay }) => fromDay <= passed)!;
  return now.limits[0]?.to?.degrees;
}

function look(model: Model): void {
  const now = replanned(model.given, model.changes).order;
  const steps = scheduleOf(now, [hinges], knee, (day) => groundsOn({ ...grounds, order: given(now) }, day));
  const today = steps.findLast(({ from }, i) => i === 0 || from <= model.day)!;
  expect(today.window.flexion).toBe(plainFlexion(model, model.day));
  const choice = today.choices['hinge-stops'];
  if (choice?.ok) expect(stopsAt(choice.made, 'medial').flexion!).toBeLessThanOrEqual(today.window.flexion!);
}

test('over orders, holds, days that pass and stops that are fitted, schedule and fold say what a plain count says', () => {
  const commands = [
    fc
      .tuple(
        fc.array(fc.integer({ min: 1, max: 21 }), { minLength: 1, maxLength: 5 }),
        fc.array(fc.constantFrom(30, 60, 75, 90, 120), { minLength: 1, maxLength: 5 }),
      )
      .map(([lengths, flexions]) => new GiveOrder(lengths, flexions)),
    fc.constantFrom('held' as const, 'resumed' as const).map((what) => new Change(what)),
    fc.integer({ min: 1, max: 20 }).map((days) => new Wait(days)),
    fc
      .constantFrom<(number | null)[]>(60, 90, 120, null)
      .map((flexion) => new Fit({ extension: 0, flexion })),
  ];
  fc.assert(
    fc.property(fc.commands(commands, { maxCommands: 20 }), (run) =>
      fc.modelRun(
        () => ({
          model: { given: four, changes: [], fitted: undefined, day: '2026-11-01' },
          real: { entries: [] as unknown as Parameters<typeof testRecord> },
        }),
        run,
      ),
    ),
    { numRuns: 150 },
  );
});

test('an order ends with its last day: a phase that would begin on the day after never does, one on the day itself does', () => {
  const ends = (until: string) =>
    scheduled({ ...four, until }).map(({ from, until, never }) => [from, until, never]);
  // the third phase begins on the 6th of December
  expect(ends('2026-12-06').slice(2)).toEqual([
    ['2026-12-06', '2026-12-07', undefined],
    ['2026-12-27', undefined, true],
  ]);
  expect(ends('2026-12-05')[2]).toEqual(['2026-12-06', '2026-12-27', true]);
  expect(ends('2026-12-05')[1]).toEqual(['2026-11-15', '2026-12-06', undefined]);
});
