import { engineVersion } from '../record';
import { decideSize } from '../sizing';
import { decideSignature } from '../checking';
import { decideSetting } from '../setting';
import { limitsOf } from '../order';
import { caseRibbon, firstVisit } from './due';
import { intentFaults, intentInForce } from './intent';
import { stepAt } from '../measuring';
import { testContext, testLogbook } from './test-case';
import { foldCase } from './fold-case';
import { stageAt } from './stage-states';

const knee = { joint: 'knee', plane: 'sagittal' } as const;

const folded = (log: ReturnType<typeof testLogbook>) => foldCase(log.entries, testContext)!;
const today = '2026-11-24';

/** A leg measured on both sides: 445 above, 348 below. */
function measured(log: ReturnType<typeof testLogbook>) {
  for (const side of ['right', 'left'] as const) {
    log.read('knee-posture', side, 31);
    log.write('measure.marked', { step: 'mid-kneecap', side });
    log.read('girth-above', side, 444, 446);
    log.read('girth-below', side, 347, 349);
  }
}

/** The stops of the day chosen and put in. */
function fitted(log: ReturnType<typeof testLogbook>, day = today) {
  const { setting, values, ...body } = decideSetting(folded(log), 'hinge-stops', day, true)!;
  const of = log.write('set.chosen', { setting, values, ...body });
  log.write('set.made', { setting, values, of, moved: true }, { observedAt: `${day}T10:00:00.000Z` });
}

test('the same entries always give the same state, and no case without its opening', () => {
  const log = testLogbook();
  measured(log);
  expect(foldCase(log.entries, testContext)).toEqual(
    foldCase(JSON.parse(JSON.stringify(log.entries)), testContext),
  );
  expect(foldCase(log.entries.slice(1), testContext)).toBeUndefined();
});

test('a correction takes the place of what it corrects; the old one stays in the record', () => {
  const log = testLogbook();
  const [first] = log.read('girth-above', 'right', 346, 452);
  expect(stepAt(folded(log).measuring.states, 'girth-above', 'right')?.assessed?.needs).toBe('third');
  log.write(
    'measure.read',
    { step: 'girth-above', side: 'right', value: 450, instrument: 'tape' },
    { replaces: first!, reason: 'slipped digit' },
  );
  const state = folded(log);
  expect(stepAt(state.measuring.states, 'girth-above', 'right')?.assessed?.values).toEqual([450, 452]);
  expect(state.lines.map(({ status }) => status)).toEqual(['live', 'replaced', 'live', 'live']);
});

test('what is withdrawn counts no more, and withdrawing a correction brings back what it corrected', () => {
  const log = testLogbook();
  const [first] = log.read('girth-above', 'right', 450, 452);
  const correction = log.write(
    'measure.read',
    { step: 'girth-above', side: 'right', value: 440, instrument: 'tape' },
    { replaces: first!, reason: 'a slip' },
  );
  log.write('record.withdrawn', {}, { replaces: correction, reason: 'it was right' });
  expect(stepAt(folded(log).measuring.states, 'girth-above', 'right')?.assessed?.values).toEqual([450, 452]);
});

test('two corrections of one entry are a conflict: the earlier holds until one is withdrawn', () => {
  const log = testLogbook();
  const [first] = log.read('girth-above', 'right', 346, 452);
  const correct = (value: number) =>
    log.write(
      'measure.read',
      { step: 'girth-above', side: 'right', value, instrument: 'tape' },
      { replaces: first!, reason: 'a slip' },
    );
  const [one] = [correct(450), correct(460)];
  expect(folded(log).conflicts).toHaveLength(2);
  expect(stepAt(folded(log).measuring.states, 'girth-above', 'right')?.assessed?.values).toEqual([450, 452]);
  log.write('record.withdrawn', {}, { replaces: one, reason: 'the other is right' });
  expect(folded(log).conflicts).toHaveLength(0);
  expect(stepAt(folded(log).measuring.states, 'girth-above', 'right')?.assessed?.values).toEqual([460, 452]);
});

