import { programmes } from './all';
import { contentHash, pinOf } from './pin';
import pins from './pins.json';
import { programmeSchema } from './schema';

test.each(programmes.map((programme) => [programme.id, programme] as const))(
  '%s is sound data',
  (_, programme) => {
    expect(() => programmeSchema.validateSync(programme, { strict: true, abortEarly: false })).not.toThrow();
    // what goes through JSON comes back the same: a programme holds no code
    expect(JSON.parse(JSON.stringify(programme))).toEqual(programme);
  },
);

test.each(programmes.map((programme) => [programme.id, programme] as const))(
  '%s names only what it has',
  (_, programme) => {
    const steps = programme.measuring.map(({ id }) => id);
    const landmarks = programme.measuring.flatMap((step) => (step.kind === 'mark' ? [step.landmark] : []));
    expect(programme.axes.every((axis) => steps.includes(axis))).toBe(true);
    for (const step of programme.measuring) if (step.kind === 'girth') expect(landmarks).toContain(step.from);
    for (const ids of [steps, programme.sequence.map(({ id }) => id), programme.checks.map(({ id }) => id)])
      expect(new Set(ids).size).toBe(ids.length);
    const straps = programme.sequence.flatMap(({ strap }) => strap ?? []);
    expect(straps).toEqual([...straps].sort((a, b) => a - b));
  },
);

// released content never changes under its version: give it a new version and a new line in pins.json
test.each(programmes.map((programme) => [programme.id, programme] as const))(
  '%s is what its version was released as',
  (_, programme) => {
    expect(pins.find(({ id, version }) => id === programme.id && version === programme.version)).toEqual(
      pinOf(programme),
    );
  },
);

// SHA-256 of the canonical text {"a":1,"b":[true,null]}, computed with sha256sum (coreutils)
test('content is hashed in canonical form, whatever the order of its keys', () => {
  const published = '1cc69c7fa23616ca2ec3ee70d24390a6225c8832db8a4c814c7e0e7f942f8668';
  expect(contentHash({ b: [true, null], a: 1 })).toBe(published);
  expect(contentHash({ a: 1, b: [true, null] })).toBe(published);
});

test('a programme with something unknown or infinite in it is refused', () => {
  const [programme] = programmes;
  const valid = (content: unknown) => programmeSchema.isValidSync(content, { strict: true });
  expect(valid(programme)).toBe(true);
  expect(valid({ ...programme, colour: 'red' })).toBe(false);
  expect(valid({ ...programme, donning: Infinity })).toBe(false);
  expect(valid({ ...programme, donning: '45' })).toBe(false);
  expect(valid({ ...programme, measuring: [{ kind: 'weigh', id: 'x' }] })).toBe(false);
});
