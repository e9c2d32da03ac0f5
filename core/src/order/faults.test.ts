import { testRecord, written } from '../record/test-record';
import { orderGiven } from './entries';
import { orderFaults } from './faults';
import { foldOrder } from './fold';
import { limitsOf } from './limits';
import type { Order } from './order-body';
import { order } from './test-order';

const knee = { joint: 'knee', plane: 'sagittal' } as const;
const faults = (change: Partial<Order>, left: string[] = []) =>
  orderFaults({ ...order, ...change }, 'right', left);

test('a sound order has no fault', () => expect(faults({})).toEqual([]));

test('each fault at its phase, or at the order', () => {
  expect(
    faults({
      side: 'left',
      phases: [order.phases[0]!, { fromDay: 0, limits: limitsOf(knee, { extension: 60, flexion: 10 }) }],
    }),
  ).toEqual([
    expect.objectContaining({ at: 'body.phases[1]', message: 'phases-not-rising' }),
    expect.objectContaining({ at: 'body.phases[1]', message: 'window-reversed' }),
    expect.objectContaining({ at: 'body', message: 'other-side' }),
  ]);
});

test('what is only said beside an order, or asked of an old one, does not refuse it', () => {
  // a protective brace that is to be taken off in trouble is asked about on the screen
  expect(faults({ trouble: 'take-off' })).toEqual([]);
  expect(
    faults({ phases: [{ ...order.phases[0]!, unsaid: { extension: 10, flexion: 60 } }] as never }),
  ).toEqual([]);
});

test('what the brace cannot carry out is acknowledged by its name', () => {
  const left = ['roll-left', 'panels-side'];
  const missing = (name: string) =>
    expect.objectContaining({
      at: 'body.acknowledged',
      message: `must name ${name}: this brace cannot carry it out`,
    });
  expect(faults({}, left)).toEqual(left.map(missing));
  expect(faults({ acknowledged: ['roll-left'] }, left)).toEqual([missing('panels-side')]);
  expect(faults({ acknowledged: left }, left)).toEqual([]);
});

test('the order that was given last is in force', () => {
  expect(foldOrder(testRecord())).toBeUndefined();
  const second = { ...order, wearing: 'by day' };
  expect(
    foldOrder(testRecord(written(orderGiven, order as never), written(orderGiven, second as never))),
  ).toEqual({ entry: 'e2', order: second, given: second, changes: [] });
});

test('two motions may each be limited once; the same one twice is a fault', () => {
  const frontal = limitsOf({ joint: 'shoulder', plane: 'frontal' }, { extension: -30, flexion: 20 });
  const sagittal = limitsOf({ joint: 'shoulder', plane: 'sagittal' }, { extension: 0, flexion: 90 });
  const phase = (limits: typeof frontal) => faults({ phases: [{ fromDay: 0, limits }] });
  expect(phase([...frontal, ...sagittal])).toEqual([]);
  expect(phase([...frontal, ...frontal])).toEqual([
    expect.objectContaining({ at: 'body.phases[0]', message: 'limited-twice' }),
  ]);
});

test('a lock for always lies inside the limits, both ends included; one for walking may lie outside', () => {
  const locked = (degrees: number, when: 'always' | 'walking') =>
    faults({
      phases: [
        {
          fromDay: 0,
          limits: limitsOf(knee, { extension: 10, flexion: 60 }),
          locks: [{ joint: 'knee', at: { toward: 'flexion', degrees }, when }],
        },
      ],
    }).map(({ message }) => message);
  expect(locked(9, 'always')).toEqual(['lock-outside-limits']);
  expect(locked(10, 'always')).toEqual([]);
  expect(locked(60, 'always')).toEqual([]);
  expect(locked(61, 'always')).toEqual(['lock-outside-limits']);
  expect(locked(9, 'walking')).toEqual([]);
});
