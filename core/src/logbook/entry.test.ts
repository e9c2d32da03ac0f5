import { current, readEntry, upcastBody } from './entry';
import { foldCase } from './fold-case';
import kneeLigamentFrame2 from './frozen/knee-ligament-frame-2.json';
import spineBelt1 from './frozen/spine-belt-1.json';
import frozen from './frozen/version-1.json';
import spineBelt2 from './frozen/spine-belt-2.json';
import frozen2 from './frozen/version-2.json';
import frozen3 from './frozen/version-3.json';
import frozen5 from './frozen/version-5.json';
import frozen6 from './frozen/version-6.json';
import frozen7 from './frozen/version-7.json';
import frozen8 from './frozen/version-8.json';
import frozen9 from './frozen/version-9.json';
import frozen10 from './frozen/version-10.json';
import frozen11 from './frozen/version-11.json';
import frozen12 from './frozen/version-12.json';
import frozen13 from './frozen/version-13.json';
import frozen14 from './frozen/version-14.json';
import unloaderTwoScrews6 from './frozen/unloader-two-screws-6.json';
import kneePostop5 from './frozen/knee-postop-5.json';
import kneePostop4 from './frozen/knee-postop-4.json';
import frozen4 from './frozen/version-4.json';
import spineBelt3 from './frozen/spine-belt-3.json';
import spineBelt5 from './frozen/spine-belt-5.json';
import { formerKinds, kinds } from './kinds';
import { stepAt } from '../measuring';
import { isDangerSign } from '../screening';
import {
  dialContext,
  foldedLedgers,
  foldedOrders,
  foldedReviews,
  foldedSigns,
  foldedShapes,
  foldedWorn,
  foldedWork,
  beltContext,
  foldedBelt,
  foldedGaps,
  foldedKept,
  foldedLists,
  foldedNewly,
  stopsMade,
  testContext,
  testLogbook,
  shapedContext,
  unloaderContext,
} from './test-case';
import type { AnyRecordedEntry } from './entry';

const sound = () => {
  const log = testLogbook();
  log.read('girth-above', 'right', 450);
  const { seq: _seq, receivedAt: _at, ...entry } = log.entries[1]!;
  return entry as Record<string, unknown>;
};

const faultsOf = (entry: unknown) => {
  const read = readEntry(entry);
  return read.ok ? [] : read.faults.map(({ at }) => at);
};

test('a sound entry is read as it is', () => expect(readEntry(sound())).toMatchObject({ ok: true }));

test.each([
  ['no object', () => 'x', ''],
  ['an unknown field', () => ({ ...sound(), colour: 'red' }), ''],
  ['an id that is no UUIDv7', () => ({ ...sound(), id: '0192c3d4-0000-4000-8000-000000000001' }), 'id'],
  ['a time without its zone', () => ({ ...sound(), observedAt: '2026-11-24T09:30:00' }), 'observedAt'],
  ['a zone that is none', () => ({ ...sound(), zone: 'Ribanova' }), 'zone'],
  ['a kind that is none', () => ({ ...sound(), kind: 'constructor' }), 'kind'],
  ['a stage it does not belong to', () => ({ ...sound(), stage: 'wear' }), 'stage'],
  ['a version from tomorrow', () => ({ ...sound(), v: 9 }), 'v'],
  [
    'a number as text',
    () => ({ ...sound(), body: { ...(sound().body as object), value: '450' } }),
    'body.value',
  ],
  [
    'a number that is infinite',
    () => ({ ...sound(), body: { ...(sound().body as object), value: Infinity } }),
    'body.value',
  ],
  [
    'something unknown in the body',
    () => ({ ...sound(), body: { ...(sound().body as object), hue: 1 } }),
    'body',
  ],
  ['a correction without a reason', () => ({ ...sound(), replaces: sound().id }), 'reason'],
  ['a fact that expects something', () => ({ ...sound(), expects: null }), 'expects'],
])('%s is refused at its place', (_, entry, at) => expect(faultsOf(entry())).toContain(at));

test('an intent must say what it follows', () => {
  const log = testLogbook();
  log.order();
  const { seq: _seq, receivedAt: _at, ...order } = log.entries[1]!;
  expect(faultsOf(order)).toContain('expects');
  expect(faultsOf({ ...order, expects: null })).toEqual([]);
});

test('every kind has as many upcasters as it has older versions', () => {
  for (const kind of Object.values(kinds)) expect(kind.upcasters).toHaveLength(kind.v - 1);
});

