/* Where things of the leg come to lie in the drawing. */
import { landmarkLevel, type LegForm, type Point } from '@estribo/core/anatomy';
import type { PlacedView } from '@estribo/core/drawing';

/** One of the two views. */
export interface View {
  /** where the leg's axis stands in the drawing */
  axis: number;
  facing: 1 | -1;
}

/** A leg in both its views, with its form. */
export interface LegOn {
  form: LegForm;
  front: View;
  outer: View;
  perMm: number;
  y: (level: number) => number;
}

/** @returns undefined unless both views of a leg are shown */
export function legOn(form: LegForm, views: readonly PlacedView[]): LegOn | undefined {
  const [front, outer] = [
    views.find(({ view }) => view.id === 'front'),
    views.find(({ view }) => view.id === 'outer'),
  ];
  if (!front || !outer) return undefined;
  // a right leg's medial side, and its toes seen from outside, lie to the viewer's right
  const medial = front.view.letters.find(({ text }) => text === 'M')?.at[0] ?? 1;
  const facing = medial > 0 ? 1 : -1;
  return {
    form,
    front: { axis: front.project([0, 0])[0], facing },
    outer: { axis: outer.project([0, 0])[0], facing },
    perMm: front.perMm,
    y: (level) => front.project([0, level])[1],
  };
}

export const kneecapTop = ({ build }: LegForm): number => landmarkLevel('leg', 'kneecap-upper-edge', build)!;

/** A band round the limb at a level: its near edge, bowed as seen slightly from above. */
export function bandPath(
  scale: Pick<LegOn, 'perMm' | 'y'>,
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

/** A band as lines across it from its upper edge to its lower one, near enough together to leave no room for a text. */
export function bandEdges(
  scale: Pick<LegOn, 'perMm' | 'y'>,
  view: View,
  left: number,
  right: number,
  level: number,
  thickness: number,
): (readonly Point[])[] {
  const [x0, x1] = [view.axis + left * scale.perMm, view.axis + right * scale.perMm];
  const y = scale.y(level);
  return Array.from({ length: Math.ceil(thickness / 10) + 1 }, (_, i) => {
    const at = y - thickness / 2 + (i / Math.ceil(thickness / 10)) * thickness;
    return [
      [x0, at],
      [(x0 + x1) / 2, at + 3.5],
      [x1, at],
    ] as const;
  });
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
  const hinge = kneecapTop(form);
  const end = form.scaled(level > hinge ? 178 : -172);
  const share = Math.min(1, Math.abs((level - hinge) / (end - hinge)));
  return midline(hinge) - behind + share * (midline(end) - midline(hinge) + behind);
}
