import { decideSize } from '@estribo/core/sizing';
import { foldCase, stillNeeded } from '@estribo/core/logbook';
import { beltContext, testContext, testLogbook } from '../../../core/src/logbook/test-case';
import { act, screen, within } from '@testing-library/react';
import { orderedLogbook, sizedLogbook, showStage } from '../case/test-stage';
import StrapStage from './strap-stage';

/** A logbook in which the sequence is done up to a step. */
function strappedTo(step: string) {
  const log = sizedLogbook();
  const order = [
    'open-all',
    'draw-on',
    'level-hinges',
    'strap-1',
    'strap-2',
    'press-hinges',
    'strap-3',
    'strap-4',
    'strap-5',
    'strap-6',
    'settling-walk',
  ];
  for (const id of order.slice(0, order.indexOf(step))) log.write('strap.done', { step: id, pass: 1 });
  return log;
}

/** The clock of the walk is the test's to move; what fingers and screens wait for goes on by itself. */
const startClock = () =>
  jest.useFakeTimers({
    now: new Date('2026-11-24T10:00:00Z'),
    doNotFake: [
      'setTimeout',
      'clearTimeout',
      'setImmediate',
      'clearImmediate',
      'queueMicrotask',
      'nextTick',
      'performance',
      'requestAnimationFrame',
      'cancelAnimationFrame',
    ],
  });
afterEach(() => jest.useRealTimers());

test('one strap at a time: posture and what to hold stand large, and the figure shows the number', async () => {
  const { user, written, figure } = await showStage(StrapStage, strappedTo('strap-2'));
  expect(screen.getByText('Knee 45°')).toBeTruthy();
  expect(screen.getByText('Hold the frame level; close strap 2.')).toBeTruthy();
  const drawn = (state: string) =>
    figure().parts!.flatMap((one) =>
      one.part.kind === 'strap' && one.state === state ? [one.part.mark] : [],
    );
  expect(drawn('now')).toEqual(['2']);
  expect(drawn('done')).toEqual(['1']);
  expect(drawn('ahead')).toEqual(['3', '4', '5', '6']);
  await user.keyboard('{Enter}');
  expect(written).toEqual([{ kind: 'strap.done', stage: 'strap', body: { step: 'strap-2', pass: 1 } }]);
  expect(screen.getByText('Press both hinges back')).toBeTruthy();
});

test('strap 5 carries the caution of the fibular neck', async () => {
  await showStage(StrapStage, strappedTo('strap-5'));
  expect(screen.getByText(/neck of the fibula/)).toBeTruthy();
});

test('the walk runs on a clock, and what it was is recorded: time and drop', async () => {
  startClock();
  const { user, written } = await showStage(StrapStage, strappedTo('settling-walk'));
  expect(screen.getByRole('timer').textContent).toBe('5:00');
  await user.click(screen.getByRole('button', { name: /Start the walk/ }));
  expect(screen.getByText(/The walk is to last 5 minutes/)).toBeTruthy();
  act(() => void jest.advanceTimersByTime(4 * 60_000 + 30_000));
  expect(screen.getByRole('timer').textContent).toBe('0:30');
  await user.type(screen.getByLabelText('Dropped by (may stay empty)'), '0,4 cm{Enter}');
  expect(written[0]!.body).toEqual({ step: 'settling-walk', pass: 1, minutes: 4.5, dropped: 4 });
  expect(screen.getByText(/Second tightening: re-tighten/)).toBeTruthy();
});

test('a walk that was started goes on when something else is written and the page is loaded again', async () => {
  startClock();
  const log = strappedTo('settling-walk');
  const { user, leave } = await showStage(StrapStage, log);
  await user.click(screen.getByRole('button', { name: /Start the walk/ }));
  leave();
  log.looked();
  jest.advanceTimersByTime(60_000);
  await showStage(StrapStage, log, { keepsDrafts: true });
  expect(screen.getByRole('timer').textContent).toBe('4:00');
});

test('what the brace dropped by is said in inches where inches are read', async () => {
  const log = strappedTo('settling-walk');
  log.write('strap.done', { step: 'settling-walk', pass: 1, minutes: 5, dropped: 6 });
  await showStage(StrapStage, log, { unit: 'in' });
  expect(screen.getByText(/Dropped 1\/4 in\./)).toBeTruthy();
});

test('putting it on anew starts the sequence, and the old one stays in the record', async () => {
  const log = strappedTo('strap-4');
  const { user, written, state } = await showStage(StrapStage, log);
  await user.click(screen.getByRole('button', { name: 'Put it on anew' }));
  expect(written[0]!.kind).toBe('strap.begun');
  expect(state().strapping.now?.id).toBe('open-all');
  expect(state().lines.filter(({ entry }) => entry.kind === 'strap.done')).toHaveLength(7);
});

