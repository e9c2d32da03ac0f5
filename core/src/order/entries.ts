import { array } from 'yup';
import { endsOf, joints, motionEnds, planes, type JointPlane, type MotionEnd } from '../anatomy';
import { body, day, finite, kind, name, oneOf, side, text, whole, yes, type CaseAtHand } from '../record';
import { limitsOf, lockMoments, type MotionWindow } from './limits';
import { orderChanges } from './replan';
import { compartments, heightNames, orderedPostures, panelNames, troubles, weightBearing } from './order';

const limit = () => finite().min(-30).max(180);
const toward = () => oneOf(...motionEnds).required();
/** 0 and no end: the end is there for every other angle, and one of that joint's in that plane. */
const angle = () => body({ toward: toward(), degrees: finite().min(0).max(180).required() });
const optional = <S extends ReturnType<typeof angle>>(schema: S) => schema.default(undefined).optional();
const motion = { joint: oneOf(...joints).required(), plane: oneOf(...planes).required() };
/** What is no angle at all is a fault of its own: a rule over several fields meets bodies that are not sound. */
const endsFit = (of: JointPlane, ...angles: ({ toward: MotionEnd } | null | undefined)[]): boolean =>
  angles.every((one) => !one || endsOf(of).includes(one.toward));
const foreignEnd = ['ends', 'must name its ends as this joint has them in this plane'] as const;

const phase = () =>
  body({
    fromDay: whole().min(0).max(3650).required(),
    lastDay: whole().min(0).max(3650),
    limits: array()
      .of(
        body({ ...motion, from: optional(angle()), to: optional(angle()) }).test(
          ...foreignEnd,
          ({ from, to, ...of }) => endsFit(of, from, to),
        ),
      )
      .max(15)
      .strict()
      .required(),
    locks: array()
      .of(
        body({ joint: motion.joint, at: angle(), when: oneOf(...lockMoments).required() }).test(
          ...foreignEnd,
          ({ joint, at }) => endsFit({ joint, plane: 'sagittal' }, at),
        ),
      )
      .max(6)
      .strict(),
    weight: oneOf(...weightBearing),
    unsaid: body({ extension: limit(), flexion: limit() }).default(undefined).optional(),
  });

const orderBody = body({
  diagnosis: text(400).min(1).required(),
  /** beside the words: what lists, sides and cautions go by; left out where nobody coded it */
  injuries: array()
    .of(body({ code: name().required(), side: oneOf('left', 'right'), note: text(120) }))
    .max(20)
    .strict(),
  prescriber: text(120).min(1).required(),
  side: side().required(),
  dayZero: day().required(),
  until: day(),
  phases: array().of(phase()).min(1).max(20).strict().required(),
  relieve: oneOf(...compartments),
  angles: array()
    .of(body({ ...motion, at: angle() }).test(...foreignEnd, ({ at, ...of }) => endsFit(of, at)))
    .max(10)
    .strict(),
  /** for a brace that comes in more than one height */
  height: oneOf(...heightNames),
  panels: array()
    .of(oneOf(...panelNames).required())
    .max(panelNames.length)
    .strict(),
  posture: oneOf(...orderedPostures),
  roll: oneOf('left', 'right'),
  protective: yes().required(),
  wearing: text(400).min(1).required(),
  trouble: oneOf(...troubles).required(),
  /** of what was ordered, what this brace cannot carry out: seen, and told to the prescriber */
  acknowledged: array().of(name().required()).max(60).strict(),
});

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
  v: 3,
  upcasters: [limitsByJoint, (withoutLastDays: object) => withoutLastDays],
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
