import { addDays, ageOn, phaseSpans, type ClinicDay } from '../calendar';
import { holds } from '../brace';
import type { CaseFinding } from '../findings';
import type { CaseState } from '../logbook';
import { windowOf, type MotionWindow, type Order, type OrderPhase } from '../order';
import { limitedMotion } from '../programmes';
import { wantedOn } from '../setting';
import { runSequence, type RunnerStep, type Sequence } from '../strapping';

/*
 * What a patient takes home, as data: built from the order, this case's settings and what a patient does alone. No words: the
 * page says them in the patient's language. Common practice, no source.
 */

/** Whose words for an emergency: by the region, and by whether the brace protects. */
export type EmergencyWords = `${'limb' | 'arm' | 'trunk' | 'neck'}-${'protective' | 'comfort'}`;

/** A phase as it concerns the patient, from a day on. */
export interface HomePhase {
  from: ClinicDay;
  until?: ClinicDay;
  window: MotionWindow;
  locks: NonNullable<OrderPhase['locks']>;
  weight?: OrderPhase['weight'];
  /** wedges under the heel; only the clinic changes them */
  wedges?: number;
}

/** Why a patient is to call first, in a patient's terms: a sign, at once or today, an order not carried out, a failed check, anything else. */
export type CallReason = 'now' | 'sign' | 'order' | 'failed' | 'again';

const callReasons: Partial<Record<string, CallReason>> = {
  danger: 'sign',
  'block-over': 'sign',
  'exceeds-order': 'order',
  'signed-for-earlier-order': 'order',
  'order-for-other-side': 'order',
  'brace-for-other-side': 'order',
  'plan-before-order': 'order',
  'order-ended': 'order',
  'signed-fail': 'failed',
  'limb-not-safe': 'failed',
};

/** Why a patient is to call first, each reason once and in the order of the findings, which are for staff to read. */
export const callReasonsOf = (urgent: readonly Pick<CaseFinding, 'kind' | 'level'>[]): CallReason[] => [
  ...new Set(
    urgent.map(({ kind, level }) => (level === 'emergency' ? 'now' : (callReasons[kind] ?? 'again'))),
  ),
];

export interface PatientSheet {
  /** how it goes on at home; by staff alone where the patient may not move alone */
  on: { by: 'patient' | 'carer'; list: Sequence; steps: RunnerStep[] } | { by: 'staff' };
  off: { by: 'patient' | 'carer'; list: Sequence } | { by: 'staff' } | undefined;
  phases: HomePhase[];
  /** the prescriber's own words of how it is worn */
  ordered: string | undefined;
  /** lines of the family that say nothing against the order */
  lines: string[];
  emergency: EmergencyWords;
  /** how helpers open it to resuscitate, where it is not simply taken off */
  resuscitation: CaseState['programme']['resuscitation'];
  /** who may take it off */
  takesOff: 'staff' | 'as-ordered' | 'patient';
  /** nothing of driving for a child */
  driving: 'never-in-it' | 'ask' | undefined;
  /** what was missing when it was signed for, with the reason */
  inSpite: { of: Pick<CaseFinding, 'kind' | 'about'>[]; reason: string } | undefined;
  /** findings for which the sheet is not handed over as if all were well */
  urgent: CaseFinding[];
}

const byStaff = ({ handling, people }: Sequence): boolean =>
  handling !== undefined && !people.every((who) => who === 'patient' || who === 'carer');

/** Steps that are done at home: none of the orthotist's, no setting, no cutting, no check, no walk to let it settle. */
const isAtHome = ({ kind, who }: RunnerStep): boolean =>
  (kind === 'act' || kind === 'strap' || kind === 'look') && who !== 'orthotist';

/** The list by which it goes on at home: the one that is for that, else one for the patient alone, else that of the fitting. */
function listAtHome({ strapping: { others, list, lists } }: CaseState): Sequence | undefined {
  return (
    others.find(({ purpose }) => purpose === 'again') ??
    lists.find(({ people }) => people.length === 1 && people[0] === 'patient') ??
    list ??
    lists[0]
  );
}

const holderOf = ({ people }: Sequence): 'patient' | 'carer' =>
  people.includes('carer') ? 'carer' : 'patient';

/** Under this age a carer puts it on; nobody drives under that one. In years; common practice, no source. */
const byCarerUnder = 8;
const drivesFrom = 14;

