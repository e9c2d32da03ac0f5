import { sidesFrom, type Side } from '@estribo/core/anatomy';
import {
  isOfPerson,
  isReading,
  sideDifference,
  stepAt,
  inSight,
  isMeasured,
  unitOf,
  type StepState,
} from '@estribo/core/measuring';
import { formatNeutralZero } from '@estribo/core/measuring';
import type { LengthUnit } from '@estribo/core/quantity';
import { Button as Plain } from 'react-aria-components';
import styled from 'styled-components';
import { color, narrow, size } from '../look/tokens';
import { useWork } from '../case/case-context';
import { named, t } from '../messages';
import { formatNumber, formatReading } from '../parts/format';

const Table = styled.table`
  border-collapse: collapse;
  width: 100%;
  & th,
  & td {
    text-align: left;
    padding: 0 8px 0 0;
    height: 36px;
    border-bottom: 1px solid ${color('line')};
    font-weight: 400;
  }
  & td {
    white-space: nowrap;
  }
  & th {
    font-size: ${size.small};
    color: ${color('soft')};
  }
  & tbody th {
    font-size: ${size.text};
    color: ${color('ink')};
  }
  /* narrow: the step's name over its values, which stay side by side */
  ${narrow} {
    &,
    & thead,
    & tbody {
      display: block;
    }
    & tr {
      display: flex;
      flex-wrap: wrap;
      align-items: center;
      border-bottom: 1px solid ${color('line')};
      padding: 4px 0;
    }
    & th,
    & td {
      border: 0;
      height: auto;
      flex: 1 1 30%;
      min-width: 0;
      white-space: normal;
    }
    & tbody th,
    & thead th:first-child {
      flex-basis: 100%;
    }
    & td > button {
      min-width: 0;
      width: 100%;
      padding: 0 2px;
    }
  }
`;

const Cell = styled(Plain)<{ $now: boolean }>`
  border: 0;
  background: ${({ $now }) => ($now ? color('riverWash') : 'transparent')};
  font-weight: ${({ $now }) => ($now ? 700 : 400)};
  min-height: 44px;
  min-width: 96px;
  text-align: left;
  border-radius: 4px;
  padding: 2px 8px;
  cursor: pointer;
  &[data-hovered] {
    background: ${color('riverWash')};
  }
`;

/** A step's state in a word or a number. */
export function shownReading(at: StepState | undefined, unit: LengthUnit): string {
  if (!at) return '';
  if (at.skipped && !at.posture) return t('measuring.skipped');
  switch (at.step.kind) {
    case 'mark':
      return at.done ? '✓' : '–';
    case 'stance':
      return at.stance && at.stance !== at.step.stance ? named('steps', at.stance) : at.done ? '✓' : '–';
    case 'posture':
      return at.posture ? `${at.posture.angle}°` : '–';
    case 'motion': {
      const said = [...at.step.modes, ...(at.step.mayAlso ?? [])].flatMap((mode) => {
        const motion = at.motions.findLast((one) => one.mode === mode);
        if (!motion) return [];
        const { extension, flexion } = motion.limitReached;
        const reached = formatNeutralZero({ extension: -motion.from || 0, flexion: motion.to });
        return [
          `${named('mode', mode).slice(0, 3)} ${reached}${extension || flexion ? ` (${t('setting.notBeyond')})` : ''}`,
        ];
      });
      return said.length > 0 ? said.join(' · ') : at.step.optional ? t('measuring.optional') : '–';
    }
    default: {
      const { assessed } = at;
      if (!assessed) return at.step.optional ? t('measuring.optional') : '–';
      if (assessed.needs === 'second') return t('measuring.oneTaken');
      const kept = unitOf(at.step);
      const value = formatNumber(assessed.mean, kept, unit);
      return assessed.needs === 'third'
        ? t('measuring.needsThird', { value })
        : assessed.needs === 'settle'
          ? t('measuring.needsSettling', { value })
          : `${value} ± ${formatNumber(2 * assessed.uncertainty, kept, unit)}`;
    }
  }
}

/** That a reading was not taken in the posture its protocol names. */
export const saidOfPosture = ({ off }: NonNullable<StepState['outOfPosture']>): string =>
  off === undefined
    ? t('measuring.outOfPostureUnread')
    : t('measuring.outOfPosture', { angle: Math.round(Math.abs(off)) });

/** Everything measured: of a pair both sides beside each other with their difference. */
export function MeasuredTable({
  now,
  onChoose,
}: {
  /** the step asked for, if any */
  now: StepState | undefined;
  onChoose: (at: { step: string; side: Side }) => void;
}) {
  const { state, unit } = useWork();
  const { measuring, side } = state;
  const order = sidesFrom(side);
  const pair = order.length > 1;
  return (
    <Table>
      <thead>
        <tr>
          <th scope="col">{t('measuring.taken')}</th>
          {order.map((at) => (
            <th key={at} scope="col">
              {pair ? named('side', at) : t('measuring.value')}
              {pair && at === side ? ` (${t('measuring.braced')})` : ''}
            </th>
          ))}
          {pair && <th scope="col">{t('measuring.difference')}</th>}
        </tr>
      </thead>
      <tbody>
        {measuring.steps.map((step) => {
          const person = isOfPerson(step);
          const [braced, other] = order.map((at) => stepAt(measuring.states, step.id, at));
          const difference =
            !person && isReading(step) ? sideDifference(inSight(braced), inSight(other)) : undefined;
          return (
            <tr key={step.id}>
              <th scope="row">
                {named('steps', step.id)}
                {braced?.outOfPosture && (
                  <span style={{ color: color('madder') }}> · {saidOfPosture(braced.outOfPosture)}</span>
                )}
                {braced?.substitute && (
                  <span style={{ color: color('soft') }}> · {named('substituted', braced.substitute)}</span>
                )}
              </th>
              {(person ? order.slice(0, 1) : order).map((at) => {
                const shown = shownReading(stepAt(measuring.states, step.id, at), unit);
                return (
                  <td key={at} colSpan={person && pair ? 2 : 1}>
                    <Cell
                      $now={now?.step.id === step.id && (now.side === at || person)}
                      onPress={() => onChoose({ step: step.id, side: person ? 'midline' : at })}
                      aria-label={
                        pair && !person
                          ? `${named('steps', step.id)}, ${named('side', at)}: ${shown}`
                          : `${named('steps', step.id)}: ${shown}`
                      }
                    >
                      {shown}
                    </Cell>
                  </td>
                );
              })}
              {pair && (
                <td>
                  {difference === undefined || !isMeasured(step)
                    ? ''
                    : `${difference > 0 ? '+' : difference < 0 ? '−' : ''}${formatReading(Math.abs(difference), unitOf(step), unit)}`}
                </td>
              )}
            </tr>
          );
        })}
      </tbody>
    </Table>
  );
}
