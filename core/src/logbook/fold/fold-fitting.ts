import { buildOf, templateStature, type Side } from '../../anatomy';
import { settledReading } from '../../measuring';
import {
  applies,
  chosenOf,
  holds,
  levelIn,
  partsOfKind,
  type KnownFacts,
  type Level,
  type Part,
} from '../../brace';
import { atEachMoment, checkingResult, judgeCheck, unsafeChecks, type FitCheck } from '../../checking';
import { windowOn, type MotionWindow, type Order } from '../../order';
import { checksOf, limitedMotion, operationsOf, type BraceModel, type Programme } from '../../programmes';
import { bendOf, canBeDone, padAdvice, partsWorkedOn, type OperationKind } from '../../shaping';
import { runSequence } from '../../strapping';
import type { RecordedEntry } from '../entry';
import type { LiveRecord } from './live-record';
import type { CaseState } from './state';

type PadWay = CaseState['shaping']['pads'][number]['done'];

/** Scars, pads and bends, and all other work on the brace. */
export function foldShaping(
  record: LiveRecord,
  programme: Programme,
  { frame }: BraceModel,
  parts: readonly Part[],
  facts: KnownFacts,
): CaseState['shaping'] {
  const { region } = programme;
  const operations = operationsOf(programme);
  const scars = record.of('shape.scar').map(({ body }) => body);
  const worked = record.of('work.done').map(({ id, body }) => ({ ...body, entry: id }));
  const isOf = (kind: OperationKind, id: string) =>
    operations.some((operation) => operation.kind === kind && operation.id === id);
  // nothing is known of the body's build here: pads that go by a mark on it are where they would be on an average one
  const average = buildOf(templateStature);
  const level = (at: Level) => levelIn(region, average, at) ?? 0;
  return {
    scars,
    pads: partsOfKind(parts, 'pad').map((pad) => ({
      pad,
      advice: padAdvice(
        { from: level(pad.from), to: level(pad.to), face: pad.face, splits: pad.splits === true },
        scars,
      ),
      done: worked.findLast(({ operation, part }) => isOf('pad', operation) && part === pad.id)
        ?.way as PadWay,
    })),
    bends: worked.flatMap((one) => {
      const bend = isOf('bend', one.operation) ? bendOf(one) : undefined;
      return bend ? [{ ...bend, entry: one.entry }] : [];
    }),
    work: operations
      .filter((operation) => canBeDone(operation, parts, frame) && applies(operation, facts))
      .map((operation) => ({
        operation,
        parts: partsWorkedOn(operation, parts),
        mayBegin: operation.requires === undefined ? true : holds(operation.requires, facts),
        done: worked.filter(({ operation: id }) => id === operation.id),
      })),
  };
}

/** The list in use, since the brace was last put on anew. */
export function foldStrapping(
  record: LiveRecord,
  programme: Programme,
  facts: KnownFacts,
  { checks }: Pick<CaseState['checking'], 'checks'>,
): CaseState['strapping'] {
  const begun = record.last('strap.begun');
  const done = record
    .of('strap.done')
    .filter((entry) => record.isAfter(entry, begun))
    .map(({ body }) => body);
  const answered = record.of('check.recorded').filter((entry) => record.isAfter(entry, begun));
  const answers = Object.fromEntries(
    [...new Set(checks.map(({ check }) => check.id))].map((id) => [
      id,
      {
        times: answered.filter(({ body }) => body.check === id).length,
        passed: checks.filter(({ check }) => check.id === id).every(({ judged }) => judged.state === 'pass'),
      },
    ]),
  );
  const walk = done.findLast(({ minutes }) => minutes !== undefined);
  const all = programme.sequences.filter(({ purpose }) => purpose === 'first-donning');
  // a list for another case is not offered: one for the front ligament never stands beside a rear one that is ordered
  const lists = all.filter((one) => applies(one, facts));
  const list = lists.find(({ id }) => id === begun?.body.list) ?? chosenOf(lists, facts);
  return {
    ...runSequence(list ?? { steps: [] }, done, { facts, lists: programme.sequences, answers }),
    unsuited: all.filter((one) => !lists.includes(one)),
    list,
    lists,
    settled: walk && {
      minutes: walk.minutes!,
      ...(walk.dropped === undefined ? {} : { dropped: walk.dropped }),
    },
  };
}

