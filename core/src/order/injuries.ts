/** Whether an injury has a side, and which: of the body, or none. */
type Sided = 'sided' | 'plain';

/**
 * Injuries as codes, by which lists, sides and cautions are chosen; the diagnosis stands beside them in words.
 * Common practice, no source. A programme may name others of its own.
 */
const known = {
  'front-cruciate': 'sided',
  'rear-cruciate': 'sided',
  'inner-ligament': 'sided',
  'outer-ligament': 'sided',
  meniscus: 'sided',
  cartilage: 'sided',
  patella: 'sided',
  'osteoarthritis-inner': 'sided',
  'osteoarthritis-outer': 'sided',
  'muscle-or-tendon': 'sided',
  achilles: 'sided',
  'ankle-sprain': 'sided',
  'fracture-thigh': 'sided',
  'fracture-shin': 'sided',
  'fracture-ankle': 'sided',
  'fracture-foot': 'sided',
  'fracture-arm': 'sided',
  'fracture-collar-bone': 'sided',
  'fracture-ribs': 'sided',
  'vertebral-fracture-stable': 'plain',
  'vertebral-fracture-unstable': 'plain',
  'vertebral-fracture-osteoporotic': 'plain',
  fusion: 'plain',
  disc: 'plain',
  'cervical-fracture': 'plain',
  'cervical-sprain': 'plain',
  'shoulder-instability': 'sided',
  'shoulder-cuff': 'sided',
  'shoulder-stiffness': 'sided',
  'hip-or-pelvis': 'sided',
  other: 'plain',
} as const satisfies Record<string, Sided>;

export type KnownInjury = keyof typeof known;
export const knownInjuries = Object.keys(known) as KnownInjury[];

/** Whether an injury of this code has a side; a clinic's own may have one. */
export const mayHaveSide = (code: string): boolean =>
  !Object.hasOwn(known, code) || known[code as KnownInjury] === 'sided';

/** Whether an order codes one of some injuries: with those, what it leaves out is asked for and never assumed. */
export const isAskedFor = (
  injuries: readonly string[] | undefined,
  order: { injuries?: readonly { code: string }[] | undefined } | undefined,
): boolean => order?.injuries?.some(({ code }) => injuries?.includes(code)) === true;
