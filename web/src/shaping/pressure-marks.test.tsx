import { stillNeeded } from '@estribo/core/logbook';
import { act, screen } from '@testing-library/react';
import { shapedContext } from '../../../core/src/logbook/test-case';
import { shapedLogbook, showStage } from '../case/test-stage';
import ShapeStage from './shape-stage';

test('a mark is touched on the figure, trimmed, refitted, looked at again; until it is clear nothing is checked', async () => {
  const { user, written, state, figure } = await showStage(ShapeStage, shapedLogbook(), {
    context: shapedContext,
  });
  await user.click(screen.getByRole('button', { name: 'Mark it on the figure' }));
  const pointing = figure().pointing!;
  if (pointing.kind !== 'spot') throw new Error('no spot is asked for');
  act(() => pointing.onSpot({ level: -140, face: 'front', aside: 12 }));
  expect(screen.getByText(/^front, −140 mm from /)).toBeTruthy();
  await user.type(screen.getByLabelText('By how much'), '6');
  await user.click(screen.getByRole('button', { name: 'Take the mark' }));
  expect(written[0]).toMatchObject({
    kind: 'shape.marked',
    body: {
      part: 'shin-shell',
      from: 'mid-kneecap',
      offset: -140,
      face: 'front',
      aside: 12,
      way: 'trim',
      amount: 6,
    },
  });
  expect(figure().marks.find(({ kind }) => kind === 'spot')).toMatchObject({ label: '1', state: 'bad' });
  expect(stillNeeded(state(), 'check')).toEqual(['marks']);
  expect(state().stages.shape.status).toBe('open');

  await user.type(screen.getByLabelText(/Done by/), '4');
  await user.click(screen.getByRole('button', { name: 'Mark 1 is trimmed' }));
  expect(written[1]!.body).toMatchObject({ operation: 'trim-shell', part: 'shin-shell', amount: 4 });
  await user.click(screen.getByRole('button', { name: 'Mark 1 still presses' }));
  expect(screen.getByText(/4 mm done/)).toBeTruthy();
  // what is left of it is what is offered
  await user.click(screen.getByRole('button', { name: 'Mark 1 is trimmed' }));
  expect(written[3]!.body).toMatchObject({ amount: 2 });
  await user.click(screen.getByRole('button', { name: 'Mark 1: refitted, clear' }));
  expect(screen.getByText('Clear.')).toBeTruthy();
  expect(stillNeeded(state(), 'check')).toEqual([]);
});

test('a mark without the figure: its face and its level are typed; without either it is asked', async () => {
  const { user, written } = await showStage(ShapeStage, shapedLogbook(), { context: shapedContext });
  await user.type(screen.getByLabelText('By how much'), '6');
  await user.click(screen.getByRole('button', { name: 'Take the mark' }));
  expect(written).toEqual([]);
  expect(screen.getByText('Touch the figure, or type its level.')).toBeTruthy();
  await user.type(screen.getByLabelText('Level (− is below the mark)'), '-150');
  await user.click(screen.getByRole('button', { name: 'Take the mark' }));
  expect(written[0]!.body).toMatchObject({ offset: -150, face: 'front', aside: 0 });
});

test('a face that is chosen is no place yet, and can be chosen again', async () => {
  const { user, written } = await showStage(ShapeStage, shapedLogbook(), { context: shapedContext });
  await user.type(screen.getByLabelText('By how much'), '6');
  await user.click(screen.getByRole('radio', { name: 'medial' }));
  await user.click(screen.getByRole('button', { name: 'Take the mark' }));
  expect(written).toEqual([]);
  expect(screen.getByText('Touch the figure, or type its level.')).toBeTruthy();
  await user.click(screen.getByRole('radio', { name: 'lateral' }));
  await user.type(screen.getByLabelText('Level (− is below the mark)'), '-150');
  await user.click(screen.getByRole('button', { name: 'Take the mark' }));
  expect(written[0]!.body).toMatchObject({ face: 'lateral', offset: -150 });
});
