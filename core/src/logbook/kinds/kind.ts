import type { ObjectSchema, Schema } from 'yup';
import type { Permission } from '../../access';
import type { Joint } from '../../anatomy';
import type { Stage } from '../../programmes';

/** Where in the work an entry was written: a stage, or the case as a whole. */
export type EntryStage = Stage | 'case';

/**
 * One kind of entry. `nature` decides how the record treats it: a fact has happened and is always
 * taken; a decision keeps what it was made from; an intent (an order, a plan) must know the one it follows.
 */
export interface EntryKind<Body = unknown> {
  kind: string;
  /** version of the body written today */
  v: number;
  nature: 'fact' | 'decision' | 'intent';
  stages: readonly EntryStage[];
  permission: Permission;
  body: Schema<Body>;
  /** upcasters[n] turns a body of version n + 1 into one of version n + 2 */
  upcasters: readonly Upcaster[];
}

/** What an upcaster may know of the case its body belongs to; at the border nothing is known of it. */
export interface CaseAtHand {
  joint?: Joint | undefined;
}
export type Upcaster = (body: never, about: CaseAtHand) => unknown;

/** Declares a kind in its first version, keeping the type of its body. */
export const kind = <Body extends object, K extends string>(
  name: K,
  declared: Omit<EntryKind, 'kind' | 'v' | 'body' | 'upcasters'> & { body: ObjectSchema<Body> },
) => ({ kind: name, v: 1, upcasters: [], ...declared });
