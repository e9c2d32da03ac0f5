export type { Chart, ChartAxis, SizeBand } from './chart';
export { bandEdges, closedUp } from './band';
export { helpfulReading, matchSize, type AxisReading, type SizeMatch, type SizeRule } from './match';
