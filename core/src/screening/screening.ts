import { findings } from './findings';

/** Whom to call about it. */
export type Referral = 'physician-now' | 'prescriber';

export interface FindingRule {
  severity: 'blocks' | 'qualifies';
  refer?: Referral;
}

export type Finding = keyof typeof findings;

export interface FindingAnswer {
  finding: Finding;
  present: boolean;
  note?: string;
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
  blocking: FindingAnswer[];
  overridden: { answer: FindingAnswer; override: Override }[];
  qualifying: FindingAnswer[];
}

/**
 * What the look at the limb means for the fitting.
 * @param asked the findings the programme asks for
 * @param answers in the order they were given; the last one for a finding counts
 * @param overrides decisions to go on in spite of a blocking finding
 */
export function judgeScreening(
  asked: readonly Finding[],
  answers: readonly FindingAnswer[],
  overrides: readonly Override[],
): ScreeningState {
  const latest = new Map(answers.map((answer) => [answer.finding, answer]));
  // a danger sign that was seen stops, whether this family asks for it or not
  const present = [...latest.values()].filter((answer) => answer.present);
  const stopping = present.filter((answer) => findings[answer.finding].severity === 'blocks');
  const overrideOf = (answer: FindingAnswer) =>
    overrides.findLast(({ finding, of }) => finding === answer.finding && of === answer.entry);
  const unanswered = asked.filter((finding) => !latest.has(finding));
  const blocking = stopping.filter((answer) => !overrideOf(answer));
  const overridden = stopping.flatMap((answer) => {
    const override = overrideOf(answer);
    return override ? [{ answer, override }] : [];
  });
  const qualifying = present.filter((answer) => findings[answer.finding].severity === 'qualifies');
  const status =
    blocking.length > 0
      ? 'blocked'
      : unanswered.length > 0
        ? 'open'
        : qualifying.length + overridden.length > 0
          ? 'qualified'
          : 'clear';
  return { status, unanswered, blocking, overridden, qualifying };
}
