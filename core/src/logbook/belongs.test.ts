import { decideSetting } from '../setting';
import { isOfPerson } from '../measuring';
import { programmes, stepsOf } from '../programmes';
import { foreignFaults, roleFaults } from './belongs';
import type { AnyEntry } from './entry';
import { foldCase } from './fold-case';
import type { BodyOf, KindName } from './kinds';
import { beltContext, contextOf, stopsMade, testContext, testLogbook } from './test-case';

const at = <K extends KindName>(
  context: typeof testContext,
  side: 'right' | 'midline',
  kind: K,
  body: BodyOf<K>,
) => foreignFaults({ ...context, side }, { kind, body } as unknown as AnyEntry).map((fault) => fault.at);

const stops = { extension: 10, flexion: 90 };
const bent = (at: number) => ({
  operation: 'bend-uprights',
  part: 'upright-medial',
  at,
  direction: 'towards-limb',
  amount: 3,
});

test.each([
  ['measure.read', { step: 'girth-waist', side: 'right', value: 800, instrument: 'tape' }, 'body.step'],
  ['measure.read', { step: 'girth-above', side: 'midline', value: 800, instrument: 'tape' }, 'body.side'],
  ['measure.skipped', { step: 'girth-ear', side: 'right', reason: 'no ear' }, 'body.step'],
  ['measure.marked', { step: 'xiphoid', side: 'right' }, 'body.step'],
  ['check.recorded', { check: 'chin-in-piece', seen: true }, 'body.check'],
  ['strap.done', { step: 'strap-9', pass: 1 }, 'body.step'],
  ['work.done', { operation: 'warm-panels', part: 'panel-of-the-back' }, 'body.operation'],
  ['work.done', { operation: 'place-pads', part: 'chin', way: 'placed' }, 'body.part'],
  ['work.done', { operation: 'place-pads', part: 'thigh-front' }, 'body.way'],
  // this pad does not come in halves
  ['work.done', { operation: 'place-pads', part: 'thigh-front', way: 'split' }, 'body.way'],
  [
    'work.done',
    { operation: 'place-pads', part: 'thigh-front', way: 'placed', direction: 'up' },
    'body.direction',
  ],
  ['work.done', { ...bent(100), amount: undefined }, 'body.amount'],
  ['work.done', { ...bent(100), at: undefined }, 'body.at'],
  ['work.done', { ...bent(100), direction: 'sideways' }, 'body.direction'],
  ['screen.looked', { answers: [{ finding: 'stoma', present: true }] }, 'body.answers[0].finding'],
] as const)('%s %j is no fact of a knee brace', (kind, body, field) => {
  expect(at(testContext, 'right', kind, body as never)).toEqual([field]);
});

test.each([
  ['set.made', { ...stopsMade(stops), moved: true }],
  ['work.done', bent(100)],
  ['strap.begun', { list: 'standing' }],
  [
    'motion.tested',
    {
      side: 'midline',
      mode: 'active',
      extension: 0,
      flexion: 40,
      limitReached: { extension: false, flexion: false },
    },
  ],
] as const)('%s is no fact of a belt', (kind, body) => {
  expect(at(beltContext, 'midline', kind, body as never)).toHaveLength(1);
});

test.each(
  programmes
    .filter(({ measuring }) => measuring.length > 0)
    .map((programme) => [programme.id, programme] as const),
)('%s: every step of its own is a fact on its sides, and on no other', (_, programme) => {
  const side = programme.region === 'trunk' || programme.region === 'neck' ? 'midline' : 'left';
  const distances = Object.fromEntries(programme.measuring.map(({ id }) => [id, 100]));
  const context = contextOf(
    programme.id,
    { sizes: ['1'], axes: [], between: 'larger', disagree: 'primary' },
    { distances },
  );
  const steps = stepsOf(programme, context.model);
  expect(steps.length).toBeGreaterThan(0);
  for (const step of steps) {
    const faultsOn = (where: 'left' | 'right' | 'midline') =>
      foreignFaults({ ...context, side }, {
        kind: 'measure.skipped',
        body: { step: step.id, side: where, reason: 'cast' },
      } as unknown as AnyEntry).length;
    const paired = side === 'left' && !isOfPerson(step);
    expect([faultsOn('left'), faultsOn('right'), faultsOn('midline')]).toEqual(
      paired ? [0, 0, 1] : [1, 1, 0],
    );
  }
});

