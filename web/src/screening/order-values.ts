import type { ClinicDay } from '@estribo/core/calendar';
import { endsOf, namedAngle, signedAngle, type JointPlane, type MotionEnd } from '@estribo/core/anatomy';
import { boundsOf } from '@estribo/core/logbook';
import {
  limitsOf,
  mayHaveSide,
  windowOf,
  type HeightName,
  type Order,
  type OrderedLock,
  type OrderPhase,
  type ReadSchedule,
} from '@estribo/core/order';
import { limitedMotion, type Programme } from '@estribo/core/programmes';
import { named, t } from '../messages';
import { boundsProblem } from '../parts/bounds';
import { formatAngle, signed } from '../parts/format';
import { typedNumber } from '../parts/typed-number';

/** A limit as it is typed: a plain number goes where the field's name says, a minus the other way. */
export interface TypedLimit extends JointPlane {
  from: string;
  to: string;
}

export interface TypedPhase {
  fromDay: string;
  /** the last day; empty where it lasts until the next begins */
  lastDay: string;
  limits: TypedLimit[];
  /** an angle; empty where no lock is ordered */
  lock: string;
  lockWhen: OrderedLock['when'][];
  weight: NonNullable<OrderPhase['weight']> | 'unsaid';
  /** what of the brace is another in this phase; unsaid: as in the order as a whole */
  height: HeightName | 'unsaid';
  panels: NonNullable<Order['panels']>;
  posture: NonNullable<Order['posture']> | 'unsaid';
}

/** The order as it is typed. */
export interface OrderValues {
  diagnosis: string;
  injuries: string[];
  injurySide: 'left' | 'right' | undefined;
  prescriber: string;
  dayZero: string | undefined;
  until: string | undefined;
  phases: TypedPhase[];
  relieve: NonNullable<Order['relieve']> | 'unsaid';
  angle: string;
  height: HeightName | 'unsaid';
  panels: NonNullable<Order['panels']>;
  posture: NonNullable<Order['posture']> | 'unsaid';
  roll: NonNullable<Order['roll']> | 'unsaid';
  protective: 'yes' | 'no' | undefined;
  wearing: string;
  trouble: Order['trouble'] | undefined;
  acknowledged: string[];
  /** phases were taken over from text or a template, and have been held against the order */
  fromText: boolean;
  confirmed: boolean;
  /** the text that the phases were read from */
  source: string;
  /** it was told by telephone, and read back */
  telephone: boolean;
  readBack: boolean;
}

/** A family that puts its joint at an angle is asked for that angle phase by phase, in one field. */
export const isHeldByPhase = ({ joint, ordered = [] }: Programme): boolean =>
  joint !== undefined && ordered.includes('angle') && !ordered.includes('motion');

/** The motion whose limits a phase asks for first: the family's joint's, unless that is put at an angle. */
const firstMotion = (programme: Programme): JointPlane[] => {
  const motion = limitedMotion(programme);
  return motion && !isHeldByPhase(programme) ? [motion] : [];
};

export const emptyPhase = (programme: Programme, fromDay: string): TypedPhase => ({
  fromDay,
  lastDay: '',
  limits: firstMotion(programme).map((motion) => ({ ...motion, from: '', to: '' })),
  lock: '',
  lockWhen: ['always'],
  weight: 'unsaid',
  height: 'unsaid',
  panels: [],
  posture: 'unsaid',
});

/** @param today where nothing of an order goes by days after it, day zero is today until somebody says otherwise */
export const emptyOrder = (programme: Programme, today?: ClinicDay): OrderValues => ({
  diagnosis: '',
  injuries: [],
  injurySide: undefined,
  prescriber: '',
  dayZero: programme.ordered?.length === 0 ? today : undefined,
  until: undefined,
  phases: [emptyPhase(programme, '0')],
  relieve: 'unsaid',
  angle: '',
  height: 'unsaid',
  panels: [],
  posture: 'unsaid',
  roll: 'unsaid',
  protective: undefined,
  wearing: '',
  trouble: undefined,
  acknowledged: [],
  fromText: false,
  confirmed: false,
  source: '',
  telephone: false,
  readBack: false,
});

/** The joint that a lock or an angle is ordered for here. */
export const heldJoint = ({ joint, region }: Programme): JointPlane => ({
  joint: joint ?? (region === 'neck' ? 'neck' : 'knee'),
  plane: 'sagittal',
});

/**
 * Which way a plain number goes in a field: at knee and elbow both limits are degrees of flexion, at every other joint
 * each limit is degrees of its own end.
 */
