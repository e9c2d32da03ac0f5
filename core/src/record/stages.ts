/** The nine stages, in the order of the work. */
export const stages = [
  'screen',
  'measure',
  'size',
  'set',
  'shape',
  'strap',
  'check',
  'wear',
  'review',
] as const;
export type Stage = (typeof stages)[number];
