import { type ClinicDay } from '../../calendar';
import { windowOf, windowOn, type MotionWindow, type Order } from '../../order';
import { limitedMotion, type BraceModel, type Programme } from '../../programmes';
import {
  chooseStops,
  judgeSetting,
  pairProblems,
  wantedOf,
  type HingeStops,
  type Setting,
  type Wanted,
} from '../../setting';
import type { RecordedEntry } from '../entry';
import type { BodyOf } from '../kinds/all';
import type { LiveRecord } from './live-record';
import type { CaseState, LookAtBrace, MadeSetting } from './state';

/** The stops chosen, the stops in the hinges, and whether they agree. */
export function foldSetting(
  record: LiveRecord,
  order: Order | undefined,
  motion: BodyOf<'motion.tested'> | undefined,
  programme: Programme,
  model: BraceModel,
): Omit<CaseState['setting'], 'made'> {
  const joint = motion && { from: -motion.extension || 0, to: motion.flexion };
  const choices = record.of('set.stops-chosen');
  const fittings = record.of('set.stops-fitted');
  const [choice, fitting] = [choices.at(-1), fittings.at(-1)];
  return {
    chosen: record.decided(choice, ({ phase, medial }) => {
      const limited = limitedMotion(programme);
      const limits = order?.phases[phase]?.limits;
      const window = limited && limits && windowOf(limits, limited);
      const { stops } = programme;
      const again = window && stops && model.hinge && chooseStops(window, model.hinge, stops, joint);
      return !again?.ok || pairProblems(again.stops, medial).length > 0;
    }),
    fitted: fitting && {
      entry: fitting.id,
      day: record.dayIn(fitting),
      medial: fitting.body.medial,
      lateral: fitting.body.lateral,
      // a choice that was corrected since is still the one that was carried out
      phase: choices.find(({ id }) => id === record.heldBy(fitting.body.of ?? ''))?.body.phase,
    },
    fittings: fittings.map((entry) => ({ day: record.dayIn(entry), stops: entry.body.medial })),
    look: fitting ? lookAtBrace(fitting, choice, programme, order, record.dayIn(fitting)) : [],
  };
}

/** What a setting of a case should be on a day. */
export const wantedOn = (
  setting: Setting,
  { sizing: { chart, readings }, order, model }: Pick<CaseState, 'sizing' | 'order' | 'model'>,
  day: ClinicDay,
): Wanted | undefined =>
  wantedOf(setting, { day, order: order?.order, chart, readings, hardware: model.hinge });

/** Each setting as it was last made, judged by what was wanted of it on that day. */
export function foldSettings(
  record: LiveRecord,
  { settings }: Programme,
  state: Pick<CaseState, 'sizing' | 'order' | 'model'>,
): CaseState['setting']['made'] {
  const entries = record.of('set.made');
  return settings.map((setting): MadeSetting => {
    const last = entries.findLast(({ body }) => body.setting === setting.id);
    if (!last) return { setting, made: undefined, judged: judgeSetting(setting, undefined, undefined) };
    const { values, fitted } = last.body;
    const made = {
      ...(values ? { values: Object.fromEntries(values.map(({ place, value }) => [place, value])) } : {}),
      ...(fitted === undefined ? {} : { fitted }),
    };
    const day = record.dayIn(last);
    return {
      setting,
      made: { ...made, entry: last.id, day },
      judged: judgeSetting(setting, made, wantedOn(setting, state, day)),
    };
  });
}

function lookAtBrace(
  { id, body: { medial, lateral } }: RecordedEntry<'set.stops-fitted'>,
  chosen: RecordedEntry<'set.stops-chosen'> | undefined,
  programme: Programme,
  order: Order | undefined,
  day: ClinicDay,
): LookAtBrace[] {
  const window = (order && windowOn(order, day, limitedMotion(programme))?.window) ?? {};
  const unequal = pairProblems(medial, lateral);
  const differs =
    chosen &&
    [...pairProblems(medial, chosen.body.medial), ...pairProblems(lateral, chosen.body.lateral)].length > 0;
  return [
    ...(differs ? [{ what: 'fitted-differs-from-chosen' as const, entry: id }] : []),
    ...(unequal.length > 0 ? [{ what: 'pair-differs' as const, entry: id, stops: unequal }] : []),
    ...([medial, lateral].some((stops) => isOutside(stops, window))
      ? [{ what: 'outside-order' as const, entry: id }]
      : []),
  ];
}

const isOutside = ({ extension, flexion }: HingeStops, window: MotionWindow): boolean =>
  (window.extension !== undefined && extension < window.extension) ||
  (window.flexion !== undefined && (flexion === null || flexion > window.flexion));
