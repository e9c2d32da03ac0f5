export {
  addDays,
  ageOn,
  clinicDay,
  clockShows,
  dayOf,
  daysBetween,
  daysFrom,
  instantOn,
  isZone,
  minutesIn,
  type ClinicDay,
} from './day';
export { readInstant } from './instant';
export { phaseOn, phaseSpans, type PhaseSpan } from './phase';
