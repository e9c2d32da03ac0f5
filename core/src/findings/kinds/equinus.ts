import { isAskedFor } from '../../order';
import { wantedOn } from '../../setting';
import { finding, type FindingRule } from '../finding';

/** An angle that may not be assumed and is not ordered; more pieces than the brace takes for the one that is. */
export const equinus: FindingRule = ({ state, day }) => {
  const { order, setting } = state;
  if (!order) return [];
  return setting.made.flatMap(({ setting: one }) => {
    const wanted = wantedOn(one, state, day);
    const asksWith =
      one.kind === 'angle' ? one.asksWith : one.kind === 'pieces' ? one.wedge?.asksWith : undefined;
    const common = { about: one.id, entries: [order.entry], mayBeOverridden: false };
    if (one.kind === 'angle' && wanted === undefined && isAskedFor(asksWith, order.order))
      return [
        finding('angle-not-ordered', 'screen', {
          ...common,
          level: 'today',
          withholds: ['signature', 'plan'],
        }),
      ];
    return one.kind === 'pieces' && wanted !== undefined && wanted !== 'open' && wanted.from > one.most
      ? [
          finding('not-possible', 'set', {
            ...common,
            level: 'today',
            thing: one.id,
            left: wanted.from,
            withholds: ['donning', 'signature', 'plan', 'teach-back'],
          }),
        ]
      : [];
  });
};
