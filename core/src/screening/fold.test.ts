import type { Region, Side } from '../anatomy';
import { testRecord, written } from '../record/test-record';
import { askedFindings, dangerSignsOf, type Finding } from './asked';
import { circulationNoted, limbsNoted, screenLooked, screenOverridden } from './entries';
import { foreignCirculation, foreignFindings, foreignLimbs, overrideFaults } from './faults';
import { foldLimbs, foldScreening } from './fold';
import { allFull } from './limbs';
import type { AnswerToFinding } from './screening';

type Entries = Parameters<typeof testRecord>;
const family = { region: 'leg' as Region, findings: ['not-weight-bearing', 'diabetes'] as Finding[] };
const asked = askedFindings(family);

/** A look in which everything is absent but what is said. */
const look = (
  said: Partial<Record<Finding, AnswerToFinding>> = {},
  more: object = {},
  of: readonly Finding[] = asked,
) =>
  written(screenLooked, {
    answers: of.map((finding) => ({ finding, is: said[finding] ?? ('absent' as const) })),
    ...more,
  });
const on = (day: string) => ({ observedAt: `${day}T09:30:00.000Z` });
const circulation = (pulse: 'felt' | 'weak' | 'absent', refill?: number) =>
  written(circulationNoted, {
    left: { pulse: 'felt', refill: 1 },
    right: { pulse, ...(refill === undefined ? {} : { refill }) },
  });
const limbs = (moment: 'before' | 'after', left: 'full' | 'less') =>
  written(limbsNoted, {
    moment,
    limbs: { ...allFull, 'left-leg': { movement: left, sensation: 'full' } },
  });
const folded = (
  entries: Entries,
  { of = family, side = 'right', calf }: { of?: typeof family; side?: Side; calf?: { entry: string } } = {},
) => {
  const record = testRecord(...entries);
  return foldScreening(record, of, side, calf, foldLimbs(record));
};

test('nothing written: everything is asked, nothing is known', () => {
  const state = folded([]);
  expect(state).toEqual({
    status: 'open',
    unanswered: asked,
    notAsked: [],
    unable: [],
    blocking: [],
    overridden: [],
    qualifying: [],
    asked,
    dangerAsked: undefined,
    circulation: undefined,
    baseline: undefined,
  });
});

test('a look that answers every danger sign is the one of its day; one that leaves one out is not', () => {
  const [first, ...others] = dangerSignsOf('leg');
  expect(folded([{ ...look(), ...on('2026-11-20') }]).dangerAsked).toEqual({
    entry: 'e1',
    day: '2026-11-20',
  });
  expect(folded([look({}, {}, others)]).dangerAsked).toBeUndefined();
  const later = folded([
    { ...look(), ...on('2026-11-20') },
    { ...look({}, {}, others), ...on('2026-11-24') },
    { ...look({}, {}, [first!]), ...on('2026-11-24') },
  ]);
  expect(later.dangerAsked).toEqual({ entry: 'e1', day: '2026-11-20' });
});

test('the baseline is the first pain that was said, 0 as well', () => {
  expect(
    folded([look(), { ...look({}, { pain: 0 }), ...on('2026-11-25') }, look({}, { pain: 7 })]).baseline,
  ).toEqual({ pain: 0, entry: 'e2', day: '2026-11-25' });
});

test('a calf measured as much thicker blocks, unless the look has said so itself', () => {
  const calf = { entry: 'calf-reading' };
  expect(folded([look()], { calf }).blocking).toEqual([
    { finding: 'calf-swollen', is: 'present', entry: 'calf-reading' },
  ]);
  expect(folded([look({ 'calf-swollen': 'present' })], { calf }).blocking).toEqual([
    { finding: 'calf-swollen', is: 'present', entry: 'e1' },
  ]);
});

test('movement lost is new weakness; at the neck the limbs are worse than recorded', () => {
  const entries = [look(), limbs('before', 'full'), limbs('after', 'less')];
  expect(folded(entries).blocking).toEqual([{ finding: 'new-weakness', is: 'present', entry: 'e3' }]);
  const neck = { region: 'neck' as Region, findings: [] };
  expect(folded(entries, { of: neck, side: 'midline' }).blocking).toEqual([
    { finding: 'limbs-worse', is: 'present', entry: 'e3' },
  ]);
});

