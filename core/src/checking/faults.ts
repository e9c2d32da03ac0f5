import { may, type Role } from '../access';
import { faultAt, type BodyIn, type EntryFault } from '../record';
import { mayNotReach, momentUnder, type FitCheck } from './check';
import type { checkRecorded } from './entries';

/** Why an answer is to no check of this brace, or to none at that moment. */
export function foreignAnswer(
  checks: readonly FitCheck[],
  { check: id, moment, notReached }: BodyIn<typeof checkRecorded>,
): EntryFault[] {
  const check = checks.find((one) => one.id === id);
  if (!check) return faultAt('body.check', 'is no check of this brace');
  // where the leg bears nothing they are asked seated
  const asked = [...new Set(check.moments?.flatMap(({ is }) => [is, momentUnder(is, true)]))];
  const isAsked = moment === undefined ? asked.length === 0 : asked.includes(moment);
  return [
    ...(isAsked
      ? []
      : faultAt(
          'body.moment',
          asked.length > 0 ? `must be one of ${asked.join(', ')}` : 'is not asked of this check',
        )),
    ...(notReached && !mayNotReach(check)
      ? faultAt('body.notReached', 'is an answer to an angle at a stop only')
      : []),
  ];
}

/** Why a brace is not signed: no checks are covered for it. */
export const nothingToSign = (checks: readonly unknown[]): EntryFault[] =>
  checks.length > 0 ? [] : faultAt('kind', 'is not for this brace: no checks are covered for it');

/** Why a role does not sign over what is missing. */
export const notOverriddenBy = (role: Role, isInSpite: boolean): EntryFault[] =>
  isInSpite && !may(role, 'screening.override')
    ? faultAt(
        'body.inSpite',
        `is an orthotist’s to decide: the role ${role} signs only where nothing is missing`,
      )
    : [];
