import type { KnownFacts } from '../brace';
import { wearByFamily, wearLinesSchema, type WearLine } from './family';
import { nothingKnown } from '../brace/test-facts';

const facts = (protective?: 'yes' | 'no'): KnownFacts => ({
  ...nothingKnown,
  ordered: protective ? { protective: [protective] } : {},
});
const protective = (is: 'yes' | 'no') => ({ kind: 'ordered' as const, what: 'protective' as const, is });
const lines: WearLine[] = [
  { id: 'active' },
  { id: 'at-first', when: protective('no'), mostAtFirst: 120 },
  { id: 'less-at-first', when: protective('no'), mostAtFirst: 90, firstDay: 30 },
  { id: 'always', when: protective('yes') },
];

test('lines that hold, with what a plan begins with and the least of what is most at first', () => {
  expect(wearByFamily(lines, facts('no'))).toEqual({
    lines: ['active', 'at-first', 'less-at-first'],
    firstDay: 30,
    mostAtFirst: 90,
  });
  expect(wearByFamily(lines, facts('yes'))).toEqual({
    lines: ['active', 'always'],
    firstDay: undefined,
    mostAtFirst: undefined,
  });
  // without an order nobody has said which
  expect(wearByFamily(lines, facts()).lines).toEqual(['active']);
});

test.each([
  [[{ id: 'x', firstDay: 0 }]],
  [[{ id: 'x', firstDay: 1441 }]],
  [[{ id: 'x', mostAtFirst: 30.5 }]],
  [[{ when: protective('no') }]],
  [[{ id: 'x', nights: true }]],
])('%j is refused', (wear) => expect(wearLinesSchema.isValidSync(wear, { strict: true })).toBe(false));
