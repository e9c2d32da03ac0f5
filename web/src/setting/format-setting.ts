import type { LengthUnit } from '@estribo/core/quantity';
import { placesOf, type Setting, type SettingMade, type Wanted } from '@estribo/core/setting';
import { t } from '../messages';
import { formatArc, signed } from '../parts/format';
import { screenOf } from './kinds/all';

/** A setting's number as it is said: a length with its unit, an angle with its end, a bare number of marks or strokes. */
export const formatSetting = (setting: Setting | undefined, value: number, unit: LengthUnit): string =>
  setting ? screenOf(setting).print(setting, value, unit) : signed(value);

/** A setting as it was made or chosen: in or out in the words of its kind, else its numbers in the order of its places. */
export function formatMade(setting: Setting, made: SettingMade, unit: LengthUnit): string {
  const { inOrOut, formatMade: own } = screenOf(setting);
  if (made.fitted !== undefined)
    return t(
      inOrOut ? (made.fitted ? inOrOut.in : inOrOut.out) : made.fitted ? 'setting.isIn' : 'setting.leftOut',
    );
  if (own) return own(setting, made);
  return placesOf(setting)
    .flatMap((place) => {
      const value = made.values?.[place];
      return value === undefined || value === null ? [] : [formatSetting(setting, value, unit)];
    })
    .join(' / ');
}

/** What the order or the size wants of a setting: one number, a range, a part in or out, a lock open. */
export function formatWanted(setting: Setting, wanted: Wanted, unit: LengthUnit): string {
  if (wanted === 'open') return t('setting.lockOpen');
  const { from, to } = wanted;
  // stops are wanted as a window, open where nothing limits
  if (setting.kind === 'stops')
    return formatArc(
      { from: Number.isFinite(from) ? from : undefined, to: Number.isFinite(to) ? to : undefined },
      { joint: setting.joint, plane: 'sagittal' },
    );
  return from === to
    ? formatSetting(setting, from, unit)
    : t('setting.range', { from: formatSetting(setting, from, unit), to: formatSetting(setting, to, unit) });
}
