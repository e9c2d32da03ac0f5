import { minutesPlanned, type WornOn } from '@estribo/core/wearing';
import { lazy, Suspense, useCallback } from 'react';
import styled from 'styled-components';
import { useWork } from '../case/case-context';
import type { Token } from '../look/tokens';
import { t } from '../messages';
import { Fold } from '../parts/fold';
import { formatDay, formatMinutes } from '../parts/format';
import { Loading } from '../parts/loading';
import { Stack } from '../parts/layout';
import { useSteady } from '../parts/use-steady';
import { hoursAxis } from './hours-axis';

const Chart = lazy(() => import('../parts/chart'));

const Days = styled.ul`
  display: grid;
  grid-template-columns: repeat(auto-fill, minmax(220px, 1fr));
  gap: 4px 12px;
`;

/** The last so many days are drawn: a quarter of a year. */
const drawn = 92;

interface Against extends WornOn {
  planned: number | undefined;
}

/** What was worn against what was planned, by day: drawn, and in words for those who do not see it. */
export function WornAgainstPlan() {
  const { state } = useWork();
  const { plan, worn } = state.wearing;
  const growing = plan?.plan.kind === 'growing' ? plan.plan : undefined;
  const days: Against[] = worn.slice(-drawn).map((one) => ({
    ...one,
    planned: growing && one.day >= growing.from ? minutesPlanned(growing, one.day) : undefined,
  }));
  const steady = useSteady(days);
  const option = useCallback(
    (palette: Record<Token, string>) => ({
      grid: { left: 40, right: 70, top: 16, bottom: 28 },
      tooltip: { trigger: 'axis' as const, valueFormatter: (value: unknown) => formatMinutes(Number(value)) },
      xAxis: {
        type: 'category' as const,
        data: steady.map(({ day }) => formatDay(day)),
        axisLine: { lineStyle: { color: palette.edge } },
        axisLabel: { color: palette.soft },
      },
      yAxis: hoursAxis(
        Math.max(
          ...steady.map(({ minutes, unknown = 0, planned = 0 }) => Math.max(minutes + unknown, planned)),
        ),
        palette,
      ),
      series: [
        {
          name: t('wearing.worn'),
          type: 'bar' as const,
          stack: 'day',
          data: steady.map(({ minutes }) => minutes),
          itemStyle: { color: palette.river },
        },
        {
          name: t('wearing.unknown'),
          type: 'bar' as const,
          stack: 'day',
          data: steady.map(({ unknown = 0 }) => unknown),
          itemStyle: { color: palette.thread, borderColor: palette.edge, borderType: 'dashed' as const },
        },
        {
          name: t('wearing.planned'),
          type: 'line' as const,
          step: 'middle' as const,
          showSymbol: false,
          data: steady.map(({ planned }) => planned ?? null),
          lineStyle: { color: palette.saddle, width: 2 },
          itemStyle: { color: palette.saddle },
          endLabel: { show: true, formatter: t('wearing.planned'), color: palette.saddle },
        },
      ],
    }),
    [steady],
  );
  if (days.length === 0) return null;
  return (
    <Stack $gap={8}>
      <h2>{t('wearing.wornChart')}</h2>
      <Suspense fallback={<Loading away={false} />}>
        <Chart option={option} height={220} label={t('wearing.wornChart')} />
      </Suspense>
      <Fold title={t('wearing.wornListed')}>
        <Days>
          {days.map(({ day, minutes, unknown, planned }) => (
            <li key={day}>
              {t('wearing.wornOn', {
                day: formatDay(day),
                worn: [
                  formatMinutes(Math.round(minutes)),
                  planned === undefined ? '' : t('wearing.ofPlanned', { planned: formatMinutes(planned) }),
                  unknown ? t('wearing.ofWhichUnknown', { unknown: formatMinutes(Math.round(unknown)) }) : '',
                ]
                  .filter(Boolean)
                  .join(', '),
              })}
            </li>
          ))}
        </Days>
      </Fold>
    </Stack>
  );
}