test('what lies outside the model has happened all the same: taken and marked', () => {
  const log = testLogbook();
  const fitted = log.stops({ extension: 15, flexion: 90 });
  const nearHinge = log.write('work.done', bent(20));
  const sound = log.write('work.done', bent(100));
  const late = log.write(
    'shape.scar',
    { what: 'scar', face: 'front', from: 0, to: 20 },
    {
      observedAt: '2026-11-24T07:00:00.000Z',
      receivedAt: '2026-11-24T09:30:00.000Z',
    },
  );
  const state = foldCase(log.entries, testContext)!;
  const marks = (id: string) => {
    const { late, outside } = state.lines.find(({ entry }) => entry.id === id)!;
    return { late, outside };
  };
  expect(marks(fitted)).toEqual({ outside: true });
  expect(marks(nearHinge)).toEqual({ outside: true });
  expect(marks(sound)).toEqual({});
  expect(marks(late)).toEqual({ late: true });
  expect(state.setting.fitted?.medial.extension).toBe(15);
});

test('a brace that states no list is put on by none; one that does, by its own', () => {
  const backBar = contextOf('spine-back-bar', {
    sizes: ['S'],
    axes: [{ reading: 'girth-waist', resolution: 0, bands: [{ size: 'S', from: 600, to: 1200 }] }],
    between: 'larger',
    disagree: 'larger',
  });
  const listless = { ...backBar, programme: { ...backBar.programme, sequences: [] } };
  expect(at(listless, 'midline', 'strap.begun', {} as never)).toEqual(['kind']);
  expect(at(beltContext, 'midline', 'strap.begun', { list: 'seated-alone' } as never)).toEqual([]);
  expect(at(beltContext, 'midline', 'strap.begun', { list: 'standing' } as never)).toEqual(['body.list']);
});

test('of what is an orthotist’s work, somebody else makes what was chosen, and records what was found', () => {
  const log = testLogbook();
  log.order();
  const entry = (setting: string, more = {}) =>
    ({ kind: 'set.made', body: { setting, ...more } }) as unknown as AnyEntry;
  const faults = (role: 'orthotist' | 'technician', one: AnyEntry) =>
    roleFaults(foldCase(log.entries, testContext)!, one, role).map(({ at: field }) => field);
  const { values } = stopsMade({ extension: 10, flexion: 90 });
  expect(faults('technician', entry('hinge-stops', { values }))).toEqual(['body.found']);
  expect(faults('technician', entry('hinge-stops', { values, found: true }))).toEqual([]);
  expect(faults('orthotist', entry('hinge-stops', { values }))).toEqual([]);
  expect(faults('technician', entry('something-else'))).toEqual([]);
  const body = decideSetting(foldCase(log.entries, testContext)!, 'hinge-stops', '2026-11-24', true)!;
  const of = log.write('set.chosen', body);
  expect(faults('technician', entry('hinge-stops', { values, of }))).toEqual([]);
  expect(faults('technician', entry('hinge-stops', { values }))).toEqual(['body.found']);
  const other = stopsMade({ extension: 0, flexion: 90 }).values;
  expect(faults('technician', entry('hinge-stops', { values: other, of }))).toEqual(['body.found']);
  // an order that would choose others: the choice stands no more
  log.order({ phases: [{ fromDay: 0, limits: [] }] });
  expect(faults('technician', entry('hinge-stops', { values, of }))).toEqual(['body.found']);
});

test.each([
  [
    'a place twice',
    {
      values: [
        { place: 'medial-extension', value: 0 },
        { place: 'medial-extension', value: 0 },
      ],
    },
  ],
  ['a place left out', { values: stopsMade(stops).values.slice(1) }],
  [
    'no piece where one always is',
    { values: stopsMade(stops).values.map((one) => ({ ...one, value: null })) },
  ],
  ['in or out', { fitted: true }],
])('stops with %s are no fact of a knee brace', (_, body) =>
  expect(at(testContext, 'right', 'set.made', { setting: 'hinge-stops', ...body } as never)).not.toEqual([]),
);

test('what names nothing of the brace is a fact of any case; a limb’s motion without a step, where one is limited', () => {
  expect(at(testContext, 'right', 'wear.taught', { who: 'patient' } as never)).toEqual([]);
  const motion = {
    side: 'right',
    mode: 'passive',
    extension: 0,
    flexion: 90,
    limitReached: { extension: false, flexion: false },
  };
  expect(at(testContext, 'right', 'motion.tested', motion as never)).toEqual([]);
  expect(at(beltContext, 'midline', 'motion.tested', motion as never)).toEqual(['body.step']);
  const log = testLogbook();
  const other = { kind: 'wear.taught', body: { who: 'patient' } } as AnyEntry;
  expect(roleFaults(foldCase(log.entries, testContext)!, other, 'technician')).toEqual([]);
});
