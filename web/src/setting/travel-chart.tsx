import { centreKnownTo, travelOver, type Hinge, type PathPoint } from '@estribo/core/setting';
import { useCallback } from 'react';
import type { Token } from '../look/tokens';
import { t } from '../messages';
import Chart from '../parts/chart';

export interface TravelShown {
  hinge: Hinge;
  path: readonly PathPoint[];
  donned: number;
  arc: { from: number; to: number };
}

/** mm: the curve may lie so far either way, because the centre is known no better. */
const around = [
  { forward: centreKnownTo, proximal: 0 },
  { forward: -centreKnownTo, proximal: 0 },
  { forward: 0, proximal: centreKnownTo },
  { forward: 0, proximal: -centreKnownTo },
];

/** The travel of the brace on the shank over the whole of a knee's motion, the ordered arc shaded. */
export default function TravelChart({ shown }: { shown: TravelShown }) {
  const option = useCallback(
    (palette: Record<Token, string>) => {
      const { hinge, path, donned, arc } = shown;
      const [from, to] = [Math.min(0, arc.from), Math.max(120, arc.to)];
      const over = (one: Hinge) => travelOver(one, path, donned, { from, to }, 2);
      const now = over(hinge);
      const other = over({
        ...hinge,
        type: hinge.type === 'geared' ? 'single-axis' : 'geared',
        pivots: hinge.pivots ?? 24,
      });
      const off = around.map((by) =>
        over({
          ...hinge,
          at: { forward: hinge.at.forward + by.forward, proximal: hinge.at.proximal + by.proximal },
        }),
      );
      const rounded = (mm: number) => Math.round(mm * 10) / 10;
      const low = now.map((_, i) => Math.min(...off.map((one) => one[i]!.along)));
      const high = now.map((_, i) => Math.max(...off.map((one) => one[i]!.along)));
      const line = (
        name: string,
        token: Token,
        points: readonly (readonly [number, number])[],
        dashed = false,
      ) => ({
        type: 'line' as const,
        name,
        data: points.map(([angle, mm]) => [angle, rounded(mm)]),
        showSymbol: false,
        lineStyle: {
          color: palette[token],
          width: 2.5,
          ...(dashed ? { type: 'dashed' as const, width: 1.8 } : {}),
        },
        endLabel: { show: true, formatter: name, color: palette[token], offset: [4, 0] },
        labelLayout: { moveOverlap: 'shiftY' as const },
      });
      return {
        grid: { left: 44, right: 92, top: 22, bottom: 26 },
        xAxis: {
          type: 'value' as const,
          min: from,
          max: to,
          interval: 30,
          axisLabel: { color: palette.soft, formatter: '{value}°' },
          splitLine: { show: false },
          axisLine: { lineStyle: { color: palette.edge } },
        },
        yAxis: {
          type: 'value' as const,
          axisLabel: { color: palette.soft, formatter: '{value}' },
          splitLine: { lineStyle: { color: palette.line } },
        },
        series: [
          // the band: as much as the centre may be elsewhere
          {
            type: 'line' as const,
            stack: 'band',
            data: now.map(({ angle }, i) => [angle, rounded(low[i]!)]),
            showSymbol: false,
            lineStyle: { opacity: 0 },
            silent: true,
            stackStrategy: 'all' as const,
          },
          {
            type: 'line' as const,
            stack: 'band',
            data: now.map(({ angle }, i) => [angle, rounded(high[i]! - low[i]!)]),
            showSymbol: false,
            lineStyle: { opacity: 0 },
            areaStyle: { color: palette.saddle, opacity: 0.14 },
            silent: true,
            stackStrategy: 'all' as const,
          },
          {
            ...line(
              t('hinge.across'),
              'river',
              now.map(({ angle, across }) => [angle, across]),
            ),
            markArea: {
              silent: true,
              itemStyle: { color: palette.riverWash, opacity: 0.5 },
              label: { color: palette.river, position: 'insideBottom' as const },
              data: [[{ xAxis: arc.from, name: t('hinge.arc', arc) }, { xAxis: arc.to }]] as never,
            },
            markLine: {
              silent: true,
              symbol: 'none',
              lineStyle: { color: palette.ink, type: 'dotted' as const },
              label: { formatter: t('hinge.tightenedAt', { angle: donned }), color: palette.ink },
              data: [{ xAxis: donned }],
            },
          },
          line(
            t('hinge.along'),
            'saddle',
            now.map(({ angle, along }) => [angle, along]),
          ),
          line(
            t(hinge.type === 'geared' ? 'hinge.types.single-axis' : 'hinge.types.geared'),
            'saddle',
            other.map(({ angle, along }) => [angle, along]),
            true,
          ),
        ],
      };
    },
    [shown],
  );
  return <Chart option={option} height={230} label={t('hinge.chart')} />;
}
