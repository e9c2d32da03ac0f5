import type { CaseState } from '@estribo/core/logbook';
import { addDays } from '@estribo/core/calendar';
import { replanned, type OrderChange } from '@estribo/core/order';
import { limitedMotion } from '@estribo/core/programmes';
import { groundsOn, scheduleOf, type ScheduleStep } from '@estribo/core/setting';
import styled from 'styled-components';
import { useWork } from '../case/case-context';
import { color, size } from '../look/tokens';
import { t } from '../messages';
import { settingWords } from '../messages/fitting';
import { formatDay } from '../parts/format';
import { stackedTable } from '../parts/layout';
import { formatPhase } from '../screening/print-order';
import { formatMade } from './format-setting';

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
