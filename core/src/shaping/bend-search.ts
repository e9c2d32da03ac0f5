import type { Millimetres } from '../quantity';
import type { BendWays } from './bend-plan';

/** An arm on a grid: heights are multiples of `rise`, what one unit of slope rises from station to station. */
export interface ArmOnGrid {
  beyond: readonly Millimetres[];
  mayBend: readonly BendWays[];
  freeStart: boolean;
  rise: Millimetres;
  /** units of slope */
  steepest: number;
  /** stations from one bend to the next at least */
  jaw: number;
}

/** A bend by its station and its units of slope. */
export interface GridBend {
  at: number;
  turn: number;
}

const near = 1e-9;

/** Which heights of the grid lie within a gap of the contour, station by station. */
interface Band {
  low: Int32Array;
  count: Int32Array;
}

function bandOf({ beyond, rise }: ArmOnGrid, gap: Millimetres): Band | undefined {
  const low = new Int32Array(beyond.length);
  const count = new Int32Array(beyond.length);
  for (let i = 0; i < beyond.length; i += 1) {
    low[i] = Math.ceil((beyond[i]! - gap) / rise - near);
    count[i] = Math.floor((beyond[i]! + gap) / rise + near) - low[i]! + 1;
    if (count[i]! <= 0) return undefined;
  }
  // the bar stands at its place: there it has no height
  return low[0]! > 0 || low[0]! + count[0]! <= 0 ? undefined : { low, count };
}

/** The slopes that stay within a band from a height on for a jaw's width. */
function straightOn({ low, count }: Band, i: number, y: number, jaw: number, steepest: number) {
  let [least, most] = [-steepest, steepest];
  for (let m = 1; m <= jaw; m += 1) {
    const bottom = Math.ceil((low[i + m]! - y) / m);
    const top = Math.floor((low[i + m]! + count[i + m]! - 1 - y) / m);
    if (bottom > least) least = bottom;
    if (top < most) most = top;
  }
  return [least, most] as const;
}

/**
 * The least largest gap with which an arm reaches its end, by number of bends, whatever they turn. A dynamic programme over
 * station, slope, height and bends; what is worse than a plan that is known is not followed.
 * @param bounds by number of bends, gaps that need not be looked beyond
 * @returns by number of bends; Infinity where nothing is within its bound
 */
