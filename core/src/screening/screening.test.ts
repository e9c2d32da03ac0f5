import { findings } from './findings';
import {
  askedFindings,
  dangerSigns,
  findingRule,
  judgeScreening,
  type Finding,
  type FindingAnswer,
} from './screening';

const asked = Object.keys(findings) as Finding[];
const all = (present: Finding[], entry = 'look-1'): FindingAnswer[] =>
  asked.map((finding) => ({ finding, present: present.includes(finding), entry }));

test('what was not asked is open, never skipped silently', () => {
  const state = judgeScreening(asked, all([]).slice(1), []);
  expect(state.status).toBe('open');
  expect(state.unanswered).toEqual([asked[0]]);
});

test('nothing found is clear; a qualifying finding qualifies', () => {
  expect(judgeScreening(asked, all([]), []).status).toBe('clear');
  expect(judgeScreening(asked, all(['diabetes']), []).status).toBe('qualified');
});

// common practice, no source: these end the fitting and go to a physician at once
test.each([
  'calf-swollen',
  'pain-out-of-proportion',
  'new-weakness-or-numbness',
  'cold-or-blue-toes',
  'cold-or-blue-fingers',
  'infected-wound',
  'trouble-breathing-or-swallowing',
] as const)('%s blocks, even before the rest is asked', (finding) => {
  const state = judgeScreening(asked, [{ finding, present: true, entry: 'look-1' }], []);
  expect(state.status).toBe('blocked');
  expect(findings[finding].refer).toBe('physician-now');
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
  const answers = all(['infected-wound', 'cold-or-blue-toes', 'diabetes']);
  const answer = (finding: Finding) => answers.find((one) => one.finding === finding)!;
  const state = judgeScreening(asked, answers, [override]);
  expect(state).toEqual({
    status: 'blocked',
    unanswered: [],
    blocking: [answer('cold-or-blue-toes')],
    overridden: [{ answer: answer('infected-wound'), override }],
    qualifying: [answer('diabetes')],
  });
  expect(judgeScreening(asked, answers, []).overridden).toEqual([]);
});

test('the last answer counts', () =>
  expect(judgeScreening(asked, [...all(['cold-or-blue-toes']), ...all([], 'look-2')], []).status).toBe(
    'clear',
  ));

// common practice, no source: danger signs are the same for every region
test('a danger sign that was seen stops though this family does not ask for it', () => {
  const state = judgeScreening(
    ['stoma'],
    [
      { finding: 'stoma', present: false, entry: 'look-1' },
      { finding: 'trouble-breathing-or-swallowing', present: true, entry: 'look-1' },
    ],
    [],
  );
  expect(state.status).toBe('blocked');
  expect(state.blocking.map(({ finding }) => finding)).toEqual(['trouble-breathing-or-swallowing']);
});

// common practice, no source: one list for every region, whatever a family asks
test('every danger sign is asked in every family, then what qualifies there', () => {
  expect(dangerSigns).toHaveLength(7);
  expect(askedFindings(['stoma', 'calf-swollen'])).toEqual([...dangerSigns, 'stoma']);
  const signs = askedFindings(['stoma']).map((finding) => ({ finding, present: false, entry: 'look-1' }));
  expect(judgeScreening(askedFindings(['stoma']), signs, []).status).toBe('clear');
  expect(judgeScreening(askedFindings(['stoma']), signs.slice(1), []).unanswered).toEqual([dangerSigns[0]]);
});

// common practice, no source: swelling after the operation, a nerve block, an old deficit
test('what the prescriber knows of qualifies; the same sign new or worse blocks', () => {
  const known = { by: 'Dr Elva Nogueira', since: '2026-11-07' };
  const block: FindingAnswer = { finding: 'new-weakness-or-numbness', present: true, known, entry: 'look-1' };
  const state = judgeScreening(asked, [...all([]), block], []);
  expect(state).toMatchObject({ status: 'qualified', blocking: [], qualifying: [block] });
  const worse = { ...block, entry: 'look-2' };
  delete worse.known;
  expect(judgeScreening(asked, [...all([]), block, worse], []).status).toBe('blocked');
});

test.each(dangerSigns.map((finding) => [finding, findingRule(finding).mayBeKnown === true] as const))(
  '%s may be known: %s',
  (finding, mayBeKnown) => {
    const answer = { finding, present: true, known: { by: 'ward 3', since: '2026-11-07' }, entry: 'look-1' };
    expect(judgeScreening(asked, [...all([]), answer], []).status).toBe(mayBeKnown ? 'qualified' : 'blocked');
    expect(mayBeKnown).toBe(['calf-swollen', 'new-weakness-or-numbness'].includes(finding));
  },
);
