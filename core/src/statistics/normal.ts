/**
 * Density of the standard normal distribution.
 * phi(z) = exp(-z^2/2) / sqrt(2 pi)
 */
export function normalDensity(z: number): number {
  return Math.exp(-0.5 * z * z) / Math.sqrt(2 * Math.PI);
}

/**
 * Distribution function of the standard normal distribution, absolute error below 1e-12.
 * Inside |z| < 3 the series Phi = 1/2 + phi(z) (z + z^3/3 + z^5/(3*5) + ...), outside the
 * continued fraction of the tail, phi(z) / (z + 1/(z + 2/(z + 3/(z + ...)))), both in
 * Abramowitz and Stegun, 26.2.11 and 26.2.14 (numbering from memory).
 */
export function normalCdf(z: number): number {
  if (Number.isNaN(z)) return NaN;
  if (z > 38) return 1;
  if (z < -38) return 0;
  if (Math.abs(z) < 3) {
    let term = z;
    let sum = z;
    for (let k = 3; Math.abs(term) > 1e-17 * Math.abs(sum) && k < 200; k += 2) {
      term *= (z * z) / k;
      sum += term;
    }
    return 0.5 + normalDensity(z) * sum;
  }
  const x = Math.abs(z);
  let fraction = x;
  for (let k = 80; k >= 1; k -= 1) fraction = x + k / fraction;
  const tail = normalDensity(x) / fraction;
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
  // the difference of two upper tails loses digits: take them on the other side
  return low > 0 ? normalCdf(-low) - normalCdf(-high) : normalCdf(high) - normalCdf(low);
}
