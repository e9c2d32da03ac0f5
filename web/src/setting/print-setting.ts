import type { LengthUnit } from '@estribo/core/quantity';
import type { SettingKind } from '@estribo/core/setting';
import { degrees, printDistance, signed } from '../parts/print';

/** A setting's number as it is said: a length with its unit, an angle, a bare number of marks or strokes. */
export const printSetting = (kind: SettingKind | undefined, value: number, unit: LengthUnit): string =>
  kind === 'length' ? printDistance(value, unit) : kind === 'angle' ? degrees(value) : signed(value);
