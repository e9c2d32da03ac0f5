import { faultAt, type EntryFault } from '../faults';
import { may, type Role } from '../access';
import { type BodyIn } from '../record';
import { mayNotReach, momentUnder, type FitCheck } from './check';
import type { checkRecorded } from './entries';

/** Why an answer is to no check of this brace, or to none at that moment. */
export function foreignAnswer(
  checks: readonly FitCheck[],
  { check: id, moment, notReached }: BodyIn<typeof checkRecorded>,
): EntryFault[] {
  const check = checks.find((one) => one.id === id);
  if (!check) return faultAt('body.check', 'no-check');
  // where the leg bears nothing they are asked seated
  const asked = [...new Set(check.moments?.flatMap(({ is }) => [is, momentUnder(is, true)]))];
  const isAsked = moment === undefined ? asked.length === 0 : asked.includes(moment);
  return [
    ...(isAsked
      ? []
      : asked.length > 0
        ? faultAt('body.moment', 'one-of', { words: asked.join(', ') })
        : faultAt('body.moment', 'not-asked-of-check')),
    ...(notReached && !mayNotReach(check) ? faultAt('body.notReached', 'not-reached-elsewhere') : []),
  ];
}

/** Why a brace is not signed: no checks are covered for it. */
export const nothingToSign = (checks: readonly unknown[]): EntryFault[] =>
  checks.length > 0 ? [] : faultAt('kind', 'no-checks');

/** Why a role does not sign over what is missing. */
export const notOverriddenBy = (role: Role, isInSpite: boolean): EntryFault[] =>
  isInSpite && !may(role, 'screening.override') ? faultAt('body.inSpite', 'orthotist-decides', { role }) : [];
