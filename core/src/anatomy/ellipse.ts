import type { Millimetres } from '../quantity';

/**
 * Perimeter of an ellipse by Ramanujan's second formula,
 * pi (a + b) (1 + 3h / (10 + sqrt(4 - 3h))), h = ((a - b)/(a + b))^2.
 * @param a semi-axis
 * @param b the other semi-axis, same unit
 */
export function ellipsePerimeter(a: number, b: number): number {
  const h = ((a - b) / (a + b)) ** 2;
  return Math.PI * (a + b) * (1 + (3 * h) / (10 + Math.sqrt(4 - 3 * h)));
}

/**
 * Half width and half depth of a limb section taken as an ellipse: an estimate for drawing.
 * @param girth in mm
 * @param depthToWidth depth (front to back) over width (side to side)
 */
export function semiAxes(
  girth: Millimetres,
  depthToWidth: number,
): { halfWidth: Millimetres; halfDepth: Millimetres } {
  const halfWidth = girth / ellipsePerimeter(1, depthToWidth);
  return { halfWidth, halfDepth: halfWidth * depthToWidth };
}
