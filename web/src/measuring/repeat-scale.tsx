import { unitOf, type AssessedReading, type ReadingStep } from '@estribo/core/measuring';
import type { LengthUnit } from '@estribo/core/quantity';
import styled from 'styled-components';
import { color } from '../look/tokens';
import { t } from '../messages';
import { formatNumber, formatReading } from '../parts/format';

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
  step: ReadingStep;
  assessed: AssessedReading | undefined;
  unit: LengthUnit;
}) {
  if (!assessed) return <p style={{ maxWidth: 300 }}>{t('measuring.firstHidden')}</p>;
  if (assessed.needs === 'second') return <p style={{ maxWidth: 300 }}>{t('measuring.secondNow')}</p>;
  const kept = unitOf(step);
  // ticks as far apart as suits what is read: 5 mm for a girth, 1 mm for a width
  const stride = step.tolerance >= 5 ? 5 : step.tolerance >= 2 ? 1 : 0.1;
  const centre = Math.round(assessed.mean / stride) * stride;
  const reach = Math.max(3, Math.ceil(assessed.range / stride) + 1) * stride;
  const x = (value: number) => 12 + ((value - centre + reach) / (2 * reach)) * 286;
  const ticks = Array.from(
    { length: Math.round((2 * reach) / stride) + 1 },
    (_, i) => centre - reach + i * stride,
  );
  const every = Math.ceil(ticks.length / 7);
  const range = formatReading(assessed.range, kept, unit);
  const allowed = formatReading(step.tolerance, kept, unit);
  const said =
    assessed.needs === 'third'
      ? t('measuring.apart', { range, allowed })
      : assessed.needs === 'settle'
        ? t('measuring.aloneOf', { count: assessed.alone.length, allowed })
        : assessed.restless
          ? t('measuring.restless', { range, allowed })
          : t('measuring.agree', { range, allowed });
  return (
    <div>
      <Drawing
        width={310}
        height={48}
        role="img"
        aria-label={assessed.values.map((value) => formatNumber(value, kept, unit)).join(', ')}
      >
        <path d={`M12 16H298`} stroke={color('line')} />
        {ticks.map((mm, i) => (
          <g key={mm}>
            <path d={`M${x(mm)} 11V21`} stroke={color('edge')} />
            {i % every === 0 && (
              <text x={x(mm)} y={42} textAnchor="middle">
                {formatNumber(mm, kept, unit)}
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
            stroke={color(assessed.alone.includes(i) ? 'madder' : 'river')}
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
