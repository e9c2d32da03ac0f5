/** The parts of the body that are braced, and whether they come in pairs. */
export const regions = {
  leg: 'pair',
  trunk: 'midline',
  neck: 'midline',
  shoulder: 'pair',
  ankle: 'pair',
} as const;

export type Region = keyof typeof regions;
export const regionNames = Object.keys(regions) as Region[];
