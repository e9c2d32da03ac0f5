import type { CaseState } from '@estribo/core/logbook';
import { replanned, type GivenOrder, type OrderChange } from '@estribo/core/order';
import { limitedMotion } from '@estribo/core/programmes';
import {
  groundsOn,
  motionCourse,
  scheduleOf,
  stopsSettingOf,
  type ScheduleStep,
} from '@estribo/core/setting';
import { addDays } from '@estribo/core/calendar';
import { lazy, Suspense, useMemo, useState } from 'react';
import styled from 'styled-components';
import { may } from '@estribo/core/access';
import { useWork } from '../case/case-context';
import { color, size } from '../look/tokens';
import { t } from '../messages';
import { settingWords } from '../messages/fitting';
import { Button } from '../parts/button';
import { formatDay, signed } from '../parts/format';
import { Row, Soft, Stack, stackedTable } from '../parts/layout';
import { Loading } from '../parts/loading';
import { Notice } from '../parts/notice';
import { formatPhase } from '../screening/print-order';
import { CalendarFile } from './calendar-file';
import { formatMade } from './format-setting';
import { OrderChangeForm } from './order-change';
import type { ScheduleShown } from './schedule-chart';

const Chart = lazy(() => import('./schedule-chart'));

const Table = styled.table`
  width: 100%;
  border-collapse: collapse;
  font-size: ${size.small};
  & th {
    text-align: left;
    font-weight: 400;
    color: ${color('soft')};
  }
  & td,
  & th {
    padding: 5px 10px 5px 0;
    vertical-align: top;
    border-bottom: 1px solid ${color('line')};
  }
  & tr[aria-current] td {
    font-weight: 700;
  }
  ${stackedTable}
`;

/** The schedule of a case as it stands, or as it would with another change of its days. */
export function stepsWith(state: CaseState, change?: OrderChange): ScheduleStep[] {
  const given = state.order!;
  const { order } = change ? replanned(given.given, [...given.changes, change]) : given;
  const motion = limitedMotion(state.programme);
  // what the joint reached today says nothing of the days ahead
  const grounds = { ...state, motion: undefined, order: { ...given, order } };
  return scheduleOf(
    order,
    state.programme.settings.filter(({ kind }) => kind !== 'correction'),
    motion,
    (day) => groundsOn(grounds, day),
  );
}

/**
 * The order along its days: for each phase the window, the stops that realise it and what changes when it begins; the motion as
 * it was tested laid over it; held, resumed, counted from another day; and as a file for another calendar.
 */
export function ScheduleWork({ order: given }: { order: GivenOrder }) {
  const { state, user, today } = useWork();
  const motion = limitedMotion(state.programme);
  const [changing, change] = useState<OrderChange['what']>();
  const steps = useMemo(() => stepsWith(state), [state]);
  const course = useMemo(
    () => (motion ? motionCourse(state.motions, given.order, motion) : undefined),
    [state.motions, given.order, motion?.joint], // eslint-disable-line react-hooks/exhaustive-deps -- one motion a joint
  );
  const shown = useMemo<ScheduleShown>(
    () => ({
      dayZero: given.order.dayZero,
      steps,
      points: course?.points ?? [],
      today,
      stops: stopsSettingOf(state.programme)?.id,
      motion,
    }),
    [given.order.dayZero, steps, course, today, state.programme, motion?.joint], // eslint-disable-line react-hooks/exhaustive-deps -- one motion a joint
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
      <StepTable steps={steps} />
      {course && <Course course={course} />}
      <Row>
        {mayOrder &&
          (given.heldSince ? (
            <Button onPress={() => change('resumed')}>{t('schedule.resume')}</Button>
          ) : (
            <Button onPress={() => change('held')}>{t('schedule.hold')}</Button>
          ))}
        {mayOrder && <Button onPress={() => change('moved')}>{t('schedule.move')}</Button>}
        <CalendarFile />
      </Row>
      {changing && <OrderChangeForm key={changing} what={changing} onDone={() => change(undefined)} />}
    </Stack>
  );
}

/** Phase by phase: its days, what is ordered, what the brace is set to, what changes. */
export function StepTable({ steps }: { steps: readonly ScheduleStep[] }) {
  const { state, today, unit } = useWork();
  const motion = limitedMotion(state.programme);
  const { phases } = state.order!.given;
  const settingOf = (id: string) => state.programme.settings.find((one) => one.id === id)!;
  return (
    <Table>
      <thead>
        <tr>
          <th scope="col">{t('schedule.days')}</th>
          <th scope="col">{t('schedule.ordered')}</th>
          <th scope="col">{t('schedule.setTo')}</th>
          <th scope="col">{t('schedule.changes')}</th>
        </tr>
      </thead>
      <tbody>
        {steps.map((step) => {
          const now = !step.never && step.from <= today && (step.until === undefined || today < step.until);
          return (
            <tr key={step.phase} {...(now ? { 'aria-current': 'date' as const } : {})}>
              <td>
                {formatDay(step.from)}
                {step.until ? ` – ${formatDay(addDays(step.until, -1))}` : ` ${t('schedule.on')}`}
              </td>
              <td>
                {formatPhase(phases[step.phase]!, motion)}
                {step.gap && (
                  <div>
                    {t('schedule.gapLong', {
                      from: formatDay(step.gap.from),
                      until: formatDay(addDays(step.gap.until, -1)),
                    })}
                  </div>
                )}
              </td>
              <td>
                {step.never
                  ? t('schedule.never')
                  : Object.entries(step.choices).map(([id, choice]) => (
                      <div key={id}>
                        {settingWords(state.programme, id).name}:{' '}
                        {choice.ok ? formatMade(settingOf(id), choice.made, unit) : t('schedule.nothingFits')}
                        {choice.ok && (choice.lost.extension > 0 || choice.lost.flexion > 0)
                          ? ` (${t('schedule.lost', { degrees: choice.lost.extension + choice.lost.flexion })})`
                          : ''}
                      </div>
                    ))}
              </td>
              <td>
                {step.changes.length === 0
                  ? t('schedule.noChange')
                  : step.changes.map((id) => settingWords(state.programme, id).name).join(', ')}
              </td>
            </tr>
          );
        })}
      </tbody>
    </Table>
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
