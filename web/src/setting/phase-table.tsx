import type { CaseState } from '@estribo/core/logbook';
import type { JointPlane } from '@estribo/core/anatomy';
import { addDays } from '@estribo/core/calendar';
import type { Order } from '@estribo/core/order';
import { limitedMotion } from '@estribo/core/programmes';
import { groundsOn, scheduleOf, type ScheduledPhase } from '@estribo/core/setting';
import { useMemo } from 'react';
import styled from 'styled-components';
import { useWork } from '../case/case-context';
import { color, size } from '../look/tokens';
import { t } from '../messages';
import { settingWords } from '../messages/fitting';
import { formatDay } from '../parts/format';
import { RuledTable } from '../parts/layout';
import { formatPhase } from '../screening/print-order';
import { formatMade } from './format-setting';

const Table = styled(RuledTable)`
  width: 100%;
  font-size: ${size.small};
  & th {
    font-weight: 400;
    color: ${color('soft')};
  }
  & td,
  & th {
    vertical-align: top;
  }
  & tr[aria-current] td {
    font-weight: 700;
  }
`;

const Other = styled.div`
  font-weight: 700;
  color: ${color('river')};
`;

/** What is ordered for a phase's days, in words, to hold it against those of another order. */
const saidOf = (
  { from, until, phase }: ScheduledPhase,
  order: Order,
  motion: JointPlane | undefined,
): string => [from, until, formatPhase(order, order.phases[phase]!, motion)].join(' ');

/** What a case's brace is set to along the days of an order: the one in force, or one that would follow it. */
export function phasesOf(state: CaseState, order: Order): ScheduledPhase[] {
  const motion = limitedMotion(state.programme);
  // what the joint reached today says nothing of the days ahead
  const grounds = { ...state, motion: undefined, order: { ...state.order!, order } };
  return scheduleOf(
    order,
    state.programme.settings.filter(({ kind }) => kind !== 'correction'),
    motion,
    (day) => groundsOn(grounds, day),
  );
}

/** The order as it is followed now and as it would be: nothing of it is taken unseen. */
export function BeforeAfter({ after }: { after: Order }) {
  const { state } = useWork();
  const before = state.order!.order;
  const motion = limitedMotion(state.programme);
  const phases = useMemo(() => phasesOf(state, before), [state, before]);
  const phasesAfter = useMemo(() => phasesOf(state, after), [state, after]);
  const was = new Set(phases.map((scheduled) => saidOf(scheduled, before, motion)));
  return (
    <>
      <h4>{t('schedule.before')}</h4>
      <PhaseTable order={before} phases={phases} />
      <h4>{t('schedule.after')}</h4>
      <PhaseTable order={after} phases={phasesAfter} was={was} />
    </>
  );
}

/**
 * Phase by phase: its days, what is ordered, what the brace is set to, what changes.
 * @param was what the order before it said of its days: phases that are other say so
 */
export function PhaseTable({
  order,
  phases,
  was,
}: {
  order: Order;
  phases: readonly ScheduledPhase[];
  was?: ReadonlySet<string>;
}) {
  const { state, today, unit } = useWork();
  const motion = limitedMotion(state.programme);
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
        {phases.map((scheduled) => {
          const now =
            !scheduled.never &&
            scheduled.from <= today &&
            (scheduled.until === undefined || today < scheduled.until);
          return (
            <tr key={scheduled.phase} {...(now ? { 'aria-current': 'date' as const } : {})}>
              <td>
                {formatDay(scheduled.from)}
                {scheduled.until ? ` – ${formatDay(addDays(scheduled.until, -1))}` : ` ${t('schedule.on')}`}
              </td>
              <td>
                {formatPhase(order, order.phases[scheduled.phase]!, motion)}
                {was && !was.has(saidOf(scheduled, order, motion)) && <Other>{t('schedule.other')}</Other>}
                {scheduled.gap && (
                  <div>
                    {t('schedule.gapLong', {
                      from: formatDay(scheduled.gap.from),
                      until: formatDay(addDays(scheduled.gap.until, -1)),
                    })}
                  </div>
                )}
              </td>
              <td>
                {scheduled.never
                  ? t('schedule.never')
                  : Object.entries(scheduled.choices).map(([id, choice]) => (
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
                {scheduled.changes.length === 0
                  ? t('schedule.noChange')
                  : scheduled.changes.map((id) => settingWords(state.programme, id).name).join(', ')}
              </td>
            </tr>
          );
        })}
      </tbody>
    </Table>
  );
}
