export {
  addDays,
  ageOn,
  clinicDay,
  dayOf,
  daysBetween,
  daysFrom,
  instantOn,
  isZone,
  type ClinicDay,
} from './day';
export { readInstant } from './instant';
export { phaseOn, phaseSpans, type PhaseSpan } from './phase';
