import { foldCase } from '@estribo/core/logbook';
import { decideBends } from '@estribo/core/shaping';
import { act, screen, waitFor, within } from '@testing-library/react';
import { shapedContext, type testLogbook } from '../../../core/src/logbook/test-case';
import { shapedLogbook, showStage } from '../case/test-stage';
import ShapeStage from './shape-stage';
import { holdPlans } from './test-plan-worker';

const part = 'upright-medial';
const points = [-160, -120, -80, -45, 0, 45, 80, 120, 160].map((at) => ({
  at,
  out: at > 45 ? (at - 45) * 0.12 : at < -45 ? (at + 45) * 0.06 : 0,
}));

function contoured() {
  const log = shapedLogbook();
  log.write('shape.contour', { part, source: 'straight-edge', points, liner: 6, pad: 6, gap: 0 });
  return log;
}
function planned() {
  const log = contoured();
  const state = foldCase(log.entries, shapedContext)!;
  const bends = [
    { at: 62, turn: 6 },
    { at: -64, turn: -3 },
  ];
  log.write('shape.planned', decideBends(state, part, 'contour', bends)!);
  return log;
}
const show = (log: ReturnType<typeof testLogbook>, more = {}) =>
  showStage(ShapeStage, log, { context: shapedContext, ...more });

test('offsets from the straight-edge become a contour: further from the edge is further in', async () => {
  const { user, written } = await show(shapedLogbook());
  for (const [label, text] of [
    ['160 mm above hinge', '4'],
    ['80 mm above hinge', '9,5'],
    ['At the hinge', '6'],
    ['120 mm below hinge', '11'],
  ] as const)
    await user.type(screen.getByLabelText(label), text);
  await user.type(screen.getByLabelText('Pad under the hinge'), '9');
  await user.click(screen.getByRole('button', { name: 'Take the contour' }));
  expect(written[0]).toMatchObject({
    kind: 'shape.contour',
    body: {
      part,
      source: 'straight-edge',
      points: [
        { at: 160, out: -4 },
        { at: 80, out: -9.5 },
        { at: 0, out: -6 },
        { at: -120, out: -11 },
      ],
      liner: 6,
      pad: 9,
      gap: 0,
    },
  });
});

test.each([
  ['too few', { 'At the hinge': '6' }, 'Three stations are needed at least.'],
  [
    'one side alone',
    { 'At the hinge': '6', '40 mm above hinge': '6', '80 mm above hinge': '7' },
    'Stations are needed on both sides of what holds the bar.',
  ],
  ['no number', { 'At the hinge': 'wide' }, /not a length|Type/],
  ['too thick a liner', { 'Liner along the bar (6 mm)': '99', 'At the hinge': '6' }, /From 0 mm to 60 mm/],
] as const)('stations that are %s are asked again, and nothing is lost', async (_, typed, said) => {
  const { user, written } = await show(shapedLogbook());
  for (const [label, text] of Object.entries(typed)) await user.type(screen.getByLabelText(label), text);
  await user.click(screen.getByRole('button', { name: 'Take the contour' }));
  expect(written).toEqual([]);
  expect(screen.getByText(said)).toBeTruthy();
  for (const [label, text] of Object.entries(typed))
    expect(screen.getByLabelText<HTMLInputElement>(label).value).toBe(text);
});

test('a plan is made at once, its bends are counted against their gap, and the user takes one', async () => {
  const { user, written } = await show(contoured());
  const cards = await screen.findByRole('radiogroup', { name: 'How many bends' });
  const two = within(cards).getByRole('radio', { name: /^2 bends/ });
  await user.click(two);
  await user.click(screen.getByRole('button', { name: 'Plan these 2 bends' }));
  const { body } = written[0]!;
  expect(written[0]!.kind).toBe('shape.planned');
  expect(body.bends).toHaveLength(2);
  // the picture says what it shows
  expect(screen.getByRole('img', { name: /with these bends up to/ })).toBeTruthy();
});

