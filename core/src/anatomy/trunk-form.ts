import type { Millimetres } from '../quantity';
import { monotoneCurve } from '../statistics';
import { armForm, type ArmForm } from './arm';
import type { BodyReadings } from './body-readings';
import type { Build } from './build';
import { semiAxes } from './ellipse';
import { heldSizes } from './held';
import { landmarkLevel } from './landmark';
import { legForm, type LegForm } from './leg-form';
import { girthProfile, softCourse, through } from './limb-profile';
import { spineCurve } from './spine-curve';

/**
 * An average adult trunk, standing: level from the waist, girth, depth over width, share of the depth that
 * lies in front of its middle, and how far that middle lies in front of the plumb line. Drawn by eye to
 * anatomical proportion; an estimate.
 */
const template: readonly (readonly [Millimetres, number, number, number, number])[] = [
  [-222, 940, 0.72, 0.46, -3],
  [-205, 952, 0.74, 0.46, -4],
  [-163, 968, 0.74, 0.45, -8],
  [-120, 945, 0.74, 0.46, -8],
  [-75, 890, 0.73, 0.48, -2],
  [-37, 848, 0.72, 0.5, 6],
  [0, 822, 0.73, 0.52, 10],
  [50, 836, 0.74, 0.52, 8],
  [100, 872, 0.74, 0.53, 2],
  [163, 918, 0.74, 0.53, -8],
  [212, 940, 0.74, 0.52, -16],
  [248, 930, 0.7, 0.5, -20],
  [300, 850, 0.64, 0.48, -22],
  [345, 720, 0.58, 0.46, -20],
];
const levels = template.map(([level]) => level);
const course = (column: 1 | 2 | 3 | 4) =>
  softCourse(
    levels,
    template.map((row) => row[column]),
  );
const [templateGirth, depthToWidth, frontShare, templateMiddle] = [
  course(1),
  course(2),
  course(3),
  course(4),
];
/** a trunk's section is squarer than an ellipse: as long round, it is this much narrower */
const squarer = 0.96;
/** how much of what a belly has more than the average lies in front, by level */
const belly = monotoneCurve([-220, -150, -60, 0, 80, 180, 260], [0.03, 0.07, 0.11, 0.12, 0.11, 0.06, 0]);

/** Girth of an average neck, and its level above the waist's. */
const neckGirth: Millimetres = 366;
/** the foot of the neck above the waist, and the chin and the vertex above that */
export const neckFoot = 400;
export const [chinAbove, vertexAbove] = [81, 306];
/** crotch below the waist, and above the middle of the kneecap */
export const [crotch, crotchOfLeg] = [-222, 288];

export interface TrunkForm {
  build: Build;
  held: Millimetres[];
  /** half the width at a level from the waist */
  width: (level: Millimetres) => Millimetres;
  /** edges seen from the right side */
  depth: (level: Millimetres) => { front: Millimetres; back: Millimetres };
  middle: (level: Millimetres) => Millimetres;
  /** how far a read back lies in front of the drawn one */
  bent: (level: Millimetres) => Millimetres;
  /** half the neck's width and depth */
  neck: Millimetres;
  /** the neck's foot above the waist */
  neckFoot: Millimetres;
  /** factor that broad chests make broad shoulders by */
  chest: number;
  /** the top of the shoulder: lateral of the middle, above the waist */
  shoulder: readonly [x: Millimetres, y: Millimetres];
  arm: ArmForm;
  leg: LegForm;
  /** how far a leg's axis stands from the middle */
  legAxis: Millimetres;
  scaled: (templateLevel: Millimetres) => Millimetres;
  /** level from the waist of a level of the leg */
  ofLeg: (level: Millimetres) => Millimetres;
}

/**
 * The form of a trunk with neck, arms and thighs, from what was read of it. An estimate, exact only where something
 * was read, and held within what a body can be.
 */
