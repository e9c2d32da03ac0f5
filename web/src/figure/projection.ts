/* Where things of the leg come to lie in the drawing. */
import { levelOf, type LegForm } from '@estribo/core/anatomy';

export const width = 484;
export const height = 618;
export const kneecapY = 252;

/** One of the two views. */
export interface View {
  /** where the leg's axis stands in the drawing */
  axis: number;
  facing: 1 | -1;
}

/** The drawing's scale: a small leg is drawn as large as a long one. */
export interface Scale {
  perMm: number;
  y: (level: number) => number;
}

export const scaleFor = (form: LegForm): Scale => {
  const perMm = 340 / -form.sole;
  return { perMm, y: (level) => kneecapY - level * perMm };
};

/** A band round the limb at a level: its near edge, bowed as seen slightly from above. */
export function bandPath(
  scale: Scale,
  view: View,
  left: number,
  right: number,
  level: number,
  thickness: number,
): string {
  const [x0, x1] = [view.axis + left * scale.perMm, view.axis + right * scale.perMm];
  const y = scale.y(level);
  const bow = 7;
  return `M${x0} ${y - thickness / 2}Q${(x0 + x1) / 2} ${y + bow - thickness / 2} ${x1} ${y - thickness / 2}L${x1} ${y + thickness / 2}Q${(x0 + x1) / 2} ${y + bow + thickness / 2} ${x0} ${y + thickness / 2}Z`;
}

/** The skin's edges at a level as x offsets in each view, smaller first. */
export function edgesAt(form: LegForm, level: number, front: View, outer: View) {
  const { medial, lateral, front: fore, back } = form.edges(level);
  const sorted = (a: number, b: number): [number, number] => (a < b ? [a, b] : [b, a]);
  return {
    front: sorted(medial * front.facing, -lateral * front.facing),
    outer: sorted(fore * outer.facing, -back * outer.facing),
  };
}

/**
 * Where the upright runs in the outer view, in front of the leg's axis: straight from the midline of the
 * thigh to the hinge, and from there to the midline of the shin.
 */
export function uprightOffset(form: LegForm, level: number, behind: number): number {
  const midline = (at: number) => {
    const { front, back } = form.edges(at);
    return (front - back) / 2;
  };
  const hinge = levelOf('kneecap-upper-edge', form.stature);
  const end = form.scaled(level > hinge ? 178 : -172);
  const share = Math.min(1, Math.abs((level - hinge) / (end - hinge)));
  return midline(hinge) - behind + share * (midline(end) - midline(hinge) + behind);
}
