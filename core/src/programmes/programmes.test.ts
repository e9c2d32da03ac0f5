import { group } from 'd3-array';
import { buildOf, landmarkLevel, type Landmark } from '../anatomy';
import { programmes } from './all';
import { contentHash, pinOf } from './pin';
import pins from './pins.json';
import { stages } from '../record';
import type { BraceModel } from './model';
import type { Programme } from './programme';
import { programmeSchema } from './programme';
import { currentModel, currentProgramme } from './upcast';

test.each(programmes.map((programme) => [programme.id, programme] as const))(
  '%s is sound data',
  (_, programme) => {
    expect(() => programmeSchema.validateSync(programme, { strict: true, abortEarly: false })).not.toThrow();
    // what goes through JSON comes back the same: a programme holds no code
    expect(JSON.parse(JSON.stringify(programme))).toEqual(programme);
  },
);

const placeFields = ['from', 'to', 'at', 'landmark'];
function landmarksIn(data: unknown): Landmark[] {
  if (Array.isArray(data)) return data.flatMap(landmarksIn);
  if (data === null || typeof data !== 'object') return [];
  return Object.entries(data).flatMap(([field, value]) =>
    typeof value === 'string' ? (placeFields.includes(field) ? [value as Landmark] : []) : landmarksIn(value),
  );
}

test.each(programmes.map((programme) => [programme.id, programme] as const))(
  '%s names only what it has',
  (_, programme) => {
    const steps = programme.measuring.map(({ id }) => id);
    expect(programme.axes.every((axis) => steps.includes(axis))).toBe(true);
    const { parts, sequences, checks } = programme;
    for (const ids of [steps, ...[parts, sequences, checks].map((all) => all.map(({ id }) => id))])
      expect(new Set(ids).size).toBe(ids.length);
    for (const { cures = [] } of checks)
      for (const cure of cures) {
        if ('call' in cure) continue;
        const { stage, thing } = cure;
        expect(stages).toContain(stage);
        // what is to be opened there is a step of one of its lists, something that is set, or work on it
        if (thing !== undefined)
          expect([
            ...sequences.flatMap(({ steps }) => steps.map(({ id }) => id)),
            ...programme.settings.map(({ id }) => id),
            ...(programme.operations ?? []).map(({ id }) => id),
          ]).toContain(thing);
      }
    for (const { steps: all } of sequences)
      for (const step of all)
        if (step.kind === 'set') expect(programme.settings.map(({ id }) => id)).toContain(step.setting);
    for (const { steps: all } of sequences) expect(new Set(all.map(({ id }) => id)).size).toBe(all.length);
    // every landmark that stands anywhere in it, however deep, is one of its region
    const places = landmarksIn({ measuring: programme.measuring, parts, checks });
    for (const place of places)
      expect([place, landmarkLevel(programme.region, place, buildOf(1700))]).not.toContain(undefined);
  },
);

test.each(programmes.map((programme) => [programme.id, programme] as const))(
  '%s: what a reading usually is holds what stature suggests, and its numbers make sense',
  (_, programme) => {
    for (const step of programme.measuring) {
      if (!('plausible' in step)) continue;
      const [low, high] = step.plausible;
      expect(low).toBeLessThan(high);
      expect(step.withinPerson).toBeLessThanOrEqual(step.tolerance);
      if (step.substitute) expect(step.substitute.shared).toBeGreaterThan(step.shared);
      if (step.ofStature !== undefined)
        for (const stature of [1500, 1700, 1900]) {
          expect(step.ofStature * stature).toBeGreaterThan(low);
          expect(step.ofStature * stature).toBeLessThan(high);
        }
    }
  },
);

test('all nineteen families are there, each by its own id', () => {
  expect(programmes).toHaveLength(19);
  expect(new Set(programmes.map(({ id }) => id)).size).toBe(19);
  expect(
    Object.fromEntries(
      [...group(programmes, ({ region }) => region)].map(([region, all]) => [region, all.length]),
    ),
  ).toEqual({
    leg: 9,
    trunk: 5,
    neck: 2,
    shoulder: 1,
    ankle: 2,
  });
});

// common practice, no source: the numbers an orthotist would look for first
test.each([
  ['knee-sleeve', 'girth-above', { distance: 140 }],
  ['knee-sleeve', 'girth-below', { distance: -120 }],
  ['unloader-frame', 'girth-above', { distance: 150 }],
  ['spine-sternal-pad', 'girth-hips', { from: 'hips-greatest-girth', distance: 25 }],
  ['unloader-frame', 'girth-above', { along: 'medial' }],
  ['knee-sleeve', 'knee-posture', { target: 30 }],
  ['ankle-walker', 'ankle-posture', { target: 'as-ordered' }],
])('%s: %s is %j', (id, step, stated) => {
  const programme = programmes.find((one) => one.id === id)!;
  expect(programme.measuring.find((one) => one.id === step)).toMatchObject(stated);
});

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
  const programme = programmes.find(({ id }) => id === 'knee-ligament-frame');
  const valid = (content: unknown) => programmeSchema.isValidSync(content, { strict: true });
  expect(valid(programme)).toBe(true);
  expect(valid({ ...programme, colour: 'red' })).toBe(false);
  const hinge = programme!.parts.find(({ kind }) => kind === 'hinge')!;
  expect(valid({ ...programme, parts: Array.from({ length: 81 }, () => hinge) })).toBe(false);
  expect(valid({ ...programme, parts: Array.from({ length: 80 }, () => hinge) })).toBe(true);
  expect(valid({ ...programme, donning: Infinity })).toBe(false);
  expect(valid({ ...programme, donning: '45' })).toBe(false);
  expect(valid({ ...programme, measuring: [{ kind: 'weigh', id: 'x' }] })).toBe(false);
});

