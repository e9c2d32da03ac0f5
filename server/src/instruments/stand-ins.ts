import { isReading, type MeasuringStep } from '@estribo/core/measuring';
import { addDays, type ClinicDay } from '@estribo/core/calendar';
import { createHash } from 'node:crypto';
import type { Store } from '../catalogue/registry';
import { calibrationEntity, instrumentEntity, type InstrumentRow } from '../database/entities';

/** The simulated instruments that ship: one of each kind; the inclinometer's calibration is overdue. */
const standIns = (today: ClinicDay): InstrumentRow[] => [
  {
    id: 'stand-in-tape',
    kind: 'tape',
    name: 'Tape 1',
    calibratedOn: addDays(today, -60),
    validDays: 365,
    offset: 0.6,
    simulated: true,
  },
  {
    id: 'stand-in-calliper',
    kind: 'calliper',
    name: 'Calliper 1',
    calibratedOn: addDays(today, -200),
    validDays: 365,
    offset: -0.2,
    simulated: true,
  },
  {
    id: 'stand-in-goniometer',
    kind: 'goniometer',
    name: 'Goniometer 1',
    calibratedOn: addDays(today, -30),
    validDays: 365,
    offset: 0.5,
    simulated: true,
  },
  {
    id: 'stand-in-inclinometer',
    kind: 'inclinometer',
    name: 'Inclinometer 1',
    calibratedOn: addDays(today, -400),
    validDays: 365,
    offset: 1,
    simulated: true,
  },
  {
    id: 'stand-in-scale',
    kind: 'scale',
    name: 'Scale 1',
    calibratedOn: addDays(today, -90),
    validDays: 730,
    offset: 0.1,
    simulated: true,
  },
  {
    id: 'stand-in-gauge',
    kind: 'gauge',
    name: 'Force gauge 1',
    calibratedOn: addDays(today, -45),
    validDays: 365,
    offset: 0.2,
    simulated: true,
  },
];

/** Puts the stand-ins among the instruments, once. */
export async function shipStandIns(db: Store, today: ClinicDay, at: Date): Promise<void> {
  const rows = db.getRepository(instrumentEntity);
  for (const instrument of standIns(today)) {
    const { id, calibratedOn, offset } = instrument;
    if (await rows.existsBy({ id })) continue;
    await rows.insert(instrument);
    await db.getRepository(calibrationEntity).insert({ instrument: id, calibratedOn, offset, by: null, at });
  }
}

/** A number from 0 to 1 that a text always gives. */
export const share = (text: string): number =>
  createHash('sha256').update(text).digest().readUInt32BE(0) / 2 ** 32;

/** A normal deviate, Box and Muller. */
const noise = (): number =>
  Math.sqrt(-2 * Math.log(1 - Math.random())) * Math.cos(2 * Math.PI * Math.random());

/** The knee where no angle is named: relaxed. */
const relaxed = 25;

/**
 * What a hidden simulated body measures at a step: the same body for a case whenever it is asked, a little
 * different on either side. Invented.
 * @param stature in mm
 */
export function hiddenValue(step: MeasuringStep, caseId: string, side: string, stature: number): number {
  const build = 0.92 + 0.16 * share(caseId);
  const own = 1 + 0.02 * (share(`${caseId} ${step.id} ${side}`) - 0.5);
  if (step.kind === 'posture')
    return (
      (typeof step.target === 'number' ? step.target : step.joint === 'ankle' ? 0 : relaxed) +
      4 * (share(`${caseId} ${side} posture`) - 0.5)
    );
  if (!isReading(step)) return 0;
  if (step.kind === 'inclination')
    return [24, 12, -4, -12, 12][Math.round(step.at * 4)]! + 6 * (own - 1) * 50;
  const [low, high] = step.plausible;
  const usual = step.ofStature === undefined ? low + (high - low) * 0.3 : step.ofStature * stature;
  return usual * (step.kind === 'girth' || step.kind === 'mass' ? build : 1) * own;
}

/** The force that a hidden simulated pad or strap pulls with, in newtons: the same one whenever it is asked. Invented. */
export const hiddenForce = (thing: string, caseId: string): number =>
  12 + 22 * share(`${caseId} ${thing} force`);

/** How far values of a step differ from one to the next, in its unit. */
export const deviationOf = (step: MeasuringStep): number => (isReading(step) ? step.withinPerson : 1);

/** One value the stand-in shows: the hidden one, with the noise of a hand and the instrument's offset. */
export const shownValue = (hidden: number, deviation: number, offset: number): number =>
  Math.round((hidden + offset + 0.6 * deviation * noise()) * 10) / 10;
