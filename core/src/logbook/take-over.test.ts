import { programmes, type Programme } from '../programmes';
import { readEntry, type AnyRecordedEntry } from './entry';
import { foldCase } from './fold-case';
import { frameOf, takenOver } from './take-over';
import { contextOf, dialContext, testContext, testLogbook, testModel } from './test-case';

const today = '2026-11-24';
const zone = 'Europe/Madrid';
const sleeve = programmes.find(({ id }) => id === 'knee-sleeve')!;

/** The case of a frame with two girths, a look and an order. */
function frameCase(side: 'left' | 'right' = 'right') {
  const log = testLogbook(testContext, side);
  log.write('screen.looked', {
    answers: [
      { finding: 'calf-swollen', is: 'absent' },
      { finding: 'diabetes', is: 'present', note: 'tablets' },
    ],
  });
  log.order();
  log.read('girth-above', side, 450, 451);
  log.read('girth-below', side, 350, 351);
  return log;
}
const stateOf = (log: ReturnType<typeof testLogbook>) => foldCase(log.entries, testContext)!;
const again = frameOf(testContext.programme, testModel, 'right');

test('a second brace of one kind on one limb takes over what was seen and read today, and no order', () => {
  const taken = takenOver(stateOf(frameCase()), again, today, zone);
  expect(taken.map(({ kind }) => kind)).toEqual([
    'screen.looked',
    'measure.read',
    'measure.read',
    'measure.read',
    'measure.read',
  ]);
  const log = frameCase();
  expect(taken[1]).toEqual({
    kind: 'measure.read',
    stage: 'measure',
    observedAt: '2026-11-24T09:30:00.000Z',
    body: { step: 'girth-above', side: 'right', value: 450, instrument: 'tape' },
    from: { case: log.entries[3]!.case, entry: log.entries[3]!.id },
  });
});

test('what is older than the day is read anew', () =>
  expect(takenOver(stateOf(frameCase()), again, '2026-11-25', zone)).toEqual([]));

test('what was corrected is taken over as it is now, what was withdrawn is not', () => {
  const log = frameCase();
  const [first, second] = log.entries.filter(({ kind }) => kind === 'measure.read');
  log.write(
    'measure.read',
    { step: 'girth-above', side: 'right', value: 455, instrument: 'tape' },
    { replaces: first!.id, reason: 'a slip' },
  );
  log.write('record.withdrawn', {}, { replaces: second!.id, reason: 'the other leg' });
  const values = takenOver(stateOf(log), again, today, zone).flatMap(({ kind, body }) =>
    kind === 'measure.read' ? [(body as { value: number }).value] : [],
  );
  expect(values.sort()).toEqual([350, 351, 455]);
});

test('the other leg takes over no finding; its own readings, where both were read', () => {
  const log = frameCase('right');
  log.read('girth-above', 'left', 440);
  const other = frameOf(testContext.programme, testModel, 'left');
  const taken = takenOver(stateOf(log), other, today, zone);
  expect(taken.every(({ kind }) => kind === 'measure.read')).toBe(true);
  // both sides are read of either: they stand for the same legs
  expect(taken.map(({ body }) => (body as { side: string }).side)).toEqual([
    'right',
    'right',
    'right',
    'right',
    'left',
  ]);
});

test('a girth read at another distance from the landmark is another girth', () => {
  const nearer = { ...testModel, distances: { 'girth-above': 100, 'girth-below': -150 } };
  const steps = takenOver(stateOf(frameCase()), frameOf(testContext.programme, nearer, 'right'), today, zone)
    .filter(({ kind }) => kind === 'measure.read')
    .map(({ body }) => (body as { step: string }).step);
  expect(new Set(steps)).toEqual(new Set(['girth-below']));
});

test('another family takes over what it asks for in the same way, under its own name for it', () => {
  const context = contextOf(
    sleeve.id,
    {
      sizes: ['S'],
      axes: [{ reading: 'girth-above', resolution: 0, bands: [{ size: 'S', from: 300, to: 600 }] }],
      between: 'larger',
      disagree: 'larger',
    },
    { distances: { 'girth-above': 150, 'girth-below': -150 } },
  );
  const taken = takenOver(
    stateOf(frameCase()),
    frameOf(context.programme, context.model, 'right'),
    today,
    zone,
  );
  const ours = new Set(context.programme.measuring.map(({ id }) => id));
  for (const { kind, body } of taken)
    if (kind === 'measure.read') expect(ours).toContain((body as { step: string }).step);
  expect(taken.length).toBeGreaterThan(0);
  // and every one of them stands in the new case as it is
  const log = testLogbook(context);
  for (const { kind, body, observedAt } of taken) log.write(kind, body as never, { observedAt });
  const state = foldCase(log.entries, context)!;
  expect(state.lines.filter(({ status }) => status !== 'live')).toEqual([]);
});

test('nothing of a knee is taken over for a neck but what is of the whole person', () => {
  const collar = programmes.find(({ region }) => region === 'neck')!;
  const context = contextOf(collar.id, {
    sizes: ['S'],
    axes: [],
    between: 'larger',
    disagree: 'larger',
  });
  expect(
    takenOver(stateOf(frameCase()), frameOf(context.programme, context.model, 'midline'), today, zone),
  ).toEqual([]);
});

