import { mixed, object, type InferType } from 'yup';
import { byId, oneOfKinds, statesOf } from '../brace';
import { daysBetween, phaseOn, type ClinicDay } from '../calendar';
import type {
  JudgedSetting,
  MadeFrom,
  SettingChoice,
  SettingMade,
  SettingRule,
  Wanted,
  WantedBy,
} from './kind';
import type { StopHardware } from './stops';
import { angle } from './kinds/angle';
import { correction } from './kinds/correction';
import { fill } from './kinds/fill';
import { fitted } from './kinds/fitted';
import { height } from './kinds/height';
import { length } from './kinds/length';
import { lift } from './kinds/lift';
import { lock } from './kinds/lock';
import { mark } from './kinds/mark';
import { panel } from './kinds/panel';
import { pieces } from './kinds/pieces';
import { stops } from './kinds/stops';

/** Every kind of setting, each from its own file: what it states and what is done with it. */
const settingKinds = {
  stops,
  lock,
  correction,
  length,
  mark,
  angle,
  height,
  panel,
  fill,
  pieces,
  lift,
  fitted,
};

export const settingSchema = oneOfKinds(statesOf(settingKinds));
/** Something that is set on a brace, and is a fact once it is. */
export type Setting = InferType<typeof settingSchema>;
export type SettingKind = Setting['kind'];

/** What a model states of its family's settings, by their ids, in place of what the family states. */
export type StatedSettings = Readonly<Record<string, object>>;

/** What a model may restate: numbers, not what a setting is or who sets it. */
const restated = [
  'least',
  'most',
  'increment',
  'perChange',
  'firstChange',
  'inAll',
  'ways',
  'origin',
  'forces',
  'patient',
  'from',
  'near',
  'wedge',
  'sole',
];

export const statedSchema = byId<object>(
  object(Object.fromEntries(restated.map((field) => [field, mixed()])))
    .noUnknown()
    .required(),
);

/**
 * The settings of a family as a model has them.
 * @returns each with what the model states of it; what would be none of its kind any more is left as the family has it, and
 * told by its id
 */
export function withStated(
  settings: readonly Setting[],
  stated: StatedSettings = {},
): { settings: Setting[]; wrong: string[] } {
  const wrong = Object.keys(stated).filter((id) => !settings.some((one) => one.id === id));
  const merged = settings.map((setting): Setting => {
    const own = stated[setting.id];
    if (!own) return setting;
    const both = { ...setting, ...own } as Setting;
    if (settingSchema.isValidSync(both, { strict: true })) return both;
    wrong.push(setting.id);
    return setting;
  });
  return { settings: merged, wrong };
}

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
    const due = setting.schedule[phaseOn(by.order.dayZero, setting.schedule, by.day)];
    return due && { from: due.value, to: due.value };
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

/** Whether it is chosen before it is made. */
export const isChosenFirst = (setting: Setting): boolean => ruleOf(setting).chosenFirst === true;

/** Whether no piece may be in at a place of it. */
export const mayBeEmpty = (setting: Setting, place: string): boolean =>
  ruleOf(setting).mayBeEmpty?.(place) === true;

/** Whether it is on the hinge that a model states. */
export const isOnHinge = (setting: Setting): boolean => ruleOf(setting).onHinge === true;

/** Whether it is changed under an order in force alone. */
export const isUnderOrder = (setting: Setting): boolean => ruleOf(setting).underOrder === true;

/** From what a choice for it is made. */
export const madeFromOf = (setting: Setting): readonly MadeFrom[] => ruleOf(setting).madeFrom;

/** The numbers that the hardware has for it at a place; undefined where any within its limits. */
export const existingAt = (
  setting: Setting,
  place: string,
  hardware: StopHardware | undefined,
): readonly number[] | undefined => ruleOf(setting).existing?.(setting, place, hardware);

/**
 * What is chosen for a setting from the order, the size and the hardware on a day.
 * @returns undefined where nothing says what it should be, or more than one number would do
 */
export function chooseSetting(setting: Setting, by: WantedBy): SettingChoice | undefined {
  const { choose, inOrOut } = ruleOf(setting);
  if (choose) return choose(setting, by);
  const wanted = wantedOf(setting, by);
  if (wanted === undefined || (wanted !== 'open' && wanted.from !== wanted.to)) return undefined;
  const values = () =>
    Object.fromEntries(placesOf(setting).map((place) => [place, (wanted as { from: number }).from]));
  const made: SettingMade =
    wanted === 'open'
      ? { fitted: false }
      : inOrOut.includes(true)
        ? { fitted: wanted.from === 1 }
        : { values: values() };
  const phase = by.order && phaseOn(by.order.dayZero, by.order.phases, by.day);
  return {
    ok: true,
    made,
    ...(phase === undefined || phase < 0 ? {} : { phase }),
    lost: { extension: 0, flexion: 0 },
  };
}

/** Whether the same is wanted. */
const sameWanted = (one: Wanted | undefined, other: Wanted | undefined): boolean =>
  typeof one === 'object' && typeof other === 'object'
    ? one.from === other.from && one.to === other.to
    : one === other;

