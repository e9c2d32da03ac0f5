export { patientSheet, type EmergencyWords, type HomePhase, type PatientSheet } from './patient-sheet';
