import { dayOf, type ClinicDay } from '../calendar';
import { isSameStep, type MeasuringStep } from '../measuring';
import {
  currentModel,
  currentProgramme,
  programmeOf,
  stepsOf,
  type BraceModel,
  type Programme,
} from '../programmes';
import type { EntryStage } from '../record';
import { askedFindings } from '../screening';
import { foreignFaults, type CaseFrame } from './belongs';
import type { AnyEntry } from './entry';
import { isTakenOver, type BodyOf, type KindName } from './kinds';
import type { CaseState } from './state';

/** An entry of another case of the same person as a new case takes it over: seen when it was seen. */
export interface TakenOver {
  kind: KindName;
  stage: EntryStage;
  observedAt: string;
  body: BodyOf<KindName>;
  from: { case: string; entry: string };
}

/** What a case that is still to be opened will be held against. */
export function frameOf(programme: Programme, model: BraceModel, side: CaseFrame['side']): CaseFrame {
  const today = currentModel(model);
  return { programme: programmeOf(currentProgramme(programme), today), model: today, side };
}

/**
 * What a new case takes over of another one of the same person: what was read and seen on a day, as far as the new brace asks
 * for the same. A reading counts where both take it in one way, from the same landmark at the same distance, whatever each
 * calls it. Findings are of the limb that was looked at: they are taken over on the same side of the same region only.
 * @param source the case that has it
 * @param to the brace of the new one
 * @param day the clinic's; what is older is read anew: a limb changes overnight
 * @param zone the clinic's
 */
export function takenOver(source: CaseState, to: CaseFrame, day: ClinicDay, zone: string): TakenOver[] {
  const [theirs, ours] = [source, to].map(({ programme, model }) => stepsOf(programme, model)) as [
    MeasuringStep[],
    MeasuringStep[],
  ];
  const sameLimb = source.programme.region === to.programme.region && source.side === to.side;
  const inPlaceOf = (id: string | undefined): string | undefined => {
    const step = theirs.find((one) => one.id === id);
    return step && ours.find((one) => isSameStep(step, one))?.id;
  };
  const bodyHere = (entry: AnyEntry): BodyOf<KindName> | undefined => {
    switch (entry.kind) {
      case 'screen.looked': {
        const asked = askedFindings(to.programme);
        const answers = entry.body.answers.filter(({ finding }) => asked.includes(finding));
        return sameLimb && answers.length > 0 ? { ...entry.body, answers } : undefined;
      }
      case 'limbs.noted':
      case 'circulation.noted':
        return entry.body;
      case 'motion.tested':
        // the motion that an order limits is tested under the order of its own case
        return withStep(entry.body, inPlaceOf(entry.body.step));
      case 'measure.read':
      case 'measure.marked':
        return withStep(entry.body, inPlaceOf(entry.body.step));
      default:
        return undefined;
    }
  };
  return source.lines.flatMap(({ entry, status, outside }): TakenOver[] => {
    if (status !== 'live' || outside || !isTakenOver(entry.kind)) return [];
    if (dayOf(entry.observedAt, zone) !== day) return [];
    const body = bodyHere(entry);
    if (!body || foreignFaults(to, { ...entry, body } as AnyEntry).length > 0) return [];
    const from = { case: source.case, entry: entry.id };
    return [{ kind: entry.kind, stage: entry.stage, observedAt: entry.observedAt, body, from }];
  });
}

const withStep = <B extends { step?: string | undefined }>(body: B, step: string | undefined) =>
  step === undefined ? undefined : { ...body, step };
