import { color } from '../look/tokens';
import { t } from '../messages';

/** The goniometer: the angle read, and the one wanted. */
export function Goniometer({
  angle,
  wanted,
  x,
  y,
}: {
  angle?: number;
  wanted?: number;
  x: number;
  y: number;
}) {
  const radius = 38;
  const arc = (from: number, to: number) => {
    const at = (degrees: number): [number, number] => {
      const turn = Math.PI * (1 - degrees / 180);
      return [x + radius * Math.cos(turn), y - radius * Math.sin(turn)];
    };
    const [[x0, y0], [x1, y1]] = [at(from), at(to)];
    return `M${x0} ${y0}A${radius} ${radius} 0 0 1 ${x1} ${y1}`;
  };
  const near = angle !== undefined && wanted !== undefined && Math.abs(angle - wanted) <= 5;
  return (
    <g aria-hidden fill="none" strokeWidth={7}>
      <path d={arc(0, 180)} stroke={color('band')} />
      {angle !== undefined && angle > 0 && (
        <path d={arc(0, Math.min(180, angle))} stroke={near ? color('moss') : color('ochre')} />
      )}
      {wanted !== undefined && (
        <path d={arc(Math.max(0, wanted - 1.5), wanted + 1.5)} stroke={color('ink')} strokeWidth={14} />
      )}
      <text
        x={x}
        y={y - 4}
        textAnchor="middle"
        style={{ fontSize: 18, fontWeight: 700, fill: color('ink'), stroke: 'none' }}
      >
        {angle === undefined ? '–' : `${angle}°`}
      </text>
      {wanted !== undefined && (
        <text x={x} y={y + 17} textAnchor="middle" style={{ stroke: 'none' }}>
          {t('figure.wanted', { angle: wanted })}
        </text>
      )}
    </g>
  );
}
