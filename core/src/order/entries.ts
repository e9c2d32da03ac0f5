import { body, day, kind, oneOf, text, type CaseAtHand } from '../record';
import { limitsOf, type MotionWindow } from './limits';
import { orderBody } from './order-body';
import { orderChanges } from './replan';

/** An order as it was before it named its joints: limits with a bare sign. */
interface UnnamedOrder {
  phases: { fromDay: number; window: MotionWindow }[];
}

/** Limits get the joint of the case they were ordered in; where that has none they are kept aside, to be asked again. */
const limitsByJoint = ({ phases, ...rest }: UnnamedOrder, { joint }: CaseAtHand) => ({
  ...rest,
  phases: phases.map(({ fromDay, window }) => ({
    fromDay,
    limits: joint ? limitsOf({ joint, plane: 'sagittal' }, window) : [],
    ...(joint || Object.keys(window).length === 0 ? {} : { unsaid: window }),
  })),
});

export const orderGiven = {
  ...kind('order.given', {
    nature: 'intent',
    stages: ['screen', 'review'],
    permission: 'order.write',
    body: orderBody,
  }),
  v: 4,
  upcasters: [
    limitsByJoint,
    (withoutLastDays: object) => withoutLastDays,
    (withoutHeightsByPhase: object) => withoutHeightsByPhase,
  ],
};

/** The days of an order are others since it was given: held, resumed, or counted from another day zero. */
export const orderChanged = kind('order.changed', {
  nature: 'intent',
  stages: ['screen', 'set', 'review'],
  permission: 'order.write',
  body: body({
    what: oneOf(...orderChanges).required(),
    day: day().required(),
    /** who told it */
    prescriber: text(120).min(1).required(),
    reason: text(400).min(3).required(),
  }),
});