const turned = ({ joint }: JointPlane, end: 'from' | 'to'): boolean =>
  end === 'from' && joint !== 'knee' && joint !== 'elbow';

/** A typed limit, counted as the computations count it. */
export const typedAngle = (motion: JointPlane, end: 'from' | 'to', text: string): number =>
  (turned(motion, end) ? -typedNumber(text) : typedNumber(text)) || 0;

const shownAngle = (motion: JointPlane, end: 'from' | 'to', angle: number | undefined): string =>
  angle === undefined ? '' : String((turned(motion, end) ? -angle : angle) || 0);

/** What a limit's field is called: the end it goes towards. */
export const limitLabel = (motion: JointPlane, end: 'from' | 'to'): string =>
  named('motionEndTitle', endsOf(motion)[end === 'from' ? 0 : 1]);

/** The angle in words beneath a field that holds one: which way it goes. */
export function saidAngle(motion: JointPlane, end: 'from' | 'to', text: string): string | undefined {
  const angle = typedAngle(motion, end, text);
  return text.trim() === '' || !Number.isFinite(angle) || typedNumber(text) >= 0
    ? undefined
    : `= ${formatAngle(motion, angle)}`;
}

/** What is wrong with a number of the order, in words; nothing when it may be. */
export function numberProblem(what: string, text: string, path: string, unit = ''): string | true {
  const value = typedNumber(text);
  if (text.trim() === '' || !Number.isFinite(value)) return t('bounds.number', { what });
  return (
    boundsProblem(
      what,
      path.endsWith('degrees') ? Math.abs(value) : value,
      boundsOf('order.given', path),
      (bound) => `${signed(bound)}${unit}`,
    ) ?? true
  );
}

const unless = <T, N>(value: T, nothing: N): Exclude<T, N> | undefined =>
  (value as unknown) === nothing ? undefined : (value as Exclude<T, N>);

/** An order in force, as it is changed. */
export function filledOrder(order: Order, programme: Programme): OrderValues {
  const held = heldJoint(programme);
  return {
    ...emptyOrder(programme),
    diagnosis: order.diagnosis,
    injuries: order.injuries?.map(({ code }) => code) ?? [],
    injurySide: order.injuries?.find(({ side }) => side)?.side,
    prescriber: order.prescriber,
    dayZero: order.dayZero,
    until: order.until,
    phases: order.phases.map(({ fromDay, lastDay, limits, locks, weight, height, panels, posture }) => {
      const motions = [...firstMotion(programme), ...limits].filter(
        (one, i, all) =>
          all.findIndex(({ joint, plane }) => joint === one.joint && plane === one.plane) === i,
      );
      // locks at one angle at several times are one field; the angle of the whole order is that of each phase
      const whole = isHeldByPhase(programme) ? order.angles?.[0] : undefined;
      const at = locks?.[0]?.at ?? whole?.at;
      return {
        fromDay: String(fromDay),
        lastDay: lastDay === undefined ? '' : String(lastDay),
        limits: motions.map(({ joint, plane }) => {
          const motion = { joint, plane };
          const { extension, flexion } = windowOf(limits, motion);
          return {
            ...motion,
            from: shownAngle(motion, 'from', extension),
            to: shownAngle(motion, 'to', flexion),
          };
        }),
        lock: at ? String(signedAngle(held, at)) : '',
        lockWhen: locks && locks.length > 0 ? locks.map(({ when }) => when) : ['always'],
        weight: weight ?? 'unsaid',
        height: height ?? 'unsaid',
        panels: panels ?? [],
        posture: posture ?? 'unsaid',
      };
    }),
    relieve: order.relieve ?? 'unsaid',
    angle:
      order.angles?.[0] && !isHeldByPhase(programme)
        ? shownAngle(held, 'to', signedAngle(held, order.angles[0].at))
        : '',
    height: order.height ?? 'unsaid',
    panels: order.panels ?? [],
    posture: order.posture ?? 'unsaid',
    roll: order.roll ?? 'unsaid',
    protective: order.protective ? 'yes' : 'no',
    wearing: order.wearing,
    trouble: order.trouble,
    acknowledged: order.acknowledged ?? [],
    source: order.source ?? '',
  };
}

/** What is left unsaid and has to be typed: no number, so that the form asks for it. */
const asked = '?';

