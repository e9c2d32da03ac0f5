import { planBends } from '@estribo/core/shaping';
import { bulge, gapAtLeast, hollow, overLimbs, sampled } from '../core/src/shaping/test-bars';

type Arm = ReturnType<typeof sampled>;

/**
 * The same table without its thought: every station, slope, height and number of bends, each reached from every slope before
 * it; no bound, no coarser grid, the frame's limit left out.
 */
function plainly(
  arms: readonly Arm[],
  spacing: number,
  angle: number,
  most: number,
  steepest: number,
  jaw: number,
) {
  const rise = Math.tan(Math.PI / 180) * angle * spacing;
  const slopes = 2 * steepest + 1;
  return arms.map(({ beyond, mayBend }) => {
    const wide = Math.ceil((2 * Math.max(...beyond.map(Math.abs))) / rise) + 2;
    const heights = 2 * wide + 1;
    const layers = beyond.map(() => new Float64Array(heights * slopes * (most + 1)).fill(Infinity));
    const at = (y: number, s: number, k: number) => ((y + wide) * slopes + s + steepest) * (most + 1) + k;
    layers[0]![at(0, 0, 0)] = 0;
    const off = (i: number, y: number) => Math.abs(beyond[i]! - y * rise);
    for (let i = 0; i + 1 < beyond.length; i += 1)
      for (let y = -wide; y <= wide; y += 1)
        for (let s = -steepest; s <= steepest; s += 1)
          for (let k = 0; k <= most; k += 1) {
            const gap = layers[i]![at(y, s, k)]!;
            if (gap === Infinity) continue;
            if (Math.abs(y + s) <= wide) {
              const cell = at(y + s, s, k);
              const next = Math.max(gap, off(i + 1, y + s));
              if (next < layers[i + 1]![cell]!) layers[i + 1]![cell] = next;
            }
            if (k === most || mayBend[i] === 'none' || i + jaw >= beyond.length) continue;
            for (let turned = -steepest; turned <= steepest; turned += 1) {
              if (Math.abs(y + turned * jaw) > wide) continue;
              let worst = gap;
              for (let m = 1; m <= jaw; m += 1) worst = Math.max(worst, off(i + m, y + turned * m));
              const cell = at(y + turned * jaw, turned, k + 1);
              if (worst < layers[i + jaw]![cell]!) layers[i + jaw]![cell] = worst;
            }
          }
    return layers;
  });
}

/** Planning on a bar of 400 mm, against a plain programme and a lower bound; and what the plan is worth on the bench. */
export async function benchShaping(
  timed: (runs: number, work: () => unknown) => Promise<number>,
  say: (what: string, measured: number, unit: string, baseline: string, base: number) => void,
): Promise<void> {
  const limits = { jaw: 20, left: 40, steepest: 30, most: 6 };
  const armsOn = (spacing: number) => [hollow, bulge].map((contour) => sampled(contour, spacing, 200));
  const plan = (spacing: number, angle: number, within: number) =>
    planBends(armsOn(spacing), limits, { spacing, angle }, { within });
  const plain = await timed(1, () => plainly(armsOn(4), 4, 1, 6, 30, 5));
  for (const [spacing, angle, within, aim] of [
    [4, 1, 0, 'aim: under 300 ms'],
    [2, 1, 0, ''],
    [2, 0.5, 0.02, 'aim: within 2 % of its bound'],
  ] as const) {
    plan(spacing, angle, within);
    const took = await timed(3, () => plan(spacing, angle, within));
    say(
      `bends of a 400 mm bar on ${spacing} mm and ${angle}°${within ? ', within 2 %' : ', exact'}${aim ? ` (${aim})` : ''}`,
      took,
      'ms',
      'the plain programme on 4 mm and 1°, its limit left out',
      plain,
    );
    const choices = plan(spacing, angle, within);
    const certified = Math.max(...choices.map(({ gap, atLeast }) => gap / Math.max(atLeast, 1e-9)));
    console.log(
      `  its gaps are at most ${((certified - 1) * 100).toFixed(2)} % over what it proves for its grid`,
    );
  }
  // a bound that knows neither grid nor joints, arm by arm
  for (const [name, contour] of Object.entries({ hollow, bulge })) {
    const arm = sampled(contour, 4, 200);
    for (const { bends, gap } of planBends([arm], limits, { spacing: 4, angle: 1 }))
      if (bends.length > 0)
        console.log(
          `  ${name}, ${bends.length} bends: ${gap.toFixed(2)} mm; no bar of so many pieces is under ${gapAtLeast(arm.beyond, 4, bends.length).toFixed(2)} mm`,
        );
  }
  const began = performance.now();
  const { byPlan, naively } = overLimbs(200, 2);
  console.log('200 limbs, each with a bar of its own springback, readings not exact; 2 mm allowed:');
  console.log('| | passes, median | gap, median | gap of nine in ten | within 2.5 mm |');
  console.log('|---|---|---|---|---|');
  for (const [name, { passes, gap, gapOfNineInTen, within }] of [
    ['by the plan', byPlan],
    ['naively', naively],
  ] as const)
    console.log(
      `| ${name} | ${passes} | ${gap.toFixed(2)} mm | ${gapOfNineInTen.toFixed(2)} mm | ${(within * 100).toFixed(0)} % |`,
    );
  console.log(`  (${((performance.now() - began) / 1000).toFixed(0)} s for all of them)`);
}
