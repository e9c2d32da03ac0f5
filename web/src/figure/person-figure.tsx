import { wholeBody, nothingRead, type Build } from '@estribo/core/anatomy';
import type { Frame } from '@estribo/core/drawing';
import { formatLength, millimetresPerInch } from '@estribo/core/quantity';
import { useMemo } from 'react';
import { useUnit } from '../browser/preferences';
import { color } from '../look/tokens';
import { t } from '../messages';
import { pathOf } from './drawing';

export type PersonKind = 'stature' | 'mass' | 'age';

/** What is read of the whole person, drawn as what it is: the body at a measuring rod, on scales, on its years. */
export function PersonFigure({
  kind,
  value,
  build,
  frame,
}: {
  kind: PersonKind;
  /** mm, kg or years; undefined until it is read */
  value: number | undefined;
  build: Build;
  frame: Frame;
}) {
  const body = useMemo(() => wholeBody('trunk', 'midline', nothingRead, build), [build]);
  const [top, bottom] = [46, frame.height - 92];
  const [unit] = useUnit();
  // a child stands as small beside the rod as it is
  const rod = kind === 'stature' ? Math.max(1200, Math.ceil((body.stature + 150) / 200) * 200) : body.stature;
  // mm from one tick of the rod to the next: half a foot, or a decimetre
  const tick = unit === 'in' ? 6 * millimetresPerInch : 100;
  const scale = (bottom - top) / rod;
  const middle = frame.width / 2 - (kind === 'stature' ? 26 : 0);
  const place = ([x, y]: readonly [number, number]) => [middle + x * scale, bottom - y * scale] as const;
  const xs = body.skin.map(([x]) => x);
  const beside = middle + Math.max(...xs) * scale + 34;
  const crown = bottom - (kind === 'stature' && value !== undefined ? value : body.stature) * scale;
  return (
    <g aria-hidden>
      <path className="skin" d={pathOf(body.skin.map(place), true)} />
      <path className="outline" d={pathOf(body.skin.map(place), true)} />
      {kind === 'stature' && (
        <g>
          <path
            className="dimension"
            d={`M${beside} ${bottom}V${bottom - rod * scale}`}
            stroke={color('edge')}
          />
          {Array.from({ length: Math.floor(rod / tick) + 1 }, (_, i) => (
            <g key={i}>
              <path
                className="dimension"
                d={`M${beside} ${bottom - i * tick * scale}h${i % 2 === 0 ? 10 : 5}`}
                stroke={color('edge')}
              />
              {i % (unit !== 'in' && rod > 1400 ? 4 : 2) === 0 && (
                <text x={beside + 16} y={bottom - i * tick * scale + 5}>
                  {formatLength(i * tick, unit)}
                </text>
              )}
            </g>
          ))}
          <text x={beside + 16} y={bottom + 24}>
            {unit}
          </text>
          <path
            className="dimension"
            d={`M${middle - 20} ${crown}H${beside + 4}`}
            stroke={color('river')}
            strokeWidth={3}
          />
        </g>
      )}
      {kind === 'mass' && (
        <g>
          <rect
            x={middle - 84}
            y={bottom + 2}
            width={168}
            height={30}
            rx={5}
            fill={color('sheet')}
            stroke={color('edge')}
            strokeWidth={1.6}
          />
          <text
            x={middle}
            y={bottom + 22}
            textAnchor="middle"
            style={{ fontWeight: 700, fill: color('river') }}
          >
            {value === undefined ? '– kg' : `${value} kg`}
          </text>
        </g>
      )}
      {kind === 'age' && (
        <Years value={value} middle={middle} y={bottom + 26} width={Math.min(340, frame.width - 60)} />
      )}
      <text x={frame.width / 2} y={frame.height - 10} textAnchor="middle">
        {t('figure.front')}
      </text>
    </g>
  );
}

/** The years of a life as a line, with the one that is meant on it. */
function Years({
  value,
  middle,
  y,
  width,
}: {
  value: number | undefined;
  middle: number;
  y: number;
  width: number;
}) {
  const x = (years: number) => middle - width / 2 + (Math.min(90, years) / 90) * width;
  return (
    <g>
      <path className="dimension" d={`M${x(0)} ${y}H${x(90)}`} stroke={color('edge')} />
      {[0, 18, 36, 54, 72, 90].map((years) => (
        <g key={years}>
          <path className="dimension" d={`M${x(years)} ${y - 4}v8`} stroke={color('edge')} />
          <text x={x(years)} y={y + 22} textAnchor="middle">
            {years}
          </text>
        </g>
      ))}
      {value !== undefined && <circle cx={x(value)} cy={y} r={7} fill={color('river')} />}
    </g>
  );
}
