import { limitsOf } from '../order';
import { askedFindings } from '../screening';
import { caseRibbon, firstVisit } from './due';
import { intentFaults } from './intent';
import { contextOf, testContext, testLogbook } from './test-case';
import type { AnyEntry } from './entry';
import { foldCase } from './fold-case';

const knee = { joint: 'knee', plane: 'sagittal' } as const;

const today = '2026-11-24';
const folded = (log: ReturnType<typeof testLogbook>) => foldCase(log.entries, testContext)!;

/** A frame whose order limits nothing and which is worn by a growing plan. */
function worn(protective = false) {
  const log = testLogbook();
  log.looked();
  log.order({
    phases: [{ fromDay: 0, limits: limitsOf(knee, { extension: 0, flexion: 90 }) }],
    protective,
    trouble: protective ? 'keep-on' : 'take-off',
  });
  log.write(
    'wear.planned',
    protective
      ? { kind: 'as-ordered', from: today, wearing: 'day and night' }
      : { kind: 'growing', from: today, firstDay: 30, grow: 30, everyDays: 1, ceiling: 120 },
  );
  return log;
}
const seen = (log: ReturnType<typeof testLogbook>, check: string, is: boolean) =>
  log.write('check.recorded', { check, seen: is });
const growing = {
  kind: 'wear.planned',
  stage: 'wear',
  body: { kind: 'growing', from: today, firstDay: 30, grow: 30, everyDays: 1, ceiling: 120 },
} as unknown as AnyEntry;

// common practice, no source: cold, blue or numb toes in the brace, a strap on the nerve, a knee beyond the order
test.each([['toes-warm-moving-felt', 'limb-safety']] as const)(
  '%s not so: a call of today, and a plan that grows is held',
  (check, why) => {
    const log = worn();
    expect(folded(log)).toMatchObject({ calls: [], wearing: { held: false } });
    const of = seen(log, check, false);
    const state = folded(log);
    expect(state.calls).toMatchObject([{ about: check, why, of, day: today, whom: 'physician-now' }]);
    expect(state.wearing).toMatchObject({ held: true, plan: { plan: { kind: 'growing' } } });
    const { buckles } = caseRibbon(state);
    expect(buckles.map(({ kind, day }) => [kind, day])).toEqual([['C', today]]);
    expect(firstVisit(caseRibbon(state))).toBe(today);
    expect(intentFaults(state, growing)).toEqual([
      expect.objectContaining({ at: 'body', message: 'limb-not-safe' }),
    ]);
    // mended: as it was
    seen(log, check, true);
    expect(folded(log)).toMatchObject({ calls: [], wearing: { held: false } });
    expect(intentFaults(folded(log), growing)).toEqual([]);
  },
);

// common practice, no source: a strap on the nerve is moved, not telephoned about
test('a strap on the neck of the fibula calls nobody, and holds everything until it is moved', () => {
  const log = worn();
  seen(log, 'fibular-neck-clear', false);
  expect(folded(log)).toMatchObject({
    calls: [],
    wearing: { held: true },
    checking: { unsafe: [{ check: 'fibular-neck-clear', why: 'limb-safety', calls: false }] },
  });
  expect(intentFaults(folded(log), growing)).toEqual([
    expect.objectContaining({ at: 'body', message: 'limb-not-safe' }),
  ]);
  seen(log, 'fibular-neck-clear', true);
  expect(folded(log).wearing.held).toBe(false);
});

test('putting it on anew or other stops do not make it safe: only the check found right does', () => {
  const log = worn();
  const fit = (flexion: number) => log.stops({ extension: 0, flexion });
  fit(90);
  log.write('check.recorded', { check: 'knee-at-flexion-stop', value: 96 });
  seen(log, 'toes-warm-moving-felt', false);
  log.write('strap.begun', {});
  fit(60);
  expect(folded(log).checking.result).toBe('open');
  expect(folded(log).wearing.held).toBe(true);
  expect(folded(log).calls).toHaveLength(2);
  seen(log, 'toes-warm-moving-felt', true);
  expect(folded(log).wearing.held).toBe(true);
  log.write('check.recorded', { check: 'knee-at-flexion-stop', value: 61 });
  expect(folded(log)).toMatchObject({ calls: [], wearing: { held: false } });
});

