import type { KnownFacts } from './condition';

/** A case of which nobody has said anything: for tests to begin from. */
export const nothingKnown: KnownFacts = {
  injuries: undefined,
  ordered: {},
  findings: {},
  variant: undefined,
  settings: {},
  parts: {},
  list: undefined,
  checks: {},
  done: [],
};
