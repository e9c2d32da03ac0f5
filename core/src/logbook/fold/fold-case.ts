import type { Side } from '../../anatomy';
import { applies } from '../../brace';
import type { UnsafeCheck } from '../../checking';
import type { Order } from '../../order';
import { currentModel, currentProgramme, partsOf, type BraceModel, type Programme } from '../../programmes';
import { calfPrompt } from '../../measuring';
import {
  askedFindings,
  judgeLimbs,
  judgeScreening,
  type Finding,
  type FindingAnswer,
  type LimbsState,
} from '../../screening';
import type { WearPlan } from '../../wearing';
import { isOutsideModel } from '../belongs';
import { current, type AnyRecordedEntry, type RecordedEntry } from '../entry';
import { foldCalls } from './fold-calls';
import { followedOf } from './followed';
import { foldChecking, foldShaping, foldStrapping } from './fold-fitting';
import { foldReviewing, foldVisits } from './fold-reviewing';
import { foldSettings, foldStops } from './fold-setting';
import { foldMeasuring, foldSizing } from './fold-sizing';
import { firstFailing, isReadable } from '../readable';
import { knownFacts } from './known-facts';
import { liveRecord, type LiveRecord } from './live-record';
import { settle } from './settle';
import { stageStates } from './stage-states';
import type { CaseState } from './state';

/** What a case holds on to: the content its pins name, as it was registered. */
export interface FoldContext {
  programme: Programme;
  model: BraceModel;
  /** the clinic's zone: decides which day an instant was */
  zone: string;
}

/**
 * Everything shown of a case, computed from its entries: the same entries always give the same state. It
 * never throws for what stands in the record: an entry that cannot be read, or at which the fold fails, is
 * set aside and shown as unreadable, and the rest works.
 * @param recorded entries of one case, by rising seq, the first one `case.opened`
 * @returns undefined when the case was never opened
 */
export function foldCase(recorded: readonly AnyRecordedEntry[], context: FoldContext): CaseState | undefined {
  const unreadable = new Set(recorded.filter((entry) => !isReadable(entry)).map(({ id }) => id));
  for (;;)
    try {
      return foldReadable(recorded, unreadable, context);
    } catch (error) {
      const at = firstFailing(recorded.length, (first) => {
        try {
          foldReadable(recorded.slice(0, first), unreadable, context);
          return false;
        } catch {
          return true;
        }
      });
      const bad = at === undefined ? undefined : recorded[at]!.id;
      // an entry set aside already is not what fails: then it is the programme or the model
      if (bad === undefined || unreadable.has(bad)) throw error;
      unreadable.add(bad);
    }
}

