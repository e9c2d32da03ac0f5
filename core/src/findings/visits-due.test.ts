import { addDays } from '../calendar';
import { wholeCase, fittedOn } from './test-whole-case';
import { findingsAhead, findingsOf, proposedReview } from './index';

type Made = ReturnType<typeof wholeCase>;
const at = (day: string) => ({ observedAt: `${day}T10:00:00.000Z` });
const due = ({ state }: Made, day = fittedOn) =>
  findingsOf(state(), day).filter(({ kind }) => kind === 'review-due');
/** A case that was fitted, without its planned review. */
const fitted = (family: string, order: object = {}) => {
  const made = wholeCase(family, { order });
  const visit = made.log.entries.find(({ kind }) => kind === 'visit.planned')!;
  made.log.write('record.withdrawn', {}, { replaces: visit.id, reason: 'not yet' });
  return made;
};
const risk = (made: Made, finding: 'neuropathy' | 'arterial-disease' | 'cannot-report' | 'diabetes') =>
  made.log.write('screen.looked', { answers: [{ finding, is: 'present' }] });

// common practice, no source: within two weeks; within three days where nothing warns or the spine is unstable
test.each([
  ['knee-sleeve', {}, undefined, 14],
  ['knee-sleeve', {}, 'diabetes', 14],
  ['knee-sleeve', {}, 'neuropathy', 3],
  ['ankle-walker', {}, 'arterial-disease', 3],
  ['ankle-walker', {}, 'cannot-report', 3],
  ['neck-collar', { protective: true }, undefined, 3],
  ['neck-collar', { protective: false, trouble: 'take-off' }, undefined, 14],
  ['spine-bivalve', { protective: true }, undefined, 3],
  ['knee-postop', { protective: true }, undefined, 14],
] as const)('the first review of %s %j with %s: within %i days', (family, order, found, days) => {
  const made = fitted(family, order);
  if (found) risk(made, found);
  expect(due(made)).toMatchObject([
    {
      about: days === 3 ? 'first-at-risk' : 'first',
      level: 'by-date',
      day: addDays(fittedOn, days),
      withholds: [],
    },
  ]);
  // the day itself is in time; the day after it is not, and lists see that without a fold
  const last = addDays(fittedOn, days);
  expect(due(made, last)).toMatchObject([{ level: 'by-date' }]);
  expect(due(made, addDays(last, 1))).toMatchObject([{ level: 'today' }]);
  expect(findingsAhead(made.state()).map(({ from }) => from)).toContain(addDays(last, 1));
});

test('a review planned in time is enough, one planned later is not, one that was missed is not', () => {
  const made = fitted('knee-sleeve');
  const plan = (day: string) => made.log.write('visit.planned', { day, purpose: 'review' });
  const late = plan(addDays(fittedOn, 15));
  expect(due(made)).toHaveLength(1);
  made.log.write('record.withdrawn', {}, { replaces: late, reason: 'too late' });
  plan(addDays(fittedOn, 14));
  expect(due(made)).toEqual([]);
  expect(due(made, addDays(fittedOn, 15))).toMatchObject([{ level: 'today' }]);
});

test('nothing is due before it is signed, after a review that was well, or of a closed case', () => {
  expect(due(wholeCase('knee-sleeve', { leave: ['sign', 'wear'] }))).toEqual([]);
  const made = fitted('knee-sleeve');
  const day = addDays(fittedOn, 7);
  made.log.write('review.found', { skin: 'clear', pain: 2 }, at(day));
  expect(due(made, addDays(fittedOn, 40))).toEqual([]);
  const closed = fitted('knee-sleeve');
  closed.log.write('case.closed', { because: 'delivered' });
  expect(due(closed)).toEqual([]);
});

test('skin that stayed red is looked at again within three days, found here or told at home', () => {
  const made = fitted('knee-sleeve');
  const day = addDays(fittedOn, 7);
  made.log.write('review.found', { skin: 'stays-red', pain: 2 }, at(day));
  expect(due(made, day)).toMatchObject([{ about: 'skin', day: addDays(day, 3), stage: 'review' }]);
  made.log.write('review.found', { skin: 'clear', pain: 2 }, at(addDays(day, 2)));
  expect(due(made, addDays(day, 2))).toEqual([]);
  made.log.write(
    'wear.told',
    { day: addDays(day, 4), minutes: 60, skin: 'red-stays', pain: 'none' },
    at(addDays(day, 4)),
  );
  expect(due(made, addDays(day, 4))).toMatchObject([{ about: 'skin', day: addDays(day, 7) }]);
});