test('upcasters run in turn from the version the body was written in', () => {
  const kind = {
    v: 3,
    upcasters: [
      (body: { girth: number }) => ({ mm: body.girth * 10 }),
      (body: { mm: number }) => ({ value: body.mm }),
    ],
  };
  expect(upcastBody(kind as never, 1, { girth: 45 })).toEqual({ value: 450 });
  expect(upcastBody(kind as never, 2, { mm: 450 })).toEqual({ value: 450 });
  expect(upcastBody(kind as never, 3, { value: 450 })).toEqual({ value: 450 });
});

// entries written by the released version 1: they live for ever, and fold to the same case
const kindsOf = (entries: readonly { kind: string }[]) => entries.map(({ kind }) => kind);

test('every kind is in a frozen set', () => {
  const all = [
    frozen,
    frozen2,
    frozen3,
    frozen4,
    frozen5,
    frozen6,
    frozen7,
    frozen8,
    frozen9,
    frozen10,
    frozen11,
    frozen12,
    frozen13,
    frozen14,
  ].flatMap(({ entries }) => kindsOf(entries));
  // those that are written no more too
  expect(new Set(all)).toEqual(new Set([...Object.keys(kinds), ...Object.keys(formerKinds)]));
});

test('the frozen entries of version 1 still read and fold as they did', () => {
  for (const { seq: _seq, receivedAt: _at, ...entry } of frozen.entries) expect(faultsOf(entry)).toEqual([]);
  const entries = frozen.entries as unknown as AnyRecordedEntry[];
  expect(entries.map((one) => current(one, {})).every(({ kind, v }) => v === kinds[kind].v)).toBe(true);
  const state = foldCase(entries, { ...testContext, programme: kneeLigamentFrame2 as never })!;
  expect({
    stages: Object.fromEntries(Object.entries(state.stages).map(([stage, { status }]) => [stage, status])),
    size: state.sizing.chosen?.decided.size,
    stops: state.setting.fitted?.medial,
    values: stepAt(state.measuring.states, 'girth-above', 'right')?.assessed?.values,
    checks: state.checking.checks.map(({ judged }) => judged.state),
    visits: state.visits.map(({ by: _by, ...visit }) => visit),
    // motions are kept a list since
    reviews: state.reviewing.visits.map(({ motions, ...visit }) => {
      expect(motions).toEqual([]);
      return visit;
    }),
  }).toEqual(frozen.folded);
});

test('the frozen entries of version 2, a belt on a trunk, still read and fold as they did', () => {
  for (const { seq: _seq, receivedAt: _at, ...entry } of frozen2.entries) expect(faultsOf(entry)).toEqual([]);
  const entries = frozen2.entries as unknown as AnyRecordedEntry[];
  const state = foldCase(entries, { ...beltContext, programme: spineBelt1 as never })!;
  expect(foldedBelt(state)).toEqual(frozen2.folded);
});

test('the frozen entries of version 3, known findings, limbs, a call, still read and fold as they did', () => {
  for (const { seq: _seq, receivedAt: _at, ...entry } of frozen3.entries) expect(faultsOf(entry)).toEqual([]);
  const entries = frozen3.entries as unknown as AnyRecordedEntry[];
  const state = foldCase(entries, { ...beltContext, programme: spineBelt2 as never })!;
  expect(foldedNewly(state)).toEqual(frozen3.folded);
});

test('the frozen entries of version 4, settings and a list that was chosen, still read and fold as they did', () => {
  for (const { seq: _seq, receivedAt: _at, ...entry } of frozen4.entries) expect(faultsOf(entry)).toEqual([]);
  const entries = frozen4.entries as unknown as AnyRecordedEntry[];
  const state = foldCase(entries, { ...beltContext, programme: spineBelt3 as never })!;
  expect(foldedLists(state)).toEqual(frozen4.folded);
});

test('the frozen entries of version 5, an order by joints and ends, a lock, a move, still read and fold as they did', () => {
  for (const { seq: _seq, receivedAt: _at, ...entry } of frozen5.entries) expect(faultsOf(entry)).toEqual([]);
  const entries = frozen5.entries as unknown as AnyRecordedEntry[];
  const state = foldCase(entries, { ...dialContext, programme: kneePostop4 as never })!;
  expect(foldedOrders(state)).toEqual(frozen5.folded);
});

