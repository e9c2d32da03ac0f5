import { screen } from '@testing-library/react';
import { signedLogbook, showStage } from '../case/test-stage';
import WearStage from './wear-stage';

jest.mock('../parts/chart', () => ({ __esModule: true, default: () => null }));

const loose = { protective: false, trouble: 'take-off', wearing: 'for walking' } as const;
const plan = {
  kind: 'growing',
  from: '2026-11-20',
  firstDay: 30,
  grow: 30,
  everyDays: 1,
  ceiling: 240,
} as const;

const rule = { skin: 'step-back', pain: 'hold', missed: 'go-on', resumeAfter: 2 } as const;

/** A plan that grows, and what was told of a day of it. */
function toldOf(more: object) {
  const log = signedLogbook(loose);
  log.write('wear.planned', plan);
  log.write('wear.told', { day: '2026-11-24', minutes: 150, skin: 'clear', pain: 'none', ...more });
  return log;
}

test('what is told of a day is taken, in whole', async () => {
  const log = signedLogbook(loose);
  const { user, written } = await showStage(WearStage, log);
  await user.click(screen.getByRole('button', { name: 'What the patient tells of a day' }));
  await user.type(screen.getByLabelText('Worn'), '75');
  // nothing is preset: what nobody asked is not "clear"
  await user.click(screen.getByRole('button', { name: 'Take the day' }));
  expect(screen.getAllByText('Say which.')).toHaveLength(2);
  expect(written).toEqual([]);
  await user.click(screen.getByRole('radio', { name: 'red that stays' }));
  await user.click(screen.getByRole('radio', { name: 'no pain' }));
  await user.click(screen.getByRole('button', { name: 'Take the day' }));
  expect(written[0]).toMatchObject({
    kind: 'wear.told',
    body: { day: '2026-11-24', minutes: 75, skin: 'red-stays', pain: 'none' },
  });
});

test('more than a day has is refused at its field, and nothing is lost', async () => {
  const { user, written } = await showStage(WearStage, signedLogbook(loose));
  await user.click(screen.getByRole('button', { name: 'What the patient tells of a day' }));
  await user.type(screen.getByLabelText('Worn'), '1441');
  await user.click(screen.getByRole('button', { name: 'Take the day' }));
  expect(screen.getByText(/Worn: from .* to 1440 min/)).toBeTruthy();
  expect((screen.getByLabelText('Worn') as HTMLInputElement).value).toBe('1441');
  expect(written).toEqual([]);
});

test('without a rule of the clinic nothing is proposed: somebody decides', async () => {
  await showStage(WearStage, toldOf({ skin: 'red-stays' }));
  expect(screen.getByText(/this clinic has no rule of its own for it/)).toBeTruthy();
  expect(screen.queryByRole('button', { name: 'Make the plan anew so' })).toBeNull();
});

test('by the clinic’s own rule the plan is proposed anew, marked as the clinic’s, and taken by a person', async () => {
  const { user, written } = await showStage(WearStage, toldOf({ skin: 'red-stays' }), {
    wearRule: rule,
  });
  expect(screen.getByText('The clinic’s rule: one step back')).toBeTruthy();
  expect(screen.getByText(/The clinic’s own rule, written by it/)).toBeTruthy();
  expect(written).toEqual([]);
  await user.click(screen.getByRole('button', { name: 'Make the plan anew so' }));
  // 24 November was planned at 150: one growth less
  expect(written[0]!.body).toMatchObject({
    firstDay: 120,
    from: '2026-11-25',
    holdUntil: '2026-11-27',
    because: ['skin'],
  });
});

test('a protective order is never shortened by it: somebody is called, and the wearing stays', async () => {
  const log = signedLogbook();
  log.write('wear.planned', { kind: 'as-ordered', from: '2026-11-20', wearing: 'day and night' });
  log.write('wear.told', { day: '2026-11-24', minutes: 300, skin: 'red-stays', pain: 'none' });
  const { state } = await showStage(WearStage, log, { wearRule: rule });
  expect(screen.queryByText(/^The clinic’s rule/)).toBeNull();
  expect(state().calls).toMatchObject([{ why: 'worn', about: 'skin-stays-red', whom: 'prescriber' }]);
  expect(state().wearing.plan?.plan.kind).toBe('as-ordered');
});

test('half a break is none; a whole one stands in the plan', async () => {
  const { user, written } = await showStage(WearStage, signedLogbook(loose));
  await user.type(screen.getByLabelText('A break after (may stay empty)'), '60');
  expect(screen.getByText(/A break has both/)).toBeTruthy();
  await user.type(screen.getByLabelText('Its length (may stay empty)'), '15');
  await user.click(screen.getByRole('button', { name: 'Take the plan' }));
  expect(written[0]!.body).toMatchObject({ breakAfter: 60, breakFor: 15 });
  expect(screen.getByText('After 1 h a break of 15 min.')).toBeTruthy();
});

test('that the letter was sent is kept: to whom, and how', async () => {
  const { user, written } = await showStage(WearStage, signedLogbook(loose));
  await user.click(screen.getByRole('button', { name: 'The letter was sent' }));
  await user.click(screen.getByRole('button', { name: 'by post' }));
  expect(written[0]).toMatchObject({ kind: 'letter.sent', body: { how: 'post' } });
  expect(screen.getByText(/^Letter sent to /)).toBeTruthy();
});

test('a log of temperatures is read off the page’s thread, told, and kept only when somebody says so', async () => {
  const { user, written } = await showStage(WearStage, signedLogbook(loose));
  await user.click(screen.getByRole('button', { name: 'Hours worn, from a temperature log' }));
  const lines = Array.from(
    { length: 24 * 12 },
    (_, i) =>
      `${new Date(Date.parse('2026-11-20T00:00:00Z') + i * 300_000).toISOString()},${i >= 120 && i < 180 ? 33 : 20}`,
  );
  const file = new File([lines.join('\n')], 'log.csv', { type: 'text/csv' });
  // jsdom has no text of a file
  file.text = () => Promise.resolve(lines.join('\n'));
  await user.upload(document.querySelector<HTMLInputElement>('input[type=file]')!, file);
  expect(await screen.findByText(/^2 days\./)).toBeTruthy();
  expect(written).toEqual([]);
  await user.click(screen.getByRole('button', { name: 'Keep 2 days' }));
  expect(written[0]).toMatchObject({ kind: 'wear.read', body: { from: 'file' } });
  const { days } = written[0]!.body as { days: { worn: number }[] };
  expect(days.map(({ worn }) => worn)).toEqual([300, 0]);
});
