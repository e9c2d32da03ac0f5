import type { EntryFault } from '../faults';
import type { Role } from '../access';
import { checksOf, operationsOf, partsOf, stepsOf } from '../programmes';
import type { HeldAgainst } from '../record';
import type { AnyEntry } from './entry';
import { declared, isKind, kinds } from './kinds';
import type { CaseState } from './state';

/** What an entry is held against: the family and the model the case holds on to, and its side. */
export type CaseFrame = Pick<CaseState, 'programme' | 'model' | 'side'>;

/** A brace as the kinds of entries ask of it; each list is made when a kind asks for it, for a fold asks at every entry. */
const braceOf = ({ programme, model, side }: CaseFrame) => ({
  side,
  region: programme.region,
  joint: programme.joint,
  findings: programme.findings,
  limbs: programme.limbs,
  get steps() {
    return stepsOf(programme, model);
  },
  settings: programme.settings,
  hardware: model,
  get operations() {
    return operationsOf(programme);
  },
  frame: model.frame,
  get parts() {
    return partsOf(programme, model);
  },
  sequences: programme.sequences,
  /** before the model says how far each may be out */
  familyChecks: programme.checks,
  get checks() {
    return checksOf(programme, model);
  },
});
type Brace = ReturnType<typeof braceOf>;
type Done = Brace & Pick<CaseState['setting'], 'made'>;

// no kind asks for what is not there
declared satisfies readonly HeldAgainst<Brace, Done, never>[];

/** A kind, as it is asked of a body that is its own; of one that nobody knows there is nothing to ask. */
const asked = (kind: string) => (isKind(kind) ? kinds[kind] : {}) as HeldAgainst<Brace, Done, object>;

/**
 * Why an entry is no fact of this case: it is about a step, a side, a check, a strap, a pad or a hinge that
 * this family and model do not have. What the model has is asked for by name only; whether a value suits it is
 * not asked here.
 */
export const foreignFaults = (frame: CaseFrame, { kind, body }: AnyEntry): EntryFault[] =>
  asked(kind).foreign?.(braceOf(frame), body) ?? [];

/** Why somebody of a role does not write a fact as it is. */
export const roleFaults = (
  { setting: { made }, ...frame }: CaseFrame & Pick<CaseState, 'setting'>,
  { kind, body }: AnyEntry,
  role: Role,
): EntryFault[] => asked(kind).notByRole?.({ ...braceOf(frame), made }, body, role) ?? [];

/**
 * Whether a fact lies outside what the model has: a piece that is not its own, a bend its maker forbids. It
 * has happened, so it is taken, and marked.
 */
export const isOutsideModel = (frame: CaseFrame, { kind, body }: AnyEntry): boolean =>
  asked(kind).outside?.(braceOf(frame), body) ?? false;
