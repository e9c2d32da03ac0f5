import type { InferType } from 'yup';
import { oneOfKinds } from '../brace';
import { phaseOn } from '../calendar';
import type { JudgedSetting, SettingMade, SettingRule, Wanted, WantedBy } from './kind';
import { angle } from './kinds/angle';
import { fill } from './kinds/fill';
import { fitted } from './kinds/fitted';
import { length } from './kinds/length';
import { lock } from './kinds/lock';
import { mark } from './kinds/mark';
import { pieces } from './kinds/pieces';

/** Every kind of setting, each from its own file: what it states and what is done with it. */
const settingKinds = { length, mark, angle, fill, lock, pieces, fitted };

type Kinds = typeof settingKinds;

/** Something that is set on a brace, and is a fact once it is. */
export type Setting = {
  [K in keyof Kinds]: { kind: K } & InferType<Kinds[K]['states']>;
}[keyof Kinds];
export type SettingKind = Setting['kind'];

export const settingSchema = oneOfKinds(
  Object.fromEntries(Object.entries(settingKinds).map(([kind, { states }]) => [kind, states])),
);

const ruleOf = ({ kind }: Setting): SettingRule<Setting> => settingKinds[kind].rule as SettingRule<Setting>;

/** The places at which a setting is made. */
export const placesOf = (setting: Setting): readonly string[] => ruleOf(setting).places(setting);

/** Whether its numbers are whole. */
export const isWhole = (setting: Setting): boolean => ruleOf(setting).whole;

/** Whether it may be said to be in or out, and which of them. */
export const mayBeInOrOut = (setting: Setting): readonly boolean[] => ruleOf(setting).inOrOut;

/**
 * What a setting should be on a day: by its schedule, by what its kind asks of size, order and hardware; undefined where
 * nothing says.
 */
export function wantedOf(setting: Setting, by: WantedBy): Wanted | undefined {
  if (setting.schedule && by.order) {
    const step = setting.schedule[phaseOn(by.order.dayZero, setting.schedule, by.day)];
    return step && { from: step.value, to: step.value };
  }
  return ruleOf(setting).wanted(setting, by);
}

/**
 * Judges a setting as it was made.
 * @param setting as the family states it
 * @param made as it was found or set; undefined before that
 * @param wanted what the size or the order wants it to be
 */
export const judgeSetting = (
  setting: Setting,
  made: SettingMade | undefined,
  wanted: Wanted | undefined,
): JudgedSetting => ruleOf(setting).judge(setting, made, wanted);
