import type { Region, Side } from '../anatomy';
import type { ClinicDay } from '../calendar';
import type { LiveRecord } from '../record';
import {
  askedBefore,
  askedFindings,
  dangerSignsOf,
  findingNow,
  isDangerSign,
  type DangerSign,
  type Finding,
} from './asked';
import { judgeCirculation, type CirculationState } from './circulation';
import { circulationNoted, limbsNoted, screenLooked, screenOverridden } from './entries';
import { judgeLimbs, type LimbsState } from './limbs';
import { judgeScreening, type FindingAnswer, type ScreeningState } from './screening';

/** The look at the limb as it stands, and what else was noted with it. */
export interface LookedState extends ScreeningState {
  /** what is asked at a look from now on: what the family asks, and danger signs that were found and are not gone */
  asked: Finding[];
  /** the last look in which every danger sign of the region was answered */
  dangerAsked: { entry: string; day: ClinicDay } | undefined;
  /** pulse and refill; nothing of trunk and neck */
  circulation: CirculationState | undefined;
  /** the pain before the brace was worn, by the first look that asked for it */
  baseline: { pain: number; entry: string; day: ClinicDay } | undefined;
}

/** Movement and sensation in arms and legs, as they were noted. */
export const foldLimbs = (record: LiveRecord): LimbsState =>
  judgeLimbs(record.of(limbsNoted).map(({ id, body }) => ({ ...body, entry: id })));

/**
 * The look at the limb, with what was found otherwise: a calf measured as much thicker as the sign says, movement or sensation
 * that there is less of than before, a pulse that is weak or gone.
 * @param family what it asks for, and of which region it is
 * @param calf the reading by which the calf is as thick as the sign says
 */
export function foldScreening(
  record: LiveRecord,
  family: { region: Region; findings: readonly Finding[] },
  side: Side,
  calf: { entry: string } | undefined,
  limbs: LimbsState,
): LookedState {
  const asked = askedFindings(family);
  const looks = record.of(screenLooked);
  const looked = looks.flatMap(({ id, body }) => body.answers.map((answer) => ({ ...answer, entry: id })));
  const lastOf = (sign: DangerSign) => looked.findLast(({ finding }) => finding === sign);
  const notes = record.of(circulationNoted).map(({ id, body }) => ({ ...body, entry: id }));
  const circulation =
    notes.length > 0 && side !== 'midline'
      ? judgeCirculation(notes, side, family.region, lastOf('limb-cold')?.is === 'present')
      : undefined;
  const found = (finding: DangerSign, entry: string): FindingAnswer[] =>
    lastOf(finding)?.is === 'present' ? [] : [{ finding, is: 'present', entry }];
  const otherwise: FindingAnswer[] = [
    ...(calf ? found('calf-swollen', calf.entry) : []),
    ...limbs.lost.map(({ note }) => ({
      finding: family.region === 'neck' ? ('limbs-worse' as const) : ('new-weakness' as const),
      is: 'present' as const,
      entry: note.entry,
    })),
    ...(circulation?.signs ?? []).flatMap((sign) => found(sign, circulation!.last!.entry)),
  ];
  const before = looks.every(({ body }) => body.asked !== undefined) ? askedThen(family, looks) : undefined;
  const judged = judgeScreening(
    asked,
    [...looked, ...otherwise],
    record.of(screenOverridden).map(({ id, body }) => ({ ...body, entry: id })),
    looks.length > 0 ? before : undefined,
  );
  const signs = dangerSignsOf(family.region);
  const last = looks.findLast(({ body }) =>
    signs.every((sign) => body.answers.some(({ finding }) => finding === sign)),
  );
  const withPain = looks.find(({ body }) => body.pain !== undefined);
  return {
    ...judged,
    asked: [
      ...new Set([
        ...asked,
        ...[...judged.blocking, ...judged.overridden.map(({ answer }) => answer), ...judged.qualifying]
          .map(({ finding }) => finding)
          .filter(isDangerSign),
      ]),
    ],
    dangerAsked: last && { entry: last.id, day: record.dayIn(last) },
    circulation,
    baseline: withPain && {
      pain: withPain.body.pain!,
      entry: withPain.id,
      day: record.dayIn(withPain),
    },
  };
}

/** What looks by an earlier list could ask for: the family's own findings, from the second list on seven signs beside them. */
const askedThen = (
  { findings: ofFamily }: { findings: readonly Finding[] },
  looks: readonly { body: { asked?: string | undefined } }[],
): Finding[] => [
  ...(ofFamily.map(findingNow) as Finding[]),
  ...(looks.at(-1)?.body.asked === 'of-family' ? [] : askedBefore),
];
