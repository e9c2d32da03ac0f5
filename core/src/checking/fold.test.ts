import type { KnownFacts } from '../brace';
import { nothingKnown } from '../brace/test-facts';
import { measuringProgress, type MeasuringStep } from '../measuring';
import { limitsOf, orderGiven } from '../order';
import { testRecord, written } from '../record/test-record';
import { settingMade, type MadeSetting, type Setting } from '../setting';
import { donningBegun, strapDone } from '../strapping';
import type { FitCheck } from './check';
import { decideSignature, isBarred, narrowerChecks, signatureDecision } from './decision';
import { checkRecorded, checkSigned } from './entries';
import { foreignAnswer, nothingToSign } from './faults';
import { answersSinceDonning, foldChecking, isSignedPass } from './fold';

const knee = { joint: 'knee', plane: 'sagittal' } as const;
type Entry = Parameters<typeof testRecord>[number];

const seen: FitCheck = { kind: 'seen', id: 'not-twisted' };
const safe: FitCheck = { kind: 'seen', id: 'toes', limbSafety: true };
const refill: FitCheck = { kind: 'quantity', id: 'refill', unit: 's', least: 0, most: 2, limbSafety: true };
const atStop: FitCheck = { kind: 'angle-at-stop', id: 'knee-at-flexion-stop', stop: 'flexion' };
const atMark: FitCheck = { kind: 'mark', id: 'belt-at-mark', setting: 'belt' };
const compared: FitCheck = { kind: 'compared', id: 'girth-now', step: 'girth', least: -5, most: 5 };
const later: FitCheck = {
  kind: 'seen',
  id: 'after-a-while',
  moments: [{ is: 'seated' }, { is: 'later', notBefore: 30, notAfter: 60 }],
};
const stops = {
  kind: 'stops',
  id: 'hinge-stops',
} as Setting;
const belt = { kind: 'mark', id: 'belt', reopens: ['not-twisted'] } as unknown as Setting;

const girth = {
  kind: 'girth',
  id: 'girth',
  from: 'mid-kneecap',
  distance: 100,
  tolerance: 5,
  withinPerson: 2,
  shared: 3,
  plausible: [1, 2000],
} as MeasuringStep;
const steps = [girth];
const measuring = {
  ...measuringProgress(steps, 'left', {
    readings: [
      { step: 'girth', side: 'left', value: 400, entry: 'a' },
      { step: 'girth', side: 'left', value: 402, entry: 'b' },
      { step: 'girth', side: 'right', value: 500, entry: 'c' },
      { step: 'girth', side: 'right', value: 500, entry: 'd' },
    ],
    skipped: [],
  }),
  steps,
};

const at = (minute: number) => ({
  observedAt: new Date(Date.parse('2026-11-24T09:00:00.000Z') + minute * 60_000).toISOString(),
});
const answer = (check: string, body: object = { seen: true }, minute = 10) =>
  written(checkRecorded, { check, ...body } as never, { stage: 'check', ...at(minute) });
const donned = (minute = 0) => written(donningBegun, { list: 'general' } as never, at(minute));
const strapped = (minute = 5) => written(strapDone, { step: 'strap-1' } as never, at(minute));
const made = (setting: string, minute = 6) =>
  written(settingMade, { setting, values: [{ place: 'one', value: 3 }] } as never, at(minute));
const order = (flexion: number | undefined, more: object = {}) =>
  written(
    orderGiven,
    {
      dayZero: '2026-11-24',
      phases: [
        { fromDay: 0, limits: flexion === undefined ? [] : limitsOf(knee, { extension: 0, flexion }) },
      ],
      ...more,
    } as never,
    at(1),
  );
const signed = (result: 'pass' | 'fail', madeFrom: string[], minute = 20) =>
  written(
    checkSigned,
    { result, madeFrom, programme: 'p', engine: 1 },
    { stage: 'check', by: 'ana', ...at(minute) },
  );

const fitted = (flexion: number) => ({
  medial: { extension: 0, flexion },
  lateral: { extension: 0, flexion },
  day: '2026-11-24',
});
function folded(
  checks: readonly FitCheck[],
  entries: Entry[],
  {
    settings = [stops, belt] as readonly Setting[],
    stopsIn = undefined as ReturnType<typeof fitted> | undefined,
    marks = [] as MadeSetting[],
    facts = nothingKnown as KnownFacts,
    refillBefore = undefined as number | undefined,
  } = {},
) {
  return foldChecking(
    testRecord(...entries),
    { checks, settings, limited: knee },
    { fitted: stopsIn as never, made: marks },
    facts,
    measuring,
    'left',
    refillBefore,
  );
}
const states = (state: ReturnType<typeof folded>) => state.checks.map(({ judged }) => judged.state);

