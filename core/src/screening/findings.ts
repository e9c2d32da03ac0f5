import type { FindingRule } from './screening';

/**
 * What is looked for before a brace is fitted. Signs that block send the patient to a physician at
 * once, for every region alike; the others qualify the fitting. A sign that may be known is not a new one when
 * the prescriber knows of it and ordered with it: swelling after the operation, a nerve block, an old deficit.
 * Common practice, no source.
 */
export const findings = {
  'calf-swollen': { severity: 'blocks', refer: 'physician-now', mayBeKnown: true },
  'pain-out-of-proportion': { severity: 'blocks', refer: 'physician-now' },
  'new-weakness-or-numbness': { severity: 'blocks', refer: 'physician-now', mayBeKnown: true },
  'cold-or-blue-toes': { severity: 'blocks', refer: 'physician-now' },
  'infected-wound': { severity: 'blocks', refer: 'physician-now' },
  'cold-or-blue-fingers': { severity: 'blocks', refer: 'physician-now' },
  'trouble-breathing-or-swallowing': { severity: 'blocks', refer: 'physician-now' },
  'wound-or-rash-under-brace': { severity: 'qualifies', refer: 'prescriber' },
  'allergy-to-material': { severity: 'qualifies', refer: 'prescriber' },
  'swelling-expected-to-fall': { severity: 'qualifies' },
  'not-weight-bearing': { severity: 'qualifies' },
  neuropathy: { severity: 'qualifies', refer: 'prescriber' },
  'arterial-disease': { severity: 'qualifies', refer: 'prescriber' },
  diabetes: { severity: 'qualifies' },
  stoma: { severity: 'qualifies', refer: 'prescriber' },
  pregnancy: { severity: 'qualifies' },
  'fragile-skin': { severity: 'qualifies' },
} as const satisfies Record<string, FindingRule>;
