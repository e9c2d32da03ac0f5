import { act, screen } from '@testing-library/react';
import { beltContext, contextOf, testLogbook } from '../../../core/src/logbook/test-case';
import { orderedLogbook, showStage } from '../case/test-stage';
import MeasureStage from './measure-stage';

const field = (name: RegExp | string) => screen.getByLabelText(name);
const one = (reading: string, sizes: string[], edges: number[]) => ({
  sizes,
  axes: [
    { reading, resolution: 0, bands: sizes.map((size, i) => ({ size, from: edges[i]!, to: edges[i + 1]! })) },
  ],
  between: 'larger' as const,
  disagree: 'primary' as const,
});
const collar = contextOf('neck-collar', {
  ...one('age', ['P1', 'P2'], [0, 4, 9]),
  axes: [
    ...one('age', ['P1', 'P2'], [0, 4, 9]).axes,
    ...one('weight', ['P1', 'P2'], [3, 16, 28]).axes,
    ...one('stature', ['P1', 'P2'], [480, 1000, 1330]).axes,
  ],
});

afterEach(() => localStorage.clear());

test('a reading that is odd is asked about and can be taken as it is or as it was meant', async () => {
  const log = orderedLogbook();
  log.read('knee-posture', 'right', 31);
  log.write('measure.marked', { step: 'mid-kneecap', side: 'right' });
  const { user, written } = await showStage(MeasureStage, log);
  await user.type(field('Girth above right, first reading'), '44,5{Enter}');
  expect(
    screen.getByText(
      /45 mm is far from what is usual at this stature, read or estimated from the age: about \d{3} mm/,
    ),
  ).toBeTruthy();
  expect(written).toEqual([]);
  await user.click(screen.getByRole('button', { name: 'Take 445 mm' }));
  expect(written[0]).toMatchObject({ body: { value: 445 } });
  expect(written[0]!.body.questioned).toBeUndefined();
  await user.type(field('Girth above right, second reading'), '40{Enter}');
  await user.click(screen.getByRole('button', { name: 'Record anyway' }));
  expect(written[1]).toMatchObject({ body: { value: 40, questioned: 'stature' } });
});