test('the frozen entries of version 6, any setting chosen and made, work on the brace, still read and fold as they did', () => {
  for (const { seq: _seq, receivedAt: _at, ...entry } of frozen6.entries) expect(faultsOf(entry)).toEqual([]);
  const entries = frozen6.entries as unknown as AnyRecordedEntry[];
  const frame = {
    bendable: true,
    hingeZone: 45,
    reach: { proximal: 185, distal: 180 },
    increment: 5,
    total: 15,
  };
  const model = { ...dialContext.model, frame };
  const state = foldCase(entries, { ...dialContext, model, programme: kneePostop5 as never })!;
  expect(foldedWork(state)).toEqual(frozen6.folded);
});

test('the frozen entries of version 7, a belt with extensions that its patient changed, still read and fold as they did', () => {
  for (const { seq: _seq, receivedAt: _at, ...entry } of frozen7.entries) expect(faultsOf(entry)).toEqual([]);
  const state = foldCase(frozen7.entries as unknown as AnyRecordedEntry[], {
    ...beltContext,
    programme: spineBelt5 as never,
  })!;
  expect(foldedReviews(state)).toEqual(frozen7.folded);
});

test('the frozen entries of version 8, orders that were held, a ledger of turns, a hinge’s place, still read and fold as they did', () => {
  for (const { seq: _seq, receivedAt: _at, ...entry } of frozen8.entries)
    expect(
      faultsOf({
        ...entry,
        ...(entry.kind.startsWith('order') || entry.kind === 'set.chosen' ? { expects: null } : {}),
      }),
    ).toEqual([]);
  const state = foldCase(frozen8.entries as unknown as AnyRecordedEntry[], {
    ...unloaderContext,
    programme: unloaderTwoScrews6 as never,
  })!;
  expect(foldedLedgers(state)).toEqual(frozen8.folded);
});

test('the frozen entries of version 9, bars that were planned and read, heat, marks of pressure, still read and fold as they did', () => {
  for (const { seq: _seq, receivedAt: _at, ...entry } of frozen9.entries)
    expect(faultsOf({ ...entry, ...(entry.kind.startsWith('order') ? { expects: null } : {}) })).toEqual([]);
  const state = foldCase(frozen9.entries as unknown as AnyRecordedEntry[], shapedContext)!;
  expect(JSON.parse(JSON.stringify(foldedShapes(state)))).toEqual(frozen9.folded);
});

test('the frozen entries of version 10, how it went on and how it is worn, still read and fold as they did', () => {
  for (const { seq: _seq, receivedAt: _at, ...entry } of frozen10.entries)
    expect(
      faultsOf({
        ...entry,
        ...(/^order|wear.planned/.test(entry.kind) ? { expects: null } : {}),
      }),
    ).toEqual([]);
  const state = foldCase(frozen10.entries as unknown as AnyRecordedEntry[], beltContext)!;
  expect(JSON.parse(JSON.stringify(foldedWorn(state)))).toEqual(frozen10.folded);
});

test('the frozen entries of version 11, how the case is kept and who comes when, still read and fold as they did', () => {
  for (const { seq: _seq, receivedAt: _at, ...entry } of frozen11.entries)
    expect(faultsOf(entry)).toEqual([]);
  const state = foldCase(frozen11.entries as unknown as AnyRecordedEntry[], testContext)!;
  expect(JSON.parse(JSON.stringify(foldedKept(state)))).toEqual(frozen11.folded);
});

test('the frozen entries of version 12, a visit with its two notes, still read and fold as they did', () => {
  for (const { seq: _seq, receivedAt: _at, ...entry } of frozen12.entries)
    expect(faultsOf(entry)).toEqual([]);
  const state = foldCase(frozen12.entries as unknown as AnyRecordedEntry[], testContext)!;
  expect(JSON.parse(JSON.stringify(foldedKept(state)))).toEqual(frozen12.folded);
});

test('the frozen entries of version 13, phases of a brace and a signature over gaps, still read and fold as they did', () => {
  for (const { seq: _seq, receivedAt: _at, ...entry } of frozen13.entries)
    expect(faultsOf(entry)).toEqual([]);
  const state = foldCase(frozen13.entries as unknown as AnyRecordedEntry[], beltContext)!;
  expect(JSON.parse(JSON.stringify(foldedGaps(state)))).toEqual(frozen13.folded);
});

test('the frozen entries of version 14, signs by region, pulses and pain, still read and fold as they did', () => {
  for (const { seq: _seq, receivedAt: _at, ...entry } of frozen14.entries)
    expect(faultsOf(entry)).toEqual([]);
  const state = foldCase(frozen14.entries as unknown as AnyRecordedEntry[], testContext)!;
  expect(JSON.parse(JSON.stringify(foldedSigns(state)))).toEqual(frozen14.folded);
});

