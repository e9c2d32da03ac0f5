import type { Millimetres } from '../quantity';
import { fitted, type BodyReadings } from './body-readings';
import type { Build } from './build';
import { drawnAt } from './foot';
import { malleoliLevel } from './leg-form';
import { footSize, legFromFront } from './leg-view';
import { mirrored, outlineOf, cutTo, windowOf, type Point } from './outline';
import type { Region } from './region';
import type { Side } from './side';
import { chinAbove, crotchOfLeg, trunkForm, vertexAbove } from './trunk-form';
import { headLevels } from './head';
import { upperBody } from './upper-body';

export interface WholeBody {
  /** the body from the front, closed, in mm above the sole; its right at negative x */
  skin: Point[];
  stature: Millimetres;
  /** the part that is braced */
  part: Point[];
}

/**
 * The whole body from the front, to show where a part of it is and how tall somebody is. An estimate.
 * @param build proportions
 * @param readings what was read of the region
 * @param region the part in work
 * @param side which of a pair
 */
export function wholeBody(region: Region, side: Side, readings: BodyReadings, build: Build): WholeBody {
  const { build: fit } = fitted(region, readings, build);
  const form = trunkForm(
    region === 'leg' || region === 'ankle' ? { ...readings, girths: [], widths: [] } : readings,
    fit,
  );
  const { leg, ofLeg, legAxis } = form;
  const sole = ofLeg(leg.sole);
  const limb = drawnAt(legFromFront(leg, footSize(leg)), 0, ofLeg(0));
  const oneLeg = [...limb.parts, ...limb.small];
  // a leg's medial side is towards the middle: the left leg at positive x
  const left = oneLeg.map((part) => part.map(([x, y]): Point => [legAxis - x, y]));
  const up = (points: readonly Point[]) => points.map(([x, y]): Point => [x, y - sole]);
  const upper = upperBody(form, 'front');
  const skin = outlineOf(
    [...upper.parts, ...upper.small, ...left, ...left.map(mirrored)].map(up),
    4 * fit.girth,
    4 * fit.girth,
  );
  const of = (x: Millimetres) => (side === 'right' ? -x : x);
  const box = (x1: number, x2: number, low: number, high: number) =>
    windowOf({
      left: Math.min(of(x1), of(x2)),
      right: Math.max(of(x1), of(x2)),
      low: low - sole,
      high: high - sole,
    });
  const y = headLevels(form);
  const far = 1e4;
  const [shoulder, top] = form.shoulder;
  const windows: Record<Region, Point[]> = {
    leg: box(0, far, sole, ofLeg(crotchOfLeg * fit.thigh * 0.92)),
    ankle: box(0, far, sole, ofLeg(malleoliLevel * fit.shank * 0.42)),
    trunk: windowOf({
      left: -shoulder,
      right: shoulder,
      low: form.scaled(-222) - sole,
      high: top - form.scaled(24) - sole,
    }),
    neck: windowOf({ low: form.neckFoot + y(-60) - sole, high: form.neckFoot + y(chinAbove + 30) - sole }),
    shoulder: box(shoulder * 0.5, far, top - 260 * fit.arm, top + form.scaled(60)),
  };
  return { skin, stature: form.neckFoot + y(vertexAbove) - sole, part: cutTo(skin, windows[region]).skin };
}