// common practice, no source: a telephone review counts where the brace does not protect
test.each([
  [false, []],
  [true, ['first']],
] as const)('a telephone review where the brace protects is %s: still due %j', (protective, still) => {
  const made = fitted('knee-postop', { protective, ...(protective ? {} : { trouble: 'take-off' }) });
  const day = addDays(fittedOn, 7);
  made.log.write('review.found', { skin: 'clear', pain: 2, by: 'telephone' }, at(day));
  expect(due(made, day).map(({ about }) => about)).toEqual(still);
  // what it tells is bad news either way, and only a visit takes it back where the brace protects
  made.log.write('review.found', { skin: 'broken', pain: 2, by: 'telephone' }, at(addDays(day, 1)));
  expect(due(made, addDays(day, 1))).toMatchObject([{ about: 'skin', day: addDays(day, 4) }]);
  made.log.write('review.found', { skin: 'clear', pain: 2, by: 'telephone' }, at(addDays(day, 2)));
  expect(due(made, addDays(day, 2)).map(({ about }) => about)).toEqual(protective ? ['skin'] : []);
  made.log.write('review.found', { skin: 'clear', pain: 2 }, at(addDays(day, 3)));
  expect(due(made, addDays(day, 3))).toEqual([]);
});

// common practice, no source: a growing child every 12 weeks
test('who still grows is due 12 weeks after they were last seen, not after a telephone review, and nobody grown is', () => {
  const made = fitted('knee-sleeve', { protective: false, trouble: 'take-off' });
  const seen = addDays(fittedOn, 7);
  made.log.write('review.found', { skin: 'clear', pain: 2 }, at(seen));
  made.log.write('review.found', { skin: 'clear', pain: 2, by: 'telephone' }, at(addDays(seen, 30)));
  const dueFor = (born: string | undefined, day: string) =>
    findingsOf(made.state(), day, born).filter(({ kind }) => kind === 'review-due');
  const last = addDays(seen, 84);
  const child = `${Number(fittedOn.slice(0, 4)) - 9}${fittedOn.slice(4)}`;
  expect(dueFor(child, last)).toMatchObject([
    { about: 'growing', day: last, level: 'by-date', stage: 'review' },
  ]);
  expect(dueFor(child, addDays(last, 1))).toMatchObject([{ level: 'today' }]);
  expect(findingsAhead(made.state(), child).map(({ from }) => from)).toContain(addDays(last, 1));
  const turned18 = `${Number(last.slice(0, 4)) - 18}${last.slice(4)}`;
  expect(dueFor(addDays(turned18, -1), last)).toEqual([]);
  expect(dueFor(addDays(turned18, 1), last)).toMatchObject([{ about: 'growing' }]);
  expect(dueFor(undefined, last)).toEqual([]);
  // the usual next visit comes first, and never after the twelve weeks
  expect(proposedReview(made.state(), addDays(seen, 1), child)).toEqual({
    day: addDays(seen, 15),
    why: 'growing',
  });
  expect(proposedReview(made.state(), addDays(seen, 80), child)).toEqual({ day: last, why: 'growing' });
  expect(proposedReview(made.state(), addDays(seen, 90), child)).toEqual({
    day: addDays(seen, 91),
    why: 'growing',
  });
});

test('a review without the danger signs holds back plan and signature on its day, until they are asked', () => {
  const made = fitted('knee-sleeve');
  const day = addDays(fittedOn, 7);
  const asked = () => findingsOf(made.state(), day).filter(({ kind }) => kind === 'danger-not-asked');
  made.log.write('review.found', { skin: 'clear', pain: 2 }, at(day));
  expect(asked()).toMatchObject([
    { level: 'today', stage: 'review', withholds: ['signature', 'plan'], mayBeOverridden: true },
  ]);
  // a look at one thing is not the look at all signs
  made.log.write('screen.looked', { answers: [{ finding: 'diabetes', is: 'absent' }] }, at(day));
  expect(asked()).toHaveLength(1);
  made.log.write(
    'screen.looked',
    { answers: made.state().screening.asked.map((finding) => ({ finding, is: 'absent' as const })) },
    { ...at(day), stage: 'review' },
  );
  expect(asked()).toEqual([]);
  // another day's is none of this list's
  expect(findingsOf(made.state(), addDays(day, 1)).map(({ kind }) => kind)).not.toContain('danger-not-asked');
});

