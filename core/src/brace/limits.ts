/** What a schema's test asks of limits: most is not under least. What is not stated is another test's. */
export const notReversed = [
  'limits',
  'must not have most under least',
  ({ least, most }: { least?: number; most?: number }): boolean => !(least! > most!),
] as const;
