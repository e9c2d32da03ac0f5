import { array, object, string, type InferType } from 'yup';
import { finite } from '../brace';
import type { MotionWindow } from '../order';
import type { Degrees } from '../quantity';

/** Wedges pushed in, a dial's detents, pieces screwed in. */
export const hardwareKinds = ['wedges', 'dial', 'screwed'] as const;

/** What a hinge can be set to: its pieces, or the detents of its dial. Degrees. */
export const hardwareSchema = object({
  /** wedges where it says nothing */
  kind: string().oneOf(hardwareKinds),
  extension: array().of(finite().required()).min(1).required(),
  flexion: array().of(finite().required()).required(),
  /** the angles at which it can be locked, apart from its stops */
  lock: array().of(finite().required()),
  /** the pieces that are in when it comes; asked about where they are not as ordered */
  installed: object({ extension: finite(), flexion: finite() }).noUnknown().default(undefined).optional(),
  /** degrees that the soft tissue lets the limb go beyond a stop, as the model states it: offered as a buffer */
  gives: finite().positive().max(20),
})
  .noUnknown()
  .default(undefined)
  .optional();
export type StopHardware = NonNullable<InferType<typeof hardwareSchema>>;

/** What the family asks of its stops whatever the order says. */
export interface StopRule {
  /** an extension stop of at least this stays in, unless hyperextension is ordered */
  leastExtension: Degrees;
  /** it stays in whatever is ordered */
  always?: boolean | undefined;
}

/** The stops of one hinge. No flexion stop is fitted when flexion is not limited. */
export interface HingeStops {
  extension: Degrees;
  flexion: Degrees | null;
}

/** A range of motion; an end that is absent is not limited. */
export interface Arc {
  from: Degrees | undefined;
  to: Degrees | undefined;
}

export type StopProblem =
  'window-reversed' | 'no-extension-piece' | 'no-flexion-piece' | 'stops-cross' | 'joint-outside';

export type StopChoice =
  | {
      ok: true;
      stops: HingeStops;
      /** degrees of the ordered window that the pieces cannot give */
      lost: { extension: Degrees; flexion: Degrees };
      usable: Arc;
    }
  | { ok: false; problem: StopProblem };

/**
 * The safest stops for an ordered window: the smallest extension stop not below the ordered extension,
 * the largest flexion stop not above the ordered flexion. Never outside the order; what is lost by it is
 * told. When nothing fits, nothing is chosen.
 * @param window the order's, degrees; a limit that is absent is not fitted beyond the rule's own
 * @param hardware the hinge's pieces
 * @param rule of the family
 * @param joint what the joint reached, if tested; a stop never forces a joint
 */
export function chooseStops(
  window: MotionWindow,
  hardware: StopHardware,
  rule: StopRule,
  joint?: Arc,
): StopChoice {
  const { extension: e, flexion: f } = window;
  if (e !== undefined && f !== undefined && e > f) return { ok: false, problem: 'window-reversed' };
  // the family's least gives way to hyperextension that is ordered
  // hyperextension that is ordered goes below the least, where the least does not always stay in
  const least =
    e !== undefined && e < 0 && !rule.always ? e : Math.max(e ?? rule.leastExtension, rule.leastExtension);
  const extension = hardware.extension.filter((piece) => piece >= least).sort((a, b) => a - b)[0];
  if (extension === undefined) return { ok: false, problem: 'no-extension-piece' };
  const flexion =
    f === undefined ? null : hardware.flexion.filter((piece) => piece <= f).sort((a, b) => b - a)[0];
  if (flexion === undefined) return { ok: false, problem: 'no-flexion-piece' };
  // the same angle at both ends locks the joint: that is chosen only when just this angle is ordered
  const locked = e !== undefined && e === f && extension === flexion;
  if (flexion !== null && extension >= flexion && !locked) return { ok: false, problem: 'stops-cross' };
  const stops = { extension, flexion };
  const usable = usableArc(window, stops, joint);
  if (!usable) return { ok: false, problem: 'joint-outside' };
  return {
    ok: true,
    stops,
    lost: {
      // what the hardware limits without an order is a loss as well
      extension: extension - (e ?? rule.leastExtension),
      flexion: f === undefined || flexion === null ? 0 : f - flexion,
    },
    usable,
  };
}

/**
 * Order, hardware and joint intersected.
 * @returns undefined when nothing is left: the stops would force the joint
 */
export function usableArc(window: MotionWindow, stops: HingeStops, joint?: Arc): Arc | undefined {
  const largest = (values: (number | undefined)[]) => {
    const given = values.filter((value) => value !== undefined);
    return given.length > 0 ? Math.max(...given) : undefined;
  };
  const from = largest([window.extension, stops.extension, joint?.from]);
  const smallest = largest(
    [window.flexion, stops.flexion ?? undefined, joint?.to].map((end) =>
      end === undefined ? undefined : -end,
    ),
  );
  const to = smallest === undefined ? undefined : -smallest;
  if (from !== undefined && to !== undefined && from > to) return undefined;
  return { from, to };
}

/** Medial and lateral stops are one pair: which of them differ. */
export function pairProblems(medial: HingeStops, lateral: HingeStops): ('extension' | 'flexion')[] {
  return (['extension', 'flexion'] as const).filter((stop) => medial[stop] !== lateral[stop]);
}
