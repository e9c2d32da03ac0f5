import { limitsOf } from '@estribo/core/order';
import { screen, within } from '@testing-library/react';
import type { UserEvent } from '@testing-library/user-event';
import { askedFindings } from '@estribo/core/screening';
import { contextOf, testContext, testLogbook } from '../../../core/src/logbook/test-case';
import { orderedLogbook, showStage } from '../case/test-stage';
import { BeforeAfter } from '../setting/phase-table';
import ScreenStagePlanned from './screen-stage';

const ScreenStage = () => <ScreenStagePlanned plan={BeforeAfter} />;

const knee = { joint: 'knee', plane: 'sagittal' } as const;

test('one touch records everything as looked for and not found', async () => {
  const { user, written } = await showStage(ScreenStage, testLogbook());
  await user.click(screen.getByRole('button', { name: /^None present/ }));
  const answers = written[0]!.body.answers as { is: string }[];
  expect(answers).toHaveLength(askedFindings(testContext.programme).length);
  expect(answers.every(({ is }) => is === 'absent')).toBe(true);
  expect(screen.getByText('Looked for everything, found nothing.')).toBeTruthy();
});

test('what is found is touched, noted, and advised on', async () => {
  const { user, written } = await showStage(ScreenStage, testLogbook());
  await user.click(screen.getByRole('button', { name: 'Allergy to a material' }));
  await user.type(screen.getByLabelText('About: Allergy to a material'), 'neoprene');
  await user.click(screen.getByRole('button', { name: 'Record: 1 present; the rest absent' }));
  expect(written[0]!.body.answers).toContainEqual({
    finding: 'allergy-to-material',
    is: 'present',
    note: 'neoprene',
  });
  expect(screen.getByText(/Check every liner and pad against it/)).toBeTruthy();
});

test('a blocking finding says whom to call; going on needs a reason', async () => {
  const log = testLogbook();
  const look = log.looked('limb-cold');
  const { user, written } = await showStage(ScreenStage, log);
  expect(screen.getByText(/Emergency now: call/)).toBeTruthy();
  await user.click(screen.getByRole('button', { name: 'Go on in spite of it' }));
  await user.click(screen.getByRole('button', { name: 'Go on, in my name' }));
  expect(screen.getByText('Give the reason in a few words.')).toBeTruthy();
  await user.type(screen.getByLabelText(/Who has cleared it/), 'vascular clinic, today 9:00');
  await user.click(screen.getByRole('button', { name: 'Go on, in my name' }));
  expect(written[0]).toMatchObject({
    kind: 'screen.overridden',
    body: { finding: 'limb-cold', of: look, reason: 'vascular clinic, today 9:00' },
  });
  expect(screen.getByText(/went on in spite of it/)).toBeTruthy();
});

test('only an orthotist goes on', async () => {
  const log = testLogbook();
  log.looked('infected-wound');
  await showStage(ScreenStage, log, { role: 'technician' });
  expect(screen.getByText('Only an orthotist may go on in spite of it.')).toBeTruthy();
});

test('an order with nothing in it says what it needs, each at its field', async () => {
  const log = testLogbook();
  log.looked();
  const { user, written } = await showStage(ScreenStage, log);
  await user.click(screen.getByRole('button', { name: 'Take the order' }));
  expect(screen.getAllByText('This is needed.').length).toBeGreaterThanOrEqual(5);
  expect(written).toEqual([]);
});

