import type { ClinicDay } from '../calendar';
import { judgeSetting } from '../setting';
import { foreignValues } from './belongs';
import { decideSetting, decideSignature, decideSize } from './decide';
import { engineVersion } from './engine';
import type { AnyEntry, EntryFault } from './entry';
import { madeIn } from './fold/fold-setting';
import type { CaseState } from './fold/state';
import type { BodyOf, KindName } from './kinds';

/**
 * What a decision that was sent comes to when it is computed again from the entries that are there:
 * `as-computed`: it is what the core decides; `otherwise`: made from other entries, it comes out differently
 * (with what is computed now, null when nothing can be decided); `refused`: it cannot be right.
 */
export type DecisionJudgement =
  | { outcome: 'as-computed' }
  | { outcome: 'otherwise'; computed: object | null }
  | { outcome: 'refused'; faults: EntryFault[] };

/** What is written with every decision beside its result. */
type Provenance = { madeFrom: string[]; programme: string; engine: number };

/** One kind of decision that the core computes. */
interface ComputedDecision<Body> {
  /** what is wrong with it whatever it was made from */
  impossible: (state: CaseState, body: Body) => EntryFault[];
  /** the decision from what holds now, with what its writer chose in it: the reason, the acknowledgement */
  again: (state: CaseState, body: Body, day: ClinicDay) => Body | undefined;
  /** why nothing can be decided from what holds now */
  notYet: (state: CaseState) => string;
}

const computedDecisions: { [K in KindName]?: ComputedDecision<BodyOf<K>> } = {
  'size.chosen': {
    impossible: ({ sizing: { chart } }, { size, height, heightReason }) => [
      ...(size !== undefined && !chart.sizes.includes(size)
        ? [{ at: 'body.size', message: `must be a size of this chart: ${chart.sizes.join(', ')}` }]
        : []),
      ...(height !== undefined && !chart.heights?.some((one) => one.height === height)
        ? [{ at: 'body.height', message: 'is no height of this model' }]
        : []),
      ...((height === undefined) !== (heightReason === undefined)
        ? [{ at: 'body.heightReason', message: 'goes with a height' }]
        : []),
    ],
    again: (state, { size, reason, height, heightReason }) =>
      decideSize(
        state,
        reason === undefined ? undefined : { size, reason },
        height && { height, reason: heightReason! },
      ),
    notYet: ({ sizing: { match } }) =>
      `needs readings that are not here${match.outcome === 'incomplete' ? `: ${match.missing.join(', ')}` : ''}`,
  },
  'set.chosen': {
    // that it is a setting of this brace, at places of it, is asked before
    impossible: (state, { setting: id, values = [], fitted, lost, acknowledged }) => {
      const setting = state.programme.settings.find((one) => one.id === id);
      if (!setting) return [{ at: 'body.setting', message: 'is no setting of this brace' }];
      const foreign = foreignValues(setting, state.model, values);
      const made = madeIn({ values: values.length > 0 ? values : undefined, fitted });
      const judged = judgeSetting(setting, made, undefined);
      return [
        ...foreign,
        ...(judged.state === 'wrong'
          ? [{ at: 'body.values', message: `cannot be chosen: ${judged.why}` }]
          : []),
        ...((lost.extension > 0 || lost.flexion > 0) && !acknowledged
          ? [{ at: 'body.acknowledged', message: 'must be true: motion is lost against the order' }]
          : []),
      ];
    },
    again: (state, { setting, acknowledged }, day) => decideSetting(state, setting, day, acknowledged),
    notYet: ({ order }) =>
      order
        ? 'cannot be chosen: nothing that the brace has lies inside the order and what the joint can do, or the order has ended'
        : 'needs an order first',
  },
  'check.signed': {
    impossible: () => [],
    again: (state, { note }) => {
      const signature = decideSignature(state);
      return signature && { ...signature, ...(note === undefined ? {} : { note }) };
    },
    notYet: ({ checking: { checks } }) =>
      `needs every check answered; open: ${checks
        .filter(({ judged }) => judged.state === 'open')
        .map(({ check }) => check.id)
        .join(', ')}`,
  },
};

/**
 * Judges a decision by computing it again. In force is only what the core decides from the entries that are
 * there: a choice made from others (while the server was away, say) that comes out otherwise is kept beside
 * what is computed now.
 * @param state of the case before the entry
 * @param day the clinic's, on which it was decided
 */
export function judgeDecision(state: CaseState, entry: AnyEntry, day: ClinicDay): DecisionJudgement {
  const rule = computedDecisions[entry.kind] as ComputedDecision<Provenance> | undefined;
  if (!rule) return { outcome: 'as-computed' };
  const body = entry.body as Provenance;
  const inRecord = new Map(state.lines.map(({ entry: { id }, status }) => [id, status]));
  const faults: EntryFault[] = [
    ...(body.programme === state.programmePin.hash
      ? []
      : [{ at: 'body.programme', message: 'is not the programme this case holds on to' }]),
    ...(body.engine > engineVersion
      ? [{ at: 'body.engine', message: `is newer than this server computes with (${engineVersion})` }]
      : []),
    ...(body.madeFrom.every((id) => inRecord.has(id))
      ? []
      : [{ at: 'body.madeFrom', message: 'names an entry that this case does not have' }]),
    ...rule.impossible(state, body),
  ];
  if (faults.length > 0) return { outcome: 'refused', faults };
  const computed = rule.again(state, body, day);
  if (!computed) {
    const gone = body.madeFrom.some((id) => inRecord.get(id) !== 'live');
    return gone
      ? { outcome: 'otherwise', computed: null }
      : { outcome: 'refused', faults: [{ at: 'kind', message: rule.notYet(state) }] };
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
        faults: differing.map(([field, value]) => ({
          at: `body.${field}`,
          message: `is not what the same entries give: ${value === undefined ? 'it is left out' : JSON.stringify(value)}`,
        })),
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
