import equal from 'fast-deep-equal';
import { useState } from 'react';

/** The same value as before as long as nothing in it has changed: what hangs on it is not done again. */
export function useSteady<T>(value: T): T {
  const [held, hold] = useState(value);
  if (held === value || equal(held, value)) return held;
  // kept while rendering, as React has it for what is derived from a former render
  hold(value);
  return value;
}
