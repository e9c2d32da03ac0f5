export {
  callReasonsOf,
  patientSheet,
  type CallReason,
  type EmergencyWords,
  type HomePhase,
  type PatientSheet,
} from './patient-sheet';