export function leastGaps(arm: ArmOnGrid, bounds: readonly Millimetres[]): number[] {
  const { beyond, mayBend, rise, steepest, jaw } = arm;
  const most = bounds.length - 1;
  const limit = bounds.map((bound) => bound + 1e-6);
  const band = bandOf(arm, Math.max(...limit));
  if (!band) return bounds.map(() => Infinity);
  const { low, count } = band;
  const slopes = 2 * steepest + 1;
  const stations = beyond.length;
  /** one layer a station, as many as a bend looks ahead; rows by bends and height, with the slopes reached in them */
  const ring = jaw + 1;
  const widest = Math.max(...count);
  const rows = (most + 1) * widest;
  const values = Array.from({ length: ring }, () => new Float64Array(rows * slopes).fill(Infinity));
  const from = Array.from({ length: ring }, () => new Int16Array(rows).fill(slopes));
  const to = Array.from({ length: ring }, () => new Int16Array(rows).fill(-1));
  const put = (i: number, k: number, y: number, s: number, gap: number) => {
    const row = k * widest + y - low[i]!;
    const layer = i % ring;
    const cell = row * slopes + s;
    if (gap >= values[layer]![cell]!) return;
    values[layer]![cell] = gap;
    if (s < from[layer]![row]!) from[layer]![row] = s;
    if (s > to[layer]![row]!) to[layer]![row] = s;
  };
  for (let s = arm.freeStart ? 0 : steepest; s <= (arm.freeStart ? slopes - 1 : steepest); s += 1)
    put(0, 0, 0, s, Math.abs(beyond[0]!));
  for (let i = 0; i < stations - 1; i += 1) {
    const layer = i % ring;
    const [here, lows, highs] = [values[layer]!, from[layer]!, to[layer]!];
    const ways = i + jaw < stations ? mayBend[i]! : 'none';
    const [nextLow, nextCount, target] = [low[i + 1]!, count[i + 1]!, beyond[i + 1]!];
    for (let h = 0; h < count[i]!; h += 1) {
      const y = low[i]! + h;
      let ahead: readonly [number, number] | undefined;
      for (let k = 0; k <= most; k += 1) {
        const row = k * widest + h;
        if (highs[row]! < 0) continue;
        let least = Infinity;
        for (let s = lows[row]!; s <= highs[row]!; s += 1) {
          const gap = here[row * slopes + s]!;
          if (gap === Infinity) continue;
          if (gap < least) least = gap;
          const on = y + s - steepest;
          if (on < nextLow || on >= nextLow + nextCount) continue;
          const off = Math.abs(target - on * rise);
          const worse = off > gap ? off : gap;
          if (worse <= limit[k]!) put(i + 1, k, on, s, worse);
        }
        if (ways === 'none' || k === most) continue;
        ahead ??= straightOn(band, i, y, jaw, steepest);
        for (let slope = ahead[0]; slope <= ahead[1]; slope += 1) {
          const s = slope + steepest;
          let gap = ways === 'both' ? least : Infinity;
          if (ways === 'away')
            for (let at = lows[row]!; at <= Math.min(s, highs[row]!); at += 1)
              gap = Math.min(gap, here[row * slopes + at]!);
          if (ways === 'towards')
            for (let at = Math.max(s, lows[row]!); at <= highs[row]!; at += 1)
              gap = Math.min(gap, here[row * slopes + at]!);
          for (let m = 1; m <= jaw && gap <= limit[k + 1]!; m += 1)
            gap = Math.max(gap, Math.abs(beyond[i + m]! - (y + slope * m) * rise));
          if (gap <= limit[k + 1]!) put(i + jaw, k + 1, y + slope * jaw, s, gap);
        }
      }
    }
    // the layer is used again for a later station
    for (let row = 0; row < rows; row += 1)
      if (highs[row]! >= 0) {
        here.fill(Infinity, row * slopes + lows[row]!, row * slopes + highs[row]! + 1);
        lows[row] = slopes;
        highs[row] = -1;
      }
  }
  const last = (stations - 1) % ring;
  const found = Array.from({ length: most + 1 }, (_, k) => {
    let least = Infinity;
    for (let h = 0; h < count[stations - 1]!; h += 1) {
      const row = k * widest + h;
      for (let s = from[last]![row]!; s <= to[last]![row]!; s += 1)
        least = Math.min(least, values[last]![row * slopes + s]!);
    }
    return least;
  });
  // what fewer bends reach, more reach as well
  return found.map((_, k) => Math.min(...found.slice(0, k + 1)));
}

const unreached = 255;

/**
 * All that an arm can do within a gap: for every station, slope, height and number of bends the least turning that gets
 * there. The turning is the programme's value, so that the frame's limit is kept without a dimension of its own.
 * @param most bends
 * @param left units of slope that may be turned in all, under 255
 * @returns by number of bends the least turning to the end, and the plan of it; undefined when the gap leaves no way
 */
