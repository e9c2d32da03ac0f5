import { decideSize } from '../sizing';
import { foldCase } from './fold-case';
import type { Programme } from '../programmes';
import type { Stage } from '../record';
import { stageAt, stageCover, stageStates, stillNeeded } from './stage-states';
import type { CaseState } from './state';
import { contextOf, testContext, testLogbook } from './test-case';
import { nothingKnown } from '../brace/test-facts';

const state = (log: ReturnType<typeof testLogbook>, context = testContext) => foldCase(log.entries, context)!;
const measured = (log: ReturnType<typeof testLogbook>) => {
  for (const side of ['right', 'left'] as const) {
    log.read('knee-posture', side, 31);
    log.write('measure.marked', { step: 'mid-kneecap', side });
    log.read('girth-above', side, 444, 446);
    log.read('girth-below', side, 347, 349);
  }
};

test('shaping, strapping and checking wait for the look, the order and the size; looking does not', () => {
  const log = testLogbook();
  const needed = () =>
    (['measure', 'set', 'shape', 'strap', 'check', 'wear'] as const).map((stage) =>
      stillNeeded(state(log), stage),
    );
  const all = ['look', 'order', 'size'];
  expect(needed()).toEqual([[], [], all, all, all, []]);
  log.looked();
  expect(needed()[2]).toEqual(['order', 'size']);
  log.order();
  expect(needed()[3]).toEqual(['size']);
  measured(log);
  log.write('size.chosen', decideSize(state(log))!);
  expect(needed()).toEqual([[], [], [], [], [], []]);
});

test('where movement and sensation are noted, a look without them is none', () => {
  const context = contextOf('spine-bivalve', {
    sizes: ['made'],
    axes: [],
    between: 'larger',
    disagree: 'larger',
  });
  const log = testLogbook(context, 'midline');
  log.looked();
  expect(stillNeeded(state(log, context), 'strap')).toContain('look');
  // at a knee nobody notes them
  const knee = testLogbook();
  knee.looked();
  expect(stillNeeded(state(knee), 'strap')).not.toContain('look');
});

test('the work is at the first open stage; with everything done it is at the review', () => {
  const log = testLogbook();
  expect(stageAt(state(log))).toBe('screen');
  log.looked();
  log.order();
  expect(stageAt(state(log))).toBe('measure');
  measured(log);
  expect(stageAt(state(log))).toBe('size');
  const { stages } = state(log);
  const done = Object.fromEntries(Object.keys(stages).map((stage) => [stage, { status: 'done' }]));
  expect(stageAt({ ...state(log), stages: done as typeof stages })).toBe('review');
});

test('each stage is done by what it leaves, and by nothing less', () => {
  const log = testLogbook();
  const status = (stage: 'size' | 'wear' | 'review' | 'screen') => state(log).stages[stage].status;
  log.looked();
  expect(status('screen')).toBe('open');
  log.order({ protective: false, trouble: 'take-off' });
  expect(status('screen')).toBe('done');
  measured(log);
  log.write('size.chosen', decideSize(state(log))!);
  expect(status('size')).toBe('done');
  log.read('girth-above', 'right', 470, 470, 470, 470);
  // it would come out otherwise now
  expect(status('size')).toBe('open');
  log.write('wear.planned', { kind: 'as-ordered', from: '2026-11-24', wearing: 'by day' });
  expect(status('wear')).toBe('open');
  log.write('wear.taught', { who: 'carer' });
  expect(status('wear')).toBe('done');
  log.write(
    'measure.read',
    { step: 'girth-above', side: 'right', value: 440, instrument: 'tape' },
    { stage: 'review' },
  );
  expect(status('review')).toBe('open');
  log.write('review.found', { skin: 'clear', pain: 1 });
  expect(status('review')).toBe('done');
});

test('a finding that blocks is named at every stage behind Screen', () => {
  const log = testLogbook();
  log.looked('infected-wound');
  const { screen, measure, review } = state(log).stages;
  expect(screen).toEqual({ status: 'open' });
  expect([measure, review]).toEqual([
    { status: 'blocked', because: 'infected-wound' },
    { status: 'blocked', because: 'infected-wound' },
  ]);
});

const { programme } = testContext;
const afterwards = programme.sequences.filter(({ purpose }) => purpose !== 'first-donning');
const whenPainful = { kind: 'finding', is: 'diabetes', present: true } as const;

test.each<[string, Partial<Programme>, Partial<Record<Stage, string>>]>([
  ['all of it', {}, {}],
  ['no reading', { measuring: [] }, { measure: 'not-needed' }],
  ['nothing that is set', { settings: [] }, { set: 'not-covered' }],
  ['no work on the brace', { operations: [] }, { shape: 'not-needed' }],
  ['no list at all', { sequences: [] }, { strap: 'not-covered' }],
  ['lists, but none of the first donning', { sequences: afterwards }, { strap: 'not-covered' }],
  ['no checks', { checks: [] }, { check: 'not-covered' }],
  ['no checks but movement and feeling', { checks: [], limbs: 'before-and-after' }, {}],
  ['checks, and movement and feeling', { limbs: 'before-and-after' }, {}],
  ['a stage that it does not need', { notNeeded: [{ stage: 'wear' }] }, { wear: 'not-needed' }],
  [
    'a stage that it needs in some cases',
    { notNeeded: [{ stage: 'set', when: whenPainful }, { stage: 'wear' }] },
    { set: 'by-case', wear: 'not-needed' },
  ],
])('a family with %s covers so much', (_, more, without) => {
  const covered = {
    screen: 1,
    measure: 1,
    size: 1,
    set: 1,
    shape: 1,
    strap: 1,
    check: 1,
    wear: 1,
    review: 1,
  };
  const all = Object.fromEntries(Object.keys(covered).map((stage) => [stage, 'covered']));
  expect(stageCover({ ...programme, ...more })).toEqual({ ...all, ...without });
});

