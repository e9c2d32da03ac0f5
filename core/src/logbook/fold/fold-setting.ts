import { addDays, type ClinicDay } from '../../calendar';
import type { Order } from '../../order';
import { stopsSettingOf, type Programme } from '../../programmes';
import {
  changeFault,
  chooseSetting,
  judgeSetting,
  pairProblems,
  placesAlong,
  sameMade,
  stopsAt,
  wantedOf,
  type HingeStops,
  type Setting,
  type SettingChoice,
  type SettingMade,
  type Wanted,
  type WantedBy,
} from '../../setting';
import type { RecordedEntry } from '../entry';
import type { BodyOf } from '../kinds';
import type { LiveRecord } from './live-record';
import type { CaseState, LookAtBrace, MadeSetting } from './state';

/** What a setting is chosen and judged by. */
export type SettingGrounds = Pick<CaseState, 'sizing' | 'order' | 'model' | 'motion'>;

/** What a setting is chosen and judged by on a day. */
export const groundsOn = (
  { sizing: { chart, readings }, order, model, motion }: SettingGrounds,
  day: ClinicDay,
): WantedBy => ({
  day,
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
): SettingChoice | undefined => chooseSetting(setting, groundsOn(grounds, day));

/** How a setting stands in a body: a list of places, as a record by place. */
export const madeIn = ({ values, fitted }: Pick<BodyOf<'set.made'>, 'values' | 'fitted'>): SettingMade => ({
  ...(values ? { values: Object.fromEntries(values.map(({ place, value }) => [place, value])) } : {}),
  ...(fitted === undefined ? {} : { fitted }),
});

/** A setting as it stands in a body: a list of its places. */
export const bodyOfMade = ({
  values,
  fitted,
}: SettingMade): Pick<BodyOf<'set.made'>, 'values' | 'fitted'> => ({
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
  { settings }: Programme,
  grounds: SettingGrounds,
): CaseState['setting']['made'] {
  const chosen = record.of('set.chosen');
  const entries = record.of('set.made');
  return settings.map((setting): MadeSetting => {
    const ofIt = ({ body }: { body: { setting: string } }) => body.setting === setting.id;
    const made = entries.filter(ofIt);
    const choice = chosen.findLast(ofIt);
    const decided = record.decided(choice, (body) => {
      const phaseDay = beginOf(grounds.order?.order, body.phase);
      // a phase that the order has no more
      if (body.phase !== undefined && phaseDay === undefined) return true;
      const again = choiceOn(setting, grounds, phaseDay ?? record.dayIn(choice!));
      return !again?.ok || !sameMade(again.made, madeIn(body));
    });
    const last = made.at(-1);
    if (!last)
      return {
        setting,
        chosen: decided,
        made: undefined,
        judged: judgeSetting(setting, undefined, undefined),
        flags: [],
      };
    const now = madeIn(last.body);
    const day = record.dayIn(last);
    const over = changeFault(
      setting,
      made.slice(0, -1).map(({ body }) => madeIn(body)),
      now,
    );
    return {
      setting,
      chosen: decided,
      made: { ...now, entry: last.id, day },
      judged: judgeSetting(setting, now, wantedOn(setting, grounds, day)),
      flags: [
        ...(choice && !sameMade(now, madeIn(choice.body)) ? (['differs-from-chosen'] as const) : []),
        ...(last.body.found ? (['found-so'] as const) : []),
        ...(over ? [over.why] : []),
      ],
    };
  });
}

/** The stops of the hinges, as pairs: chosen, in, and whether they agree. */
export function foldStops(
  record: LiveRecord,
  programme: Programme,
  settings: readonly MadeSetting[],
): Omit<CaseState['setting'], 'made'> {
  const setting = stopsSettingOf(programme);
  const one = settings.find(({ setting: { kind } }) => kind === 'stops');
  if (!setting || !one) return { chosen: undefined, fitted: undefined, fittings: [], look: [] };
  const ofIt = ({ body }: { body: { setting: string } }) => body.setting === setting.id;
  // what does not say what is in an end is no pair of stops
  const isWhole = ({ body }: { body: Pick<BodyOf<'set.made'>, 'values'> }) =>
    placesAlong(setting.axes).every((hinge) => Number.isFinite(stopsAt(madeIn(body), hinge).extension));
  const fittings = record.of('set.made').filter((entry) => ofIt(entry) && isWhole(entry));
  const choices = record.of('set.chosen').filter((entry) => ofIt(entry) && isWhole(entry));
  const [fitting, choice] = [fittings.at(-1), choices.at(-1)];
  const pairOf = (body: BodyOf<'set.made'> | BodyOf<'set.chosen'>) => {
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
  { id }: RecordedEntry<'set.made'>,
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
