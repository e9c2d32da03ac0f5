import fc from 'fast-check';
import type { BodyReadings } from './body-readings';
import { buildOf, type Build } from './build';
import type { Landmark } from './landmark';
import type { Region } from './region';
import { statureForAge } from './stature';

/*
 * Bodies for tests: children and grown, thin and heavy to about 400 kg, with readings that agree with each other as far
 * as a body's do, and some with one that no body has. Their sizes are estimates.
 */

/** girths by region: landmark, distance, share of stature in a body of 22 kg/m2 */
const girths: Record<Region, readonly (readonly [Landmark, number, number])[]> = {
  leg: [
    ['mid-kneecap', 150, 0.279],
    ['mid-kneecap', -150, 0.216],
    ['calf-greatest-girth', 0, 0.216],
    ['malleoli', 0, 0.147],
  ],
  ankle: [
    ['calf-greatest-girth', 0, 0.216],
    ['malleoli', 0, 0.147],
  ],
  trunk: [
    ['chest', 0, 0.555],
    ['waist', 0, 0.483],
    ['hips-greatest-girth', 0, 0.57],
  ],
  neck: [
    ['neck-middle', 0, 0.215],
    ['chest', 0, 0.555],
  ],
  shoulder: [
    ['upper-arm-greatest-girth', 0, 0.182],
    ['chest', 0, 0.555],
  ],
};
const widths: Record<Region, readonly (readonly [Landmark, 'mediolateral' | 'anteroposterior', number])[]> = {
  leg: [
    ['mid-kneecap', 'mediolateral', 0.066],
    ['mid-kneecap', 'anteroposterior', 0.07],
  ],
  ankle: [
    ['heel', 'mediolateral', 0.037],
    ['malleoli', 'mediolateral', 0.042],
  ],
  trunk: [
    ['chest', 'mediolateral', 0.18],
    ['hips-greatest-girth', 'mediolateral', 0.2],
  ],
  neck: [],
  shoulder: [],
};
const lengths: Record<Region, readonly (readonly [Landmark, Landmark, number])[]> = {
  leg: [['mid-kneecap', 'malleoli', 0.253]],
  ankle: [],
  trunk: [
    ['c7', 'sacrum', 0.303],
    ['sternal-notch', 'pubic-symphysis', 0.308],
  ],
  neck: [['trapezius-top', 'chin-line', 0.048]],
  shoulder: [],
};

export interface TestBody {
  build: Build;
  readings: BodyReadings;
  /** what it is, for the message of a test that fails */
  told: string;
}

/** Bodies of a region, as drawn by chance. */
export const someBody = (region: Region): fc.Arbitrary<TestBody> =>
  fc
    .record({
      years: fc.oneof(fc.integer({ min: 1, max: 17 }), fc.integer({ min: 18, max: 90 })),
      tall: fc.double({ min: 0.86, max: 1.16, noNaN: true }),
      // kg/m2: 12 is very thin, 130 is 400 kg at 1.75 m
      mass: fc.double({ min: 12, max: 130, noNaN: true }),
      own: fc.array(fc.double({ min: 0.9, max: 1.1, noNaN: true }), { minLength: 12, maxLength: 12 }),
      read: fc.array(fc.boolean(), { minLength: 12, maxLength: 12 }),
      lean: fc.array(fc.integer({ min: -30, max: 50 }), { minLength: 5, maxLength: 5 }),
      wrong: fc.constantFrom(1, 1, 1, 1, 1, 0.05, 6),
    })
    .map(({ years, tall, mass, own, read, lean, wrong }) => {
      const stature = Math.round(statureForAge(years) * tall);
      const thick = Math.sqrt(Math.min(mass, years < 18 ? 60 : 130) / 22);
      let i = 0;
      const next = () => {
        const at = i++;
        return { size: own[at % 12]! * (at === 0 ? wrong : 1), is: read[at % 12]! };
      };
      const taken = <T>(list: readonly T[], make: (one: T, by: number) => object) =>
        list.flatMap((one) => {
          const { size, is } = next();
          return is ? [make(one, size)] : [];
        });
      const readings = {
        girths: taken(girths[region], ([from, distance, share], by) => ({
          from,
          distance: distance * (stature / 1700),
          girth: share * stature * thick * by,
        })),
        widths: taken(widths[region], ([at, across, share], by) => ({
          at,
          across,
          width: share * stature * Math.sqrt(thick) * by,
        })),
        lengths: taken(lengths[region], ([from, to, share], by) => ({
          from,
          to,
          length: share * stature * by,
        })),
        inclinations: region === 'trunk' && read[11] ? lean.map((angle, at) => ({ at: at / 4, angle })) : [],
        ...(region === 'ankle' && read[10] ? { footLength: 0.152 * stature * own[10]! } : {}),
      } as BodyReadings;
      return {
        build: buildOf(stature, years),
        readings,
        told: JSON.stringify({ years, stature, mass: Math.round(mass), readings }),
      };
    });
