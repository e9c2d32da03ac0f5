import type { TestedMotion } from '../measuring';
import { addDays, type ClinicDay } from '../calendar';
import { hasEnded, type GivenOrder, type Order } from '../order';
import type { Degrees } from '../quantity';
import { stands, type BodyIn, type Decided, type LiveRecord, type Recorded } from '../record';
import type { SizingState } from '../sizing';
import { hingePlaced, settingChosen, settingMade } from './entries';
import {
  placesAlong,
  type JudgedSetting,
  type SettingChoice,
  type SettingMade,
  type Wanted,
  type WantedBy,
} from './kind';
import { stopsAt } from './kinds/stops';
import { doingsOf, handedOver, ledgerOf, type HandedOver, type LedgerLine } from './ledger';
import {
  changeFault,
  chooseSetting,
  isChosenFirst,
  isUnderOrder,
  judgeSetting,
  patientFault,
  sameMade,
  stopsSettingOf,
  wantedOf,
  type Setting,
  madeIn,
} from './settings';
import { pairProblems, type HingeStops, type StopHardware } from './stops';
import { asNumber, opposite, sumOfTurns } from './turns';

type Chosen = BodyIn<typeof settingChosen>;
type Made = BodyIn<typeof settingMade>;

/** What is to be looked at in how a setting was made, whether or not it is right. */
export type SettingFlag =
  | 'differs-from-chosen'
  | 'found-so'
  | 'over-change'
  | 'over-all'
  | 'without-order'
  | NonNullable<ReturnType<typeof patientFault>>;

/** An orthotist looks at these; the others have happened, and doing it again mends nothing. */
const lookedAt: readonly SettingFlag[] = [
  'differs-from-chosen',
  'found-so',
  'without-order',
  'not-patients',
  'over-patient',
];

/** A setting with what was chosen for it and made of it, judged by what was wanted of it on that day. */
export interface MadeSetting {
  setting: Setting;
  chosen: Decided<Chosen> | undefined;
  made:
    | (SettingMade & {
        entry: string;
        day: ClinicDay;
        given?: true;
        /** of what the patient did alone and told: days from one time to the next */
        everyDays?: number;
        because?: string;
      })
    | undefined;
  judged: JudgedSetting;
  /** it has to be made before everything is set: nobody has to say of what may stay unsaid while nothing wants it */
  needed: boolean;
  flags: SettingFlag[];
  /** of a correction: how it came to where it stands */
  ledger?: LedgerLine[];
  /** what was handed over to the patient */
  patient?: HandedOver;
}

/** What a brace looks like that does not match what was decided. */
export type LookAtBrace =
  | { what: 'fitted-differs-from-chosen'; entry: string }
  | { what: 'pair-differs'; entry: string; stops: ('extension' | 'flexion')[] }
  | { what: 'outside-order' | 'found-so'; entry: string };

/** The hinges' stops as pairs, chosen and in. */
export interface StopsState {
  chosen: Decided<Chosen & { medial: HingeStops; lateral: HingeStops }> | undefined;
  fitted:
    | { entry: string; day: ClinicDay; medial: HingeStops; lateral: HingeStops; phase: number | undefined }
    | undefined;
  /** every fitting of stops, in order */
  fittings: { day: ClinicDay; stops: HingeStops }[];
  look: LookAtBrace[];
}

/** What a setting is chosen and judged by. */
export interface SettingGrounds {
  sizing: Pick<SizingState, 'chart' | 'readings'>;
  order: GivenOrder | undefined;
  model: { hinge?: StopHardware };
  motion: TestedMotion | undefined;
}

/** What a setting is chosen and judged by on a day. */
export const groundsOn = (
  { sizing: { chart, readings }, order, model, motion }: SettingGrounds,
  day: ClinicDay,
  buffer?: Degrees,
): WantedBy => ({
  day,
  buffer,
  order: order?.order,
  chart,
  readings,
  hardware: model.hinge,
  joint: motion && { from: -motion.motion.extension || 0, to: motion.motion.flexion },
});

/** What a setting of a case should be on a day. */
export const wantedOn = (setting: Setting, grounds: SettingGrounds, day: ClinicDay): Wanted | undefined =>
  wantedOf(setting, groundsOn(grounds, day));

/** What is chosen for a setting of a case on a day. */
export const choiceOn = (
  setting: Setting,
  grounds: SettingGrounds,
  day: ClinicDay,
  buffer?: Degrees,
): SettingChoice | undefined => chooseSetting(setting, groundsOn(grounds, day, buffer));

/** A setting as it stands in a body: a list of its places. */
export const bodyOfMade = ({ values, fitted }: SettingMade): Pick<Made, 'values' | 'fitted'> => ({
  ...(values ? { values: Object.entries(values).map(([place, value]) => ({ place, value })) } : {}),
  ...(fitted === undefined ? {} : { fitted }),
});

