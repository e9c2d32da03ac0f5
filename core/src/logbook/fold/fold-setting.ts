import type { ClinicDay } from '../../calendar';
import { windowOn, type MotionWindow, type Order } from '../../order';
import type { BraceModel, Programme } from '../../programmes';
import { chooseStops, pairProblems, type HingeStops } from '../../setting';
import type { RecordedEntry } from '../entry';
import type { BodyOf } from '../kinds/all';
import type { LiveRecord } from './live-record';
import type { CaseState, LookAtBrace } from './state';

/** The stops chosen, the stops in the hinges, and whether they agree. */
export function foldSetting(
  record: LiveRecord,
  order: Order | undefined,
  motion: BodyOf<'motion.tested'> | undefined,
  programme: Programme,
  model: BraceModel,
): CaseState['setting'] {
  const joint = motion && { from: -motion.extension || 0, to: motion.flexion };
  const choices = record.of('set.stops-chosen');
  const fittings = record.of('set.stops-fitted');
  const [choice, fitting] = [choices.at(-1), fittings.at(-1)];
  return {
    chosen: record.decided(choice, ({ phase, medial }) => {
      const window = order?.phases[phase]?.window;
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
    look: fitting ? lookAtBrace(fitting, choice, order, record.dayIn(fitting)) : [],
  };
}

function lookAtBrace(
  { id, body: { medial, lateral } }: RecordedEntry<'set.stops-fitted'>,
  chosen: RecordedEntry<'set.stops-chosen'> | undefined,
  order: Order | undefined,
  day: ClinicDay,
): LookAtBrace[] {
  const window = (order && windowOn(order, day)?.window) ?? {};
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
