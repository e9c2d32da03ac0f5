import { atDatabase } from './at-database.mjs';

// Puts a back-up in the place of what is in the clinic's database; with --drill only on trial, also while the clinic runs.
await atDatabase('restore', { alongside: process.argv.includes('--drill') });
