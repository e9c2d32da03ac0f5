import type { Chart } from './chart';
import type { Readings } from './axis';
import { matchSize, type SizeMatch } from './match';

/** A model as it is ranked. */
export interface FitCandidate<M> {
  model: M;
  chart: Chart;
  /** the readings as this model's own distances see them */
  readings: Readings;
}

export interface RankedFit<M> {
  model: M;
  match: SizeMatch;
}

// a size the chart leaves to the fitter is as good as it is likely; out of range comes after
const rank = { size: 0, ask: 0, 'made-to-measure': 1, incomplete: 2 } as const;

/**
 * All candidates matched, in the order one would try them: a stock size by its probability, whoever decides it,
 * then by its margin; those out of range after them with what keeps them out, those with missing readings last.
 */
export function bestFit<M>(candidates: readonly FitCandidate<M>[]): RankedFit<M>[] {
  return candidates
    .map(({ model, chart, readings }) => ({ model, match: matchSize(chart, readings) }))
    .sort(({ match: a }, { match: b }) => {
      if (rank[a.outcome] !== rank[b.outcome]) return rank[a.outcome] - rank[b.outcome];
      if (a.outcome === 'incomplete' || b.outcome === 'incomplete') return 0;
      // over 99 % alike, the margin tells
      const sure = Math.round(b.probability * 100) - Math.round(a.probability * 100);
      return sure || (b.margin ?? Infinity) - (a.margin ?? Infinity) || 0;
    });
}