/** The day on which a phase of an order begins; a choice for it is made again as of that day. */
const beginOf = (order: Order | undefined, phase: number | undefined): ClinicDay | undefined => {
  const begins = phase === undefined ? undefined : order?.phases[phase]?.fromDay;
  return begins === undefined ? undefined : addDays(order!.dayZero, begins);
};

/**
 * Each setting with what was chosen for it and as it was last made, judged by what was wanted of it on that day.
 * @param grounds what holds now: a choice says whether it would differ
 */
export function foldSettings(
  record: LiveRecord,
  settings: readonly Setting[],
  grounds: SettingGrounds,
): MadeSetting[] {
  const chosen = record.of(settingChosen);
  // the day of what was written last: the same entries always give the same state
  const written = record.all.at(-1);
  const today = written && record.dayIn(written);
  return settings.map((setting): MadeSetting => {
    const ofIt = ({ body }: { body: { setting: string } }) => body.setting === setting.id;
    const made = doingsOf(record, setting);
    const patient = handedOver(record, setting);
    const choice = chosen.findLast(ofIt);
    const decided = record.decided(choice, (body) => {
      const phaseDay = beginOf(grounds.order?.order, body.phase);
      // a phase that the order has no more
      if (body.phase !== undefined && phaseDay === undefined) return true;
      const again = choiceOn(setting, grounds, phaseDay ?? record.dayIn(choice!), body.buffer);
      return !again?.ok || !sameMade(again.made, madeIn(body));
    });
    const more = {
      ...(setting.kind === 'correction' ? { ledger: ledgerOf(record, setting) } : {}),
      ...(patient ? { patient } : {}),
    };
    const last = made.at(-1);
    if (!last)
      return {
        setting,
        chosen: decided,
        made: undefined,
        judged: judgeSetting(setting, undefined, undefined),
        needed: isNeeded(setting, today === undefined ? undefined : wantedOn(setting, grounds, today)),
        flags: [],
        ...more,
      };
    const { made: now, day, everyDays } = last;
    const before = made.slice(0, -1);
    const byPatient = !last.reported
      ? undefined
      : patient && isBeyond(now, patient)
        ? ('over-patient' as const)
        : patientFault(
            withHandedOver(setting, patient),
            before.at(-1) && { ...before.at(-1)!.made, day: before.at(-1)!.day },
            { ...now, day, ...(everyDays === undefined ? {} : { everyDays }) },
          );
    // a patient has a limit of its own for one change; the one for all of them holds whoever made it
    const ledger = more.ledger ?? [];
    const over = changeFault(
      last.reported ? withoutStep(setting) : setting,
      [...(ledger[0]?.what === 'turned' ? [stoodFirst(ledger[0])] : []), ...before.map((one) => one.made)],
      now,
    );
    // what a patient may change is not as it was chosen any more
    const isTheirs = last.reported && byPatient === undefined;
    const { order } = grounds;
    return {
      setting,
      chosen: decided,
      made: {
        ...now,
        entry: last.entry,
        day,
        ...(last.given ? { given: true as const } : {}),
        ...(everyDays === undefined ? {} : { everyDays }),
        ...(last.because === undefined ? {} : { because: last.because }),
      },
      judged: judgeSetting(setting, now, wantedOn(setting, grounds, day)),
      needed: true,
      flags: [
        ...(choice && !isTheirs && !sameMade(now, madeIn(choice.body))
          ? (['differs-from-chosen'] as const)
          : []),
        ...(last.found ? (['found-so'] as const) : []),
        ...(isUnderOrder(setting) && (!order || hasEnded(order.order, day))
          ? (['without-order'] as const)
          : []),
        ...(over ? [over.why] : []),
        ...(byPatient ? [byPatient] : []),
      ],
      ...more,
    };
  });
}

/** Where a correction stood before its first turn. */
const stoodFirst = ({ stands, turns }: LedgerLine): SettingMade => ({
  values: Object.fromEntries(
    Object.entries(stands).map(([place, turn]) => [
      place,
      asNumber(sumOfTurns(turn, ...turns.filter((one) => one.place === place).map(({ by }) => opposite(by)))),
    ]),
  ),
});

/** Whether a setting that nobody has made yet has to be made. */
function isNeeded(setting: Setting, wanted: Wanted | undefined): boolean {
  const mayStay =
    setting.optional === true || setting.kind === 'panel' || (setting.kind === 'fitted' && !setting.must);
  const isNothing = wanted === undefined || (wanted !== 'open' && wanted.from === 0 && wanted.to === 0);
  return !(mayStay && isNothing);
}

