import { faultAt, type EntryFault } from '../faults';
import { may, type Role } from '../access';
import { stands, type BodyIn } from '../record';
import type { settingFelt, settingHandedOver, settingMade, settingTurned } from './entries';
import type { MadeSetting } from './fold';
import {
  existingAt,
  isOnHinge,
  isWhole,
  madeIn,
  mayBeEmpty,
  mayBeInOrOut,
  placesOf,
  sameMade,
  type Setting,
} from './settings';
import type { StopHardware } from './stops';

type Made = BodyIn<typeof settingMade>;
/** The pieces of a model's hinge. */
export type Hardware = { hinge?: StopHardware | undefined };

/** Places named that a setting does not have, or named twice. */
const foreignPlaces = (
  all: readonly string[],
  places: readonly string[],
  list: 'values' | 'turns',
): EntryFault[] =>
  places.flatMap((place, i) =>
    !all.includes(place) || places.indexOf(place) < i
      ? faultAt(`body.${list}[${i}].place`, 'one-of-each-once', { words: all.join(', ') })
      : [],
  );

/** Why a setting, chosen or made, is none of this brace: another's, at places or in a way that it does not have. */
export function foreignSetting(
  settings: readonly Setting[],
  { hinge }: Hardware,
  { setting: id, values, fitted }: Pick<Made, 'setting' | 'values' | 'fitted'>,
): EntryFault[] {
  const setting = settings.find((one) => one.id === id);
  if (!setting) return faultAt('body.setting', 'no-setting');
  const [inOrOut, all] = [mayBeInOrOut(setting), placesOf(setting)];
  if (fitted !== undefined && !inOrOut.includes(fitted)) return faultAt('body', 'carries-numbers');
  if (values !== undefined && all.length === 0) return faultAt('body', 'in-or-out');
  const places = (values ?? []).map(({ place }) => place);
  return [
    ...foreignPlaces(all, places, 'values'),
    ...(values ?? []).flatMap(({ value }, i) => {
      const at = `body.values[${i}].value`;
      if (value === null) return mayBeEmpty(setting, places[i]!) ? [] : faultAt(at, 'number-in-here');
      return isWhole(setting) && !Number.isInteger(value) ? faultAt(at, 'whole') : [];
    }),
    // where a place may be without a piece, every one of them is said
    ...(values && all.some((place) => mayBeEmpty(setting, place)) && new Set(places).size < all.length
      ? faultAt('body.values', 'each-place-said', { words: all.join(', ') })
      : []),
    ...(isOnHinge(setting) && !hinge ? faultAt('kind', 'no-hinge-stops') : []),
  ];
}

/** Of the numbers of a setting, those that the model's hardware does not have. */
export const foreignValues = (
  setting: Setting,
  { hinge }: Hardware,
  values: NonNullable<Made['values']>,
): EntryFault[] =>
  values.flatMap(({ place, value }, i) => {
    const existing = existingAt(setting, place, hinge);
    return value === null || existing === undefined || existing.includes(value)
      ? []
      : faultAt(`body.values[${i}].value`, 'no-such-piece', { words: existing.join(', ') });
  });

/** Whether a setting was made with a piece that is not the model's own: it has happened, and is marked. */
export const isForeignMade = (
  settings: readonly Setting[],
  model: Hardware,
  { setting: id, values = [] }: Pick<Made, 'setting' | 'values'>,
): boolean => {
  const setting = settings.find((one) => one.id === id);
  return setting !== undefined && foreignValues(setting, model, values).length > 0;
};

/**
 * Why somebody of a role does not make a setting as it is: what is an orthotist's work is made by others just as it was
 * chosen; anything else of it is recorded from anybody, as found.
 */
export function settingRoleFaults(
  settings: readonly Setting[],
  made: readonly MadeSetting[],
  body: Made,
  role: Role,
): EntryFault[] {
  // what the patient changed is told by whoever hears it
  if (may(role, 'setting.write') || body.found || body.reported) return [];
  const setting = settings.find(({ id }) => id === body.setting);
  const chosen = made.find((one) => one.setting.id === setting?.id)?.chosen;
  const isAsChosen =
    chosen !== undefined &&
    stands(chosen) &&
    body.of === chosen.entry &&
    sameMade(madeIn(body), madeIn(chosen.decided));
  return setting?.by === 'orthotist' && !isAsChosen ? faultAt('body.found', 'found-not-set', { role }) : [];
}

/** Why turns are none of this brace's: another's, no correction, at places that it does not have. */
export function foreignTurns(
  settings: readonly Setting[],
  { setting: id, turns }: Pick<BodyIn<typeof settingTurned>, 'setting' | 'turns'>,
): EntryFault[] {
  const setting = settings.find((one) => one.id === id);
  if (setting?.kind !== 'correction') return faultAt('body.setting', 'no-correction');
  return foreignPlaces(
    placesOf(setting),
    turns.map(({ place }) => place),
    'turns',
  );
}

/** Why what was felt of a setting is none of this brace's. */
export const foreignCorrection = (
  settings: readonly Setting[],
  { setting: id }: Pick<BodyIn<typeof settingFelt>, 'setting'>,
): EntryFault[] =>
  settings.some((one) => one.id === id && one.kind === 'correction')
    ? []
    : faultAt('body.setting', 'no-correction');

/** A setting that can be handed over to the patient: a correction, and air. */
export const mayBeHandedOver = (
  setting: Setting,
): setting is Extract<Setting, { kind: 'correction' | 'fill' }> =>
  setting.kind === 'correction' || setting.kind === 'fill';

/** Why what was handed over is nothing of this brace that a patient is given. */
export const notToHandOver = (
  settings: readonly Setting[],
  { setting: id }: Pick<BodyIn<typeof settingHandedOver>, 'setting'>,
): EntryFault[] =>
  settings.some((one) => one.id === id && mayBeHandedOver(one))
    ? []
    : faultAt('body.setting', 'not-handed-over');

/** Why somebody of a role does not turn a correction: an orthotist does; what others found or heard is recorded so. */
export const turnRoleFaults = (
  settings: readonly Setting[],
  { setting: id, found, reported }: BodyIn<typeof settingTurned>,
  role: Role,
): EntryFault[] =>
  may(role, 'setting.write') || found || reported || settings.find((one) => one.id === id)?.by !== 'orthotist'
    ? []
    : faultAt('body.found', 'found-not-turned', { role });

/** Why there is no hinge to place: the brace has none. */
export const noHinge = (parts: readonly { kind: string }[]): EntryFault[] =>
  parts.some(({ kind }) => kind === 'hinge') ? [] : faultAt('kind', 'no-hinge');