test('nothing answered is open, nothing to look at is open, all answered is a pass', () => {
  expect(folded([seen, safe], []).result).toBe('open');
  expect(folded([seen, safe], [donned(), answer('not-twisted')])).toMatchObject({ result: 'open' });
  expect(folded([seen, safe], [donned(), answer('not-twisted'), answer('toes')])).toMatchObject({
    result: 'pass',
    unsafe: [],
    inputs: ['e2', 'e3'],
    later: [],
    signed: undefined,
  });
});

test('the last answer counts; a new donning asks for all of it again and keeps what is not safe', () => {
  const entries = [donned(), answer('toes', { seen: false }), answer('not-twisted')];
  expect(folded([seen, safe], entries)).toMatchObject({
    result: 'fail',
    unsafe: [{ check: 'toes', why: 'limb-safety', calls: true, entry: 'e2' }],
  });
  const again = folded([seen, safe], [...entries, donned(12)]);
  expect(again.result).toBe('open');
  expect(again.checks.map(({ before }) => before)).toEqual([undefined, undefined]);
  expect(again.unsafe).toHaveLength(1);
  const right = folded([seen, safe], [...entries, answer('toes')]);
  expect(right).toMatchObject({ result: 'pass', unsafe: [] });
});

test('what is set again reopens what the family says, with what was read before', () => {
  const entries = [donned(), answer('not-twisted'), made('belt', 11)];
  const state = folded([seen], entries);
  expect(states(state)).toEqual(['open']);
  expect(state.checks[0]!.before).toEqual({ entry: 'e2' });
  expect(state.inputs).toEqual(['e3']);
  expect(states(folded([seen], [...entries, answer('not-twisted', { seen: true }, 12)]))).toEqual(['pass']);
  // another setting reopens nothing of it
  expect(states(folded([seen], [donned(), answer('not-twisted'), made('other', 11)]))).toEqual(['pass']);
});

test('other stops ask for the angle at a stop again, and for nothing else', () => {
  const entries = [
    order(90),
    donned(),
    answer('knee-at-flexion-stop', { value: 90 }),
    answer('toes'),
    made('hinge-stops', 12),
  ];
  const state = folded([atStop, safe], entries, { stopsIn: fitted(90) });
  expect(states(state)).toEqual(['open', 'pass']);
  expect(state.checks[0]!.before).toEqual({ entry: 'e3', value: 90 });
});

test('an angle read under an order that let the joint move otherwise is read again; the same window stays', () => {
  const read = [order(90), donned(), answer('knee-at-flexion-stop', { value: 90 })];
  expect(states(folded([atStop], read, { stopsIn: fitted(90) }))).toEqual(['pass']);
  const other = folded([atStop], [...read, order(60)], { stopsIn: fitted(90) });
  expect(states(other)).toEqual(['open']);
  expect(other.checks[0]!.before).toMatchObject({ entry: 'e3', value: 90 });
  expect(states(folded([atStop], [...read, order(90)], { stopsIn: fitted(90) }))).toEqual(['pass']);
  // the last order counts, not one between
  const back = [...read, order(60), order(90)];
  expect(states(folded([atStop], back, { stopsIn: fitted(90) }))).toEqual(['pass']);
  // what was beyond it is a matter for today until it is read again
  const beyond = folded([atStop], [order(60), donned(), answer('knee-at-flexion-stop', { value: 90 })], {
    stopsIn: fitted(60),
  });
  expect(beyond.unsafe).toEqual([
    { check: 'knee-at-flexion-stop', why: 'outside-order', calls: true, entry: 'e3' },
  ]);
});

test('without an answer a stop is judged by the order and the day on which the stops went in', () => {
  expect(states(folded([atStop], [order(90)], { stopsIn: fitted(90) }))).toEqual(['open']);
  // ordered and passed over it is asked for all the same
  expect(states(folded([atStop], [order(90)]))).toEqual(['open']);
  expect(states(folded([atStop], [order(undefined)], {}))).toEqual(['not-needed']);
  expect(states(folded([atStop], []))).toEqual(['not-needed']);
});

