import type { Region } from '../anatomy';
import { dangerRules, type FindingRule } from './danger-signs';
import { everybodysQualifiers, qualifierRules, regionsQualifiers } from './qualifiers';

const rules = { ...dangerRules, ...qualifierRules };

export type DangerSign = keyof typeof dangerRules;
export type Finding = keyof typeof rules;

/** Every finding that a look may name. */
export const findings = Object.keys(rules) as Finding[];

/** The rule of a finding: whether it blocks, whom to call, where it is asked, whether it may be known. */
export const findingRule = (finding: Finding): FindingRule => rules[finding];

export const isDangerSign = (finding: Finding): finding is DangerSign => finding in dangerRules;

/** The signs that end a fitting in a region, the most urgent first. */
export const dangerSignsOf = (region: Region): DangerSign[] =>
  (Object.keys(dangerRules) as DangerSign[]).filter(
    (sign) => findingRule(sign).regions?.includes(region) ?? true,
  );

/** What is looked for: the danger signs of the region, whatever the family asks, then what qualifies the fitting there. */
export const askedFindings = ({
  region,
  findings: ofFamily,
}: {
  region: Region;
  findings: readonly Finding[];
}): Finding[] => [
  ...dangerSignsOf(region),
  ...new Set<Finding>([
    ...ofFamily.filter((finding) => finding in qualifierRules),
    ...everybodysQualifiers,
    ...regionsQualifiers[region],
  ]),
];

/**
 * Findings of looks that asked in fewer words, and what they are today. Found, an old one is the gravest of its own; not found,
 * none of them was.
 */
const formerFindings: Readonly<Record<string, readonly [DangerSign, ...DangerSign[]]>> = {
  'new-weakness-or-numbness': ['new-weakness', 'new-numbness'],
  'cold-or-blue-toes': ['limb-cold'],
  'cold-or-blue-fingers': ['limb-cold'],
};

/** Names of findings that are asked no more; families of before state them. */
export const formerFindingNames = Object.keys(formerFindings);

/** What a finding that was found is called today. */
export const findingNow = (name: string): string => formerFindings[name]?.[0] ?? name;

/** What a finding that was asked for is today: the one, or several. */
export const findingsNow = (name: string): string[] => [...(formerFindings[name] ?? [name])];

/** The signs that every family asked for before they were asked by region. */
export const askedBefore: readonly Finding[] = [
  'calf-swollen',
  'pain-out-of-proportion',
  'new-weakness',
  'limb-cold',
  'infected-wound',
  'trouble-breathing-or-swallowing',
];
