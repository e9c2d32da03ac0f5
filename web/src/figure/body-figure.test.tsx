import { buildOf, nothingRead, type BodyReadings } from '@estribo/core/anatomy';
import type { MeasuringStep } from '@estribo/core/measuring';
import { render, screen } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { BodyFigure } from './body-figure';
import { bareLimb, type FigureLayer } from './layer';

const waist: MeasuringStep = {
  kind: 'girth',
  id: 'girth-waist',
  from: 'waist',
  distance: 0,
  tolerance: 12,
  withinPerson: 6,
  shared: 6,
  plausible: [400, 1900],
};
const sacrum: MeasuringStep = { kind: 'mark', id: 'sacrum', landmark: 'sacrum' };
const above: MeasuringStep = { ...waist, id: 'girth-waist-above', distance: 80 };

const build = buildOf(1700, 40);

const show = (layer: FigureLayer = bareLimb, readings: BodyReadings = nothingRead, more: object = {}) =>
  render(
    <BodyFigure
      region="trunk"
      side="midline"
      readings={readings}
      build={build}
      overlays={{}}
      layer={layer}
      description="Trunk"
      {...more}
    />,
  );
const outlines = (container: HTMLElement) =>
  [...container.querySelectorAll('path.skin')].map((path) => path.getAttribute('d'));

test('a trunk shows two of its three views, and turns', async () => {
  const { container } = show();
  expect(outlines(container)).toHaveLength(2);
  expect(screen.getByText('front')).toBeTruthy();
  await userEvent.click(screen.getByRole('button', { name: 'Turn: back' }));
  expect(screen.getByText('back')).toBeTruthy();
  expect(screen.getByText('right side')).toBeTruthy();
});

test('what is felt on the back turns the figure round by itself', () => {
  show({ marks: [], steps: [{ step: sacrum, state: 'now' }] });
  expect(screen.getByText('back')).toBeTruthy();
  expect(screen.queryByText('front')).toBeNull();
});

test('the sides are lettered as they are seen: the patient’s right to the viewer’s left from the front', async () => {
  show();
  const x = (letter: string) => Number(screen.getByText(letter).getAttribute('x'));
  expect(x('R')).toBeLessThan(x('L'));
  await userEvent.click(screen.getByRole('button', { name: 'Turn: back' }));
  expect(x('L')).toBeLessThan(x('R'));
});

test('a larger girth moves the outline; other side and last visit lie over it', () => {
  const broad = { ...nothingRead, girths: [{ from: 'waist' as const, distance: 0, girth: 1100 }] };
  const before = outlines(show().container)[0];
  const { container } = show(bareLimb, broad, { overlays: { last: nothingRead } });
  expect(outlines(container)[0]).not.toBe(before);
  expect(container.querySelectorAll('path.last')).toHaveLength(2);
});

test('a tape away from its mark is dimensioned, and what is touched is named to the work', async () => {
  const onSelect = jest.fn();
  show({ marks: [], steps: [{ step: above, state: 'now', label: '80' }] }, nothingRead, { onSelect });
  await userEvent.click(screen.getByText('80'));
  expect(onSelect).toHaveBeenCalledWith('girth-waist-above');
});

const kinds: MeasuringStep[] = [
  waist,
  above,
  sacrum,
  { ...waist, kind: 'curve', id: 'curve', from: 'c7', to: 'sacrum' } as MeasuringStep,
  {
    ...waist,
    kind: 'distance',
    id: 'distance',
    from: 'sternal-notch',
    to: 'pubic-symphysis',
  } as MeasuringStep,
  { ...waist, kind: 'width', id: 'width', at: 'chest', across: 'mediolateral' } as MeasuringStep,
  { ...waist, kind: 'width', id: 'depth', at: 'chest', across: 'anteroposterior' } as MeasuringStep,
  { ...waist, kind: 'inclination', id: 'inclination', from: 'c7', to: 'sacrum', at: 0.5 } as MeasuringStep,
];
test.each(kinds.map((step) => [step.id, step] as const))('%s is drawn where it is read', (_, step) => {
  const drawn = (layer: FigureLayer) =>
    show(layer).container.querySelectorAll('[aria-hidden] path, rect').length;
  expect(drawn({ marks: [], steps: [{ step, state: 'now', label: '12' }] })).toBeGreaterThan(drawn(bareLimb));
});

test.each([
  ['neck', 'midline', 'height', { from: 'trapezius-top', to: 'chin-line' }],
  ['ankle', 'left', 'shoe', {}],
  ['ankle', 'right', 'width', { at: 'heel', across: 'mediolateral' }],
  ['shoulder', 'left', 'girth', { from: 'upper-arm-greatest-girth', distance: 0 }],
  ['leg', 'left', 'width', { at: 'mid-kneecap', across: 'mediolateral' }],
  ['leg', 'right', 'distance', { from: 'mid-kneecap', to: 'malleoli' }],
] as const)('%s, %s: a %s is drawn', (region, side, kind, places) => {
  const step = { ...waist, ...places, kind, id: 'step' } as unknown as MeasuringStep;
  const count = (layer: FigureLayer) =>
    show(layer, nothingRead, { region, side }).container.querySelectorAll('path').length;
  expect(count({ marks: [], steps: [{ step, state: 'now' }] })).toBeGreaterThan(count(bareLimb));
});

const ofLeg = (side: 'left' | 'right', more: object = {}) => ({ region: 'leg', side, ...more });

test('M stands on the inner side of the leg as it is seen from the front', () => {
  const lettersAt = (side: 'left' | 'right') => {
    const { unmount } = show(bareLimb, nothingRead, ofLeg(side));
    const x = (letter: string) => Number(screen.getByText(letter).getAttribute('x'));
    const found = { M: x('M'), L: x('L') };
    unmount();
    return found;
  };
  const [right, left] = [lettersAt('right'), lettersAt('left')];
  expect(right.M).toBeGreaterThan(right.L);
  expect(left.M).toBeLessThan(left.L);
});

test('a strap that is touched on the figure is named to the work', async () => {
  const layer: FigureLayer = {
    marks: [{ id: 'strap-4', kind: 'strap', level: -140, face: 'front', label: '4', state: 'ahead' }],
  };
  const onSelect = jest.fn();
  show(layer, nothingRead, ofLeg('right', { onSelect }));
  await userEvent.click(screen.getByText('4'));
  expect(onSelect).toHaveBeenCalledWith('strap-4');
});

test('a reading that no body has is drawn as far as a body can be, and says so', () => {
  show(bareLimb, { ...nothingRead, girths: [{ from: 'waist', distance: 0, girth: 9000 }] });
  expect(screen.getByText('drawn no further')).toBeTruthy();
});

test.each([
  ['stature', 1064, '1200'],
  ['mass', 71, '71 kg'],
  ['age', 36, '36'],
] as const)('%s is drawn as what it is', (kind, value, text) => {
  const step = { ...waist, kind, id: kind } as unknown as MeasuringStep;
  show({ marks: [], steps: [{ step, state: 'now', value }] });
  expect(screen.getAllByText(text).length).toBeGreaterThan(0);
});