test('stations stand apart: two at one place are no contour', () => {
  const contour = frozen9.entries.find(({ kind }) => kind === 'shape.contour')!;
  const { seq: _seq, receivedAt: _at, ...entry } = contour;
  const { points } = entry.body as unknown as { points: { at: number; out: number }[] };
  const withPoints = (changed: typeof points) => ({ ...entry, body: { ...entry.body, points: changed } });
  expect(faultsOf(withPoints(points))).toEqual([]);
  expect(faultsOf(withPoints([...points, { at: points[0]!.at + 0.4, out: 3 }]))).toEqual(['body.points']);
  expect(faultsOf(withPoints([...points, { at: points[0]!.at, out: Infinity }]))).not.toEqual([]);
});

// an order of before named no joint: it is the case's; where the case has none it is asked again, never guessed
test('an order of version 1 gets the joint of its case', () => {
  const window = { extension: -5, flexion: 90 };
  const phases = [{ fromDay: 0, window }] as never;
  const ordered = (context: typeof testContext) => {
    const log = testLogbook(context);
    log.order({ phases }, { v: 1 });
    return foldCase(log.entries, context)!.order!.order.phases;
  };
  expect(ordered(testContext)).toEqual([
    {
      fromDay: 0,
      limits: [
        {
          joint: 'knee',
          plane: 'sagittal',
          from: { toward: 'extension', degrees: 5 },
          to: { toward: 'flexion', degrees: 90 },
        },
      ],
    },
  ]);
  expect(ordered(beltContext)).toEqual([{ fromDay: 0, limits: [], unsaid: window }]);
});

describe('a look by an earlier list of signs', () => {
  const qualifiers = testContext.programme.findings.filter((name) => !isDangerSign(name));
  const seven = [
    'calf-swollen',
    'pain-out-of-proportion',
    'new-weakness-or-numbness',
    'cold-or-blue-toes',
    'infected-wound',
    'cold-or-blue-fingers',
    'trouble-breathing-or-swallowing',
  ];
  const looked = (v: number, names: string[], found: string[] = []) => {
    const log = testLogbook();
    const answers = names.map((finding) => ({ finding, present: found.includes(finding) }));
    const look = log.write('screen.looked', { answers } as never, { v });
    return { log, look, screening: () => foldCase(log.entries, testContext)!.screening };
  };

  test.each([
    [1, qualifiers],
    [2, [...seven, ...qualifiers]],
  ])(
    'of version %i is whole for its time, and what it did not ask is not asked, never absent',
    (v, names) => {
      const { log, screening } = looked(v, names);
      expect(screening()).toMatchObject({ status: 'clear', unanswered: [] });
      expect(screening().notAsked).toEqual(
        expect.arrayContaining(['chest-pain', 'foot-drop-with-pain', 'lymphoedema']),
      );
      expect(screening().notAsked.includes('limb-cold')).toBe(v === 1);
      expect(screening().dangerAsked).toBeUndefined();
      // asked at the next visit: from then on nothing of it is left
      log.looked();
      expect(screening()).toMatchObject({ status: 'clear', unanswered: [], notAsked: [] });
      expect(screening().dangerAsked).toMatchObject({ day: '2026-11-24' });
    },
  );

  test('of version 2 that leaves out one of its own signs is open', () => {
    const { screening } = looked(2, seven.slice(1));
    expect(screening()).toMatchObject({ status: 'open' });
    expect(screening().unanswered).toContain('calf-swollen');
  });

  test('what it found stays found under today’s name, whichever other name was not there', () => {
    const { log, look, screening } = looked(2, [...seven, ...qualifiers], ['cold-or-blue-toes']);
    expect(screening()).toMatchObject({
      status: 'blocked',
      blocking: [{ finding: 'limb-cold', is: 'present', entry: look }],
    });
    log.write('call.made', { of: look, about: 'cold-or-blue-toes', whom: 'ward', said: 'sees it' }, { v: 1 });
    expect(foldCase(log.entries, testContext)!.calls).toMatchObject([
      { about: 'limb-cold', whom: 'emergency', made: { whom: 'ward' } },
    ]);
    log.write('screen.overridden', { finding: 'cold-or-blue-toes', of: look, reason: 'seen' } as never, {
      v: 1,
    });
    expect(screening().status).toBe('qualified');
  });

  test('new weakness or numbness was the graver of the two; not there, neither was', () => {
    const found = looked(2, [...seven, ...qualifiers], ['new-weakness-or-numbness']).screening();
    expect(found.blocking.map(({ finding }) => finding)).toEqual(['new-weakness']);
    expect(found.notAsked).toContain('new-numbness');
    expect(looked(2, [...seven, ...qualifiers]).screening().notAsked).not.toContain('new-numbness');
  });
});

