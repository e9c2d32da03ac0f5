import { isVisible } from '../people';
import { programmes } from './all';
import { ownFamilyFaults } from './own-faults';
import type { Programme } from './programme';

const base = programmes.find(({ id }) => id === 'knee-sleeve')!;
const own: Programme = { ...base, id: 'own-sleeve', title: 'our sleeve', base: base.id };
const faultsOf = (change: Partial<Programme>) => ownFamilyFaults({ ...own, ...change }, base);

test.each(programmes.map((one) => [one.id, one] as const))('%s, copied as it is, has no fault', (_, one) => {
  expect(ownFamilyFaults({ ...one, title: 'ours' }, one)).toEqual([]);
});

const [first, second, ...rest] = base.checks as [Programme['checks'][number], Programme['checks'][number]];
const passed = (check: string) => ({ kind: 'passed' as const, check });

test.each<[string, Partial<Programme>, string, RegExp]>([
  [
    'checks that wait for each other',
    {
      checks: [
        { ...first, when: passed(second.id) },
        { ...second, when: { kind: 'all', of: [{ kind: 'not', of: passed(first.id) }] } },
        ...rest,
      ] as never,
    },
    'checks',
    new RegExp(`wait for each other: ${first.id}, ${second.id}`),
  ],
  [
    'a check that waits for itself',
    { checks: [{ ...first, when: passed(first.id) }, second, ...rest] as never },
    'checks',
    /wait for each other/,
  ],
  [
    'doubled checks',
    { checks: [first, { ...second, id: first.id }, ...rest] as never },
    'checks[1].id',
    /twice/,
  ],
  [
    'doubled steps',
    { measuring: [base.measuring[0]!, base.measuring[0]!, ...base.measuring.slice(1)] },
    'measuring[1].id',
    /twice/,
  ],
  ['no measuring', { measuring: [], axes: [] }, 'measuring', /no step/],
  [
    'an axis nobody measures',
    { axes: [...base.axes, 'girth-nowhere'] },
    `axes[${base.axes.length}]`,
    /girth-nowhere/,
  ],
  [
    'an id that is every object’s',
    { checks: [{ ...first, id: 'constructor' }, second, ...rest] as never },
    'checks[0].id',
    /cannot be an id: constructor/,
  ],
  [
    'an id with blanks',
    { checks: [{ ...first, id: 'a b' }, second, ...rest] as never },
    'checks[0].id',
    /cannot be an id/,
  ],
  ['a title of invisible signs', { title: '\u200b\u2060\u00ad' }, 'title', /no sign that can be seen/],
])('%s is refused with the reason', (_, change, at, message) => {
  expect(faultsOf(change)).toContainEqual(
    expect.objectContaining({ at, message: expect.stringMatching(message) }),
  );
});

test.each(['', ' ', '\u200b', '\u00ad\u200d', '\u3164', '\u0301\u0302', '\u2800 ', '\u{e0061}'])(
  '%j shows nothing',
  (text) => {
    expect(isVisible(text)).toBe(false);
  },
);
test.each(['a', 'Ñ', '中', '1', '-', '🦵'])('%j shows something', (text) => {
  expect(isVisible(text)).toBe(true);
});
