import { decideSize } from '../sizing';
import { foldCase } from './fold-case';
import { stageAt, stillNeeded } from './stage-states';
import { contextOf, testContext, testLogbook } from './test-case';

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