/**
 * The days on which a setting has to be made otherwise than before, out of some days ahead. What is chosen first is held
 * against the choice, everything else against what is wanted, as near as its kind is read.
 * @param made as it is now
 * @param days rising
 * @param byOn what it is chosen and judged by on a day
 */
export function daysOfChange<D extends string>(
  setting: Setting,
  made: SettingMade,
  days: readonly D[],
  byOn: (day: D) => WantedBy,
): D[] {
  let before: SettingMade | undefined = made;
  let asked: Wanted | undefined;
  return days.filter((day) => {
    const by = byOn(day);
    const wanted = wantedOf(setting, by);
    const choice = chooseSetting(setting, by);
    const now = choice?.ok ? choice.made : undefined;
    // nothing says what it is to be: it stays as it is
    if (isChosenFirst(setting) ? choice === undefined : wanted === undefined) return false;
    const stays = isChosenFirst(setting)
      ? before === undefined || now === undefined
        ? before === now
        : sameMade(before, now)
      : before === undefined
        ? sameWanted(wanted, asked)
        : judgeSetting(setting, before, wanted).state === 'right';
    if (!stays) before = now;
    asked = wanted;
    return !stays;
  });
}

/** Whether two ways in which a setting is made are the same. */
export const sameMade = (one: SettingMade, other: SettingMade): boolean => {
  const places = new Set([...Object.keys(one.values ?? {}), ...Object.keys(other.values ?? {})]);
  return (
    one.fitted === other.fitted &&
    [...places].every((place) => (one.values?.[place] ?? null) === (other.values?.[place] ?? null))
  );
};

/** Below this two numbers of a setting are one: tenths do not add up to the last bit. */
export const hair = 1e-9;

/** How far a setting was moved at its widest, place by place; a place without a piece before or now is not moved. */
const moved = ({ values = {} }: SettingMade, from: (place: string) => number | null | undefined): number =>
  Math.max(
    0,
    ...Object.entries(values).map(([place, value]) =>
      value === null ? 0 : Math.abs(value - (from(place) ?? value)),
    ),
  );

/** The most that a setting may be changed at once from where it stands: from its origin the first change has a limit of its own. */
export const mostAtOnce = (setting: Setting, stands: readonly (number | null)[]): number | undefined =>
  (setting.kind === 'correction' && stands.every((value) => value === 0) ? setting.firstChange : undefined) ??
  setting.perChange;

/**
 * Why a change from what was made before is more than the setting allows, in its unit. In all counts from neutral where the
 * setting does, else from what it was made to first.
 * @param before how it was made until now, in order
 * @returns undefined when it is not, or nothing was made before
 */
export function changeFault(
  setting: Setting,
  before: readonly SettingMade[],
  made: SettingMade,
): { why: 'over-change' | 'over-all'; by: number } | undefined {
  const { inAll } = setting;
  const isFromNeutral = setting.kind === 'correction' && setting.origin === 'neutral';
  const first = setting.kind === 'correction' ? setting.firstChange : undefined;
  const stood = before.at(-1);
  const perChange = mostAtOnce(setting, Object.values(stood?.values ?? {}));
  const last = moved(made, (place) => stood?.values?.[place] ?? (first === undefined ? undefined : 0));
  if (perChange !== undefined && last > perChange + hair) return { why: 'over-change', by: last - perChange };
  const all = moved(made, (place) => (isFromNeutral ? 0 : before[0]?.values?.[place]));
  return inAll !== undefined && all > inAll + hair ? { why: 'over-all', by: all - inAll } : undefined;
}

/**
 * Whether what a patient changed alone is more than a patient may: not theirs to change, more than is allowed at once, sooner
 * than is allowed after the last change.
 * @param last how it was made before, and when
 * @param made how it was made now, and when; with how often, where the patient told that
 * @returns undefined when it is not, or there is nothing to hold it against
 */
export function patientFault(
  { patient }: Setting,
  last: (SettingMade & { day: ClinicDay }) | undefined,
  made: SettingMade & { day: ClinicDay; everyDays?: number },
): 'not-patients' | 'over-patient' | 'too-soon' | undefined {
  if (!patient) return 'not-patients';
  if (last && moved(made, (place) => last.values?.[place]) > patient.within + hair) return 'over-patient';
  const after = made.everyDays ?? (last ? daysBetween(last.day, made.day) : Infinity);
  return after < patient.everyDays ? 'too-soon' : undefined;
}

export type StopsSetting = Extract<Setting, { kind: 'stops' }>;

/** The setting of a family that is its hinges' stops, if it has any. */
export const stopsSettingOf = ({ settings }: { settings: readonly Setting[] }): StopsSetting | undefined =>
  settings.find((setting): setting is StopsSetting => setting.kind === 'stops');

/** How a setting stands in an entry's body: a list of places, as a record by place. */
export const madeIn = ({
  values,
  fitted,
}: {
  values?: { place: string; value: number | null }[] | undefined;
  fitted?: boolean | undefined;
}): SettingMade => ({
  ...(values ? { values: Object.fromEntries(values.map(({ place, value }) => [place, value])) } : {}),
  ...(fitted === undefined ? {} : { fitted }),
});
