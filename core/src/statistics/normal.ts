/**
 * Density of the standard normal distribution.
 * phi(z) = exp(-z^2/2) / sqrt(2 pi)
 */
export function normalDensity(z: number): number {
  return Math.exp(-0.5 * z * z) / Math.sqrt(2 * Math.PI);
}

/**
 * Distribution function of the standard normal distribution, to double precision: Hart's rational
 * approximation 5666 (Computer Approximations, 1968; coefficients from memory), beyond 7.07 the continued
 * fraction of the tail. Written out: a catalogue is matched with millions of calls.
 */
export function normalCdf(z: number): number {
  const x = Math.abs(z);
  const bell = Math.exp(-0.5 * x * x);
  let tail: number;
  if (x < 7.07106781186547) {
    const top =
      (((((3.52624965998911e-2 * x + 0.700383064443688) * x + 6.37396220353165) * x + 33.912866078383) * x +
        112.079291497871) *
        x +
        221.213596169931) *
        x +
      220.206867912376;
    const bottom =
      ((((((8.83883476483184e-2 * x + 1.75566716318264) * x + 16.064177579207) * x + 86.7807322029461) * x +
        296.564248779674) *
        x +
        637.333633378831) *
        x +
        793.826512519948) *
        x +
      440.413735824752;
    tail = (bell * top) / bottom;
  } else tail = bell / (x + 1 / (x + 2 / (x + 3 / (x + 4 / (x + 0.65))))) / Math.sqrt(2 * Math.PI);
  return z < 0 ? tail : 1 - tail;
}

/**
 * Probability that a normal quantity lies in [from, to).
 * @param deviation standard deviation; 0 gives 0 or 1
 */
export function normalWithin(mean: number, deviation: number, from: number, to: number): number {
  if (deviation === 0) return mean >= from && mean < to ? 1 : 0;
  const low = (from - mean) / deviation;
  const high = (to - mean) / deviation;
  if (low > 12 || high < -12) return 0;
  // the difference of two upper tails loses digits: take them on the other side
  return low > 0 ? normalCdf(-low) - normalCdf(-high) : normalCdf(high) - normalCdf(low);
}