/**
 * The checks of the brace as it is on: a new donning asks for all of them again, other stops for the angles
 * at them.
 */
export function foldChecking(
  record: LiveRecord,
  setting: Pick<CaseState['setting'], 'fitted' | 'made'>,
  programme: Programme,
  model: BraceModel,
  facts: KnownFacts,
  measuring: CaseState['measuring'],
  side: Side,
): CaseState['checking'] {
  const begun = record.last('strap.begun');
  const settings = record.of('set.made');
  /** the last time something was set that asks for a check again */
  const reopening = ({ id }: FitCheck) =>
    settings.findLast(({ body }) =>
      programme.settings.some((one) => one.id === body.setting && one.reopens?.includes(id)),
    );
  const recorded = record.of('check.recorded').filter((entry) => record.isAfter(entry, begun));
  const orders = record.of('order.given');
  /** The window a check is judged by: that of the order it was made under, on its day. */
  const windowAt = (entry: RecordedEntry<'check.recorded'> | undefined): MotionWindow => {
    const order = entry ? orders.findLast((given) => record.isAfter(entry, given)) : orders.at(-1);
    const day = entry ? record.dayIn(entry) : setting.fitted?.day;
    return (order && day && windowOn(order.body as Order, day, limitedMotion(programme))?.window) || {};
  };
  const straps = record.of('strap.done');
  /** Minutes since the last step of putting it on, when a check was looked at. */
  const minutesOn = (entry: RecordedEntry<'check.recorded'>): number | undefined => {
    const last = straps.findLast((one) => record.isAfter(entry, one));
    return last && (Date.parse(entry.observedAt) - Date.parse(last.observedAt)) / 60_000;
  };
  const read = Object.fromEntries(
    measuring.states
      .filter(({ side: at }) => at === side || at === 'midline')
      .map((one) => [one.step.id, settledReading(one)?.mean]),
  );
  const marks = Object.fromEntries(
    setting.made.map(({ setting: { id }, made }) => [id, Object.values(made?.values ?? {})[0] ?? undefined]),
  );
  const judgedBy = (check: FitCheck, entry: RecordedEntry<'check.recorded'> | undefined) => {
    const { check: _check, ...value } = entry?.body ?? { check: check.id };
    const judged = judgeCheck(check, entry && { check: check.id, entry: entry.id, ...value }, {
      window: windowAt(entry),
      stops: setting.fitted?.medial,
      minutes: entry && minutesOn(entry),
      read,
      marks,
    });
    return { check, judged, ...value, ...(entry ? { entry: entry.id } : {}) };
  };
  const all = checksOf(programme, model)
    .filter((check) => applies(check, facts))
    .flatMap(atEachMoment);
  const isOf =
    ({ id, moment }: FitCheck) =>
    ({ body }: RecordedEntry<'check.recorded'>) =>
      body.check === id && body.moment === moment?.is;
  const checks = all.map((check) =>
    judgedBy(
      check,
      recorded.findLast((one) => isOf(check)(one) && record.isAfter(one, reopening(check))),
    ),
  );
  // what was not safe stays so until it is found right: a new donning or other stops only ask for it again
  const answered = record.of('check.recorded');
  const lastFound = all.map((check) => judgedBy(check, answered.findLast(isOf(check))));
  const result = checkingResult(checks.map(({ judged }) => judged));
  const signed = record.last('check.signed');
  return {
    checks,
    result,
    unsafe: unsafeChecks(lastFound),
    inputs: [
      ...new Set([
        ...checks.flatMap(({ entry }) => entry ?? []),
        ...all.flatMap((check) => reopening(check)?.id ?? []),
      ]),
    ],
    signed: record.decided(
      signed && { id: signed.id, body: { ...signed.body, by: signed.by, at: signed.observedAt } },
      (body) => body.result !== result,
    ),
  };
}
