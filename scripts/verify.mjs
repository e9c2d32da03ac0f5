import { atDatabase } from './at-database.mjs';

// Computes every hash again, case by case and over the clinic, and names what does not hold.
await atDatabase('verify', { alongside: true, existing: true });