test('a knee outside the order is such a check; one that is merely out of place is not', () => {
  const log = worn();
  log.stops({ extension: 0, flexion: 90 });
  log.write('check.recorded', { check: 'hinge-height', value: 30 });
  seen(log, 'not-twisted', false);
  expect(folded(log)).toMatchObject({ checking: { unsafe: [] }, wearing: { held: false } });
  const entry = log.write('check.recorded', { check: 'knee-at-flexion-stop', value: 96 });
  expect(folded(log).checking.unsafe).toEqual([
    { check: 'knee-at-flexion-stop', why: 'outside-order', calls: true, entry },
  ]);
  expect(folded(log).wearing.held).toBe(true);
});

test('a check of limb safety that a family states by itself counts, and one that says it is none does not', () => {
  const stated = (limbSafety: boolean) => {
    const context = {
      ...testContext,
      programme: {
        ...testContext.programme,
        checks: [{ kind: 'seen' as const, id: 'toes-warm-moving-felt', limbSafety }],
      },
    };
    const log = testLogbook(context);
    seen(log, 'toes-warm-moving-felt', false);
    return foldCase(log.entries, context)!.checking.unsafe.length;
  };
  expect([stated(true), stated(false)]).toEqual([1, 0]);
});

test('ordered protective wearing stays as ordered, and the call is due all the same', () => {
  const log = worn(true);
  seen(log, 'toes-warm-moving-felt', false);
  const state = folded(log);
  expect(state.wearing).toMatchObject({ held: false, plan: { plan: { kind: 'as-ordered' } } });
  expect(caseRibbon(state).buckles.map(({ kind }) => kind)).toContain('C');
});

test('a call that was made is due no more, and stands with whom and what they said', () => {
  const log = worn();
  const of = seen(log, 'toes-warm-moving-felt', false);
  const made = {
    of,
    about: 'toes-warm-moving-felt',
    whom: 'Dr Nogueira',
    said: 'off for now, comes at once',
  };
  log.write('call.made', { ...made, about: 'fibular-neck-clear' });
  expect(folded(log).calls[0]!.made).toBeUndefined();
  log.write('call.made', made);
  expect(folded(log).calls).toMatchObject([{ made: { whom: 'Dr Nogueira', day: today } }]);
  expect(caseRibbon(folded(log)).buckles.filter(({ kind }) => kind === 'C')).toEqual([]);
  // the plan is held until the check is right, whoever was called
  expect(folded(log).wearing.held).toBe(true);
  // found again: to be told again
  seen(log, 'toes-warm-moving-felt', false);
  expect(folded(log).calls[0]!.made).toBeUndefined();
});

test('a finding that blocks and what a review tells the prescriber are due today', () => {
  const log = worn();
  const look = log.looked('infected-wound');
  expect(folded(log).calls).toMatchObject([
    { about: 'infected-wound', why: 'finding', of: look, whom: 'prescriber', stage: 'screen' },
  ]);
  log.looked();
  const review = log.write('review.found', { skin: 'broken', pain: 8 }, { stage: 'review' });
  expect(folded(log).calls).toMatchObject([
    { about: 'skin-broken', why: 'review', of: review, whom: 'prescriber', day: today },
    { about: 'pain-high', of: review },
  ]);
  log.write('review.found', { skin: 'clear', pain: 1 }, { stage: 'review' });
  expect(folded(log).calls).toEqual([]);
});

