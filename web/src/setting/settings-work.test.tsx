import { screen } from '@testing-library/react';
import { beltContext, testLogbook } from '../../../core/src/logbook/test-case';
import { showStage } from '../case/test-stage';
import SetStage from './set-stage';

jest.mock('../parts/chart', () => ({ __esModule: true, default: () => null }));

function beltLog() {
  const log = testLogbook(beltContext, 'midline');
  log.looked();
  log.order({ side: 'midline', phases: [{ fromDay: 0, limits: [] }], height: 'low' });
  log.read('girth-waist', 'midline', 918, 922);
  return log;
}

test('a belt: the mark that the size gives is said, both ends are taken together and held against it', async () => {
  const { user, written, figure } = await showStage(SetStage, beltLog(), { context: beltContext });
  expect(screen.getByText(/Wanted: mark 12\./)).toBeTruthy();
  await user.type(screen.getByLabelText('right'), '12');
  await user.type(screen.getByLabelText('left'), '11{Enter}');
  expect(written[0]).toMatchObject({
    kind: 'set.made',
    body: {
      setting: 'belt-ends',
      values: [
        { place: 'right', value: 12 },
        { place: 'left', value: 11 },
      ],
    },
  });
  expect(screen.getByRole('alert').textContent).toMatch(/The two differ by 1/);
  expect(figure().marks.find(({ id }) => id === 'belt-ends')?.state).toBe('bad');
  await user.clear(screen.getByLabelText('left'));
  await user.type(screen.getByLabelText('left'), '12{Enter}');
  expect(screen.queryByRole('alert')).toBeNull();
  // as it is it is not recorded again
  await user.type(screen.getByLabelText('left'), '{Enter}');
  expect(written).toHaveLength(2);
});

test('one of a pair alone, or half a mark, is asked for at its field, and nothing is lost', async () => {
  const { user, written } = await showStage(SetStage, beltLog(), { context: beltContext });
  await user.type(screen.getByLabelText('right'), '11,5');
  await user.click(screen.getByRole('button', { name: 'Both ends: Take it' }));
  expect(screen.getByText(/right.*whole/i)).toBeTruthy();
  expect(screen.getByText('Type a number.')).toBeTruthy();
  expect(written).toEqual([]);
  expect((screen.getByLabelText('right') as HTMLInputElement).value).toBe('11,5');
});

test('a panel is in or left out; a reader sees it and sets nothing', async () => {
  const log = beltLog();
  const { user, written } = await showStage(SetStage, log, { context: beltContext });
  await user.click(screen.getByRole('button', { name: 'Front panel: Left out' }));
  expect(written[0]!.body).toEqual({ setting: 'front-panel-in', fitted: false });
  await showStage(SetStage, log, { context: beltContext, role: 'reader' });
  expect(screen.getAllByText('Left out').length).toBeGreaterThan(0);
});
