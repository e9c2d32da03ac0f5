import { engineVersion } from '@estribo/core/record';
import { screen } from '@testing-library/react';
import { measuredLogbook, orderedLogbook, showStage } from '../case/test-stage';
import SizeStage from './size-stage';

test('the size is taken with what it was made from', async () => {
  const { user, written, state } = await showStage(SizeStage, measuredLogbook());
  expect(screen.getByText('over 99 % sure.')).toBeTruthy();
  await user.click(screen.getByRole('button', { name: 'Take size M' }));
  expect(written[0]).toMatchObject({
    kind: 'size.chosen',
    body: { size: 'M', rule: 'inside', chart: 1, engine: engineVersion },
  });
  expect((written[0]!.body.madeFrom as string[]).length).toBe(4);
  expect(state().stages.size.status).toBe('done');
  expect(screen.getByRole('heading', { name: 'Size M is chosen' })).toBeTruthy();
});

test('another size needs a reason and keeps what was computed', async () => {
  const { user, written } = await showStage(SizeStage, measuredLogbook());
  await user.click(screen.getByRole('button', { name: 'Another size' }));
  await user.click(screen.getByRole('radio', { name: 'L' }));
  await user.click(screen.getByRole('button', { name: 'Take size L' }));
  expect(screen.getByText('Give the reason in a few words.')).toBeTruthy();
  await user.type(screen.getByLabelText('Why this one'), 'swelling is still coming');
  await user.click(screen.getByRole('button', { name: 'Take size L' }));
  expect(written[0]!.body).toMatchObject({ size: 'L', computed: 'M', reason: 'swelling is still coming' });
});

test('a missing reading is named and no size can be taken', async () => {
  const log = orderedLogbook();
  log.read('girth-above', 'right', 444, 446);
  await showStage(SizeStage, log);
  expect(screen.getByText('Still missing: Girth below.')).toBeTruthy();
  expect(screen.queryByRole('button', { name: /Take/ })).toBeNull();
});

test('a leg off the chart is made to measure, and says by how much', async () => {
  const log = orderedLogbook();
  log.read('girth-above', 'right', 560, 562);
  log.read('girth-below', 'right', 400, 402);
  const { user, written } = await showStage(SizeStage, log);
  expect(screen.getByText(/71 mm beyond L above the knee, off the chart/)).toBeTruthy();
  await user.click(screen.getByRole('button', { name: 'Order made to measure' }));
  expect(written[0]!.body).toMatchObject({ rule: 'outside' });
  expect(written[0]!.body.size).toBeUndefined();
});

test('between sizes the reading that would help is named', async () => {
  const log = orderedLogbook();
  log.read('girth-above', 'right', 459, 459);
  log.read('girth-below', 'right', 348, 348);
  await showStage(SizeStage, log);
  expect(screen.getByText(/1 mm from L above the knee/)).toBeTruthy();
  expect(screen.getByText(/the chart takes the larger: L/)).toBeTruthy();
});

test('the reasons open: readings, rule and source', async () => {
  const { user } = await showStage(SizeStage, measuredLogbook());
  await user.click(screen.getByRole('button', { name: 'Why' }));
  expect(screen.getByText(/JCGM 100:2008/)).toBeTruthy();
  expect(screen.getByText(/mean 445 mm of 2; own part 1.8, shared part 3.0/)).toBeTruthy();
});

test('a technician sees the size and does not decide it', async () => {
  await showStage(SizeStage, measuredLogbook(), { role: 'technician' });
  expect(screen.getByText('An orthotist decides the size.')).toBeTruthy();
  expect(screen.queryByRole('button', { name: 'Take size M' })).toBeNull();
});
