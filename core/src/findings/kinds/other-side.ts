import { finding, type FindingRule } from '../finding';

/** The order, or the brace as it was looked at, is for the other side. */
export const otherSide: FindingRule = ({ state }) => {
  const { order, side, setting } = state;
  const common = {
    level: 'today',
    withholds: ['signature', 'plan', 'teach-back'],
    mayBeOverridden: false,
  } as const;
  const isOther = order !== undefined && order.order.side !== side;
  return [
    ...(isOther
      ? [
          finding('order-for-other-side', 'screen', {
            ...common,
            withholds: [...common.withholds],
            entries: [order.entry],
          }),
        ]
      : []),
    ...setting.made.flatMap(({ setting: one, made }) =>
      one.kind === 'fitted' && one.tellsSide && made?.fitted === false
        ? [
            finding('brace-for-other-side', 'set', {
              ...common,
              withholds: [...common.withholds],
              about: one.id,
              thing: one.id,
              entries: [made.entry],
            }),
          ]
        : [],
    ),
  ];
};