test('a decision keeps what it was made from, and is marked when that changes', () => {
  const log = testLogbook();
  measured(log);
  const body = decideSize(folded(log))!;
  expect(body).toMatchObject({ size: 'M', rule: 'inside', chart: 1, engine: engineVersion });
  expect(body.madeFrom).toHaveLength(4);
  log.write('size.chosen', body);
  expect(folded(log).sizing.chosen).toMatchObject({ staleBecause: [], wouldDiffer: false });
  const girth = log.entries.find(({ body: read }) => 'value' in read && read.value === 444)!;
  log.write(
    'measure.read',
    { step: 'girth-above', side: 'right', value: 474, instrument: 'tape' },
    { replaces: girth.id, reason: 'a slip' },
  );
  // the range is now more than the tolerance, the mean 460: another size, and the decision stays as decided
  const { chosen } = folded(log).sizing;
  expect(chosen).toMatchObject({ decided: { size: 'M' }, staleBecause: [girth.id], wouldDiffer: true });
  expect(folded(log).stages.size.status).toBe('open');
});

test('another size than the computed one is kept with its reason and compared with what is computed', () => {
  const log = testLogbook();
  measured(log);
  log.write('size.chosen', decideSize(folded(log), { size: 'L', reason: 'swelling is still coming' })!);
  expect(folded(log).sizing.chosen).toMatchObject({
    decided: { size: 'L', computed: 'M' },
    wouldDiffer: false,
  });
});

test('a single reading gives no size: its repeat is still out', () => {
  const log = testLogbook();
  log.read('girth-above', 'right', 445);
  log.read('girth-below', 'right', 348, 349);
  expect(folded(log).sizing.match).toEqual({ outcome: 'incomplete', missing: ['girth-above'] });
  expect(decideSize(folded(log))).toBeUndefined();
});

test('the stages open, are done, and are blocked behind a finding', () => {
  const log = testLogbook();
  expect(stageAt(folded(log))).toBe('screen');
  log.looked();
  expect(folded(log).stages.screen.status).toBe('open');
  log.order();
  expect(stageAt(folded(log))).toBe('measure');
  measured(log);
  expect(stageAt(folded(log))).toBe('size');
  log.looked('limb-cold');
  expect(folded(log).stages.measure).toEqual({ status: 'blocked', because: 'limb-cold' });
  expect(stageAt(folded(log))).toBe('screen');
});

test('what is put in the hinges is a fact: taken when it is wrong, and then the brace is to be looked at', () => {
  const log = testLogbook();
  log.order();
  fitted(log);
  expect(folded(log).setting.look).toEqual([]);
  log.stops({ extension: 10, flexion: 90 }, { lateral: { extension: 0, flexion: 90 } });
  expect(folded(log).setting.look.map(({ what }) => what)).toEqual([
    'fitted-differs-from-chosen',
    'pair-differs',
    'outside-order',
  ]);
  expect(folded(log).stages.set.status).toBe('open');
});

test('a brace without a flexion stop under an order that limits flexion is outside the order', () => {
  const log = testLogbook();
  log.order();
  log.stops({ extension: 10, flexion: null });
  expect(folded(log).setting.look.map(({ what }) => what)).toEqual(['outside-order']);
});

test('a new order that would choose other stops marks the old choice', () => {
  const log = testLogbook();
  const first = log.order();
  fitted(log);
  log.order(
    {
      phases: [
        { fromDay: 0, limits: limitsOf(knee, { extension: 0, flexion: 60 }) },
        { fromDay: 14, limits: limitsOf(knee, { extension: 20, flexion: 60 }) },
      ],
    },
    { expects: first },
  );
  expect(folded(log).setting.chosen).toMatchObject({ staleBecause: [], wouldDiffer: true });
});