test('a calf measured more than 3 cm thicker blocks as the sign does, until it is overridden or known', () => {
  const log = testLogbook();
  log.looked();
  log.read('calf-sign', 'right', 380, 381);
  const [, last] = log.read('calf-sign', 'left', 420, 421);
  expect(folded(log).screening).toMatchObject({
    status: 'blocked',
    blocking: [{ finding: 'calf-swollen', entry: last }],
  });
  expect(folded(log).stages.size).toEqual({ status: 'blocked', because: 'calf-swollen' });
  // a look that says it is not so does not unmeasure it
  log.looked();
  expect(folded(log).screening.status).toBe('blocked');
  const known = { by: 'Dr Nogueira', since: '2026-11-07' };
  const answers = askedFindings(testContext.programme).map((finding) => ({
    finding,
    is: finding === 'calf-swollen' ? ('present' as const) : ('absent' as const),
    ...(finding === 'calf-swollen' ? { known } : {}),
  }));
  const look = log.write('screen.looked', { answers });
  expect(folded(log).screening).toMatchObject({
    status: 'qualified',
    qualifying: [{ finding: 'calf-swollen', known }],
  });
  log.write('record.withdrawn', {}, { replaces: look, reason: 'another patient' });
  log.write('screen.overridden', { finding: 'calf-swollen', of: last!, reason: 'seen by the ward' });
  expect(folded(log).screening.status).toBe('qualified');
});

describe('movement and sensation, for trunk and neck', () => {
  const twoPost = contextOf('neck-two-post', {
    sizes: ['adult'],
    axes: [],
    between: 'larger',
    disagree: 'primary',
  });
  // of a brace with nothing else to check
  const context = { ...twoPost, programme: { ...twoPost.programme, checks: [] } };
  const full = { movement: 'full', sensation: 'full' } as const;
  const whole = { 'left-arm': full, 'right-arm': full, 'left-leg': full, 'right-leg': full };
  const collared = () => {
    const log = testLogbook(context, 'midline');
    log.looked();
    log.order({ side: 'midline', phases: [{ fromDay: 0, limits: [] }] });
    return log;
  };
  const state = (log: ReturnType<typeof testLogbook>) => foldCase(log.entries, context)!;

  test('are noted before it goes on and after: neither Screen nor Check is done without', () => {
    const log = collared();
    expect(state(log).stages).toMatchObject({ screen: { status: 'open' }, check: { status: 'open' } });
    log.write('limbs.noted', { moment: 'before', limbs: whole });
    expect(state(log).stages).toMatchObject({ screen: { status: 'done' }, check: { status: 'open' } });
    log.write('limbs.noted', { moment: 'after', limbs: whole });
    expect(state(log).stages.check.status).toBe('done');
  });

  test('less than before is new weakness: it blocks, and a later note after shows it gone', () => {
    const log = collared();
    log.write('limbs.noted', { moment: 'before', limbs: whole });
    const after = log.write('limbs.noted', {
      moment: 'after',
      limbs: { ...whole, 'left-arm': { movement: 'less', sensation: 'full' } },
    });
    expect(state(log).screening).toMatchObject({
      status: 'blocked',
      blocking: [{ finding: 'limbs-worse', entry: after }],
    });
    expect(state(log).calls).toMatchObject([{ whom: 'emergency', of: after }]);
    log.write('limbs.noted', { moment: 'after', limbs: whole });
    expect(state(log).screening.status).toBe('clear');
  });

  // nobody who must not be moved is measured for a brace that comes in one adjustable size
  test('a brace of one size needs no measuring, and has its size', () => {
    const log = collared();
    expect(state(log).stages.measure).toEqual({ status: 'not-needed' });
    expect(state(log).measuring.states).toEqual([]);
    expect(state(log).sizing.match).toMatchObject({ outcome: 'size', size: 'adult', rule: 'one-size' });
  });
});

