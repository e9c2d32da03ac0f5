import { kinds, type BodyOf, type Entry, type KindName } from '@estribo/core/logbook';
import type { EntryStage } from '@estribo/core/record';
import { v7 } from 'uuid';

/**
 * An entry as it is written here and now: complete, with an id of its own, so that sending it twice makes one.
 * @param at the case, the stage and the clinic's zone it is written in, and who writes it
 */
export const newEntry = <K extends KindName>(
  kind: K,
  at: { case: string; stage: EntryStage; zone: string; by: string },
  body: BodyOf<K>,
  links: Partial<Pick<Entry<K>, 'replaces' | 'reason' | 'expects' | 'from' | 'observedAt'>> = {},
): Entry<K> => ({
  id: v7(),
  ...at,
  kind,
  v: kinds[kind].v,
  observedAt: new Date().toISOString(),
  body,
  ...links,
});
