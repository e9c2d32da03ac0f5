import { screen } from '@testing-library/react';
import { shapedContext, type testLogbook } from '../../../core/src/logbook/test-case';
import { shapedLogbook, showStage } from '../case/test-stage';
import ShapeStage from './shape-stage';

// the clock stands still while a test runs: a busy machine shows the same seconds
beforeEach(() => {
  const now = Date.now();
  jest.spyOn(Date, 'now').mockImplementation(() => now);
});
afterEach(() => jest.restoreAllMocks());

const run = { operation: 'mould-shin', part: 'shin-shell' } as const;
/** A run whose events happened so many seconds before now. */
function running(id: 'pack' | 'gun', ...events: (readonly [ago: number, body: object])[]) {
  const log = shapedLogbook();
  const at = (ago: number) => ({ observedAt: new Date(Date.now() - ago * 1000).toISOString() });
  const of = log.write('shape.heat', { ...run, run: id, what: 'begun', feels: true, room: 22 }, at(600));
  for (const [ago, body] of events)
    log.write('shape.heat', { ...run, run: id, of, ...body } as never, at(ago));
  return log;
}
const show = (log: ReturnType<typeof testLogbook>, context = shapedContext) =>
  showStage(ShapeStage, log, { context });

test('no heat near a body before its sensation is asked; impaired, none at all', async () => {
  const { user, written } = await show(shapedLogbook());
  const begin = () => screen.getByRole<HTMLButtonElement>('button', { name: 'Begin' });
  expect(begin().disabled).toBe(true);
  await user.click(screen.getByRole('radio', { name: 'Impaired or not sure' }));
  expect(screen.getByText(/Not on this body: a burn would not be felt/)).toBeTruthy();
  expect(begin().disabled).toBe(true);
  await user.click(screen.getByRole('radio', { name: 'Feels both' }));
  await user.click(begin());
  expect(written[0]!.body).toEqual({ ...run, run: 'pack', what: 'begun', feels: true });
});

test('a neuropathy that Screen found is the answer: it cannot be talked away', async () => {
  const { user } = await show(shapedLogbook('neuropathy'));
  await user.click(screen.getByRole('radio', { name: 'Feels both' }));
  expect(screen.getByText(/Screen found impaired sensation/)).toBeTruthy();
  expect(screen.getByRole<HTMLButtonElement>('button', { name: 'Begin' }).disabled).toBe(true);
});

test('after a reload the clock stands where it is: the pack’s time counts from its start', async () => {
  await show(running('pack', [100, { what: 'stage', stage: 'warm' }]));
  expect(screen.getByRole('timer').textContent).toBe('0:20');
  expect(screen.getByRole('button', { name: 'On before its time: Mould' })).toBeTruthy();
});

test('in the window what is left of it is told; over it, that it is too long', async () => {
  const warm = [200, { what: 'stage', stage: 'warm' }] as const;
  const { leave } = await show(running('pack', warm, [80, { what: 'stage', stage: 'mould' }]));
  expect(screen.getByText('now; this is left')).toBeTruthy();
  expect(screen.getByRole('timer').textContent).toBe('0:40');
  leave();
  await show(
    running('pack', [300, { what: 'stage', stage: 'warm' }], [80, { what: 'stage', stage: 'mould' }]),
  );
  expect(screen.getByText('too long: go on or stop now')).toBeTruthy();
  expect(screen.getByRole('timer').textContent).toBe('+1:00');
});

test('a pause holds it, and one touch says that it went wrong', async () => {
  const { user, written, state } = await show(
    running('pack', [100, { what: 'stage', stage: 'warm' }], [70, { what: 'paused' }]),
  );
  expect(screen.getByText('paused')).toBeTruthy();
  expect(screen.getByRole('timer').textContent).toBe('1:30');
  await user.click(screen.getByRole('button', { name: 'Go on' }));
  expect(written[0]!.body).toMatchObject({ what: 'resumed' });
  await user.click(screen.getByRole('button', { name: 'It went wrong' }));
  expect(written[1]!.body).toMatchObject({ what: 'wrong' });
  expect(state().shaping.heat[0]!.ended).toBeDefined();
  expect(screen.getByText(/: stopped\./)).toBeTruthy();
});

/** Readings of a plastic that cools from 80 degrees in a room of 22. */
const cooled = (tau: number, ...agos: number[]) =>
  agos.map(
    (ago, i) =>
      [
        ago,
        { what: 'read', celsius: 22 + 58 * Math.exp(-(agos[0]! - ago) / tau) + (i === 9 ? 1 : 0) },
      ] as const,
  );