test('a check with moments is answered at each; one for later is due and hinders nobody', () => {
  const entries = [donned(), strapped(5), answer('after-a-while', { seen: true, moment: 'seated' }, 10)];
  const state = folded([later], entries);
  expect(state.result).toBe('pass');
  expect(state.checks.map(({ check, judged }) => [check.moment?.is, judged.state])).toEqual([
    ['seated', 'pass'],
    ['later', 'open'],
  ]);
  expect(state.later).toEqual([
    { check: 'after-a-while', day: '2026-11-24', until: '2026-11-24T10:05:00.000Z' },
  ]);
  // before a strap is closed nothing is due by the clock
  expect(folded([later], [donned()]).later).toEqual([]);
  // strapped before this donning does not count either
  expect(folded([later], [strapped(1), donned(2)]).later).toEqual([]);
  const done = [...entries, answer('after-a-while', { seen: true, moment: 'later' }, 40)];
  expect(folded([later], done).later).toEqual([]);
  expect(states(folded([later], done))).toEqual(['pass', 'pass']);
  // sooner it proves nothing
  const early = [...entries, answer('after-a-while', { seen: true, moment: 'later' }, 20)];
  expect(folded([later], early).checks[1]!.judged).toEqual({ state: 'open', why: 'too-early' });
});

test('what was read on this side, the mark that was set and the refill of before go into the judgement', () => {
  const now = (value: number) => [donned(), answer('girth-now', { value })];
  expect(states(folded([compared], now(404)))).toEqual(['pass']);
  expect(states(folded([compared], now(500)))).toEqual(['fail']);
  const marks = [{ setting: { id: 'belt' }, made: { values: { one: 7 } } }] as unknown as MadeSetting[];
  expect(states(folded([atMark], [donned(), answer('belt-at-mark', { value: 7 })], { marks }))).toEqual([
    'pass',
  ]);
  expect(states(folded([atMark], [donned(), answer('belt-at-mark', { value: 8 })], { marks }))).toEqual([
    'fail',
  ]);
  const slow = [donned(), answer('refill', { value: 3 })];
  expect(states(folded([refill], slow))).toEqual(['fail']);
  expect(states(folded([refill], slow, { refillBefore: 3 }))).toEqual(['pass']);
});

test('a check that asks for something else to hold is none where it does not', () => {
  const when = { kind: 'injury', is: 'achilles' } as const;
  const facts = { ...nothingKnown, injuries: [] } as KnownFacts;
  expect(folded([{ ...seen, when }, safe], [], { facts }).checks.map(({ check }) => check.id)).toEqual([
    'toes',
  ]);
});

test('a signature stands while what it was made from does, and says that it would come out otherwise', () => {
  const whole = [donned(), answer('not-twisted'), signed('pass', ['e2'])];
  const state = folded([seen], whole);
  expect(state.signed).toMatchObject({
    entry: 'e3',
    staleBecause: [],
    wouldDiffer: false,
    decided: { result: 'pass', by: 'ana', at: '2026-11-24T09:20:00.000Z' },
  });
  expect(isSignedPass(state)).toBe(true);
  const failed = folded([seen], [...whole, answer('not-twisted', { seen: false }, 25)]);
  expect(failed.signed!.wouldDiffer).toBe(true);
  expect(isSignedPass(failed)).toBe(false);
  expect(isSignedPass(folded([seen], [donned(), answer('not-twisted')]))).toBe(false);
  const fail = folded([seen], [donned(), answer('not-twisted', { seen: false }), signed('fail', ['e2'])]);
  expect(fail.signed!.wouldDiffer).toBe(false);
  expect(isSignedPass(fail)).toBe(false);
});

test('how often each was answered since the brace went on, and whether every moment of it passed', () => {
  const entries = [
    answer('not-twisted', { seen: true }, 1),
    donned(2),
    answer('not-twisted', { seen: false }, 8),
    answer('not-twisted', { seen: true }, 9),
    strapped(5),
    answer('after-a-while', { seen: true, moment: 'seated' }, 10),
  ];
  const { checks } = folded([seen, later], entries);
  expect(answersSinceDonning(testRecord(...entries), checks)).toEqual({
    'not-twisted': { times: 2, passed: true },
    'after-a-while': { times: 1, passed: false },
  });
});

