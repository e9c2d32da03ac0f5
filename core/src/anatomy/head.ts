import type { Millimetres } from '../quantity';
import type { Drawn } from './foot';
import { mirrored, oval, smooth, smoothRing, type Point } from './outline';
import { chinAbove, type TrunkForm } from './trunk-form';

/*
 * Head and neck, in mm from the neck's foot; drawn by eye, an estimate. The head sits on the chin's level and keeps its
 * own proportion; the neck between is as long and as thick as it was read.
 */

/** How levels of the template's head and neck lie on this body, from the neck's foot. */
export function headLevels({ build }: TrunkForm): (at: Millimetres) => Millimetres {
  return (at) =>
    at <= 0
      ? at * build.trunk
      : at <= chinAbove
        ? at * build.neck
        : chinAbove * build.neck + (at - chinAbove) * build.head;
}

const both = (line: Point[]): Point[][] => [line, mirrored(line)];

/** The head from the front, with its face. */
export function headFromFront(form: TrunkForm): Drawn {
  const y = headLevels(form);
  const p = (x: number, at: number): Point => [x * form.build.head, y(at)];
  const half = [
    p(34, 302),
    p(62, 284),
    p(76, 250),
    p(79, 214),
    p(77, 184),
    p(73, 142),
    p(69, 120),
    p(62, 104),
    p(52, 92),
    p(38, 84),
    p(20, 81.5),
  ];
  const face = smoothRing([p(0, 306), ...half, p(0, 81), ...mirrored(half).reverse()]);
  const ear = smoothRing([p(74, 196), p(84, 203), p(90, 192), p(87, 166), p(80, 148), p(73, 150)]);
  return {
    parts: [face, ear, mirrored(ear)],
    small: [],
    lines: [
      smooth([p(-20, 128), p(-8, 131), p(0, 129), p(8, 131), p(20, 128)]),
      smooth([p(-16, 122), p(0, 116), p(16, 122)]),
      smooth([p(-14, 157), p(-6, 151), p(0, 153), p(6, 151), p(14, 157)]),
      ...both(smooth([p(9, 206), p(8, 180), p(13, 160)])),
      ...both(smooth([p(20, 204), p(32, 211), p(46, 204), p(33, 198), p(20, 204)])),
      ...both(smooth([p(16, 222), p(34, 230), p(54, 222)])),
      smooth([p(-54, 95), p(-40, 85), p(-20, 82), p(0, 81.5), p(20, 82), p(40, 85), p(54, 95)]),
    ],
    hidden: [],
  };
}

/** The head from behind: ears, the line of the hair. */
export function headFromBehind(form: TrunkForm): Drawn {
  const y = headLevels(form);
  const p = (x: number, at: number): Point => [x * form.build.head, y(at)];
  return {
    ...headFromFront(form),
    lines: [
      smooth([p(-60, 128), p(-40, 112), p(0, 106), p(40, 112), p(60, 128)]),
      ...both(smooth([p(84, 190), p(82, 172), p(77, 158)])),
    ],
  };
}

/** The head from its right side, looking to the viewer's right. */
export function headFromSide(form: TrunkForm): Drawn {
  const y = headLevels(form);
  const p = (x: number, at: number): Point => [x * form.build.head, y(at)];
  const profile = smoothRing([
    p(-6, 306),
    p(36, 300),
    p(70, 276),
    p(86, 240),
    p(88, 216),
    p(91, 202),
    p(104, 172),
    p(108, 162),
    p(99, 154),
    p(95, 148),
    p(99, 139),
    p(97, 130),
    p(97, 121),
    p(91, 114),
    p(93, 104),
    p(88, 91),
    p(72, 82),
    p(40, 84),
    p(8, 94),
    p(-30, 92),
    p(-72, 92),
    p(-96, 116),
    p(-108, 160),
    p(-108, 214),
    p(-92, 262),
    p(-56, 296),
  ]);
  return {
    parts: [],
    small: [profile],
    lines: [
      smooth([p(72, 82), p(40, 86), p(10, 96), p(-6, 116), p(-12, 140)]),
      smooth([
        p(-8, 190),
        p(-2, 204),
        p(-14, 212),
        p(-30, 204),
        p(-30, 180),
        p(-20, 152),
        p(-12, 148),
        p(-8, 160),
        p(-12, 172),
        p(-8, 190),
      ]),
      smooth([p(-14, 196), p(-22, 190), p(-20, 172)]),
      smooth([p(66, 206), p(74, 210), p(80, 204), p(72, 200), p(66, 206)]),
      smooth([p(62, 222), p(74, 228), p(86, 222)]),
      smooth([p(97, 130), p(86, 129), p(78, 126)]),
      oval(p(104, 168)[0] - 6 * form.build.head, y(160), 3 * form.build.head, 2 * form.build.head),
    ],
    hidden: [],
  };
}
