import { mayBeThousands, plainTyped } from './typed';
import type { Kilograms } from './unit';

/** Exact by the international yard and pound agreement of 1959. */
export const kilogramsPerPound = 0.45359237;

export type ParsedMass =
  | { ok: true; kilograms: Kilograms }
  | { ok: false; problem: 'empty' | 'notANumber' | 'notPositive' | 'thousands' };

/**
 * Reads a weight as it is said at the scale: "68", "68,5 kg", "150 lb". A number without a unit is in kg.
 * @returns the mass in kilograms, or what is wrong with it
 */
export function parseMass(text: string): ParsedMass {
  const trimmed = plainTyped(text).trim();
  if (trimmed === '') return { ok: false, problem: 'empty' };
  if (mayBeThousands(trimmed)) return { ok: false, problem: 'thousands' };
  const parts = /^(\d+(?:[.,]\d+)?|[.,]\d+)\s*(kg|lb|lbs)?$/i.exec(trimmed);
  if (!parts) return { ok: false, problem: 'notANumber' };
  const amount = Number(parts[1]!.replace(',', '.'));
  if (amount <= 0) return { ok: false, problem: 'notPositive' };
  return {
    ok: true,
    kilograms: parts[2]?.toLowerCase().startsWith('lb') ? amount * kilogramsPerPound : amount,
  };
}
