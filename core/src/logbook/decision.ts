import { fault, faultAt, type EntryFault } from '../faults';
import type { ClinicDay } from '../calendar';
import { signatureDecision } from '../checking';
import { engineVersion, type ComputedDecision, type Provenance } from '../record';
import { settingDecision } from '../setting';
import { plannedDecision } from '../shaping';
import { sizeDecision } from '../sizing';
import { current, type AnyEntry } from './entry';
import type { BodyOf, KindName } from './kinds';
import type { CaseState } from './state';

/**
 * What a decision that was sent comes to when it is computed again from the entries that are there:
 * `as-computed`: it is what the core decides; `otherwise`: made from other entries, it comes out differently
 * (with what is computed now, null when nothing can be decided); `refused`: it cannot be right.
 */
export type DecisionJudgement =
  | { outcome: 'as-computed' }
  | { outcome: 'otherwise'; computed: object | null }
  | { outcome: 'refused'; faults: EntryFault[] };

const computedDecisions: { [K in KindName]?: ComputedDecision<CaseState, BodyOf<K>> } = {
  'size.chosen': sizeDecision,
  'set.chosen': settingDecision,
  'shape.planned': plannedDecision,
  'check.signed': signatureDecision,
};

/**
 * Judges a decision by computing it again. In force is only what the core decides from the entries that are
 * there: a choice made from others (while the server was away, say) that comes out otherwise is kept beside
 * what is computed now.
 * @param state of the case before the entry
 * @param day the clinic's, on which it was decided
 */
export function judgeDecision(state: CaseState, entry: AnyEntry, day: ClinicDay): DecisionJudgement {
  const rule = computedDecisions[entry.kind] as ComputedDecision<CaseState, Provenance> | undefined;
  if (!rule) return { outcome: 'as-computed' };
  // one of an older version, out of a late outbox, is judged by what it says in today's
  const body = current(entry, state.programme).body as unknown as Provenance;
  const inRecord = new Map(state.lines.map(({ entry: { id }, status }) => [id, status]));
  const faults: EntryFault[] = [
    ...(body.programme === state.programmePin.hash ? [] : faultAt('body.programme', 'other-programme')),
    ...(body.engine > engineVersion ? faultAt('body.engine', 'newer-engine', { v: engineVersion }) : []),
    ...(body.madeFrom.every((id) => inRecord.has(id))
      ? []
      : faultAt('body.madeFrom', 'made-from-nothing-here')),
    ...rule.impossible(state, body),
  ];
  if (faults.length > 0) return { outcome: 'refused', faults };
  const computed = rule.again(state, body, day);
  if (!computed) {
    const gone = body.madeFrom.some((id) => inRecord.get(id) !== 'live');
    return gone
      ? { outcome: 'otherwise', computed: null }
      : { outcome: 'refused', faults: rule.notYet(state) };
  }
  const differing = differences(body, computed);
  if (differing.length === 0) return { outcome: 'as-computed' };
  const sameGrounds =
    body.engine === computed.engine &&
    body.madeFrom.length === computed.madeFrom.length &&
    body.madeFrom.every((id) => computed.madeFrom.includes(id));
  return sameGrounds
    ? {
        outcome: 'refused',
        faults: differing.map(([field, value]) =>
          value === undefined
            ? fault(`body.${field}`, 'not-as-computed-left-out')
            : fault(`body.${field}`, 'not-as-computed', { computed: JSON.stringify(value) }),
        ),
      }
    : { outcome: 'otherwise', computed };
}

/** Fields in which a decision is not the computed one; what it was made from and the engine are no result. */
function differences(sent: object, computed: object): [field: string, computed: unknown][] {
  const [left, right] = [sent, computed] as [Record<string, unknown>, Record<string, unknown>];
  return [...new Set([...Object.keys(left), ...Object.keys(right)])]
    .filter((field) => field !== 'madeFrom' && field !== 'engine' && !alike(left[field], right[field]))
    .map((field) => [field, right[field]]);
}

/** Alike but for the last digits, which another processor's exponential may give otherwise. */
function alike(one: unknown, other: unknown): boolean {
  if (typeof one === 'number' && typeof other === 'number')
    return Math.abs(one - other) <= 1e-6 * Math.max(1, Math.abs(other));
  if (typeof one !== 'object' || typeof other !== 'object' || one === null || other === null)
    return one === other;
  const [left, right] = [one, other] as [Record<string, unknown>, Record<string, unknown>];
  const keys = new Set([...Object.keys(left), ...Object.keys(right)]);
  return [...keys].every((key) => alike(left[key], right[key]));
}