test('reception and readers close no strap', async () => {
  await showStage(StrapStage, strappedTo('strap-1'), { role: 'reader' });
  expect(screen.queryByRole('button', { name: /is closed/ })).toBeNull();
});

test('before the look, the order and the size are there a strap is looked at and not recorded', async () => {
  const log = orderedLogbook();
  await showStage(StrapStage, log);
  expect(screen.queryByRole('button', { name: /is closed|are open/ })).toBeNull();
  expect(screen.queryByText(/Your role reads this/)).toBeNull();
  expect(stillNeeded(foldCase(log.entries, testContext)!, 'strap')).toEqual(['size']);
});

test('while a finding stops the fitting nothing is recorded', async () => {
  const log = sizedLogbook();
  log.looked('limb-cold');
  await showStage(StrapStage, log);
  expect(screen.queryByRole('button', { name: /is closed|are open/ })).toBeNull();
});

const felt = { movement: 'full', sensation: 'full' } as const;
const wholeLimbs = { 'left-arm': felt, 'right-arm': felt, 'left-leg': felt, 'right-leg': felt };

/** A case whose stage may be worked in: looked at, ordered, sized. */
function sizedBelt(more: object = {}) {
  const log = testLogbook(beltContext, 'midline');
  log.looked();
  log.write('limbs.noted', { moment: 'before', limbs: wholeLimbs });
  log.order({ side: 'midline', phases: [{ fromDay: 0, limits: [] }], height: 'low', ...more });
  log.read('girth-waist', 'midline', 918, 922);
  log.read('girth-waist-above', 'midline', 900, 902);
  log.read('girth-waist-below', 'midline', 950, 952);
  log.read('l1-to-l5', 'midline', 148, 150);
  log.write('size.chosen', decideSize(foldCase(log.entries, beltContext)!)!);
  return log;
}

test('a brace with two ways of putting it on asks which; the other is one touch away and begins anew', async () => {
  const { user, written } = await showStage(StrapStage, sizedBelt(), { context: beltContext });
  expect(screen.getByRole('heading', { name: 'How is it put on?' })).toBeTruthy();
  expect(screen.queryByRole('button', { name: /^Done/ })).toBeNull();
  await user.click(screen.getByRole('button', { name: /^Alone, seated/ }));
  expect(written[0]!.body).toEqual({ list: 'seated-alone' });
  await user.click(screen.getByRole('button', { name: /^Done/ }));
  expect(written[1]!.body).toEqual({ step: 'lay-out', pass: 1 });
  // the patient is moved by it: the facility's policy is asked for before anything begins
  await user.click(screen.getByRole('button', { name: 'Lying, by log-roll instead' }));
  expect(written).toHaveLength(2);
  expect(screen.getByText(/rolled as one, by the facility’s own handling policy/)).toBeTruthy();
  await user.click(screen.getByRole('button', { name: /The policy is known/ }));
  expect(written[2]!.body).toEqual({ list: 'lying-log-roll', policy: true });
  // how the patient is put into it and over which side are the order's: asked, and waited for
  expect(screen.getByText('Lying or seated: how the patient is put into it.')).toBeTruthy();
  expect(screen.getByText('Over which side the patient is rolled.')).toBeTruthy();
  expect(screen.queryByRole('button', { name: /^Done/ })).toBeNull();
});

/** A belt that is put on lying, as it is ordered. */
function lyingBelt() {
  const log = sizedBelt({ posture: 'lying', roll: 'left' });
  log.write('strap.begun', { list: 'lying-log-roll', policy: true });
  log.write('strap.done', { step: 'lay-out', pass: 1 });
  return log;
}

test('at the roll stand who does it, how the patient lies and the danger of it', async () => {
  await showStage(StrapStage, lyingBelt(), { context: beltContext });
  expect(screen.getByText('Log-roll to the far side')).toBeTruthy();
  expect(screen.getByText('helper')).toBeTruthy();
  expect(screen.getAllByText(/Stop at any new pain, weakness or numbness/).length).toBeGreaterThan(0);
});