/** What was handed over to the patient stands in the place of what the family lets a patient do. */
const withHandedOver = (setting: Setting, patient: HandedOver | undefined): Setting =>
  patient
    ? {
        ...setting,
        patient: {
          // air goes in anew each time: how much it is, is held against the most, not against the last time
          within: setting.kind === 'fill' ? Infinity : asNumber(patient.within),
          everyDays: patient.everyDays,
        },
      }
    : setting;

/** Whether it stands further than was handed over, either way. */
const isBeyond = ({ values = {} }: SettingMade, { most }: HandedOver): boolean =>
  Object.values(values).some((value) => Math.abs(value ?? 0) > asNumber(most) + 1e-9);

const withoutStep = (setting: Setting): Setting => ({
  ...setting,
  perChange: undefined,
  ...(setting.kind === 'correction' ? { firstChange: undefined } : {}),
});

/** Where the hinge stands, as it was read last. */
export type PlacedHinge = BodyIn<typeof hingePlaced> & { entry: string; day: ClinicDay };

/** Where the hinge stands; undefined before anybody felt for the joint line. */
export function foldHinge(record: LiveRecord): PlacedHinge | undefined {
  const last = record.last(hingePlaced);
  return last && { ...last.body, entry: last.id, day: record.dayIn(last) };
}

/** The stops of the hinges, as pairs: chosen, in, and whether they agree. */
export function foldStops(record: LiveRecord, settings: readonly MadeSetting[]): StopsState {
  const one = settings.find(({ setting: { kind } }) => kind === 'stops');
  const setting = stopsSettingOf({ settings: settings.map((made) => made.setting) });
  if (!setting || !one) return { chosen: undefined, fitted: undefined, fittings: [], look: [] };
  const ofIt = ({ body }: { body: { setting: string } }) => body.setting === setting.id;
  // what does not say what is in an end is no pair of stops
  const isWhole = ({ body }: { body: Pick<Made, 'values'> }) =>
    placesAlong(setting.axes).every((hinge) => Number.isFinite(stopsAt(madeIn(body), hinge).extension));
  const fittings = record.of(settingMade).filter((entry) => ofIt(entry) && isWhole(entry));
  const choices = record.of(settingChosen).filter((entry) => ofIt(entry) && isWhole(entry));
  const [fitting, choice] = [fittings.at(-1), choices.at(-1)];
  const pairOf = (body: Made | Chosen) => {
    const [medial, lateral] = placesAlong(setting.axes).map((hinge) => stopsAt(madeIn(body), hinge));
    return { medial: medial!, lateral: lateral ?? medial! };
  };
  return {
    chosen:
      one.chosen && choice?.id === one.chosen.entry
        ? { ...one.chosen, decided: { ...one.chosen.decided, ...pairOf(one.chosen.decided) } }
        : undefined,
    fitted: fitting && {
      entry: fitting.id,
      day: record.dayIn(fitting),
      ...pairOf(fitting.body),
      // a choice that was corrected since is still the one that was carried out
      phase: choices.find(({ id }) => id === record.heldBy(fitting.body.of ?? ''))?.body.phase,
    },
    fittings: fittings.map((entry) => ({ day: record.dayIn(entry), stops: pairOf(entry.body).medial })),
    look: fitting ? lookAtBrace(fitting, pairOf(fitting.body), choice && pairOf(choice.body), one) : [],
  };
}

function lookAtBrace(
  { id }: Recorded<Made>,
  { medial, lateral }: Record<'medial' | 'lateral', HingeStops>,
  chosen: Record<'medial' | 'lateral', HingeStops> | undefined,
  { judged, flags }: MadeSetting,
): LookAtBrace[] {
  const unequal = pairProblems(medial, lateral);
  const differs =
    chosen && [...pairProblems(medial, chosen.medial), ...pairProblems(lateral, chosen.lateral)].length > 0;
  return [
    ...(differs ? [{ what: 'fitted-differs-from-chosen' as const, entry: id }] : []),
    ...(unequal.length > 0 ? [{ what: 'pair-differs' as const, entry: id, stops: unequal }] : []),
    ...(judged.state === 'wrong' && judged.why === 'outside-order'
      ? [{ what: 'outside-order' as const, entry: id }]
      : []),
    ...(flags.includes('found-so') ? [{ what: 'found-so' as const, entry: id }] : []),
  ];
}

/**
 * It is right, as chosen where a choice is to be made, and nothing about it is to be looked at. More than is allowed at once
 * has happened and is said; it is not undone by doing it again.
 */
export const isSet = ({ setting, chosen, judged, needed, flags }: MadeSetting): boolean =>
  // what is set while it goes on belongs to that step
  setting.made === 'at-step' ||
  !needed ||
  (judged.state === 'right' &&
    !flags.some((flag) => lookedAt.includes(flag)) &&
    (chosen ? stands(chosen) : !isChosenFirst(setting)));
