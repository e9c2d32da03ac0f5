import type { BodyReadings, BodyView } from './body-view';
import { landmarkLevel, type Landmark } from './landmark';
import { crossing, smooth, type Point } from './outline';

const templateStature = 1700;
const templateNeckGirth = 366;

/** Neck and head from the front and from the right side, down to the chest. An estimate drawn by eye. */
export function neckViews(readings: BodyReadings, _side: unknown, stature: number): BodyView[] {
  const scale = stature / templateStature;
  const s = (mm: number) => mm * scale;
  const chinDrawn = landmarkLevel('neck', 'chin-line', stature)!;
  const chinRead = readings.lengths.find(
    ({ from, to }) => from === 'trapezius-top' && to === 'chin-line',
  )?.length;
  const notchRead = readings.lengths.find(
    ({ from, to }) => from === 'sternal-notch' && to === 'chin-line',
  )?.length;
  const notch = landmarkLevel('neck', 'sternal-notch', stature)!;
  // a longer neck carries the head higher
  const lift = (chinRead ?? (notchRead === undefined ? chinDrawn : notchRead + notch)) - chinDrawn;
  const neckRead = readings.girths.find(({ from }) => from === 'neck-middle')?.girth;
  const thick = neckRead === undefined ? 1 : neckRead / (templateNeckGirth * scale);
  const chestRead = readings.girths.find(({ from }) => from === 'chest')?.girth;
  const broad = chestRead === undefined ? 1 : Math.sqrt(chestRead / (918 * scale));
  // everything above the neck's middle moves with the head, below it nothing
  const y = (level: number) => {
    const share = Math.min(1, Math.max(0, (s(level) - s(4)) / (chinDrawn - s(4))));
    return s(level) + lift * share;
  };
  const level = (landmark: Landmark): number | undefined => {
    const at = landmarkLevel('neck', landmark, stature);
    return at === undefined ? undefined : y(at / scale);
  };
  const p = (x: number, at: number, by: number = 1): Point => [s(x) * by, y(at)];

  const right: Point[] = [
    ...smooth([p(0, 306), p(34, 302), p(62, 284), p(76, 250), p(79, 214), p(77, 188)]),
    // the ear
    ...smooth([p(78, 196), p(88, 202), p(92, 188), p(88, 164), p(80, 146), p(75, 148)]),
    ...smooth([p(73, 142), p(69, 120), p(62, 104), p(55, 95)]),
    ...smooth([
      p(53, 84, thick),
      p(54, 56, thick),
      p(57, 30, thick),
      p(64, 12, thick),
      p(84, 2),
      p(122, -14, broad),
      p(164, -28, broad),
      p(196, -42, broad),
      p(216, -66, broad),
      p(224, -100, broad),
      p(226, -150, broad),
    ]),
    p(226, -196, broad),
  ];
  const mirrored = right.map(([x, at]): Point => [-x, at]).reverse();
  const front = [...right, ...mirrored];
  const both = (line: Point[]): Point[][] => [line, line.map(([x, at]): Point => [-x, at])];
  const frontLines: Point[][] = [
    smooth([p(-52, 92), p(-40, 84), p(-20, 82), p(0, 81), p(20, 82), p(40, 84), p(52, 92)]),
    smooth([p(-20, 128), p(-8, 131), p(0, 129), p(8, 131), p(20, 128)]),
    smooth([p(-16, 122), p(0, 116), p(16, 122)]),
    smooth([p(-14, 157), p(-6, 151), p(0, 153), p(6, 151), p(14, 157)]),
    ...both(smooth([p(9, 206), p(8, 180), p(13, 160)])),
    ...both(smooth([p(20, 204), p(32, 211), p(46, 204), p(33, 198), p(20, 204)])),
    ...both(smooth([p(16, 222), p(34, 230), p(54, 222)])),
    ...both(smooth([p(50, 78, thick), p(36, 40, thick), p(14, -20), p(9, -32)])),
    ...both(smooth([p(10, -36), p(58, -26), p(118, -30), p(180, -44)])),
    smooth([p(-14, -28), p(0, -38), p(14, -28)]),
    [p(0, -46), p(0, -196)],
    ...both(smooth([p(206, -80, broad), p(192, -140, broad), p(184, -196, broad)])),
    ...both(smooth([p(84, 2), p(70, -10), p(62, -24)])),
  ];

  const side: Point[] = [
    ...smooth([
      p(-6, 306),
      p(36, 300),
      p(70, 276),
      p(86, 240),
      p(88, 214),
      p(92, 200),
      p(104, 172),
      p(108, 160),
      p(98, 154),
      p(94, 148),
      p(99, 138),
      p(97, 130),
      p(97, 121),
      p(90, 114),
      p(93, 104),
      p(88, 90),
      p(72, 82),
    ]),
    ...smooth([
      p(40, 78),
      p(22, 70, thick),
      p(19, 44, thick),
      p(24, 10, thick),
      p(30, -24),
      p(44, -44),
      p(66, -80),
      p(84, -130, broad),
      p(92, -196, broad),
    ]),
    ...smooth([
      p(-122, -196, broad),
      p(-122, -130, broad),
      p(-114, -80),
      p(-102, -36),
      p(-90, -8),
      p(-82, 6, thick),
      p(-74, 30, thick),
      p(-72, 60, thick),
      p(-80, 86),
      p(-96, 116),
      p(-108, 160),
      p(-108, 214),
      p(-92, 262),
      p(-56, 296),
      p(-6, 306),
    ]),
  ];
  const sideLines: Point[][] = [
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
    smooth([p(-22, 132), p(-12, 92), p(8, 40, thick), p(28, -26)]),
    smooth([p(-78, 40, thick), p(-62, 4), p(-34, -26), p(-8, -44)]),
    smooth([p(-8, -44), p(-48, -60), p(-76, -104), p(-80, -196)]),
    smooth([p(-8, -44), p(30, -66), p(42, -110), p(40, -196)]),
  ];
  const place =
    (id: 'front' | 'side'): BodyView['place'] =>
    (landmark) => {
      const at = level(landmark);
      if (at === undefined) return undefined;
      if (id === 'front') {
        if (landmark === 'occiput' || landmark === 'c7') return undefined;
        return [landmark === 'trapezius-top' ? s(92) : 0, at];
      }
      const [back, fore] = crossing(side, at) ?? [0, 0];
      if (landmark === 'occiput' || landmark === 'c7') return [back, at];
      if (landmark === 'trapezius-top') return [s(-46), at];
      return [landmark === 'chin-line' ? s(80) : fore, at];
    };
  return [
    {
      id: 'front',
      skin: front,
      lines: frontLines,
      edges: (at) => crossing(front, at),
      place: place('front'),
      along: () => undefined,
      letters: [
        { text: 'R', at: [s(-150), s(40)] },
        { text: 'L', at: [s(150), s(40)] },
      ],
    },
    {
      id: 'side',
      skin: side,
      lines: sideLines,
      edges: (at) => crossing(side, at),
      place: place('side'),
      along: () => undefined,
      letters: [],
    },
  ];
}
