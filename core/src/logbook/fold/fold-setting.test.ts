import { limitsOf } from '../../order';
import { foreignFaults } from '../belongs';
import { beltContext, contextOf, testLogbook } from '../test-case';
import { foldCase } from './fold-case';

const ankle = { joint: 'ankle', plane: 'sagittal' } as const;

const walker = contextOf('ankle-walker', {
  sizes: ['M'],
  axes: [{ reading: 'foot-length', resolution: 0, bands: [{ size: 'M', from: 200, to: 320 }] }],
  between: 'larger',
  disagree: 'larger',
});
const angle = (value: number) => ({ setting: 'ankle-angle', values: [{ place: 'one', value }] });
/** A walker ordered pointed by 20 for two weeks, then neutral; day zero is three days before the logbook's day. */
function walkerLog(phases = [{ fromDay: 0, limits: limitsOf(ankle, { extension: 20, flexion: 20 }) }]) {
  const log = testLogbook(walker, 'right');
  log.looked();
  log.order({ phases });
  return log;
}
const judgedOf = (log: ReturnType<typeof testLogbook>, context = walker) =>
  Object.fromEntries(
    foldCase(log.entries, context)!.setting.made.map(({ setting, judged }) => [setting.id, judged]),
  );

test('the ankle is set to what is ordered; neutral where nothing is', () => {
  const log = walkerLog();
  expect(judgedOf(log)['ankle-angle']).toEqual({ state: 'open' });
  log.write('set.made', angle(0));
  expect(judgedOf(log)['ankle-angle']).toEqual({ state: 'wrong', why: 'not-as-wanted', by: 20 });
  log.write('set.made', angle(19));
  expect(judgedOf(log)['ankle-angle']).toEqual({ state: 'right' });
  const free = walkerLog([{ fromDay: 0, limits: [] }] as never);
  free.write('set.made', angle(19));
  expect(judgedOf(free)['ankle-angle']).toMatchObject({ state: 'wrong', by: 19 });
});

// common practice: neutral unless ordered otherwise; never beyond an order
test.each([
  [{}, 0, 10],
  [{ extension: 10 }, 10, 0],
  [{ flexion: -8 }, -8, 0],
  [{ extension: -10 }, 0, -8],
  [{ extension: 10, flexion: 25 }, 18, 4],
])('ordered %j the boot may stand at %d, not at %d', (window, right, wrong) => {
  const log = walkerLog([{ fromDay: 0, limits: limitsOf(ankle, window) }] as never);
  log.write('set.made', angle(right));
  expect(judgedOf(log)['ankle-angle']).toEqual({ state: 'right' });
  log.write('set.made', angle(wrong));
  expect(judgedOf(log)['ankle-angle']).toMatchObject({ state: 'wrong', why: 'not-as-wanted' });
});

test('an order that changed judges what was set by the new one', () => {
  const log = walkerLog();
  log.write('set.made', angle(20));
  expect(judgedOf(log)['ankle-angle']).toEqual({ state: 'right' });
  log.order({ phases: [{ fromDay: 0, limits: limitsOf(ankle, { extension: 0, flexion: 0 }) }] });
  expect(judgedOf(log)['ankle-angle']).toMatchObject({ state: 'wrong', by: 20 });
});

test('Set is done when everything is right, and open while one of a pair differs', () => {
  const log = testLogbook(beltContext, 'midline');
  log.looked();
  log.order({ side: 'midline', phases: [{ fromDay: 0, limits: [] }] });
  log.read('girth-waist', 'midline', 918, 922);
  const status = () => foldCase(log.entries, beltContext)!.stages.set.status;
  expect(status()).toBe('open');
  const ends = (right: number, left: number) =>
    log.write('set.made', {
      setting: 'belt-ends',
      values: [
        { place: 'right', value: right },
        { place: 'left', value: left },
      ],
    });
  log.write('set.made', { setting: 'front-panel-in', fitted: true });
  ends(12, 11);
  expect(status()).toBe('open');
  // (920 + 120 - 240) / 2 = 400 a side; marks begin at 180, every 20: the twelfth
  ends(12, 12);
  expect(status()).toBe('done');
  ends(13, 13);
  expect(status()).toBe('open');
});

const frame = { programme: beltContext.programme, model: beltContext.model, side: 'midline' as const };
const faults = (body: object) =>
  foreignFaults(frame, { kind: 'set.made', body } as never).map(({ at }) => at);
const place = (name: string, value = 12) => ({ place: name, value });

test.each([
  ['a setting of another family', { setting: 'strokes-of-air', values: [place('one')] }, ['body.setting']],
  ['a place it does not have', { setting: 'belt-ends', values: [place('medial')] }, ['body.values[0].place']],
  [
    'a place twice',
    { setting: 'belt-ends', values: [place('left'), place('left')] },
    ['body.values[1].place'],
  ],
  ['half a mark', { setting: 'belt-ends', values: [place('left', 11.5)] }, ['body.values[0].value']],
  ['in or out of what has numbers', { setting: 'belt-ends', fitted: true }, ['body']],
  ['numbers of what is in or out', { setting: 'front-panel-in', values: [place('one')] }, ['body']],
  ['what is its own', { setting: 'belt-ends', values: [place('left'), place('right')] }, []],
])('%s', (_, body, at) => expect(faults(body)).toEqual(at));
