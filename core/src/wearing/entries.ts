import { rule } from '../faults';
import { array } from 'yup';
import { body, day, finite, oneOf, text, whole, kind } from '../record';
import { wornRuleProblems, type WornRule } from './worn';

const minutes = () => finite().min(0).max(1440);

export const wearPlanned = {
  ...kind('wear.planned', {
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
      /** a break after so long, of so long */
      breakAfter: minutes().min(1),
      breakFor: minutes().min(1),
      /** it does not grow before this day */
      holdUntil: day(),
      /** made anew by the clinic's own rule, because of this */
      because: array()
        .of(oneOf('skin', 'pain', 'missed').required())
        .min(1)
        .max(3)
        .strict(),
    }).test(...rule('whole-plan'), (plan) =>
      plan.kind === 'as-ordered'
        ? plan.wearing !== undefined
        : [plan.firstDay, plan.grow, plan.everyDays, plan.ceiling].every((value) => value !== undefined),
    ),
  }),
  v: 2,
  upcasters: [(withoutHold: object) => withoutHold],
};

/** How putting it on was done by whom it was taught to. */
export const taughtHow = ['by-oneself', 'helped', 'not-yet'] as const;
export type TaughtHow = (typeof taughtHow)[number];

export const wearTaught = {
  ...kind('wear.taught', {
    nature: 'fact',
    stages: ['wear'],
    permission: 'wearing.write',
    body: body({
      who: oneOf('patient', 'carer').required(),
      /** absent: it was done, and nobody noted how */
      how: oneOf(...taughtHow),
      note: text(400),
    }),
  }),
  v: 2,
  upcasters: [(withoutHow: object) => withoutHow],
};

/** What the patient told of one day in the brace. */
export const wearTold = kind('wear.told', {
  nature: 'fact',
  stages: ['wear', 'review'],
  permission: 'wearing.write',
  body: body({
    day: day().required(),
    minutes: minutes().required(),
    skin: oneOf('clear', 'red-stays').required(),
    pain: oneOf('none', 'some').required(),
    note: text(400),
  }),
});

/** Hours worn by day, as they were read from a logged temperature. */
export const wearRead = kind('wear.read', {
  nature: 'fact',
  stages: ['wear', 'review'],
  permission: 'wearing.write',
  body: body({
    from: oneOf('file', 'sensor').required(),
    /** how the temperature was read */
    rule: body({
      on: finite().min(15).max(45).required(),
      off: finite().min(10).max(44).required(),
      tooHot: finite().min(20).max(80).required(),
      gap: finite().min(1).max(240).required(),
    }).test(...rule('worn-rule'), (read) => {
      const { on, off, tooHot, gap } = read as WornRule;
      return wornRuleProblems({ on, off, tooHot, gap }).length === 0;
    }),
    days: array()
      .of(
        body({
          day: day().required(),
          // a day in which the clocks go back has 25 hours
          worn: finite().min(0).max(1500).required(),
          unknown: finite().min(0).max(1500).required(),
        }),
      )
      .min(1)
      .max(400)
      .strict()
      .required()
      .test(...rule('days-rise'), (days) =>
        (days ?? []).every(({ day: one }, i) => i === 0 || one > days![i - 1]!.day),
      ),
  }),
});

/** The letter to the prescriber was sent. */
export const letterSent = kind('letter.sent', {
  nature: 'fact',
  stages: ['wear', 'review'],
  permission: 'wearing.write',
  body: body({
    to: text(120).min(1).required(),
    how: oneOf('post', 'message', 'by-hand').required(),
  }),
});
