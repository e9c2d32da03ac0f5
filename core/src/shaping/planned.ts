import { faultAt } from '../faults';
import { provenance, type BodyIn, type ComputedDecision, type DecidedUnder } from '../record';
import { gapLeft, barAfter, type BarBend, type BarState } from './bar';
import { judgeBend, type Bend, type FrameLimits } from './bends';
import type { bendsPlanned } from './entries';
import type { ShapingState } from './fold';

type BendsPlanned = BodyIn<typeof bendsPlanned>;
/** What of a case bends are planned from. */
type Bendable = DecidedUnder & {
  shaping: Pick<ShapingState, 'bars'>;
  model: { frame?: FrameLimits | undefined };
};

const barOf = ({ shaping }: Bendable, part: string): BarState | undefined =>
  shaping.bars.find((bar) => bar.part.id === part);

/**
 * The bends chosen for a bar, with what they leave of the gap as it is computed from the bar as it is known.
 * @param bends along the bar from its held place; how many is the user's own choice among the optimal ones
 * @returns undefined without a contour to bend it to
 */
export function decideBends(
  state: Bendable,
  part: string,
  purpose: 'contour' | 'set',
  bends: readonly BarBend[],
): BendsPlanned | undefined {
  const bar = barOf(state, part);
  if (!bar || (purpose === 'contour' && !bar.contour)) return undefined;
  const gap = purpose === 'contour' ? gapLeft(bar, barAfter(bar, bends)) : undefined;
  return {
    part,
    purpose,
    bends: bends.map(({ at, turn }) => ({ at, turn })),
    gap: gap === undefined ? 0 : Math.round(gap * 100) / 100,
    ...provenance(state, [
      ...(purpose === 'contour' && bar.contour ? [bar.contour.entry] : []),
      ...(bar.read === undefined ? [] : [bar.read]),
      ...bar.made.map(({ entry }) => entry),
    ]),
  };
}

const asBend = (part: string, { at, turn }: BarBend): Bend => ({
  part,
  place: at,
  direction: turn >= 0 ? 'away-from-limb' : 'towards-limb',
  amount: Math.abs(turn),
});

/** A plan that was sent: each bend within what its maker allows, the gap as it comes out. */
export const plannedDecision: ComputedDecision<Bendable, BendsPlanned> = {
  impossible: (state, { part, bends, purpose }) => {
    const bar = barOf(state, part);
    const { frame } = state.model;
    if (!bar || !frame) return faultAt('body.part', 'no-bar');
    const planned = bends.map((bend) => asBend(part, bend));
    const jaw = frame.bar?.jaw ?? 0;
    const total = bends.reduce((sum, { turn }) => sum + Math.abs(turn), 0);
    const sorted = [...bends].sort((a, b) => a.at - b.at);
    return [
      ...planned.flatMap((bend, i) =>
        judgeBend(bend, bar.made, frame)
          // one pass is no more than the increment: a planned bend may take several
          .filter((problem) => problem !== 'over-increment' && problem !== 'over-total')
          .flatMap((problem) => faultAt(`body.bends.${i}`, 'bend-not-planned', { problem })),
      ),
      ...(total > bar.left + 0.5
        ? faultAt('body.bends', 'bends-turn-too-much', {
            total: total.toFixed(1),
            left: bar.left.toFixed(1),
          })
        : []),
      // a grid's station is not the bar's own length: a millimetre is let go
      ...(sorted.some(({ at }, i) => i > 0 && at - sorted[i - 1]!.at < jaw - 1)
        ? faultAt('body.bends', 'bends-too-near', { jaw })
        : []),
      ...(purpose === 'contour' && overCorrects(bar, bends)
        ? faultAt('body.bends', 'bends-over-correct')
        : []),
      ...(purpose === 'set' && !isCoronalSet(bends) ? faultAt('body.bends', 'bends-not-alike') : []),
      ...(purpose === 'set' && state.shaping.bars.some((other) => isSameWay(other, part, bends))
        ? faultAt('body.bends', 'bends-same-way')
        : []),
    ];
  },
  again: (state, { part, purpose, bends }) => decideBends(state, part, purpose, bends),
  notYet: () => faultAt('kind', 'needs-contour'),
};

/** Bends after which a bar lies worse than before them. */
function overCorrects(bar: BarState, bends: readonly BarBend[]): boolean {
  const [now, then] = [gapLeft(bar, bar.shape), gapLeft(bar, barAfter(bar, bends))];
  return bends.length > 0 && now !== undefined && then !== undefined && then > now + 0.05;
}

/** The same angle above and below the hinge. */
function isCoronalSet(bends: readonly BarBend[]): boolean {
  const [above, below] = [bends.find(({ at }) => at > 0), bends.find(({ at }) => at < 0)];
  if (bends.length !== 2 || !above || !below) return false;
  return Math.abs(above.turn - below.turn) < 1e-6;
}

/** Another bar of the pair that was set the same way. */
const isSameWay = (other: BarState, part: string, bends: readonly BarBend[]): boolean =>
  other.part.id !== part &&
  other.plan?.purpose === 'set' &&
  other.plan.work.some(({ turn }) => Math.sign(turn) === Math.sign(bends[0]?.turn ?? 0));
