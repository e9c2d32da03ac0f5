import { array } from 'yup';
import { body, day, entryId, kind, oneOf, text, yes } from '../record';
import { findings } from './findings';
import { degreesOfFunction, limbFunctions, limbs } from './limbs';
import { findingRule, type Finding } from './screening';

const finding = () => oneOf(...(Object.keys(findings) as Finding[])).required();

const answer = () =>
  body({
    finding: finding(),
    present: yes().required(),
    note: text(400),
    /** not new: who says so, and since when it is there */
    known: body({ by: text(120).min(1).required(), since: day().required() })
      .default(undefined)
      .optional(),
  }).test(
    'may-be-known',
    'can be known only where it is found, and where such a sign may be known',
    ({ finding: of, present, known }) =>
      known === undefined || (present && findingRule(of).mayBeKnown === true),
  );

export const screenLooked = {
  ...kind('screen.looked', {
    nature: 'fact',
    stages: ['screen', 'review'],
    permission: 'screening.write',
    body: body({
      answers: array().of(answer()).min(1).max(40).strict().required(),
      /** of a look of version 1: every danger sign was not asked yet, only the family's own */
      asked: oneOf('of-family'),
    }),
  }),
  v: 2,
  upcasters: [(body: object) => ({ ...body, asked: 'of-family' })],
};

const felt = () => oneOf(...degreesOfFunction).required();
const byName = <N extends string, S>(names: readonly N[], of: () => S) =>
  Object.fromEntries(names.map((name) => [name, of()])) as Record<N, S>;

/** Movement and sensation in arms and legs, for trunk and neck. */
export const limbsNoted = kind('limbs.noted', {
  nature: 'fact',
  stages: ['screen', 'check'],
  permission: 'screening.write',
  body: body({
    moment: oneOf('before', 'after').required(),
    limbs: body(byName(limbs, () => body(byName(limbFunctions, felt)))),
    note: text(400),
  }),
});

export const screenOverridden = kind('screen.overridden', {
  nature: 'decision',
  stages: ['screen'],
  permission: 'screening.override',
  body: body({ finding: finding(), of: entryId().required(), reason: text(400).min(3).required() }),
});
