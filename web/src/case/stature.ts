import { statureForAge } from '@estribo/core/anatomy';
import { ageOn, type ClinicDay } from '@estribo/core/calendar';
import type { CaseState } from '@estribo/core/logbook';
import { stepAt } from '@estribo/core/measuring';

/**
 * A person's age, where the day of birth is known here, and stature in a case: as it was read; without a reading, as it usually
 * is at this age.
 */
export function statureIn(
  { measuring }: Pick<CaseState, 'measuring'>,
  born: ClinicDay | undefined,
  today: ClinicDay,
): { years: number | undefined; stature: number } {
  const years = born === undefined ? undefined : ageOn(born, today);
  const read = stepAt(measuring.states, 'stature', 'midline')?.assessed;
  return { years, stature: read?.mean ?? statureForAge(years) };
}
