import { monotoneCurve } from '../statistics';
import type { BodyReadings, BodyView } from './body-view';
import { ellipsePerimeter } from './ellipse';
import { landmarkLevel, type Landmark } from './landmark';
import { girthProfile } from './limb-profile';
import { crossing, smooth, type Point } from './outline';
import type { Side } from './side';

const templateStature = 1700;

/** Girth of an average arm by level below the top of the shoulder; an estimate. */
const arm: readonly (readonly [number, number])[] = [
  [-640, 160],
  [-520, 172],
  [-450, 226],
  [-370, 266],
  [-316, 258],
  [-250, 280],
  [-190, 300],
  [-139, 310],
  [-100, 330],
];

/** One shoulder with its arm, from the front and from the back; the trunk cut at its middle. */
export function shoulderViews(readings: BodyReadings, side: Side, stature: number): BodyView[] {
  const scale = stature / templateStature;
  const s = (mm: number) => mm * scale;
  const levels = [...arm].map(([at]) => at);
  const template = monotoneCurve(
    levels,
    arm.map(([, girth]) => girth),
  );
  const girth = girthProfile(
    (at) => template(at / scale) * scale,
    readings.girths
      .filter(({ from }) => from === 'upper-arm-greatest-girth')
      .map(({ from, distance, girth: read }) => ({
        level: landmarkLevel('shoulder', from, stature)! + distance,
        girth: read,
      })),
    [s(-640), s(-60)],
  );
  const half = (at: number) => girth(at) / ellipsePerimeter(1, 1.04);
  // the arm hangs a little away from the trunk
  const axis = (at: number) => s(4) + Math.max(0, -at - s(60)) * 0.09;
  const level = (landmark: Landmark) => landmarkLevel('shoulder', landmark, stature);
  const step = (from: number, to: number) =>
    Array.from({ length: 41 }, (_, i) => s(from) + ((s(to) - s(from)) * i) / 40);
  const p = (x: number, at: number): Point => [s(x), s(at)];
  const outer = (at: number): Point => [axis(at) + half(at), at];
  const inner = (at: number): Point => [axis(at) - half(at), at];
  const hand = (points: readonly (readonly [number, number])[]) =>
    points.map(([x, at]): Point => [axis(s(-520)) + s(x), s(at)]);

  // lateral positive; turned to the viewer's side at the end
  const skin: Point[] = [
    ...smooth([
      p(-190, 152),
      p(-134, 150),
      p(-132, 118),
      p(-136, 88),
      p(-122, 66),
      p(-84, 48),
      p(-44, 30),
      p(-8, 14),
      p(24, -4),
      [axis(s(-64)) + half(s(-100)) * 0.98, s(-50)],
      outer(s(-96)),
    ]),
    ...step(-104, -516).map(outer),
    ...smooth([
      outer(s(-522)),
      ...hand([
        [29, -548],
        [37, -578],
        [40, -612],
        [38, -646],
        [33, -682],
        [25, -708],
        [12, -722],
        [0, -722],
        [-9, -710],
        [-13, -688],
        [-16, -656],
        [-22, -638],
        [-31, -654],
        [-40, -664],
        [-47, -656],
        [-46, -634],
        [-40, -606],
        [-34, -578],
        [-29, -550],
      ]),
      inner(s(-522)),
    ]),
    ...step(-516, -168).map(inner),
    ...smooth([
      inner(s(-160)),
      [axis(s(-130)) - half(s(-130)) - s(2), s(-132)],
      [axis(s(-112)) - half(s(-112)) - s(4), s(-114)],
      [axis(s(-130)) - half(s(-112)) - s(14), s(-132)],
      p(-72, -200),
      p(-82, -280),
      p(-92, -352),
      p(-88, -420),
    ]),
    p(-190, -420),
  ];
  const frontLines: Point[][] = [
    smooth([p(-178, 42), p(-130, 26), p(-80, 28), p(-36, 20), p(-8, 8)]),
    smooth([p(-134, 100), p(-160, 60), p(-178, 38)]),
    smooth([p(-150, -110), p(-112, -112), p(-74, -96), p(-54, -66), p(-46, -40)]),
    smooth([p(-30, 4), p(-34, -30), p(-22, -70), p(4, -118), [axis(s(-150)) + s(10), s(-154)]]),
    smooth([
      inner(s(-150)),
      [axis(s(-190)) - s(20), s(-190)],
      [axis(s(-250)) - s(12), s(-250)],
      [axis(s(-290)), s(-290)],
    ]),
    smooth([
      [axis(s(-318)) - s(28), s(-314)],
      [axis(s(-322)), s(-322)],
      [axis(s(-318)) + s(26), s(-316)],
    ]),
    smooth([
      [axis(s(-340)) + s(20), s(-338)],
      [axis(s(-390)) + s(16), s(-392)],
      [axis(s(-450)) + s(4), s(-452)],
    ]),
    ...[22, 10, -2].map((x) =>
      smooth(
        hand([
          [x, -626],
          [x + 1, -660],
          [x - 1, -704],
        ]),
      ),
    ),
    [p(-190, 34), p(-190, -120)],
    smooth([p(-190, -210), p(-150, -240), p(-112, -290)]),
  ];
  const backLines: Point[][] = [
    smooth([p(-176, 6), p(-120, -14), p(-70, -4), p(-22, 8)]),
    smooth([
      p(-150, -10),
      p(-148, -80),
      p(-132, -150),
      p(-116, -164),
      p(-96, -130),
      p(-74, -80),
      p(-58, -50),
    ]),
    smooth([p(-26, 6), p(-38, -36), p(-26, -76), p(2, -120), [axis(s(-150)) + s(6), s(-156)]]),
    smooth([
      [axis(s(-170)) + s(4), s(-170)],
      [axis(s(-220)) + s(8), s(-224)],
      [axis(s(-262)), s(-264)],
    ]),
    smooth([
      [axis(s(-306)) - s(8), s(-302)],
      [axis(s(-322)), s(-324)],
      [axis(s(-306)) + s(10), s(-302)],
    ]),
    smooth([
      [axis(s(-336)) + s(6), s(-336)],
      [axis(s(-420)) + s(10), s(-420)],
      [axis(s(-490)) + s(12), s(-496)],
    ]),
    [p(-190, 120), p(-190, -420)],
    smooth([p(-70, -140), p(-92, -190), p(-110, -270)]),
    smooth([p(-136, 88), p(-150, 40), p(-178, -30)]),
  ];
  /** A right shoulder seen from the front lies to the viewer's left; from the back to the right. */
  const view = (id: 'front' | 'back', lines: Point[][]): BodyView => {
    const facing = (side === 'right') === (id === 'front') ? -1 : 1;
    const turned = (points: readonly Point[]) => points.map(([x, at]): Point => [x * facing, at]);
    const sorted = (a: number, b: number): [number, number] => (a < b ? [a, b] : [b, a]);
    return {
      id,
      skin: turned(skin),
      lines: lines.map(turned),
      edges: (at) =>
        at <= s(-100) ? sorted(inner(at)[0] * facing, outer(at)[0] * facing) : crossing(turned(skin), at),
      place: (landmark) => {
        const at = level(landmark);
        if (at === undefined) return undefined;
        if (landmark === 'olecranon') return id === 'back' ? [axis(at) * facing, at] : undefined;
        const x = {
          acromion: s(-6),
          'shoulder-joint-space': s(-4),
          axilla: s(-58),
          chest: s(-120),
          'upper-arm-greatest-girth': axis(at),
        }[landmark as string];
        return x === undefined ? undefined : [x * facing, at];
      },
      along: () => undefined,
      letters: [{ text: side === 'left' ? 'L' : 'R', at: [s(96) * facing, s(20)] }],
    };
  };
  return [view('front', frontLines), view('back', backLines)];
}
