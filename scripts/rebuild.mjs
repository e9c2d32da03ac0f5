import { atDatabase } from './at-database.mjs';

// Computes every case's summary again from its entries and says where it differed.
await atDatabase('rebuild', { existing: true });
