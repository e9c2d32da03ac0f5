import { faultAt, type EntryFault } from '../faults';
import type { Part } from '../brace';
import { type BodyIn } from '../record';
import type { Finding } from '../screening';
import { bendOf, judgeBend, type FrameLimits } from './bends';
import type { barRead, contourTaken, heatWent, pressureMarked, workDone } from './entries';
import { heatRun } from './heat-runs';
import {
  canBeDone,
  directionsOf,
  isPlaced,
  measuredOf,
  partsWorkedOn,
  waysOf,
  type Operation,
} from './operations';

type Work = BodyIn<typeof workDone>;

/** Why work is none on this brace: an operation, a part, a way or a direction that it does not have. */
export function foreignWork(
  operations: readonly Operation[],
  parts: readonly Part[],
  frame: FrameLimits | undefined,
  { operation: id, part, way, direction, amount, at }: Work,
): EntryFault[] {
  const operation = operations.find((one) => one.id === id);
  if (!operation || !canBeDone(operation, parts, frame)) return faultAt('body.operation', 'no-work');
  const on = partsWorkedOn(operation, parts);
  const worked = on.find((one) => one.id === part);
  if (!worked) return faultAt('body.part', 'one-of', { words: on.map((one) => one.id).join(', ') });
  const oneOf = (field: string, value: string | undefined, all: readonly string[]) => {
    if (all.length === 0) return value === undefined ? [] : faultAt(`body.${field}`, 'not-asked-of', { id });
    return all.includes(value ?? '') ? [] : faultAt(`body.${field}`, 'one-of', { words: all.join(', ') });
  };
  return [
    ...oneOf('way', way, waysOf(operation, worked)),
    ...oneOf('direction', direction, directionsOf(operation)),
    ...(measuredOf(operation) && amount === undefined ? faultAt('body.amount', 'needed') : []),
    ...(isPlaced(operation) && at === undefined ? faultAt('body.at', 'needed') : []),
  ];
}

/** Whether work went beyond what its maker allows: it has happened, and is marked. */
export function isForeignWork(
  operations: readonly Operation[],
  frame: FrameLimits | undefined,
  work: Work,
): boolean {
  const operation = operations.find(({ id }) => id === work.operation);
  const { least = 0, most = Infinity } = (operation && measuredOf(operation)) ?? {};
  const bend = operation?.kind === 'bend' ? bendOf(work) : undefined;
  return (
    (work.amount !== undefined && (work.amount < least || work.amount > most)) ||
    (bend !== undefined && frame !== undefined && judgeBend(bend, [], frame).length > 0)
  );
}

/** Why a contour or a reading is none on this brace: of a part that is neither bent nor formed here. */
export function foreignContour(
  operations: readonly Operation[],
  parts: readonly Part[],
  { part }: Pick<BodyIn<typeof contourTaken> | BodyIn<typeof barRead>, 'part'>,
): EntryFault[] {
  const shaped = operations
    .filter(({ kind }) => kind === 'bend' || kind === 'mould')
    .flatMap((operation) => partsWorkedOn(operation, parts));
  return shaped.some(({ id }) => id === part)
    ? []
    : faultAt('body.part', 'one-of', { words: shaped.map(({ id }) => id).join(', ') });
}

/** Why a run of heat is none on this brace: an operation, a run, a part or a stage that it does not have. */
export function foreignHeat(
  operations: readonly Operation[],
  parts: readonly Part[],
  { operation: id, run: runId, part, stage, what, of }: BodyIn<typeof heatWent>,
): EntryFault[] {
  const operation = operations.find((one) => one.id === id);
  if (operation?.kind !== 'mould' || !operation.runs?.includes(runId))
    return faultAt('body.run', 'no-heat-run');
  const on = partsWorkedOn(operation, parts);
  return [
    ...(on.some((one) => one.id === part)
      ? []
      : faultAt('body.part', 'one-of', { words: on.map((one) => one.id).join(', ') })),
    ...((what === 'begun') === (of === undefined)
      ? []
      : faultAt('body.of', what === 'begun' ? 'not-asked-of-beginning' : 'needed')),
    ...(what === 'stage' && !heatRun(runId)!.stages.some((one) => one.id === stage)
      ? faultAt('body.stage', 'one-of', {
          words: heatRun(runId)!
            .stages.map((one) => one.id)
            .join(', '),
        })
      : []),
  ];
}

/**
 * Findings with which nothing hot is formed on the body: what does not feel, is not supplied with blood or is not whole. Common
 * practice, no source.
 */
export const barsHeatOnBody: readonly Finding[] = [
  'neuropathy',
  'new-numbness',
  'new-weakness',
  'arterial-disease',
  'limb-cold',
  'pulse-weak',
  'no-pulse',
  'wound-or-rash-under-brace',
  'fragile-skin',
  'fracture-blisters',
  'infected-wound',
];

/** Heat on a body part whose sensation is impaired or was not asked: it has happened, and is marked. */
export const isHeatUnfelt = ({ run, what, feels }: BodyIn<typeof heatWent>): boolean =>
  what === 'begun' && heatRun(run)?.heated === 'on-body' && feels !== true;

/** Why a mark is none on this brace: of a part that it does not have. */
export const foreignMark = (
  parts: readonly Part[],
  { part }: Pick<BodyIn<typeof pressureMarked>, 'part'>,
): EntryFault[] =>
  parts.some(({ id }) => id === part)
    ? []
    : faultAt('body.part', 'one-of', { words: parts.map(({ id }) => id).join(', ') });
