import { decideSize } from '@estribo/core/sizing';
import { decideSetting } from '@estribo/core/setting';
import { foldCase } from '@estribo/core/logbook';
import { askedFindings } from '@estribo/core/screening';
import { screen } from '@testing-library/react';
import { contextOf, testContext, testLogbook } from '../../../core/src/logbook/test-case';
import { measuredLogbook, showStage } from '../case/test-stage';
import ReviewStage from './review-stage';

jest.mock('../parts/chart', () => ({ __esModule: true, default: () => null }));

/** Fitted two weeks ago with the stops of the first phase. */
function firstPhase() {
  const log = measuredLogbook();
  const state = () => foldCase(log.entries, testContext)!;
  log.write('size.chosen', decideSize(state())!);
  log.write(
    'motion.tested',
    {
      side: 'right',
      mode: 'passive',
      extension: -12,
      flexion: 58,
      limitReached: { extension: false, flexion: false },
    },
    { observedAt: '2026-11-10T10:00:00.000Z' },
  );
  const body = decideSetting(state(), 'hinge-stops', '2026-11-10', true)!;
  const of = log.write('set.chosen', body);
  log.write(
    'set.made',
    { setting: body.setting, values: body.values, of, moved: true },
    { observedAt: '2026-11-10T10:00:00.000Z' },
  );
  return log;
}

type User = Awaited<ReturnType<typeof showStage>>['user'];
const find = async (user: User, skin: string, pain: string) => {
  await user.click(screen.getByRole('radio', { name: skin }));
  await user.click(screen.getByRole('radio', { name: pain }));
  await user.click(screen.getByRole('button', { name: 'Take the review' }));
};

test('what a review takes, what changed since, and the stops of the phase in force', async () => {
  const { user, written } = await showStage(ReviewStage, firstPhase());
  await user.type(screen.getByLabelText('Knee, neutral zero'), '0-8-84{Enter}');
  await user.type(screen.getByLabelText('Girth above'), '431{Enter}');
  await user.type(screen.getByLabelText('Worn a day (may stay empty)'), '22');
  await find(user, 'Skin clear', '2');
  expect(written.map(({ kind, stage }) => `${stage} ${kind}`)).toEqual([
    'review motion.tested',
    'review measure.read',
    'review review.found',
  ]);
  expect(written[2]!.body).toEqual({ skin: 'clear', pain: 2, hours: 22 });
  expect(screen.getByText('58° → 84°')).toBeTruthy();
  expect(screen.getByText('445 mm → 431 mm')).toBeTruthy();
  expect(screen.getByRole('heading', { name: 'To phase 2 of the order: 5° to 90°' })).toBeTruthy();
  await user.click(screen.getByRole('checkbox'));
  await user.click(screen.getByRole('button', { name: 'Choose 10 / 90 for both hinges' }));
  expect(written.at(-1)).toMatchObject({ kind: 'set.chosen', stage: 'review', body: { phase: 1 } });
});

test.each([
  ['broken', '2', /The skin is broken/],
  ['stays red', '8', /The skin stays red. The pain is 7 or more/],
])('skin %s and pain %s: call, change nothing', async (skin, pain, said) => {
  const { user } = await showStage(ReviewStage, firstPhase());
  await find(user, skin, pain);
  expect(screen.getByText(said)).toBeTruthy();
  expect(screen.getByText(/it stays on as ordered/)).toBeTruthy();
  expect(screen.queryByRole('button', { name: /^Choose/ })).toBeNull();
});

test('a joint that the order holds is not moved off its angle for a test', async () => {
  const log = firstPhase();
  log.order({
    phases: [{ fromDay: 0, limits: [] }],
    angles: [{ joint: 'knee', plane: 'sagittal', at: { toward: 'flexion', degrees: 20 } }],
  });
  const { user, written } = await showStage(ReviewStage, log);
  expect(screen.getByText(/The order holds the knee, fixed at 20°: it is not moved off that/)).toBeTruthy();
  expect(screen.getByText(/for example 0-20-20/)).toBeTruthy();
  await user.type(screen.getByLabelText('Knee, neutral zero'), '0-10-30{Enter}');
  expect(written).toEqual([]);
  expect(screen.getByText(/outside the order \(fixed at 20°\)/)).toBeTruthy();
  await user.clear(screen.getByLabelText('Knee, neutral zero'));
  await user.type(screen.getByLabelText('Knee, neutral zero'), '0-20-20{Enter}');
  expect(written.map(({ kind }) => kind)).toEqual(['motion.tested']);
});

test('when swelling has fallen the girths of today point to another size', async () => {
  const { user } = await showStage(ReviewStage, firstPhase());
  await user.type(screen.getByLabelText('Girth above'), '415{Enter}');
  await user.type(screen.getByLabelText('Girth below'), '322{Enter}');
  await find(user, 'Skin clear', '1');
  expect(screen.getByText(/By today’s readings the size would be S, not M/)).toBeTruthy();
});

