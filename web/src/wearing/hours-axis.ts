import type { Token } from '../look/tokens';

/**
 * The upright axis of a chart of minutes a day, lettered at even hours.
 * @param most minutes that it has to hold
 */
export const hoursAxis = (most: number, palette: Record<Token, string>) => ({
  type: 'value' as const,
  axisLabel: { color: palette.soft, formatter: (minutes: number) => `${minutes / 60} h` },
  interval: 120,
  max: Math.ceil(most / 120) * 120,
  splitLine: { lineStyle: { color: palette.line } },
});
