import { compartmentOf } from '../../order';
import { finding, type FindingRule } from '../finding';

/** Which compartment a correction is to unload: order and injury disagree, or neither says. */
export const compartment: FindingRule = ({ state: { order, programme } }) => {
  const unloads = programme.settings.some(
    (setting) =>
      setting.kind === 'correction' &&
      Object.values(setting.ways ?? {}).some(
        (way) => way === 'relieves-medial' || way === 'relieves-lateral',
      ),
  );
  const of = compartmentOf(order?.order);
  return order && unloads && 'asks' in of
    ? [
        finding('compartment-asked', 'screen', {
          about: of.asks,
          level: 'today',
          entries: [order.entry],
          mayBeOverridden: false,
        }),
      ]
    : [];
};
