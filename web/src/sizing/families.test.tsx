import { screen, within } from '@testing-library/react';
import { beltContext, contextOf, testLogbook } from '../../../core/src/logbook/test-case';
import { showStage } from '../case/test-stage';
import SizeStage from './size-stage';

const axis = (reading: string, sizes: string[], edges: number[]) => ({
  reading,
  resolution: 0,
  bands: sizes.map((size, i) => ({ size, from: edges[i]!, to: edges[i + 1]! })),
});

const belt = (height: 'low' | 'tall' | undefined, ...waist: number[]) => {
  const log = testLogbook(beltContext, 'midline');
  log.order({ side: 'midline', phases: [{ fromDay: 0, limits: [] }], ...(height ? { height } : {}) });
  log.read('girth-waist', 'midline', ...waist);
  return log;
};

test('a belt: mark for both ends, tilt, and the height as ordered, checked by its length', async () => {
  const log = belt('low', 918, 922);
  log.read('girth-waist-above', 'midline', 900, 902);
  log.read('girth-waist-below', 'midline', 950, 952);
  log.read('l1-to-l5', 'midline', 148, 150);
  const { user, written } = await showStage(SizeStage, log, { context: beltContext });
  expect(screen.getByText('Both ends at mark 12')).toBeTruthy();
  expect(screen.getByText(/Lower edge 3° wider than the upper/)).toBeTruthy();
  expect(screen.getByText('The order says Low. L1 to L5 suits it, over 99 % sure.')).toBeTruthy();
  await user.click(screen.getByRole('button', { name: 'Take size 2' }));
  expect(written[0]!.body).toMatchObject({ size: '2', height: 'low', heightReason: 'as ordered' });
});

test('a length that suits another height than the ordered one is told; the order is not overruled by it', async () => {
  const log = belt('tall', 918, 922);
  log.read('l1-to-l5', 'midline', 148, 150);
  await showStage(SizeStage, log, { context: beltContext });
  expect(screen.getByText(/L1 to L5 suits Low \(over 99 % sure\), not what is ordered/)).toBeTruthy();
  expect((screen.getByRole('radio', { name: 'Tall' }) as HTMLInputElement).checked).toBe(true);
});

test('an order that says no height is asked back; whichever is taken needs its reason', async () => {
  const log = belt(undefined, 918, 922);
  log.read('l1-to-l5', 'midline', 148, 150);
  const { user, written } = await showStage(SizeStage, log, { context: beltContext });
  expect(screen.getByText(/The order does not say which height: ask the prescriber/)).toBeTruthy();
  await user.click(screen.getByRole('radio', { name: 'Tall' }));
  await user.click(screen.getByRole('button', { name: 'Take size 2' }));
  expect(screen.getByText('Give the reason in a few words.')).toBeTruthy();
  expect(written).toEqual([]);
  await user.type(screen.getByLabelText('Why this height'), 'ordered tall');
  await user.click(screen.getByRole('button', { name: 'Take size 2' }));
  expect(written[0]!.body).toMatchObject({ height: 'tall', heightReason: 'ordered tall' });
  // what is decided stands as it was decided, and there is nothing left to take
  expect((screen.getByRole('radio', { name: 'Tall' }) as HTMLInputElement).checked).toBe(true);
  expect(screen.queryByRole('button', { name: /^Take size/ })).toBeNull();
  await user.click(screen.getByRole('radio', { name: 'Low' }));
  expect(screen.getByRole('button', { name: /^Take size/ })).toBeTruthy();
});

test('above the largest size side extensions reach, and are written', async () => {
  const log = belt('low', 1098, 1102);
  log.read('l1-to-l5', 'midline', 148, 150);
  const { user, written } = await showStage(SizeStage, log, { context: beltContext });
  expect(screen.getByText('With side extensions of 50 mm on each side.')).toBeTruthy();
  await user.click(screen.getByRole('button', { name: 'Take size 2' }));
  expect(written[0]!.body).toMatchObject({ size: '2', rule: 'side-extension', sideExtension: 50 });
});

