export { addDays, clinicDay, dayOf, daysBetween, daysFrom, instantOn, isZone, type ClinicDay } from './day';
export { phaseOn, phaseSpans, type PhaseSpan } from './phase';
