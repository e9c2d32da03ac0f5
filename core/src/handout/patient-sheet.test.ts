import { findingsOf } from '../findings';
import { fittedOn, orderFor, wholeCase } from '../findings/test-whole-case';
import { limitsOf } from '../order';
import { programmes } from '../programmes';
import { callReasonsOf, patientSheet } from './patient-sheet';

const knee = { joint: 'knee', plane: 'sagittal' } as const;
const sheetOf = (family: string, more: Parameters<typeof wholeCase>[1] = {}) => {
  const state = wholeCase(family, more).state();
  return patientSheet(state, findingsOf(state, fittedOn), fittedOn);
};
const comfort = { protective: false, trouble: 'take-off' } as const;
const stepsOf = (sheet: ReturnType<typeof sheetOf>) =>
  sheet.on.by === 'staff' ? [] : sheet.on.steps.map(({ id }) => id);

test.each(programmes.map(({ id, region }) => [id, region] as const))(
  '%s: nothing of the orthotist’s stands in it, its emergency words are its region’s, and no night is said',
  (family, region) => {
    for (const order of [{}, comfort]) {
      const sheet = sheetOf(family, { order });
      const steps = sheet.on.by === 'staff' ? [] : sheet.on.steps;
      expect(
        steps.filter(({ kind, who }) => who === 'orthotist' || !['act', 'strap', 'look'].includes(kind)),
      ).toEqual([]);
      // what is done at home is done once
      expect(new Set(steps.map(({ id }) => id)).size).toBe(steps.length);
      const of = region === 'neck' || region === 'trunk' ? region : region === 'shoulder' ? 'arm' : 'limb';
      expect(sheet.emergency).toBe(`${of}-${'protective' in order ? 'comfort' : 'protective'}`);
      const lines = programmes.find(({ id }) => id === family)!.wear ?? [];
      expect(sheet.lines.filter((id) => lines.find((line) => line.id === id)?.nights)).toEqual([]);
      expect(sheet.ordered).toBe('day and night');
      expect(sheet.urgent).toEqual([]);
    }
  },
);

test('a protective collar is put on and taken off by staff alone; a sleeve is the patient’s', () => {
  const collar = sheetOf('neck-collar');
  expect([collar.on, collar.off, collar.takesOff]).toEqual([{ by: 'staff' }, { by: 'staff' }, 'staff']);
  const sleeve = sheetOf('knee-sleeve', { order: comfort });
  expect([sleeve.on.by, sleeve.off?.by, sleeve.takesOff]).toEqual(['patient', 'patient', 'patient']);
});

test('a trunk brace ordered lying is rolled into by staff; seated it is the patient’s own list', () => {
  expect(sheetOf('spine-bivalve').on).toEqual({ by: 'staff' });
  expect(stepsOf(sheetOf('spine-belt', { order: { ...comfort, posture: 'seated' } }))).toEqual([
    'lay-out',
    'round-the-waist',
    'panel-centred',
    'close-belt',
    'both-pulls',
  ]);
});

test('of two ways to do a step the one of this case stands: looser over a broken foot', () => {
  const toes = (more: object) =>
    stepsOf(sheetOf('ankle-walker', { order: more })).filter((id) => id.startsWith('strap-toes'));
  expect(toes({ injuries: [] })).toEqual(['strap-toes']);
  expect(toes({ injuries: undefined })).toEqual(['strap-toes']);
  expect(toes({ injuries: [{ code: 'fracture-foot', side: 'right' }] })).toEqual(['strap-toes-looser']);
});

test('a leg that bears no weight is asked for no step on it and told nothing of walking', () => {
  const none = { ...comfort, phases: [{ fromDay: 0, limits: [], weight: 'none' as const }] };
  const sheet = sheetOf('ankle-walker', { order: none });
  expect(stepsOf(sheet)).not.toContain('load-the-heel');
  expect(sheet.lines).not.toContain('heel-to-toe');
  expect(sheet.phases[0]!.weight).toBe('none');
  const full = { ...comfort, phases: [{ fromDay: 0, limits: [], weight: 'full' as const }] };
  expect(stepsOf(sheetOf('ankle-walker', { order: full }))).toContain('load-the-heel');
  expect(sheetOf('ankle-walker', { order: full }).lines).toContain('heel-to-toe');
});

