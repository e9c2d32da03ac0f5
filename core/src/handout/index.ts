export {
  callReasonsOf,
  needsCarer,
  patientSheet,
  type CallReason,
  type EmergencyWords,
  type HomePhase,
  type PatientSheet,
} from './patient-sheet';
