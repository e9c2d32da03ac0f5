import { rule, type EntryFault } from '../faults';
import { array } from 'yup';
import { moments } from './kind';
import { body, finite, ids, name, oneOf, text, whole, yes, kind } from '../record';
import type { FitCheck } from './check';
import { foreignAnswer, notOverriddenBy, nothingToSign } from './faults';

export const checkRecorded = kind('check.recorded', {
  nature: 'fact',
  stages: ['check'],
  permission: 'checking.write',
  foreign: ({ checks }: { checks: readonly FitCheck[] }, body): EntryFault[] => foreignAnswer(checks, body),
  body: body({
    check: name().required(),
    value: finite().min(-400).max(600),
    reference: finite().min(-400).max(600),
    seen: yes(),
    /** the joint did not come to this end */
    notReached: yes(),
    /** of a check that is answered at several moments: which */
    moment: oneOf(...moments),
  }).test(
    ...rule('answered'),
    ({ value, seen, notReached }) => value !== undefined || seen !== undefined || notReached === true,
  ),
});

/** What the patient, or who looks after the patient, was shown before the signature. */
export const shownThings = ['donning', 'removal', 'skin', 'wearing', 'care', 'trouble'] as const;
export type ShownThing = (typeof shownThings)[number];

export const checkSigned = {
  ...kind('check.signed', {
    nature: 'decision',
    stages: ['check'],
    permission: 'checking.write',
    foreign: ({ familyChecks }: { familyChecks: readonly unknown[] }): EntryFault[] =>
      nothingToSign(familyChecks),
    notByRole: (_brace: object, { inSpite }, role): EntryFault[] =>
      notOverriddenBy(role, inSpite !== undefined),
    body: body({
      result: oneOf('pass', 'fail').required(),
      note: text(400),
      madeFrom: ids(),
      programme: text(64).required(),
      engine: whole().positive().required(),
      /** checks at which the joint moves less than the order lets it, seen and told to the prescriber */
      narrower: array().of(name().required()).max(10).strict(),
      shown: array()
        .of(oneOf(...shownThings).required())
        .max(shownThings.length)
        .strict(),
      /** what was missing and may be signed over, each by its finding, and why it was */
      inSpite: body({
        of: array()
          .of(body({ kind: name().required(), about: name() }))
          .min(1)
          .max(60)
          .strict()
          .required(),
        reason: text(400).min(3).required(),
      })
        .default(undefined)
        .optional(),
    }),
  }),
  v: 3,
  upcasters: [(withoutShown: object) => withoutShown, (withoutGaps: object) => withoutGaps],
};