// common practice, no source: numbness of a recorded block inside its time is no alarm
test('a sign that a nerve block accounts for is new when the block is over, until it is asked again', () => {
  const made = fitted('knee-postop', { protective: true });
  const known = { by: 'Dr Nogueira', since: fittedOn, until: addDays(fittedOn, 1) };
  made.log.write('screen.looked', { answers: [{ finding: 'new-numbness', is: 'present', known }] });
  const over = (day: string) => findingsOf(made.state(), day).filter(({ kind }) => kind === 'block-over');
  expect(made.state().screening.blocking).toEqual([]);
  expect(over(known.until)).toEqual([]);
  const after = addDays(known.until, 1);
  expect(over(after)).toMatchObject([
    {
      about: 'new-numbness',
      level: 'today',
      withholds: ['donning', 'signature', 'plan', 'teach-back'],
      mayBeOverridden: false,
    },
  ]);
  expect(findingsAhead(made.state()).map(({ from }) => from)).toContain(after);
  made.log.write('screen.looked', { answers: [{ finding: 'new-numbness', is: 'absent' }] }, at(after));
  expect(over(after)).toEqual([]);
});

test('what could not be assessed, or an earlier list did not ask, is named before a signature', () => {
  const made = wholeCase('knee-sleeve', { leave: ['sign', 'wear'] });
  const kinds = () => findingsOf(made.state(), fittedOn).map(({ kind, about }) => `${kind} ${about ?? ''}`);
  made.log.write('screen.looked', {
    answers: [
      { finding: 'pulse-weak', is: 'unable' },
      { finding: 'pacemaker', is: 'unable' },
    ],
  });
  expect(kinds()).toContain('sign-not-assessed pulse-weak');
  expect(kinds()).not.toContain('sign-not-assessed pacemaker');
  const old = wholeCase('knee-sleeve', { leave: ['look', 'sign', 'wear'] });
  const answers = old.programme.findings.map((finding) => ({ finding, present: false }));
  old.log.write('screen.looked', { answers } as never, { v: 1 });
  expect(findingsOf(old.state(), fittedOn).map(({ kind }) => kind)).toContain('signs-not-asked');
});

test('the pain before the brace was worn is what reviews are compared with; nobody asked is no baseline, never 0', () => {
  const made = fitted('knee-sleeve');
  expect(made.state().screening.baseline).toBeUndefined();
  expect(made.state().reviewing.first).not.toHaveProperty('pain');
  made.log.write('screen.looked', { answers: [{ finding: 'diabetes', is: 'absent' }], pain: 0 });
  made.log.write('screen.looked', { answers: [{ finding: 'diabetes', is: 'absent' }], pain: 6 });
  expect(made.state().screening.baseline).toMatchObject({ pain: 0, day: fittedOn });
  expect(made.state().reviewing.first.pain).toBe(0);
});

// common practice, no source: only what is new or worse with the brace on is a sign
test.each([
  [1, 3, 'fail'],
  [3, 3, 'pass'],
  [3, 3.5, 'fail'],
  [undefined, 3, 'fail'],
])('a refill of %s s before and %s s with the brace on: %s', (before, now, state) => {
  const made = wholeCase('knee-postop', { leave: ['check', 'sign', 'wear'] });
  made.log.write('circulation.noted', {
    left: { pulse: 'felt', refill: 1 },
    right: { pulse: 'felt', ...(before === undefined ? {} : { refill: before }) },
  });
  made.log.write('check.recorded', { check: 'capillary-refill', value: now });
  expect(
    made.state().checking.checks.find(({ check }) => check.id === 'capillary-refill')?.judged.state,
  ).toBe(state);
});
