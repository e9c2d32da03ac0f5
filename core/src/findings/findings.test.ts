import { kinds as kinds_, type AnyEntry, type BodyOf, type KindName } from '../logbook';
import { limitsOf, type Order } from '../order';
import { programmes } from '../programmes';
import { placesOf } from '../setting';
import { findingsAhead, findingsOf, stagesWith, withheldFaults } from './index';
import { fittedOn, orderFor, wholeCase } from './test-whole-case';

const knee = { joint: 'knee', plane: 'sagittal' } as const;

const said = (findings: ReturnType<typeof findingsOf>) =>
  findings.map(({ kind, about, level }) => `${level} ${kind}${about === undefined ? '' : ` ${about}`}`);

test.each(programmes.map(({ id }) => id))(
  '%s, taken through all nine stages as it should be, has nothing found',
  (family) => {
    const { state } = wholeCase(family);
    expect(said(findingsOf(state(), fittedOn))).toEqual([]);
  },
);

type Leave = NonNullable<NonNullable<Parameters<typeof wholeCase>[1]>['leave']>[number];
const frame = 'knee-ligament-frame';
const later = { observedAt: '2026-11-24T12:00:00.000Z' };
const of = (family: string, more: Parameters<typeof wholeCase>[1] = {}) => {
  const made = wholeCase(family, more);
  return { ...made, found: (day = fittedOn) => findingsOf(made.state(), day) };
};
const kinds = (found: ReturnType<typeof findingsOf>) => found.map(({ kind }) => kind);
/** What the server says to a signature of "pass" in a case as it stands. */
const signing = (made: ReturnType<typeof wholeCase>, inSpite?: object) => {
  const log = made.log;
  const sent = {
    ...log.entries.find(({ kind }) => kind === 'case.opened')!,
    id: '0192c3d4-0000-7000-8000-00000000ffff',
    stage: 'check',
    kind: 'check.signed',
    v: 3,
    body: { result: 'pass', madeFrom: [], programme: '', engine: 1, ...(inSpite ? { inSpite } : {}) },
  } as unknown as AnyEntry;
  return withheldFaults(made.state(), sent, fittedOn);
};

test.each([
  ['knee-ligament-frame', 'look', 'not-looked'],
  ['neck-collar', 'limbs', 'limbs-not-noted'],
  ['knee-ligament-frame', 'measure', 'not-measured'],
  ['knee-ligament-frame', 'size', 'no-size'],
  ['knee-ligament-frame', 'set', 'not-set'],
  ['neck-collar', 'shape', 'work-open'],
  ['spine-bivalve', 'strap', 'not-donned'],
  ['unloader-wrap', 'set', 'not-set'],
] as [string, Leave, string][])('%s without %s: %s withholds the signature', (family, leave, kind) => {
  const made = of(family, { leave: [leave, 'sign', 'wear'] });
  const withheld = made.found().filter(({ withholds }) => withholds.includes('signature'));
  expect(kinds(withheld)).toContain(kind);
  expect(signing(made).length).toBeGreaterThan(0);
});

test('what is missing may be signed over by its name and with a reason, each of it; an ordered stop may not', () => {
  const missing = of('neck-collar', { leave: ['shape', 'sign', 'wear'] });
  const gaps = missing
    .found()
    .filter(({ kind }) => kind === 'work-open')
    .map(({ kind, about }) => ({ kind, about: about! }));
  expect(gaps.length).toBe(3);
  expect(signing(missing, { of: gaps, reason: 'The maker pads it' })).toEqual([]);
  expect(signing(missing, { of: gaps.slice(1), reason: 'The maker pads it' })).toHaveLength(1);

  const unset = of(frame, { leave: ['set', 'sign', 'wear'] });
  const found = unset.found().filter(({ withholds }) => withholds.includes('signature'));
  const over = {
    of: found.map(({ kind, about }) => ({ kind, ...(about ? { about } : {}) })),
    reason: 'in a hurry',
  };
  expect(signing(unset, over)).toEqual([
    expect.objectContaining({
      at: 'kind',
      message: 'is withheld: not-set (hinge-stops) is to be resolved first',
    }),
  ]);
});

const tighter = (family: string): Partial<Order> => ({
  phases: [
    {
      fromDay: 0,
      limits: limitsOf(
        { joint: programmes.find(({ id }) => id === family)!.joint!, plane: 'sagittal' },
        { extension: 20, flexion: 30 },
      ),
    },
  ],
});

