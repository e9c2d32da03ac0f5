import { boolean, object, string } from 'yup';
import { joints } from '../../anatomy';
import { finite } from '../../brace';
import { hasEnded, windowOn, type MotionWindow } from '../../order';
import {
  axes,
  common,
  outside,
  placesAlong,
  settingKind,
  type JudgedSetting,
  type SettingMade,
  type WantedBy,
} from '../kind';
import { chooseStops, type HingeStops, type StopChoice } from '../stops';

type ChosenStops = Extract<StopChoice, { ok: true }>;

/** Each hinge has an end at either side of its motion. */
const ends = { of: ['extension', 'flexion'], go: 'differ' } as const;
/** As an angle, no piece in is beyond any motion. */
const noPiece = Infinity;

const states = object({
  ...common,
  joint: string().oneOf(joints).required(),
  axes: axes(),
  /** an extension stop of at least this stays in, unless hyperextension is ordered */
  leastExtension: finite().required(),
  /** it stays in whatever is ordered */
  always: boolean().strict(),
});

const placesOf = ({ axes: hinges }: { axes: readonly { of: string[] }[] }): string[] =>
  placesAlong([...hinges, { of: [...ends.of] }]);

const isFlexion = (place: string): boolean => place.endsWith('-flexion');

/** The stops of one hinge as they are kept among the places of the setting. */
export const stopsAt = (made: SettingMade, hinge: string): HingeStops => ({
  extension: made.values?.[`${hinge}-extension`] ?? NaN,
  flexion: made.values?.[`${hinge}-flexion`] ?? null,
});

/** The numbers of a setting for the stops of each hinge. */
export const valuesOfStops = (stops: Readonly<Record<string, HingeStops>>): Record<string, number | null> =>
  Object.fromEntries(
    Object.entries(stops).flatMap(([hinge, { extension, flexion }]) => [
      [`${hinge}-extension`, extension],
      [`${hinge}-flexion`, flexion],
    ]),
  );

/** A window made stricter at either end that is limited: what soft tissue gives works toward stricter alone. */
const within = ({ extension, flexion }: MotionWindow, buffer = 0): MotionWindow => ({
  ...(extension === undefined ? {} : { extension: extension + buffer }),
  ...(flexion === undefined ? {} : { flexion: flexion - buffer }),
});

/** What is lost against the order itself: the buffer is a part of it, where the end is limited. */
const lostOf = ({ lost }: ChosenStops, { extension, flexion }: MotionWindow, buffer = 0) => ({
  extension: lost.extension + (extension === undefined ? 0 : buffer),
  flexion: lost.flexion + (flexion === undefined ? 0 : buffer),
});

const windowNow = (joint: (typeof joints)[number], { order, day }: WantedBy) =>
  order && windowOn(order, day, { joint, plane: 'sagittal' });

/**
 * The stops of a joint's hinges, medial and lateral alike: an angle at either end, or no piece where flexion is not
 * limited. Chosen from the order and what the hinge has; never outside the order.
 */
export const stops = settingKind(states, {
  places: placesOf,
  whole: false,
  inOrOut: [],
  // an end that is not limited may be anywhere
  wanted: ({ joint }, by) => {
    const now = windowNow(joint, by);
    return now && { from: now.window.extension ?? -noPiece, to: now.window.flexion ?? noPiece };
  },
  judge: (setting, made, wanted): JudgedSetting => {
    if (!made?.values) return { state: 'open' };
    const hinges = placesAlong(setting.axes).map((hinge) => stopsAt(made, hinge));
    if (!hinges.every(({ extension }) => Number.isFinite(extension))) return { state: 'open' };
    const angles = hinges.map(({ extension, flexion }) => [extension, flexion ?? noPiece] as const);
    if (angles.some(([extension, flexion]) => extension > flexion))
      return { state: 'wrong', why: 'stops-cross', by: 0 };
    const { from, to } = wanted && wanted !== 'open' ? wanted : { from: -noPiece, to: noPiece };
    const over = Math.max(
      ...angles.map(([extension, flexion]) =>
        Math.max(outside(extension, from, noPiece), outside(flexion, -noPiece, to)),
      ),
    );
    // without a piece the whole of what a joint can do is beyond the order
    if (over > 0) return { state: 'wrong', why: 'outside-order', by: Math.min(over, 180) };
    const apart = [0, 1].map((end) => {
      const of = angles.map((pair) => pair[end]!);
      return Math.max(...of) === Math.min(...of) ? 0 : Math.min(180, Math.max(...of) - Math.min(...of));
    });
    const by = Math.max(...apart);
    return by > 0 ? { state: 'wrong', why: 'pair-differs', by } : { state: 'right' };
  },
  madeFrom: ['order', 'motion'],
  chosenFirst: true,
  onHinge: true,
  underOrder: true,
  mayBeEmpty: isFlexion,
  existing: (_, place, hardware) => hardware?.[isFlexion(place) ? 'flexion' : 'extension'],
  choose: (setting, by) => {
    const now = windowNow(setting.joint, by);
    const { order, hardware, day } = by;
    // an order that has ended orders nothing any more
    if (!now || !order || !hardware || hasEnded(order, day)) return undefined;
    const choice = chooseStops(within(now.window, by.buffer), hardware, setting, by.joint);
    if (!choice.ok) return choice;
    const hinges = Object.fromEntries(placesAlong(setting.axes).map((hinge) => [hinge, choice.stops]));
    return {
      ok: true,
      made: { values: valuesOfStops(hinges) },
      phase: now.phase,
      ordered: now.window,
      lost: lostOf(choice, now.window, by.buffer),
    };
  },
});
