import { addDays, daysBetween, phaseSpans, type ClinicDay } from '@estribo/core/calendar';
import type { JointPlane } from '@estribo/core/anatomy';
import { windowOf, type Order } from '@estribo/core/order';
import { formatPhase } from '../screening/print-order';
import { scaleLinear } from 'd3-scale';
import styled from 'styled-components';
import { color } from '../look/tokens';
import { t } from '../messages';
import { formatDay, formatWindow } from '../parts/format';

const Drawing = styled.svg`
  display: block;
  width: 100%;
  height: auto;
  background: ${color('sheet')};
  border: 1px solid ${color('line')};
  & text {
    font-size: 13px;
    fill: ${color('ink')};
  }
`;

/** The phases of the order along the days, each as high as its window, and today. */
export function Schedule({
  order,
  motion,
  today,
  fitted,
}: {
  order: Order;
  /** the one that the stops limit */
  motion: JointPlane | undefined;
  today: ClinicDay;
  fitted: readonly { day: ClinicDay }[];
}) {
  const spans = phaseSpans(order.dayZero, order.phases);
  const last = spans.at(-1)!.from;
  const passed = Math.max(0, daysBetween(order.dayZero, today));
  const length = Math.max(daysBetween(order.dayZero, last) + 14, passed + 7, 21);
  const along = scaleLinear([0, length], [2, 614]);
  const x = (day: ClinicDay) => along(daysBetween(order.dayZero, day));
  const y = scaleLinear([-15, 150], [70, 6]);
  const ends = addDays(order.dayZero, length);
  return (
    <div>
      <p>{t('setting.scheduleFrom', { day: formatDay(order.dayZero) })}</p>
      <Drawing
        viewBox="0 0 616 76"
        role="img"
        aria-label={spans
          .map(({ index, from }) => `${formatDay(from)}: ${formatPhase(order.phases[index]!, motion)}`)
          .join('; ')}
      >
        {spans.map(({ index, from, until }) => {
          const window = motion ? windowOf(order.phases[index]!.limits, motion) : {};
          const [top, bottom] = [y(window.flexion ?? 150), y(window.extension ?? -15)];
          return (
            <g key={from}>
              <rect
                x={x(from)}
                y={top}
                width={x(until ?? ends) - x(from)}
                height={bottom - top}
                fill={color('riverWash')}
                stroke={color('river')}
              />
              <text x={x(from) + 6} y={bottom - top < 22 ? top - 5 : Math.max(16, top + 16)}>
                {formatWindow(window, motion)}
              </text>
            </g>
          );
        })}
        {fitted.map(({ day }, i) => (
          <circle key={i} cx={x(day)} cy={64} r="4.500" fill={color('saddle')} />
        ))}
        {today >= order.dayZero && (
          <g>
            <path d={`M${x(today)} 0V76`} stroke={color('madder')} strokeWidth="2" />
            <text x={x(today) + 5} y={72} style={{ fill: color('madder') }}>
              {t('common.today')}
            </text>
          </g>
        )}
      </Drawing>
    </div>
  );
}
