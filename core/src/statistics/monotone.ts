/**
 * A smooth curve through points that never leaves the range of its two neighbours.
 * Cubic Hermite with slopes limited after Steffen 1990 (Astronomy and Astrophysics 239).
 * Beyond the ends it stays at the end value.
 * @param xs rising strictly, at least one
 * @param ys as many as xs
 * @returns the curve as a function of x
 */
export function monotoneCurve(xs: readonly number[], ys: readonly number[]): (x: number) => number {
  const last = xs.length - 1;
  const width = (i: number) => xs[i + 1]! - xs[i]!;
  const secant = (i: number) => (ys[i + 1]! - ys[i]!) / width(i);
  const inner = (i: number): number => {
    const [before, after] = [secant(i - 1), secant(i)];
    const parabola = (before * width(i) + after * width(i - 1)) / (width(i - 1) + width(i));
    return (
      (Math.sign(before) + Math.sign(after)) *
      Math.min(Math.abs(before), Math.abs(after), 0.5 * Math.abs(parabola))
    );
  };
  // the ends have no neighbour on one side: they are put in below
  const slopes = xs.map((_, i) => inner(i));
  if (last === 1) {
    // two points: a straight line
    slopes[0] = secant(0);
    slopes[1] = secant(0);
  } else {
    // one-sided ends: the slope that makes the third derivative there vanish
    slopes[0] = (3 * secant(0) - slopes[1]!) / 2;
    slopes[last] = (3 * secant(last - 1) - slopes[last - 1]!) / 2;
  }
  return (x) => {
    if (x <= xs[0]!) return ys[0]!;
    if (x >= xs[last]!) return ys[last]!;
    const i = xs.findLastIndex((at) => at <= x);
    const h = width(i);
    const t = (x - xs[i]!) / h;
    const [m0, m1] = [slopes[i]! * h, slopes[i + 1]! * h];
    return (
      (1 + 2 * t) * (1 - t) ** 2 * ys[i]! +
      t * (1 - t) ** 2 * m0 +
      t * t * (3 - 2 * t) * ys[i + 1]! +
      t * t * (t - 1) * m1
    );
  };
}
