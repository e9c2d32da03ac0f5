import { programmes, type Programme } from './index';
import { familyDifferences, isBeforeSafetyChange, withDifferences } from './own-safety';

const base = programmes.find(({ id }) => id === 'shoulder-support')!;
const copy: Programme = { ...base, id: 'own-shoulder', version: 3, title: 'Our shoulder', base: base.id };
const stripped = (own: Programme) => {
  const { id: _id, version: _version, title: _title, base: _base, baseVersion: _of, ...rest } = own;
  return rest;
};

test('a copy that changes nothing differs in nothing', () =>
  expect(familyDifferences(copy, base)).toEqual([]));

const [list, ...lists] = base.sequences as [Programme['sequences'][number], ...Programme['sequences']];
const [, ...checks] = base.checks;
const changed: Programme = {
  ...copy,
  sequences: [...lists, { ...list, id: 'our-list' }],
  checks: checks.map((one, i) => (i === 0 ? { ...one, limbSafety: true } : one)),
  limbs: 'before-and-after',
};

test('what is missing, otherwise or only its own is told apart', () =>
  expect(familyDifferences(changed, base)).toEqual([
    { list: 'sequences', id: list.id, is: 'missing' },
    { list: 'sequences', id: 'our-list', is: 'own' },
    { list: 'checks', id: base.checks[0]!.id, is: 'missing' },
    { list: 'checks', id: base.checks[1]!.id, is: 'otherwise' },
    { field: 'limbs', is: 'own' },
  ]));

test('all of it taken over gives the family, in its order; none of it leaves the copy as it was', () => {
  const all = withDifferences(changed, base, familyDifferences(changed, base));
  expect(stripped(all)).toEqual(stripped({ ...base, id: 'x', version: 1 }));
  expect(all).toMatchObject({ id: 'own-shoulder', version: 3, baseVersion: base.version });
  expect(withDifferences(changed, base, [])).toEqual({ ...changed, baseVersion: base.version });
});

test('one alone is taken over, and the others are left', () => {
  const one = withDifferences(changed, base, [{ list: 'checks', id: base.checks[0]!.id, is: 'missing' }]);
  expect(one.checks.map(({ id }) => id)).toEqual(base.checks.map(({ id }) => id));
  expect(familyDifferences(one, base).map(({ id, field }) => id ?? field)).toEqual([
    list.id,
    'our-list',
    base.checks[1]!.id,
    'limbs',
  ]);
});

test.each([
  [undefined, 9, true],
  [8, 9, true],
  [9, 9, false],
  [10, 9, false],
  [undefined, undefined, false],
])('a copy of version %s and a safety change in %s: behind it %s', (baseVersion, safetySince, is) =>
  expect(isBeforeSafetyChange({ baseVersion }, { safetySince })).toBe(is),
);
