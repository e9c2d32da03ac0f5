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
  const { chart, hinge } = model;
  const { phases, angles = [], relieve, height, panels = [], posture, roll } = order;
  const names = [
    ...phases.flatMap(({ limits }) =>
      limits.filter((limit) => !isLimited(limit)).map(({ joint, plane }) => `motion-${joint}-${plane}`),
    ),
    ...phases.flatMap(({ locks = [] }) =>
      locks
        .filter(
          ({ joint, at }) =>
            !programme.settings.some((setting) => setting.kind === 'lock' && setting.joint === joint) ||
            !hinge?.lock?.includes(signedAngle({ joint, plane: 'sagittal' }, at)),
        )
        .map(({ joint, at }) => `lock-${joint}-${at.toward}-${at.degrees}`),
    ),
    ...angles
      .filter(
        ({ joint, plane }) =>
          plane !== 'sagittal' ||
          !programme.settings.some((setting) => setting.kind === 'angle' && setting.joint === joint),
      )
      .map(({ joint, plane }) => `angle-${joint}-${plane}`),
    ...(relieve === undefined || does.includes('relieve') ? [] : [`relieve-${relieve}`]),
    ...(height === undefined || chart.heights?.some((one) => one.height === height)
      ? []
      : [`height-${height}`]),
    ...(does.includes('panels') ? [] : panels.map((panel) => `panels-${panel}`)),
    ...(posture === undefined || does.includes('posture') ? [] : [`posture-${posture}`]),
    ...(roll === undefined || does.includes('roll') ? [] : [`roll-${roll}`]),
  ];
  return [...new Set(names)].sort();
}
