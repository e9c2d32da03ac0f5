import { limitsOf } from './limits';
import type { Order } from './order-body';

const knee = { joint: 'knee', plane: 'sagittal' } as const;
/** Day zero is the 7th of November; the second phase begins on the 21st. */
export const order: Order = {
  diagnosis: 'ligament reconstruction',
  prescriber: 'ward 3',
  side: 'right',
  dayZero: '2026-11-07',
  phases: [
    { fromDay: 0, limits: limitsOf(knee, { extension: 10, flexion: 60 }) },
    { fromDay: 14, limits: limitsOf(knee, { extension: 5, flexion: 90 }) },
  ],
  protective: true,
  wearing: 'day and night',
  trouble: 'keep-on',
};

/** An order as the record has it, nothing changed since. */
export const given = (of: Order = order, entry = 'the-order') => ({
  entry,
  order: of,
  given: of,
  changes: [],
});
