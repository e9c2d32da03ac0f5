import { rule, type EntryFault } from '../faults';
import { array } from 'yup';
import type { Region } from '../anatomy';
import { body, day, entryId, finite, kind, oneOf, text, whole } from '../record';
import { findingNow, findingRule, findings, findingsNow, type Finding } from './asked';
import { pulses } from './circulation';
import { foreignCirculation, foreignFindings, foreignLimbs } from './faults';
import { degreesOfFunction, limbFunctions, limbs } from './limbs';
import { answersToFinding, byNerveBlock } from './screening';

const finding = () => oneOf(...findings).required();

const answer = () =>
  body({
    finding: finding(),
    is: oneOf(...answersToFinding).required(),
    note: text(400),
    /** not new: who says so, and since when it is there */
    known: body({ by: text(120).min(1).required(), since: day().required(), until: day() })
      .default(undefined)
      .optional(),
  })
    .test(
      ...rule('may-be-known'),
      ({ finding: of, is, known }) =>
        known === undefined || (is === 'present' && findingRule(of).mayBeKnown === true),
    )
    .test(
      ...rule('block-has-an-end'),
      ({ finding: of, known }) =>
        known?.until === undefined || (byNerveBlock.includes(of) && known.until >= known.since),
    );

/** An answer of version 1 and 2. */
interface AnswerBefore {
  finding: string;
  present: boolean;
  note?: string;
  known?: { by: string; since: string };
}

/** An answer by an earlier list, as it is by today's: found, it is its gravest; not found, none of it was there. */
const answersNow = ({ finding: of, present, ...more }: AnswerBefore) =>
  present
    ? [{ finding: findingNow(of), is: 'present', ...more }]
    : findingsNow(of).map((one) => ({ finding: one, is: 'absent', ...more }));

/** The last answer of each finding but that what was found once is not taken back by another name of it. */
function withoutRepeats<A extends { finding: string; is: string }>(answers: readonly A[]): A[] {
  const found = answers.filter(({ is }) => is === 'present');
  return [...new Map([...answers, ...found].map((one) => [one.finding, one])).values()];
}

export const screenLooked = {
  ...kind('screen.looked', {
    nature: 'fact',
    stages: ['screen', 'review'],
    permission: 'screening.write',
    foreign: (family: { region: Region; findings: readonly Finding[] }, body): EntryFault[] =>
      foreignFindings(family, body),
    body: body({
      answers: array().of(answer()).min(1).max(60).strict().required(),
      /** worst pain of the last day without the brace, 0 to 10; nothing where it was not asked */
      pain: whole().min(0).max(10),
      /** of a look by an earlier list: the family's own signs, or seven for everybody */
      asked: oneOf('of-family', 'seven-signs'),
    }),
  }),
  v: 3,
  upcasters: [
    (look: object) => ({ ...look, asked: 'of-family' }),
    ({ answers, asked = 'seven-signs', ...look }: { answers: AnswerBefore[]; asked?: string }) => ({
      ...look,
      answers: withoutRepeats(answers.flatMap(answersNow)),
      asked,
    }),
  ],
};

const felt = () => oneOf(...degreesOfFunction).required();
const byName = <N extends string, S>(names: readonly N[], of: () => S) =>
  Object.fromEntries(names.map((name) => [name, of()])) as Record<N, S>;

/** Movement and sensation in arms and legs, for trunk and neck. */
export const limbsNoted = kind('limbs.noted', {
  nature: 'fact',
  stages: ['screen', 'check'],
  permission: 'screening.write',
  foreign: ({ limbs: asked }: { limbs?: unknown }): EntryFault[] => foreignLimbs(asked),
  body: body({
    moment: oneOf('before', 'after').required(),
    limbs: body(byName(limbs, () => body(byName(limbFunctions, felt)))),
    note: text(400),
  }),
});

const sideCirculation = () =>
  body({ pulse: oneOf(...pulses).required(), refill: finite().min(0).max(30) }).required();

/** Pulse and refill of both sides before the brace goes on, for a limb. */
export const circulationNoted = kind('circulation.noted', {
  nature: 'fact',
  stages: ['screen', 'review'],
  permission: 'screening.write',
  foreign: ({ region }: { region: Region }): EntryFault[] => foreignCirculation(region),
  body: body({ left: sideCirculation(), right: sideCirculation(), note: text(400) }),
});

export const screenOverridden = {
  ...kind('screen.overridden', {
    nature: 'decision',
    stages: ['screen'],
    permission: 'screening.override',
    body: body({
      finding: finding(),
      of: entryId().required(),
      reason: text(400).min(3).required(),
    }),
  }),
  v: 2,
  upcasters: [
    ({ finding: of, ...more }: { finding: string }) => ({ ...more, finding: findingNow(of) as Finding }),
  ],
};
