import {
  cisFemaleAdult28,
  cisFemaleAdult36,
  cisFemaleAdult46,
  cisMaleAdult32,
  cisMaleAdult40,
  cisMaleAdult50,
} from '@freesewing/models';
import { statureForAge } from '@estribo/core/anatomy';
import {
  chartBandFaults,
  modelProblems,
  modelSchema,
  partsOf,
  programmeOf,
  programmes,
  stepsOf,
} from '@estribo/core/programmes';
import { matchSize, type AxisReading } from '@estribo/core/sizing';
import { findingsOf } from '../catalogue/registry';
import { demoModels } from './models';

const familyOf = (id: string) => programmes.find((programme) => programme.id === id)!;

test.each(demoModels.map((model) => [model.id, model] as const))('%s can be used', (_, model) => {
  expect(() => modelSchema.validateSync(model, { strict: true })).not.toThrow();
  expect(modelProblems(model, familyOf(model.programme))).toEqual([]);
  // a brace of one size is not measured for
  expect(stepsOf(familyOf(model.programme), model).length > 0).toBe(model.chart.axes.length > 0);
  expect(chartBandFaults(model.chart, familyOf(model.programme))).toEqual([]);
  expect(model.invented).toBe(true);
});

test.each(demoModels.map((model) => [model.id, model] as const))(
  '%s has every strap that a list closes',
  (_, model) => {
    const family = familyOf(model.programme);
    const parts = partsOf(family, model);
    for (const { steps } of programmeOf(family, model).sequences)
      for (const step of steps)
        if (step.kind === 'strap')
          for (const id of step.over?.parts ?? [step.part!])
            expect([step.id, parts.find((part) => part.id === id)?.kind]).toEqual([
              step.id,
              expect.stringMatching(/^(strap|wing)$/),
            ]);
  },
);

test('every family has a model, two of them three; one chart alone has a finding', () => {
  const counts = new Map<string, number>();
  for (const { programme } of demoModels) counts.set(programme, (counts.get(programme) ?? 0) + 1);
  expect(programmes.filter(({ id }) => !counts.has(id))).toEqual([]);
  expect([...counts.values()].filter((count) => count >= 3).length).toBeGreaterThanOrEqual(2);
  const found = demoModels.filter((model) => findingsOf(model, familyOf(model.programme)).length > 0);
  expect(found.map(({ id }) => id)).toEqual(['veiga-suave']);
});

/*
 * @freesewing/models (MIT): measurements of a woman and a man scaled over ten sizes each, in mm. A crash
 * and order test only: they are scaled from one body.
 */
const women = [cisFemaleAdult28, cisFemaleAdult36, cisFemaleAdult46];
const men = [cisMaleAdult32, cisMaleAdult40, cisMaleAdult50];
const taken: Record<string, (body: Record<string, number>) => number | undefined> = {
  'girth-waist': ({ waist }) => waist,
  'girth-hips': ({ seat }) => seat,
  'girth-hips-greatest': ({ seat }) => seat,
  'girth-chest': ({ chest }) => chest,
  'girth-upper-arm': ({ biceps }) => biceps,
  'girth-malleoli': ({ ankle }) => ankle,
  // the knee's girth and the upper leg's, for want of one at 15 cm: order only
  'girth-above': ({ upperLeg, knee }) => (upperLeg && knee ? (upperLeg + knee) / 2 : undefined),
  'girth-below': ({ knee }) => knee,
  'c7-to-sacrum': ({ hpsToWaistBack }) => hpsToWaistBack,
};

test.each(demoModels.map((model) => [model.id, model] as const))(
  '%s: open bodies go through, and a larger one never gets a smaller size',
  (_, { chart }) => {
    for (const bodies of [women, men]) {
      const sizes = bodies.map((body) => {
        const readings = Object.fromEntries(
          chart.axes.flatMap(({ reading }): [string, AxisReading][] => {
            const mean = taken[reading]?.(body);
            return mean === undefined ? [] : [[reading, { mean, repeatPart: 3, sharedPart: 3, repeats: 2 }]];
          }),
        );
        const match = matchSize(chart, readings);
        return match.outcome === 'size' ? chart.sizes.indexOf(match.size!) : undefined;
      });
      const given = sizes.filter((size) => size !== undefined);
      expect(given).toEqual([...given].sort((a, b) => a - b));
    }
  },
);

test('at least half a dozen charts apply to those bodies', () => {
  const applicable = demoModels.filter(({ chart }) => chart.axes.every(({ reading }) => reading in taken));
  expect(applicable.length).toBeGreaterThanOrEqual(6);
});

// Medians of the WHO child growth standards and reference, both sexes together: weight in kg by age in years
// (memory, rounded to 0.5 kg); lengths are those of statureForAge (memory as well)
test.each([
  [0.5, 7.5],
  [2, 12],
  [4.5, 17],
  [7.5, 24],
])('a median child of %d years and %d kg gets one size by age, weight and length', (age, kg) => {
  const { chart } = demoModels.find(({ id }) => id === 'colo-rio-neno')!;
  const reading = (mean: number, sd: number): AxisReading => ({
    mean,
    repeatPart: sd,
    sharedPart: 0,
    repeats: 1,
  });
  const match = matchSize(chart, {
    age: reading(age, 0.05),
    weight: reading(kg, 0.2),
    stature: reading(statureForAge(age), 5),
  });
  if (match.outcome === 'incomplete') throw new Error();
  expect(new Set(match.pointed.map(({ size }) => size)).size).toBe(1);
});

// rows of facts.csv that a model states; common practice, no source
test('the demo models of these families have what the trade says their hardware has', () => {
  const of = (id: string) => demoModels.filter(({ programme }) => programme === id);
  for (const { hinge } of of('knee-postop')) {
    expect([Math.min(...hinge!.extension), Math.max(...hinge!.extension)]).toEqual([-10, 90]);
    expect([Math.min(...hinge!.flexion), Math.max(...hinge!.flexion)]).toEqual([-10, 120]);
    expect(hinge!.lock).toEqual([0, 15, 30]);
  }
  for (const { chart, sided } of of('shoulder-support'))
    expect([chart.sizes.length, sided ?? false]).toEqual([7, false]);
  for (const { parts } of of('knee-ligament-frame')) {
    const pads = parts.filter(({ kind, id }) => kind === 'pad' && id.includes('strap-4'));
    expect(pads.every((pad) => pad.kind === 'pad' && pad.splits)).toBe(true);
  }
  for (const { hinge } of of('knee-functional')) expect(hinge!.installed).toEqual({ extension: 10 });
  for (const { settings, variant } of of('unloader-thumbwheel'))
    if (variant === 'lateral') expect(settings!.wheel).toMatchObject({ most: 10 });
});