describe('a signature is computed', () => {
  const of = (entries: Entry[], checks: readonly FitCheck[] = [seen, safe], more = {}) => ({
    programmePin: { id: 'p', version: 1, hash: 'h' },
    modelPin: { id: 'm', version: 1, hash: 'h' },
    checking: folded(checks, entries, more),
  });
  const all = [donned(), answer('not-twisted'), answer('toes')];

  test('from what was answered; not while one is open, nor while the limb is not safe', () => {
    expect(decideSignature(of(all) as never)).toMatchObject({ result: 'pass', madeFrom: ['e2', 'e3'] });
    expect(decideSignature(of(all.slice(0, 2)) as never)).toBeUndefined();
    const unsafe = of([donned(), answer('not-twisted'), answer('toes', { seen: false })]);
    expect(isBarred(unsafe.checking.unsafe)).toBe(true);
    expect(decideSignature(unsafe as never)).toBeUndefined();
    expect(signatureDecision.notYet(unsafe as never)[0]!.message).toBe(
      'is barred while the limb is not safe in the brace: toes',
    );
    expect(signatureDecision.notYet(of([donned(), answer('toes')]) as never)[0]!.message).toBe(
      'needs every check answered; open: not-twisted',
    );
    const failed = of([donned(), answer('not-twisted', { seen: false }), answer('toes')]);
    expect(decideSignature(failed as never)).toMatchObject({ result: 'fail' });
    expect(isBarred([{ check: 'c', why: 'outside-order', calls: true, entry: 'e' }])).toBe(false);
  });

  test('what is narrower than ordered is named in it', () => {
    const narrow = of([order(90), donned(), answer('knee-at-flexion-stop', { value: 84 })], [atStop], {
      stopsIn: fitted(90),
    });
    const names = narrowerChecks(narrow.checking);
    expect(names).toEqual(['knee-at-flexion-stop']);
    expect(signatureDecision.impossible!(narrow as never, {} as never)).toEqual([
      expect.objectContaining({
        at: 'body.narrower',
        message: 'must acknowledge knee-at-flexion-stop: narrower than ordered',
      }),
    ]);
    expect(signatureDecision.impossible!(narrow as never, { narrower: names } as never)).toEqual([]);
    expect(narrowerChecks(of(all).checking)).toEqual([]);
  });

  test('what was said with it is kept as it was sent, and nothing else', () => {
    const inSpite = { of: [{ kind: 'no-size' }], reason: 'seen' };
    const said = { note: 'n', shown: ['skin'], narrower: [], inSpite };
    expect(signatureDecision.again(of(all) as never, said as never, '2026-11-24')).toMatchObject(said);
    expect(
      Object.keys(signatureDecision.again(of(all) as never, {} as never, '2026-11-24')!).sort((a, b) =>
        a.localeCompare(b),
      ),
    ).toEqual(['engine', 'madeFrom', 'programme', 'result']);
    expect(signatureDecision.again(of([]) as never, said as never, '2026-11-24')).toBeUndefined();
  });
});

test('where the leg bears nothing it is looked at seated, and what was answered standing before counts there', () => {
  const toes: FitCheck = { kind: 'seen', id: 'toes', moments: [{ is: 'seated' }, { is: 'standing' }] };
  const none: KnownFacts = { ...nothingKnown, ordered: { weight: ['none'] } };
  const moments = (facts: KnownFacts, ...entries: Entry[]) =>
    folded([toes], [donned(), ...entries], { facts }).checks.map(
      ({ check: { moment }, judged: { state } }) => `${moment?.is} ${state}`,
    );
  expect(moments(nothingKnown)).toEqual(['seated open', 'standing open']);
  expect(moments(none)).toEqual(['seated open']);
  expect(moments(none, answer('toes', { seen: true, moment: 'standing' }))).toEqual(['seated pass']);
  expect(moments({ ...nothingKnown, ordered: { weight: ['partial'] } })).toHaveLength(2);
  const walked: FitCheck = { kind: 'seen', id: 'drop', moments: [{ is: 'after-walking' }] };
  const faults = (moment: string) => foreignAnswer([walked], { check: 'drop', moment } as never);
  expect(faults('seated')).toEqual([]);
  expect(faults('standing')).toHaveLength(1);
});