test('each pass says what stays and how far the hand goes; another hand keeps what it keeps', async () => {
  const { user, written, state, figure } = await show(planned());
  const list = screen.getByRole('list', { name: 'Working list' });
  expect(within(list).getByText(/away from the limb stays; hand goes to 1\d/)).toBeTruthy();
  expect(figure().marks.filter(({ kind }) => kind === 'bend')).toHaveLength(2);
  await user.click(screen.getByRole('button', { name: 'Bend 1 is made, heads parallel and free' }));
  expect(written[0]!.body).toMatchObject({ part, at: 62, direction: 'away-from-limb' });
  expect(written[0]!.body.hand).toBeGreaterThan(12);
  await user.click(within(list).getByText('64 mm below hinge'));
  await user.type(screen.getByLabelText(/Hand went to/), '20');
  await user.click(screen.getByRole('button', { name: 'Bend 2 is made, heads parallel and free' }));
  expect(written[1]!.body).toMatchObject({ at: -64, direction: 'towards-limb', hand: 20 });
  // 20 degrees of hand leave far more than the 3 that were planned
  expect(written[1]!.body.amount).toBeGreaterThan(6);
  const bar = state().shaping.bars.find((one) => one.part.id === part)!;
  expect(bar.plan!.work[1]!.next).toBeUndefined();
  expect(screen.getByText(/more than was planned: plan again/)).toBeTruthy();
});

test('a hand that leaves nothing is no bend', async () => {
  const { user, written } = await show(planned());
  await user.type(screen.getByLabelText(/Hand went to/), '5{Enter}');
  expect(written).toEqual([]);
  expect(screen.getByText('Nothing stays of that: the bar comes all the way back.')).toBeTruthy();
});

test('gaps that are measured are what the bar is: its springback is learned and the rest is planned again', async () => {
  const { user, written, state } = await show(planned());
  await user.click(screen.getByRole('button', { name: 'Bend 1 is made, heads parallel and free' }));
  await user.click(screen.getByRole('button', { name: 'Measure gaps' }));
  await user.type(screen.getByLabelText('120 mm above hinge'), '-3');
  expect(screen.getByText('= presses by 3 mm')).toBeTruthy();
  await user.click(screen.getByRole('button', { name: 'Take the gaps' }));
  expect(screen.getByText('Two places are needed at least.')).toBeTruthy();
  await user.type(screen.getByLabelText('160 mm above hinge'), '-4');
  await user.click(screen.getByRole('button', { name: 'Take the gaps' }));
  expect(written[1]!.body).toEqual({
    part,
    what: 'gaps',
    points: [
      { at: 160, out: -4 },
      { at: 120, out: -3 },
    ],
  });
  expect(screen.getByText(/planned: plan the rest again/)).toBeTruthy();
  expect(screen.getByText(/learned from 1 pass/)).toBeTruthy();
  expect(state().shaping.bars.find((one) => one.part.id === part)!.plan!.stale).toBe(true);
  await waitFor(() => expect(screen.getByRole('radiogroup', { name: 'How many bends' })).toBeTruthy());
});

test('a plan that is stopped can be begun again', async () => {
  const release = holdPlans();
  const { user } = await show(contoured());
  await user.click(screen.getByRole('button', { name: 'Stop planning' }));
  release();
  expect(screen.getByText('Planning was stopped.')).toBeTruthy();
  await act(async () => new Promise((done) => setTimeout(done, 50)));
  expect(screen.queryByRole('radiogroup', { name: 'How many bends' })).toBeNull();
  await user.click(screen.getByRole('button', { name: 'Plan again' }));
  expect(await screen.findByRole('radiogroup', { name: 'How many bends' })).toBeTruthy();
});

test('who only reads sees bar and plan, and nothing to press', async () => {
  await show(planned(), { role: 'reader' });
  expect(screen.getByRole('img', { name: /The bar over its contour/ })).toBeTruthy();
  expect(screen.queryByRole('button', { name: /is made/ })).toBeNull();
  expect(screen.queryByRole('button', { name: 'Measure gaps' })).toBeNull();
});