test('range, lock and weight stand with their dates; what has gone and what never begins does not', () => {
  const phases = [
    {
      fromDay: -0,
      lastDay: 6,
      limits: limitsOf(knee, { extension: 0, flexion: 30 }),
      weight: 'touch' as const,
    },
    {
      fromDay: 7,
      limits: limitsOf(knee, { extension: 0, flexion: 60 }),
      locks: [
        { joint: 'knee' as const, at: { toward: 'flexion' as const, degrees: 0 }, when: 'walking' as const },
      ],
    },
    { fromDay: 40, limits: [] },
  ];
  const made = wholeCase('knee-postop', { order: { phases, until: '2026-12-20' } });
  const on = (day: string) => patientSheet(made.state(), [], day).phases;
  expect(on(fittedOn)).toMatchObject([
    { from: fittedOn, until: '2026-12-01', window: { flexion: 30 }, weight: 'touch' },
    { from: '2026-12-01', window: { flexion: 60 }, locks: [{ when: 'walking' }] },
  ]);
  expect(on('2026-12-05').map(({ from }) => from)).toEqual(['2026-12-01']);
});

test('phases that differ in nothing for the patient stand as one', () => {
  const within = (fromDay: number, flexion: number) => ({
    fromDay,
    limits: limitsOf(knee, { extension: 0, flexion }),
  });
  const made = wholeCase('knee-ligament-frame', {
    order: { phases: [within(0, 30), within(7, 30), within(14, 60), within(21, 30)] },
  });
  expect(patientSheet(made.state(), [], fittedOn).phases.map(({ window }) => window.flexion)).toEqual([
    30, 60, 30,
  ]);
});

test('wedges go out by the order’s own dates', () => {
  const held = (degrees: number) => [
    { joint: 'ankle' as const, at: { toward: 'plantarflexion' as const, degrees }, when: 'always' as const },
  ];
  const made = wholeCase('ankle-walker', {
    order: {
      injuries: [{ code: 'achilles', side: 'right' }],
      phases: [
        { fromDay: 0, limits: [], locks: held(20), weight: 'none' },
        { fromDay: 14, limits: [], locks: held(0), weight: 'partial' },
      ],
    },
    leave: ['set', 'shape', 'strap', 'check', 'sign', 'wear'],
  });
  made.log.read('heel-to-ball', 'right', 178, 178);
  expect(patientSheet(made.state(), [], fittedOn).phases.map(({ from, wedges }) => [from, wedges])).toEqual([
    [fittedOn, 7],
    ['2026-12-08', 0],
  ]);
});

test('an order that what is fitted exceeds, and what was missing at the signature, stand on it', () => {
  const made = wholeCase('knee-ligament-frame');
  made.log.order({
    ...orderFor(made.programme, 'right'),
    phases: [{ fromDay: 0, limits: limitsOf(knee, { extension: 20, flexion: 30 }) }],
  });
  const state = made.state();
  const { urgent } = patientSheet(state, findingsOf(state, fittedOn), fittedOn);
  expect(urgent[0]).toMatchObject({ kind: 'exceeds-order' });
  // the patient reads why once, and nothing of the clinic's own work
  expect(callReasonsOf(urgent)[0]).toBe('order');
  expect(
    callReasonsOf([
      { kind: 'danger', level: 'emergency' },
      ...['family-safety', 'danger', 'not-set', 'signed-fail'].map((kind) => ({
        kind,
        level: 'today' as const,
      })),
    ]),
  ).toEqual(['now', 'again', 'sign', 'failed']);
});

test.each([
  ['a child of four', '2022-11-01', false, 'carer', undefined],
  ['a child just eight', '2018-11-01', false, 'patient', undefined],
  ['somebody of fourteen', '2012-11-01', false, 'patient', 'ask'],
  ['a grown person who cannot report', '1980-01-01', true, 'carer', 'ask'],
  ['somebody whose age is not known', undefined, false, 'patient', 'ask'],
] as const)('%s: who puts it on at home, and what is said of driving', (_, born, isMute, by, driving) => {
  const made = wholeCase('ankle-stabiliser');
  made.log.order({ ...orderFor(made.programme, 'right'), protective: false });
  if (isMute) made.log.looked('cannot-report');
  const sheet = patientSheet(made.state(), [], fittedOn, born);
  expect([sheet.on.by, sheet.driving]).toEqual([by, driving]);
});
