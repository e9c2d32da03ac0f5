import { largestFitting } from './fit-type';

/** The largest of the sizes tried one after the other, from the smallest up. */
const oneByOne = (fits: (pixels: number) => boolean): number => {
  let size = 15;
  while (size + 0.25 <= 24 && fits(size + 0.25)) size += 0.25;
  return size;
};

test.each([10, 15, 15.1, 15.25, 18.6, 19, 23.99, 24, 40])(
  'what fits up to %d px is as large as it can be',
  (most) => {
    const fits = (pixels: number) => pixels <= most;
    expect(largestFitting(fits)).toBe(oneByOne(fits));
  },
);