test('kinds that are written no more are read, and become one of today’s', () => {
  const stops = { extension: 10, flexion: null };
  const body = { medial: stops, lateral: stops, moved: true };
  const old = { ...sound(), stage: 'set', kind: 'set.stops-fitted', body };
  expect(faultsOf(old)).toEqual([]);
  expect(faultsOf({ ...old, stage: 'strap' })).toEqual(['stage']);
  expect(faultsOf({ ...old, v: 2 })).toEqual(['v']);
  expect(faultsOf({ ...old, body: { ...body, of: 'x' } })).toEqual(['body.of']);
  expect(current(old as never, {})).toMatchObject({
    kind: 'set.made',
    v: kinds['set.made'].v,
    body: { ...stopsMade(stops), moved: true },
  });
});

test('a size with a side extension of version 1 says so in today’s words; any other is as it was', () => {
  const of = (body: object) => upcastBody(kinds['size.chosen'], 1, body);
  expect(of({ size: 'XL', rule: 'extension', extension: 50, probability: 1 })).toEqual({
    size: 'XL',
    rule: 'side-extension',
    sideExtension: 50,
    probability: 1,
  });
  expect(of({ size: 'M', rule: 'bands', probability: 1 })).toEqual({
    size: 'M',
    rule: 'bands',
    probability: 1,
  });
});

/** Every fault of an entry, with what it says. */
const saidOf = (entry: unknown) => {
  const read = readEntry(entry);
  return read.ok ? [] : read.faults.map(({ at, message }) => `${at}: ${message}`);
};

test('every fault of the envelope is told at once, each with its path, and the body is not looked at then', () => {
  expect(saidOf({ ...sound(), v: 0, zone: 'Ribanova', body: { nothing: 1 } })).toEqual([
    expect.stringMatching(/^v: /),
    'zone: must be a time zone, such as Europe/Madrid',
  ]);
  // one fault alone has a path as well
  expect(saidOf({ ...sound(), v: 0 })).toEqual([expect.stringMatching(/^v: must be more than 0/)]);
  expect(saidOf('x')).toHaveLength(1);
});

test('what is wrong is said in words', () => {
  expect(saidOf({ ...sound(), kind: 'constructor' })).toEqual(['kind: is not a kind of entry']);
  expect(saidOf({ ...sound(), stage: 'wear' })).toEqual([
    'stage: must be one of measure, review for measure.read',
  ]);
  expect(saidOf({ ...sound(), v: 9 })).toEqual(['v: is newer than this server knows (1)']);
  expect(saidOf({ ...sound(), replaces: sound().id })).toEqual([
    'reason: is needed when an entry replaces another',
  ]);
  expect(saidOf({ ...sound(), expects: null })).toEqual([
    'expects: goes with orders, plans and settings only',
  ]);
  const { expects: _none, ...order } = { ...orderSent(), expects: undefined };
  expect(saidOf(order)).toEqual(['expects: is needed: the one it follows, or null']);
});

const orderSent = () => {
  const log = testLogbook();
  log.order();
  const { seq: _seq, receivedAt: _at, ...entry } = log.entries[1]!;
  return entry as Record<string, unknown>;
};

test('an entry is withdrawn by naming it', () => {
  const withdrawn = { ...sound(), kind: 'record.withdrawn', stage: 'measure', body: {} };
  expect(saidOf(withdrawn)).toEqual(['replaces: is needed: which entry is withdrawn']);
  expect(saidOf({ ...withdrawn, replaces: sound().id, reason: 'wrong person' })).toEqual([]);
});

test('every fault of a body is told at once, each with its path; numbers as text are none', () => {
  const body = { step: 'girth-above', side: 'up', value: '450', instrument: 'tape', hue: 1 };
  expect(
    saidOf({ ...sound(), body })
      .map((said) => said.split(':')[0]!)
      .sort(),
  ).toEqual(['body', 'body.side', 'body.value']);
});

test('a body that is none of its version is a fault, where its upcaster cannot read it', () => {
  expect(saidOf({ ...orderSent(), expects: null, v: 1, body: { phases: 3 } })).toEqual([
    'body: is no body of version 1',
  ]);
  expect(saidOf({ ...orderSent(), expects: null, v: 1, body: {} })).toEqual([
    'body: is no body of version 1',
  ]);
});