test('checks speak of the brace as it was put on: a new donning asks for all of them, new stops for the angles', () => {
  const log = testLogbook();
  log.order();
  fitted(log);
  log.write('check.recorded', { check: 'hinge-height', value: 2 });
  log.write('check.recorded', { check: 'knee-at-extension-stop', value: 11 });
  const states = () =>
    Object.fromEntries(folded(log).checking.checks.map(({ check, judged }) => [check.id, judged.state]));
  expect(states()).toMatchObject({ 'hinge-height': 'pass', 'knee-at-extension-stop': 'pass' });
  fitted(log);
  expect(states()).toMatchObject({ 'hinge-height': 'pass', 'knee-at-extension-stop': 'open' });
  log.write('strap.begun', {});
  expect(states()).toMatchObject({ 'hinge-height': 'open' });
  expect(decideSignature(folded(log))).toBeUndefined();
});

test('intents say which one they follow', () => {
  const log = testLogbook();
  expect(intentInForce(folded(log), 'order.given', {})).toBeNull();
  const order = log.order();
  expect(intentInForce(folded(log), 'order.given', {})).toBe(order);
  expect(intentInForce(folded(log), 'measure.read', {})).toBeNull();
});

test('an override must name the finding that blocks now', () => {
  const log = testLogbook();
  const look = log.looked('infected-wound');
  const entry = {
    ...log.entries[1]!,
    kind: 'screen.overridden',
    stage: 'screen',
    body: { finding: 'infected-wound', of: look, reason: 'seen' },
  } as never;
  expect(intentFaults(folded(log), entry)).toEqual([]);
  log.looked('infected-wound');
  expect(intentFaults(folded(log), entry)).toEqual([
    expect.objectContaining({ at: 'body.of', message: 'names no finding that blocks' }),
  ]);
});

test('the ribbon: visits to come, phases with other stops, and the days the brace is worn', () => {
  const log = testLogbook();
  log.order();
  log.write('visit.planned', { day: '2026-11-24', purpose: 'fitting' });
  expect(caseRibbon(folded(log))).toMatchObject({
    worn: [],
    buckles: [{ day: '2026-11-24', kind: 'F', stage: 'screen' }],
  });
  fitted(log, '2026-11-10');
  log.write('wear.planned', { kind: 'as-ordered', from: '2026-11-10', wearing: 'day and night' });
  log.write('visit.planned', { day: '2026-12-01', purpose: 'review' });
  const { buckles } = caseRibbon(folded(log));
  // the third phase, 7 to 95, takes the same pieces as the second, 5 to 90: no visit for it
  expect(buckles.filter(({ kind }) => kind === 'S').map(({ day }) => day)).toEqual([
    '2026-11-21',
    '2026-12-19',
  ]);
  fitted(log, '2026-11-21');
  const ribbon = caseRibbon(folded(log));
  expect(ribbon.worn).toEqual([
    { from: '2026-11-10', until: '2026-11-21', stops: { extension: 10, flexion: 60 } },
    { from: '2026-11-21', stops: { extension: 10, flexion: 90 } },
  ]);
  expect(ribbon.buckles.filter(({ kind }) => kind === 'S').map(({ day }) => day)).toEqual(['2026-12-19']);
  expect(firstVisit(ribbon)).toBe('2026-11-24');
});

test('a planned review is kept by a review on its day or later, not by one before', () => {
  const log = testLogbook();
  log.write('visit.planned', { day: '2026-11-24', purpose: 'review' });
  log.write('review.found', { skin: 'clear', pain: 1 }, { observedAt: '2026-11-23T09:00:00.000Z' });
  expect(folded(log).visits[0]!.kept).toBe(false);
  // 23:30 in the clinic on the 24th is 22:30 UTC
  log.write('review.found', { skin: 'clear', pain: 1 }, { observedAt: '2026-11-24T22:30:00.000Z' });
  expect(folded(log).visits[0]!.kept).toBe(true);
});

