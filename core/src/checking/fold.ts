import type { JointPlane, Side } from '../anatomy';
import { applies, doesBearNothing, type KnownFacts } from '../brace';
import type { ClinicDay } from '../calendar';
import { settledReading, type MeasuringState } from '../measuring';
import { orderGiven, windowOn, type MotionWindow } from '../order';
import { stands, type BodyIn, type Decided, type LiveRecord, type Recorded } from '../record';
import { settingMade, type MadeSetting, type Setting, type StopsState } from '../setting';
import { donningBegun, strapDone, type Running } from '../strapping';
import {
  atEachMoment,
  checkingResult,
  isLater,
  judgeCheck,
  momentUnder,
  unsafeChecks,
  type FitCheck,
  type UnsafeCheck,
} from './check';
import { checkRecorded, checkSigned } from './entries';
import type { Judged } from './kind';

type Answer = Recorded<BodyIn<typeof checkRecorded>>;

/** What is checked of a brace: its checks, the settings that ask for one again, the motion that the order limits. */
interface Checked {
  checks: readonly FitCheck[];
  settings: readonly Setting[];
  limited: JointPlane | undefined;
}

/** The checks with what each came to, and the signature under them. */
export interface CheckingState {
  checks: {
    check: FitCheck;
    judged: Judged;
    value?: number;
    reference?: number;
    seen?: boolean;
    entry?: string;
    /** an answer of before the stops or the order were changed: it is asked again */
    before?: { entry: string; value?: number };
  }[];
  result: 'open' | 'pass' | 'fail';
  /** checks that are looked at once more when it has been worn a while: on which day, until which instant */
  later: { check: string; day: ClinicDay; until: string }[];
  /** failed checks that may not wait */
  unsafe: UnsafeCheck[];
  signed: Decided<BodyIn<typeof checkSigned> & { by: string; at: string }> | undefined;
  inputs: string[];
}

const isAtStop = (check: FitCheck): check is Extract<FitCheck, { kind: 'angle-at-stop' }> =>
  check.kind === 'angle-at-stop';

/**
 * The checks of the brace as it is on: a new donning asks for all of them again, other stops for the angles
 * at them.
 * @param setting the stops that are in, and what else was set
 * @param refillBefore seconds of refill of this side before the brace went on
 */
