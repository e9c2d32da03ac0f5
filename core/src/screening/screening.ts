import type { ClinicDay } from '../calendar';
import { findingRule, isDangerSign, type Finding } from './asked';

/** Who says that a sign is not new: since when it is there and the prescriber has known of it. */
export interface KnownFinding {
  by: string;
  since: ClinicDay;
  /** of a nerve block: the last day on which it accounts for the sign */
  until?: ClinicDay;
}

/** Signs that a nerve block accounts for while it lasts. */
export const byNerveBlock: readonly Finding[] = ['new-numbness', 'new-weakness', 'deltoid-numb'];

/** What a look says of a finding; one that is not said was not asked. */
export const answersToFinding = ['present', 'absent', 'unable'] as const;
export type AnswerToFinding = (typeof answersToFinding)[number];

export interface FindingAnswer {
  finding: Finding;
  is: AnswerToFinding;
  note?: string;
  /** not new: it qualifies instead of blocking, where such a sign may be known */
  known?: KnownFinding;
  /** the entry the answer stands in */
  entry: string;
}

export interface Override {
  finding: Finding;
  /** the entry whose finding is overridden; a later look needs a decision of its own */
  of: string;
  reason: string;
  entry: string;
}

export interface ScreeningState {
  status: 'open' | 'blocked' | 'qualified' | 'clear';
  unanswered: Finding[];
  /** what the looks so far did not ask, for they asked by an earlier list: asked at the next visit */
  notAsked: Finding[];
  /** what could not be assessed: neither there nor not there */
  unable: FindingAnswer[];
  blocking: FindingAnswer[];
  overridden: { answer: FindingAnswer; override: Override }[];
  qualifying: FindingAnswer[];
}

/**
 * What the look at the limb means for the fitting.
 * @param asked the findings the programme asks for
 * @param answers in the order they were given; the last one for a finding counts
 * @param overrides decisions to go on in spite of a blocking finding
 * @param before what the looks could ask for, where all of them asked by an earlier list
 */
export function judgeScreening(
  asked: readonly Finding[],
  answers: readonly FindingAnswer[],
  overrides: readonly Override[],
  before?: readonly Finding[],
): ScreeningState {
  const latest = new Map(answers.map((answer) => [answer.finding, answer]));
  // a danger sign that was seen stops, whether this family asks for it or not
  const present = [...latest.values()].filter(({ is }) => is === 'present');
  const stopping = present.filter(isNewDanger);
  const overrideOf = (answer: FindingAnswer) =>
    overrides.findLast(({ finding, of }) => finding === answer.finding && of === answer.entry);
  const missing = asked.filter((finding) => !latest.has(finding));
  const notAsked = missing.filter((finding) => before?.includes(finding) === false);
  const unanswered = missing.filter((finding) => !notAsked.includes(finding));
  const unable = [...latest.values()].filter(({ is }) => is === 'unable');
  const blocking = stopping.filter((answer) => !overrideOf(answer));
  const overridden = stopping.flatMap((answer) => {
    const override = overrideOf(answer);
    return override ? [{ answer, override }] : [];
  });
  const qualifying = present.filter((answer) => !isNewDanger(answer));
  const status =
    blocking.length > 0
      ? 'blocked'
      : unanswered.length > 0
        ? 'open'
        : qualifying.length + overridden.length + unable.length > 0
          ? 'qualified'
          : 'clear';
  return { status, unanswered, notAsked, unable, blocking, overridden, qualifying };
}

/** A danger sign that is new or worse. One that is known and ordered with qualifies the fitting. */
function isNewDanger({ finding, known }: FindingAnswer): boolean {
  return isDangerSign(finding) && !(findingRule(finding).mayBeKnown && known);
}
