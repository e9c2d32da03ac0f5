import { rule } from '../faults';

/** What a schema's test asks of limits: most is not under least. What is not stated is another test's. */
export const notReversed = [
  ...rule('reversed'),
  ({ least, most }: { least?: number; most?: number }): boolean => !(least! > most!),
] as const;
