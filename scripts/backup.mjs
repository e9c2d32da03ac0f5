import { atDatabase } from './at-database.mjs';

// Dumps the clinic of one moment into a folder, with a keyed hash and the seals beside it; also while the clinic runs.
await atDatabase('backup', { alongside: true, existing: true });
