import { asNumber, formatTurn, type Turn } from '@estribo/core/setting';
import styled from 'styled-components';
import { color, size } from '../look/tokens';

const Place = styled.figure`
  margin: 0;
  display: flex;
  flex-direction: column;
  align-items: center;
  gap: 2px;
  & figcaption {
    font-size: ${size.small};
    color: ${color('soft')};
    text-align: center;
  }
  & figcaption b {
    color: ${color('ink')};
  }
`;

const middle = 40;
const on = (angle: number, radius: number): string => {
  const turn = (angle * Math.PI) / 180;
  return `${(middle + radius * Math.sin(turn)).toFixed(2)} ${(middle - radius * Math.cos(turn)).toFixed(2)}`;
};

/**
 * A screw as it is seen facing its head: the slot as far round as it was turned from its origin, the way it came as an arc;
 * whole turns are rings within it.
 */
export function Screw({ turn, name }: { turn: Turn; name: string }) {
  const turns = asNumber(turn);
  const rest = turns - Math.trunc(turns);
  const whole = Math.min(4, Math.abs(Math.trunc(turns)));
  return (
    <Place>
      <svg viewBox="0 0 80 80" width="72" height="72" aria-hidden>
        <circle
          cx={middle}
          cy={middle}
          r={24}
          fill={color('sheet')}
          stroke={color('ink')}
          strokeWidth={1.5}
        />
        {Array.from({ length: whole }, (_, i) => (
          <circle
            key={i}
            cx={middle}
            cy={middle}
            r={20 - 4 * i}
            fill="none"
            stroke={color('river')}
            strokeWidth={1.5}
          />
        ))}
        <path d={`M${on(0, 28)}L${on(0, 36)}`} stroke={color('edge')} strokeWidth={1.5} />
        {rest !== 0 && (
          <path
            d={`M${on(0, 32)}A32 32 0 ${Math.abs(rest) > 0.5 ? 1 : 0} ${rest > 0 ? 1 : 0} ${on(rest * 360, 32)}`}
            fill="none"
            stroke={color('river')}
            strokeWidth={6}
          />
        )}
        <path
          d={`M${on(turns * 360 + 90, 18)}L${on(turns * 360 - 90, 18)}`}
          stroke={color('ink')}
          strokeWidth={5}
          strokeLinecap="round"
        />
      </svg>
      <figcaption>
        {name} <b>{formatTurn(turn)}</b>
      </figcaption>
    </Place>
  );
}

const Track = styled.div`
  position: relative;
  height: 8px;
  border-radius: 4px;
  background: ${color('band')};
  & > i {
    position: absolute;
    top: 0;
    height: 8px;
    border-radius: 4px;
    background: ${color('river')};
  }
  & > b {
    position: absolute;
    top: -4px;
    width: 2px;
    height: 16px;
    background: ${color('madder')};
  }
`;

/** Where a wheel or a dial stands between its ends, or a screw between how far it may go; what a next change may come to is marked. */
export function OnItsWay({ from, to, now, next }: { from: number; to: number; now: number; next?: number }) {
  const at = (value: number) =>
    `${(Math.min(1, Math.max(0, (value - from) / (to - from))) * 100).toFixed(1)}%`;
  const origin = Math.min(to, Math.max(from, 0));
  const [low, high] = now < origin ? [now, origin] : [origin, now];
  return (
    <Track aria-hidden>
      <i style={{ left: at(low), width: `calc(${at(high)} - ${at(low)})` }} />
      {next !== undefined && <b style={{ left: at(next) }} />}
    </Track>
  );
}
