import type { AssessedReading, GirthStep } from '@estribo/core/measuring';
import { formatLength, type LengthUnit } from '@estribo/core/quantity';
import styled from 'styled-components';
import { color } from '../app/tokens';
import { language, t } from '../messages';

const Drawing = styled.svg`
  display: block;
  & text {
    font-size: 13px;
    fill: ${color('soft')};
  }
`;

/** The repeats as dots on a small scale, with what they ask for. The first alone is not shown. */
export function RepeatScale({
  step,
  assessed,
  unit,
}: {
  step: GirthStep;
  assessed: AssessedReading | undefined;
  unit: LengthUnit;
}) {
  if (!assessed) return <p style={{ maxWidth: 300 }}>{t('measuring.firstHidden')}</p>;
  if (assessed.needs === 'second') return <p style={{ maxWidth: 300 }}>{t('measuring.secondNow')}</p>;
  const centre = Math.round(assessed.mean / 5) * 5;
  const reach = Math.max(15, Math.ceil(assessed.range / 5) * 5 + 5);
  const x = (mm: number) => 12 + ((mm - centre + reach) / (2 * reach)) * 286;
  const ticks = Array.from({ length: (2 * reach) / 5 + 1 }, (_, i) => centre - reach + i * 5);
  const every = Math.ceil(ticks.length / 7);
  const range = `${formatLength(assessed.range, unit, language)} ${unit}`;
  const allowed = `${formatLength(step.tolerance, unit, language)} ${unit}`;
  const said =
    assessed.needs === 'third'
      ? t('measuring.apart', { range, allowed })
      : assessed.restless
        ? t('measuring.restless', { range, allowed })
        : t('measuring.agree', { range, allowed });
  return (
    <div>
      <Drawing
        width={310}
        height={48}
        role="img"
        aria-label={assessed.values.map((value) => formatLength(value, unit, language)).join(', ')}
      >
        <path d={`M12 16H298`} stroke={color('line')} />
        {ticks.map((mm, i) => (
          <g key={mm}>
            <path d={`M${x(mm)} 11V21`} stroke={color('edge')} />
            {i % every === 0 && (
              <text x={x(mm)} y={42} textAnchor="middle">
                {formatLength(mm, unit, language)}
              </text>
            )}
          </g>
        ))}
        {assessed.values.map((value, i) => (
          <circle
            key={i}
            cx={x(value)}
            cy={16}
            r={7}
            fill={i === assessed.values.length - 1 ? color('river') : color('sheet')}
            stroke={color('river')}
            strokeWidth={2}
          />
        ))}
      </Drawing>
      <p style={{ maxWidth: 310 }} role="status">
        {said}
      </p>
    </div>
  );
}