test('reviews are gathered by the clinic’s day, over a clock change', () => {
  const log = testLogbook();
  log.write('review.found', { skin: 'clear', pain: 4 }, { observedAt: '2026-10-24T22:30:00.000Z' });
  log.write(
    'motion.tested',
    {
      side: 'right',
      mode: 'passive',
      extension: -8,
      flexion: 84,
      limitReached: { extension: false, flexion: false },
    },
    { stage: 'review', observedAt: '2026-10-25T22:30:00.000Z' },
  );
  const visits = folded(log).reviewing.visits;
  expect(visits).toHaveLength(1);
  expect(visits[0]).toMatchObject({
    day: '2026-10-25',
    pain: 4,
    motions: [{ mode: 'passive', extension: 8, flexion: 84 }],
  });
});

test('a visit stands as soon as anything is taken, a knee that reaches just zero as well', () => {
  const log = testLogbook();
  log.write(
    'motion.tested',
    {
      side: 'right',
      mode: 'passive',
      extension: 0,
      flexion: 95,
      limitReached: { extension: false, flexion: false },
    },
    { stage: 'review' },
  );
  expect(folded(log).reviewing.visits).toMatchObject([
    { motions: [{ mode: 'passive', extension: 0, flexion: 95 }], girths: {} },
  ]);
});

test('a check corrected after the brace was put on anew speaks of the donning before', () => {
  const log = testLogbook();
  const first = log.write('check.recorded', { check: 'hinge-height', value: 9 });
  log.write('strap.begun', {});
  log.write('check.recorded', { check: 'hinge-height', value: 2 }, { replaces: first, reason: 'misread' });
  expect(folded(log).checking.checks[0]!.judged.state).toBe('open');
});

