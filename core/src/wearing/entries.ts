import { body, day, finite, oneOf, text, whole, kind } from '../record';

const minutes = () => finite().min(0).max(1440);

export const wearPlanned = kind('wear.planned', {
  nature: 'intent',
  stages: ['wear', 'review'],
  permission: 'wearing.write',
  body: body({
    kind: oneOf('as-ordered', 'growing').required(),
    from: day().required(),
    wearing: text(400),
    firstDay: minutes(),
    grow: minutes(),
    everyDays: whole().min(1).max(60),
    ceiling: minutes(),
  }).test(
    'whole-plan',
    'a growing plan gives firstDay, grow, everyDays and ceiling; one as ordered gives wearing',
    (plan) =>
      plan.kind === 'as-ordered'
        ? plan.wearing !== undefined
        : [plan.firstDay, plan.grow, plan.everyDays, plan.ceiling].every((value) => value !== undefined),
  ),
});

export const wearTaught = kind('wear.taught', {
  nature: 'fact',
  stages: ['wear'],
  permission: 'wearing.write',
  body: body({ who: oneOf('patient', 'carer').required(), note: text(400) }),
});
