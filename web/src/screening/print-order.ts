import { signedAngle, type JointPlane } from '@estribo/core/anatomy';
import { phaseInForce, windowOf, type Order, type OrderPhase } from '@estribo/core/order';
import { named, t } from '../messages';
import { formatAngle, formatWindow } from '../parts/format';

/**
 * A phase of an order in words: each angle that a joint is held at, each limited motion, the lock with its when, weight
 * bearing.
 * @param usual the motion that this family's order limits: its joint is not named again
 */
export function formatPhase(
  { angles = [] }: Pick<Order, 'angles'>,
  {
    limits,
    locks = [],
    weight,
    height,
    panels,
    posture,
  }: Pick<OrderPhase, 'limits' | 'locks' | 'weight' | 'height' | 'panels' | 'posture'>,
  usual: JointPlane | undefined,
): string {
  const isUsual = ({ joint, plane }: JointPlane) => joint === usual?.joint && plane === usual.plane;
  // a joint that is locked always has no motion that is free
  const isFree = limits.length === 0 && angles.length === 0 && !locks.some(({ when }) => when === 'always');
  const said = [
    ...(isFree && usual ? [formatWindow({}, usual)] : []),
    ...angles.map((one) => {
      const held = t('order.heldAt', { angle: formatAngle(one, signedAngle(one, one.at)) });
      return isUsual(one) ? held : t('order.limitOf', { motion: named('joints', one.joint), window: held });
    }),
    ...limits.map((limit) => {
      const window = formatWindow(windowOf(limits, limit), limit);
      return isUsual(limit)
        ? window
        : t('order.limitOf', {
            motion: t('order.motionOf', {
              joint: named('joints', limit.joint),
              plane: named('planes', limit.plane),
            }),
            window,
          });
    }),
    ...locks.map(({ joint, at, when }) =>
      t('order.lockedAt', {
        joint: named('jointInside', joint),
        angle: formatAngle({ joint, plane: 'sagittal' }, signedAngle({ joint, plane: 'sagittal' }, at)),
        when: named('lockWhen', when),
      }),
    ),
    ...(weight ? [t('order.weightOf', { weight: named('weightBearing', weight) })] : []),
    ...(height ? [named('heights', height)] : []),
    ...(panels ? [`${t('order.panels')}: ${panels.map((one) => named('panelNames', one)).join(', ')}`] : []),
    ...(posture ? [named('orderedValue', posture)] : []),
  ];
  return said.join('; ');
}

/**
 * What an order limits on a day, in words: every held angle, every limited motion, and the lock.
 * @param usual the motion that this family's order limits
 * @returns nothing where the order limits nothing that the family asks for
 */
export function formatInForce(order: Order, day: string, usual: JointPlane | undefined): string {
  const now = phaseInForce(order, day);
  if (!now) return '';
  const { limits, locks } = now.phase;
  return formatPhase(order, { limits, locks }, usual);
}
