/** Arms and legs, as movement and sensation are noted in them. */
export const limbs = ['left-arm', 'right-arm', 'left-leg', 'right-leg'] as const;
export type Limb = (typeof limbs)[number];

/** How much of it there is, from the most to the least. */
export const degreesOfFunction = ['full', 'less', 'none'] as const;
export type DegreeOfFunction = (typeof degreesOfFunction)[number];

export const limbFunctions = ['movement', 'sensation'] as const;
export type LimbFunction = (typeof limbFunctions)[number];

export type LimbsFelt = Record<Limb, Record<LimbFunction, DegreeOfFunction>>;

/** Full movement and sensation in both arms and both legs. */
export const allFull: LimbsFelt = Object.fromEntries(
  limbs.map((limb) => [limb, { movement: 'full', sensation: 'full' }]),
) as unknown as LimbsFelt;

/** Movement and sensation in arms and legs, noted before a trunk or neck brace goes on or after it is on. */
export interface LimbsNote {
  moment: 'before' | 'after';
  limbs: LimbsFelt;
  entry: string;
}

export interface LimbLoss {
  limb: Limb;
  what: LimbFunction;
  before: DegreeOfFunction;
  now: DegreeOfFunction;
}

/** What there is less of now than before. */
export const lossesSince = (before: LimbsFelt, now: LimbsFelt): LimbLoss[] =>
  limbs.flatMap((limb) =>
    limbFunctions.flatMap((what): LimbLoss[] => {
      const [was, is] = [before[limb][what], now[limb][what]];
      return degreesOfFunction.indexOf(is) > degreesOfFunction.indexOf(was)
        ? [{ limb, what, before: was, now: is }]
        : [];
    }),
  );

export interface LimbsState {
  before: LimbsNote | undefined;
  /** noted after the brace went on, since the last note before */
  after: LimbsNote | undefined;
  /** notes that show less than the note before them: new weakness or numbness */
  lost: { note: LimbsNote; losses: LimbLoss[] }[];
}

/**
 * Movement and sensation as they stand: the last note before the brace went on against the one before that, and
 * the last note after it against the last before. A loss stands until a later note of the same moment shows it
 * gone. Common practice, no source.
 * @param notes in the order they were made
 */
export function judgeLimbs(notes: readonly LimbsNote[]): LimbsState {
  const at = notes.findLastIndex(({ moment }) => moment === 'before');
  const before = notes[at];
  const earlier = notes.slice(0, Math.max(0, at)).findLast(({ moment }) => moment === 'before');
  // behind the last note before there are only notes after
  const after = notes.slice(at + 1).at(-1);
  const lost = (reference: LimbsNote | undefined, note: LimbsNote | undefined): LimbsState['lost'] => {
    const losses = reference && note ? lossesSince(reference.limbs, note.limbs) : [];
    return losses.length > 0 ? [{ note: note!, losses }] : [];
  };
  return { before, after, lost: [...lost(earlier, before), ...lost(before, after)] };
}
