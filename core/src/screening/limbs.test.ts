import { judgeLimbs, lossesSince, limbs, type LimbsFelt, type LimbsNote } from './limbs';

const whole = Object.fromEntries(
  limbs.map((limb) => [limb, { movement: 'full', sensation: 'full' }]),
) as unknown as LimbsFelt;
const numbLeg: LimbsFelt = { ...whole, 'left-leg': { movement: 'full', sensation: 'less' } };
const weakArm: LimbsFelt = { ...whole, 'right-arm': { movement: 'none', sensation: 'full' } };
const note = (moment: LimbsNote['moment'], felt: LimbsFelt, entry: string): LimbsNote => ({
  moment,
  limbs: felt,
  entry,
});

// common practice, no source: noted before and after, and less than before is a new sign
test('less than before is a loss, in the limb and of the kind it is', () => {
  expect(lossesSince(whole, whole)).toEqual([]);
  expect(lossesSince(whole, numbLeg)).toEqual([
    { limb: 'left-leg', what: 'sensation', before: 'full', now: 'less' },
  ]);
  expect(lossesSince(numbLeg, whole)).toEqual([]);
  expect(lossesSince(numbLeg, weakArm)).toEqual([
    { limb: 'right-arm', what: 'movement', before: 'full', now: 'none' },
  ]);
});

test('after is compared with before, and a later note after shows it gone', () => {
  const [before, after] = [note('before', whole, 'b'), note('after', numbLeg, 'a')];
  expect(judgeLimbs([])).toEqual({ before: undefined, after: undefined, lost: [] });
  expect(judgeLimbs([before])).toEqual({ before, after: undefined, lost: [] });
  expect(judgeLimbs([before, after]).lost.map(({ note: { entry } }) => entry)).toEqual(['a']);
  expect(judgeLimbs([before, after, note('after', whole, 'a2')])).toMatchObject({
    after: { entry: 'a2' },
    lost: [],
  });
});

test('an old deficit noted before is no loss; one that is there at the next donning is', () => {
  expect(judgeLimbs([note('before', numbLeg, 'b'), note('after', numbLeg, 'a')]).lost).toEqual([]);
  const next = judgeLimbs([
    note('before', whole, 'b'),
    // what was noted after it was on is no baseline: what came with the brace is a loss still
    note('after', numbLeg, 'a'),
    note('before', numbLeg, 'b2'),
  ]);
  expect(next.after).toBeUndefined();
  expect(next.lost.map(({ note: { entry } }) => entry)).toEqual(['b2']);
});

test('what is noted after before anything was noted before has nothing to be compared with', () =>
  expect(judgeLimbs([note('after', numbLeg, 'a')])).toMatchObject({ after: { entry: 'a' }, lost: [] }));