test('an order is entered in phases; the wrong way round is asked back', async () => {
  const log = testLogbook();
  log.looked();
  const { user, written } = await showStage(ScreenStage, log);
  await user.type(screen.getByLabelText('Diagnosis'), 'Ligament tear');
  await user.type(screen.getByLabelText('Prescriber'), 'Dr Elva Nogueira');
  await user.click(screen.getAllByRole('spinbutton')[0]!);
  await user.keyboard('07112026');
  await user.type(screen.getByLabelText('Extension'), '−5');
  expect(screen.getByText('= 5° extension')).toBeTruthy();
  await user.type(screen.getByLabelText('Flexion'), '60');
  await user.click(screen.getByRole('button', { name: 'Next phase' }));
  await user.type(screen.getAllByLabelText('From day')[1]!, '14');
  await user.type(screen.getAllByLabelText('Extension')[1]!, '90');
  await user.type(screen.getAllByLabelText('Flexion')[1]!, '10');
  await user.click(screen.getByRole('radio', { name: 'Not protective' }));
  await user.type(screen.getByLabelText(/How it is to be worn/), 'for walking');
  await user.click(screen.getByRole('button', { name: 'Take the order' }));
  expect(screen.getByText(/One limit lies beyond the other/)).toBeTruthy();
  expect(written).toEqual([]);
  await user.clear(screen.getAllByLabelText('Extension')[1]!);
  await user.clear(screen.getAllByLabelText('Flexion')[1]!);
  await user.type(screen.getAllByLabelText('Flexion')[1]!, '90');
  await user.click(screen.getByRole('button', { name: 'Take the order' }));
  expect(written[0]).toMatchObject({
    kind: 'order.given',
    body: {
      diagnosis: 'Ligament tear',
      side: 'right',
      dayZero: '2026-11-07',
      phases: [
        { fromDay: 0, limits: limitsOf(knee, { extension: -5, flexion: 60 }) },
        { fromDay: 14, limits: limitsOf(knee, { flexion: 90 }) },
      ],
      protective: false,
      trouble: 'take-off',
    },
  });
  expect(screen.getByText('to 90°, extension free')).toBeTruthy();
});

test('a technician waits for the order', async () => {
  const log = testLogbook();
  log.looked();
  await showStage(ScreenStage, log, { role: 'technician' });
  expect(screen.getByText('No order yet. An orthotist enters it.')).toBeTruthy();
});

async function typeDay(user: UserEvent, label: RegExp, day: string): Promise<void> {
  const parts = screen.getByRole('group', { name: label });
  const [d, m, y] = day.split('.');
  await user.type(within(parts).getByRole('spinbutton', { name: /^day/ }), d!);
  await user.type(within(parts).getByRole('spinbutton', { name: /^month/ }), m!);
  await user.type(within(parts).getByRole('spinbutton', { name: /^year/ }), y!);
}

test('what the prescriber knows of is said with who and since when, and qualifies; half said counts as new', async () => {
  const { user, written } = await showStage(ScreenStage, testLogbook());
  await user.click(screen.getByRole('button', { name: 'New weakness' }));
  await user.click(screen.getByRole('checkbox', { name: /It is not new/ }));
  await user.click(screen.getByRole('button', { name: 'Record: 1 present; the rest absent' }));
  // neither of the two is known beforehand
  expect(screen.getAllByText(/Say who knows of it and since when/)).toHaveLength(2);
  expect(written).toEqual([]);
  await user.type(screen.getByLabelText('Who says so'), 'Dr Nogueira, nerve block');
  await user.click(screen.getByRole('button', { name: 'Record: 1 present; the rest absent' }));
  expect(screen.getAllByText(/Say who knows of it and since when/)).toHaveLength(1);
  expect(written).toEqual([]);
  await typeDay(user, /^There since/, '24.11.2026');
  await user.click(screen.getByRole('button', { name: 'Record: 1 present; the rest absent' }));
  expect(written[0]!.body.answers).toContainEqual({
    finding: 'new-weakness',
    is: 'present',
    known: { by: 'Dr Nogueira, nerve block', since: '2026-11-24' },
  });
  expect(screen.getByText('It may be fitted')).toBeTruthy();
  expect(screen.getByText(/Known since 24 Nov, says Dr Nogueira, nerve block\./)).toBeTruthy();
});

test('a nerve block says its last day, and cannot end before it began', async () => {
  const { user, written } = await showStage(ScreenStage, testLogbook());
  await user.click(screen.getByRole('button', { name: 'New numbness, still there 15 minutes after easing' }));
  await user.click(screen.getByRole('checkbox', { name: /It is not new/ }));
  await user.type(screen.getByLabelText('Who says so'), 'Dr Nogueira');
  await typeDay(user, /^There since/, '24.11.2026');
  await typeDay(user, /Last day of the nerve block/, '23.11.2026');
  await user.click(screen.getByRole('button', { name: 'Record: 1 present; the rest absent' }));
  expect(screen.getByText('A block ends on the day it began or later.')).toBeTruthy();
  expect(written).toEqual([]);
  await typeDay(user, /Last day of the nerve block/, '25.11.2026');
  await user.click(screen.getByRole('button', { name: 'Record: 1 present; the rest absent' }));
  expect(written[0]!.body.answers).toContainEqual({
    finding: 'new-numbness',
    is: 'present',
    known: { by: 'Dr Nogueira', since: '2026-11-24', until: '2026-11-25' },
  });
  expect(screen.getByText(/Nerve block until 25 Nov; after that it counts as new\./)).toBeTruthy();
});

