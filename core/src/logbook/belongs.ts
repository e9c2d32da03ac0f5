import { may, type Role } from '../access';
import { sidesFrom, type Side } from '../anatomy';
import { isOfPerson, readingBounds, unitOf } from '../measuring';
import { checksOf, operationsOf, partsOf, stepsOf, type BraceModel } from '../programmes';
import { mayNotReach } from '../checking';
import {
  bendOf,
  canBeDone,
  directionsOf,
  isPlaced,
  judgeBend,
  measuredOf,
  partsWorkedOn,
  waysOf,
} from '../shaping';
import { askedFindings } from '../screening';
import {
  existingAt,
  isOnHinge,
  isWhole,
  mayBeEmpty,
  mayBeInOrOut,
  placesOf,
  sameMade,
  type Setting,
} from '../setting';
import type { AnyEntry, EntryFault } from './entry';
import { madeIn } from './fold/fold-setting';
import { stands } from './fold/stage-states';
import type { CaseState } from './fold/state';
import type { BodyOf } from './kinds';

/** What an entry is held against: the family and the model the case holds on to, and its side. */
export type CaseFrame = Pick<CaseState, 'programme' | 'model' | 'side'>;

/**
 * Why an entry is no fact of this case: it is about a step, a side, a check, a strap, a pad or a hinge that
 * this family and model do not have. What the model has is asked for by name only; whether a value suits it is
 * not asked here.
 */
export function foreignFaults(frame: CaseFrame, entry: AnyEntry): EntryFault[] {
  const { programme, model, side: braced } = frame;
  const isOther = (at: string, message: string): EntryFault[] => [{ at, message }];
  const stepFaults = (id: string, side: Side): EntryFault[] => {
    const step = stepsOf(programme, model).find((one) => one.id === id);
    if (!step) return isOther('body.step', 'is no measuring step of this family and model');
    const taken: readonly Side[] = isOfPerson(step) ? ['midline'] : sidesFrom(braced);
    return taken.includes(side)
      ? []
      : isOther('body.side', `must be ${taken.join(' or ')} for ${id} in this case`);
  };
  switch (entry.kind) {
    case 'screen.looked':
      return entry.body.answers.flatMap(({ finding }, i) =>
        askedFindings(programme.findings).includes(finding)
          ? []
          : isOther(`body.answers[${i}].finding`, 'is not looked for in this family'),
      );
    case 'limbs.noted':
      return programme.limbs === undefined
        ? isOther('kind', 'is not noted in this family: movement and sensation are for trunk and neck')
        : [];
    case 'measure.read': {
      const step = stepsOf(programme, model).find(({ id }) => id === entry.body.step);
      const { least, most } = step ? readingBounds(step) : { least: -Infinity, most: Infinity };
      return [
        ...stepFaults(entry.body.step, entry.body.side),
        ...(entry.body.value < least || entry.body.value > most
          ? isOther('body.value', `must be from ${least} to ${most} ${unitOf(step!)}`)
          : []),
      ];
    }
    case 'measure.marked':
    case 'measure.skipped':
      return stepFaults(entry.body.step, entry.body.side);
    case 'measure.precision':
      return stepsOf(programme, model).some(({ id }) => id === entry.body.step)
        ? []
        : isOther('body.step', 'is no measuring step of this family and model');
    case 'motion.tested': {
      const { step, side } = entry.body;
      if (step !== undefined) return stepFaults(step, side);
      if (programme.joint === undefined) return isOther('body.step', 'is required: which motion was tested');
      return sidesFrom(braced).includes(side)
        ? []
        : isOther('body.side', `must be ${sidesFrom(braced).join(' or ')} in this case`);
    }
    case 'set.chosen':
    case 'set.made': {
      const { setting: id, values, fitted } = entry.body;
      const setting = programme.settings.find((one) => one.id === id);
      if (!setting) return isOther('body.setting', 'is no setting of this brace');
      const inOrOut = mayBeInOrOut(setting);
      if (fitted !== undefined && !inOrOut.includes(fitted)) return isOther('body', 'must carry numbers');
      if (values !== undefined && placesOf(setting).length === 0)
        return isOther('body', 'must say whether the part is in');
      const places = (values ?? []).map(({ place }) => place);
      return [
        ...places.flatMap((place, i) =>
          !placesOf(setting).includes(place) || places.indexOf(place) < i
            ? isOther(`body.values[${i}].place`, `must be one of ${placesOf(setting).join(', ')}, each once`)
            : [],
        ),
        ...(values ?? []).flatMap(({ value }, i) =>
          value === null
            ? mayBeEmpty(setting, places[i]!)
              ? []
              : isOther(`body.values[${i}].value`, 'must be a number: something is in here')
            : isWhole(setting) && !Number.isInteger(value)
              ? isOther(`body.values[${i}].value`, 'must be a whole number')
              : [],
        ),
        // where a place may be without a piece, every one of them is said
        ...(values &&
        placesOf(setting).some((place) => mayBeEmpty(setting, place)) &&
        new Set(places).size < placesOf(setting).length
          ? isOther('body.values', `must say of each place what is in: ${placesOf(setting).join(', ')}`)
          : []),
        ...(isOnHinge(setting) && !model.hinge
          ? isOther('kind', 'is not for this brace: it has no hinge stops')
          : []),
      ];
    }
    case 'work.done': {
      const { operation: id, part, way, direction, amount, at } = entry.body;
      const operation = operationsOf(programme).find((one) => one.id === id);
      const parts = partsOf(programme, model);
      if (!operation || !canBeDone(operation, parts, model.frame))
        return isOther('body.operation', 'is no work on this brace');
      const on = partsWorkedOn(operation, parts);
      const worked = on.find((one) => one.id === part);
      if (!worked) return isOther('body.part', `must be one of ${on.map((one) => one.id).join(', ')}`);
      const [ways, directions] = [waysOf(operation, worked), directionsOf(operation)];
      const oneOf = (field: string, value: string | undefined, all: readonly string[]) =>
        all.length === 0
          ? value === undefined
            ? []
            : isOther(`body.${field}`, `is not asked of ${id}`)
          : all.includes(value ?? '')
            ? []
            : isOther(`body.${field}`, `must be one of ${all.join(', ')}`);
      return [
        ...oneOf('way', way, ways),
        ...oneOf('direction', direction, directions),
        ...(measuredOf(operation) && amount === undefined ? isOther('body.amount', 'is required') : []),
        ...(isPlaced(operation) && at === undefined ? isOther('body.at', 'is required') : []),
      ];
    }
    case 'strap.begun': {
      const lists = programme.sequences.filter(({ purpose }) => purpose === 'first-donning');
      if (lists.length === 0)
        return isOther('kind', 'is not for this brace: no putting-on sequence is covered for it');
      const { list } = entry.body;
      return list === undefined || lists.some(({ id }) => id === list)
        ? []
        : isOther('body.list', 'is no list by which this brace is put on');
    }
    case 'strap.done':
      return programme.sequences.some(({ steps }) => steps.some(({ id }) => id === entry.body.step))
        ? []
        : isOther('body.step', 'is no step of this brace’s sequence');
    case 'check.recorded': {
      const { check: id, moment, notReached } = entry.body;
      const check = checksOf(programme, model).find((one) => one.id === id);
      if (!check) return isOther('body.check', 'is no check of this brace');
      const asked = check.moments?.map(({ is }) => is) ?? [];
      return [
        ...((moment === undefined ? asked.length === 0 : asked.includes(moment))
          ? []
          : isOther(
              'body.moment',
              asked.length > 0 ? `must be one of ${asked.join(', ')}` : 'is not asked of this check',
            )),
        ...(notReached && !mayNotReach(check)
          ? isOther('body.notReached', 'is an answer to an angle at a stop only')
          : []),
      ];
    }
    case 'check.signed':
      return programme.checks.length > 0
        ? []
        : isOther('kind', 'is not for this brace: no checks are covered for it');
    default:
      return [];
  }
}