test('a weak pulse that was noted blocks; the coldness of the look makes a missing one an emergency', () => {
  expect(folded([look(), circulation('weak')]).blocking).toEqual([
    { finding: 'pulse-weak', is: 'present', entry: 'e2' },
  ]);
  expect(
    folded([look({ 'limb-cold': 'present' }), circulation('absent')]).blocking.map(({ finding }) => finding),
  ).toEqual(['limb-cold', 'no-pulse']);
  expect(
    folded([look({ 'limb-cold': 'absent' }), circulation('absent')]).blocking.map(({ finding }) => finding),
  ).toEqual(['pulse-weak']);
  // the look that said so itself stands for it
  expect(folded([look({ 'pulse-weak': 'present' }), circulation('weak')]).blocking).toEqual([
    { finding: 'pulse-weak', is: 'present', entry: 'e1' },
  ]);
  expect(folded([look(), circulation('felt', 3)])).toMatchObject({
    blocking: [],
    circulation: { refill: 3, slow: 'braced' },
  });
  // of what has no side nothing is judged
  expect(folded([look(), circulation('weak')], { side: 'midline' }).circulation).toBeUndefined();
});

test('a danger sign that was found is asked on until it is gone, though the family does not ask for it', () => {
  const sign: Finding = 'cord-signs';
  const found = written(screenLooked, { answers: [{ finding: sign, is: 'present' as const }] });
  expect(folded([look(), found]).asked).toEqual([...asked, sign]);
  const override = written(screenOverridden, { finding: sign, of: 'e2', reason: 'seen by the ward' });
  const state = folded([look(), found, override]);
  expect(state.overridden).toMatchObject([
    { answer: { finding: sign }, override: { reason: 'seen by the ward' } },
  ]);
  expect(state.asked).toContain(sign);
  expect(folded([look(), found, look({}, {}, [sign])]).asked).toEqual(asked);
  // what qualifies is asked as the family asks for it
  expect(folded([look({ diabetes: 'present' })]).asked).toEqual(asked);
});

test('looks by an earlier list: what that did not ask is not asked; one by today’s list asks for all of it', () => {
  const ofFamily = written(screenLooked, {
    answers: [{ finding: 'diabetes', is: 'absent' as const }],
    asked: 'of-family',
  });
  expect(folded([ofFamily])).toMatchObject({ status: 'open', unanswered: ['not-weight-bearing'] });
  expect(folded([ofFamily]).notAsked).toEqual(
    asked.filter((finding) => finding !== 'diabetes' && finding !== 'not-weight-bearing'),
  );
  const seven = written(screenLooked, {
    answers: [{ finding: 'diabetes', is: 'absent' as const }],
    asked: 'seven-signs',
  });
  expect(folded([seven]).unanswered).toEqual(expect.arrayContaining(['limb-cold', 'not-weight-bearing']));
  expect(folded([seven]).notAsked).toContain('chest-pain');
  // the later list is the one that counts
  expect(folded([ofFamily, seven]).unanswered).toContain('limb-cold');
  const today = folded([ofFamily, look({}, {}, [asked[0]!])]);
  expect(today.notAsked).toEqual([]);
  expect(today.unanswered).toHaveLength(asked.length - 2);
});

test('a family of before that states an old name asks for what it is today', () => {
  const old = { region: 'leg' as Region, findings: ['cold-or-blue-toes' as Finding, 'diabetes' as Finding] };
  const look1 = written(screenLooked, {
    answers: [{ finding: 'diabetes', is: 'absent' as const }],
    asked: 'of-family',
  });
  expect(folded([look1], { of: old }).unanswered).toEqual(['limb-cold']);
});

test('faults: foreign findings, limbs and pulses, and an override of nothing', () => {
  const answers = [
    { finding: 'cord-signs' as const, is: 'present' as const },
    { finding: 'fixed-kyphosis' as const, is: 'absent' as const },
    { finding: 'diabetes' as const, is: 'absent' as const },
  ];
  expect(foreignFindings(family, { answers })).toEqual([
    expect.objectContaining({ at: 'body.answers[1].finding', message: 'is not looked for in this family' }),
  ]);
  expect(foreignLimbs(undefined).map(({ at }) => at)).toEqual(['kind']);
  expect(foreignLimbs('before-and-after')).toEqual([]);
  expect(foreignCirculation('neck').map(({ at }) => at)).toEqual(['kind']);
  for (const region of ['leg', 'ankle', 'shoulder'] as const) expect(foreignCirculation(region)).toEqual([]);
  const state = folded([look({ 'limb-cold': 'present' })]);
  const over = (finding: Finding, of: string) =>
    overrideFaults(state, { finding, of, reason: 'x' }).map(({ at }) => at);
  expect(over('limb-cold', 'e1')).toEqual([]);
  expect(over('limb-cold', 'e2')).toEqual(['body.of']);
  expect(over('chest-pain', 'e1')).toEqual(['body.of']);
});