/** A case with everything before it done, and what the test gives in its place. */
const stoodAs = (change: (state: CaseState) => Partial<CaseState>, facts = nothingKnown) => {
  const log = testLogbook();
  log.looked();
  log.order();
  measured(log);
  log.write('size.chosen', decideSize(state(log))!);
  const before = state(log);
  const stages = stageStates({ ...before, ...change(before) }, facts);
  return (stage: Stage) => stages[stage].status;
};
const family = (more: Partial<Programme>) => (before: CaseState) => ({
  programme: { ...before.programme, ...more },
});

test('work that is asked for is answered on every part before shaping is done', () => {
  const asked = ({ shaping }: CaseState) => shaping.work.find(({ operation }) => operation.asked)!;
  const answered = ({ shaping }: CaseState) => ({
    ...asked({ shaping } as CaseState),
    done: asked({ shaping } as CaseState).parts.map(({ id }) => ({ part: id }) as never),
  });
  const shape = (work: (before: CaseState) => CaseState['shaping']['work']) =>
    stoodAs((before) => ({ shaping: { ...before.shaping, work: work(before) } }))('shape');
  expect(shape((before) => [asked(before)])).toBe('open');
  expect(shape((before) => [answered(before)])).toBe('done');
  expect(shape((before) => [answered(before), asked(before)])).toBe('open');
});

test('without work there is nothing to shape, or nothing that Estribo covers', () => {
  const none = (operations: Programme['operations']) =>
    stoodAs((before) => ({
      shaping: { ...before.shaping, work: [] },
      programme: { ...before.programme, operations },
    }))('shape');
  expect(none([])).toBe('not-needed');
  expect(none(undefined)).toBe('not-covered');
});

test('putting on is done when a list was begun and none of its steps is left', () => {
  const strap = (list: unknown, now: unknown) =>
    stoodAs(({ strapping }) => ({ strapping: { ...strapping, list, now } as CaseState['strapping'] }))(
      'strap',
    );
  expect(strap({ id: 'putting-on' }, undefined)).toBe('done');
  expect(strap({ id: 'putting-on' }, { id: 'strap-1' })).toBe('open');
  expect(strap(undefined, undefined)).toBe('open');
  expect(stoodAs(family({ sequences: [] }))('strap')).toBe('not-covered');
  expect(stoodAs(family({ sequences: afterwards }))('strap')).toBe('not-covered');
});

test('checks are signed, or there are none', () => {
  expect(stoodAs(() => ({}))('check')).toBe('open');
  expect(stoodAs(family({ checks: [] }))('check')).toBe('not-covered');
  const limbs = { before: {}, after: {} } as CaseState['limbs'];
  const noted = (after: boolean) =>
    stoodAs((before) => ({
      ...family({ checks: [], limbs: 'before-and-after' })(before),
      limbs: after ? limbs : ({ before: {} } as CaseState['limbs']),
    }))('check');
  expect([noted(true), noted(false)]).toEqual(['done', 'open']);
});

test('wearing is planned and taught', () => {
  const wear = (more: Partial<CaseState['wearing']>) =>
    stoodAs(({ wearing }) => ({ wearing: { ...wearing, ...more } }))('wear');
  const [plan, taught] = [{}, {}] as [CaseState['wearing']['plan'], CaseState['wearing']['taught']];
  expect([wear({ plan }), wear({ taught }), wear({ plan, taught })]).toEqual(['open', 'open', 'done']);
});

test('what a family does not need in some cases it needs until somebody has said that it is such a case', () => {
  const set = (diabetes?: boolean) =>
    stoodAs(family({ notNeeded: [{ stage: 'set', when: whenPainful }] }), {
      ...nothingKnown,
      findings: diabetes === undefined ? {} : { diabetes },
    })('set');
  expect([set(), set(false), set(true)]).toEqual(['open', 'open', 'not-needed']);
  expect(stoodAs(family({ notNeeded: [{ stage: 'set' }] }))('set')).toBe('not-needed');
});

test('a mark of pressure that is open is waited for by the checks alone', () => {
  const log = testLogbook();
  log.looked();
  log.order();
  measured(log);
  log.write('size.chosen', decideSize(state(log))!);
  const marked = (open: boolean): CaseState => {
    const before = state(log);
    const marks = [{ state: open ? 'open' : 'clear' }] as unknown as CaseState['shaping']['marks'];
    return { ...before, shaping: { ...before.shaping, marks } };
  };
  expect(stillNeeded(marked(true), 'check')).toEqual(['marks']);
  expect(stillNeeded(marked(true), 'strap')).toEqual([]);
  expect(stillNeeded(marked(false), 'check')).toEqual([]);
  expect(stageStates(marked(true), nothingKnown).shape.status).toBe('open');
});
