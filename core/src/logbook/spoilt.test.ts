import { modelSchema, programmes, programmeSchema } from '../programmes';
import { readEntry } from './entry';
import frozen1 from './frozen/version-1.json';
import frozen2 from './frozen/version-2.json';
import frozen3 from './frozen/version-3.json';
import frozen4 from './frozen/version-4.json';
import frozen5 from './frozen/version-5.json';
import { testContext } from './test-case';

const values = [null, undefined, 5, -1, NaN, 'x', '', true, [], [null], {}, { kind: 'x' }];

/** Every path in a value, to what is innermost. */
function paths(value: unknown, at: string[] = []): string[][] {
  if (typeof value !== 'object' || value === null) return [at];
  return [at, ...Object.entries(value).flatMap(([key, inner]) => paths(inner, [...at, key]))];
}

function spoilt(value: unknown, [key, ...rest]: string[], by: unknown): unknown {
  if (key === undefined) return by;
  const copy = (Array.isArray(value) ? [...(value as unknown[])] : { ...(value as object) }) as Record<
    string,
    unknown
  >;
  copy[key] = spoilt(copy[key], rest, by);
  return copy;
}

const sets = [frozen1, frozen2, frozen3, frozen4, frozen5] as { entries: { kind: string; body: object }[] }[];
const oneOfEach = [
  ...new Map(
    sets.flatMap(({ entries }) =>
      entries.map(
        ({ seq: _seq, receivedAt: _at, ...entry }: Record<string, unknown>) =>
          [`${String(entry.kind)} ${String(entry.v)}`, entry] as const,
      ),
    ),
  ),
];

// whatever a client sends is read or refused with its faults, and nothing is thrown: every field in turn
test.each(oneOfEach)('%s with any one value spoilt is read or refused', (_, entry) => {
  for (const path of paths(entry.body))
    for (const by of values) {
      const sent = { ...entry, body: spoilt(entry.body, path, by) };
      const read = readEntry(sent);
      if (!read.ok) expect(read.faults.length).toBeGreaterThan(0);
    }
});

test.each(
  programmes
    .filter(({ id }) => id === 'knee-postop' || id === 'ankle-walker')
    .map((one) => [one.id, one] as const),
)('the programme %s with any one value spoilt is taken or refused', (_, programme) => {
  const own = {
    ...programme,
    settings: [
      ...programme.settings,
      {
        kind: 'pieces',
        id: 'own',
        made: 'at-review',
        least: 0,
        most: 2,
        schedule: [
          { fromDay: 0, value: 2 },
          { fromDay: 9, value: 1 },
        ],
      },
    ],
  };
  for (const path of paths(own))
    for (const by of [null, [null]])
      expect(typeof programmeSchema.isValidSync(spoilt(own, path, by), { strict: true })).toBe('boolean');
});

test('a model with any one value spoilt is taken or refused', () => {
  for (const path of paths(testContext.model))
    for (const by of [null, 5, {}])
      expect(typeof modelSchema.isValidSync(spoilt(testContext.model, path, by), { strict: true })).toBe(
        'boolean',
      );
});
