import { regionNames, type Region } from '../anatomy';
import { askedFindings, dangerSignsOf, findingRule, findings, isDangerSign, type Finding } from './asked';
import { judgeScreening, type AnswerToFinding, type FindingAnswer } from './screening';

const asked = findings;
const all = (present: Finding[], entry = 'look-1'): FindingAnswer[] =>
  asked.map((finding) => ({ finding, is: present.includes(finding) ? 'present' : 'absent', entry }));
const one = (finding: Finding, is: AnswerToFinding = 'present', entry = 'look-1'): FindingAnswer => ({
  finding,
  is,
  entry,
});

test('what was not asked is open, never skipped silently', () => {
  const state = judgeScreening(asked, all([]).slice(1), []);
  expect(state.status).toBe('open');
  expect(state.unanswered).toEqual([asked[0]]);
});

test('nothing found is clear; a qualifying finding qualifies', () => {
  expect(judgeScreening(asked, all([]), []).status).toBe('clear');
  expect(judgeScreening(asked, all(['diabetes']), []).status).toBe('qualified');
});

/*
 * The danger signs by region and level, written down once more by hand. Common practice, no source.
 */
const everywhere = {
  emergency: ['pain-out-of-proportion', 'limb-cold', 'new-weakness', 'infection-with-fever'],
  prescriber: ['new-numbness', 'infected-wound', 'pulse-weak'],
};
const ofLeg = {
  emergency: ['chest-pain', 'breathless', 'foot-drop-with-pain', 'no-pulse'],
  'physician-now': ['calf-swollen'],
  prescriber: ['calf-tender', 'new-swelling-with-risk'],
  'foot-team': ['hot-foot-with-neuropathy'],
};
const table: Record<Region, Partial<Record<string, string[]>>> = {
  leg: ofLeg,
  ankle: ofLeg,
  trunk: {
    emergency: ['chest-pain', 'breathless', 'saddle-numbness', 'bladder-or-bowel', 'both-legs'],
    prescriber: ['belly-swollen', 'red-flags'],
  },
  neck: {
    emergency: [
      'trouble-breathing-or-swallowing',
      'cord-signs',
      'dizzy-or-double',
      'drowsy-after-head-injury',
      'limbs-worse',
    ],
  },
  shoulder: { emergency: ['hand-without-pulse'], prescriber: ['deltoid-numb', 'hand-not-normal'] },
};

describe.each(regionNames)('%s', (region) => {
  test.each(['emergency', 'physician-now', 'prescriber', 'foot-team'] as const)(
    'every danger sign of the table is asked at its level: %s',
    (level) => {
      const expected = [
        ...((everywhere as Record<string, string[]>)[level] ?? []),
        ...(table[region][level] ?? []),
      ];
      expect(
        dangerSignsOf(region)
          .filter((sign) => findingRule(sign).refer === level)
          .sort((a, b) => a.localeCompare(b)),
      ).toEqual(expected.sort((a, b) => a.localeCompare(b)));
    },
  );

  test('each of its danger signs ends the fitting, even before the rest is asked', () => {
    for (const sign of dangerSignsOf(region))
      expect(judgeScreening(asked, [one(sign)], []).status).toBe('blocked');
  });
});

test('what qualifies a fitting is asked of everybody, what is a region’s of its region', () => {
  const of = (region: Region) => askedFindings({ region, findings: ['not-weight-bearing', 'diabetes'] });
  const everybody = [
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
  ];
  for (const region of regionNames) expect(of(region)).toEqual(expect.arrayContaining(everybody));
  expect(of('ankle')).toContain('bone-not-imaged');
  expect(of('leg')).not.toContain('bone-not-imaged');
  expect(of('neck')).toEqual(expect.arrayContaining(['stoma', 'fixed-kyphosis']));
  expect(of('shoulder')).not.toContain('fixed-kyphosis');
  expect(of('leg')).toContain('not-weight-bearing');
  // each once, whoever asks for it
  expect(new Set(of('leg')).size).toBe(of('leg').length);
});

