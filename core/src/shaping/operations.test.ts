import type { Part } from '../brace';
import { bendOf } from './bends';
import {
  canBeDone,
  directionsOf,
  isPlaced,
  measuredOf,
  operationSchema,
  partsWorkedOn,
  waysOf,
  type Operation,
} from './operations';

const level = { from: 'mid-kneecap' } as const;
const pad = (id: string, splits?: true): Part => ({
  kind: 'pad',
  id,
  from: level,
  to: level,
  face: 'front',
  width: 40,
  ...(splits ? { splits } : {}),
});
const bar: Part = {
  kind: 'bar',
  id: 'upright-medial',
  course: [
    { from: 'mid-kneecap', face: 'medial' },
    { from: 'malleoli', face: 'medial' },
  ],
};
const parts = [pad('one'), pad('two', true), bar];
const frame = {
  bendable: true,
  hingeZone: 40,
  reach: { proximal: 200, distal: 200 },
  increment: 5,
  total: 15,
};

const pads: Operation = { kind: 'pad', id: 'place-pads', asked: true };
const bends: Operation = { kind: 'bend', id: 'bend-uprights', parts: ['upright-medial', 'upright-lateral'] };
const trims: Operation = { kind: 'trim', id: 'trim-edge', unit: 'mm', most: 10 };
const cuts: Operation = { kind: 'cut', id: 'cut-straps', requires: { kind: 'list', is: 'putting-on' } };
const swaps: Operation = { kind: 'exchange', id: 'step-down', parts: ['one'], for: 'low' };

test('what an operation works on: the parts it names, else those of its kind', () => {
  const ids = (operation: Operation) => partsWorkedOn(operation, parts).map(({ id }) => id);
  expect([ids(pads), ids(bends), ids(trims), ids(swaps)]).toEqual([
    ['one', 'two'],
    ['upright-medial'],
    [],
    ['one'],
  ]);
});

test('what cannot be done on a brace: no part of it is there, or its maker states no frame', () => {
  expect([canBeDone(pads, parts, undefined), canBeDone(trims, parts, frame)]).toEqual([true, false]);
  expect([canBeDone(bends, parts, undefined), canBeDone(bends, parts, frame)]).toEqual([false, true]);
  expect(canBeDone(bends, [pads as never], frame)).toBe(false);
});

test('how it may be said to be done', () => {
  expect(waysOf(pads, parts[0])).toEqual(['placed', 'left-out']);
  expect(waysOf(pads, parts[1])).toEqual(['placed', 'split', 'left-out']);
  expect(waysOf(cuts, undefined)).toEqual(['folded', 'cut']);
  expect([bends, trims].map((one) => waysOf(one, bar))).toEqual([[], []]);
  expect(directionsOf(bends)).toEqual(['towards-limb', 'away-from-limb']);
  expect([pads, cuts].map(directionsOf)).toEqual([[], []]);
  expect([bends, pads, trims, cuts].map(measuredOf)).toEqual([
    { unit: 'degrees' },
    undefined,
    { unit: 'mm', least: undefined, most: 10 },
    undefined,
  ]);
  expect([bends, pads].map(isPlaced)).toEqual([true, false]);
});

test.each([pads, bends, trims, cuts, swaps])('a whole $kind is taken as it is', (operation) =>
  expect(operationSchema.validateSync(operation, { strict: true })).toEqual(operation),
);

test.each([
  ['of no kind', { id: 'x' }, 'kind'],
  ['that exchanges for nothing', { kind: 'exchange', id: 'x' }, 'for'],
  ['in no unit', { ...trims, unit: 'stone' }, 'unit'],
  ['that requires what is no condition', { ...cuts, requires: { kind: 'luck' } }, 'requires.kind'],
  ['a pad by the stone', { ...pads, unit: 'stone' }, 'unit'],
  ['a bend by luck', { ...bends, how: 'luck' }, 'how'],
  ['a run of heat that nobody has', { kind: 'mould', id: 'x', runs: ['bonfire'] }, 'runs[0]'],
])('work %s is refused with its place', (_, operation, path) =>
  expect(() => operationSchema.validateSync(operation, { strict: true })).toThrow(
    expect.objectContaining({ path }),
  ),
);

test('work on an upright is a bend when it says where, which way and how much', () => {
  const done = {
    operation: 'bend-uprights',
    part: 'upright-lateral',
    at: -80,
    direction: 'towards-limb',
    amount: 3,
  };
  expect(bendOf(done)).toEqual({ part: 'upright-lateral', place: -80, direction: 'towards-limb', amount: 3 });
  for (const left of ['part', 'at', 'direction', 'amount'])
    expect(bendOf({ ...done, [left]: undefined })).toBeUndefined();
});
