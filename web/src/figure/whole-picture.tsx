import { wholeBody, type BodyReadings, type Build, type Region, type Side } from '@estribo/core/anatomy';
import type { Frame } from '@estribo/core/drawing';
import { useMemo } from 'react';
import { color } from '../look/tokens';
import { pathOf } from './drawing';

const heights = { wide: 128, narrow: 92 };

/** Where the small whole body stands in a frame: at the left, above the views' names. */
export function wholeBox({ width, height }: Frame) {
  const high = width < 400 ? heights.narrow : heights.wide;
  return { left: 4, right: 4 + high * 0.46, top: height - 34 - high, bottom: height - 34 };
}

/** The whole body, small, with the part in work on it: where on the body it is. */
export function WholePicture({
  region,
  side,
  readings,
  build,
  frame,
}: {
  region: Region;
  side: Side;
  readings: BodyReadings;
  build: Build;
  frame: Frame;
}) {
  const body = useMemo(() => wholeBody(region, side, readings, build), [region, side, readings, build]);
  const box = wholeBox(frame);
  const xs = body.skin.map(([x]) => x);
  const wide = Math.max(...xs) - Math.min(...xs);
  const scale = Math.min((box.bottom - box.top) / body.stature, (box.right - box.left) / wide);
  const place = ([x, y]: readonly [number, number]) =>
    [(box.left + box.right) / 2 + x * scale, box.bottom - y * scale] as const;
  return (
    <g aria-hidden>
      <path
        d={pathOf(body.skin.map(place), true)}
        fill={color('band')}
        stroke={color('edge')}
        strokeWidth={0.9}
      />
      <path d={pathOf(body.part.map(place), true)} fill={color('river')} stroke="none" opacity={0.75} />
    </g>
  );
}