export function foldChecking(
  record: LiveRecord,
  { checks: ofBrace, settings, limited }: Checked,
  setting: { fitted: StopsState['fitted']; made: readonly MadeSetting[] },
  facts: KnownFacts,
  measuring: MeasuringState,
  side: Side,
  refillBefore: number | undefined,
): CheckingState {
  const begun = record.last(donningBegun);
  const bearsNothing = doesBearNothing(facts);
  const all = ofBrace
    .filter((check) => applies(check, facts))
    .flatMap((check) => atEachMoment(check, bearsNothing));
  const everMade = record.of(settingMade);
  /** by check, the last time something was set that asks for it again: of an angle at a stop, the stops */
  const reopened = new Map(
    all.map((check) => [
      check.id,
      everMade.findLast(({ body }) =>
        settings.some(
          (one) =>
            one.id === body.setting &&
            (one.reopens?.includes(check.id) || (one.kind === 'stops' && isAtStop(check))),
        ),
      ),
    ]),
  );
  const answered = record.of(checkRecorded);
  const orders = record.of(orderGiven);
  const written = record.all.at(-1);
  /** An angle at a stop that was read under an order that let the joint move otherwise is read again. */
  const isOfEarlierOrder = (check: FitCheck, entry: Answer): boolean => {
    const order = orders.at(-1);
    if (!isAtStop(check) || !order || !written || record.isAfter(entry, order)) return false;
    const now = windowOn(order.body, record.dayIn(written), limited)?.window ?? {};
    return now[check.stop] !== windowAt(entry)[check.stop];
  };
  /** The window a check is judged by: that of the order it was made under, on its day. */
  const windowAt = (entry: Answer | undefined): MotionWindow => {
    const order = entry ? orders.findLast((given) => record.isAfter(entry, given)) : orders.at(-1);
    // stops that were passed over are asked for by the order of today: they are ordered, whoever left them out
    const day = entry ? record.dayIn(entry) : (setting.fitted?.day ?? (written && record.dayIn(written)));
    return (order && day && windowOn(order.body, day, limited)?.window) || {};
  };
  const straps = record.of(strapDone);
  /** Minutes since the last step of putting it on, when a check was looked at. */
  const minutesOn = (entry: Answer): number | undefined => {
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
  const judgedBy = (check: FitCheck, entry: Answer | undefined) => {
    const { check: _check, ...value } = entry?.body ?? { check: check.id };
    const judged = judgeCheck(check, entry && { check: check.id, entry: entry.id, ...value }, {
      window: windowAt(entry),
      stops: setting.fitted?.medial,
      minutes: entry && minutesOn(entry),
      read,
      marks,
      refillBefore,
    });
    return { check, judged, ...value, ...(entry ? { entry: entry.id } : {}) };
  };
  const isOf =
    ({ id, moment }: FitCheck) =>
    ({ body }: Answer) =>
      body.check === id && (body.moment && momentUnder(body.moment, bearsNothing)) === moment?.is;
  const checks = all.map((check) => {
    const last = answered.findLast((one) => isOf(check)(one) && record.isAfter(one, begun));
    const holds =
      last !== undefined && record.isAfter(last, reopened.get(check.id)) && !isOfEarlierOrder(check, last);
    const judged = judgedBy(check, holds ? last : undefined);
    // what was read before the change is shown, and asked again
    return last && !holds && judged.judged.state === 'open'
      ? {
          ...judged,
          before: { entry: last.id, ...(last.body.value === undefined ? {} : { value: last.body.value }) },
        }
      : judged;
  });
  // what was not safe stays so until it is found right: a new donning or other stops only ask for it again
  const lastFound = all.map((check) => judgedBy(check, answered.findLast(isOf(check))));
  const result = checkingResult(checks);
  const lastStep = straps.findLast((one) => record.isAfter(one, begun));
  /** what is looked at once more, and until when by the clock */
  const later = checks.flatMap(({ check, judged }) => {
    const { notAfter } = check.moment ?? {};
    return isLater(check) && judged.state === 'open' && lastStep && notAfter !== undefined
      ? [
          {
            check: check.id,
            day: record.dayIn(lastStep),
            until: new Date(Date.parse(lastStep.observedAt) + notAfter * 60_000).toISOString(),
          },
        ]
      : [];
  });
  const signed = record.last(checkSigned);
  return {
    checks,
    result,
    later,
    unsafe: unsafeChecks(lastFound),
    inputs: [
      ...new Set([
        ...checks.flatMap(({ entry }) => entry ?? []),
        ...[...reopened.values()].flatMap((made) => made?.id ?? []),
      ]),
    ],
    signed: record.decided(
      signed && { id: signed.id, body: { ...signed.body, by: signed.by, at: signed.observedAt } },
      (body) => body.result !== result,
    ),
  };
}

/** Of each check, how often it was answered since the brace went on anew, and whether it holds now. */
export function answersSinceDonning(
  record: LiveRecord,
  checks: CheckingState['checks'],
): NonNullable<Running['answers']> {
  const begun = record.last(donningBegun);
  const answered = record.of(checkRecorded).filter((entry) => record.isAfter(entry, begun));
  return Object.fromEntries(
    [...new Set(checks.map(({ check }) => check.id))].map((id) => [
      id,
      {
        times: answered.filter(({ body }) => body.check === id).length,
        passed: checks.filter(({ check }) => check.id === id).every(({ judged }) => judged.state === 'pass'),
      },
    ]),
  );
}

/** Signed as it holds now, with every check passed. */
export const isSignedPass = ({ signed, result }: Pick<CheckingState, 'signed' | 'result'>): boolean =>
  signed !== undefined && stands(signed) && result === 'pass';
