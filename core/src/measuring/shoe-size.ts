import { millimetresPerInch, type Millimetres } from '../quantity';

/*
 * Shoe sizes. ISO 9407 (Mondopoint) is the foot's length in mm. The other scales count from the last,
 * which is longer than the foot by an allowance that differs from maker to maker; 15 mm is assumed here
 * (an estimate, no source), so every conversion but ISO 9407's is an estimate.
 * European (Paris point, 2/3 cm): last mm x 3/20. United Kingdom: last in inches x 3 - 25 (a third of an
 * inch a size, from 8 1/3 in). United States, men: UK's + 1; women: + 2. ISO/TS 19407:2015 (memory).
 */
const allowance: Millimetres = 15;

export const shoeScales = ['iso', 'eu', 'uk', 'us-men', 'us-women'] as const;
export type ShoeScale = (typeof shoeScales)[number];

/**
 * The foot's length for a size on a scale.
 * @param size as printed
 * @returns mm
 */
export function footLength(size: number, scale: ShoeScale): Millimetres {
  const fromUk = (uk: number) => ((uk + 25) / 3) * millimetresPerInch - allowance;
  switch (scale) {
    case 'iso':
      return size;
    case 'eu':
      return (size * 20) / 3 - allowance;
    case 'uk':
      return fromUk(size);
    case 'us-men':
      return fromUk(size - 1);
    case 'us-women':
      return fromUk(size - 2);
  }
}

/**
 * The size on a scale for a foot's length, not rounded.
 * @param length of the foot in mm
 */
export function shoeSize(length: Millimetres, scale: ShoeScale): number {
  const uk = ((length + allowance) / millimetresPerInch) * 3 - 25;
  switch (scale) {
    case 'iso':
      return length;
    case 'eu':
      return ((length + allowance) * 3) / 20;
    case 'uk':
      return uk;
    case 'us-men':
      return uk + 1;
    case 'us-women':
      return uk + 2;
  }
}