test('skin and pain are needed; hours are not', async () => {
  const { user, written } = await showStage(ReviewStage, firstPhase());
  await user.click(screen.getByRole('button', { name: 'Take the review' }));
  expect(screen.getAllByText('Say which.')).toHaveLength(2);
  await user.type(screen.getByLabelText('Worn a day (may stay empty)'), '30');
  await find(user, 'Skin clear', '0');
  expect(screen.getByText('Worn a day (may stay empty): from 0 h to 24 h.')).toBeTruthy();
  expect(written).toEqual([]);
});

test('a telephone review is told from one that was seen, and where the brace protects it does not replace a visit', async () => {
  const log = firstPhase();
  const { user, written } = await showStage(ReviewStage, log);
  expect(screen.getByText(/a telephone review does not replace a visit/)).toBeTruthy();
  await user.click(screen.getByRole('radio', { name: 'Skin clear' }));
  await user.click(screen.getByRole('radio', { name: '2' }));
  await user.click(screen.getByRole('button', { name: 'Take a telephone review' }));
  expect(written).toEqual([
    { kind: 'review.found', stage: 'review', body: { skin: 'clear', pain: 2, by: 'telephone' } },
  ]);
  expect(screen.getByText(/by telephone/)).toBeTruthy();
});

test('the next review is planned on a later day', async () => {
  const log = firstPhase();
  log.write('review.found', { skin: 'clear', pain: 1 });
  const { user, written } = await showStage(ReviewStage, log);
  await user.click(screen.getByRole('button', { name: 'Plan it' }));
  expect(written[0]).toMatchObject({ kind: 'visit.planned', body: { day: '2026-12-08', purpose: 'review' } });
  expect(screen.getByText('Next review 8 Dec.')).toBeTruthy();
});

test('at a shoulder each motion is followed in its own plane and mode, against the same of the fitting', async () => {
  const context = contextOf('shoulder-support', {
    sizes: ['1'],
    axes: [],
    between: 'larger',
    disagree: 'primary',
  });
  const log = testLogbook(context, 'left');
  log.looked();
  log.order({ side: 'left', phases: [{ fromDay: 0, limits: [] }], protective: false, trouble: 'take-off' });
  log.write(
    'motion.tested',
    {
      step: 'shoulder-abduction',
      side: 'left',
      mode: 'active',
      extension: 90,
      flexion: 20,
      limitReached: { extension: false, flexion: false },
    },
    { stage: 'measure', observedAt: '2026-11-10T09:00:00.000Z' },
  );
  const { user, written } = await showStage(ReviewStage, log, { context });
  await user.type(screen.getByLabelText('Abduction and adduction, active'), '120-0-25{Enter}');
  expect(written[0]!.body).toMatchObject({ step: 'shoulder-abduction', mode: 'active', extension: 120 });
  expect(screen.getByText('Abduction and adduction, abduction, active')).toBeTruthy();
  // rotation was not tested at the fitting: the family follows it from now on
  expect(screen.getByLabelText(/^Rotation/)).toBeTruthy();
  // the sagittal motion is not the yardstick of this family, and is not asked for
  expect(screen.queryByLabelText('Shoulder, neutral zero')).toBeNull();
});

describe('a child in a collar', () => {
  const edges = (reading: string, from: number, over: number, to: number) => ({
    reading,
    resolution: 0,
    bands: [
      { size: 'P1', from, to: over },
      { size: 'P2', from: over, to },
    ],
  });
  const collar = contextOf('neck-collar', {
    sizes: ['P1', 'P2'],
    axes: [edges('age', 0, 6, 12), edges('weight', 5, 20, 50), edges('stature', 600, 1150, 1600)],
    between: 'larger',
    disagree: 'primary',
  });
  const fitted = () => {
    const log = testLogbook(collar, 'midline');
    log.looked();
    log.order({ side: 'midline', phases: [{ fromDay: 0, limits: [] }] });
    for (const [step, value] of [
      ['age', 4],
      ['weight', 16],
      ['weight', 16],
      ['stature', 1050],
      ['stature', 1050],
    ] as const)
      log.write('measure.read', {
        step,
        side: 'midline',
        value,
        instrument: step === 'weight' ? 'scale' : 'told',
      });
    log.write('size.chosen', decideSize(foldCase(log.entries, collar)!)!);
    return log;
  };
  test('who still grows is weighed and measured again, the age by the day of birth: another size', async () => {
    const { user, written } = await showStage(ReviewStage, fitted(), { context: collar, born: '2019-11-01' });
    await user.type(screen.getByLabelText('Weight'), '24,5{Enter}');
    await user.type(screen.getByLabelText('Length'), '1200{Enter}');
    for (const again of screen.queryAllByRole('button', { name: 'Record anyway' })) await user.click(again);
    expect(written.map(({ body }) => [body.step, body.side, body.value])).toEqual([
      ['weight', 'midline', 24.5],
      ['stature', 'midline', 1200],
    ]);
    expect(screen.getByText('16.0 kg → 24.5 kg')).toBeTruthy();
    expect(screen.getByText(/P2/)).toBeTruthy();
  });
  test('a grown patient is not', async () => {
    await showStage(ReviewStage, fitted(), { context: collar, born: '1990-05-01' });
    expect(screen.queryByLabelText('Weight')).toBeNull();
  });
});

