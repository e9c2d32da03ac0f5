import { screen, within } from '@testing-library/react';
import { foldCase } from '@estribo/core/logbook';
import { limitsOf } from '@estribo/core/order';
import { carryOn } from '../../../core/src/findings/test-whole-case';
import { testContext } from '../../../core/src/logbook/test-case';
import { signedLogbook, showStage, sizedLogbook } from '../case/test-stage';
import WearStage from './wear-stage';

jest.mock('../parts/chart', () => ({ __esModule: true, default: () => null }));

const knee = { joint: 'knee', plane: 'sagittal' } as const;
const loose = { protective: false, trouble: 'take-off', wearing: 'for walking' } as const;

test('a protective order is worn as ordered and offers no growth', async () => {
  const { user, written } = await showStage(WearStage, signedLogbook());
  expect(screen.queryByLabelText('On the first day')).toBeNull();
  await user.click(screen.getByRole('button', { name: 'Wear it as ordered' }));
  expect(written[0]).toMatchObject({
    kind: 'wear.planned',
    body: { kind: 'as-ordered', from: '2026-11-24', wearing: 'day and night' },
  });
  expect(screen.getByText('Keep it on, keep still, call at once.')).toBeTruthy();
  // what the patient does at home stands here too: how it comes off
  expect(screen.getByRole('heading', { name: 'Taking it off' })).toBeTruthy();
  expect(screen.getByText(/Each hook folded back on its own strap/)).toBeTruthy();
});

test('another order grows from the model’s numbers, day by day', async () => {
  const { user, written } = await showStage(WearStage, signedLogbook(loose));
  await user.clear(screen.getByLabelText('At most'));
  await user.type(screen.getByLabelText('At most'), '90');
  await user.click(screen.getByRole('button', { name: 'Take the plan' }));
  expect(written[0]!.body).toEqual({
    kind: 'growing',
    from: '2026-11-24',
    firstDay: 30,
    grow: 30,
    everyDays: 1,
    ceiling: 90,
  });
  const days = within(screen.getByRole('list', { name: 'Day by day' })).getAllByRole('listitem');
  expect(days.slice(0, 4).map(({ textContent }) => textContent)).toEqual([
    '24 Nov: 30 min',
    '25 Nov: 1 h',
    '26 Nov: 1 h 30',
    '27 Nov: 1 h 30',
  ]);
  expect(screen.getByText('After 7 Dec: 1 h 30 a day.')).toBeTruthy();
});

test('a plan that cannot be is said beside it and is not taken', async () => {
  const { user, written } = await showStage(WearStage, signedLogbook(loose));
  await user.clear(screen.getByLabelText('At most'));
  await user.type(screen.getByLabelText('At most'), '10');
  expect(screen.getByText('The ceiling lies below the first day.')).toBeTruthy();
  await user.clear(screen.getByLabelText('A step every'));
  await user.type(screen.getByLabelText('A step every'), '0{Enter}');
  expect(screen.getByText('A step every: from 1 days to 60 days.')).toBeTruthy();
  expect(written).toEqual([]);
});

test('teach-back says who put it on', async () => {
  const { user, written } = await showStage(WearStage, signedLogbook());
  await user.click(screen.getByRole('radio', { name: 'the carer' }));
  await user.click(screen.getByRole('button', { name: 'Put on by the carer: not yet' }));
  expect(screen.getByText('Tried by the carer: not yet. Try once more before leaving.')).toBeTruthy();
  await user.click(screen.getByRole('button', { name: 'Put on by the carer: with help' }));
  expect(written.map(({ body }) => body)).toEqual([
    { who: 'carer', how: 'not-yet' },
    { who: 'carer', how: 'helped' },
  ]);
  expect(screen.getByText('Put on by the carer before leaving. It went with help.')).toBeTruthy();
});

test('a plan that grows is held while a check says the limb is not safe, and none is taken', async () => {
  const log = signedLogbook(loose);
  log.write('wear.planned', {
    kind: 'growing',
    from: '2026-11-24',
    firstDay: 30,
    grow: 30,
    everyDays: 1,
    ceiling: 120,
  });
  log.write('check.recorded', { check: 'toes-warm-moving-felt', seen: false });
  const { user, written } = await showStage(WearStage, log);
  expect(screen.getByText('The plan is held: nothing grows until the check is right.')).toBeTruthy();
  // while the limb is not safe no other plan is made, and nobody is taught to put it on
  expect(screen.queryByRole('button', { name: 'Change the plan' })).toBeNull();
  expect(
    screen.getByRole('button', { name: 'Put on by the patient: with help' }).hasAttribute('disabled'),
  ).toBe(true);
  await user.click(screen.getByRole('button', { name: 'Put on by the patient: not yet' }));
  expect(written.map(({ body }) => body)).toEqual([{ who: 'patient', how: 'not-yet' }]);
});

test.each([
  ['nobody has signed', sizedLogbook],
  [
    'it was signed as failed',
    () => {
      const log = sizedLogbook();
      carryOn(log, () => foldCase(log.entries, testContext)!, { wrong: ['hinge-height'] });
      return log;
    },
  ],
  [
    'an order came later that it exceeds',
    () => {
      const log = signedLogbook();
      log.order({ phases: [{ fromDay: 0, limits: limitsOf(knee, { extension: 20, flexion: 60 }) }] });
      return log;
    },
  ],
] as const)('no plan is offered while %s; what is ordered stands there all the same', async (_, logbook) => {
  await showStage(WearStage, logbook());
  expect(screen.queryByRole('button', { name: 'Wear it as ordered' })).toBeNull();
  expect(
    screen.getByText(/Plan withheld until the findings above are resolved. Ordered: day and night/),
  ).toBeTruthy();
});
