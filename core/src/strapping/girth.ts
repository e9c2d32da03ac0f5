import { ellipsePerimeter, type Body } from '../anatomy';
import { levelOn, type PartOf } from '../brace';
import type { Millimetres } from '../quantity';

/**
 * The girth of the drawn body where a strap lies: an ellipse through its width and its depth, in the middle of the strap's way.
 * An estimate, as the drawn body is one between its readings: the tape at the strap goes before it.
 * @returns undefined where the body is not drawn there, or in one view alone
 */
export function girthAtStrap(
  body: Pick<Body, 'views' | 'level'>,
  strap: PartOf<'strap'>,
): Millimetres | undefined {
  const place = strap.course[Math.floor(strap.course.length / 2)]!;
  const level = levelOn(place, body.level);
  if (level === undefined) return undefined;
  const acrossIn = (faces: readonly string[]) => {
    const view = body.views.find(({ id }) => faces.includes(id));
    const edges = view?.edges(level, place.from);
    return edges && edges[1] - edges[0];
  };
  const width = acrossIn(['front', 'back']);
  const depth = acrossIn(['side', 'outer']);
  return width && depth ? ellipsePerimeter(width / 2, depth / 2) : undefined;
}
