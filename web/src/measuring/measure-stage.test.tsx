import { screen } from '@testing-library/react';
import { contextOf, testLogbook } from '../../../core/src/logbook/test-case';
import { measuredLogbook, orderedLogbook, showStage } from '../case/test-stage';
import MeasureStage from './measure-stage';

const field = (name: RegExp | string) => screen.getByLabelText(name);

test('posture, mark and girths are asked for one after the other, and Enter takes', async () => {
  const { written, user, figure } = await showStage(MeasureStage, orderedLogbook());
  await user.type(field('Knee angle, right'), '31{Enter}');
  await user.click(screen.getByRole('button', { name: /It is marked/ }));
  await user.type(field('Girth above right, first reading'), '44,4 cm{Enter}');
  expect(written).toEqual([
    {
      kind: 'measure.read',
      stage: 'measure',
      body: { step: 'knee-posture', side: 'right', value: 31, instrument: 'goniometer' },
    },
    { kind: 'measure.marked', stage: 'measure', body: { step: 'mid-kneecap', side: 'right' } },
    {
      kind: 'measure.read',
      stage: 'measure',
      body: { step: 'girth-above', side: 'right', value: 444, instrument: 'tape' },
    },
  ]);
  // no angle is named for this family: it is noted
  expect(figure().goniometer).toEqual({ angle: 31 });
  expect(figure().steps?.find(({ state }) => state === 'now')).toMatchObject({
    step: { id: 'girth-above', distance: 150 },
    label: '150',
  });
});

test('the limb in hand is the one that is drawn', async () => {
  const log = orderedLogbook();
  log.read('knee-posture', 'right', 31);
  const { user, figure } = await showStage(MeasureStage, log);
  expect(figure().side).toBe('right');
  await user.click(screen.getByRole('button', { name: /^Left leg/ }));
  expect(figure().side).toBe('left');
});

test('the first reading is nowhere to be seen until the second is in', async () => {
  const log = orderedLogbook();
  log.read('knee-posture', 'right', 31);
  log.write('measure.marked', { step: 'mid-kneecap', side: 'right' });
  log.read('girth-above', 'right', 431);
  const { user } = await showStage(MeasureStage, log);
  expect(document.body.textContent).not.toContain('431');
  expect(screen.getByText(/First reading taken, out of sight/)).toBeTruthy();
  await user.type(field('Girth above right, second reading'), '438{Enter}');
  expect(screen.getByText('7 mm apart, more than the 5 mm allowed: take a third.')).toBeTruthy();
  expect(field('Girth above right, third reading')).toBeTruthy();
});

test('a knee that is not at its angle is read again', async () => {
  const context = contextOf('knee-sleeve', {
    sizes: ['S'],
    axes: [],
    between: 'larger',
    disagree: 'primary',
  });
  const log = testLogbook(context, 'right');
  log.write('measure.marked', { step: 'standing', side: 'midline' });
  const { user, written, figure } = await showStage(MeasureStage, log, { context });
  expect(figure().goniometer).toEqual({ wanted: 30 });
  await user.type(field('Knee angle, right'), '20{Enter}');
  expect(screen.getByText(/^20° is 10° off. Bring the joint there and read again;/)).toBeTruthy();
  await user.type(field('Knee angle, right'), '33{Enter}');
  expect(written).toHaveLength(2);
  expect(screen.getByRole('button', { name: /It is marked/ })).toBeTruthy();
});

test.each([
  ['44x', /This is not a length/],
  ['', /Type a number/],
])('"%s" is asked again at the field, and nothing is written', async (typed, problem) => {
  const log = orderedLogbook();
  log.read('knee-posture', 'right', 31);
  log.write('measure.marked', { step: 'mid-kneecap', side: 'right' });
  const { user, written } = await showStage(MeasureStage, log);
  await user.type(field('Girth above right, first reading'), `${typed}{Enter}`);
  expect(screen.getByText(problem)).toBeTruthy();
  expect(written).toEqual([]);
  expect((field('Girth above right, first reading') as HTMLInputElement).value).toBe(typed);
});

test('B turns to the other side; a side in a cast is left out with one reason', async () => {
  const { user, written } = await showStage(MeasureStage, orderedLogbook());
  await user.keyboard('b');
  expect(field('Knee angle, left')).toBeTruthy();
  await user.click(screen.getByRole('button', { name: 'Cannot be taken' }));
  await user.click(screen.getByRole('button', { name: 'Leave the whole left side out' }));
  expect(screen.getByText('Give the reason in a few words.')).toBeTruthy();
  await user.type(field(/Why/), 'in a cast');
  await user.click(screen.getByRole('button', { name: 'Leave the whole left side out' }));
  expect(written.map(({ kind, body }) => [kind, body.step, body.side, body.reason])).toEqual(
    ['knee-posture', 'mid-kneecap', 'girth-above', 'girth-below', 'calf-sign'].map((step) => [
      'measure.skipped',
      step,
      'left',
      'in a cast',
    ]),
  );
});

test('when both legs are measured both sides stand beside each other with their difference', async () => {
  const log = measuredLogbook();
  const { user, written } = await showStage(MeasureStage, log);
  await user.click(screen.getByRole('button', { name: 'Leave it open' }));
  expect(screen.getByRole('heading', { name: 'Everything is measured' })).toBeTruthy();
  expect(screen.getByRole('button', { name: 'Girth above, right: 445 ± 7' })).toBeTruthy();
  expect(screen.getAllByText('0 mm')).toHaveLength(2);
  expect(written).toEqual([]);
});

test('a reader sees and takes nothing', async () => {
  await showStage(MeasureStage, orderedLogbook(), { role: 'reader' });
  expect(screen.getByText('Your role reads this; it does not write it.')).toBeTruthy();
  expect(screen.queryByRole('button', { name: /Take it/ })).toBeNull();
});
