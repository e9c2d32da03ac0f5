import type { UrgentCall } from '@estribo/core/logbook';
import { findingShort, named, t } from '../messages';
import { checkName } from '../messages/fitting';

/** What a call is about, in words. */
export function aboutCall({ why, name }: { why: UrgentCall['why']; name: string }): string {
  if (why === 'finding') return findingShort(name);
  if (why === 'worn') return t(`calls.worn.${name === 'skin-stays-red' ? 'skin' : 'pain'}`);
  if (why === 'review') return named('referBecause', name).replace(/\.$/, '');
  return why === 'lost-in-move' ? t('calls.lost-in-move') : t(`calls.${why}`, { check: checkName(name) });
}
