import { applies } from '../brace';
import { answersSinceDonning, foldChecking } from '../checking';
import { calfPrompt, foldMeasuring, foldMotions, lastMotion, limitedSteps } from '../measuring';
import { foldOrder, orderedOn } from '../order';
import {
  chartOf,
  checksOf,
  currentModel,
  currentProgramme,
  limitedMotion,
  operationsOf,
  partsOf,
  programmeOf,
  stepsOf,
  type BraceModel,
  type Programme,
} from '../programmes';
import { liveRecord, settle } from '../record';
import { foldReviewing, followedOf } from '../reviewing';
import { foldLimbs, foldScreening } from '../screening';
import { foldHinge, foldSettings, foldStops } from '../setting';
import { foldShaping } from '../shaping';
import { foldSizing } from '../sizing';
import { foldStrapping } from '../strapping';
import { foldWearing } from '../wearing';
import { isOutsideModel } from './belongs';
import { foldCalls } from './calls';
import { caseMoved, caseOpened } from './case-entries';
import { foldKeeping } from './case-keeping';
import { current, type AnyRecordedEntry } from './entry';
import { knownFacts } from './known-facts';
import { firstFailing, isReadable } from './readable';
import { stageStates } from './stage-states';
import type { CaseState } from './state';
import { foldVisits } from './visits';

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
  const model = currentModel(context.model);
  const programme = programmeOf(currentProgramme(context.programme), model);
  const settled = settle(
    recorded.map((entry) => (unreadable.has(entry.id) ? entry : current(entry, programme))),
    unreadable,
  );
  const { lines } = settled;
  const record = liveRecord(settled, zone);
  const opened = record.of(caseOpened)[0];
  if (!opened) return undefined;
  const { side } = opened.body;
  const pins = (record.last(caseMoved) ?? opened).body;
  const order = foldOrder(record);
  const limited = limitedSteps(programme.measuring, programme.joint);
  const motions = foldMotions(record, side, limited);
  const motion = lastMotion(motions);
  const measuring = foldMeasuring(record, side, stepsOf(programme, model), order?.order);
  const chart = chartOf(programme, model);
  const last = record.all.at(-1);
  const today = last ? record.dayIn(last) : '';
  const height = order && orderedOn(order.order, today).height;
  const sizing = foldSizing(record, side, chart, measuring, height);
  const made = foldSettings(record, programme.settings, { sizing, order, model, motion });
  const facts = knownFacts(record, order?.order, today, model, made);
  const parts = partsOf(programme, model).filter((part) => applies(part, facts));
  const setting = {
    ...foldStops(record, made),
    made: made.filter((one) => applies(one.setting, facts)),
    hinge: foldHinge(record),
  };
  const limbs = foldLimbs(record);
  const screening = foldScreening(record, programme, side, calfPrompt(measuring.states, side), limbs);
  const checked = {
    checks: checksOf(programme, model),
    settings: programme.settings,
    limited: limitedMotion(programme),
  };
  const checking = foldChecking(
    record,
    checked,
    setting,
    facts,
    measuring,
    side,
    screening.circulation?.refill,
  );
  const strapping = foldStrapping(
    record,
    programme.sequences,
    facts,
    answersSinceDonning(record, checking.checks),
  );
  const wearing = foldWearing(record, programme.wear ?? [], facts, checking.unsafe.length === 0);
  const reviewing = foldReviewing(
    record,
    side,
    record.dayIn(opened),
    measuring,
    limited,
    screening.baseline?.pain,
  );
  const state: Omit<CaseState, 'stages'> = {
    case: opened.case,
    person: opened.body.person,
    side,
    zone,
    opened: record.dayIn(opened),
    seq: recorded.at(-1)?.seq ?? 0,
    programmePin: pins.programme,
    modelPin: pins.model,
    programme,
    model,
    facts,
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
    motion,
    motions,
    sizing,
    setting,
    shaping: foldShaping(record, programme.region, operationsOf(programme), model.frame, parts, facts),
    strapping,
    checking,
    wearing,
    reviewing: {
      ...reviewing,
      followed: followedOf(programme, side, measuring, chart, setting.made, limited),
    },
    calls: foldCalls(record, {
      blocking: screening.blocking,
      unsafe: checking.unsafe,
      visits: reviewing.visits,
      lost: strapping.lost,
      told: wearing.told,
      order: order?.order,
    }),
    visits: foldVisits(record),
    keeping: foldKeeping(record),
  };
  return { ...state, stages: stageStates(state, facts) };
}

/** An entry that came in later than this after it was observed is marked. */
const lateAfter = 3600_000;

const isLate = ({ observedAt, receivedAt }: AnyRecordedEntry): boolean =>
  Date.parse(receivedAt) - Date.parse(observedAt) > lateAfter;