const knee = programmes.find(({ id }) => id === 'knee-ligament-frame')!;
const faultOf = (change: object): string => {
  try {
    programmeSchema.validateSync({ ...knee, ...change }, { strict: true });
    return '';
  } catch (error) {
    return (error as Error).message;
  }
};
const withStep = (step: object) => ({
  sequences: [{ ...knee.sequences[0]!, passes: [], steps: [{ id: 'x', ...step }] }],
});

test.each([
  ['a setting', withStep({ kind: 'set', setting: 'air' }), 'air'],
  ['a check', withStep({ kind: 'check', check: 'neck-neutral' }), 'neck-neutral'],
  ['work', withStep({ kind: 'work', operation: 'trim' }), 'trim'],
  ['another list', withStep({ kind: 'list', list: 'off' }), 'off'],
  ['a check that a setting reopens', { settings: [{ ...knee.settings[0]!, reopens: ['ear'] }] }, 'ear'],
])('a programme whose lists name %s that it does not have is refused, with its name', (_, change, id) =>
  expect(faultOf(change)).toBe(`names what it does not have: ${id}`),
);

test('a programme without work of its own may name the work that all had', () =>
  expect(faultOf({ ...withStep({ kind: 'work', operation: 'place-pads' }), operations: undefined })).toBe(
    '',
  ));

test('a chart that was registered with its side extension under the old name has it under today’s', () => {
  const chart = { version: 1, sizes: ['S'], axes: [], between: 'larger', disagree: 'larger' } as const;
  const model = { id: 'm', parts: [], chart } as unknown as BraceModel;
  expect(currentModel(model)).toBe(model);
  const old = { ...model, chart: { ...chart, extension: { upTo: 1200 } } } as unknown as BraceModel;
  expect(currentModel(old).chart).toEqual({ ...chart, sideExtension: { upTo: 1200 } });
});

test('what lies between two numbers was a step: of a setting, of a model’s own, of a belt’s marks', () => {
  const family = programmes.find(({ settings }) =>
    settings.some((one) => 'increment' in one && 'unit' in one && one.unit === 'detents'),
  )!;
  expect(currentProgramme(family)).toBe(family);
  const old = {
    ...family,
    settings: family.settings.map((setting) => {
      const { increment, ...rest } = setting as { increment?: number; unit?: string };
      return {
        ...rest,
        ...(rest.unit === 'detents' ? { unit: 'steps' } : {}),
        ...(increment === undefined ? {} : { step: increment }),
      };
    }),
  } as unknown as Programme;
  expect(currentProgramme(old)).toEqual(family);

  const chart = {
    version: 1,
    sizes: ['S'],
    axes: [],
    between: 'larger',
    disagree: 'larger',
    belt: { overlap: 100, backPanel: 200, marks: { first: 100, spacing: 20, count: 9 } },
  } as const;
  const model = {
    id: 'm',
    parts: [],
    chart,
    settings: { dial: { increment: 0.5 } },
  } as unknown as BraceModel;
  expect(currentModel(model)).toBe(model);
  const { spacing, ...marks } = chart.belt.marks;
  const asBefore = { ...chart, belt: { ...chart.belt, marks: { ...marks, step: spacing } } };
  for (const former of [
    { ...model, chart: asBefore },
    { ...model, settings: { dial: { step: 0.5 } } },
    { ...model, chart: asBefore, settings: { dial: { step: 0.5 } } },
  ])
    expect(currentModel(former as unknown as BraceModel)).toEqual(model);
});

test('straps of a pair were known by their ids', () => {
  const family = programmes.find(({ operations }) =>
    operations?.some((one) => one.kind === 'cut' && one.pairs),
  )!;
  expect(currentProgramme(family)).toBe(family);
  const old = {
    ...family,
    operations: family.operations!.map((one) => {
      const { pairs: _pairs, ...rest } = one as Extract<typeof one, { kind: 'cut' }>;
      return rest;
    }),
  } as Programme;
  expect(currentProgramme(old)).toEqual(family);
});

test('two checks of before said nothing of limb safety, and are ones; what says so itself stays as it is', () => {
  const family = programmes.find(({ id }) => id === 'knee-postop')!;
  expect(currentProgramme(family)).toBe(family);
  const checks = [
    { kind: 'seen', id: 'fibular-neck-clear' },
    { kind: 'seen', id: 'toes-warm-moving-felt' },
    { kind: 'seen', id: 'not-twisted' },
    { kind: 'seen', id: 'toes-warm-moving-felt', limbSafety: false },
    { kind: 'quantity', id: 'fibular-neck-clear' },
  ];
  expect(currentProgramme({ ...family, checks } as never).checks).toEqual([
    { kind: 'seen', id: 'fibular-neck-clear', limbSafety: true, cures: [] },
    { kind: 'seen', id: 'toes-warm-moving-felt', limbSafety: true },
    ...checks.slice(2),
  ]);
});

test('a motion that is followed was its step alone', () => {
  const family = programmes.find(({ followed }) => followed?.motions.length)!;
  expect(currentProgramme(family)).toBe(family);
  const old = {
    ...family,
    followed: { ...family.followed!, motions: family.followed!.motions.map(({ step }) => step) },
  } as unknown as Programme;
  expect(currentProgramme(old)).toEqual(family);
});

test.each(['motions', 'readings', 'settings', 'growth'] as const)(
  'a family that follows %s it does not have is refused with the name',
  (what) => {
    const family = programmes.find(({ followed }) => followed)!;
    const followed = { ...family.followed!, [what]: what === 'motions' ? [{ step: 'tail' }] : ['tail'] };
    expect(() => programmeSchema.validateSync({ ...family, followed }, { strict: true })).toThrow(
      'names what it does not have: tail',
    );
  },
);