test('an override holds for the look it was made for, not for a later one', () => {
  const override = {
    finding: 'infected-wound',
    of: 'look-1',
    reason: 'seen by ward, dry',
    entry: 'over-1',
  } as const;
  expect(judgeScreening(asked, all(['infected-wound']), [override]).status).toBe('qualified');
  expect(
    judgeScreening(asked, [...all(['infected-wound']), ...all(['infected-wound'], 'look-2')], [override])
      .status,
  ).toBe('blocked');
});

test('an override is of one finding: another one of the same look stops all the same', () => {
  const override = { finding: 'infected-wound', of: 'look-1', reason: 'dry', entry: 'over-1' } as const;
  const answers = all(['infected-wound', 'limb-cold', 'diabetes']);
  const answer = (finding: Finding) => answers.find((found) => found.finding === finding)!;
  const state = judgeScreening(asked, answers, [override]);
  expect(state).toEqual({
    status: 'blocked',
    unanswered: [],
    notAsked: [],
    unable: [],
    blocking: [answer('limb-cold')],
    overridden: [{ answer: answer('infected-wound'), override }],
    qualifying: [answer('diabetes')],
  });
  expect(judgeScreening(asked, answers, []).overridden).toEqual([]);
});

test('the last answer counts', () =>
  expect(judgeScreening(asked, [...all(['limb-cold']), ...all([], 'look-2')], []).status).toBe('clear'));

// common practice, no source: danger signs stop whatever a family asks
test('a danger sign that was seen stops though this family does not ask for it', () => {
  const state = judgeScreening(
    ['stoma'],
    [one('stoma', 'absent'), one('trouble-breathing-or-swallowing')],
    [],
  );
  expect(state.status).toBe('blocked');
  expect(state.blocking.map(({ finding }) => finding)).toEqual(['trouble-breathing-or-swallowing']);
});

test('a sign that could not be assessed is neither there nor not there', () => {
  const state = judgeScreening(asked, [...all([]), one('pulse-weak', 'unable', 'look-2')], []);
  expect(state.status).toBe('qualified');
  expect(state.unable).toEqual([one('pulse-weak', 'unable', 'look-2')]);
  expect(state.blocking).toEqual([]);
});

test('what an earlier list did not ask is not asked; what it left out of its own is open', () => {
  const state = judgeScreening(
    ['limb-cold', 'chest-pain', 'diabetes'],
    [one('diabetes', 'absent')],
    [],
    ['limb-cold', 'diabetes'],
  );
  expect(state).toMatchObject({ status: 'open', unanswered: ['limb-cold'], notAsked: ['chest-pain'] });
});

// common practice, no source: swelling after the operation, a nerve block, an old deficit
test('what the prescriber knows of qualifies; the same sign new or worse blocks', () => {
  const known = { by: 'Dr Elva Nogueira', since: '2026-11-07' };
  const block: FindingAnswer = { ...one('new-weakness'), known };
  const state = judgeScreening(asked, [...all([]), block], []);
  expect(state).toMatchObject({ status: 'qualified', blocking: [], qualifying: [block] });
  expect(
    judgeScreening(asked, [...all([]), block, one('new-weakness', 'present', 'look-2')], []).status,
  ).toBe('blocked');
});

/** A treated wound, a breathing disease, a block or an old deficit, a scanned calf; nothing else. Common practice, no source. */
const mayBeKnown = [
  'infected-wound',
  'breathless',
  'new-weakness',
  'new-numbness',
  'deltoid-numb',
  'calf-swollen',
  'calf-tender',
  'new-swelling-with-risk',
];
test.each(findings.filter(isDangerSign))('%s is known only where it may be', (finding) => {
  const answer = { ...one(finding), known: { by: 'ward 3', since: '2026-11-07' } };
  expect(judgeScreening(asked, [...all([]), answer], []).status).toBe(
    mayBeKnown.includes(finding) ? 'qualified' : 'blocked',
  );
});