function foldReadable(
  recorded: readonly AnyRecordedEntry[],
  unreadable: ReadonlySet<string>,
  context: FoldContext,
): CaseState | undefined {
  const { zone } = context;
  const [programme, model] = [currentProgramme(context.programme), currentModel(context.model)];
  const settled = settle(
    recorded.map((entry) => (unreadable.has(entry.id) ? entry : current(entry, programme))),
    unreadable,
  );
  const { lines } = settled;
  const record = liveRecord(settled, zone);
  const opened = record.of('case.opened')[0];
  if (!opened) return undefined;
  const { side } = opened.body;
  const pins = (record.last('case.moved') ?? opened).body;
  const order = foldOrder(record);
  const limited = programme.measuring.flatMap((step) =>
    step.kind === 'motion' && step.joint === programme.joint && step.plane === 'sagittal' ? [step.id] : [],
  );
  const motions = record
    .of('motion.tested')
    .filter(({ body }) => body.side === side && (body.step === undefined || limited.includes(body.step)));
  // what a joint can do is what it can be moved to; what its own muscles reach is less
  const motion = motions.findLast(({ body }) => body.mode === 'passive') ?? motions.at(-1);
  const measuring = foldMeasuring(record, side, programme, model, order?.order);
  const sizing = foldSizing(record, side, programme, model, measuring, order?.order);
  const tested = motion && { entry: motion.id, day: record.dayIn(motion), motion: motion.body };
  const made = foldSettings(record, programme, { sizing, order, model, motion: tested });
  const last = record.all.at(-1);
  const facts = knownFacts(record, order?.order, last ? record.dayIn(last) : '', model, made);
  const parts = partsOf(programme, model).filter((part) => applies(part, facts));
  const setting = {
    ...foldStops(record, programme, made),
    made: made.filter(({ setting }) => applies(setting, facts)),
  };
  const limbs = judgeLimbs(record.of('limbs.noted').map(({ id, body }) => ({ ...body, entry: id })));
  const screening = foldScreening(record, side, programme, measuring, limbs);
  const checking = foldChecking(record, setting, programme, model, facts, measuring, side);
  const reviewing = foldReviewing(record, side, opened, measuring, limited);
  const state: Omit<CaseState, 'stages'> = {
    case: opened.case,
    person: opened.body.person,
    side,
    opened: record.dayIn(opened),
    seq: recorded.at(-1)?.seq ?? 0,
    programmePin: pins.programme,
    modelPin: pins.model,
    programme,
    model,
    parts,
    lines: lines.map((line) =>
      line.status === 'unreadable'
        ? line
        : {
            ...line,
            ...(isLate(line.entry) ? { late: true as const } : {}),
            ...(isOutsideModel({ programme, model, side }, line.entry) ? { outside: true as const } : {}),
          },
    ),
    conflicts: lines.filter(({ status }) => status === 'conflict'),
    screening,
    limbs,
    order,
    measuring,
    motion: tested,
    sizing,
    setting,
    shaping: foldShaping(record, programme, model, parts, facts),
    strapping: foldStrapping(record, programme, facts, checking),
    checking,
    wearing: foldWearing(record, record.last('order.given'), checking.unsafe),
    reviewing: { ...reviewing, followed: followedOf(programme, measuring, sizing, setting.made, limited) },
    calls: foldCalls(record, screening, checking.unsafe, reviewing),
    visits: foldVisits(record),
  };
  return { ...state, stages: stageStates(state, facts) };
}

/** An entry that came in later than this after it was observed is marked. */
const lateAfter = 3600_000;

const isLate = ({ observedAt, receivedAt }: AnyRecordedEntry): boolean =>
  Date.parse(receivedAt) - Date.parse(observedAt) > lateAfter;

/**
 * The look at the limb, with what was found otherwise: a calf measured as much thicker as the sign says, and
 * movement or sensation that there is less of than before.
 */
function foldScreening(
  record: LiveRecord,
  side: Side,
  programme: Programme,
  measuring: CaseState['measuring'],
  limbs: LimbsState,
): CaseState['screening'] {
  const looks = record.of('screen.looked');
  const looked = looks.flatMap(({ id, body }) => body.answers.map((answer) => ({ ...answer, entry: id })));
  const said = (finding: Finding) =>
    looked.findLast((answer) => answer.finding === finding)?.present === true;
  const calf = said('calf-swollen') ? undefined : calfPrompt(measuring.states, side);
  const found: FindingAnswer[] = [
    ...(calf ? [{ finding: 'calf-swollen' as const, present: true, entry: calf.entry }] : []),
    ...limbs.lost.map(({ note }) => ({
      finding: 'new-weakness-or-numbness' as const,
      present: true,
      entry: note.entry,
    })),
  ];
  return judgeScreening(
    looks.at(-1)?.body.asked === 'of-family' ? programme.findings : askedFindings(programme.findings),
    [...looked, ...found],
    record.of('screen.overridden').map(({ id, body }) => ({ ...body, entry: id })),
  );
}

function foldOrder(record: LiveRecord): CaseState['order'] {
  const given = record.last('order.given');
  return given && { entry: given.id, order: given.body as Order };
}

/**
 * A plan that grows stands until an order that is protective comes after it: that is worn as ordered. While a
 * check says that the limb is not safe in the brace it is held: nothing grows.
 */
function foldWearing(
  record: LiveRecord,
  order: RecordedEntry<'order.given'> | undefined,
  unsafe: readonly UnsafeCheck[],
): CaseState['wearing'] {
  const planned = record.last('wear.planned');
  const plan = planned && { entry: planned.id, plan: planned.body as WearPlan };
  const stopped =
    planned?.body.kind === 'growing' && order?.body.protective === true && record.isAfter(order, planned);
  return {
    plan: stopped ? undefined : plan,
    stopped: stopped ? plan : undefined,
    held: !stopped && planned?.body.kind === 'growing' && unsafe.length > 0,
    taught: record.last('wear.taught')?.body.who,
  };
}
