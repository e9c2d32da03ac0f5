import { signedAngle, type JointPlane } from '@estribo/core/anatomy';
import { windowOf, type OrderPhase } from '@estribo/core/order';
import { named, t } from '../messages';
import { formatAngle, formatWindow } from '../parts/format';

/**
 * A phase of an order in words: each limited motion, the lock with its when, weight bearing.
 * @param usual the motion that this family's order limits: its joint is not named again
 */
export function formatPhase(
  { limits, locks = [], weight }: Pick<OrderPhase, 'limits' | 'locks' | 'weight'>,
  usual: JointPlane | undefined,
): string {
  const isUsual = ({ joint, plane }: JointPlane) => joint === usual?.joint && plane === usual.plane;
  const said = [
    ...(limits.some(isUsual) || limits.length > 0 || !usual ? [] : [formatWindow({}, usual)]),
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
        joint: named('joints', joint).toLowerCase(),
        angle: formatAngle({ joint, plane: 'sagittal' }, signedAngle({ joint, plane: 'sagittal' }, at)),
        when: named('lockWhen', when),
      }),
    ),
    ...(weight ? [t('order.weightOf', { weight: named('weightBearing', weight) })] : []),
  ];
  return said.join('; ');
}
