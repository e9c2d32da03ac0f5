export const sides = ['left', 'right', 'midline'] as const;
/** Which of a pair, or neither: the trunk and the neck are measured once. */
export type Side = (typeof sides)[number];

/** The two of a pair. */
export const pairedSides = ['left', 'right'] as const satisfies readonly Side[];

/** The other one of a pair; the midline has none but itself. */
export const otherSide = (side: Side): Side =>
  side === 'midline' ? 'midline' : side === 'left' ? 'right' : 'left';

/** The sides that are measured, the braced one first. */
export const sidesFrom = (braced: Side): readonly Side[] =>
  braced === 'midline' ? ['midline'] : [braced, otherSide(braced)];

/** The faces of a body part: of one of a pair medial and lateral, of the body's middle left and right. */
export const faces = ['front', 'back', 'medial', 'lateral', 'left', 'right'] as const;
export type Face = (typeof faces)[number];