test('an order that comes after the signature and that what is fitted exceeds is the most urgent thing', () => {
  const made = of(frame);
  const order = made.log.order({ ...orderFor(made.programme, 'right'), ...tighter(frame) }, later);
  const [first, ...rest] = made.found();
  expect(first).toMatchObject({
    kind: 'exceeds-order',
    about: 'hinge-stops',
    level: 'today',
    stage: 'set',
    day: fittedOn,
    mayBeOverridden: false,
    withholds: ['signature', 'plan', 'teach-back'],
    told: {},
  });
  expect(kinds(rest)).toEqual(['signed-for-earlier-order']);
  expect(stagesWith(made.state(), made.found()).check.status).toBe('open');
  // who was told is part of it, and told of an earlier order is told no more
  made.log.write(
    'call.made',
    { of: order, about: 'order-patient', whom: 'the patient', said: 'comes at noon' },
    later,
  );
  expect(made.found()[0]!.told).toMatchObject({ patient: { whom: 'the patient', day: fittedOn } });
  made.log.order({ ...orderFor(made.programme, 'right'), ...tighter(frame), wearing: 'nights too' }, later);
  expect(made.found()[0]!.told).toEqual({});
});

test('a phase that has begun is an order that changed: on its day, not before; a wider one is due, and no alarm', () => {
  const phases = [
    { fromDay: 0, limits: limitsOf(knee, { extension: 10, flexion: 60 }) },
    { fromDay: 7, limits: limitsOf(knee, { extension: 20, flexion: 60 }) },
  ];
  const made = of(frame, { order: { phases } });
  expect(said(made.found())).toEqual([]);
  expect(kinds(made.found('2026-11-30'))).toEqual([]);
  expect(made.found('2026-12-01')[0]).toMatchObject({ kind: 'exceeds-order', day: '2026-12-01' });
  const wider = of(frame, {
    order: { phases: [phases[0]!, { fromDay: 7, limits: limitsOf(knee, { extension: 0, flexion: 90 }) }] },
  });
  expect(wider.found('2026-12-01')).toMatchObject([
    { kind: 'stricter-than-ordered', level: 'by-date', withholds: [] },
  ]);
});

test('stops 0 to 90 under an order of 10 to 60 that came later: the plan and the teach-back are refused as well', () => {
  const made = of(frame, {
    order: { phases: [{ fromDay: 0, limits: limitsOf(knee, { extension: 0, flexion: 90 }) }] },
  });
  made.log.order({ ...orderFor(made.programme, 'right') }, later);
  const sent = (kind: string, body: object) =>
    withheldFaults(
      made.state(),
      {
        ...made.log.entries[0]!,
        id: '0192c3d4-0000-7000-8000-00000000ffff',
        kind,
        v: kinds_[kind as KindName].v,
        body,
      } as unknown as AnyEntry,
      fittedOn,
    ).map(({ message }) => message);
  expect(sent('wear.taught', { who: 'patient', how: 'by-oneself' })).toContain(
    'is withheld: exceeds-order (hinge-stops) is to be resolved first',
  );
  // that it did not go is always recorded
  expect(sent('wear.taught', { who: 'patient', how: 'not-yet' })).toEqual([]);
  expect(sent('wear.planned', { kind: 'as-ordered', from: fittedOn, wearing: 'day' })).toContain(
    'is withheld: signed-for-earlier-order is to be resolved first',
  );
});

test('a lock that is ordered and left open, an ankle off its ordered angle and a neck off its position are never signed over', () => {
  const open = of('knee-postop', {
    order: {
      phases: [
        {
          fromDay: 0,
          limits: limitsOf(knee, { extension: 0, flexion: 60 }),
          locks: [{ joint: 'knee', at: { toward: 'flexion', degrees: 0 }, when: 'walking' }],
        },
      ],
    },
  });
  open.log.write('set.made', { setting: 'knee-lock', fitted: false }, later);
  expect(open.found()[0]).toMatchObject({
    kind: 'exceeds-order',
    about: 'knee-lock',
    mayBeOverridden: false,
  });
  const neck = of('neck-collar');
  neck.log.write('set.made', { setting: 'neck-neutral', values: [{ place: 'one', value: 12 }] }, later);
  expect(neck.found()[0]).toMatchObject({
    kind: 'exceeds-order',
    about: 'neck-neutral',
    mayBeOverridden: false,
  });
});

test('a brace that is looked at and is for the other side is never signed; nor one whose order is', () => {
  const stabiliser = of('ankle-stabiliser', { leave: ['sign', 'wear'] });
  stabiliser.log.write('set.made', { setting: 'side-sign', fitted: false }, later);
  expect(stabiliser.found()[0]).toMatchObject({
    kind: 'brace-for-other-side',
    level: 'today',
    mayBeOverridden: false,
  });
  expect(signing(stabiliser).some(({ at }) => at === 'kind')).toBe(true);
  const ordered = of(frame);
  ordered.log.order({ ...orderFor(ordered.programme, 'right'), side: 'left' }, later);
  expect(kinds(ordered.found())).toContain('order-for-other-side');
});

