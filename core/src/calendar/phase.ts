import { addDays, daysBetween, type ClinicDay } from './day';

export interface PhaseSpan {
  index: number;
  from: ClinicDay;
  /** the first day that is no longer in the phase; absent for the last one */
  until?: ClinicDay;
}

/**
 * The phases of a schedule as spans of clinic days.
 * @param dayZero the day the schedule counts from (the operation, the injury)
 * @param phases each with the number of days after day zero on which it begins, rising
 */
export function phaseSpans(dayZero: ClinicDay, phases: readonly { fromDay: number }[]): PhaseSpan[] {
  return phases.map((phase, index) => {
    const next = phases[index + 1];
    return {
      index,
      from: addDays(dayZero, phase.fromDay),
      ...(next ? { until: addDays(dayZero, next.fromDay) } : {}),
    };
  });
}

/**
 * @returns the index of the phase that holds on a day; 0 before the first has begun, -1 without phases
 */
export function phaseOn(dayZero: ClinicDay, phases: readonly { fromDay: number }[], day: ClinicDay): number {
  const passed = daysBetween(dayZero, day);
  return Math.max(
    phases.length > 0 ? 0 : -1,
    phases.findLastIndex((phase) => phase.fromDay <= passed),
  );
}
