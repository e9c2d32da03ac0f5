import { findings } from './findings';
import { judgeScreening, type Finding, type FindingAnswer } from './screening';

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
  'infected-wound',
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
