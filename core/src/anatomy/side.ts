export const sides = ['left', 'right'] as const;
export type Side = (typeof sides)[number];

export const otherSide = (side: Side): Side => (side === 'left' ? 'right' : 'left');
