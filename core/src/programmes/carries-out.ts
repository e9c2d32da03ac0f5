import { signedAngle, type JointPlane } from '../anatomy';
import type { Order } from '../order';
import type { BraceModel } from './model';
import type { Programme } from './programme';

/** The motion that the order limits for this family, if any: its joint's in the sagittal plane. */
export const limitedMotion = ({ joint }: Pick<Programme, 'joint'>): JointPlane | undefined =>
  joint && { joint, plane: 'sagittal' };

/**
 * What an order asks for and this brace cannot do, each by a name: it is acknowledged when the order is taken and told to
 * the prescriber, never dropped. How much weight the leg bears is the patient's own to keep, no brace's.
 * @returns names such as `motion-shoulder-frontal`, `lock-knee-flexion-20`, `panels-side`
 */
export function notCarriedOut(order: Order, programme: Programme, model: BraceModel): string[] {
  const does = programme.ordered ?? [];
  const limited = limitedMotion(programme);
  const isLimited = ({ joint, plane }: JointPlane) =>
    does.includes('motion') && joint === limited?.joint && plane === limited.plane;
  /** a joint that is put at an angle keeps one that is locked or may not come nearer to neutral */
  const holds = (joint: JointPlane['joint']) =>
    programme.settings.some((setting) => setting.kind === 'angle' && setting.joint === joint);
  const { chart, hinge } = model;
  const { phases, angles = [], relieve, height, panels = [], posture, roll } = order;
  /** what the order says as a whole, or in one of its phases */
  const said = <T>(whole: T | undefined, of: (phase: Order['phases'][number]) => T | undefined): T[] =>
    [whole, ...phases.map(of)].filter((one) => one !== undefined);
  const names = [
    ...phases.flatMap(({ limits }) =>
      limits
        .filter(
          (limit) =>
            !isLimited(limit) &&
            !(holds(limit.joint) && limit.plane === 'sagittal' && limit.from !== undefined),
        )
        .map(({ joint, plane }) => `motion-${joint}-${plane}`),
    ),
    ...phases.flatMap(({ locks = [] }) =>
      locks
        .filter(
          ({ joint, at }) =>
            !holds(joint) &&
            (!programme.settings.some((setting) => setting.kind === 'lock' && setting.joint === joint) ||
              !hinge?.lock?.includes(signedAngle({ joint, plane: 'sagittal' }, at))),
        )
        .map(({ joint, at }) => `lock-${joint}-${at.toward}-${at.degrees}`),
    ),
    ...angles
      .filter(({ joint, plane }) => plane !== 'sagittal' || !holds(joint))
      .map(({ joint, plane }) => `angle-${joint}-${plane}`),
    ...(relieve === undefined || does.includes('relieve') ? [] : [`relieve-${relieve}`]),
    ...said(height, (phase) => phase.height)
      .filter((one) => !chart.heights?.some((known) => known.height === one))
      .map((one) => `height-${one}`),
    ...(does.includes('panels')
      ? []
      : [...panels, ...phases.flatMap((phase) => phase.panels ?? [])].map((panel) => `panels-${panel}`)),
    ...(does.includes('posture')
      ? []
      : said(posture, (phase) => phase.posture).map((one) => `posture-${one}`)),
    ...(roll === undefined || does.includes('roll') ? [] : [`roll-${roll}`]),
  ];
  return [...new Set(names)].sort();
}
