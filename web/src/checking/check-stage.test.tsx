import { decideSetting } from '@estribo/core/setting';
import { limitsOf } from '@estribo/core/order';
import { screen } from '@testing-library/react';
import { foldCase } from '@estribo/core/logbook';
import { carryOn } from '../../../core/src/findings/test-whole-case';
import { testContext } from '../../../core/src/logbook/test-case';
import { sizedLogbook, showStage, testToday } from '../case/test-stage';
import CheckStage from './check-stage';

const knee = { joint: 'knee', plane: 'sagittal' } as const;

/** Stops of the day in both hinges. */
function fittedLogbook(window: { extension?: number; flexion?: number } = { extension: 5, flexion: 90 }) {
  const log = sizedLogbook({ phases: [{ fromDay: 0, limits: limitsOf(knee, window) }] });
  const body = decideSetting(foldCase(log.entries, testContext)!, 'hinge-stops', testToday, true)!;
  const of = log.write('set.chosen', body);
  log.write('set.made', { setting: body.setting, values: body.values, of, moved: true });
  return log;
}

/** The same with the brace donned: checks are all that is left. */
function wornLogbook() {
  const log = fittedLogbook();
  carryOn(log, () => foldCase(log.entries, testContext)!, { leave: ['set', 'check', 'sign'] });
  return log;
}

const found = (name: string) => screen.getByLabelText(`${name}: Found`);
const height = 'Hinge height against the kneecap’s upper edge';

test('a hinge that sits low fails with by how much and what to do, and the figure shows it there', async () => {
  const { user, written, figure } = await showStage(CheckStage, fittedLogbook());
  await user.type(found(height), '−9{Enter}');
  expect(written[0]).toMatchObject({ kind: 'check.recorded', body: { check: 'hinge-height', value: -9 } });
  expect(screen.getByRole('alert').textContent).toBe(
    'Outside the tolerance by 4 mm. Open, set the height, close in order again.',
  );
  for (const side of ['medial', 'lateral'])
    expect(figure().parts?.find(({ part }) => part.id === `hinge-${side}`)?.moved).toEqual({ along: -9 });
  expect(figure().marks.find(({ id }) => id === 'hinge-height')?.state).toBe('bad');
  // what mends it is one touch away
  expect(screen.getByRole('link', { name: 'Open Strap: Level the hinges' }).getAttribute('href')).toMatch(
    /\/strap#thing=level-hinges$/,
  );
});

test('the knee is judged by the order, not by the hinge’s piece', async () => {
  const { user } = await showStage(CheckStage, fittedLogbook());
  await user.type(found('Knee at the extension stop'), '7{Enter}');
  expect(screen.queryByRole('alert')).toBeNull();
  await user.type(found('Knee at the flexion stop'), '93{Enter}');
  const alerts = screen.getAllByRole('alert').map(({ textContent }) => textContent);
  expect(alerts.join(' ')).toMatch(/The knee passes the order by 3°/);
});

test('strap 5 must lie above the calf', async () => {
  const { user, written } = await showStage(CheckStage, fittedLogbook());
  const name = 'Strap 5 above the calf’s largest girth';
  await user.type(screen.getByLabelText(`${name}: strap`), '135');
  await user.type(screen.getByLabelText(`${name}: calf`), '130{Enter}');
  expect(written[0]!.body).toEqual({ check: 'strap-above-calf', value: 135, reference: 130 });
  expect(screen.getByRole('alert').textContent).toMatch(/It lies on the largest girth or below it by 5 mm/);
});

test('no flexion ordered: no flexion stop to check', async () => {
  await showStage(CheckStage, fittedLogbook({ extension: 0 }));
  expect(screen.getByText('not needed: no stop ordered')).toBeTruthy();
});

test('all answered, it is signed by name; a failure is signed as one', async () => {
  const log = wornLogbook();
  for (const [check, value] of [
    ['hinge-height', 1],
    ['hinge-behind-midline', 6],
    ['knee-at-extension-stop', 11],
    ['knee-at-flexion-stop', 88],
  ] as const)
    log.write('check.recorded', { check, value });
  log.write('check.recorded', { check: 'strap-above-calf', value: 110, reference: 130 });
  log.write('check.recorded', { check: 'not-twisted', seen: true });
  log.write('check.recorded', { check: 'fibular-neck-clear', seen: true });
  const { user, written } = await showStage(CheckStage, log, { role: 'technician' });
  await user.click(screen.getByRole('button', { name: 'Toes warm, moving, felt: No' }));
  expect(screen.getByText(/Open the straps now and look again/)).toBeTruthy();
  await user.click(screen.getByRole('button', { name: 'Toes warm, moving, felt: Yes' }));
  // 11 where 5 is ordered: narrower than ordered is seen and told before anybody signs
  expect(screen.getByText(/Narrower than ordered by 6°/)).toBeTruthy();
  const sign = () => screen.getByRole('button', { name: 'Sign as Ana Bouza: pass' });
  expect(sign().hasAttribute('disabled')).toBe(true);
  await user.click(screen.getByRole('checkbox', { name: /Narrower than ordered: seen/ }));
  await user.click(screen.getByRole('checkbox', { name: 'putting it on' }));
  await user.click(sign());
  const signed = written.at(-1)!;
  expect(signed).toMatchObject({
    kind: 'check.signed',
    body: { result: 'pass', narrower: ['knee-at-extension-stop'], shown: ['donning'] },
  });
  expect(signed.body.madeFrom).toHaveLength(9);
  expect(screen.getByText('Signed: all checks pass.')).toBeTruthy();
});