test('heat that is still running, a turn without its walk and a mark nobody saw clear hold the signature back', () => {
  const heated = of('knee-ligament-frame', { leave: ['sign', 'wear'] });
  const begun = heated.log.write('shape.heat', {
    operation: 'any',
    run: 'gun',
    part: 'thigh-shell',
    what: 'begun',
    feels: true,
  });
  expect(heated.found()[0]).toMatchObject({ kind: 'heat-running', mayBeOverridden: false });
  heated.log.write('shape.heat', {
    operation: 'any',
    run: 'gun',
    part: 'thigh-shell',
    what: 'ended',
    of: begun,
  });
  expect(kinds(heated.found())).not.toContain('heat-running');

  const turned = of('unloader-thumbwheel');
  const setting = turned.programme.settings.find(({ kind }) => kind === 'correction')!;
  turned.log.write(
    'set.turned',
    { setting: setting.id, turns: [{ place: placesOf(setting)[0]!, n: 1, d: 4 }] },
    later,
  );
  expect(kinds(turned.found())).toEqual(expect.arrayContaining(['not-felt', 'signed-before-change']));
  turned.log.write('set.felt', { setting: setting.id, comfort: 'gentle', walked: true }, later);
  expect(kinds(turned.found())).not.toContain('not-felt');
});

test('no list for the rear cruciate: it is said, and signed over with a reason alone', () => {
  const rear = { injuries: [{ code: 'rear-cruciate', side: 'right' as const }] };
  const made = of('knee-functional', { order: rear, leave: ['strap', 'sign', 'wear'] });
  expect(made.state().strapping.lists).toHaveLength(0);
  expect(kinds(made.found())).toContain('no-list');
});

test('a signed fail and a lost limb are told first, and nothing leads on over them', () => {
  const failed = of(frame, { wrong: ['not-twisted', 'on-the-midline', 'hinge-height'], leave: ['wear'] });
  expect(failed.state().checking.result).toBe('fail');
  expect(failed.found()[0]).toMatchObject({ kind: 'signed-fail', level: 'today' });
  const lost = of('spine-bivalve', { leave: ['strap', 'check', 'sign', 'wear'] });
  lost.log.write('strap.lost', { step: 'roll' }, later);
  expect(lost.found()[0]).toMatchObject({ kind: 'danger', level: 'emergency', about: 'lost-in-move roll' });
  expect(lost.found()[0]!.withholds).toContain('donning');
});

test('what is worked on behind the straps and a signature reopens both; a correction of the signature changes no date of it', () => {
  const made = of('neck-collar');
  made.log.write('work.done', { operation: 'centre-pads', part: 'collar-rear' }, later);
  expect(kinds(made.found())).toEqual(['donned-before', 'signed-before-change']);
  const first = made.log.entries.find(({ kind }) => kind === 'check.signed')!;
  made.log.write(
    'check.signed',
    { ...(first.body as BodyOf<'check.signed'>), note: 'later' },
    { ...later, replaces: first.id, reason: 'a note' },
  );
  expect(kinds(made.found())).toContain('signed-before-change');
});

test('lists show what is urgent from the day on which it is so, and nothing of a closed case', () => {
  const phases = [
    { fromDay: 0, limits: limitsOf(knee, { extension: 10, flexion: 60 }) },
    { fromDay: 7, limits: limitsOf(knee, { extension: 20, flexion: 60 }) },
  ];
  const made = of(frame, { order: { phases } });
  expect(findingsAhead(made.state()).map(({ from, found }) => [from, found?.kind])).toEqual([
    [fittedOn, undefined],
    ['2026-12-01', 'exceeds-order'],
    // the first review is overdue from then on; what is beyond the order stays the most urgent
    ['2026-12-09', 'exceeds-order'],
  ]);
  made.log.write('case.closed', { because: 'delivered' }, later);
  expect(findingsAhead(made.state())).toEqual([]);
});

describe('a safety change of a family', () => {
  const family = programmes.find(({ id }) => id === 'shoulder-support')!;
  const kindsOf = (pin: object, content: object = {}) => {
    const { state } = wholeCase(family.id);
    const held = {
      ...state(),
      programmePin: { ...state().programmePin, ...pin },
      programme: { ...family, ...content },
    };
    return findingsOf(held as never, fittedOn).filter(({ kind }) => kind.startsWith('family-safety'));
  };

  test('holds back a case of a version before it, and none of it or after it', () => {
    expect(kindsOf({ version: family.safetySince! - 1 })).toMatchObject([
      {
        kind: 'family-safety',
        level: 'today',
        mayBeOverridden: false,
        withholds: ['signature', 'plan', 'teach-back'],
      },
    ]);
    expect(kindsOf({ version: family.safetySince! })).toEqual([]);
  });

  test.each([
    [undefined, ['family-safety-copy']],
    [family.safetySince! - 1, ['family-safety-copy']],
    [family.safetySince!, []],
  ])('a copy held against version %s of it: %j', (baseVersion, kinds) =>
    expect(
      kindsOf({ id: 'own-shoulder', version: 1 }, { base: family.id, baseVersion }).map(({ kind }) => kind),
    ).toEqual(kinds),
  );
});