/** Of the numbers of a setting, those that the model's hardware does not have. */
export const foreignValues = (
  setting: Setting,
  { hinge }: Pick<BraceModel, 'hinge'>,
  values: NonNullable<BodyOf<'set.made'>['values']>,
): EntryFault[] =>
  values.flatMap(({ place, value }, i) => {
    const existing = existingAt(setting, place, hinge);
    return value === null || existing === undefined || existing.includes(value)
      ? []
      : [
          {
            at: `body.values[${i}].value`,
            message: `is nothing that this brace has, which has ${existing.join(', ')}`,
          },
        ];
  });

/**
 * Why somebody of a role does not write a fact as it is: what is an orthotist's work is made by others just as it was chosen;
 * anything else of it is recorded from anybody, as found.
 */
export function roleFaults(
  { programme, setting: { made } }: Pick<CaseState, 'programme' | 'setting'>,
  entry: AnyEntry,
  role: Role,
): EntryFault[] {
  if (entry.kind !== 'set.made' || may(role, 'setting.write') || entry.body.found) return [];
  const setting = programme.settings.find(({ id }) => id === entry.body.setting);
  const chosen = made.find((one) => one.setting.id === setting?.id)?.chosen;
  const isAsChosen =
    chosen !== undefined &&
    stands(chosen) &&
    entry.body.of === chosen.entry &&
    sameMade(madeIn(entry.body), madeIn(chosen.decided));
  return setting?.by === 'orthotist' && !isAsChosen
    ? [
        {
          at: 'body.found',
          message: `must be true: the role ${role} does not set this; it is recorded as found`,
        },
      ]
    : [];
}

/**
 * Whether a fact lies outside what the model has: a piece that is not its own, a bend its maker forbids. It
 * has happened, so it is taken, and marked.
 */
export function isOutsideModel({ programme, model }: CaseFrame, entry: AnyEntry): boolean {
  if (entry.kind === 'set.made') {
    const setting = programme.settings.find(({ id }) => id === entry.body.setting);
    return setting !== undefined && foreignValues(setting, model, entry.body.values ?? []).length > 0;
  }
  if (entry.kind === 'work.done') {
    const bend = bendOf(entry.body);
    const { amount } = entry.body;
    const operation = operationsOf(programme).find(({ id }) => id === entry.body.operation);
    const { least = 0, most = Infinity } = (operation && measuredOf(operation)) ?? {};
    return (
      (amount !== undefined && (amount < least || amount > most)) ||
      (operation?.kind === 'bend' &&
        bend !== undefined &&
        model.frame !== undefined &&
        judgeBend(bend, [], model.frame).length > 0)
    );
  }
  return false;
}