test('stations are pasted; a line that is none is told with its number', async () => {
  const { user, written } = await show(shapedLogbook());
  await user.click(screen.getByRole('button', { name: /The contour, from/ }));
  await user.click(screen.getByRole('option', { name: 'Stations typed or pasted' }));
  const text = screen.getByLabelText(/One station a line/);
  await user.click(text);
  await user.paste('160 -4\n0\n');
  await user.click(screen.getByRole('button', { name: 'Take the contour' }));
  expect(screen.getByText('Line 2: two lengths belong here.')).toBeTruthy();
  await user.clear(text);
  await user.click(text);
  await user.paste('160 -4\n0 -6\n-120 -11');
  await user.click(screen.getByRole('button', { name: 'Take the contour' }));
  expect(written[0]!.body.points).toEqual([
    { at: -120, out: -11 },
    { at: 0, out: -6 },
    { at: 160, out: -4 },
  ]);
});

test('girths give an estimate that says so', async () => {
  const { user, written } = await show(shapedLogbook());
  await user.click(screen.getByRole('button', { name: /The contour, from/ }));
  await user.click(screen.getByRole('option', { name: 'Girths and widths' }));
  expect(screen.getByText(/^An estimate: girths say how wide/)).toBeTruthy();
  await user.click(screen.getByRole('button', { name: 'Take the contour' }));
  const read = written[0]!.body.points as { at: number; out: number }[];
  expect(read.length).toBeGreaterThan(5);
  // a thigh is wider than the knee
  expect(read.find(({ at }) => at === 160)!.out).toBeGreaterThan(read.find(({ at }) => at === 0)!.out + 5);
});

test('a tracing is drawn on the figure along the bar’s edge and becomes stations', async () => {
  const { user, written, figure } = await show(shapedLogbook());
  await user.click(screen.getByRole('button', { name: /The contour, from/ }));
  await user.click(screen.getByRole('option', { name: 'Tracing on the figure' }));
  await user.click(screen.getByRole('button', { name: 'Draw it on the figure' }));
  const pointing = figure().pointing!;
  if (pointing.kind !== 'line') throw new Error('no line is asked for');
  expect(pointing.view).toBe('front');
  // from the thigh down, where the medial edge of a right leg seen from in front lies to the right
  act(() =>
    pointing.onLine(Array.from({ length: 40 }, (_, i) => ({ x: 60 + Math.sin(i / 8), level: 185 - i * 9 }))),
  );
  expect(figure().pointing).toBeUndefined();
  await user.click(screen.getByRole('button', { name: 'Take the contour' }));
  const { points: stations, source } = written[0]!.body as { points: { out: number }[]; source: string };
  expect(source).toBe('tracing');
  expect(stations.length).toBeGreaterThan(10);
  for (const { out } of stations) expect(Math.abs(Math.abs(out) - 60)).toBeLessThan(2);
});

test('a varus or valgus set: the same angle above and below, the other bar the other way', async () => {
  const context = {
    ...shapedContext,
    programme: {
      ...shapedContext.programme,
      operations: [
        {
          kind: 'bend' as const,
          id: 'bend-uprights',
          parts: ['upright-medial', 'upright-lateral'],
          sets: 'coronal' as const,
        },
      ],
    },
  };
  const { user, written } = await showStage(ShapeStage, shapedLogbook(), { context });
  const set = async (angle: string) => {
    await user.click(screen.getByRole('button', { name: 'Varus or valgus set' }));
    await user.type(screen.getByLabelText('Angle of this bar'), angle);
    await user.click(screen.getByRole('button', { name: 'Plan the set' }));
  };
  await set('4');
  expect(written[0]!.body).toMatchObject({
    part: 'upright-medial',
    purpose: 'set',
    bends: [
      { at: 65, turn: 4 },
      { at: -65, turn: 4 },
    ],
  });
  // its passes are made without a contour
  expect(screen.getByRole('list', { name: 'Working list' })).toBeTruthy();
  await user.click(screen.getByRole('radio', { name: 'Lateral upright' }));
  await user.click(screen.getByRole('button', { name: 'Varus or valgus set' }));
  expect(screen.getByText(/This bar towards the limb, the other the other way/)).toBeTruthy();
});
