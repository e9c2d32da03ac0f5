import { bodyOf, buildOf } from '../anatomy';
import { girthAtStrap } from './girth';
import { bodyReadings } from '../measuring';

const strap = (offset: number) => ({
  kind: 'strap' as const,
  id: 'strap',
  width: 20,
  course: (['medial', 'back', 'lateral'] as const).map((face) => ({
    from: 'mid-kneecap' as const,
    offset,
    face,
  })),
});

test('where a girth was read, the drawn body has it; between readings it lies between them', () => {
  const girths = [
    { from: 'mid-kneecap' as const, distance: 150, girth: 480 },
    { from: 'mid-kneecap' as const, distance: -120, girth: 360 },
  ];
  const body = bodyOf('leg', 'right', { ...bodyReadings([], 'right'), girths }, buildOf(1750));
  // drawn as an ellipse through width and depth: within what a drawing is true to
  expect(Math.abs(girthAtStrap(body, strap(150))! / 480 - 1)).toBeLessThan(0.04);
  expect(Math.abs(girthAtStrap(body, strap(-120))! / 360 - 1)).toBeLessThan(0.04);
  expect(girthAtStrap(body, strap(100))!).toBeLessThan(girthAtStrap(body, strap(150))!);
  // a place that this body does not have
  const elsewhere = strap(0).course.map((place) => ({ ...place, from: 'sternal-notch' as const }));
  expect(girthAtStrap(body, { ...strap(0), course: elsewhere })).toBeUndefined();
});