test('an answer is foreign by its check, its moment, or an end that no check has', () => {
  const faults = (body: object) => foreignAnswer([seen, later, atStop], body as never);
  expect(faults({ check: 'not-twisted', seen: true })).toEqual([]);
  expect(faults({ check: 'x', seen: true })).toEqual([
    expect.objectContaining({ at: 'body.check', message: 'is no check of this brace' }),
  ]);
  expect(faults({ check: 'not-twisted', moment: 'seated' })).toEqual([
    expect.objectContaining({ at: 'body.moment', message: 'is not asked of this check' }),
  ]);
  expect(faults({ check: 'after-a-while', moment: 'standing' })).toEqual([
    expect.objectContaining({ at: 'body.moment', message: 'must be one of seated, later' }),
  ]);
  expect(faults({ check: 'after-a-while' })).toEqual([
    expect.objectContaining({ at: 'body.moment', message: 'must be one of seated, later' }),
  ]);
  expect(faults({ check: 'after-a-while', moment: 'later' })).toEqual([]);
  expect(faults({ check: 'not-twisted', notReached: true })).toEqual([
    expect.objectContaining({ at: 'body.notReached', message: 'is an answer to an angle at a stop only' }),
  ]);
  expect(faults({ check: 'knee-at-flexion-stop', notReached: true })).toEqual([]);
  expect(nothingToSign([seen])).toEqual([]);
  expect(nothingToSign([])).toEqual([
    expect.objectContaining({ at: 'kind', message: 'is not for this brace: no checks are covered for it' }),
  ]);
});

test('an answer at one moment is none at another, and two barred checks are both named', () => {
  const lying: FitCheck = {
    kind: 'seen',
    id: 'toes',
    limbSafety: true,
    moments: [{ is: 'lying' }, { is: 'seated' }],
  };
  const state = folded([lying], [donned(), answer('toes', { seen: true, moment: 'lying' })]);
  expect(states(state)).toEqual(['pass', 'open']);
  const pins = {
    programmePin: { id: 'p', version: 1, hash: 'h' },
    modelPin: { id: 'm', version: 1, hash: 'h' },
  };
  const barred = folded(
    [safe, refill],
    [donned(), answer('toes', { seen: false }), answer('refill', { value: 9 })],
  );
  expect(signatureDecision.notYet({ ...pins, checking: barred } as never)[0]!.message).toMatch(
    /brace: toes, refill$/,
  );
  const open = folded([seen, safe], []);
  expect(signatureDecision.notYet({ ...pins, checking: open } as never)[0]!.message).toMatch(
    /open: not-twisted, toes$/,
  );
});

test('what is read of the person counts, what is read of the other side does not; nothing read leaves it open', () => {
  const mass = { ...girth, kind: 'mass', id: 'mass' } as MeasuringStep;
  const of = {
    ...measuringProgress([girth, mass], 'left', {
      readings: [
        { step: 'mass', side: 'midline', value: 20, entry: 'e' },
        { step: 'mass', side: 'midline', value: 20, entry: 'f' },
        { step: 'girth', side: 'right', value: 400, entry: 'c' },
        { step: 'girth', side: 'right', value: 400, entry: 'd' },
      ],
      skipped: [],
    }),
    steps: [girth, mass],
  };
  const check = (step: string, value: number) =>
    foldChecking(
      testRecord(donned(), answer('girth-now', { value })),
      { checks: [{ ...compared, step } as FitCheck], settings: [], limited: knee },
      { fitted: undefined, made: [] },
      nothingKnown,
      of,
      'left',
      undefined,
    ).checks[0]!.judged.state;
  expect(check('mass', 21)).toBe('pass');
  expect(check('mass', 40)).toBe('fail');
  expect(check('girth', 401)).toBe('open');
});

test('of two orders the one that was in force when the angle was read judges it', () => {
  const entries = [order(60), order(90), donned(), answer('knee-at-flexion-stop', { value: 90 })];
  expect(states(folded([atStop], entries, { stopsIn: fitted(90) }))).toEqual(['pass']);
  expect(
    states(
      folded([atStop], [order(90), ...entries.slice(0, 1), ...entries.slice(2)], { stopsIn: fitted(90) }),
    ),
  ).toEqual(['fail']);
  // a setting that reopens nothing leaves another check alone
  const after = [donned(), answer('toes'), answer('not-twisted'), made('hinge-stops', 12)];
  expect(states(folded([safe, seen], after))).toEqual(['pass', 'pass']);
});

test('a setting without a mark leaves what hangs on it open', () => {
  const marks = [{ setting: { id: 'belt' }, made: undefined }] as unknown as MadeSetting[];
  expect(states(folded([atMark], [donned(), answer('belt-at-mark', { value: 7 })], { marks }))).toEqual([
    'open',
  ]);
});
