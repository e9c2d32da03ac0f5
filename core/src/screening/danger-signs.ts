import type { Region } from '../anatomy';

/** Whom to call about what was found, the most urgent first. */
export const referrals = ['emergency', 'physician-now', 'prescriber', 'foot-team'] as const;
export type Referral = (typeof referrals)[number];

export interface FindingRule {
  severity: 'blocks' | 'qualifies';
  refer?: Referral;
  /** the prescriber may know of it and have ordered with it: then it is not new */
  mayBeKnown?: true;
  /** where it is asked; without it, everywhere */
  regions?: readonly Region[];
}

const known = { mayBeKnown: true } as const;
const emergency = { severity: 'blocks', refer: 'emergency' } as const;
const physicianNow = { severity: 'blocks', refer: 'physician-now' } as const;
const today = { severity: 'blocks', refer: 'prescriber' } as const;
const leg = { regions: ['leg', 'ankle'] } as const;
const trunk = { regions: ['trunk'] } as const;
const neck = { regions: ['neck'] } as const;
const arm = { regions: ['shoulder'] } as const;

/**
 * The signs that end a fitting, by region, the most urgent first. One that may be known is not new where the prescriber knows
 * of it and ordered with it: a treated wound, a breathing disease, a nerve block, an old deficit, a calf that was scanned.
 * Common practice, no source.
 */
export const dangerRules = {
  'pain-out-of-proportion': emergency,
  'limb-cold': emergency,
  'new-weakness': { ...emergency, ...known },
  'infection-with-fever': emergency,
  'chest-pain': { ...emergency, regions: ['leg', 'ankle', 'trunk'] },
  breathless: { ...emergency, ...known, regions: ['leg', 'ankle', 'trunk'] },
  'foot-drop-with-pain': { ...emergency, ...leg },
  'no-pulse': { ...emergency, ...leg },
  'saddle-numbness': { ...emergency, ...trunk },
  'bladder-or-bowel': { ...emergency, ...trunk },
  'both-legs': { ...emergency, ...trunk },
  'trouble-breathing-or-swallowing': { ...emergency, ...neck },
  'cord-signs': { ...emergency, ...neck },
  'dizzy-or-double': { ...emergency, ...neck },
  'drowsy-after-head-injury': { ...emergency, ...neck },
  'limbs-worse': { ...emergency, ...neck },
  'hand-without-pulse': { ...emergency, ...arm },
  'calf-swollen': { ...physicianNow, ...known, ...leg },
  'new-numbness': { ...today, ...known },
  'infected-wound': { ...today, ...known },
  'pulse-weak': today,
  'calf-tender': { ...today, ...known, ...leg },
  'new-swelling-with-risk': { ...today, ...known, ...leg },
  'belly-swollen': { ...today, ...trunk },
  'red-flags': { ...today, ...trunk },
  'deltoid-numb': { ...today, ...known, ...arm },
  'hand-not-normal': { ...today, ...arm },
  'hot-foot-with-neuropathy': { severity: 'blocks', refer: 'foot-team', ...leg },
} as const satisfies Record<string, FindingRule>;
