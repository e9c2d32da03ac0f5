import type { Region } from '../anatomy';
import type { FindingRule } from './danger-signs';

const prescriber = { severity: 'qualifies', refer: 'prescriber' } as const;
const qualifies = { severity: 'qualifies' } as const;

/**
 * What qualifies a fitting: asked of everybody, or of a region; what states no region a family asks for itself. Common practice,
 * no source; that bony tenderness or fewer than four steps ask for an image first is the Ottawa rule, from memory.
 */
export const qualifierRules = {
  'wound-or-rash-under-brace': prescriber,
  'allergy-to-material': prescriber,
  'swelling-expected-to-fall': qualifies,
  'not-weight-bearing': qualifies,
  neuropathy: prescriber,
  'arterial-disease': prescriber,
  diabetes: qualifies,
  lymphoedema: qualifies,
  anticoagulants: qualifies,
  'fragile-skin': qualifies,
  'drain-wire-or-fixator': prescriber,
  'fracture-blisters': prescriber,
  'cannot-report': qualifies,
  pacemaker: qualifies,
  pregnancy: qualifies,
  stoma: prescriber,
  'fixed-kyphosis': prescriber,
  'bone-not-imaged': prescriber,
} as const satisfies Record<string, FindingRule>;

/** What is asked of everybody, whatever the family says of itself. */
export const everybodysQualifiers = [
  'neuropathy',
  'arterial-disease',
  'diabetes',
  'lymphoedema',
  'anticoagulants',
  'fragile-skin',
  'drain-wire-or-fixator',
  'fracture-blisters',
  'cannot-report',
  'pacemaker',
  'pregnancy',
] as const satisfies readonly (keyof typeof qualifierRules)[];

/** What is asked of a region beside it. */
export const regionsQualifiers = {
  leg: [],
  ankle: ['bone-not-imaged'],
  trunk: ['stoma', 'fixed-kyphosis'],
  neck: ['stoma', 'fixed-kyphosis'],
  shoulder: [],
} as const satisfies Record<Region, readonly (keyof typeof qualifierRules)[]>;