export function leastTurning(
  arm: ArmOnGrid,
  gap: Millimetres,
  most: number,
  left: number,
): { turning: number[]; planOf: (bends: number) => { start: number; bends: GridBend[] } } | undefined {
  const { beyond, mayBend, steepest, jaw } = arm;
  const stations = beyond.length;
  const band = bandOf(arm, gap);
  if (!band) return undefined;
  const { low, count } = band;
  const slopes = 2 * steepest + 1;
  const layers = Array.from({ length: stations }, (_, i) =>
    new Uint8Array(count[i]! * slopes * (most + 1)).fill(unreached),
  );
  for (let s = arm.freeStart ? 0 : steepest; s <= (arm.freeStart ? slopes - 1 : steepest); s += 1)
    layers[0]![-low[0]! * (most + 1) * slopes + s] = 0;
  const away = new Uint16Array(slopes);
  const towards = new Uint16Array(slopes);
  for (let i = 0; i < stations - 1; i += 1) {
    const here = layers[i]!;
    const next = layers[i + 1]!;
    const [nextLow, nextCount] = [low[i + 1]!, count[i + 1]!];
    const ways = i + jaw < stations ? mayBend[i]! : 'none';
    for (let h = 0; h < count[i]!; h += 1) {
      const y = low[i]! + h;
      let ahead: readonly [number, number] | undefined;
      for (let k = 0; k <= most; k += 1) {
        const row = (h * (most + 1) + k) * slopes;
        let any = false;
        for (let s = 0; s < slopes; s += 1) {
          const used = here[row + s]!;
          if (used === unreached) continue;
          any = true;
          const on = y + s - steepest - nextLow;
          if (on < 0 || on >= nextCount) continue;
          const cell = (on * (most + 1) + k) * slopes + s;
          if (used < next[cell]!) next[cell] = used;
        }
        if (!any || ways === 'none' || k === most) continue;
        ahead ??= straightOn(band, i, y, jaw, steepest);
        if (ahead[0] > ahead[1]) continue;
        // the least turning to each slope from all of them: once from below, once from above
        for (let s = 0, best = unreached; s < slopes; s += 1)
          away[s] = best = Math.min(best + 1, here[row + s]!);
        for (let s = slopes - 1, best = unreached; s >= 0; s -= 1)
          towards[s] = best = Math.min(best + 1, here[row + s]!);
        const landing = layers[i + jaw]!;
        for (let slope = ahead[0]; slope <= ahead[1]; slope += 1) {
          const s = slope + steepest;
          const used =
            ways === 'away' ? away[s]! : ways === 'towards' ? towards[s]! : Math.min(away[s]!, towards[s]!);
          if (used > left) continue;
          const cell = ((y + slope * jaw - low[i + jaw]!) * (most + 1) + k + 1) * slopes + s;
          if (used < landing[cell]!) landing[cell] = used;
        }
      }
    }
  }
  const used = (i: number, y: number, k: number, s: number): number => {
    const h = y - low[i]!;
    return i < 0 || h < 0 || h >= count[i]! || k < 0
      ? unreached
      : layers[i]![(h * (most + 1) + k) * slopes + s]!;
  };
  const end = (k: number): { y: number; s: number; least: number } => {
    let best = { y: 0, s: 0, least: unreached };
    for (let y = low[stations - 1]!; y < low[stations - 1]! + count[stations - 1]!; y += 1)
      for (let s = 0; s < slopes; s += 1) {
        const least = used(stations - 1, y, k, s);
        if (least < best.least) best = { y, s, least };
      }
    return best;
  };
  const planOf = (count: number) => {
    let { y, s, least } = end(count);
    let k = count;
    const bends: GridBend[] = [];
    for (let i = stations - 1; i > 0;) {
      if (used(i - 1, y - (s - steepest), k, s) === least) {
        y -= s - steepest;
        i -= 1;
        continue;
      }
      // it came here by a bend, a jaw's width before
      const at = i - jaw;
      const ways = mayBend[at]!;
      y -= (s - steepest) * jaw;
      let before = s;
      for (let from = 0; from < slopes; from += 1) {
        if ((ways === 'away' && from > s) || (ways === 'towards' && from < s)) continue;
        if (used(at, y, k - 1, from) + Math.abs(s - from) === least) before = from;
      }
      if (before !== s) bends.unshift({ at, turn: s - before });
      least = used(at, y, k - 1, before);
      [i, s, k] = [at, before, k - 1];
    }
    return { start: s - steepest, bends };
  };
  const turning = Array.from({ length: most + 1 }, (_, k) => end(k).least);
  return turning.every((one) => one === unreached)
    ? undefined
    : { turning: turning.map((one) => (one === unreached ? Infinity : one)), planOf };
}