export function trunkForm(readings: BodyReadings, build: Build): TrunkForm {
  const s = (mm: number) => mm * build.trunk;
  const held: Millimetres[] = [];
  const at = (level: Millimetres) => level / build.trunk;
  const average = (level: Millimetres) => templateGirth(at(level)) * build.girth;
  const girths = heldSizes(
    readings.girths.flatMap(({ from, distance, girth }) => {
      const level = landmarkLevel('trunk', from, build);
      return level === undefined ? [] : [{ level: level + distance, size: girth }];
    }),
    average,
  );
  held.push(...girths.held);
  const girth = girthProfile(
    average,
    girths.drawn.map(({ level, size }) => ({ level, girth: size })),
    [s(-330), s(345)],
  );
  const more = (level: Millimetres) => girth(level) / average(level) - 1;
  const half = (level: Millimetres) =>
    semiAxes(
      girth(level) * squarer,
      Math.min(0.95, Math.max(0.5, depthToWidth(at(level)) + 0.1 * Math.min(1.5, more(level)))),
    );
  const across = heldSizes(
    readings.widths
      .filter((one) => one.across === 'mediolateral')
      .flatMap(({ at: place, width }) => {
        const level = landmarkLevel('trunk', place, build);
        return level === undefined ? [] : [{ level, size: width }];
      }),
    (level) => 2 * half(level).halfWidth,
  );
  held.push(...across.held);
  const wide =
    across.drawn.length === 0
      ? () => 1
      : through(
          new Map(
            across.drawn.map(({ level, size }) => [level, size / (2 * half(level).halfWidth)] as const),
          ),
        );
  const width = (level: Millimetres) => half(level).halfWidth * wide(level);
  const bent = spineCurve(readings, build);
  const middle = (level: Millimetres) => templateMiddle(at(level)) * build.girth + bent(level);

  const chest = Math.sqrt(width(s(212)) / 163 / build.girth);
  const hips = width(s(-163)) / 169 / build.girth;
  const leg = legForm({ girths: [], widths: [] }, { ...build, girth: build.girth * Math.min(1.9, hips) });
  const thigh = leg.edges(crotchOfLeg * build.thigh);
  const legAxis = Math.max(width(s(crotch)) - thigh.lateral, thigh.medial * 0.97);

  const neckRead = heldSizes(
    readings.girths
      .filter(({ from }) => from === 'neck-middle')
      .map(({ distance, girth: size }) => ({ level: s(neckFoot + 44) + distance, size })),
    () => neckGirth * build.girth,
  );
  held.push(...neckRead.held);
  const neck = (neckRead.drawn[0]?.size ?? neckGirth * build.girth) / (2 * Math.PI);

  const shoulder = [190 * chest * build.girth, s(356)] as const;
  // an arm hangs clear of the trunk: as far away as the widest place below the armpit asks for
  const straight = armForm(readings, build, 0);
  const away = [-190, -240, -290, -356, -420, -480].reduce((most, armLevel) => {
    const level = armLevel * build.arm;
    const needed =
      width(shoulder[1] + level) + s(9) + straight.half(level) - shoulder[0] - straight.axis(level);
    return Math.max(most, needed / (-level - 60 * build.arm));
  }, 0.09);
  const arm = armForm(readings, build, Math.min(0.7, away));
  held.push(...arm.held.map((level) => level + shoulder[1]));

  return {
    build,
    held,
    width,
    depth: (level) => {
      const { halfDepth } = half(level);
      const share = frontShare(at(level));
      const ahead = share + belly(at(level)) * Math.min(1, Math.max(0, more(level)));
      return {
        front: middle(level) + 2 * halfDepth * ahead,
        back: middle(level) - 2 * halfDepth * (1 - ahead),
      };
    },
    middle,
    bent,
    neck,
    neckFoot: s(neckFoot),
    chest,
    shoulder,
    arm,
    leg,
    legAxis,
    scaled: s,
    ofLeg: (level) => s(crotch) + level - crotchOfLeg * build.thigh,
  };
}
