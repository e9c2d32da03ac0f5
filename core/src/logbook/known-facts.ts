import type { KnownFacts } from '../brace';
import type { ClinicDay } from '../calendar';
import { checkRecorded } from '../checking';
import { orderedOn, phaseInForce, type Order, type OrderPhase } from '../order';
import type { BraceModel } from '../programmes';
import type { LiveRecord } from '../record';
import { screenLooked } from '../screening';
import type { MadeSetting } from '../setting';
import { donningBegun, strapDone } from '../strapping';

/**
 * What is known of a case, as conditions ask for it: of the order, of the look at the limb, of the model, of what is set.
 * @param day the order's phase is that of the last thing that was written
 */
export function knownFacts(
  record: LiveRecord,
  order: Order | undefined,
  day: ClinicDay,
  model: BraceModel,
  settings: readonly MadeSetting[],
): KnownFacts {
  const answers = record.of(screenLooked).flatMap(({ body }) => body.answers);
  const phase = order && phaseInForce(order, day)?.phase;
  const begun = record.last(donningBegun);
  return {
    injuries: order?.injuries,
    ordered: order
      ? { ...orderedOnce({ ...order, ...orderedOn(order, day) }), ...orderedInPhase(phase) }
      : {},
    findings: Object.fromEntries(
      // what could not be assessed is not known
      answers.flatMap(({ finding, is }) => (is === 'unable' ? [] : [[finding, is === 'present']])),
    ),
    variant: model.variant,
    settings: Object.fromEntries(
      settings.flatMap(({ setting: { id }, made, judged }) =>
        made === undefined ? [] : [[id, judged.state === 'right']],
      ),
    ),
    parts: Object.fromEntries(
      settings.flatMap(({ setting, made }) =>
        setting.kind === 'fitted' && made?.fitted !== undefined ? [[setting.part, made.fitted]] : [],
      ),
    ),
    list: begun?.body.list,
    checks: Object.fromEntries(
      record
        .of(checkRecorded)
        .flatMap(({ body: { check, seen } }) => (seen === undefined ? [] : [[check, seen]])),
    ),
    done: record
      .of(strapDone)
      .filter((entry) => record.isAfter(entry, begun))
      .map(({ body }) => body.step),
  };
}

/** What the order says, whatever the phase; what it leaves out is not known. */
function orderedOnce({ height, panels, posture, roll, relieve, protective }: Order): KnownFacts['ordered'] {
  return {
    ...(height ? { height: [height] } : {}),
    ...(panels ? { panel: panels } : {}),
    ...(posture ? { posture: [posture] } : {}),
    ...(roll ? { roll: [roll] } : {}),
    ...(relieve ? { relieve: [relieve] } : {}),
    protective: [protective ? 'yes' : 'no'],
  };
}

const orderedInPhase = (phase: OrderPhase | undefined): KnownFacts['ordered'] => ({
  ...(phase ? { motion: [phase.limits.length > 0 ? 'limited' : 'free'] } : {}),
  ...(phase?.weight ? { weight: [phase.weight] } : {}),
  ...(phase?.locks?.length ? { lock: phase.locks.map(({ when }) => when) } : {}),
});
