import { buildOf, nothingRead, type BodyReadings } from '@estribo/core/anatomy';
import type { MeasuringStep } from '@estribo/core/measuring';
import { kneeStrap, programmes } from '@estribo/core/programmes';
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
    marks: [],
    parts: [{ part: kneeStrap(4, -140, 'front'), state: 'ahead', numbered: true }],
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

/** The polylines of a path that has only straight pieces. */
const linesOf = (path: Element) =>
  path
    .getAttribute('d')!
    .split('M')
    .slice(1)
    .map((run) =>
      run
        .replace('Z', '')
        .split('L')
        .map((point) => point.trim().split(/[ ,]/).map(Number) as [number, number]),
    );
/** How far a point lies from a straight piece. */
function toPiece([x, y]: [number, number], [ax, ay]: [number, number], [bx, by]: [number, number]): number {
  const [dx, dy] = [bx - ax, by - ay];
  const along = Math.max(0, Math.min(1, ((x - ax) * dx + (y - ay) * dy) / (dx * dx + dy * dy || 1)));
  return Math.hypot(x - ax - along * dx, y - ay - along * dy);
}

const frame = programmes.find(({ id }) => id === 'knee-ligament-frame')!;
const worn = [
  ...frame.parts,
  ...[-72, 75, 165, -140, -116, 148].map((level, i) =>
    kneeStrap(i + 1, level, i === 3 || i === 5 ? 'front' : 'back'),
  ),
];

/** What the check stage and the strap stage lay over a leg: numbers of checks, numbers of straps. */
const layers: Record<string, Pick<FigureLayer, 'parts' | 'marks'>> = {
  checks: {
    parts: frame.parts.map((part) => ({ part, state: 'done' })),
    marks: frame.checks.flatMap(({ id, at }, i) =>
      at ? [{ id, kind: 'spot' as const, at, label: String(i + 1), state: 'ahead' as const }] : [],
    ),
  },
  straps: { parts: worn.map((part) => ({ part, state: 'ahead', numbered: true })), marks: [] },
};

test.each(
  Object.keys(layers).flatMap((name) =>
    (['left', 'right'] as const).flatMap((side) =>
      ([buildOf(1700, 40), buildOf(1050, 5)] as const).map((body) => [name, side, body] as const),
    ),
  ),
)(
  '%s on a %s leg: each number beside what it means, over no line, brace or other number',
  (name, side, body) => {
    const { parts = [], marks } = layers[name]!;
    const { container } = show(
      { parts, marks, reference: { at: { from: 'kneecap-upper-edge' }, named: true } },
      nothingRead,
      ofLeg(side, { build: body }),
    );
    const badges = [...container.querySelectorAll('circle.badge')].map((badge) => ({
      at: ['cx', 'cy'].map((name) => Number(badge.getAttribute(name))) as [number, number],
      r: Number(badge.getAttribute('r')),
    }));
    expect(badges).toHaveLength(name === 'checks' ? 8 : 6);
    const lines = [...container.querySelectorAll('path.outline, path.inner, path.hidden, path.cut')].flatMap(
      linesOf,
    );
    const uprights = [...container.querySelectorAll('path.bar')].flatMap(linesOf);
    expect(uprights).toHaveLength(3);
    const hinges = [...container.querySelectorAll('circle.hinge')].map(
      (hinge) => ['cx', 'cy'].map((name) => Number(hinge.getAttribute(name))) as [number, number],
    );
    const [, , wide, high] = container.querySelector('svg')!.getAttribute('viewBox')!.split(' ').map(Number);
    badges.forEach(({ at, r }, i) => {
      for (const [run, half] of [...lines.map((run) => [run, 0]), ...uprights.map((run) => [run, 4.5])] as [
        [number, number][],
        number,
      ][])
        expect(Math.min(...run.slice(1).map((to, j) => toPiece(at, run[j]!, to)))).toBeGreaterThan(r + half);
      for (const hinge of hinges)
        expect(Math.hypot(at[0] - hinge[0], at[1] - hinge[1])).toBeGreaterThan(r + 13);
      for (const other of badges.slice(i + 1))
        expect(Math.hypot(at[0] - other.at[0], at[1] - other.at[1])).toBeGreaterThan(r + other.r);
      expect(at[0] - r).toBeGreaterThanOrEqual(0);
      expect(at[0] + r).toBeLessThanOrEqual(wide!);
      expect(at[1] - r).toBeGreaterThanOrEqual(0);
      expect(at[1] + r).toBeLessThanOrEqual(high!);
    });
  },
);

test('the measuring rod is in the unit of the moment: half feet in inches', () => {
  localStorage.setItem('estribo-unit', 'in');
  const step = { ...waist, kind: 'stature', id: 'stature' } as unknown as MeasuringStep;
  show({ marks: [], steps: [{ step, state: 'now', value: 1700 }] });
  localStorage.removeItem('estribo-unit');
  for (const text of ['0', '12', '60', '72', 'in']) expect(screen.getByText(text)).toBeTruthy();
  expect(screen.queryByText('mm')).toBeNull();
});
