import fc from 'fast-check';
import { chosenOf, conditionSchema, holds, type Condition, type KnownFacts } from '.';
import { nothingKnown as nothing } from './test-facts';

const known: KnownFacts = {
  injuries: [{ code: 'rear-cruciate', side: 'left' }],
  ordered: { posture: ['lying'], panel: ['low', 'side'] },
  findings: { diabetes: true, 'fragile-skin': false },
  variant: 'tall',
  settings: { mark: true, length: false },
  parts: { guard: false },
  list: 'lying',
  checks: { heel: true },
  done: ['strap-1'],
};

test.each<[Condition, boolean]>([
  [{ kind: 'injury', is: 'rear-cruciate' }, true],
  [{ kind: 'injury', is: 'rear-cruciate', side: 'right' }, false],
  [{ kind: 'injury', is: 'front-cruciate' }, false],
  [{ kind: 'ordered', what: 'panel', is: 'side' }, true],
  [{ kind: 'ordered', what: 'posture', is: 'seated' }, false],
  [{ kind: 'finding', is: 'diabetes', present: true }, true],
  [{ kind: 'finding', is: 'fragile-skin', present: true }, false],
  [{ kind: 'variant', is: 'tall' }, true],
  [{ kind: 'set', setting: 'mark' }, true],
  [{ kind: 'set', setting: 'length' }, false],
  [{ kind: 'part', part: 'guard', fitted: false }, true],
  [{ kind: 'list', is: 'seated' }, false],
  [{ kind: 'passed', check: 'heel' }, true],
])('%j is %s', (condition, expected) => {
  expect(conditionSchema.isValidSync(condition, { strict: true })).toBe(true);
  expect(holds(condition, known)).toBe(expected);
  // of a case of which nothing is known, nothing is true or false
  expect(holds(condition, nothing)).toBeUndefined();
});

test('a step is done or not: there is nothing unknown about it', () => {
  const done: Condition = { kind: 'done', step: 'strap-1' };
  expect(conditionSchema.isValidSync(done, { strict: true })).toBe(true);
  expect([holds(done, known), holds(done, nothing)]).toEqual([true, false]);
});

test('what is only known to hold holds, and nothing else', () => {
  const known3 = (of: Condition): Condition => ({ kind: 'known', of });
  const injury: Condition = { kind: 'injury', is: 'rear-cruciate' };
  expect(conditionSchema.isValidSync(known3(injury), { strict: true })).toBe(true);
  expect([known, nothing].map((facts) => holds(known3(injury), facts))).toEqual([true, false]);
  expect(holds(known3({ kind: 'injury', is: 'patella' }), known)).toBe(false);
});

// Kleene's strong three-valued logic, by its truth tables written as minimum and maximum of -1, 0, 1
test('all, any and not are Kleene’s', () => {
  const values = [true, false, undefined] as const;
  const number = (value: boolean | undefined) => (value === undefined ? 0 : value ? 1 : -1);
  const facts = { ...nothing, checks: { yes: true, no: false } };
  const saying = (value: boolean | undefined): Condition => ({
    kind: 'passed',
    check: value === undefined ? 'open' : value ? 'yes' : 'no',
  });
  fc.assert(
    fc.property(fc.array(fc.constantFrom(...values), { minLength: 1, maxLength: 5 }), (of) => {
      const numbers = of.map(number);
      const all = holds({ kind: 'all', of: of.map(saying) }, facts);
      const any = holds({ kind: 'any', of: of.map(saying) }, facts);
      expect(number(all)).toBe(Math.min(...numbers));
      expect(number(any)).toBe(Math.max(...numbers));
      expect(number(holds({ kind: 'not', of: saying(of[0]) }, facts)) + number(of[0])).toBe(0);
    }),
  );
});

test.each([
  ['of no kind', {}],
  ['of an unknown kind', { kind: 'weather', is: 'wet' }],
  ['half written', { kind: 'finding', is: 'diabetes' }],
  ['over nothing', { kind: 'all', of: [] }],
  ['half written inside another', { kind: 'not', of: { kind: 'set' } }],
  ['with more than its kind has', { kind: 'variant', is: 'tall', side: 'left' }],
])('a condition %s is refused', (_, condition) =>
  expect(conditionSchema.isValidSync(condition, { strict: true })).toBe(false),
);

test('of several, the one that holds; none or several are asked about', () => {
  const when = (is: string): Condition => ({ kind: 'ordered', what: 'posture', is });
  const [lying, seated, free] = [{ when: when('lying') }, { when: when('seated') }, {}];
  expect(chosenOf([lying, seated], known)).toBe(lying);
  expect(chosenOf([lying, seated], nothing)).toBeUndefined();
  expect(chosenOf([lying, { ...lying }], known)).toBeUndefined();
  // a list without a condition is never taken beside others by itself
  expect(chosenOf([free, seated], known)).toBeUndefined();
  expect(chosenOf([free], nothing)).toBe(free);
  // the only list, and not for this case: it is not used
  expect(chosenOf([seated], known)).toBeUndefined();
});