test('a value that is none is asked again', async () => {
  const { user, written } = await showStage(CheckStage, fittedLogbook());
  await user.type(found(height), 'low{Enter}');
  expect(screen.getByText(/This is not a length/)).toBeTruthy();
  await user.clear(found(height));
  await user.type(found(height), '900{Enter}');
  expect(screen.getByText(/^Hinges? .*: from −400 mm to 600 mm\.$/)).toBeTruthy();
  expect(written).toEqual([]);
});

test('in inch mode every length of a check is in inches: what is allowed, typed, found, over and out of bounds', async () => {
  const { user, written } = await showStage(CheckStage, fittedLogbook(), { unit: 'in' });
  expect(screen.getByText('1/4 in too low to 1/4 in allowed, the model’s own')).toBeTruthy();
  await user.type(found(height), '-3/8');
  expect(screen.getByText('= 3/8 in too low')).toBeTruthy();
  await user.keyboard('{Enter}');
  expect(written[0]!.body).toMatchObject({ check: 'hinge-height', value: expect.closeTo(-9.525, 6) });
  // -9.525 mm lie 4.525 under -5: to the eighth 1/8 in
  expect(screen.getByRole('alert').textContent).toMatch(/^Outside the tolerance by 1\/8 in\. /);
  // as it was found it is not recorded again
  await user.type(found(height), '{Enter}');
  expect(written).toHaveLength(1);
  await user.clear(found(height));
  await user.type(found(height), '30{Enter}');
  expect(screen.getByText(/: from −15 3\/4 in to 23 5\/8 in\.$/)).toBeTruthy();
  expect(screen.queryByText(/\bmm\b/)).toBeNull();
});

test('while the limb is not safe nobody signs, whatever else passes', async () => {
  const log = wornLogbook();
  for (const [check, value] of [
    ['hinge-height', 1],
    ['hinge-behind-midline', 6],
    ['knee-at-extension-stop', 7],
    ['knee-at-flexion-stop', 88],
  ] as const)
    log.write('check.recorded', { check, value });
  log.write('check.recorded', { check: 'strap-above-calf', value: 110, reference: 130 });
  log.write('check.recorded', { check: 'not-twisted', seen: true });
  log.write('check.recorded', { check: 'fibular-neck-clear', seen: false });
  log.write('check.recorded', { check: 'toes-warm-moving-felt', seen: true });
  const { user } = await showStage(CheckStage, log);
  expect(screen.queryByRole('button', { name: /^Sign as/ })).toBeNull();
  expect(screen.getByText(/Nothing is signed while the limb is not safe/)).toBeTruthy();
  await user.click(screen.getByRole('button', { name: 'Clear of the neck of the fibula: Yes' }));
  expect(screen.getByRole('button', { name: /^Sign as/ })).toBeTruthy();
});

test('a brace that was never donned is not signed: what is missing is named, and an orthotist signs over it with a reason', async () => {
  const log = fittedLogbook();
  const state = () => foldCase(log.entries, testContext)!;
  carryOn(log, state, { leave: ['set', 'strap', 'sign'] });
  const { user, written } = await showStage(CheckStage, log);
  expect(screen.getByText('Missing: Brace not donned. Resolve, or override with a reason.')).toBeTruthy();
  await user.click(screen.getByRole('button', { name: 'Override with reason' }));
  await user.click(screen.getByRole('button', { name: 'Sign as Ana Bouza with reason' }));
  expect(written).toEqual([]);
  await user.type(screen.getByLabelText(/Reason for signing with this missing/), 'Donned on the ward');
  await user.click(screen.getByRole('button', { name: 'Sign as Ana Bouza with reason' }));
  expect(written[0]!.body).toMatchObject({
    result: 'pass',
    inSpite: { of: [{ kind: 'not-donned', about: 'open-all' }], reason: 'Donned on the ward' },
  });
});

test('a technician does not sign over what is missing, and nobody over a stop that is not set', async () => {
  const log = fittedLogbook();
  carryOn(log, () => foldCase(log.entries, testContext)!, { leave: ['set', 'strap', 'sign'] });
  const { leave } = await showStage(CheckStage, log, { role: 'technician' });
  expect(screen.getByText(/Resolve, or ask an orthotist/)).toBeTruthy();
  expect(screen.getByRole('button', { name: 'Sign as Ana Bouza: pass' }).hasAttribute('disabled')).toBe(true);
  leave();
  // the angles are read, the stops were taken out again
  const unset = fittedLogbook();
  carryOn(unset, () => foldCase(unset.entries, testContext)!, { leave: ['set', 'sign'] });
  const stops = unset.entries.find(({ kind }) => kind === 'set.made')!;
  unset.write('record.withdrawn', {}, { replaces: stops.id, reason: 'another leg' });
  await showStage(CheckStage, unset);
  expect(screen.getByText(/^Withheld: Stops: not set/)).toBeTruthy();
});

test('a signature over an earlier order is shown as one, and the angles are asked again with what was read', async () => {
  const log = fittedLogbook();
  carryOn(log, () => foldCase(log.entries, testContext)!, { leave: ['set'] });
  const { leave } = await showStage(CheckStage, log);
  expect(screen.getByText('Signed: all checks pass.')).toBeTruthy();
  leave();
  log.order({ phases: [{ fromDay: 0, limits: limitsOf(knee, { extension: 20, flexion: 60 }) }] });
  await showStage(CheckStage, log);
  expect(screen.queryByText('Signed: all checks pass.')).toBeNull();
  expect(screen.getByText('90° was read before the change: repeat the check.')).toBeTruthy();
});
