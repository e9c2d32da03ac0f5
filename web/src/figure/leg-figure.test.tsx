import { legForm } from '@estribo/core/anatomy';
import { render, screen } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { LegFigure } from './leg-figure';
import { bareLimb, type FigureLayer } from './layer';

const lettersAt = (side: 'left' | 'right') => {
  const { unmount } = render(<LegFigure form={legForm([])} side={side} layer={bareLimb} description="leg" />);
  const x = (letter: string) => Number(screen.getByText(letter).getAttribute('x'));
  const found = { M: x('M'), L: x('L') };
  unmount();
  return found;
};

test('M stands on the inner side of the leg as it is seen from the front', () => {
  const [right, left] = [lettersAt('right'), lettersAt('left')];
  expect(right.M).toBeGreaterThan(right.L);
  expect(left.M).toBeLessThan(left.L);
});

test('a larger girth draws another outline', () => {
  const outline = (girth: number) => {
    const { container, unmount } = render(
      <LegFigure form={legForm([{ level: 150, girth }])} side="right" layer={bareLimb} description="leg" />,
    );
    const drawn = container.querySelector('path.skin')!.getAttribute('d');
    unmount();
    return drawn;
  };
  expect(outline(500)).not.toBe(outline(450));
});

test('what is touched on the figure is named to the work', async () => {
  const layer: FigureLayer = {
    marks: [{ id: 'strap-4', kind: 'strap', level: -140, face: 'front', label: '4', state: 'ahead' }],
  };
  const onSelect = jest.fn();
  render(<LegFigure form={legForm([])} side="right" layer={layer} onSelect={onSelect} description="leg" />);
  await userEvent.click(screen.getByText('4'));
  expect(onSelect).toHaveBeenCalledWith('strap-4');
});