test('only a sign that may be known offers it', async () => {
  const { user } = await showStage(ScreenStage, testLogbook());
  await user.click(screen.getByRole('button', { name: 'Limb cold, blue or white' }));
  expect(screen.queryByRole('checkbox', { name: /It is not new/ })).toBeNull();
});

test('a sign that cannot be assessed is recorded as that, never as absent; pain is asked, and left empty is no baseline', async () => {
  const { user, written } = await showStage(ScreenStage, testLogbook());
  await user.click(screen.getByRole('button', { name: 'Calf tender, no swelling: Unable to assess' }));
  await user.type(screen.getByLabelText('About: Calf tender, no swelling'), 'cast');
  await user.type(screen.getByLabelText(/^Worst pain/), '11');
  await user.click(screen.getByRole('button', { name: 'Record: 1 not assessed; the rest absent' }));
  expect(screen.getByText(/whole number from 0 to 10/)).toBeTruthy();
  expect(written).toEqual([]);
  await user.clear(screen.getByLabelText(/^Worst pain/));
  await user.click(screen.getByRole('button', { name: 'Record: 1 not assessed; the rest absent' }));
  expect(written[0]!.body).not.toHaveProperty('pain');
  expect(written[0]!.body.answers).toContainEqual({ finding: 'calf-tender', is: 'unable', note: 'cast' });
  expect(screen.getByText(/Calf tender, no swelling \(cast\)/)).toBeTruthy();
  expect(screen.getByText('Pain before the brace: no baseline.')).toBeTruthy();
});

test('present and unable of one sign exclude each other', async () => {
  const { user } = await showStage(ScreenStage, testLogbook());
  const [present, unable] = ['Chest pain', 'Chest pain: Unable to assess'].map((name) =>
    screen.getByRole('button', { name }),
  );
  await user.click(present!);
  await user.click(unable!);
  expect([present, unable].map((one) => one!.getAttribute('aria-pressed'))).toEqual(['false', 'true']);
  await user.click(unable!);
  expect(screen.getByRole('button', { name: /^None present/ })).toBeTruthy();
});

test('what an earlier list did not ask says so, and is asked at the next look', async () => {
  const log = testLogbook();
  const answers = testContext.programme.findings.map((finding) => ({ finding, present: false }));
  log.write('screen.looked', { answers } as never, { v: 1 });
  const { user, written } = await showStage(ScreenStage, log);
  expect(screen.getByText(/signs were not asked at the last look/)).toBeTruthy();
  expect(screen.queryByText('Looked for everything, found nothing.')).toBeNull();
  await user.click(screen.getByRole('button', { name: 'Look again' }));
  await user.click(screen.getByRole('button', { name: /^None present/ }));
  expect(written).toHaveLength(1);
  expect(screen.queryByText(/not asked at the last look/)).toBeNull();
});

describe('pulse and refill, for a limb', () => {
  const looked = () => {
    const log = testLogbook();
    log.looked();
    return log;
  };

  test('felt on both sides is one touch that says so', async () => {
    const { user, written } = await showStage(ScreenStage, looked());
    await user.click(screen.getByRole('button', { name: 'Record: pulse felt on both sides' }));
    expect(written[0]).toMatchObject({
      kind: 'circulation.noted',
      body: { left: { pulse: 'felt' }, right: { pulse: 'felt' } },
    });
  });

  test('one side said needs the other; weak on the braced side calls the prescriber', async () => {
    const { user, written } = await showStage(ScreenStage, looked());
    const side = (name: string) =>
      within(screen.getByRole('radiogroup', { name: `Pulse at the foot, ${name}` }));
    await user.click(side('right').getByRole('radio', { name: 'weak' }));
    await user.click(screen.getByRole('button', { name: 'Record pulse and refill' }));
    expect(screen.getByText('Choose for both sides first.')).toBeTruthy();
    await user.click(side('left').getByRole('radio', { name: 'felt' }));
    await user.type(screen.getByLabelText('Refill, right (s, optional)'), 'x');
    await user.click(screen.getByRole('button', { name: 'Record pulse and refill' }));
    expect(screen.getByText(/Enter the seconds/)).toBeTruthy();
    expect(written).toEqual([]);
    await user.clear(screen.getByLabelText('Refill, right (s, optional)'));
    await user.type(screen.getByLabelText('Refill, right (s, optional)'), '2.5');
    await user.click(screen.getByRole('button', { name: 'Record pulse and refill' }));
    expect(written[0]!.body).toEqual({ left: { pulse: 'felt' }, right: { pulse: 'weak', refill: 2.5 } });
    expect(screen.getByText(/on this side only/)).toBeTruthy();
    expect(screen.getByText(/Call the prescriber today/)).toBeTruthy();
  });
});