test('only readings and findings name the entry they come from', () => {
  const log = frameCase();
  const from = { case: log.entries[0]!.case, entry: log.entries[0]!.id };
  const sent = ({ seq: _seq, receivedAt: _at, ...entry }: AnyRecordedEntry) => ({ ...entry, from });
  const faults = (entry: unknown) => {
    const read = readEntry(entry);
    return read.ok ? [] : read.faults.map(({ at }) => at);
  };
  expect(faults(sent(log.entries[3]!))).toEqual([]);
  expect(faults({ ...sent(log.entries[2]!), expects: null })).toEqual(['from']);
  expect(faults({ ...sent(log.entries[3]!), from: { case: 'x' } })).not.toEqual([]);
});

/** The frame as it would be with something else of it. */
const otherwise = (more: Partial<Programme>) =>
  frameOf({ ...testContext.programme, ...more }, testModel, 'right');
const kindsTaken = (...of: Parameters<typeof takenOver>) => takenOver(...of).map(({ kind }) => kind);

test('of what was looked for only what the new brace asks is taken over, and nothing where it asks none of it', () => {
  const answersFor = (findings: Programme['findings'], source = frameCase()) =>
    takenOver(stateOf(source), otherwise({ findings }), today, zone).flatMap(({ kind, body }) =>
      kind === 'screen.looked' ? [(body as { answers: { finding: string }[] }).answers] : [],
    );
  const finding = (name: string) => expect.objectContaining({ finding: name }) as unknown;
  expect(answersFor(['diabetes'])).toEqual([[finding('calf-swollen'), finding('diabetes')]]);
  // a danger sign, and what qualifies every fitting, is asked whatever the family says
  expect(answersFor(['fragile-skin'])).toEqual([[finding('calf-swollen'), finding('diabetes')]]);
  const one = testLogbook(testContext, 'right');
  one.write('screen.looked', { answers: [{ finding: 'stoma', is: 'present' }] });
  expect(answersFor(['fragile-skin'], one)).toEqual([]);
  expect(answersFor(['stoma'], one)).toHaveLength(1);
});

test('findings are of the limb: another region of the same side takes over none, its readings it does', () => {
  const taken = kindsTaken(stateOf(frameCase()), otherwise({ region: 'ankle' }), today, zone);
  expect(new Set(taken)).toEqual(new Set(['measure.read']));
});

test('a reading is the same by its landmark too, not by its distance alone', () => {
  const moved = testContext.programme.measuring.map((step) =>
    step.kind === 'girth' && step.id === 'girth-above'
      ? { ...step, from: 'knee-joint-space' as const }
      : step,
  );
  const steps = takenOver(stateOf(frameCase()), otherwise({ measuring: moved }), today, zone)
    .filter(({ kind }) => kind === 'measure.read')
    .map(({ body }) => (body as { step: string }).step);
  expect(new Set(steps)).toEqual(new Set(['girth-below']));
});

test('a landmark that was marked is taken over under its name here, another landmark is not', () => {
  const log = frameCase();
  log.write('measure.marked', { step: 'mid-kneecap', side: 'right' });
  const marks = (landmark: 'mid-kneecap' | 'malleoli') => {
    const measuring = testContext.programme.measuring.map((step) =>
      step.kind === 'mark' ? { ...step, id: 'own-mark', landmark } : step,
    );
    return takenOver(stateOf(log), otherwise({ measuring }), today, zone).flatMap(({ kind, body }) =>
      kind === 'measure.marked' ? [body] : [],
    );
  };
  expect(marks('mid-kneecap')).toEqual([{ step: 'own-mark', side: 'right' }]);
  expect(marks('malleoli')).toEqual([]);
});

test('a motion is taken over where joint and plane are the same; the one that an order limits is not', () => {
  const log = testLogbook(dialContext);
  const motion = {
    side: 'right',
    mode: 'passive',
    extension: 0,
    flexion: 60,
    limitReached: { extension: false, flexion: false },
  } as const;
  log.write('motion.tested', { step: 'knee-motion', ...motion }, { stage: 'measure' });
  log.write('motion.tested', motion, { stage: 'set' });
  const source = foldCase(log.entries, dialContext)!;
  const motions = (change: { id?: string; joint?: 'ankle'; plane?: 'frontal' } = {}) => {
    const measuring = dialContext.programme.measuring.map((step) =>
      step.kind === 'motion' ? { ...step, ...change } : step,
    );
    const to = frameOf({ ...dialContext.programme, measuring }, dialContext.model, 'right');
    return takenOver(source, to, today, zone).map(({ kind, body }) => [
      kind,
      (body as { step: string }).step,
    ]);
  };
  expect(motions()).toEqual([['motion.tested', 'knee-motion']]);
  expect(motions({ id: 'own-motion' })).toEqual([['motion.tested', 'own-motion']]);
  expect(motions({ joint: 'ankle' })).toEqual([]);
  expect(motions({ plane: 'frontal' })).toEqual([]);
});

test('movement and feeling are taken over from trunk to trunk', () => {
  const context = contextOf('spine-bivalve', {
    sizes: ['made'],
    axes: [],
    between: 'larger',
    disagree: 'larger',
  });
  const log = testLogbook(context, 'midline');
  const felt = { movement: 'full', sensation: 'full' } as const;
  log.write('limbs.noted', {
    moment: 'before',
    limbs: { 'left-arm': felt, 'right-arm': felt, 'left-leg': felt, 'right-leg': felt },
  });
  const to = frameOf(context.programme, context.model, 'midline');
  const source = foldCase(log.entries, context)!;
  expect(kindsTaken(source, to, today, zone)).toEqual(['limbs.noted']);
  // a brace for which nobody notes them
  const without = frameOf({ ...context.programme, limbs: undefined }, context.model, 'midline');
  expect(kindsTaken(source, without, today, zone)).toEqual([]);
});
