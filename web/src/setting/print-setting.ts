import type { LengthUnit } from '@estribo/core/quantity';
import type { Setting } from '@estribo/core/setting';
import { signed } from '../parts/print';
import { screenOf } from './kinds/all';

/** A setting's number as it is said: a length with its unit, an angle with its end, a bare number of marks or strokes. */
export const printSetting = (setting: Setting | undefined, value: number, unit: LengthUnit): string =>
  setting ? screenOf(setting).print(setting, value, unit) : signed(value);