test.each([
  ['2019-11-01', true],
  ['2018-11-01', false],
])('a child born %s at a neck brace lies with the trunk raised: %s', async (born, is) => {
  const context = contextOf('neck-collar', {
    sizes: ['one'],
    axes: [],
    between: 'larger',
    disagree: 'primary',
  });
  await showStage(ScreenStage, testLogbook(context, 'midline'), { context, born });
  expect(screen.queryAllByText(/raise the trunk/).length > 0).toBe(is);
});

test('ticked findings and a half-filled order are there again after another stage or a reload', async () => {
  const log = testLogbook();
  const first = await showStage(ScreenStage, log);
  await first.user.click(screen.getByRole('button', { name: 'Diabetes' }));
  await first.user.type(screen.getByLabelText('About: Diabetes'), 'type 2');
  first.leave();
  const second = await showStage(ScreenStage, log, { keepsDrafts: true });
  expect((screen.getByLabelText('About: Diabetes') as HTMLInputElement).value).toBe('type 2');
  await second.user.click(screen.getByRole('button', { name: 'Record: 1 present; the rest absent' }));
  await second.user.type(screen.getByLabelText('Diagnosis'), 'Meniscus');
  await second.user.type(screen.getByLabelText('Flexion'), '90');
  second.leave();
  await showStage(ScreenStage, log, { keepsDrafts: true });
  expect((screen.getByLabelText('Diagnosis') as HTMLInputElement).value).toBe('Meniscus');
  expect((screen.getByLabelText('Flexion') as HTMLInputElement).value).toBe('90');
});

test('a new order shows what it does to the days ahead before it is taken, and that it ends a hold', async () => {
  const log = orderedLogbook();
  const before = log.entries.find(({ kind }) => kind === 'order.given')!.body as { phases: unknown[] };
  log.write('order.changed', {
    what: 'held',
    day: '2026-11-24',
    prescriber: 'Dr Nogueira',
    reason: 'swelling',
  });
  const { user, written } = await showStage(ScreenStage, log);
  await user.click(screen.getByRole('button', { name: 'A new order' }));
  // unchanged it has nothing to show but that the hold ends
  expect(screen.getByText(/The order in force is held since 24 Nov/)).toBeTruthy();
  const flexion = screen.getAllByLabelText('Flexion').at(-1)!;
  await user.clear(flexion);
  await user.type(flexion, '75');
  await user.click(screen.getByRole('button', { name: 'Next phase' }));
  const day = screen.getAllByLabelText('From day').at(-1)!;
  await user.clear(day);
  // a day that cannot be read yet: no plan is made of it
  expect(screen.queryByText('After')).toBeNull();
  await user.type(day, '60');
  const [, after] = screen.getAllByRole('table');
  expect(within(after!).getAllByRole('row')).toHaveLength(before.phases.length + 2);
  expect(within(after!).getByText(/75°/)).toBeTruthy();
  expect(written).toEqual([]);
});

test('for a trunk movement and sensation are noted before: one touch when all is full, else limb by limb', async () => {
  const context = contextOf('spine-bivalve', {
    sizes: ['1'],
    axes: [],
    between: 'larger',
    disagree: 'primary',
  });
  const log = testLogbook(context, 'midline');
  log.looked();
  const { user, written } = await showStage(ScreenStage, log, { context });
  await user.click(
    within(screen.getByRole('radiogroup', { name: 'Left leg, movement' })).getByRole('radio', {
      name: 'less',
    }),
  );
  await user.click(screen.getByRole('button', { name: 'Record: Left leg: movement less. All else full.' }));
  expect(written[0]).toMatchObject({
    kind: 'limbs.noted',
    body: {
      moment: 'before',
      limbs: {
        'left-leg': { movement: 'less', sensation: 'full' },
        'right-arm': { movement: 'full', sensation: 'full' },
      },
    },
  });
  expect(screen.getByText('Left leg: movement less')).toBeTruthy();
  await user.click(screen.getByRole('button', { name: 'Record again' }));
  await user.click(screen.getByRole('button', { name: 'Record full in both arms and both legs' }));
  expect(screen.getByText('full in arms and legs')).toBeTruthy();
});