const cooling = [
  [200, { what: 'stage', stage: 'heat-with-gun' }],
  [185, { what: 'stage', stage: 'cool-to-contact' }],
] as const;
const on = () =>
  screen.getByRole<HTMLButtonElement>('button', { name: /On( before its time)?: On and form/ });

test('without readings and without the material’s own time nothing hot comes onto the body', async () => {
  const { user, written } = await show(running('gun', ...cooling));
  expect(screen.getByText(/No reading yet. The model states no waiting time/)).toBeTruthy();
  expect(on().disabled).toBe(true);
  await user.type(screen.getByLabelText('Thermometer, reading 1'), '61{Enter}');
  expect(written[0]!.body).toMatchObject({ what: 'read', celsius: 61 });
  expect(on().disabled).toBe(true);
  await user.type(screen.getByLabelText('Thermometer, reading 2'), '41{Enter}');
  expect(screen.getByText(/Read at 41 °C, under the burn limit/)).toBeTruthy();
  expect(on().disabled).toBe(false);
});

test('three readings that agree give a countdown; two give none', async () => {
  const { leave } = await show(running('gun', ...cooling, ...cooled(400, 180, 140)));
  expect(screen.getByText(/a third one has to bear them out/)).toBeTruthy();
  leave();
  await show(running('gun', ...cooling, ...cooled(400, 180, 140, 100)));
  expect(screen.getByText('until it is down to 43 °C; then felt first')).toBeTruthy();
  // 400 s x ln(58/21) after the first reading, of which 180 are over
  expect(screen.getByRole('timer').textContent).toMatch(/^3:4\d$/);
  expect(on().disabled).toBe(true);
});

const stated = (formsAbove: number) => ({
  ...shapedContext,
  model: { ...shapedContext.model, plastics: { 'mould-shin': { waits: 2, formsAbove } } },
});

test('where it sets before it may touch there is no time for it, and it says so', async () => {
  await show(running('gun', ...cooling, ...cooled(400, 180, 140, 100)), stated(55));
  expect(screen.getByText(/there is no time for it on the body/)).toBeTruthy();
  expect(on().disabled).toBe(true);
});

test('the material’s own waiting time is no countdown of a temperature', async () => {
  const { leave } = await show(running('gun', ...cooling), stated(38));
  // two minutes from the end of the heat, 185 s ago
  expect(screen.getByText(/own waiting time of 2 min is over/)).toBeTruthy();
  expect(on().disabled).toBe(false);
  leave();
  const early = [
    [60, { what: 'stage', stage: 'heat-with-gun' }],
    [45, { what: 'stage', stage: 'cool-to-contact' }],
  ] as const;
  await show(running('gun', ...early), stated(38));
  expect(screen.getByText(/no countdown of its temperature/)).toBeTruthy();
  expect(on().disabled).toBe(true);
});

test('what was read cool and has set already is not put on to be formed', async () => {
  const { leave } = await show(running('gun', ...cooling, [100, { what: 'read', celsius: 41 }]), stated(45));
  expect(screen.getByText(/It no longer forms, at 45 °C and less/)).toBeTruthy();
  expect(on().disabled).toBe(true);
  leave();
  // it cools to 38 some 500 s after its first reading
  await show(
    running(
      'gun',
      ...cooling.map(([ago, body]) => [ago + 900, body] as const),
      ...cooled(400, 1000, 960, 920),
    ),
    stated(38),
  );
  expect(screen.getByText(/It no longer forms, at 38 °C and less/)).toBeTruthy();
  expect(on().disabled).toBe(true);
});

test('a thermometer that still reads hot when the material’s time is over keeps it off the body', async () => {
  const hot = [20, { what: 'read', celsius: 58 }] as const;
  const { leave } = await show(running('gun', ...cooling, hot), stated(38));
  expect(screen.getByText(/Read at 58 °C, over 43: not on the body/)).toBeTruthy();
  expect(on().disabled).toBe(true);
  leave();
  // read while it was waited for, it says nothing of how it is now
  await show(running('gun', ...cooling, [170, { what: 'read', celsius: 70 }]), stated(38));
  expect(screen.getByText(/own waiting time of 2 min is over/)).toBeTruthy();
  expect(on().disabled).toBe(false);
});