test('a loss in mid-roll: back to supine in line, call; donning is withheld until a record shows it back', async () => {
  const { user, written, state } = await showStage(StrapStage, lyingBelt(), { context: beltContext });
  await user.click(screen.getByRole('button', { name: 'Movement or sensation lost' }));
  expect(written[0]).toMatchObject({ kind: 'strap.lost', body: { step: 'roll-away' } });
  expect(screen.getByText('Complete the roll back to supine, in line.')).toBeTruthy();
  expect(screen.queryByRole('button', { name: /^Done/ })).toBeNull();
  expect(state().calls).toMatchObject([{ why: 'lost-in-move', whom: 'emergency' }]);
  // one touch says which limb; nothing is recorded full that nobody said, and the loss stays
  const leg = within(screen.getByRole('radiogroup', { name: 'Left leg, movement' }));
  await user.click(leg.getByRole('radio', { name: 'less' }));
  expect(screen.queryByRole('button', { name: /full in both arms/ })).toBeNull();
  await user.click(screen.getByRole('button', { name: 'Record: Left leg: movement less. All else full.' }));
  expect(written[1]!.body).toMatchObject({
    moment: 'after',
    limbs: { 'left-leg': { movement: 'less', sensation: 'full' }, 'right-leg': { movement: 'full' } },
  });
  expect(state().strapping.lost).toBeDefined();
  expect(state().calls.map(({ why }) => why)).toEqual(expect.arrayContaining(['lost-in-move', 'finding']));
  expect(screen.queryByRole('button', { name: /^Done/ })).toBeNull();
  // back as before donning: cleared by who records it
  await user.click(screen.getByRole('button', { name: 'Record again' }));
  await user.click(screen.getByRole('button', { name: 'Record full in both arms and both legs' }));
  expect(state().strapping.lost).toBeUndefined();
});

test('a step before its turn is asked about, and recorded as meant; the one before it stays to be done', async () => {
  const { user, written } = await showStage(StrapStage, strappedTo('strap-3'));
  await user.click(screen.getByRole('button', { name: /^9\. Strap 5/ }));
  expect(screen.getByText('“Strap 5” stands after “Strap 3”, which is not done yet.')).toBeTruthy();
  expect(written).toEqual([]);
  await user.click(screen.getByRole('button', { name: 'Do it now: Strap 5' }));
  await user.click(screen.getByRole('button', { name: /Strap 5 is closed/ }));
  expect(written[0]!.body).toEqual({ step: 'strap-5', pass: 1, outOfOrder: true });
  expect(screen.getByRole('button', { name: /Strap 3 is closed/ })).toBeTruthy();
});

test('a foot pedal goes on to the next step', async () => {
  const { user, written } = await showStage(StrapStage, strappedTo('strap-2'));
  await user.keyboard('{PageDown}');
  expect(written[0]!.body).toEqual({ step: 'strap-2', pass: 1 });
});

test('what a strap pulls with is said as pressure under it, and compared over the straps', async () => {
  const { user, written } = await showStage(StrapStage, strappedTo('strap-2'));
  const measure = async (newtons: string) => {
    await user.click(screen.getByRole('button', { name: 'Pull and pressure' }));
    await user.clear(screen.getByLabelText('Girth at the strap'));
    await user.type(screen.getByLabelText('Girth at the strap'), '360');
    await user.type(screen.getByLabelText('Pull'), `${newtons}{Enter}`);
  };
  await measure('20');
  expect(written[0]).toMatchObject({
    kind: 'strap.tension',
    body: { part: 'strap-2', newtons: 20, from: 'typed' },
  });
  // 20 N over a strap of 20 mm on a round limb of 360 mm: T 2 pi / (w C) = 17.45 kPa, 131 mmHg
  expect(screen.getByText('About 131 mmHg (17.5 kPa) under it')).toBeTruthy();
  await user.click(screen.getByRole('button', { name: /Strap 2 is closed/ }));
  await user.click(screen.getByRole('button', { name: /^Done/ }));
  await measure('40');
  expect(
    screen.getByText(/Not the same pull: Strap 2 33 % under the mean; Strap 3 33 % over the mean/),
  ).toBeTruthy();
});

test('put on anew, a list that moves somebody asks for the policy again; cancelled, what was done goes on', async () => {
  const { user, written } = await showStage(StrapStage, lyingBelt(), { context: beltContext });
  await user.click(screen.getByRole('button', { name: 'Put it on anew' }));
  expect(written).toEqual([]);
  await user.click(screen.getByRole('button', { name: 'Cancel' }));
  expect(screen.getByText('helper')).toBeTruthy();
  await user.click(screen.getByRole('button', { name: 'Put it on anew' }));
  await user.click(screen.getByRole('button', { name: /The policy is known/ }));
  expect(written.map(({ kind, body }) => [kind, body.policy])).toEqual([['strap.begun', true]]);
});
