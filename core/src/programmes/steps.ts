import type { Landmark } from '../anatomy';
import type { Condition, Stance } from '../brace';
import type {
  GirthStep,
  LengthStep,
  MotionStep,
  PostureStep,
  ProtocolStep,
  ReadingStep,
  WidthStep,
} from '../measuring';
import type { Finding } from '../screening';

/*
 * What families of one region share. Tolerances, deviations and what a reading usually is are estimates, no
 * source, until the clinic has its own.
 */

type Extra<S> = Partial<Omit<S, 'kind' | 'id'>>;

/** The leg may be loaded, as far as anybody has said: no weight and a touch alone are no standing and no walking. */
export const mayLoad: Condition = {
  kind: 'not',
  of: {
    kind: 'any',
    of: [
      { kind: 'ordered', what: 'weight', is: 'none' },
      { kind: 'ordered', what: 'weight', is: 'touch' },
    ],
  },
};

/** A girth with the tape. */
export const girth = (
  id: string,
  from: Landmark,
  distance: number | 'model',
  plausible: [number, number],
  more: Extra<GirthStep> = {},
): ProtocolStep => ({
  kind: 'girth',
  id,
  from,
  tolerance: 5,
  withinPerson: 2.5,
  shared: 3,
  plausible,
  ...more,
  distance,
});

/** A length with the tape along the body, straight along a limb, or plumb. */
export const length = (
  kind: LengthStep['kind'],
  id: string,
  from: Landmark,
  to: Landmark,
  plausible: [number, number],
  more: Extra<LengthStep> = {},
): ProtocolStep => ({
  kind,
  id,
  from,
  to,
  tolerance: 8,
  withinPerson: 4,
  shared: 5,
  plausible,
  ...more,
});

/** A width with the calliper. */
export const width = (
  id: string,
  at: Landmark,
  across: WidthStep['across'],
  plausible: [number, number],
  more: Extra<WidthStep> = {},
): ProtocolStep => ({
  kind: 'width',
  id,
  at,
  across,
  tolerance: 3,
  withinPerson: 1.2,
  shared: 1.5,
  plausible,
  ...more,
});

/** A landmark felt and marked. */
export const mark = (landmark: Landmark): ProtocolStep => ({ kind: 'mark', id: landmark, landmark });

export const motion = (
  id: string,
  joint: MotionStep['joint'],
  plane: MotionStep['plane'],
  modes: MotionStep['modes'],
  more: Extra<MotionStep> = { optional: true },
): ProtocolStep => ({ kind: 'motion', id, joint, plane, modes, ...more });

const posture = (
  id: string,
  joint: PostureStep['joint'],
  target: PostureStep['target'],
  tolerance = 5,
): ProtocolStep => ({
  kind: 'posture',
  id,
  joint,
  ...(target === undefined ? {} : { target }),
  tolerance,
});

/** The knee at an angle; without one it is noted: the kneecap moves with it. */
export const kneePosture = (target?: number) => posture('knee-posture', 'knee', target);
/** The ankle at the angle that is ordered. */
export const anklePosture = posture('ankle-posture', 'ankle', 'as-ordered');
export const elbowPosture = (target: number) => posture('elbow-posture', 'elbow', target, 10);

/** How the patient stands, sits or lies: named by the family, with what is as right; else noted. */
export const stance = (named?: Stance, others?: Stance[]): ProtocolStep => ({
  kind: 'stance',
  id: named ?? 'stance',
  ...(named ? { stance: named } : {}),
  ...(others ? { others } : {}),
});

/** What the family's practice does not name: a model's own, read where its chart asks for it. */
export const modelsOwn = <S extends ProtocolStep>(step: S): S => ({
  ...step,
  optional: true,
  modelsOwn: true,
});

const otherLeg: ReadingStep['substitute'] = { how: 'other-side', shared: 9 };

/** Girths above and below the middle of the kneecap at the family's distances. */
export const kneeGirths = (above: number | 'model', below: number | 'model'): ProtocolStep[] => [
  girth('girth-above', 'mid-kneecap', above, [250, 950], { ofStature: 0.279, substitute: otherLeg }),
  girth('girth-below', 'mid-kneecap', below, [180, 650], { ofStature: 0.216, substitute: otherLeg }),
];

/** The same where the family names none: whether and how far from the mark they are read is the model's own. */
export const modelsKneeGirths: ProtocolStep[] = kneeGirths('model', 'model').map(modelsOwn);

/** Over dressing and swelling: the size may change when they go. */
export const overDressing: ReadingStep['substitute'] = { how: 'over-dressing', shared: 10 };

/** The calf as a sign: 10 cm below the tuberosity on both legs. */
export const calfSign: ProtocolStep = girth('calf-sign', 'tibial-tuberosity', -100, [180, 650], {
  optional: true,
  ofStature: 0.216,
});

/*
 * What qualifies a fitting by region. The danger signs are asked in every family, and stand with the findings.
 * Common practice, no source.
 */
const ofTheSkin: Finding[] = [
  'wound-or-rash-under-brace',
  'allergy-to-material',
  'swelling-expected-to-fall',
];
const ofTheBody: Finding[] = ['neuropathy', 'arterial-disease', 'diabetes', 'pregnancy', 'fragile-skin'];

export const legFindings: Finding[] = [...ofTheSkin, 'not-weight-bearing', ...ofTheBody];
/** Panels, belts, straps round the abdomen and a collar's front opening lie where a stoma may be. */
const aboveTheLegs: Finding[] = [...ofTheSkin, 'stoma', ...ofTheBody];
export const trunkFindings = aboveTheLegs;
export const neckFindings = aboveTheLegs;
export const armFindings = aboveTheLegs;