test('motion is told by side, mode and plane, at the fitting and at every visit', () => {
  const context = contextOf('shoulder-support', {
    sizes: ['1'],
    axes: [],
    between: 'larger',
    disagree: 'primary',
  });
  const log = testLogbook(context, 'left');
  const tested = (
    step: string | undefined,
    mode: 'active' | 'passive',
    extension: number,
    flexion: number,
    stage: 'measure' | 'review',
    side: 'left' | 'right' = 'left',
  ) =>
    log.write(
      'motion.tested',
      {
        ...(step ? { step } : {}),
        side,
        mode,
        extension,
        flexion,
        limitReached: { extension: false, flexion: false },
      },
      { stage },
    );
  tested('shoulder-abduction', 'active', 90, 20, 'measure');
  tested('shoulder-abduction', 'active', 160, 30, 'measure', 'right');
  tested('shoulder-flexion', 'passive', 30, 120, 'measure');
  tested('shoulder-abduction', 'passive', 120, 25, 'review');
  tested(undefined, 'active', 20, 90, 'review');
  tested(undefined, 'passive', 35, 130, 'review', 'right');
  const { first, visits } = foldCase(log.entries, context)!.reviewing;
  expect(first.motions).toEqual(
    expect.arrayContaining([
      { step: 'shoulder-abduction', mode: 'active', extension: -90, flexion: 20 },
      // of the other side, as a comparison
      { step: 'shoulder-abduction', mode: 'active', other: true, extension: -160, flexion: 30 },
      { mode: 'passive', extension: -30, flexion: 120 },
    ]),
  );
  expect(first.motions).toHaveLength(3);
  expect(visits[0]!.motions).toEqual([
    { step: 'shoulder-abduction', mode: 'passive', extension: -120, flexion: 25 },
    { mode: 'active', extension: -20, flexion: 90 },
    { mode: 'passive', other: true, extension: -35, flexion: 130 },
  ]);
});

test('the joint’s own reach is what it can be moved to, not what its muscles reach later', () => {
  const log = testLogbook();
  const motion = { side: 'right', limitReached: { extension: false, flexion: false } } as const;
  log.write('motion.tested', { ...motion, mode: 'passive', extension: 0, flexion: 120 });
  log.write('motion.tested', { ...motion, mode: 'active', extension: -15, flexion: 80 });
  expect(folded(log).motion?.motion).toMatchObject({ mode: 'passive', flexion: 120 });
});

// common practice, no source: a brace that protects is not worn less for skin or pain, somebody is called
test.each([
  ['red-stays', 'none', ['skin-stays-red']],
  ['clear', 'some', ['pain-in-brace']],
  ['red-stays', 'some', ['skin-stays-red']],
  ['clear', 'none', []],
] as const)('told of a protective brace: skin %s, pain %s calls for %j', (skin, pain, about) => {
  const told = (protective: boolean) => {
    const log = worn(protective);
    // what was told before it is over
    log.write('wear.told', { day: '2026-11-22', minutes: 60, skin: 'red-stays', pain: 'some' });
    const of = log.write('wear.told', { day: '2026-11-23', minutes: 60, skin, pain });
    return { of, calls: folded(log).calls };
  };
  const { of, calls } = told(true);
  expect(calls).toEqual(
    about.map((what) => ({ about: what, why: 'worn', of, whom: 'prescriber', stage: 'wear', day: today })),
  );
  expect(told(false).calls).toEqual([]);
});

test('a joint beyond the order is told to the prescriber, a limb that is not safe to a physician now', () => {
  const log = worn();
  log.stops({ extension: 0, flexion: 90 });
  log.write('check.recorded', { check: 'knee-at-flexion-stop', value: 96 });
  seen(log, 'toes-warm-moving-felt', false);
  expect(
    folded(log)
      .calls.map(({ about, whom }) => [about, whom])
      .sort(),
  ).toEqual([
    ['knee-at-flexion-stop', 'prescriber'],
    ['toes-warm-moving-felt', 'physician-now'],
  ]);
});

test('a visit that only read something does not take away what a review found', () => {
  const log = worn();
  log.write('review.found', { skin: 'broken', pain: 1 });
  log.write(
    'measure.read',
    { step: 'girth-above', side: 'right', value: 440, instrument: 'tape' },
    { stage: 'review', observedAt: '2026-11-25T09:30:00.000Z' },
  );
  expect(folded(log).calls.map(({ about, stage }) => [about, stage])).toEqual([['skin-broken', 'review']]);
});