describe('rules that meet', () => {
  const at = (day: string, time = '10:00') => ({ observedAt: `${day}T${time}:00.000Z` });

  test('motion tested after the stops were chosen counts: stops that would force the joint would differ now', () => {
    const log = testLogbook();
    log.order();
    log.write('set.chosen', decideSetting(folded(log), 'hinge-stops', today, true)!);
    expect(folded(log).setting.chosen?.wouldDiffer).toBe(false);
    log.write('motion.tested', {
      side: 'right',
      mode: 'passive',
      extension: -95,
      flexion: 110,
      limitReached: { extension: false, flexion: false },
    });
    expect(folded(log).setting.chosen?.wouldDiffer).toBe(true);
  });

  test('an angle that was read under an earlier order is read again, and shown until then', () => {
    const log = testLogbook();
    log.order();
    fitted(log);
    const check = testContext.programme.checks.find(({ kind }) => kind === 'angle-at-stop')!;
    log.write('check.recorded', { check: check.id, value: 12 }, at(today, '11:00'));
    const found = () => folded(log).checking.checks.find((one) => one.check.id === check.id)!;
    const state = () => found().judged.state;
    expect(state()).toBe('pass');
    // the same window, written anew, asks nothing again
    log.order();
    expect(state()).toBe('pass');
    log.order({ phases: [{ fromDay: 0, limits: limitsOf(knee, { extension: 20, flexion: 60 }) }] });
    expect([state(), found().before?.value]).toEqual(['open', 12]);
    // one made under the new order is judged by that
    log.write('check.recorded', { check: check.id, value: 12 }, at(today, '12:00'));
    expect(state()).toBe('fail');
  });

  test('a protective order stops a plan that grows; one that was there before does not undo a later plan', () => {
    const log = testLogbook();
    log.order({ protective: false, trouble: 'take-off' });
    const plan = log.write('wear.planned', {
      kind: 'growing',
      from: today,
      firstDay: 30,
      grow: 30,
      everyDays: 1,
      ceiling: 120,
    });
    expect(folded(log).wearing.plan?.entry).toBe(plan);
    log.order({ protective: true });
    const state = folded(log);
    expect(state.wearing).toMatchObject({ plan: undefined, stopped: { entry: plan } });
    expect(caseRibbon(state).buckles.filter(({ kind }) => kind === 'W')).toEqual([]);
    const next = log.write('wear.planned', { kind: 'as-ordered', from: today, wearing: 'day and night' });
    expect(folded(log).wearing).toMatchObject({ plan: { entry: next }, stopped: undefined });
  });

  test('a signature under a check that failed is no fitting: the brace is not worn and the visit not kept', () => {
    const log = testLogbook();
    log.order();
    log.write('visit.planned', { day: today, purpose: 'fitting' });
    fitted(log);
    for (const check of testContext.programme.checks)
      log.write(
        'check.recorded',
        {
          check: check.id,
          ...(check.kind === 'seen' ? { seen: check.limbSafety === true } : { value: 0, reference: 400 }),
        },
        at(today, '11:00'),
      );
    const signature = decideSignature(folded(log))!;
    expect(signature.result).toBe('fail');
    log.write('check.signed', signature, at(today, '11:30'));
    const state = folded(log);
    expect(state.visits[0]?.kept).toBe(false);
    expect(caseRibbon(state).worn).toEqual([]);
  });

  test('correcting the choice of stops keeps what was fitted by it', () => {
    const log = testLogbook();
    log.order();
    fitted(log);
    const chosen = folded(log).setting.chosen!;
    const { medial: _medial, lateral: _lateral, ...body } = chosen.decided;
    expect(folded(log).setting.fitted?.phase).toBe(1);
    log.write('set.chosen', body, { replaces: chosen.entry, reason: 'another look' });
    const corrected = folded(log).setting;
    expect(corrected.fitted?.phase).toBe(1);
    log.write('set.chosen', body, { replaces: corrected.chosen!.entry, reason: 'once more' });
    expect(folded(log).setting.fitted?.phase).toBe(1);
  });

  test('a size is marked when what it used changes, and only then', () => {
    const log = testLogbook();
    measured(log);
    const calf = log.read('calf-sign', 'right', 360, 361);
    log.write('size.chosen', decideSize(folded(log))!);
    const stale = () => folded(log).sizing.chosen!.staleBecause;
    log.write('record.withdrawn', {}, { replaces: calf[0]!, reason: 'the other leg' });
    expect(stale()).toEqual([]);
    const used = folded(log).sizing.inputs[0]!;
    log.write('record.withdrawn', {}, { replaces: used, reason: 'slanted' });
    expect(stale()).toEqual([used]);
  });
});

test('an entry that came in more than an hour after it was observed is marked as late', () => {
  const log = testLogbook();
  const received = (receivedAt: string) => log.write('wear.taught', { who: 'patient' }, { receivedAt });
  const ids = [
    received('2026-11-24T10:30:00.000Z'),
    received('2026-11-24T10:30:00.001Z'),
    received('2026-11-24T09:00:00.000Z'),
  ];
  const { lines } = folded(log);
  expect(ids.map((id) => lines.find(({ entry }) => entry.id === id)!.late)).toEqual([
    undefined,
    true,
    undefined,
  ]);
});

test('a case that was moved holds on to what it was moved to; what it was opened with stays in the record', () => {
  const log = testLogbook();
  const opened = folded(log);
  const pin = (version: number) => ({ id: 'moved', version, hash: 'f'.repeat(64) });
  log.write('case.moved', { programme: pin(2), model: pin(3), reason: 'newer version' });
  const moved = folded(log);
  expect([moved.programmePin, moved.modelPin]).toEqual([pin(2), pin(3)]);
  expect([moved.side, moved.person, moved.opened]).toEqual([opened.side, opened.person, opened.opened]);
  expect(moved.seq).toBe(opened.seq + 1);
});