/** Whether somebody else puts it on and looks at the skin: for a small child, and where pain or numbness is not told. */
export const needsCarer = (
  { screening: { qualifying } }: CaseState,
  day: ClinicDay,
  born: ClinicDay | undefined,
): boolean =>
  (born !== undefined && ageOn(born, day) < byCarerUnder) ||
  qualifying.some(({ finding }) => finding === 'cannot-report');

/**
 * The sheet of a case on a day.
 * @param findings of the case on that day
 * @param born the patient's day of birth, where it is known
 */
export function patientSheet(
  state: CaseState,
  findings: readonly CaseFinding[],
  day: ClinicDay,
  born?: ClinicDay,
): PatientSheet {
  const order = state.order?.order;
  const isProtective = order?.protective ?? true;
  const isHelpless = needsCarer(state, day, born);
  const list = listAtHome(state);
  const off = state.strapping.others.find(({ purpose }) => purpose === 'off');
  const region = regionOf(state);
  const isStaff =
    isProtective && (region === 'neck' || (region === 'trunk' && list !== undefined && byStaff(list)));
  return {
    on:
      list === undefined || byStaff(list)
        ? { by: 'staff' }
        : {
            by: isHelpless ? 'carer' : holderOf(list),
            list,
            steps: runSequence({ id: list.id, steps: list.steps }, [], {
              facts: state.facts,
              lists: state.programme.sequences,
            }).steps.filter(isAtHome),
          },
    off:
      off &&
      (byStaff(off) || isStaff ? { by: 'staff' } : { by: isHelpless ? 'carer' : holderOf(off), list: off }),
    phases: order ? phasesAtHome(state, order, day) : [],
    ordered: order?.wearing,
    // what is ordered goes before what is usual: nothing is said of nights, and nothing at all where the brace protects
    lines: isProtective
      ? []
      : (state.programme.wear ?? [])
          .filter(
            ({ nights, when }) =>
              nights === undefined && (when === undefined || holds(when, state.facts) === true),
          )
          .map(({ id }) => id),
    emergency: `${region}-${isProtective ? 'protective' : 'comfort'}`,
    resuscitation: state.programme.resuscitation,
    takesOff: isStaff ? 'staff' : isProtective ? 'as-ordered' : 'patient',
    driving:
      born !== undefined && ageOn(born, day) < drivesFrom
        ? undefined
        : isProtective || region === 'neck'
          ? 'never-in-it'
          : 'ask',
    inSpite: state.checking.signed?.decided.inSpite as PatientSheet['inSpite'],
    urgent: findings.filter(({ level }) => level === 'emergency' || level === 'today'),
  };
}

function regionOf({ programme }: CaseState): 'limb' | 'arm' | 'trunk' | 'neck' {
  switch (programme.region) {
    case 'neck':
    case 'trunk':
      return programme.region;
    case 'shoulder':
      return 'arm';
    default:
      return 'limb';
  }
}

/** The phases that are in force or still to come. */
function phasesAtHome(state: CaseState, order: Order, day: ClinicDay): HomePhase[] {
  const motion = limitedMotion(state.programme);
  const wedges = state.programme.settings.find((one) => one.kind === 'pieces' && one.wedge !== undefined);
  const ends = order.until === undefined ? undefined : addDays(order.until, 1);
  return phaseSpans(order.dayZero, order.phases)
    .map(({ index, from, until = ends }): HomePhase => {
      const { limits, locks = [], weight } = order.phases[index]!;
      const wanted = wedges && wantedOn(wedges, state, from > day ? from : day);
      return {
        from,
        ...(until === undefined ? {} : { until }),
        window: motion ? windowOf(limits, motion) : {},
        locks,
        // how much a leg bears is said of a leg brace alone
        ...(weight && regionOf(state) === 'limb' ? { weight } : {}),
        ...(wanted && wanted !== 'open' ? { wedges: wanted.from } : {}),
      };
    })
    .filter(({ from, until }) => (until === undefined || until > day) && (ends === undefined || from < ends))
    .reduce<HomePhase[]>((told, phase) => {
      const before = told.at(-1);
      return before && saysTheSame(before, phase)
        ? [...told.slice(0, -1), { ...phase, from: before.from }]
        : [...told, phase];
    }, []);
}

/** Whether two phases are one for the patient: they differ in the brace's height or panels, or in nothing. */
const saysTheSame = (
  { from: _from, until: _until, ...one }: HomePhase,
  { from: _later, until: _end, ...other }: HomePhase,
): boolean => JSON.stringify(one) === JSON.stringify(other);
