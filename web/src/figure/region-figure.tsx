import {
  bodyViews,
  type BodyReadings,
  type BodyView,
  type Landmark,
  type Point,
  type Region,
  type Side,
} from '@estribo/core/anatomy';
import { useMemo, useState } from 'react';
import { RotateCw } from 'lucide-react';
import styled from 'styled-components';
import { color } from '../app/tokens';
import { named, t } from '../messages';
import { Button } from '../parts/button';
import { Drawing, type Overlay, type PlacedView } from './drawing';
import type { FigureLayer } from './layer';
import { Goniometer } from './measures';
import { height, width } from './projection';
import { StepMarks } from './step-marks';

const Place = styled.div`
  position: relative;
  height: 100%;
  min-height: 0;
  & > button {
    position: absolute;
    left: 4px;
    top: 0;
  }
`;

const margin = 16;
const gap = 40;
const [top, bottom] = [34, 40];

const bounds = (points: readonly Point[]) => {
  const [xs, ys] = [points.map(([x]) => x), points.map(([, y]) => y)];
  return { left: Math.min(...xs), right: Math.max(...xs), low: Math.min(...ys), high: Math.max(...ys) };
};

const middleOf = (points: readonly Point[]): number => {
  const { left, right } = bounds(points);
  return (left + right) / 2;
};

/** Views side by side on one scale, levels in line. */
function placeViews(views: readonly BodyView[]): PlacedView[] {
  const boxes = views.map(({ skin }) => bounds(skin));
  const wide = boxes.reduce((sum, { left, right }) => sum + right - left, 0);
  const [low, high] = [Math.min(...boxes.map((box) => box.low)), Math.max(...boxes.map((box) => box.high))];
  const perMm = Math.min(
    (width - 2 * margin - gap * (views.length - 1)) / wide,
    (height - top - bottom) / (high - low),
  );
  const used = wide * perMm + gap * (views.length - 1);
  let x = (width - used) / 2;
  const y0 = top + (height - top - bottom - (high - low) * perMm) / 2;
  return views.map((view, i) => {
    const { left, right } = boxes[i]!;
    const at = x - left * perMm;
    x += (right - left) * perMm + gap;
    return { view, project: ([px, py]: Point) => [at + px * perMm, y0 + (high - py) * perMm] as const };
  });
}

const pathOf = (points: readonly Point[], { project }: PlacedView) =>
  points
    .map(
      (point, i) =>
        `${i === 0 ? 'M' : 'L'}${project(point)
          .map((n) => n.toFixed(1))
          .join(' ')}`,
    )
    .join('');

/** What the step now asked for is felt on, to turn the figure so that it is seen. */
const landmarksNow = (layer: FigureLayer): Landmark[] => {
  const step = layer.steps?.find(({ state }) => state === 'now')?.step;
  return step
    ? Object.entries(step).flatMap(([field, value]) =>
        ['from', 'to', 'at', 'landmark'].includes(field) && typeof value === 'string'
          ? [value as Landmark]
          : [],
      )
    : [];
};

/** Any body part but the leg with its brace, drawn in two views from its readings. */
export function RegionFigure({
  region,
  side,
  readings,
  stature,
  overlays,
  layer,
  selected,
  onSelect,
  description,
}: {
  region: Region;
  side: Side;
  readings: BodyReadings;
  stature: number;
  overlays: Partial<Record<Overlay, BodyReadings>>;
  layer: FigureLayer;
  selected?: string | undefined;
  onSelect?: (id: string) => void;
  description: string;
}) {
  const [turned, turn] = useState(false);
  const all = useMemo(() => bodyViews(region, side, readings, stature), [region, side, readings, stature]);
  const laid = useMemo(
    () =>
      (Object.entries(overlays) as [Overlay, BodyReadings][]).map(
        ([kind, read]) => [kind, bodyViews(region, side, read, stature)] as const,
      ),
    [overlays, region, side, stature],
  );
  const three = all.length > 2;
  const [front, back] = [all.find(({ id }) => id === 'front'), all.find(({ id }) => id === 'back')];
  const felt = landmarksNow(layer);
  const fromBehind = felt.some((landmark) => !front?.place(landmark) && back?.place(landmark));
  const hidden = three ? (fromBehind !== turned ? 'front' : 'back') : undefined;
  const placed = placeViews(all.filter(({ id }) => id !== hidden));
  return (
    <Place>
      <Drawing
        viewBox={`0 0 ${width} ${height}`}
        role="img"
        aria-label={description}
        preserveAspectRatio="xMidYMid meet"
      >
        {placed.map((one) => (
          <g key={one.view.id} aria-hidden>
            <path className="skin" d={`${pathOf(one.view.skin, one)}Z`} />
            {one.view.lines.map((line, i) => (
              <path key={i} className="form" d={pathOf(line, one)} />
            ))}
            {laid.map(([kind, views]) => {
              const view = views.find(({ id }) => id === one.view.id);
              return view && <path key={kind} className={kind} d={`${pathOf(view.skin, one)}Z`} />;
            })}
            {one.view.letters.map(({ text, at }) => {
              const [x, y] = one.project(at);
              return (
                <text key={text} x={x} y={y} textAnchor="middle">
                  {text}
                </text>
              );
            })}
            <text x={one.project([middleOf(one.view.skin), 0])[0]} y={height - 12} textAnchor="middle">
              {named('figure', one.view.id)}
            </text>
          </g>
        ))}
        {layer.steps && (
          <StepMarks
            steps={layer.steps}
            views={placed}
            region={region}
            stature={stature}
            selected={selected}
            onSelect={onSelect}
          />
        )}
        {layer.goniometer && <Goniometer {...layer.goniometer} x={width - 62} y={62} />}
      </Drawing>
      {three && (
        <Button look="quiet" onPress={() => turn(!turned)} aria-pressed={turned}>
          <RotateCw size={16} aria-hidden style={{ color: color('river') }} />
          {t('figure.turn', { view: named('figure', hidden!) })}
        </Button>
      )}
    </Place>
  );
}