describe('what the patient changed at home', () => {
  const own = contextOf('ankle-walker', { sizes: ['one'], axes: [], between: 'larger', disagree: 'larger' });
  const air = own.programme.settings.find(({ id }) => id === 'strokes-of-air')!;
  const context = {
    ...own,
    programme: { ...own.programme, settings: [{ ...air, patient: { within: 1, everyDays: 2 } }] as never },
  };
  test('is told at the review, and held against what a patient may', async () => {
    const log = testLogbook(context);
    log.looked();
    log.order({ phases: [{ fromDay: 0, limits: [] }] });
    const made = (value: number, day: string) =>
      log.write(
        'set.made',
        { setting: 'strokes-of-air', values: [{ place: 'one', value }] },
        { observedAt: `${day}T10:00:00.000Z` },
      );
    made(4, '2026-11-23');
    const { user, written } = await showStage(ReviewStage, log, { context });
    await user.click(
      screen.getByRole('checkbox', { name: 'The patient changed it at home, and tells it now' }),
    );
    await user.clear(screen.getByLabelText('Strokes of air'));
    await user.type(screen.getByLabelText('Strokes of air'), '5{Enter}');
    expect(written.at(-1)!.body).toEqual({
      setting: 'strokes-of-air',
      values: [{ place: 'one', value: 5 }],
      reported: true,
    });
    expect(screen.getByText(/sooner than is allowed/)).toBeTruthy();
  });
});

describe('danger signs, asked at every visit', () => {
  const later = () => {
    const log = firstPhase();
    log.write('review.found', { skin: 'clear', pain: 2 }, { stage: 'review' });
    return log;
  };
  const nextDay = { today: '2026-11-25' };

  test('none present is one touch; before it nothing is proposed', async () => {
    const { user, written } = await showStage(ReviewStage, firstPhase(), nextDay);
    await find(user, 'Skin clear', '2');
    expect(screen.getByText(/Ask the danger signs first/)).toBeTruthy();
    expect(screen.queryByRole('button', { name: /^Choose/ })).toBeNull();
    await user.click(screen.getByRole('button', { name: /^None present/ }));
    expect(written.at(-1)).toMatchObject({ kind: 'screen.looked', stage: 'review' });
    expect(screen.getByText(/Danger signs asked .*none present/)).toBeTruthy();
    expect(screen.getByRole('button', { name: /^Choose/ })).toBeTruthy();
  });

  test('one that the prescriber knows of is named, never "none present"', async () => {
    const log = later();
    log.write(
      'screen.looked',
      {
        answers: askedFindings(testContext.programme).map((finding) =>
          finding === 'new-numbness'
            ? { finding, is: 'present' as const, known: { by: 'Dr Nogueira', since: '2026-11-10' } }
            : { finding, is: 'absent' as const },
        ),
      },
      { stage: 'review', observedAt: '2026-11-25T10:00:00.000Z' },
    );
    await showStage(ReviewStage, log, nextDay);
    expect(screen.queryByText(/none present/)).toBeNull();
    expect(screen.getByText(/Danger signs asked 25 Nov: none new/)).toBeTruthy();
    expect(screen.getByText(/Known since 10 Nov, says Dr Nogueira/)).toBeTruthy();
  });

  test('one that is present stops the review: call, adjust nothing', async () => {
    const { user } = await showStage(ReviewStage, firstPhase(), nextDay);
    await user.click(screen.getByRole('button', { name: 'Chest pain' }));
    await user.click(screen.getByRole('button', { name: 'Record: 1 present; the rest absent' }));
    expect(screen.queryByText(/Danger signs asked/)).toBeNull();
    expect(screen.queryByRole('button', { name: 'Take the review' })).toBeNull();
    expect(screen.queryByRole('button', { name: /^Choose/ })).toBeNull();
  });

  test('asked on another day does not count', async () => {
    await showStage(ReviewStage, later(), nextDay);
    expect(screen.getByRole('button', { name: /^None present/ })).toBeTruthy();
  });
});