test('on a trunk there is no other side; lying stands in for standing, with its larger uncertainty', async () => {
  const log = testLogbook(beltContext, 'midline');
  log.write('measure.marked', { step: 'stance', side: 'midline', stance: 'standing' });
  log.write('measure.marked', { step: 'waist', side: 'midline' });
  const { user, written, state } = await showStage(MeasureStage, log, { context: beltContext });
  expect(screen.queryByRole('button', { name: /^B/ })).toBeNull();
  await user.click(screen.getByRole('button', { name: 'Cannot be taken' }));
  await user.type(field(/^Why \(cast/), 'cannot stand');
  expect(screen.getByText('Its uncertainty grows: ± 6 mm becomes ± 14 mm.')).toBeTruthy();
  await user.click(screen.getByRole('button', { name: 'Take it lying instead' }));
  await user.type(field('Waist girth, first reading'), '86,2 cm{Enter}');
  await user.type(field('Waist girth, second reading'), '866{Enter}');
  expect(written[0]).toMatchObject({ kind: 'measure.skipped', body: { substitute: 'lying' } });
  expect(state().sizing.readings['girth-waist']).toMatchObject({ mean: 864, sharedPart: 14 });
  expect(screen.getByText(/taken lying/)).toBeTruthy();
});

test('what may be left open comes last and is left with one touch', async () => {
  const distances = { distances: { 'girth-above': 150, 'girth-below': -150 } };
  const unloader = contextOf(
    'unloader-one-screw',
    one('girth-above', ['S', 'M'], [380, 440, 500]),
    distances,
  );
  const log = testLogbook(unloader, 'right');
  log.read('knee-posture', 'right', 31);
  log.write('measure.marked', { step: 'mid-kneecap', side: 'right' });
  log.read('girth-above', 'right', 444, 446);
  log.read('girth-below', 'right', 347, 349);
  const { user, written } = await showStage(MeasureStage, log, { context: unloader });
  expect(field('Knee angle, left')).toBeTruthy();
  await user.click(screen.getByRole('button', { name: /^Calf below the tuberosity, right/ }));
  await user.click(screen.getByRole('button', { name: 'Leave it open' }));
  expect(field('Knee angle, left')).toBeTruthy();
  expect(written).toEqual([]);
});

test('a child’s age comes from the day of birth, the weight in kilograms or pounds', async () => {
  const log = testLogbook(collar, 'midline');
  log.write('measure.marked', { step: 'in-line', side: 'midline' });
  const { user, written } = await showStage(MeasureStage, log, { context: collar, born: '2022-03-11' });
  await user.click(screen.getByRole('button', { name: 'By the day of birth: 4.7 years' }));
  expect(screen.queryByRole('textbox', { name: /^Age/ })).toBeNull();
  await user.type(field('Weight, first reading'), '300{Enter}');
  expect(screen.getByText(/^300.0 kg is not what this usually measures \(/)).toBeTruthy();
  await user.click(screen.getByRole('button', { name: 'Change it' }));
  // beyond what any body has: refused beside the field, with the field, its bounds and the unit
  await user.type(field('Weight, first reading'), '700{Enter}');
  expect(screen.getByText('Weight, first reading: from 0.2 kg to 500.0 kg.')).toBeTruthy();
  await user.clear(field('Weight, first reading'));
  await user.type(field('Weight, first reading'), '41 lb{Enter}');
  await user.type(field('Weight, second reading'), '18,6{Enter}');
  expect(written.map(({ body }) => [body.step, body.side, body.instrument])).toEqual([
    ['age', 'midline', 'told'],
    ['weight', 'midline', 'scale'],
    ['weight', 'midline', 'scale'],
  ]);
  expect(written[0]!.body.value).toBe(4.7);
  expect(written[1]!.body.value as number).toBeCloseTo(18.597, 3);
  expect(field('Length, first reading')).toBeTruthy();
  await user.type(field('Length, first reading'), '1070{Enter}');
  await user.type(field('Length, second reading'), '1074{Enter}');
  expect(screen.getByRole('heading', { name: 'What size this points to' })).toBeTruthy();
});

test('a motion is taken by neutral zero in each mode, with its caution', async () => {
  const context = contextOf('shoulder-support', one('girth-upper-arm', ['1', '2'], [200, 300, 400]));
  const log = testLogbook(context, 'left');
  const { user, written } = await showStage(MeasureStage, log, { context });
  // asked only where order or injury allows it: it may be left out
  expect(screen.queryByText(/at its limit stop: not tested beyond/)).toBeNull();
  await user.click(screen.getByRole('button', { name: /^Abduction and adduction, left/ }));
  expect(screen.getByText(/at its limit stop: not tested beyond/)).toBeTruthy();
  await user.type(field('Abduction and adduction, active, left'), '100-0-30{Enter}');
  // passive may be tested as well, and is not asked for
  await user.click(screen.getByRole('button', { name: /^Abduction and adduction, left/ }));
  await user.type(field('Abduction and adduction, passive, left'), '110-0-35{Enter}');
  expect(
    written.map(({ kind, stage, body }) => [kind, stage, body.step, body.mode, body.extension, body.flexion]),
  ).toEqual([
    ['motion.tested', 'measure', 'shoulder-abduction', 'active', 100, 30],
    ['motion.tested', 'measure', 'shoulder-abduction', 'passive', 110, 35],
  ]);
  await user.click(screen.getByRole('button', { name: /^Rotation, arm at the side, left/ }));
  await user.type(field('Rotation, arm at the side, active, left'), 'far{Enter}');
  expect(screen.getByText(/Three numbers/)).toBeTruthy();
});

test('a shoe size is turned into a foot’s length, and called an estimate', async () => {
  const context = contextOf('ankle-walker', one('foot-length', ['S', 'M'], [220, 260, 290]));
  const log = testLogbook(context, 'right');
  log.write('measure.marked', { step: 'stance', side: 'midline', stance: 'seated' });
  log.read('ankle-posture', 'right', 1);
  const { user, written } = await showStage(MeasureStage, log, { context });
  await user.click(screen.getByRole('radio', { name: 'EU' }));
  await user.type(field('Foot length, right'), '42');
  expect(screen.getByText(/About 265 mm foot length/)).toBeTruthy();
  await user.keyboard('{Enter}');
  expect(written[0]!.body.value as number).toBeCloseTo(265, 9);
});

test('a repeat is rejected with its reason and stays in the record', async () => {
  const log = testLogbook(beltContext, 'midline');
  log.write('measure.marked', { step: 'stance', side: 'midline', stance: 'standing' });
  log.write('measure.marked', { step: 'waist', side: 'midline' });
  log.read('girth-waist', 'midline', 862, 900);
  const { user, written } = await showStage(MeasureStage, log, { context: beltContext });
  await user.click(screen.getByRole('button', { name: 'Reject a reading' }));
  await user.click(screen.getByRole('button', { name: 'Reject 900 mm' }));
  expect(screen.getByText('Give the reason in a few words.')).toBeTruthy();
  await user.type(field('Reason'), 'tape slipped');
  await user.click(screen.getByRole('button', { name: 'Reject 900 mm' }));
  expect(written[0]).toMatchObject({ kind: 'record.withdrawn', reason: 'tape slipped' });
  expect(field('Waist girth, second reading')).toBeTruthy();
});

test('a calf much larger than the other one is a prompt to refer', async () => {
  const context = contextOf('knee-sleeve', one('girth-above', ['S', 'M'], [300, 400, 500]));
  const log = testLogbook(context, 'right');
  log.read('calf-sign', 'right', 392, 393);
  log.read('calf-sign', 'left', 358, 359);
  await showStage(MeasureStage, log, { context });
  expect(screen.getByText(/The right calf is 34 mm larger.*a prompt to refer, not a diagnosis/)).toBeTruthy();
});

test('the clinic’s own deviation is offered and taken over', async () => {
  globalThis.fetch = (async () =>
    new Response(
      JSON.stringify({ own: { pairs: 31, withinPerson: 3.1, coefficient: 8.6 } }),
    )) as typeof fetch;
  const log = testLogbook(beltContext, 'midline');
  log.write('measure.marked', { step: 'stance', side: 'midline', stance: 'standing' });
  log.write('measure.marked', { step: 'waist', side: 'midline' });
  const { user, written, state } = await showStage(MeasureStage, log, { context: beltContext });
  await user.click(await screen.findByRole('button', { name: 'Use the clinic’s own' }));
  expect(written[0]).toMatchObject({
    kind: 'measure.precision',
    body: { step: 'girth-waist', withinPerson: 3.1, pairs: 31 },
  });
  expect(state().measuring.precisions).toHaveLength(1);
  expect(screen.getByText(/own deviation is used, from 31 pairs/)).toBeTruthy();
});

/** The browser's event stream, spoken for by the test. */
class Stream extends EventTarget {
  static last: Stream | undefined;
  constructor(readonly url: string) {
    super();
    Stream.last = this;
  }
  close() {}
  say(event: string, data: object) {
    act(() => void this.dispatchEvent(new MessageEvent(event, { data: JSON.stringify(data) })));
  }
}

test('Space takes the instrument’s value with its calibration; a lost one gives nothing', async () => {
  (globalThis as unknown as { EventSource: unknown }).EventSource = Stream;
  localStorage.setItem('estribo-instruments', 'on');
  const log = testLogbook(beltContext, 'midline');
  log.write('measure.marked', { step: 'stance', side: 'midline', stance: 'standing' });
  log.write('measure.marked', { step: 'waist', side: 'midline' });
  const { user, written } = await showStage(MeasureStage, log, { context: beltContext });
  expect(Stream.last!.url).toMatch(/kind=tape&case=.*&step=girth-waist&side=midline$/);
  const line = {
    instrument: 'stand-in-tape',
    name: 'Tape 1',
    kind: 'tape',
    at: '2026-11-24T09:00:00Z',
    value: 863.24,
    offset: 0.6,
    calibrated: '2025-09-25',
    validUntil: '2026-09-25',
    simulated: true,
  };
  Stream.last!.say('reading', line);
  expect(screen.getByText('Calibration overdue since 25 Sept.')).toBeTruthy();
  await user.click(field('Waist girth, first reading'));
  await user.keyboard(' ');
  expect(written[0]!.body).toMatchObject({
    value: 863.2,
    instrument: 'tape',
    device: 'stand-in-tape',
    calibrated: '2025-09-25',
    offset: 0.6,
  });
  Stream.last!.say('lost', { instrument: 'stand-in-tape' });
  expect(screen.getByText(/connection lost, trying again/)).toBeTruthy();
  await user.click(field('Waist girth, second reading'));
  await user.keyboard(' ');
  expect(screen.getByText('The instrument has given no value yet.')).toBeTruthy();
  expect(written).toHaveLength(1);
  // a space inside what is typed is part of it
  await user.type(field('Waist girth, second reading'), '33 7/8 in{Enter}');
  expect(written[1]!.body.value as number).toBeCloseTo(860.425, 6);
});
