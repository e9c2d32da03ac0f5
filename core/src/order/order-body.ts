import { rule } from '../faults';
import { array, type InferType } from 'yup';
import { endsOf, joints, motionEnds, planes, type JointPlane, type MotionEnd } from '../anatomy';
import { body, day, finite, name, oneOf, side, text, whole, yes } from '../record';

/*
 * What an order says, as the schema that checks it: its types are taken from it, so that shape and type cannot differ.
 */

export const lockMoments = ['always', 'walking', 'sleeping'] as const;
export const weightBearing = ['none', 'touch', 'partial', 'as-tolerated', 'full'] as const;
/** The heights a size may come in. Which one is ordered, never computed. */
export const heightNames = ['short', 'tall', 'low', 'high'] as const;
export type HeightName = (typeof heightNames)[number];
export const panelNames = ['low', 'tall', 'side', 'front'] as const;
export const orderedPostures = ['lying', 'seated'] as const;
export const compartments = ['medial', 'lateral'] as const;
/** What the patient does when trouble comes at home. The order carries it. */
export const troubles = ['keep-on', 'take-off', 'loosen'] as const;
export type Trouble = (typeof troubles)[number];

const panels = () =>
  array()
    .of(oneOf(...panelNames).required())
    .max(panelNames.length)
    .strict();
const limit = () => finite().min(-30).max(180);
const toward = () => oneOf(...motionEnds).required();
/** 0 and no end: the end is there for every other angle, and one of that joint's in that plane. */
const angle = () => body({ toward: toward(), degrees: finite().min(0).max(180).required() });
const optional = <S extends ReturnType<typeof angle>>(schema: S) => schema.default(undefined).optional();
/** A joint's motion in one plane. */
const motion = { joint: oneOf(...joints).required(), plane: oneOf(...planes).required() };
/** What is no angle at all is a fault of its own: a rule over several fields meets bodies that are not sound. */
const endsFit = (of: JointPlane, ...angles: ({ toward: MotionEnd } | null | undefined)[]): boolean =>
  angles.every((one) => !one || endsOf(of).includes(one.toward));
const foreignEnd = rule('ends-of-joint');

const motionLimit = body({ ...motion, from: optional(angle()), to: optional(angle()) }).test(
  ...foreignEnd,
  ({ from, to, ...of }) => endsFit(of, from, to),
);
/** An ordered limit as it stands in the order: each end by its name. */
export type MotionLimit = InferType<typeof motionLimit>;

const orderedLock = body({ joint: motion.joint, at: angle(), when: oneOf(...lockMoments).required() }).test(
  ...foreignEnd,
  ({ joint, at }) => endsFit({ joint, plane: 'sagittal' }, at),
);
/** A joint ordered to stand still at an angle, and when. */
export type OrderedLock = InferType<typeof orderedLock>;

const phase = body({
  /** days after day zero on which the phase begins */
  fromDay: whole().min(0).max(3650).required(),
  /** the last day after day zero for which it was ordered; the next phase may begin later, then it stays in force */
  lastDay: whole().min(0).max(3650),
  limits: array().of(motionLimit).max(15).strict().required(),
  locks: array().of(orderedLock).max(6).strict(),
  weight: oneOf(...weightBearing),
  /** what of the brace is another in this phase than in the order as a whole: it is stepped down, or put on another way */
  height: oneOf(...heightNames),
  panels: panels(),
  posture: oneOf(...orderedPostures),
  /** limits of an order written before it named their joint, where nobody can say of which they are: to be asked again */
  unsaid: body({ extension: limit(), flexion: limit() }).default(undefined).optional(),
});
export type OrderPhase = InferType<typeof phase>;

/** A level, a ligament stand in its note. */
const injury = body({ code: name().required(), side: oneOf('left', 'right'), note: text(120) });
/** An injury as the order names it. */
export type Injury = InferType<typeof injury>;

const orderedAngle = body({ ...motion, at: angle() }).test(...foreignEnd, ({ at, ...of }) => endsFit(of, at));
/** An angle that a joint is to be held at. */
export type OrderedAngle = InferType<typeof orderedAngle>;

export const orderBody = body({
  diagnosis: text(400).min(1).required(),
  /** beside the words: what lists, sides and cautions go by; left out where nobody coded it */
  injuries: array().of(injury).max(20).strict(),
  prescriber: text(120).min(1).required(),
  side: side().required(),
  dayZero: day().required(),
  /** the last day it holds; open where it says nothing */
  until: day(),
  phases: array().of(phase).min(1).max(20).strict().required(),
  /** the compartment of the knee that is to be relieved */
  relieve: oneOf(...compartments),
  angles: array().of(orderedAngle).max(10).strict(),
  /** for a brace that comes in more than one height */
  height: oneOf(...heightNames),
  panels: panels(),
  /** how the patient is put into it */
  posture: oneOf(...orderedPostures),
  /** over which side the patient is rolled */
  roll: oneOf('left', 'right'),
  /** after an operation, a fracture, for instability: wearing is never shortened by itself */
  protective: yes().required(),
  /** how it is to be worn, in the prescriber's words */
  wearing: text(400).min(1).required(),
  trouble: oneOf(...troubles).required(),
  /** the text its phases were read from, as it stood */
  source: text(4000),
  /** it was told by telephone, and read back to the prescriber */
  readBack: yes(),
  /** of what was ordered, what this brace cannot carry out: seen, and told to the prescriber */
  acknowledged: array().of(name().required()).max(60).strict(),
});
export type Order = InferType<typeof orderBody>;
