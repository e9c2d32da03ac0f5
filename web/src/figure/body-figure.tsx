import { legFormOf, type BodyReadings, type Region, type Side } from '@estribo/core/anatomy';
import { useMemo } from 'react';
import type { Overlay } from './drawing';
import type { FigureLayer } from './layer';
import { LegFigure } from './leg-figure';
import { RegionFigure } from './region-figure';

/** The part of the body that is braced, drawn from its readings, with what the stage lays over it. */
export function BodyFigure({
  region,
  ...rest
}: {
  region: Region;
  side: Side;
  readings: BodyReadings;
  stature: number;
  /** outlines laid over it: the other side, the last visit */
  overlays: Partial<Record<Overlay, BodyReadings>>;
  layer: FigureLayer;
  selected?: string | undefined;
  onSelect?: (id: string) => void;
  description: string;
}) {
  return region === 'leg' ? <Leg {...rest} /> : <RegionFigure region={region} {...rest} />;
}

function Leg({
  readings,
  stature,
  overlays,
  ...rest
}: Omit<React.ComponentProps<typeof BodyFigure>, 'region'>) {
  const form = useMemo(() => legFormOf(readings, stature), [readings, stature]);
  const laid = useMemo(
    () =>
      (Object.entries(overlays) as [Overlay, BodyReadings][]).map(([kind, read]) => ({
        kind,
        form: legFormOf(read, stature),
      })),
    [overlays, stature],
  );
  return <LegFigure form={form} readings={readings} overlays={laid} {...rest} />;
}
