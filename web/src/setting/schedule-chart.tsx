import type { JointPlane } from '@estribo/core/anatomy';
import { daysBetween, type ClinicDay } from '@estribo/core/calendar';
import { stopsAt, type CoursePoint, type ScheduledPhase } from '@estribo/core/setting';
import { useCallback } from 'react';
import type { Token } from '../look/tokens';
import { t } from '../messages';
import Chart from '../parts/chart';
import { formatDay, formatWindow } from '../parts/format';

/** degrees drawn where a window has no end */
const wide = { extension: -30, flexion: 150 };

/** The angles that are drawn: as far as windows and tests reach, and to the whole motion where an end is open. */
function reachOf(phases: readonly ScheduledPhase[], points: readonly CoursePoint[]): typeof wide {
  const ends = (end: 'extension' | 'flexion') => [
    ...phases.map(({ window }) => window[end] ?? wide[end]),
    ...points.map((point) => point[end]),
  ];
  return {
    extension: Math.floor((Math.min(0, ...ends('extension')) - 1) / 30) * 30,
    flexion: Math.ceil((Math.max(30, ...ends('flexion')) + 1) / 30) * 30,
  };
}

export interface ScheduleShown {
  dayZero: ClinicDay;
  phases: readonly ScheduledPhase[];
  points: readonly CoursePoint[];
  today: ClinicDay;
  stops: string | undefined;
  motion: JointPlane | undefined;
}

/**
 * The order's windows over the days, the stops that realise them as lines in it, and the motion as it was tested: what
 * was reached up to a limit has an arrow on, it is at least so much.
 */
export default function ScheduleChart({ shown }: { shown: ScheduleShown }) {
  const option = useCallback(
    (palette: Record<Token, string>) => {
      const { dayZero, phases, points, today, stops, motion } = shown;
      const at = (day: ClinicDay) => daysBetween(dayZero, day);
      const begun = phases.filter(({ never }) => !never);
      const open = reachOf(begun, points);
      const end = Math.max(
        ...begun.map(({ from, until }) => (until ? at(until) : at(from) + 14)),
        at(today) + 3,
        ...points.map(({ day }) => at(day) + 3),
      );
      const alongPhases = (value: (scheduled: ScheduledPhase) => number): (readonly [number, number])[] =>
        begun.flatMap((scheduled, i) => {
          const until = begun[i + 1] ? at(begun[i + 1]!.from) : end;
          return [[at(scheduled.from), value(scheduled)] as const, [until, value(scheduled)] as const];
        });
      const low = alongPhases(({ window }) => window.extension ?? open.extension);
      const high = alongPhases(({ window }) => window.flexion ?? open.flexion);
      const flexionStop = alongPhases(({ choices, window }) => {
        const choice = stops === undefined ? undefined : choices[stops];
        return (
          (choice?.ok
            ? stopsAt(choice.made, Object.keys(choice.made.values ?? {})[0]!.split('-')[0]!).flexion
            : null) ??
          window.flexion ??
          open.flexion
        );
      });
      const silent = { showSymbol: false, silent: true, lineStyle: { opacity: 0 } };
      const tested = (end_: 'extension' | 'flexion', token: Token) => ({
        type: 'scatter' as const,
        name: t(end_ === 'flexion' ? 'schedule.reachedFlexion' : 'schedule.reachedExtension'),
        data: points.map((point) => ({
          value: [at(point.day), point[end_]],
          // an arrow up: at least so much
          symbol: point.atLimit[end_] ? 'triangle' : 'circle',
          symbolSize: point.atLimit[end_] ? 13 : 10,
          symbolRotate: end_ === 'extension' ? 180 : 0,
        })),
        itemStyle: { color: palette[token] },
        label: {
          show: points.length < 9,
          position: end_ === 'flexion' ? ('top' as const) : ('bottom' as const),
          color: palette.ink,
          formatter: ({ dataIndex }: { dataIndex: number }) => {
            const point = points[dataIndex]!;
            return `${point.atLimit[end_] && end_ === 'flexion' ? '≥ ' : ''}${point[end_]}°`;
          },
        },
        z: 5,
      });
      return {
        grid: { left: 44, right: 18, top: 18, bottom: 34 },
        xAxis: {
          type: 'value' as const,
          min: Math.min(0, at(today)),
          max: end,
          interval: end > 60 ? 14 : 7,
          axisLabel: {
            color: palette.soft,
            // clear of the lowest angle beside it
            margin: 15,
            hideOverlap: true,
            formatter: (day: number) => t('schedule.day', { day }),
          },
          splitLine: { show: false },
          axisLine: { lineStyle: { color: palette.edge } },
        },
        yAxis: {
          type: 'value' as const,
          min: open.extension,
          max: open.flexion,
          interval: 30,
          axisLabel: { color: palette.soft, formatter: '{value}°' },
          splitLine: { lineStyle: { color: palette.line } },
        },
        series: [
          {
            type: 'line' as const,
            stack: 'window',
            stackStrategy: 'all' as const,
            data: low as never,
            ...silent,
          },
          {
            type: 'line' as const,
            stack: 'window',
            stackStrategy: 'all' as const,
            data: high.map(([day, value], i) => [day, value - low[i]![1]]) as never,
            areaStyle: { color: palette.riverWash, opacity: 0.8 },
            ...silent,
            markLine: {
              silent: true,
              symbol: 'none',
              lineStyle: { color: palette.madder, type: 'solid' as const, width: 2 },
              label: { formatter: t('common.today'), color: palette.madder },
              data: [{ xAxis: at(today) }],
            },
            markArea: {
              silent: true,
              itemStyle: { color: palette.ochreWash, opacity: 0.7 },
              label: { color: palette.ink, position: 'insideBottom' as const },
              data: begun.flatMap(({ gap }) =>
                gap ? [[{ xAxis: at(gap.from), name: t('schedule.gap') }, { xAxis: at(gap.until) }]] : [],
              ) as never,
            },
          },
          {
            type: 'line' as const,
            data: flexionStop as never,
            showSymbol: false,
            lineStyle: { color: palette.saddle, width: 2.5 },
            silent: true,
          },
          tested('flexion', 'river'),
          tested('extension', 'ochre'),
        ],
        aria: {
          enabled: true,
          label: {
            description: begun
              .map(({ from, window }) => `${formatDay(from)}: ${formatWindow(window, motion)}`)
              .join('; '),
          },
        },
      };
    },
    [shown],
  );
  return <Chart option={option} height={210} label={t('schedule.chart')} />;
}