test('a two-way table is drawn with the body in it', async () => {
  const context = contextOf('knee-sleeve', {
    sizes: ['1', '2', '3'],
    axes: [
      axis('girth-above', ['a', 'b'], [300, 400, 500]),
      axis('girth-below', ['c', 'd'], [250, 300, 400]),
    ],
    table: [
      ['1', '2'],
      ['2', '3'],
    ],
    between: 'nearer',
    disagree: 'larger',
  });
  const log = testLogbook(context, 'left');
  log.read('girth-above', 'left', 450, 452);
  log.read('girth-below', 'left', 348, 350);
  await showStage(SizeStage, log, { context });
  expect(screen.getByRole('img', { name: 'The chart as a two-way table' })).toBeTruthy();
  expect(screen.getByText('over 99 % sure.')).toBeTruthy();
  expect(screen.getByText('Fits left or right.')).toBeTruthy();
});

test('axes that disagree are told one by one, in their own units', async () => {
  const sizes = ['P1', 'P2'];
  const context = contextOf('neck-collar', {
    sizes,
    axes: [
      axis('age', sizes, [0, 4, 9]),
      axis('weight', sizes, [3, 16, 28]),
      axis('stature', sizes, [480, 1000, 1330]),
    ],
    between: 'nearer',
    disagree: 'primary',
  });
  const log = testLogbook(context, 'midline');
  log.read('age', 'midline', 4.6);
  log.read('weight', 'midline', 14.8, 15);
  log.read('stature', 'midline', 1060, 1062);
  await showStage(SizeStage, log, { context });
  expect(screen.getByText(/0\.6 years|1\.1 kg/)).toBeTruthy();
  expect(screen.getByText(/By age: P2\. By weight: P1\. By length: P2\./)).toBeTruthy();
  expect(screen.queryByText('Fits left or right.')).toBeNull();
});

test('a left version is named where left and right are two braces', async () => {
  const context = contextOf(
    'ankle-stabiliser',
    {
      sizes: ['S', 'M'],
      axes: [axis('heel-width', ['S', 'M'], [50, 60, 70])],
      between: 'larger',
      disagree: 'primary',
    },
    { sided: true },
  );
  const log = testLogbook(context, 'left');
  log.read('heel-width', 'left', 65, 65.4);
  await showStage(SizeStage, log, { context });
  expect(screen.getByText('The left version.')).toBeTruthy();
});

test('other models are ranked; those out of range and those not measured say so', async () => {
  const match = {
    outcome: 'size',
    size: 'L',
    rule: 'inside',
    probability: 0.97,
    margin: 12,
    neighbour: 'M',
    decides: 'girth-waist',
    against: 'M',
    probabilities: [],
    pointed: [],
  };
  const listed = (name: string) => ({
    id: name,
    version: 1,
    hash: name,
    name,
    maker: 'nobody',
    invented: true,
  });
  globalThis.fetch = (async () =>
    new Response(
      JSON.stringify({
        fits: [
          { model: listed('Good'), family: { id: 'spine-belt' }, match, estimated: true, missing: [] },
          {
            model: listed('Small'),
            family: { id: 'spine-belt' },
            match: { ...match, outcome: 'made-to-measure', rule: 'outside', margin: -40 },
            estimated: false,
            missing: [],
          },
          {
            model: listed('Unread'),
            family: { id: 'spine-belt' },
            match: { outcome: 'incomplete', missing: ['girth-hips'] },
            estimated: false,
            missing: ['girth-hips'],
          },
        ],
        more: false,
      }),
    )) as typeof fetch;
  const { user } = await showStage(SizeStage, belt('low', 918, 922), { context: beltContext });
  await user.click(screen.getByRole('button', { name: 'Other models' }));
  const [good, small, unread] = within(
    await screen.findByRole('list', { name: 'Other models' }),
  ).getAllByRole('listitem');
  expect(good!.textContent).toMatch(/L.*Good, nobody.*estimated.*97 %/);
  expect(small!.textContent).toMatch(/out of range: 40 mm beyond M at the waist, off the chart/);
  expect(unread!.textContent).toMatch(/not measured: Girth above the hips’ greatest/);
});

test('a brace of one size is taken without a reading', async () => {
  const context = contextOf('neck-two-post', {
    sizes: ['adult'],
    axes: [],
    between: 'larger',
    disagree: 'primary',
  });
  const { user, written } = await showStage(SizeStage, testLogbook(context, 'midline'), { context });
  expect(screen.getByText(/One adjustable size: nothing is measured for it\./)).toBeTruthy();
  await user.click(screen.getByRole('button', { name: 'Take size adult' }));
  expect(written[0]!.body).toMatchObject({ size: 'adult', rule: 'one-size', probability: 1, madeFrom: [] });
  expect(written[0]!.body).not.toHaveProperty('decides');
});