test('an entry in today’s version is the same one, not a copy', () => {
  const log = testLogbook();
  log.read('girth-above', 'right', 450);
  expect(current(log.entries[1]!, {})).toBe(log.entries[1]);
});

/** The faults of a body of a kind, by where they are. */
const bodyFaults = (kind: string, stage: string, body: object, v = kinds[kind as keyof typeof kinds].v) =>
  faultsOf({
    ...sound(),
    kind,
    stage,
    v,
    body,
    ...(kinds[kind as keyof typeof kinds].nature === 'intent' ? { expects: null } : {}),
  });

test('a plan that grows says all of its growth, one as ordered how it is worn', () => {
  const growing = { kind: 'growing', from: '2026-11-24', firstDay: 30, grow: 30, everyDays: 1, ceiling: 90 };
  expect(bodyFaults('wear.planned', 'wear', growing)).toEqual([]);
  for (const field of ['firstDay', 'grow', 'everyDays', 'ceiling'])
    expect([field, bodyFaults('wear.planned', 'wear', { ...growing, [field]: undefined })]).toEqual([
      field,
      ['body'],
    ]);
  const asOrdered = { kind: 'as-ordered', from: '2026-11-24', wearing: 'by day' };
  expect(bodyFaults('wear.planned', 'wear', asOrdered)).toEqual([]);
  expect(bodyFaults('wear.planned', 'wear', { ...asOrdered, wearing: undefined })).toEqual(['body']);
});

test('an answer to a check says something: a value, what was seen, or that the end was not reached', () => {
  expect(bodyFaults('check.recorded', 'check', { check: 'c' })).toEqual(['body']);
  for (const said of [{ value: 3 }, { seen: true }, { seen: false }, { notReached: true }])
    expect(bodyFaults('check.recorded', 'check', { check: 'c', ...said })).toEqual([]);
  expect(bodyFaults('check.recorded', 'check', { check: 'c', notReached: false })).toEqual(['body']);
});

test('a limit names its ends as its joint has them, the one and the other', () => {
  const phase = (from: string | undefined, to: string | undefined) => ({
    ...(orderSent().body as object),
    phases: [
      {
        fromDay: 0,
        limits: [
          {
            joint: 'knee',
            plane: 'sagittal',
            ...(from ? { from: { toward: from, degrees: 5 } } : {}),
            ...(to ? { to: { toward: to, degrees: 60 } } : {}),
          },
        ],
      },
    ],
  });
  expect(bodyFaults('order.given', 'screen', phase('flexion', 'flexion'))).toEqual([]);
  expect(bodyFaults('order.given', 'screen', phase('plantarflexion', 'flexion'))).toEqual([
    'body.phases[0].limits[0]',
  ]);
  expect(bodyFaults('order.given', 'screen', phase('flexion', 'plantarflexion'))).toEqual([
    'body.phases[0].limits[0]',
  ]);
  expect(bodyFaults('order.given', 'screen', phase(undefined, 'plantarflexion'))).toEqual([
    'body.phases[0].limits[0]',
  ]);
});

test('a finding is known from before only where it is there and may be', () => {
  const answer = (finding: string, present: boolean) => ({
    answers: [
      { finding, is: present ? 'present' : 'absent', known: { by: 'Dr Elva Nogueira', since: '2026-11-01' } },
    ],
  });
  expect(bodyFaults('screen.looked', 'screen', answer('diabetes', false))).not.toEqual([]);
  expect(bodyFaults('screen.looked', 'screen', answer('calf-swollen', true))).toEqual([]);
  expect(bodyFaults('screen.looked', 'screen', answer('calf-swollen', false))).not.toEqual([]);
  // a danger sign that nobody lets be known from before
  expect(bodyFaults('screen.looked', 'screen', answer('limb-cold', true))).not.toEqual([]);
});

test('a setting that was made carries its numbers, or whether it is in, and not both', () => {
  const values = [{ place: 'one', value: 3 }];
  expect(bodyFaults('set.made', 'set', { setting: 's', values })).toEqual([]);
  expect(bodyFaults('set.made', 'set', { setting: 's', fitted: true })).toEqual([]);
  expect(bodyFaults('set.made', 'set', { setting: 's' })).toEqual(['body']);
  expect(bodyFaults('set.made', 'set', { setting: 's', fitted: true, values })).toEqual(['body']);
});
