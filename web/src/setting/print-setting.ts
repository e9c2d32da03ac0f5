import type { Joint } from '@estribo/core/anatomy';
import type { LengthUnit } from '@estribo/core/quantity';
import type { SettingKind } from '@estribo/core/setting';
import { printAngle, printDistance, signed } from '../parts/print';

/** A setting's number as it is said: a length with its unit, an angle with its end, a bare number of marks or strokes. */
export const printSetting = (
  setting: { kind: SettingKind; joint?: Joint } | undefined,
  value: number,
  unit: LengthUnit,
): string =>
  setting?.kind === 'length'
    ? printDistance(value, unit)
    : setting?.kind === 'angle' || setting?.kind === 'lock'
      ? printAngle(setting.joint && { joint: setting.joint, plane: 'sagittal' }, value)
      : signed(value);
