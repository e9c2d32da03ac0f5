import type { EntryFault } from '../faults';
import type { InferType, ObjectSchema, Schema } from 'yup';
import type { Permission, Role } from '../access';
import type { Joint } from '../anatomy';
import type { Stage } from './stages';

/** Where in the work an entry was written: a stage, or the case as a whole. */
export type EntryStage = Stage | 'case';

/** What a kind says of a brace it is held against, and of what was done to it: each kind names what it needs of them. */
export interface HeldAgainst<Brace, Done, Body> {
  /** why a body is none of this brace or limb: it names what the family and the model do not have */
  foreign?: (brace: Brace, body: Body) => EntryFault[];
  /** whether a body lies outside what the model has: it has happened, so it is taken, and marked */
  outside?: (brace: Brace, body: Body) => boolean;
  /** why somebody of a role does not write this body, where the role may write the kind */
  notByRole?: (done: Done, body: Body, role: Role) => EntryFault[];
}

/**
 * One kind of entry. `nature` decides how the record treats it: a fact has happened and is always
 * taken; a decision keeps what it was made from; an intent (an order, a plan) must know the one it follows.
 */
export interface EntryKind<Body = unknown> extends HeldAgainst<never, never, never> {
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
export const kind = <Body extends object, K extends string, Brace = object, Done = object>(
  name: K,
  declared: Omit<EntryKind, 'kind' | 'v' | 'body' | 'upcasters' | keyof HeldAgainst<Brace, Done, Body>> & {
    body: ObjectSchema<Body>;
  } & HeldAgainst<Brace, Done, Body>,
) => ({ kind: name, v: 1, upcasters: [], ...declared });

/** A kind that is written no more. Read, an entry of it is one of a kind of today; its own bodies had one version. */
export interface FormerKind extends Omit<EntryKind, 'body'> {
  body: Schema<object>;
  now: { kind: string; v: number; body: (body: never) => object };
}

/** Declares a kind that is written no more, with what its entries are now. */
export const former = <S extends ObjectSchema<object>>(
  name: string,
  declared: Omit<EntryKind, 'kind' | 'v' | 'body' | 'upcasters'> & {
    body: S;
    now: { kind: string; v: number; body: (body: InferType<S>) => object };
  },
): FormerKind => ({ kind: name, v: 1, upcasters: [], ...declared });
