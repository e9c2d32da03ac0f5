import type { Place } from '../brace';
import type { Cure } from '../checking';
import type { Programme } from './programme';

/*
 * Checks that several families share, each under one id: one id means one thing, whatever the family. Common practice, no
 * source; tolerances are estimates where practice names none.
 */

type Check = Programme['checks'][number];
type Seen = Extract<Check, { kind: 'seen' }>;

/** The step, setting or list that a cure opens in Strap; without one, the list. */
export const inStrap = (thing?: string): Cure => ({ stage: 'strap', ...(thing ? { thing } : {}) });

/** A question that yes passes, with what mends it. */
export const seen = (
  id: string,
  at: Place,
  cures: Cure[],
  more: Partial<Omit<Seen, 'kind' | 'id'>> = {},
): Seen => ({ kind: 'seen', id, at, cures, ...more });

export const callPhysician: Cure = { call: 'physician-now' };

/** Colour, warmth, movement and touch beyond the brace. */
export const toesFelt = (at: Place, more: Partial<Omit<Seen, 'kind' | 'id'>> = {}): Check =>
  seen('toes-warm-moving-felt', at, [inStrap(), callPhysician], { limbSafety: true, ...more });

/** A nail pressed white is pink again within two seconds: the usual bound, from memory. */
export const refill = (at: Place, id = 'capillary-refill'): Check => ({
  kind: 'quantity',
  id,
  unit: 's',
  least: 0,
  most: 2,
  limbSafety: true,
  at,
  cures: [inStrap(), callPhysician],
});

export const toesOfKneeBrace: Place = { from: 'malleoli', offset: -40, face: 'front' };
export const toesOfAnkleBrace: Place = { from: 'sole', offset: 12, face: 'front' };

/** No edge and no strap on the bare nerve. */
export const fibularNeckClear = (thing: string): Check =>
  seen('fibular-neck-clear', { from: 'fibular-neck', face: 'lateral' }, [inStrap(thing)], {
    limbSafety: true,
  });

/** Not turned on the leg. */
export const notTwisted = (at: Place, thing?: string): Check => seen('not-twisted', at, [inStrap(thing)]);

/** How far the hinge's middle lies from the kneecap's upper edge; over it counts as more. */
export const hingeHeight = (parts: string[], thing: string): Check => ({
  kind: 'distance',
  id: 'hinge-height',
  from: -8,
  to: 8,
  parts,
  moves: 'along',
  at: { from: 'kneecap-upper-edge', face: 'lateral' },
  cures: [inStrap(thing)],
});

/** How far the hinge's middle lies behind the side midline: slightly. */
export const hingeBehind = (parts: string[], thing: string): Check => ({
  kind: 'distance',
  id: 'hinge-behind-midline',
  from: 1,
  to: 15,
  parts,
  moves: 'behind',
  at: { from: 'kneecap-upper-edge', face: 'back' },
  cures: [inStrap(thing)],
});

/** The knee at both ordered stops, the brace tightened; not needed where none is ordered. */
export const kneeAtStops: Check[] = (['extension', 'flexion'] as const).map((stop) => ({
  kind: 'angle-at-stop',
  id: `knee-at-${stop}-stop`,
  stop,
  at:
    stop === 'extension'
      ? { from: 'kneecap-upper-edge', face: 'medial' }
      : { from: 'mid-kneecap', offset: -10, face: 'back' },
  cures: [{ stage: 'set', thing: 'hinge-stops' }],
}));

/**
 * What a correction presses: gently, asked after a walk.
 * @param face the side that the pad lies on
 */
export const gentlePressure = (thing: string, face: 'medial' | 'lateral' = 'medial'): Check =>
  seen('gentle-pressure-only', { from: 'mid-kneecap', face }, [{ stage: 'set', thing }], {
    moments: [{ is: 'after-walking' }],
  });

/** Strap ends and their pads finish in the middle of the limb. */
export const endsMidLimb = (parts: string[], thing: string): Check =>
  seen('ends-mid-limb', { from: 'mid-kneecap', offset: 110, face: 'back' }, [inStrap(thing)], {
    parts,
  });

/** So many fingers between brace and body: in the user's own millimetres. */
export const threeFingers = (id: string, at: Place, parts: string[], cures: Cure[]): Check => ({
  kind: 'fingers',
  id,
  least: 3,
  most: 3,
  at,
  parts,
  cures,
});
