import type { ClinicDay } from '../calendar';
import { findings } from './findings';

/** Whom to call about it. */
export const referrals = ['physician-now', 'prescriber'] as const;
export type Referral = (typeof referrals)[number];

export interface FindingRule {
  severity: 'blocks' | 'qualifies';
  refer?: Referral;
  /** the prescriber may know of it and have ordered with it: then it is not new */
  mayBeKnown?: true;
}

export type Finding = keyof typeof findings;

/** The rule of a finding: whether it blocks, whom to call, whether it may be known. */
export const findingRule = (finding: Finding): FindingRule => findings[finding];

const all = Object.keys(findings) as Finding[];

/** The signs that end a fitting, the same ones for every region. Common practice, no source. */
export const dangerSigns: readonly Finding[] = all.filter(
  (finding) => findings[finding].severity === 'blocks',
);

/** What is looked for in a family: every danger sign, whatever it asks, then what qualifies its region. */
export const askedFindings = (ofFamily: readonly Finding[]): Finding[] => [
  ...dangerSigns,
  ...ofFamily.filter((finding) => findings[finding].severity === 'qualifies'),
];

/** Who says that a sign is not new: since when it is there and the prescriber has known of it. */
export interface KnownFinding {
  by: string;
  since: ClinicDay;
}

export interface FindingAnswer {
  finding: Finding;
  present: boolean;
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
  const stopping = present.filter(isNewDanger);
  const overrideOf = (answer: FindingAnswer) =>
    overrides.findLast(({ finding, of }) => finding === answer.finding && of === answer.entry);
  const unanswered = asked.filter((finding) => !latest.has(finding));
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
        : qualifying.length + overridden.length > 0
          ? 'qualified'
          : 'clear';
  return { status, unanswered, blocking, overridden, qualifying };
}

/** A danger sign that is new or worse. One that is known and ordered with qualifies the fitting. */
function isNewDanger({ finding, known }: FindingAnswer): boolean {
  const { severity, mayBeKnown } = findingRule(finding);
  return severity === 'blocks' && !(mayBeKnown && known);
}
