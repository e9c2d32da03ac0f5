import { may, type Role } from '../access';
import { foreignAnswer, nothingToSign } from '../checking';
import { foreignMotion, foreignPrecision, foreignReading, foreignStepOfMeasuring } from '../measuring';
import { checksOf, operationsOf, partsOf, stepsOf } from '../programmes';
import { faultAt, type EntryFault } from '../record';
import { foreignCirculation, foreignFindings, foreignLimbs } from '../screening';
import {
  foreignCorrection,
  notToHandOver,
  foreignSetting,
  foreignTurns,
  isForeignMade,
  noHinge,
  settingRoleFaults,
  turnRoleFaults,
} from '../setting';
import {
  foreignContour,
  foreignHeat,
  foreignMark,
  foreignWork,
  isForeignWork,
  isHeatUnfelt,
} from '../shaping';
import { foreignList, foreignStep, foreignTension } from '../strapping';
import type { AnyEntry } from './entry';
import type { BodyOf, KindName } from './kinds';
import type { CaseState } from './state';

/** What an entry is held against: the family and the model the case holds on to, and its side. */
export type CaseFrame = Pick<CaseState, 'programme' | 'model' | 'side'>;

/** What is none of this brace or limb, by kind of entry, as each stage says it. A kind that is absent names nothing of the brace. */
const foreign: { [K in KindName]?: (frame: CaseFrame, body: BodyOf<K>) => EntryFault[] } = {
  'screen.looked': ({ programme }, body) => foreignFindings(programme, body),
  'limbs.noted': ({ programme }) => foreignLimbs(programme.limbs),
  'circulation.noted': ({ programme }) => foreignCirculation(programme.region),
  'measure.read': ({ programme, model, side }, body) => foreignReading(stepsOf(programme, model), side, body),
  'measure.marked': ({ programme, model, side }, body) =>
    foreignStepOfMeasuring(stepsOf(programme, model), side, body),
  'measure.skipped': ({ programme, model, side }, body) =>
    foreignStepOfMeasuring(stepsOf(programme, model), side, body),
  'measure.precision': ({ programme, model }, body) => foreignPrecision(stepsOf(programme, model), body),
  'motion.tested': ({ programme, model, side }, body) =>
    foreignMotion(stepsOf(programme, model), side, programme.joint !== undefined, body),
  'set.chosen': ({ programme, model }, body) => foreignSetting(programme.settings, model, body),
  'set.made': ({ programme, model }, body) => foreignSetting(programme.settings, model, body),
  'set.turned': ({ programme }, body) => foreignTurns(programme.settings, body),
  'set.felt': ({ programme }, body) => foreignCorrection(programme.settings, body),
  'set.handed-over': ({ programme }, body) => notToHandOver(programme.settings, body),
  'hinge.placed': ({ programme, model }) => noHinge(partsOf(programme, model)),
  'work.done': ({ programme, model }, body) =>
    foreignWork(operationsOf(programme), partsOf(programme, model), model.frame, body),
  'shape.contour': ({ programme, model }, body) =>
    foreignContour(operationsOf(programme), partsOf(programme, model), body),
  'shape.bar-read': ({ programme, model }, body) =>
    foreignContour(operationsOf(programme), partsOf(programme, model), body),
  'shape.heat': ({ programme, model }, body) =>
    foreignHeat(operationsOf(programme), partsOf(programme, model), body),
  'shape.marked': ({ programme, model }, body) => foreignMark(partsOf(programme, model), body),
  'strap.begun': ({ programme }, body) => foreignList(programme.sequences, body),
  'strap.done': ({ programme }, body) => foreignStep(programme.sequences, body),
  'strap.lost': ({ programme }, body) => foreignStep(programme.sequences, body),
  'strap.tension': ({ programme, model }, body) => foreignTension(partsOf(programme, model), body),
  'check.recorded': ({ programme, model }, body) => foreignAnswer(checksOf(programme, model), body),
  'check.signed': ({ programme }) => nothingToSign(programme.checks),
};

/**
 * Why an entry is no fact of this case: it is about a step, a side, a check, a strap, a pad or a hinge that
 * this family and model do not have. What the model has is asked for by name only; whether a value suits it is
 * not asked here.
 */
export function foreignFaults(frame: CaseFrame, { kind, body }: AnyEntry): EntryFault[] {
  const faults = foreign[kind] as ((frame: CaseFrame, body: object) => EntryFault[]) | undefined;
  return faults?.(frame, body) ?? [];
}

/** Why somebody of a role does not write a fact as it is. */
export const roleFaults = (
  { programme, setting: { made } }: Pick<CaseState, 'programme' | 'setting'>,
  entry: AnyEntry,
  role: Role,
): EntryFault[] => {
  switch (entry.kind) {
    case 'set.made':
      return settingRoleFaults(programme.settings, made, entry.body, role);
    case 'set.turned':
      return turnRoleFaults(programme.settings, entry.body, role);
    case 'check.signed':
      return entry.body.inSpite && !may(role, 'screening.override')
        ? faultAt(
            'body.inSpite',
            `is an orthotist’s to decide: the role ${role} signs only where nothing is missing`,
          )
        : [];
    default:
      return [];
  }
};

/**
 * Whether a fact lies outside what the model has: a piece that is not its own, a bend its maker forbids. It
 * has happened, so it is taken, and marked.
 */
export function isOutsideModel({ programme, model }: CaseFrame, entry: AnyEntry): boolean {
  switch (entry.kind) {
    case 'set.made':
      return isForeignMade(programme.settings, model, entry.body);
    case 'work.done':
      return isForeignWork(operationsOf(programme), model.frame, entry.body);
    case 'shape.heat':
      return isHeatUnfelt(entry.body);
    default:
      return false;
  }
}
