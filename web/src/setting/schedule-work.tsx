import { may } from '@estribo/core/access';
import type { GivenOrder, OrderChange } from '@estribo/core/order';
import { limitedMotion } from '@estribo/core/programmes';
import { motionCourse, stopsSettingOf } from '@estribo/core/setting';
import { lazy, Suspense, useMemo, useState } from 'react';
import { useWork } from '../case/case-context';
import { t } from '../messages';
import { Button } from '../parts/button';
import { formatDay, signed } from '../parts/format';
import { Row, Soft, Stack } from '../parts/layout';
import { Loading } from '../parts/loading';
import { Notice } from '../parts/notice';
import { CalendarFile } from './calendar-file';
import { OrderChangeForm } from './order-change';
import type { ScheduleShown } from './schedule-chart';
import { phasesOf, PhaseTable } from './phase-table';

const Chart = lazy(() => import('./schedule-chart'));

/**
 * The order along its days: for each phase the window, the stops that realise it and what changes when it begins; the motion as
 * it was tested laid over it; held, resumed, counted from another day; and as a file for another calendar.
 */
export function ScheduleWork({ order: given }: { order: GivenOrder }) {
  const { state, user, today } = useWork();
  const { programme } = state;
  const motion = useMemo(() => limitedMotion(programme), [programme]);
  const [changing, change] = useState<OrderChange['what']>();
  const phases = useMemo(() => phasesOf(state, given.order), [state, given.order]);
  const course = useMemo(
    () => (motion ? motionCourse(state.motions, given.order, motion) : undefined),
    [state.motions, given.order, motion],
  );
  const shown = useMemo<ScheduleShown>(
    () => ({
      dayZero: given.order.dayZero,
      phases,
      points: course?.points ?? [],
      today,
      stops: stopsSettingOf(state.programme)?.id,
      motion,
    }),
    [given.order.dayZero, phases, course, today, state.programme, motion],
  );
  const mayOrder = may(user.role, 'order.write');
  return (
    <Stack $gap={10}>
      <h2>{t('schedule.title', { day: formatDay(given.order.dayZero) })}</h2>
      {given.heldSince && (
        <Notice tone="caution">{t('schedule.heldSince', { day: formatDay(given.heldSince) })}</Notice>
      )}
      {motion && (
        <Suspense fallback={<Loading away={false} />}>
          <Chart shown={shown} />
        </Suspense>
      )}
      <PhaseTable order={given.order} phases={phases} />
      {course && <Course course={course} />}
      <Row>
        {mayOrder &&
          (given.heldSince ? (
            <Button onPress={() => change('resumed')}>{t('schedule.resume')}</Button>
          ) : (
            <Button onPress={() => change('held')}>{t('schedule.hold')}</Button>
          ))}
        {mayOrder && <Button onPress={() => change('moved')}>{t('schedule.move')}</Button>}
        <CalendarFile state={state} />
      </Row>
      {changing && <OrderChangeForm key={changing} what={changing} onDone={() => change(undefined)} />}
    </Stack>
  );
}

/** How far behind the phase, how fast it grows as far as the tests can say, and no date from bounds. */
function Course({ course: { points, behind, growth } }: { course: ReturnType<typeof motionCourse> }) {
  if (points.length === 0) return <Soft>{t('schedule.notTested')}</Soft>;
  const last = points.at(-1)!;
  const perWeek = (value: number) => signed(Math.round(value * 10) / 10);
  const said = [
    last.atLimit.flexion ? t('schedule.atLeast', { flexion: last.flexion }) : '',
    behind.flexion === undefined ? '' : t('schedule.behindFlexion', { by: behind.flexion }),
    behind.extension === undefined ? '' : t('schedule.behindExtension', { by: behind.extension }),
    growth === undefined
      ? ''
      : Number.isFinite(growth.low) && Number.isFinite(growth.high)
        ? growth.low === growth.high
          ? t('schedule.grows', { rate: perWeek(growth.low) })
          : t('schedule.growsBetween', { low: perWeek(growth.low), high: perWeek(growth.high) })
        : Number.isFinite(growth.low)
          ? t('schedule.growsAtLeast', { low: perWeek(growth.low) })
          : Number.isFinite(growth.high)
            ? t('schedule.growsAtMost', { high: perWeek(growth.high) })
            : t('schedule.growthUnknown'),
  ].filter(Boolean);
  return said.length === 0 ? null : (
    <Soft>
      {said.join(' ')} {t('schedule.noDate')}
    </Soft>
  );
}
