import { decideSetting } from '@estribo/core/setting';
import { foldCase } from '@estribo/core/logbook';
import { limitsOf } from '@estribo/core/order';
import { screen } from '@testing-library/react';
import { stopsMade, testContext, testLogbook } from '../../../core/src/logbook/test-case';
import { measuredLogbook, showStage } from '../case/test-stage';
import SetStage from './set-stage';

jest.mock('../parts/chart', () => ({ __esModule: true, default: () => null }));

const knee = { joint: 'knee', plane: 'sagittal' } as const;

const enter = async (user: { type: (element: Element, text: string) => Promise<void> }, text: string) =>
  user.type(screen.getByLabelText('Knee, neutral zero'), `${text}{Enter}`);

test('from the knee’s motion to stops in both hinges', async () => {
  const { user, written, state } = await showStage(SetStage, measuredLogbook());
  await enter(user, '0-8-84');
  expect(written[0]).toMatchObject({
    kind: 'motion.tested',
    stage: 'set',
    body: { extension: -8, flexion: 84, mode: 'passive' },
  });
  // 5 degrees are ordered and the pieces give 10: the loss is seen first
  await user.click(screen.getByRole('button', { name: 'Choose 10 / 90 for both hinges' }));
  expect(screen.getByText('Tick it first.')).toBeTruthy();
  await user.click(screen.getByRole('checkbox', { name: 'Seen; the prescriber will be told' }));
  await user.click(screen.getByRole('button', { name: 'Choose 10 / 90 for both hinges' }));
  const stops = stopsMade({ extension: 10, flexion: 90 });
  expect(written[1]).toMatchObject({
    kind: 'set.chosen',
    body: { ...stops, phase: 1, lost: { extension: 5, flexion: 0 }, acknowledged: true },
  });
  await user.click(screen.getByRole('button', { name: 'In both hinges: 10 / 90, moved by hand' }));
  expect(written[2]).toMatchObject({
    kind: 'set.made',
    body: { ...stops, moved: true, of: expect.any(String) },
  });
  expect(state().stages.set.status).toBe('done');
});

test('motion beyond the order is asked back, and recorded only when it did happen', async () => {
  const { user, written } = await showStage(SetStage, measuredLogbook());
  await enter(user, '0-0-100');
  expect(screen.getByText(/This lies outside the order \(5° to 90°\)/)).toBeTruthy();
  expect(written).toEqual([]);
  await user.click(screen.getByRole('button', { name: 'It did happen: record it' }));
  expect(written[0]!.body).toMatchObject({
    extension: 0,
    flexion: 100,
    limitReached: { extension: true, flexion: true },
  });
});

test('what is no neutral-zero reading is asked again', async () => {
  const { user, written } = await showStage(SetStage, measuredLogbook());
  await enter(user, '84');
  expect(screen.getByText(/Three numbers, the zero in the middle/)).toBeTruthy();
  expect(written).toEqual([]);
});

test('something else in the hinges is a fact: recorded, and the brace is to be looked at', async () => {
  const { user, written } = await showStage(SetStage, measuredLogbook());
  await enter(user, '0-10-80');
  await user.click(screen.getByRole('checkbox'));
  await user.click(screen.getByRole('button', { name: /^Choose/ }));
  await user.click(screen.getByRole('button', { name: 'Something else is in' }));
  const lateral = screen.getByRole('radiogroup', { name: 'Extension stop, lateral' });
  await user.click(lateral.querySelector('input[value="0"]')!);
  await user.click(screen.getByRole('button', { name: 'Record what is in' }));
  expect(written.at(-1)!.body).toMatchObject(
    stopsMade({ extension: 10, flexion: 90 }, { extension: 0, flexion: 90 }),
  );
  expect(screen.getByText('Medial and lateral are not alike.')).toBeTruthy();
  expect(screen.getByText('What is in the hinges lies outside the order.')).toBeTruthy();
});

test('a technician puts in what the orthotist chose: it is made, and nothing is to be looked at', async () => {
  const log = measuredLogbook();
  log.write(
    'set.chosen',
    decideSetting(foldCase(log.entries, testContext)!, 'hinge-stops', '2026-11-24', true)!,
  );
  const { user, written, state } = await showStage(SetStage, log, { role: 'technician' });
  await user.click(screen.getByRole('button', { name: 'Record what is in' }));
  await user.click(screen.getByRole('button', { name: 'Record what is in' }));
  expect(written[0]!.body).toMatchObject({ of: expect.any(String), moved: true });
  expect(written[0]!.body).not.toHaveProperty('found');
  expect(state().stages.set.status).toBe('done');
});

test('a technician chooses no stops and records what is in, as found: an orthotist looks at it', async () => {
  const { user, written } = await showStage(SetStage, measuredLogbook(), { role: 'technician' });
  expect(screen.queryByRole('button', { name: /^Choose/ })).toBeNull();
  expect(screen.getByText('Only an orthotist changes stops.')).toBeTruthy();
  await user.click(screen.getByRole('button', { name: 'Record what is in' }));
  await user.click(screen.getByRole('button', { name: 'Record what is in' }));
  expect(written).toMatchObject([{ kind: 'set.made', body: { found: true, moved: true } }]);
  expect(screen.getByText('It was found so, or done, by somebody whose work it is not.')).toBeTruthy();
});

test.each([
  [
    'one limit: no flexion piece is fitted, the 0 wedge stays',
    { window: {} },
    'Choose 0 / none for both hinges',
  ],
  ['extension alone', { window: { extension: 10 } }, 'Choose 10 / none for both hinges'],
  ['flexion alone', { window: { flexion: 90 } }, 'Choose 0 / 90 for both hinges'],
])('an order with %s', async (_, { window }, button) => {
  const { user } = await showStage(
    SetStage,
    measuredLogbook({ phases: [{ fromDay: 0, limits: limitsOf(knee, window) }] }),
  );
  await enter(user, '0-10-80');
  expect(screen.getByRole('button', { name: button })).toBeTruthy();
});

test.each([
  [{ extension: 35, flexion: 90 }, '0-40-80', 'No extension stop stays inside the order.'],
  [{ extension: 0, flexion: 50 }, '0-10-40', 'No flexion stop stays inside the order.'],
])('an order %j that no piece fits chooses nothing and says what to do', async (window, motion, said) => {
  const { user } = await showStage(
    SetStage,
    measuredLogbook({ phases: [{ fromDay: 0, limits: limitsOf(knee, window) }] }),
  );
  await enter(user, motion);
  expect(screen.getByText(said)).toBeTruthy();
  expect(screen.getByText(/Nothing is chosen/)).toBeTruthy();
  expect(screen.queryByRole('button', { name: /^Choose/ })).toBeNull();
});

test('without an order there are no stops', async () => {
  await showStage(SetStage, testLogbook());
  expect(screen.getByText(/This follows the order, and there is none yet/)).toBeTruthy();
});

test('a technician tests the knee and does not set', async () => {
  const { user, written } = await showStage(SetStage, measuredLogbook(), { role: 'technician' });
  await enter(user, '0-8-84');
  expect(written).toHaveLength(1);
  expect(screen.getByText('Only an orthotist changes stops.')).toBeTruthy();
});
