import type { LiveRecord } from '../record';
import { limbsNoted, screenLooked, screenOverridden } from './entries';
import { judgeLimbs, type LimbsState } from './limbs';
import {
  askedFindings,
  judgeScreening,
  type Finding,
  type FindingAnswer,
  type ScreeningState,
} from './screening';

/** Movement and sensation in arms and legs, as they were noted. */
export const foldLimbs = (record: LiveRecord): LimbsState =>
  judgeLimbs(record.of(limbsNoted).map(({ id, body }) => ({ ...body, entry: id })));

/**
 * The look at the limb, with what was found otherwise: a calf measured as much thicker as the sign says, and
 * movement or sensation that there is less of than before.
 * @param ofFamily the findings that the family asks for
 * @param calf the reading by which the calf is as thick as the sign says
 */
export function foldScreening(
  record: LiveRecord,
  ofFamily: readonly Finding[],
  calf: { entry: string } | undefined,
  limbs: LimbsState,
): ScreeningState {
  const looks = record.of(screenLooked);
  const looked = looks.flatMap(({ id, body }) => body.answers.map((answer) => ({ ...answer, entry: id })));
  const isSaid = looked.findLast(({ finding }) => finding === 'calf-swollen')?.present === true;
  const found: FindingAnswer[] = [
    ...(calf && !isSaid ? [{ finding: 'calf-swollen' as const, present: true, entry: calf.entry }] : []),
    ...limbs.lost.map(({ note }) => ({
      finding: 'new-weakness-or-numbness' as const,
      present: true,
      entry: note.entry,
    })),
  ];
  return judgeScreening(
    looks.at(-1)?.body.asked === 'of-family' ? ofFamily : askedFindings(ofFamily),
    [...looked, ...found],
    record.of(screenOverridden).map(({ id, body }) => ({ ...body, entry: id })),
  );
}
