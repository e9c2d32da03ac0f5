export { bandFaults, type BandFault } from './band-faults';
export {
  betweenRules,
  chartSchema,
  disagreeRules,
  type Belt,
  type BetweenRule,
  type Chart,
  type ChartAxis,
  type DisagreeRule,
  type HeightChoice,
  type SizeBand,
  mostBands,
  mostSizes,
} from './chart';
export { axisBands, bandEdges, closedUp, gapAt, judgingBands, type BandEdges, type ChartGap } from './band';
export type { AxisReading } from './axis';
export { matchSize, sizeRules, type SizeMatch, type SizeRule } from './match';
export { helpfulReading } from './helpful-reading';
export { lintChart, type ChartFinding } from './lint';
export { beltEnds, beltTilt, extensionEachSide, type BeltEnds } from './belt';
export { matchHeight, type HeightMatch } from './height';
export { girthDrift, type Drift, type GirthOnDay } from './drift';
export { bestFit, type FitCandidate, type RankedFit } from './best-fit';
export { sizeChosen } from './entries';
export { axisReading, foldSizing, type SizingState } from './fold';
export { decideSize, sizeDecision } from './decision';
export {
  addAxis,
  addBand,
  addBelt,
  addHeight,
  addSize,
  removeAxis,
  removeBand,
  removeBelt,
  removeHeight,
  removeSize,
  renameSize,
  sizesWithout,
} from './chart-shape';
