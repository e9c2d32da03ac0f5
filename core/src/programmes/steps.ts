import type { Landmark } from '../anatomy';
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
 * What families of one region share. Tolerances, deviations and what a reading usually is are estimates
 * until the clinic has its own (common practice, no source).
 */

type Extra<S> = Partial<Omit<S, 'kind' | 'id'>>;

/** A girth with the tape. */
export const girth = (
  id: string,
  from: Landmark,
  distance: number | 'model',
  plausible: readonly [number, number],
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
  plausible: readonly [number, number],
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
  plausible: readonly [number, number],
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
  optional = true,
): ProtocolStep => ({ kind: 'motion', id, joint, plane, modes, ...(optional ? { optional } : {}) });

const posture = (id: string, joint: PostureStep['joint'], target: number, tolerance = 5): ProtocolStep => ({
  kind: 'posture',
  id,
  joint,
  target,
  tolerance,
});

export const kneePosture = (target: number) => posture('knee-posture', 'knee', target);
export const anklePosture = (target: number) => posture('ankle-posture', 'ankle', target);
export const elbowPosture = (target: number) => posture('elbow-posture', 'elbow', target, 10);

const otherLeg: ReadingStep['substitute'] = { how: 'other-side', shared: 9 };

/** Girths above and below the middle of the kneecap, at the model's own distances or the family's. */
export const kneeGirths = (above: number | 'model', below: number | 'model'): ProtocolStep[] => [
  girth('girth-above', 'mid-kneecap', above, [250, 950], { ofStature: 0.279, substitute: otherLeg }),
  girth('girth-below', 'mid-kneecap', below, [180, 650], { ofStature: 0.216, substitute: otherLeg }),
];

/** Over dressing and swelling: the size may change when they go. */
export const overDressing: ReadingStep['substitute'] = { how: 'over-dressing', shared: 10 };

/** The calf as a sign: 10 cm below the tuberosity on both legs. */
export const calfSign: ProtocolStep = girth('calf-sign', 'tibial-tuberosity', -100, [180, 650], {
  optional: true,
  ofStature: 0.216,
});

const blocking: Finding[] = ['pain-out-of-proportion', 'new-weakness-or-numbness', 'infected-wound'];
const general: Finding[] = ['wound-or-rash-under-brace', 'allergy-to-material'];
const ofTheBody: Finding[] = ['neuropathy', 'arterial-disease', 'diabetes', 'pregnancy', 'fragile-skin'];

export const legFindings: Finding[] = [
  'calf-swollen',
  ...blocking,
  'cold-or-blue-toes',
  ...general,
  'swelling-expected-to-fall',
  'not-weight-bearing',
  ...ofTheBody,
];
export const trunkFindings: Finding[] = [
  ...blocking,
  'trouble-breathing-or-swallowing',
  ...general,
  'swelling-expected-to-fall',
  'stoma',
  'neuropathy',
  'diabetes',
  'pregnancy',
  'fragile-skin',
];
export const neckFindings: Finding[] = [
  'new-weakness-or-numbness',
  'trouble-breathing-or-swallowing',
  'infected-wound',
  ...general,
  'swelling-expected-to-fall',
  'fragile-skin',
];
export const armFindings: Finding[] = [
  ...blocking,
  'cold-or-blue-fingers',
  ...general,
  'swelling-expected-to-fall',
  'neuropathy',
  'arterial-disease',
  'diabetes',
  'pregnancy',
  'fragile-skin',
];