/** A phase that was read out of text, as it is typed: what the text does not say stands as a question. */
export function typedPhase(
  { fromDay, lastDay, window, free, lock, weight, asks }: ReadSchedule['phases'][number],
  programme: Programme,
): TypedPhase {
  const motion = isHeldByPhase(programme) ? undefined : limitedMotion(programme);
  const end = (of: 'extension' | 'flexion', field: 'from' | 'to') =>
    asks.includes(`${of}-limit`) ? asked : free ? '' : shownAngle(motion!, field, window[of]);
  return {
    ...emptyPhase(programme, ''),
    fromDay: String(fromDay),
    lastDay: lastDay === undefined ? '' : String(lastDay),
    limits: motion ? [{ ...motion, from: end('extension', 'from'), to: end('flexion', 'to') }] : [],
    lock: lock ? (lock.at === undefined ? asked : String(lock.at)) : '',
    lockWhen: lock ? lock.when : ['always'],
    weight: weight ?? 'unsaid',
  };
}

function phaseOf(
  { fromDay, lastDay, limits, lock, lockWhen, weight, height, panels, posture }: TypedPhase,
  held: JointPlane,
): OrderPhase {
  const at = () => namedAngle(held, typedAngle(held, 'to', lock));
  return {
    fromDay: typedNumber(fromDay),
    ...(lastDay.trim() === '' ? {} : { lastDay: typedNumber(lastDay) }),
    limits: limits.flatMap(({ from, to, joint, plane }) => {
      const motion = { joint, plane };
      return limitsOf(motion, {
        ...(from.trim() === '' ? {} : { extension: typedAngle(motion, 'from', from) }),
        ...(to.trim() === '' ? {} : { flexion: typedAngle(motion, 'to', to) }),
      });
    }),
    ...(lock.trim() === '' ? {} : { locks: lockWhen.map((when) => ({ joint: held.joint, at: at(), when })) }),
    ...(weight === 'unsaid' ? {} : { weight }),
    ...(height === 'unsaid' ? {} : { height }),
    ...(panels.length === 0 ? {} : { panels }),
    ...(posture === 'unsaid' ? {} : { posture }),
  };
}

/** The order as it is taken. */
export function orderOf(values: OrderValues, side: Order['side'], programme: Programme): Order {
  const held = heldJoint(programme);
  const { injuries, injurySide, until, panels, angle } = values;
  const [relieve, height, posture, roll] = [
    unless(values.relieve, 'unsaid'),
    unless(values.height, 'unsaid'),
    unless(values.posture, 'unsaid'),
    unless(values.roll, 'unsaid'),
  ];
  const sideOfInjury = side === 'midline' ? injurySide : side;
  return {
    diagnosis: values.diagnosis.trim(),
    ...(injuries.length > 0
      ? {
          injuries: injuries.map((code) => ({
            code,
            ...(sideOfInjury && mayHaveSide(code) ? { side: sideOfInjury } : {}),
          })),
        }
      : {}),
    prescriber: values.prescriber.trim(),
    side,
    dayZero: values.dayZero!,
    ...(until ? { until } : {}),
    phases: values.phases.map((phase) => phaseOf(phase, held)),
    ...(relieve ? { relieve } : {}),
    ...(angle.trim() === ''
      ? {}
      : { angles: [{ ...held, at: namedAngle(held, typedAngle(held, 'to', angle)) }] }),
    ...(height ? { height } : {}),
    ...(panels.length > 0 ? { panels } : {}),
    ...(posture ? { posture } : {}),
    ...(roll ? { roll } : {}),
    protective: values.protective === 'yes',
    wearing: values.wearing.trim(),
    trouble: values.trouble!,
    ...(values.source.trim() === '' ? {} : { source: values.source.trim() }),
    ...(values.telephone ? { readBack: values.readBack } : {}),
  };
}

/** Whether two orders say the same of every day. */
export const sameDays = (a: Order, b: Order): boolean =>
  JSON.stringify([a.dayZero, a.until, a.phases]) === JSON.stringify([b.dayZero, b.until, b.phases]);

/** What an order asks for and the brace cannot do, in words. */
export function formatNotCarriedOut(name: string): string {
  const [what, ...rest] = name.split('-');
  switch (what) {
    case 'motion':
    case 'angle':
      return t(`order.notCarriedOut.${what}`, {
        joint: named('jointInside', rest[0]!),
        plane: named('planes', rest[1]!),
      });
    case 'lock': {
      const degrees = rest.at(-1)!;
      const toward = rest.slice(1, -1).join('-') as MotionEnd;
      return t('order.notCarriedOut.lock', {
        joint: named('jointInside', rest[0]!),
        angle: `${degrees}° ${named('motionEnd', toward)}`,
      });
    }
    default:
      return t(`order.notCarriedOut.${what as 'panels' | 'height' | 'posture' | 'roll' | 'relieve'}`, {
        what: named('orderedInside', rest.join('-')),
      });
  }
}
